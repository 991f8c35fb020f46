package bucina.desk.cli;

import bucina.core.bend.RadiusTable;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc radius}: how tight a sheet may be bent. */
@Command(name = "radius", mixinStandardHelpOptions = true, description = "Least inside radius of a 90° bend.")
final class CalcRadiusCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--alloy", required = true, description = "Alloy and temper, like 2024-T3.")
    private String alloy;

    @Option(names = "--thickness", required = true, description = "Of the sheet.")
    private String thickness;

    @Override
    public Integer call() {
        Length t = common.lengths().parsePositive(thickness, "--thickness");
        RadiusTable.Least least = common.catalogue().radii().at(Material.parse(alloy), t);
        ObjectNode node = tree(least);
        common.answer(
                node,
                List.of(
                        "%-10s %s  (%.2f t), the practical least"
                                .formatted(
                                        "Practical",
                                        common.show(least.practical()),
                                        least.practical().per(t)),
                        "%-10s %s  (%.2f t)"
                                .formatted(
                                        "Safe",
                                        common.show(least.safe()),
                                        least.safe().per(t)),
                        "For 90° bends: " + least.source() + "."));
        return Cli.FINE;
    }

    private static ObjectNode tree(RadiusTable.Least least) {
        ObjectNode node = Common.object();
        node.set("practical", Common.length(least.practical()));
        node.set("safe", Common.length(least.safe()));
        node.put("source", least.source());
        return node;
    }
}
