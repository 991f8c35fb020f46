package bucina.core.reach;

import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Tool;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Which tools get at a hole, and which of them each other part takes away once it is on.
 *
 * @param tools that reach with nothing on but the hole's own sheets and what stays, in the order of the crib
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

    /**
     * The tool that most parts leave room for; of several the first of the crib. There must be one.
     *
     * @param wanted the kind that the builder wants, where one of it reaches
     */
    public Tool handiest(Optional<Tool.Kind> wanted) {
        List<Tool> liked =
                tools.stream().filter(t -> wanted.equals(Optional.of(t.kind()))).toList();
        if (!liked.isEmpty()) {
            return liked.getFirst();
        }
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

        private final List<Tool> crib;
        private final List<Obstacle> obstacles;
        private final Map<Reach.Work, Double> span = new EnumMap<>(Reach.Work.class);

        /**
         * @param crib the tools at hand
         */
        public OnFace(FaceReading face, Build build, List<Tool> crib) {
            this.crib = crib;
            this.obstacles = Obstacle.of(face.face(), build);
        }

        /** How far off anything can be in the way of one piece of work, nm. */
        private double span(Reach.Work work, HoleReading hole) {
            return span.computeIfAbsent(
                    work,
                    w -> crib.stream()
                            .filter(t ->
                                    w.by(t.kind(), hole) || t.kind() == Tool.Kind.BACK_RIVET && w == Reach.Work.SQUEEZE)
                            .mapToDouble(t -> t.span().nanometres())
                            .max()
                            .orElse(0));
        }

        /**
         * The ways to one hole for one piece of work.
         *
         * @param stays    parts that are in the way whatever comes: they do not come off any more
         * @param inTheWay of the others, those that can be in the way at all: the rest is off while the work is done
         */
        public Ways to(HoleReading hole, Reach.Work work, Predicate<Id.Part> stays, Predicate<Id.Part> inTheWay) {
            Fit.Spot spot = new Fit.Spot(
                    hole,
                    work,
                    Reach.in(hole, work, l -> true),
                    Reach.edge(hole),
                    hole.group().headFar());
            double most = span(work, hole);
            List<Obstacle> always = new ArrayList<>();
            Map<Id.Part, List<Obstacle>> others = new LinkedHashMap<>();
            for (Obstacle o : obstacles) {
                boolean own = o.part().isEmpty()
                        || stays.test(o.part().get())
                        || hole.layers().stream()
                                .anyMatch(l -> l.part().equals(o.part().get()));
                if (o.about(hole.group()) && (own || inTheWay.test(o.part().get())) && o.from(spot.at()) < most) {
                    if (own) {
                        always.add(o);
                    } else {
                        others.computeIfAbsent(o.part().get(), p -> new ArrayList<>())
                                .add(o);
                    }
                }
            }
            List<Tool> tools = crib.stream()
                    .filter(t -> work.by(t.kind(), hole))
                    .filter(t -> Fit.gets(t, spot, always))
                    .toList();
            Map<Id.Part, List<Tool>> taken = new LinkedHashMap<>();
            others.forEach((part, its) -> {
                its.addAll(always);
                List<Tool> gone = new ArrayList<>(tools);
                gone.removeIf(t -> Fit.gets(t, spot, its));
                if (!gone.isEmpty()) {
                    taken.put(part, gone);
                }
            });
            return new Ways(tools, taken);
        }
    }
}
