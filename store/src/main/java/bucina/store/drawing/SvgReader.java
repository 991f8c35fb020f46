package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.Left;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.io.StringReader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/*
 * Design. The file is read as a stream with document types and entities turned off. A user unit is a millimetre where
 * the width and the view box
 * say so; otherwise 1/96 in where the width is given in pixels, as the standard has it, or the unit handed in where
 * no size is given at all.
 */

/** Reads lines, paths, circles and rectangles of SVG. */
public final class SvgReader {

    private static final Pattern SIZE = Pattern.compile("\\s*([0-9.eE+-]{1,30})\\s*(mm|cm|in|pt|pc|px|)\\s*");
    private static final Pattern TRANSFORM = Pattern.compile("(matrix|translate|scale|rotate)\\s*\\(([^)]{0,400})\\)");
    private static final int DEEPEST = 200;

    private final Unit bare;
    private final Progress progress;
    private final List<Drawing.Shape> shapes = new ArrayList<>();
    private final Map<String, Integer> left = new TreeMap<>();
    private final Deque<Level> levels = new ArrayDeque<>();
    private int read;

    private SvgReader(Unit bare, Progress progress) {
        this.bare = bare;
        this.progress = progress;
    }

    /** Where in the tree we are: how coordinates become nanometres, and the name of the layer. */
    private record Level(Matrix matrix, String layer, boolean hidden) {}

    /**
     * Reads a drawing.
     *
     * @param text the whole file
     * @param unit taken where the file gives no size
     * @throws InputException if it is no SVG, or is damaged
     */
    public static Drawing read(String text, Unit unit, Progress progress) {
        return new SvgReader(unit, progress).reading(text);
    }

