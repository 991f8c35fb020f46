package bucina.core.sums;

import bucina.core.dress.Nest;

/** A nest cut through the middle, to scale: the sheet that is countersunk, and the dimple that lies in it. */
final class NestPicture {

    private final Figures f;
    private final Nest nest;
    private final Picture.Pen pen = new Picture.Pen();
    private final double tan;
    /** Half of the cone across the top, of the hole and of the head, nm. */
    private final double cone;

    private final double hole;
    private final double head;
    /** Thickness of the sheet that is cut and of those dimpled above it, nm. */
    private final double sheet;

    private final double dimpled;
    private final double deep;
    private final double wide;

    private NestPicture(Figures f, Nest nest) {
        this.f = f;
        this.nest = nest;
        tan = nest.head().halfAngle().tan();
        cone = nest.diameter().nanometres() / 2;
        hole = nest.hole().nanometres() / 2;
        head = nest.head().diameter().nanometres() / 2;
        sheet = nest.sub().nanometres();
        dimpled = nest.dimpled().nanometres();
        deep = Math.min(nest.cutterDepth().nanometres(), sheet);
        wide = cone * 2;
    }

    static Picture.Panel of(Figures f, Nest nest) {
        NestPicture picture = new NestPicture(f, nest);
        for (int side = -1; side <= 1; side += 2) {
            picture.cut(side);
            if (picture.dimpled > 0) {
                picture.dimple(side);
            }
        }
        picture.figures();
        return picture.pen.panel("Cut through the middle, to scale", 1);
    }

    private void cut(int side) {
        double low = cone - deep * tan;
        pen.area(
                Picture.Ink.METAL,
                side * wide,
                0,
                side * cone,
                0,
                side * low,
                -deep,
                side * Math.max(hole, low),
                -sheet,
                side * wide,
                -sheet);
    }

    /** The underside lies in the nest: it is the nest's own cone. */
    private void dimple(int side) {
        pen.area(
                Picture.Ink.SHADE,
                side * wide,
                dimpled,
                side * head,
                dimpled,
                side * hole,
                dimpled - (head - hole) / tan,
                side * hole,
                -(cone - hole) / tan,
                side * cone,
                0,
                side * wide,
                0);
    }

    private void figures() {
        pen.line(Picture.Ink.SIGHT, 0, dimpled + sheet * 0.4, 0, -sheet * 1.3);
        pen.dim(-cone, 0, cone, 0, dimpled > 0 ? 70 : 30, "Ø " + f.fine(nest.diameter()));
        pen.dim(wide, -deep, wide, 0, -16, "cutter " + f.fine(nest.cutterDepth()));
        pen.dim(-wide, -sheet, -wide, 0, 18, f.fine(nest.sub()));
        if (dimpled > 0) {
            pen.words(Picture.Ink.SOFT, wide, dimpled * 0.7, "dimpled " + f.fine(nest.dimpled()), Picture.Side.RIGHT);
        }
        pen.dim(-hole, -sheet, hole, -sheet, -18, "hole " + f.fine(nest.hole()));
    }
}
