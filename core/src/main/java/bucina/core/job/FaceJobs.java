package bucina.core.job;

import bucina.core.guard.Owed;
import bucina.core.log.Operation;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.Tool;
import bucina.core.reach.Reach;
import bucina.core.reach.Ways;
import bucina.core.setup.Stretch;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/*
 * Design. A row is gone through hole by hole. What a hole owes in a sheet falls into a run: holes of the row that share
 * operation, sheet, set-up and the reason they wait. All holes of the row are put into runs, done ones too, so that the
 * number of a run, and with it the job's name, stays while the work goes on. The chain of steps at each open hole is
 * kept, as places of runs, for P1.
 */

/** The jobs on holes of one face. */
final class FaceJobs {

    private final Around around;
    private final Build.FaceRef ref;
    private final FaceReading face;
    private final FaceTools tools;
    private final List<Run> runs = new ArrayList<>();
    private final List<Chain> chains = new ArrayList<>();
    private final List<Bolt> bolts = new ArrayList<>();
    private final Set<Proof> proofs = new LinkedHashSet<>();

    private final ProofKinds kinds;

    /**
     * The open steps of one hole, sheet by sheet, as places of runs; -1 for the priming of the part.
     *
     * @param sheets one for each sheet, in the order of the hole's
     * @param set    the run that sets it
     */
    record Chain(HoleReading hole, List<List<Integer>> sheets, int set) {}

    /**
     * What a bolt owes once it is in, as places of runs, in order.
     *
     * @param set the run that puts it in; -1 if it is in
     */
    record Bolt(HoleReading hole, int set, List<Integer> steps) {}

    /** Places of the run that sets rivets and of one that proves them. */
    record Proof(int set, int proof) {}

    private record Key(Op op, Optional<Id.Part> part, Setup setup, Optional<Hold> hold, int stretch) {}

    FaceJobs(Around around, Build.FaceRef ref, FaceReading face) {
        this.around = around;
        this.ref = ref;
        this.face = face;
        this.tools = new FaceTools(around, face);
        this.kinds = new ProofKinds(around, tools);
        for (Group group : ref.face().groups()) {
            Heads heads = Heads.of(around, face, group);
            for (Row row : group.rows()) {
                row(group, row, heads);
            }
            group.typed().ifPresent(t -> typed(group, t.count() - around.log().installed(group), heads));
        }
    }

    List<Run> runs() {
        return runs;
    }

    List<Chain> chains() {
        return chains;
    }

    List<Bolt> bolts() {
        return bolts;
    }

    Set<Proof> proofs() {
        return proofs;
    }

    Build.FaceRef ref() {
        return ref;
    }

    FaceReading face() {
        return face;
    }

    private void typed(Group group, int left, Heads heads) {
        Setup setup = new Setup(
                group.fastener() instanceof Fastener.PulledRivet ? "rivet puller" : "squeezer",
                group.fastener().name(),
                "",
                "",
                List.of());
        Run run = new Run(Op.SET, group, Optional.empty(), Optional.empty(), setup, Optional.empty());
        run.minutes = around.paces().set(group, "set.squeeze").times(Math.max(0, left));
        run.number = left;
        runs.add(run);
        if (group.fastener().rivet()) {
            Setup gauge = around.setups().prove(group.fastener());
            Run proof = new Run(Op.PROVE, group, Optional.empty(), Optional.empty(), gauge, Optional.empty());
            proof.minutes = around.paces().hole(Op.PROVE).times(heads.count());
            proof.number = heads.count();
            runs.add(proof);
            proofs.add(new Proof(runs.size() - 2, runs.size() - 1));
        }
    }

    // ---- rows

    private void row(Group group, Row row, Heads heads) {
        List<HoleReading> holes =
                row.holes().stream().flatMap(h -> face.of(h.id()).stream()).toList();
        Map<HoleReading, Optional<Tool>> setting = new LinkedHashMap<>();
        Map<HoleReading, Ways> reached = new HashMap<>();
        holes.forEach(h -> setting.put(h, tools.setting(h, reached)));
        Map<HoleReading, Integer> stretch = new HashMap<>();
        List<Stretch> stretches = Stretch.of(holes, around.build().rules());
        for (int i = 0; i < stretches.size(); i++) {
            for (HoleReading h : stretches.get(i).holes()) {
                stretch.put(h, i);
            }
        }
        Map<Key, Integer> keys = new LinkedHashMap<>();
        Map<HoleReading, Integer> kind = group.fastener().rivet() ? kinds.of(holes) : Map.of();
        for (HoleReading hole : holes) {
            int n = Objects.requireNonNull(stretch.get(hole));
            int set = hole(
                    group,
                    row,
                    hole,
                    keys,
                    new Setting(
                            stretches.get(n),
                            n,
                            Objects.requireNonNull(setting.get(hole)),
                            Optional.ofNullable(reached.get(hole))));
            prove(group, row, hole, keys, new Proving(set, kind.getOrDefault(hole, 0), heads));
        }
        number(keys);
    }

