package bucina.core.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.log.Seen;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.prove.Judge.By;
import bucina.core.prove.Judge.Head;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Limits are written out in thousandths of an inch, as the handbook's table has them. */
class JudgeTest {

    private static final RuleSet RULES = CatalogueReader.shipped().rules();
    private static final Judge JUDGE = new Judge(RULES);
    /** A hair over or under a limit. */
    private static final double HAIR = .0001;

    private static Judge.Judgement judge(Head head, double d, double across, double high, int hits, Seen... seen) {
        return JUDGE.of(new Judge.Subject(
                head,
                Length.in(d),
                Optional.of(new Work.Reading(Length.in(across), Length.in(high))),
                hits,
                List.of(seen),
                Optional.empty(),
                Optional.empty(),
                Optional.empty()));
    }

    private static Verdict seen(Head head, String material, double thickness, Seen... seen) {
        return JUDGE.of(new Judge.Subject(
                        head,
                        Length.in(.125),
                        Optional.empty(),
                        0,
                        List.of(seen),
                        Optional.empty(),
                        material.isEmpty() ? Optional.empty() : Optional.of(Material.parse(material)),
                        thickness == 0 ? Optional.empty() : Optional.of(Length.in(thickness))))
                .said()
                .verdict();
    }

    static Stream<Arguments> sizes() {
        return IntStream.rangeClosed(3, 5)
                .boxed()
                .flatMap(dash -> Stream.of(Head.UNIVERSAL, Head.FLUSH).map(h -> Arguments.of(dash / 32.0, h)));
    }

    @ParameterizedTest
    @MethodSource("sizes")
    void a_head_is_left_from_its_limits_on_and_not_a_hair_below(double d, Head head) {
        double wide = 1.3 * d;
        assertThat(judge(head, d, wide, .4 * d, 0).process().verdict()).isEqualTo(Verdict.LEAVE);
        assertThat(judge(head, d, wide, .4 * d - HAIR, 0).process().verdict()).isEqualTo(Verdict.REPLACE);
        assertThat(judge(head, d, wide - HAIR, .4 * d, 0).process().verdict()).isEqualTo(Verdict.REPLACE);
        assertThat(judge(head, d, wide, .3 * d, 0).gauge().verdict()).isEqualTo(Verdict.LEAVE);
        assertThat(judge(head, d, wide, .3 * d - HAIR, 0).gauge().verdict()).isEqualTo(Verdict.REPLACE);
        assertThat(judge(head, d, wide - HAIR, .3 * d, 0).gauge().verdict()).isEqualTo(Verdict.REPLACE);
        assertThat(judge(head, d, wide, .35 * d, 0).process().verdict()).isEqualTo(Verdict.REPLACE);
    }

    @ParameterizedTest
    @MethodSource("sizes")
    void a_high_head_with_the_metal_is_set_once_more_and_once_only(double d, Head head) {
        // At .72 D high, 1.2 D across: 1.2 × √(.72 / .5) = 1.44 D. At .51 D, 1.29 D: 1.3028 D. At .5 D it is not high.
        for (double[] has : new double[][] {{1.2, .72}, {1.29, .51}, {1.0, .845}}) {
            assertThat(judge(head, d, has[0] * d, has[1] * d, 0).process().verdict())
                    .isEqualTo(Verdict.AGAIN);
            assertThat(judge(head, d, has[0] * d, has[1] * d, 0).gauge().verdict())
                    .isEqualTo(Verdict.AGAIN);
            assertThat(judge(head, d, has[0] * d, has[1] * d, 1).process().verdict())
                    .isEqualTo(Verdict.REPLACE);
        }
        for (double[] lacks : new double[][] {{1.29, .5}, {1.0, .844}, {1.2, .58}}) {
            assertThat(judge(head, d, lacks[0] * d, lacks[1] * d, 0).process().verdict())
                    .isEqualTo(Verdict.REPLACE);
        }
    }

    @Test
    void what_a_head_looks_like_comes_before_its_measure() {
        for (Seen.What what : List.of(Seen.What.CRACK, Seen.What.FOLD, Seen.What.OFFSET, Seen.What.DISH)) {
            Judge.Judgement judged = judge(Head.UNIVERSAL, .125, .19, .0625, 0, Seen.of(what));
            assertThat(judged.process().verdict()).isEqualTo(Verdict.REPLACE);
            assertThat(judged.gauge().verdict()).isEqualTo(Verdict.REPLACE);
        }
        assertThat(judge(Head.UNIVERSAL, .125, .19, .0625, 0).said().verdict()).isEqualTo(Verdict.LEAVE);
    }

    @ParameterizedTest
    @CsvSource({
        "0,false,LEAVE",
        "39.9,false,LEAVE",
        "40,false,REPLACE",
        "100,false,REPLACE",
        "0,true,REPLACE",
        "5,true,REPLACE"
    })
    void a_feeler_under_the_head(double percent, boolean shank, Verdict expected) {
        assertThat(seen(Head.UNIVERSAL, "", 0, Seen.gap(percent, shank))).isEqualTo(expected);
        assertThat(seen(Head.BLIND, "", 0, Seen.gap(percent, shank))).isEqualTo(Verdict.REPLACE);
    }

