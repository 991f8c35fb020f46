package bucina.store.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.drawing.Drawing;
import bucina.core.drawing.Intake;
import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.store.dxf.DxfReader;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files of other programs, written here by hand. */
class ReadersTest {

    private static final DrillTable DRILLS = CatalogueReader.shipped().drills();

    private static String dxf(String... lines) {
        return "0\nSECTION\n2\nENTITIES\n" + String.join("\n", lines) + "\n0\nENDSEC\n0\nEOF\n";
    }

    private static Drawing read(String text, Unit unit) {
        return DxfReader.read(text, unit, Progress.NONE).drawing();
    }

    @Test
    void lines_and_an_arc_that_meet_become_one_outline_with_the_arc_an_arc() {
        // A rectangle 4 x 2 in whose right end is half a circle of radius 1.
        Drawing d = read(
                dxf(
                        "0\nLINE\n8\nSKIN\n10\n0\n20\n0\n11\n4\n21\n0",
                        "0\nARC\n8\nSKIN\n10\n4\n20\n1\n40\n1\n50\n270\n51\n90",
                        "0\nLINE\n8\nSKIN\n10\n0\n20\n2\n11\n4\n21\n2",
                        "0\nLINE\n8\nSKIN\n10\n0\n20\n2\n11\n0\n21\n0"),
                Unit.INCH);
        Intake in = Intake.of(d);
        Outline outline = in.sheets().getFirst().outline();
        assertThat(outline.outer().area() / 25.4e6 / 25.4e6).isCloseTo(8 + Math.PI / 2, within(1e-6));
        assertThat(outline.edgeDistance(Point.in(4, 1)).in()).isCloseTo(1, within(1e-9));
        assertThat(in.left()).isEmpty();
    }

    @Test
    void light_and_heavy_polylines_with_bulges_agree() {
        String light =
                dxf("0\nLWPOLYLINE\n8\nA\n90\n4\n70\n1\n10\n0\n20\n0\n10\n4\n20\n0\n42\n1\n10\n4\n20\n2\n10\n0\n20\n2");
        String heavy = dxf(
                "0\nPOLYLINE\n8\nA\n66\n1\n70\n1",
                "0\nVERTEX\n8\nA\n10\n0\n20\n0",
                "0\nVERTEX\n8\nA\n10\n4\n20\n0\n42\n1",
                "0\nVERTEX\n8\nA\n10\n4\n20\n2",
                "0\nVERTEX\n8\nA\n10\n0\n20\n2",
                "0\nSEQEND");
        assertThat(read(light, Unit.MM).shapes()).isEqualTo(read(heavy, Unit.MM).shapes());
    }

    @Test
    void the_unit_of_the_header_counts_and_where_there_is_none_the_one_handed_in() {
        String inch = "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n1\n0\nENDSEC\n"
                + dxf("0\nCIRCLE\n8\nH\n10\n1\n20\n2\n40\n0.049");
        Reading said = DxfReader.read(inch, Unit.MM, Progress.NONE);
        assertThat(said.unit().orElseThrow().name()).isEqualTo("inches");
        assertThat(((Drawing.Circle) said.drawing().shapes().getFirst())
                        .diameter()
                        .in())
                .isCloseTo(.098, within(1e-9));
        Reading silent = DxfReader.read(dxf("0\nPOINT\n8\nH\n10\n25.4\n20\n0"), Unit.MM, Progress.NONE);
        assertThat(silent.unit()).isEmpty();
        assertThat(((Drawing.Spot) silent.drawing().shapes().getFirst())
                        .at()
                        .across()
                        .in())
                .isCloseTo(1, within(1e-9));
    }

    @Test
    void a_block_is_drawn_where_it_is_put_turned_and_scaled() {
        String text =
                "0\nSECTION\n2\nBLOCKS\n0\nBLOCK\n2\nHOLE\n10\n1\n20\n0\n0\nCIRCLE\n8\nH\n10\n2\n20\n0\n40\n0.05\n"
                        + "0\nENDBLK\n0\nENDSEC\n"
                        + dxf(
                                "0\nINSERT\n2\nHOLE\n10\n10\n20\n5\n41\n2\n42\n2\n50\n90",
                                "0\nINSERT\n2\nHOLE\n10\n0\n20\n0\n41\n1\n42\n-1",
                                "0\nINSERT\n2\nNONE\n10\n0\n20\n0");
        Drawing d = read(text, Unit.INCH);
        Drawing.Circle c = (Drawing.Circle) d.shapes().getFirst();
        assertThat(c.at().across().in()).isCloseTo(10, within(1e-6));
        assertThat(c.at().up().in()).isCloseTo(7, within(1e-6));
        assertThat(c.diameter().in()).isCloseTo(.2, within(1e-9));
        assertThat(d.shapes()).hasSize(2);
        assertThat(d.left())
                .singleElement()
                .satisfies(l -> assertThat(l.words(Unit.MM)).contains("the block \"NONE\" is not in this file"));
    }

