package bucina.core.guard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.Plans;
import bucina.core.hold.Holds;
import bucina.core.log.CloseOut;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Taken;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Gaging;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.RunThrough;
import bucina.core.stack.Derivation;
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
    void mandrels_are_counted_out_as_many_as_were_pulled_inside_and_what_is_asked_for_is_there() {
        Bay asking = new Bay(
                new Id.Bay(900),
                "Nose bay",
                List.of(new Id.Part(6)),
                Set.of(),
                "",
                List.of("the bolts"),
                List.of("rags"));
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
