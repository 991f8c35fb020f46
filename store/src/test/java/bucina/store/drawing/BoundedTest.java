package bucina.store.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.drawing.Drawing;
import bucina.core.drawing.Intake;
import bucina.core.drawing.Left;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.store.dxf.DxfReader;
import bucina.store.svg.SvgReader;
import java.time.Duration;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Drawings that took minutes, or all the memory there is, once. */
class BoundedTest {

    private static String dxf(String entities) {
        return "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n" + entities
                + "0\nENDSEC\n0\nEOF\n";
    }

    private static Drawing read(String text) {
        return DxfReader.read(text, Unit.MM, Progress.NONE).drawing();
    }

    @Test
    void three_hundred_thousand_empty_lines_are_no_dxf() {
        assertThatThrownBy(() -> read("\n".repeat(300_000)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("no SECTION");
    }

    @Test
    void sixty_thousand_lines_to_one_point_are_gone_through_once() {
        String star = IntStream.range(0, 60_000)
                .mapToObj(i -> "0\nLINE\n8\nA\n10\n%d\n20\n%d\n11\n50\n21\n50\n".formatted(i % 1000, i / 1000))
                .collect(Collectors.joining());
        assertTimeoutPreemptively(
                Duration.ofSeconds(15),
                () -> assertThat(read(dxf(star)).left().stream()
                                .mapToInt(Left::many)
                                .sum())
                        .isGreaterThan(20_000));
    }

    @Test
    void an_arc_all_but_round_is_a_circle() {
        Drawing d = read(dxf("0\nARC\n8\nA\n10\n0\n20\n0\n40\n2\n50\n0\n51\n359.9999999999\n"
                + "0\nARC\n8\nA\n10\n9\n20\n0\n40\n2\n50\n0\n51\n360\n"));
        assertThat(d.shapes()).hasSize(2).allMatch(s -> s instanceof Drawing.Circle);
    }

    @Test
    void a_hundred_and_fifty_groups_in_each_other_are_an_svg() {
        String deep = "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm' viewBox='0 0 100 100'>"
                + "<g>".repeat(150) + "<circle cx='5' cy='5' r='1'/>" + "</g>".repeat(150) + "</svg>";
        assertThat(SvgReader.read(deep, Unit.MM, Progress.NONE).drawing().shapes())
                .hasSize(1);
    }

    @Test
    void a_hole_drawn_again_and_again_is_one_and_that_is_said() {
        String twice = "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm' viewBox='0 0 100 100'>"
                + "<circle cx='5' cy='5' r='1'/>".repeat(20_000) + "<circle cx='5' cy='5' r='2'/></svg>";
        Intake in = Intake.of(SvgReader.read(twice, Unit.MM, Progress.NONE).drawing());
        assertThat(in.count()).isEqualTo(2);
        assertThat(in.left()).singleElement().satisfies(l -> {
            assertThat(l.many()).isEqualTo(19_999);
            assertThat(l.why()).isEqualTo("drawn where one is already");
        });
    }

    @Test
    void twenty_thousand_faces_are_not_one_table() {
        String faces = "face,x_mm,y_mm\n"
                + IntStream.range(0, 20_000).mapToObj(i -> "F" + i + ",1,2\n").collect(Collectors.joining());
        assertThatThrownBy(() ->
                        Tables.faces(faces, Unit.MM, CatalogueReader.shipped().drills(), Progress.NONE))
                .hasMessageContaining("over 200 faces");
    }
}
