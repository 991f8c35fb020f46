package bucina.core.sums;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.explain.Why;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.KeptSum;
import bucina.core.rule.Level;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.stack.Derivation;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The sums without a window. */
class SumsTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Bench BARE = Bench.bare(CATALOGUE);

    private static Answer answer(String code, Map<String, String> typed) {
        return answer(code, typed, Unit.INCH, Unit.INCH);
    }

    private static Answer answer(String code, Map<String, String> typed, Unit unit, Unit shown) {
        Sum sum = Sums.of(code).orElseThrow();
        return sum.answer(SumForm.fresh(sum, BARE, unit).with(typed).figures(BARE, shown));
    }

    private static String value(Answer answer, String title) {
        return answer.lines().stream()
                .filter(w -> w.title().equals(title))
                .map(Why::value)
                .findFirst()
                .orElseThrow();
    }

    private static boolean says(Answer answer, Level level, String words) {
        return answer.notes().stream()
                .anyMatch(n -> n.level() == level && n.text().contains(words));
    }

    @Test
    void every_sum_answers_its_first_figures_in_both_units_with_a_source_for_each_number() {
        for (Sum sum : Sums.ALL) {
            for (Unit unit : Unit.values()) {
                for (Unit shown : Unit.values()) {
                    Answer answer = sum.answer(SumForm.fresh(sum, BARE, unit).figures(BARE, shown));
                    assertThat(answer.lines()).as(sum.code()).isNotEmpty().allSatisfy(w -> {
                        assertThat(w.value()).isNotBlank();
                        assertThat(w.source()).as(w.title()).isNotBlank();
                    });
                    assertThat(answer.notes()).as(sum.code()).isNotEmpty();
                    assertThat(answer.section().isPresent()
                                    || answer.picture().panels().stream()
                                            .allMatch(p -> p.shapes().size() > 2))
                            .as(sum.code())
                            .isTrue();
                    answer.table()
                            .ifPresent(t -> assertThat(t.rows())
                                    .as(sum.code())
                                    .allSatisfy(r -> assertThat(r).hasSameSizeAs(t.heads())));
                }
            }
        }
    }

    @Test
    void the_bend_bench_gives_the_channel_of_the_handbook_in_either_way_to_name_the_angle() {
        // Flats .80, 1.60, .80, BA .28274 each: 3.7655.
        Map<String, String> channel =
                Map.of("legs", "1, 2, 1", "angles", "90, 90", "radius", ".160", "thickness", ".040", "k", "0.5");
        assertThat(value(answer("bend", channel), "Developed length")).isEqualTo("3.765 in");
        Map<String, String> between = new HashMap<>(channel);
        between.put("angle", BendSum.BETWEEN);
        between.put("angles", "88, 92");
        Answer opened = answer("bend", between);
        assertThat(opened.table().orElseThrow().rows().get(0)).contains("92°", "88°");
        assertThat(opened.table().orElseThrow().rows().get(1)).contains("88°", "92°");
        assertThat(answer("bend", channel, Unit.INCH, Unit.MM)
                        .lines()
                        .getFirst()
                        .value())
                .isEqualTo("95.64 mm");
    }

    @Test
    void a_hem_is_a_bend_of_180_degrees_measured_to_the_outside() {
        // R .04, t .032, K 0.4: BA = π × .0528 = .16588. Outside takes .072 of each leg: 1 − .072 + .5 − .072 + .16588
        // = 1.52188.
        Answer hem = answer(
                "bend",
                Map.of(
                        "legs",
                        "1, .5",
                        "angles",
                        "180",
                        "radius",
                        ".04",
                        "thickness",
                        ".032",
                        "k",
                        "0.4",
                        "measured",
                        "outside"));
        assertThat(value(hem, "Developed length")).isEqualTo("1.522 in");
        assertThat(value(hem, "Setback")).isEqualTo("none at 180°");
        assertThatThrownBy(() -> answer("bend", Map.of("legs", "1, .5", "angles", "180")))
                .hasMessageContaining("no apex")
                .hasMessageContaining("use outside or flat");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "bend|radius|-.1|The inside radius is -.1 in",
                "bend|angles|0, 90, 60|over 0° and up to 180°",
                "bend|angles|190, 90, 60|up to 180°",
                "bend|legs|.1, 1.5, 1, .5|Leg 1 of .1 in is too short by .065 in",
                "bend|legs|1, 2|2 legs and 3 bends",
                "bend|thickness|xx|Thickness: \"xx\" is not a length",
                "bracket|flanges|1: .1; 2: .75|too short by",
                "bracket|flanges|up|is no flange",
                "bracket|holes|9: 1, 1, #40|side 9, which has no flange",
                "bracket|base|3|is no corner",
                "radius|angle|0|over 0°",
                "taper|root|0, 0|three places",
                "taper|ribs|60|lies outside the sections",
                "flute|chord|-2|must be over 0",
                "flute|holes|3|at least two holes",
                "flute|bow|7|under half the chord",
                "cut|want|24 x|is no length and count",
                "cut|kerf|-1|kerf",
                "nesting|want|12|is no rectangle",
                "opening|across|0|must be over 0",
                "opening|steps|1/4, 1/8|Step 2",
                "rivet|diameter|.3|no flush rivet",
                "pulled|diameter|9 mm|ISO 15977 9 is not",
                "bolt|drag|-4|drag",
                "bolt|height|0|over 0",
                "gap|gap|1|make a bushing",
                "nest|hole|1|as wide as the nest",
                "coupon|scrap|.165|on scrap first",
                "coupon|every|0|no count",
                "row|pitch|0|must be over 0",
                "edge|diameter|0|must be over 0",
                "weight|list|screw x2|screw"
            })
    void impossible_figures_get_a_sentence(String code, String key, String text, String expected) {
        assertThatThrownBy(() -> answer(code, Map.of(key, text)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining(expected);
    }

    @Test
    void pulling_the_end_of_a_leg_changes_its_length_and_turns_its_bend() {
        Sum bend = Sums.of("bend").orElseThrow();
        Figures f = SumForm.fresh(bend, BARE, Unit.INCH)
                .with(Map.of("legs", "1, 2", "angles", "90"))
                .figures(BARE, Unit.INCH);
        // Drawn with the longer leg level: leg 2 runs along +x. A quarter of an inch outward along it.
        Map<String, String> longer = bend.pulled(f, 1, Length.in(.25).nanometres(), 0);
        assertThat(longer).containsEntry("legs", "1, 2.25").containsEntry("angles", "90");
        // Two inches up at the end of two inches turns the leg 45° further.
        Map<String, String> turned = bend.pulled(f, 1, 0, Length.in(2).nanometres());
        assertThat(turned).containsEntry("angles", "135");
        assertThat(bend.pulled(f, 0, 0, Length.in(.5).nanometres())).isEqualTo(Map.of("legs", "1.5, 2"));
    }

    @Test
    void radius_says_practical_safe_and_what_a_tweak_may_be() {
        Answer tight = answer("radius", Map.of("radius", ".06"));
        assertThat(says(tight, Level.ERROR, "under the practical least of .090 in"))
                .isTrue();
        assertThat(tight.table().orElseThrow().rows())
                .anySatisfy(r -> assertThat(r).containsExactly("yours .040", "2.25", "4.25", ".090", ".170"));
        assertThat(says(answer("radius", Map.of("tweak", "1.5")), Level.NOTE, "in the vice"))
                .isTrue();
        assertThat(says(answer("radius", Map.of("tweak", "-3")), Level.ERROR, "a new part"))
                .isTrue();
    }

    @Test
    void flutes_measured_again_are_reckoned_with_what_the_first_took() {
        // .10 to .02 took 80 %: for the rest 1 / .8 as much is asked, .05 × .2 / .8 = .0125 of excess.
        Answer again = answer("flute", Map.of("bow", ".10, .02"));
        assertThat(value(again, "Taken so far")).isEqualTo("80 %");
        assertThat(value(again, "Flutes")).startsWith("1 × ");
        assertThat(again.notes().getFirst().text()).contains("between holes 6 and 7");
        assertThat(value(answer("flute", Map.of("bow", ".10, 0")), "Flutes")).isEqualTo("none needed");
    }

    @Test
    void the_cutting_list_leaves_stock_of_the_wrong_gauge_alone_and_says_what_to_order() {
        Answer list = answer("cut", Map.of());
        assertThat(says(list, Level.ERROR, "This stock measures .094 in; .063 in is called for"))
                .isTrue();
        assertThat(value(list, "To order")).isEqualTo("1 × 72.000 in Strip 1 in");
        assertThat(value(list, "Bars cut")).isEqualTo("4, at least 4");
        Answer plain = answer("cut", Map.of("want", "24 x3", "stock", "72.3 x1", "trim", "0"));
        assertThat(plain.table().orElseThrow().rows())
                .containsExactly(List.of("Stock", "72.300", "3 × 24.000", ".120"));
        assertThat(says(
                        answer("cut", Map.of("want", "90 x1", "stock", "", "trim", "0")),
                        Level.ERROR,
                        "longer than the bars sold"))
                .isTrue();
    }

    @Test
    void an_opening_names_the_step_and_what_is_too_near() {
        assertThat(value(answer("opening", Map.of()), "Stop at")).isEqualTo("step 9, 5/8 in");
        Answer between = answer("opening", Map.of("across", ".6", "tangent", ".3"));
        assertThat(says(between, Level.WARNING, "No step is .600 in: stop at step 8"))
                .isTrue();
        assertThat(says(between, Level.ERROR, "of metal is left to the bend tangent"))
                .isTrue();
        Answer corners = answer("opening", Map.of("for", "opening with corners", "across", "2", "corner", ".06"));
        assertThat(value(corners, "Corner drill")).isEqualTo(".120 in");
        assertThat(says(corners, Level.ERROR, "place for a crack")).isTrue();
    }

    @Test
    void a_coupon_creeps_up_by_half_and_a_check_that_is_too_deep_stops_the_work() {
        // -3 head .179: from .175 to .180. At .165, .014 is missing: .0059 deeper, half of it first.
        Map<String, String> scrap = Map.of("scrap", ".165", "checks", "");
        assertThat(value(answer("coupon", scrap), "Next")).isEqualTo("deeper by .0029 in, then read");
        assertThat(value(answer("coupon", scrap), "Good from, to")).isEqualTo(".175 in to .180 in");
        Answer stop = answer("coupon", Map.of("scrap", ".178", "checks", ".179, .181"));
        assertThat(value(stop, "Next")).startsWith("STOP");
        assertThat(says(stop, Level.ERROR, "too deep by .001 in")).isTrue();
        // .178, .1765, .175 falls .003 in 50 holes: .175 is reached at hole 50, so the next one is out.
        Answer drifting = answer("coupon", Map.of("scrap", ".178", "checks", ".1765, .175"));
        assertThat(value(drifting, "Drift in 25 holes")).isEqualTo("−.0015 in");
        assertThat(value(drifting, "Next")).isEqualTo("after hole 51");
        assertThat(says(drifting, Level.WARNING, "set the stop before it")).isTrue();
    }

    @Test
    void a_gauge_adds_to_a_field_to_a_hundredth_of_a_mm() {
        SumForm form =
                SumForm.fresh(Sums.of("coupon").orElseThrow(), BARE, Unit.MM).with(Map.of("scrap", "4.4, "));
        assertThat(form.plus("scrap", List.of(Length.mm(4.52), Length.mm(4.5)))).isEqualTo("4.4, 4.52, 4.50");
        assertThat(form.with(Map.of("scrap", "")).plus("scrap", List.of(Length.in(.178))))
                .isEqualTo("4.52");
    }

    @Test
    void bolt_and_nest_and_gap_agree_with_the_core() {
        assertThat(value(answer("bolt", Map.of("drag", "8")), "Torque")).isEqualTo("28 to 33 in-lb");
        assertThat(value(answer("bolt", Map.of()), "Under the nut")).isEqualTo("2 regular");
        assertThat(value(answer("nest", Map.of("head", "#8 screw", "sub", ".125")), "Across the top"))
                .isEqualTo(".3553 in");
        assertThat(says(answer("nest", Map.of("sub", ".040")), Level.ERROR, "comes out below"))
                .isTrue();
        assertThat(value(answer("gap", Map.of("gap", ".095")), "Use")).isEqualTo("regular + thin");
    }

    @Test
    void the_bracket_shows_its_holes_flat_and_writes_its_flat() {
        Answer answer = answer("bracket", Map.of());
        // .46 up less the deduction of .1056 is .3544 below the mould line.
        assertThat(answer.table().orElseThrow().rows().get(1))
                .containsExactly("2", "side 1", "1.500", ".460", "1.500", "-.3544", ".098");
        assertThat(answer.flat()).isPresent();
        assertThat(says(
                        answer("bracket", Map.of("holes", "1: 1.5, .25, #40")),
                        Level.ERROR,
                        "from the bend tangent of side 1"))
                .isTrue();
        assertThat(says(answer("bracket", Map.of("grain", "along x")), Level.WARNING, "runs along the grain"))
                .isTrue();
    }

    @Test
    void a_kept_sum_comes_back_as_it_was_typed_and_older_ones_get_the_fields_they_lack() {
        Bench bench = Bench.of(CATALOGUE, Derivation.of(Dunlin.build(CATALOGUE.rules()), CATALOGUE));
        KeptSum kept = Dunlin.build(CATALOGUE.rules()).workshop().sums().getFirst();
        SumForm form = SumForm.of(kept, bench).orElseThrow();
        assertThat(form.typed()).containsAllEntriesOf(kept.figures()).containsEntry("k", "0.446");
        assertThat(form.keep(kept.id()).figures()).containsAllEntriesOf(kept.figures());
        assertThat(SumForm.of(new KeptSum(kept.id(), "tea", "Tea", Optional.empty(), Unit.MM, Map.of()), bench))
                .isEmpty();
        Dunlin.build(CATALOGUE.rules()).workshop().sums().forEach(k -> {
            SumForm f = SumForm.of(k, bench).orElseThrow();
            assertThat(f.sum().answer(f.figures(bench, Unit.INCH)).notes())
                    .as(k.name())
                    .noneMatch(n -> n.level() == Level.ERROR && !k.kind().equals("cut"));
        });
    }

    @Test
    void with_a_build_the_crib_and_the_demand_are_at_hand() {
        Bench bench = Bench.of(CATALOGUE, Derivation.of(Dunlin.build(CATALOGUE.rules()), CATALOGUE));
        assertThat(Sums.of("opening").orElseThrow().asks(bench))
                .anySatisfy(a -> assertThat(a.choices()).contains("Bench step drill"));
        assertThat(bench.demand()).containsKey("MS20426AD3-3.5");
        Sum weight = Sums.of("weight").orElseThrow();
        assertThat(weight.answer(SumForm.fresh(weight, bench, Unit.INCH).figures(bench, Unit.MM))
                        .lines()
                        .getFirst()
                        .value())
                .endsWith(" g");
    }

    @Test
    void the_bend_bench_of_a_part_takes_its_sheet_and_a_safe_radius() {
        var build = Dunlin.build(CATALOGUE.rules());
        var part = build.parts().stream()
                .filter(p -> p.name().equals("Main spar"))
                .findFirst()
                .orElseThrow();
        SumForm form = SumForm.of(part, Length.in(.040), BARE, Unit.INCH);
        assertThat(form.typed())
                .containsEntry("material", "2024-T3")
                .containsEntry("thickness", ".04")
                .containsEntry("radius", ".17");
        assertThat(form.part()).contains(part.id());
        assertThat(form.name()).isEqualTo("Main spar");
    }

    @Test
    void arcs_are_drawn_in_chords_on_their_circle() {
        var circle = Ring.circle(new Point(0, 0), Length.in(1));
        assertThat(Chords.of(circle))
                .hasSizeGreaterThan(50)
                .allSatisfy(p -> assertThat(Math.hypot(p.x(), p.y())).isCloseTo(25.4e6, within(1e-3)));
    }

    @Test
    void a_spare_is_ordered_by_ones_own_rejects_in_whole_packs() {
        // By hand: 120 + ceil(120 * 10 / 360) = 124; 24 more than there are, so one pack of 50.
        Answer answer = answer("spare", Map.of());
        assertThat(value(answer, "Wanted with the spare")).isEqualTo("124");
        assertThat(value(answer, "To order")).isEqualTo("50");
        assertThat(value(answer("spare", Map.of("hand", "124")), "To order")).isEqualTo("0");
        assertThatThrownBy(() -> answer("spare", Map.of("rejected", "341")))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("of 340 driven at most 340 can be rejected, was 341");
    }
}
