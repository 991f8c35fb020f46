package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.log.LogEntry;
import bucina.core.plan.Build;
import bucina.core.rule.RuleKey;
import bucina.store.Demo;
import bucina.store.Document;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A journal that lies beside the name of a build is applied only to the build it was written for. */
class JournalsTest extends OnFile {

    /** A build as a kill leaves it: the file of before an entry, and the log with the entry beside it. */
    private record Killed(byte[] build, byte[] log, LogEntry entry) {

        void at(Path place) throws IOException {
            Files.write(place, build);
            Files.write(place.resolveSibling(place.getFileName() + "-wal"), log);
        }
    }

    private Killed killed(Path of, String note) throws SQLException, IOException {
        byte[] before = Files.readAllBytes(of);
        try (BuildFile file = BuildFile.open(of);
                Connection reader = DriverManager.getConnection("jdbc:sqlite:" + of)) {
            reader.setAutoCommit(false);
            try (Statement s = reader.createStatement();
                    ResultSet r = s.executeQuery("SELECT * FROM state")) {
                assertThat(r.next()).isTrue();
                file.set("busy_timeout", 10);
                LogEntry entry =
                        file.append(Demo.entry(demo.build(), 1, note), List.of(), Clock.systemUTC(), others -> {});
                return new Killed(before, Files.readAllBytes(of.resolveSibling(of.getFileName() + "-wal")), entry);
            }
        }
    }

    private Path another() {
        Path other = folder.resolve("other.bucina");
        BuildFile.create(other, new Document(demo.build(), demo.log(), List.of()))
                .close();
        return other;
    }

    private static List<LogEntry> entries(BuildFile file) {
        return file.read().log().entries();
    }

    @Test
    void the_journal_a_kill_left_is_read_with_its_build() throws Exception {
        Path killed = folder.resolve("killed.bucina");
        Killed left = killed(path, "last");
        left.at(killed);
        try (BuildFile file = BuildFile.openToRead(killed)) {
            assertThat(entries(file).getLast()).isEqualTo(left.entry);
        }
        try (BuildFile file = BuildFile.open(killed)) {
            assertThat(entries(file).getLast()).isEqualTo(left.entry);
            assertThat(file.said()).isEmpty();
        }
        assertThat(folder.resolve("killed.bucina-wal")).doesNotExist();
    }

    @Test
    void a_build_made_where_another_was_removed_has_no_entry_that_nobody_made() throws Exception {
        Path place = folder.resolve("place.bucina");
        killed(path, "of the removed build").at(place);
        Files.delete(place);
        try (BuildFile made = BuildFile.create(place, demo)) {
            assertThat(entries(made)).isEqualTo(demo.log().entries());
            assertThat(made.said())
                    .singleElement()
                    .asString()
                    .contains("place.bucina-wal lay beside", "put aside as place.bucina-wal.aside-1");
        }
        assertThat(folder.resolve("place.bucina-wal.aside-1")).isNotEmptyFile();
    }

    @Test
    void a_build_copied_over_another_is_not_mixed_with_what_the_other_left() throws Exception {
        Path place = folder.resolve("place.bucina");
        Path other = another();
        killed(path, "of the build that was there").at(place);
        Files.write(place, Files.readAllBytes(other));
        try (BuildFile read = BuildFile.openToRead(place)) {
            assertThat(entries(read)).isEqualTo(demo.log().entries());
            assertThat(read.said()).hasSize(1);
        }
        killed(path, "again").at(place);
        Files.write(place, Files.readAllBytes(other));
        try (BuildFile file = BuildFile.open(place)) {
            assertThat(entries(file)).isEqualTo(demo.log().entries());
            assertThat(file.said()).singleElement().asString().contains("aside-2");
        }
    }

    @Test
    void an_older_copy_of_the_same_build_put_back_is_not_mixed_with_what_came_later() throws Exception {
        byte[] old = Files.readAllBytes(path);
        try (BuildFile file = BuildFile.open(path)) {
            Build build = file.read().build();
            file.save(build.withRules(build.rules().with(RuleKey.LAP_BACK, "4 in", "stiff skin")));
        }
        Path place = folder.resolve("place.bucina");
        killed(path, "last").at(place);
        Files.write(place, old);
        try (BuildFile file = BuildFile.open(place)) {
            assertThat(entries(file)).isEqualTo(demo.log().entries());
            assertThat(file.said()).hasSize(1);
        }
    }

    @Test
    void what_makes_no_sense_alone_nor_with_its_journal_is_left_as_it_is() throws Exception {
        Path place = folder.resolve("place.bucina");
        Killed left = killed(path, "last");
        byte[] torn = left.build.clone();
        Arrays.fill(torn, 3 * 4096, 12 * 4096, (byte) 7);
        new Killed(torn, left.log, left.entry).at(place);
        assertThatThrownBy(() -> BuildFile.open(place)).hasMessageContaining("neither alone nor with the journal");
        assertThat(Files.readAllBytes(place)).isEqualTo(torn);
        assertThat(Files.readAllBytes(folder.resolve("place.bucina-wal"))).isEqualTo(left.log);
    }

