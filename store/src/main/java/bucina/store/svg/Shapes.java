package bucina.store.svg;

import bucina.core.drawing.Drawing;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Box;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.store.curve.Arcs;
import bucina.store.curve.Joiner;
import bucina.store.curve.Lefts;
import bucina.store.curve.Sink;
import bucina.store.drawing.Limits;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Draws the shapes, as far as they are seen. */
final class Shapes {

    private static final double WHOLE = 2 * Math.PI;
    private static final String NO_SIZE = "it has no size";

    /** Compound paths of more lines than this are not searched for lines that the filling covers. */
    private static final int SEARCHED = 300;

    private final Sink sink;
    private final Lefts lefts;
    private Optional<Box> page = Optional.empty();
    private boolean beyond;

    Shapes(Sink sink, Lefts lefts) {
        this.sink = sink;
        this.lefts = lefts;
    }

    /** The page that is shown. */
    void page(List<Point> corners) {
        page = Optional.of(Box.around(corners.get(0), corners.get(2)));
    }

    void draw(SvgNode node, Drawn drawn) {
        Viewport port = drawn.port();
        switch (node.name()) {
            case "circle" -> round(node, drawn, port.slanted(node, "r"), port.slanted(node, "r"));
            case "ellipse" -> ellipse(node, drawn);
            case "rect" -> rectangle(node, drawn);
            case "line" ->
                run(
                        node,
                        drawn,
                        List.of(
                                Corner.of(drawn.at().at(port.across(node, "x1"), port.up(node, "y1"))),
                                Corner.of(drawn.at().at(port.across(node, "x2"), port.up(node, "y2")))));
            case "polyline", "polygon" -> points(node, drawn);
            default -> path(node, drawn);
        }
    }

    private void leave(SvgNode node, Drawn drawn, String why, Optional<Point> at) {
        lefts.add(node.name(), Drawn.cut(drawn.layer()), why, at);
    }

    private void ellipse(SvgNode node, Drawn drawn) {
        double rx = drawn.port().across(node, "rx");
        double ry = drawn.port().up(node, "ry");
        // A radius that is not given is that of the other way.
        round(node, drawn, node.text("rx").isEmpty() ? ry : rx, node.text("ry").isEmpty() ? rx : ry);
    }

    private void round(SvgNode node, Drawn drawn, double rx, double ry) {
        double x = drawn.port().across(node, "cx");
        double y = drawn.port().up(node, "cy");
        Arcs.Arc arc = new Arcs.Arc(x, y, rx, 0, 0, ry, 0, WHOLE).placed(drawn.at());
        if (!(rx > 0 && ry > 0) || !(arc.radius() > 0) || arc.radius() > 1e12) {
            leave(node, drawn, NO_SIZE, Optional.of(Limits.point(arc.x(), arc.y())));
            return;
        }
        if (arc.isRound()) {
            Drawing.Circle circle = new Drawing.Circle(
                    drawn.layer(), Limits.point(arc.x(), arc.y()), Length.nm(2 * arc.radius()), label(node));
            List<Corner> around = Arcs.corners(arc);
            if (seen(node, drawn, new Drawing.Path("", around.subList(0, around.size() - 1), true))) {
                sink.add(circle);
            }
        } else {
            List<Corner> corners = Arcs.corners(arc);
            closed(node, drawn, corners.subList(0, corners.size() - 1));
        }
    }

    private static Optional<Integer> label(SvgNode node) {
        String label = node.text("data-label");
        return label.matches("[1-9]\\d{0,5}") ? Optional.of(Integer.valueOf(label)) : Optional.empty();
    }

    private void rectangle(SvgNode node, Drawn drawn) {
        Viewport port = drawn.port();
        double x = port.across(node, "x");
        double y = port.up(node, "y");
        double w = port.across(node, "width");
        double h = port.up(node, "height");
        if (!(w > 0 && h > 0)) {
            leave(node, drawn, NO_SIZE, Optional.of(drawn.at().at(x, y)));
            return;
        }
        double rx = given(node, "rx") ? port.across(node, "rx") : port.up(node, "ry");
        double ry = given(node, "ry") ? port.up(node, "ry") : rx;
        rx = Math.clamp(rx, 0, w / 2);
        ry = Math.clamp(ry, 0, h / 2);
        // Arcs without a radius are lines, and lines without a length nothing.
        String d = ("M%s,%s h%s a%s,%s 0 0 1 %s,%s v%s a%s,%s 0 0 1 -%s,%s h-%s a%s,%s 0 0 1 -%s,-%s v-%s "
                        + "a%s,%s 0 0 1 %s,-%s Z")
                .formatted(
                        x + rx,
                        y,
                        w - 2 * rx,
                        rx,
                        ry,
                        rx,
                        ry,
                        h - 2 * ry,
                        rx,
                        ry,
                        rx,
                        ry,
                        w - 2 * rx,
                        rx,
                        ry,
                        rx,
                        ry,
                        h - 2 * ry,
                        rx,
                        ry,
                        rx,
                        ry);
        PathData.read(d, drawn.at()).forEach(s -> closed(node, drawn, open(s)));
    }

    private static boolean given(SvgNode node, String name) {
        return !node.text(name).isEmpty() && !node.text(name).equals("auto");
    }

