package bucina.core.hold;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import java.util.List;
import java.util.Optional;

/**
 * Why a hole stays open.
 *
 * @param parts     parts that must be in place first, in the order they go on; empty where the drawing holds it
 * @param until     what the drawing waits for; empty where parts hold it
 * @param lap       the sheet that must be lifted for the part; empty where the hole is shared with the part itself
 * @param underSize true if it may not be drilled past its present size either
 * @param present   its present size; empty if not known
 */
public record Held(
        List<String> parts, String until, Optional<String> lap, boolean underSize, Optional<Length> present) {

    public Held {
        parts = List.copyOf(parts);
    }

    /** The reason in a sentence, with what may be drilled. */
    public String sentence(Unit unit) {
        String why = lap.map(l -> "Held open: " + l + " is lifted here for " + String.join(", ", parts) + ".")
                .orElseGet(() -> parts.isEmpty()
                        ? "Held open by the drawing, until " + until + "."
                        : "Held open for " + String.join(", ", parts) + ", not in place yet.");
        return why
                + (underSize
                        ? " Not drilled past "
                                + present.map(p -> LengthFormat.trade(p, unit)).orElse("its present size")
                                + " until then."
                        : "");
    }

    /** What it waits for, in few words. */
    public String waitsFor() {
        return parts.isEmpty() ? until : String.join(", ", parts);
    }
}
