package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.params.provider.Arguments.arguments;

import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.plan.Build;
import bucina.core.rule.RuleKey;
import bucina.store.Demo;
import bucina.store.Document;
import bucina.store.Photo;
import bucina.store.Trials;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A file that is not what was written is not read as if it were, and the place is named. */
class DamageTest extends OnFile {

    private static final int FLIPS = Trials.of(25, 700);

    /** The same build with nothing logged, as it is, and with years of marks. */
    private Document sized(String size) {
        return switch (size) {
            case "bare" -> new Document(demo.build(), Logbook.EMPTY, List.of());
            case "years" -> {
                List<Mark> marks = demo.log().marks();
                Logbook log = demo.log();
                for (int i = 0; i < 6; i++) {
                    log = log.plus(marks);
                }
                // As they are read: in the order of their names.
                yield new Document(
                        demo.build(),
                        log,
                        Stream.of(Demo.PHOTO, Photo.of("image/png", new byte[500_000]))
                                .sorted(Comparator.comparing(Photo::sha256))
                                .toList());
            }
            default -> demo;
        };
    }

    @ParameterizedTest
    @ValueSource(strings = {"bare", "as it is", "years"})
    void a_bit_flipped_anywhere_never_gives_another_plan_or_log_without_a_word(String size) throws IOException {
        Document written = sized(size);
        Path made = folder.resolve("made.bucina");
        BuildFile.create(made, written).close();
        byte[] sound = Files.readAllBytes(made);
        Random random = new Random(17);
        int noticed = 0;
        for (int i = 0; i < FLIPS; i++) {
            byte[] flipped = sound.clone();
            int at = i < FLIPS / 3 ? i : random.nextInt(sound.length);
            flipped[at] ^= (byte) (1 << random.nextInt(8));
            Path copy = folder.resolve("flipped.bucina");
            Files.write(copy, flipped);
            try (BuildFile file = BuildFile.openToRead(copy)) {
                assertThat(file.document()).as("byte %d", at).isEqualTo(written);
            } catch (BuildFileException e) {
                noticed++;
                assertThat(e.getMessage())
                        .contains(copy.toString())
                        .doesNotContain("Exception", "SQLITE_", "bucina.core.");
            }
            assertThat(Files.readAllBytes(copy)).isEqualTo(flipped);
        }
        System.out.println(FLIPS + " bits flipped in " + sound.length + " bytes, " + noticed
                + " noticed, the rest where nothing stands");
        assertThat(noticed).isGreaterThan(FLIPS / 8);
    }

