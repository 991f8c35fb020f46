package bucina.desk.sheet;

import bucina.core.plan.Id;
import bucina.core.sheet.Box;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Palette;
import bucina.desk.session.Desk;
import java.util.Set;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;

/** A small picture of a face that shows which holes are meant: they are full, the others dots. */
public final class FaceMap extends Canvas {

    public FaceMap(Desk desk, Id.Face faceId, Set<Id.Hole> meant, double width, double most) {
        Palette p = desk.look().darkProperty().get() ? Palette.DARK : Palette.LIGHT;
        var face = desk.snapshot().face(faceId);
        Box box = face.face().box();
        double height = Math.min(most, 24 + (width - 24) * box.height() / Math.max(1, box.width()));
        setWidth(width);
        setHeight(height);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText(face.face().name() + " with " + meant.size() + " holes shown");
        GraphicsContext g = getGraphicsContext2D();
        SheetTransform t = SheetTransform.fit(box, width, height, 12);
        SheetPainter painter = new SheetPainter(new Brush(g, t, p, width, height, 1));
        painter.ground();
        painter.layers(face);
        for (HoleReading reading : face.readings()) {
            double x = t.toX(reading.hole().at().x());
            double y = t.toY(reading.hole().at().y());
            if (meant.contains(reading.hole().id())) {
                g.setFill(p.layout());
                g.fillOval(x - 3.5, y - 3.5, 7, 7);
            } else {
                g.setFill(p.edge());
                g.fillRect(x - 1, y - 1, 2, 2);
            }
        }
        g.setStroke(p.line());
        g.strokeRect(0.5, 0.5, width - 1, height - 1);
    }
}
