package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.batch.Mixing;
import bucina.core.batch.Pace;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.DunlinHistory;
import bucina.core.log.Logbook;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.plan.Batch;
import bucina.core.plan.Build;
import bucina.core.plan.Compound;
import bucina.core.plan.Id;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class MixingTest {

    private static final Instant AT = Instant.parse("2026-11-25T10:00:00Z");
    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build build = Dunlin.build(catalogue.rules());
    private final Derivation derivation = Derivation.of(build, catalogue);
    private final Snapshot snapshot = Snapshot.of(derivation, DunlinHistory.of(derivation));
    private final FaceReading lower =
            derivation.face(build.face("Lower skin").orElseThrow().face().id());

    private Mixing.Offer offer(boolean mating, String words) {
        return Mixing.offers(snapshot, lower, mating).stream()
                .filter(o -> o.words().equals(words))
                .findFirst()
                .orElseThrow();
    }

    private Batch batch(String name, List<Batch.Surface> covers) {
        Compound c = Mixing.known(build, catalogue).stream()
                .filter(k -> k.name().equals(name))
                .findFirst()
                .orElseThrow();
        return Mixing.mixed(build, c, AT, ZoneOffset.UTC, covers)
                .workshop()
                .batches()
                .getLast();
    }

    @Test
    void whole_sheets_and_places_where_sheets_touch_are_offered_what_is_ready_first_and_what_is_closed_last() {
        List<Mixing.Offer> sheets = Mixing.offers(snapshot, lower, false);
        assertThat(sheets)
                .hasSize(lower.face().layers().size())
                .allSatisfy(o -> assertThat(o.surfaces()).hasSize(2));
        List<Mixing.Offer> touching = Mixing.offers(snapshot, lower, true);
        assertThat(touching.getLast().state()).isEqualTo("riveted up");
        List<Integer> order = touching.stream()
                .map(o -> o.ready() ? 0 : o.state().equals("riveted up") ? 2 : 1)
                .toList();
        assertThat(order).isSorted();
        // 57.5 in² of flange on either side; 14 of its 48 holes are set.
        Mixing.Offer spar = offer(true, "Lower skin on Main spar flange");
        assertThat(Mixing.area(spar.area(), Unit.INCH)).isEqualTo("115 in²");
        assertThat(Mixing.area(spar.area(), Unit.MM)).isEqualTo("742 cm²");
        assertThat(spar.holes()).isEqualTo(48);
        assertThat(spar.state()).isEqualTo("34 to deburr and dress");
    }

    @Test
    void the_forecast_is_what_goes_in_at_the_slow_pace_and_names_the_hole_to_stop_at() {
        Batch sealant = batch(
                "Sealant class B-2",
                offer(true, "Lower skin on Main spar flange").surfaces());
        Mixing.Standing standing = Mixing.standing(snapshot, sealant, AT);
        assertThat(standing.waiting())
                .hasSize(34)
                .extracting(HoleReading::label)
                .startsWith("R1.15", "R1.16")
                .endsWith("R1.48");
        assertThat(standing.sheets()).isEqualTo("Lower skin, Main spar flange");
        // 50 minutes for 14: 3.57 each; one entry, so a third either way: 4.76 when slow. 37 minutes: 7 surely, 10
        // about.
        assertThat(standing.forecast(Optional.empty(), Duration.ofMinutes(37)))
                .contains("7 surely go in, about 10, of 34 that wait. Plan to R1.21, then look at it.");
        assertThat(standing.forecast(Optional.empty(), Duration.ofMinutes(4)))
                .contains("0 surely go in, about 1, of 34 that wait. Begin none.");
        assertThat(standing.forecast(Optional.of(Pace.given(.5)), Duration.ofMinutes(60)))
                .isEqualTo("At 0.5 min each (0.4 to 0.7, as you gave it) all 34 holes that "
                        + "wait go in: about 17 min.");
        // Where nothing was logged, nothing is made up.
        Snapshot fresh = Snapshot.of(derivation, Logbook.EMPTY);
        assertThat(Mixing.standing(fresh, sealant, AT).forecast(Optional.empty(), Duration.ofMinutes(60)))
                .isEqualTo("48 holes wait. How many go in is not known yet: "
                        + "log some with their minutes, or give minutes each.");
    }

    @Test
    void a_primer_marks_the_open_holes_of_its_sheets_and_a_batch_of_what_is_gone_says_so() {
        Batch primer =
                batch("Two-part epoxy primer", offer(false, "Rear spar flange").surfaces());
        assertThat(Mixing.standing(snapshot, primer, AT).toPrime())
                .hasSize(lower.readings().stream()
                        .filter(r -> r.layers().stream().anyMatch(l -> l.name().equals("Rear spar flange"))
                                && !snapshot.state(r).set())
                        .toList()
                        .size());
        Batch gone = batch("Two-part epoxy primer", List.of(new Batch.Surface(new Id.Layer(99_999), true)));
        assertThat(Mixing.standing(snapshot, gone, AT).sheets()).isEqualTo("no sheet that is still there");
    }

    @Test
    void the_times_used_last_are_offered_first() {
        Compound own = new Compound("Sealant class B-2", Compound.Kind.SEALANT, 0, 95, 0);
        Build mixed = Mixing.mixed(build, own, AT, ZoneOffset.UTC, List.of());
        assertThat(Mixing.known(mixed, catalogue))
                .startsWith(own)
                .filteredOn(c -> c.name().equals("Sealant class B-2"))
                .hasSize(1);
        assertThat(Mixing.source(own, catalogue)).isEqualTo("your own times; the can governs");
        assertThat(Mixing.source(Mixing.known(build, catalogue).getLast(), catalogue))
                .contains("AMS-S-8802");
        Batch.Surface none = new Batch.Surface(new Id.Layer(1), false);
        assertThat(Mixing.changed(mixed, new Id.Batch(7), b -> b.ended(AT))).isSameAs(mixed);
        assertThat(none.far()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"45, 45", "0, 0", "1:30, 90", "2 h, 120", "2h 5, 125", "90 min, 90", "1 h 05 min, 65"})
    void minutes_are_read_as_people_write_them(String text, int minutes) {
        assertThat(Mixing.minutes("Life", text)).isEqualTo(minutes);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "soon", "-5", "1.5", "1:2:3", "999999", "half"})
    void what_is_no_time_is_refused_with_an_example(String text) {
        assertThatThrownBy(() -> Mixing.minutes("Life", text))
                .isInstanceOf(InputException.class)
                .hasMessage("Life \"" + text + "\" is no time in minutes: write it like 45, 1:30 or 2 h");
    }

    private static List<BatchWatch.Call> calls(BatchWatch watch, Batch batch, long minutes) {
        return watch.alarms(List.of(batch), AT.plus(Duration.ofMinutes(minutes))).stream()
                .map(BatchWatch.Alarm::call)
                .toList();
    }

    @Test
    void a_watch_calls_for_each_thing_once_it_is_due_until_it_was_seen_and_the_gravest_first() {
        Batch primer = batch("Two-part epoxy primer", List.of());
        BatchWatch watch = new BatchWatch();
        assertThat(calls(watch, primer, 29)).isEmpty();
        assertThat(calls(watch, primer, 30)).containsExactly(BatchWatch.Call.STIR, BatchWatch.Call.USE);
        watch.alarms(List.of(primer), AT.plus(Duration.ofMinutes(31))).forEach(watch::seen);
        assertThat(calls(watch, primer, 40)).isEmpty();
        Batch stirred = primer.stirred(AT.plus(Duration.ofMinutes(41)));
        assertThat(calls(watch, stirred, 70)).isEmpty();
        assertThat(calls(watch, stirred, 71)).containsExactly(BatchWatch.Call.STIR);
        assertThat(calls(watch, stirred, 455)).containsExactly(BatchWatch.Call.CLOSING, BatchWatch.Call.STIR);
        assertThat(calls(watch, stirred, 480)).containsExactly(BatchWatch.Call.OVER);
        // Another window has not seen what this one has.
        assertThat(calls(new BatchWatch(), primer, 40)).contains(BatchWatch.Call.USE);
    }
}
