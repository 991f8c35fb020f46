package bucina.core.drawing;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Box;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;

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

    /**
     * A single point: the place of a hole whose size is not told.
     *
     * @param label its number in a row; empty where it has none
     */
    public record Spot(String layer, Point at, Optional<Integer> label) implements Shape {

        /** A point without a number. */
        public Spot(String layer, Point at) {
            this(layer, at, Optional.empty());
        }
    }

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

    /** The smallest box around paths with all of their arcs, circles and points; empty where there are none. */
    public Optional<Box> box() {
        return shapes.stream().flatMap(s -> box(s).stream()).reduce(Box::with);
    }

    private static Optional<Box> box(Shape shape) {
        return switch (shape) {
            case Path p ->
                IntStream.range(0, p.corners.size() - (p.closed ? 0 : 1))
                        .mapToObj(i -> Box.around(
                                p.corners.get(i),
                                p.corners.get((i + 1) % p.corners.size()).at()))
                        .reduce(Box::with);
            case Circle c -> {
                double r = c.diameter.nanometres() / 2;
                yield Optional.of(
                        Box.around(new Point(c.at.x() - r, c.at.y() - r), new Point(c.at.x() + r, c.at.y() + r)));
            }
            case Spot s -> Optional.of(Box.around(s.at, s.at));
            case Words w -> Optional.empty();
        };
    }
}
