package bucina.desk.session;

import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleSet;
import bucina.core.stack.Derivation;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What another rule set would change on this build. Worked out off the interface thread.
 *
 * @param gone   findings that would go, by place
 * @param fresh  findings that would come
 * @param rivets how many holes would take another rivet
 */
public record RuleEffect(List<Finding> gone, List<Finding> fresh, int rivets) {

    public RuleEffect {
        gone = List.copyOf(gone);
        fresh = List.copyOf(fresh);
    }

    /** Compares the build as it is with the build under another set. */
    public static RuleEffect of(Derivation now, RuleSet other) {
        Derivation then = now.after(now.build().withRules(other));
        Map<String, Finding> before = findings(now);
        Map<String, Finding> after = findings(then);
        List<Finding> gone = missing(before, after);
        List<Finding> fresh = new ArrayList<>();
        after.forEach((key, f) -> {
            if (!before.containsKey(key)) {
                fresh.add(f);
            }
        });
        int rivets = rivets(now, then);
        return new RuleEffect(gone, fresh, rivets);
    }

    private static int rivets(Derivation now, Derivation then) {
        int rivets = 0;
        for (var ref : now.build().faces()) {
            var a = now.face(ref.face().id()).readings();
            var b = then.face(ref.face().id()).readings();
            for (int i = 0; i < a.size(); i++) {
                rivets += a.get(i).solution().dash().equals(b.get(i).solution().dash()) ? 0 : 1;
            }
        }
        return rivets;
    }

    private static List<Finding> missing(Map<String, Finding> before, Map<String, Finding> after) {
        List<Finding> gone = new ArrayList<>();
        before.forEach((key, f) -> {
            if (!after.containsKey(key)) {
                gone.add(f);
            }
        });
        return gone;
    }

    private static Map<String, Finding> findings(Derivation derivation) {
        Map<String, Finding> map = new TreeMap<>();
        derivation.findings(() -> false).stream()
                .filter(f -> f.level() != Level.NOTE)
                .forEach(f -> map.put(
                        f.place().face() + "|" + f.place().hole() + "|"
                                + f.rule()
                                + "|" + f.place().layer() + "|" + f.place().group(),
                        f));
        return map;
    }
}
