package bucina.core.evening;

import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** How much time is in each part: minutes of entries on it; an entry on several parts is shared evenly. */
public final class PartHours {

    private final Map<Id.Part, Double> minutes = new HashMap<>();

    /** Of a build and its log. */
    public PartHours(Derivation derivation, Logbook log) {
        Map<Id.Hole, HoleReading> holes = new HashMap<>();
        for (Build.FaceRef ref : derivation.build().faces()) {
            derivation
                    .face(ref.face().id())
                    .readings()
                    .forEach(r -> holes.put(r.hole().id(), r));
        }
        for (LogEntry entry : log.entries()) {
            if (log.inForce(entry)) {
                entry.work().ifPresent(w -> share(parts(w.holes(), holes), w.minutes()));
                entry.labour().ifPresent(l -> labour(l, holes));
            }
        }
    }

    private void labour(Labour labour, Map<Id.Hole, HoleReading> holes) {
        switch (labour.what()) {
            case Labour.OnPart on -> share(Set.of(on.part()), labour.minutes());
            case Labour.Holes worked -> {
                Set<Id.Part> parts = new LinkedHashSet<>();
                worked.sweeps().forEach(s -> parts.addAll(parts(s.holes(), holes)));
                share(parts, labour.minutes());
            }
            default -> {}
        }
    }

    private static Set<Id.Part> parts(List<Work.LoggedHole> logged, Map<Id.Hole, HoleReading> holes) {
        Set<Id.Part> parts = new LinkedHashSet<>();
        for (Work.LoggedHole hole : logged) {
            HoleReading reading = holes.get(hole.id());
            if (reading != null) {
                reading.layers().stream().map(Layer::part).forEach(parts::add);
            }
        }
        return parts;
    }

    private void share(Set<Id.Part> parts, double spent) {
        parts.forEach(p -> minutes.merge(p, spent / parts.size(), Double::sum));
    }

    /** Hours in a part, at least 0. */
    public double hours(Id.Part part) {
        return minutes.getOrDefault(part, 0.0) / 60;
    }
}
