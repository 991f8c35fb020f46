package bucina.desk.sheet;

import bucina.core.sheet.Box;
import bucina.core.sheet.Point;

/**
 * From the face (nm, y up) to the screen (px, y down) and back. Immutable.
 *
 * @param scale px for each nm, over 0
 * @param x0    where the face's origin lies on the screen, px
 * @param y0    as {@code x0}
 */
public record SheetTransform(double scale, double x0, double y0) {

    /** Most px for an inch: a 3/32 rivet is then as wide as a hand. */
    private static final double MOST = 2400 / 25.4e6;

    private static final double LEAST = 0.2 / 25.4e6;
    private static final double MARGIN = 30;
    /** Room kept free at the foot for the orientation badge. */
    static final double BADGE = 106;
    /** A face drawn lower than this share of the view leaves room for a detail under it. */
    static final double SLIM = 0.34;

    public SheetTransform {
        if (!(scale > 0)) {
            throw new IllegalArgumentException("scale must be over 0, was " + scale);
        }
    }

    /** Fits a box into a view, with a margin. */
    public static SheetTransform fit(Box box, double width, double height, double margin) {
        double w = Math.max(1, width - 2 * margin);
        double h = Math.max(1, height - 2 * margin);
        double scale = Math.clamp(Math.min(w / Math.max(1, box.width()), h / Math.max(1, box.height())), LEAST, MOST);
        return new SheetTransform(
                scale,
                width / 2 - scale * (box.minX() + box.width() / 2),
                height / 2 + scale * (box.minY() + box.height() / 2));
    }

    /** Lays a whole face into the view of a sheet, beside the rulers; one that is long and thin lies at the top. */
    static SheetTransform laid(Box box, double width, double height) {
        double r = Brush.RULER;
        SheetTransform inner = fit(box, width - r, height - r - BADGE, MARGIN);
        boolean low = box.height() * inner.scale() < SLIM * (height - r);
        return inner.moved(r, low ? r + MARGIN - inner.toY(box.maxY()) : r);
    }

    public double toX(double x) {
        return x0 + x * scale;
    }

    public double toY(double y) {
        return y0 - y * scale;
    }

    /** The place on the face under a place on the screen. */
    public Point toFace(double x, double y) {
        return new Point((x - x0) / scale, (y0 - y) / scale);
    }

    /** Moved by px. */
    public SheetTransform moved(double dx, double dy) {
        return new SheetTransform(scale, x0 + dx, y0 + dy);
    }

    /** Larger by a factor, with the place under (x, y) staying where it is. */
    public SheetTransform zoomed(double factor, double x, double y) {
        double next = Math.clamp(scale * factor, LEAST, MOST);
        double k = next / scale;
        return new SheetTransform(next, x - (x - x0) * k, y - (y - y0) * k);
    }

    /** The box of the face that a view shows, a little wider by {@code px}. */
    public Box visible(double width, double height, double px) {
        return Box.around(toFace(-px, -px), toFace(width + px, height + px));
    }
}
