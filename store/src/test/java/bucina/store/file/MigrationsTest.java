package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.store.Demo;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class MigrationsTest {

    @TempDir
    private Path folder;

    private static void run(Connection connection, String sql) throws SQLException {
        try (Statement s = connection.createStatement()) {
            s.execute(sql);
        }
    }

    private static Migrations next(Migrations.Step step) {
        return new Migrations(
                Stream.concat(Opening.STEPS.stream(), Stream.of(step)).toList());
    }

    @Test
    void a_step_keeps_a_copy_and_moves_the_version_on() throws SQLException, IOException {
        Path path = folder.resolve("a.bucina");
        BuildFile.create(path, Demo.document()).close();
        int now = Opening.MIGRATIONS.newest();
        byte[] before = Files.readAllBytes(path);
        Migrations next = next(c -> run(c, "ALTER TABLE part ADD COLUMN weight REAL"));
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path)) {
            next.bring(c, path);
            next.bring(c, path);
            assertThat(Migrations.version(c)).isEqualTo(now + 1);
            run(c, "SELECT weight FROM part");
        }
        assertThat(Files.readAllBytes(folder.resolve("a.bucina.before-version-" + (now + 1))))
                .isEqualTo(before);
    }

    @Test
    void a_step_that_fails_changes_nothing() throws SQLException {
        Path path = folder.resolve("b.bucina");
        BuildFile.create(path, Demo.document()).close();
        Migrations bad = next(c -> {
            run(c, "DROP TABLE stock");
            run(c, "DROP TABLE no_such_table");
        });
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path)) {
            assertThatThrownBy(() -> bad.bring(c, path)).isInstanceOf(SQLException.class);
            assertThat(Migrations.version(c)).isEqualTo(Opening.MIGRATIONS.newest());
            run(c, "SELECT * FROM stock");
        }
    }
}
