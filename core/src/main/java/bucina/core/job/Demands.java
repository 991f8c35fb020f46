package bucina.core.job;

import bucina.core.guard.Bays;
import bucina.core.hold.Held;
import bucina.core.hold.Holds;
import bucina.core.part.PartTask;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.OwnJob;
import bucina.core.plan.OwnOrder;
import bucina.core.plan.Part;
import bucina.core.stack.HoleReading;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/*
 * Design. First it is gathered what is open at each part; from that follow the moves; then every job gets its number;
 * then the demands are laid between numbers, rule by rule.
 */

/** Lays the demands of P1 to P11 between the jobs of a build. */
final class Demands {

    /** Done with the part off: P2. Cleaning goes with priming. */
    private static final Set<PartTask> AT_BENCH = EnumSet.of(
            PartTask.DEBURR_EDGES, PartTask.DEBURR_OPENINGS, PartTask.CLEAN, PartTask.PRIME, PartTask.CORNER_RELIEF);
    /** Before the first hole is drilled: P7. */
    private static final Set<PartTask> STRAIGHTENING = EnumSet.of(PartTask.FLANGE_ANGLES, PartTask.FLUTE);

    private final Around around;
    private final List<FaceJobs> faces;
    private final Holds waits;
    private final Bays bays;
    private final LocalDate today;
    private final Moves moves;
    private final PartJobs partJobs;
    private final List<Job> jobs = new ArrayList<>();
    private final List<List<Hold>> holds = new ArrayList<>();
    private final Edges edges = new Edges();
    private final Map<Id.Part, Map<Op, Integer>> moved = new HashMap<>();
    private final Map<Id.Part, Map<String, Integer>> tasks = new HashMap<>();
    private final Map<Id.Own, Integer> owns = new HashMap<>();
    /** Parts with holes that owe primer. */
    private final Set<Id.Part> primed = new HashSet<>();

    private final Map<Run, Integer> runs = new IdentityHashMap<>();

    Demands(Around around, List<FaceJobs> faces, Holds waits, Bays bays, LocalDate today) {
        this.bays = bays;
        this.today = today;
        this.around = around;
        this.faces = faces;
        this.waits = waits;
        this.moves = new Moves(around);
        this.partJobs = new PartJobs(around, moves);
    }

    Jobs jobs() {
        gather();
        List<Part> parts = around.build().parts().stream()
                .sorted(Comparator.comparing(Part::fittingOrder))
                .toList();
        parts.forEach(this::partJobs);
        for (FaceJobs face : faces) {
            for (Run run : face.runs()) {
                runs.put(
                        run,
                        add(
                                face.job(run, around.parts()),
                                run.hold.map(List::of).orElse(List.of())));
            }
        }
        around.build().workshop().jobs().forEach(this::own);
        parts.forEach(this::straightened);
        for (FaceJobs face : faces) {
            face.chains().forEach(c -> hole(face, c));
            new BuriedDemands(around, moved, edges).lay(face, n -> place(face, n));
            new PlateDemands(around, face, n -> place(face, n), p -> move(p, Op.FIT), edges).lay();
        }
        new LateDemands(faces, runs, edges).lay(owns, around.holds().reviews());
        around.build().workshop().orders().forEach(this::said);
        int nodes = new BayDemands(around, faces, runs, owns, edges).lay(jobs, p -> move(p, Op.ON), bays);
        Map<Integer, Integer> then = new WetDemands(around, faces, runs, edges, jobs).lay(holds);
        Map<Id.Bay, Id.Part> last = new HashMap<>();
        around.build()
                .workshop()
                .bays()
                .forEach(b -> bays.open(b).stream().reduce((x, y) -> y).ifPresent(p -> last.put(b.id(), p.id())));
        return new Jobs(
                around, faces, jobs, holds, edges.all(), nodes, then, new Jobs.Asked(new Object(), today, last));
    }

    // ---- the jobs

    /** What is open at the parts. */
    private void gather() {
        for (FaceJobs face : faces) {
            for (FaceJobs.Chain chain : face.chains()) {
                chain.hole().layers().stream().map(Layer::part).distinct().forEach(moves::set);
                for (int i = 0; i < chain.hole().layers().size(); i++) {
                    Id.Part part = chain.hole().layers().get(i).part();
                    for (int step : chain.sheets().get(i)) {
                        if (step < 0) {
                            primed.add(part);
                        }
                        Op op = step >= 0 ? face.runs().get(step).op : Op.TASK;
                        if (step >= 0 && face.runs().get(step).hold.isPresent()) {
                            // For what waits for something else no part goes on or comes off yet.
                            continue;
                        }
                        if (op.drills()) {
                            chain.hole().layers().forEach(l -> moves.drilled(l.part()));
                        } else if (!op.throughStack()) {
                            moves.bench(part);
                        }
                    }
                }
            }
        }
        for (Part part : around.build().parts()) {
            around.parts().owed(part.id()).stream()
                    .flatMap(o -> PartTask.of(o.task()).stream())
                    .filter(AT_BENCH::contains)
                    .forEach(t -> moves.bench(part.id()));
        }
    }

