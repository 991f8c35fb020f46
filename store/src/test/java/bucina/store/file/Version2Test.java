package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.plan.Build;
import bucina.core.plan.Paperwork;
import bucina.core.rule.RuleKey;
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

/** A file of version 1 is made by taking away what version 2 added. */
class Version2Test {

    @TempDir
    private Path folder;

    private Path version1() throws SQLException {
        Path path = folder.resolve("old.bucina");
        BuildFile.create(path, Demo.document()).close();
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path); Statement s = c.createStatement()) {
            for (String sql : List.of("ALTER TABLE assembly DROP COLUMN twin", "ALTER TABLE face DROP COLUMN zones", "ALTER TABLE layer DROP COLUMN bends",
                    "ALTER TABLE fastener_group DROP COLUMN holes", "DROP TABLE query", "DROP TABLE acceptance", "DROP TABLE bulletin",
                    "UPDATE build SET rules = json_set(rules, '$.rules', (SELECT json_group_array(json(value)) FROM json_each(rules, '$.rules') "
                            + "WHERE json_extract(value, '$.key') NOT IN ('gauge.least', 'head.tangent.clear', 'lap.lift.back', 'blind.punch.under', "
                            + "'blind.tail.diameter')))", "PRAGMA user_version = 1", "PRAGMA wal_checkpoint(TRUNCATE)")) {
                s.execute(sql);
            }
        }
        return path;
    }

    @Test
    void an_older_file_is_brought_up_to_date_with_a_copy_kept() throws SQLException {
        Path path = version1();
        Build expected = Demo.document().build().withPapers(Paperwork.NONE, 1);
        try (BuildFile file = BuildFile.open(path)) {
            Build read = file.read().build();
            assertThat(read.assemblies()).isEqualTo(expected.assemblies());
            assertThat(read.rules().rule(RuleKey.LAP_BACK).value()).isEqualTo("3 in");
            file.save(read.withRules(read.rules().with(RuleKey.LAP_BACK, "4 in", "stiff skin")));
            assertThat(file.read().build().rules().rule(RuleKey.LAP_BACK).value()).isEqualTo("4 in");
        }
        assertThat(folder.resolve("old.bucina.before-version-2")).exists();
    }

    @Test
    void an_older_file_that_is_only_read_stays_as_it_is() throws SQLException, IOException {
        Path path = version1();
        byte[] before = Files.readAllBytes(path);
        try (BuildFile file = BuildFile.openToRead(path)) {
            assertThat(file.document().build().assemblies()).isEqualTo(Demo.document().build().assemblies());
        }
        assertThat(Files.readAllBytes(path)).isEqualTo(before);
        assertThat(folder.resolve("old.bucina.before-version-2")).doesNotExist();
    }
}
