package bucina.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.plan.Batch;
import bucina.core.plan.Build;
import bucina.core.plan.Compound;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.progress.Task;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Shapes;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BatchTest {

    private static final double IN2 = 25.4e6 * 25.4e6;
    private static final Instant MIXED = Instant.parse("2026-11-25T10:00:00Z");
    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build build = Dunlin.build(catalogue.rules());
    private final Derivation derivation = Derivation.of(build, catalogue);

    private static Batch batch(Compound.Kind kind, int induction, int life, int stir) {
        return Batch.mixed(new Id.Batch(1), new Compound("stuff", kind, induction, life, stir), MIXED, List.of());
    }

    private FaceReading face(String name) {
        return derivation.face(build.face(name).orElseThrow().face().id());
    }

    /**
     * Primer: 30 min induction, 8 h pot life, stirred each 30 min; a tenth of the life would be 48 min, but 30 is the
     * most that is called closing.
     */
    @ParameterizedTest
    @CsvSource({
        "-5, STANDING, 1800",
        "0, STANDING, 1800",
        "1799, STANDING, 1",
        "1800, READY, 27000",
        "26999, READY, 1801",
        "27000, CLOSING, 1800",
        "28799, CLOSING, 1",
        "28800, OVER, 0",
        "99999, OVER, 0"
    })
    void a_primer_stands_is_ready_closes_and_is_over_to_the_second(long seconds, BatchClock.Phase phase, long left) {
        BatchClock clock = BatchClock.at(batch(Compound.Kind.PRIMER, 30, 480, 30), MIXED.plusSeconds(seconds));
        assertThat(clock.phase()).isEqualTo(phase);
        assertThat(clock.left()).isEqualTo(Duration.ofSeconds(left));
    }

    /**
     * A sealant of two hours closes with its last tenth, 12 min; one of half an hour with the five minutes that are the
     * least.
     */
    @ParameterizedTest
    @CsvSource({"120, 107.99, READY", "120, 108, CLOSING", "30, 24.99, READY", "30, 25, CLOSING", "4, 0, CLOSING"})
    void a_sealant_closes_with_its_last_tenth_but_five_minutes_at_least(
            int life, double minutes, BatchClock.Phase phase) {
        assertThat(BatchClock.at(
                                batch(Compound.Kind.SEALANT, 0, life, 0),
                                MIXED.plusMillis(Math.round(minutes * 60_000)))
                        .phase())
                .isEqualTo(phase);
    }

    @Test
    void it_is_stirred_each_half_hour_from_the_last_time_and_not_once_it_is_over() {
        Batch primer = batch(Compound.Kind.PRIMER, 30, 480, 30);
        assertThat(BatchClock.at(primer, MIXED.plusSeconds(1799)).stirNow()).isFalse();
        assertThat(BatchClock.at(primer, MIXED.plusSeconds(1800)).stirNow()).isTrue();
        Batch stirred = primer.stirred(MIXED.plusSeconds(2000));
        assertThat(BatchClock.at(stirred, MIXED.plusSeconds(2000)).stir()).contains(Duration.ofMinutes(30));
        assertThat(BatchClock.at(stirred, MIXED.plusSeconds(3799)).stirNow()).isFalse();
        assertThat(BatchClock.at(stirred, MIXED.plusSeconds(3800)).stirNow()).isTrue();
        assertThat(BatchClock.at(stirred, MIXED.plusSeconds(28_800)).stir()).isEmpty();
        assertThat(BatchClock.at(batch(Compound.Kind.SEALANT, 0, 120, 0), MIXED.plusSeconds(7000))
                        .stir())
                .isEmpty();
    }

    @Test
    void times_that_cannot_be_are_refused_with_the_value_and_an_example() {
        assertThatThrownBy(() -> batch(Compound.Kind.PRIMER, 0, 0, 0))
                .hasMessage("pot life must be 1 to 10080 minutes, like 120, was 0");
        assertThatThrownBy(() -> batch(Compound.Kind.SEALANT, 0, 20_000, 0))
                .hasMessageContaining("work life must be 1 to 10080 minutes, like 120, was 20000");
        assertThatThrownBy(() -> batch(Compound.Kind.PRIMER, 60, 60, 0))
                .hasMessageContaining("induction must be 0 up to less than its life of 60");
        assertThatThrownBy(() -> batch(Compound.Kind.PRIMER, 0, 60, -1)).hasMessageContaining("time between stirrings");
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0:00 min",
        "247, 4:07 min",
        "299, 4:59 min",
        "300, 5 min",
        "301, 6 min",
        "3540, 59 min",
        "3541, 1 h 00 min",
        "4320, 1 h 12 min"
    })
    void a_time_is_written_so_that_it_never_promises_more_than_there_is_by_a_minute(long seconds, String words) {
        assertThat(BatchClock.words(Duration.ofSeconds(seconds))).isEqualTo(words);
    }

    private static LogEntry entry(int id, Group group, int count, int minutes) {
        return new LogEntry(
                id,
                MIXED,
                Optional.empty(),
                Optional.of(new Work(
                        group.id(),
                        group.code(),
                        List.of(),
                        count,
                        "MS20426AD3-3.5",
                        Optional.empty(),
                        "M",
                        LocalDateTime.parse("2026-11-20T10:00"),
                        minutes,
                        Work.Setup.NONE,
                        List.of(),
                        List.of(),
                        "",
                        "",
                        List.of())),
                "");
    }

    /**
     * By hand: 10 at 1.0, 20 at 1.5, 10 at 2.0, 10 at 3.0 min each. The 10th of 50 takes 1.0, the 25th 1.5, the 40th
     * 2.0.
     */
    @Test
    void a_pace_is_the_median_over_fasteners_with_the_fifth_at_either_end() {
        Group group = build.group("US-1").orElseThrow().group();
        Logbook log = Logbook.of(
                List.of(
                        entry(1, group, 10, 20),
                        entry(2, group, 20, 30),
                        entry(3, group, 10, 10),
                        entry(4, group, 10, 30),
                        entry(5, group, 40, 0)),
                List.of());
        Pace pace = Pace.of(log, build, group).orElseThrow();
        assertThat(List.of(pace.fast(), pace.usual(), pace.slow())).containsExactly(1.0, 1.5, 2.0);
        assertThat(pace.count()).isEqualTo(50);
        assertThat(pace.of()).isEqualTo("US-1");
        // 37 min: 18 at 2.0, 24 at 1.5, 37 at 1.0; to the last second.
        assertThat(pace.fits(Duration.ofMinutes(37))).isEqualTo(new Pace.Fits(18, 24, 37));
        assertThat(pace.fits(Duration.ofSeconds(119))).isEqualTo(new Pace.Fits(0, 1, 1));
        assertThat(pace.fits(Duration.ofMinutes(-5))).isEqualTo(new Pace.Fits(0, 0, 0));
    }

    @Test
    void one_entry_says_little_a_corrected_one_nothing_and_a_group_without_any_takes_the_pace_of_its_like() {
        Group skin = build.group("US-1").orElseThrow().group();
        Group web = build.group("MW-2").orElseThrow().group();
        LogEntry first = entry(1, skin, 10, 12);
        Pace one = Pace.of(Logbook.of(List.of(first), List.of()), build, skin).orElseThrow();
        assertThat(one.usual()).isEqualTo(1.2);
        assertThat(one.slow()).isCloseTo(1.6, within(.001));
        assertThat(one.fast()).isCloseTo(.9, within(.001));
        assertThat(Pace.of(
                                Logbook.of(List.of(first), List.of()),
                                build,
                                build.group("LS-2").orElseThrow().group())
                        .orElseThrow()
                        .of())
                .isEqualTo("MS20426AD3");
        assertThat(Pace.of(Logbook.of(List.of(first), List.of()), build, web)
                        .orElseThrow()
                        .of())
                .isEqualTo("solid rivets");
        assertThat(Pace.of(
                                Logbook.of(List.of(first), List.of()),
                                build,
                                build.group("LS-8").orElseThrow().group())
                        .orElseThrow()
                        .of())
                .isEqualTo("all fasteners");
        Logbook withdrawn = Logbook.of(
                List.of(first, new LogEntry(2, MIXED, Optional.of(1), Optional.empty(), "wrong")), List.of());
        assertThat(Pace.of(withdrawn, build, skin)).isEmpty();
    }

    /**
     * Of n fasteners at random paces: the sure count never beats the usual, nor that the most, and more time never lets
     * in fewer.
     */
    @Test
    void more_time_never_lets_in_fewer() {
        Random random = new Random(5);
        for (int i = 0; i < 2000; i++) {
            Pace pace = Pace.given(.1 + random.nextDouble() * 10);
            Duration time = Duration.ofSeconds(random.nextInt(20_000));
            Pace.Fits fits = pace.fits(time);
            assertThat(fits.sure()).isLessThanOrEqualTo(fits.usual());
            assertThat(fits.usual()).isLessThanOrEqualTo(fits.most());
            assertThat(fits.sure() * pace.slow()).isLessThanOrEqualTo(time.toMillis() / 60_000.0 + 1e-6);
            assertThat(pace.fits(time.plusSeconds(random.nextInt(500))).sure()).isGreaterThanOrEqualTo(fits.sure());
        }
    }

    private Mating mating(String face, String near, String far) {
        return Mating.of(face(face)).stream()
                .filter(m -> m.near().name().equals(near) && m.far().name().equals(far))
                .findFirst()
                .orElseThrow();
    }

    /** By hand: the spar flange is 57.5 by 1 in under the skin of the lower face, and nothing lies between. */
    @Test
    void sheets_touch_where_they_overlap_with_nothing_between() {
        Mating spar = mating("Lower skin", "Lower skin", "Main spar flange");
        assertThat(spar.area() / IN2).isCloseTo(57.5, within(1e-6));
        assertThat(spar.holes()).hasSize(48);
        // A ring 3.4 in about with a 2.1 in opening, its arcs taken as chords of three degrees: good to a part in a
        // thousand.
        assertThat(mating("Lower skin", "Lower skin", "Access ring").area() / IN2)
                .isCloseTo(Math.PI * (3.4 * 3.4 - 2.1 * 2.1), within(.03));
        // On the upper skin the doubler lies between skin and spar as far as it reaches.
        Mating doubler = mating("Upper skin", "Upper skin", "Spar cap doubler");
        Mating open = mating("Upper skin", "Upper skin", "Main spar flange");
        assertThat((doubler.area() + open.area()) / IN2).isCloseTo(57.5, within(.2));
        assertThat(doubler.holes())
                .isNotEmpty()
                .allSatisfy(h -> assertThat(open.holes()).doesNotContain(h));
    }

    @Test
    void a_shape_has_the_area_of_its_outline() {
        Random random = new Random(3);
        for (int i = 0; i < 200; i++) {
            double r = 1 + random.nextDouble() * 20;
            Outline circle = Outline.of(Ring.circle(Point.in(random.nextInt(50), random.nextInt(50)), Length.in(r)));
            assertThat(Shapes.of(circle).getArea())
                    .isCloseTo(Math.PI * r * r * IN2, within(2 * Math.PI * r * .001 * IN2));
            Outline holed = new Outline(
                    Outline.rectangle(Point.in(0, 0), Point.in(30, 20)).outer(),
                    List.of(Ring.circle(Point.in(10, 10), Length.in(2))));
            assertThat(Mating.area(holed)).isCloseTo(Shapes.of(holed).getArea(), within(.03 * IN2));
        }
    }

    @Test
    void a_sheet_is_ready_once_every_hole_of_it_is_deburred_and_dressed_and_primed_when_marked() {
        FaceReading face = face("Lower skin");
        Mating spar = mating("Lower skin", "Lower skin", "Main spar flange");
        Layer skin = spar.near();
        assertThat(Readiness.of(Logbook.EMPTY, spar).words()).isEqualTo("48 to deburr and dress");
        Logbook log = Logbook.EMPTY;
        for (Operation o : List.of(Operation.DEBURRED, Operation.DIMPLED, Operation.COUNTERSUNK)) {
            log = log.plus(Task.of(o).marks(log, spar.holes(), true, MIXED));
        }
        assertThat(Readiness.of(log, spar).words()).isEqualTo("ready");
        assertThat(Readiness.of(log, face, skin).ready()).isFalse();
        List<Mark> primed = new ArrayList<>(new Task(Operation.PRIMED, Mark.Side.BOTH, Optional.of(skin.id()))
                .marks(log, spar.holes(), true, MIXED));
        assertThat(Readiness.of(log.plus(primed), spar).words()).isEqualTo("ready");
        primed.addAll(new Task(
                        Operation.PRIMED, Mark.Side.BOTH, Optional.of(spar.far().id()))
                .marks(log, spar.holes(), true, MIXED));
        assertThat(Readiness.of(log.plus(primed), spar).words()).isEqualTo("primed");
    }
}
