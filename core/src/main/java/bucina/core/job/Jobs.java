package bucina.core.job;

import bucina.core.bulletin.Reviews;
import bucina.core.edit.NutPlateEdits;
import bucina.core.guard.Bays;
import bucina.core.hold.Holds;
import bucina.core.log.Logbook;
import bucina.core.measure.InputException;
import bucina.core.part.PartStates;
import bucina.core.part.PartTask;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import bucina.core.reach.ToolCrib;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Every job of a build, and what comes before what.
 *
 * <p>Jobs are numbered as listed: parts in fitting order with what they owe, then holes face by face as filed, then the
 * builder's own.
 */
public final class Jobs {

    /** Rules by which work is done before a part goes on. */
    private static final Set<String> BURIED = Set.of("P4", "P5", "P10");

    private final Build build;
    private final Around around;
    private final List<FaceJobs> faces;
    private final double turning;
    /** The same for jobs between which the same is demanded, however they are numbered. */
    private final Object token;

    private final LocalDate today;
    /** By bay, the part that closes it last. */
    private final Map<Id.Bay, Id.Part> last;

    private final List<Job> all;
    private final List<List<Hold>> holds;
    private final List<Edges.Edge> edges;
    private final List<List<Edges.Edge>> before;
    private final List<List<Edges.Edge>> after;
    /** By job, the one that follows at once because both are set in one batch of sealant. */
    private final Map<Integer, Integer> then;

    private final Map<String, Integer> places = new HashMap<>();

    Jobs(
            Around around,
            List<FaceJobs> faces,
            List<Job> all,
            List<List<Hold>> holds,
            List<Edges.Edge> edges,
            int nodes,
            Map<Integer, Integer> then,
            Asked asked) {
        this.then = Map.copyOf(then);
        this.turning = around.paces().change("side");
        this.token = asked.token;
        this.today = asked.today;
        this.last = asked.last;
        this.around = around;
        this.faces = faces;
        this.build = around.build();
        this.all = List.copyOf(all);
        this.holds = holds;
        this.edges = edges;
        before = new ArrayList<>();
        after = new ArrayList<>();
        for (int i = 0; i < nodes; i++) {
            before.add(new ArrayList<>(2));
            after.add(new ArrayList<>(2));
        }
        edges.forEach(e -> before.get(e.after()).add(e));
        edges.forEach(e -> after.get(e.before()).add(e));
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
        return of(Optional.empty(), derivation, log, holds, today);
    }

    /**
     * The same where they were worked out before: where only the order in which parts go on changed, what is done at
     * the holes is not worked out again.
     *
     * @param before of the build as it was
     */
    public static Jobs of(Optional<Jobs> before, Derivation derivation, Logbook log, Holds holds, LocalDate today) {
        Build build = derivation.build();
        Paces paces = new Paces(derivation.catalogue().minutes(), build, log);
        Around around = new Around(
                build,
                log,
                holds.parts(),
                staying(holds.parts()),
                NutPlateEdits.plates(build),
                ToolCrib.of(build, derivation.catalogue()),
                new HoleSetups(derivation.catalogue(), paces),
                new HoleHolds(build, holds, Reviews.due(derivation, log)),
                paces);
        Bays bays = new Bays(derivation, log, holds.parts());
        Map<FaceReading, FaceJobs> known =
                before.filter(b -> around.atHolesAs(b.around)).map(Jobs::byFace).orElse(Map.of());
        List<FaceJobs> faces = new ArrayList<>();
        boolean same = before.isPresent() && before.get().today.equals(today);
        for (Build.FaceRef ref : build.faces()) {
            FaceReading face = derivation.face(ref.face().id());
            FaceJobs was = known.get(face);
            same &= was != null;
            faces.add(was == null ? new FaceJobs(around, ref, face) : was);
        }
        return same && before.get().asksTheSame(around, bays)
                ? Refitted.of(before.get(), around, faces)
                : new Demands(around, faces, holds, bays, today).jobs();
    }

