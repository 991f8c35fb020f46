package bucina.core.progress;

import bucina.core.cleco.ClecoPlan;
import bucina.core.cleco.ClecoSize;
import bucina.core.cleco.Mode;
import bucina.core.cleco.RivetOrder;
import bucina.core.hold.Held;
import bucina.core.hold.Holds;
import bucina.core.log.Logbook;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Row;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/*
 * Design. Rows of the largest fasteners first (main structure before skin), among those the longest, then the others
 * from the middle of the face outward. A row
 * that is done keeps a cleco in every eighth hole, so that the face stays located, as long as the bin has enough for
 * the row that follows.
 */

/**
 * The clecos of a face, row by row.
 *
 * @param rows  in the order to drill them
 * @param sizes what each size needs at its peak against the bin
 */
public record FaceClecos(List<RowPlan> rows, List<Use> sizes) {

    static final int KEPT_EVERY = 8;

    /**
     * One row.
     *
     * @param sizes of cleco, hole by hole; none where no hole takes one well
     * @param holes that have no fastener in yet and take a cleco, in the order of the plan's numbers: hole 1 of the
     *     plan
     *     is the first
     * @param plan  empty where no cleco fits the holes
     * @param held   how many are clecoed and drilled but not riveted, or not drilled past their size
     * @param kept   clecos of the size that hold earlier rows while this one is worked
     * @param lifted clecos of the size that are lifted from earlier rows first, because the bin has no more
     * @param stay   holes of the plan that keep or get a cleco once the row is drilled, so that the face stays located
     * @param none   how many open holes of the row take no cleco well
     * @param why    why the row comes here
     */
    public record RowPlan(
            Row row,
            List<ClecoSize> sizes,
            List<HoleReading> holes,
            Optional<ClecoPlan> plan,
            int held,
            int kept,
            int lifted,
            List<Integer> stay,
            int none,
            String why) {
        public RowPlan {
            sizes = List.copyOf(sizes);
            holes = List.copyOf(holes);
            stay = List.copyOf(stay);
        }

        /** The size that most of its holes take; empty where none takes one well. */
        public Optional<ClecoSize> size() {
            return sizes.stream()
                    .max(Comparator.comparingInt((ClecoSize z) -> Collections.frequency(sizes, z))
                            .thenComparing(ClecoSize::name));
        }

        /** Which holes take another size than most, and which; empty if none does. */
        public String others() {
            Map<ClecoSize, List<String>> odd = new LinkedHashMap<>();
            for (int i = 0; i < sizes.size(); i++) {
                if (!sizes.get(i).equals(size().orElseThrow())) {
                    odd.computeIfAbsent(sizes.get(i), z -> new ArrayList<>())
                            .add(holes.get(i).label());
                }
            }
            return odd.entrySet().stream()
                    .map(e -> "cleco " + e.getKey().name() + " (" + e.getKey().colour() + ") in "
                            + String.join(", ", e.getValue()))
                    .collect(Collectors.joining("; "));
        }

        /**
         * What is done with the clecos of the rows before, and with those of this row at its end; empty if nothing is
         * to be said.
         */
        public String around() {
            String first =
                    lifted > 0 ? "First lift the " + lifted + " clecos of the rows before: the bin has no more. " : "";
            return stay.isEmpty()
                    ? first
                    : first + "Once drilled it keeps " + stay.size() + (stay.size() == 1 ? " cleco" : " clecos")
                            + ", every " + KEPT_EVERY + "th hole.";
        }
    }

    /**
     * A size of cleco.
     *
     * @param bin  how many there are
     * @param peak most in use at once
     */
    public record Use(ClecoSize size, int bin, int peak) {}

    public FaceClecos {
        rows = List.copyOf(rows);
        sizes = List.copyOf(sizes);
    }

    /**
     * Plans a face; rows with every fastener in are left out.
     *
     * @param log   says which holes have their fastener in: they are neither clecoed, drilled nor set
     * @param bins  how many of each size, by {@link ClecoSize#bin}; a size that is not named has as many as it takes
     * @param asked how every row is worked; empty for the middle outward, and every hole in stacks of four sheets or
     *     over .2 in
     */
    public static FaceClecos of(
            FaceReading face,
            Logbook log,
            Holds holds,
            List<ClecoSize> table,
            Map<String, Integer> bins,
            Optional<Mode> asked,
            int nearest) {
        List<Row> order = asked.filter(m -> m == Mode.NOSE_FIRST).isPresent() ? aft(face) : order(face);
        ClecoBin bin = new ClecoBin(bins);
        List<RowPlan> plans = new ArrayList<>();
        for (Row row : order) {
            List<HoleReading> open = row.holes().stream()
                    .flatMap(h -> face.of(h.id()).stream())
                    .filter(r -> !log.set(r.hole()))
                    .toList();
            if (open.isEmpty()) {
                continue;
            }
            Map<HoleReading, ClecoSize> sizes = new LinkedHashMap<>();
            open.forEach(h -> ClecoSize.of(table, h.solution().hole()).ifPresent(z -> sizes.put(h, z)));
            List<HoleReading> holes = List.copyOf(sizes.isEmpty() ? open : sizes.keySet());
            int held = (int) holes.stream().filter(h -> holds.of(h).isPresent()).count();
            String why = why(order, row, holes);
            if (sizes.isEmpty()) {
                plans.add(
                        new RowPlan(row, List.of(), holes, Optional.empty(), held, 0, 0, List.of(), open.size(), why));
                continue;
            }
            Mode mode = asked.orElse(thick(holes) ? Mode.EVERY_HOLE : Mode.MIDDLE_OUT);
            plans.add(bin.held(
                    row,
                    List.copyOf(sizes.values()),
                    holes,
                    held,
                    new ClecoPlan.Row(holes.size(), mode, holes.size(), nearest),
                    open.size() - holes.size(),
                    why));
        }
        return new FaceClecos(plans, bin.uses());
    }

