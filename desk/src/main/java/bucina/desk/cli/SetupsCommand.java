package bucina.desk.cli;

import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.setup.Stretch;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import bucina.store.file.BuildFile;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code setups FILE --face F [--group G]}: where the squeezer is reset. */
@Command(
        name = "setups",
        mixinStandardHelpOptions = true,
        description = "Stretches of a face that are set with one set-up, in setting order, and where it changes.")
final class SetupsCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--face", required = true, description = "Name of the face: \"Upper skin\"")
    private String face;

    @Option(names = "--group", description = "Code of one group; left out: every group of the face.")
    private @Nullable String group;

    @Override
    public Integer call() {
        try (BuildFile file = common().told(BuildFile.openToRead(file()))) {
            Opened opened = derived(file);
            var ref = face(opened, face);
            checkGroup(ref);
            List<HoleReading> holes = opened.derivation().face(ref.face().id()).readings().stream()
                    .filter(r -> group == null || r.group().code().equalsIgnoreCase(group.strip()))
                    .toList();
            List<Stretch> stretches = Stretch.of(holes, opened.build().rules());
            ObjectNode node = Common.object();
            ArrayNode list = node.putArray("stretches");
            List<String> lines = new ArrayList<>();
            Optional<Solution> before = Optional.empty();
            for (Stretch s : stretches) {
                list.add(tree(s, before, opened));
                lines.add(line(s, before));
                before = Optional.of(s.solution());
            }
            common().answer(node, lines.isEmpty() ? List.of("No holes on this face.") : lines);
            return Cli.FINE;
        }
    }

    private void checkGroup(Build.FaceRef ref) {
        if (group != null
                && ref.face().groups().stream().noneMatch(g -> g.code().equalsIgnoreCase(group.strip()))) {
            throw Common.wrong("there is no group \"" + group + "\" on "
                    + ref.face().name() + "; it has "
                    + String.join(
                            ", ",
                            ref.face().groups().stream().map(g -> g.code()).toList()));
        }
    }

    private ObjectNode tree(Stretch s, Optional<Solution> before, Opened opened) {
        ObjectNode node = Common.object().put("group", s.group().code());
        ArrayNode labels = node.putArray("holes");
        s.holes().forEach(h -> labels.add(h.label()));
        node.put("designation", s.solution().designation().orElse(null));
        node.set("cut_to", s.cutTo().map(Common::length).orElse(null));
        node.set("gap", s.gap().map(Common::length).orElse(null));
        node.set("grip_low", Common.length(s.gripLow()));
        node.set("grip_high", Common.length(s.gripHigh()));
        node.set("change", before.flatMap(s::change).map(Common::length).orElse(null));
        set(node, s, opened);
        return node;
    }

    private static void set(ObjectNode node, Stretch s, OnBuild.Opened opened) {
        node.put(
                "set",
                s.holes().stream().filter(h -> opened.log().set(h.hole())).count());
    }

    private String line(Stretch s, Optional<Solution> before) {
        return s.group().code() + "  " + s.holes().size() + " × "
                + s.solution().designation().orElse("none") + "  grip " + common().show(s.gripLow())
                + (s.gripHigh().same(s.gripLow()) ? "" : " to " + common().show(s.gripHigh()))
                + s.cutTo().map(c -> ", cut to " + common().show(c)).orElse("")
                + s.gap().map(g -> "  gap " + common().show(g)).orElse("")
                + before.flatMap(s::change)
                        .filter(c -> !c.same(Length.ZERO))
                        .map(c -> "  change " + common().show(c))
                        .orElse("");
    }
}
