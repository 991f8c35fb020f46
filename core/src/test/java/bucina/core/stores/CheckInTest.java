package bucina.core.stores;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.Plans;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.PartEdits;
import bucina.core.hold.Holds;
import bucina.core.job.Jobs;
import bucina.core.log.Logbook;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.measure.Unit;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.Packed;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.plan.StoresItem;
import bucina.core.stack.Derivation;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The kit against its packing list. */
class CheckInTest {

    private static Build build() {
        Build one = Plans.build(Plans.face(
                List.of(Plans.layer(11, "Skin", .032, 0, 0, 64, 4), Plans.layer(12, "Flange", .040, 0, 1.5, 64, 2.5)),
                List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(Plans.row(1000, "R1", 2, 40))))));
        Part rib = new Part(new Id.Part(9), "Rib", Material.parse("2024-T3"), 2, false);
        Part crated = rib.with(Standing.CRATE)
                .with(rib.particulars()
                        .stamped("DS-110", List.of("nose rib"), Hand.NONE)
                        .withGauge(Optional.of(Length.in(.040)), Optional.empty()));
        return PartEdits.give(
                one.withParts(List.of(one.parts().getFirst(), crated), one.nextId()), new Id.Layer(12), crated.id());
    }

    private static TakeIn.Line line(String number, String name, int count, Optional<Length> gauge) {
        return new TakeIn.Line(number, name, count, "crate 1", gauge, Optional.empty());
    }

    private static Build taken() {
        return TakeIn.list(
                build(),
                List.of(
                        line("DS-110", "Rib, nose", 1, Optional.of(Length.in(.040))),
                        line("DS-999", "Gust lock", 1, Optional.empty()),
                        line("AN470AD4-4", "Rivet", 420, Optional.empty())));
    }

    private static Build found(Build build, int place, Packed.Found found) {
        return TakeIn.found(
                build,
                PartStates.of(build),
                build.workshop().packing().get(place).id(),
                found);
    }

    @Test
    void a_list_finds_its_parts_by_number_and_its_hardware_by_designation() {
        Build build = taken();
        CheckIn check = new CheckIn(build);
        assertThat(check.parts(build.workshop().packing().getFirst()))
                .extracting(Part::name)
                .containsExactly("Rib");
        assertThat(check.hardware(build.workshop().packing().getLast())).contains("MS20470AD4-4");
        assertThat(build.workshop().stores()).singleElement().satisfies(i -> {
            assertThat(i.designation()).isEqualTo("MS20470AD4-4");
            assertThat(i.kit()).isEqualTo(420);
        });
        assertThat(check.differs())
                .extracting((Sentence s) -> s.in(Unit.INCH))
                .containsExactly(
                        "Gust lock (DS-999) is on the list and not in the plan.",
                        build.parts().getFirst().name() + " is in the plan and not on the list.");
    }

    @Test
    void what_is_found_is_here_what_is_not_is_short_and_holds_what_needs_it() {
        Build here = found(taken(), 0, Packed.Found.NOT_YET.counted(1));
        assertThat(here.part(new Id.Part(9)).standing()).isEqualTo(Standing.HERE);
        Build missing = found(taken(), 0, Packed.Found.NOT_YET.counted(0));
        assertThat(missing.part(new Id.Part(9)).standing()).isEqualTo(Standing.SHORT);
        Derivation derivation = Derivation.of(missing, CatalogueReader.shipped());
        Jobs jobs = Jobs.of(derivation, Logbook.EMPTY, new Holds(derivation, Logbook.EMPTY), LocalDate.EPOCH);
        Blocked blocked = Blocked.by(jobs, new Id.Part(9));
        assertThat(blocked.held()).anyMatch(j -> j.id().startsWith("set:G-1:R1"));
        assertThat(blocked.held()).anyMatch(j -> j.id().startsWith("prove:G-1:R1"));
        assertThat(blocked.free())
                .isPositive()
                .isEqualTo((int) jobs.all().stream().filter(j -> !j.done()).count()
                        - blocked.held().size());
        assertThat(blocked.held())
                .noneMatch(j -> j.id().startsWith(
                                "deburr-edges:" + missing.parts().getFirst().name()));
    }

    @Test
    void hardware_counted_at_the_crate_is_what_the_kit_has() {
        Build counted = found(taken(), 2, Packed.Found.NOT_YET.counted(398));
        assertThat(counted.workshop().stores().getFirst().kit()).isEqualTo(398);
        assertThat(CheckIn.state(counted.workshop().packing().getLast())).isEqualTo(CheckIn.State.SHORT);
    }

    @ParameterizedTest
    @CsvSource({
        // .040 within 5 %, which is .002 as well.
        ".040,.042,RIGHT",
        ".040,.038,RIGHT",
        ".040,.0421,GAUGE",
        ".040,.0379,GAUGE",
        // Thin: .002 is more than 5 %.
        ".020,.022,RIGHT",
        ".020,.0221,GAUGE",
        // Thick: 5 % is more.
        ".125,.131,RIGHT",
        ".125,.1313,GAUGE"
    })
    void a_gauge_is_right_within_a_twentieth_or_two_thousandths(String called, String measured, CheckIn.State state) {
        Packed line = new Packed(
                new Id.Packed(1),
                "DS-1",
                "",
                1,
                "",
                Optional.of(Length.in(Double.parseDouble(called))),
                Optional.empty(),
                Packed.Found.NOT_YET.counted(1).measured(Length.in(Double.parseDouble(measured))));
        assertThat(CheckIn.state(line)).isEqualTo(state);
    }

    @Test
    void a_gauge_measured_at_the_crate_is_the_parts_from_then_on() {
        Build measured = found(taken(), 0, Packed.Found.NOT_YET.counted(1).measured(Length.in(.0395)));
        assertThat(measured.part(new Id.Part(9)).particulars().measured()).contains(Length.in(.0395));
    }

    @ParameterizedTest
    @CsvSource({"64,1,false", "64.06,.94,false", "64.07,,true", ",1.07,true", "63.9,1,true", ",,false"})
    void an_outline_measured_is_held_against_the_sheet_as_it_is_drawn(String length, String width, boolean other) {
        Build build = taken();
        CheckIn check = new CheckIn(build);
        CheckIn.Size drawn = check.drawn(build.workshop().packing().getFirst()).orElseThrow();
        assertThat(drawn).isEqualTo(new CheckIn.Size(Length.in(64), Length.in(1)));
        assertThat(drawn.differs(
                        new Packed.Found(Optional.of(1), Optional.empty(), maybe(length), maybe(width), "", "")))
                .isEqualTo(other);
        assertThat(check.drawn(build.workshop().packing().get(1))).isEmpty();
    }

    private static Optional<Length> maybe(String in) {
        return Optional.ofNullable(in).map(Double::parseDouble).map(Length::in);
    }

    @Test
    void a_list_taken_in_again_keeps_what_was_found_and_what_was_bought() {
        Build once = found(taken(), 2, Packed.Found.NOT_YET.counted(398));
        once = Balance.with(once, "MS20470AD4-4", i -> i.with(new StoresItem.Bought(LocalDate.EPOCH, 100, "")));
        Build again = TakeIn.list(once, List.of(line("AN470AD4-4", "Rivet", 420, Optional.empty())));
        assertThat(again.workshop().packing())
                .singleElement()
                .satisfies(p -> assertThat(p.found().count()).contains(398));
        assertThat(again.workshop().stores()).singleElement().satisfies(i -> {
            assertThat(i.kit()).isEqualTo(398);
            assertThat(i.boughtInAll()).isEqualTo(100);
        });
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> TakeIn.list(build(), List.of()))
                .withMessageContaining("the list has no line");
    }

    @Test
    void the_letter_names_what_is_short_wrong_or_too_much_and_nothing_else() {
        Build build = found(taken(), 0, Packed.Found.NOT_YET.counted(1).measured(Length.in(.032)));
        build = found(build, 1, Packed.Found.NOT_YET.counted(2));
        build = found(build, 2, Packed.Found.NOT_YET.counted(420));
        String letter = Letter.of(build, Unit.INCH, LocalDate.of(2026, 11, 29));
        assertThat(letter)
                .startsWith("2026-11-29\n")
                .contains("DS-110  Rib, nose  (crate 1): it measures .032 in, called for is .040 in.")
                .contains("DS-999  Gust lock  (crate 1): 2 were there, the list has 1.")
                .doesNotContain("AN470");
        assertThat(Letter.of(taken(), Unit.INCH, LocalDate.EPOCH)).startsWith("Nothing is short or wrong");
    }
}
