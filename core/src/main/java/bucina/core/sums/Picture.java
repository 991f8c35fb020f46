package bucina.core.sums;

import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * What a sum draws, in nm, y up. Panels stand one over the other, each to its own scale.
 *
 * @param panels at least one
 */
public record Picture(List<Panel> panels) {

    /** What something drawn means; the look of each is one place in the view. */
    public enum Ink {
        /** Bare sheet: filled and hatched. */
        METAL,
        /** A second sheet, or what lies behind. */
        SHADE,
        /** Fasteners, what is asked for. */
        BLUE,
        /** Left over. */
        WASTE,
        /** An edge or a plain line. */
        EDGE,
        /** A bend tangent. */
        TANGENT,
        /** A sight line, dashed. */
        SIGHT,
        /** Something not there yet, or no longer: dashed. */
        GHOST,
        /** Wrong. */
        STOP,
        /** Right, or afterwards. */
        DONE,
        /** Lesser words. */
        SOFT
    }

    /** Where words stand against their point. */
    public enum Side {
        LEFT,
        CENTRE,
        RIGHT,
        ABOVE,
        BELOW
    }

    /** One thing drawn. */
    public sealed interface Shape {}

    /** A filled surface with its edge. */
    public record Area(Ink ink, List<Point> points) implements Shape {
        public Area {
            points = List.copyOf(points);
        }
    }

    /** A line. */
    public record Line(Ink ink, List<Point> points) implements Shape {
        public Line {
            points = List.copyOf(points);
        }
    }

    /** A circle, filled if it is a surface. */
    public record Round(Ink ink, Point at, double radius) implements Shape {}

    /** Words. */
    public record Words(Ink ink, Point at, String text, Side side) implements Shape {}

    /**
     * A dimension between two points.
     *
     * @param off px that the dimension line stands off to the left of the way from a to b
     */
    public record Dim(Point a, Point b, double off, String text) implements Shape {}

    /**
     * Running dimensions along a line that runs in x: ticks with their words, kept apart by the view.
     *
     * @param y     where the ticks start
     * @param above true if they go up
     */
    public record Running(double y, boolean above, List<Tick> ticks) implements Shape {
        public Running {
            ticks = List.copyOf(ticks);
        }
    }

    /** One running dimension. */
    public record Tick(double x, String text, Ink ink) {}

    /** A place to take hold of, number {@code n} of the sum. */
    public record Grip(int n, Point at, String says) implements Shape {}

    /**
     * One drawing.
     *
     * @param title  what it shows
     * @param share  of the height, against the other panels
     * @param stretch how many times y is drawn larger than x; 1 for to scale
     */
    public record Panel(String title, double share, double stretch, List<Shape> shapes) {
        public Panel {
            shapes = List.copyOf(shapes);
        }
    }

    public Picture {
        panels = List.copyOf(panels);
    }

    /** Collects the shapes of a panel. */
    static final class Pen {
        private final List<Shape> shapes = new ArrayList<>();

        Pen add(Shape shape) {
            shapes.add(shape);
            return this;
        }

        Pen line(Ink ink, double... xy) {
            return add(new Line(ink, points(xy)));
        }

        Pen area(Ink ink, double... xy) {
            return add(new Area(ink, points(xy)));
        }

        Pen box(Ink ink, double x1, double y1, double x2, double y2) {
            return area(ink, x1, y1, x2, y1, x2, y2, x1, y2);
        }

        Pen round(Ink ink, double x, double y, double radius) {
            return add(new Round(ink, new Point(x, y), radius));
        }

        Pen words(Ink ink, double x, double y, String text, Side side) {
            return add(new Words(ink, new Point(x, y), text, side));
        }

        Pen dim(double x1, double y1, double x2, double y2, double off, String text) {
            return add(new Dim(new Point(x1, y1), new Point(x2, y2), off, text));
        }

        Panel panel(String title, double share) {
            return new Panel(title, share, 1, shapes);
        }

        Panel panel(String title, double share, double stretch) {
            return new Panel(title, share, stretch, shapes);
        }

        private static List<Point> points(double... xy) {
            List<Point> points = new ArrayList<>();
            for (int i = 0; i < xy.length; i += 2) {
                points.add(new Point(xy[i], xy[i + 1]));
            }
            return points;
        }
    }
}
