package bucina.core.form;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Hand;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PartTableTest {

    private final Build dunlin = Dunlin.build(CatalogueReader.shipped().rules());
    private final LengthParser inch =
            new LengthParser(Unit.INCH, CatalogueReader.shipped().drills());

    private PartTable.Taken taken(String text) {
        return PartTable.parse(text).onto(dunlin, PartStates.of(dunlin), inch);
    }

    private static Part part(Build build, String name) {
        return PartStates.of(build).named(name).orElseThrow();
    }

    @Test
    void a_pasted_list_adds_parts_and_changes_those_it_knows() {
        PartTable.Taken taken = taken("part number\tname\tqty\thand\talloy\tgauge\tcrate\n"
                + "DX-1\tFairing\t1\tleft\t6061-T6\t.032\tcrate 4\n"
                + "DX-2\tClip\t3\t\t2024-T3\t.040\t\n"
                + "DS-117\t\t\t\t\t.040\tshelf 2\n");
        assertThat(taken.added()).containsExactly("Fairing", "Clip 1", "Clip 2", "Clip 3");
        assertThat(taken.changed()).containsExactly("Main rib 3");
        Part fairing = part(taken.build(), "Fairing");
        assertThat(fairing.particulars().hand()).isEqualTo(Hand.LEFT);
        assertThat(fairing.particulars().called()).contains(Length.in(.032));
        assertThat(fairing.standing()).isEqualTo(Standing.CRATE);
        assertThat(part(taken.build(), "Main rib 3").particulars().place()).isEqualTo("shelf 2");
    }

    @Test
    void what_goes_out_comes_in_and_changes_nothing() {
        String csv = PartTable.csv(PartStates.of(dunlin), Unit.INCH);
        PartTable.Taken again = taken(csv);
        assertThat(again.added()).isEmpty();
        assertThat(again.changed()).isEmpty();
        assertThat(again.build()).isEqualTo(dunlin);
        assertThat(csv.lines()).hasSize(dunlin.parts().size() + 1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "one line|a line of headings and a line for each part",
                "colour,size;red,2|no column is called number or name",
                "name,hand;Clip,upward|line 2: hand \"upward\" is not known",
                "name,called;Clip,thick|line 2: ",
                "name,qty;Clip,many|line 2: quantity \"many\"",
                "name;\"Clip|a quotation mark is not closed"
            })
    void a_list_that_cannot_be_read_is_refused_by_its_line(String text, String expected) {
        assertThatThrownBy(() -> taken(text.replace(';', '\n')))
                .isInstanceOf(InputException.class)
                .hasMessageContaining(expected);
    }
}
