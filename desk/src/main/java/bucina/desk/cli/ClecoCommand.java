package bucina.desk.cli;

import bucina.core.cleco.ClecoPlan;
import bucina.core.cleco.Mode;
import bucina.core.hold.Holds;
import bucina.core.measure.LengthFormat;
import bucina.core.progress.FaceClecos;
import bucina.core.progress.FaceLocate;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code cleco FILE --face NAME}: the cleco progression of a face. */
@Command(
        name = "cleco",
        mixinStandardHelpOptions = true,
        description = "Clecos of a face, row by row, against the bin.")
final class ClecoCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--face", required = true, description = "Name of the face: \"Upper skin\"")
    private String face;

    @Option(names = "--row", description = "This row only, step by step.")
    private @Nullable String row;

    @Option(
            names = "--mode",
            description =
                    "middle-out, every-hole, nose-first or ends-in for every row; left out: middle-out, and every "
                            + "hole in thick joints.")
    private String mode;

    @Option(
            names = "--nearest",
            defaultValue = "2",
            description = "A cleco lies within so many holes on each side of the hole being drilled.")
    private int nearest;

    @Option(
            names = "--bin",
            split = ",",
            description = "Clecos on hand by size, in place of the build's stock: 3/32:80,1/8:40")
    private List<String> bins = List.of();

    @Override
    public Integer call() {
        Opened opened = open();
        var ref = face(opened, face);
        Holds holds = new Holds(opened.derivation(), opened.log());
        FaceClecos plan = FaceClecos.of(
                opened.derivation().face(ref.face().id()),
                opened.log(),
                holds,
                common().catalogue().clecos(),
                counts(opened.build().stock()),
                Optional.ofNullable(mode).map(Mode::parse),
                nearest);
        FaceLocate locate = FaceLocate.of(
                opened.derivation().face(ref.face().id()),
                opened.log(),
                common().catalogue().clecos(),
                counts(opened.build().stock()),
                Optional.ofNullable(mode).map(Mode::parse));
        List<FaceClecos.RowPlan> rows = plan.rows().stream()
                .filter(r -> row == null || r.row().name().equalsIgnoreCase(row.strip()))
                .toList();
        if (row != null
                && ref.face().groups().stream()
                        .flatMap(g -> g.rows().stream())
                        .noneMatch(r -> r.name().equalsIgnoreCase(row.strip()))) {
            throw Common.wrong(
                    "there is no row \"" + row + "\" on " + ref.face().name());
        }
        common().answer(tree(ref.face().name(), plan, rows, holds, locate), lines(plan, rows, holds, locate));
        return rows.stream().allMatch(r -> r.plan().filter(ClecoPlan::fits).isPresent()) ? Cli.FINE : Cli.FINDINGS;
    }

    private Map<String, Integer> counts(Map<String, Integer> stock) {
        Map<String, Integer> counts = new HashMap<>(stock);
        for (String bin : bins) {
            String[] parts = bin.split(":", -1);
            try {
                counts.put("cleco " + parts[0].strip(), Integer.parseInt(parts[1].strip()));
            } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
                throw Common.wrong("--bin \"" + bin + "\" is no size and count: write it like 3/32:80");
            }
        }
        return counts;
    }

    private ObjectNode tree(
            String name, FaceClecos plan, List<FaceClecos.RowPlan> rows, Holds holds, FaceLocate locate) {
        ObjectNode node = Common.object().put("face", name);
        sizes(node, plan);
        locate(node, locate);
        ArrayNode list = node.putArray("rows");
        for (FaceClecos.RowPlan r : rows) {
            row(r, holds, list);
        }
        return node;
    }

    private void row(FaceClecos.RowPlan r, Holds holds, ArrayNode list) {
        ObjectNode each = r.plan().map(CalcClecoCommand::tree).orElseGet(Common::object);
        head(each, r);
        ArrayNode labels = each.putArray("holes");
        r.holes().forEach(h -> labels.add(h.hole().label()));
        ArrayNode stay = each.putArray("stay");
        r.stay().forEach(stay::add);
        ArrayNode says = each.putArray("sentences");
        r.plan().ifPresent(p -> p.waves().forEach(w -> says.add(FaceClecos.sentence(r, w, holds, common().unit()))));
        ArrayNode riveting = each.putArray("riveting");
        r.size()
                .ifPresent(
                        z -> FaceClecos.rivet(r, holds).steps().forEach(t -> riveting.add(FaceClecos.sentence(r, t))));
        list.add(each);
    }

    private static void head(ObjectNode each, FaceClecos.RowPlan r) {
        each.put("row", r.row().name())
                .put("cleco", r.size().map(s -> s.name()).orElse(null))
                .put("other_clecos", r.others())
                .put("no_cleco", r.none())
                .put("mode", r.plan().map(p -> p.row().mode().code()).orElse(null))
                .put("held", r.held())
                .put("kept", r.kept())
                .put("lifted", r.lifted())
                .put("reason", r.why());
    }

    private static void locate(ObjectNode node, FaceLocate locate) {
        ObjectNode first =
                node.putObject("locate").put("reason", locate.shape().reason()).put("every", locate.dense());
        ArrayNode waves = first.putArray("waves");
        locate.steps().forEach(w -> {
            ObjectNode each = waves.addObject().put("every", w.every()).put("why", w.why());
            ArrayNode place = each.putArray("place");
            w.holes().forEach(h -> place.add(h.label()));
        });
    }

    private static void sizes(ObjectNode node, FaceClecos plan) {
        ArrayNode sizes = node.putArray("sizes");
        plan.sizes().forEach(u -> {
            ObjectNode each = sizes.addObject()
                    .put("size", u.size().name())
                    .put("colour", u.size().colour())
                    .put("peak", u.peak());
            if (u.bin() >= 0) {
                each.put("bin", u.bin());
            } else {
                each.putNull("bin");
            }
        });
    }

    private List<String> lines(FaceClecos plan, List<FaceClecos.RowPlan> rows, Holds holds, FaceLocate locate) {
        List<String> lines = new ArrayList<>();
        plan.sizes()
                .forEach(u -> lines.add("Cleco %-5s (%s)  peak %d%s"
                        .formatted(
                                u.size().name(),
                                u.size().colour(),
                                u.peak(),
                                u.bin() < 0 ? ", no bin counted" : " of " + u.bin())));
        locating(lines, locate);
        if (rows.isEmpty()) {
            lines.add("Every hole " + (row == null ? "of the face" : "of " + row.strip()) + " has its fastener in.");
        }
        for (FaceClecos.RowPlan r : rows) {
            rowLine(r, lines);
            waves(lines, r, holds);
        }
        return lines;
    }

    private void waves(List<String> lines, FaceClecos.RowPlan r, Holds holds) {
        if (row != null) {
            lines.add("      " + r.around());
            r.plan()
                    .ifPresent(p -> p.waves()
                            .forEach(w -> lines.add("      " + FaceClecos.sentence(r, w, holds, common().unit()))));
            r.size().ifPresent(z -> lines.add("      Then rivet:"));
            r.size()
                    .ifPresent(z -> FaceClecos.rivet(r, holds)
                            .steps()
                            .forEach(t -> lines.add("      " + FaceClecos.sentence(r, t))));
        }
    }

    private void rowLine(FaceClecos.RowPlan r, List<String> lines) {
        String what = r.size().isEmpty()
                ? "no cleco holds well in "
                        + LengthFormat.trade(r.holes().getFirst().solution().hole(), common().unit())
                : r.plan()
                        .filter(ClecoPlan::fits)
                        .map(p -> p.row().mode().code() + ", peak " + p.peak() + ", " + p.moves() + " placed")
                        .orElse("the bin is too small: at least "
                                + r.plan().map(ClecoPlan::least).orElse(0));
        lines.add("%-5s %3d holes  %s%s. %s"
                .formatted(
                        r.row().name(),
                        r.holes().size(),
                        what,
                        (r.held() == 0 ? "" : ", " + r.held() + " held")
                                + (r.others().isEmpty() ? "" : ", " + r.others())
                                + (r.none() == 0 || r.size().isEmpty()
                                        ? ""
                                        : ", " + r.none() + " between sizes take none"),
                        r.why()));
    }

    private void locating(List<String> lines, FaceLocate locate) {
        if (row == null) {
            lines.add("Locate first, " + locate.shape().reason() + ": "
                    + (locate.dense() == 0
                            ? "the bin is too small even for every 64th hole"
                            : locate.steps().stream()
                                            .mapToInt(w -> w.holes().size())
                                            .sum() + " clecos, every " + locate.dense() + " holes in the end"));
            locate.steps()
                    .forEach(w -> lines.add(
                            "      " + w.holes().stream().map(h -> h.label()).collect(Collectors.joining(", "))));
        }
    }
}
