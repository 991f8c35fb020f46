package bucina.speed;

import bucina.core.dress.Dress;
import bucina.core.dress.Dressing;
import bucina.core.job.Demand;
import bucina.core.job.Job;
import bucina.core.job.Jobs;
import bucina.core.order.OrderOfWork;
import bucina.core.order.Ring;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Come;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.rule.HolesCome;
import bucina.core.rule.PrimeSchool;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/*
 * Design. The checker knows the handbook's section 14 and the plan, nothing of how jobs, demands and orders are worked
 * out: it goes through the steps one by one with a bench of its own (what is done at each hole of each sheet, which
 * part is on) and writes down what is broken. Of a step it takes what a person is told: what, at which holes.
 */

/** Goes through an order of work of a build on which nothing is set yet, and says what it breaks. */
public final class OrderChecker {

    private static final Set<String> STRAIGHT = Set.of("flange-angles", "flute");

    private final Derivation derivation;
    private final Build build;
    private final List<String> broken = new ArrayList<>();
    private final Set<String> done = new HashSet<>();
    private final Set<Id.Hole> set = new HashSet<>();
    private final Set<Id.Part> on = new HashSet<>();
    private final Map<Id.Hole, HoleReading> holes = new HashMap<>();
    private final Map<Id.Part, Set<String>> tasks = new HashMap<>();
    private final ReachChecker reach;
    /** Heads that are to be measured. */
    private final Set<Id.Hole> proved;

    private OrderChecker(Derivation derivation) {
        this.derivation = derivation;
        this.build = derivation.build();
        this.reach = new ReachChecker(derivation);
        this.proved = SampleChecker.heads(build);
        for (Build.FaceRef ref : build.faces()) {
            derivation
                    .face(ref.face().id())
                    .readings()
                    .forEach(h -> holes.put(h.hole().id(), h));
        }
        build.parts().stream()
                .filter(p -> p.standing() == Standing.DRY || p.standing() == Standing.ON)
                .forEach(p -> on.add(p.id()));
    }

    /** What an order breaks, one sentence each; none for an order that holds. */
    public static List<String> broken(Derivation derivation, Jobs jobs, OrderOfWork order) {
        OrderChecker checker = new OrderChecker(derivation);
        jobs.all().stream()
                .filter(j -> !j.done() && j.place().isEmpty() && j.part().isPresent())
                .filter(j -> !List.of("fit", "off", "on").contains(j.op().code()))
                .forEach(j -> checker.tasks
                        .computeIfAbsent(j.part().get().id(), p -> new HashSet<>())
                        .add(j.word()));
        checker.complete(order);
        checker.rings(jobs, order);
        for (int i = 0; i < order.steps().size(); i++) {
            if (!order.steps().get(i).waits()) {
                checker.step(order.steps().get(i).job());
            }
        }
        checker.broken.addAll(WetChecker.broken(order));
        return checker.broken;
    }

    private void fail(Job job, String why) {
        broken.add(job.id() + ": " + why);
    }

    // ---- nothing missing, nothing doubled

    private void complete(OrderOfWork order) {
        Map<String, Integer> found = new HashMap<>();
        Set<String> ids = new HashSet<>();
        for (OrderOfWork.Step step : order.steps()) {
            Job job = step.job();
            if (!ids.add(job.id())) {
                fail(job, "twice in the order");
            }
            job.place()
                    .ifPresent(p -> p.holes().forEach(h -> keys(job, h).forEach(k -> found.merge(k, 1, Integer::sum))));
        }
        for (HoleReading hole : holes.values()) {
            for (int i = 0; i < hole.layers().size(); i++) {
                for (String step : owed(hole, i)) {
                    if (!step.equals("prime")) {
                        once(found, key(hole, hole.layers().get(i), step));
                    }
                }
            }
            once(found, hole.hole().id() + "/set");
            after(hole).forEach(a -> once(found, hole.hole().id() + "/" + a));
        }
        for (Id.Hole head : proved) {
            once(found, head + "/prove");
        }
        long heads = found.keySet().stream().filter(k -> k.endsWith("/prove")).count();
        if (heads != proved.size()) {
            broken.add(heads + " heads are proved, the sample asks for " + proved.size());
        }
    }

    private void once(Map<String, Integer> found, String key) {
        if (found.getOrDefault(key, 0) != 1) {
            broken.add(key + " is in " + found.getOrDefault(key, 0) + " jobs");
        }
    }

    private static String key(HoleReading hole, Layer layer, String step) {
        return hole.hole().id() + "/" + layer.id() + "/" + step;
    }

