package bucina.desk.cli;

import bucina.core.nutplate.NutPlate;
import bucina.core.nutplate.NutPlateLayout;
import bucina.core.nutplate.ScrewPattern;
import bucina.core.sheet.Point;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc nutplate}: plates behind a pattern of screws. */
@Command(
        name = "nutplate",
        mixinStandardHelpOptions = true,
        description = "Two-lug nut plates behind screws: lug rivets, turns, how many of what.")
final class CalcNutplateCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(
            names = "--screws",
            required = true,
            description =
                    "circle:8:3.0 (count, diameter), rect:4x3:6.0x4.0 (counts, size) or row:6:1.25 (count, pitch).")
    private String screws;

    @Option(names = "--size", required = true, description = "Of the screws: 6, 8, 10 or 1/4.")
    private String size;

    @Option(
            names = "--lugs",
            defaultValue = "",
            description =
                    "Lug rivets from the screw where it is no two-lug plate, x,y;x,y with x along the plate: from "
                            + "the drawing.")
    private String lugs;

    @Option(
            names = "--times",
            defaultValue = "1",
            description = "How many such brackets, both hands counted: for the demand.")
    private int times;

    @Override
    public Integer call() {
        if (times < 1 || times > 10_000) {
            throw Common.wrong("--times " + times + ": it is 1 to 10000, like 2");
        }
        NutPlate twoLug = NutPlate.of(common.catalogue().nutPlates(), size);
        NutPlate plate = lugs.isBlank() ? twoLug : twoLug.shaped(lugs, common.lengths());
        NutPlateLayout layout = NutPlateLayout.of(
                ScrewPattern.parse(screws, common.lengths()),
                plate,
                common.catalogue().rules(),
                Optional.empty(),
                List.of(),
                List.of());
        ObjectNode node = Common.object();
        ArrayNode at = node.putArray("screws");
        ArrayNode plates = node.putArray("plates");
        ArrayNode rivets = node.putArray("rivets");
        List<String> lines =
                new ArrayList<>(List.of("%5s %12s %12s %8s   lug rivets".formatted("screw", "x", "y", "turn")));
        plates(layout, at, plates, rivets, lines);
        int count = layout.plates().size() * times;
        node.putObject("demand")
                .put("plates", count)
                .put("rivets", plate.places().size() * count)
                .put("screws", count);
        node.set("findings", common.findings(layout.findings()));
        lines.add("Screw holes " + plate.drill() + " " + common.show(plate.hole()) + ", lug rivets "
                + common.show(plate.rivet()) + " (" + plate.source() + ")");
        lines.add("Take " + count + " plates, " + plate.places().size() * count + " rivets, " + count + " screws.");
        layout.findings().forEach(f -> lines.add(common.line(f)));
        lines.add("Run a screw through, thread the plate on a turn, drill one lug, cleco, drill the other. Measure "
                + "the lug: it is a layer.");
        common.answer(node, lines);
        return Common.exit(layout.findings());
    }

    private void plates(NutPlateLayout layout, ArrayNode at, ArrayNode plates, ArrayNode rivets, List<String> lines) {
        int n = 0;
        for (NutPlateLayout.Laid laid : layout.plates()) {
            at.add(point(laid.screw()));
            ObjectNode each = plates.addObject();
            each.set("position", point(laid.screw()));
            each.put("turn", laid.turn());
            laid.rivets().forEach(r -> rivets.add(point(r)));
            lines.add(String.format(
                    Locale.ROOT,
                    "%5d %12s %12s %7.1f°   %s",
                    ++n,
                    common.show(laid.screw().across()),
                    common.show(laid.screw().up()),
                    laid.turn(),
                    String.join(
                            "; ",
                            laid.rivets().stream()
                                    .map(r -> common.show(r.across()) + ", " + common.show(r.up()))
                                    .toList())));
        }
    }

    private static ObjectNode point(Point p) {
        ObjectNode node = Common.object();
        node.set("x", Common.length(p.across()));
        node.set("y", Common.length(p.up()));
        return node;
    }
}