    private int add(Job job, List<Hold> why) {
        jobs.add(job);
        holds.add(why);
        return jobs.size() - 1;
    }

    private void partJobs(Part part) {
        List<Hold> away = HoleHolds.away(part).map(List::of).orElse(List.of());
        Map<String, Integer> own = new HashMap<>();
        for (Job job : partJobs.tasks(part)) {
            int place = add(job, job.done() ? List.of() : away);
            if (!job.done()) {
                own.put(job.word(), place);
            }
        }
        if (primed.contains(part.id()) && !own.containsKey(PartTask.PRIME.code())) {
            own.put(PartTask.PRIME.code(), add(partJobs.task(part, PartTask.PRIME.code(), false), away));
        }
        tasks.put(part.id(), own);
        Map<Op, Integer> round = new HashMap<>();
        if (moves.fit(part)) {
            round.put(Op.FIT, add(partJobs.move(part, Op.FIT), away));
        }
        if (moves.off(part)) {
            round.put(Op.OFF, add(partJobs.move(part, Op.OFF), List.of()));
        }
        if (moves.stay(part)) {
            round.put(Op.ON, add(partJobs.move(part, Op.ON), away));
        }
        moved.put(part.id(), round);
    }

    private void own(OwnJob own) {
        owns.put(own.id(), add(partJobs.own(own), List.of()));
    }

    /** P11, and what is put off: of jobs that are still open. */
    private void said(OwnOrder order) {
        for (int i = 0; i < jobs.size(); i++) {
            if (!named(i, order.job())) {
                continue;
            }
            if (order.until().filter(today::isBefore).isPresent()) {
                List<Hold> more = new ArrayList<>(holds.get(i));
                more.add(new Hold("P9", "not before " + order.until().get() + ": " + order.reason()));
                holds.set(i, List.copyOf(more));
            }
            for (int k = 0; k < jobs.size(); k++) {
                if (named(k, order.before())) {
                    edges.add(i, k, "P11", "you said so: " + order.reason());
                }
            }
        }
    }

    private boolean named(int job, String id) {
        return !jobs.get(job).done() && jobs.get(job).id().equals(id);
    }

    // ---- the demands of a part

    private int move(Id.Part part, Op op) {
        return moved.getOrDefault(part, Map.of()).getOrDefault(op, -1);
    }

    private int task(Id.Part part, PartTask task) {
        return tasks.getOrDefault(part, Map.of()).getOrDefault(task.code(), -1);
    }

    private void straightened(Part part) {
        Id.Part id = part.id();
        String name = part.name();
        int fit = move(id, Op.FIT);
        int off = move(id, Op.OFF);
        int on = move(id, Op.ON);
        edges.add(fit, off, "P2", name + " goes on before it comes off");
        edges.add(off, on, "P2", name + " comes off before it goes on to stay");
        edges.add(
                task(id, PartTask.FLANGE_ANGLES),
                task(id, PartTask.FLUTE),
                "P7",
                "turning the flanges of " + name + " undoes its flutes");
        for (PartTask task : STRAIGHTENING) {
            edges.add(task(id, task), fit, "P7", name + " is straight before the first hole is drilled through it");
            edges.add(task(id, task), on, "P7", name + " is straight before it goes on to stay");
        }
        for (PartTask task : AT_BENCH) {
            boolean prime = task == PartTask.PRIME || task == PartTask.CLEAN;
            edges.add(off, task(id, task), "P2", task.word() + ": with " + name + " off");
            edges.add(
                    task(id, task),
                    on,
                    prime ? "P8" : "P2",
                    prime
                            ? name + " is primed before it is on for good"
                            : task.word() + ": before " + name + " goes on to stay");
            if (task != PartTask.PRIME) {
                edges.add(
                        task(id, task),
                        task(id, PartTask.PRIME),
                        "P8",
                        "metal of " + name + " is cut before it is primed");
            }
        }
        int trim = task(id, PartTask.TRIM);
        edges.add(
                trim,
                task(id, PartTask.DEBURR_EDGES),
                "P7",
                "the edge of " + name + " is trimmed before it is deburred");
        edges.add(trim, task(id, PartTask.PRIME), "P8", "metal of " + name + " is cut before it is primed");
        edges.add(trim, on, "P7", name + " is trimmed before it goes on to stay");
    }

