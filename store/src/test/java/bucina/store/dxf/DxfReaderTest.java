package bucina.store.dxf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.drawing.Drawing;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.store.drawing.Progress;
import bucina.store.drawing.Reading;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each thing that is in the DXF of other programs, alone, against figures worked out by hand. Millimetres. */
class DxfReaderTest {

    private static final double MM = 1_000_000;

    private static String section(String name, String... pairs) {
        return "0\nSECTION\n2\n" + name + "\n" + String.join("\n", pairs) + "\n0\nENDSEC\n";
    }

    private static Drawing read(String... sections) {
        return DxfReader.read(String.join("", sections) + "0\nEOF\n", Unit.MM, Progress.NONE)
                .drawing();
    }

    private static Drawing entities(String... entities) {
        return read(section("ENTITIES", entities));
    }

    private static Drawing.Circle circle(Drawing d) {
        assertThat(d.shapes()).hasSize(1);
        return (Drawing.Circle) d.shapes().getFirst();
    }

    private static Drawing.Path path(Drawing d) {
        assertThat(d.shapes()).as("left: " + d.left()).hasSize(1);
        return (Drawing.Path) d.shapes().getFirst();
    }

    private static void assertAt(Point p, double x, double y) {
        assertThat(p.x() / MM).isCloseTo(x, within(1e-6));
        assertThat(p.y() / MM).isCloseTo(y, within(1e-6));
    }

    private static double area(Drawing.Path path) {
        return new Ring(path.corners()).area() / MM / MM;
    }

    private static final String CIRCLE = "0\nCIRCLE\n8\nH\n10\n30\n20\n10\n40\n2";
    private static final String OVER = "\n210\n0\n220\n0\n230\n-1";

    @Test
    void what_is_turned_over_lies_on_the_other_side() {
        assertAt(circle(entities(CIRCLE)).at(), 30, 10);
        assertAt(circle(entities(CIRCLE + OVER)).at(), -30, 10);
        assertAt(circle(entities(CIRCLE + "\n230\n1")).at(), 30, 10);
    }

    @Test
    void an_outline_turned_over_is_of_the_other_hand() {
        String corner = "0\nLWPOLYLINE\n8\nS\n70\n1\n10\n0\n20\n0\n10\n40\n20\n0\n42\n0.5\n10\n40\n20\n10";
        Drawing.Path seen = path(entities(corner));
        Drawing.Path over = path(entities(corner + OVER));
        assertThat(area(over)).isCloseTo(area(seen), within(1e-9));
        assertAt(over.corners().get(1).at(), -40, 0);
        assertThat(over.corners().get(1).bulge()).isCloseTo(-0.5, within(1e-9));
    }

    @Test
    void an_arc_turned_over_bends_the_other_way() {
        String arc = "0\nARC\n8\nA\n10\n0\n20\n0\n40\n10\n50\n0\n51\n90";
        String back = "0\nLINE\n8\nA\n10\n%s10\n20\n0\n11\n0\n21\n10";
        double quarter = Math.PI * 25 - 50;
        assertThat(area(path(entities(arc, back.formatted(""))))).isCloseTo(quarter, within(1e-6));
        Drawing.Path over = path(entities(arc + OVER, back.formatted("-")));
        assertThat(area(over)).isCloseTo(quarter, within(1e-6));
        assertThat(new Ring(over.corners()).contains(new Point(-7 * MM, 7 * MM)))
                .isTrue();
    }

    @Test
    void what_lies_in_a_tilted_plane_is_left_out_and_told() {
        assertThat(entities(CIRCLE + "\n210\n1\n220\n0\n230\n0").left())
                .extracting(l -> l.words(Unit.MM))
                .containsExactly(
                        "1 CIRCLE on layer \"H\" is left out: drawn in a plane that is tilted, at 30.00, 10.00 mm.");
    }

    private static Drawing inserted(String insert) {
        return read(
                section(
                        "BLOCKS",
                        "0\nBLOCK\n2\nTab\n10\n10\n20\n0",
                        "0\nCIRCLE\n8\n0\n10\n12\n20\n3\n40\n1",
                        "0\nENDBLK"),
                section("ENTITIES", "0\nINSERT\n8\nPART\n2\n" + insert));
    }

