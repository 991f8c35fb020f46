package bucina.core.drawing;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Box;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * A line drawing.
 *
 * @param shapes in order
 * @param left   what a reader left out
 * @param notes  what a reader understood that should be looked at, one sentence each
 */
public record Drawing(List<Shape> shapes, List<Left> left, List<String> notes) {

    /** A drawing with nothing left out. */
    public Drawing(List<Shape> shapes) {
        this(shapes, List.of(), List.of());
    }

    /** One thing drawn. */
    public sealed interface Shape {

        /** The layer it is on; may be empty. */
        String layer();
    }

    /**
     * A line of straight stretches and arcs.
     *
     * @param corners at least two; the bulge of the last counts where the path is closed
     * @param closed  true if the last corner is joined to the first
     */
    public record Path(String layer, List<Corner> corners, boolean closed) implements Shape {

        public Path {
            Objects.requireNonNull(layer, "layer");
            corners = List.copyOf(corners);
            if (corners.size() < 2) {
                throw new InputException("a path needs at least two corners");
            }
        }
    }

    /**
     * A circle, or a hole.
     *
     * @param diameter over 0
     * @param label    its number in a row; empty where it has none
     */
    public record Circle(String layer, Point at, Length diameter, Optional<Integer> label) implements Shape {

        public Circle {
            Objects.requireNonNull(layer, "layer");
            if (!diameter.positive()) {
                throw new InputException("a circle must be over 0 across, was " + diameter);
            }
        }
    }

    /** A single point. */
    public record Spot(String layer, Point at) implements Shape {}

    /**
     * Words.
     *
     * @param height of a capital letter, over 0
     */
    public record Words(String layer, Point at, Length height, String text) implements Shape {}

    public Drawing {
        shapes = List.copyOf(shapes);
        left = List.copyOf(left);
        notes = List.copyOf(notes);
    }

    /**
     * The smallest box around paths, circles and points; empty where there are none. Arcs count with their ends and a
     * margin of their bulge.
     */
    public Optional<Box> box() {
        Box box = null;
        for (Shape shape : shapes) {
            for (Point p : points(shape)) {
                box = box == null ? Box.around(p, p) : box.with(Box.around(p, p));
            }
        }
        return Optional.ofNullable(box);
    }

    private static List<Point> points(Shape shape) {
        return switch (shape) {
            case Path p -> p.corners.stream().map(Corner::at).toList();
            case Circle c -> {
                double r = c.diameter.nanometres() / 2;
                yield List.of(new Point(c.at.x() - r, c.at.y() - r), new Point(c.at.x() + r, c.at.y() + r));
            }
            case Spot s -> List.of(s.at);
            case Words w -> List.of();
        };
    }
}
