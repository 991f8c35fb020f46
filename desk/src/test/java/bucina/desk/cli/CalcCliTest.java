package bucina.desk.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The verb calc, against the contract and figures worked out by hand. */
class CalcCliTest extends OnCommandLine {

    @Test
    void calc_rivet_answers_the_contract() {
        assertThat(line("calc rivet --head universal --diameter 1/8 --layers .032,.040,.063 --json"))
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
        line("calc rivet --head flush --diameter 3/32 --layers .025,.032 --json");
        assertThat(json().at("/effective_grip/in").asDouble()).isEqualTo(.057);
        line("calc rivet --head flush --diameter 3/32 --layers .025,.032 --prep dimple --json");
        assertThat(json().at("/effective_grip/in").asDouble()).isCloseTo(.0776, within(.0001));
    }

    @Test
    void millimetres_are_read_and_shown() {
        assertThat(line("calc rivet --head universal --diameter 1/8 --layers 0.8,1.0 --unit mm"))
                .isZero();
        assertThat(out).contains("Grip      1.80 mm");
    }

    @Test
    void no_usable_answer_is_exit_1_with_an_object_for_the_choice() {
        assertThat(line("calc rivet --head universal --diameter 3/32 --layers .5,.5 --json"))
                .isEqualTo(1);
        assertThat(json().at("/choice/designation").isNull()).isTrue();
        assertThat(json().at("/choice/why").asText()).isNotBlank();
    }

    @Test
    void calc_edge_judges_by_the_school_asked_for() {
        assertThat(line("calc edge --diameter 1/8 --head flush --distance .28 --json"))
                .isEqualTo(1);
        assertThat(json().at("/findings/0/rule").asText()).isEqualTo("edge-distance-least");
        assertThat(json().at("/findings/0/required/in").asDouble()).isEqualTo(.3125);
        assertThat(json().at("/diameters").asDouble()).isCloseTo(2.24, within(1e-9));
        assertThat(line("calc edge --diameter 1/8 --head flush --distance .28 --flush-school 2 --json"))
                .isZero();
        assertThat(line("calc edge --diameter 1/8 --head universal --distance .25"))
                .isZero();
        assertThat(line("calc edge --diameter 1/8 --head universal --distance .2499"))
                .isEqualTo(1);
    }

    @Test
    void calc_row_gives_running_stations() {
        assertThat(line("calc row --first .5 --last 20 --pitch 1 --diameter 3/32 --thickness .025 --json"))
                .isZero();
        assertThat(json().at("/spaces").asInt()).isEqualTo(20);
        assertThat(json().at("/pitch/in").asDouble()).isCloseTo(.975, within(1e-12));
        assertThat(json().at("/stations").size()).isEqualTo(21);
        assertThat(json().at("/stations/20/in").asDouble()).isEqualTo(20);
        assertThat(json().at("/findings/0/level").asText()).isEqualTo("warning");
        assertThat(line("calc row --first 0 --last 2 --pitch .25 --diameter 3/32"))
                .isEqualTo(1);
        assertThat(out)
                .contains("8 spaces of .250 in, 9 holes")
                .contains("pitch")
                .contains("1 1/4 in");
    }

    @Test
    void calc_blind_chooses_and_explains() {
        assertThat(line("calc blind --family iso15977 --diameter '3.2 mm' --layers '0.6 mm,0.8 mm,1.6 mm' "
                        + "--room '9 mm' --json"))
                .isZero();
        assertThat(json().at("/grip/mm").asDouble()).isCloseTo(3, within(1e-12));
        assertThat(json().at("/choice/length/mm").asDouble()).isEqualTo(6);
        assertThat(json().at("/choice/stands_behind/mm").asDouble()).isCloseTo(3, within(1e-12));
        assertThat(json().at("/choice/needs_behind/mm").asDouble()).isCloseTo(6.5, within(1e-12));
        assertThat(json().at("/choice/cut_to").isNull()).isTrue();
        assertThat(json().at("/candidates").size()).isEqualTo(4);
        assertThat(line("calc blind --family iso15977 --diameter 3.2 --layers 0.5,0.5 --unit mm --json"))
                .isEqualTo(1);
        assertThat(json().at("/choice").isNull()).isTrue();
        assertThat(json().at("/why").asText()).contains("washer");
    }

