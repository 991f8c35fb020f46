package bucina.core.weight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.Plans;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.edit.PartEdits;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.Weighing;
import bucina.core.stack.Derivation;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Weights worked out by hand from figures on the drawing. */
class PartWeightTest {

    private static final Build BUILD = build();

    /** A skin of 64 x 4 and a flange of 64 x 1, with sixty rivets through both. */
    private static Build build() {
        Build one = Plans.build(Plans.face(
                List.of(Plans.layer(11, "Skin", .032, 0, 0, 64, 4), Plans.layer(12, "Flange", .040, 0, 1.5, 64, 2.5)),
                List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(Plans.row(1000, "R1", 2, 60))))));
        Part flange = new Part(new Id.Part(9), "Flange", Material.parse("6061-T6"), 2, true);
        return PartEdits.give(
                one.withParts(List.of(one.parts().getFirst(), flange), one.nextId()), new Id.Layer(12), flange.id());
    }

    private static Derivation derived(Build build) {
        return Derivation.of(build, CatalogueReader.shipped());
    }

    private static PartWeight skin(Build build) {
        return PartWeight.of(derived(build)).getFirst();
    }

    @Test
    void a_sheet_weighs_its_area_less_its_holes_by_gauge_and_density() {
        PartWeight skin = skin(BUILD);
        // 64 x 4 less 60 holes of #30, .1285.
        double area = 256 - 60 * Math.PI / 4 * .1285 * .1285;
        assertThat(skin.area()).isEqualTo(area, Offset.offset(1e-9));
        assertThat(skin.pounds().orElseThrow()).isCloseTo(area * .032 * .100, Percentage.withPercentage(.001));
        PartWeight flange = PartWeight.of(derived(BUILD)).getLast();
        double narrow = 64 - 60 * Math.PI / 4 * .1285 * .1285;
        assertThat(flange.pounds().orElseThrow()).isCloseTo(narrow * .040 * .098, Percentage.withPercentage(.001));
    }

    @Test
    void the_gauge_measured_stands_before_the_one_called_for() {
        Part part = skin(BUILD).part();
        Build measured = PartEdits.part(
                BUILD,
                part.id(),
                p -> p.with(p.particulars().withGauge(Optional.empty(), Optional.of(Length.in(.0315)))));
        assertThat(skin(measured).pounds().orElseThrow() / skin(BUILD).pounds().orElseThrow())
                .isEqualTo(.0315 / .032, Offset.offset(1e-9));
    }

    @Test
    void the_next_gauge_says_what_it_adds() {
        PartWeight skin = skin(BUILD);
        assertThat(skin.change(Length.in(.040)).orElseThrow())
                .isEqualTo(skin.area() * .008 * .100, Offset.offset(1e-9));
    }

    @Test
    void a_pulled_rivet_weighs_its_tube_its_head_and_the_mandrel_that_stays() {
        // ISO 15977 3.2 × 8 in mm: body 3.2, mandrel 2.0, head 6.7; by hand in cm³ and g.
        double tube = Math.PI / 4 * ((.32 * .32 - .2 * .2) * .8 + .67 * .67 * .064);
        double grams = tube * .096 * 27.68 + Math.PI / 4 * .04 * .8 * .284 * 27.68;
        assertThat(BuildWeight.fastener(CatalogueReader.shipped(), "ISO 15977 3.2 × 8")
                                .orElseThrow()
                        * FastenerWeight.GRAMS)
                .isCloseTo(grams, Percentage.withPercentage(.1));
        assertThat(BuildWeight.fastener(CatalogueReader.shipped(), "safety wire"))
                .isEmpty();
    }

    @Test
    void the_whole_is_its_parts_and_fasteners() {
        BuildWeight all = BuildWeight.of(derived(BUILD));
        // Sixty universal rivets of 1/8: 3/16 to 1/4 long, .25 across a head .054 high, at .099 lb/in³: 1 to 1.4 oz.
        assertThat(all.fasteners() * 16).isBetween(.35, .65);
        assertThat(all.total())
                .isEqualTo(
                        all.parts().stream()
                                        .mapToDouble(p -> p.pounds().orElseThrow())
                                        .sum()
                                + all.fasteners()
                                + all.primer(),
                        Offset.offset(1e-12));
        assertThat(all.without()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        // 58 long, 30 wide at the root and 20 at the tip: 1450 in² of .025 in 2024.
        "Upper skin,3.625",
        // Two flanges of 57.5 x .8 and a web 2.7 to 2.204 high: 233 in² of .040.
        "Rear spar,.932",
        // 3.6 x 2.2 less four bolt holes of 1/4, .125 in 6061.
        "Hinge plate,.0946",
        // Two flanges of .64 x 7.267 and a tab of .62 x 4.156, less twelve holes #40 and five #30, .025 in 6061.
        "Nose rib 1,.02872",
        // Twice .9 along 57.3, .040 in 6061.
        "Trailing edge strip,.4043"
    })
    void parts_of_the_demo_weigh_what_their_figures_say_to_one_percent(String name, double pounds) {
        Derivation dunlin = derived(Dunlin.build(CatalogueReader.shipped().rules()));
        PartWeight part = PartWeight.of(dunlin).stream()
                .filter(w -> w.part().name().equals(name))
                .findFirst()
                .orElseThrow();
        assertThat(part.pounds().orElseThrow()).isCloseTo(pounds, Percentage.withPercentage(1));
    }

    @Test
    void the_next_heavier_sheet_is_one_that_is_sold() {
        assertThat(skin(BUILD).heavier()).contains(Length.in(.040));
    }

    @Test
    void bolts_weigh_with_their_nuts_and_washers_and_larger_washers_say_what_they_add() {
        var catalogue = CatalogueReader.shipped();
        var quarter = catalogue.bolts().stream()
                .filter(t -> t.name().equals("1/4-28"))
                .findFirst()
                .orElseThrow();
        var regular = catalogue.washers().getFirst();
        var large = catalogue.washers().getLast();
        // Rings of .063: .5 and 1.125 across over a shank of .249, steel .284.
        double shank = quarter.shank().in();
        assertThat(FastenerWeight.washer(quarter, regular))
                .isCloseTo(.284 * .063 * Math.PI / 4 * (.25 - shank * shank), Percentage.withPercentage(.01));
        assertThat(FastenerWeight.washer(quarter, large))
                .isCloseTo(.284 * .063 * Math.PI / 4 * (1.265625 - shank * shank), Percentage.withPercentage(.01));
        BuildWeight all = BuildWeight.of(derived(Dunlin.build(catalogue.rules())));
        // Eight washers of 1/4, all regular.
        assertThat(all.larger())
                .isCloseTo(
                        8 * (FastenerWeight.washer(quarter, large) - FastenerWeight.washer(quarter, regular)),
                        Percentage.withPercentage(.01));
    }

    @Test
    void an_assembly_is_held_against_the_scale() {
        Derivation one = derived(BUILD);
        OnTheScale drawn = OnTheScale.of(one).getFirst();
        assertThat(drawn.pounds()).isEqualTo(BuildWeight.of(one).total(), Offset.offset(1e-12));
        assertThat(drawn.over()).isEmpty();
        double grams = OnTheScale.grams("1 lb", true);
        Build weighed = BUILD.withWorkshop(
                BUILD.workshop()
                        .with(new Weighing(
                                new Id.Weighing(BUILD.nextId()),
                                BUILD.assemblies().getFirst().id(),
                                grams,
                                LocalDate.of(2026, 11, 29),
                                "")),
                BUILD.nextId() + 1);
        assertThat(OnTheScale.of(derived(weighed)).getFirst().over().orElseThrow())
                .isEqualTo(1 - drawn.pounds(), Offset.offset(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"4.2 kg,4200", "850 g,850", "16 oz,453.59237", "2lb,907.18474", "1.5,1500", ".5,500"})
    void weights_are_read_as_people_type_them(String text, double grams) {
        assertThat(OnTheScale.grams(text, true)).isEqualTo(grams, Offset.offset(1e-9));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", ".", "heavy", "4,2 kg", "-1 kg", "1 stone"})
    void what_is_no_weight_is_refused(String text) {
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> OnTheScale.grams(text, true))
                .withMessageContaining("is no weight");
    }
}
