package bucina.core.job;

import bucina.core.edit.NutPlateEdits;
import bucina.core.hold.Holds;
import bucina.core.log.Logbook;
import bucina.core.measure.InputException;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import bucina.core.reach.ToolCrib;
import bucina.core.stack.Derivation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Every job of a build, and what comes before what.
 *
 * <p>Jobs are numbered as listed: parts in fitting order with what they owe, then holes face by face as filed, then the
 * builder's own.
 */
public final class Jobs {

    private final Build build;
    private final double turning;
    private final List<Job> all;
    private final List<List<Hold>> holds;
    private final List<Edges.Edge> edges;
    private final List<List<Edges.Edge>> before;
    private final List<List<Edges.Edge>> after;
    private final Map<String, Integer> places = new HashMap<>();

    Jobs(Build build, List<Job> all, List<List<Hold>> holds, List<Edges.Edge> edges, int nodes, double turning) {
        this.turning = turning;
        this.build = build;
        this.all = List.copyOf(all);
        this.holds = holds;
        this.edges = edges;
        before = new ArrayList<>();
        after = new ArrayList<>();
        for (int i = 0; i < nodes; i++) {
            before.add(new ArrayList<>(2));
            after.add(new ArrayList<>(2));
        }
        for (Edges.Edge e : edges) {
            before.get(e.after()).add(e);
            after.get(e.before()).add(e);
        }
        for (int i = 0; i < all.size(); i++) {
            places.put(all.get(i).id(), i);
        }
    }

    /**
     * The jobs of a build and its log.
     *
     * @param today what is put off until a later day waits
     */
    public static Jobs of(Derivation derivation, Logbook log, Holds holds, LocalDate today) {
        Build build = derivation.build();
        Paces paces = new Paces(derivation.catalogue().minutes(), build, log);
        FaceJobs.Around around = new FaceJobs.Around(
                build,
                log,
                holds.parts(),
                staying(holds.parts()),
                NutPlateEdits.plates(build),
                ToolCrib.of(build, derivation.catalogue()),
                new HoleSetups(derivation.catalogue(), paces),
                new HoleHolds(build, holds),
                paces);
        List<FaceJobs> faces = new ArrayList<>();
        for (Build.FaceRef ref : build.faces()) {
            faces.add(new FaceJobs(around, ref, derivation.face(ref.face().id())));
        }
        return new Demands(around, faces, holds, today).jobs();
    }

    private static Set<Id.Part> staying(PartStates parts) {
        return parts.all().stream()
                .map(Part::id)
                .filter(p -> parts.lies(p).stream()
                        .anyMatch(on -> parts.forGood(p, on.face().id())))
                .collect(Collectors.toSet());
    }

    /** The build they were worked out for. */
    public Build build() {
        return build;
    }

    /** Every job, done ones too. */
    public List<Job> all() {
        return all;
    }

    /** How many jobs. */
    public int size() {
        return all.size();
    }

    /** How many jobs and events. */
    public int nodes() {
        return before.size();
    }

    /** The job with a number. */
    public Job job(int n) {
        return all.get(n);
    }

    /** The number of a job. */
    public int place(String id) {
        Integer place = places.get(id);
        if (place == null) {
            throw new InputException("there is no job \"" + id
                    + "\" in this build; `jobs FILE` lists them, such as deburr:US-1:R1:Upper skin");
        }
        return place;
    }

    /** The job of a name, or the runs of a row that is named as a whole; none if there is no such job. */
    public List<Job> named(String id) {
        String wanted = id.strip();
        return all.stream()
                .filter(j -> j.id().equalsIgnoreCase(wanted)
                        || j.id().regionMatches(true, 0, wanted + ":", 0, wanted.length() + 1)
                                && j.id().substring(wanted.length() + 1).matches("\\d+")
                                && j.op().onHoles()
                                && wanted.split(":").length == 4)
                .toList();
    }

    /**
     * Why a job must come before another; empty if it need not.
     *
     * @return the demand that the first step of the way is
     */
    public Optional<Demand> comesBefore(int earlier, int later) {
        boolean[] seen = new boolean[nodes()];
        for (Edges.Edge first : after.get(earlier)) {
            List<Integer> todo = new ArrayList<>(List.of(first.after()));
            for (int i = 0; i < todo.size(); i++) {
                if (todo.get(i) == later) {
                    return Optional.of(new Demand(all.get(earlier).id(), first.rule(), first.text()));
                }
                for (int next : after(todo.get(i))) {
                    if (!seen[next]) {
                        seen[next] = true;
                        todo.add(next);
                    }
                }
            }
        }
        return Optional.empty();
    }

    /** True if the build has such a job. */
    public boolean has(String id) {
        return places.containsKey(id);
    }

    /** Why a job waits for what no job brings about; empty for most. */
    public List<Hold> holds(int job) {
        return holds.get(job);
    }

    /** Jobs and events that come right before a job or an event. */
    public List<Integer> before(int node) {
        return before.get(node).stream().map(Edges.Edge::before).toList();
    }

    /** Jobs and events that come right after. */
    public List<Integer> after(int node) {
        return after.get(node).stream().map(Edges.Edge::after).toList();
    }

    /** The rule and reason of a demand between two nodes, which must be there. */
    public Demand reason(int earlier, int later) {
        return before.get(later).stream()
                .filter(e -> e.before() == earlier)
                .findFirst()
                .map(e -> new Demand(earlier < size() ? all.get(earlier).id() : "", e.rule(), e.text()))
                .orElseThrow();
    }

    /** What comes before a job, by jobs: events are looked through. Open jobs only. */
    public List<Demand> demands(int job) {
        Map<String, Demand> found = new LinkedHashMap<>();
        for (Edges.Edge e : before.get(job)) {
            if (e.before() < size()) {
                found.putIfAbsent(
                        all.get(e.before()).id(), new Demand(all.get(e.before()).id(), e.rule(), e.text()));
            } else {
                for (Edges.Edge f : before.get(e.before())) {
                    found.putIfAbsent(
                            all.get(f.before()).id(),
                            new Demand(all.get(f.before()).id(), f.rule(), f.text()));
                }
            }
        }
        return List.copyOf(found.values());
    }

    /** Minutes to turn an assembly over. */
    public double turning() {
        return turning;
    }

    /** How many demands there are. */
    public int demands() {
        return edges.size();
    }

    /** The builder's own job of a job; empty for others. */
    public Optional<OwnJob> own(Job job) {
        return build.workshop().jobs().stream()
                .filter(o -> job.op() == Op.OWN && job.id().equals("own:" + o.id().n()))
                .findFirst();
    }

    /** The part with an id. */
    Part part(Id.Part id) {
        return build.part(id);
    }
}
