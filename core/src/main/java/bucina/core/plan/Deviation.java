package bucina.core.plan;

import bucina.core.dress.Preparation;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Optional;

/**
 * What one hole has otherwise than its group.
 *
 * @param hole        diameter as drilled, where it is not the catalogue's; over 0
 * @param fastener    another fastener, such as the next diameter after an egged hole
 * @param preparation another preparation
 * @param until       what it is held open for, such as {@code the fairing}; empty if it is not held by itself
 * @param reason      why, not blank
 */
public record Deviation(
        Optional<Length> hole,
        Optional<Fastener> fastener,
        Optional<Preparation> preparation,
        Optional<String> until,
        String reason) {
    /** One that does not hold the hole open. */
    public Deviation(
            Optional<Length> hole, Optional<Fastener> fastener, Optional<Preparation> preparation, String reason) {
        this(hole, fastener, preparation, Optional.empty(), reason);
    }

    public Deviation {
        if (reason.isBlank()) {
            throw new InputException("a deviation needs a written reason, such as \"egged, opened to -4\"");
        }
        if (hole.isPresent() && !hole.get().positive()) {
            throw new InputException("hole diameter must be over 0, was " + hole.get());
        }
        if (until.isPresent() && until.get().isBlank()) {
            throw new InputException("a hole held open needs a word what for, such as \"until the fairing is fitted\"");
        }
    }
}
