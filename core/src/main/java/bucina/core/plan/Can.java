package bucina.core.plan;

import bucina.core.measure.InputException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;

/**
 * A can of primer or sealant on the shelf, or a cartridge in the freezer.
 *
 * @param id     its id
 * @param name   as on the can, not blank; the name of the compound where it is mixed from it
 * @param kind   what it is for
 * @param amount how much, as on the can; may be empty
 * @param useBy  the last day of its shelf life; empty where none is printed
 * @param frozen how it is kept and thawed; empty for what stands on a shelf
 * @param bin    where it lies; may be empty
 * @param gone   when it was used up or thrown away; empty while it is there
 */
public record Can(
        Id.Can id,
        String name,
        Compound.Kind kind,
        String amount,
        Optional<LocalDate> useBy,
        Optional<Frozen> frozen,
        String bin,
        Optional<LocalDate> gone)
        implements Kept {

    /**
     * What is mixed by the maker and kept in the freezer.
     *
     * @param thaw  minutes it thaws before it may be used, 0 to {@link Compound#MOST}
     * @param life  minutes it can be worked from when it is taken out, over its thaw, to {@link Compound#MOST}
     * @param taken when it was taken out; empty while it is frozen
     */
    public record Frozen(int thaw, int life, Optional<Instant> taken) {
        public Frozen {
            Objects.requireNonNull(taken, "taken");
            if (thaw < 0 || life <= thaw || life > Compound.MOST) {
                throw new InputException("it thaws 0 minutes or more, and can be worked for longer than that, up to "
                        + Compound.MOST + ", such as 20 and 120; were " + thaw + " and " + life);
            }
        }
    }

    public Can {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(useBy, "useBy");
        Objects.requireNonNull(frozen, "frozen");
        Objects.requireNonNull(gone, "gone");
        Names.check("a can", name);
        Names.text("how much is in a can", amount);
        Names.text("a bin", bin);
    }

    /** Taken out of the freezer. */
    public Can taken(Instant at) {
        Optional<Frozen> out = frozen.map(f -> new Frozen(f.thaw, f.life, Optional.of(at)));
        return new Can(id, name, kind, amount, useBy, out, bin, gone);
    }

    /** Used up or thrown away. */
    public Can gone(LocalDate day) {
        return new Can(id, name, kind, amount, useBy, frozen, bin, Optional.of(day));
    }

    @Override
    public String called() {
        return "can of " + name;
    }
}
