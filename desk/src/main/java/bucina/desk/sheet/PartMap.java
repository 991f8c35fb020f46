package bucina.desk.sheet;

import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.sheet.Box;
import bucina.desk.look.Palette;
import bucina.desk.session.Desk;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;

/** A small picture of a face on which one part is lit up; what is off is a ghost outline. */
public final class PartMap extends Canvas {

    public PartMap(Desk desk, Id.Face faceId, Id.Part part, double width, double most) {
        Palette p = desk.look().darkProperty().get() ? Palette.DARK : Palette.LIGHT;
        var face = desk.snapshot().face(faceId);
        Box box = face.face().box();
        double height = Math.clamp(24 + (width - 24) * box.height() / Math.max(1, box.width()), 40, most);
        setWidth(width);
        setHeight(height);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText(face.face().name() + ", shown: "
                + face.face().layers().stream()
                        .filter(l -> l.part().equals(part))
                        .map(Layer::name)
                        .collect(Collectors.joining(", ")));
        GraphicsContext g = getGraphicsContext2D();
        SheetPainter painter =
                new SheetPainter(new Brush(g, SheetTransform.fit(box, width, height, 8), p, width, height, 1));
        painter.ground();
        painter.layers(face, desk.snapshot().parts()::inPlace, Optional.of(part));
        g.setStroke(p.line());
        g.setLineWidth(1);
        g.strokeRect(0.5, 0.5, width - 1, height - 1);
    }
}
