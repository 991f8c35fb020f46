package bucina.core.sums;

import bucina.core.bend.Bend;
import bucina.core.bend.FlatPattern;
import bucina.core.bend.Fold;
import bucina.core.bend.MeasuredTo;
import bucina.core.measure.Angle;
import bucina.core.measure.Length;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Pictures of a bent profile: flat with its lines, and folded. */
final class BendPicture {

    private BendPicture() {}

    /** The profile laid so that its longest leg is level. */
    static double level(BendSum.Asked a, Fold fold) {
        int longest = IntStream.range(0, a.legs().size())
                .boxed()
                .max(Comparator.comparing(a.legs()::get))
                .orElse(0);
        return -fold.leg(longest).from().heading();
    }

    static Point turned(Point p, double by) {
        return new Point(p.x() * Math.cos(by) - p.y() * Math.sin(by), p.x() * Math.sin(by) + p.y() * Math.cos(by));
    }

    static Picture.Panel folded(Figures f, BendSum.Asked a, Fold fold) {
        double by = level(a, fold);
        double t = a.flat().bends().getFirst().thickness().nanometres();
        Picture.Pen pen = new Picture.Pen();
        pen.add(new Picture.Area(
                Picture.Ink.METAL,
                fold.outline().stream().map(p -> turned(p, by)).toList()));
        for (int i = 0; i < a.legs().size(); i++) {
            leg(f, a, fold, by, t, i, pen);
        }
        for (int i = 0; i < a.flat().bends().size(); i++) {
            bend(f, a, fold, by, i, pen);
        }
        return pen.panel("Folded, seen along the bends. Pull a ring to change a leg or its bend", 0.62);
    }

    static void bend(Figures f, BendSum.Asked a, Fold fold, double by, int i, Picture.Pen pen) {
        Fold.Piece piece = fold.pieces().get(2 * i + 1);
        boolean left = piece.turn() > 0;
        List<Point> outer = left ? piece.right() : piece.left();
        List<Point> inner = left ? piece.left() : piece.right();
        FlatPattern.Band band = a.flat().bands().get(i);
        for (int end = 0; end < 2; end++) {
            int at = end == 0 ? 0 : outer.size() - 1;
            Point o = turned(outer.get(at), by);
            Point n = turned(inner.get(at), by);
            double dx = o.x() - n.x();
            double dy = o.y() - n.y();
            pen.line(Picture.Ink.TANGENT, n.x() - 0.5 * dx, n.y() - 0.5 * dy, o.x() + 1.2 * dx, o.y() + 1.2 * dy);
            pen.words(
                    Picture.Ink.TANGENT,
                    o.x() + 1.3 * dx,
                    o.y() + 1.3 * dy,
                    f.figure(end == 0 ? band.from() : band.to()),
                    side(dx, dy));
        }
        Bend b = a.flat().bends().get(i);
        Point m = turned(outer.get(outer.size() / 2), by);
        Point c = turned(inner.get(inner.size() / 2), by);
        double dx = m.x() - c.x();
        double dy = m.y() - c.y();
        pen.words(
                Picture.Ink.EDGE,
                c.x() - 1.6 * dx,
                c.y() - 1.6 * dy,
                b.size() + " turned, " + Angle.degrees(180 - b.size().degrees()) + " between",
                dx > 0 ? Picture.Side.LEFT : Picture.Side.RIGHT);
    }

    static Picture.Side side(double dx, double dy) {
        if (Math.abs(dx) > Math.abs(dy)) {
            return dx > 0 ? Picture.Side.RIGHT : Picture.Side.LEFT;
        }
        return dy > 0 ? Picture.Side.ABOVE : Picture.Side.BELOW;
    }

