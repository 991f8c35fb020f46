package bucina.desk.sheet;

import bucina.core.edit.HoleEdits;
import bucina.core.edit.SheetEdits;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.rule.Finding;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import bucina.core.sheet.Trace;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.stack.StackCheck;
import bucina.desk.look.Palette;
import bucina.desk.session.Desk;
import bucina.desk.session.Selection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import javafx.scene.canvas.GraphicsContext;
import org.jspecify.annotations.Nullable;

/*
 * Design. A drag is a function from the build on the disk to the build it would make. While the hand moves, that
 * function is derived off the
 * interface thread and shown; on letting go it is written. Nothing in between is kept.
 */

/** What the hand does to the sheet while it may be changed: drags holes, row ends and edges, with snapping. */
final class ChangeHands {

    /** A hand within this many px of a thing takes hold of it. */
    private static final double HOLD = 9;
    /** Lines within this many px draw a hole onto themselves. */
    private static final double SNAP = 6;
    /** A row end's handle stands this far beyond its hole, px. */
    private static final double HANDLE = 20;

    /** What is held. */
    private sealed interface Held {

        record Holes(Set<Id.Hole> holes, Point from) implements Held {}

        record RowEnd(Id.Row row, boolean last, Point from) implements Held {}

        record EdgeOf(Id.Layer layer, int edge, Point a, Point b) implements Held {}
    }

    private final Desk desk;
    private @Nullable Held held;
    private @Nullable UnaryOperator<Build> change;
    private String words = "";
    private String readout = "";
    private @Nullable Point snapX;
    private @Nullable Point snapY;

    ChangeHands(Desk desk) {
        this.desk = desk;
    }

    /** True while something is dragged. */
    boolean dragging() {
        return change != null;
    }

    /** Takes hold of what is under the hand; false if there is nothing to drag there. */
    boolean press(SheetTransform t, double x, double y, Optional<HoleReading> hole, boolean more) {
        held = null;
        change = null;
        Optional<Held.RowEnd> end = rowEnd(t, x, y);
        if (end.isPresent()) {
            held = end.get();
        } else if (hole.isPresent() && at(t, hole.get().hole().at(), x, y) <= HOLD + 3) {
            take(hole.get(), more);
        } else {
            held = edge(t, x, y).orElse(null);
        }
        return held != null;
    }

    private void take(HoleReading hole, boolean more) {
        Selection selection = desk.selectionProperty().get();
        if (!selection.holes().contains(hole.hole().id())) {
            desk.selectionProperty().set(more ? selection.toggled(desk.face(), hole) : selection.one(hole));
        }
        held = new Held.Holes(
                new LinkedHashSet<>(desk.selectionProperty().get().holes()),
                hole.hole().at());
    }

    private static double at(SheetTransform t, Point p, double x, double y) {
        return Math.hypot(t.toX(p.x()) - x, t.toY(p.y()) - y);
    }

    private Optional<Held.RowEnd> rowEnd(SheetTransform t, double x, double y) {
        return desk.cursor()
                .map(HoleReading::row)
                .filter(r -> r.holes().size() > 1)
                .flatMap(row -> {
                    for (boolean last : new boolean[] {true, false}) {
                        double[] h = handle(t, row, last);
                        if (Math.hypot(h[0] - x, h[1] - y) <= HOLD) {
                            return Optional.of(new Held.RowEnd(row.id(), last, end(row, last)));
                        }
                    }
                    return Optional.empty();
                });
    }

    private static Point end(Row row, boolean last) {
        return (last ? row.holes().getLast() : row.holes().getFirst()).at();
    }

    private static double[] handle(SheetTransform t, Row row, boolean last) {
        Point end = end(row, last);
        Hole beside =
                last ? row.holes().get(row.holes().size() - 2) : row.holes().get(1);
        double dx = t.toX(end.x()) - t.toX(beside.at().x());
        double dy = t.toY(end.y()) - t.toY(beside.at().y());
        double length = Math.max(1e-6, Math.hypot(dx, dy));
        return new double[] {t.toX(end.x()) + dx / length * HANDLE, t.toY(end.y()) + dy / length * HANDLE};
    }

