package bucina.core.hand;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.Plans;
import bucina.core.log.Disposition;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Row;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What the first hand's log says at the hole of the other hand. */
class FirstHandTest {

    private final Build first = Plans.build(6);
    private final Assembly left = first.assemblies().getFirst();
    private final Build both = Mirror.add(first, left.id());
    private final Group group = left.faces().getFirst().groups().getFirst();

    private Work.LoggedHole hole(int n) {
        Row row = group.rows().getFirst();
        Hole hole = row.holes().get(n);
        return new Work.LoggedHole(hole.id(), row.label(hole));
    }

    private Logbook log() {
        Work work = new Work(
                group.id(),
                group.code(),
                IntStream.range(0, 4).mapToObj(this::hole).toList(),
                4,
                "MS20470AD4-4",
                Optional.of(Length.in(.25)),
                "A",
                LocalDateTime.parse("2026-11-20T10:00"),
                10,
                new Work.Setup("Squeezer with 3 in yoke", Optional.of(Length.in(.151)), Optional.empty()),
                List.of(),
                List.of(new Work.Reject(hole(1).label(), 1, Disposition.REPLACED, "folded over")),
                "",
                "the yoke only just clears the rib",
                List.of());
        return Logbook.EMPTY.plus(LogEntry.Draft.install(work).numbered(1, Instant.EPOCH));
    }

    private Id.Hole mirrored(int n) {
        Assembly right = both.assemblies().getLast();
        return right.faces()
                .getFirst()
                .groups()
                .getFirst()
                .rows()
                .getFirst()
                .holes()
                .get(n)
                .id();
    }

    @Test
    void at_the_mirrored_hole_it_says_the_tool_the_minutes_and_what_went_wrong() {
        String words = FirstHand.of(both, log(), mirrored(1)).orElseThrow().words(Unit.INCH);
        assertThat(words)
                .isEqualTo("First hand, " + hole(1).label() + ": MS20470AD4-4 with Squeezer with 3 in yoke, gap"
                        + " .151 in; 4 in 10 min, 2.5 each; 1 rejected; this one was drilled out, same rivet:"
                        + " folded over; \"the yoke only just clears the rib\".");
        assertThat(FirstHand.of(both, log(), mirrored(0)).orElseThrow().words(Unit.INCH))
                .contains("1 rejected")
                .doesNotContain("this one");
    }

    @Test
    void nothing_is_said_of_what_was_not_set_or_follows_no_other_hand() {
        assertThat(FirstHand.of(both, log(), mirrored(5))).isEmpty();
        assertThat(FirstHand.of(both, log(), hole(1).id())).isEmpty();
    }
}
