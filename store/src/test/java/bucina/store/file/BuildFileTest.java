package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import bucina.core.log.LogEntry;
import bucina.core.log.Work;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Layer;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.store.Demo;
import bucina.store.Document;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class BuildFileTest extends OnFile {

    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-11-23T12:00:00Z"), ZoneOffset.UTC);

    @Test
    void keeps_plan_log_marks_and_photographs_without_loss() {
        try (BuildFile file = BuildFile.open(path)) {
            Document read = file.document();
            assertThat(read.build()).isEqualTo(demo.build());
            assertThat(read.log().entries()).isEqualTo(demo.log().entries());
            assertThat(read.log().marks()).isEqualTo(demo.log().marks());
            assertThat(read.photos()).isEqualTo(demo.photos());
        }
    }

    @Test
    void gives_the_next_number_and_time_to_an_entry() {
        int last = demo.log().entries().getLast().id();
        try (BuildFile file = BuildFile.open(path)) {
            LogEntry entry = file.append(Demo.entry(demo.build(), 1, ""), List.of(), CLOCK, others -> {});
            assertThat(entry.id()).isEqualTo(last + 1);
            assertThat(entry.entered()).isEqualTo(CLOCK.instant());
        }
        try (BuildFile file = BuildFile.openToRead(path)) {
            assertThat(file.read().log().entries()).hasSize(last + 1);
        }
    }

    @Test
    void writes_only_what_an_edit_changed() {
        try (BuildFile file = BuildFile.open(path)) {
            Build build = file.read().build();
            Face face = build.face("Upper skin").orElseThrow().face();
            Layer doubler = face.layers().get(2);
            Outline wider = Outline.rectangle(Point.in(.2, -.1), Point.in(25, .96));
            Build changed = build.with(face.with(doubler.withOutline(wider)), build.nextId());
            file.save(changed);
            assertThat(file.read().build()).isEqualTo(changed);
        }
    }

    @Test
    void a_group_that_was_removed_is_gone_with_its_holes() {
        try (BuildFile file = BuildFile.open(path)) {
            Build build = file.read().build();
            Face face = build.face("Upper skin").orElseThrow().face();
            Face fewer = new Face(
                    face.id(),
                    face.name(),
                    face.viewed(),
                    face.xToward(),
                    face.yToward(),
                    face.layers(),
                    face.groups().subList(0, 2));
            Build changed = build.with(fewer, build.nextId());
            file.save(changed);
            assertThat(file.read().build()).isEqualTo(changed);
        }
    }

    @Test
    void refuses_to_change_or_delete_an_entry_even_from_outside() throws SQLException {
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + path);
                var statement = connection.createStatement()) {
            assertThatThrownBy(() -> statement.execute("UPDATE log_entry SET reason = 'x' WHERE id = 1"))
                    .hasMessageContaining("never changed");
            assertThatThrownBy(() -> statement.execute("DELETE FROM log_entry WHERE id = 1"))
                    .hasMessageContaining("never deleted");
        }
    }

    @Test
    void random_bytes_are_no_build_and_stay_as_they_are() throws IOException {
        Path other = folder.resolve("noise.bucina");
        byte[] noise = new byte[20_000];
        new Random(7).nextBytes(noise);
        Files.write(other, noise);
        assertTrouble(other, BuildFileException.Trouble.NOT_A_BUILD);
        assertThat(Files.readAllBytes(other)).isEqualTo(noise);
    }

    @Test
    void an_empty_or_short_or_foreign_file_is_no_build() throws IOException, SQLException {
        Path other = folder.resolve("other.bucina");
        for (String content : List.of("", "SQLite format 3\0", "{}")) {
            Files.writeString(other, content, StandardCharsets.ISO_8859_1);
            assertTrouble(other, BuildFileException.Trouble.NOT_A_BUILD);
        }
        Path foreign = folder.resolve("foreign.db");
        try (var c = DriverManager.getConnection("jdbc:sqlite:" + foreign);
                var s = c.createStatement()) {
            s.execute("CREATE TABLE x (y)");
        }
        assertTrouble(foreign, BuildFileException.Trouble.NOT_A_BUILD);
    }

    @Test
    void a_truncated_file_is_said_to_be_damaged_at_every_length() throws IOException {
        byte[] whole = Files.readAllBytes(path);
        Path cut = folder.resolve("cut.bucina");
        for (int part = 1; part < 20; part++) {
            byte[] bytes = Arrays.copyOf(whole, whole.length * part / 20);
            Files.write(cut, bytes);
            BuildFileException e = catchThrowableOfType(BuildFileException.class, () -> {
                try (BuildFile file = BuildFile.openToRead(cut)) {
                    file.read();
                }
            });
            assertThat(e).as("cut to %d of 20", part).isNotNull();
            assertThat(e.trouble()).isIn(BuildFileException.Trouble.DAMAGED, BuildFileException.Trouble.NOT_A_BUILD);
            assertThat(e).hasMessageContaining("left as it is");
            assertThat(Files.readAllBytes(cut)).isEqualTo(bytes);
        }
    }

    @Test
    void a_newer_file_is_refused_and_left() throws SQLException {
        try (var c = DriverManager.getConnection("jdbc:sqlite:" + path);
                var s = c.createStatement()) {
            s.execute("PRAGMA user_version = 99");
        }
        assertThat(assertTrouble(path, BuildFileException.Trouble.TOO_NEW)).hasMessageContaining("format 99");
    }

    @Test
    void a_folder_that_cannot_be_written_is_named() {
        Path nowhere = Path.of("/proc/bucina-test.bucina");
        assertThatThrownBy(() -> BuildFile.create(nowhere, demo))
                .isInstanceOf(BuildFileException.class)
                .hasMessageContaining("/proc")
                .hasMessageContaining("folder");
        assertTrouble(folder.resolve("missing.bucina"), BuildFileException.Trouble.MISSING);
    }

    @Test
    void an_existing_file_is_never_overwritten() {
        assertThatThrownBy(() -> BuildFile.create(path, demo)).hasMessageContaining("exists already");
    }

    @Test
    void a_full_disk_refuses_the_entry_and_keeps_all_before() {
        try (BuildFile file = BuildFile.open(path)) {
            int before = file.read().log().entries().size();
            file.set("max_page_count", 1);
            BuildFileException e = catchThrowableOfType(BuildFileException.class, () -> {
                for (int i = 0; i < 200; i++) {
                    file.append(Demo.entry(demo.build(), 1, "x".repeat(4000)), List.of(), CLOCK, others -> {});
                }
            });
            assertThat(e.trouble()).isEqualTo(BuildFileException.Trouble.NO_ROOM);
            assertThat(e).hasMessageContaining("Nothing was changed");
            assertThat(file.read().log().entries().size()).isGreaterThanOrEqualTo(before);
        }
        try (BuildFile file = BuildFile.open(path)) {
            assertThat(file.read().build()).isEqualTo(demo.build());
        }
    }

    @Test
    void reading_changes_no_byte_and_leaves_nothing_beside() throws IOException {
        byte[] before = Files.readAllBytes(path);
        try (BuildFile file = BuildFile.openToRead(path)) {
            file.document();
            assertThatThrownBy(() -> file.append(Demo.entry(demo.build(), 1, ""), List.of(), CLOCK, others -> {}))
                    .hasMessageContaining("read only");
        }
        assertThat(Files.readAllBytes(path)).isEqualTo(before);
        try (var files = Files.list(folder)) {
            assertThat(files).containsExactly(path);
        }
    }

    @Test
    void a_photograph_is_kept_once_and_comes_back() {
        try (BuildFile file = BuildFile.open(path)) {
            Work work = Demo.entry(demo.build(), 2, "").work().orElseThrow();
            Work pictured = new Work(
                    work.group(),
                    work.groupCode(),
                    work.holes(),
                    1,
                    work.designation(),
                    work.length(),
                    work.who(),
                    work.done(),
                    1,
                    work.setup(),
                    List.of(),
                    List.of(),
                    "",
                    "",
                    List.of(Demo.PHOTO.sha256()));
            file.append(LogEntry.Draft.install(pictured), List.of(Demo.PHOTO), CLOCK, others -> {});
            assertThat(file.document().photos()).containsExactly(Demo.PHOTO);
        }
    }

    @Test
    void sees_that_another_process_wrote() {
        try (BuildFile window = BuildFile.open(path);
                BuildFile other = BuildFile.open(path)) {
            window.read();
            long before = window.changes();
            other.append(Demo.entry(demo.build(), 3, ""), List.of(), CLOCK, others -> {});
            assertThat(window.changes()).isNotEqualTo(before);
        }
    }

    private static BuildFileException assertTrouble(Path path, BuildFileException.Trouble trouble) {
        BuildFileException e = catchThrowableOfType(
                BuildFileException.class, () -> BuildFile.open(path).close());
        assertThat(e).isNotNull();
        assertThat(e.trouble()).isEqualTo(trouble);
        assertThat(e).hasMessageContaining(path.getFileName().toString());
        return e;
    }
}