    @Test
    void a_rollback_journal_of_another_build_is_put_aside() throws Exception {
        Path other = another();
        Path place = folder.resolve("place.bucina");
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + other);
                Statement s = c.createStatement()) {
            s.execute("PRAGMA journal_mode = DELETE");
            s.execute("PRAGMA cache_size = 1");
            s.execute("UPDATE hole SET x_nm = x_nm + 1");
            s.execute("BEGIN");
            s.execute("UPDATE hole SET x_nm = x_nm + 1");
            Files.write(place, Files.readAllBytes(path));
            Files.copy(folder.resolve("other.bucina-journal"), folder.resolve("place.bucina-journal"));
        }
        assertThat(folder.resolve("place.bucina-journal")).isNotEmptyFile();
        try (BuildFile file = BuildFile.open(place)) {
            // It was copied here: it gives out ids of its own.
            Build read = file.read().build();
            assertThat(read.assemblies()).isEqualTo(demo.build().assemblies());
            assertThat(read.nextId()).isGreaterThan(demo.build().nextId());
            assertThat(file.said()).singleElement().asString().contains("place.bucina-journal");
        }
    }

    @Test
    void links_and_other_spellings_are_the_same_file() throws Exception {
        Path place = folder.resolve("place.bucina");
        Killed left = killed(path, "last");
        left.at(place);
        Path link = Files.createSymbolicLink(folder.resolve("link.bucina"), place);
        Path hard = Files.createLink(folder.resolve("a-hard.bucina"), place);
        Path dotted = folder.resolve("x").resolve("..").resolve("place.bucina");
        Files.createDirectory(folder.resolve("x"));
        for (Path each : List.of(link, hard, dotted)) {
            try (BuildFile file = BuildFile.openToRead(each)) {
                assertThat(entries(file).getLast()).as(each.toString()).isEqualTo(left.entry);
            }
            assertThat(Spelling.of(each)).isEqualTo(Spelling.of(place));
        }
        try (BuildFile one = BuildFile.open(link);
                BuildFile two = BuildFile.open(hard)) {
            one.append(Demo.entry(demo.build(), 2, "by link"), List.of(), Clock.systemUTC(), others -> {});
            two.append(Demo.entry(demo.build(), 3, "by hard link"), List.of(), Clock.systemUTC(), others -> {});
            assertThat(entries(one)).isEqualTo(entries(two)).hasSize(left.entry.id() + 2);
        }
    }

    /** A file of the first format with a change that is still in the log beside it. */
    private Path older(String name) throws SQLException, IOException {
        Path old = OldFile.version1(folder.resolve("old.bucina"));
        Path place = folder.resolve(name);
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + old);
                Statement s = c.createStatement()) {
            s.execute("PRAGMA journal_mode = WAL");
            s.execute("PRAGMA wal_autocheckpoint = 0");
            s.execute("UPDATE face SET viewed = 'from the bench'");
            Files.copy(old, place);
            Files.copy(folder.resolve("old.bucina-wal"), folder.resolve(name + "-wal"));
        }
        Files.delete(old);
        return place;
    }

    private static String viewed(BuildFile file) {
        return file.read().build().faces().getFirst().face().viewed();
    }

    @Test
    void a_build_of_an_older_format_is_brought_up_with_the_log_that_is_its_own() throws Exception {
        Path place = older("place.bucina");
        try (BuildFile read = BuildFile.openToRead(place)) {
            assertThat(viewed(read)).isEqualTo("from the bench");
        }
        try (BuildFile file = BuildFile.open(place)) {
            assertThat(viewed(file)).isEqualTo("from the bench");
            assertThat(file.said()).isEmpty();
        }
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + place + ".before-version-13");
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery("SELECT viewed FROM face")) {
            assertThat(r.getString(1)).isEqualTo("from the bench");
        }
    }

    @Test
    void a_build_of_an_older_format_is_not_mixed_with_the_log_of_another() throws Exception {
        Path place = older("place.bucina");
        Files.delete(folder.resolve("place.bucina-wal"));
        Path another = another();
        Killed left = killed(another, "of another");
        Files.write(folder.resolve("place.bucina-wal"), left.log);
        try (BuildFile file = BuildFile.open(place)) {
            assertThat(entries(file)).isEqualTo(demo.log().entries());
            assertThat(file.said()).singleElement().asString().contains("put aside");
        }
    }

    @Test
    void a_build_is_read_where_the_database_has_no_room_for_what_it_keeps_beside_it() throws IOException {
        Files.createFile(folder.resolve(path.getFileName() + "-wal"));
        // Its own file cannot be made, as on a full disk: it does not go through links.
        Files.createSymbolicLink(folder.resolve(path.getFileName() + "-shm"), folder.resolve("nowhere"));
        try (BuildFile file = BuildFile.openToRead(path)) {
            assertThat(file.document()).isEqualTo(demo);
        }
    }
}
