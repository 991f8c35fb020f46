package bucina.store.svg;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.store.curve.Placing;
import bucina.store.drawing.FileUnit;
import bucina.store.drawing.Limits;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Sizes, as browsers take them (SVG 1.1, chapter 7): lengths with units, view boxes, and how one fits the other.
 *
 * @param width  in the units of what is inside; percentages are of it
 * @param height likewise
 */
record Viewport(double width, double height) {

    private static final double INCH = 25_400_000;
    private static final double PIXEL = INCH / 96;
    private static final Pattern SIZE =
            Pattern.compile("([+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][+-]?\\d{1,3})?)\\s*(mm|cm|in|pt|pc|px|[qQ]|%|)");

    /**
     * A length.
     *
     * @param unit as written; empty where none is
     */
    private record Size(double figure, String unit) {

        /** In pixels; of a percentage, of {@code whole}. */
        double pixels(double whole) {
            return switch (unit) {
                case "", "px" -> figure;
                case "%" -> figure / 100 * whole;
                default -> figure * nanometres(unit) / PIXEL;
            };
        }
    }

    private static double nanometres(String unit) {
        return switch (unit) {
            case "mm" -> 1e6;
            case "cm" -> 1e7;
            case "in" -> INCH;
            case "pt" -> INCH / 72;
            case "pc" -> INCH / 6;
            case "px" -> PIXEL;
            default -> 250_000;
        };
    }

    private static Optional<Size> size(String text) {
        Matcher m = SIZE.matcher(text);
        return m.matches() ? Optional.of(new Size(Limits.figure("length", m.group(1)), m.group(2))) : Optional.empty();
    }

    /** A length of an element, across: percentages are of the width. */
    double across(SvgNode node, String name) {
        return length(node, name, width);
    }

    /** A length of an element, up. */
    double up(SvgNode node, String name) {
        return length(node, name, height);
    }

    /** A length that goes neither way. */
    double slanted(SvgNode node, String name) {
        return length(node, name, Math.sqrt((width * width + height * height) / 2));
    }

    private static double length(SvgNode node, String name, double whole) {
        String text = node.text(name);
        return text.isEmpty() || text.equals("auto")
                ? 0
                : size(text).map(s -> s.pixels(whole)).orElseGet(() -> Limits.figure(node.name() + " " + name, text));
    }

    /** The box that is shown: left, top, width, height; empty where none is said. */
    static Optional<double[]> box(SvgNode node) {
        String text = node.text("viewBox");
        if (text.isEmpty()) {
            return Optional.empty();
        }
        String[] words = text.split("[\\s,]+");
        double[] box = new double[words.length];
        for (int i = 0; i < words.length; i++) {
            box[i] = Limits.figure("viewBox", words[i]);
        }
        return box.length == 4 && box[2] > 0 && box[3] > 0 ? Optional.of(box) : Optional.empty();
    }

    /** How the box of an element fits a place of this size. */
    static Placing fitted(SvgNode node, double[] box, double wide, double high) {
        double sx = wide / box[2];
        double sy = high / box[3];
        String[] keep =
                node.text("preserveAspectRatio").replaceFirst("^defer\\s+", "").split("\\s+");
        String align = keep[0].isEmpty() ? "xMidYMid" : keep[0];
        if (align.equals("none")) {
            return Placing.scaled(sx, sy).of(Placing.moved(-box[0], -box[1]));
        }
        double s = keep.length > 1 && keep[1].equals("slice") ? Math.max(sx, sy) : Math.min(sx, sy);
        double dx = share(align, "xMin", "xMax") * (wide - s * box[2]);
        double dy = share(align, "YMin", "YMax") * (high - s * box[3]);
        return Placing.moved(dx, dy).of(Placing.scaled(s, s)).of(Placing.moved(-box[0], -box[1]));
    }

    private static double share(String align, String least, String most) {
        return align.contains(least) ? 0 : align.contains(most) ? 1 : 0.5;
    }

    /**
     * How the outermost element says its figures are to be taken.
     *
     * @param x    of one unit across, nm
     * @param y    of one unit up, nm
     * @param unit what the file says; empty where it gives no size that is one
     */
    record Outer(double x, double y, Optional<FileUnit> unit) {}

    /** The scale of a file. Where it gives no size, or one without a unit, a unit of it is {@code bare}. */
    static Outer outer(SvgNode svg, Unit bare) {
        Optional<Size> width = size(svg.text("width")).filter(s -> s.figure > 0);
        Optional<Size> height = size(svg.text("height")).filter(s -> s.figure > 0);
        Optional<Size> wide = width.filter(Viewport::says);
        Optional<Size> high = height.filter(Viewport::says);
        if (wide.isEmpty() && high.isEmpty()) {
            return stretched(svg, width, height, bare);
        }
        Unit shown = shown(wide.or(() -> high).orElseThrow().unit, bare);
        Optional<double[]> box = box(svg);
        if (box.isEmpty()) {
            return new Outer(PIXEL, PIXEL, Optional.of(named(PIXEL, shown)));
        }
        double w = wide.map(s -> s.figure * nanometres(s.unit) / box.get()[2]).orElse(0.0);
        double h = high.map(s -> s.figure * nanometres(s.unit) / box.get()[3]).orElse(0.0);
        if (w == 0 || h == 0) {
            double only = Math.max(w, h);
            return new Outer(only, only, Optional.of(named(only, shown)));
        }
        Placing fit = fitted(svg, box.get(), w * box.get()[2], h * box.get()[3]);
        return new Outer(fit.xx(), fit.yy(), Optional.of(named(fit.xx(), shown)));
    }

    private static boolean says(Size size) {
        return !size.unit.isEmpty() && !size.unit.equals("%");
    }

    private static Unit shown(String unit, Unit bare) {
        return switch (unit) {
            case "mm", "cm", "q", "Q" -> Unit.MM;
            case "in", "pt", "pc" -> Unit.INCH;
            default -> bare;
        };
    }

    private static Outer stretched(SvgNode svg, Optional<Size> width, Optional<Size> height, Unit bare) {
        double unit = bare.nanometres();
        Optional<double[]> box = box(svg);
        boolean free = svg.text("preserveAspectRatio").startsWith("none");
        if (!free || box.isEmpty() || width.isEmpty() || height.isEmpty()) {
            return new Outer(unit, unit, Optional.empty());
        }
        double x = width.get().pixels(box.get()[2]) / box.get()[2];
        double y = height.get().pixels(box.get()[3]) / box.get()[3];
        return new Outer(unit, unit * y / x, Optional.empty());
    }

    private static FileUnit named(double nanometres, Unit shown) {
        double share = nanometres / PIXEL;
        String name = near(nanometres, 1e6)
                ? "millimetres"
                : near(nanometres, INCH)
                        ? "inches"
                        : near(share, 1)
                                ? "pixels, 96 to the inch"
                                : near(nanometres, INCH / 72)
                                        ? "points, 72 to the inch"
                                        : LengthFormat.exact(Length.nm(nanometres), Unit.MM) + " each, by its size";
        // What differs by the rounding of a size only is the unit itself.
        double exact = near(nanometres, 1e6) ? 1e6 : near(nanometres, INCH) ? INCH : nanometres;
        return new FileUnit(name, exact, shown);
    }

    private static boolean near(double a, double b) {
        return Math.abs(a - b) < 1e-6 * b;
    }
}