    private List<String> keys(Job job, HoleReading hole) {
        String op = job.op().code();
        if (op.equals("set")
                || List.of("torque", "stripe", "wire", "pin", "prove").contains(op)) {
            return List.of(hole.hole().id() + "/" + op);
        }
        Set<Id.Layer> worked =
                job.place().orElseThrow().layers().stream().map(Layer::id).collect(Collectors.toSet());
        List<String> keys = new ArrayList<>();
        for (int i = 0; i < hole.layers().size(); i++) {
            Layer layer = hole.layers().get(i);
            if (worked.contains(layer.id()) && owed(hole, i).contains(op)) {
                keys.add(key(hole, layer, op));
            }
        }
        return keys;
    }

    // ---- what is owed, by the handbook

    private List<String> owed(HoleReading hole, int i) {
        Layer layer = hole.layers().get(i);
        Come come = layer.holes().of(hole.row().id());
        List<Dressing.Ply> plies = hole.solution().dressing().plies();
        Dress dress = i < plies.size() ? plies.get(i).dress() : Dress.PLAIN;
        boolean cleared = dress == Dress.DIMPLE && hole.solution().fastener() instanceof Fastener.PulledRivet;
        List<String> owed = new ArrayList<>();
        boolean led = hole.layers().stream()
                .anyMatch(l -> l.holes().of(hole.row().id()).state().there());
        if (come.state() == Come.State.BLANK && led) {
            owed.add("match");
        }
        boolean atSize = build.rules().holesCome() == HolesCome.FINAL
                || come.state() == Come.State.AT_SIZE
                || come.diameter()
                        .filter(d -> d.atLeast(hole.solution().hole()))
                        .isPresent();
        if (!cleared && !atSize) {
            owed.add("final");
        }
        if (build.rules().deburringMarked()) {
            owed.add("deburr");
        }
        if (dress == Dress.DIMPLE) {
            owed.add("dimple");
        }
        if (dress == Dress.COUNTERSINK) {
            owed.add("countersink");
        }
        if (cleared) {
            owed.add("clear");
        }
        if (build.rules().primeSchool() != PrimeSchool.NONE) {
            owed.add("prime");
        }
        return owed;
    }

    private static List<String> after(HoleReading hole) {
        return hole.solution().fastener().name().startsWith("AN3-") ? List.of("torque", "stripe") : List.of();
    }

    // ---- one step

    private void step(Job job) {
        String op = job.op().code();
        switch (op) {
            case "fit", "on" -> goesOn(job, op);
            case "off" -> on.remove(job.part().orElseThrow().id());
            case "match", "final", "ream", "clear" -> drilled(job, op);
            case "deburr", "dimple", "countersink" -> atBench(job, op);
            case "set" -> sets(job);
            case "torque", "stripe" -> bolts(job, op);
            case "prove" -> proves(job);
            default -> job.part().ifPresent(p -> task(job, p));
        }
    }

    private void goesOn(Job job, String op) {
        Part part = job.part().orElseThrow();
        if (!on.add(part.id())) {
            fail(job, "it is on already");
        }
        Set<String> open = tasks.getOrDefault(part.id(), Set.of());
        if (open.stream().anyMatch(STRAIGHT::contains)) {
            fail(job, "P7: it is not straight yet");
        }
        if (op.equals("on") && open.contains("prime")) {
            fail(job, "P8: it is not primed");
        }
    }

    private void drilled(Job job, String op) {
        for (HoleReading hole : job.place().orElseThrow().holes()) {
            for (Layer layer : hole.layers()) {
                if (!on.contains(layer.part())) {
                    fail(job, "P2: a sheet of " + hole.label() + " is not on");
                }
                if (!op.equals("clear")
                        && tasks.getOrDefault(layer.part(), Set.of()).stream().anyMatch(STRAIGHT::contains)) {
                    fail(job, "P7: a part it goes through is not straight");
                }
            }
            worked(job, hole, op);
        }
    }

    private void atBench(Job job, String op) {
        for (HoleReading hole : job.place().orElseThrow().holes()) {
            if (on.contains(job.part().orElseThrow().id())) {
                fail(job, "P2: its part is on");
            }
            worked(job, hole, op);
        }
    }

    /** P1: what comes before in the same sheet is done. */
    private void worked(Job job, HoleReading hole, String op) {
        if (set.contains(hole.hole().id())) {
            fail(job, "P1: " + hole.label() + " is set already");
        }
        for (int i = 0; i < hole.layers().size(); i++) {
            Layer layer = hole.layers().get(i);
            List<String> owed = owed(hole, i);
            if (job.place().orElseThrow().layers().contains(layer) && owed.contains(op)) {
                for (String before : owed.subList(0, owed.indexOf(op))) {
                    if (!done.contains(key(hole, layer, before))) {
                        fail(job, "P1: " + hole.label() + " in " + layer.name() + " lacks " + before);
                    }
                }
                done.add(key(hole, layer, op));
            }
        }
    }

