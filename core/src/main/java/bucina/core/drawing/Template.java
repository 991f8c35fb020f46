package bucina.core.drawing;

import bucina.core.hand.Hands;
import bucina.core.layout.Rows;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.sheet.Box;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Something to print in true size and tape to the part.
 *
 * @param title   what it is, {@code Upper skin} or {@code Row R1 of Upper skin}
 * @param hand    which hand, {@code LEFT HAND}; empty where there is none
 * @param viewed  which face is up
 * @param xToward what lies along +x
 * @param yToward what lies along +y; empty on a strip
 * @param drawing in true size
 */
public record Template(String title, String hand, String viewed, String xToward, String yToward, Drawing drawing) {

    private static final double HALF_STRIP = 15e6;
    private static final double END = 12e6;
    /** The bars to check the print with, nm. */
    private static final double BAR = 100e6;

    private static final Length SMALL = Length.mm(1.9);

    /** The whole face: outlines, holes with a cross and their label. */
    public static Template face(Build.FaceRef ref, FaceReading reading) {
        List<Drawing.Shape> shapes = shapes(ref, reading);
        return new Template(
                ref.face().name(),
                Hands.banner(ref.assembly()),
                ref.face().viewed(),
                ref.face().xToward(),
                ref.face().yToward(),
                new Drawing(shapes));
    }

    private static List<Drawing.Shape> shapes(Build.FaceRef ref, FaceReading reading) {
        List<Drawing.Shape> shapes = new ArrayList<>();
        outlines(ref, shapes);
        for (HoleReading r : reading.readings()) {
            hole(shapes, r.hole().at(), r.solution().hole(), r.hole().label());
            double beside = r.solution().hole().nanometres() / 2 + 0.8e6;
            shapes.add(new Drawing.Words(
                    "WORDS", new Point(r.hole().at().x() + beside, r.hole().at().y() + 0.6e6), SMALL, r.label()));
        }
        return shapes;
    }

    private static void outlines(Build.FaceRef ref, List<Drawing.Shape> shapes) {
        for (Layer layer : ref.face().layers()) {
            shapes.add(path("SHEETS", layer.outline().outer()));
            layer.outline().openings().forEach(o -> shapes.add(path("SHEETS", o)));
        }
    }

    /**
     * One row unrolled: a strip with every station as a running dimension in decimals, to the nearest 1/64 and in mm.
     */
    public static Template strip(Build.FaceRef ref, Row row, FaceReading reading) {
        List<HoleReading> holes =
                row.holes().stream().flatMap(h -> reading.of(h.id()).stream()).toList();
        List<Length> stations =
                Rows.running(holes.stream().map(h -> h.hole().at()).toList());
        List<Drawing.Shape> shapes = new ArrayList<>();
        double end = stations.isEmpty() ? 0 : stations.getLast().nanometres();
        shapes.add(new Drawing.Path(
                "STRIP",
                List.of(
                        Corner.of(new Point(-END, -HALF_STRIP)),
                        Corner.of(new Point(end + END, -HALF_STRIP)),
                        Corner.of(new Point(end + END, HALF_STRIP)),
                        Corner.of(new Point(-END, HALF_STRIP))),
                true));
        shapes.add(new Drawing.Path(
                "STRIP", List.of(Corner.of(new Point(-END, 0)), Corner.of(new Point(end + END, 0))), false));
        for (int i = 0; i < holes.size(); i++) {
            HoleReading r = holes.get(i);
            double x = stations.get(i).nanometres();
            hole(shapes, new Point(x, 0), r.solution().hole(), r.hole().label());
            word(shapes, x, 9e6, Integer.toString(r.hole().label()));
            word(shapes, x, -6e6, LengthFormat.figure(stations.get(i), Unit.INCH, 3));
            word(shapes, x, -9e6, LengthFormat.fraction(stations.get(i)).replace(" in", ""));
            word(shapes, x, -12e6, LengthFormat.figure(stations.get(i), Unit.MM, 3) + " mm");
        }
        return new Template(
                "Row " + row.name() + " of " + ref.face().name(),
                Hands.banner(ref.assembly()),
                ref.face().viewed(),
                along(ref, holes),
                "",
                new Drawing(shapes));
    }

