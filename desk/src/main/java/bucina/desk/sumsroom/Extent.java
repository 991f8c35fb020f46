package bucina.desk.sumsroom;

import bucina.core.sheet.Point;
import bucina.core.sums.Picture;
import java.util.List;

/** How far the shapes of a picture reach, in its own measure. */
final class Extent {

    private Extent() {}

    static void grow(double[] box, double x, double y) {
        box[0] = Math.min(box[0], x);
        box[1] = Math.min(box[1], y);
        box[2] = Math.max(box[2], x);
        box[3] = Math.max(box[3], y);
    }

    static List<Point> points(Picture.Shape shape) {
        return switch (shape) {
            case Picture.Area a -> a.points();
            case Picture.Line l -> l.points();
            case Picture.Round r ->
                List.of(
                        new Point(r.at().x() - r.radius(), r.at().y() - r.radius()),
                        new Point(r.at().x() + r.radius(), r.at().y() + r.radius()));
            case Picture.Words w -> List.of(w.at());
            case Picture.Dim d -> List.of(d.a(), d.b());
            case Picture.Running r ->
                r.ticks().stream().map(t -> new Point(t.x(), r.y())).toList();
            case Picture.Grip p -> List.of(p.at());
        };
    }
}
