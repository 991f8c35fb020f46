package bucina.desk.sheet;

import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Palette;
import bucina.desk.look.Shown;
import bucina.desk.look.Sprites;
import bucina.desk.look.Ties;
import bucina.desk.session.Desk;
import bucina.desk.session.HoleLook;
import bucina.desk.session.LengthClasses;
import bucina.desk.session.Selection;
import java.util.Comparator;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;
import javafx.scene.transform.Translate;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;

/** Shows one face and picks from it. See the package text for how it is drawn. */
public final class SheetView extends Region implements Shown {

    private final Ties ties = new Ties();
    private static final double REACH = 14;

    private final Desk desk;
    private final Canvas sheet = new Canvas();
    private final Canvas overlay = new Canvas();
    private final PauseTransition rest = new PauseTransition(Duration.millis(90));
    private Palette palette = Palette.LIGHT;
    private Sprites sprites = new Sprites(palette);
    private SheetTransform drawn = new SheetTransform(1, 0, 0);
    private SheetTransform wanted = drawn;
    private boolean fitted = true;
    private @Nullable Point2D pressed;
    private @Nullable Point2D dragged;
    private boolean panning;
    private final ChangeHands hands;
    private boolean holding;
    private boolean stale;
    private Optional<SheetDetail> detail = Optional.empty();
    private FaceReading classed;
    private LengthClasses lengths;