    /** True if nothing changed but when parts go on, and that asks for nothing else. */
    private boolean asksTheSame(Around now, Bays bays) {
        return now.build().workshop() == build.workshop()
                && build.workshop().bays().stream().allMatch(b -> {
                    List<Part> open = bays.open(b);
                    return open.isEmpty() || open.getLast().id().equals(last.get(b.id()));
                });
    }

    /** For which day, and what is demanded beside the plan. */
    record Asked(Object token, LocalDate today, Map<Id.Bay, Id.Part> last) {}

    Asked asked() {
        return new Asked(token, today, last);
    }

    /** True if these are the jobs of others, with the same between them; only their numbers may differ. */
    public boolean askTheSameAs(Jobs others) {
        return token == others.token;
    }

    List<Edges.Edge> edges() {
        return edges;
    }

    Map<Integer, Integer> thens() {
        return then;
    }

    private static Map<FaceReading, FaceJobs> byFace(Jobs jobs) {
        Map<FaceReading, FaceJobs> known = new IdentityHashMap<>();
        jobs.faces.forEach(f -> known.put(f.face(), f));
        return known;
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

    /** The job that follows at once because both are set in one batch of sealant; -1 if any may. */
    public int then(int node) {
        return then.getOrDefault(node, -1);
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

    private record Said(Set<String> work, Set<String> rules) {}

    /**
     * What must be done at holes before a part goes on or a bay is shut (P4, P5, P10), by hole: one sentence for each
     * reason.
     */
    public Map<Id.Hole, List<String>> befores() {
        Map<Id.Hole, Map<String, Said>> found = new HashMap<>();
        for (Edges.Edge e : edges) {
            if (BURIED.contains(e.rule()) && e.before() < size()) {
                Job job = all.get(e.before());
                List<HoleReading> holes = job.done()
                        ? List.of()
                        : job.place().map(Job.Place::holes).orElse(List.of());
                for (HoleReading hole : holes) {
                    Said is = found.computeIfAbsent(hole.hole().id(), h -> new LinkedHashMap<>())
                            .computeIfAbsent(e.text(), t -> new Said(new LinkedHashSet<>(), new LinkedHashSet<>()));
                    is.work.add(job.op().word());
                    is.rules.add(e.rule());
                }
            }
        }
        Map<Id.Hole, List<String>> said = new HashMap<>();
        found.forEach((hole, reasons) -> said.put(
                hole,
                reasons.entrySet().stream()
                        .map(r -> String.join(", ", r.getValue().work) + " first: " + r.getKey() + " ("
                                + String.join(", ", r.getValue().rules) + ")")
                        .toList()));
        return said;
    }

    /**
     * Before when a job is not done: the day that the builder put it off to, or a part that is out is due; empty where
     * nobody says.
     */
    public Optional<LocalDate> notBefore(int job) {
        Stream<LocalDate> said = build.workshop().orders().stream()
                .filter(o -> o.job().equals(all.get(job).id()))
                .flatMap(o -> o.until().stream())
                .filter(today::isBefore);
        Stream<Part> parts = all.get(job).op().throughStack()
                ? all.get(job).place().stream()
                        .flatMap(p -> p.layers().stream())
                        .map(l -> part(l.part()))
                : all.get(job).part().stream();
        Stream<LocalDate> due = holds.get(job).isEmpty()
                ? Stream.empty()
                : parts.filter(p -> p.standing().away()).flatMap(p -> p.particulars().due().stream());
        return all.get(job).done() ? Optional.empty() : Stream.concat(said, due).max(Comparator.naturalOrder());
    }

    /**
     * When the primer of the parts that a job touches is dry enough to handle, typically; empty where it is or none is
     * wet.
     */
    public Optional<Instant> dry(int job, Instant now) {
        Stream<Part> parts = all.get(job).op() == Op.SET
                ? all.get(job).place().stream()
                        .flatMap(p -> p.layers().stream())
                        .map(l -> part(l.part()))
                : all.get(job).part().stream();
        Duration wait = Duration.ofMinutes(Math.round(around.paces().typical("wait.prime")));
        return parts.flatMap(p -> around.log().tasks().done(p.id(), PartTask.PRIME.code()).stream())
                .map(m -> m.at().plus(wait))
                .filter(now::isBefore)
                .max(Comparator.naturalOrder());
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
