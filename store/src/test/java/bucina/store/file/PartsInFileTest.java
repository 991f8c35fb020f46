package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.log.Addition;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.PartMark;
import bucina.core.plan.Build;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.store.Document;
import bucina.store.json.FullBuild;
import bucina.store.json.FullLog;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PartsInFileTest {

    @TempDir
    private Path folder;

    @Test
    void what_is_said_of_parts_and_every_kind_of_work_comes_back_as_it_was_written() {
        Build build = FullBuild.full();
        Logbook log = FullLog.of(build);
        Path path = folder.resolve("full.bucina");
        BuildFile.create(path, new Document(build, log, List.of())).close();
        try (BuildFile file = BuildFile.open(path)) {
            assertThat(file.read().build()).isEqualTo(build);
            assertThat(file.read().log()).isEqualTo(log);
        }
    }

    @Test
    void an_entry_and_what_was_marked_with_it_are_written_as_one() {
        Build build = FullBuild.full();
        Logbook log = FullLog.of(build);
        Part part = build.parts().getFirst();
        Path path = folder.resolve("one.bucina");
        BuildFile.create(path, new Document(build, Logbook.EMPTY, List.of())).close();
        PartMark mark = new PartMark(part.id(), "clean", Instant.parse("2026-11-25T10:00:00Z"));
        try (BuildFile file = BuildFile.open(path)) {
            LogEntry.Draft draft =
                    LogEntry.Draft.install(log.entries().get(1).deed().orElseThrow());
            Addition.Done done = file.add(
                    others -> new Addition(Optional.of(draft), List.of(), List.of(mark)), List.of(), Clock.systemUTC());
            assertThat(file.read().log()).isEqualTo(done.onto(Logbook.EMPTY));
            assertThat(file.read().log().tasks().done(part.id(), "clean")).contains(mark);
            file.add(
                    others -> Addition.ofParts(List.of(mark.turned(mark.at().plusSeconds(1)))),
                    List.of(),
                    Clock.systemUTC());
            assertThat(file.read().log().tasks().done(part.id(), "clean")).isEmpty();
            assertThat(file.read().log().partMarks()).hasSize(2);
        }
    }

    @Test
    void a_part_of_version_7_was_on_or_not() throws SQLException {
        Path path = folder.resolve("seven.bucina");
        Build build = FullBuild.full();
        Part on = build.parts().get(1).with(Standing.DRY);
        Part not = build.parts().get(2).with(Standing.CRATE);
        BuildFile.create(path, new Document(build.with(on).with(not), Logbook.EMPTY, List.of()))
                .close();
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path);
                Statement s = c.createStatement()) {
            OldFile.toVersion7(s);
            s.execute("UPDATE state SET format = 7");
            Seals.asTheyLie(c).renew();
        }
        try (BuildFile file = BuildFile.open(path)) {
            Build read = file.read().build();
            assertThat(read.part(on.id()).standing()).isEqualTo(Standing.DRY);
            assertThat(read.part(not.id()).standing()).isEqualTo(Standing.HERE);
            assertThat(read.workshop().jobs()).isEmpty();
        }
        assertThat(folder.resolve("seven.bucina.before-version-13")).exists();
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path);
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery("SELECT count(*) FROM pragma_table_info('part') WHERE name = 'fitted'")) {
            assertThat(r.getInt(1)).isZero();
        }
    }

    @Test
    void a_damaged_file_of_version_7_is_not_brought_up() throws SQLException {
        Path path = folder.resolve("damaged.bucina");
        BuildFile.create(path, new Document(FullBuild.full(), Logbook.EMPTY, List.of()))
                .close();
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path);
                Statement s = c.createStatement()) {
            OldFile.toVersion7(s);
            s.execute("UPDATE state SET format = 7");
            Seals.asTheyLie(c).renew();
            s.execute("UPDATE hole SET x_nm = x_nm + 1 WHERE id = (SELECT max(id) FROM hole)");
        }
        assertThatThrownBy(() -> BuildFile.open(path))
                .isInstanceOf(BuildFileException.class)
                .hasMessageContaining("of its table hole are not what was written");
        assertThat(folder.resolve("damaged.bucina.before-version-13")).doesNotExist();
    }
}
