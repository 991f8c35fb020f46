package bucina.core.job;

import bucina.core.plan.Part;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/*
 * Design. When a part goes on changes neither what is done nor what is demanded, as long as the same part closes each
 * bay: only the place of its jobs in the list. So they are put in their new places, and every demand keeps its words.
 */

/** Jobs where parts go on in another order and all else is as it was. */
final class Refitted {

    private Refitted() {}

    static Jobs of(Jobs was, Around around, List<FaceJobs> faces) {
        int parts = 0;
        while (parts < was.size()
                && was.job(parts).place().isEmpty()
                && was.job(parts).op() != Op.OWN) {
            parts++;
        }
        Map<Object, Part> now = new HashMap<>();
        Map<Object, Integer> rank = new HashMap<>();
        around.build().parts().stream()
                .sorted(Comparator.comparing(Part::fittingOrder))
                .forEach(p -> {
                    now.put(p.id(), p);
                    rank.put(p.id(), rank.size());
                });
        List<Integer> places = new ArrayList<>(IntStream.range(0, parts).boxed().toList());
        places.sort(Comparator.comparing(
                (Integer i) -> rank.getOrDefault(was.job(i).part().orElseThrow().id(), 0)));
        for (int i = parts; i < was.nodes(); i++) {
            places.add(i);
        }
        int[] to = new int[was.nodes()];
        List<Job> jobs = new ArrayList<>();
        List<List<Hold>> holds = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            int from = places.get(i);
            to[from] = i;
            if (from < was.size()) {
                Job job = was.job(from);
                jobs.add(job.part()
                        .map(p -> now.get(p.id()))
                        .filter(p -> p != job.part().get())
                        .map(job::of)
                        .orElse(job));
                holds.add(was.holds(from));
            }
        }
        List<Edges.Edge> edges = new ArrayList<>();
        was.edges().forEach(e -> edges.add(new Edges.Edge(to[e.before()], to[e.after()], e.rule(), e.text())));
        Map<Integer, Integer> then = new HashMap<>();
        was.thens().forEach((a, b) -> then.put(to[a], to[b]));
        return new Jobs(around, faces, jobs, holds, edges, was.nodes(), then, was.asked());
    }
}
