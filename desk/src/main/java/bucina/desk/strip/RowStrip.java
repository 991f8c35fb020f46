package bucina.desk.strip;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.desk.look.Glyph;
import bucina.desk.look.Palette;
import bucina.desk.look.Shown;
import bucina.desk.look.Ties;
import bucina.desk.look.Type;
import bucina.desk.session.Desk;
import bucina.desk.session.RowModel;
import bucina.desk.session.Selection;
import java.util.List;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;

/** Draws the row of the hole looked at; a click or the arrow keys step along it, and section and sheet follow. */
public final class RowStrip extends Region implements Shown {

    private final Ties ties = new Ties();
    private static final double LEFT = 74;
    private static final double RIGHT = 26;

    private final Desk desk;
    private final Canvas canvas = new Canvas();
    private Palette palette = Palette.LIGHT;
    private final GraphicsContext g = canvas.getGraphicsContext2D();
    private double size;

    /** A strip of the desk's row. */
    public RowStrip(Desk desk) {
        this.desk = desk;
        getChildren().add(canvas);
        getStyleClass().add("row-strip");
        listen(desk);
    }

    private void listen(Desk desk) {
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setFocusTraversable(true);
        setMinHeight(166);
        setPrefHeight(176);
        ties.on(desk.selectionProperty(), () -> draw());
        ties.on(desk.snapshotProperty(), () -> draw());
        ties.on(desk.look().unitProperty(), () -> draw());
        ties.on(desk.look().scaleProperty(), () -> draw());
        focusedProperty().addListener((o, was, now) -> draw());
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::press);
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    }

    /** Draws in the colours of one variant. */
    @Override
    public void use(Palette next, double scale) {
        palette = next;
        draw();
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        draw();
    }

    private double x(RowModel row, int i) {
        double length = row.cells().getLast().along().nanometres();
        double room = canvas.getWidth() - LEFT - RIGHT;
        return length == 0 ? LEFT + room / 2 : LEFT + row.cells().get(i).along().nanometres() / length * room;
    }

    private void draw() {
        double w = canvas.getWidth();
        double h = canvas.getHeight();
        if (w < 20) {
            return;
        }
        size = Type.SMALL * Math.min(1.4, desk.look().scaleProperty().get() / 100.0);
        g.setFill(palette.panel());
        g.fillRect(0, 0, w, h);
        Optional<RowModel> row = desk.row();
        if (row.isEmpty()) {
            empty(h);
            return;
        }
        draw(row.get(), h);
        setAccessibleText(row.get().sentence(desk.unit()));
    }

    private void empty(double h) {
        List<String> lines = List.of(
                "Pick a hole: its row is laid out here, hole by hole, with the grip as steps.",
                "Where a sheet starts or ends, the length changes.");
        for (int i = 0; i < lines.size(); i++) {
            words(
                    lines.get(i),
                    palette.soft(),
                    Type.text(size * 1.1),
                    14,
                    h / 2 + (i - .5) * size * 1.6,
                    TextAlignment.LEFT);
        }
        setAccessibleText("Row strip: no row chosen");
    }

    private void draw(RowModel row, double h) {
        double base = size * 2.1;
        double lane = (h - base - 8) / 4;
        words(fitting(row), palette.ink(), Type.bold(size * 1.1), 14, size * 1.15, TextAlignment.LEFT);
        int cursor = desk.cursor().map(c -> row.place(c.hole().id())).orElse(-1);
        Selection selection = desk.selectionProperty().get();
        for (int i = 0; i < row.cells().size(); i++) {
            if (selection.holes().contains(row.cells().get(i).reading().hole().id())) {
                double half = halfCell(row, i);
                g.setFill(palette.wash());
                g.fillRect(x(row, i) - half, base, 2 * half, h - base - 4);
            }
        }
        if (cursor >= 0) {
            g.setStroke(palette.layout());
            g.setLineWidth(1.5);
            g.strokeLine(x(row, cursor), base, x(row, cursor), base + 3 * lane - 2);
        }
        uses(row, base, lane);
        grips(row, base + lane, lane);
        edges(row, base + 2 * lane, lane);
        states(row, base + 3 * lane, lane, cursor);
        if (isFocused()) {
            g.setStroke(palette.layout());
            g.setLineWidth(2);
            g.strokeRect(1, 1, canvas.getWidth() - 2, h - 2);
        }
    }

    private double halfCell(RowModel row, int i) {
        double before = i > 0 ? x(row, i) - x(row, i - 1) : 14;
        double after = i < row.cells().size() - 1 ? x(row, i + 1) - x(row, i) : 14;
        return Math.clamp(Math.min(before, after) / 2, 2, 14);
    }

    /** Lane 1: which length goes where. */
    private void uses(RowModel row, double top, double lane) {
        title("Use", top + lane / 2);
        for (RowModel.Run run : row.runs()) {
            double a = x(row, run.from()) - halfCell(row, run.from());
            double b = x(row, run.to()) + halfCell(row, run.to());
            g.setFill(palette.film());
            g.fillRect(a, top + 3, b - a, lane - 6);
            g.setStroke(palette.line());
            g.setLineWidth(1);
            g.strokeRect(a, top + 3, b - a, lane - 6);
            String count = " × " + (run.to() - run.from() + 1);
            use(b, a, run, count, top, lane);
        }
    }

    private void use(double b, double a, RowModel.Run run, String count, double top, double lane) {
        boolean wide = b - a > (run.dash().length() + count.length()) * size * 0.62;
        if (wide || b - a > run.dash().length() * size * 0.68) {
            words(
                    run.dash() + (wide ? count : ""),
                    palette.layout(),
                    Type.bold(size * 1.08),
                    (a + b) / 2,
                    top + lane / 2,
                    TextAlignment.CENTER);
        }
    }

    /** Lane 2: the grip as a step line, from nothing at the foot. */
    private void grips(RowModel row, double top, double lane) {
        title("Grip, " + desk.unit().symbol(), top + lane / 2);
        double most = row.runs().stream()
                .mapToDouble(r -> r.grip().nanometres())
                .max()
                .orElse(1);
        double foot = top + lane - 3;
        double room = lane - size * 1.15 - 4;
        double lastLabel = -100;
        double before = Double.NaN;
        g.setLineWidth(2);
        for (RowModel.Run run : row.runs()) {
            double a = x(row, run.from()) - halfCell(row, run.from());
            double b = x(row, run.to()) + halfCell(row, run.to());
            double y = foot - run.grip().nanometres() / Math.max(1, most) * room;
            g.setFill(palette.shade());
            g.fillRect(a, y, b - a, foot - y);
            g.setStroke(palette.ink());
            g.strokeLine(a, y, b, y);
            if (!Double.isNaN(before)) {
                g.strokeLine(a, before, a, y);
            }
            before = y;
            if (a > lastLabel) {
                String text = LengthFormat.figure(run.grip(), desk.unit(), 3);
                words(text, palette.ink(), Type.text(size), a + 2, y - size * 0.65, TextAlignment.LEFT);
                lastLabel = a + text.length() * size * 0.62 + 6;
            }
        }
    }

    /** Lane 3: the worst layer's edge distance over or under its limit, which is the line. */
    private void edges(RowModel row, double top, double lane) {
        title("Edge", top + lane / 2);
        double limit = top + lane * 0.68;
        double scale = lane * 0.5;
        g.setStroke(palette.soft());
        g.setLineWidth(1);
        g.setLineDashes(4, 3);
        g.strokeLine(LEFT - 10, limit, canvas.getWidth() - RIGHT + 14, limit);
        g.setLineDashes((double[]) null);
        for (int i = 0; i < row.cells().size(); i++) {
            RowModel.Cell cell = row.cells().get(i);
            if (cell.margin().isEmpty()) {
                continue;
            }
            double margin =
                    cell.margin().get().per(cell.reading().solution().fastener().shank());
            boolean holds = cell.margin().get().atLeast(Length.ZERO);
            double bar = Math.clamp(margin / 2, -0.6, 1) * scale;
            double w = Math.clamp(halfCell(row, i) * 0.9, 1.5, 5);
            g.setFill(holds ? palette.soft() : palette.stop());
            double tall = holds ? Math.max(2, bar) : Math.max(6, -bar);
            g.fillRect(x(row, i) - w / 2, holds ? limit - tall : limit, w, tall);
            if (!holds) {
                Glyph.mark(g, Glyph.Mark.ERROR, x(row, i) + 2, limit + 3, 5, palette);
            }
        }
    }

    /** Lane 4: where each hole stands, with labels at the ends, at every step of length and at the cursor. */
    private void states(RowModel row, double top, double lane, int cursor) {
        title("State", top + lane * 0.36);
        double y = top + lane * 0.36;
        double lastLabel = -100;
        for (int i = 0; i < row.cells().size(); i++) {
            double r = Math.clamp(halfCell(row, i) * 0.85, 2.5, 6);
            Glyph.paint(g, row.cells().get(i).state(), x(row, i), y, r, palette);
            if (!row.cells().get(i).state().set()
                    && desk.snapshot().holds().of(row.cells().get(i).reading()).isPresent()) {
                Glyph.mark(g, Glyph.Mark.HOLD, x(row, i), y, r, palette);
            }
        }
        for (int i = 0; i < row.cells().size(); i++) {
            int place = i;
            boolean told = i == cursor
                    || i == 0
                    || i == row.cells().size() - 1
                    || row.runs().stream().anyMatch(run -> run.from() == place);
            boolean nearCursor = cursor >= 0 && i != cursor && Math.abs(x(row, i) - x(row, cursor)) < size * 2;
            if (told && !nearCursor && x(row, i) - lastLabel > size * 1.9) {
                words(
                        Integer.toString(row.cells().get(i).reading().hole().label()),
                        i == cursor ? palette.layout() : palette.soft(),
                        i == cursor ? Type.bold(size) : Type.text(size),
                        x(row, i),
                        top + lane * 0.84,
                        TextAlignment.CENTER);
                lastLabel = x(row, i);
            }
        }
    }

    private void title(String word, double y) {
        words(word, palette.soft(), Type.text(size), 14, y, TextAlignment.LEFT);
    }

    private void words(String text, Color colour, Font font, double x, double y, TextAlignment align) {
        g.setFill(colour);
        g.setFont(font);
        g.setTextAlign(align);
        g.setTextBaseline(VPos.CENTER);
        g.fillText(text, x, y);
    }

    /** What the strip says, with the causes if there is room for them. */
    private String fitting(RowModel row) {
        Text measure = new Text(row.sentence(desk.unit()));
        measure.setFont(Type.bold(size * 1.1));
        return measure.getLayoutBounds().getWidth() <= getWidth() - 28 ? measure.getText() : row.brief(desk.unit());
    }

    private void press(MouseEvent e) {
        requestFocus();
        desk.row().ifPresent(row -> {
            int best = 0;
            for (int i = 1; i < row.cells().size(); i++) {
                if (Math.abs(x(row, i) - e.getX()) < Math.abs(x(row, best) - e.getX())) {
                    best = i;
                }
            }
            Selection selection = desk.selectionProperty().get();
            var hit = row.cells().get(best).reading();
            desk.selectionProperty()
                    .set(
                            e.getClickCount() == 2
                                    ? Selection.row(
                                            desk.face(),
                                            row.row().id(),
                                            Optional.of(hit.hole().id()))
                                    : e.isShiftDown() ? selection.range(desk.face(), hit) : selection.one(hit));
        });
    }

    private void key(KeyEvent e) {
        int step =
                switch (e.getCode()) {
                    case LEFT -> -1;
                    case RIGHT -> 1;
                    default -> 0;
                };
        if (step != 0) {
            desk.selectionProperty().set(desk.selectionProperty().get().along(desk.face(), step, e.isShiftDown()));
            e.consume();
        }
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
