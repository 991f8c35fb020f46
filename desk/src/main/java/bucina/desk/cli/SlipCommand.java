package bucina.desk.cli;

import bucina.core.evening.PartHours;
import bucina.core.evening.Slip;
import bucina.core.plan.Build;
import bucina.core.stack.HoleReading;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code slip FILE --hole 'Upper skin R1.9' [--operation countersunk]}: what a slip costs there. */
@Command(
        name = "slip",
        mixinStandardHelpOptions = true,
        description = "What a slip costs at a hole: whether it can be undone, and whether the next size saves it.")
final class SlipCommand extends OnBuild implements Callable<Integer> {

    private static final List<String> OPERATIONS = List.of(
            "pilot",
            "clecoed",
            "match-drilled",
            "final-size",
            "deburred",
            "dimpled",
            "countersunk",
            "cleared",
            "primed",
            "set");

    @Option(names = "--hole", required = true, description = "Face and label: \"Upper skin R1.9\"")
    private String hole;

    @Option(names = "--operation", defaultValue = "final-size", description = "What is done there: countersunk")
    private String operation;

    @Override
    public Integer call() {
        if (!OPERATIONS.contains(operation)) {
            throw Common.wrong(
                    "--operation \"" + operation + "\" is none: write one of " + String.join(", ", OPERATIONS));
        }
        Opened opened = open();
        Slip slip = Slip.of(
                reading(opened), operation, opened.build().rules(), new PartHours(opened.derivation(), opened.log()));
        ObjectNode node = Common.object().put("undo", slip.undo().code());
        ArrayNode sheets = node.putArray("sheets");
        slip.sheets().forEach(s -> sheets.add(s.layer().name()));
        node.put("hours_in_them", slip.hours());
        ObjectNode next = node.putObject("next_diameter").put("ok", slip.nextKeeps());
        next.set("diameter", Common.length(slip.next()));
        ArrayNode edges = next.putArray("edge");
        for (Slip.Sheet s : slip.sheets()) {
            ObjectNode one = edges.addObject().put("sheet", s.layer().name()).put("ok", s.keeps());
            one.set("edge", Common.length(s.edge()));
            one.set("least", Common.length(s.least()));
        }
        String say = slip.say(common().unit());
        common().answer(node.put("say", say), List.of(say));
        return Cli.FINE;
    }

    private HoleReading reading(Opened opened) {
        String wanted = hole.strip();
        for (Build.FaceRef ref : opened.build().faces()) {
            String name = ref.face().name() + " ";
            if (wanted.regionMatches(true, 0, name, 0, name.length())) {
                String label = wanted.substring(name.length()).strip();
                return opened.derivation().face(ref.face().id()).readings().stream()
                        .filter(r -> r.label().equalsIgnoreCase(label))
                        .findFirst()
                        .orElseThrow(() -> Common.wrong("face " + ref.face().name() + " has no hole \"" + label
                                + "\"; labels are written like R1.9"));
            }
        }
        throw Common.wrong("--hole \"" + hole + "\" begins with no face of this build: write it like \""
                + opened.build().faces().stream()
                        .findFirst()
                        .map(f -> f.face().name())
                        .orElse("Upper skin")
                + " R1.9\"");
    }
}
