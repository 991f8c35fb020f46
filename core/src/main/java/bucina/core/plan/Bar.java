package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * One bar of long stock, and what was cut from it.
 *
 * @param id      its id
 * @param section what it is, as cutting lists call it, such as {@code Angle 3/4 x 3/4}; not blank
 * @param length  as it came, over 0
 * @param gauge   as measured; empty if it was not
 * @param bin     where it lies; may be empty
 * @param cuts    in the order they were cut
 */
public record Bar(Id.Bar id, String section, Length length, Optional<Length> gauge, String bin, List<Cut> cuts)
        implements Kept {

    /**
     * A piece that was cut from it.
     *
     * @param list  the cutting list that wanted it
     * @param piece what for; may be empty
     * @param length over 0, with what is trimmed
     * @param kerf  of the cut, at least 0
     * @param day   when
     */
    public record Cut(Id.Sum list, String piece, Length length, Length kerf, LocalDate day) {
        public Cut {
            Objects.requireNonNull(list, "list");
            Objects.requireNonNull(day, "day");
            Names.text("what a piece is for", piece);
            if (!length.positive() || !kerf.atLeast(Length.ZERO)) {
                throw new InputException("a piece is over 0 long and its kerf at least 0, such as 24 and .06; were "
                        + length + " and " + kerf);
            }
        }
    }

    public Bar {
        Objects.requireNonNull(id, "id");
        Names.check("the section of a bar", section);
        Names.text("a bin", bin);
        cuts = List.copyOf(cuts);
        if (!length.positive()) {
            throw new InputException("a bar of " + section + " is over 0 long, like 72, was " + length);
        }
        if (gauge.filter(g -> !g.positive()).isPresent()) {
            throw new InputException("the gauge of a bar of " + section + " is over 0, like .062, was " + gauge.get());
        }
        if (!taken(cuts).atMost(length)) {
            throw new InputException(
                    "from a bar of " + section + ", " + length + " long, more was cut than it has: " + taken(cuts));
        }
    }

    /** What the pieces took, without the kerf of the last: that may be saved. */
    private static Length taken(List<Cut> cuts) {
        Length sum = Length.ZERO;
        for (Cut cut : cuts) {
            sum = sum.plus(cut.length).plus(cut.kerf);
        }
        return cuts.isEmpty() ? sum : sum.minus(cuts.getLast().kerf);
    }

    /** What is left of it; a last cut that ends flush with it saves its kerf. */
    public Length left() {
        if (cuts.isEmpty()) {
            return length;
        }
        Length rest = length.minus(taken(cuts)).minus(cuts.getLast().kerf);
        return rest.positive() ? rest : Length.ZERO;
    }

    /** With more cut from it. */
    public Bar cut(List<Cut> more) {
        List<Cut> all = new ArrayList<>(cuts);
        all.addAll(more);
        return new Bar(id, section, length, gauge, bin, all);
    }

    /** With its gauge as measured, lying elsewhere. */
    public Bar kept(Optional<Length> measured, String where) {
        return new Bar(id, section, length, measured, where, cuts);
    }

    @Override
    public String called() {
        return "bar of " + section;
    }
}
