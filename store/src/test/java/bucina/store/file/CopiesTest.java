package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.log.LogEntry;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.rule.RuleKey;
import bucina.store.Demo;
import bucina.store.Document;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Copies of a build: made sound, kept by count and age, gone back to. */
class CopiesTest extends OnFile {

    private static final LocalDateTime NOON = LocalDateTime.of(2026, Month.NOVEMBER, 28, 12, 0);
    private static final Copies.Keep ALL = new Copies.Keep(1000, 0);

    private Path place;
    private Copies copies;

    @BeforeEach
    void place() {
        place = folder.resolve("copies");
        copies = new Copies(place);
    }

    private LogEntry log(int i) {
        try (BuildFile file = BuildFile.open(path)) {
            return file.append(Demo.entry(file.read().build(), i, "note " + i), List.of(), Clock.systemUTC(), o -> {});
        }
    }

    private static Copies.Held held(Copies.Made made) {
        return Copies.held(made.copy()).orElseThrow();
    }

    private static Mark mark(Build build) {
        Id.Hole hole = build.group("US-3")
                .orElseThrow()
                .group()
                .rows()
                .getFirst()
                .holes()
                .getFirst()
                .id();
        return new Mark(hole, new Id.Layer(1), Mark.Side.NEAR, Operation.DEBURRED, Instant.EPOCH);
    }

    @Test
    void a_copy_holds_what_the_build_held_and_says_when() throws IOException {
        Copies.Copy copy = copies.make(path, NOON).copy();
        assertThat(copy.made()).isEqualTo(NOON);
        assertThat(copy.path().getParent()).isEqualTo(place);
        assertThat(Copies.made(copy.path())).contains(NOON);
        assertThat(Copies.made(path)).isEmpty();
        try (BuildFile file = BuildFile.openToRead(copy.path())) {
            Document read = file.document();
            assertThat(read.build()).isEqualTo(demo.build());
            assertThat(read.log()).isEqualTo(demo.log());
            assertThat(read.photos()).isEqualTo(demo.photos());
        }
        try (Stream<Path> files = Files.list(place)) {
            assertThat(files).containsExactly(copy.path());
        }
    }

    @Test
    void what_was_committed_and_is_still_beside_the_file_is_in_the_copy() throws Exception {
        try (BuildFile file = BuildFile.open(path);
                Connection held = DriverManager.getConnection("jdbc:sqlite:" + path);
                Statement s = held.createStatement()) {
            // Another program that reads an old state and does not let go.
            held.setAutoCommit(false);
            assertThat(s.executeQuery("SELECT id FROM log_entry").next()).isTrue();
            file.set("busy_timeout", 10);
            Build build = file.read().build();
            file.append(Demo.entry(build, 0, "note"), List.of(), Clock.systemUTC(), o -> {});
            assertThat(path.resolveSibling(path.getFileName() + "-wal")).isNotEmptyFile();
            assertThat(held(copies.make(path, NOON)).contents().log().entries())
                    .hasSize(demo.log().entries().size() + 1);
        }
        assertThat(copies.of(path)).hasSize(1);
    }

    @Test
    void no_copy_is_made_of_a_damaged_build() throws IOException {
        byte[] bytes = Files.readAllBytes(path);
        int at = new String(bytes, StandardCharsets.ISO_8859_1).indexOf("Dunlin");
        bytes[at + 1] ^= 1;
        Files.write(path, bytes);
        assertThatThrownBy(() -> copies.make(path, NOON))
                .isInstanceOf(BuildFileException.class)
                .hasMessageStartingWith("No copy was made: " + path + " is damaged")
                .hasMessageNotContaining("draft");
        try (Stream<Path> files = Files.list(place)) {
            assertThat(files).isEmpty();
        }
    }

    @Test
    void a_folder_that_cannot_be_made_is_said() throws IOException {
        Files.writeString(place, "a file");
        assertThatThrownBy(() -> copies.make(path, NOON))
                .hasMessageContaining("No copy was made: nothing can be written to " + place)
                .hasMessageContaining("Choose a folder");
    }

    @Test
    void of_many_as_many_stay_as_asked_for_and_none_too_old_but_the_newest() {
        for (int day = 0; day < 6; day++) {
            copies.make(path, NOON.minusDays(day * 10L));
        }
        assertThat(copies.thin(path, ALL, NOON)).isEmpty();
        assertThat(copies.thin(path, new Copies.Keep(4, 0), NOON)).hasSize(2);
        assertThat(copies.of(path))
                .extracting(Copies.Copy::made)
                .containsExactly(NOON, NOON.minusDays(10), NOON.minusDays(20), NOON.minusDays(30));
        assertThat(copies.thin(path, new Copies.Keep(4, 20), NOON)).hasSize(1);
        assertThat(copies.thin(path, new Copies.Keep(4, 1), NOON.plusDays(300))).hasSize(2);
        assertThat(copies.of(path)).extracting(Copies.Copy::made).containsExactly(NOON);
    }

    @Test
    void copies_of_another_build_of_the_same_name_are_not_taken_for_its_own_nor_removed() throws IOException {
        copies.make(path, NOON);
        Files.delete(path);
        BuildFile.create(path, demo).close();
        assertThat(copies.make(path, NOON.plusDays(1)).copy().made()).isEqualTo(NOON.plusDays(1));
        assertThat(copies.of(path)).hasSize(1);
        copies.thin(path, new Copies.Keep(1, 0), NOON.plusDays(1));
        try (Stream<Path> files = Files.list(place)) {
            assertThat(files).hasSize(2);
        }
    }

