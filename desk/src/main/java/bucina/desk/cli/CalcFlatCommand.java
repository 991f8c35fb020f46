package bucina.desk.cli;

import bucina.core.bend.Bend;
import bucina.core.bend.FlatPattern;
import bucina.core.bend.MeasuredTo;
import bucina.core.bend.NeutralLine;
import bucina.core.measure.Angle;
import bucina.core.measure.Length;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc flat}: the flat of a profile of any number of bends. */
@Command(
        name = "flat",
        mixinStandardHelpOptions = true,
        description = "Flat of a bent profile: developed length, tangent and sight lines.")
final class CalcFlatCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--legs", required = true, description = "Lengths of the legs in order: 1,2,1")
    private String legs;

    @Option(
            names = "--angles",
            required = true,
            description = "How far the sheet is turned at each bend, signed by direction: 90,-90")
    private String angles;

    @Option(names = "--radius", required = true, description = "Inside radius of the bends.")
    private String radius;

    @Option(names = "--thickness", required = true, description = "Of the sheet.")
    private String thickness;

    @Option(
            names = "--k",
            required = true,
            description = "The neutral line's share of the thickness, like 0.446, or empirical.")
    private String k;

    @Option(
            names = "--measured-to",
            defaultValue = "mould",
            description = "What the legs are measured to: mould, outside, inside or flat.")
    private String measured;

    @Option(
            names = "--clamp",
            defaultValue = "first",
            description = "Which side of each bend is under the nose bar: first or last.")
    private String clamp;

    @Override
    public Integer call() {
        Length r = common.lengths().parse(radius);
        Length t = common.lengths().parse(thickness);
        NeutralLine neutral = NeutralLine.parse(k);
        List<Length> asked =
                Arrays.stream(legs.split(",", -1)).map(common.lengths()::parse).toList();
        List<Bend> bends = Arrays.stream(angles.split(",", -1))
                .map(a -> new Bend(r, t, Angle.parse(a), neutral))
                .toList();
        FlatPattern flat = FlatPattern.of(asked, bends, MeasuredTo.parse(measured));
        List<Length> sight = flat.sightLines(FlatPattern.Clamp.parse(clamp));
        ObjectNode node = tree(flat, sight);
        common.answer(node, table(flat, sight));
        return Cli.FINE;
    }

    private static ObjectNode tree(FlatPattern flat, List<Length> sight) {
        ObjectNode node = Common.object();
        node.set("developed_length", Common.length(flat.developed()));
        ArrayNode flats = node.putArray("flats");
        flat.flats().forEach(f -> flats.add(Common.length(f)));
        ArrayNode tangents = node.putArray("tangents");
        flat.bands()
                .forEach(b -> tangents.addArray().add(Common.length(b.from())).add(Common.length(b.to())));
        ArrayNode lines = node.putArray("sight_lines");
        sight.forEach(s -> lines.add(Common.length(s)));
        return node;
    }

    private List<String> table(FlatPattern flat, List<Length> sight) {
        List<String> rows = new ArrayList<>(List.of(
                "Developed length " + common.show(flat.developed())
                        + ". Running dimensions from the first leg's free edge:",
                "%4s %12s %12s %12s %12s".formatted("bend", "turned by", "tangent", "sight line", "tangent")));
        rows(sight, flat, rows);
        rows.add("Bend a strip of the same sheet first, and measure it.");
        return rows;
    }

    private void rows(List<Length> sight, FlatPattern flat, List<String> rows) {
        for (int i = 0; i < sight.size(); i++) {
            FlatPattern.Band band = flat.bands().get(i);
            rows.add("%4d %12s %12s %12s %12s"
                    .formatted(
                            i + 1,
                            flat.bends().get(i).turn(),
                            common.show(band.from()),
                            common.show(sight.get(i)),
                            common.show(band.to())));
        }
    }
}
