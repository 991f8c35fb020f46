package bucina.desk.sheet;

import bucina.core.log.HoleState;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Glyph;
import bucina.desk.look.Palette;
import bucina.desk.look.Sprites;
import bucina.desk.look.Type;
import bucina.desk.session.HoleLook;
import bucina.desk.session.RowModel;
import java.util.function.Function;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/** Stamps the holes of a face as they look in a stage, and the flags along a row. Made for one drawing. */
final class HolePainter {

    /** Glyphs are drawn down to this size, px; below they are dots. */
    private static final int LEAST_GLYPH = 8;

    private static final int MOST_GLYPH = 26;

    private final GraphicsContext g;
    private final SheetTransform t;
    private final Palette p;
    private final Sprites sprites;
    private final double width;
    private final double height;
    private final double text;

    HolePainter(Brush brush, Sprites sprites) {
        this.g = brush.g();
        this.t = brush.t();
        this.p = brush.p();
        this.sprites = sprites;
        this.width = brush.width();
        this.height = brush.height();
        this.text = brush.text();
    }

    /** Size of a glyph at this zoom, px; under {@link #LEAST_GLYPH} holes are dots. */
    static int glyphSize(SheetTransform t, FaceReading face) {
        double pitch = 25.4e6 * 0.95 * t.scale();
        int most = face.size() > 3000 ? 14 : MOST_GLYPH;
        return (int) Math.clamp(pitch * 0.85, 5, most);
    }

    /** Every hole in view as it looks; under {@link #LEAST_GLYPH} as a dot. */
    void holes(FaceReading face, Function<HoleReading, HoleLook> looks) {
        int size = glyphSize(t, face);
        double half = size * 1.5;
        for (int i : face.in(t.visible(width, height, size))) {
            HoleReading reading = face.reading(i);
            HoleLook look = looks.apply(reading);
            double x = t.toX(reading.hole().at().x());
            double y = t.toY(reading.hole().at().y());
            if (size < LEAST_GLYPH || look.fill() instanceof HoleLook.Fill.Absent) {
                g.setFill(dot(look));
                g.fillRect(x - 1.5, y - 1.5, 3, 3);
            } else {
                g.drawImage(sprite(look, size), Math.round(x - half), Math.round(y - half));
            }
        }
        if (size >= 20) {
            labels(face, size);
        }
    }

    private Image sprite(HoleLook look, int size) {
        Glyph.Mark mark = mark(look.overlay());
        return switch (look.fill()) {
            case HoleLook.Fill.ByLength length -> sprites.ofLength(length.place(), length.of(), mark, size);
            case HoleLook.Fill.ByState state -> sprites.of(state.state(), mark, size);
            case HoleLook.Fill.Absent absent -> sprites.of(HoleState.PLANNED, mark, size);
        };
    }

    private Color dot(HoleLook look) {
        if (look.broken()) {
            return p.stop();
        }
        return switch (look.fill()) {
            case HoleLook.Fill.ByLength length -> p.layout();
            case HoleLook.Fill.ByState state -> Glyph.colour(state.state(), p);
            case HoleLook.Fill.Absent absent -> p.edge();
        };
    }

    /** The mark drawn for what is to be said about a hole. */
    static Glyph.Mark mark(HoleLook.Overlay overlay) {
        return switch (overlay) {
            case NONE -> Glyph.Mark.NONE;
            case HOLD -> Glyph.Mark.HOLD;
            case ERROR -> Glyph.Mark.ERROR;
            case QUERY -> Glyph.Mark.QUERY;
            case WARNING -> Glyph.Mark.WARNING;
            case SKIPPED -> Glyph.Mark.SKIPPED;
            case BEFORE -> Glyph.Mark.BEFORE;
            case MEASURE -> Glyph.Mark.MEASURE;
            case FAILED -> Glyph.Mark.FAILED;
            case DOUBT -> Glyph.Mark.DOUBT;
            case DEVIATION -> Glyph.Mark.DEVIATION;
        };
    }

    private void labels(FaceReading face, int size) {
        g.setFont(Type.text(Type.SMALL * text));
        g.setFill(p.soft());
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.CENTER);
        for (int i : face.in(t.visible(width, height, size))) {
            HoleReading reading = face.reading(i);
            g.fillText(
                    Integer.toString(reading.hole().label()),
                    t.toX(reading.hole().at().x()) + size * 0.65,
                    t.toY(reading.hole().at().y()) + size * 0.7);
        }
    }

    /** Flags along a row where the rivet changes: the length stands on the sheet where it begins. */
    void flags(RowModel row) {
        double size = Type.SMALL * text;
        g.setFont(Type.bold(size));
        g.setTextBaseline(VPos.CENTER);
        double lastRight = -1000;
        double lastTop = 0;
        for (RowModel.Run run : row.runs()) {
            var at = row.cells().get(run.from()).reading().hole().at();
            double x = t.toX(at.x());
            double y = t.toY(at.y());
            double w = run.dash().length() * size * 0.62 + 10;
            double top = y - glyphOffset() - size * 1.6;
            if (x < lastRight && Math.abs(top - lastTop) < size * 1.5) {
                top -= size * 1.8;
            }
            lastRight = x + w;
            lastTop = top;
            flag(x, y, top, w, size, run);
        }
    }

    private void flag(double x, double y, double top, double w, double size, RowModel.Run run) {
        g.setStroke(p.layout());
        g.setLineWidth(1.2);
        g.strokeLine(x, y - 4, x, top);
        g.setFill(p.film());
        g.fillRect(x, top, w, size * 1.5);
        g.strokeRect(x, top, w, size * 1.5);
        g.setFill(p.layout());
        g.setTextAlign(TextAlignment.CENTER);
        g.fillText(run.dash(), x + w / 2, top + size * 0.8);
    }

    private double glyphOffset() {
        return Math.clamp(25.4e6 * t.scale() * 0.6, 9, 24);
    }
}
