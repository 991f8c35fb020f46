package bucina.desk.card;

import bucina.core.drawing.Change;
import bucina.core.plan.Layer;
import bucina.core.sheet.Box;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Trace;
import bucina.desk.look.Palette;
import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.shape.FillRule;

/** A small picture of sheets and holes on a card, to scale, drawn anew when it is given something else. */
final class FacePicture extends Region {

    private final Canvas canvas = new Canvas();
    private Palette palette;
    private List<Outline> sheets = List.of();
    private List<Point> holes = List.of();
    private List<Point> crossed = List.of();
    private List<Change> laid = List.of();
    private Optional<Box> view = Optional.empty();

    FacePicture(Palette palette, double width, double height) {
        this.palette = palette;
        getChildren().add(canvas);
        setMinSize(width, height);
        setPrefSize(width, height);
        setMaxSize(width, height);
        canvas.setWidth(width);
        canvas.setHeight(height);
    }

    void show(List<Layer> layers, List<Point> points) {
        showOutlines(layers.stream().map(Layer::outline).toList(), points);
    }

    void showOutlines(List<Outline> outlines, List<Point> points) {
        sheets = outlines;
        holes = points;
        draw();
    }

    /** Marks with a cross where something is left out. */
    void cross(List<Point> points) {
        crossed = points;
        draw();
    }

    /** Lays what a revision changes over the picture: arrows for what moves, rings for what goes, pluses for new. */
    void changes(List<Change> changes) {
        laid = changes;
        draw();
    }

    /** Shows a part of a face only. */
    void showIn(Box box, List<Outline> outlines, List<Point> points) {
        view = Optional.of(box);
        showOutlines(outlines, points);
    }

    /** Draws an arrow along x into the picture as it stands. */
    void point() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        double x = canvas.getWidth() - 5;
        double y = canvas.getHeight() / 2;
        g.setStroke(palette.layout());
        g.setLineWidth(2.5);
        g.strokeLine(x - 18, y, x, y);
        g.strokePolyline(new double[] {x - 7, x, x - 7}, new double[] {y - 6, y, y + 6}, 3);
    }

    private void draw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        double w = canvas.getWidth();
        double h = canvas.getHeight();
        g.setFill(palette.film());
        g.fillRect(0, 0, w, h);
        Box box = null;
        for (Outline o : sheets) {
            box = box == null ? o.box() : box.with(o.box());
        }
        for (Point p : holes) {
            box = box == null ? Box.around(p, p) : box.with(Box.around(p, p));
        }
        for (Change c : laid) {
            box = c instanceof Change.Gone g1 && box != null ? box.with(Box.around(g1.at(), g1.at())) : box;
        }
        if (box == null) {
            return;
        }
        box = view.orElse(box);
        double scale = Math.min((w - 20) / Math.max(1, box.width()), (h - 20) / Math.max(1, box.height()));
        double x0 = w / 2 - (box.minX() + box.width() / 2) * scale;
        double y0 = h / 2 + (box.minY() + box.height() / 2) * scale;
        for (int i = 0; i < sheets.size(); i++) {
            g.beginPath();
            g.setFillRule(FillRule.EVEN_ODD);
            ring(g, Trace.of(sheets.get(i).outer(), 0.5 / scale), x0, y0, scale);
            sheets.get(i).openings().forEach(o -> ring(g, Trace.of(o, 0.5 / scale), x0, y0, scale));
            g.setFill(i == 0 ? palette.metal() : palette.shade());
            g.setGlobalAlpha(i == 0 ? 1 : 0.6);
            g.fill();
            g.setGlobalAlpha(1);
            g.setStroke(palette.edge());
            g.setLineWidth(1);
            g.stroke();
        }
        g.setFill(palette.layout());
        double r = holes.size() > 1500 ? 1 : 2;
        for (Point p : holes) {
            g.fillOval(x0 + p.x() * scale - r, y0 - p.y() * scale - r, 2 * r, 2 * r);
        }
        crosses(g, x0, y0, scale);
        ChangeMarks.draw(g, palette, laid, p -> new Point(x0 + p.x() * scale, y0 - p.y() * scale));
    }

    private void crosses(GraphicsContext g, double x0, double y0, double scale) {
        g.setStroke(palette.attention());
        g.setLineWidth(2);
        for (Point p : crossed) {
            double x = Math.clamp(x0 + p.x() * scale, 6, canvas.getWidth() - 6);
            double y = Math.clamp(y0 - p.y() * scale, 6, canvas.getHeight() - 6);
            g.strokeLine(x - 4, y - 4, x + 4, y + 4);
            g.strokeLine(x - 4, y + 4, x + 4, y - 4);
        }
    }

    private static void ring(GraphicsContext g, List<Point> points, double x0, double y0, double scale) {
        for (int i = 0; i < points.size(); i++) {
            double x = x0 + points.get(i).x() * scale;
            double y = y0 - points.get(i).y() * scale;
            if (i == 0) {
                g.moveTo(x, y);
            } else {
                g.lineTo(x, y);
            }
        }
        g.closePath();
    }
}
