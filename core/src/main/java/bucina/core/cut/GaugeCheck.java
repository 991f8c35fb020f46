package bucina.core.cut;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
import java.util.Optional;

/**
 * The measured thickness of stock against the gauge called for.
 *
 * @param called    on the drawing, over 0
 * @param tolerance either way, 0 or more
 */
public record GaugeCheck(Length called, Length tolerance) {

    /** What rolled and extruded stock of these gauges is usually held to; the mill's own table governs. */
    public static final Length USUAL = Length.in(.004);

    public GaugeCheck {
        if (!called.positive()) {
            throw new InputException("The gauge called for is " + called + ": it is over 0, like .050");
        }
        if (!tolerance.atLeast(Length.ZERO)) {
            throw new InputException("The tolerance of the gauge is " + tolerance + ": it is 0 or more, like .004");
        }
    }

    /** What is wrong with stock of a measured thickness; empty if it is the gauge called for. */
    public Optional<Finding> judge(Length measured) {
        if (measured.minus(called).abs().atMost(tolerance)) {
            return Optional.empty();
        }
        return Optional.of(new Finding(
                RuleCode.GAUGE,
                Level.ERROR,
                Finding.Place.NONE,
                Optional.of(measured),
                Optional.of(called),
                "the drawing's gauge, ± " + tolerance,
                Sentence.of("This stock measures {}; {} is called for.", measured, called),
                Sentence.of("Do not cut it: look through the stock again, or order the gauge called for.")));
    }
}