    // ---- the demands of a hole

    private int place(FaceJobs face, int run) {
        return Objects.requireNonNull(runs.get(face.runs().get(run)));
    }

    private void hole(FaceJobs face, FaceJobs.Chain chain) {
        HoleReading hole = chain.hole();
        int set = place(face, chain.set());
        for (int i = 0; i < hole.layers().size(); i++) {
            sheet(face, hole, hole.layers().get(i), chain.sheets().get(i), set);
        }
        for (Layer layer : hole.layers()) {
            on(layer.part(), set, "set");
        }
        lap(hole, set);
    }

    /** The chain of P1 in one sheet, with what P2, P7 and P8 say of its part. */
    private void sheet(FaceJobs face, HoleReading hole, Layer layer, List<Integer> steps, int set) {
        Part part = around.parts().part(layer.part());
        int free = -1;
        int last = -1;
        Op lastOp = Op.SET;
        for (int step : steps) {
            int job = step < 0 ? task(part.id(), PartTask.PRIME) : place(face, step);
            Op op = step < 0 ? Op.TASK : face.runs().get(step).op;
            if (op == Op.TASK) {
                // What is held is not waited for, but what came before it is.
                edges.add(free, job, "P8", () -> part.name() + " is drilled, deburred and dressed before it is primed");
            } else {
                String was = lastOp.word();
                edges.add(last, job, "P1", () -> was + " before " + op.word() + ", at the same holes");
                around(hole, part, job, op);
            }
            last = job;
            lastOp = op;
            free = holds.get(job).isEmpty() ? job : free;
        }
        edges.add(
                last,
                set,
                lastOp == Op.TASK ? "P8" : "P1",
                lastOp == Op.TASK
                        ? part.name() + " is primed before it is riveted"
                        : lastOp.word() + " before the fastener is set");
    }

    /** What is held is not waited for: it holds what needs it, and only that. */
    private void around(HoleReading hole, Part part, int job, Op op) {
        boolean held = !holds.get(job).isEmpty();
        if (op == Op.CLEAR) {
            hole.layers().forEach(l -> on(l.part(), job, "cleared"));
        } else if (op.throughStack()) {
            for (Layer layer : hole.layers()) {
                Part other = around.parts().part(layer.part());
                edges.add(
                        move(other.id(), Op.FIT),
                        job,
                        "P3",
                        () -> other.name() + " shares these holes: it is on before they are drilled");
                edges.add(
                        held ? -1 : job,
                        move(other.id(), Op.OFF),
                        "P2",
                        () -> "holes are drilled with " + other.name() + " on, before it comes off");
                for (PartTask task : STRAIGHTENING) {
                    edges.add(
                            task(other.id(), task),
                            job,
                            "P7",
                            () -> other.name() + " is straight before the first hole is drilled through it");
                }
                edges.add(
                        held ? -1 : job,
                        task(other.id(), PartTask.TRIM),
                        "P7",
                        () -> other.name() + " is trimmed once its holes are drilled");
            }
        } else if (!moves.stays(part)) {
            edges.add(move(part.id(), Op.OFF), job, "P2", () -> op.word() + " with " + part.name() + " off");
            edges.add(
                    held ? -1 : job,
                    move(part.id(), Op.ON),
                    "P2",
                    () -> op.word() + " before " + part.name() + " goes on to stay");
        }
    }

    /** Cleared and set with every sheet on. */
    private void on(Id.Part part, int set, String what) {
        String name = around.parts().part(part).name();
        int stay = move(part, Op.ON);
        edges.add(
                stay >= 0 ? stay : move(part, Op.FIT),
                set,
                "P2",
                () -> name + " is on before a hole through it is " + what);
    }

    /** A lap that must be lifted stays open until what slips under it is in. */
    private void lap(HoleReading hole, int set) {
        Optional<Held> held = waits.of(hole).filter(h -> h.lap().isPresent());
        held.ifPresent(h -> h.parts().stream()
                .flatMap(name -> around.parts().named(name).stream())
                .forEach(p -> {
                    int stay = move(p.id(), Op.ON);
                    edges.add(
                            stay >= 0 ? stay : move(p.id(), Op.FIT),
                            set,
                            "P3",
                            h.lap().orElseThrow() + " is lifted here for " + p.name());
                }));
    }
}
