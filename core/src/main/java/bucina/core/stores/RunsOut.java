package bucina.core.stores;

import bucina.core.job.Job;
import bucina.core.job.Op;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What runs out when work goes on as ordered.
 *
 * @param designation what
 * @param job         at which it runs out
 * @param after       how many jobs are done before it
 * @param lacking     how many of that job go without
 */
public record RunsOut(String designation, Job job, int after, int lacking) {

    /**
     * Everything that runs out, what is first before what is later.
     *
     * @param order open jobs as they are done
     */
    public static List<RunsOut> of(List<Job> order, Balance balance, Derivation derivation) {
        Map<String, Integer> left = new HashMap<>();
        balance.items().forEach(i -> left.put(Names.key(i.designation()), i.onHand()));
        Map<String, RunsOut> out = new LinkedHashMap<>();
        for (int i = 0; i < order.size(); i++) {
            Job job = order.get(i);
            if (job.op() != Op.SET || job.done()) {
                continue;
            }
            for (Map.Entry<String, Integer> takes : takes(job, derivation).entrySet()) {
                String key = Names.key(takes.getKey());
                int rest = left.getOrDefault(key, 0) - takes.getValue();
                left.put(key, rest);
                if (rest < 0) {
                    out.putIfAbsent(
                            key, new RunsOut(Names.one(takes.getKey()), job, i, Math.min(-rest, takes.getValue())));
                }
            }
        }
        return new ArrayList<>(out.values());
    }

    /** What a job of setting takes. */
    private static Map<String, Integer> takes(Job job, Derivation derivation) {
        Job.Place place = job.place().orElseThrow();
        Map<String, Integer> takes = new LinkedHashMap<>();
        if (place.row().isEmpty()) {
            derivation
                    .typed(place.group().id())
                    .ifPresent(s -> takes.merge(Needs.designation(s), job.count(), Integer::sum));
        }
        for (HoleReading hole : place.holes()) {
            Solution solution = hole.solution();
            takes.merge(Needs.designation(solution), 1, Integer::sum);
            Companions.of(solution).forEach((what, n) -> takes.merge(what, n, Integer::sum));
        }
        return takes;
    }
}
