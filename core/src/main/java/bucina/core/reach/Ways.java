package bucina.core.reach;

import bucina.core.dress.Dress;
import bucina.core.measure.Length;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Tool;
import bucina.core.plan.Zone;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/**
 * Which tools get at a hole, and which of them each other part takes away once it is on.
 *
 * @param tools that reach with nothing on but the hole's own sheets, in the order of the crib
 * @param taken per part that is no sheet of the hole, the tools that it is in the way of; parts in the way of none are
 *     left out
 */
public record Ways(List<Tool> tools, Map<Id.Part, List<Tool>> taken) {

    public Ways {
        tools = List.copyOf(tools);
        taken = Map.copyOf(taken);
    }

    /** True if some tool still reaches with a part on. */
    public boolean past(Id.Part part) {
        return taken.getOrDefault(part, List.of()).size() < tools.size();
    }

    /** The tool that most parts leave room for; of several the first of the crib. There must be one. */
    public Tool handiest() {
        Tool best = tools.getFirst();
        long fewest = Long.MAX_VALUE;
        for (Tool tool : tools) {
            long ways = taken.entrySet().stream()
                    .filter(e -> past(e.getKey()) && e.getValue().contains(tool))
                    .count();
            if (ways < fewest) {
                best = tool;
                fewest = ways;
            }
        }
        return best;
    }

    /** Asked hole by hole for one face. Holds what stands up from it, by part. */
    public static final class OnFace {

        /** Nothing stands anywhere near, nm. */
        private static final double FREE = 1e14;

        private final List<Tool> crib;
        private final List<Layer> flanges;
        private final List<Zone> behind;
        private final double most;

        /**
         * @param crib the tools at hand
         */
        public OnFace(FaceReading face, List<Tool> crib) {
            this.crib = crib;
            flanges = face.face().layers().stream()
                    .filter(l -> !l.bends().isEmpty())
                    .toList();
            behind = face.face().zones().stream()
                    .filter(z -> z.kind() == Zone.Kind.BEHIND)
                    .toList();
            most = crib.stream()
                    .filter(t -> t.kind() != Tool.Kind.STEP_DRILL)
                    .mapToDouble(t -> t.clear().nanometres())
                    .max()
                    .orElse(0);
        }

        /**
         * The ways to one hole for one piece of work.
         *
         * @param inTheWay parts that can be in the way at all: others are off while the work is done
         */
        public Ways to(HoleReading hole, Reach.Work work, Predicate<Id.Part> inTheWay) {
            Point at = hole.hole().at();
            double in = IntStream.range(0, hole.layers().size())
                    .filter(i -> into(hole, i, work))
                    .mapToDouble(i ->
                            hole.layers().get(i).outline().outer().distance(at).nanometres())
                    .max()
                    .orElse(0);
            double edge = IntStream.range(0, hole.layers().size())
                    .mapToDouble(i -> hole.edge(i).nanometres())
                    .min()
                    .orElse(0);
            Map<Id.Part, Double> near = near(hole, at, inTheWay);
            double own = Math.min(
                    zone(at),
                    hole.layers().stream()
                            .mapToDouble(l -> near.getOrDefault(l.part(), FREE))
                            .min()
                            .orElse(FREE));
            hole.layers().forEach(l -> near.remove(l.part()));
            List<Tool> tools = crib.stream()
                    .filter(t -> work.kinds().contains(t.kind()))
                    .filter(t -> gets(t, in, edge, own))
                    .toList();
            Map<Id.Part, List<Tool>> taken = new LinkedHashMap<>();
            near.forEach((part, away) -> {
                List<Tool> gone = new ArrayList<>(tools);
                gone.removeIf(t -> gets(t, in, edge, away));
                if (!gone.isEmpty()) {
                    taken.put(part, gone);
                }
            });
            return new Ways(tools, taken);
        }

        private static boolean gets(Tool tool, double in, double edge, double near) {
            return Reach.block(tool, Length.nm(in), Length.nm(edge), new Reach.Near(Length.nm(near), ""))
                    .isEmpty();
        }

        private static boolean into(HoleReading hole, int i, Reach.Work work) {
            return switch (work) {
                case DIMPLE -> hole.solution().dressing().plies().get(i).dress() == Dress.DIMPLE;
                case COUNTERSINK -> hole.solution().dressing().plies().get(i).dress() == Dress.COUNTERSINK;
                case SQUEEZE, PULL -> true;
            };
        }

        /** How near the flanges of each part stand, as far as any tool cares. */
        private Map<Id.Part, Double> near(HoleReading hole, Point at, Predicate<Id.Part> inTheWay) {
            Map<Id.Part, Double> near = new HashMap<>();
            for (Layer flange : flanges) {
                boolean own = hole.layers().stream().anyMatch(l -> l.part().equals(flange.part()));
                if (own || inTheWay.test(flange.part())) {
                    for (Segment line : flange.bends()) {
                        double away = line.distance(at).nanometres();
                        if (away < most) {
                            near.merge(flange.part(), away, Math::min);
                        }
                    }
                }
            }
            return near;
        }

        private double zone(Point at) {
            double least = FREE;
            for (Zone zone : behind) {
                least = Math.min(
                        least,
                        zone.outline().covers(at)
                                ? 0
                                : zone.outline().outer().distance(at).nanometres());
            }
            return least;
        }
    }
}
