package bucina.desk.cli;

import bucina.core.part.Owing;
import bucina.core.part.PartStates;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.refit.LookAlikes;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;

/** {@code parts FILE}: every part, how it stands and what is owed to it. */
@Command(
        name = "parts",
        mixinStandardHelpOptions = true,
        description = "Every part: how it stands, the faces it lies on, what is owed to it, what looks like it.")
final class PartsCommand extends OnBuild implements Callable<Integer> {

    @Override
    public Integer call() {
        Opened opened = open();
        PartStates states = PartStates.of(opened.derivation(), opened.log());
        Map<Id.Part, List<LookAlikes>> likes = LookAlikes.of(opened.derivation());
        ObjectNode node = Common.object();
        ArrayNode parts = node.putArray("parts");
        List<String> lines = new ArrayList<>();
        for (Part part : states.all()) {
            List<LookAlikes> like = likes.getOrDefault(part.id(), List.of());
            parts.add(tree(part, states, like));
            List<String> owed = states.owed(part.id()).stream().map(Owing::task).toList();
            lines.add("%-12s %-28s %-12s %-30s %s"
                    .formatted(
                            part.particulars().number(),
                            part.name(),
                            states.of(part.id()).code(),
                            states.faces(part.id()).stream().map(Face::name).collect(Collectors.joining(", ")),
                            owed.isEmpty() ? "" : "owes " + String.join(", ", owed))
                    .stripTrailing());
        }
        common().answer(node, lines);
        return Cli.FINE;
    }

    /** One part as the contract has it. */
    static ObjectNode tree(Part part, PartStates states, List<LookAlikes> likes) {
        ObjectNode node = Common.object()
                .put("id", part.id().n())
                .put("name", part.name())
                .put("number", part.particulars().number())
                .put("hand", part.particulars().hand().name().toLowerCase(Locale.ROOT))
                .put("kind", part.kind().code())
                .put("alloy", part.material().code());
        node.set("called", Common.length(part.particulars().called()));
        node.set("measured", Common.length(part.particulars().measured()));
        node.put("place", part.particulars().place())
                .put("due", part.particulars().due().map(Object::toString).orElse(null))
                .put("page", part.particulars().page())
                .put("standing", states.of(part.id()).code());
        ArrayNode faces = node.putArray("faces");
        states.faces(part.id()).forEach(f -> faces.add(f.name()));
        ArrayNode alike = node.putArray("looks_like");
        likes.forEach(l -> alike.add(l.other().name()));
        ArrayNode owed = node.putArray("owed");
        states.owed(part.id()).forEach(o -> owed.add(o.task()));
        return node;
    }
}
