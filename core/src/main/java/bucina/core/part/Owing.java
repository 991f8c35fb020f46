package bucina.core.part;

import bucina.core.log.Logbook;
import bucina.core.log.PartMark;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.rule.PrimeSchool;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One thing that a part owes, or that was done to it.
 *
 * @param task  a code of {@link PartTask}, or the builder's own words
 * @param done  the mark that says it is done; empty while it is owed
 * @param again why it is owed although it was done once; empty otherwise
 */
public record Owing(String task, Optional<PartMark> done, String again) {

    /** In plain words. */
    public String words() {
        return PartTask.words(task);
    }

    /** True while it is to be done. */
    public boolean open() {
        return done.isEmpty();
    }

    /** Everything a part owes or owed, in the order it is done; what was found finished owes bushings only. */
    public static List<Owing> of(Part part, List<Layer> sheets, Build build, Logbook log) {
        List<Owing> all = new ArrayList<>();
        List<String> bushings = Bushings.tasks(build, part);
        if (log.found(part.id())) {
            bushings.forEach(t -> all.add(of(part.id(), t, log)));
            return all;
        }
        List<String> tasks = new ArrayList<>();
        for (PartTask task : PartTask.values()) {
            if (owes(part, task, sheets, build, log)) {
                tasks.add(task.code());
            }
        }
        part.particulars().tasks().stream().filter(t -> !tasks.contains(t)).forEach(tasks::add);
        bushings.stream().filter(t -> !tasks.contains(t)).forEach(tasks::add);
        for (String task : tasks) {
            all.add(of(part.id(), task, log));
        }
        return all;
    }

    private static boolean owes(Part part, PartTask task, List<Layer> sheets, Build build, Logbook log) {
        if (part.particulars().tasks().contains(task.code())) {
            return true;
        }
        if (part.particulars().waived().contains(task.code())) {
            return false;
        }
        return switch (task) {
            case CLEAN, PRIME -> task.owedBy(part.kind()) && build.rules().primeSchool() != PrimeSchool.NONE;
            case DEBURR_OPENINGS ->
                task.owedBy(part.kind())
                        && sheets.stream().anyMatch(l -> !l.outline().openings().isEmpty());
            case TOUCH_UP -> cutAfterPriming(part.id(), sheets, log).isPresent();
            default -> task.owedBy(part.kind());
        };
    }

    private static Owing of(Id.Part part, String task, Logbook log) {
        Optional<PartMark> done = log.tasks().done(part, task);
        if (task.equals(PartTask.FLUTE.code()) && done.isPresent()) {
            Optional<PartMark> turned = log.tasks().done(part, PartTask.FLANGE_ANGLES.code());
            if (turned.filter(t -> t.at().isAfter(done.get().at())).isPresent()) {
                return new Owing(task, Optional.empty(), "its flanges were turned after it was fluted");
            }
        }
        return new Owing(task, done, "");
    }

    /** When metal was cut last in a part that was primed before; empty if the primer is whole or touched up. */
    private static Optional<Instant> cutAfterPriming(Id.Part part, List<Layer> sheets, Logbook log) {
        return log.tasks().done(part, PartTask.PRIME.code()).flatMap(primed -> {
            Instant since = log.tasks()
                    .done(part, PartTask.TOUCH_UP.code())
                    .map(PartMark::at)
                    .filter(t -> t.isAfter(primed.at()))
                    .orElse(primed.at());
            return sheets.stream()
                    .flatMap(l -> log.cut(l.id()).stream())
                    .filter(at -> at.isAfter(since))
                    .max(Instant::compareTo);
        });
    }
}