    @Test
    void calc_trim_draws_the_line_and_says_how_much() {
        assertThat(line("calc trim --holes 1,.6;9,.6 --diameter 1/8 --head universal --outline "
                        + "0,0;10,0;10,4;0,4 --json"))
                .isZero();
        assertThat(json().at("/trim_line/0/y/in").asDouble()).isCloseTo(.35, within(1e-12));
        assertThat(json().at("/largest_trim/in").asDouble()).isCloseTo(.35, within(1e-12));
        assertThat(line("calc trim --holes 1,.2;9,.2 --diameter 1/8 --head flush --outline 0,0;10,0;10,4;0,4"))
                .isEqualTo(1);
        assertThat(out).contains("too near already");
    }

    @Test
    void a_bend_and_a_flat() throws IOException {
        assertThat(line("calc bend --radius .250 --thickness .051 --angle 90 --k empirical --json"))
                .isZero();
        assertThat(json().at("/allowance/in").asDouble()).isCloseTo(.42798, within(.000005));
        assertThat(json().at("/setback/in").asDouble()).isCloseTo(.301, within(1e-12));
        assertThat(line("calc bend --radius 1/32 --thickness .025 --angle 180 --k 0.446 --json"))
                .isZero();
        assertThat(json().at("/setback").isNull()).isTrue();
        assertThat(line("calc flat --legs 1,2,1 --angles -90,90 --radius .16 --thickness .04 --k .5 --json"))
                .isZero();
        assertThat(json().at("/developed_length/in").asDouble()).isCloseTo(3.76549, within(.000005));
        assertThat(json().at("/flats/1/in").asDouble()).isCloseTo(1.6, within(1e-9));
        assertThat(json().at("/tangents/0/1/in").asDouble()).isCloseTo(1.08274, within(.000005));
        assertThat(json().at("/sight_lines/0/in").asDouble()).isCloseTo(.96, within(1e-9));
        assertThat(line("calc flat --legs 25,50 --angles 92 --radius 3 --thickness 1 --k 0.446 --unit mm"))
                .isZero();
        assertThat(out).contains("Developed length 72.249 mm", "sight line");
    }

    @Test
    void a_radius_and_flutes() throws IOException {
        assertThat(line("calc radius --alloy 2024-T3 --thickness .040 --json")).isZero();
        assertThat(json().at("/practical/in").asDouble()).isCloseTo(.090, within(1e-9));
        assertThat(json().at("/safe/in").asDouble()).isCloseTo(.170, within(1e-9));
        assertThat(line("calc flute --sagitta .1 --chord 12 --flange .75 --depth .08 --width .35 --json"))
                .isZero();
        assertThat(json().at("/flutes").asInt()).isEqualTo(2);
        assertThat(json().at("/depth_each/in").asDouble()).isCloseTo(.05955, within(.000005));
        assertThat(line("calc flute --sagitta 0 --chord 12 --flange .75 --depth .08 --width .35"))
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
        assertThat(run((Object[]) line.split(" "))).isEqualTo(2);
        assertThat(err.strip().lines()).hasSize(1);
        assertThat(err).contains(expected).doesNotContain("Exception").doesNotContain("\tat ");
        assertThat(out).isEmpty();
    }

    @Test
    void calc_bolt_answers_the_contract() {
        assertThat(line("calc bolt --thread 10-32 --layers .125,.063 --drag 8 --json"))
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
        assertThat(line("calc bolt --thread 10-32 --layers .25 --nut castle:.45 --json"))
                .isEqualTo(1);
        assertThat(json().at("/choice").isNull()).isTrue();
        assertThat(json().at("/why").asText()).startsWith("No thread would show");
        assertThat(line("calc bolt --thread 1/2-20 --layers .25")).isEqualTo(2);
        assertThat(err).contains("\"1/2-20\" is no thread");
    }