    /** The straight edge under the hand: of the sheet picked if it has one there, else of any. */
    private Optional<Held> edge(SheetTransform t, double x, double y) {
        Point at = t.toFace(x, y);
        double reach = HOLD / t.scale();
        Layer best = null;
        double least = reach;
        for (Layer layer : desk.face().face().layers()) {
            int edge = SheetEdits.nearestEdge(layer.outline(), at);
            if (edge < 0) {
                continue;
            }
            boolean picked =
                    desk.layerProperty().get().filter(layer.id()::equals).isPresent();
            double d = segment(layer, edge).distance(at).nanometres() - (picked ? reach / 2 : 0);
            if (d < least) {
                least = d;
                best = layer;
            }
        }
        if (best == null) {
            return Optional.empty();
        }
        return edgeOf(best, at);
    }

    private Optional<Held> edgeOf(Layer best, Point at) {
        int edge = SheetEdits.nearestEdge(best.outline(), at);
        Segment s = segment(best, edge);
        desk.layerProperty().set(Optional.of(best.id()));
        return Optional.of(new Held.EdgeOf(best.id(), edge, s.a(), s.b()));
    }

    private static Segment segment(Layer layer, int edge) {
        List<Corner> corners = layer.outline().outer().corners();
        return new Segment(
                corners.get(edge).at(), corners.get((edge + 1) % corners.size()).at());
    }

    /** Picks the smallest sheet under the hand, or none. */
    void pickSheet(SheetTransform t, double x, double y) {
        Point at = t.toFace(x, y);
        desk.layerProperty()
                .set(desk.face().face().layers().stream()
                        .filter(l -> l.outline().covers(at))
                        .min(Comparator.comparingDouble(l -> l.outline().outer().area()))
                        .map(Layer::id));
    }

    /** The hand has moved; shows what it would make. */
    void drag(SheetTransform t, double x, double y, double fromX, double fromY, boolean free) {
        snapX = null;
        snapY = null;
        Point hand = t.toFace(x, y);
        Point from = t.toFace(fromX, fromY);
        double dx = hand.x() - from.x();
        double dy = hand.y() - from.y();
        switch (held) {
            case null -> {
                return;
            }
            case Held.Holes h -> {
                Point to = snapped(new Point(h.from.x() + dx, h.from.y() + dy), h.holes, t, free);
                double mx = to.x() - h.from.x();
                double my = to.y() - h.from.y();
                change = b -> HoleEdits.move(b, h.holes, mx, my);
                words = h.holes.size() == 1 ? "moving a hole" : "moving " + h.holes.size() + " holes";
                readout = places(mx, my, to);
            }
            case Held.RowEnd e -> {
                Set<Id.Hole> own = new LinkedHashSet<>();
                desk.cursor().ifPresent(c -> c.row().holes().forEach(o -> own.add(o.id())));
                Point to = snapped(new Point(e.from.x() + dx, e.from.y() + dy), own, t, free);
                change = b -> HoleEdits.end(b, e.row, e.last, to);
                words = "moving the end of a row";
                readout = places(to.x() - e.from.x(), to.y() - e.from.y(), to);
            }
            case Held.EdgeOf e -> edge(e, dx, dy, free);
        }
        Optional.ofNullable(change).ifPresent(this::attempt);
    }

    private void attempt(UnaryOperator<Build> made) {
        desk.session().attempt(made, s -> {
            if (dragging()) {
                desk.attempt(Optional.of(s));
            }
        });
    }

    private void edge(Held.EdgeOf e, double dx, double dy, boolean free) {
        double length = e.a.to(e.b).nanometres();
        Layer layer = layer(e);
        double px = (e.b.y() - e.a.y()) / length;
        double py = (e.a.x() - e.b.x()) / length;
        Point probe = new Point((e.a.x() + e.b.x()) / 2 + px * 1000, (e.a.y() + e.b.y()) / 2 + py * 1000);
        double sign = layer.outline().outer().contains(probe) ? -1 : 1;
        double out = (dx * px + dy * py) * sign;
        double by = free ? out : Math.round(out / grid()) * grid();
        change = b -> SheetEdits.moveEdge(b, e.layer, e.edge, by);
        words = "moving an edge of " + layer.name();
        readout = layer.name() + (by < 0 ? " cut back by " : " let out by ") + show(Math.abs(by));
    }

    private Layer layer(Held.EdgeOf e) {
        return desk.session().snapshot().ref(desk.selectionProperty().get().face()).face().layers().stream()
                .filter(l -> l.id().equals(e.layer))
                .findFirst()
                .orElseThrow();
    }

    private double grid() {
        return desk.unit() == Unit.INCH ? Length.fraction(1, 32).nanometres() : 0.5e6;
    }

    private String show(double nanometres) {
        return LengthFormat.decimal(Length.nm(nanometres), desk.unit(), 4);
    }

