package bucina.desk.look;

import bucina.core.log.HoleState;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.SnapshotParameters;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.paint.Color;

/**
 * Glyphs painted once and stamped often: a sprite is some eight times faster to draw than its shapes. Interface thread
 * only.
 */
public final class Sprites {

    /** A mark is drawn beside a glyph of this half size at the most: it points, it does not shout. */
    private static final double MOST_MARK = 7;

    private record Key(Object base, Glyph.Mark mark, int size) {}

    /** A length as {@link Glyph#length} paints it. */
    private record Length(int place, int of) {}

    private final Palette palette;
    private final Map<Key, Image> made = new HashMap<>();

    /** Sprites in the colours of one variant. */
    public Sprites(Palette palette) {
        this.palette = palette;
    }

    /** The glyph of a state with a mark; its centre is the image's centre, which is three times {@code size} wide. */
    public Image of(HoleState state, Glyph.Mark mark, int size) {
        return made.computeIfAbsent(
                new Key(state, mark, size),
                key -> stamp(mark, size, g -> Glyph.paint(g, state, size * 1.5, size * 1.5, size / 2.0, palette)));
    }

    /** The glyph of a length with a mark; measures as {@link #of}. */
    public Image ofLength(int place, int of, Glyph.Mark mark, int size) {
        return made.computeIfAbsent(
                new Key(new Length(place, of), mark, size),
                key -> stamp(mark, size, g -> Glyph.length(g, place, of, size * 1.5, size * 1.5, size / 2.0, palette)));
    }

    private Image stamp(Glyph.Mark mark, int size, Consumer<GraphicsContext> base) {
        Canvas canvas = new Canvas(size * 3, size * 3);
        base.accept(canvas.getGraphicsContext2D());
        mark(size, mark, canvas);
        SnapshotParameters clear = new SnapshotParameters();
        clear.setFill(Color.TRANSPARENT);
        return canvas.snapshot(clear, null);
    }

    private void mark(int size, Glyph.Mark mark, Canvas canvas) {
        double r = Math.min(size / 2.0, MOST_MARK);
        double out = (size / 2.0 - r) * 0.7;
        boolean below = mark == Glyph.Mark.DEVIATION;
        boolean around = mark == Glyph.Mark.HOLD
                || mark == Glyph.Mark.MEASURE
                || mark == Glyph.Mark.FAILED
                || mark == Glyph.Mark.DOUBT;
        Glyph.mark(
                canvas.getGraphicsContext2D(),
                mark,
                size * 1.5 + (below || around ? 0 : out),
                size * 1.5 + (below ? out * 1.4 : around ? 0 : -out),
                around ? size / 2.0 : r,
                palette);
    }
}