    /** What lies toward the last hole of a row, in the words of the face. */
    private static String along(Build.FaceRef ref, List<HoleReading> holes) {
        if (holes.size() < 2) {
            return ref.face().xToward();
        }
        Point a = holes.getFirst().hole().at();
        Point b = holes.getLast().hole().at();
        boolean across = Math.abs(b.x() - a.x()) >= Math.abs(b.y() - a.y());
        String word = across ? ref.face().xToward() : ref.face().yToward();
        boolean with = across ? b.x() > a.x() : b.y() > a.y();
        return holes.getLast().label() + (with ? ", " + word : ", away from " + word);
    }

    /**
     * The drawing with what a printed page says in words and with bars of 100 mm under and beside it: for formats that
     * have no pages.
     */
    public Drawing marked() {
        List<Drawing.Shape> shapes = new ArrayList<>(drawing.shapes());
        var box = drawing.box().orElse(new Box(0, 0, 0, 0));
        double y = box.minY() - 12e6;
        bars(shapes, box, y);
        String[] lines = {
            title + (hand.isEmpty() ? "" : ", " + hand),
            "This side up: seen " + viewed,
            "to the right: " + xToward + (yToward.isEmpty() ? "" : ". up: " + yToward),
            "the bars are 100 mm long"
        };
        words(lines, shapes, box, y);
        return new Drawing(shapes);
    }

    private static void words(String[] lines, List<Drawing.Shape> shapes, Box box, double y) {
        for (int i = 0; i < lines.length; i++) {
            shapes.add(new Drawing.Words("WORDS", new Point(box.minX(), y - 7e6 - i * 5e6), Length.mm(3), lines[i]));
        }
    }

    /** A bar of 100 mm with its ends marked, along and upright. */
    private static void bars(List<Drawing.Shape> shapes, Box box, double y) {
        double x = box.minX();
        bar(shapes, x, y, x + BAR, y);
        bar(shapes, x - 12e6, box.minY(), x - 12e6, box.minY() + BAR);
    }

    private static void bar(List<Drawing.Shape> shapes, double x1, double y1, double x2, double y2) {
        // The ends are marked across.
        double ux = (x2 - x1) / BAR * 2e6;
        double uy = (y2 - y1) / BAR * 2e6;
        line(shapes, x1, y1, x2, y2);
        line(shapes, x1 - uy, y1 - ux, x1 + uy, y1 + ux);
        line(shapes, x2 - uy, y2 - ux, x2 + uy, y2 + ux);
    }

    private static void line(List<Drawing.Shape> shapes, double x1, double y1, double x2, double y2) {
        shapes.add(new Drawing.Path("BAR", List.of(Corner.of(new Point(x1, y1)), Corner.of(new Point(x2, y2))), false));
    }

    private static void hole(List<Drawing.Shape> shapes, Point at, Length diameter, int label) {
        shapes.add(new Drawing.Circle("HOLES", at, diameter, Optional.of(label)));
        double arm = diameter.nanometres() / 2 + 1.2e6;
        shapes.add(new Drawing.Path(
                "CROSSES",
                List.of(Corner.of(new Point(at.x() - arm, at.y())), Corner.of(new Point(at.x() + arm, at.y()))),
                false));
        shapes.add(new Drawing.Path(
                "CROSSES",
                List.of(Corner.of(new Point(at.x(), at.y() - arm)), Corner.of(new Point(at.x(), at.y() + arm))),
                false));
    }

    private static void word(List<Drawing.Shape> shapes, double x, double y, String text) {
        shapes.add(new Drawing.Words("WORDS", new Point(x - text.length() * 0.62e6, y), SMALL, text));
    }

    private static Drawing.Path path(String layer, Ring ring) {
        return new Drawing.Path(layer, ring.corners(), true);
    }
}
