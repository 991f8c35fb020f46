package bucina.desk.sheet;

import bucina.core.stack.FaceReading;
import bucina.desk.session.Desk;

/** Draws what lies over the holes of a face: what tools reach, and how a part that will not go on is off. */
final class OverPainter {

    private OverPainter() {}

    static void draw(Brush brush, Desk desk, FaceReading face) {
        desk.over()
                .reaching()
                .ifPresent(r ->
                        ReachPainter.holes(brush.g(), brush.t(), face, r, brush.p(), brush.width(), brush.height()));
        desk.misfitProperty()
                .get()
                .filter(m -> m.on(face.face().id()))
                .ifPresent(m -> MisfitPainter.arrows(brush, m, desk.unit()));
    }
}