    @ParameterizedTest
    @CsvSource({"PROUD,.005,LEAVE", "PROUD,.0051,ASK", "BELOW,.002,LEAVE", "BELOW,.0021,ASK"})
    void a_flush_head_stands_or_lies(Seen.What what, double by, Verdict expected) {
        assertThat(seen(Head.FLUSH, "", 0, Seen.of(what, Length.in(by)))).isEqualTo(expected);
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> seen(Head.UNIVERSAL, "", 0, Seen.of(what, Length.in(by))))
                .withMessageContaining("universal head");
    }

    @ParameterizedTest
    @CsvSource({
        "2024-T3,.040,.002,LEAVE",
        "2024-T3,.040,.0021,ASK",
        "2024-T3,.063,.001575,LEAVE",
        "2024-T3,.063,.0016,ASK",
        "7075-T6,.050,.002,LEAVE",
        "7075-T6,.050,.0021,ASK",
        "7075-T6,.080,.002,LEAVE",
        "7075-T6,.080,.0021,ASK",
        "6061-T6,.040,.0001,ASK",
        "5052-H32,.040,.0001,ASK",
        "'',.040,.0001,ASK",
        "2024-T3,0,.0001,ASK"
    })
    void a_cut_may_be_so_deep(String material, double thickness, double deep, Verdict expected) {
        assertThat(seen(Head.UNIVERSAL, material, thickness, Seen.of(Seen.What.CUT, Length.in(deep))))
                .isEqualTo(expected);
    }

    @Test
    void of_pulled_rivets_every_defect_is_one_and_none_is_none() {
        assertThat(seen(Head.BLIND, "", 0)).isEqualTo(Verdict.LEAVE);
        for (Seen s : List.of(
                Seen.of(Seen.What.ROCKS),
                Seen.of(Seen.What.MANDREL),
                Seen.of(Seen.What.SHEET_GAP),
                Seen.of(Seen.What.PROUD, Length.in(.001)))) {
            assertThat(seen(Head.BLIND, "", 0, s)).isEqualTo(Verdict.REPLACE);
        }
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> seen(Head.BLIND, "", 0, Seen.of(Seen.What.FOLD)))
                .withMessageContaining("no shop head");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> seen(Head.FLUSH, "", 0, Seen.of(Seen.What.ROCKS)));
    }

    @Test
    void the_worst_of_all_verdicts_wins() {
        Seen ask = Seen.of(Seen.What.PROUD, Length.in(.02));
        Seen replace = Seen.of(Seen.What.SHEET_GAP);
        // A head to be set again: 1.2 D × .72 D.
        assertThat(judge(Head.FLUSH, .125, .15, .09, 0).said().verdict()).isEqualTo(Verdict.AGAIN);
        assertThat(judge(Head.FLUSH, .125, .15, .09, 0, ask).said().verdict()).isEqualTo(Verdict.ASK);
        assertThat(judge(Head.FLUSH, .125, .15, .09, 0, ask, replace).said().verdict())
                .isEqualTo(Verdict.REPLACE);
        assertThat(judge(Head.FLUSH, .125, .15, .09, 0, replace, ask).said().verdict())
                .isEqualTo(Verdict.REPLACE);
    }

    @Test
    void the_school_in_force_counts_and_the_tool_is_named() {
        RuleSet process = RULES.with(RuleKey.SHOP_SCHOOL, "process", "test");
        Judge.Subject flat = new Judge.Subject(
                Head.UNIVERSAL,
                Length.in(.125),
                Optional.of(new Work.Reading(Length.in(.19), Length.in(.04))),
                0,
                List.of(),
                Optional.of(By.GUN),
                Optional.empty(),
                Optional.empty());
        assertThat(JUDGE.of(flat).said().verdict()).isEqualTo(Verdict.LEAVE);
        assertThat(new Judge(process).of(flat).said().verdict()).isEqualTo(Verdict.REPLACE);
        Judge.Subject high = new Judge.Subject(
                Head.UNIVERSAL,
                Length.in(.125),
                Optional.of(new Work.Reading(Length.in(.15), Length.in(.09))),
                0,
                List.of(),
                Optional.of(By.GUN),
                Optional.empty(),
                Optional.empty());
        assertThat(JUDGE.of(high).said().why().in(Unit.INCH)).contains("lightly, with the gun", ".180 in across");
    }

    @Test
    void defects_are_read_as_they_are_written() {
        var lengths = new LengthParser(Unit.INCH, CatalogueReader.shipped().drills());
        assertThat(Seen.parse("crack, head-gap:40:shank,head-gap:shank,head-gap:12.5 %,proud:.006,cut:0.1 mm", lengths))
                .containsExactly(
                        Seen.of(Seen.What.CRACK),
                        Seen.gap(40, true),
                        Seen.gap(0, true),
                        Seen.gap(12.5, false),
                        Seen.of(Seen.What.PROUD, Length.in(.006)),
                        Seen.of(Seen.What.CUT, Length.mm(.1)));
        List<String> bad =
                List.of("dent", "proud", "crack:3", "head-gap:101", "head-gap:x", "proud:-.01", ",", "cut:shank");
        for (String each : bad) {
            assertThatExceptionOfType(InputException.class).as(each).isThrownBy(() -> Seen.parse(each, lengths));
        }
    }
}
