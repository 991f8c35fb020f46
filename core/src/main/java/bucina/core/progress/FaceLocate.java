package bucina.core.progress;

import bucina.core.cleco.ClecoSize;
import bucina.core.cleco.Mode;
import bucina.core.log.Logbook;
import bucina.core.plan.Row;
import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The clecos that locate a whole face before it is drilled: in waves, each twice as dense as the one before, as dense
 * as the bin allows.
 *
 * @param shape  what the face is taken for
 * @param steps  in order, a handful of holes each
 * @param sizes  how many of each size end up in it
 * @param dense  every so many holes in the end; 0 if not one wave fits the bin
 * @param wanted every so many holes that the joint asks for
 */
public record FaceLocate(Shape shape, List<Step> steps, Map<ClecoSize, Integer> sizes, int dense, int wanted) {

    /** How a face is begun. */
    public enum Shape {
        /** A flat sheet. */
        FLAT("flat sheet: from the middle outward, the corners last"),
        /** A skin wrapped round a nose. */
        WRAPPED("wrapped skin: the nose first, where it has the least freedom, then the spar line, then aft"),
        /** A long narrow joint. */
        LAP("long lap: from the middle to both ends, so that slack runs off");

        private final String reason;

        Shape(String reason) {
            this.reason = reason;
        }

        /** Where one starts, and why. */
        public String reason() {
            return reason;
        }
    }

    /**
     * Some holes that get a cleco.
     *
     * @param every which wave: every so many holes
     */
    public record Step(int every, List<HoleReading> holes, String why) {
        public Step {
            holes = List.copyOf(holes);
        }
    }

    private static final int FIRST = 8;
    private static final int COARSEST = 64;
    private static final int AT_ONCE = 6;
    /** A face this many times longer than wide is a lap. */
    private static final double LONG = 4;

    public FaceLocate {
        steps = List.copyOf(steps);
        sizes = Map.copyOf(sizes);
    }

    /**
     * Plans it; holes with a fastener in, and holes that no cleco fits, are left out.
     *
     * @param bins  how many of each size, by {@link ClecoSize#bin}; a size that is not named has as many as it takes
     * @param asked how the rows will be worked; nose first makes it a wrapped skin, every hole fills every hole
     */
    public static FaceLocate of(
            FaceReading face, Logbook log, List<ClecoSize> table, Map<String, Integer> bins, Optional<Mode> asked) {
        Map<HoleReading, ClecoSize> size = sizes(face, log, table);
        Shape shape = asked.filter(m -> m == Mode.NOSE_FIRST).isPresent()
                ? Shape.WRAPPED
                : lap(size.keySet()) ? Shape.LAP : Shape.FLAT;
        int wanted = asked.filter(m -> m == Mode.EVERY_HOLE).isPresent() ? 1 : 2;
        Plan plan = new Plan(face, size, bins, shape);
        int every = FIRST;
        while (every < COARSEST && !plan.fits(every)) {
            every *= 2;
        }
        int dense = 0;
        while (every >= wanted && plan.fits(every)) {
            plan.wave(every);
            dense = every;
            every /= 2;
        }
        plan.corners();
        return new FaceLocate(shape, plan.steps, plan.used, dense, wanted);
    }

    private static Map<HoleReading, ClecoSize> sizes(FaceReading face, Logbook log, List<ClecoSize> table) {
        Map<HoleReading, ClecoSize> size = new LinkedHashMap<>();
        for (HoleReading r : face.readings()) {
            if (!log.set(r.hole())) {
                ClecoSize.of(table, r.solution().hole()).ifPresent(s -> size.put(r, s));
            }
        }
        return size;
    }

    private static boolean lap(Set<HoleReading> holes) {
        Box box = null;
        for (HoleReading r : holes) {
            Box at = Box.around(r.hole().at(), r.hole().at());
            box = box == null ? at : box.with(at);
        }
        return box != null && Math.max(box.width(), box.height()) > LONG * Math.min(box.width(), box.height());
    }

    private static final class Plan {

        private final FaceReading face;
        private final Map<HoleReading, ClecoSize> size;
        private final Map<String, Integer> bins;
        private final Shape shape;
        private final Point middle;
        private final Set<HoleReading> corners = new HashSet<>();
        private final Set<HoleReading> in = new HashSet<>();
        private final Map<ClecoSize, Integer> used = new HashMap<>();
        private final List<Step> steps = new ArrayList<>();

