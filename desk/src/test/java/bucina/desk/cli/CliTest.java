package bucina.desk.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.desk.session.Sessions;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CliTest extends OnCommandLine {

    @BeforeEach
    void demo() {
        file = folder.resolve("demo.bucina");
        Sessions.everythingInPlace(file);
    }

    @Test
    void check_lists_findings_with_place_and_figures() {
        assertThat(run("check", file.toString(), "--json")).isEqualTo(1);
        JsonNode first = json().at("/findings/0");
        assertThat(first.at("/level").asText()).isEqualTo("error");
        assertThat(first.at("/face").asText()).isEqualTo("Upper skin");
        assertThat(first.at("/hole").asText()).isEqualTo("R11.4");
        assertThat(first.at("/layer").asText()).isEqualTo("Nose rib 8 flange");
        assertThat(first.at("/measured/in").asDouble()).isCloseTo(.2, within(1e-9));
        assertThat(first.at("/source").asText()).isNotBlank();
        assertThat(first.has("accepted")).isTrue();
    }

    @Test
    void stack_names_the_sheets_at_a_point() {
        assertThat(line("stack {} --face 'upper skin' --at 5.509,.47 --json", file))
                .isZero();
        assertThat(json().at("/layers").findValuesAsText("name"))
                .containsExactly("Root cuff", "Upper skin", "Spar cap doubler", "Main spar flange");
        assertThat(json().at("/grip/in").asDouble()).isEqualTo(.188);
        assertThat(line("stack {} --face 'Upper skin' --at 500,500", file)).isEqualTo(1);
        assertThat(line("stack {} --face Tail --at 1,1", file)).isEqualTo(2);
        assertThat(err).contains("Upper skin, Lower skin");
        assertThat(line("stack {} --face 'Upper skin' --at 1", file)).isEqualTo(2);
    }

    @Test
    void groups_tell_count_grips_lengths_and_installed() {
        assertThat(run("groups", file.toString(), "--json")).isZero();
        JsonNode spar = json().at("/groups/0");
        assertThat(spar.at("/code").asText()).isEqualTo("US-1");
        assertThat(spar.at("/count").asInt()).isEqualTo(48);
        assertThat(spar.at("/designations").findValuesAsText("designation"))
                .containsExactly("MS20426AD3-3.5", "MS20426AD3-4.5", "MS20426AD3-5");
        assertThat(spar.at("/grips").size()).isEqualTo(3);
        assertThat(spar.at("/installed").asInt()).isZero();
    }

    @Test
    void a_kept_flat_goes_out_in_true_size() throws IOException {
        Path svg = folder.resolve("clip.svg");
        assertThat(line("export {} --to svg --what flat --out {}", file, svg)).isZero();
        assertThat(out).contains("Hinge rib clip, flat");
        assertThat(Files.readString(svg)).contains("Hinge rib clip, flat");
        assertThat(run(
                        "export",
                        file.toString(),
                        "--to",
                        "pdf",
                        "--what",
                        "flat",
                        "--flat",
                        "hinge rib clip",
                        "--out",
                        folder.resolve("c.pdf").toString()))
                .isZero();
        assertThat(run(
                        "export",
                        file.toString(),
                        "--to",
                        "dxf",
                        "--what",
                        "flat",
                        "--flat",
                        "lid",
                        "--out",
                        folder.resolve("c.dxf").toString()))
                .isEqualTo(2);
        assertThat(err).contains("there is no flat \"lid\"").contains("Hinge rib clip");
    }

    @Test
    void a_face_is_clecoed_against_the_bin() {
        assertThat(line("cleco {} --face 'Upper skin' --bin 3/32:30 --json", file))
                .isZero();
        assertThat(json().at("/sizes/0/bin").asInt()).isEqualTo(30);
        assertThat(json().at("/sizes/0/peak").asInt()).isLessThanOrEqualTo(30);
        assertThat(json().at("/rows/0/sentences/0").asText()).startsWith("Cleco ");
        assertThat(line("cleco {} --face 'Upper skin' --row R99", file)).isEqualTo(2);
        assertThat(line("cleco {} --face 'Upper skin' --bin many", file)).isEqualTo(2);
        assertThat(err).contains("write it like 3/32:80");
    }

    @Test
    void progress_is_marked_and_taken_back_and_holes_that_wait_are_not_marked_without_a_word() {
        String[] mark = {
            "mark",
            file.toString(),
            "--face",
            "Upper skin",
            "--row",
            "R20",
            "--holes",
            "1-3,5",
            "--operation",
            "match-drilled",
            "--json"
        };
        assertThat(run((Object[]) mark)).isZero();
        assertThat(json().at("/marked").asInt()).isEqualTo(4);
        assertThat(json().at("/skipped/0").asText()).isEqualTo("R20.4");
        assertThat(run((Object[]) mark)).isZero();
        assertThat(json().at("/marked").asInt()).isZero();
        assertThat(line("mark {} --face 'Upper skin' --row R20 --operation match-drilled --undo --json", file))
                .isZero();
        assertThat(json().at("/marked").asInt()).isEqualTo(4);
        assertThat(line("mark {} --face 'Upper skin' --operation match-drilled --json", file))
                .isEqualTo(2);
        assertThat(err).contains("nothing is marked").contains("--because");
        assertThat(line("mark {} --face 'Upper skin' --operation match-drilled --because 'drawing note 4'", file))
                .isZero();
        assertThat(line("mark {} --face 'Upper skin' --operation polished", file))
                .isEqualTo(2);
        assertThat(err).contains("deburred");
        assertThat(line(
                        "mark {} --face 'Upper skin' --row R20 --holes 1 --operation deburred --side near "
                                + "--layer 'Upper skin'",
                        file))
                .isEqualTo(2);
        assertThat(err).contains("R20.1 in Upper skin is not drilled to final size");
    }

    @Test
    void reach_names_tools_and_reasons() {
        int exit = line("reach {} --face 'Upper skin' --operation dimpled --json", file);
        assertThat(exit).isBetween(0, 1);
        assertThat(json().at("/holes").size()).isGreaterThan(100);
        assertThat(json().at("/holes/0/operation").asText()).isEqualTo("dimpled");
        assertThat(json().at("/holes/0/tools").size()).isPositive();
        assertThat(run("reach", file.toString(), "--face", "Upper skin")).isBetween(0, 1);
        assertThat(line("reach {} --face 'Upper skin' --operation painted", file))
                .isEqualTo(2);
        assertThat(run("reach", file.toString(), "--face", "Nowhere")).isEqualTo(2);
    }

    @Test
    void log_add_prints_the_number_and_the_entry_is_there() {
        assertThat(line(
                        "log {} add --group US-3 --row R3 --holes 1-10 --designation 426AD3-3.5 --who 'M. "
                                + "Oake' --at 2026-11-23T19:30 --minutes 25 --readings .146x.047,.15x.046 --rejects "
                                + "1:replaced --note 'went well'",
                        file))
                .isZero();
        int id = Integer.parseInt(out.strip());
        assertThat(run("log", file.toString(), "--json")).isZero();
        JsonNode last = json().at("/entries/" + (json().at("/entries").size() - 1));
        assertThat(last.at("/id").asInt()).isEqualTo(id);
        assertThat(last.at("/work/designation").asText()).isEqualTo("MS20426AD3-3.5");
        assertThat(last.at("/work/count").asInt()).isEqualTo(10);
        assertThat(last.at("/work/readings/0/diameter/in").asDouble()).isCloseTo(.146, within(1e-12));
        assertThat(last.at("/entered").asText()).isEqualTo("2026-11-24T20:00:00Z");
        assertThat(run("groups", file.toString())).isZero();
        assertThat(out).containsPattern("US-3 +Upper skin +Trailing edge +39 +10 ");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "--group US-9 --designation AN426AD3-3.5|no group",
                "--group US-3 --row R9 --designation AN426AD3-3.5|no row",
                "--group US-3 --row R3 --holes 1-99 --designation AN426AD3-3.5|no hole 99",
                "--group US-3 --row R3 --holes 9-1 --designation AN426AD3-3.5|backward",
                "--group US-3 --row R3 --holes 1 --designation AN426AD3|AN426AD3",
                "--group US-3 --row R3 --holes 1 --designation AN426AD3-8|graded long",
                "--group LS-4 --row R4 --holes 1 --designation AN426AD3-3.5|logged as set in entry",
                "--group US-3 --row R3 --holes 1 --designation AN426AD3-3.5 --readings 5|diameter x height",
                "--group US-3 --row R3 --holes 1 --designation AN426AD3-3.5 --rejects 2:open|2 of 1"
            })
    void log_add_refuses_what_cannot_be_and_writes_nothing(String options, String expected) throws IOException {
        byte[] before = Files.readAllBytes(file);
        String line = "log " + file + " add " + options + " --who M --at 2026-11-23T19:30 --minutes 5";
        assertThat(run((Object[]) line.split(" "))).isEqualTo(2);
        assertThat(err).contains(expected);
        run("log", file.toString(), "--json");
        assertThat(json().at("/entries").size()).isEqualTo(39);
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
    }

    @Test
    void json_goes_out_and_comes_in_and_nothing_is_overwritten() throws IOException {
        Path text = folder.resolve("out.json");
        Path again = folder.resolve("again.bucina");
        Path textAgain = folder.resolve("again.json");
        assertThat(line("export {} --to json --what build --out {}", file, text))
                .isZero();
        assertThat(line("import {} --from json --out {}", text, again)).isZero();
        assertThat(line("export {} --to json --out {}", again, textAgain)).isZero();
        assertThat(Files.readString(textAgain)).isEqualTo(Files.readString(text));
        assertThat(line("export {} --to json --out {}", file, text)).isEqualTo(2);
        assertThat(line("import {} --from json --out {}", text, again)).isEqualTo(2);
        assertThat(err).contains("exists already");
    }

    @Test
    void an_import_with_an_error_names_the_place_and_makes_no_file() throws IOException {
        Path bad = folder.resolve("bad.json");
        Path made = folder.resolve("made.bucina");
        assertThat(line("export {} --to json --out {}", file, bad)).isZero();
        Files.writeString(
                bad, Files.readString(bad).replaceFirst("\"thickness\" : [0-9.]+", "\"thickness\" : \"thin\""));
        assertThat(line("import {} --from json --out {}", bad, made)).isEqualTo(2);
        assertThat(err).contains("/assemblies/0/faces/0/layers/0/thickness").contains("thin");
        assertThat(made).doesNotExist();
    }
}
