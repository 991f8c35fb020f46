package bucina.desk.cli;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.Length;
import bucina.core.plan.Layer;
import bucina.desk.session.DemoBuild;
import bucina.store.Document;
import bucina.store.file.BuildFile;
import bucina.store.json.BuildJson;
import bucina.store.json.Json;
import com.fasterxml.jackson.databind.JsonNode;
import com.sun.management.OperatingSystemMXBean;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files put wrong at random are brought in as they say, or refused in a sentence, soon. */
class MutatedImportsTest extends OnCommandLine {

    private static final int MANY = Boolean.getBoolean("trust") ? 2500 : 12;
    private static final long LONGEST_NS = 5_000_000_000L;

    private static final List<String> NASTY = List.of(
            "",
            "0",
            "-1",
            "NaN",
            "Infinity",
            "1e300",
            "1e-91",
            "0.635e-2147483647",
            "9223372036854775807",
            "359.9999999999",
            "1,5",
            "{}",
            "\"",
            "\u0007\u001b[31m",
            "\u00e9\u4e2d\ud83d\ude00",
            "x".repeat(5000),
            "null",
            "<g>",
            "0\nINSERT",
            "999999");

    private final Random random = new Random(Long.getLong("seed", 29));

    private byte[] sound(String from) throws IOException {
        file = folder.resolve("sound.bucina");
        DemoBuild.write(DemoBuild.Which.LOCKER, file, CatalogueReader.shipped());
        Path sound = folder.resolve("sound." + from);
        assertThat(run("export", file, "--to", from, "--out", sound)).as(err).isZero();
        return Files.readAllBytes(sound);
    }

    /** A text with some of its words, lines or letters put wrong. */
    private byte[] wrong(byte[] sound) {
        String text = new String(sound, StandardCharsets.UTF_8);
        for (int n = 1 + random.nextInt(3); n > 0; n--) {
            text = switch (random.nextInt(8)) {
                case 0, 1, 2 -> word(text);
                case 3 -> line(text, 0);
                case 4 -> line(text, 2);
                case 5 -> swapped(text);
                case 6 -> letter(text);
                default ->
                    n == 1 && random.nextInt(4) == 0 ? text.substring(0, random.nextInt(text.length())) : word(text);
            };
        }
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        if (random.nextInt(8) == 0 && bytes.length > 0) {
            bytes[random.nextInt(bytes.length)] = (byte) random.nextInt();
        }
        return bytes;
    }

    private String word(String text) {
        if (text.isEmpty()) {
            return "x";
        }
        int at = random.nextInt(text.length());
        int begin = at;
        while (begin > 0 && wordly(text.charAt(begin - 1))) {
            begin--;
        }
        int end = at;
        while (end < text.length() && wordly(text.charAt(end))) {
            end++;
        }
        return text.substring(0, begin) + NASTY.get(random.nextInt(NASTY.size())) + text.substring(end);
    }

    private static boolean wordly(char c) {
        return Character.isLetterOrDigit(c) || c == '.' || c == '-' || c == '+';
    }

    private String line(String text, int times) {
        List<String> lines = new ArrayList<>(Arrays.asList(text.split("\n", -1)));
        int at = random.nextInt(lines.size());
        String line = lines.remove(at);
        for (int i = 0; i < times; i++) {
            lines.add(at, line);
        }
        return String.join("\n", lines);
    }

    private String swapped(String text) {
        List<String> lines = new ArrayList<>(Arrays.asList(text.split("\n", -1)));
        int a = random.nextInt(lines.size());
        int b = random.nextInt(lines.size());
        lines.set(a, lines.set(b, lines.get(a)));
        return String.join("\n", lines);
    }

    private String letter(String text) {
        if (text.isEmpty()) {
            return "x";
        }
        int at = random.nextInt(text.length());
        return text.substring(0, at) + (random.nextBoolean() ? "" : "<") + text.substring(at + 1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"json", "dxf", "svg", "csv"})
    void a_file_put_wrong_is_brought_in_as_it_says_or_refused(String from) throws IOException {
        byte[] sound = sound(from);
        Path in = folder.resolve("wrong." + from);
        Path made = folder.resolve("made.bucina");
        int refused = 0;
        for (int i = 0; i < MANY; i++) {
            byte[] bytes = wrong(sound);
            Files.write(in, bytes);
            Files.deleteIfExists(made);
            int exit = soon(i, in, from, made);
            String how = "case " + i + " of " + from + ": " + out + err;
            assertThat(exit).as(how).isIn(0, 2);
            assertThat(out + err)
                    .as(how)
                    .doesNotContain("Exception", "\tat ", "java.", "bucina.core", "SQLITE_", "\u001b");
            assertThat(Files.readAllBytes(in)).as(how).isEqualTo(bytes);
            if (exit == 2) {
                refused++;
                assertThat(err.strip().lines().count()).as(how).isEqualTo(1);
                assertThat(made).as(how).doesNotExist();
            } else {
                brought(from, bytes, made, how);
            }
            assertThat(left()).as(how).isEmpty();
        }
        System.out.println(MANY + " files of " + from + " put wrong, " + refused + " refused");
        assertThat(refused).isPositive();
    }

    private int soon(int i, Path in, String from, Path made) {
        OperatingSystemMXBean system = (OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
        long begin = system.getProcessCpuTime();
        int exit = from.equals("json")
                ? run("import", in, "--from", from, "--out", made)
                : run("import", in, "--from", from, "--unit", "mm", "--thickness", ".8mm", "--out", made, "--json");
        assertThat(system.getProcessCpuTime() - begin)
                .as("case " + i + " of " + from)
                .isLessThan(LONGEST_NS);
        return exit;
    }

    /** What the import left beside what it was to make. */
    private List<Path> left() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(f -> f.getFileName().toString().matches("\\..*|.*-(wal|shm|journal)"))
                    .toList();
        }
    }

    /** What was made holds what the file says, and every verb can read it. */
    private void brought(String from, byte[] bytes, Path made, String how) {
        Document held;
        try (BuildFile file = BuildFile.openToRead(made)) {
            held = file.document();
        }
        if (from.equals("json")) {
            assertThat(held).as(how).isEqualTo(BuildJson.read(Json.read(new String(bytes, StandardCharsets.UTF_8))));
        } else {
            assertThat(held.build().faces().stream()
                            .mapToInt(f -> f.face().count())
                            .sum())
                    .as(how)
                    .isEqualTo(json().at("/holes").findValues("count").stream()
                            .mapToInt(JsonNode::asInt)
                            .sum());
            assertThat(held.build().faces().stream()
                            .flatMap(f -> f.face().layers().stream())
                            .map(Layer::thickness))
                    .as(how)
                    .allMatch(t -> t.atLeast(Length.mm(.3)) && t.atMost(Length.mm(12)));
        }
        assertThat(run("check", made, "--json")).as(how + out + err).isBetween(0, 1);
        json().at("/findings")
                .findValues("mm")
                .forEach(mm -> assertThat(mm.isNumber()).as(how + out).isTrue());
    }
}