    private String places(double mx, double my, Point to) {
        return "by " + show(mx) + ", " + show(my) + "  to " + show(to.x()) + ", " + show(to.y());
    }

    /** The place drawn onto the line of another hole where one is near, else onto the grid. */
    private Point snapped(Point wanted, Set<Id.Hole> own, SheetTransform t, boolean free) {
        if (free) {
            return wanted;
        }
        double reach = SNAP / t.scale();
        double bestX = reach;
        double bestY = reach;
        for (HoleReading r : desk.session()
                .snapshot()
                .face(desk.selectionProperty().get().face())
                .readings()) {
            Point p = r.hole().at();
            if (own.contains(r.hole().id())) {
                continue;
            }
            if (Math.abs(p.x() - wanted.x()) < bestX) {
                bestX = Math.abs(p.x() - wanted.x());
                snapX = p;
            }
            if (Math.abs(p.y() - wanted.y()) < bestY) {
                bestY = Math.abs(p.y() - wanted.y());
                snapY = p;
            }
        }
        double g = grid();
        return new Point(
                snapX != null ? snapX.x() : Math.round(wanted.x() / g) * g,
                snapY != null ? snapY.y() : Math.round(wanted.y() / g) * g);
    }

    /** Lets go: writes the change. */
    void release() {
        UnaryOperator<Build> made = change;
        held = null;
        change = null;
        snapX = null;
        snapY = null;
        if (made != null) {
            desk.session()
                    .plan(
                            words,
                            made,
                            () -> desk.attempt(Optional.empty()),
                            sentence -> desk.attempt(Optional.empty()));
        }
    }

    /** Lets go without writing. */
    void cancel() {
        held = null;
        change = null;
        desk.attempt(Optional.empty());
    }

    // ---- drawing

    /** Handles, the sheet picked, the lines snapped to, and what the drag says. */
    void draw(GraphicsContext g, SheetTransform t, Palette p, double width, double height, double text) {
        desk.layer().ifPresent(layer -> sheet(g, t, p, layer));
        desk.cursor().map(HoleReading::row).filter(r -> r.holes().size() > 1).ifPresent(row -> {
            for (boolean last : new boolean[] {false, true}) {
                double[] h = handle(t, row, last);
                g.setFill(p.film());
                g.fillRect(h[0] - 5, h[1] - 5, 10, 10);
                g.setStroke(p.layout());
                g.setLineWidth(2);
                g.strokeRect(h[0] - 5, h[1] - 5, 10, 10);
                g.strokeLine(t.toX(end(row, last).x()), t.toY(end(row, last).y()), h[0], h[1]);
            }
        });
        if (change == null) {
            return;
        }
        g.setStroke(p.attention());
        g.setLineWidth(1);
        g.setLineDashes(6, 4);
        if (snapX != null) {
            g.strokeLine(t.toX(snapX.x()), 0, t.toX(snapX.x()), height);
        }
        if (snapY != null) {
            g.strokeLine(0, t.toY(snapY.y()), width, t.toY(snapY.y()));
        }
        g.setLineDashes((double[]) null);
        Readout.draw(g, p, readout + worst(desk.face()), width, text);
    }

    private static void sheet(GraphicsContext g, SheetTransform t, Palette p, Layer layer) {
        g.setStroke(p.layout());
        g.setLineWidth(2.4);
        List<Point> points = Trace.of(layer.outline().outer(), 0.5 / t.scale());
        g.beginPath();
        for (int i = 0; i < points.size(); i++) {
            double x = t.toX(points.get(i).x());
            double y = t.toY(points.get(i).y());
            if (i == 0) {
                g.moveTo(x, y);
            } else {
                g.lineTo(x, y);
            }
        }
        g.closePath();
        g.stroke();
    }

    /** The worst finding among what is moved, in words. */
    private String worst(FaceReading face) {
        List<HoleReading> wrong =
                face.readings().stream().filter(r -> r.worst().isPresent()).toList();
        if (wrong.isEmpty()) {
            return "";
        }
        Set<Id.Hole> picked = desk.selectionProperty().get().holes();
        HoleReading first = wrong.stream()
                .filter(r -> picked.contains(r.hole().id()))
                .findFirst()
                .orElse(wrong.getFirst());
        Finding finding = StackCheck.findings(face.face(), first).getFirst();
        return "\n" + finding.message().in(desk.unit())
                + (wrong.size() > 1 ? "  And " + (wrong.size() - 1) + " more holes." : "");
    }
}
