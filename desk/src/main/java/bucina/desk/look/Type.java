package bucina.desk.look;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;

/**
 * The typefaces that ship with the program, and the one scale of sizes: {@value #SMALL}, {@value #BODY}, {@value
 * #LARGE}, {@value #TITLE} and
 * {@value #BENCH} at 100 percent.
 */
public final class Type {

    public static final double SMALL = 11;
    public static final double BODY = 13;
    public static final double LARGE = 16;
    public static final double TITLE = 20;
    public static final double BENCH = 64;
    /** Family for everything. */
    public static final String TEXT = "B612";
    /** Family for formulas: it has the letters and signs of mathematics. */
    public static final String FORMULA = "DejaVu Sans Condensed";

    private static final String[] FILES = {"b612-regular", "b612-bold", "b612-mono-regular", "dejavu-sans-condensed"};

    private Type() {}

    /** Loads the typefaces; call once before anything is drawn. */
    public static void load() {
        for (String file : FILES) {
            try (InputStream in = Type.class.getResourceAsStream("/bucina/desk/fonts/" + file + ".ttf")) {
                if (Font.loadFont(in, BODY) == null) {
                    throw new IllegalStateException("the program's own typeface " + file + " does not load");
                }
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /** Upright text of a size. */
    public static Font text(double size) {
        return Font.font(TEXT, size);
    }

    /** Bold text of a size. */
    public static Font bold(double size) {
        return Font.font(TEXT, FontWeight.BOLD, size);
    }
}
