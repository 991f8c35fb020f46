package bucina.core.job;

import bucina.core.bulletin.Reviews;
import bucina.core.plan.Id;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** What rests on fasteners that are in: the steps of bolts, proof, and looking at what a bulletin changed. */
final class LateDemands {

    private final List<FaceJobs> faces;
    private final Map<Run, Integer> runs;
    private final Edges edges;

    LateDemands(List<FaceJobs> faces, Map<Run, Integer> runs, Edges edges) {
        this.faces = faces;
        this.runs = runs;
        this.edges = edges;
    }

    private int job(Run run) {
        return Objects.requireNonNull(runs.get(run));
    }

    /**
     * Lays them all.
     *
     * @param owns the builder's own jobs by place
     * @param due  reviews of bulletins, by code of the group that waits
     */
    void lay(Map<Id.Own, Integer> owns, Map<String, Reviews.Due> due) {
        bolts();
        proofs();
        if (!due.isEmpty()) {
            reviews(owns, due);
        }
    }

    /** P1 of bolts: in, torqued, striped, wired or pinned. */
    private void bolts() {
        for (FaceJobs face : faces) {
            for (FaceJobs.Bolt bolt : face.bolts()) {
                int last = bolt.set() < 0 ? -1 : job(face.runs().get(bolt.set()));
                Op lastOp = Op.SET;
                for (int step : bolt.steps()) {
                    Run run = face.runs().get(step);
                    edges.add(last, job(run), "P1", lastOp.word() + " before " + run.op.word() + ", at the same bolts");
                    last = job(run);
                    lastOp = run.op;
                }
            }
        }
    }

    /** P1 of rivets: in, then proved. */
    private void proofs() {
        for (FaceJobs face : faces) {
            face.proofs().forEach(p -> {
                Run run = face.runs().get(p.set());
                if (run.left() > 0) {
                    edges.add(
                            job(run),
                            job(face.runs().get(p.proof())),
                            "P1",
                            "set before they are proved, at the same holes");
                }
            });
        }
    }

    /** P9: looking at what is in as before a bulletin comes before more of the same. */
    private void reviews(Map<Id.Own, Integer> owns, Map<String, Reviews.Due> due) {
        for (FaceJobs face : faces) {
            for (Run run : face.runs()) {
                Reviews.Due review = due.get(run.group.code());
                if (review != null && review.job().isPresent() && !run.open.isEmpty()) {
                    int first =
                            Objects.requireNonNull(owns.get(review.job().get().id()));
                    edges.add(first, job(run), "P9", review.words());
                }
            }
        }
    }
}
