package bucina.core.guard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.Plans;
import bucina.core.evening.Tonight;
import bucina.core.hold.Holds;
import bucina.core.job.Job;
import bucina.core.job.JobDone;
import bucina.core.job.Jobs;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.Tightened;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.order.OrderOfWork;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.stack.Derivation;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A web with a bracket bolted on inside a box, and a lid over it: riveted, or held by screws. */
class BaysTest extends OnBays {

    @Test
    void a_bolt_is_torqued_then_striped_and_only_once_it_is_in() {
        Derivation box = box(BOLT);
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> mark(box, Operation.TORQUED))
                .withMessageContaining("no bolt in");
        Jobs jobs = jobs(box);
        assertThat(before(jobs, "torque:B-1:R1:-")).containsExactly("P1 set:B-1:R1:-");
        assertThat(before(jobs, "stripe:B-1:R1:-")).containsExactly("P1 torque:B-1:R1:-");
        Job torque = jobs.job(jobs.place("torque:B-1:R1:-"));
        assertThat(torque.setup().die()).isEqualTo("7/16 in socket");
        assertThat(torque.setup().setting()).isEqualTo("50–70 in-lb + drag");
        add(box, work(20, "B-1", "AN4-6A", "", 101, 102));
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> mark(box, Operation.STRIPED))
                .withMessageContaining("R1.1 is not torqued, which comes before striped");
        mark(box, Operation.TORQUED);
        mark(box, Operation.STRIPED);
        assertThat(jobs(box).job(jobs(box).place("stripe:B-1:R1:-")).done()).isTrue();
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> pinned(box))
                .withMessageContaining("not pinned");
    }

    private void pinned(Derivation box) {
        Id.Hole hole = new Id.Hole(101);
        new MarkCheck(box, log)
                .accepted(List.of(new Mark(hole, new Id.Layer(11), Mark.Side.BOTH, Operation.PINNED, AT)), "");
    }

    @Test
    void what_was_done_to_a_bolt_is_gone_with_it() {
        Derivation box = box(BOLT);
        add(box, work(20, "B-1", "AN4-6A", "", 101, 102));
        mark(box, Operation.TORQUED);
        LogEntry open = LogEntry.Draft.replace(1, work(20, "B-1", "AN4-6A", "", 102), "R1.1 came out")
                .numbered(2, AT.plusSeconds(120));
        log = log.plus(open);
        log = log.plus(
                LogEntry.Draft.install(work(20, "B-1", "AN4-6A", "", 101)).numbered(3, AT.plusSeconds(180)));
        assertThat(Owed.openAfterSet(box.face(new Id.Face(3)).readings().getFirst(), log))
                .containsExactly(Operation.TORQUED, Operation.STRIPED);
        assertThat(Owed.openAfterSet(box.face(new Id.Face(3)).readings().getLast(), log))
                .containsExactly(Operation.STRIPED);
        Logbook read = Logbook.of(log.entries(), log.marks());
        assertThat(Owed.openAfterSet(box.face(new Id.Face(3)).readings().getFirst(), read))
                .containsExactly(Operation.TORQUED, Operation.STRIPED);
    }

    @Test
    void torque_drag_and_total_stand_in_the_entry_and_a_figure_off_the_table_wants_a_reason() {
        Derivation box = box(BOLT);
        add(box, work(20, "B-1", "AN4-6A", "", 101, 102));
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> accept(box, torqued(box, 80, "")))
                .withMessageContaining("a torque of 80 in-lb without the drag is not within 50 to 70 in-lb");
        accept(box, torqued(box, 50, ""));
        accept(box, torqued(box, 70, ""));
        accept(box, torqued(box, 80, "drawing calls for it"));
        Labour.Holes what = (Labour.Holes) ((Labour) torqued(box, 60, "")
                        .addition()
                        .draft()
                        .orElseThrow()
                        .deed()
                        .orElseThrow())
                .what();
        assertThat(what.sweeps().getFirst().tightened()).contains(new Tightened(60, 8));
        assertThat(what.words()).endsWith("60 + 8 drag = 68 in-lb");
    }

    private void accept(Derivation box, JobDone done) {
        new LogCheck(box, log).accept(done.addition().draft().orElseThrow(), NOW);
    }

    @Test
    void a_log_brought_in_has_no_bolt_torqued_that_was_never_in_nor_striped_before_it_is_torqued() {
        Derivation box = box(BOLT);
        Id.Hole hole = new Id.Hole(101);
        Mark torque = new Mark(hole, new Id.Layer(11), Mark.Side.BOTH, Operation.TORQUED, AT.plusSeconds(60));
        Mark stripe = new Mark(hole, new Id.Layer(11), Mark.Side.BOTH, Operation.STRIPED, AT.plusSeconds(90));
        LogEntry in = LogEntry.Draft.install(work(20, "B-1", "AN4-6A", "", 101)).numbered(1, AT);
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> brought(box, List.of(), torque))
                .withMessageContaining("R1.1 has no bolt in");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> brought(box, List.of(in), stripe))
                .withMessageContaining("R1.1 is not torqued, which comes before striped");
        assertThat(brought(box, List.of(in), torque, stripe).marks()).hasSize(2);
        // Out again since: what was done to it went with it.
        LogEntry out = LogEntry.Draft.withdraw(1, "wrong bolt").numbered(2, AT.plusSeconds(120));
        assertThat(brought(box, List.of(in, out), torque, stripe).marks()).hasSize(2);
    }

    private static Logbook brought(Derivation box, List<LogEntry> entries, Mark... marks) {
        return new BroughtLog(box, Logbook.of(entries, List.of(marks))).accepted("");
    }

    @Test
    void nuts_and_washers_are_laid_out_with_the_bolts() {
        Derivation box = box(BOLT);
        Jobs jobs = jobs(box);
        Tonight tonight = Tonight.of(jobs, OrderOfWork.of(jobs, j -> true), box, log, 3, true);
        // Five bolts AN4-6A: two in .25, three in .095 where the grip of .3125 is too long for three washers.
        assertThat(tonight.layOut().fasteners()).containsEntry("AN4-6A", 5);
        assertThat(tonight.layOut().hardware())
                .containsEntry("nut tension-lock 1/4-28", 5)
                .containsEntry("washer regular for 1/4-28", 4);
    }

    @Test
    void a_part_that_the_builder_says_is_on_for_good_has_shut_its_bay_and_one_without_holes_is_told() {
        Derivation open = box(Plans.UNIVERSAL, bay(6));
        Build said = open.build().with(part(6, "Lid", 3).with(Standing.ON));
        Derivation shut = Derivation.of(said, catalogue);
        Bay bay = said.workshop().bays().getFirst();
        assertThat(new Bays(open, log, new Holds(open, log).parts()).open(bay)).hasSize(1);
        assertThat(new Bays(shut, log, new Holds(shut, log).parts()).open(bay)).isEmpty();
        assertThat(new Bays(open, log, new Holds(open, log).parts()).unheld(bay))
                .isEmpty();
        Derivation bare = box(Plans.UNIVERSAL, bay(7));
        assertThat(new Bays(bare, log, new Holds(bare, log).parts()).unheld(bay(7)))
                .extracting(Part::name)
                .containsExactly("Cover");
    }

    private JobDone torqued(Derivation box, double torque, String because) {
        return JobDone.of(
                jobs(box),
                "torque:B-1:R1:-",
                box,
                log,
                new JobDone.Said("M. Oake", NOW.minusHours(1), 5, because, "", Optional.of(new Tightened(torque, 8))),
                AT.plusSeconds(60));
    }

    @Test
    void what_is_inside_comes_before_the_first_rivet_of_the_part_that_closes_it() {
        Derivation box = box(Plans.UNIVERSAL, bay(6));
        String close = "set:L-1:R2:-";
        assertThat(before(jobs(box), close)).contains("P4 set:B-1:R1:-", "P10 torque:B-1:R1:-", "P10 stripe:B-1:R1:-");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> add(box, work(21, "L-1", "MS20470AD4-4", "", 201)))
                .withMessageContaining("Lid closes Nose bay, and inside is open: B-1: 2 not set");
        add(box, work(20, "B-1", "AN4-6A", "", 101, 102));
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> add(box, work(21, "L-1", "MS20470AD4-4", "", 201)))
                .withMessageContaining("B-1: 2 not torqued");
        mark(box, Operation.TORQUED);
        mark(box, Operation.STRIPED);
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> add(box, work(21, "L-1", "MS20470AD4-4", "", 201)))
                .withMessageContaining("Lid closes Nose bay, and its close-out is not signed");
        sign(box, List.of());
        add(box, work(21, "L-1", "MS20470AD4-4", "", 201));
    }

    @Test
    void a_reason_closes_it_all_the_same_and_a_log_brought_in_needs_one_too() {
        Derivation box = box(Plans.UNIVERSAL, bay(6));
        Work bare = work(21, "L-1", "MS20470AD4-4", "", 201);
        Logbook brought = Logbook.EMPTY.plus(LogEntry.Draft.install(bare).numbered(1, AT));
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> new BroughtLog(box, brought).accepted(""))
                .withMessageContaining("Nose bay is shut, and inside is open: B-1: 2 not set");
        assertThat(new BroughtLog(box, brought).accepted("borescope later").entries())
                .hasSize(1);
        add(box, work(21, "L-1", "MS20470AD4-4", "the bolts are reached from below", 201));
        assertThat(jobs(box).has("set:B-1:R1:-")).isTrue();
    }

    @Test
    void a_screwed_cover_waits_with_its_last_screw_only() {
        Derivation box = box(SCREW, bay(6));
        add(box, work(21, "L-1", "MS27039-0806", "", 201, 202));
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> add(box, work(21, "L-1", "MS27039-0806", "", 203)))
                .withMessageContaining("closes Nose bay");
    }

    @Test
    void of_several_parts_that_close_a_bay_the_last_one_holds() {
        Derivation box = box(
                Plans.UNIVERSAL,
                new Bay(
                        new Id.Bay(900),
                        "Nose bay",
                        List.of(new Id.Part(6), new Id.Part(5)),
                        Set.of(new Id.Part(1)),
                        ""));
        add(box, work(21, "L-1", "MS20470AD4-4", "", 201));
        assertThat(new Bays(box, log, new Holds(box, log).parts())
                        .open(box.build().workshop().bays().getFirst()))
                .extracting(Part::name)
                .containsExactly("Bracket");
    }

    @Test
    void a_job_of_ones_own_on_a_part_inside_comes_before_it_is_shut() {
        Derivation plain = box(Plans.UNIVERSAL, bay(6));
        Build build = plain.build();
        Derivation box = Derivation.of(
                build.withWorkshop(
                        build.workshop()
                                .with(new OwnJob(
                                        new Id.Own(950),
                                        "Run the line",
                                        "",
                                        Optional.empty(),
                                        List.of(new Id.Part(5)),
                                        "")),
                        build.nextId()),
                catalogue);
        assertThat(before(jobs(box), "set:L-1:R2:-")).contains("P10 own:950");
        assertThat(new Bays(box, log, new Holds(box, log).parts()).points(bay(6)))
                .containsExactly("B-1: 2 not set", "Run the line");
    }
}