    /** The dimension of a leg, between the ends that it is measured to, and its grip. */
    static void leg(Figures f, BendSum.Asked a, Fold fold, double by, double t, int i, Picture.Pen pen) {
        Fold.Piece leg = fold.leg(i);
        double before = i == 0
                ? 0
                : a.measured()
                        .beyondTangent(a.flat().bends().get(i - 1))
                        .map(Length::nanometres)
                        .orElse(0.0);
        double after = i == a.flat().bends().size()
                ? 0
                : a.measured()
                        .beyondTangent(a.flat().bends().get(i))
                        .map(Length::nanometres)
                        .orElse(0.0);
        double length = a.flat().flats().get(i).nanometres();
        boolean left = outside(a.flat(), i);
        boolean inner = a.measured() == MeasuredTo.INSIDE;
        double face = left != inner ? t : 0;
        Point from = turned(leg.from().off(-before, face), by);
        Point to = turned(leg.from().off(length + after, face), by);
        for (Point[] ghost : new Point[][] {
            {from, turned(leg.from().off(0, face), by)}, {turned(leg.from().off(length, face), by), to}
        }) {
            pen.add(new Picture.Line(Picture.Ink.GHOST, List.of(ghost[0], ghost[1])));
        }
        // Words stand wider than they are high: beside an upright leg the dimension goes farther out, clear of the
        // tangents' figures.
        double off = Math.abs(to.y() - from.y()) > Math.abs(to.x() - from.x()) ? 66 : 36;
        pen.add(new Picture.Dim(
                from,
                to,
                left ? off : -off,
                f.figure(a.legs().get(i)) + " " + f.shown().symbol()));
        boolean first = i == 0;
        Point grip = turned(first ? leg.from().off(0, t / 2) : leg.from().off(length, t / 2), by);
        pen.add(new Picture.Grip(
                i, grip, first ? "leg 1, its length" : "leg " + (i + 1) + ", its length and the bend before it"));
    }

    /** True if the outer side of a leg is its left: the bends beside it go right. */
    static boolean outside(FlatPattern flat, int i) {
        Bend near = i == 0 ? flat.bends().getFirst() : flat.bends().get(i - 1);
        return near.turn().degrees() < 0;
    }

    static Picture.Panel flat(Figures f, BendSum.Asked a) {
        double end = a.flat().developed().nanometres();
        double high = end * 0.085;
        Picture.Pen pen = new Picture.Pen();
        pen.box(Picture.Ink.METAL, 0, 0, end, high);
        List<Picture.Tick> above = new ArrayList<>();
        List<Picture.Tick> below = new ArrayList<>();
        List<Length> sight = a.flat().sightLines(a.clamp());
        above.add(new Picture.Tick(0, "0", Picture.Ink.EDGE));
        double at = 0;
        for (int i = 0; i < sight.size(); i++) {
            FlatPattern.Band band = a.flat().bands().get(i);
            double from = band.from().nanometres();
            double to = band.to().nanometres();
            pen.box(Picture.Ink.SHADE, from, 0, to, high);
            pen.line(Picture.Ink.TANGENT, from, 0, from, high).line(Picture.Ink.TANGENT, to, 0, to, high);
            double s = sight.get(i).nanometres();
            pen.line(Picture.Ink.SIGHT, s, -high * 0.25, s, high * 1.25);
            pen.words(Picture.Ink.EDGE, (at + from) / 2, high / 2, Integer.toString(i + 1), Picture.Side.CENTRE);
            above.add(new Picture.Tick(from, f.figure(band.from()), Picture.Ink.TANGENT));
            above.add(new Picture.Tick(to, f.figure(band.to()), Picture.Ink.TANGENT));
            below.add(new Picture.Tick(
                    s,
                    "sight " + f.figure(sight.get(i))
                            + (a.flat().bends().get(i).turn().degrees() > 0 ? ", up " : ", down ")
                            + a.flat().bends().get(i).size(),
                    Picture.Ink.SIGHT));
            at = to;
        }
        pen.words(Picture.Ink.EDGE, (at + end) / 2, high / 2, Integer.toString(sight.size() + 1), Picture.Side.CENTRE);
        above.add(new Picture.Tick(end, f.figure(a.flat().developed()), Picture.Ink.EDGE));
        pen.add(new Picture.Running(high, true, above)).add(new Picture.Running(0, false, below));
        return pen.panel(
                "Flat, running from the free edge of leg 1 (" + f.shown().symbol() + ")", 0.38);
    }
}
