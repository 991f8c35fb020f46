package bucina.core.sums;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever is typed into a sum ends in an answer that can be drawn, or in one sentence. */
class SumsHostileTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Bench BARE = Bench.bare(CATALOGUE);
    private static final List<String> TYPED = List.of(
            "",
            " ",
            "0",
            "-1",
            "1e9",
            "999999999",
            ".0001",
            "1/0",
            "3/32",
            "#40",
            "#99",
            "2.4 mm",
            "2,4",
            "NaN",
            "Infinity",
            "½",
            "1 5/16",
            "-.5, -.5",
            ",",
            ";",
            ":",
            "x",
            "90",
            "180",
            "181",
            "-180",
            "0.5",
            "24x3",
            "24x-3",
            "0x0",
            "1x99999999",
            "1: 1, 1, #30",
            "1:",
            "base: 1",
            "2024-T3",
            "9999-T99",
            ".025, .032",
            ".1, .1, .1, .1, .1, .1, .1, .1",
            "AN426AD3-3.5",
            "{}",
            "\u0000",
            "%s%n",
            "1\n2\n3",
            "1: .75, 90\n1: .75, 90");

    private static void check(Sum sum, Map<String, String> typed, Unit unit, Unit shown) {
        Answer answer;
        try {
            answer = sum.answer(SumForm.fresh(sum, BARE, unit).with(typed).figures(BARE, shown));
        } catch (InputException e) {
            assertThat(e.getMessage())
                    .as(sum.code() + typed)
                    .hasSizeBetween(8, 600)
                    .doesNotContain("Exception", "null", "java.");
            assertThat(typed.containsValue("NaN") || !e.getMessage().contains("NaN"))
                    .as(sum.code() + typed + e.getMessage())
                    .isTrue();
            return;
        }
        answer.lines()
                .forEach(w -> assertThat(w.value())
                        .as(sum.code() + typed + w.title())
                        .isNotBlank()
                        .doesNotContain("NaN", "Infinity", "null"));
        answer.notes()
                .forEach(n ->
                        assertThat(n.text()).as(sum.code() + typed).isNotBlank().doesNotContain("null"));
        answer.picture()
                .panels()
                .forEach(p -> p.shapes()
                        .forEach(s -> points(s)
                                .forEach(at -> assertThat(Double.isFinite(at.x()) && Double.isFinite(at.y()))
                                        .as(sum.code() + typed + s)
                                        .isTrue())));
    }

    private static List<Point> points(Picture.Shape shape) {
        return switch (shape) {
            case Picture.Area a -> a.points();
            case Picture.Line l -> l.points();
            case Picture.Round r -> {
                assertThat(r.radius()).isFinite().isNotNegative();
                yield List.of(r.at());
            }
            case Picture.Words w -> List.of(w.at());
            case Picture.Dim d -> List.of(d.a(), d.b());
            case Picture.Running r -> {
                r.ticks().forEach(t -> assertThat(t.x()).isFinite());
                yield List.of();
            }
            case Picture.Grip g -> List.of(g.at());
        };
    }

    @ParameterizedTest
    @ValueSource(strings = {"INCH", "MM"})
    void one_field_at_a_time_is_given_what_it_cannot_use(Unit unit) {
        for (Sum sum : Sums.ALL) {
            for (Ask ask : sum.asks(BARE)) {
                for (String text : TYPED) {
                    check(sum, Map.of(ask.key(), text), unit, Unit.INCH);
                }
            }
        }
    }

    @Test
    void several_fields_at_once_hold_anything() {
        Random random = new Random(77);
        for (Sum sum : Sums.ALL) {
            List<Ask> asks = sum.asks(BARE);
            for (int i = 0; i < 150; i++) {
                Map<String, String> typed = new HashMap<>();
                for (int k = 0; k < 1 + random.nextInt(asks.size()); k++) {
                    Ask ask = asks.get(random.nextInt(asks.size()));
                    typed.put(
                            ask.key(),
                            ask.choices().isEmpty()
                                    ? TYPED.get(random.nextInt(TYPED.size()))
                                    : ask.choices()
                                            .get(random.nextInt(ask.choices().size())));
                }
                check(
                        sum,
                        typed,
                        random.nextBoolean() ? Unit.INCH : Unit.MM,
                        random.nextBoolean() ? Unit.INCH : Unit.MM);
            }
        }
    }

    /** What a field begins with, a little larger or smaller,
     * is still answered or refused in words; and the answer follows the figures without a jump in kind. */
    @Test
    void figures_near_the_first_ones_are_answered_in_both_units_alike() {
        Random random = new Random(78);
        for (Sum sum : Sums.ALL) {
            for (int i = 0; i < 60; i++) {
                Map<String, String> typed = new HashMap<>();
                for (Ask ask : sum.asks(BARE)) {
                    String first = ask.start(Unit.INCH);
                    if (ask.choices().isEmpty() && first.matches("\\.?\\d+(\\.\\d+)?") && random.nextInt(3) == 0) {
                        typed.put(
                                ask.key(),
                                "%.4f".formatted(Double.parseDouble(first) * (.8 + .4 * random.nextDouble())));
                    }
                }
                List<String> titles = new ArrayList<>();
                for (Unit shown : Unit.values()) {
                    try {
                        titles.add(
                                sum
                                        .answer(SumForm.fresh(sum, BARE, Unit.INCH)
                                                .with(typed)
                                                .figures(BARE, shown))
                                        .lines()
                                        .stream()
                                        .map(w -> w.title())
                                        .toList()
                                        .toString());
                    } catch (InputException e) {
                        titles.add("refused");
                    }
                }
                assertThat(titles.get(0)).as(sum.code() + typed).isEqualTo(titles.get(1));
                check(sum, typed, Unit.INCH, Unit.MM);
            }
        }
    }
}
