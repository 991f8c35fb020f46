package bucina.desk.session;

import bucina.core.edit.PartEdits;
import bucina.core.evening.Tonight;
import bucina.core.job.Job;
import bucina.core.job.JobDone;
import bucina.core.job.Jobs;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Tightened;
import bucina.core.order.OrderOfWork;
import bucina.core.plan.Id;
import bucina.core.state.Snapshot;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * What is to be done tonight, worked out anew when asked, and the evening that is under way. Interface
 * thread only; the working out goes on aside.
 */
public final class Evening implements AutoCloseable {

    private static final String HOURS = "evening-hours";
    private static final String HELPER = "evening-helper";
    private static final String BEGUN = "evening-begun";

    private final Desk desk;
    private final Latest latest;
    private final ReadOnlyObjectWrapper<Optional<Planned>> planned = new ReadOnlyObjectWrapper<>(Optional.empty());
    private double hours;
    private boolean helper;
    private Optional<Id.Assembly> assembly = Optional.empty();
    private Optional<Instant> started = Optional.empty();
    private boolean writing;
    private List<Going> going;

    /**
     * A job of the evening that is under way.
     *
     * @param count how many holes of it, 0 for work on a part
     */
    private record Going(String id, int count) {

        String line() {
            return id + "\t" + count;
        }

        static Going of(String line) {
            String[] parts = line.split("\t", -1);
            return new Going(
                    parts[0], parts.length > 1 && parts[1].matches("\\d{1,6}") ? Integer.parseInt(parts[1]) : 0);
        }
    }

    /**
     * What was worked out.
     *
     * @param of       from what
     * @param assembly which is worked on; empty for all
     * @param jobs     every job
     * @param order    the open ones in order
     * @param tonight  what fits
     * @param since    what is new since the day before this one that the build was looked at; empty on the first
     */
    public record Planned(
            Snapshot of,
            Optional<Id.Assembly> assembly,
            Jobs jobs,
            OrderOfWork order,
            Tonight tonight,
            Optional<KnownJobs.Since> since) {}

    public Evening(Desk desk) {
        this.desk = desk;
        latest = desk.session().latest();
        hours = desk.prefs().text(HOURS).map(Evening::number).orElse(2.5);
        helper = desk.prefs().text(HELPER).filter("yes"::equals).isPresent();
        going = begun();
    }

    private static double number(String text) {
        return text.matches("\\d{1,2}(\\.\\d{1,2})?") ? Math.clamp(Double.parseDouble(text), .5, 24) : 2.5;
    }

    /** The evening that was under way when the program ended, if it was one of this build and not long ago. */
    private List<Going> begun() {
        String[] lines = desk.prefs().text(BEGUN).orElse("").split("\n", -1);
        boolean mine = lines.length > 2
                && lines[0].equals(desk.session().path().toAbsolutePath().toString())
                && Duration.between(Instant.parse(lines[1]), desk.session().instant())
                                .toHours()
                        < 12;
        return mine
                ? List.of(lines).subList(2, lines.length).stream()
                        .map(Going::of)
                        .toList()
                : List.of();
    }

    /** What is worked out; empty until it is for the first time. */
    public ReadOnlyObjectProperty<Optional<Planned>> plannedProperty() {
        return planned.getReadOnlyProperty();
    }

    /** How long the evening is, hours. */
    public double hours() {
        return hours;
    }

    /** True if somebody helps. */
    public boolean helper() {
        return helper;
    }

    /** Which assembly is worked on; empty for all. */
    public Optional<Id.Assembly> assembly() {
        return assembly;
    }

    /** Another evening. */
    public void wish(double lasts, boolean helped, Optional<Id.Assembly> of) {
        hours = Math.clamp(lasts, .5, 24);
        helper = helped;
        assembly = of;
        desk.prefs().keep(HOURS, Double.toString(hours));
        desk.prefs().keep(HELPER, helper ? "yes" : "no");
        ask();
    }

    /** Works it out anew; of wishes that come faster only the last. */
    public void ask() {
        Snapshot now = desk.session().snapshot();
        double asked = hours;
        boolean two = helper;
        LocalDate today = desk.session().today();
        Optional<Id.Assembly> of = assembly;
        Optional<Planned> before = planned.get();
        latest.ask(
                () -> {
                    Jobs jobs = Jobs.of(before.map(Planned::jobs), now.derivation(), now.log(), now.holds(), today);
                    Optional<OrderOfWork> known =
                            before.filter(b -> b.assembly().equals(of)).map(Planned::order);
                    OrderOfWork order = OrderOfWork.of(
                            jobs,
                            j -> of.isEmpty() || j.assembly().map(a -> a.id()).equals(of),
                            known,
                            before.map(Planned::jobs).orElse(jobs));
                    return new Planned(
                            now,
                            of,
                            jobs,
                            order,
                            Tonight.of(jobs, order, now.derivation(), now.log(), asked, two),
                            known(jobs, today));
                },
                made -> planned.set(Optional.of(made)),
                desk.session()::say);
    }

    private Optional<KnownJobs.Since> known(Jobs jobs, LocalDate today) {
        return new KnownJobs(desk.prefs().folder(), desk.session().path())
                .since(jobs.all().stream().filter(j -> !j.done()).map(Job::id).toList(), today);
    }

    // ---- under way

    /** True while an evening is under way. */
    public boolean underWay() {
        return !going.isEmpty() && now().isPresent();
    }

