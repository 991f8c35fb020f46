package bucina.desk.cli;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
import bucina.desk.session.DemoBuild;
import bucina.store.json.Json;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Whatever stands on the command line ends in an answer or in one sentence, never in a trace, and what was there before
 * is as it was.
 */
class HostileCliTest {

    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-11-24T12:00:00Z"), ZoneOffset.UTC);

    /** How often a word is put wrong in another way. */
    private static final int WRONG = Boolean.getBoolean("trust") ? 4 : 2;

    /** Calls that are right; one word of each is put wrong. */
    private static final List<String> CALLS = List.of(
            "calc rivet --head flush --diameter 3/32 --layers .025,.032 --prep dimple",
            "calc blind --family iso15977 --diameter 3.2mm --layers .6mm,.8mm,1.6mm --room 9mm",
            "calc bolt --thread 10-32 --layers .125,.063 --drag 8",
            "calc nest --head ms20426-3 --skin .032 --sub .063",
            "calc dress --head flush --diameter 3/32 --layers .025,.063 --school full",
            "calc edge --diameter 1/8 --head flush --distance .28",
            "calc row --first .5 --last 20 --pitch 1 --diameter 3/32 --thickness .025",
            "calc bend --radius .125 --thickness .040 --angle 90 --k 0.446",
            "calc flat --legs 1,2,1 --angles 90,-90 --radius .16 --thickness .04 --k .5",
            "calc radius --alloy 2024-T3 --thickness .040",
            "calc flute --sagitta .1 --chord 12 --flange .75 --depth .08 --width .35",
            "calc cut --want 24x3,36x2 --stock 72x3 --kerf .06",
            "calc cleco --holes 40 --mode middle-out --stock 12 --nearest 2",
            "calc nutplate --screws circle:8:3.0 --size 8 --lugs .344,0;-.344,0",
            "calc trim --holes 1,.6;9,.6 --diameter 1/8 --head universal --outline " + "0,0;10,0;10,4;0,4",
            "check FILE",
            "stack FILE --face Lid --at 5.5,.47",
            "groups FILE",
            "log FILE",
            "cleco FILE --face Lid --row R1 --mode ends-in " + "--nearest 2 --bin 1/8:20",
            "reach FILE --face Lid --operation set",
            "mark FILE --face Lid --row R1 --holes 1-4 --operation deburred",
            "log FILE add --group LD-1 --row R1 --holes 1-2 --designation 4.0x8 --who M --at 2026-11-23T19:30 "
                    + "--minutes 25",
            "export FILE --to csv --what holes --face Lid --out OUT");

    private static final List<String> BAD = List.of(
            "",
            " ",
            "x",
            "-1",
            "0",
            "1e9",
            "99999999999",
            "NaN",
            "1/0",
            ",",
            ";",
            "1,,2",
            "R1.",
            "1-",
            "5-1",
            "--",
            "--json",
            "\u00e9\u4e2d",
            "{}",
            "%s",
            "a=b",
            "../..",
            "circle:0:0",
            "row:1:1:1",
            "2026-13-45T99:99",
            "24x",
            "1,2,3;4");

    @TempDir
    private Path folder;

    private Path file;
    private String out;
    private String err;

    private int run(List<String> args) {
        StringWriter output = new StringWriter();
        StringWriter errors = new StringWriter();
        int exit = Cli.run(CLOCK, new PrintWriter(output), new PrintWriter(errors), args.toArray(String[]::new));
        out = output.toString();
        err = errors.toString();
        return exit;
    }

    private List<String> words(String call) {
        List<String> words = new ArrayList<>(Arrays.asList(call.split(" ")));
        words.replaceAll(w -> w.equals("FILE")
                ? file.toString()
                : w.equals("OUT") ? folder.resolve("out").toString() : w);
        return words;
    }

    private void fresh() throws IOException {
        Files.deleteIfExists(folder.resolve("out"));
    }

    private void judge(List<String> words) {
        int exit = run(words);
        assertThat(exit).as(words.toString()).isBetween(0, 2);
        assertThat(out + err).as(words.toString()).doesNotContain("Exception", "\tat ", "java.", "null\n");
        if (exit == 2) {
            assertThat(err.strip()).as(words.toString()).isNotEmpty();
            assertThat(err.strip().lines().count()).as(words + ": " + err).isEqualTo(1);
        }
    }

    @Test
    void one_word_of_each_call_is_put_wrong_or_left_out_or_doubled() throws IOException {
        file = folder.resolve("locker.bucina");
        DemoBuild.write(DemoBuild.Which.LOCKER, file, CatalogueReader.shipped());
        Random random = new Random(9);
        int refused = 0;
        for (String call : CALLS) {
            List<String> words = words(call);
            fresh();
            for (int i = 1; i < words.size(); i++) {
                List<String> left = new ArrayList<>(words);
                left.remove(i);
                judge(left);
                List<String> doubled = new ArrayList<>(words);
                doubled.add(i, words.get(i));
                judge(doubled);
                for (int k = 0; k < WRONG; k++) {
                    List<String> wrong = new ArrayList<>(words);
                    wrong.set(i, BAD.get(random.nextInt(BAD.size())));
                    if (random.nextInt(3) == 0) {
                        wrong.add("--json");
                    }
                    fresh();
                    judge(wrong);
                    refused += err.isBlank() ? 0 : 1;
                }
            }
        }
        assertThat(refused).isGreaterThan(75 * WRONG);
        assertThat(run(List.of("check", file.toString()))).isBetween(0, 1);
    }

    @Test
    void each_call_is_right_as_it_stands_and_answers_in_json() throws IOException {
        file = folder.resolve("locker.bucina");
        DemoBuild.write(DemoBuild.Which.LOCKER, file, CatalogueReader.shipped());
        for (String call : CALLS) {
            if (call.startsWith("log FILE add")) {
                continue;
            }
            fresh();
            List<String> words = words(call);
            words.add("--json");
            int exit = run(words);
            assertThat(exit).as(call + ": " + err).isBetween(0, 1);
            if (!call.startsWith("export")) {
                assertThat(Json.read(out).isContainerNode()).as(call).isTrue();
            }
        }
    }

    @Test
    void an_argument_of_thousands_of_tabs_gets_one_bounded_line() {
        judge(List.of("calc", "edge", "--diameter", "\t".repeat(60_000), "--head", "flush", "--distance", ".28"));
        judge(List.of("check", "\t".repeat(60_000)));
        assertThat(err.length()).isLessThan(5000);
        assertThat(err).doesNotContain("\t");
    }

    @Test
    void what_is_too_much_for_the_machine_ends_in_a_sentence_and_leaves_the_file() throws IOException {
        file = folder.resolve("locker.bucina");
        DemoBuild.write(DemoBuild.Which.LOCKER, file, CatalogueReader.shipped());
        byte[] before = Files.readAllBytes(file);
        for (Error error : List.of(new OutOfMemoryError("heap"), new StackOverflowError())) {
            StringWriter errors = new StringWriter();
            InstantSource failing = () -> {
                throw error;
            };
            List<String> words = words("mark FILE --face Lid --row R1 --holes 1-4 --operation deburred");
            int exit = Cli.run(
                    failing.withZone(ZoneOffset.UTC),
                    new PrintWriter(new StringWriter()),
                    new PrintWriter(errors),
                    words.toArray(String[]::new));
            assertThat(exit).isEqualTo(2);
            assertThat(errors.toString())
                    .startsWith("This was too much for the memory of this computer")
                    .hasLineCount(1);
            assertThat(Files.readAllBytes(file)).isEqualTo(before);
        }
    }
}
