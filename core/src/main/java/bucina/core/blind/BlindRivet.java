package bucina.core.blind;

import bucina.core.measure.Length;
import java.util.Objects;
import java.util.Optional;

/**
 * One length of a pulled rivet.
 *
 * @param name    {@code 3.2 × 8}; for dash-numbered families {@code grip 3}
 * @param length  of the body as the family measures it; empty where the family names only the grip
 * @param gripMin least grip, itself included
 * @param gripMax most grip, itself included; over the least
 * @param mandrel how far the mandrel head stands beyond the body; empty where only the maker knows
 * @param source  where the figures come from
 */
public record BlindRivet(
        String name, Optional<Length> length, Length gripMin, Length gripMax, Optional<Length> mandrel, String source) {
    public BlindRivet {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(source, "source");
        if (!(gripMin.nanometres() >= 0 && gripMax.nanometres() > gripMin.nanometres())) {
            throw new IllegalArgumentException(
                    "grip range of " + name + " must go up from 0, was " + gripMin + " to " + gripMax);
        }
    }

    /** True if the stack lies in the grip range. */
    public boolean grips(Length grip) {
        return grip.atLeast(gripMin) && grip.atMost(gripMax);
    }

    /** How far the unset body stands behind the stack: {@code L - G}. */
    public Optional<Length> standsBehind(Length grip) {
        return length.map(l -> l.minus(grip));
    }

    /** What must be free behind: body and mandrel head. */
    public Optional<Length> needsBehind(Length grip) {
        return standsBehind(grip).flatMap(s -> mandrel.map(s::plus));
    }
}
