package bucina.core.drawing;

import bucina.core.edit.Edit;
import bucina.core.edit.HoleEdits;
import bucina.core.log.Logbook;
import bucina.core.log.Operation;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.sheet.Box;
import bucina.core.sheet.BoxIndex;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/*
 * Design. Holes that have names of rows and labels on both sides belong together by them; of the others those in one
 * place do, and then the nearest of what is left, the nearest pair first.
 */

/** A drawing that is brought in again, laid over what is planned: what moved, what came, what went. */
public final class Revision {

    /** Places nearer than this are the same, nm. */
    private static final double SAME = 20_000;

    /** A hole does not move farther than half an inch: then one went and another came. */
    private static final double FARTHEST = 12_700_000;

    private final FaceReading face;
    private final Logbook log;
    private final Map<Id.Hole, Map<Operation, Boolean>> marks = new HashMap<>();
    private final List<Change> changes = new ArrayList<>();

    private Revision(FaceReading face, Logbook log) {
        this.face = face;
        this.log = log;
        log.marks()
                .forEach(m -> marks.computeIfAbsent(m.hole(), h -> new EnumMap<>(Operation.class))
                        .put(m.operation(), m.on()));
    }

    /** A hole that is drawn, and the row it is drawn in. */
    private record Drawn(Drawing.Circle circle, Intake.Line line) {}

    /** A hole that is planned and one that is drawn, and how far they are apart. */
    private record Pair(HoleReading planned, Drawn drawn, double apart) {}

    /** What a drawing changes on a face: outlines first, then holes that moved, went and came. */
    public static List<Change> between(FaceReading face, Logbook log, Intake drawing) {
        return new Revision(face, log).changes(drawing);
    }

    private List<Change> changes(Intake drawing) {
        drawing.sheets().forEach(this::outline);
        Set<Drawn> drawn = new LinkedHashSet<>();
        drawing.rows().forEach(l -> l.holes().forEach(c -> drawn.add(new Drawn(c, l))));
        Set<HoleReading> planned = new LinkedHashSet<>(face.readings());
        List<Change> moved = new ArrayList<>();
        for (Pair pair : pairs(face.readings(), List.copyOf(drawn))) {
            planned.remove(pair.planned);
            drawn.remove(pair.drawn);
            if (pair.apart > SAME) {
                HoleReading r = pair.planned;
                moved.add(new Change.Moved(r.hole().id(), r.label(), r.hole().at(), pair.drawn.circle.at(), done(r)));
            }
        }
        changes.addAll(moved);
        planned.forEach(r ->
                changes.add(new Change.Gone(r.hole().id(), r.label(), r.hole().at(), done(r))));
        drawn.forEach(d -> changes.add(new Change.Added(d.circle, d.line)));
        return List.copyOf(changes);
    }

    private Optional<String> done(HoleReading r) {
        return log.installedBy(r.hole().id())
                .map(e -> "logged as set in entry " + e.id())
                .or(() -> marks.getOrDefault(r.hole().id(), Map.of()).entrySet().stream()
                        .filter(Map.Entry::getValue)
                        .map(m -> "marked as " + m.getKey().code())
                        .reduce((a, b) -> b));
    }

    private void outline(Intake.Sheet sheet) {
        String name = Intake.plain(sheet.name());
        face.face().layers().stream()
                .filter(l -> l.name().equalsIgnoreCase(name))
                .findFirst()
                .ifPresent(layer -> {
                    double by =
                            Math.max(apart(layer.outline(), sheet.outline()), apart(sheet.outline(), layer.outline()));
                    if (by > SAME) {
                        changes.add(new Change.Redrawn(layer.id(), layer.name(), sheet.outline(), Length.nm(by)));
                    }
                });
    }

    /** How far the corners of one lie from the edges of another. */
    private static double apart(Outline one, Outline other) {
        List<Ring> edges = new ArrayList<>(other.openings());
        edges.add(other.outer());
        List<Corner> corners = new ArrayList<>(one.outer().corners());
        one.openings().forEach(o -> corners.addAll(o.corners()));
        return corners.stream()
                .mapToDouble(c -> edges.stream()
                        .mapToDouble(e -> e.distance(c.at()).nanometres())
                        .min()
                        .orElse(0))
                .max()
                .orElse(0);
    }

    private static List<Pair> pairs(List<HoleReading> planned, List<Drawn> drawn) {
        List<Pair> pairs = new ArrayList<>();
        Set<HoleReading> old = new HashSet<>();
        Set<Drawn> fresh = new HashSet<>();
        Map<String, HoleReading> named = new HashMap<>();
        planned.forEach(r -> named.put(r.label(), r));
        for (Drawn d : drawn) {
            HoleReading r = d.line.row().isEmpty()
                    ? null
                    : d.circle
                            .label()
                            .map(l -> named.get(d.line.row() + "." + l))
                            .orElse(null);
            if (r != null && old.add(r)) {
                fresh.add(d);
                pairs.add(new Pair(r, d, r.hole().at().to(d.circle.at()).nanometres()));
            }
        }
        BoxIndex<Drawn> index = new BoxIndex<>(
                drawn.stream().filter(d -> !fresh.contains(d)).toList(), d -> Box.around(d.circle.at(), d.circle.at()));
        planned.stream()
                .filter(r -> !old.contains(r))
                .flatMap(r -> index.in(around(r.hole().at())).stream()
                        .map(d -> new Pair(r, d, r.hole().at().to(d.circle.at()).nanometres())))
                .filter(p -> p.apart <= FARTHEST)
                .sorted(Comparator.comparingDouble(Pair::apart))
                .forEach(p -> {
                    if (!old.contains(p.planned) && !fresh.contains(p.drawn)) {
                        old.add(p.planned);
                        fresh.add(p.drawn);
                        pairs.add(p);
                    }
                });
        return pairs;
    }

    private static Box around(Point p) {
        return new Box(p.x() - FARTHEST, p.y() - FARTHEST, p.x() + FARTHEST, p.y() + FARTHEST);
    }

    /** A build with some of the changes. What is not among them stays as it is planned. */
    public static Build taken(Build build, Id.Face id, List<Change> changes, Intake.Choices choices) {
        Map<Id.Hole, Point> places = new HashMap<>();
        Set<Id.Hole> gone = new HashSet<>();
        Map<Intake.Line, List<Drawing.Circle>> added = new LinkedHashMap<>();
        Build next = build;
        for (Change change : changes) {
            switch (change) {
                case Change.Moved m -> places.put(m.hole(), m.to());
                case Change.Gone g -> gone.add(g.hole());
                case Change.Added a ->
                    added.computeIfAbsent(a.line(), l -> new ArrayList<>()).add(a.circle());
                case Change.Redrawn r -> next = Edit.layer(next, r.layer(), (Layer l) -> l.withOutline(r.outline()));
            }
        }
        next = HoleEdits.delete(HoleEdits.place(next, places), gone);
        List<Intake.Line> lines = new ArrayList<>();
        added.forEach((line, circles) -> lines.add(new Intake.Line(line.row(), line.group(), circles, line.sized())));
        return lines.isEmpty() ? next.checked() : new Landing(next, id, choices, lines).landed();
    }
}
