package bucina.desk.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The command line where it was once wrong: guards, set-ups, words of numbers, sums that passed although they failed.
 */
class TrueCliTest extends OnCommandLine {

    @BeforeEach
    void demo() {
        file = folder.resolve("dunlin.bucina");
        assertThat(run("demo", "stabilator", "--to", file.toString())).isZero();
    }

    @Test
    void a_demonstration_goes_to_a_file_and_never_over_one() throws IOException {
        byte[] before = Files.readAllBytes(file);
        assertThat(run("demo", "locker", "--to", file.toString())).isEqualTo(2);
        assertThat(err).contains("is there already");
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
        assertThat(run("demo", "glider", "--to", folder.resolve("g").toString()))
                .isEqualTo(2);
        assertThat(err).contains("stabilator, locker or box");
    }

    /* Rear spar web: .032 + .065 = .097 and with the .015 strap .112; -4 in both, closed gaps .015 apart. */
    @Test
    void setups_say_where_the_squeezer_is_reset() {
        assertThat(line("setups {} --face 'Rear spar web' --group RW-1 --json", file))
                .isZero();
        JsonNode stretches = json().at("/stretches");
        assertThat(stretches.size()).isEqualTo(4);
        JsonNode second = stretches.get(1);
        JsonNode third = stretches.get(2);
        assertThat(second.at("/designation").asText()).isEqualTo("MS20470AD3-4");
        assertThat(third.at("/designation").asText()).isEqualTo("MS20470AD3-4");
        assertThat(second.at("/holes").size() + third.at("/holes").size()).isEqualTo(18);
        assertThat(third.at("/change/in").asDouble()).isCloseTo(.015, within(1e-9));
        assertThat(stretches.get(0).at("/change").isNull()).isTrue();
        assertThat(third.at("/gap/in").asDouble()).isCloseTo(.1659, within(5e-5));
        assertThat(line("setups {} --face 'Rear spar web' --group US-1", file)).isEqualTo(2);
    }

    private int set(String because) {
        List<String> words = new ArrayList<>(List.of(
                "log",
                file.toString(),
                "add",
                "--group",
                "US-6",
                "--row",
                "R22",
                "--holes",
                "2",
                "--designation",
                "426AD3-3.5",
                "--who",
                "M",
                "--at",
                "2026-11-24T19:00",
                "--minutes",
                "5",
                "--note",
                "@team"));
        if (!because.isEmpty()) {
            words.addAll(List.of("--because", because));
        }
        return run(words.toArray());
    }

    @Test
    void a_rivet_in_a_hole_that_is_not_ready_is_refused_by_name_unless_a_reason_is_given() {
        assertThat(set("")).isEqualTo(2);
        assertThat(err).contains("R22.2 in Upper skin is not drilled to final size, not deburred, not dimpled");
        assertThat(set("the kit came with it")).as(err).isZero();
        assertThat(run("log", file.toString(), "--json")).isZero();
        JsonNode last = json().at("/entries").get(39);
        assertThat(last.toString()).contains("the kit came with it").contains("@team");
    }

    @Test
    void a_dimple_before_drilling_is_refused_and_step_by_step_it_goes() {
        String mark = "mark FILE --face Upper_skin --row R22 --holes 2 --operation ";
        assertThat(marked(mark + "dimpled")).isEqualTo(2);
        assertThat(err)
                .contains("R22.2 in Upper skin is not drilled to final size, not deburred, which comes before dimpled")
                .contains("--because");
        assertThat(marked(mark + "final-size")).isZero();
        assertThat(marked(mark + "dimpled")).isEqualTo(2);
        assertThat(marked(mark + "deburred")).isZero();
        assertThat(marked(mark + "dimpled")).isZero();
        assertThat(set("")).as(err).isZero();
        assertThat(marked(mark + "deburred")).isZero();
        assertThat(out).contains("All of them were marked so already");
        assertThat(marked(mark + "cleared")).isZero();
        assertThat(out).contains("None of the holes takes that");
    }

    private int marked(String words) {
        return run(List.of(words.split(" ")).stream()
                .map(w -> w.equals("FILE") ? file.toString() : w.replace("Upper_skin", "Upper skin"))
                .toArray());
    }

    @Test
    void what_comes_in_by_json_is_judged_too() throws IOException {
        Path exported = folder.resolve("out.json");
        assertThat(line("export FILE --to json --what build --out " + exported)).isZero();
        assertThat(line("import " + exported + " --from json --out " + folder.resolve("same.bucina")))
                .as(err)
                .isZero();
        String bare = Files.readString(exported).replaceAll("\"marks\" ?: ?\\[[^\\]]*\\]", "\"marks\": []");
        Path cut = Files.writeString(folder.resolve("bare.json"), bare);
        assertThat(line("import " + cut + " --from json --out " + folder.resolve("bare.bucina")))
                .isEqualTo(2);
        assertThat(err)
                .contains("has no reason why a hole that was not ready was set")
                .contains("--because");
        assertThat(folder.resolve("bare.bucina")).doesNotExist();
        assertThat(line("import " + cut + " --from json --because paper --out " + folder.resolve("bare.bucina")))
                .as(err)
                .isZero();
    }

