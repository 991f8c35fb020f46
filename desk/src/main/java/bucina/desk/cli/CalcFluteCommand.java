package bucina.desk.cli;

import bucina.core.bend.Flutes;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc flute}: flutes for a bowed flange. */
@Command(
        name = "flute",
        mixinStandardHelpOptions = true,
        description = "How many flutes straighten a bowed flange, and how deep.")
final class CalcFluteCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--sagitta", required = true, description = "Bow of the hole line over the chord.")
    private String sagitta;

    @Option(names = "--chord", required = true, description = "Length over which the bow was measured.")
    private String chord;

    @Option(names = "--flange", required = true, description = "From the hole line to the flange's free edge.")
    private String flange;

    @Option(names = "--depth", required = true, description = "Wished depth of a flute.")
    private String depth;

    @Option(names = "--width", required = true, description = "Width of a flute.")
    private String width;

    @Override
    public Integer call() {
        var read = common.lengths();
        Flutes f = Flutes.of(
                read.parse(sagitta), read.parse(chord), read.parse(flange), read.parse(depth), read.parse(width));
        ObjectNode node = tree(f);
        common.answer(
                node,
                List.of(
                        "The free edge is " + common.show(f.excess())
                                + " too long; a flute of the wished depth takes up " + common.show(f.takeUp()) + ".",
                        f.count() == 0
                                ? "No flute is needed."
                                : f.count() + (f.count() == 1 ? " flute of " : " flutes of ")
                                        + common.show(f.depthEach()) + ", between the holes where the bow is. About "
                                        + common.show(f.residualSagitta()) + " of bow stays.",
                        "An estimate: make them shallower first, measure again, and flatten what was too much."));
        return Cli.FINE;
    }

    private static ObjectNode tree(Flutes f) {
        ObjectNode node = Common.object();
        node.set("excess", Common.length(f.excess()));
        node.set("take_up", Common.length(f.takeUp()));
        node.put("flutes", f.count());
        node.set("depth_each", Common.length(f.depthEach()));
        node.set("residual_sagitta", Common.length(f.residualSagitta()));
        return node;
    }
}
