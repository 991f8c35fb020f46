package bucina.core.stack;

import bucina.core.plan.Acceptance;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.rule.Finding;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The findings accepted in a build, by what they are about. Immutable. */
final class Accepted {

    private final Map<Id, List<Acceptance>> bySubject = new HashMap<>();

    private Accepted() {}

    static Accepted of(Build build) {
        Accepted accepted = new Accepted();
        build.papers()
                .accepted()
                .forEach(a -> accepted.bySubject
                        .computeIfAbsent(a.subject(), s -> new ArrayList<>())
                        .add(a));
        return accepted;
    }

    List<Acceptance> about(Id subject) {
        return bySubject.getOrDefault(subject, List.of());
    }

    /** Subjects about which something else is accepted there. */
    Set<Id> differing(Accepted other) {
        Set<Id> subjects = new HashSet<>(bySubject.keySet());
        subjects.addAll(other.bySubject.keySet());
        subjects.removeIf(s -> about(s).equals(other.about(s)));
        return subjects;
    }

    /** The finding as it is, or accepted where one of the acceptances covers it. */
    static Finding seen(Finding finding, List<Acceptance> about) {
        Optional<Acceptance> by = about.stream()
                .filter(a -> a.covers(finding.rule(), finding.place().layer(), finding.measured(), finding.required()))
                .findFirst();
        return by.map(a -> finding.acceptedBecause(a.reason() + " (" + a.who() + ", " + a.on() + ")"))
                .orElse(finding);
    }
}