    private void sets(Job job) {
        for (HoleReading hole : job.place().orElseThrow().holes()) {
            for (int i = 0; i < hole.layers().size(); i++) {
                Layer layer = hole.layers().get(i);
                if (!on.contains(layer.part())) {
                    fail(job, "P2: a sheet of " + hole.label() + " is not on");
                }
                for (String owed : owed(hole, i)) {
                    boolean primed = owed.equals("prime")
                            && !tasks.getOrDefault(layer.part(), Set.of()).contains("prime");
                    if (!primed && !done.contains(key(hole, layer, owed))) {
                        fail(job, "P1: " + hole.label() + " in " + layer.name() + " lacks " + owed);
                    }
                }
            }
            if (!set.add(hole.hole().id())) {
                fail(job, "set twice");
            }
            reach.broken(job, hole, on).ifPresent(why -> fail(job, why));
        }
        build.workshop().bays().forEach(b -> shut(job, b));
    }

    private void bolts(Job job, String op) {
        for (HoleReading hole : job.place().orElseThrow().holes()) {
            if (!set.contains(hole.hole().id())) {
                fail(job, "P1: " + hole.label() + " is not in");
            }
            if (op.equals("torque")) {
                reach.broken(job, hole, on).ifPresent(why -> fail(job, why));
            }
            if (op.equals("stripe") && !done.contains(hole.hole().id() + "/torque")) {
                fail(job, "P1: " + hole.label() + " is not torqued");
            }
            done.add(hole.hole().id() + "/" + op);
        }
    }

    private void proves(Job job) {
        for (HoleReading hole : job.place().orElseThrow().holes()) {
            if (!set.contains(hole.hole().id())) {
                fail(job, "P1: " + hole.label() + " is not in");
            }
            done.add(hole.hole().id() + "/prove");
        }
    }

    private void task(Job job, Part part) {
        if (!tasks.getOrDefault(part.id(), new HashSet<>()).remove(job.word())) {
            fail(job, "done twice, or not owed");
        }
        boolean off = List.of("deburr-edges", "deburr-openings", "clean", "prime", "corner-relief")
                .contains(job.word());
        if (off && on.contains(part.id())) {
            fail(job, "P2: its part is on");
        }
    }

    /** P4 and P10: the first fastener of what shuts a bay, with something open inside. */
    private void shut(Job job, Bay bay) {
        Set<Id.Part> closers = Set.copyOf(bay.closers());
        List<HoleReading> closing = holes.values().stream()
                .filter(h -> h.layers().stream().anyMatch(l -> closers.contains(l.part())))
                .filter(h -> h.solution().fastener().permanent())
                .toList();
        boolean now = job.place().orElseThrow().holes().stream().anyMatch(closing::contains);
        if (!now || done.contains("shut" + bay.id())) {
            return;
        }
        done.add("shut" + bay.id());
        for (HoleReading hole : holes.values()) {
            boolean inside = hole.layers().stream().noneMatch(l -> closers.contains(l.part()))
                    && hole.layers().stream().anyMatch(l -> inside(bay, l.part()));
            if (inside && !set.contains(hole.hole().id())) {
                fail(job, "P4: it shuts " + bay.name() + " and " + hole.label() + " inside is not set");
            }
            String id = hole.hole().id() + "/";
            if (inside && after(hole).stream().anyMatch(a -> !done.contains(id + a))) {
                fail(job, "P10: it shuts " + bay.name() + " and " + hole.label() + " inside is not torqued");
            }
            if (inside && proved.contains(hole.hole().id()) && !done.contains(id + "prove")) {
                fail(job, "P10: it shuts " + bay.name() + " and " + hole.label() + " inside is not proved");
            }
        }
    }

    private boolean inside(Bay bay, Id.Part part) {
        return bay.inside().isEmpty()
                ? !bay.closers().contains(part)
                : bay.inside().contains(part);
    }

    // ---- rings

    /** A ring is told where, and only where, taking away whatever waits for nothing leaves some. */
    private void rings(Jobs jobs, OrderOfWork order) {
        Set<String> left =
                jobs.all().stream().filter(j -> !j.done()).map(Job::id).collect(Collectors.toSet());
        boolean went = true;
        while (went) {
            went = left.removeIf(
                    id -> jobs.demands(jobs.place(id)).stream().map(Demand::job).noneMatch(left::contains));
        }
        if (left.isEmpty() != order.rings().isEmpty()) {
            broken.add(
                    left.size() + " jobs wait for one another, " + order.rings().size() + " rings are told");
        }
        order.rings().forEach(r -> round(jobs, r));
    }

    /** Each job of a ring is asked to come before the next, and the last before the first. */
    private void round(Jobs jobs, Ring ring) {
        List<Integer> round = ring.nodes().stream().filter(n -> n < jobs.size()).toList();
        for (int i = 0; i < round.size(); i++) {
            String before = jobs.job(round.get(i)).id();
            int then = round.get((i + 1) % round.size());
            if (jobs.demands(then).stream().noneMatch(d -> d.job().equals(before))) {
                broken.add("a ring is told, but nothing says " + before + " before "
                        + jobs.job(then).id());
            }
        }
    }
}
