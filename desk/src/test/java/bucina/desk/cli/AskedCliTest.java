package bucina.desk.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a drawing leaves open is asked, with the option that answers it, and nothing is made before. */
class AskedCliTest extends OnCommandLine {

    private static final String PLATE = "0 SECTION 2 HEADER 9 $INSUNITS 70 %s 0 ENDSEC 0 SECTION 2 ENTITIES "
            + "0 LWPOLYLINE 8 S 70 1 10 0 20 0 10 10 20 0 10 10 20 5 10 0 20 5 "
            + "0 CIRCLE 8 %s 10 3 20 2 40 1 0 ENDSEC 0 EOF ";

    private Path file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text);
    }

    private Path plate(String unit, String layer) throws IOException {
        return file("plate.dxf", PLATE.formatted(unit, layer).replace(' ', '\n'));
    }

    private List<String> asked() {
        List<String> codes = new ArrayList<>();
        for (JsonNode each : json().at("/asked")) {
            codes.add(each.at("/code").asText() + " " + each.at("/option").asText());
        }
        return codes;
    }

    private double width() {
        return json().at("/sheets/0/width/mm").asDouble();
    }

    @Test
    void what_is_open_is_answered_in_json_with_the_figures_and_exit_two() throws IOException {
        Path out = folder.resolve("o.bucina");
        Path in = plate("0", "CUT");
        assertThat(line("import {} --from dxf --thickness .032 --out {} --json", in, out))
                .isEqualTo(2);
        assertThat(asked()).containsExactly("unit --unit", "inside --inside");
        assertThat(json().at("/asked/1/answers").toString()).isEqualTo("[\"openings\",\"sheets\"]");
        assertThat(json().at("/out").isNull()).isTrue();
        assertThat(json().at("/sheets")).hasSize(1);
        assertThat(err).contains("--unit in or --unit mm", "--inside openings or --inside sheets");
        assertThat(out).doesNotExist();
        assertThat(line("import {} --from dxf --thickness .032 --unit in --out {}", in, out))
                .isEqualTo(2);
        assertThat(line("import {} --from dxf --thickness .032 --unit in --inside openings --out {} --json", in, out))
                .isZero();
        assertThat(asked()).isEmpty();
        assertThat(json().at("/openings").asInt()).isEqualTo(1);
        assertThat(width()).isCloseTo(254, within(1e-6));
        assertThat(line(
                        "import {} --from dxf --thickness .032 --unit in --inside sheets --out {} --json",
                        in,
                        folder.resolve("p.bucina")))
                .isZero();
        assertThat(json().at("/sheets")).hasSize(2);
    }

    @Test
    void an_opening_on_the_layer_of_its_sheet_is_not_asked_about() throws IOException {
        Path in = plate("1", "S");
        assertThat(line("import {} --from dxf --thickness .032 --out {} --json", in, folder.resolve("o.bucina")))
                .isZero();
        assertThat(json().at("/openings").asInt()).isEqualTo(1);
        assertThat(json().at("/unit_from").asText()).isEqualTo("the file: inches");
    }

    @Test
    void a_unit_against_the_file_is_asked_about_and_kept_with_its_reason() throws IOException {
        Path in = plate("4", "S");
        String call = "import {} --from dxf --thickness .032in --unit in --out {} --json";
        assertThat(line(call, in, folder.resolve("o.bucina"))).isEqualTo(2);
        assertThat(asked()).containsExactly("against --because");
        assertThat(width()).isCloseTo(10, within(1e-9));
        assertThat(line(call + " --because 'drawn in inches'", in, folder.resolve("o.bucina")))
                .isZero();
        assertThat(width()).isCloseTo(254, within(1e-6));
        assertThat(json().at("/unit_from").asText()).contains("against the file: millimetres", "drawn in inches");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'width=\"100mm\" height=\"100mm\" viewBox=\"0 0 100 100\"' | | 20",
                "'width=\"100\" height=\"100\" viewBox=\"0 0 100 100\"' | unit --unit | 20",
                "'viewBox=\"0 0 100 100\"' | unit --unit | 20",
                "'width=\"96px\" height=\"96px\" viewBox=\"0 0 96 96\"' | | 5.291666667"
            })
    void an_svg_without_a_size_is_asked_about(String head, String open, double width) throws IOException {
        Path in = file(
                "p.svg",
                "<svg xmlns='http://www.w3.org/2000/svg' " + head + "><rect x='5' y='5' width='20' height='9'/></svg>");
        String call = "import {} --from svg --thickness .6mm --out {} --json";
        int code = line(call, in, folder.resolve("o.bucina"));
        assertThat(asked()).containsExactlyElementsOf(open == null ? List.of() : List.of(open));
        assertThat(code).isEqualTo(open == null ? 0 : 2);
        if (open != null) {
            assertThat(line(call + " --unit mm", in, folder.resolve("p.bucina")))
                    .isZero();
        }
        assertThat(width()).isCloseTo(width, within(1e-6));
    }

    @Test
    void a_table_is_asked_about_its_unit_and_its_commas_and_says_what_another_rivet_is() throws IOException {
        Path in = file("h.csv", "x;y;d\n1,234;2,500;3,264\n9,250;2,500;3,264\n");
        String call = "import {} --from csv --fastener MS20470AD3 --out {} --json";
        assertThat(line(call, in, folder.resolve("o.bucina"))).isEqualTo(2);
        assertThat(asked()).containsExactly("unit --unit", "decimal --decimal");
        assertThat(line(call + " --unit mm --decimal comma", in, folder.resolve("o.bucina")))
                .isZero();
        assertThat(json().at("/holes/0/diameter/mm").asDouble()).isCloseTo(3.264, within(1e-9));
        assertThat(json().at("/fasteners/0").asText()).contains("2 holes of", "not MS20470AD3");
    }

    @Test
    void holes_that_tell_no_diameter_are_those_of_the_rivet_chosen() throws IOException {
        Path in = file("h.csv", "x_in,y_in\n1,1\n2,1\n");
        Path out = folder.resolve("o.bucina");
        assertThat(line("import {} --from csv --fastener MS20470AD4 --out {} --json", in, out))
                .isZero();
        assertThat(json().at("/holes/0/count").asInt()).isEqualTo(2);
        assertThat(json().at("/holes/0/diameter/in").asDouble()).isCloseTo(.1285, within(1e-9));
        assertThat(json().at("/fasteners")).isEmpty();
        assertThat(line("groups {} --json", out)).isZero();
        assertThat(super.out).contains("MS20470AD4").doesNotContain("AD3");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"--inside both|write openings or sheets", "--decimal dot|write point or comma"})
    void an_answer_that_is_none_is_refused(String option, String sentence) throws IOException {
        Path in = file("h.csv", "x_in,y_in\n1,1\n");
        assertThat(line("import {} --from csv " + option + " --out {}", in, folder.resolve("o.bucina")))
                .isEqualTo(2);
        assertThat(err).contains(sentence);
    }
}
