package bucina.store.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.drawing.Drawing;
import bucina.core.measure.Unit;
import bucina.core.sheet.Box;
import bucina.store.drawing.Progress;
import java.awt.Shape;
import java.awt.geom.Area;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.batik.anim.dom.SAXSVGDocumentFactory;
import org.apache.batik.bridge.BridgeContext;
import org.apache.batik.bridge.GVTBuilder;
import org.apache.batik.bridge.UserAgentAdapter;
import org.apache.batik.gvt.CompositeGraphicsNode;
import org.apache.batik.gvt.CompositeShapePainter;
import org.apache.batik.gvt.FillShapePainter;
import org.apache.batik.gvt.GraphicsNode;
import org.apache.batik.gvt.ShapeNode;
import org.apache.batik.gvt.ShapePainter;
import org.apache.batik.gvt.StrokeShapePainter;
import org.junit.jupiter.api.Test;

/** What comes in of random trees lies where a renderer that shares no code with ours draws it. */
class BrowserJudgeTest {

    private static final double PIXEL = 25.4 / 96;
    private static final int TREES = 150;

    /** The box of a shape, mm: left, bottom, right, top, up positive. */
    private static List<double[]> judged(String svg, double wide, double high) throws IOException {
        var document = new SAXSVGDocumentFactory(null).createDocument("file:///none.svg", new StringReader(svg));
        BridgeContext context = new BridgeContext(new UserAgentAdapter());
        context.setDynamicState(BridgeContext.STATIC);
        List<double[]> boxes = new ArrayList<>();
        gather(new GVTBuilder().build(context, document), boxes);
        // The renderer counts from the corner of the page, we from the origin of the drawing.
        double scale = Math.min(wide, high) / 4000;
        double x = (wide - 4000 * scale) / 2 + 2000 * scale;
        double y = (high - 4000 * scale) / 2 + 2000 * scale;
        return boxes.stream()
                .map(b -> new double[] {b[0] - x, b[1] + y, b[2] - x, b[3] + y})
                .collect(Collectors.toCollection(ArrayList::new));
    }

    private static void gather(GraphicsNode node, List<double[]> boxes) {
        if (node instanceof CompositeGraphicsNode all) {
            for (Object each : all) {
                gather((GraphicsNode) each, boxes);
            }
        } else if (node instanceof ShapeNode shape && shape.isVisible() && paints(shape.getShapePainter())) {
            Shape placed = shape.getGlobalTransform().createTransformedShape(shape.getShape());
            Rectangle2D b = new Area(placed).getBounds2D();
            boxes.add(new double[] {b.getMinX() * PIXEL, -b.getMaxY() * PIXEL, b.getMaxX() * PIXEL, -b.getMinY() * PIXEL
            });
        }
    }

    private static boolean paints(ShapePainter painter) {
        return switch (painter) {
            case null -> false;
            case FillShapePainter fill -> fill.getPaint() != null;
            case StrokeShapePainter stroke -> stroke.getPaint() != null;
            case CompositeShapePainter all ->
                IntStream.range(0, all.getShapePainterCount()).anyMatch(i -> paints(all.getShapePainter(i)));
            default -> true;
        };
    }

    private static List<double[]> read(String svg) {
        List<double[]> boxes = new ArrayList<>();
        for (Drawing.Shape shape :
                SvgReader.read(svg, Unit.MM, Progress.NONE).drawing().shapes()) {
            Box b = new Drawing(List.of(shape)).box().orElseThrow();
            boxes.add(new double[] {b.minX() / 1e6, b.minY() / 1e6, b.maxX() / 1e6, b.maxY() / 1e6});
        }
        return boxes;
    }

    @Test
    void random_trees_lie_where_a_renderer_draws_them() throws IOException {
        int shapes = 0;
        for (int seed = 0; seed < TREES; seed++) {
            Tree tree = new Tree(seed);
            String svg = tree.written();
            List<double[]> judged = judged(svg, tree.wide, tree.high);
            List<double[]> read = read(svg);
            Comparator<double[]> order = Comparator.<double[]>comparingDouble(b -> Math.round(b[0] * 50))
                    .thenComparingDouble(b -> Math.round(b[1] * 50))
                    .thenComparingDouble(b -> Math.round(b[2] * 50));
            judged.sort(order);
            read.sort(order);
            assertThat(read).as("seed " + seed + ": " + svg).hasSameSizeAs(judged);
            for (int i = 0; i < read.size(); i++) {
                // The renderer draws round things with cubics.
                double size = read.get(i)[2] - read.get(i)[0] + read.get(i)[3] - read.get(i)[1];
                for (int k = 0; k < 4; k++) {
                    assertThat(read.get(i)[k])
                            .as("seed " + seed + ": " + svg)
                            .isCloseTo(judged.get(i)[k], within(.002 + 3e-4 * size));
                }
            }
            shapes += read.size();
        }
        assertThat(shapes).isGreaterThan(3 * TREES);
    }

