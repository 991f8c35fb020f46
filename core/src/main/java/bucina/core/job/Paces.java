package bucina.core.job;

import bucina.core.batch.Pace;
import bucina.core.catalogue.TypicalMinutes;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** How long each kind of work takes this builder, from the log; typical until the log knows. */
final class Paces {

    private final TypicalMinutes typical;
    private final Map<String, Double> byKind = new HashMap<>();
    private final Map<Id.Group, Optional<Pace>> setting = new HashMap<>();
    private final Logbook log;
    private final Build build;
    private final boolean anySet;

    Paces(TypicalMinutes typical, Build build, Logbook log) {
        this.typical = typical;
        this.build = build;
        this.log = log;
        Experience known = Experience.of(build, log);
        known.samples().forEach((kind, each) -> byKind.put(kind, median(each)));
        anySet = log.entries().stream()
                .anyMatch(e ->
                        log.inForce(e) && e.work().filter(w -> w.minutes() > 0).isPresent());
    }

    private static double median(List<Experience.Sample> of) {
        List<Double> each = of.stream().map(Experience.Sample::each).sorted().toList();
        return each.get((each.size() - 1) / 2);
    }

    /** Work at one hole of one sheet, or on one head. */
    Minutes hole(Op op) {
        Double own = byKind.get(Experience.kind(op));
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
        Double own = byKind.get(Experience.task(code));
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