    private static boolean thick(List<HoleReading> holes) {
        return holes.stream()
                .allMatch(h -> h.layers().size() >= 4 || h.solution().grip().atLeast(Length.in(.2)));
    }

    /** Rows of a wrapped skin as the work goes aft: from the forward edge, whichever way y runs. */
    static List<Row> aft(FaceReading face) {
        double sign = face.face().yToward().contains("aft") ? 1 : -1;
        return face.face().groups().stream()
                .flatMap(g -> g.rows().stream())
                .filter(r -> !r.holes().isEmpty())
                .sorted(Comparator.comparingDouble(r -> sign
                        * r.holes().stream()
                                .mapToDouble(h -> h.at().y())
                                .average()
                                .orElse(0)))
                .toList();
    }

    /** The order in which a row is riveted once it is drilled; what is held keeps its cleco. */
    public static RivetOrder rivet(RowPlan row, Holds holds) {
        Set<Integer> held = new HashSet<>();
        for (int n = 1; n <= row.holes.size(); n++) {
            if (holds.of(row.holes.get(n - 1)).isPresent()) {
                held.add(n);
            }
        }
        return RivetOrder.of(row.holes.size(), held);
    }

    /** What a step of riveting asks for, in one sentence. */
    public static String sentence(RowPlan row, RivetOrder.Step step) {
        List<String> words = new ArrayList<>();
        if (!step.pull().isEmpty()) {
            words.add("pull the cleco from " + labels(row, step.pull()));
        }
        if (!step.set().isEmpty()) {
            words.add("set " + labels(row, step.set()));
        }
        if (!step.place().isEmpty()) {
            words.add("cleco " + labels(row, step.place()));
        }
        return words.isEmpty()
                ? ""
                : Character.toUpperCase(words.getFirst().charAt(0))
                        + String.join(", ", words).substring(1) + ".";
    }

    private static List<Row> order(FaceReading face) {
        double middle = middle(face);
        List<Row> rows = face.face().groups().stream()
                .flatMap(g -> g.rows().stream())
                .filter(r -> !r.holes().isEmpty())
                .toList();
        return rows.stream()
                .sorted(Comparator.comparing((Row r) -> shank(face, r))
                        .reversed()
                        .thenComparing(
                                Comparator.comparingInt((Row r) -> r.holes().size() / 10)
                                        .reversed())
                        .thenComparingDouble(r -> Math.abs(r.holes().stream()
                                        .mapToDouble(h -> h.at().x())
                                        .average()
                                        .orElse(0)
                                - middle)))
                .toList();
    }

    private static double middle(FaceReading face) {
        return face.readings().stream()
                .mapToDouble(r -> r.hole().at().x())
                .average()
                .orElse(0);
    }

    private static Length shank(FaceReading face, Row row) {
        return face.of(row.holes().getFirst().id())
                .map(r -> r.solution().fastener().shank())
                .orElse(Length.ZERO);
    }

    private static String why(List<Row> order, Row row, List<HoleReading> holes) {
        if (row == order.getFirst()) {
            return "the largest fasteners and the longest line: main structure before skin";
        }
        return holes.stream().allMatch(h -> h.layers().size() >= 4)
                ? "thick joint: a cleco in every hole"
                : "next by size and length, from the middle outward";
    }

    /** What a step of a row's plan asks for, in one sentence; a hole held under size says how far it may be drilled. */
    public static String sentence(RowPlan row, ClecoPlan.Wave wave, Holds holds, Unit unit) {
        List<String> words = new ArrayList<>();
        if (!wave.place().isEmpty()) {
            words.add("cleco " + labels(row, wave.place()));
        }
        if (!wave.drill().isEmpty()) {
            words.add("drill " + labels(row, wave.drill()));
        }
        if (!wave.remove().isEmpty()) {
            words.add("lift " + labels(row, wave.remove()));
        }
        heldBack(wave, holds, row, words, unit);
        String all = String.join(", ", words);
        return all.isEmpty() ? "" : Character.toUpperCase(all.charAt(0)) + all.substring(1) + ".";
    }

    private static void heldBack(ClecoPlan.Wave wave, Holds holds, RowPlan row, List<String> words, Unit unit) {
        for (int n : wave.drill()) {
            holds.of(row.holes.get(n - 1))
                    .filter(Held::underSize)
                    .ifPresent(h -> words.add("but " + row.holes.get(n - 1).label() + " not past "
                            + h.present().map(p -> LengthFormat.trade(p, unit)).orElse("its present size")
                            + ", held for " + h.waitsFor()));
        }
    }

    private static String labels(RowPlan row, List<Integer> numbers) {
        return String.join(
                ", ", numbers.stream().map(n -> row.holes.get(n - 1).label()).toList());
    }
}
