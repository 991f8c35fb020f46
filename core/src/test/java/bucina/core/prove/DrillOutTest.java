package bucina.core.prove;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Preparation;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.prove.DrillOut.Next;
import bucina.core.rivet.HeadStyle;
import bucina.core.rule.Level;
import bucina.core.stack.Solver;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DrillOutTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Solver SOLVER = new Solver(CATALOGUE, CATALOGUE.rules());

    @ParameterizedTest
    @CsvSource({
        "UNIVERSAL,3,.0935,.040,.0860",
        "UNIVERSAL,4,.1200,.054,.1130",
        "UNIVERSAL,5,.1540,.067,.1495",
        "UNIVERSAL,6,.1850,.080,.1800",
        "FLUSH,3,.0935,.036,.0860",
        "FLUSH,4,.1200,.042,.1130"
    })
    void a_bit_under_the_shank_to_the_head_s_height_and_no_deeper(
            HeadStyle head, int dash, double bit, double depth, double hollow) {
        DrillOut out = DrillOut.of(CATALOGUE, head, Length.fraction(dash, 32));
        assertThat(out.bit().diameter().in()).isEqualTo(bit);
        assertThat(out.depth().in()).isEqualTo(depth);
        assertThat(out.hollow().diameter().in()).isEqualTo(hollow);
        assertThat(out.bit().diameter().compareTo(out.size().shank())).isNegative();
    }

    private static DrillOut.Chosen next(
            HeadStyle head, int dash, Preparation prep, double hole, List<Length> layers, List<Length> edges) {
        return DrillOut.of(CATALOGUE, head, Length.fraction(dash, 32))
                .next(CATALOGUE, CATALOGUE.rules(), "AD", prep, Length.in(hole), Holes.figures(SOLVER, layers, edges));
    }

    private static List<Length> in(double... figures) {
        List<Length> list = new ArrayList<>();
        for (double f : figures) {
            list.add(Length.in(f));
        }
        return list;
    }

    @ParameterizedTest
    @CsvSource({
        // Up to D + .010 the same: .1038 of 3/32, .135 of 1/8.
        "UNIVERSAL,4,NONE,.1285,SAME,MS20470AD4",
        "UNIVERSAL,4,NONE,.135,SAME,MS20470AD4",
        "UNIVERSAL,4,NONE,.1351,NEXT,MS20470AD5",
        // -5 is final-drilled .159, -6 .191.
        "UNIVERSAL,4,NONE,.159,NEXT,MS20470AD5",
        "UNIVERSAL,4,NONE,.1591,NEXT,MS20470AD6",
        "UNIVERSAL,4,NONE,.1911,ASK,''",
        // A flush head in a countersink takes the reduced head of the next size first: its hole #30, #21.
        "FLUSH,3,COUNTERSINK,.1037,SAME,MS20426AD3",
        "FLUSH,3,COUNTERSINK,.1039,REDUCED,NAS1097AD4",
        "FLUSH,3,COUNTERSINK,.1285,REDUCED,NAS1097AD4",
        "FLUSH,3,COUNTERSINK,.1286,NEXT,MS20426AD5",
        "FLUSH,4,COUNTERSINK,.159,REDUCED,NAS1097AD5",
        "FLUSH,5,COUNTERSINK,.175,NEXT,MS20426AD6",
        // Never in a dimple.
        "FLUSH,3,DIMPLE,.1039,NEXT,MS20426AD4"
    })
    void what_goes_in_is_the_first_that_holds(
            HeadStyle head, int dash, Preparation prep, double hole, Next expected, String rivet) {
        DrillOut.Chosen chosen = next(head, dash, prep, hole, List.of(), List.of());
        assertThat(chosen.next()).isEqualTo(expected);
        assertThat(chosen.option().map(o -> o.rivet().name()).orElse("")).isEqualTo(rivet);
    }

    @Test
    void the_edge_must_hold_in_every_sheet_and_the_sheet_must_take_the_nest() {
        // -5 protruding wants 2 D = .3125, -6 .375.
        assertThat(next(HeadStyle.UNIVERSAL, 4, Preparation.NONE, .14, in(.032, .04), in(.3125, .3125))
                        .next())
                .isEqualTo(Next.NEXT);
        DrillOut.Chosen asked = next(HeadStyle.UNIVERSAL, 4, Preparation.NONE, .14, in(.032, .04), in(.4, .312));
        assertThat(asked.next()).isEqualTo(Next.ASK);
        assertThat(asked.said()).isNotEmpty().allMatch(f -> f.level() == Level.ERROR);
        // The reduced -4 is .028 high: .040 takes it, .025 does not, and no flush -4 (.042) either.
        assertThat(next(HeadStyle.FLUSH, 3, Preparation.COUNTERSINK, .11, in(.04, .04), in(.5, .5))
                        .next())
                .isEqualTo(Next.REDUCED);
        assertThat(next(HeadStyle.FLUSH, 3, Preparation.COUNTERSINK, .11, in(.025, .04), in(.5, .5))
                        .next())
                .isEqualTo(Next.ASK);
    }

    @Test
    void the_reduced_head_deepens_the_nest_by_what_the_handbook_says() {
        double tan50 = Math.tan(Math.toRadians(50));
        for (int dash : new int[] {3, 4}) {
            double was = CATALOGUE
                    .rivet(HeadStyle.FLUSH, dash)
                    .orElseThrow()
                    .headDiameter()
                    .in();
            double is = CATALOGUE
                    .rivet(HeadStyle.REDUCED, dash + 1)
                    .orElseThrow()
                    .headDiameter()
                    .in();
            assertThat((is - was) / 2 / tan50)
                    .isCloseTo(dash == 3 ? .0055 : .0080, org.assertj.core.api.Assertions.within(.0001));
        }
    }

    @Test
    void no_offer_breaks_an_edge_or_a_nest_in_any_sheet() {
        Random random = new Random(31);
        int offered = 0;
        for (int i = 0; i < 4000; i++) {
            HeadStyle head = random.nextBoolean() ? HeadStyle.FLUSH : HeadStyle.UNIVERSAL;
            int dash = 3 + random.nextInt(3);
            Preparation prep = head == HeadStyle.FLUSH
                    ? random.nextBoolean() ? Preparation.COUNTERSINK : Preparation.DIMPLE
                    : Preparation.NONE;
            List<Length> layers = in(.016 + random.nextInt(60) / 1000.0, .016 + random.nextInt(60) / 1000.0);
            double first = .15 + random.nextDouble() * .4;
            double second = .15 + random.nextDouble() * .4;
            double hole = dash / 32.0 + random.nextInt(70) / 1000.0;
            DrillOut.Chosen chosen = next(head, dash, prep, hole, layers, in(first, second));
            if (chosen.next() == Next.REDUCED || chosen.next() == Next.NEXT) {
                offered++;
                double d = chosen.option().orElseThrow().rivet().dash() / 32.0;
                double least = (head == HeadStyle.FLUSH ? 2.5 : 2) * d - 1e-9;
                assertThat(Math.min(first, second)).isGreaterThanOrEqualTo(least);
                assertThat(hole)
                        .isLessThanOrEqualTo(
                                chosen.option().orElseThrow().hole().in() + 1e-9);
                if (prep == Preparation.COUNTERSINK) {
                    var size = CATALOGUE
                            .rivet(chosen.option().orElseThrow().rivet().head(), (int) Math.round(d * 32))
                            .orElseThrow();
                    assertThat(size.headHeight().compareTo(layers.getFirst())).isNegative();
                }
            }
        }
        assertThat(offered).isGreaterThan(100);
    }

    @Test
    void what_cannot_be_is_refused() {
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> next(HeadStyle.UNIVERSAL, 4, Preparation.NONE, .12, List.of(), List.of()))
                .withMessageContaining("shank of .125 in");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> DrillOut.of(CATALOGUE, HeadStyle.REDUCED, Length.in(.25)));
    }
}
