package bucina.desk.look;

import java.lang.reflect.RecordComponent;
import java.util.Locale;
import javafx.scene.paint.Color;

/**
 * The colours of one variant, from the shop. Text on {@code bench}, {@code panel} and {@code film} in {@code ink},
 * {@code soft}, {@code layout},
 * {@code done}, {@code attention} and {@code stop} stands at least 4.5 : 1.
 *
 * @param bench     behind everything
 * @param panel     rack, bench side, bars
 * @param film      the sheet's ground and fields: the brightest
 * @param metal     bare aluminium
 * @param shade     metal in shadow: what lies under the sheet
 * @param edge      edges of sheets
 * @param line      hair lines
 * @param ink       text
 * @param soft      lesser text
 * @param layout    layout-fluid blue: planned, picked
 * @param wash      layout blue, thin: behind what is picked
 * @param done      primer green: done
 * @param attention copper: look here
 * @param stop      signal red: wrong
 * @param onFill    text on a filled button
 */
public record Palette(
        Color bench,
        Color panel,
        Color film,
        Color metal,
        Color shade,
        Color edge,
        Color line,
        Color ink,
        Color soft,
        Color layout,
        Color wash,
        Color done,
        Color attention,
        Color stop,
        Color onFill) {

    /** For bright garages. */
    public static final Palette LIGHT = of(
            "#dfe4e3", "#eef1f0", "#ffffff", "#e3e8ea", "#c9d1d4", "#66747a", "#b4bfc1", "#172124", "#4a5558",
            "#17509b", "#d6e4f5", "#3d6b1d", "#964a10", "#b01c1c", "#ffffff");

    /** For night work. */
    public static final Palette DARK = of(
            "#101517", "#182023", "#222c30", "#333f45", "#414f56", "#93a5ad", "#3b484e", "#edf1f2", "#b3bfc3",
            "#86b6ff", "#27405f", "#a2d06f", "#efac72", "#ff948b", "#101517");

    private static Palette of(String... c) {
        Color[] k = new Color[c.length];
        for (int i = 0; i < c.length; i++) {
            k[i] = Color.web(c[i]);
        }
        return new Palette(
                k[0], k[1], k[2], k[3], k[4], k[5], k[6], k[7], k[8], k[9], k[10], k[11], k[12], k[13], k[14]);
    }

    /** The style of a window in these colours, text so many percent as large as usual. */
    public String css(int percent) {
        return css() + "-fx-font-size: " + Math.round(13 * percent / 100.0) + "px;";
    }

    /** The colours as looked-up names of the style sheet: {@code -ink: #172124; ...}. */
    public String css() {
        StringBuilder css = new StringBuilder();
        for (RecordComponent component : Palette.class.getRecordComponents()) {
            try {
                Color c = (Color) component.getAccessor().invoke(this);
                css.append("-")
                        .append(component.getName().toLowerCase(Locale.ROOT))
                        .append(": ")
                        .append(web(c))
                        .append("; ");
            } catch (ReflectiveOperationException e) {
                throw new IllegalStateException("palette component " + component.getName() + " cannot be read", e);
            }
        }
        return css.toString();
    }

    private static String web(Color c) {
        return String.format(
                Locale.ROOT,
                "#%02x%02x%02x",
                Math.round(c.getRed() * 255),
                Math.round(c.getGreen() * 255),
                Math.round(c.getBlue() * 255));
    }

    /** Contrast of two colours after WCAG 2: 1 to 21. */
    public static double contrast(Color a, Color b) {
        double la = luminance(a);
        double lb = luminance(b);
        return (Math.max(la, lb) + 0.05) / (Math.min(la, lb) + 0.05);
    }

    private static double luminance(Color c) {
        return 0.2126 * linear(c.getRed()) + 0.7152 * linear(c.getGreen()) + 0.0722 * linear(c.getBlue());
    }

    private static double linear(double v) {
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }
}