    private void run(String... statements) throws SQLException {
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path);
                Statement s = c.createStatement()) {
            for (String sql : statements) {
                s.execute(sql);
            }
        }
    }

    /** As by a hand that also puts the check sums right: what cannot be is refused all the same. */
    private void seal() throws SQLException {
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path)) {
            new Seals(c).renew();
        } catch (IllegalArgumentException | SQLException e) {
            // Check sums cannot be made of what is of another kind.
        }
    }

    static Stream<Arguments> impossible() {
        return Stream.of(
                arguments(
                        "UPDATE hole SET x_nm = 'left' WHERE id = (SELECT MIN(id) FROM hole)",
                        "column x_nm of its table hole has \"left\" where a number belongs"),
                arguments(
                        "UPDATE part SET name = x'00ff' WHERE position = 0",
                        "column name of its table part has \"2 bytes\" where a text belongs"),
                arguments("DELETE FROM hole_row WHERE id = (SELECT MIN(id) FROM hole_row)", "hole"),
                arguments("DELETE FROM fastener_group WHERE id = (SELECT MIN(id) FROM fastener_group)", "hole_row"),
                arguments("DELETE FROM face WHERE id = (SELECT MIN(id) FROM face)", "layer"),
                arguments("UPDATE assembly SET unit = 'cubit'", "unit \"cubit\""),
                arguments("UPDATE layer SET thickness_nm = 1e-85 WHERE position = 0", "thick"),
                arguments("UPDATE hole SET y_nm = 1e306 WHERE id = (SELECT MIN(id) FROM hole)", "1"),
                arguments("UPDATE build SET next_id = 9223372036854775807", "9223372036854775807"),
                arguments("DELETE FROM state", "which build"),
                arguments("UPDATE state SET format = 3", "format 13"),
                arguments("PRAGMA user_version = -1", "format -1"),
                arguments("CREATE TRIGGER t AFTER INSERT ON hole BEGIN DELETE FROM hole; END", "trigger t"),
                arguments("DROP TRIGGER log_entry_is_never_deleted", "trigger log_entry_is_never_deleted"),
                arguments("CREATE VIEW v AS SELECT * FROM hole", "view v"),
                arguments("ALTER TABLE photo RENAME TO picture", "table photo"));
    }

    private static void read(Path path) {
        try (BuildFile file = BuildFile.open(path)) {
            file.read();
        }
    }

    @ParameterizedTest
    @MethodSource("impossible")
    void what_no_build_can_hold_is_refused_with_its_place(String sql, String words) throws SQLException, IOException {
        run("PRAGMA foreign_keys = OFF", sql);
        seal();
        byte[] before = Files.readAllBytes(path);
        assertThatThrownBy(() -> read(path))
                .isInstanceOf(BuildFileException.class)
                .hasMessageContaining(path.toString())
                .hasMessageContaining(words);
        assertThat(Files.readAllBytes(path)).isEqualTo(before);
    }

    @Test
    void rows_changed_behind_our_back_are_named_and_no_check_sum_is_put_on_them() throws SQLException {
        try (BuildFile file = BuildFile.open(path)) {
            file.read();
            run("UPDATE mark SET note = 'x' WHERE id = (SELECT MAX(id) FROM mark)");
            assertThatThrownBy(
                            () -> OnFile.mark(file, others -> demo.log().marks().subList(0, 1)))
                    .isInstanceOf(BuildFileException.class)
                    .hasMessageContaining("of its table mark are not what was written");
            // Entries stand in other rows.
            file.append(Demo.entry(demo.build(), 1, ""), List.of(), Clock.systemUTC(), others -> {});
        }
        assertThatThrownBy(() -> read(path)).hasMessageContaining("of its table mark are not what was written");
    }

    @Test
    void a_photograph_that_is_another_picture_is_found_when_it_is_looked_at_and_by_the_deep_check()
            throws SQLException {
        assertThat(DeepCheck.of(path)).isEqualTo(demo.photos().size());
        run("UPDATE photo SET content = zeroblob(length(content))");
        String name = demo.photos().getFirst().sha256();
        assertThatThrownBy(() -> DeepCheck.of(path))
                .isInstanceOf(BuildFileException.class)
                .hasMessageContaining("photograph " + name);
        try (BuildFile file = BuildFile.openToRead(path)) {
            assertThat(file.read().build()).isEqualTo(demo.build());
            assertThatThrownBy(() -> file.photo(name)).hasMessageContaining("photograph " + name.substring(0, 12));
        }
    }

    @Test
    void rows_of_an_older_state_with_their_own_check_sum_are_of_another_time() throws SQLException {
        run(
                "ATTACH '" + folder.resolve("old") + "' AS old",
                "CREATE TABLE old.build AS SELECT * FROM build",
                "CREATE TABLE old.seal AS SELECT * FROM seal WHERE name = 'build'");
        try (BuildFile file = BuildFile.open(path)) {
            Build build = file.read().build();
            file.save(build.withRules(build.rules().with(RuleKey.LAP_BACK, "4 in", "stiff skin")));
        }
        run(
                "ATTACH '" + folder.resolve("old") + "' AS old",
                "UPDATE main.build SET rules = (SELECT rules FROM old.build)",
                "UPDATE main.seal SET digest = (SELECT digest FROM old.seal) WHERE name = 'build'");
        assertThatThrownBy(() -> read(path)).hasMessageContaining("of another time than the rest");
    }

    @Test
    void what_reads_back_otherwise_than_it_was_written_is_not_kept() throws SQLException {
        int marks = demo.log().marks().size();
        try (BuildFile file = BuildFile.open(path)) {
            file.read();
            run("CREATE TRIGGER t AFTER INSERT ON mark BEGIN UPDATE mark SET note = 'other' WHERE id = NEW.id; END");
            assertThatThrownBy(
                            () -> OnFile.mark(file, others -> demo.log().marks().subList(0, 1)))
                    .isInstanceOf(BuildFileException.class)
                    .hasMessageContaining("note of mark")
                    .hasMessageContaining("reads back as other");
            run("DROP TRIGGER t");
            assertThat(file.read().log().marks()).hasSize(marks);
        }
    }
}
