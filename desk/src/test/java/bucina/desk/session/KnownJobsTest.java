package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class KnownJobsTest {

    private static final LocalDate MONDAY = LocalDate.parse("2026-11-23");

    @TempDir
    Path folder;

    private KnownJobs known() {
        return new KnownJobs(folder, folder.resolve("dunlin.bucina"));
    }

    @Test
    void on_the_first_day_nothing_is_new() {
        assertThat(known().since(List.of("a", "b"), MONDAY)).isEmpty();
        assertThat(known().since(List.of("a", "c"), MONDAY)).isEmpty();
    }

    @Test
    void what_was_not_open_at_the_end_of_the_day_before_is_new_all_day_long() {
        known().since(List.of("a", "b"), MONDAY);
        known().since(List.of("a", "c"), MONDAY);
        for (int i = 0; i < 2; i++) {
            KnownJobs.Since since =
                    known().since(List.of("c", "d"), MONDAY.plusDays(3)).orElseThrow();
            assertThat(since.day()).isEqualTo(MONDAY);
            assertThat(since.fresh()).containsExactly("d");
            assertThat(since.gone()).isEqualTo(1);
        }
        assertThat(known().since(List.of("c", "d"), MONDAY.plusDays(4))
                        .orElseThrow()
                        .fresh())
                .isEmpty();
    }

    @Test
    void builds_are_told_apart_and_a_damaged_file_is_none() throws IOException {
        known().since(List.of("a"), MONDAY);
        assertThat(new KnownJobs(folder, folder.resolve("other.bucina")).since(List.of("z"), MONDAY.plusDays(1)))
                .isEmpty();
        try (var files = Files.list(folder)) {
            for (Path file : files.toList()) {
                Files.writeString(file, "not a day");
            }
        }
        assertThat(known().since(List.of("a", "b"), MONDAY.plusDays(1))).isEmpty();
    }
}
