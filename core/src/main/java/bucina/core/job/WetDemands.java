package bucina.core.job;

import bucina.core.plan.Batch;
import bucina.core.plan.Compound;
import bucina.core.plan.Group;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/*
 * Design. A block is what one batch of sealant serves: rows of one group, one after another, nothing between them. So
 * all that any of its rows waits for comes before the first of them, and each is followed at once by the next. A block
 * ends where the work life of the sealant would run out, at the end of a row, and where what a later row waits for can
 * only be done after an earlier one.
 */

/** P8: what is set wet is one block, cut at a row's end where the sealant does not live long enough. */
final class WetDemands {

    /** Work life of a sealant nobody has mixed yet, minutes: class B-2 at 77 degrees F. */
    private static final int LIFE = 120;

    private final Around around;
    private final List<FaceJobs> faces;
    private final Map<Run, Integer> runs;
    private final Edges edges;
    private final List<Job> jobs;
    private final Map<Integer, Integer> then = new HashMap<>();

    /**
     * @param jobs whose set-up comes to say which batch they are set in
     */
    WetDemands(Around around, List<FaceJobs> faces, Map<Run, Integer> runs, Edges edges, List<Job> jobs) {
        this.jobs = jobs;
        this.around = around;
        this.faces = faces;
        this.runs = runs;
        this.edges = edges;
    }

    /** Lays them; gives for each job that is followed at once by another which one. */
    Map<Integer, Integer> lay(List<List<Hold>> holds) {
        for (FaceJobs face : faces) {
            Map<Group, List<Run>> wet = new LinkedHashMap<>();
            face.runs().stream()
                    .filter(r -> r.op == Op.SET && r.group.holes().wet() && !r.open.isEmpty())
                    .filter(r -> holds.get(job(r)).isEmpty())
                    .forEach(r ->
                            wet.computeIfAbsent(r.group, g -> new ArrayList<>()).add(r));
            wet.values().forEach(this::group);
        }
        return then;
    }

    private int job(Run run) {
        return Objects.requireNonNull(runs.get(run));
    }

    /** Minutes that the sealant last mixed for this build can be worked. */
    private double life() {
        return around.build().workshop().batches().stream()
                .map(Batch::compound)
                .filter(c -> c.kind() == Compound.Kind.SEALANT)
                .reduce((a, b) -> b)
                .map(Compound::life)
                .orElse(LIFE);
    }

    private void group(List<Run> all) {
        double life = life();
        List<List<Run>> blocks = new ArrayList<>();
        double minutes = life + 1;
        for (List<Run> row : rows(all)) {
            double more = minutes(row);
            if (minutes + more > life + 1e-9) {
                blocks.add(new ArrayList<>());
                minutes = 0;
            }
            blocks.getLast().addAll(row);
            minutes += more;
        }
        blocks.forEach(this::block);
        for (int i = 0; i < blocks.size(); i++) {
            say(blocks.get(i), i + 1, blocks.size(), life);
        }
    }

    private static double minutes(List<Run> runs) {
        return runs.stream().mapToDouble(r -> r.minutes.mid()).sum();
    }

    /** Which batch it is, and where even one row takes longer than the sealant can be worked. */
    private void say(List<Run> block, int n, int of, double life) {
        String batch = of == 1 ? "" : "batch " + n + " of " + of;
        double takes = minutes(block);
        String longer = takes > life + 1e-9
                ? "takes " + Math.round(takes) + " min, the sealant is worked for " + Math.round(life)
                        + ": mix again on the way"
                : "";
        Stream.of(batch, longer)
                .filter(w -> !w.isEmpty())
                .forEach(w ->
                        block.forEach(r -> jobs.set(job(r), jobs.get(job(r)).saying(w))));
    }

    /** Runs row by row. */
    private static List<List<Run>> rows(List<Run> all) {
        Map<Object, List<Run>> rows = new LinkedHashMap<>();
        all.forEach(r -> rows.computeIfAbsent(r.row.map(x -> x.id()), k -> new ArrayList<>())
                .add(r));
        return List.copyOf(rows.values());
    }

    /** One block; what a later run waits for behind the first one begins another. */
    private void block(List<Run> block) {
        List<Integer> jobs = new ArrayList<>();
        for (Run run : block) {
            Optional<Set<Integer>> ready = jobs.isEmpty() ? Optional.of(Set.of()) : ready(jobs, job(run));
            if (ready.isEmpty()) {
                jobs.clear();
            } else if (!jobs.isEmpty()) {
                int first = jobs.getFirst();
                ready.get()
                        .forEach(p -> edges.add(
                                p, first, "P8", "it is set wet in one block: all of it is ready before mixing"));
                edges.add(jobs.getLast(), job(run), "P8", "set wet in one go, in one batch of sealant");
                then.put(jobs.getLast(), job(run));
            }
            jobs.add(job(run));
        }
    }

    /** What comes before a job and is not in the block; empty if some of it comes after the block's beginning. */
    private Optional<Set<Integer>> ready(List<Integer> block, int job) {
        Set<Integer> before = new HashSet<>();
        Map<Integer, List<Integer>> after = new HashMap<>();
        for (Edges.Edge e : edges.all()) {
            after.computeIfAbsent(e.before(), k -> new ArrayList<>()).add(e.after());
            if (e.after() == job && !block.contains(e.before())) {
                before.add(e.before());
            }
        }
        Set<Integer> seen = new HashSet<>(block);
        List<Integer> todo = new ArrayList<>(block);
        for (int i = 0; i < todo.size(); i++) {
            for (int next : after.getOrDefault(todo.get(i), List.of())) {
                if (before.contains(next)) {
                    return Optional.empty();
                }
                if (next != job && seen.add(next)) {
                    todo.add(next);
                }
            }
        }
        return Optional.of(before);
    }
}