    @Test
    void a_block_that_holds_itself_ends() {
        String text = "0\nSECTION\n2\nBLOCKS\n0\nBLOCK\n2\nA\n10\n0\n20\n0\n0\nINSERT\n2\nA\n10\n1\n20\n0\n"
                + "0\nINSERT\n2\nA\n10\n2\n20\n0\n0\nENDBLK\n0\nENDSEC\n"
                + dxf("0\nINSERT\n2\nA\n10\n0\n20\n0");
        assertThat(read(text, Unit.INCH).shapes()).isEmpty();
    }

    @Test
    void what_is_not_read_is_told_with_its_count() {
        assertThat(read(dxf("0\nSPLINE\n8\nA", "0\nSPLINE\n8\nA", "0\nHATCH\n8\nA"), Unit.INCH)
                        .left())
                .extracting(l -> l.words(Unit.MM))
                .containsExactly(
                        "2 SPLINE on layer \"A\" are left out: it has no control points: explode it into lines and"
                                + " arcs.",
                        "1 HATCH on layer \"A\" is left out: a hatch is not an outline: the lines around it are.");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "hello",
                "",
                "AutoCAD Binary DXF\r\n",
                "0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n40\nwide\n",
                "0\nSECTION\n2",
                "<svg/>",
                "0\nSECTION\n2\nENTITIES\n0\nPOINT\n10\n1e300\n20\n0\n0\nENDSEC\n",
                "0\nSECTION\n2\nENTITIES\n0\nLINE\n10\nNaN\n20\n0\n0\nENDSEC\n"
            })
    void what_is_no_dxf_is_refused_in_a_sentence(String text) {
        assertThatThrownBy(() -> DxfReader.read(text, Unit.INCH, Progress.NONE))
                .isInstanceOf(InputException.class)
                .hasMessageMatching("(?s).{20,}");
    }

    @Test
    void text_that_looks_like_a_formula_is_made_harmless() {
        assertThat(List.of("=1+1", "+A1", "-2", "@x", "\tx", "US-1").stream().map(HoleCsv::safe))
                .containsExactly("'=1+1", "'+A1", "'-2", "'@x", "'\tx", "US-1");
    }

    @Test
    void a_reading_that_is_stopped_leaves_nothing() {
        StringBuilder many = new StringBuilder();
        for (int i = 0; i < 5000; i++) {
            many.append("0\nCIRCLE\n8\nH\n10\n").append(i).append("\n20\n0\n40\n1\n");
        }
        String text = dxf(many.toString().strip());
        double[] seen = {0};
        assertThatThrownBy(() -> DxfReader.read(text, Unit.MM, share -> {
                    seen[0] = share;
                    return share < 0.3;
                }))
                .isInstanceOf(CancellationException.class)
                .hasMessageContaining("nothing was brought in");
        assertThat(seen[0]).isBetween(0.3, 0.4);
    }

    @Test
    void a_hole_in_a_sheet_is_an_opening_and_a_small_circle_a_hole() {
        Drawing d = read(
                dxf(
                        "0\nLWPOLYLINE\n8\nSKIN\n70\n1\n10\n0\n20\n0\n10\n10\n20\n0\n10\n10\n20\n10\n10\n0\n20\n10",
                        "0\nCIRCLE\n8\nSKIN\n10\n5\n20\n5\n40\n2",
                        "0\nCIRCLE\n8\nH\n10\n1\n20\n1\n40\n0.049",
                        "0\nLWPOLYLINE\n8\nBOW\n70\n1\n10\n0\n20\n0\n10\n1\n20\n1\n10\n1\n20\n0\n10\n0\n20\n1"),
                Unit.INCH);
        Intake in = Intake.of(d);
        assertThat(in.sheets()).singleElement().satisfies(s -> {
            assertThat(s.outline().openings()).hasSize(1);
            assertThat(s.outline().covers(Point.in(5, 5))).isFalse();
        });
        assertThat(in.count()).isEqualTo(1);
        assertThat(in.left())
                .singleElement()
                .satisfies(l -> assertThat(l.words(Unit.MM)).contains("crosses itself"));
    }

    @Test
    void older_text_is_read_and_a_file_too_large_is_refused_unread(@TempDir Path folder) throws Exception {
        assertThat(TextFile.text("Länge µm".getBytes(StandardCharsets.ISO_8859_1)))
                .isEqualTo("Länge µm");
        assertThat(TextFile.text("Länge µm".getBytes(StandardCharsets.UTF_8))).isEqualTo("Länge µm");
        Path large = folder.resolve("large.dxf");
        try (RandomAccessFile file = new RandomAccessFile(large.toFile(), "rw")) {
            file.setLength(200L << 20);
        }
        assertThatThrownBy(() -> TextFile.read(large))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("200 MB")
                .hasMessageContaining("64 MB");
        assertThatThrownBy(() -> TextFile.read(folder))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("there is no file");
    }
}
