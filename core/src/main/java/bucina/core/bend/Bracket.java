package bucina.core.bend;

import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Crossing;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.List;
import java.util.Optional;

/**
 * A small bent part: a flat base with flanges along some of its sides. Places on the base are measured from where the
 * outer faces would meet (the mould
 * lines), seen on the face that the flanges stand up from.
 *
 * @param base    corners of the base, over mould lines, counter-clockwise
 * @param sheet   what all its bends share
 * @param flanges at most one for each side
 * @param holes   where they are in the folded part
 * @param relief  diameter wished for the relief holes; empty for the least
 * @param grain   which way the sheet was rolled
 */
public record Bracket(
        List<Point> base, Sheet sheet, List<Flange> flanges, List<Hole> holes, Optional<Length> relief, Grain grain) {

    /** Relief holes are 1/8 in across at the least (FAA-H-8083-31). */
    public static final Length RELIEF_LEAST = Length.fraction(1, 8);

    /** Rolling direction of the sheet against the base. */
    public enum Grain {
        ACROSS("along x"),
        UP("along y"),
        UNKNOWN("not marked");

        private final String word;

        Grain(String word) {
            this.word = word;
        }

        /** In plain words. */
        public String word() {
            return word;
        }
    }

    /**
     * The sheet and the bends in it.
     *
     * @param thickness over 0
     * @param radius    inside, 0 or more
     */
    public record Sheet(Length thickness, Length radius, NeutralLine neutral) {

        /** A bend of this sheet. */
        public Bend bend(Angle turn) {
            return new Bend(radius, thickness, turn, neutral);
        }
    }

    /**
     * A flange.
     *
     * @param side   of the base, counted from 0: side i runs from corner i to the next
     * @param height from the mould line to the free edge, over its outer face
     * @param turn   how far it is turned: over 0 stands up, under 0 hangs down; up to 150°
     */
    public record Flange(int side, Length height, Angle turn) {}

    /**
     * A hole in the folded part.
     *
     * @param flange   index of its flange; empty on the base
     * @param along    on the base x; on a flange along its side, from the side's first corner
     * @param up       on the base y; on a flange up from the mould line
     * @param diameter over 0
     */
    public record Hole(Optional<Integer> flange, Length along, Length up, Length diameter) {
        public Hole {
            if (!diameter.positive()) {
                throw new InputException("A hole is " + diameter + " across: it is over 0, like #40 or .098");
            }
        }
    }

    public Bracket {
        base = List.copyOf(base);
        flanges = List.copyOf(flanges);
        holes = List.copyOf(holes);
        checkBase(base);
        if (flanges.isEmpty()) {
            throw new InputException("No flange is given: name a side and its height, like 1: .75");
        }
        for (Flange f : flanges) {
            if (f.side < 0 || f.side >= base.size()) {
                throw new InputException(
                        "There is no side " + (f.side + 1) + ": the base has sides 1 to " + base.size());
            }
            if (flanges.stream().filter(o -> o.side == f.side).count() > 1) {
                throw new InputException("Side " + (f.side + 1) + " has two flanges: give one");
            }
        }
    }

    private static void checkBase(List<Point> base) {
        if (base.size() < 3) {
            throw new InputException(
                    "A base has at least 3 corners, was given " + base.size() + ": write them like 0,0; 3,0; 3,2; 0,2");
        }
        if (!Ring.polygon(base).counterclockwise()) {
            throw new InputException(
                    "The corners of the base go round clockwise or lie on a line: give them counter-clockwise, like "
                            + "0,0; 3,0; 3,2; 0,2");
        }
        if (new Crossing(Ring.polygon(base)).crosses()) {
            throw new InputException(
                    "The base crosses itself: give its corners in turn round it, like 0,0; 3,0; 3,2; 0,2");
        }
    }

    /**
     * A channel or an angle: a base so long and wide with a flange along the lower and, if it is given, along the upper
     * side.
     */
    public static List<Point> rectangle(Length width, Length depth) {
        if (!width.positive() || !depth.positive()) {
            throw new InputException("The base is " + width + " by " + depth + ": both are over 0, like 3 by 2");
        }
        Length zero = Length.ZERO;
        return List.of(Point.at(zero, zero), Point.at(width, zero), Point.at(width, depth), Point.at(zero, depth));
    }
}
