package bucina.core.dress;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.Length;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetSize;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Dimple, countersink or neither, for one sheet under the head,
 * against a table worked by hand. d: thinner than the school asks and .050 at most; c: thick enough;
 * x: too thin to cut and over .050. Head heights .036, .042, .055. Full: the sheet is thicker than the head (.036 in
 * .036 would not do); two thirds: 2/3 of the
 * sheet holds the head (2/3 of .063 is .042 exactly: a -4 goes in).
 */
class DecisionTableTest {

    private static final double[] SHEETS = {.016, .020, .025, .032, .040, .050, .063, .071, .080, .090, .100, .125};
    private static final Map<Character, Dress> WORDS =
            Map.of('d', Dress.DIMPLE, 'c', Dress.COUNTERSINK, 'x', Dress.IMPOSSIBLE);

    /*
     *                      .016 .020 .025 .032 .040 .050 .063 .071 .080 .090 .100 .125
     * full       3/32 .036:  d    d    d    d    c    c    c    c    c    c    c    c
     * full       1/8  .042:  d    d    d    d    d    c    c    c    c    c    c    c
     * full       5/32 .055:  d    d    d    d    d    d    c    c    c    c    c    c
     * two thirds 3/32 .036 needs .054:  d d d d d d c c c c c c
     * two thirds 1/8  .042 needs .063:  d d d d d d c c c c c c
     * two thirds 5/32 .055 needs .0825: d d d d d d x x x c c c
     */
    @ParameterizedTest
    @CsvSource({
        "full,3/32,ddddcccccccc",
        "full,1/8,dddddccccccc",
        "full,5/32,ddddddcccccc",
        "two-thirds,3/32,ddddddcccccc",
        "two-thirds,1/8,ddddddcccccc",
        "two-thirds,5/32,ddddddxxxccc"
    })
    void agrees_with_the_table(String school, String diameter, String expected) {
        int dash = Integer.parseInt(diameter.split("/")[0]) * 32 / Integer.parseInt(diameter.split("/")[1]);
        RivetSize size = CatalogueReader.shipped().rivet(HeadStyle.FLUSH, dash).orElseThrow();
        RuleSet rules = CatalogueReader.shippedRules().with(RuleKey.COUNTERSINK_SCHOOL, school, "test");
        for (int i = 0; i < SHEETS.length; i++) {
            Dressing dressing = Dressing.workOut(
                    List.of(Length.in(SHEETS[i])), FlushHead.of100(size.headDiameter(), size.headHeight()), rules);
            assertThat(dressing.plies().getFirst().dress())
                    .as("%s %s in %s", school, diameter, SHEETS[i])
                    .isEqualTo(WORDS.get(expected.charAt(i)));
        }
    }
}
