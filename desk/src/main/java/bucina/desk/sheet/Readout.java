package bucina.desk.sheet;

import bucina.desk.look.Palette;
import bucina.desk.look.Type;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;

/** What the hand does, on a plate in the corner of the sheet: first the move, below it what is wrong with it. */
final class Readout {

    private Readout() {}

    static void draw(GraphicsContext g, Palette p, String words, double width, double text) {
        String[] lines = words.split("\n");
        double size = Type.SMALL * text * 1.1;
        double longest = longest(lines);
        double w = Math.min(width - 60, longest * size * 0.58 + 20);
        double h = lines.length * size * 1.5 + 10;
        double x = Brush.RULER + 10;
        double y = Brush.RULER + 10;
        g.setFill(p.panel());
        g.fillRect(x, y, w, h);
        g.setStroke(p.layout());
        g.setLineWidth(1.5);
        g.strokeRect(x, y, w, h);
        g.setTextAlign(TextAlignment.LEFT);
        lines(g, lines, size, p, x, y, w);
    }

    private static double longest(String[] lines) {
        double longest = 0;
        for (String line : lines) {
            longest = Math.max(longest, line.length());
        }
        return longest;
    }

    private static void lines(GraphicsContext g, String[] lines, double size, Palette p, double x, double y, double w) {
        g.setTextBaseline(VPos.CENTER);
        for (int i = 0; i < lines.length; i++) {
            g.setFont(i == 0 ? Type.bold(size) : Type.text(size));
            g.setFill(i == 0 ? p.ink() : p.stop());
            g.fillText(lines[i], x + 10, y + 5 + size * 1.5 * (i + 0.5), w - 20);
        }
    }
}
