package bucina.core.blind;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BlindChoiceTest {

    private final BlindTable table = CatalogueReader.shipped().blind();

    private BlindChoice choose(String family, double diameter, double grip, Double room) {
        return BlindChoice.of(
                table.lengths(family, Length.mm(diameter)),
                Length.mm(grip),
                Optional.ofNullable(room).map(Length::mm));
    }

    @ParameterizedTest
    @CsvSource({
        "iso15977,3.2,3.0,3.2 × 6",
        "iso15977,3.2,3.5,3.2 × 6",
        "iso15977,3.2,3.51,3.2 × 8",
        "iso15977,3.2,1.5,3.2 × 6",
        "iso15978,4.0,1.0,4.0 × 6",
        "iso15977,4.0,6.5,4.0 × 10",
        "iso15977,4.0,8.5,4.0 × 12"
    })
    void grip_ends_are_inclusive_and_the_shorter_of_two_is_taken(
            String family, double diameter, double grip, String name) {
        BlindChoice choice = choose(family, diameter, grip, null);
        assertThat(choice.rivet().orElseThrow().name()).isEqualTo(name);
        assertThat(choice.cutTo()).isEmpty();
    }

    @Test
    void the_third_sheet_changes_the_length() {
        assertThat(choose("iso15977", 3.2, .8 + 1.2 + 1.4, null)
                        .rivet()
                        .orElseThrow()
                        .name())
                .isEqualTo("3.2 × 6");
        assertThat(choose("iso15977", 3.2, .8 + 1.2 + 1.6, null)
                        .rivet()
                        .orElseThrow()
                        .name())
                .isEqualTo("3.2 × 8");
    }

    @Test
    void body_and_mandrel_stand_behind() {
        // 8 - 4 = 4 of body, 3.5 of mandrel head: 7.5.
        BlindRivet eight = choose("iso15977", 3.2, 4.0, null).rivet().orElseThrow();
        assertThat(eight.standsBehind(Length.mm(4)).orElseThrow().mm()).isCloseTo(4, within(1e-9));
        assertThat(eight.needsBehind(Length.mm(4)).orElseThrow().mm()).isCloseTo(7.5, within(1e-9));
    }

    @Test
    void too_little_room_cuts_it_shorter_as_far_as_the_range_allows() {
        // Needs 7.5, has 7: .5 off leaves 7.5 long and a range of 3 to 5: still grips 4.
        BlindChoice cut = choose("iso15977", 3.2, 4.0, 7.0);
        assertThat(cut.cutTo().orElseThrow().mm()).isCloseTo(7.5, within(1e-9));
        // 2 off would leave 1.5 to 3.5: no longer grips 4.
        BlindChoice none = choose("iso15977", 3.2, 4.0, 5.5);
        assertThat(none.rivet()).isEmpty();
        assertThat(none.why().in(Unit.MM)).contains("7.50 mm behind").contains("make room");
        assertThat(choose("iso15977", 3.2, 4.0, 7.5).cutTo()).isEmpty();
    }

    @Test
    void a_length_that_two_ranges_hold_goes_to_the_one_that_clears() {
        // Both 6 and 8 grip 3.5; the shorter needs 6 behind, the longer 8.
        assertThat(choose("iso15977", 3.2, 3.5, 6.0).rivet().orElseThrow().name())
                .isEqualTo("3.2 × 6");
    }

    @Test
    void two_thin_skins_get_no_rivet_and_are_told_what_would_do() {
        BlindChoice choice = choose("iso15977", 3.2, 1.2, null);
        assertThat(choice.rivet()).isEmpty();
        assertThat(choice.why().in(Unit.MM)).contains("washer of 0.30 mm").contains("3.2 × 6 cut to 5.70 mm");
        assertThat(choose("iso15977", 3.2, 12, null).why().in(Unit.MM)).contains("thicker than any length");
    }

    @Test
    void structural_dashes_cover_sixteenths() {
        List<BlindRivet> dashes = table.lengths(BlindTable.STRUCTURAL, Length.fraction(1, 8));
        assertThat(BlindChoice.of(dashes, Length.in(.0625), Optional.empty())
                        .rivet()
                        .orElseThrow()
                        .name())
                .isEqualTo("grip 1");
        assertThat(BlindChoice.of(dashes, Length.in(.063), Optional.empty())
                        .rivet()
                        .orElseThrow()
                        .name())
                .isEqualTo("grip 2");
        assertThat(BlindChoice.of(dashes, Length.in(.02), Optional.empty()).rivet())
                .isEmpty();
        assertThat(BlindChoice.of(dashes, Length.in(.063), Optional.of(Length.in(1)))
                        .why()
                        .in(Unit.INCH))
                .contains("maker's figure");
    }

    @Test
    void what_is_not_in_the_table_is_refused_by_name() {
        assertThatThrownBy(() -> table.lengths("iso15979", Length.mm(3.2)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("iso15977, iso15978");
        assertThatThrownBy(() -> table.lengths("iso15977", Length.mm(5)))
                .hasMessageContaining("5 mm")
                .hasMessageContaining("3.2 mm, 4 mm");
        assertThatIllegalArgumentException()
                .isThrownBy(
                        () -> new BlindRivet("x", Optional.empty(), Length.mm(3), Length.mm(2), Optional.empty(), "y"));
    }
}
