package bucina.store.dxf;

import bucina.core.drawing.Drawing;
import bucina.core.measure.Length;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.store.curve.Arcs;
import bucina.store.curve.Joiner;
import bucina.store.curve.Lefts;
import bucina.store.curve.Placing;
import bucina.store.curve.Sink;
import bucina.store.drawing.Limits;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Makes of an entity what is drawn. */
final class Curves {

    /** Why kinds that are no line of a sheet stay out. */
    private static final Map<String, String> REASONS = Map.ofEntries(
            Map.entry("XLINE", "construction without end"),
            Map.entry("RAY", "construction without end"),
            Map.entry("DIMENSION", "a dimension is no line of the sheet"),
            Map.entry("LEADER", "a note is no line of the sheet"),
            Map.entry("MULTILEADER", "a note is no line of the sheet"),
            Map.entry("MTEXT", "words are no line of the sheet"),
            Map.entry("ATTRIB", "words are no line of the sheet"),
            Map.entry("ATTDEF", "words are no line of the sheet"),
            Map.entry("HATCH", "a hatch is not an outline: the lines around it are"),
            Map.entry("SOLID", "a filled patch is not an outline"),
            Map.entry("3DFACE", "it is a body: bring in a flat view of it"),
            Map.entry("3DSOLID", "it is a body: bring in a flat view of it"),
            Map.entry("BODY", "it is a body: bring in a flat view of it"),
            Map.entry("MESH", "it is a body: bring in a flat view of it"),
            Map.entry("REGION", "its outline is packed: explode it into lines and arcs"),
            Map.entry("IMAGE", "a picture has no lines"),
            Map.entry("VIEWPORT", "it is a window on a paper sheet"));

    private static final String OTHER = "not a kind of line or hole this program reads";
    private static final String TILTED = "drawn in a plane that is tilted";
    private static final String NO_SIZE = "it has no size";

    /** Lines that rise more than this, in units of the file, leave the plane. */
    private static final double RISE = 1e-6;

    private static final double WHOLE = 2 * Math.PI;
    /** An arc of all but so many radians is a circle: no chord is left to bend it by. */
    private static final double NEARLY = 1e-4;

    private final Sink sink;
    private final Lefts lefts;

    Curves(Sink sink, Lefts lefts) {
        this.sink = sink;
        this.lefts = lefts;
    }

    /**
     * Draws an entity.
     *
     * @param layer the layer it is on, for what stands in a block that of the insert
     * @param at    where its block is put; the identity with the unit outside of blocks
     */
    void draw(Entity e, String layer, Placing at) {
        switch (e.kind()) {
            case "LINE" -> line(e, layer, at);
            case "POINT" -> sink.add(new Drawing.Spot(layer, at.at(e.number(10, 0), e.number(20, 0))));
            case "ELLIPSE" -> ellipse(e, layer, at);
            case "SPLINE" -> spline(e, layer, at);
            case "ARC", "CIRCLE", "LWPOLYLINE", "POLYLINE", "TEXT" ->
                e.plane().ifPresentOrElse(plane -> flat(e, layer, at.of(plane)), () -> leave(e, layer, at, TILTED));
            default -> leave(e, layer, at, REASONS.getOrDefault(e.kind(), OTHER));
        }
    }

    private void flat(Entity e, String layer, Placing at) {
        switch (e.kind()) {
            case "ARC", "CIRCLE" -> arc(e, layer, at);
            case "LWPOLYLINE" -> light(e, layer, at);
            case "POLYLINE" -> heavy(e, layer, at);
            default ->
                sink.add(
                        new Drawing.Words(layer, at.at(e.number(10, 0), e.number(20, 0)), Length.mm(2), e.text(1, "")));
        }
    }

    void leave(Entity e, String layer, Placing at, String why) {
        boolean placed = e.has(10) && e.has(20);
        lefts.add(
                e.kind(), layer, why, placed ? Optional.of(at.at(e.number(10, 0), e.number(20, 0))) : Optional.empty());
    }

    private void line(Entity e, String layer, Placing at) {
        if (Math.abs(e.number(30, 0) - e.number(31, 0)) > RISE) {
            leave(e, layer, at, "it leaves the plane of the drawing");
            return;
        }
        sink.run(
                layer,
                List.of(
                        Corner.of(at.at(e.number(10, 0), e.number(20, 0))),
                        Corner.of(at.at(e.number(11, 0), e.number(21, 0)))));
    }

    private void arc(Entity e, String layer, Placing at) {
        double r = Math.abs(e.number(40, 0));
        boolean whole = e.kind().equals("CIRCLE");
        double degrees = e.number(51, 360) - e.number(50, 0);
        double sweep = whole ? WHOLE : Math.toRadians((degrees % 360 + 360) % 360);
        if (!whole && sweep == 0 && degrees != 0) {
            sweep = WHOLE;
        }
        if (!(r > 0) || sweep == 0) {
            leave(e, layer, at, NO_SIZE);
            return;
        }
        double from = whole ? 0 : Math.toRadians(e.number(50, 0));
        curve(e, layer, Arcs.Arc.round(e.number(10, 0), e.number(20, 0), r, from, sweep), at);
    }

    private void ellipse(Entity e, String layer, Placing at) {
        double ux = e.number(11, 0);
        double uy = e.number(21, 0);
        double ratio = e.number(40, 1);
        Optional<Placing> plane = e.plane();
        if (plane.isEmpty()) {
            leave(e, layer, at, TILTED);
            return;
        }
        if (!(Math.hypot(ux, uy) > 0) || !(ratio > 0)) {
            leave(e, layer, at, NO_SIZE);
            return;
        }
        // The short axis lies a quarter on from the long one, seen along the extrusion.
        double side = plane.get().mirrors() ? -ratio : ratio;
        double from = e.number(41, 0);
        double sweep = e.number(42, WHOLE) - from;
        sweep = sweep <= 0 ? sweep % WHOLE + WHOLE : Math.min(sweep, WHOLE);
        curve(e, layer, new Arcs.Arc(e.number(10, 0), e.number(20, 0), ux, uy, -uy * side, ux * side, from, sweep), at);
    }

