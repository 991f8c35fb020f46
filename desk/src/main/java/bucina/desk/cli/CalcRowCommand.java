package bucina.desk.cli;

import bucina.core.layout.RowLayout;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc row}: stations of a row in whole spaces. */
@Command(
        name = "row",
        mixinStandardHelpOptions = true,
        description = "Stations of a row in whole spaces, as running dimensions.")
final class CalcRowCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--first", required = true, description = "Station of the first hole.")
    private String first;

    @Option(names = "--last", required = true, description = "Station of the last hole.")
    private String last;

    @Option(
            names = "--pitch",
            required = true,
            description = "Pitch wished for; the nearest whole number of spaces is taken.")
    private String pitch;

    @Option(names = "--diameter", required = true, description = "Nominal shank: 3/32, -3, .094 ...")
    private String diameter;

    @Option(names = "--thickness", description = "Thinnest sheet of the stack.")
    private String thickness;

    @Option(names = "--fixed", description = "The drawing fixes the row: a wide pitch is only noted.")
    private boolean fixed;

    @Override
    public Integer call() {
        Length wished = common.lengths().parsePositive(pitch, "--pitch");
        Length shank = common.shank(diameter);
        Optional<Length> thinnest =
                Optional.ofNullable(thickness).map(t -> common.lengths().parsePositive(t, "--thickness"));
        RowLayout row = RowLayout.of(
                common.lengths().parse(first),
                common.lengths().parse(last),
                wished,
                shank,
                thinnest,
                fixed,
                common.catalogue().rules());
        ObjectNode node = Common.object().put("spaces", row.spaces());
        node.set("pitch", Common.length(row.pitch()));
        ArrayNode stations = node.putArray("stations");
        row.stations().forEach(s -> stations.add(Common.length(s)));
        node.set("findings", common.findings(row.findings()));
        List<String> lines = new ArrayList<>(List.of(
                row.spaces() + " spaces of " + common.show(row.pitch()) + ", " + (row.spaces() + 1) + " holes",
                "%5s %12s %14s %12s".formatted("hole", "inch", "nearest 1/64", "mm")));
        for (int i = 0; i < row.stations().size(); i++) {
            Length s = row.stations().get(i);
            lines.add("%5d %12s %14s %12s"
                    .formatted(
                            i + 1,
                            LengthFormat.decimal(s, Unit.INCH, 3),
                            LengthFormat.fraction(s),
                            LengthFormat.decimal(s, Unit.MM, 3)));
        }
        row.findings().forEach(f -> lines.add(common.line(f)));
        common.answer(node, lines);
        return Common.exit(row.findings());
    }
}
