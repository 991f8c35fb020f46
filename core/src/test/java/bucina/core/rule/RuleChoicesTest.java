package bucina.core.rule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.io.StringReader;
import java.util.List;
import org.junit.jupiter.api.Test;

class RuleChoicesTest {

    private final Catalogue catalogue = CatalogueReader.shipped();

    @Test
    void the_schools_of_the_handbook_can_be_chosen() {
        List<RuleSet> sets = catalogue.ruleSets();
        assertThat(sets)
                .extracting(RuleSet::name)
                .containsExactly(
                        "Handbook",
                        "Two diameters for every head",
                        "Process specification",
                        "Two thirds for countersinks",
                        "Careful");
        assertThat(sets.get(0).differing(catalogue.rules())).isEmpty();
        assertThat(sets.get(1).differing(catalogue.rules())).singleElement().satisfies(r -> {
            assertThat(r.key()).isEqualTo(RuleKey.EDGE_LEAST_FLUSH);
            assertThat(r.reason()).contains("2 D");
        });
        assertThat(sets.get(4).differing(catalogue.rules())).hasSize(4);
    }

    @Test
    void a_set_older_than_a_rule_gets_its_shipped_value() {
        List<Rule> fewer = catalogue.rules().rules().stream()
                .filter(r -> r.key() != RuleKey.LAP_BACK)
                .toList();
        RuleSet filled = RuleSet.filled("old", fewer, catalogue.rules());
        assertThat(filled.length(RuleKey.LAP_BACK)).isEqualTo(Length.in(3));
        assertThat(filled.named("new").name()).isEqualTo("new");
        Catalogue own = CatalogueReader.read(name -> name.equals("rules")
                ? new StringReader("key,value,source\nedge.least.flush,2,own school\n")
                : CatalogueReader.shippedTable(name));
        assertThat(own.rules().factor(RuleKey.EDGE_LEAST_FLUSH)).isEqualTo(2);
        assertThat(own.rules().factor(RuleKey.EDGE_LEAST_PROTRUDING)).isEqualTo(2);
        assertThat(own.rules().rule(RuleKey.EDGE_LEAST_FLUSH).source()).isEqualTo("own school");
    }

    @Test
    void values_are_read_once_and_right_after_a_change() {
        RuleSet changed = catalogue
                .rules()
                .with(RuleKey.TANGENT_CLEAR, "1 mm", "slim set")
                .with(RuleKey.GAUGE_LEAST, "3", "room for the next size");
        assertThat(changed.length(RuleKey.TANGENT_CLEAR).mm()).isEqualTo(1);
        assertThat(changed.times(RuleKey.GAUGE_LEAST, Length.mm(4)).mm()).isEqualTo(12);
        assertThatThrownBy(() -> catalogue.rules().with(RuleKey.TANGENT_CLEAR, "wide", "x"))
                .isInstanceOf(InputException.class);
        assertThatThrownBy(() -> CatalogueReader.read(name -> name.equals("rule-choices")
                        ? new StringReader("name,key,value,reason\nX,no.rule,1,y\n")
                        : CatalogueReader.shippedTable(name)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("no.rule");
    }
}