    /** A random drawing; shapes do not meet often, and lie on the page. */
    private static final class Tree {
        private static final String[] CLASSES = {"a", "b", "c", "d"};
        private final Random random;
        private final StringBuilder out = new StringBuilder();
        private final int wide;
        private final int high;
        private int ids;

        Tree(int seed) {
            random = new Random(seed);
            wide = 900 + n(200);
            high = 900 + n(200);
        }

        private int n(int bound) {
            return random.nextInt(bound);
        }

        String written() {
            out.append("<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink' width='")
                    .append(wide)
                    .append("mm' height='")
                    .append(high)
                    .append("mm' viewBox='-2000 -2000 4000 4000'><style>.a{display:none} g .b{visibility:hidden}")
                    .append(" g>.c{fill:none} #none,.d{fill-rule:evenodd} circle.b{visibility:visible}</style>")
                    .append("<defs><g id='u'><rect x='5' y='7' width='31' height='17' rx='4'/></g>")
                    .append("<symbol id='s' viewBox='0 0 40 30' overflow='visible'><ellipse cx='20' cy='15' rx='9' ")
                    .append("ry='5'/></symbol></defs>");
            for (int i = 0; i < 3; i++) {
                group(0);
            }
            return out.append("</svg>").toString();
        }

        private void group(int depth) {
            out.append("<g").append(look()).append(transform()).append('>');
            int inside = 2 + n(3);
            for (int i = 0; i < inside; i++) {
                if (depth < 2 && n(3) == 0) {
                    group(depth + 1);
                } else {
                    shape();
                }
            }
            out.append("</g>");
        }

        private String look() {
            return switch (n(9)) {
                case 0 -> " class='" + CLASSES[n(4)] + "'";
                case 1 -> " class='x " + CLASSES[n(4)] + "'";
                case 2 -> n(3) == 0 ? " display='none'" : "";
                case 3 -> " style='fill:" + (n(3) == 0 ? "none" : "red") + "'";
                case 4 -> " fill='none' stroke='black'";
                default -> "";
            };
        }

        private String transform() {
            return switch (n(7)) {
                case 0 -> " transform='translate(" + (n(400) - 200) + "," + (n(400) - 200) + ")'";
                case 1 -> " transform='rotate(" + n(360) + " " + n(50) + " " + n(50) + ")'";
                case 2 ->
                    " transform='scale(" + (n(2) == 0 ? -1 : 1) * (0.5 + n(20) / 10.0) + " " + (0.5 + n(20) / 10.0)
                            + ")'";
                case 3 -> " transform='matrix(1.2 .3 -.4 .9 " + n(90) + " " + n(90) + ")'";
                case 4 -> " transform='skewX(" + n(40) + ") translate(" + n(99) + ")'";
                default -> "";
            };
        }

        private void shape() {
            double x = n(600) - 300 + random.nextDouble();
            double y = n(600) - 300 + random.nextDouble();
            String what = look() + transform() + " id='i" + ids++ + "'";
            out.append(
                    switch (n(8)) {
                        case 0 -> "<circle cx='%s' cy='%s' r='%s'%s/>".formatted(x, y, 5 + n(40), what);
                        case 1 ->
                            "<rect x='%s' y='%s' width='%s' height='%s' ry='%s'%s/>"
                                    .formatted(x, y, 20 + n(50), 20 + n(50), n(9), what);
                        case 2 ->
                            "<ellipse cx='%s' cy='%s' rx='%s' ry='%s'%s/>".formatted(x, y, 9 + n(40), 7 + n(9), what);
                        case 3 -> "<use xlink:href='#u' x='%s' y='%s'%s/>".formatted(x, y, what);
                        case 4 -> "<use xlink:href='#s' x='%s' y='%s' width='80' height='90'%s/>".formatted(x, y, what);
                        case 5 ->
                            "<path d='M%s %sc10 0 30 9 40 20s9 30-30 40q-30 9-40-30t-5-20z'%s/>".formatted(x, y, what);
                        case 6 ->
                            "<path d='M%s %sa%s %s %s 1 1 40 10l-9 33z'%s/>"
                                    .formatted(x, y, 25 + n(30), 25 + n(30), n(90), what);
                        default ->
                            "<svg x='%s' y='%s' width='99' height='77' viewBox='0 0 50 50' overflow='visible'%s><path "
                                            .formatted(x, y, look())
                                    + "d='M9,9 40,12 33,41z'/></svg>";
                    });
        }
    }
}
