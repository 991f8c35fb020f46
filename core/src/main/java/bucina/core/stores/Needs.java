package bucina.core.stores;

import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What the plan still needs: a fastener for each hole that is not set, with what goes in with it; nut plates. */
final class Needs {

    private static final Pattern PLATES = Pattern.compile("Nut plates? (#?\\S+).*");

    private final Derivation derivation;
    private final Logbook log;
    private final Predicate<Build.FaceRef> wanted;

    Needs(Derivation derivation, Logbook log, Predicate<Build.FaceRef> wanted) {
        this.derivation = derivation;
        this.log = log;
        this.wanted = wanted;
    }

    void count(Counts counts) {
        for (Build.FaceRef ref : derivation.build().faces()) {
            boolean here = wanted.test(ref);
            for (HoleReading hole : derivation.face(ref.face().id()).readings()) {
                boolean set = log.set(hole.hole());
                if (set || here) {
                    hole(hole.solution(), set, counts);
                }
            }
            for (Group group : ref.face().groups()) {
                int left = group.typed().isEmpty() || !here ? 0 : group.count() - log.installed(group);
                if (left > 0) {
                    derivation.typed(group.id()).ifPresent(s -> counts.named(designation(s)).needed += left);
                }
            }
            plates(ref, here, counts);
        }
    }

    /** A fastener is used by the log; what goes in with it is in once it is. */
    private static void hole(Solution solution, boolean set, Counts counts) {
        if (!set) {
            counts.named(designation(solution)).needed++;
        }
        Companions.of(solution).forEach((what, n) -> {
            Counts.Count count = counts.named(what);
            if (set) {
                count.used += n;
            } else {
                count.needed += n;
            }
        });
    }

    /** What goes in; where no length is right, the fastener without one. */
    static String designation(Solution solution) {
        return solution.designation().orElse(solution.fastener().name());
    }

    /** A plate is in once a rivet holds one of its lugs. */
    private void plates(Build.FaceRef ref, boolean here, Counts counts) {
        Map<Id.Layer, Boolean> set = new HashMap<>();
        for (HoleReading hole : derivation.face(ref.face().id()).readings()) {
            if (hole.solution().fastener().rivet()) {
                boolean in = log.set(hole.hole());
                hole.layers().forEach(l -> set.merge(l.id(), in, Boolean::logicalOr));
            }
        }
        for (Layer layer : ref.face().layers()) {
            Part part = derivation.build().part(layer.part());
            if (part.kind() == Part.Kind.NUT_PLATES) {
                Counts.Count count = counts.named(plate(part));
                boolean in = set.getOrDefault(layer.id(), false);
                count.used += in ? 1 : 0;
                count.needed += in || !here ? 0 : 1;
            }
        }
    }

    private static String plate(Part part) {
        Matcher m = PLATES.matcher(part.name());
        return m.matches() ? "nut plate " + m.group(1) : part.name();
    }
}
