package bucina.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the launcher sets where the shell of a machine says nothing, or the wrong thing. */
class LauncherTest {

    @TempDir
    private Path folder;

    /** The lines that a shell prints after the launcher has looked for its places. */
    private static List<String> places(Map<String, String> environment, String fallback) throws Exception {
        return shell(
                environment, "find_places '" + fallback + "'; echo \"$HOME\"; echo \"${LC_ALL:-}\"; echo \"$SCRATCH\"");
    }

    private static List<String> shell(Map<String, String> environment, String script) throws Exception {
        Path common = Path.of("..", "build-tools", "common.sh").toAbsolutePath();
        ProcessBuilder builder = new ProcessBuilder("bash", "-c", ". '" + common + "'; " + script);
        builder.environment()
                .keySet()
                .removeIf(k ->
                        k.startsWith("LC_") || List.of("HOME", "LANG", "TMPDIR").contains(k));
        builder.environment().putAll(environment);
        Process process = builder.redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(said).isZero();
        return said.lines().toList();
    }

    @Test
    void a_home_and_a_locale_are_found_where_none_is_set() throws Exception {
        List<String> lines = places(
                Map.of("TMPDIR", folder.toString()), folder.resolve("fallback").toString());
        assertThat(lines.get(0)).isNotBlank();
        assertThat(lines.get(1)).isEqualTo("C.UTF-8");
        assertThat(lines.get(2)).isEqualTo(folder.toString());
    }

    @Test
    void what_is_set_and_does_is_left_alone() throws Exception {
        List<String> lines = places(
                Map.of("HOME", folder.toString(), "LANG", "de_DE.UTF-8", "TMPDIR", folder.toString()), "/nowhere");
        assertThat(lines).containsExactly(folder.toString(), "", folder.toString());
    }

    @Test
    void a_locale_that_cannot_write_names_is_replaced() throws Exception {
        assertThat(places(Map.of("LC_ALL", "POSIX", "TMPDIR", folder.toString()), "/nowhere")
                        .get(1))
                .isEqualTo("C.UTF-8");
    }

    @Test
    void where_the_temporary_folder_does_not_do_another_is_taken() throws Exception {
        Path file = folder.resolve("a file");
        Files.writeString(file, "");
        Path fallback = folder.resolve("fallback");
        List<String> lines = places(Map.of("TMPDIR", file.toString()), fallback.toString());
        assertThat(lines.getLast()).isEqualTo(fallback.toString());
        assertThat(fallback).isDirectory();
        left(fallback);
    }

    @Test
    void what_ends_the_window_does_not_take_a_lent_display_away_under_it() throws Exception {
        List<String> sessions =
                shell(Map.of(), "lend_display; ps -o sid= -p $$; ps -o sid= -p $XVFB_PID; kill $XVFB_PID");
        assertThat(sessions).hasSize(2);
        assertThat(sessions.get(1).strip()).isNotEqualTo(sessions.get(0).strip());
    }

    private static void left(Path fallback) throws IOException {
        try (var files = Files.list(fallback)) {
            assertThat(files).isEmpty();
        }
    }
}
