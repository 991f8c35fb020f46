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
import java.util.List;
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

    @Test
    void a_step_keeps_a_copy_and_moves_the_version_on() throws SQLException, IOException {
        Path path = folder.resolve("a.bucina");
        BuildFile.create(path, Demo.document()).close();
        byte[] before = Files.readAllBytes(path);
        Migrations next = new Migrations(List.of(
                Version2::run,
                Version3::run,
                Version4::run,
                Version5::run,
                Version6::run,
                Version7::run,
                Version8::run,
                Version9::run,
                Version10::run,
                Version11::run,
                Version12::run,
                c -> run(c, "ALTER TABLE part ADD COLUMN weight REAL")));
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path)) {
            next.bring(c, path);
            next.bring(c, path);
            assertThat(Migrations.version(c)).isEqualTo(13);
            run(c, "SELECT weight FROM part");
        }
        assertThat(Files.readAllBytes(folder.resolve("a.bucina.before-version-13")))
                .isEqualTo(before);
    }

    @Test
    void a_step_that_fails_changes_nothing() throws SQLException {
        Path path = folder.resolve("b.bucina");
        BuildFile.create(path, Demo.document()).close();
        Migrations bad = new Migrations(List.of(
                Version2::run,
                Version3::run,
                Version4::run,
                Version5::run,
                Version6::run,
                Version7::run,
                Version8::run,
                Version9::run,
                Version10::run,
                Version11::run,
                Version12::run,
                c -> {
                    run(c, "DROP TABLE stock");
                    run(c, "DROP TABLE no_such_table");
                }));
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path)) {
            assertThatThrownBy(() -> bad.bring(c, path)).isInstanceOf(SQLException.class);
            assertThat(Migrations.version(c)).isEqualTo(12);
            run(c, "SELECT * FROM stock");
        }
    }
}
