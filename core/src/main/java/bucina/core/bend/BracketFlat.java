package bucina.core.bend;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/*
 * Design. The flat keeps the coordinates of the folded base. Each flanged side is moved in by its setback: where two
 * such lines meet is a corner of the
 * base's flat, and there the relief hole is centred. A flange goes out square to its side from those corners: band,
 * then flat. The outline runs into each
 * relief hole, round the far side of it, and out again, so that it can be cut as drawn.
 */

/**
 * The flat of a bracket.
 *
 * @param bracket what it is the flat of
 * @param outline to cut along, relief holes in it
 * @param bands   one for each flange, in the bracket's order
 * @param reliefs where two bends meet
 * @param holes   centres in the flat, in the bracket's order
 */
public record BracketFlat(
        Bracket bracket, Outline outline, List<BandLine> bands, List<Relief> reliefs, List<Point> holes) {

    /**
     * A bend band.
     *
     * @param flange what bends there
     * @param bend   the bend
     * @param from   the first end of the tangent line on the base
     * @param to     its other end
     * @param outX   unit vector out from the base, x
     * @param outY   y
     */
    public record BandLine(Bracket.Flange flange, Bend bend, Point from, Point to, double outX, double outY) {

        /** A place out from the tangent line on the base, above its first end. */
        public Point first(Length out) {
            return new Point(from.x() + outX * out.nanometres(), from.y() + outY * out.nanometres());
        }

        /** The same above its other end. */
        public Point last(Length out) {
            return new Point(to.x() + outX * out.nanometres(), to.y() + outY * out.nanometres());
        }

        /** Out from the tangent on the base to the free edge. */
        public Length reach() {
            return bend.allowance().plus(flange.height()).minus(setback());
        }

        /** Setback of the bend. */
        public Length setback() {
            return bend.setback().orElseThrow();
        }
    }

    /** A relief hole. */
    public record Relief(Point at, Length diameter) {}

    public BracketFlat {
        bands = List.copyOf(bands);
        reliefs = List.copyOf(reliefs);
        holes = List.copyOf(holes);
    }

    /**
     * Unfolds a bracket.
     *
     * @throws InputException if a flange or a side is too short for its bends, or the flat would lie over itself
     */
    public static BracketFlat of(Bracket bracket) {
        return new Unfolding(bracket).flat();
    }

    private static final class Unfolding {
        private final Bracket bracket;
        private final int n;
        private final List<Optional<Bracket.Flange>> onSide = new ArrayList<>();
        private final Point[] corners;

        Unfolding(Bracket bracket) {
            this.bracket = bracket;
            this.n = bracket.base().size();
            this.corners = new Point[n];
            for (int i = 0; i < n; i++) {
                int side = i;
                onSide.add(
                        bracket.flanges().stream().filter(f -> f.side() == side).findFirst());
                onSide.get(i).ifPresent(this::check);
            }
            for (int i = 0; i < n; i++) {
                corners[i] = corner(i);
            }
        }

        private Bend bend(Bracket.Flange flange) {
            return bracket.sheet().bend(flange.turn());
        }

        private void check(Bracket.Flange flange) {
            Bend bend = bend(flange);
            if (bend.size().degrees() > 150) {
                throw new InputException("The flange of side " + (flange.side() + 1) + " is turned by " + bend.size()
                        + ": over mould lines it goes up to " + "150°; draw it on the bend bench");
            }
            checkHeight(bend, flange);
        }

        private static void checkHeight(Bend bend, Bracket.Flange flange) {
            Length setback = bend.setback().orElseThrow();
            if (!flange.height().minus(setback).positive()) {
                throw new InputException("The flange of side " + (flange.side() + 1) + " is " + flange.height()
                        + " high, too short by " + setback.minus(flange.height()) + ": its bend takes " + setback
                        + " before the flat begins");
            }
        }

        private double[] along(int side) {
            Point a = bracket.base().get(side);
            Point b = bracket.base().get((side + 1) % n);
            double length = Math.hypot(b.x() - a.x(), b.y() - a.y());
            return new double[] {(b.x() - a.x()) / length, (b.y() - a.y()) / length, length};
        }

        private double inset(int side) {
            return onSide.get(side)
                    .map(f -> bend(f).setback().orElseThrow().nanometres())
                    .orElse(0.0);
        }

        /** Where the lines of the side before and of this side meet, each moved in by its setback. */
        private Point corner(int i) {
            int before = (i + n - 1) % n;
            double[] u = along(before);
            double[] v = along(i);
            double turn = u[0] * v[1] - u[1] * v[0];
            checkCorner(turn, i, before);
            Point p = bracket.base().get(i);
            double a = inset(before);
            double b = inset(i);
            // p + s·u moved in by a meets p + t·v moved in by b; the inward normal of (x, y) is (−y, x).
            double cx = -v[1] * b + u[1] * a;
            double cy = v[0] * b - u[0] * a;
            double s = (cx * v[1] - cy * v[0]) / turn;
            return new Point(p.x() - u[1] * a + u[0] * s, p.y() + u[0] * a + u[1] * s);
        }

        private void checkCorner(double turn, int i, int before) {
            if (Math.abs(turn) < 1e-9) {
                throw new InputException("Corner " + (i + 1)
                        + " of the base is no corner: the sides on both sides of it run the same way");
            }
            if (turn < 0 && onSide.get(before).isPresent() && onSide.get(i).isPresent()) {
                throw new InputException("Corner " + (i + 1)
                        + " of the base points inward between two flanges, which would lie over each other in the "
                        + "flat: "
                        + "give one of sides " + (before + 1) + " and " + (i + 1) + " no flange");
            }
        }

        BracketFlat flat() {
            List<BandLine> bands = bracket.flanges().stream().map(this::band).toList();
            List<Relief> reliefs = new ArrayList<>();
            List<Corner> line = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                int before = (i + n - 1) % n;
                int side = i;
                Optional<BandLine> here =
                        bands.stream().filter(b -> b.flange.side() == side).findFirst();
                if (onSide.get(before).isPresent() && here.isPresent()) {
                    BandLine last = bands.stream()
                            .filter(b -> b.flange.side() == before)
                            .findFirst()
                            .orElseThrow();
                    reliefs.add(relief(i, line, last, here.get()));
                } else {
                    line.add(Corner.of(corners[i]));
                }
                here.ifPresent(b -> {
                    line.add(Corner.of(b.first(b.reach())));
                    line.add(Corner.of(b.last(b.reach())));
                });
            }
            Ring ring = new Ring(line);
            refuseOverlap(ring);
            return new BracketFlat(
                    bracket,
                    Outline.of(ring),
                    bands,
                    reliefs,
                    bracket.holes().stream().map(h -> place(bracket, bands, h)).toList());
        }

        private BandLine band(Bracket.Flange flange) {
            int i = flange.side();
            double[] v = along(i);
            Point from = corners[i];
            Point to = corners[(i + 1) % n];
            double left = (to.x() - from.x()) * v[0] + (to.y() - from.y()) * v[1];
            if (left <= 0) {
                throw new InputException("Side " + (i + 1) + " of the base is " + Length.nm(v[2])
                        + " long, too short by " + Length.nm(-left) + ": the bends at its ends take more than that");
            }
            return new BandLine(flange, bend(flange), from, to, v[1], -v[0]);
        }

        /** The hole where two bends meet, and the outline into it, round it and out again. */
        private Relief relief(int i, List<Corner> line, BandLine before, BandLine here) {
            Length least = bracket.sheet().radius().times(2).max(Bracket.RELIEF_LEAST);
            Length diameter = bracket.relief().orElse(least);
            if (!diameter.atLeast(least)) {
                throw new InputException(
                        "A relief hole of " + diameter + " is too small: its radius is at least the bend's, "
                                + bracket.sheet().radius() + ", and it is at least 1/8 in across: give " + least);
            }
            double r = diameter.nanometres() / 2;
            if (r >= before.reach().nanometres() || r >= here.reach().nanometres()) {
                throw new InputException("A relief hole of " + diameter + " at corner " + (i + 1)
                        + " is larger than the flange beside it is long");
            }
            Point c = corners[i];
            double notch = Math.acos(Math.clamp(before.outX * here.outX + before.outY * here.outY, -1, 1));
            line.add(new Corner(
                    new Point(c.x() + before.outX * r, c.y() + before.outY * r), -Math.tan((2 * Math.PI - notch) / 4)));
            line.add(Corner.of(new Point(c.x() + here.outX * r, c.y() + here.outY * r)));
            return new Relief(c, diameter);
        }

        private static void refuseOverlap(Ring ring) {
            List<Corner> c = ring.corners();
            for (int i = 0; i < c.size(); i++) {
                for (int j = i + 2; j < c.size(); j++) {
                    boolean neighbours = i == 0 && j == c.size() - 1;
                    if (!neighbours
                            && c.get(i).bulge() == 0
                            && c.get(j).bulge() == 0
                            && cross(
                                    c.get(i).at(),
                                    c.get(i + 1).at(),
                                    c.get(j).at(),
                                    c.get((j + 1) % c.size()).at())) {
                        throw new InputException(
                                "The flat would lie over itself: make a flange lower, or the base longer");
                    }
                }
            }
        }

        private static boolean cross(Point a, Point b, Point c, Point d) {
            return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
        }

        private static double side(Point a, Point b, Point p) {
            double area = (b.x() - a.x()) * (p.y() - a.y()) - (b.y() - a.y()) * (p.x() - a.x());
            return Math.abs(area) < 1e-3 ? 0 : area;
        }
    }

    /** Where a hole of the folded part lies in the flat. */
    private static Point place(Bracket bracket, List<BandLine> bands, Bracket.Hole hole) {
        if (hole.flange().isEmpty()) {
            return Point.at(hole.along(), hole.up());
        }
        BandLine band = bands.get(hole.flange().get());
        int side = band.flange.side();
        Length into = hole.up().minus(band.setback());
        checkClear(into, hole, side, band);
        // The side's first corner, moved along the side and out to the flange.
        Point v = bracket.base().get(side);
        double ux = -band.outY;
        double uy = band.outX;
        double out = into.plus(band.bend.allowance()).minus(band.setback()).nanometres();
        return new Point(
                v.x() + ux * hole.along().nanometres() + band.outX * out,
                v.y() + uy * hole.along().nanometres() + band.outY * out);
    }

    private static void checkClear(Length into, Bracket.Hole hole, int side, BandLine band) {
        if (!into.atLeast(Length.ZERO)) {
            throw new InputException("The hole " + hole.up() + " up the flange of side " + (side + 1)
                    + " lies in the bend, " + into.times(-1)
                    + " below the tangent: it is drilled in the flat of the flange, " + band.setback() + " or more up");
        }
    }

    /**
     * Where a place in the flat comes to lie in the folded part.
     *
     * @param diameter of the hole there, over 0
     * @throws InputException if it lies in a bend or off the sheet
     */
    public Bracket.Hole fold(Point flat, Length diameter) {
        if (!outline.covers(flat)) {
            throw new InputException("The place " + flat.across() + ", " + flat.up() + " is off the flat");
        }
        for (int i = 0; i < bands.size(); i++) {
            BandLine b = bands.get(i);
            double out = (flat.x() - b.from.x()) * b.outX + (flat.y() - b.from.y()) * b.outY;
            Length past = Length.nm(out).minus(b.bend.allowance());
            if (past.atLeast(Length.ZERO)) {
                return onFlange(b, flat, i, past, diameter);
            }
            if (out > 0.01) {
                throw new InputException("The place " + flat.across() + ", " + flat.up() + " lies in the bend of side "
                        + (b.flange.side() + 1));
            }
        }
        return new Bracket.Hole(Optional.empty(), flat.across(), flat.up(), diameter);
    }

    private Bracket.Hole onFlange(BandLine b, Point flat, int i, Length past, Length diameter) {
        Point v = bracket.base().get(b.flange.side());
        double along = (flat.x() - v.x()) * -b.outY + (flat.y() - v.y()) * b.outX;
        return new Bracket.Hole(Optional.of(i), Length.nm(along), past.plus(b.setback()), diameter);
    }

    /** Length and width of the blank that it is cut from. */
    public List<Length> blank() {
        return List.of(Length.nm(outline.box().width()), Length.nm(outline.box().height()));
    }

    /** Area of metal less the relief holes, in². */
    public double area() {
        return outline.outer().area() / (25.4e6 * 25.4e6);
    }
}