    private Drawing reading(String text) {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        // Java's own limit is lower and does not say so.
        factory.setProperty("jdk.xml.maxElementDepth", DEEPEST + 2);
        boolean any = false;
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(new StringReader(text));
            while (xml.hasNext()) {
                int event = xml.next();
                if (event == XMLStreamConstants.START_ELEMENT) {
                    any |= xml.getLocalName().equals("svg");
                    start(xml);
                    if ((++read & 511) == 0) {
                        progress.check(Math.min(
                                0.9, xml.getLocation().getCharacterOffset() / (double) Math.max(1, text.length())));
                    }
                } else if (event == XMLStreamConstants.END_ELEMENT && !levels.isEmpty()) {
                    levels.pop();
                }
            }
        } catch (XMLStreamException e) {
            String where =
                    e.getLocation() == null ? "" : " at line " + e.getLocation().getLineNumber();
            throw new InputException(
                    "this is no SVG, or it is damaged" + where + ": an SVG is XML with <svg> outermost", e);
        }
        if (!any) {
            throw new InputException("this is no SVG: it has no <svg> element");
        }
        return new Drawing(
                shapes,
                left.entrySet().stream()
                        .map(e -> new Left(
                                e.getKey(), e.getValue(), "", "this program does not read it", Optional.empty()))
                        .toList(),
                List.of());
    }

    private void start(XMLStreamReader xml) {
        String name = xml.getLocalName();
        if (levels.size() > DEEPEST) {
            throw new InputException("the SVG nests over " + DEEPEST + " elements deep: no drawing does");
        }
        Level above = levels.isEmpty() ? new Level(Matrix.IDENTITY, "", false) : levels.peek();
        Matrix matrix = above.matrix;
        if (name.equals("svg") && levels.isEmpty()) {
            matrix = size(xml);
        }
        matrix = matrix.times(transform(xml.getAttributeValue(null, "transform")));
        String label = Optional.ofNullable(
                        xml.getAttributeValue("http://www.inkscape.org/namespaces/inkscape", "label"))
                .orElse(xml.getAttributeValue(null, "id"));
        boolean group = name.equals("g") || name.equals("svg");
        String layer = group && label != null && !label.isBlank() ? label : above.layer;
        boolean hidden = above.hidden
                || name.equals("defs")
                || name.equals("clipPath")
                || name.equals("mask")
                || name.equals("symbol")
                || name.equals("pattern")
                || "none".equals(xml.getAttributeValue(null, "display"));
        levels.push(new Level(matrix, layer, hidden));
        if (!hidden && !group) {
            Limits.count(shapes.size());
            element(xml, name, levels.peek());
        }
    }

    private void element(XMLStreamReader xml, String name, Level level) {
        switch (name) {
            case "path" ->
                new SvgPath(level.matrix, level.layer, shapes, this::leave).read(xml.getAttributeValue(null, "d"));
            case "circle" -> circle(xml, level);
            case "rect" -> rectangle(xml, level);
            case "line" ->
                shapes.add(new Drawing.Path(
                        level.layer,
                        List.of(
                                Corner.of(level.matrix.at(number(xml, "x1"), number(xml, "y1"))),
                                Corner.of(level.matrix.at(number(xml, "x2"), number(xml, "y2")))),
                        false));
            case "polyline", "polygon" -> points(xml, level, name.equals("polygon"));
            case "text", "tspan", "title", "desc", "metadata", "style", "switch", "a" -> {}
            default ->
                leave(
                        xml.getNamespaceURI() == null || xml.getNamespaceURI().endsWith("/svg")
                                ? name
                                : "element of another program");
        }
    }

    private void leave(String kind) {
        left.merge(kind.length() > 40 ? kind.substring(0, 40) : kind, 1, Integer::sum);
    }

    private void circle(XMLStreamReader xml, Level level) {
        double r = number(xml, "r") * level.matrix.alike();
        if (!(r > 0)) {
            leave(level.matrix.alike() == 0 ? "circle that is stretched" : "circle with no size");
            return;
        }
        String label = xml.getAttributeValue(null, "data-label");
        shapes.add(new Drawing.Circle(
                level.layer,
                level.matrix.at(number(xml, "cx"), number(xml, "cy")),
                Length.nm(2 * r),
                Optional.ofNullable(label)
                        .filter(l -> l.matches("[1-9]\\d{0,5}"))
                        .map(Integer::valueOf)));
    }

    private void rectangle(XMLStreamReader xml, Level level) {
        double x = number(xml, "x");
        double y = number(xml, "y");
        double w = number(xml, "width");
        double h = number(xml, "height");
        if (!(w > 0 && h > 0)) {
            leave("rect with no size");
            return;
        }
        if (number(xml, "rx") != 0 || number(xml, "ry") != 0) {
            leave("rounding of a rect");
        }
        Matrix m = level.matrix;
        shapes.add(new Drawing.Path(
                level.layer,
                List.of(
                        Corner.of(m.at(x, y)),
                        Corner.of(m.at(x + w, y)),
                        Corner.of(m.at(x + w, y + h)),
                        Corner.of(m.at(x, y + h))),
                true));
    }

    private void points(XMLStreamReader xml, Level level, boolean closed) {
        String text = xml.getAttributeValue(null, "points");
        List<Corner> corners = corners(text, level);
        if (corners.size() < 2) {
            leave("polygon with under two corners");
        } else {
            shapes.add(new Drawing.Path(level.layer, corners, closed));
        }
    }

    private static List<Corner> corners(String text, Level level) {
        String[] figures =
                text == null || text.isBlank() ? new String[0] : text.strip().split("[\\s,]+");
        List<Corner> corners = new ArrayList<>();
        for (int i = 0; i + 1 < figures.length; i += 2) {
            corners.add(Corner.of(
                    level.matrix.at(Limits.figure("polygon", figures[i]), Limits.figure("polygon", figures[i + 1]))));
        }
        return corners;
    }

    private static double number(XMLStreamReader xml, String attribute) {
        String text = xml.getAttributeValue(null, attribute);
        return text == null || text.isBlank()
                ? 0
                : Limits.figure(xml.getLocalName(), text.strip().replaceAll("(mm|px)$", ""));
    }

    /** From user units to nanometres, y turned upward. */
    private Matrix size(XMLStreamReader xml) {
        double unit = bare.nanometres();
        double x = 0;
        double y = 0;
        Matcher width = SIZE.matcher(
                Optional.ofNullable(xml.getAttributeValue(null, "width")).orElse(""));
        String[] box = Optional.ofNullable(xml.getAttributeValue(null, "viewBox"))
                .orElse("")
                .strip()
                .split("[\\s,]+");
        if (width.matches()) {
            unit = unit(width, box, unit);
        }
        return new Matrix(unit, 0, 0, -unit, x, y);
    }

    private static double unit(Matcher width, String[] box, double unit) {
        double nanometres = Limits.figure("width", width.group(1))
                * switch (width.group(2)) {
                    case "mm" -> 1e6;
                    case "cm" -> 1e7;
                    case "in" -> 25.4e6;
                    case "pt" -> 25.4e6 / 72;
                    case "pc" -> 25.4e6 / 6;
                    default -> 25.4e6 / 96;
                };
        double across = box.length == 4 ? Limits.figure("viewBox", box[2]) : Limits.figure("width", width.group(1));
        if (across > 0 && nanometres > 0) {
            unit = nanometres / across;
        }
        return unit;
    }

    private static Matrix transform(String text) {
        Matrix all = Matrix.IDENTITY;
        if (text == null) {
            return all;
        }
        Matcher m = TRANSFORM.matcher(text);
        while (m.find()) {
            String[] words = m.group(2).strip().split("[\\s,]+");
            double[] f = new double[words.length];
            for (int i = 0; i < f.length; i++) {
                f[i] = Limits.figure("transform", words[i]);
            }
            all = all.times(Matrix.of(m.group(1), f));
        }
        return all;
    }

    /** A plane transform: x' = a x + c y + e, y' = b x + d y + f. */
    record Matrix(double a, double b, double c, double d, double e, double f) {

        static final Matrix IDENTITY = new Matrix(1, 0, 0, 1, 0, 0);

        static Matrix of(String kind, double[] v) {
            if (kind.equals("matrix") && v.length == 6) {
                return new Matrix(v[0], v[1], v[2], v[3], v[4], v[5]);
            }
            if (kind.equals("translate") && (v.length == 1 || v.length == 2)) {
                return new Matrix(1, 0, 0, 1, v[0], v.length == 2 ? v[1] : 0);
            }
            if (kind.equals("scale") && (v.length == 1 || v.length == 2)) {
                return new Matrix(v[0], 0, 0, v.length == 2 ? v[1] : v[0], 0, 0);
            }
            if (kind.equals("rotate") && (v.length == 1 || v.length == 3)) {
                return rotation(v);
            }
            throw new InputException("a transform " + kind + " with " + v.length
                    + " figures cannot be read: write it like translate(10, 5)");
        }

        private static Matrix rotation(double[] v) {
            double t = Math.toRadians(v[0]);
            Matrix turn = new Matrix(Math.cos(t), Math.sin(t), -Math.sin(t), Math.cos(t), 0, 0);
            return v.length == 1
                    ? turn
                    : new Matrix(1, 0, 0, 1, v[1], v[2]).times(turn).times(new Matrix(1, 0, 0, 1, -v[1], -v[2]));
        }

        Matrix times(Matrix o) {
            return new Matrix(
                    a * o.a + c * o.b,
                    b * o.a + d * o.b,
                    a * o.c + c * o.d,
                    b * o.c + d * o.d,
                    a * o.e + c * o.f + e,
                    b * o.e + d * o.f + f);
        }

        Point at(double x, double y) {
            return Limits.point(a * x + c * y + e, b * x + d * y + f);
        }

        /** The scale where circles stay circles; nought where they would be stretched. */
        double alike() {
            double sx = Math.hypot(a, b);
            double sy = Math.hypot(c, d);
            return Math.abs(sx - sy) <= 1e-9 * sx && Math.abs(a * c + b * d) <= 1e-9 * sx * sy ? sx : 0;
        }

        /** True if left turns become right turns. */
        boolean turns() {
            return a * d - b * c < 0;
        }
    }
}