    @Test
    void a_block_is_mirrored_stretched_turned_and_named_in_any_case() {
        Drawing.Circle plain = circle(inserted("tab\n10\n100\n20\n50"));
        assertAt(plain.at(), 102, 53);
        assertThat(plain.layer()).as("layer 0 of a block is that of the insert").isEqualTo("PART");
        assertAt(circle(inserted("TAB\n10\n100\n20\n50\n41\n-1")).at(), 98, 53);
        assertAt(circle(inserted("TAB\n10\n100\n20\n50\n50\n90")).at(), 97, 52);
        assertAt(circle(inserted("TAB\n10\n100\n20\n50\n41\n-1\n50\n90")).at(), 97, 48);
        assertAt(circle(inserted("TAB\n10\n100\n20\n50" + OVER)).at(), -102, 53);
        Drawing.Path stretched = path(inserted("TAB\n10\n100\n20\n50\n41\n3\n42\n1"));
        assertThat(area(stretched)).isCloseTo(Math.PI * 3, within(2e-3));
    }

    @Test
    void a_block_is_repeated_in_columns_and_rows() {
        Drawing d = inserted("TAB\n10\n100\n20\n50\n70\n3\n71\n2\n44\n20\n45\n7\n50\n90");
        assertThat(d.shapes()).hasSize(6);
        assertAt(((Drawing.Circle) d.shapes().getLast()).at(), 97 - 7, 52 + 40);
    }

