package bucina.store.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.drawing.Drawing;
import bucina.core.drawing.Question;
import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.sheet.Point;
import bucina.store.drawing.FileUnit;
import bucina.store.drawing.Progress;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tables as spreadsheets and people write them, against figures worked by hand. */
class HoleTableTest {

    private static final DrillTable DRILLS = CatalogueReader.shipped().drills();

    private static String lines(String text) {
        return text.replace("\\n", "\n")
                .replace("\\t", "\t")
                .replace("\\r", "\r")
                .replace("\\q", "\"")
                .replace("\\p", "|");
    }

    private static TableReading read(String text) {
        return HoleTable.read(lines(text), Unit.INCH, Optional.empty(), DRILLS, Progress.NONE);
    }

    private static Drawing.Shape first(TableReading t) {
        return t.faces().values().iterator().next().shapes().getFirst();
    }

    private static Point place(Drawing.Shape s) {
        return s instanceof Drawing.Circle c ? c.at() : ((Drawing.Spot) s).at();
    }

    private static Optional<Length> diameter(Drawing.Shape s) {
        return s instanceof Drawing.Circle c ? Optional.of(c.diameter()) : Optional.empty();
    }

    /** Place and diameter in inch; the diameter is empty where the table tells none. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "row,hole,x_mm,y_mm,diameter_mm\\nR1,1,25.4,50.8,2.4892|1|2|.098",
                "Y (in);X (in)\\n2,5;1,25|1.25|2.5|",
                "x\\ty\\n1 1/4\\t#40|1.25|0.098|",
                "25.4 mm,2|1|2|",
                "No.,Station [mm],Up [mm]\\n7,12.7,25.4|0.5|1|",
                "\uFEFFx_in,y_in\\r\\n'1.5,3\\r\\n|1.5|3|",
                "x;y;d\\n1,5;2;2,5 mm|1.5|2|.0984251969",
                // What parts cells.
                "sep=;\\nx_mm;y_mm\\n25.4;50.8|1|2|",
                "SEP=\\p\\nx\\py\\n1\\p2|1|2|",
                "x \\p y \\p d\\n1 \\p 2 \\p .125|1|2|.125",
                "Left skin; rev B, sheet 3\\n\\nx;y;d\\n1,5;2,25;0,125|1.5|2.25|.125",
                // Titles, comments and rows of units.
                "Holes of the lower skin\\nDrawn 12 March\\nx,y,dia\\n1,2,.125|1|2|.125",
                "# made by a script\\n# second line\\nx,y,dia\\n1,2,.125|1|2|.125",
                "// note\\nx,y\\n% more\\n1,2|1|2|",
                "x,y,dia\\nmm,mm,mm\\n25.4,50.8,3.175|1|2|.125",
                "x;y;d\\n[mm];[mm];[in]\\n25,4;50,8;0,125|1|2|.125",
                "hole,x,y\\n,(inch),(inch)\\n4,1,2|1|2|",
                "1,2,.125\\n3,4,.125|1|2|.125",
                "A title\\n1,2,.125|1|2|.125",
                // Units in headings.
                "x/mm,y/mm,Ø/mm\\n25.4,50.8,3.175|1|2|.125",
                "x_cm,y_cm\\n2.54,5.08|1|2|",
                "X {mm},Y <mm>,Ø (mm)\\n25.4,50.8,3.175|1|2|.125",
                "X in mm,Y in mm\\n25.4,50.8|1|2|",
                "xmm,ymm\\n25.4,50.8|1|2|",
                "x [m],y [m]\\n0.0254,0.0508|1|2|",
                "x (µm),y (µm)\\n25400,50800|1|2|",
                "x (mil),y (thou)\\n1000,2000|1|2|",
                "X (\\q),Y (″)\\n1,2|1|2|",
                "x mm;y inches\\n25,4;2|1|2|",
                "Station (feet),Up (in)\\n0.25,2|3|2|",
                // The diameter of a table in mm is in mm.
                "x_mm,y_mm,dia\\n25.4,50.8,3.175|1|2|.125",
                // Names in common languages.
                "Nr;X-Koordinate [mm];Y-Koordinate [mm];Durchmesser [mm]\\n1;25,4;50,8;3,175|1|2|.125",
                "Loch;x;y;Bohrer\\n1;1;2;#30|1|2|.1285",
                "trou;abscisse (mm);ordonnée (mm);diamètre (mm)\\n1;25,4;50,8;3,175|1|2|.125",
                "agujero;x (pulgadas);y (pulgadas);diámetro (pulgadas)\\n1;1;2;0,125|1|2|.125",
                "foro;ascissa [mm];ordinata [mm];Ø foro [mm]\\n1;25,4;50,8;3,175|1|2|.125",
                "gat;x (mm);y (mm);diameter (mm)\\n1;25,4;50,8;3,175|1|2|.125",
                "hål;x (tum);y (tum);borr (tum)\\n1;1;2;0,125|1|2|.125",
                // Names of the diameter, and drills.
                "x,y,Hole Dia.\\n1,2,.125|1|2|.125",
                "x,y,hole size\\n1,2,1/8|1|2|.125",
                "x,y,bore\\n1,2,.125|1|2|.125",
                "x,y,⌀\\n1,2,.125|1|2|.125",
                "x,y,drill\\n1,2,#30|1|2|.1285",
                "x,y,drill\\n1,2,30|1|2|.1285",
                "x,y,drill size\\n1,2,No. 30|1|2|.1285",
                "x,y,drill\\n1,2,.125|1|2|.125",
                "x_mm,y_mm,drill_mm\\n25.4,50.8,3|1|2|.1181102362",
                "x,y,radius\\n1,2,.0625|1|2|.125",
                "x,y,hole,d\\n1,2,7,.125|1|2|.125",
                // Figures.
                "x,y,d\\n1.27E+01,2e0,1.25e-1|12.7|2|.125",
                "x,y\\n½,1½|.5|1.5|",
                "x,y,d\\n1-1/4,2 3/8,1/8|1.25|2.375|.125",
                "x,y\\n1⅜,⅛|1.375|.125|",
                "x,y\\n1 1/4\\q,2\\q|1.25|2|",
                "x_mm;y_mm\\n1.234,5;2.000,0|48.6023622|78.7401575|",
                "x_mm,y_mm\\n\\q1,234.5\\q,\\q2,000.0\\q|48.6023622|78.7401575|",
                "x_mm;y_mm\\n1 234,5;2'000,0|48.6023622|78.7401575|",
                "x_mm;y_mm\\n1\u00a0234,5;2\u202f000,0|48.6023622|78.7401575|",
                "x,y\\n-1.5,+2|-1.5|2|",
                "x,y\\n3 cm,2.54cm|1.181102362|1|"
            })
    void a_hole_is_where_the_table_says(String text, double x, double y, Double diameter) {
        Drawing.Shape hole = first(read(text));
        assertThat(place(hole).across().in()).isCloseTo(x, within(1e-7));
        assertThat(place(hole).up().in()).isCloseTo(y, within(1e-7));
        if (diameter == null) {
            assertThat(diameter(hole)).isEmpty();
        } else {
            assertThat(diameter(hole).orElseThrow().in()).isCloseTo(diameter, within(1e-9));
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "x_mm,y_mm\\n1,2|millimetres",
                "x (in),y (in)\\n1,2|inches",
                "x,y\\ncm,cm\\n1,2|centimetres",
                "x,y\\n1 mm,2 in|said at each figure",
                "x,y\\n1,2|",
                "x_mm,y\\n1,2|",
                "x,y,dia_mm\\n1,2,3|",
                "1,2|"
            })
    void the_unit_is_what_the_table_says_of_both_places(String text, String unit) {
        assertThat(read(text).unit().map(FileUnit::name)).isEqualTo(Optional.ofNullable(unit));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "x_mm;y_mm\\n1,234;2,500|true|1.234",
                "x_mm,y_mm\\n\\q1,234\\q,\\q2,500\\q|true|1234",
                "x_mm;y_mm\\n1,234;2,5|false|1.234",
                "x_mm;y_mm\\n1,234;2.5|false|1234",
                "x (µm);y (µm)\\n1,234,567;2|false|1234.567",
                "x_mm;y_mm\\n1.234;2.500|false|1.234",
                "x_mm;y_mm\\n1.234;2,5|false|1234"
            })
    void a_comma_that_may_part_thousands_is_asked_about(String text, boolean asked, double x) {
        TableReading t = read(text);
        assertThat(t.asked().map(Question::code)).isEqualTo(asked ? Optional.of("decimal") : Optional.empty());
        assertThat(place(first(t)).across().mm()).isCloseTo(x, within(1e-6));
        if (asked) {
            TableReading comma =
                    HoleTable.read(lines(text), Unit.MM, Optional.of(DecimalMark.COMMA), DRILLS, Progress.NONE);
            TableReading point =
                    HoleTable.read(lines(text), Unit.MM, Optional.of(DecimalMark.POINT), DRILLS, Progress.NONE);
            assertThat(comma.asked()).isEmpty();
            assertThat(place(first(comma)).across().mm()).isCloseTo(1.234, within(1e-9));
            assertThat(place(first(point)).across().mm()).isCloseTo(1234, within(1e-9));
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "Lower skin\\nx,y,z\\n1,2,3\\n# end\\ntotal,|1 line of comment is passed over.;1 line of title is "
                        + "passed over.;Nothing is taken from: z.",
                "x,y,drill\\n1,2,40|Whole numbers in the column of drills are taken for drill numbers: 40 is #40.",
                "x_mm,y_mm,d\\n1,2,3|The column of diameters names no unit: taken for millimetres, as the places are."
            })
    void what_is_passed_over_or_taken_for_something_is_said(String text, String notes) {
        TableReading t = read(text.replace("\\ntotal,", "\\n,"));
        assertThat(t.faces().values().iterator().next().notes()).containsExactlyElementsOf(List.of(notes.split(";")));
    }

    @Test
    void lines_without_a_place_are_told_by_their_number() {
        TableReading t = read("x,y\\n1,2\\n,\\n3,\\n5,6");
        assertThat(t.faces().get("").shapes()).hasSize(2);
        assertThat(t.faces().get("").left()).singleElement().satisfies(l -> {
            assertThat(l.many()).isEqualTo(1);
            assertThat(l.why()).contains("the first is line 4");
        });
    }

    @Test
    void faces_rows_and_labels_are_kept() {
        TableReading t = read("face,row,hole,group,x_in,y_in\\nUpper,R1,4,US-1,1,2\\nLower,R2,7,LS-1,3,4");
        assertThat(t.faces()).containsOnlyKeys("Upper", "Lower");
        assertThat(t.faces().get("Upper").shapes()).singleElement().satisfies(s -> {
            assertThat(s.layer()).isEqualTo("HOLES-R1-US-1");
            assertThat(((Drawing.Spot) s).label()).contains(4);
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "`x_mm,y_mm\n1,wide`|line 2, y",
                "`hole,x_mm\n1,2`|no column for y",
                "`width,height\n1,2`|no column for x",
                "`x,y\n1,NaN`|line 2",
                "``|no hole",
                "`x,y\n`|no hole",
                "`x,y,d\n1,2,0`|over 0",
                "`x,y,radius\n1,2,-1`|over 0",
                "`a`|line 1 has 1 column",
                "`x,y\n1e99,1`|line 2",
                "`x;y\n1,5;2.5`|all one way",
                "`x,y\n1,2\n\"3,4`|cannot be read",
                "`x,y\n1..5,2`|line 2, x",
                "`x_mm,y_mm,d\n1,2,1/8`|fractions are of inches"
            })
    void a_table_that_cannot_be_used_is_told_by_its_line(String text, String expected) {
        assertThatThrownBy(() -> read(text)).isInstanceOf(InputException.class).hasMessageContaining(expected);
    }
}