    @Test
    void a_build_that_cannot_be_read_at_all_still_has_its_copies_by_name() throws IOException {
        copies.make(path, NOON);
        Files.writeString(path, "nothing of it is left");
        assertThat(copies.lastGood(path)).isPresent();
        Files.delete(path);
        assertThat(copies.of(path)).hasSize(1);
    }

    @Test
    void a_damaged_copy_is_passed_over_for_an_older_one() throws IOException {
        Path old = copies.make(path, NOON).copy().path();
        Path newer = copies.make(path, NOON.plusHours(1)).copy().path();
        byte[] bytes = Files.readAllBytes(newer);
        bytes[bytes.length - 200] ^= 4;
        Files.write(newer, bytes);
        assertThat(copies.lastGood(path)).map(h -> h.copy().path()).contains(old);
    }

    @Test
    void a_copy_with_a_damaged_photograph_is_damaged() throws IOException {
        Path copy = copies.make(path, NOON).copy().path();
        byte[] bytes = Files.readAllBytes(copy);
        bytes[new String(bytes, StandardCharsets.ISO_8859_1).indexOf("not really a picture")] ^= 1;
        Files.write(copy, bytes);
        assertThat(copies.lastGood(path)).isEmpty();
    }

    @Test
    void what_would_be_lost_is_what_was_written_since() {
        Copies.Held held = held(copies.make(path, NOON));
        assertThat(Loss.of(path, held).nothing()).isTrue();
        int first = log(0).id();
        int second = log(1).id();
        try (BuildFile file = BuildFile.open(path)) {
            OnFile.mark(file, others -> List.of(mark(demo.build())));
        }
        Loss lost = Loss.of(path, held);
        assertThat(lost.entries()).containsExactly(first, second);
        assertThat(lost.marks()).isEqualTo(OptionalInt.of(1));
        assertThat(lost.plan()).isEqualTo(Loss.Plan.SAME);
        try (BuildFile file = BuildFile.open(path)) {
            assertThat(Loss.of(file.read(), held)).isEqualTo(lost);
            Build read = file.read().build();
            file.save(read.withRules(read.rules().with(RuleKey.LAP_BACK, "4 in", "stiff skin")));
            assertThat(Loss.of(file.read(), held).plan()).isEqualTo(Loss.Plan.CHANGED);
        }
        assertThat(Loss.of(path, held).plan()).isEqualTo(Loss.Plan.CHANGED);
    }

    @Test
    void what_cannot_be_read_any_more_is_not_called_nothing() throws IOException {
        Copies.Held held = held(copies.make(path, NOON));
        Files.writeString(path, "nothing of it is left");
        Loss lost = Loss.of(path, held);
        assertThat(lost.nothing()).isFalse();
        assertThat(lost.whole()).isFalse();
        assertThat(lost.marks()).isEmpty();
        assertThat(lost.plan()).isEqualTo(Loss.Plan.UNKNOWN);
    }

    @Test
    void going_back_keeps_what_lay_there_with_its_journal() throws IOException {
        Path copy = copies.make(path, NOON).copy().path();
        log(0);
        byte[] before = Files.readAllBytes(path);
        Files.writeString(path.resolveSibling(path.getFileName() + "-wal"), "journal");
        Path aside = Restore.copy(copy, path, NOON.plusHours(1)).orElseThrow();
        assertThat(aside).hasParent(folder).hasBinaryContent(before);
        assertThat(aside.resolveSibling(aside.getFileName() + "-wal")).hasContent("journal");
        assertThat(Files.readAllBytes(copy)).isNotEqualTo(before);
        try (BuildFile file = BuildFile.open(path)) {
            assertThat(file.said()).isEmpty();
            assertThat(file.read().log()).isEqualTo(demo.log());
        }
        assertThat(copies.of(path)).extracting(Copies.Copy::path).contains(copy, aside);
        assertThat(Restore.copy(copy, path, NOON.plusHours(1)).orElseThrow()).isNotEqualTo(aside);
        Files.delete(path);
        assertThat(Restore.copy(copy, path, NOON)).isEmpty();
        assertThat(path).exists();
    }

    @Test
    void a_damaged_copy_is_not_gone_back_to() throws IOException {
        Path copy = copies.make(path, NOON).copy().path();
        byte[] before = Files.readAllBytes(path);
        byte[] bytes = Files.readAllBytes(copy);
        bytes[bytes.length - 200] ^= 4;
        Files.write(copy, bytes);
        assertThatThrownBy(() -> Restore.copy(copy, path, NOON))
                .isInstanceOf(BuildFileException.class)
                .hasMessageContaining(copy.toString())
                .hasMessageNotContaining("draft");
        assertThat(path).hasBinaryContent(before);
    }

    @Test
    void the_copy_kept_when_the_format_changed_is_one_of_them() throws IOException {
        Path before = path.resolveSibling(path.getFileName() + ".before-version-13");
        Files.copy(path, before, StandardCopyOption.COPY_ATTRIBUTES);
        assertThat(copies.of(path)).extracting(Copies.Copy::path).containsExactly(before);
        assertThat(copies.thin(path, new Copies.Keep(1, 1), NOON.plusYears(1))).isEmpty();
        copies.gather(path);
        copies.gather(path);
        assertThat(copies.of(path)).extracting(Copies.Copy::path).containsExactly(before);
        Files.delete(before);
        assertThat(copies.of(path)).extracting(Copies.Copy::path).containsExactly(place.resolve(before.getFileName()));
    }
}