    @Test
    void calc_nest_and_dress_answer_the_contract() {
        // .332 + .0233 = .3553 outside; .364 × .032 / tan 50° = .0098 deeper.
        assertThat(line("calc nest --head screw-8 --skin .032 --sub .125 --json"))
                .isZero();
        assertThat(json().at("/diameter/in").asDouble()).isCloseTo(.3553, within(5e-5));
        assertThat(json().at("/extra_depth/in").asDouble()).isCloseTo(.0098, within(5e-5));
        assertThat(json().at("/verdict").asText()).isEqualTo("fits");
        assertThat(line("calc nest --head ms20426-3 --skin .032 --sub .063 --school two-thirds --json"))
                .isEqualTo(1);
        assertThat(json().at("/verdict").asText()).isEqualTo("too-thin");
        // A head by its diameter takes the hole of the nearest head in the catalogue: .332 is the #8 screw's, #19.
        assertThat(line("calc nest --head .332 --skin 0 --sub .125 --json")).isZero();
        // (.332 - .166) / (2 tan 50°) = .0696.
        assertThat(json().at("/cutter_depth/in").asDouble()).isCloseTo(.06965, within(5e-5));
        assertThat(line("calc nest --head ms20426-3 --skin 0 --sub .063 --angle 120"))
                .isEqualTo(2);
        assertThat(err).contains("100° head");
        assertThat(line("calc dress --head flush --diameter 3/32 --layers .025,.063 --school full --json"))
                .isZero();
        assertThat(json().at("/layers/0/dress").asText()).isEqualTo("dimple");
        assertThat(json().at("/layers/1/dress").asText()).isEqualTo("countersink");
        // .179 + .728 × .025 = .1972.
        assertThat(json().at("/layers/1/nest/diameter/in").asDouble()).isCloseTo(.1972, within(5e-5));
        assertThat(line("calc dress --diameter 1/8 --layers .063 --school two-thirds --json"))
                .isZero();
        assertThat(line("calc dress --diameter 5/32 --layers .063 --school two-thirds --json"))
                .isEqualTo(1);
        assertThat(json().at("/layers/0/dress").asText()).isEqualTo("impossible");
    }

    @Test
    void calc_cut_answers_the_contract() {
        assertThat(line("calc cut --want 24x3,36x2 --stock 72x3 --kerf .06 --json"))
                .isZero();
        assertThat(json().at("/bars").size()).isEqualTo(3);
        assertThat(json().at("/bars/0/pieces/0/in").asDouble()).isEqualTo(36);
        // 72 − 36 − 24 − 2 × .06 = 11.88.
        assertThat(json().at("/bars/0/left/in").asDouble()).isCloseTo(11.88, within(1e-9));
        assertThat(json().at("/missing").size()).isZero();
        assertThat(json().at("/bound").asInt()).isEqualTo(3);
        assertThat(line("calc cut --want 24x4 --stock 72x1 --json")).isEqualTo(1);
        assertThat(json().at("/missing").size()).isEqualTo(1);
        assertThat(line("calc cut --want 24x0 --stock 72x1")).isEqualTo(2);
        assertThat(err).contains("the count is 1 to 10000, like 24x3");
    }

    @Test
    void calc_cleco_answers_the_contract() {
        assertThat(line("calc cleco --holes 40 --mode middle-out --stock 12 --json"))
                .isZero();
        assertThat(json().at("/peak").asInt()).isLessThanOrEqualTo(12);
        assertThat(json().at("/bound").asInt()).isEqualTo(60);
        assertThat(json().at("/moves").asInt()).isGreaterThanOrEqualTo(60);
        assertThat(json().at("/waves/0/drill/0").asInt()).isEqualTo(20);
        assertThat(json().at("/waves/0/place").size()).isEqualTo(2);
        assertThat(line("calc cleco --holes 40 --mode every-hole --stock 12 --json"))
                .isEqualTo(1);
        assertThat(json().at("/least_stock").asInt()).isEqualTo(40);
        assertThat(line("calc cleco --holes 0 --mode every-hole --stock 12")).isEqualTo(2);
        assertThat(line("calc cleco --holes 9 --pitch 1 --mode nose-first --stock 12"))
                .isZero();
        assertThat(out).contains("drill 3 at 2.000 in");
    }

    @Test
    void calc_nutplate_answers_the_contract() {
        assertThat(line("calc nutplate --screws rect:4x3:6.0x4.0 --size 8 --times 2 --json"))
                .isZero();
        assertThat(json().at("/screws").size()).isEqualTo(10);
        assertThat(json().at("/rivets").size()).isEqualTo(20);
        assertThat(json().at("/plates/1/turn").asDouble()).isZero();
        assertThat(json().at("/plates/1/position/x/in").asDouble()).isCloseTo(2, within(1e-9));
        assertThat(json().at("/demand/plates").asInt()).isEqualTo(20);
        assertThat(json().at("/demand/rivets").asInt()).isEqualTo(40);
        assertThat(json().at("/findings").size()).isZero();
        assertThat(line("calc nutplate --screws row:6:.25 --size 8")).isEqualTo(1);
        assertThat(line("calc nutplate --screws row:6:1.25 --size 12")).isEqualTo(2);
        assertThat(err).contains("6, 8, 10, 1/4");
    }
}
