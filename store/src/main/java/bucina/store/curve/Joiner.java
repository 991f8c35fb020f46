package bucina.store.curve;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.Left;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Joins stretches whose ends meet, layer by layer, in any order and direction: an outline is often drawn as pieces.
 * What is drawn twice counts once. Takes time in proportion to the pieces.
 */
public final class Joiner {

    /** Ends nearer than this, nm, meet: a hundredth of a millimetre. */
    public static final double MEET = 10_000;

    private record Cell(String layer, long x, long y) {}

    /** A stretch whichever way it is drawn, to a fifth of a micrometre. */
    private record Same(String layer, Set<List<Long>> ends, int corners, long middleX, long middleY) {

        private static final double STEP = 200;

        static Same of(Sink.Run run) {
            double x = 0;
            double y = 0;
            for (int i = 1; i < run.corners().size(); i++) {
                Corner a = run.corners().get(i - 1);
                Corner b = run.corners().get(i);
                // The middle of an arc lies beside that of its chord.
                x += (a.at().x() + b.at().x()) / 2 + a.bulge() / 2 * (b.at().y() - a.at().y());
                y += (a.at().y() + b.at().y()) / 2 - a.bulge() / 2 * (b.at().x() - a.at().x());
            }
            return new Same(
                    run.layer(),
                    Set.copyOf(new HashSet<>(List.of(spot(run.first()), spot(run.last())))),
                    run.corners().size(),
                    Math.round(x / STEP),
                    Math.round(y / STEP));
        }

        private static List<Long> spot(Point p) {
            return List.of(Math.round(p.x() / STEP), Math.round(p.y() / STEP));
        }
    }

    private final List<Sink.Run> runs = new ArrayList<>();
    private final boolean[] used;
    private final Map<Cell, LinkedList<Integer>> ends = new HashMap<>();
    private final Map<String, Integer> twice = new LinkedHashMap<>();

    Joiner(List<Sink.Run> drawn) {
        Set<Same> seen = new HashSet<>();
        for (Sink.Run run : drawn) {
            if (run.corners().size() == 2 && run.first().to(run.last()).nanometres() == 0) {
                continue;
            }
            if (seen.add(Same.of(run))) {
                runs.add(run);
            } else {
                twice.merge(run.layer(), 1, Integer::sum);
            }
        }
        used = new boolean[runs.size()];
        for (int i = 0; i < runs.size(); i++) {
            ends.computeIfAbsent(cell(runs.get(i).layer(), runs.get(i).first(), 0, 0), c -> new LinkedList<>())
                    .add(i);
            ends.computeIfAbsent(cell(runs.get(i).layer(), runs.get(i).last(), 0, 0), c -> new LinkedList<>())
                    .add(i);
        }
    }

    private static Cell cell(String layer, Point p, int dx, int dy) {
        return new Cell(layer, (long) Math.floor(p.x() / MEET) + dx, (long) Math.floor(p.y() / MEET) + dy);
    }

    /** What was drawn twice, by layer. */
    public List<Left> twice() {
        return twice.entrySet().stream()
                .map(e -> new Left("line", e.getValue(), e.getKey(), "drawn twice, it counts once", Optional.empty()))
                .toList();
    }

    /** The paths, closed where the end meets the beginning. */
    public List<Drawing.Path> joined() {
        List<Drawing.Path> paths = new ArrayList<>();
        for (int i = 0; i < used.length; i++) {
            if (!used[i]) {
                used[i] = true;
                paths.add(path(i));
            }
        }
        return paths;
    }

    private Drawing.Path path(int i) {
        Sink.Run first = runs.get(i);
        List<Corner> corners = new ArrayList<>(first.corners());
        boolean closed = grow(first.layer(), corners);
        if (!closed) {
            // It may go on from its beginning too.
            List<Corner> back = new ArrayList<>(
                    new Sink.Run(first.layer(), corners).turned().corners());
            closed = grow(first.layer(), back);
            corners = new Sink.Run(first.layer(), back).turned().corners();
        }
        return new Drawing.Path(first.layer(), closed ? corners.subList(0, corners.size() - 1) : corners, closed);
    }

    /** Goes on from the end as far as something meets; true if it comes round to the beginning. */
    private boolean grow(String layer, List<Corner> corners) {
        Point begin = corners.getFirst().at();
        while (!closes(begin, corners)) {
            Sink.Run next = after(layer, corners.getLast().at());
            if (next == null) {
                return false;
            }
            Point end = corners.removeLast().at();
            corners.add(new Corner(end, next.corners().getFirst().bulge()));
            corners.addAll(next.corners().subList(1, next.corners().size()));
        }
        return true;
    }

    private static boolean closes(Point begin, List<Corner> corners) {
        return corners.size() > 2 && corners.getLast().at().to(begin).nanometres() < MEET;
    }

    /** An unused run that begins near the point, turned about where it ends there; null where none does. */
    private Sink.@Nullable Run after(String layer, Point at) {
        for (int dx = -1; dx <= 1; dx++) {
            for (int dy = -1; dy <= 1; dy++) {
                LinkedList<Integer> here = ends.get(cell(layer, at, dx, dy));
                Sink.Run met = here == null ? null : meets(here, at);
                if (met != null) {
                    return met;
                }
            }
        }
        return null;
    }

    /** Runs that are used are struck off, so that thousands that end in one point are gone through once. */
    private Sink.@Nullable Run meets(LinkedList<Integer> here, Point at) {
        for (var each = here.iterator(); each.hasNext(); ) {
            int i = each.next();
            Sink.Run run = runs.get(i);
            boolean begins = run.first().to(at).nanometres() < MEET;
            if (used[i]) {
                each.remove();
            } else if (begins || run.last().to(at).nanometres() < MEET) {
                used[i] = true;
                each.remove();
                return begins ? run : run.turned();
            }
        }
        return null;
    }

    /** How far the ends of an open path are from each other, and where, in words. */
    public static Left open(Drawing.Path path) {
        Point a = path.corners().getFirst().at();
        Point b = path.corners().getLast().at();
        return new Left(
                "line",
                1,
                path.layer(),
                "it does not close, its ends are " + LengthFormat.trade(a.to(b), Unit.MM) + " apart and meet under "
                        + LengthFormat.exact(Length.nm(MEET), Unit.MM),
                Optional.of(b));
    }
}
