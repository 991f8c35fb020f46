package bucina.desk.sheet;

import bucina.desk.look.Palette;
import javafx.scene.canvas.GraphicsContext;

/**
 * What the painters of the sheet draw with.
 *
 * @param t      from the face to the view
 * @param width  of the view, px
 * @param height of the view, px
 * @param text   how much larger text is than usual
 */
record Brush(GraphicsContext g, SheetTransform t, Palette p, double width, double height, double text) {

    /** Width of the rulers, px. */
    static final double RULER = 26;
}
