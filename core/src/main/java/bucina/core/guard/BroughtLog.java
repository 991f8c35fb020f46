package bucina.core.guard;

import bucina.core.hold.Holds;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * A log that is brought in with its build: entries about holes that were not ready (P1, P2) and give no reason are
 * refused, or get the reason given now.
 */
public final class BroughtLog {

    private final Derivation derivation;
    private final Logbook log;
    private final Holds holds;
    private final Map<Id.Face, Guards> guards = new HashMap<>();

    public BroughtLog(Derivation derivation, Logbook log) {
        this.derivation = derivation;
        this.log = log;
        this.holds = new Holds(derivation.build());
    }

    /**
     * The log as it may be brought in.
     *
     * @param because the reason for entries that give none; blank for no reason
     * @throws InputException if an entry without a reason is about a hole that was not ready
     */
    public Logbook accepted(String because) {
        List<LogEntry> entries = new ArrayList<>();
        for (LogEntry entry : log.entries()) {
            Optional<String> missing =
                    entry.work().filter(w -> log.inForce(entry)).flatMap(this::missing);
            if (missing.isPresent() && because.isBlank()) {
                throw new InputException(
                        "entry " + entry.id() + " has no reason why a hole that was not ready was set: " + missing.get()
                                + ". Give one for all of them with --because TEXT");
            }
            entries.add(missing.isPresent() ? entry.explained(because.strip()) : entry);
        }
        return new Logbook(entries, log.marks());
    }

    private Optional<String> missing(Work work) {
        if (!work.explanation().isBlank()) {
            return Optional.empty();
        }
        for (Build.FaceRef ref : derivation.build().faces()) {
            Predicate<Work.LoggedHole> here =
                    h -> derivation.face(ref.face().id()).of(h.id()).isPresent();
            for (Work.LoggedHole hole : work.holes().stream().filter(here).toList()) {
                HoleReading reading =
                        derivation.face(ref.face().id()).of(hole.id()).orElseThrow();
                Optional<String> lacks = guards.computeIfAbsent(
                                ref.face().id(), f -> new Guards(derivation, f, log, holds))
                        .unready(reading);
                if (lacks.isPresent()) {
                    return lacks;
                }
            }
        }
        return Optional.empty();
    }
}
