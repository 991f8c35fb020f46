package bucina.store.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.fail;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.drawing.Drawing;
import bucina.core.drawing.FaceDrawing;
import bucina.core.drawing.Intake;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.rivet.HeadStyle;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.store.dxf.DxfReader;
import bucina.store.svg.SvgReader;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** Damaged and hostile input ends in a drawing or a sentence: never a hang, never another exception. */
@Timeout(120)
class HostileTest {

    private static final int MUTATIONS = 1000;
    private static final String[] NASTY = {
        "NaN",
        "Infinity",
        "-1e308",
        "1e-400",
        "\0",
        "\uFFFF",
        "99999999999999999999",
        "\"",
        "\n\n\n",
        "0\nEOF\n",
        "<!--",
        "]]>",
        ";;;",
        "=cmd()",
        "-",
        "",
        "A 0 0 0 0 0",
        "transform=\"scale(0)\"",
        "1e12",
        "{}"
    };

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build demo = Dunlin.build(catalogue.rules());
    private final FaceReading face = Derivation.of(demo, catalogue)
            .face(demo.face("Main spar web").orElseThrow().face().id());

    private static String mutated(String text, Random random) {
        StringBuilder out = new StringBuilder(text);
        for (int i = random.nextInt(4); i >= 0 && out.length() > 2; i--) {
            int at = random.nextInt(Math.max(1, out.length() - 1));
            switch (random.nextInt(5)) {
                case 0 -> out.setCharAt(Math.min(at, Math.max(0, out.length() - 1)), (char) random.nextInt(256));
                case 1 -> out.delete(at, Math.min(out.length(), at + 1 + random.nextInt(60)));
                case 2 -> out.insert(at, NASTY[random.nextInt(NASTY.length)]);
                case 3 -> out.insert(at, out.substring(at, Math.min(out.length(), at + random.nextInt(400))));
                default -> out.setLength(Math.max(1, at));
            }
        }
        return out.toString();
    }

    private void survives(String text, Function<String, Drawing> reader) {
        Random random = new Random(31);
        Build empty = new Build("New", "", catalogue.rules(), 1, List.of(), List.of(), Map.of());
        Intake.Choices choices = new Intake.Choices(
                Optional.of(Length.mm(.6)),
                false,
                new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 4),
                Material.parse("2024-T3"),
                catalogue);
        int read = 0;
        for (int i = 0; i < MUTATIONS; i++) {
            String bad = mutated(text, random);
            try {
                Build made = Intake.of(reader.apply(bad)).asFace(empty, "Face", Unit.MM, choices);
                Derivation.of(made, catalogue);
                read++;
            } catch (InputException e) {
                assertThat(e.getMessage()).hasSizeBetween(15, 600).doesNotContain("Exception");
            } catch (RuntimeException e) {
                fail("mutation " + i + " of " + bad.length() + " characters", e);
            }
        }
        assertThat(read).isBetween(50, MUTATIONS - 1);
    }

    @Test
    void a_thousand_mutations_of_a_dxf() {
        survives(
                DxfWriter.write(FaceDrawing.of(face)),
                t -> DxfReader.read(t, Unit.MM, Progress.NONE).drawing());
    }

    @Test
    void a_thousand_mutations_of_an_svg() {
        survives(
                SvgWriter.write(FaceDrawing.of(face)),
                t -> SvgReader.read(t, Unit.MM, Progress.NONE).drawing());
    }

    @Test
    void a_thousand_mutations_of_a_table() {
        survives(HoleCsv.write(face.readings()), t -> Tables.read(t, Unit.MM, catalogue.drills(), Progress.NONE));
    }

    @Test
    void an_entity_bomb_does_not_go_off_and_no_file_is_fetched() {
        String bomb = "<?xml version=\"1.0\"?><!DOCTYPE svg [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b "
                + "\"&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;\"><!ENTITY c \"&b;&b;"
                + "&b;&b;&b;&b;&b;&b;&b;\">"
                + "<!ENTITY x SYSTEM \"file:///etc/passwd\">]><svg "
                + "xmlns=\"http://www.w3.org/2000/svg\"><text>&c;&c;&x;</text><circle r=\"1\"/></svg>";
        assertThatCode(() -> {
                    try {
                        SvgReader.read(bomb, Unit.MM, Progress.NONE).drawing();
                    } catch (InputException e) {
                        assertThat(e.getMessage()).contains("SVG");
                    }
                })
                .doesNotThrowAnyException();
    }

    @Test
    void deep_nesting_and_long_lines_are_refused() {
        String deep = "<svg xmlns=\"http://www.w3.org/2000/svg\">" + "<g>".repeat(100_000) + "</g>".repeat(100_000)
                + "</svg>";
        assertThatThrownBy(() -> SvgReader.read(deep, Unit.MM, Progress.NONE).drawing())
                .isInstanceOf(InputException.class)
                .hasMessageContaining("SVG");
        String line = "0\nSECTION\n2\nENTITIES\n0\nTEXT\n1\n" + "x".repeat(30_000_000);
        assertThatThrownBy(() -> DxfReader.read(line, Unit.MM, Progress.NONE))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("characters");
    }

    @Test
    void a_file_of_two_hundred_megabytes_in_one_line_is_refused_unread(@TempDir Path folder) throws IOException {
        Path large = folder.resolve("large.csv");
        try (RandomAccessFile file = new RandomAccessFile(large.toFile(), "rw")) {
            file.setLength(200L << 20);
        }
        assertThatThrownBy(() -> TextFile.read(large))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("200 MB");
        assertThatThrownBy(() -> TextFile.read(folder.resolve("none.dxf")))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("there is no file");
    }
}
