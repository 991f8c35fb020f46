package bucina.desk.sumsroom;

import bucina.core.sheet.Point;
import bucina.core.sums.Picture;
import bucina.desk.look.Palette;
import bucina.desk.look.Type;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;

/** Draws a {@link Picture}, each panel as large as it goes, and hands on what is pulled at its grips. */
public final class PictureView extends Region {

    /** Takes a pull at a grip. */
    public interface Pull {
        /**
         * @param grip  its number
         * @param dx    since the last pull, nm
         * @param dy    the same, up
         * @param begun true for the first pull of a gesture
         */
        void pulled(int grip, double dx, double dy, boolean begun);
    }

    private static final double REACH = 14;

    private final Canvas canvas = new Canvas();
    private final List<PanelDrawing> drawn = new ArrayList<>();
    private final Pull pull;
    private Palette palette = Palette.LIGHT;
    private double text = 1;
    private Optional<Picture> picture = Optional.empty();
    private Optional<Held> held = Optional.empty();

    /** A grip in the hand: where it was taken hold of, and the scale then. */
    private record Held(int grip, double x, double y, double scale, double stretch) {}

    public PictureView(Pull pull) {
        this.pull = pull;
        getChildren().add(canvas);
        getStyleClass().add("section-view");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setMinSize(200, 160);
        canvas.setOnMousePressed(this::press);
        canvas.setOnMouseDragged(this::drag);
        canvas.setOnMouseReleased(e -> {
            held = Optional.empty();
            draw();
        });
        canvas.setOnMouseMoved(e -> setCursor(grip(e.getX(), e.getY()).isPresent() ? Cursor.HAND : Cursor.DEFAULT));
    }

    /** Draws in the colours of one variant, text larger by a factor. */
    public void use(Palette next, double scale) {
        palette = next;
        text = scale;
        draw();
    }

    /** Shows a picture. */
    public void show(Picture next) {
        picture = Optional.of(next);
        draw();
    }

    /** Where a grip is in this view; empty if the picture has none of that number. */
    public Optional<Point2D> gripAt(int n) {
        return drawn.stream()
                .flatMap(d -> d.grips().stream())
                .filter(g -> g.n() == n)
                .findFirst()
                .map(g -> new Point2D(g.x(), g.y()));
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        draw();
    }

    private void draw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        double w = canvas.getWidth();
        double h = canvas.getHeight();
        g.setFill(palette.film());
        g.fillRect(0, 0, w, h);
        drawn.clear();
        if (w < 40 || h < 40 || picture.isEmpty()) {
            return;
        }
        g.setFont(Type.text(Type.SMALL * text));
        double shares = picture.get().panels().stream()
                .mapToDouble(Picture.Panel::share)
                .sum();
        double y = 0;
        for (Picture.Panel panel : picture.get().panels()) {
            double high = panel(h, panel, shares, y, g, w);
            y += high;
        }
    }

    private double panel(double h, Picture.Panel panel, double shares, double y, GraphicsContext g, double w) {
        double high = h * panel.share() / shares;
        if (y > 0) {
            g.setStroke(palette.line());
            g.setLineWidth(1);
            g.strokeLine(0, Math.rint(y) + 0.5, w, Math.rint(y) + 0.5);
        }
        drawn.add(new PanelDrawing(g, palette, text, panel, y, w, high).draw());
        return high;
    }

    private Optional<PanelDrawing.GripAt> grip(double x, double y) {
        return drawn.stream()
                .flatMap(d -> d.grips().stream())
                .filter(g -> Math.hypot(g.x() - x, g.y() - y) <= REACH)
                .min(Comparator.comparingDouble(g -> Math.hypot(g.x() - x, g.y() - y)));
    }

    private void press(MouseEvent e) {
        held = grip(e.getX(), e.getY()).map(g -> new Held(g.n(), e.getX(), e.getY(), g.scale(), g.stretch()));
        requestFocus();
    }

    /** Hands on the whole way since the grip was taken, so that snapping does not add up. */
    private void drag(MouseEvent e) {
        held.ifPresent(k -> {
            double dx = (e.getX() - k.x) / k.scale;
            double dy = -(e.getY() - k.y) / k.scale / k.stretch;
            pull.pulled(k.grip, dx, dy, false);
        });
    }

    /** True while a grip is in the hand. */
    public boolean holding() {
        return held.isPresent();
    }

    static Point2D at(Point p, double x0, double y0, double scale, double stretch) {
        return new Point2D(x0 + p.x() * scale, y0 - p.y() * scale * stretch);
    }
}