    /** The run that sets a rivet, the number of the job that proves it, and which heads are proved. */
    private record Proving(int set, int number, Heads heads) {}

    private void prove(Group group, Row row, HoleReading hole, Map<Key, Integer> keys, Proving how) {
        boolean open = how.heads.open().contains(hole.hole().id());
        if (open || how.heads.proved().contains(hole.hole().id())) {
            Setup gauge = around.setups().prove(hole.solution().fastener());
            int place = run(new Key(Op.PROVE, Optional.empty(), gauge, Optional.empty(), how.number), group, row, keys);
            Run run = runs.get(place);
            run.number = how.number;
            if (open) {
                run.add(hole, around.paces().hole(Op.PROVE));
                run.layers.addAll(hole.layers());
                tools.lids(hole).forEach(run.closes::putIfAbsent);
                proofs.add(new Proof(how.set, place));
            } else {
                run.done.add(hole);
            }
        }
    }

    private void number(Map<Key, Integer> keys) {
        Map<List<Object>, List<Integer>> alike = new LinkedHashMap<>();
        keys.forEach((key, place) -> {
            if (key.op != Op.PROVE) {
                alike.computeIfAbsent(List.of(key.op, key.part), k -> new ArrayList<>())
                        .add(place);
            }
        });
        alike.values().stream().filter(places -> places.size() > 1).forEach(places -> {
            for (int i = 0; i < places.size(); i++) {
                runs.get(places.get(i)).number = i + 1;
            }
        });
    }

    /** How a hole's fastener goes in. */
    private record Setting(Stretch stretch, int n, Optional<Tool> tool, Optional<Ways> ways) {}

    /** Puts what a hole owes into runs; gives the one that sets it. */
    private int hole(Group group, Row row, HoleReading hole, Map<Key, Integer> keys, Setting setting) {
        boolean set = around.log().set(hole.hole());
        List<List<Integer>> sheets = new ArrayList<>();
        for (Owed owed : Owed.of(hole, around.build().rules(), around.parts(), around.plates())) {
            sheets.add(sheet(group, row, hole, owed, set, keys));
        }
        int run = setRun(group, row, hole, keys, setting);
        if (set) {
            runs.get(run).done.add(hole);
        } else {
            boolean plate = hole.layers().stream().anyMatch(l -> around.plates().contains(l.part()));
            Run r = runs.get(run);
            r.add(hole, around.paces().set(group, HoleSetups.way(hole, setting.tool, plate)));
            r.layers.addAll(hole.layers());
            r.temporary += around.log().temporary(hole.hole().id(), hole.layers()) ? 1 : 0;
            tools.lids(hole).forEach(r.closes::putIfAbsent);
            setting.ways.ifPresent(w -> tools.closed(hole, w, setting.tool).forEach(r.closes::putIfAbsent));
            if (tools.twoPeople(hole, setting.tool)) {
                r.people = 2;
            }
            chains.add(new Chain(hole, sheets, run));
        }
        bolt(group, row, hole, set ? -1 : run, keys);
        return run;
    }

    /** What is done to a bolt once it is in. */
    private void bolt(Group group, Row row, HoleReading hole, int set, Map<Key, Integer> keys) {
        List<Operation> open = Owed.openAfterSet(hole, around.log());
        List<Integer> steps = new ArrayList<>();
        for (Operation operation : hole.solution().afterSet()) {
            Op op = Op.of(operation).orElseThrow();
            Optional<Ways> to = op == Op.TORQUE && !hole.layers().isEmpty()
                    ? Optional.of(tools.to(hole, Reach.Work.TURN))
                    : Optional.empty();
            Optional<Tool> with = to.filter(w -> !w.tools().isEmpty()).map(w -> w.handiest(Optional.empty()));
            Setup setup = around.setups().bolt(op, hole, with, side(group));
            int place = run(new Key(op, Optional.empty(), setup, tools.lacking(hole, op), 0), group, row, keys);
            if (set >= 0 || open.contains(operation)) {
                tools.lids(hole).forEach(runs.get(place).closes::putIfAbsent);
                to.ifPresent(w -> tools.closed(hole, w, with).forEach(runs.get(place).closes::putIfAbsent));
                runs.get(place).add(hole, around.paces().hole(op));
                hole.layers().stream().findFirst().ifPresent(runs.get(place).layers::add);
                steps.add(place);
            } else {
                runs.get(place).done.add(hole);
            }
        }
        if (!steps.isEmpty()) {
            bolts.add(new Bolt(hole, set, steps));
        }
    }