    @ParameterizedTest
    @CsvSource({
        ".093,3/32",
        ".094,3/32",
        ".125,1/8",
        ".156,5/32",
        "3/32,3/32",
        "-3,3/32",
        "-4,1/8",
    })
    void diameters_are_read_as_people_write_them(String typed, String nominal) {
        String words = "calc rivet --head universal --layers .032,.040 --json --diameter ";
        assertThat(line(words + typed)).as(err).isZero();
        String first = out;
        assertThat(line(words + nominal)).isZero();
        assertThat(first).isEqualTo(out);
    }

    /* .025 under a head .036 high: countersunk it is an error; dimpled into .063 it is the usual joint. */
    @Test
    void calc_rivet_fails_where_its_joint_fails_and_can_be_asked_the_mixed_one() {
        assertThat(line("calc rivet --head flush --diameter 3/32 --layers .025,.063 --json"))
                .isEqualTo(1);
        assertThat(json().at("/findings/0/rule").asText()).isEqualTo("countersink-too-deep");
        assertThat(line("calc rivet --head flush --diameter 3/32 --layers .025,.063 --prep auto --json"))
                .isZero();
        assertThat(json().at("/layers/0").asText()).isEqualTo("dimple");
        assertThat(json().at("/layers/1").asText()).isEqualTo("countersink");
        assertThat(json().at("/effective_grip/in").asDouble()).isCloseTo(.088, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "calc cleco --holes many --mode middle-out --stock 12|--holes \"many\" is not a whole number: write it",
                "calc bolt --thread 10-32 --layers .25 --drag lots|--drag \"lots\" is not a number: write it like 2.5",
                "calc blind --family structural-16 --diameter .2 --layers .063,.063|no structural-16 rivet of",
                "calc flute --sagitta 1 --chord 4 --flange 2 --depth .08 --width 1|more than the chord",
                "calc trim --holes 1,1 --diameter 1/8 --head universal --outline 0,0;4,4;4,0;0,4|crosses itself",
                "calc trim --holes 1,1 --diameter 1/8 --head universal --outline 0,0;4,0;8,0|holds no metal",
                "calc rivet --head flush --diameter 3/32 --layers .032,.032 --prep dimple --effective-grip "
                        + ".05|cannot be",
                "calc nest --head ms20426-3 --skin .025 --sub .063 --angle 120|100° head",
            })
    void what_cannot_be_is_refused_in_a_sentence_of_the_bench(String words, String expected) {
        assertThat(line(words)).isEqualTo(2);
        assertThat(err).contains(expected).doesNotContain("int'").doesNotContain("double");
    }

    /* 2.5 D of 5/32 is .390625; at .3906 the figures differ by .000025 in, and read so. */
    @Test
    void figures_that_differ_read_differently() {
        assertThat(line("calc edge --diameter 5/32 --head flush --distance .3906"))
                .isEqualTo(1);
        assertThat(out).contains(".39063").contains("Move the hole .00003 in inward");
    }

    @Test
    void a_skin_over_the_cold_limit_and_a_knife_edge_are_said() {
        assertThat(line("calc nest --head ms20426-4 --skin .063 --sub .090 --json"))
                .isEqualTo(1);
        assertThat(json().at("/verdict").asText()).isEqualTo("skin-too-thick");
        // (.225 - .1285) / 2.38351 = .0405; .044 leaves .0035.
        assertThat(line("calc nest --head ms20426-4 --skin 0 --sub .044 --json"))
                .isZero();
        assertThat(json().at("/knife_edge").asBoolean()).isTrue();
        // Down to a hole of .05 the cone is (.225 - .05) / 2.38351 = .0734 deep: out of .063.
        assertThat(line("calc nest --head ms20426-4 --skin 0 --sub .063 --hole .05 --school two-thirds --json"))
                .isEqualTo(1);
        assertThat(json().at("/verdict").asText()).isEqualTo("comes-out");
    }

    @Test
    void pulled_rivets_of_the_iso_families_carry_their_caution() {
        assertThat(line("calc blind --family iso15977 --diameter '3.2 mm' --layers '0.8 mm,1.6 mm'"))
                .isZero();
        assertThat(out).contains("no structural aircraft rivets: only where the kit calls for them");
    }

    @Test
    void a_table_of_holes_and_the_groups_name_a_cut_rivet_alike() throws IOException {
        Path locker = folder.resolve("locker.bucina");
        assertThat(run("demo", "locker", "--to", locker.toString())).isZero();
        assertThat(run("groups", locker.toString())).isZero();
        assertThat(out).contains("ISO 15977 3.2 × 6 cut");
        Path csv = folder.resolve("holes.csv");
        assertThat(line("export {} --to csv --what holes --face 'Locker floor' --out {}", locker, csv))
                .as(err)
                .isZero();
        assertThat(Files.readString(csv)).contains("ISO 15977 3.2 × 6 cut");
    }

    /* LS-1 R1: 14 of 48 are in. */
    @Test
    void a_half_riveted_row_is_clecoed_and_set_only_where_it_is_open() {
        assertThat(line("cleco {} --face 'Lower skin' --row R1 --bin 3/32:60 --json", file))
                .isZero();
        JsonNode row = json().at("/rows/0");
        assertThat(row.at("/holes").size()).isEqualTo(34);
        assertThat(row.at("/holes/0").asText()).isEqualTo("15");
        assertThat(line("cleco {} --face 'Lower skin' --row R4", file)).isZero();
        assertThat(out).contains("Every hole of R4 has its fastener in");
    }
}