    private void curve(Entity e, String layer, Arcs.Arc drawn, Placing at) {
        Arcs.Arc arc = drawn.placed(at);
        boolean whole = arc.sweep() > WHOLE - NEARLY;
        if (!(arc.radius() > 0) || arc.radius() > 1e12) {
            leave(e, layer, at, NO_SIZE);
        } else if (whole && arc.isRound()) {
            sink.add(new Drawing.Circle(
                    layer, Limits.point(arc.x(), arc.y()), Length.nm(2 * arc.radius()), Optional.empty()));
        } else if (whole) {
            List<Corner> corners = Arcs.corners(arc);
            sink.add(new Drawing.Path(layer, corners.subList(0, corners.size() - 1), true));
        } else {
            sink.run(layer, Arcs.corners(arc));
        }
    }

    private void spline(Entity e, String layer, Placing at) {
        if (!e.has(40) || !e.has(10)) {
            leave(e, layer, at, "it has no control points: explode it into lines and arcs");
            return;
        }
        Spline.corners(e, at)
                .ifPresentOrElse(
                        corners -> sink.run(layer, corners),
                        () -> leave(e, layer, at, "its knots do not fit its control points"));
    }

    private void light(Entity e, String layer, Placing at) {
        List<double[]> corners = new ArrayList<>();
        for (int i = 0; i < e.pairs(); i++) {
            switch (e.code(i)) {
                case 10 -> corners.add(new double[] {e.number(i), 0, 0});
                case 20 -> last(corners)[1] = e.number(i);
                case 42 -> last(corners)[2] = e.number(i);
                default -> {}
            }
        }
        path(e, layer, at, corners);
    }

    private static double[] last(List<double[]> corners) {
        return corners.isEmpty() ? new double[3] : corners.getLast();
    }

    private void heavy(Entity e, String layer, Placing at) {
        if (e.bit(70, 16) || e.bit(70, 64)) {
            leave(e, layer, at, "it is a body: bring in a flat view of it");
            return;
        }
        List<double[]> corners = new ArrayList<>();
        for (Entity v : e.vertices()) {
            // A curve fitted to corners is drawn by what was fitted, not by what it was fitted to.
            if (!v.bit(70, 16)) {
                corners.add(new double[] {v.number(10, 0), v.number(20, 0), v.number(42, 0)});
            }
        }
        boolean rises = e.bit(70, 8)
                && e.vertices().stream()
                                .mapToDouble(v -> v.number(30, 0))
                                .distinct()
                                .count()
                        > 1;
        if (rises) {
            leave(e, layer, at, "it leaves the plane of the drawing");
        } else {
            path(e, layer, at, corners);
        }
    }

    private void path(Entity e, String layer, Placing at, List<double[]> drawn) {
        boolean closed = e.bit(70, 1);
        if (drawn.size() < 2) {
            leave(e, layer, at, "it has under two corners");
            return;
        }
        if (closed && donut(e, layer, at, drawn)) {
            return;
        }
        List<Corner> corners = new ArrayList<>();
        for (int i = 0; i < drawn.size() - (closed ? 0 : 1); i++) {
            stretch(drawn.get(i), drawn.get((i + 1) % drawn.size()), at, corners);
        }
        Point end = corners.getLast().at();
        boolean meets = corners.size() > 2 && corners.getFirst().at().to(end).nanometres() < Joiner.MEET;
        if (meets) {
            sink.add(new Drawing.Path(layer, corners.subList(0, corners.size() - 1), true));
        } else {
            sink.run(layer, corners);
        }
    }

    /** Adds an edge to corners that end where it begins. */
    private static void stretch(double[] a, double[] b, Placing at, List<Corner> corners) {
        boolean bent = Math.abs(a[2]) > 1e-9 && (a[0] != b[0] || a[1] != b[1]);
        List<Corner> next = bent
                ? Arcs.corners(Arcs.bulged(a[0], a[1], b[0], b[1], a[2]).placed(at))
                : List.of(Corner.of(at.at(a[0], a[1])), Corner.of(at.at(b[0], b[1])));
        if (!corners.isEmpty()) {
            corners.removeLast();
        }
        corners.addAll(next);
    }

    /** A ring drawn as a thick line: a hole as wide as its inner edge, or as it is wide if it is filled. */
    private boolean donut(Entity e, String layer, Placing at, List<double[]> drawn) {
        double width = e.number(43, e.number(40, 0));
        boolean ring = drawn.size() == 2
                && Math.abs(drawn.get(0)[2]) == 1
                && drawn.get(0)[2] == drawn.get(1)[2]
                && width > 0
                && at.keepsRound();
        if (!ring) {
            return false;
        }
        double across = Math.hypot(drawn.get(0)[0] - drawn.get(1)[0], drawn.get(0)[1] - drawn.get(1)[1]);
        double hole = across - width > width * 1e-9 ? across - width : across + width;
        sink.add(new Drawing.Circle(
                layer,
                at.at((drawn.get(0)[0] + drawn.get(1)[0]) / 2, (drawn.get(0)[1] + drawn.get(1)[1]) / 2),
                Length.nm(hole * at.scale()),
                Optional.empty()));
        return true;
    }
}