    /** A view of the desk's face. */
    public SheetView(Desk desk) {
        this.desk = desk;
        this.hands = new ChangeHands(desk);
        this.classed = desk.face();
        this.lengths = LengthClasses.of(classed);
        getChildren().addAll(sheet, overlay);
        getStyleClass().add("sheet-view");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        overlay.setMouseTransparent(true);
        rest.setOnFinished(e -> draw());
        ties.keep(rest::stop);
        addEventHandler(ScrollEvent.SCROLL, this::scrolled);
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::press);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, this::drag);
        addEventHandler(MouseEvent.MOUSE_RELEASED, this::release);
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        watch();
    }

    private void watch() {
        focusedProperty().addListener((o, was, now) -> drawOverlay());
        sceneProperty().addListener((o, was, now) -> again());
        ties.on(desk.selectionProperty(), (was, now) -> {
            if (!was.face().equals(now.face())) {
                fit();
            } else {
                drawOverlay();
                reveal();
            }
        });
        desk.drawn().forEach(value -> ties.on(value, this::draw));
        ties.on(desk.over().progressProperty(), (was, now) -> {
            if (!was.map(p -> p.marks()).equals(now.map(p -> p.marks()))) {
                draw();
            }
        });
        ties.on(desk.over().beforeProperty(), (was, now) -> {
            if (!was.keySet().equals(now.keySet())) {
                draw();
            }
        });
        ties.on(desk.changingProperty(), () -> {
            desk.layerProperty().set(Optional.empty());
            draw();
        });
    }

    /** Draws in the colours of one variant. */
    @Override
    public void use(Palette next, double scale) {
        palette = next;
        sprites = new Sprites(next);
        draw();
    }

    @Override
    protected void layoutChildren() {
        double w = Math.floor(getWidth());
        double h = Math.floor(getHeight());
        if (sheet.getWidth() != w || sheet.getHeight() != h) {
            sheet.setWidth(w);
            sheet.setHeight(h);
            overlay.setWidth(w);
            overlay.setHeight(h);
            if (fitted) {
                fit();
            } else {
                draw();
            }
        }
    }

    /** Shows the whole face. */
    public void fit() {
        fitted = true;
        wanted = SheetTransform.laid(desk.face().face().box(), getWidth(), getHeight());
        draw();
    }

    /** Zooms in or out about the middle of what is picked, or of the view. */
    public void zoom(double factor) {
        Optional<Point> at = desk.cursor().map(c -> c.hole().at());
        double x = at.map(p -> wanted.toX(p.x()))
                .filter(v -> v > 0 && v < getWidth())
                .orElse(getWidth() / 2);
        double y = at.map(p -> wanted.toY(p.y()))
                .filter(v -> v > 0 && v < getHeight())
                .orElse(getHeight() / 2);
        zoom(factor, x, y);
    }

    private void zoom(double factor, double x, double y) {
        fitted = false;
        wanted = wanted.zoomed(factor, x, y);
        moveDrawn();
    }

    /** Moves and scales the drawn picture at once; draws again when the gesture rests. */
    private void moveDrawn() {
        double k = wanted.scale() / drawn.scale();
        for (Canvas canvas : new Canvas[] {sheet, overlay}) {
            canvas.getTransforms()
                    .setAll(new Translate(wanted.x0() - drawn.x0() * k, wanted.y0() - drawn.y0() * k), new Scale(k, k));
        }
        rest.playFromStart();
    }

    private void scrolled(ScrollEvent e) {
        if (e.getDeltaY() != 0) {
            zoom(Math.pow(1.0018, e.getDeltaY()), e.getX(), e.getY());
        }
        e.consume();
    }

    /** Brings the hole looked at into view. */
    private void reveal() {
        desk.cursor().filter(c -> getWidth() >= 2).ifPresent(c -> {
            double x = wanted.toX(c.hole().at().x());
            double y = wanted.toY(c.hole().at().y());
            double edge = Brush.RULER + 20;
            double dx = x < edge ? edge - x + 60 : x > getWidth() - 20 ? getWidth() - 80 - x : 0;
            double dy = y < edge ? edge - y + 60 : y > getHeight() - 20 ? getHeight() - 80 - y : 0;
            if (dx != 0 || dy != 0) {
                fitted = false;
                wanted = wanted.moved(dx, dy);
                draw();
            }
        });
    }

    /** Where a place of the face lies in this view. */
    public Point2D onView(Point p) {
        return new Point2D(wanted.toX(p.x()), wanted.toY(p.y()));
    }

    /** Lets go of what is dragged without writing it; true if something was. */
    public boolean letGo() {
        boolean was = hands.dragging();
        if (was) {
            hands.cancel();
            holding = false;
            pressed = null;
            dragged = null;
            draw();
        }
        return was;
    }

    // ---- drawing

    private void again() {
        if (stale) {
            draw();
        }
    }

    private void draw() {
        // What is drawn while another room is shown would pile up in the canvas.
        stale = getScene() == null;
        if (stale || getWidth() < 2) {
            return;
        }
        rest.stop();
        drawn = wanted;
        sheet.getTransforms().clear();
        overlay.getTransforms().clear();
        FaceReading face = desk.face();
        Brush brush = brush(sheet);
        SheetPainter painter = new SheetPainter(brush);
        if (classed != face) {
            classed = face;
            lengths = LengthClasses.of(face);
        }
        painter.ground();
        painter.layers(
                face, desk.snapshot().parts()::inPlace, desk.partProperty().get());
        if (desk.look().trimProperty().get()) {
            painter.trims(face, desk.layer(), desk.unit());
        }
        painter.zones(face);
        new HolePainter(brush, sprites).holes(face, HoleLook.Face.of(desk, lengths)::of);
        OverPainter.draw(brush, desk, face);
        new RulerPainter(brush).rulers(desk.unit());
        drawOverlay();
    }

    private Brush brush(Canvas on) {
        return new Brush(
                on.getGraphicsContext2D(),
                drawn,
                palette,
                on.getWidth(),
                on.getHeight(),
                desk.look().scaleProperty().get() / 100.0);
    }

    /**
     * Everything that follows the hole looked at: drawn alone when only that changes, so that stepping along a row does
     * not draw the sheet again.
     */
    private void drawOverlay() {
        if (overlay.getWidth() < 2 || getScene() == null) {
            return;
        }
        GraphicsContext g = overlay.getGraphicsContext2D();
        g.clearRect(0, 0, overlay.getWidth(), overlay.getHeight());
        FaceReading face = desk.face();
        Brush brush = brush(overlay);
        detail = fitted && !desk.changingProperty().get()
                ? desk.cursor().flatMap(c -> SheetDetail.of(c, face.face().box(), drawn, getWidth(), getHeight()))
                : Optional.empty();
        detail.ifPresent(d -> d.draw(g, desk, lengths, palette, sprites));
        desk.row().ifPresent(new HolePainter(brush, sprites)::flags);
        desk.cursor().ifPresent(c -> new RulerPainter(brush).runningDimension(c, desk.unit()));
        desk.cursor().ifPresent(c -> desk.over().reaching().ifPresent(r -> ReachPainter.room(g, drawn, c, r, palette)));
        setAccessibleText(Picking.words(desk));
        PickPainter picks = new PickPainter(brush);
        picks.picked(face, desk.selectionProperty().get());
        desk.cursor().ifPresent(c -> picks.cursor(face, c));
        if (pressed != null && dragged != null && !panning && !holding) {
            picks.band(pressed, dragged);
        }
        if (desk.changingProperty().get()) {
            hands.draw(
                    g,
                    drawn,
                    palette,
                    overlay.getWidth(),
                    overlay.getHeight(),
                    desk.look().scaleProperty().get() / 100.0);
        }
        if (isFocused()) {
            picks.focus(desk.changingProperty().get());
        }
    }

    // ---- hands

    private Optional<HoleReading> under(double x, double y) {
        FaceReading face = desk.face();
        SheetTransform t =
                detail.filter(d -> d.holds(x, y)).map(SheetDetail::transform).orElse(wanted);
        Box near = Box.around(t.toFace(x - REACH, y - REACH), t.toFace(x + REACH, y + REACH));
        Point at = t.toFace(x, y);
        return face.in(near).stream()
                .map(face::reading)
                .min(Comparator.comparingDouble(r -> r.hole().at().to(at).nanometres()));
    }

    private void press(MouseEvent e) {
        requestFocus();
        pressed = new Point2D(e.getX(), e.getY());
        dragged = null;
        panning = e.getButton() != MouseButton.PRIMARY || e.isAltDown();
        if (panning) {
            setCursor(Cursor.MOVE);
        }
        holding = !panning
                && desk.changingProperty().get()
                && !desk.session().readOnly()
                && e.getClickCount() == 1
                && hands.press(wanted, e.getX(), e.getY(), under(e.getX(), e.getY()), e.isShiftDown());
    }

    private void drag(MouseEvent e) {
        if (pressed == null) {
            return;
        }
        Point2D now = new Point2D(e.getX(), e.getY());
        if (panning) {
            Point2D from = dragged == null ? pressed : dragged;
            fitted = false;
            wanted = wanted.moved(now.getX() - from.getX(), now.getY() - from.getY());
            dragged = now;
            moveDrawn();
        } else if (dragged != null || now.distance(pressed) > 5) {
            dragged = now;
            if (holding) {
                hands.drag(wanted, e.getX(), e.getY(), pressed.getX(), pressed.getY(), e.isControlDown());
            }
            drawOverlay();
        }
    }

    private void release(MouseEvent e) {
        if (pressed == null) {
            return;
        }
        setCursor(Cursor.DEFAULT);
        FaceReading face = desk.face();
        Selection selection = desk.selectionProperty().get();
        boolean wasPanning = panning;
        Point2D to = dragged;
        Point2D from = pressed;
        panning = false;
        dragged = null;
        pressed = null;
        if (wasPanning) {
            draw();
        } else if (holding && hands.dragging()) {
            hands.release();
        } else if (to != null) {
            Box box = Box.around(wanted.toFace(from.getX(), from.getY()), wanted.toFace(to.getX(), to.getY()));
            desk.selectionProperty().set(selection.swept(face, box, e.isShiftDown()));
            drawOverlay();
        } else {
            click(e, face, selection);
        }
        holding = false;
    }

    private void click(MouseEvent e, FaceReading face, Selection selection) {
        if (desk.changingProperty().get()
                && !holding
                && under(e.getX(), e.getY()).isEmpty()) {
            hands.pickSheet(wanted, e.getX(), e.getY());
        }
        desk.selectionProperty().set(Picking.clicked(e, face, selection, under(e.getX(), e.getY())));
    }

    private void key(KeyEvent e) {
        Picking.keyed(e, desk.face(), desk.selectionProperty().get()).ifPresent(next -> {
            desk.selectionProperty().set(next);
            e.consume();
        });
    }

    @Override
    public Node node() {
        return this;
    }

    @Override
    public void close() {
        ties.close();
    }
}
