package bucina.core.stores;

import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Packed;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** A letter to the kit's maker about what is short or wrong. */
public final class Letter {

    private Letter() {}

    /** As plain text; says so where nothing is wrong. */
    public static String of(Build build, Unit unit, LocalDate today) {
        List<String> lines = new ArrayList<>();
        for (Packed line : build.workshop().packing()) {
            String what = "- " + (line.number().isBlank() ? "" : line.number() + "  ") + line.name()
                    + (line.crate().isBlank() ? "" : "  (" + line.crate() + ")") + ": ";
            Packed.Found found = line.found();
            switch (CheckIn.state(line)) {
                case SHORT -> lines.add(what + found.count().orElse(0) + " of " + line.count() + " were there.");
                case DOUBLED ->
                    lines.add(what + found.count().orElse(0) + " were there, the list has " + line.count()
                            + ". Shall I send back what is too much?");
                case GAUGE ->
                    lines.add(what + "it measures "
                            + LengthFormat.decimal(found.gauge().orElseThrow(), unit, 3) + ", called for is "
                            + LengthFormat.decimal(line.gauge().orElseThrow(), unit, 3) + ".");
                case LENGTH ->
                    lines.add(what + "it is "
                            + LengthFormat.decimal(found.length().orElseThrow(), unit, 3) + " long, called for is "
                            + LengthFormat.decimal(line.length().orElseThrow(), unit, 3) + ".");
                case NOT_YET, RIGHT -> {}
            }
        }
        if (lines.isEmpty()) {
            return "Nothing is short or wrong of what was looked at.\n";
        }
        return today + "\n\nAbout my kit: " + build.aircraft() + ", " + build.name()
                + "\n\nI have checked the crates against the packing list. These do not agree with it:\n\n"
                + String.join("\n", lines)
                + "\n\nPlease tell me what will be sent and when, and whether anything that is built with these parts"
                + " must wait.\n";
    }
}