        Plan(FaceReading face, Map<HoleReading, ClecoSize> size, Map<String, Integer> bins, Shape shape) {
            this.face = face;
            this.size = size;
            this.bins = bins;
            this.shape = shape;
            middle = new Point(
                    size.keySet().stream()
                            .mapToDouble(r -> r.hole().at().x())
                            .average()
                            .orElse(0),
                    size.keySet().stream()
                            .mapToDouble(r -> r.hole().at().y())
                            .average()
                            .orElse(0));
            findCorners(shape, size);
        }

        private void findCorners(Shape shape, Map<HoleReading, ClecoSize> size) {
            if (shape == Shape.FLAT) {
                for (int sx = -1; sx <= 1; sx += 2) {
                    for (int sy = -1; sy <= 1; sy += 2) {
                        double dx = sx;
                        double dy = sy;
                        size.keySet().stream()
                                .max(Comparator.comparingDouble(
                                        r -> dx * r.hole().at().x()
                                                + dy * r.hole().at().y()))
                                .ifPresent(corners::add);
                    }
                }
            }
        }

        /** Holes of a wave that have no cleco yet; the corners wait. */
        private List<HoleReading> holes(int every) {
            List<HoleReading> holes = new ArrayList<>();
            for (Row row : rows()) {
                List<HoleReading> line = row.holes().stream()
                        .flatMap(h -> face.of(h.id()).stream())
                        .toList();
                int from = (line.size() - 1) / 2 % every;
                List<HoleReading> wave = wave(from, line, every);
                holes.addAll(wave);
            }
            if (shape != Shape.WRAPPED) {
                holes.sort(
                        Comparator.comparingDouble(r -> r.hole().at().to(middle).nanometres()));
            }
            return holes;
        }

        private List<HoleReading> wave(int from, List<HoleReading> line, int every) {
            List<HoleReading> wave = new ArrayList<>();
            for (int i = from; i < line.size(); i += every) {
                HoleReading r = line.get(i);
                if (size.containsKey(r) && !in.contains(r) && !corners.contains(r)) {
                    wave.add(r);
                }
            }
            if (shape == Shape.WRAPPED) {
                Point centre = line.get((line.size() - 1) / 2).hole().at();
                wave.sort(
                        Comparator.comparingDouble(r -> r.hole().at().to(centre).nanometres()));
            }
            return wave;
        }

        private List<Row> rows() {
            if (shape == Shape.WRAPPED) {
                return FaceClecos.aft(face);
            }
            return face.face().groups().stream()
                    .flatMap(g -> g.rows().stream())
                    .filter(r -> !r.holes().isEmpty())
                    .toList();
        }

        /** True if the bin holds this wave and the corners. */
        boolean fits(int every) {
            Map<ClecoSize, Integer> need = new HashMap<>(used);
            holes(every).forEach(r -> need.merge(size.get(r), 1, Integer::sum));
            corners.forEach(r -> need.merge(size.get(r), 1, Integer::sum));
            return need.entrySet().stream()
                    .allMatch(e -> e.getValue() <= bins.getOrDefault(e.getKey().bin(), Integer.MAX_VALUE));
        }

        void wave(int every) {
            String why = every >= FIRST
                    ? "it locates the sheet without forcing it"
                    : every >= 4 ? "it pulls the joint down" : "it holds while one drills";
            List<HoleReading> holes = holes(every);
            List<HoleReading> step = new ArrayList<>();
            for (HoleReading r : holes) {
                boolean other = shape == Shape.WRAPPED
                        && !step.isEmpty()
                        && !step.getLast().row().id().equals(r.row().id());
                if (step.size() == AT_ONCE || other) {
                    steps.add(new Step(every, step, why));
                    step = new ArrayList<>();
                }
                step.add(r);
                put(r);
            }
            if (!step.isEmpty()) {
                steps.add(new Step(every, step, why));
            }
        }

        private void put(HoleReading r) {
            in.add(r);
            used.merge(size.get(r), 1, Integer::sum);
        }

        void corners() {
            if (!corners.isEmpty() && !steps.isEmpty()) {
                corners.forEach(this::put);
                steps.add(new Step(
                        1,
                        corners.stream()
                                .sorted(Comparator.comparing(HoleReading::label))
                                .toList(),
                        "corners last: slack has run out to them"));
            }
        }
    }
}
