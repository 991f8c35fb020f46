package bucina.desk.sheet;

import bucina.core.sheet.Box;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Palette;
import bucina.desk.look.Sprites;
import bucina.desk.look.Type;
import bucina.desk.session.Desk;
import bucina.desk.session.HoleLook;
import bucina.desk.session.LengthClasses;
import bucina.desk.session.Selection;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;

/**
 * A larger detail around the hole looked at, drawn in the room that a long, low face leaves free below it.
 *
 * @param transform from the face to the screen, inside the detail
 * @param label     what stands in its corner
 */
record SheetDetail(double x, double y, double width, double height, SheetTransform transform, String label) {

    private static final double GAP = 26;

    /** A detail for a hole, if the face as drawn is lower than {@code slim} of the view. */
    static Optional<SheetDetail> of(HoleReading hole, Box face, SheetTransform drawn, double width, double view) {
        double height = view - SheetTransform.BADGE;
        double r = Brush.RULER;
        double top = drawn.toY(face.maxY());
        double bottom = drawn.toY(face.minY());
        double room = height - bottom - GAP - 8;
        if ((bottom - top) / (height - r) > SheetTransform.SLIM || room < 120) {
            return Optional.empty();
        }
        double w = width - r - 28;
        double factor = Math.clamp(room * 0.8 / Math.max(1, bottom - top), 2, 6);
        SheetTransform larger = new SheetTransform(drawn.scale() * factor, 0, 0);
        double px = r + 14;
        double py = bottom + GAP;
        double x0 = Math.clamp(
                px + w / 2 - larger.toX(hole.hole().at().x()),
                px + w - 20 - larger.toX(face.maxX()),
                px + 20 - larger.toX(face.minX()));
        double middle = (face.minY() + face.maxY()) / 2;
        return Optional.of(new SheetDetail(
                px,
                py,
                w,
                room,
                new SheetTransform(larger.scale(), x0, py + room / 2 + middle * larger.scale()),
                "Detail at " + hole.label() + ", " + Math.round(factor * 10) / 10.0 + " times larger"));
    }

    /** True if a place on the screen lies in the detail. */
    boolean holds(double sx, double sy) {
        return sx >= x && sx <= x + width && sy >= y && sy <= y + height;
    }

    void draw(GraphicsContext g, Desk desk, LengthClasses lengths, Palette p, Sprites sprites) {
        g.save();
        g.beginPath();
        g.rect(x, y, width, height);
        g.clip();
        g.setFill(p.film());
        g.fillRect(x, y, width, height);
        Brush brush = new Brush(
                g,
                transform,
                p,
                x + width,
                y + height,
                desk.look().scaleProperty().get() / 100.0);
        new SheetPainter(brush).layers(desk.face());
        new HolePainter(brush, sprites).holes(desk.face(), HoleLook.Face.of(desk, lengths)::of);
        double r = HolePainter.glyphSize(transform, desk.face()) * 0.5 + 3;
        g.setStroke(p.layout());
        g.setLineWidth(2);
        Selection selection = desk.selectionProperty().get();
        for (HoleReading reading : selection.readings(desk.face())) {
            g.strokeOval(
                    transform.toX(reading.hole().at().x()) - r,
                    transform.toY(reading.hole().at().y()) - r,
                    2 * r,
                    2 * r);
        }
        g.restore();
        g.setStroke(p.line());
        g.setLineWidth(1);
        g.strokeRect(x, y, width, height);
        g.setFont(Type.text(Type.SMALL));
        g.setFill(p.soft());
        g.setTextAlign(TextAlignment.RIGHT);
        g.setTextBaseline(VPos.BOTTOM);
        g.fillText(label, x + width - 8, y + height - 6);
    }
}
