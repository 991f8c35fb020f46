package bucina.core.job;

import bucina.core.batch.Pace;
import bucina.core.catalogue.TypicalMinutes;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.Proof;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** How long each kind of work takes this builder, from the log; typical until the log knows. */
final class Paces {

    private final TypicalMinutes typical;
    private final Map<Op, Double> holes = new EnumMap<>(Op.class);
    private final Map<String, Double> tasks = new HashMap<>();
    private final Map<Id.Group, Optional<Pace>> setting = new HashMap<>();
    private final Logbook log;
    private final Build build;
    private final boolean anySet;
    /** Sheets that each hole was marked in. */
    private final Map<Id.Hole, Map<Operation, Set<Id.Layer>>> worked = new HashMap<>();

    Paces(TypicalMinutes typical, Build build, Logbook log) {
        this.typical = typical;
        this.build = build;
        this.log = log;
        for (Mark mark : log.marks()) {
            worked.computeIfAbsent(mark.hole(), h -> new EnumMap<>(Operation.class))
                    .computeIfAbsent(mark.operation(), o -> new HashSet<>())
                    .add(mark.layer());
        }
        Map<Op, List<Double>> byOperation = new EnumMap<>(Op.class);
        Map<String, List<Double>> byTask = new HashMap<>();
        boolean set = false;
        for (LogEntry entry : log.entries()) {
            if (log.inForce(entry)) {
                set |= entry.work().filter(w -> w.minutes() > 0).isPresent();
                entry.labour().filter(l -> l.minutes() > 0).ifPresent(l -> learn(l, byOperation, byTask));
            }
        }
        anySet = set;
        byOperation.forEach((operation, each) -> holes.put(operation, median(each)));
        byTask.forEach((task, each) -> tasks.put(task, median(each)));
    }

    private void learn(Labour labour, Map<Op, List<Double>> byOperation, Map<String, List<Double>> byTask) {
        switch (labour.what()) {
            case Labour.Holes h
            when h.sweeps().stream().map(Labour.Sweep::operation).distinct().count() == 1 -> {
                Operation operation = h.sweeps().getFirst().operation();
                int count = h.sweeps().stream()
                        .flatMap(s -> s.holes().stream())
                        .mapToInt(hole -> sheets(operation, hole.id()))
                        .sum();
                Op.of(operation)
                        .ifPresent(op -> byOperation
                                .computeIfAbsent(op, o -> new ArrayList<>())
                                .add((double) labour.minutes() / count));
            }
            case Proof p ->
                byOperation
                        .computeIfAbsent(Op.PROVE, o -> new ArrayList<>())
                        .add((double) labour.minutes() / p.heads().size());
            case Labour.OnPart p ->
                byTask.computeIfAbsent(p.task(), t -> new ArrayList<>()).add((double) labour.minutes());
            default -> {}
        }
    }

    /** In how many sheets a hole was worked so: drilling goes through all at once. */
    private int sheets(Operation operation, Id.Hole hole) {
        boolean each = Op.of(operation).filter(op -> !op.throughStack()).isPresent();
        return each
                ? Math.max(
                        1,
                        worked.getOrDefault(hole, Map.of())
                                .getOrDefault(operation, Set.of())
                                .size())
                : 1;
    }

    private static double median(List<Double> of) {
        of.sort(null);
        return of.get((of.size() - 1) / 2);
    }

    /** Work at one hole of one sheet, or on one head. */
    Minutes hole(Op op) {
        Double own = holes.get(op);
        return own == null
                ? Minutes.typical(typical.of("hole." + op.code()) * (op == Op.DEBURR ? 2 : 1))
                : Minutes.learned(own);
    }

    /** Setting one fastener of a group. */
    Minutes set(Group group, String way) {
        Optional<Pace> pace = anySet
                ? setting.computeIfAbsent(
                        group.id(), g -> Pace.of(log, build, group).filter(p -> sameKind(p, group)))
                : Optional.empty();
        return pace.map(p -> new Minutes(p.fast(), p.usual(), p.slow(), true))
                .orElseGet(() -> Minutes.typical(typical.of(way)));
    }

    /** A pace of other kinds of fasteners says nothing of this one. */
    private static boolean sameKind(Pace pace, Group group) {
        return !pace.of().equals("all fasteners") || group.fastener() instanceof Fastener.SolidRivet;
    }

    /** Something that a part owes. */
    Minutes task(String code) {
        Double own = tasks.get(code);
        return own == null
                ? Minutes.typical(typical.find("part." + code).orElseGet(() -> typical.of("part.other")))
                : Minutes.learned(own);
    }

    /** A job of the builder's own, by its entries. */
    Minutes own(Id.Own job) {
        double spent = 0;
        int times = 0;
        for (LogEntry entry : log.entries()) {
            Optional<Labour> labour = entry.labour().filter(l -> log.inForce(entry) && l.minutes() > 0);
            if (labour.map(Labour::what)
                    .filter(w -> w instanceof Labour.Own o && o.job().equals(job))
                    .isPresent()) {
                spent += labour.orElseThrow().minutes();
                times++;
            }
        }
        return times == 0 ? Minutes.typical(typical.of("own")) : Minutes.learned(spent / times);
    }

    /** A part off or on with its clecos. */
    Minutes move(int clecos) {
        return Minutes.typical(typical.of("move.part") + typical.of("move.cleco") * clecos);
    }

    /** Minutes of another key that the table has. */
    double typical(String key) {
        return typical.of(key);
    }

    /** Minutes to change something between jobs. */
    double change(String what) {
        return typical.of("change." + what);
    }
}
