package bucina.desk.session;

import bucina.core.log.Addition;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.Work;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Marks made while the timer runs gather into one entry, which is written when it is stopped. A fastener entry takes
 * the timer's minutes; what was marked before it belongs to it.
 */
public final class Shift {

    private final Desk desk;
    private final WorkTimer timer;
    private final List<Mark> gathered = new ArrayList<>();
    private int minutes;

    public Shift(Desk desk, WorkTimer timer) {
        this.desk = desk;
        this.timer = timer;
        desk.session().onMarked(marks -> {
            if (timer.running()) {
                gathered.addAll(marks);
            }
        });
    }

    /** The minutes of the entry that was gathered last. */
    public int minutes() {
        return minutes;
    }

    /**
     * Starts the timer, or stops it and writes the entry.
     *
     * @return what is to be written, where nobody has said yet who works here
     */
    public Optional<Labour.Holes> turn() {
        if (!timer.running()) {
            gathered.clear();
            timer.turn();
            return Optional.empty();
        }
        minutes = timer.minutes();
        Optional<Labour.Holes> worked =
                sweeps(desk.session().snapshot(), since(timer.since().orElse(Instant.EPOCH)));
        timer.turn();
        gathered.clear();
        String who = desk.prefs().who();
        if (worked.isEmpty() || who.isBlank()) {
            return worked;
        }
        Labour labour = new Labour(worked.get(), "", who, desk.session().now(), minutes, "", "", List.of());
        desk.session().log(Addition.of(LogEntry.Draft.install(labour)), List.of(), e -> {}, desk.session()::say);
        return Optional.empty();
    }

    private List<Mark> since(Instant started) {
        return gathered.stream().filter(m -> !m.at().isBefore(started)).toList();
    }

    /** What marks say was worked, as far as it still stands. */
    static Optional<Labour.Holes> sweeps(Snapshot now, List<Mark> marks) {
        Map<Id.Hole, HoleReading> readings = new LinkedHashMap<>();
        Set<Id.Hole> wanted = new LinkedHashSet<>();
        marks.forEach(m -> wanted.add(m.hole()));
        for (Build.FaceRef ref : now.build().faces()) {
            wanted.forEach(h -> now.face(ref.face().id()).of(h).ifPresent(r -> readings.put(h, r)));
        }
        Map<Key, Set<Id.Hole>> sweeps = new LinkedHashMap<>();
        for (Mark mark : marks) {
            HoleReading reading = readings.get(mark.hole());
            if (reading != null && mark.on() && stands(now.log(), mark)) {
                sweeps.computeIfAbsent(new Key(mark.operation(), reading.group()), k -> new LinkedHashSet<>())
                        .add(mark.hole());
            }
        }
        if (sweeps.isEmpty()) {
            return Optional.empty();
        }
        List<Labour.Sweep> all = new ArrayList<>();
        sweeps.forEach((key, holes) -> all.add(new Labour.Sweep(
                key.operation,
                key.group.id(),
                key.group.code(),
                holes.stream()
                        .map(h -> new Work.LoggedHole(h, labels(readings, h)))
                        .toList())));
        return Optional.of(new Labour.Holes(all));
    }

    private static String labels(Map<Id.Hole, HoleReading> readings, Id.Hole hole) {
        HoleReading reading = readings.get(hole);
        return reading == null ? "" : reading.label();
    }

    private static boolean stands(Logbook log, Mark mark) {
        return log.marked(mark.hole(), mark.layer(), mark.operation(), mark.side());
    }

    private record Key(Operation operation, Group group) {}
}