    private void points(SvgNode node, Drawn drawn) {
        String[] figures = node.text("points").split("[\\s,]+|(?<=[0-9.])(?=[+-])");
        List<Corner> corners = new ArrayList<>();
        for (int i = 0; i + 1 < figures.length; i += 2) {
            corners.add(Corner.of(
                    drawn.at().at(Limits.figure(node.name(), figures[i]), Limits.figure(node.name(), figures[i + 1]))));
        }
        if (corners.size() < 2) {
            leave(node, drawn, "it has under two corners", Optional.empty());
        } else if (node.name().equals("polygon") || filled(drawn)) {
            closed(node, drawn, without(corners));
        } else {
            run(node, drawn, corners);
        }
    }

    /** Something filled and not stroked is seen closed. */
    private static boolean filled(Drawn drawn) {
        return drawn.look().filled() && !drawn.look().stroked();
    }

    private void path(SvgNode node, Drawn drawn) {
        List<PathData.Sub> subs = PathData.read(node.text("d"), drawn.at());
        if (subs.isEmpty()) {
            leave(node, drawn, "it draws nothing", Optional.empty());
            return;
        }
        List<List<Corner>> rings = new ArrayList<>();
        for (PathData.Sub sub : subs) {
            boolean shut = sub.closed()
                    || meets(sub.corners())
                    || filled(drawn) && sub.corners().size() > 2;
            if (shut && open(sub).size() >= 2) {
                rings.add(open(sub));
            } else {
                run(node, drawn, sub.corners());
            }
        }
        boolean covers = filled(drawn) && !drawn.look().evenOdd() && rings.size() > 1 && rings.size() <= SEARCHED;
        List<Boolean> edges = covers ? Filling.edges(rings) : List.of();
        for (int i = 0; i < rings.size(); i++) {
            if (covers && !edges.get(i)) {
                Point at = rings.get(i).getFirst().at();
                leave(node, drawn, "the filling covers it on both sides, so no edge is seen", Optional.of(at));
            } else {
                closed(node, drawn, rings.get(i));
            }
        }
    }

    private static boolean meets(List<Corner> corners) {
        return corners.size() > 2
                && corners.getFirst().at().to(corners.getLast().at()).nanometres() < Joiner.MEET;
    }

    /** The corners of a closed line, the first not said again at the end. */
    private static List<Corner> open(PathData.Sub sub) {
        return without(sub.corners());
    }

    private static List<Corner> without(List<Corner> corners) {
        return meets(corners) ? corners.subList(0, corners.size() - 1) : corners;
    }

    private void closed(SvgNode node, Drawn drawn, List<Corner> corners) {
        if (corners.size() < 2) {
            leave(node, drawn, NO_SIZE, corners.stream().map(Corner::at).findFirst());
            return;
        }
        Drawing.Path path = new Drawing.Path(drawn.layer(), corners, true);
        if (seen(node, drawn, path)) {
            sink.add(path);
        }
    }

    private void run(SvgNode node, Drawn drawn, List<Corner> corners) {
        boolean point =
                corners.stream().allMatch(c -> c.at().equals(corners.getFirst().at()));
        if (point) {
            leave(node, drawn, NO_SIZE, corners.stream().map(Corner::at).findFirst());
        } else if (seen(node, drawn, new Drawing.Path("", corners, false))) {
            sink.run(drawn.layer(), corners);
        }
    }

    private boolean seen(SvgNode node, Drawn drawn, Drawing.Path path) {
        Optional<Point> at = Optional.of(path.corners().getFirst().at());
        if (drawn.hidden().isPresent()) {
            leave(node, drawn, drawn.hidden().get(), at);
            return false;
        }
        for (Clip clip : drawn.clips()) {
            Clip.Lies lies = clip.lies(path);
            if (lies != Clip.Lies.INSIDE) {
                leave(
                        node,
                        drawn,
                        lies == Clip.Lies.OUTSIDE
                                ? "it is cut away by a clip path or the edge of a view"
                                : "a clip path or the edge of a view cuts through it: cut it where it was drawn",
                        at);
                return false;
            }
        }
        return onPage(node, drawn, path, at);
    }

    private boolean onPage(SvgNode node, Drawn drawn, Drawing.Path path, Optional<Point> at) {
        Box own = new Drawing(List.of(path)).box().orElseThrow();
        if (page.isPresent() && Clip.apart(own, page.get())) {
            leave(node, drawn, "it lies outside of the page", at);
            return false;
        }
        if (page.isPresent() && !beyond && !Clip.within(own, page.get())) {
            beyond = true;
            sink.note("Something lies across the edge of the page: it is brought in whole.");
        }
        return true;
    }

    /** What was drawn as closed lines. */
    static List<List<Corner>> outlines(Sink sink) {
        List<List<Corner>> lines = new ArrayList<>();
        for (Drawing.Shape shape : sink.shapes()) {
            switch (shape) {
                case Drawing.Path p -> lines.add(p.corners());
                case Drawing.Circle c -> {
                    try {
                        lines.add(Ring.circle(c.at(), c.diameter().times(0.5)).corners());
                    } catch (InputException e) {
                        // No area.
                    }
                }
                default -> {}
            }
        }
        return lines;
    }
}
