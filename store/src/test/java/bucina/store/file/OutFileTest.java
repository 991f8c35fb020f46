package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.store.Demo;
import bucina.store.Document;
import bucina.store.Photo;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class OutFileTest {

    @TempDir
    private Path folder;

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void a_file_is_written_whole_and_nothing_stays_beside_it() throws IOException {
        Path out = folder.resolve("a.json");
        OutFile.write(out, bytes("one"), false);
        assertThat(out).hasContent("one");
        try (var files = Files.list(folder)) {
            assertThat(files).containsExactly(out);
        }
    }

    @Test
    void a_file_with_something_in_it_is_kept_unless_forced() {
        Path out = folder.resolve("a.json");
        OutFile.write(out, bytes("one"), false);
        assertThatThrownBy(() -> OutFile.write(out, bytes("two"), false))
                .isInstanceOf(BuildFileException.class)
                .hasMessageContaining("It was left as it is")
                .satisfies(e ->
                        assertThat(((BuildFileException) e).trouble()).isEqualTo(BuildFileException.Trouble.EXISTS))
                .satisfies(e -> assertThat(((BuildFileException) e).path()).isEqualTo(out));
        assertThat(out).hasContent("one");
        OutFile.write(out, bytes("two"), true);
        assertThat(out).hasContent("two");
    }

    @Test
    void an_empty_file_is_nothing_to_lose() throws IOException {
        Path out = Files.createFile(folder.resolve("empty.json"));
        OutFile.write(out, bytes("one"), false);
        assertThat(out).hasContent("one");
        Path build = Files.createFile(folder.resolve("empty.bucina"));
        BuildFile.create(build, Demo.document()).close();
        assertThat(Files.size(build)).isGreaterThan(10_000);
    }

    @Test
    void a_folder_that_is_not_there_is_said() {
        assertThatThrownBy(() -> OutFile.write(folder.resolve("no/such/a.json"), bytes("x"), false))
                .isInstanceOf(BuildFileException.class)
                .hasMessageContaining("no/such/a.json")
                .hasMessageContaining("folder");
        assertThatThrownBy(() -> OutFile.write(folder, bytes("x"), false)).isInstanceOf(BuildFileException.class);
    }

    @Test
    void the_same_picture_has_the_same_hash() {
        Photo one = Photo.of("image/png", bytes("abc"));
        // SHA-256 of "abc", FIPS 180-2 appendix B.1.
        assertThat(one.sha256()).isEqualTo("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
        assertThat(Photo.of("image/png", bytes("abc"))).isEqualTo(one).hasSameHashCodeAs(one);
        assertThat(Photo.of("image/jpeg", bytes("abc"))).isNotEqualTo(one);
        assertThat(one.toString()).contains("3 bytes");
    }

    @Test
    void a_log_that_names_a_picture_which_is_missing_is_no_document() {
        Document demo = Demo.document();
        Work w = Demo.entry(demo.build(), 1, "").work().orElseThrow();
        Work pictured = new Work(
                w.group(),
                w.groupCode(),
                w.holes(),
                1,
                w.designation(),
                w.length(),
                w.who(),
                w.done(),
                1,
                w.setup(),
                List.of(),
                List.of(),
                "",
                "",
                List.of("0".repeat(64)));
        Logbook log = Logbook.EMPTY.plus(new LogEntry(1, Instant.EPOCH, Optional.empty(), Optional.of(pictured), ""));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Document(demo.build(), log, List.of()))
                .withMessageContaining("entry 1");
    }
}
