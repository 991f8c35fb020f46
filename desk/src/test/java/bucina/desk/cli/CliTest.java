package bucina.desk.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.store.json.Json;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CliTest {

    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-11-24T12:00:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    private Path file;
    private String out;
    private String err;

    @BeforeEach
    void demo() {
        file = folder.resolve("demo.bucina");
        bucina.desk.session.Sessions.everythingInPlace(file);
    }

    private int run(String... args) {
        StringWriter output = new StringWriter();
        StringWriter errors = new StringWriter();
        int exit = Cli.run(CLOCK, new PrintWriter(output), new PrintWriter(errors), args);
        out = output.toString();
        err = errors.toString();
        return exit;
    }

    private JsonNode json() {
        return Json.read(out);
    }

    @Test
    void calc_rivet_answers_the_contract() {
        assertThat(run(
                        "calc",
                        "rivet",
                        "--head",
                        "universal",
                        "--diameter",
                        "1/8",
                        "--layers",
                        ".032,.040,.063",
                        "--json"))
                .isZero();
        JsonNode answer = json();
        assertThat(answer.at("/grip/in").asDouble()).isEqualTo(.135);
        assertThat(answer.at("/grip/mm").asDouble()).isEqualTo(3.429);
        assertThat(answer.at("/choice/designation").asText()).isEqualTo("MS20470AD4-5");
        assertThat(answer.at("/choice/cut_from").isNull()).isTrue();
        assertThat(answer.at("/choice/cut_to").isNull()).isTrue();
        assertThat(answer.at("/candidates/1/designation").asText()).isEqualTo("MS20470AD4-4");
        assertThat(answer.at("/candidates/1/grade").asText()).isEqualTo("short");
        assertThat(answer.at("/candidates/1/head_diameter_diameters").asDouble())
                .isCloseTo(1.31, within(.005));
        assertThat(answer.at("/limits/process/dia_min/in").asDouble()).isCloseTo(.1625, within(1e-12));
        assertThat(answer.at("/limits/gauge/height_min/in").asDouble()).isCloseTo(.0375, within(1e-12));
        assertThat(answer.at("/limits/governing").asText()).isEqualTo("gauge");
        assertThat(answer.at("/squeezer_gap/in").isNumber()).isTrue();
    }

    @Test
    void flush_without_prep_is_countersunk_and_dimple_is_effective() {
        run("calc", "rivet", "--head", "flush", "--diameter", "3/32", "--layers", ".025,.032", "--json");
        assertThat(json().at("/effective_grip/in").asDouble()).isEqualTo(.057);
        run(
                "calc",
                "rivet",
                "--head",
                "flush",
                "--diameter",
                "3/32",
                "--layers",
                ".025,.032",
                "--prep",
                "dimple",
                "--json");
        assertThat(json().at("/effective_grip/in").asDouble()).isCloseTo(.0776, within(.0001));
    }

    @Test
    void millimetres_are_read_and_shown() {
        assertThat(run(
                        "calc",
                        "rivet",
                        "--head",
                        "universal",
                        "--diameter",
                        "1/8",
                        "--layers",
                        "0.8,1.0",
                        "--unit",
                        "mm"))
                .isZero();
        assertThat(out).contains("Grip      1.80 mm");
    }

    @Test
    void no_usable_answer_is_exit_1_with_an_object_for_the_choice() {
        assertThat(run("calc", "rivet", "--head", "universal", "--diameter", "3/32", "--layers", ".5,.5", "--json"))
                .isEqualTo(1);
        assertThat(json().at("/choice/designation").isNull()).isTrue();
        assertThat(json().at("/choice/why").asText()).isNotBlank();
    }

    @Test
    void calc_edge_judges_by_the_school_asked_for() {
        assertThat(run("calc", "edge", "--diameter", "1/8", "--head", "flush", "--distance", ".28", "--json"))
                .isEqualTo(1);
        assertThat(json().at("/findings/0/rule").asText()).isEqualTo("edge-distance-least");
        assertThat(json().at("/findings/0/required/in").asDouble()).isEqualTo(.3125);
        assertThat(json().at("/diameters").asDouble()).isCloseTo(2.24, within(1e-9));
        assertThat(run(
                        "calc",
                        "edge",
                        "--diameter",
                        "1/8",
                        "--head",
                        "flush",
                        "--distance",
                        ".28",
                        "--flush-school",
                        "2",
                        "--json"))
                .isZero();
        assertThat(run("calc", "edge", "--diameter", "1/8", "--head", "universal", "--distance", ".25"))
                .isZero();
        assertThat(run("calc", "edge", "--diameter", "1/8", "--head", "universal", "--distance", ".2499"))
                .isEqualTo(1);
    }

    @Test
    void calc_row_gives_running_stations() {
        assertThat(run(
                        "calc",
                        "row",
                        "--first",
                        ".5",
                        "--last",
                        "20",
                        "--pitch",
                        "1",
                        "--diameter",
                        "3/32",
                        "--thickness",
                        ".025",
                        "--json"))
                .isZero();
        assertThat(json().at("/spaces").asInt()).isEqualTo(20);
        assertThat(json().at("/pitch/in").asDouble()).isCloseTo(.975, within(1e-12));
        assertThat(json().at("/stations").size()).isEqualTo(21);
        assertThat(json().at("/stations/20/in").asDouble()).isEqualTo(20);
        assertThat(json().at("/findings/0/level").asText()).isEqualTo("warning");
        assertThat(run("calc", "row", "--first", "0", "--last", "2", "--pitch", ".25", "--diameter", "3/32"))
                .isEqualTo(1);
        assertThat(out)
                .contains("8 spaces of .250 in, 9 holes")
                .contains("pitch")
                .contains("1 1/4 in");
    }

    @Test
    void calc_blind_chooses_and_explains() {
        assertThat(run(
                        "calc",
                        "blind",
                        "--family",
                        "iso15977",
                        "--diameter",
                        "3.2 mm",
                        "--layers",
                        "0.6 mm,0.8 mm,1.6 mm",
                        "--room",
                        "9 mm",
                        "--json"))
                .isZero();
        assertThat(json().at("/grip/mm").asDouble()).isCloseTo(3, within(1e-12));
        assertThat(json().at("/choice/length/mm").asDouble()).isEqualTo(6);
        assertThat(json().at("/choice/stands_behind/mm").asDouble()).isCloseTo(3, within(1e-12));
        assertThat(json().at("/choice/needs_behind/mm").asDouble()).isCloseTo(6.5, within(1e-12));
        assertThat(json().at("/choice/cut_to").isNull()).isTrue();
        assertThat(json().at("/candidates").size()).isEqualTo(4);
        assertThat(run(
                        "calc",
                        "blind",
                        "--family",
                        "iso15977",
                        "--diameter",
                        "3.2",
                        "--layers",
                        "0.5,0.5",
                        "--unit",
                        "mm",
                        "--json"))
                .isEqualTo(1);
        assertThat(json().at("/choice").isNull()).isTrue();
        assertThat(json().at("/why").asText()).contains("washer");
    }

    @Test
    void calc_trim_draws_the_line_and_says_how_much() {
        assertThat(run(
                        "calc",
                        "trim",
                        "--holes",
                        "1,.6;9,.6",
                        "--diameter",
                        "1/8",
                        "--head",
                        "universal",
                        "--outline",
                        "0,0;10,0;10,4;0,4",
                        "--json"))
                .isZero();
        assertThat(json().at("/trim_line/0/y/in").asDouble()).isCloseTo(.35, within(1e-12));
        assertThat(json().at("/largest_trim/in").asDouble()).isCloseTo(.35, within(1e-12));
        assertThat(run(
                        "calc",
                        "trim",
                        "--holes",
                        "1,.2;9,.2",
                        "--diameter",
                        "1/8",
                        "--head",
                        "flush",
                        "--outline",
                        "0,0;10,0;10,4;0,4"))
                .isEqualTo(1);
        assertThat(out).contains("too near already");
    }

    @Test
    void a_bend_and_a_flat() throws IOException {
        assertThat(run(
                        "calc",
                        "bend",
                        "--radius",
                        ".250",
                        "--thickness",
                        ".051",
                        "--angle",
                        "90",
                        "--k",
                        "empirical",
                        "--json"))
                .isZero();
        assertThat(json().at("/allowance/in").asDouble()).isCloseTo(.42798, within(.000005));
        assertThat(json().at("/setback/in").asDouble()).isCloseTo(.301, within(1e-12));
        assertThat(run(
                        "calc",
                        "bend",
                        "--radius",
                        "1/32",
                        "--thickness",
                        ".025",
                        "--angle",
                        "180",
                        "--k",
                        "0.446",
                        "--json"))
                .isZero();
        assertThat(json().at("/setback").isNull()).isTrue();
        assertThat(run(
                        "calc",
                        "flat",
                        "--legs",
                        "1,2,1",
                        "--angles",
                        "-90,90",
                        "--radius",
                        ".16",
                        "--thickness",
                        ".04",
                        "--k",
                        ".5",
                        "--json"))
                .isZero();
        assertThat(json().at("/developed_length/in").asDouble()).isCloseTo(3.76549, within(.000005));
        assertThat(json().at("/flats/1/in").asDouble()).isCloseTo(1.6, within(1e-9));
        assertThat(json().at("/tangents/0/1/in").asDouble()).isCloseTo(1.08274, within(.000005));
        assertThat(json().at("/sight_lines/0/in").asDouble()).isCloseTo(.96, within(1e-9));
        assertThat(run(
                        "calc",
                        "flat",
                        "--legs",
                        "25,50",
                        "--angles",
                        "92",
                        "--radius",
                        "3",
                        "--thickness",
                        "1",
                        "--k",
                        "0.446",
                        "--unit",
                        "mm"))
                .isZero();
        assertThat(out).contains("Developed length 72.249 mm", "sight line");
    }

    @Test
    void a_radius_and_flutes() throws IOException {
        assertThat(run("calc", "radius", "--alloy", "2024-T3", "--thickness", ".040", "--json"))
                .isZero();
        assertThat(json().at("/practical/in").asDouble()).isCloseTo(.090, within(1e-9));
        assertThat(json().at("/safe/in").asDouble()).isCloseTo(.170, within(1e-9));
        assertThat(run(
                        "calc",
                        "flute",
                        "--sagitta",
                        ".1",
                        "--chord",
                        "12",
                        "--flange",
                        ".75",
                        "--depth",
                        ".08",
                        "--width",
                        ".35",
                        "--json"))
                .isZero();
        assertThat(json().at("/flutes").asInt()).isEqualTo(2);
        assertThat(json().at("/depth_each/in").asDouble()).isCloseTo(.05955, within(.000005));
        assertThat(run(
                        "calc",
                        "flute",
                        "--sagitta",
                        "0",
                        "--chord",
                        "12",
                        "--flange",
                        ".75",
                        "--depth",
                        ".08",
                        "--width",
                        ".35"))
                .isZero();
        assertThat(out).contains("No flute is needed");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "calc row --first 1 --last 1 --pitch 1 --diameter 1/8|both at",
                "calc row --first 1 --last 9 --pitch 0 --diameter 1/8|--pitch",
                "calc blind --family iso1 --diameter 3.2mm --layers 1mm|iso15977",
                "calc blind --family iso15977 --diameter 5mm --layers 1mm|5 mm",
                "calc trim --holes 1 --diameter 1/8 --head flush --outline 0,0;1,0;1,1|--holes",
                "calc trim --holes 9,9 --diameter 1/8 --head flush --outline 0,0;1,0;1,1|not on the sheet",
                "calc trim --holes .5,.2 --diameter 1/8 --head flush --outline 0,0;1,0|at least 3",
                "calc rivet --head dome --diameter 1/8 --layers .03|dome",
                "calc rivet --head universal --diameter 1/7 --layers .03|.142857",
                "calc rivet --head universal --diameter 1/8 --layers .03,,.04|layers",
                "calc rivet --head universal --diameter 1/8 --layers -.03|over 0",
                "calc rivet --head flush --diameter 1/8 --layers .03 --prep none|countersink or a dimple",
                "calc rivet --head universal --diameter 1/8|--layers",
                "calc rivet --head universal --diameter 1/8 --layers .03 --hole .1|smaller than the shank",
                "calc edge --head flush --diameter 1/8 --distance NaN|NaN",
                "calc edge --head flush --diameter 1/8 --distance .3 --flush-school 3|2.5 or 2",
                "frobnicate|frobnicate",
                "check /no/such.bucina|no build",
                "calc rivet --head universal --diameter 1/8 --layers .03 --unit ft|ft",
                "calc bend --radius -.1 --thickness .04 --angle 90 --k 0.5|radius",
                "calc bend --radius .1 --thickness .04 --angle 0 --k 0.5|over 0",
                "calc flat --legs 1,.2,1 --angles 90,90 --radius .16 --thickness .04 --k 0.5|Leg 2",
                "calc radius --alloy 2024-T3 --thickness .2|.128",
                "calc radius --alloy 3003-O --thickness .04|5052-H32",
                "calc flat --legs 1,2 --angles 90 --radius .16 --thickness .04 --k 0.5 --measured-to middle|mould, "
                        + "outside"
            })
    void unusable_input_is_exit_2_and_one_sentence(String line, String expected) {
        assertThat(run(line.split(" "))).isEqualTo(2);
        assertThat(err.strip().lines()).hasSize(1);
        assertThat(err).contains(expected).doesNotContain("Exception").doesNotContain("\tat ");
        assertThat(out).isEmpty();
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
        assertThat(run("stack", file.toString(), "--face", "upper skin", "--at", "5.509,.47", "--json"))
                .isZero();
        assertThat(json().at("/layers").findValuesAsText("name"))
                .containsExactly("Root cuff", "Upper skin", "Spar cap doubler", "Main spar flange");
        assertThat(json().at("/grip/in").asDouble()).isEqualTo(.188);
        assertThat(run("stack", file.toString(), "--face", "Upper skin", "--at", "500,500"))
                .isEqualTo(1);
        assertThat(run("stack", file.toString(), "--face", "Tail", "--at", "1,1"))
                .isEqualTo(2);
        assertThat(err).contains("Upper skin, Lower skin");
        assertThat(run("stack", file.toString(), "--face", "Upper skin", "--at", "1"))
                .isEqualTo(2);
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
    void calc_bolt_answers_the_contract() {
        assertThat(run("calc", "bolt", "--thread", "10-32", "--layers", ".125,.063", "--drag", "8", "--json"))
                .isZero();
        assertThat(json().at("/choice/designation").asText()).isEqualTo("AN3-5A");
        assertThat(json().at("/choice/grip/in").asDouble()).isEqualTo(.25);
        assertThat(json().at("/choice/length/in").asDouble()).isEqualTo(.65625);
        assertThat(json().at("/choice/washers_head").size()).isZero();
        assertThat(json().at("/choice/washers_nut/0/thickness/in").asDouble()).isEqualTo(.063);
        assertThat(json().at("/choice/threads_showing").asDouble()).isCloseTo(2.952, within(1e-9));
        assertThat(json().at("/alternatives").size()).isGreaterThan(3);
        assertThat(json().at("/torque/low").asDouble()).isEqualTo(28);
        assertThat(json().at("/torque/high").asDouble()).isEqualTo(33);
        assertThat(run("calc", "bolt", "--thread", "10-32", "--layers", ".25", "--nut", "castle:.45", "--json"))
                .isEqualTo(1);
        assertThat(json().at("/choice").isNull()).isTrue();
        assertThat(json().at("/why").asText()).startsWith("No thread would show");
        assertThat(run("calc", "bolt", "--thread", "1/2-20", "--layers", ".25")).isEqualTo(2);
        assertThat(err).contains("\"1/2-20\" is no thread");
    }

    @Test
    void calc_nest_and_dress_answer_the_contract() {
        // .332 + .0233 = .3553 outside; .364 × .032 / tan 50° = .0098 deeper.
        assertThat(run("calc", "nest", "--head", "screw-8", "--skin", ".032", "--sub", ".125", "--json"))
                .isZero();
        assertThat(json().at("/diameter/in").asDouble()).isCloseTo(.3553, within(5e-5));
        assertThat(json().at("/extra_depth/in").asDouble()).isCloseTo(.0098, within(5e-5));
        assertThat(json().at("/verdict").asText()).isEqualTo("fits");
        assertThat(run(
                        "calc",
                        "nest",
                        "--head",
                        "ms20426-3",
                        "--skin",
                        ".032",
                        "--sub",
                        ".063",
                        "--school",
                        "two-thirds",
                        "--json"))
                .isEqualTo(1);
        assertThat(json().at("/verdict").asText()).isEqualTo("too-thin");
        // A head by its diameter takes the hole of the nearest head in the catalogue: .332 is the #8 screw's, #19.
        assertThat(run("calc", "nest", "--head", ".332", "--skin", "0", "--sub", ".125", "--json"))
                .isZero();
        // (.332 - .166) / (2 tan 50°) = .0696.
        assertThat(json().at("/cutter_depth/in").asDouble()).isCloseTo(.06965, within(5e-5));
        assertThat(run("calc", "nest", "--head", "ms20426-3", "--skin", "0", "--sub", ".063", "--angle", "120"))
                .isEqualTo(2);
        assertThat(err).contains("100° head");
        assertThat(run(
                        "calc",
                        "dress",
                        "--head",
                        "flush",
                        "--diameter",
                        "3/32",
                        "--layers",
                        ".025,.063",
                        "--school",
                        "full",
                        "--json"))
                .isZero();
        assertThat(json().at("/layers/0/dress").asText()).isEqualTo("dimple");
        assertThat(json().at("/layers/1/dress").asText()).isEqualTo("countersink");
        // .179 + .728 × .025 = .1972.
        assertThat(json().at("/layers/1/nest/diameter/in").asDouble()).isCloseTo(.1972, within(5e-5));
        assertThat(run("calc", "dress", "--diameter", "1/8", "--layers", ".063", "--school", "two-thirds", "--json"))
                .isZero();
        assertThat(run("calc", "dress", "--diameter", "5/32", "--layers", ".063", "--school", "two-thirds", "--json"))
                .isEqualTo(1);
        assertThat(json().at("/layers/0/dress").asText()).isEqualTo("impossible");
    }

    @Test
    void calc_cut_answers_the_contract() {
        assertThat(run("calc", "cut", "--want", "24x3,36x2", "--stock", "72x3", "--kerf", ".06", "--json"))
                .isZero();
        assertThat(json().at("/bars").size()).isEqualTo(3);
        assertThat(json().at("/bars/0/pieces/0/in").asDouble()).isEqualTo(36);
        // 72 − 36 − 24 − 2 × .06 = 11.88.
        assertThat(json().at("/bars/0/left/in").asDouble()).isCloseTo(11.88, within(1e-9));
        assertThat(json().at("/missing").size()).isZero();
        assertThat(json().at("/bound").asInt()).isEqualTo(3);
        assertThat(run("calc", "cut", "--want", "24x4", "--stock", "72x1", "--json"))
                .isEqualTo(1);
        assertThat(json().at("/missing").size()).isEqualTo(1);
        assertThat(run("calc", "cut", "--want", "24x0", "--stock", "72x1")).isEqualTo(2);
        assertThat(err).contains("the count is 1 to 10000, like 24x3");
    }

    @Test
    void a_kept_flat_goes_out_in_true_size() throws IOException {
        Path svg = folder.resolve("clip.svg");
        assertThat(run("export", file.toString(), "--to", "svg", "--what", "flat", "--out", svg.toString()))
                .isZero();
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
    void calc_cleco_answers_the_contract() {
        assertThat(run("calc", "cleco", "--holes", "40", "--mode", "middle-out", "--stock", "12", "--json"))
                .isZero();
        assertThat(json().at("/peak").asInt()).isLessThanOrEqualTo(12);
        assertThat(json().at("/bound").asInt()).isEqualTo(60);
        assertThat(json().at("/moves").asInt()).isGreaterThanOrEqualTo(60);
        assertThat(json().at("/waves/0/drill/0").asInt()).isEqualTo(20);
        assertThat(json().at("/waves/0/place").size()).isEqualTo(2);
        assertThat(run("calc", "cleco", "--holes", "40", "--mode", "every-hole", "--stock", "12", "--json"))
                .isEqualTo(1);
        assertThat(json().at("/least_stock").asInt()).isEqualTo(40);
        assertThat(run("calc", "cleco", "--holes", "0", "--mode", "every-hole", "--stock", "12"))
                .isEqualTo(2);
        assertThat(run("calc", "cleco", "--holes", "9", "--pitch", "1", "--mode", "nose-first", "--stock", "12"))
                .isZero();
        assertThat(out).contains("drill 3 at 2.000 in");
    }

    @Test
    void a_face_is_clecoed_against_the_bin() {
        assertThat(run("cleco", file.toString(), "--face", "Upper skin", "--bin", "3/32:30", "--json"))
                .isZero();
        assertThat(json().at("/sizes/0/bin").asInt()).isEqualTo(30);
        assertThat(json().at("/sizes/0/peak").asInt()).isLessThanOrEqualTo(30);
        assertThat(json().at("/rows/0/sentences/0").asText()).startsWith("Cleco ");
        assertThat(run("cleco", file.toString(), "--face", "Upper skin", "--row", "R99"))
                .isEqualTo(2);
        assertThat(run("cleco", file.toString(), "--face", "Upper skin", "--bin", "many"))
                .isEqualTo(2);
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
        assertThat(run(mark)).isZero();
        assertThat(json().at("/marked").asInt()).isEqualTo(4);
        assertThat(json().at("/skipped/0").asText()).isEqualTo("R20.4");
        assertThat(run(mark)).isZero();
        assertThat(json().at("/marked").asInt()).isZero();
        assertThat(run(
                        "mark",
                        file.toString(),
                        "--face",
                        "Upper skin",
                        "--row",
                        "R20",
                        "--operation",
                        "match-drilled",
                        "--undo",
                        "--json"))
                .isZero();
        assertThat(json().at("/marked").asInt()).isEqualTo(4);
        assertThat(run("mark", file.toString(), "--face", "Upper skin", "--operation", "match-drilled", "--json"))
                .isEqualTo(2);
        assertThat(err).contains("nothing is marked").contains("--because");
        assertThat(run(
                        "mark",
                        file.toString(),
                        "--face",
                        "Upper skin",
                        "--operation",
                        "match-drilled",
                        "--because",
                        "drawing note 4"))
                .isZero();
        assertThat(run("mark", file.toString(), "--face", "Upper skin", "--operation", "polished"))
                .isEqualTo(2);
        assertThat(err).contains("deburred");
        assertThat(run(
                        "mark",
                        file.toString(),
                        "--face",
                        "Upper skin",
                        "--row",
                        "R20",
                        "--holes",
                        "1",
                        "--operation",
                        "deburred",
                        "--side",
                        "near",
                        "--layer",
                        "Upper skin"))
                .isEqualTo(2);
        assertThat(err).contains("R20.1 in Upper skin is not drilled to final size");
    }

    @Test
    void calc_nutplate_answers_the_contract() {
        assertThat(run("calc", "nutplate", "--screws", "rect:4x3:6.0x4.0", "--size", "8", "--times", "2", "--json"))
                .isZero();
        assertThat(json().at("/screws").size()).isEqualTo(10);
        assertThat(json().at("/rivets").size()).isEqualTo(20);
        assertThat(json().at("/plates/1/turn").asDouble()).isZero();
        assertThat(json().at("/plates/1/position/x/in").asDouble()).isCloseTo(2, within(1e-9));
        assertThat(json().at("/demand/plates").asInt()).isEqualTo(20);
        assertThat(json().at("/demand/rivets").asInt()).isEqualTo(40);
        assertThat(json().at("/findings").size()).isZero();
        assertThat(run("calc", "nutplate", "--screws", "row:6:.25", "--size", "8"))
                .isEqualTo(1);
        assertThat(run("calc", "nutplate", "--screws", "row:6:1.25", "--size", "12"))
                .isEqualTo(2);
        assertThat(err).contains("6, 8, 10, 1/4");
    }

    @Test
    void reach_names_tools_and_reasons() {
        int exit = run("reach", file.toString(), "--face", "Upper skin", "--operation", "dimpled", "--json");
        assertThat(exit).isBetween(0, 1);
        assertThat(json().at("/holes").size()).isGreaterThan(100);
        assertThat(json().at("/holes/0/operation").asText()).isEqualTo("dimpled");
        assertThat(json().at("/holes/0/tools").size()).isPositive();
        assertThat(run("reach", file.toString(), "--face", "Upper skin")).isBetween(0, 1);
        assertThat(run("reach", file.toString(), "--face", "Upper skin", "--operation", "painted"))
                .isEqualTo(2);
        assertThat(run("reach", file.toString(), "--face", "Nowhere")).isEqualTo(2);
    }

    @Test
    void log_add_prints_the_number_and_the_entry_is_there() {
        assertThat(run(
                        "log",
                        file.toString(),
                        "add",
                        "--group",
                        "US-3",
                        "--row",
                        "R3",
                        "--holes",
                        "1-10",
                        "--designation",
                        "426AD3-3.5",
                        "--who",
                        "M. Oake",
                        "--at",
                        "2026-11-23T19:30",
                        "--minutes",
                        "25",
                        "--readings",
                        ".146x.047,.15x.046",
                        "--rejects",
                        "1:replaced",
                        "--note",
                        "went well"))
                .isZero();
        int id = Integer.parseInt(out.strip());
        assertThat(run("log", file.toString(), "--json")).isZero();
        JsonNode last = json().at("/entries/" + (json().at("/entries").size() - 1));
        assertThat(last.at("/id").asInt()).isEqualTo(id);
        assertThat(last.at("/work/designation").asText()).isEqualTo("MS20426AD3-3.5");
        assertThat(last.at("/work/count").asInt()).isEqualTo(10);
        assertThat(last.at("/work/readings/0/diameter/in").asDouble()).isCloseTo(.146, within(1e-12));
        assertThat(last.at("/entered").asText()).isEqualTo("2026-11-24T12:00:00Z");
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
        assertThat(run(line.split(" "))).isEqualTo(2);
        assertThat(err).contains(expected);
        run("log", file.toString(), "--json");
        assertThat(json().at("/entries").size()).isEqualTo(32);
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
    }

    @Test
    void json_goes_out_and_comes_in_and_nothing_is_overwritten() throws IOException {
        Path text = folder.resolve("out.json");
        Path again = folder.resolve("again.bucina");
        Path textAgain = folder.resolve("again.json");
        assertThat(run("export", file.toString(), "--to", "json", "--what", "build", "--out", text.toString()))
                .isZero();
        assertThat(run("import", text.toString(), "--from", "json", "--out", again.toString()))
                .isZero();
        assertThat(run("export", again.toString(), "--to", "json", "--out", textAgain.toString()))
                .isZero();
        assertThat(Files.readString(textAgain)).isEqualTo(Files.readString(text));
        assertThat(run("export", file.toString(), "--to", "json", "--out", text.toString()))
                .isEqualTo(2);
        assertThat(run("import", text.toString(), "--from", "json", "--out", again.toString()))
                .isEqualTo(2);
        assertThat(err).contains("exists already");
    }

    @Test
    void an_import_with_an_error_names_the_place_and_makes_no_file() throws IOException {
        Path bad = folder.resolve("bad.json");
        Path made = folder.resolve("made.bucina");
        assertThat(run("export", file.toString(), "--to", "json", "--out", bad.toString()))
                .isZero();
        Files.writeString(
                bad, Files.readString(bad).replaceFirst("\"thickness\" : [0-9.]+", "\"thickness\" : \"thin\""));
        assertThat(run("import", bad.toString(), "--from", "json", "--out", made.toString()))
                .isEqualTo(2);
        assertThat(err).contains("/assemblies/0/faces/0/layers/0/thickness").contains("thin");
        assertThat(made).doesNotExist();
    }
}
