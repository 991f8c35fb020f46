package bucina.core.plan;

import bucina.core.measure.InputException;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A compound as it was mixed once.
 *
 * @param id       its id
 * @param compound what was mixed, with its times
 * @param mixed    when
 * @param covers   the surfaces it is for
 * @param stirred  when it was stirred last; when it was mixed, at first
 * @param ended    when it was used up or thrown away; empty while it is in use
 */
public record Batch(
        Id.Batch id, Compound compound, Instant mixed, List<Surface> covers, Instant stirred, Optional<Instant> ended)
        implements Kept {

    /**
     * One side of one sheet.
     *
     * @param far true for the side away from the viewer of its face
     */
    public record Surface(Id.Layer layer, boolean far) {
        public Surface {
            Objects.requireNonNull(layer, "layer");
        }
    }

    public Batch {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(compound, "compound");
        Objects.requireNonNull(ended, "ended");
        covers = List.copyOf(covers);
        if (stirred.isBefore(mixed) || ended.filter(mixed::isAfter).isPresent()) {
            throw new InputException("a batch is stirred and ended after it was mixed, " + mixed);
        }
    }

    @Override
    public String called() {
        return "batch " + id.n();
    }

    /** Just mixed. */
    public static Batch mixed(Id.Batch id, Compound compound, Instant at, List<Surface> covers) {
        return new Batch(id, compound, at, covers, at, Optional.empty());
    }

    /** Stirred again. */
    public Batch stirred(Instant at) {
        return new Batch(id, compound, mixed, covers, at, ended);
    }

    /** Used up or thrown away. */
    public Batch ended(Instant at) {
        return new Batch(id, compound, mixed, covers, stirred, Optional.of(at));
    }
}
