package bucina.core.guard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.Plans;
import bucina.core.edit.PartEdits;
import bucina.core.hold.Holds;
import bucina.core.job.Job;
import bucina.core.job.JobDone;
import bucina.core.job.Jobs;
import bucina.core.log.CloseOut;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Taken;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.part.PartStates;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Gaging;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.RunThrough;
import bucina.core.plan.Standing;
import bucina.core.stack.Derivation;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What is listed before a bay is shut, and what signing it asks. */
class CloseOutTest extends OnBays {

    @Test
    void a_bay_is_signed_with_every_open_point_done_or_given_its_reason_and_a_cover_taken_off_opens_it_again() {
        Derivation box = box(Plans.UNIVERSAL, bay(6));
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> sign(box, List.of()))
                .withMessageContaining("Nose bay is not signed with points open and no reason: B-1: 2 not set");
        List<CloseOut.Left> reason = List.of(new CloseOut.Left("B-1: 2 not set", "reached from below"));
        sign(box, reason);
        add(box, work(21, "L-1", "MS20470AD4-4", "", 201));
        Logbook closed = log;
        log = log.plus(LogEntry.Draft.install(new Labour(
                        new Labour.OnPart(new Id.Part(6), "Lid", "off"), "", "M. Oake", NOW, 5, "", "", List.of()))
                .numbered(log.nextId(), AT));
        Bays bays = new Bays(box, log, new Holds(box, log).parts());
        assertThat(bays.signed(bay(6))).isEmpty();
        assertThat(new Bays(box, closed, new Holds(box, closed).parts()).signed(bay(6)))
                .isPresent();
        // What comes up after signing is no point that was left.
        log = closed.plus(
                LogEntry.Draft.install(work(20, "B-1", "AN4-6A", "", 101)).numbered(closed.nextId(), AT));
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> sign(box, reason))
                .withMessageContaining("B-1: 1 not torqued");
    }

    @Test
    void less_than_was_left_open_is_no_new_point_and_more_is() {
        Derivation box = box(Plans.UNIVERSAL, bay(6));
        sign(box, List.of(new CloseOut.Left("B-1: 2 not set", "reached from below")));
        log = log.plus(
                LogEntry.Draft.install(work(20, "B-1", "AN4-6A", "", 101)).numbered(log.nextId(), AT));
        assertThat(bays(box).shutAllTheSame()).isEmpty();
        // One of the two is in now; that it is not torqued is new.
        assertThat(shutting(box, 201)).contains("Lid closes Nose bay, and inside is open: B-1: 1 not torqued");
        log = log.plus(
                LogEntry.Draft.install(work(21, "L-1", "MS20470AD4-4", "", 201)).numbered(log.nextId(), AT));
        assertThat(bays(box).shutAllTheSame())
                .containsExactly("Nose bay is shut, and inside is open: B-1: 1 not torqued");
        BayPoints.Point one =
                new BayPoints.Point(BayPoints.Kind.FASTENER, "B-1", "B-1: 1 not set", List.of(new Id.Hole(102)));
        assertThat(one.within("B-1: 2 not set")).isTrue();
        assertThat(one.within("B-1: 1 not set")).isTrue();
        assertThat(one.within("B-1: 0 not set")).isFalse();
        assertThat(one.within("B-1: 2 not torqued")).isFalse();
        assertThat(one.within("B-11: 2 not set")).isFalse();
    }

    @Test
    void a_screwed_cover_taken_off_in_any_way_opens_its_bay_until_it_is_signed_anew() {
        Bay counting = counting();
        Derivation box = box(SCREW, counting);
        List<CloseOut.Left> left = List.of(new CloseOut.Left("B-1: 2 not set", "reached from below"));
        sign(box, left, new CloseOut.Counted("rags", 0, 3));
        add(box, work(21, "L-1", "MS27039-0806", "", 201, 202, 203));
        assertThat(bays(box).open(counting)).isEmpty();
        Build off = PartEdits.stands(box.build(), PartStates.of(box, log), new Id.Part(6), Standing.OFF);
        Build on = PartEdits.stands(off, PartStates.of(off), new Id.Part(6), Standing.DRY);
        for (Build build : List.of(off, on)) {
            Derivation then = Derivation.of(build, catalogue);
            Bay bay = build.workshop().bays().getFirst();
            assertThat(bays(then).signed(bay)).isEmpty();
            assertThat(bays(then).open(bay)).extracting(Part::name).containsExactly("Lid");
            assertThat(bays(then).points(bay)).contains("rags to count out");
            assertThat(shutting(then, 101)).isEmpty();
            assertThat(shutting(then, 203))
                    .hasValueSatisfying(w -> assertThat(w).startsWith("Lid closes Nose bay"));
        }
        Derivation again = Derivation.of(on, catalogue);
        LogEntry second = LogEntry.Draft.install(new Labour(
                        new CloseOut(bay(6).id(), "Nose bay", left, List.of(new CloseOut.Counted("rags", 0, 3))),
                        "",
                        "M. Oake",
                        NOW,
                        5,
                        "",
                        "",
                        List.of()))
                .numbered(log.nextId(), AT.plusSeconds(60));
        log = log.plus(second);
        assertThat(bays(again).signed(on.workshop().bays().getFirst())).contains(second);
        assertThat(bays(again).open(on.workshop().bays().getFirst())).isEmpty();
    }

    @Test
    void that_a_part_is_said_to_be_on_for_good_does_not_let_its_first_rivet_pass() {
        Derivation plain = box(Plans.UNIVERSAL, bay(6));
        Derivation box =
                Derivation.of(PartEdits.forGood(plain.build(), new Id.Part(6), new Id.Face(4), true), catalogue);
        assertThat(bays(box).open(bay(6))).isEmpty();
        assertThat(shutting(box, 201)).contains("Lid closes Nose bay, and inside is open: B-1: 2 not set");
    }

    private Bays bays(Derivation box) {
        return new Bays(box, log, new Holds(box, log).parts());
    }

    private Optional<String> shutting(Derivation box, long hole) {
        return bays(box).shutting(Set.of(new Id.Hole(hole)));
    }

    private static Bay counting() {
        Bay plain = bay(6);
        return new Bay(
                plain.id(), plain.name(), plain.closers(), Set.of(), "", List.of(), List.of("rags"), Optional.empty());
    }

    @Test
    void a_bushing_is_a_job_of_its_part_that_is_done_before_the_bay_is_shut() {
        Derivation box = asking(counting());
        LocalDate today = LocalDate.parse("2026-12-01");
        Jobs jobs = Jobs.of(box, log, new Holds(box, log), today);
        int bushing = jobs.place("fit the bushing for Line:Web");
        String shuts = jobs.all().stream()
                .map(Job::id)
                .filter(j -> j.startsWith("set:L-1:"))
                .findFirst()
                .orElseThrow();
        assertThat(jobs.comesBefore(bushing, jobs.place(shuts))).isPresent();
        assertThat(bays(box).points(counting())).contains("Line: bushing in Web to fit");
        JobDone.Said said = new JobDone.Said("M. Oake", NOW, 5, "", "");
        JobDone done = JobDone.of(jobs, jobs.job(bushing).id(), box, log, said, AT);
        log = log.plus(done.addition().draft().orElseThrow().numbered(log.nextId(), AT))
                .plusOnParts(done.addition().parts());
        assertThat(bays(box).points(counting())).noneMatch(p -> p.contains("bushing"));
        Jobs after = Jobs.of(box, log, new Holds(box, log), today);
        assertThat(after.job(after.place("fit the bushing for Line:Web")).done())
                .isTrue();
    }

    @Test
    void mandrels_are_counted_out_as_many_as_were_pulled_inside_and_what_is_asked_for_is_there() {
        Bay asking = new Bay(
                new Id.Bay(900),
                "Nose bay",
                List.of(new Id.Part(6)),
                Set.of(),
                "",
                List.of("the bolts"),
                List.of("rags"),
                Optional.empty());
        Derivation box = asking(asking);
        assertThat(new Bays(box, log, new Holds(box, log).parts()).points(asking))
                .containsExactly(
                        "B-1: 2 not set",
                        "Line: bushing in Web to fit",
                        "Line: does not go through Bracket",
                        "Horn to skin: not measured",
                        "photograph: the bolts",
                        "rags to count out");
        log = log.plus(LogEntry.Draft.install(new Labour(
                        new Taken(HORN, "Horn to skin", Length.in(.12).nanometres(), Gaging.In.LENGTH, false),
                        "",
                        "M. Oake",
                        NOW,
                        5,
                        "",
                        "",
                        List.of()))
                .numbered(log.nextId(), AT));
        assertThat(new Bays(box, log, new Holds(box, log).parts()).points(asking))
                .contains("Horn to skin: out of limits");
        List<CloseOut.Left> left = new Bays(box, log, new Holds(box, log).parts())
                .points(asking).stream()
                        .filter(p -> !p.startsWith("rags"))
                        .map(p -> new CloseOut.Left(p, "tried"))
                        .toList();
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> sign(box, left))
                .withMessageContaining("rags to count out");
        sign(box, left, new CloseOut.Counted("rags", 0, 3));
    }

    private static final Id.Gaging HORN = new Id.Gaging(960);

    /** The box with a clearance to measure and a line that runs through it. */
    private Derivation asking(Bay asking) {
        Derivation plain = box(Plans.UNIVERSAL, asking);
        Build build = plain.build();
        Gaging horn = new Gaging(
                HORN,
                "Horn to skin",
                Gaging.Kind.CLEARANCE,
                Gaging.In.LENGTH,
                Optional.empty(),
                Optional.of(Length.in(.125).nanometres()),
                Optional.empty(),
                Optional.of(asking.id()),
                "");
        RunThrough line = new RunThrough(
                new Id.Run(961),
                "Line",
                RunThrough.Kind.TUBE,
                Length.in(.25),
                Hand.NONE,
                Optional.of(asking.id()),
                List.of(
                        new RunThrough.Station(new Id.Part(1), Length.in(.5), Optional.of(Length.in(.3)), false),
                        new RunThrough.Station(new Id.Part(5), Length.in(.25), Optional.empty(), true)),
                "",
                false,
                "");
        return Derivation.of(build.withWorkshop(build.workshop().with(horn).with(line), 100_000), catalogue);
    }
}
