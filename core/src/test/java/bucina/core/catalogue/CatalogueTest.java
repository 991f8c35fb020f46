package bucina.core.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.measure.DrillSize;
import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetSize;
import java.io.StringReader;
import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CatalogueTest {

    private final Catalogue catalogue = CatalogueReader.shipped();

    @ParameterizedTest
    @CsvSource({
        "FLUSH,3,#40,.0980,.179,.036",
        "FLUSH,4,#30,.1285,.225,.042",
        "FLUSH,5,#21,.1590,.286,.055",
        "FLUSH,6,#11,.1910,.353,.070",
        "UNIVERSAL,3,#40,.0980,.187,.040",
        "UNIVERSAL,4,#30,.1285,.250,.054",
        "UNIVERSAL,5,#21,.1590,.312,.067",
        "UNIVERSAL,6,#11,.1910,.375,.080",
        "REDUCED,4,#30,.1285,.192,.028",
        "REDUCED,5,#21,.1590,.244,.037"
    })
    void the_shipped_figures_are_those_of_the_standards(
            HeadStyle head, int dash, String drill, double hole, double across, double height) {
        RivetSize size = catalogue.rivet(head, dash).orElseThrow();
        assertThat(size.drill()).isEqualTo(drill);
        assertThat(size.hole()).isEqualTo(Length.in(hole));
        assertThat(size.headDiameter()).isEqualTo(Length.in(across));
        assertThat(size.headHeight()).isEqualTo(Length.in(height));
        assertThat(size.source()).isNotBlank();
        assertThat(catalogue.drills().find(drill).orElseThrow().diameter()).isEqualTo(size.hole());
    }

    @ParameterizedTest
    @CsvSource({
        "#51,.0670",
        "#41,.0960",
        "#40,.0980",
        "#36,.1065",
        "#30,.1285",
        "#27,.1440",
        "#21,.1590",
        "#19,.1660",
        "#12,.1890",
        "#11,.1910",
        "#10,.1935",
        "F,.2570"
    })
    void the_drills_are_those_of_the_table(String name, double diameter) {
        assertThat(catalogue.drills().find(name).orElseThrow().diameter()).isEqualTo(Length.in(diameter));
        assertThat(catalogue.drills().named(Length.in(diameter)).orElseThrow().name())
                .isEqualTo(name);
    }

    @Test
    void half_sizes_are_stocked_in_three_thirty_seconds_only() {
        assertThat(catalogue.rivet(HeadStyle.FLUSH, 3).orElseThrow().stocked())
                .contains(new BigDecimal("2.5"), new BigDecimal("3.5"), new BigDecimal("4.5"));
        assertThat(catalogue.rivet(HeadStyle.FLUSH, 4).orElseThrow().stocked())
                .allMatch(dash -> dash.stripTrailingZeros().scale() <= 0);
    }

    @Test
    void a_diameter_that_is_not_there_is_refused_with_those_that_are() {
        assertThat(catalogue.rivet(HeadStyle.REDUCED, 3)).isEmpty();
        assertThatThrownBy(() -> catalogue.rivet(HeadStyle.REDUCED, Length.fraction(3, 32)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("1/8 in, 5/32 in")
                .hasMessageContaining(".09375 in");
        assertThat(catalogue.rivet(HeadStyle.FLUSH, Length.mm(3.175)).dash()).isEqualTo(4);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "FLAT,3,#40,.098,.179,.036,0,3,x|FLAT",
                "FLUSH,3,#40,.09,.179,.036,0,3,x|do not fit",
                "FLUSH,3,#40,.098,.179,0,0,3,x|do not fit",
                "FLUSH,3,#40,.098,.179,.036,0,many,x|line 2",
                "FLUSH,three,#40,.098,.179,.036,0,3,x|line 2"
            })
    void a_bad_rivet_row_is_named(String row, String expected) {
        String table =
                "head,dash,drill,hole_in,head_diameter_in,head_height_in,cup_depth_in,stocked_sixteenths,source\n" + row
                        + "\n";
        assertThatThrownBy(() -> CatalogueReader.read(
                        name -> name.equals("rivets") ? new StringReader(table) : CatalogueReader.shippedTable(name)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("table rivets")
                .hasMessageContaining(expected);
    }

    @Test
    void a_table_of_the_builders_own_replaces_the_shipped_one() {
        Catalogue own = CatalogueReader.read(name -> name.equals("drills")
                ? new StringReader("name,diameter_in,source\nX,.3970,own drill index\n")
                : CatalogueReader.shippedTable(name));
        assertThat(own.drills().find("x").orElseThrow().diameter()).isEqualTo(Length.in(.397));
        assertThat(own.drills().range()).isEqualTo("X to X");
        assertThat(new DrillTable(List.of()).range()).contains("empty");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> new DrillSize("#0", Length.ZERO, "x"))
                .withMessageContaining("over 0");
    }
}
