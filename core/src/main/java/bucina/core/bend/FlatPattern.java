package bucina.core.bend;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.List;

/**
 * The flat of a profile: flats and bend bands laid end to end. All places are running dimensions from the first leg's
 * free edge.
 *
 * @param bends the bends, one fewer than the flats
 * @param flats the flats between tangents, each 0 or more
 */
public record FlatPattern(List<Bend> bends, List<Length> flats) {

    /**
     * A bend band in the flat.
     *
     * @param from tangent nearer the first leg
     * @param to   tangent nearer the last leg
     */
    public record Band(Length from, Length to) {}

    /** Which side of a bend lies under the nose bar. */
    public enum Clamp {
        FIRST,
        LAST;

        /**
         * Reads {@code first} or {@code last}.
         *
         * @throws InputException if it is neither
         */
        public static Clamp parse(String text) {
            return switch (text) {
                case "first" -> FIRST;
                case "last" -> LAST;
                default ->
                    throw new InputException(
                            "\"" + text + "\" is no side to clamp: write first (towards the first leg) or last");
            };
        }
    }

    public FlatPattern {
        bends = List.copyOf(bends);
        flats = List.copyOf(flats);
        if (flats.size() != bends.size() + 1) {
            throw new IllegalArgumentException(flats.size() + " flats for " + bends.size() + " bends");
        }
    }

    /**
     * The flat of a profile given by its legs.
     *
     * @param legs  lengths over 0, one more than there are bends
     * @param bends in order from the first leg; at least one
     * @throws InputException if the counts do not fit, legs cannot be measured so, or a leg is shorter than its bends
     *     take
     */
    public static FlatPattern of(List<Length> legs, List<Bend> bends, MeasuredTo measured) {
        if (bends.isEmpty() || legs.size() != bends.size() + 1) {
            throw new InputException(legs.size() + " legs and " + bends.size()
                    + " bends do not make a profile: give one leg more than bends, like legs 1,2,1"
                    + " and angles 90,-90");
        }
        List<Length> flats = new ArrayList<>();
        for (int i = 0; i < legs.size(); i++) {
            Length taken = checkLeg(legs, i, bends, measured);
            flats.add(legs.get(i).minus(taken).max(Length.ZERO));
        }
        return new FlatPattern(bends, flats);
    }

    private static Length checkLeg(List<Length> legs, int i, List<Bend> bends, MeasuredTo measured) {
        if (!legs.get(i).positive()) {
            throw new InputException("Leg " + (i + 1) + " is " + legs.get(i) + ": a leg is longer than 0, like 1.00");
        }
        Length taken = (i == 0 ? Length.ZERO : beyond(bends, i - 1, measured))
                .plus(i == bends.size() ? Length.ZERO : beyond(bends, i, measured));
        if (!legs.get(i).atLeast(taken)) {
            throw new InputException("Leg " + (i + 1) + " of " + legs.get(i) + " is too short by "
                    + taken.minus(legs.get(i)) + ": from the " + measured.code() + " the bends take " + taken
                    + " of it before the flat begins");
        }
        return taken;
    }

    private static Length beyond(List<Bend> bends, int i, MeasuredTo measured) {
        return measured.beyondTangent(bends.get(i))
                .orElseThrow(() -> new InputException(
                        "Bend " + (i + 1) + " of " + bends.get(i).size() + " has no apex to measure " + measured.code()
                                + " legs to: use outside or flat"));
    }

    /** Length of the flat sheet from edge to edge. */
    public Length developed() {
        return bands().isEmpty() ? flats.getFirst() : bands().getLast().to().plus(flats.getLast());
    }

    /** The bend bands, each from tangent line to tangent line. */
    public List<Band> bands() {
        List<Band> bands = new ArrayList<>();
        Length at = Length.ZERO;
        for (int i = 0; i < bends.size(); i++) {
            Length from = at.plus(flats.get(i));
            at = from.plus(bends.get(i).allowance());
            bands.add(new Band(from, at));
        }
        return bands;
    }

    /**
     * The sight lines: each one inside radius from the tangent that goes under the nose bar, on the bend's side of it.
     */
    public List<Length> sightLines(Clamp clamp) {
        List<Length> lines = new ArrayList<>();
        List<Band> bands = bands();
        for (int i = 0; i < bends.size(); i++) {
            Length radius = bends.get(i).radius();
            lines.add(
                    clamp == Clamp.FIRST
                            ? bands.get(i).from().plus(radius)
                            : bands.get(i).to().minus(radius));
        }
        return lines;
    }
}
