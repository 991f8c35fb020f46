package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.rule.RuleCode;
import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;

/**
 * A finding that somebody accepted, with the reason. It covers the finding as it was: a worse figure is a finding
 * again.
 *
 * @param id       its id
 * @param subject  hole, row or group that the finding is about
 * @param rule     code of the rule
 * @param layer    name of the layer or neighbour in the finding; may be empty
 * @param measured the figure accepted; empty where the rule measures nothing
 * @param required the limit then
 * @param reason   not blank
 * @param who      who accepted it, not blank
 * @param on       the day
 */
public record Acceptance(
        Id.Acceptance id,
        Id subject,
        RuleCode rule,
        String layer,
        Optional<Length> measured,
        Optional<Length> required,
        String reason,
        String who,
        LocalDate on)
        implements Kept {

    public Acceptance {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(subject, "subject");
        Objects.requireNonNull(rule, "rule");
        Objects.requireNonNull(layer, "layer");
        Objects.requireNonNull(measured, "measured");
        Objects.requireNonNull(required, "required");
        Objects.requireNonNull(on, "on");
        if (reason.isBlank() || who.isBlank()) {
            throw new InputException(
                    "accepting a finding needs a reason and a name, such as \"drawing shows it so, sheet 31\" by "
                            + "\"M. Oake\"");
        }
    }

    @Override
    public String called() {
        return "acceptance " + id.n();
    }

    /**
     * True if it covers a finding of this rule about its subject: the same layer and a figure no farther from its
     * limit.
     */
    public boolean covers(
            RuleCode otherRule, String otherLayer, Optional<Length> nowMeasured, Optional<Length> nowRequired) {
        if (rule != otherRule || !layer.equals(otherLayer)) {
            return false;
        }
        if (measured.isEmpty() || required.isEmpty() || nowMeasured.isEmpty() || nowRequired.isEmpty()) {
            return true;
        }
        return nowRequired
                .get()
                .minus(nowMeasured.get())
                .abs()
                .atMost(required.get().minus(measured.get()).abs());
    }
}
