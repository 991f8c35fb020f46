package bucina.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.PracticeBox;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Can;
import bucina.core.plan.Compound;
import bucina.core.plan.Id;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What stands on the shelf: cans by their shelf life and clock, clecos by size. */
class CansTest {

    private static final Instant OUT = Instant.parse("2026-11-29T10:00:00Z");

    private static Can can(Optional<LocalDate> useBy, Optional<Can.Frozen> frozen) {
        return new Can(
                new Id.Can(900), "Sealant class B-2", Compound.Kind.SEALANT, "", useBy, frozen, "", Optional.empty());
    }

    private static Cans.State state(Can can, String at) {
        return Cans.standing(can, Instant.parse(at), ZoneOffset.UTC).state();
    }

    @ParameterizedTest
    @CsvSource({
        "2026-10-30T23:59:00Z,GOOD",
        "2026-10-31T00:00:00Z,SOON_PAST",
        "2026-11-30T23:59:00Z,SOON_PAST",
        "2026-12-01T00:00:00Z,PAST"
    })
    void shelf_life_ends_with_its_last_day_and_is_said_thirty_days_before(String at, Cans.State state) {
        assertThat(state(can(Optional.of(LocalDate.of(2026, 11, 30)), Optional.empty()), at))
                .isEqualTo(state);
    }

    @ParameterizedTest
    @CsvSource({
        "2026-11-29T10:19:59Z,THAWING",
        "2026-11-29T10:20:00Z,READY",
        "2026-11-29T11:59:59Z,READY",
        "2026-11-29T12:00:00Z,GONE_OFF"
    })
    void what_comes_from_the_freezer_thaws_first_and_goes_off(String at, Cans.State state) {
        Can can = can(Optional.empty(), Optional.of(new Can.Frozen(20, 120, Optional.empty())));
        assertThat(state(can, at)).isEqualTo(Cans.State.FROZEN);
        assertThat(state(can.taken(OUT), at)).isEqualTo(state);
        assertThat(state(can.gone(LocalDate.of(2026, 11, 29)), at)).isEqualTo(Cans.State.GONE);
    }

    @Test
    void a_compound_is_kept_from_being_mixed_only_where_no_can_of_it_is_good() {
        Build build = PracticeBox.build(CatalogueReader.shipped().rules());
        assertThat(Cans.keeps(build, "Sealant class B-2", OUT, ZoneOffset.UTC)).isEmpty();
        Can past = can(Optional.of(LocalDate.of(2026, 11, 1)), Optional.empty());
        Build one = build.withWorkshop(build.workshop().with(past), 1000);
        assertThat(Cans.keeps(one, " sealant class b-2 ", OUT, ZoneOffset.UTC))
                .contains(
                        "No can of sealant class b-2 in the stores may be used: past its shelf life since 1 Nov 2026");
        assertThat(Cans.keeps(one, "Two-part epoxy primer", OUT, ZoneOffset.UTC))
                .isEmpty();
        assertThat(Cans.keeps(
                        one.withWorkshop(one.workshop().with(past.gone(LocalDate.of(2026, 11, 2))), 1000),
                        "Sealant class B-2",
                        OUT,
                        ZoneOffset.UTC))
                .isEmpty();
        Can good = new Can(
                new Id.Can(901),
                past.name(),
                past.kind(),
                "",
                Optional.empty(),
                Optional.empty(),
                "",
                Optional.empty());
        assertThat(Cans.keeps(
                        one.withWorkshop(one.workshop().with(good), 1000), "Sealant class B-2", OUT, ZoneOffset.UTC))
                .isEmpty();
    }

    @Test
    void nothing_is_worked_for_less_than_it_thaws() {
        assertThatExceptionOfType(InputException.class).isThrownBy(() -> new Can.Frozen(20, 20, Optional.empty()));
    }

    @Test
    void a_batch_is_mixed_from_no_can_that_is_past_whichever_way_it_is_asked_for() {
        Build build = PracticeBox.build(CatalogueReader.shipped().rules());
        Build one = build.withWorkshop(
                build.workshop().with(can(Optional.of(LocalDate.of(2026, 11, 1)), Optional.empty())), 1000);
        Compound sealant = new Compound("Sealant class B-2", Compound.Kind.SEALANT, 0, 120, 0);
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> Mixing.mixed(one, sealant, OUT, ZoneOffset.UTC, List.of()))
                .withMessageContaining("past its shelf life since 1 Nov 2026");
        assertThat(Mixing.mixed(build, sealant, OUT, ZoneOffset.UTC, List.of())
                        .workshop()
                        .batches())
                .hasSize(1);
    }
}
