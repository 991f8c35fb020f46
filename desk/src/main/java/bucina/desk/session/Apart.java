package bucina.desk.session;

import bucina.core.plan.Assembly;
import bucina.core.plan.Face;
import bucina.core.plan.FitReading;
import bucina.core.plan.Id;
import bucina.core.plan.Workshop;
import bucina.core.refit.FitCheck;
import bucina.core.refit.OtherWays;
import bucina.core.rule.RuleSet;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What to note before an assembly is taken apart. What is riveted is not taken apart any more: it is left out. Pure.
 *
 * @param assembly which, as it was when this was worked out
 * @param rules    in force then
 * @param every    part that also goes on another way, riveted or not
 * @param measured on every face, riveted up or not
 * @param riveted  parts with a fastener in
 * @param closed   faces with every fastener in
 */
public record Apart(
        Assembly assembly,
        RuleSet rules,
        List<OtherWays> every,
        List<FitCheck> measured,
        Set<Id.Part> riveted,
        Set<Id.Face> closed) {

    public Apart {
        every = List.copyOf(every);
        measured = List.copyOf(measured);
        riveted = Set.copyOf(riveted);
        closed = Set.copyOf(closed);
    }

    /** Works it out; of a plan that has not changed, only what the log changes. */
    public static Apart of(Snapshot snapshot, Assembly assembly, Optional<Apart> before) {
        RuleSet rules = snapshot.build().rules();
        Optional<Apart> same = before.filter(b -> b.assembly == assembly && b.rules == rules);
        Set<Id.Part> riveted = new HashSet<>();
        Set<Id.Face> closed = new HashSet<>();
        sort(assembly, snapshot, riveted, closed);
        return new Apart(
                assembly,
                rules,
                same.map(Apart::every).orElseGet(() -> OtherWays.of(snapshot.derivation(), assembly)),
                same.map(Apart::measured).orElseGet(() -> FitCheck.of(assembly)),
                riveted,
                closed);
    }

    private static void sort(Assembly assembly, Snapshot snapshot, Set<Id.Part> riveted, Set<Id.Face> closed) {
        for (Face face : assembly.faces()) {
            int open = 0;
            for (HoleReading r : snapshot.face(face.id()).readings()) {
                if (snapshot.set(r)) {
                    r.layers().forEach(l -> riveted.add(l.part()));
                } else {
                    open++;
                }
            }
            if (open == 0) {
                closed.add(face.id());
            }
        }
    }

    /** Parts that can be taken off and put back another way. */
    public List<OtherWays> ambiguous() {
        return every.stream().filter(o -> !riveted.contains(o.part().id())).toList();
    }

    /** What is measured on faces that are not riveted up. */
    public List<FitCheck> checks() {
        return measured.stream().filter(c -> !closed.contains(c.face().id())).toList();
    }

    /** Parts that have no mark yet. */
    public List<OtherWays> unmarked(Workshop shop) {
        return ambiguous().stream()
                .filter(o -> shop.mark(o.part().id()).isEmpty())
                .toList();
    }

    /** Readings not taken yet. */
    public List<FitCheck> unread(Workshop shop) {
        return checks().stream().filter(c -> reading(shop, c, false).isEmpty()).toList();
    }

    /** The reading taken for a check. */
    public static Optional<FitReading> reading(Workshop shop, FitCheck check, boolean after) {
        Id.Face face = check.face().id();
        return shop.reading(face, check.kind(), after);
    }

    /** What is still to be noted, in a sentence; empty if nothing is. */
    public Optional<String> reminder(Workshop shop) {
        int marks = unmarked(shop).size();
        int readings = unread(shop).size();
        if (marks == 0 && readings == 0) {
            return Optional.empty();
        }
        String parts = marks == 0
                ? ""
                : marks + (marks == 1 ? " part goes" : " parts go") + " back more than one way and "
                        + (marks == 1 ? "has" : "have") + " no index mark";
        String taken = readings == 0 ? "" : readings + (readings == 1 ? " reading is" : " readings are") + " not taken";
        return Optional.of("Before taking apart: " + parts + (marks > 0 && readings > 0 ? "; " : "") + taken + ".");
    }
}
