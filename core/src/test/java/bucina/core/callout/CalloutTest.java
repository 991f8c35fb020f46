package bucina.core.callout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.Plans;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.Edit;
import bucina.core.edit.HoleEdits;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import bucina.core.plan.Query;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import java.time.LocalDate;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CalloutTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 3);

    @ParameterizedTest
    @CsvSource({
        "18× MS20426AD3-4,18× MS20426AD3-4",
        "18x ms20426ad3-4,18× MS20426AD3-4",
        "AN470AD4-5 (9X),9× MS20470AD4-5",
        "12 PL AN470AD4-5,12× MS20470AD4-5",
        "6X AN4-6A,6× AN4-6A",
        "24× ISO 15977 3.2 × 8,24× ISO 15977 3.2 × 8",
        "ISO15978-4.0x10,ISO 15978 4 × 10",
        "MS20426AD3,MS20426AD3",
        "426AD-3-4,MS20426AD3-4",
        "8 off 470AD4,8× MS20470AD4",
        "10x ISO 15977 SS 3.2,10× ISO 15977 3.2 stainless",
        "8x MS27039-0806,8× MS27039-0806",
        "NAS1097AD4-5 4 places,4× NAS1097AD4-5"
    })
    void is_read_leniently_and_printed_one_way(String typed, String printed) {
        assertThat(Callout.parse(typed).text()).isEqualTo(printed);
        assertThat(Callout.parse(printed).text()).isEqualTo(printed);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "rivets",
                "0x MS20426AD3-4",
                "MS20426",
                "18x",
                "MS20426AD99-4",
                "18 x MS20426AD3-4 MS20470AD4-5",
                "ISO 15977"
            })
    void what_is_none_is_refused_with_an_example(String typed) {
        assertThatThrownBy(() -> Callout.parse(typed))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("MS20426AD3-4");
    }

    @Test
    void a_stainless_body_and_a_bolt_are_told() {
        assertThat(((Fastener.PulledRivet)
                                Callout.parse("ISO 15977 3.2 stainless").fastener())
                        .stainless())
                .isTrue();
        assertThat(Callout.parse("AN4-6A").fastener().shank().in()).isEqualTo(.25);
    }

    private static Build called(Build build, String callout) {
        return Edit.group(
                build,
                new Id.Group(20),
                g -> g.withFastener(
                        Callout.parse(callout).fastener(),
                        Callout.parse(callout).text()));
    }

    @Test
    void a_count_that_differs_opens_a_query_once_and_it_settles_when_the_sheet_agrees() {
        Build build = Queries.kept(called(Plans.build(8.5), "20× MS20470AD4"), DAY);
        Query q = build.papers().queries().getFirst();
        assertThat(q.text()).isEqualTo("G-1: the drawing calls for 20, the sheet has 19.");
        assertThat(q.open()).isTrue();
        assertThat(Queries.kept(build, DAY).papers().queries()).hasSize(1);
        Build mended = Queries.kept(HoleEdits.add(build, new Id.Row(1000), Point.in(19.7, 2)), DAY.plusDays(2))
                .checked();
        Query settled = mended.papers().queries().getFirst();
        assertThat(settled.answer().orElseThrow().text()).contains("20 holes now");
        assertThat(settled.answer().orElseThrow().source()).contains("20× MS20470AD4");
    }

    @Test
    void an_answered_difference_is_not_asked_again_but_another_is() {
        Build asked = Queries.kept(called(Plans.build(8.5), "20× MS20470AD4"), DAY);
        Id.Query id = asked.papers().queries().getFirst().id();
        Build answered = Queries.answer(asked, id, "19: the arrow at rib 4 is old", "Sheet 31 rev D", DAY);
        assertThat(Queries.open(Queries.kept(answered, DAY).papers(), new Id.Group(20)))
                .isEmpty();
        Build fewer = Queries.kept(HoleEdits.delete(answered, Set.of(new Id.Hole(1001))), DAY);
        assertThat(Queries.open(fewer.papers(), new Id.Group(20)))
                .singleElement()
                .satisfies(q -> assertThat(q.count().orElseThrow().sheet()).isEqualTo(18));
        assertThatThrownBy(() -> Queries.answer(asked, id, "19", " ", DAY))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("source");
    }

    @Test
    void an_open_query_stands_among_the_findings_and_a_question_of_ones_own_too() {
        Build build = Queries.ask(Plans.build(8.5), new Id.Group(20), "which side is the head?", DAY);
        assertThat(Derivation.of(build, CatalogueReader.shipped()).findings(() -> false))
                .anyMatch(f -> f.rule().code().equals("query-open")
                        && f.message().in(Unit.INCH).contains("which side is the head?"));
        assertThatThrownBy(() -> Queries.ask(build, new Id.Group(20), " ", DAY)).isInstanceOf(InputException.class);
    }
}