    @Test
    void blocks_lie_in_blocks() {
        Drawing d = read(
                section(
                        "BLOCKS",
                        "0\nBLOCK\n2\nA\n10\n0\n20\n0",
                        "0\nCIRCLE\n8\n0\n10\n1\n20\n0\n40\n1",
                        "0\nENDBLK",
                        "0\nBLOCK\n2\nB\n10\n0\n20\n0",
                        "0\nINSERT\n8\n0\n2\nA\n10\n10\n20\n0\n41\n2\n42\n2",
                        "0\nENDBLK"),
                section("ENTITIES", "0\nINSERT\n8\nX\n2\nB\n10\n0\n20\n5\n42\n-1"));
        Drawing.Circle c = circle(d);
        assertAt(c.at(), 12, 5);
        assertThat(c.layer()).isEqualTo("X");
        assertThat(c.diameter().mm()).isCloseTo(4, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({
        "1, inches, 25.4",
        "2, feet, 304.8",
        "4, millimetres, 1",
        "5, centimetres, 10",
        "6, metres, 1000",
        "9, thousandths of an inch, .0254",
        "10, yards, 914.4",
        "13, micrometres, .001",
        "14, decimetres, 100"
    })
    void the_unit_is_what_the_header_says(int code, String name, double mm) {
        Reading r = DxfReader.read(
                section("HEADER", "9\n$MEASUREMENT\n70\n1\n9\n$INSUNITS\n70\n" + code)
                        + section("ENTITIES", "0\nPOINT\n8\nH\n10\n1\n20\n0") + "0\nEOF",
                Unit.INCH,
                Progress.NONE);
        assertThat(r.unit().orElseThrow().name()).isEqualTo(name);
        assertAt(((Drawing.Spot) r.drawing().shapes().getFirst()).at(), mm, 0);
    }

    @Test
    void where_the_file_says_no_unit_nobody_guesses() {
        for (String header : List.of("9\n$INSUNITS\n70\n0", "9\n$MEASUREMENT\n70\n0", "9\n$ACADVER\n1\nAC1009")) {
            assertThat(DxfReader.read(
                                    section("HEADER", header) + section("ENTITIES", CIRCLE) + "0\nEOF\n",
                                    Unit.MM,
                                    Progress.NONE)
                            .unit())
                    .isEmpty();
        }
    }

    @Test
    void the_unit_of_the_file_can_be_overruled() {
        byte[] file = (section("HEADER", "9\n$INSUNITS\n70\n4") + section("ENTITIES", CIRCLE) + "0\nEOF\n")
                .getBytes(StandardCharsets.US_ASCII);
        Reading r = DxfReader.as(file, Unit.INCH, Progress.NONE);
        assertThat(circle(r.drawing()).diameter().in()).isCloseTo(4, within(1e-9));
        assertThat(r.unit().orElseThrow().name()).isEqualTo("millimetres");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0_LAYER_2_H_70_1_62_7|its layer is frozen",
                "0_LAYER_2_h_70_0_62_-7|its layer is off",
                "0_LAYER_2_H_70_0_62_7_290_0|its layer is not printed",
            })
    void what_is_on_a_layer_that_is_not_shown_stays_out(String layer, String why) {
        Drawing d = read(section("TABLES", layer.replace('_', '\n')), section("ENTITIES", CIRCLE));
        assertThat(d.shapes()).isEmpty();
        assertThat(d.left()).singleElement().satisfies(l -> {
            assertThat(l.why()).isEqualTo(why);
            assertThat(l.layer()).isEqualTo("H");
            assertAt(l.at().orElseThrow(), 30, 10);
        });
    }

    @Test
    void what_is_hidden_or_on_paper_or_construction_stays_out() {
        assertThat(entities(CIRCLE + "\n67\n1").left().getFirst().why()).contains("paper sheet");
        assertThat(entities(CIRCLE + "\n60\n1").left().getFirst().why()).isEqualTo("it is hidden");
        assertThat(entities(CIRCLE.replace("\nH\n", "\nDefpoints\n"))
                        .left()
                        .getFirst()
                        .why())
                .contains("points of dimensions");
        assertThat(entities("0\nXLINE\n8\nA\n10\n0\n20\n0\n11\n1\n21\n0")
                        .left()
                        .getFirst()
                        .why())
                .isEqualTo("construction without end");
        assertThat(read(
                                section("TABLES", "0\nLAYER\n2\nPART\n70\n1"),
                                section("BLOCKS", "0\nBLOCK\n2\nT\n10\n0\n20\n0", CIRCLE, "0\nENDBLK"),
                                section("ENTITIES", "0\nINSERT\n8\nPART\n2\nT\n10\n0\n20\n0"))
                        .shapes())
                .as("a block on a frozen layer")
                .isEmpty();
    }

    @Test
    void round_holes_are_round_however_they_are_drawn() {
        String twoArcs =
                "0\nARC\n8\nH\n10\n5\n20\n5\n40\n2\n50\n0\n51\n180\n0\nARC\n8\nH\n10\n5\n20\n5\n40\n2\n50\n180\n51\n0";
        String bulged = "0\nLWPOLYLINE\n8\nH\n70\n1\n10\n3\n20\n5\n42\n1\n10\n7\n20\n5\n42\n1";
        String quarters = "0\nLWPOLYLINE\n8\nH\n70\n1\n10\n3\n20\n5\n42\n.414213562373\n10\n5\n20\n3\n42\n.414213562373"
                + "\n10\n7\n20\n5\n42\n.414213562373\n10\n5\n20\n7\n42\n.414213562373";
        String ellipse = "0\nELLIPSE\n8\nH\n10\n5\n20\n5\n11\n2\n21\n0\n40\n1\n41\n0\n42\n6.283185307179586";
        StringBuilder sided = new StringBuilder("0\nLWPOLYLINE\n8\nH\n70\n1");
        for (int i = 0; i < 36; i++) {
            sided.append("\n10\n%.6f\n20\n%.6f"
                    .formatted(5 + 2 * Math.cos(Math.toRadians(10 * i)), 5 + 2 * Math.sin(Math.toRadians(10 * i))));
        }
        for (String round : List.of(twoArcs, bulged, quarters, ellipse, sided.toString())) {
            Drawing.Circle c = circle(entities(round));
            assertThat(c.at().x() / MM).as(round).isCloseTo(5, within(1e-5));
            assertThat(c.diameter().mm()).as(round).isCloseTo(4, within(1e-5));
        }
        assertThat(entities(sided.toString()).notes())
                .containsExactly("1 line with 36 even sides is taken for round, measured over the corners.");
    }

    @Test
    void a_ring_drawn_as_a_thick_line_is_a_hole_as_wide_as_its_inner_edge() {
        String donut = "0\nLWPOLYLINE\n8\nH\n70\n1\n43\n%s\n10\n3\n20\n5\n42\n1\n10\n7\n20\n5\n42\n1";
        assertThat(circle(entities(donut.formatted("1"))).diameter().mm()).isCloseTo(3, within(1e-9));
        assertThat(circle(entities(donut.formatted("4"))).diameter().mm()).isCloseTo(8, within(1e-9));
    }

    @Test
    void what_is_not_round_stays_what_it_is() {
        assertThat(entities("0\nLWPOLYLINE\n8\nS\n70\n1\n10\n0\n20\n0\n10\n4\n20\n0\n10\n4\n20\n4\n10\n0\n20\n4")
                        .shapes()
                        .getFirst())
                .isInstanceOf(Drawing.Path.class);
        // A slot: two half circles of one size, but apart.
        Drawing.Path slot = path(entities("0\nLWPOLYLINE\n8\nS\n70\n1\n10\n0\n20\n0\n10\n20\n20\n0\n42\n1"
                + "\n10\n20\n20\n10\n10\n0\n20\n10\n42\n1"));
        assertThat(area(slot)).isCloseTo(200 + Math.PI * 25, within(1e-6));
    }

    @Test
    void ellipses_and_splines_are_within_a_hundredth_of_their_curve() {
        Drawing.Path ellipse =
                path(entities("0\nELLIPSE\n8\nS\n10\n0\n20\n0\n11\n40\n21\n0\n40\n0.5\n41\n0\n42\n6.283185307179586"));
        assertThat(area(ellipse)).isCloseTo(Math.PI * 40 * 20, within(.5));
        // A quarter circle as a rational spline is an arc.
        String quarter = "0\nSPLINE\n8\nS\n70\n4\n71\n2\n72\n6\n73\n3\n40\n0\n40\n0\n40\n0\n40\n1\n40\n1\n40\n1"
                + "\n10\n10\n20\n0\n10\n10\n20\n10\n10\n0\n20\n10\n41\n1\n41\n0.70710678118\n41\n1";
        Drawing.Path wedge = path(entities(
                quarter, "0\nLINE\n8\nS\n10\n0\n20\n10\n11\n0\n21\n0", "0\nLINE\n8\nS\n10\n0\n20\n0\n11\n10\n21\n0"));
        assertThat(wedge.corners()).hasSize(3);
        assertThat(area(wedge)).isCloseTo(Math.PI * 25, within(1e-4));
        // A cubic with its ends on a line: its area is 3/20 of the rectangle of its control points each way.
        String cubic = "0\nSPLINE\n8\nS\n70\n0\n71\n3\n72\n8\n73\n4" + "\n40\n0".repeat(4) + "\n40\n1".repeat(4)
                + "\n10\n0\n20\n0\n10\n0\n20\n20\n10\n30\n20\n20\n10\n30\n20\n0";
        Drawing.Path bow = path(entities(cubic, "0\nLINE\n8\nS\n10\n0\n20\n0\n11\n30\n21\n0"));
        assertThat(area(bow)).isCloseTo(30 * 20 * .6, within(.2));
    }

    @Test
    void an_ellipse_turned_over_goes_the_other_way_round() {
        String half = "0\nELLIPSE\n8\nS\n10\n0\n20\n0\n11\n40\n21\n0\n40\n0.5\n41\n0\n42\n3.14159265358979";
        String chord = "0\nLINE\n8\nS\n10\n-40\n20\n0\n11\n40\n21\n0";
        Ring seen = new Ring(path(entities(half, chord)).corners());
        Ring over = new Ring(path(entities(half + OVER, chord)).corners());
        assertThat(seen.contains(new Point(0, 10 * MM))).isTrue();
        assertThat(over.contains(new Point(0, 10 * MM))).isFalse();
        assertThat(over.contains(new Point(0, -10 * MM))).isTrue();
    }

    @Test
    void lines_that_leave_the_plane_and_bodies_stay_out() {
        assertThat(entities("0\nLINE\n8\nA\n10\n0\n20\n0\n30\n0\n11\n0\n21\n0\n31\n5")
                        .left()
                        .getFirst()
                        .why())
                .contains("leaves the plane");
        assertThat(entities("0\nPOLYLINE\n8\nA\n70\n64").left().getFirst().why())
                .contains("flat view");
    }

    @Test
    void a_file_that_ends_before_its_end_is_refused() {
        String whole = section("ENTITIES", CIRCLE) + "0\nEOF\n";
        assertThat(DxfReader.read(whole, Unit.MM, Progress.NONE).drawing().shapes())
                .hasSize(1);
        assertThat(DxfReader.read(whole + "\u001a", Unit.MM, Progress.NONE)
                        .drawing()
                        .shapes())
                .hasSize(1);
        for (String cut : List.of(section("ENTITIES", CIRCLE), "0\nSECTION\n2\nENTITIES\n" + CIRCLE + "\n")) {
            assertThatThrownBy(() -> DxfReader.read(cut, Unit.MM, Progress.NONE))
                    .isInstanceOf(InputException.class)
                    .hasMessageContaining("cut off");
        }
    }

    @ParameterizedTest
    @CsvSource({"UTF-8, ", "UTF-16LE, \uFEFF", "UTF-16BE, \uFEFF", "UTF-8, \uFEFF", "windows-1252, ", "windows-1250, "})
    void layers_are_named_in_any_code(String code, String mark) {
        String page = code.startsWith("windows") ? "9\n$DWGCODEPAGE\n3\n" + code.replace("windows-", "ANSI_") : "";
        String text = (mark == null ? "" : mark)
                + section("HEADER", "9\n$INSUNITS\n70\n4", page.isEmpty() ? "9\n$X\n70\n0" : page)
                + section("ENTITIES", CIRCLE.replace("\nH\n", "\nL\u00f6cher\n")) + "0\nEOF\n";
        Drawing d = DxfReader.read(text.getBytes(Charset.forName(code)), Unit.MM, Progress.NONE)
                .drawing();
        assertThat(circle(d).layer()).isEqualTo("L\u00f6cher");
    }

    @Test
    void escapes_are_the_letters_they_stand_for() {
        assertThat(circle(entities(CIRCLE.replace("\nH\n", "\nL\\U+00F6cher\n")))
                        .layer())
                .isEqualTo("L\u00f6cher");
    }
}
