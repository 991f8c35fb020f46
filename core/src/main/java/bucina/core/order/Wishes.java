package bucina.core.order;

import bucina.core.job.Job;
import bucina.core.job.Op;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/*
 * Design. Wishes break ties only. Within a stretch of the finished order in which nothing is changed and nothing is
 * demanded, jobs change places until they stand as wished; what is lost stays the same to the minute.
 */

/**
 * What is liked better of orders that lose the same: what wants a helper together, structure before skins, from
 * the middle of the face outward, and heads proved as soon as they are set.
 */
final class Wishes {

    private static final Comparator<Wish> LIKED = Comparator.comparing((Wish w) -> -w.people)
            .thenComparing(w -> w.skin)
            .thenComparing(w -> w.out);

    private final Work work;
    private final Set<Id.Part> skins = new HashSet<>();
    private final Map<Id.Face, Point> middles = new HashMap<>();

    /**
     * How a job is liked.
     *
     * @param out from the middle of its face to the middle of its holes, nm
     */
    private record Wish(int people, boolean skin, double out) {}

    private Wishes(Work work) {
        this.work = work;
        work.jobs.build().parts().stream()
                .filter(p -> p.kind() == Part.Kind.SKIN)
                .forEach(p -> skins.add(p.id()));
    }

    /** The order as wished, where it costs nothing. */
    static List<Integer> order(Work work, List<Integer> known) {
        Wishes wishes = new Wishes(work);
        List<Integer> order = new ArrayList<>();
        int from = 0;
        while (from < known.size()) {
            int to = from + 1;
            while (to < known.size() && wishes.free(known, from, to)) {
                to++;
            }
            wishes.liked(known.subList(from, to)).forEach(order::add);
            from = to;
        }
        return soonProved(work, order);
    }

    /**
     * Heads are proved right after the last job that proof waits for: a set-up that drifts is seen at once. Those that
     * are in already are proved before more is set, and before what waits for their proof.
     */
    private static List<Integer> soonProved(Work work, List<Integer> known) {
        Map<Integer, List<Integer>> behind = new HashMap<>();
        Map<Integer, List<Integer>> ahead = new HashMap<>();
        place(work, known, behind, ahead);
        List<Integer> order = new ArrayList<>(known.size());
        List<Integer> waiting = new ArrayList<>();
        for (int node : known) {
            if (!proof(work, node)) {
                order.addAll(ahead.getOrDefault(node, List.of()));
                order.add(node);
                waiting.addAll(behind.getOrDefault(node, List.of()));
                // What is set wet in one go is not stopped for it.
                if (work.then[node] < 0) {
                    order.addAll(waiting);
                    waiting.clear();
                }
            }
        }
        order.addAll(ahead.getOrDefault(-1, List.of()));
        return order;
    }

    /** After which node each proof comes that waits for one, and before which one that waits for none; -1: none. */
    private static void place(
            Work work, List<Integer> known, Map<Integer, List<Integer>> behind, Map<Integer, List<Integer>> ahead) {
        Map<Integer, Integer> last = new HashMap<>();
        Map<Integer, Integer> at = new HashMap<>();
        int set = known.size();
        for (int i = 0; i < known.size(); i++) {
            int node = known.get(i);
            at.put(node, i);
            for (int next : work.after[node]) {
                last.put(next, node);
            }
            set = node < work.jobs.size() && work.jobs.job(node).op() == Op.SET ? Math.min(set, i) : set;
        }
        for (int node : known) {
            if (proof(work, node) && last.containsKey(node)) {
                behind.computeIfAbsent(last.get(node), k -> new ArrayList<>()).add(node);
            } else if (proof(work, node)) {
                int before = set;
                for (int next : work.after[node]) {
                    before = Math.min(before, at.getOrDefault(next, before));
                }
                ahead.computeIfAbsent(before < known.size() ? known.get(before) : -1, k -> new ArrayList<>())
                        .add(node);
            }
        }
    }

    private static boolean proof(Work work, int node) {
        return node < work.jobs.size() && work.jobs.job(node).op() == Op.PROVE;
    }

    private List<Integer> liked(List<Integer> stretch) {
        if (stretch.size() == 1) {
            return stretch;
        }
        Map<Integer, Wish> wished = new HashMap<>();
        stretch.forEach(n -> wished.put(n, of(n)));
        return stretch.stream().sorted(Comparator.comparing(wished::get, LIKED)).toList();
    }

    /** True if a job can stand anywhere among those of a stretch: it needs the same and waits for none of them. */
    private boolean free(List<Integer> order, int from, int at) {
        int first = order.get(from);
        int node = order.get(at);
        if (setting(first) && setting(node) && work.same(first, node)) {
            for (int i = from; i < at; i++) {
                for (int next : work.after[order.get(i)]) {
                    if (next == node) {
                        return false;
                    }
                }
            }
            return true;
        }
        return false;
    }

    /** A job of setting that is tied to no other. */
    private boolean setting(int node) {
        return node < work.jobs.size()
                && work.jobs.job(node).place().isPresent()
                && work.then[node] < 0
                && !work.tied[node];
    }

    private Wish of(int node) {
        Job job = work.jobs.job(node);
        Job.Place place = job.place().orElseThrow();
        boolean skin = place.holes().stream()
                .flatMap(h -> h.layers().stream())
                .map(Layer::part)
                .anyMatch(skins::contains);
        return new Wish(job.people(), skin, out(place));
    }

    private static Point middle(Face face) {
        Box box = face.layers().getFirst().outline().box();
        for (Layer layer : face.layers()) {
            box = box.with(layer.outline().box());
        }
        return new Point((box.minX() + box.maxX()) / 2, (box.minY() + box.maxY()) / 2);
    }

    private double out(Job.Place place) {
        if (place.holes().isEmpty() || place.face().layers().isEmpty()) {
            return 0;
        }
        Point middle = middles.computeIfAbsent(place.face().id(), f -> middle(place.face()));
        double x = 0;
        double y = 0;
        for (HoleReading hole : place.holes()) {
            x += hole.hole().at().x() / place.holes().size();
            y += hole.hole().at().y() / place.holes().size();
        }
        return middle.to(new Point(x, y)).nanometres();
    }
}
