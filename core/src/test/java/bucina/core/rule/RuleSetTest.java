package bucina.core.rule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import java.io.Reader;
import java.io.StringReader;
import java.util.List;
import org.junit.jupiter.api.Test;

class RuleSetTest {

    private final RuleSet rules = CatalogueReader.shipped().rules();

    @Test
    void every_rule_has_a_source() {
        assertThat(rules.rules())
                .hasSize(RuleKey.values().length)
                .allSatisfy(r -> assertThat(r.source()).isNotBlank());
    }

    @Test
    void a_replaced_value_keeps_its_reason() {
        RuleSet changed = rules.with(RuleKey.EDGE_LEAST_FLUSH, "2", "the kit's manual takes 2 D");
        assertThat(changed.factor(RuleKey.EDGE_LEAST_FLUSH)).isEqualTo(2);
        assertThat(changed.rule(RuleKey.EDGE_LEAST_FLUSH).reason()).isEqualTo("the kit's manual takes 2 D");
        assertThat(rules.factor(RuleKey.EDGE_LEAST_FLUSH)).isEqualTo(2.5);
    }

    @Test
    void a_value_of_the_wrong_kind_is_refused_by_name() {
        assertThatThrownBy(() -> rules.with(RuleKey.EDGE_MOST, "wide", "x"))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("edge.most");
        assertThatThrownBy(() -> rules.with(RuleKey.EDGE_MOST, "NaN", "x")).hasMessageContaining("over 0");
        assertThatThrownBy(() -> rules.with(RuleKey.SHOP_SCHOOL, "own", "x")).hasMessageContaining("process, gauge");
        assertThatThrownBy(() -> rules.with(RuleKey.COLD_DIMPLE_MOST, "-1 mm", "x"))
                .hasMessageContaining("over 0");
    }

    @Test
    void edge_limits_are_inclusive_and_judged_with_the_fasteners_own_diameter() {
        // 2.5 x 1/8 = .3125; 2 x 1/8 = .25; 4 x 1/8 = .5.
        EdgeRule flush = EdgeRule.of(rules, Length.fraction(1, 8), true);
        assertThat(flush.judge(Length.in(.3125))).isEmpty();
        assertThat(flush.judge(Length.in(.3124))).extracting(Finding::rule).containsExactly(EdgeRule.LEAST);
        EdgeRule universal = EdgeRule.of(rules, Length.fraction(1, 8), false);
        assertThat(universal.allows(Length.in(.25))).isTrue();
        assertThat(universal.judge(Length.in(.5))).isEmpty();
        assertThat(universal.judge(Length.in(.501))).extracting(Finding::level).containsExactly(Level.WARNING);
    }

    @Test
    void a_finding_shows_value_rule_and_remedy_in_either_unit() {
        Finding finding = EdgeRule.of(rules, Length.fraction(1, 8), true)
                .judge(Length.in(.28))
                .getFirst();
        assertThat(finding.message().in(Unit.INCH))
                .isEqualTo("The hole is .280 in from the edge; 2.5 D = .3125 in is the least.");
        assertThat(finding.message().in(Unit.MM)).contains("7.112 mm", "7.938 mm");
        assertThat(finding.remedy().in(Unit.INCH)).startsWith("Move the hole .0325 in inward");
    }

    @Test
    void a_bad_row_of_a_table_is_named_by_table_line_and_value() {
        Reader bad = new StringReader("name,diameter_in,source\n#40,wide,x\n");
        assertThatThrownBy(() ->
                        CatalogueReader.read(name -> name.equals("drills") ? bad : CatalogueReader.shippedTable(name)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("table drills, line 2")
                .hasMessageContaining("wide");
        assertThatThrownBy(() -> RuleSet.of("short", List.of())).hasMessageContaining("lacks edge.least.protruding");
    }
}
