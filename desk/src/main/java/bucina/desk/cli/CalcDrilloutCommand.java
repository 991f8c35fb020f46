package bucina.desk.cli;

import bucina.core.dress.Preparation;
import bucina.core.measure.DrillSize;
import bucina.core.measure.Length;
import bucina.core.prove.DrillOut;
import bucina.core.prove.Holes;
import bucina.core.rivet.HeadStyle;
import bucina.core.rule.Finding;
import bucina.core.stack.Solver;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc drillout}: how a rivet is drilled out and what goes in then. */
@Command(
        name = "drillout",
        mixinStandardHelpOptions = true,
        description = "How a rivet is drilled out, and what may go into the hole as it measures then.")
final class CalcDrilloutCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--head", required = true, description = "flush, universal or reduced.")
    private String head;

    @Option(names = "--diameter", required = true, description = "Nominal shank: 3/32, -3, .094 ...")
    private String diameter;

    @Option(names = "--prep", description = "csk or dimple under a flush head; without it csk.")
    private @Nullable String prep;

    @Option(names = "--hole", description = "The hole as measured afterwards.")
    private @Nullable String hole;

    @Option(names = "--layers", description = "Thicknesses, head side first: .025,.032")
    private @Nullable String layers;

    @Option(names = "--edges", description = "Edge distance in each layer, in their order: .25,.3")
    private @Nullable String edges;

    @Override
    public Integer call() {
        HeadStyle style = CalcRivetCommand.style(head);
        Preparation preparation = CalcRivetCommand.preparation(prep, head, style);
        DrillOut out = DrillOut.of(common.catalogue(), style, common.shank(diameter));
        List<Length> sheets = layers == null ? List.of() : common.lengths().parseList(layers, "--layers");
        List<Length> far = edges == null ? List.of() : common.lengths().parseList(edges, "--edges");
        if (!sheets.isEmpty() && !far.isEmpty() && sheets.size() != far.size()) {
            throw Common.wrong("--edges " + edges + " has " + far.size() + " figures for " + sheets.size()
                    + " layers: give one for each, as --edges .25,.3");
        }
        Optional<Length> measured =
                Optional.ofNullable(hole).map(h -> common.lengths().parsePositive(h, "--hole"));
        Solver solver = new Solver(common.catalogue(), common.catalogue().rules());
        Optional<DrillOut.Chosen> next = measured.map(h ->
                out.next(common.catalogue(), solver.rules(), "AD", preparation, h, Holes.figures(solver, sheets, far)));
        List<Finding> said = next.map(DrillOut.Chosen::said).orElse(List.of());
        Optional<String> rivet = next.flatMap(DrillOut.Chosen::option)
                .flatMap(o -> sheets.isEmpty()
                        ? Optional.of(o.rivet().name())
                        : Holes.solve(solver, o, sheets).designation());
        common.answer(tree(out, next, rivet, said), lines(out, next, rivet, said));
        return Common.exit(said);
    }

    private ObjectNode tree(DrillOut out, Optional<DrillOut.Chosen> next, Optional<String> rivet, List<Finding> said) {
        ObjectNode node = Common.object();
        node.set("drill", drill(out.bit()));
        node.set("depth", Common.length(out.depth()));
        node.put(
                "punch",
                "tip the head off with one that fits " + out.bit().name() + ", drive the shank with one under "
                        + common.show(out.size().shank()));
        node.set("hollow", drill(out.hollow()));
        node.put("next", next.map(n -> n.next().code()).orElse(null));
        node.put("designation", rivet.orElse(null));
        ArrayNode steps = node.putArray("steps");
        out.steps().forEach(s -> steps.add(s.in(common.unit())));
        node.set("findings", common.findings(said));
        return node;
    }

    private static ObjectNode drill(DrillSize drill) {
        return Common.object()
                .put("name", drill.name())
                .put("in", drill.diameter().in())
                .put("mm", drill.diameter().mm());
    }

    private List<String> lines(
            DrillOut out, Optional<DrillOut.Chosen> next, Optional<String> rivet, List<Finding> said) {
        List<String> lines = new ArrayList<>();
        int n = 1;
        for (var step : out.steps()) {
            lines.add(n++ + ". " + step.in(common.unit()));
        }
        next.ifPresent(c ->
                lines.add("Then: " + c.next().words() + rivet.map(r -> ", " + r).orElse("") + "."));
        said.forEach(f -> lines.add(common.line(f)));
        lines.add("The kit's drawing governs; nothing here is an approval.");
        return lines;
    }
}
