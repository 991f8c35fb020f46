package bucina.core.job;

import bucina.core.guard.Bays;
import bucina.core.plan.Bay;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.ToIntFunction;

/*
 * Design. "The bay is finished" is an event among the jobs: all that is done inside comes before it, and it comes
 * before the closing part is held for good. So a bay with many jobs inside and many rows that close it takes their sum
 * of demands, not their product.
 */

/** P4 and P10 for bays: what is done inside comes before the part that closes it is on for good. */
final class BayDemands {

    private final Around around;
    private final List<FaceJobs> faces;
    private final Map<Run, Integer> runs;
    private final Map<Id.Own, Integer> owns;
    private final Edges edges;

    /**
     * @param owns the builder's own jobs by place
     */
    BayDemands(Around around, List<FaceJobs> faces, Map<Run, Integer> runs, Map<Id.Own, Integer> owns, Edges edges) {
        this.owns = owns;
        this.around = around;
        this.faces = faces;
        this.runs = runs;
        this.edges = edges;
    }

    /**
     * Lays the demands of every bay that is not shut.
     *
     * @param on the job that puts a part on to stay; -1 if there is none
     * @return how many jobs and events there are
     */
    int lay(List<Job> jobs, ToIntFunction<Id.Part> on, Bays bays) {
        int nodes = jobs.size();
        for (Bay bay : around.build().workshop().bays()) {
            List<Part> open = bays.open(bay);
            if (!open.isEmpty()) {
                bay(bay, open.getLast(), nodes, jobs, on);
                nodes++;
            }
        }
        return nodes;
    }

    private void bay(Bay bay, Part last, int event, List<Job> jobs, ToIntFunction<Id.Part> on) {
        Set<Id.Part> inside = Bays.inside(bay, around.parts());
        String text = last.name() + " closes " + bay.name() + ": what is inside is finished first";
        for (FaceJobs face : faces) {
            for (Run run : face.runs()) {
                int job = Objects.requireNonNull(runs.get(run));
                // What comes before a fastener is set waits for nothing more.
                boolean ends = run.op == Op.SET || run.op.afterSet();
                if (ends && !jobs.get(job).done() && run.open.stream().anyMatch(h -> Bays.holds(bay, inside, h))) {
                    edges.add(job, event, run.op.afterSet() ? "P10" : "P4", text);
                }
            }
        }
        for (int i = 0; i < jobs.size(); i++) {
            Job job = jobs.get(i);
            boolean within = job.part().filter(p -> inside.contains(p.id())).isPresent();
            if (!job.done() && job.op() == Op.TASK && within) {
                edges.add(i, event, "P4", text);
            }
        }
        for (OwnJob own : around.build().workshop().jobs()) {
            int job = Objects.requireNonNull(owns.get(own.id()));
            if (!jobs.get(job).done() && own.parts().stream().anyMatch(inside::contains)) {
                edges.add(job, event, "P10", text);
            }
        }
        closing(last, event, text, on);
    }

    /** What shuts it: the part's permanent fasteners; where it is screwed on, its last screws. */
    private void closing(Part last, int event, String text, ToIntFunction<Id.Part> on) {
        List<Integer> permanent = new ArrayList<>();
        List<Integer> screws = new ArrayList<>();
        Set<Integer> seen = new HashSet<>();
        for (FaceJobs face : faces) {
            for (FaceJobs.Chain chain : face.chains()) {
                int job = Objects.requireNonNull(runs.get(face.runs().get(chain.set())));
                if (chain.hole().layers().stream().anyMatch(l -> l.part().equals(last.id())) && seen.add(job)) {
                    (chain.hole().solution().fastener().permanent() ? permanent : screws).add(job);
                }
            }
        }
        if (!permanent.isEmpty()) {
            permanent.forEach(job -> edges.add(event, job, "P4", text));
        } else if (!screws.isEmpty()) {
            edges.add(event, screws.getLast(), "P4", text);
        } else {
            edges.add(event, on.applyAsInt(last.id()), "P4", text);
        }
    }
}