    /** Puts what one sheet owes into runs; gives the open ones in order. */
    private List<Integer> sheet(
            Group group, Row row, HoleReading hole, Owed owed, boolean set, Map<Key, Integer> keys) {
        List<Owed.Step> open =
                set ? List.of() : owed.open(around.log(), hole.hole().id());
        List<Integer> steps = new ArrayList<>();
        Optional<Hold> held = Optional.empty();
        for (Owed.Step step : owed.steps()) {
            boolean todo = open.contains(step);
            int run = step(group, row, hole, owed.layer(), step, todo, held, keys);
            if (todo && (steps.isEmpty() || steps.getLast() != run)) {
                steps.add(run);
            }
            // What comes after a hole that cannot be drilled yet waits with it, and only that.
            if (todo && run >= 0 && runs.get(run).hold.isPresent()) {
                held = runs.get(run).hold;
            }
        }
        return steps;
    }

    private int setRun(Group group, Row row, HoleReading hole, Map<Key, Integer> keys, Setting setting) {
        Optional<Hold> hold = around.holds().of(Op.SET, face, hole).or(() -> tools.lacking(hole, Op.SET));
        Setup setup = around.setups().set(hole, setting.stretch, setting.tool, side(group));
        return run(new Key(Op.SET, Optional.empty(), setup, hold, setting.n), group, row, keys);
    }

    private String side(Group group) {
        return ref.face().name() + (group.headFar() ? ", far" : ", near");
    }

    private int run(Key key, Group group, Row row, Map<Key, Integer> keys) {
        return keys.computeIfAbsent(key, k -> {
            runs.add(new Run(key.op, group, Optional.of(row), key.part, key.setup, key.hold));
            return runs.size() - 1;
        });
    }

    // ---- steps

    private int step(
            Group group,
            Row row,
            HoleReading hole,
            Layer layer,
            Owed.Step step,
            boolean open,
            Optional<Hold> held,
            Map<Key, Integer> keys) {
        if (step.operation() == Operation.PRIMED) {
            return -1;
        }
        Op op = Op.of(step.operation()).orElseThrow();
        Optional<Tool> tool = tools.atBench(op, hole, layer);
        String side = op.throughStack() || around.stays(layer.part()) ? side(group) : "";
        Setup setup = around.setups().marked(op, hole, layer, tool, side);
        Optional<Id.Part> part = op.throughStack() ? Optional.empty() : Optional.of(layer.part());
        int place = run(
                new Key(
                        op,
                        part,
                        setup,
                        held.or(() -> around.holds().of(op, face, hole)).or(() -> tools.lacking(hole, op)),
                        0),
                group,
                row,
                keys);
        Run run = runs.get(place);
        if (open) {
            boolean again = !run.open.isEmpty() && run.open.getLast().equals(hole);
            Minutes each = around.paces().hole(op);
            run.add(hole, again ? each.times(op == Op.DEBURR || op.throughStack() ? 0 : 1) : each);
            run.layers.add(layer);
            if (op.throughStack()) {
                tools.lids(hole).forEach(run.closes::putIfAbsent);
            }
        } else if (run.done.isEmpty() || !run.done.getLast().equals(hole)) {
            run.done.add(hole);
        }
        return place;
    }

    // ---- jobs

    /**
     * The job of a run.
     *
     * @param parts as they are now: a part may have come to go on at another time
     */
    Job job(Run run, PartStates parts) {
        int count = run.left();
        List<HoleReading> holes = count > 0 ? run.open : run.done;
        Optional<Part> part = run.part.map(parts::part);
        String id = String.join(
                        ":",
                        run.op.code(),
                        name(run.group.code()),
                        run.row.map(r -> name(r.name())).orElse("-"),
                        part.map(p -> name(p.name())).orElse("-"))
                + (run.row.isPresent() && run.number > 0 ? ":" + run.number : "");
        return new Job(
                id,
                run.op,
                run.op.code(),
                Optional.of(ref.assembly()),
                Optional.of(new Job.Place(ref.face(), run.group, run.row, holes, List.copyOf(run.layers))),
                count > 0 ? count : holes.size(),
                part,
                run.group.page(),
                run.temporary == 0 ? run.setup : run.setup.saying("temporary bolts come out: " + run.temporary),
                count > 0 ? run.minutes : new Minutes(0, 0, 0, true),
                run.people,
                count == 0,
                "");
    }

    /** A name as it stands in a job's id. */
    static String name(String name) {
        return name.replace(':', '_');
    }
}