    /** Begins with what is planned, at a job of it. */
    public void begin(int at) {
        List<Tonight.Stint> stints =
                planned.get().map(p -> p.tonight().stints()).orElse(List.of());
        List<Going> all = new ArrayList<>(
                stints.stream().map(s -> new Going(s.job().id(), s.count())).toList());
        if (at > 0 && at < all.size()) {
            forward(all, at);
        }
        going = List.copyOf(all);
        started = Optional.empty();
        keep();
    }

    /** The one picked comes first, after what must come before it. */
    private void forward(List<Going> all, int at) {
        Jobs jobs = planned.get().orElseThrow().jobs();
        int picked = jobs.place(all.get(at).id);
        List<Going> first = new ArrayList<>(all.subList(0, at).stream()
                .filter(g -> jobs.comesBefore(jobs.place(g.id), picked).isPresent())
                .toList());
        first.add(all.get(at));
        all.removeAll(first);
        all.addAll(0, first);
    }

    private void keep() {
        List<String> lines = new ArrayList<>(List.of(
                desk.session().path().toAbsolutePath().toString(),
                desk.session().instant().toString()));
        going.forEach(g -> lines.add(g.line()));
        desk.prefs().keep(BEGUN, going.isEmpty() ? "" : String.join("\n", lines));
    }

    /** Ends it; what was done is in the logbook. */
    public void end() {
        going = List.of();
        started = Optional.empty();
        keep();
    }

    /** The job that is on: the first of the evening that is still open. */
    public Optional<Tonight.Stint> now() {
        return rest().stream().findFirst();
    }

    /** What is left of the evening: what is still open of it. */
    public List<Tonight.Stint> rest() {
        if (planned.get().isEmpty()) {
            return List.of();
        }
        Jobs jobs = planned.get().get().jobs();
        List<Going> open = going.stream()
                .filter(g -> jobs.has(g.id) && !jobs.job(jobs.place(g.id)).done())
                .toList();
        List<OrderOfWork.Step> steps = OrderOfWork.along(
                jobs, open.stream().map(g -> jobs.job(jobs.place(g.id))).toList());
        List<Tonight.Stint> rest = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            rest.add(Tonight.Stint.of(steps.get(i), Math.max(1, open.get(i).count)));
        }
        return rest;
    }

    /** How many jobs of the evening are left. */
    public int left() {
        return rest().size();
    }

    /** The first hole is begun: time runs. */
    public void start() {
        started = Optional.of(desk.session().instant());
    }

    /** True once the builder said that it is the right part. */
    public boolean running() {
        return started.isPresent();
    }

    /** Time does not run; the confirmation is asked for again. */
    public void pause() {
        started = Optional.empty();
    }

    /** Whole minutes on the job that is on, begun ones counted. */
    public int minutes() {
        return started.map(s ->
                        (int) ((Duration.between(s, desk.session().instant()).toSeconds() + 59) / 60))
                .orElse(0);
    }

    /**
     * The job that is on is done: its part stands otherwise, its holes are marked, the entry is written.
     *
     * @param because why something was done that is not ready; blank for no reason
     * @param note    may be blank
     * @param tightened how bolts were; empty for other work
     * @param then    told the entry once it is on the disk
     * @param refused told the sentence if it cannot be
     */
    public void done(
            String because,
            String note,
            Optional<Tightened> tightened,
            Consumer<LogEntry> then,
            Consumer<String> refused) {
        Optional<Tonight.Stint> on = now();
        Optional<Planned> from = planned.get();
        if (on.isEmpty() || from.isEmpty() || writing) {
            return;
        }
        writing = true;
        Consumer<String> not = sentence -> {
            writing = false;
            refused.accept(sentence);
        };
        Tonight.Stint stint = on.get();
        JobDone.Said said = new JobDone.Said(
                desk.prefs().who(), desk.session().now(), minutes(), because.strip(), note.strip(), tightened);
        Instant instant = desk.session().instant();
        Snapshot is = desk.session().snapshot();
        desk.session()
                .aside(
                        () -> done(from.get().jobs(), stint, is, said, instant),
                        made -> write(stint.job(), made, then, not),
                        not);
    }

    private static JobDone done(Jobs jobs, Tonight.Stint stint, Snapshot is, JobDone.Said said, Instant instant) {
        Job job = stint.job();
        Logbook log = is.log();
        return job.op().onHoles()
                ? JobDone.of(job, stint.holes(), stint.count(), is.derivation(), log, said, instant)
                : JobDone.of(jobs, job.id(), is.derivation(), log, said, instant);
    }

    private void write(Job job, JobDone made, Consumer<LogEntry> then, Consumer<String> refused) {
        Consumer<LogEntry> next = entry -> {
            writing = false;
            started = Optional.empty();
            going = going.stream().filter(g -> !g.id.equals(job.id())).toList();
            keep();
            then.accept(entry);
        };
        Runnable log = () -> desk.session().log(made.addition(), List.of(), next, refused);
        if (made.stands().isEmpty()) {
            log.run();
            return;
        }
        Id.Part part = made.stands().get().getKey();
        desk.session()
                .plan(
                        job.words(),
                        b -> PartEdits.stands(
                                b,
                                desk.session().snapshot().parts(),
                                part,
                                made.stands().get().getValue()),
                        log,
                        refused);
    }

    @Override
    public void close() {
        latest.drop();
    }
}
