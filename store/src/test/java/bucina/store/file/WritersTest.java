package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.log.LogEntry;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.rule.RuleKey;
import bucina.store.Demo;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** More than one writer, and files that are not there any more. */
class WritersTest extends OnFile {

    private LogEntry append(BuildFile file) {
        return file.append(Demo.entry(demo.build(), 1, ""), List.of(), Clock.systemUTC(), others -> {});
    }

    @Test
    void an_entry_is_judged_by_what_the_file_holds_at_that_moment() {
        try (BuildFile one = BuildFile.open(path);
                BuildFile two = BuildFile.open(path)) {
            one.read();
            two.read();
            LogEntry first = append(one);
            List<Optional<BuildFile.Contents>> told = new ArrayList<>();
            assertThatThrownBy(() ->
                            two.append(Demo.entry(demo.build(), 1, ""), List.of(), Clock.systemUTC(), others -> {
                                told.add(others);
                                throw new InputException("these holes are set: entry " + first.id());
                            }))
                    .isInstanceOf(InputException.class)
                    .hasMessage("these holes are set: entry " + first.id());
            assertThat(told.getFirst().orElseThrow().log().entries().getLast()).isEqualTo(first);
            assertThat(two.read().log().entries().getLast()).isEqualTo(first);
            OnFile.mark(two, others -> {
                told.add(others);
                return List.of();
            });
            assertThat(told.getLast()).isEmpty();
        }
    }

    private static Build lap(Build build, String value) {
        return build.withRules(build.rules().with(RuleKey.LAP_BACK, value, "stiff skin"));
    }

    @Test
    void a_plan_is_changed_only_from_the_version_it_was_read_in() {
        try (BuildFile one = BuildFile.open(path);
                BuildFile two = BuildFile.open(path)) {
            Build read = one.read().build();
            two.read();
            one.save(lap(read, "4 in"));
            append(one);
            assertThatThrownBy(() -> two.save(lap(read, "5 in")))
                    .isInstanceOfSatisfying(
                            BuildFileException.class,
                            e -> assertThat(e.trouble()).isEqualTo(BuildFileException.Trouble.CHANGED));
            two.save(lap(two.read().build(), "5 in"));
            assertThat(one.read().build().rules().rule(RuleKey.LAP_BACK).value())
                    .isEqualTo("5 in");
        }
    }

    @Test
    void entries_of_others_do_not_hinder_a_change_of_the_plan() {
        try (BuildFile one = BuildFile.open(path);
                BuildFile two = BuildFile.open(path)) {
            Build read = two.read().build();
            append(one);
            two.save(lap(read, "5 in"));
            assertThat(one.read().build().rules().rule(RuleKey.LAP_BACK).value())
                    .isEqualTo("5 in");
        }
    }

    @Test
    void of_eight_that_make_a_build_of_one_name_one_does_and_the_others_say_so() throws Exception {
        Path wanted = folder.resolve("wanted.bucina");
        List<Callable<Boolean>> makers = IntStream.range(0, 8)
                .mapToObj(i -> (Callable<Boolean>) () -> {
                    try {
                        BuildFile.create(wanted, demo).close();
                        return true;
                    } catch (BuildFileException e) {
                        assertThat(e.trouble()).isEqualTo(BuildFileException.Trouble.EXISTS);
                        return false;
                    }
                })
                .toList();
        int made = 0;
        try (ExecutorService all = Executors.newFixedThreadPool(8)) {
            for (Future<Boolean> f : all.invokeAll(makers)) {
                made += f.get() ? 1 : 0;
            }
        }
        assertThat(made).isEqualTo(1);
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).containsExactlyInAnyOrder(path, wanted);
        }
    }

    @Test
    void a_file_that_was_deleted_or_moved_is_noticed_before_anything_is_called_saved() throws IOException {
        Path moved = folder.resolve("moved.bucina");
        try (BuildFile file = BuildFile.open(path)) {
            Files.move(path, moved);
            trouble(BuildFileException.Trouble.GONE, file);
            Files.move(moved, path);
            append(file);
            Files.delete(path);
            trouble(BuildFileException.Trouble.GONE, file);
        }
    }

    @Test
    void a_file_that_was_replaced_or_written_over_is_noticed() throws IOException {
        Path other = folder.resolve("other.bucina");
        BuildFile.create(other, demo).close();
        byte[] bytes = Files.readAllBytes(other);
        try (BuildFile file = BuildFile.open(path)) {
            append(file);
            Files.setLastModifiedTime(path, FileTime.fromMillis(1_000_000));
            append(file);
            Files.write(path, bytes);
            trouble(BuildFileException.Trouble.REPLACED, file);
            assertThat(Files.readAllBytes(path)).isEqualTo(bytes);
            Files.move(other, path, StandardCopyOption.REPLACE_EXISTING);
            trouble(BuildFileException.Trouble.REPLACED, file);
        }
        assertThat(Files.readAllBytes(path)).isEqualTo(bytes);
        try (BuildFile now = BuildFile.open(path)) {
            assertThat(now.read().log().entries()).isEqualTo(demo.log().entries());
        }
    }

    @Test
    void a_copy_put_in_its_place_is_another_file_though_it_holds_the_same() throws IOException {
        Path copy = folder.resolve("copy.bucina");
        try (BuildFile file = BuildFile.open(path)) {
            append(file);
            Files.copy(path, copy);
            Files.setLastModifiedTime(copy, Files.getLastModifiedTime(path));
            Files.move(copy, path, StandardCopyOption.REPLACE_EXISTING);
            trouble(BuildFileException.Trouble.REPLACED, file);
        }
    }

    @Test
    void an_older_copy_of_the_same_build_written_over_it_is_noticed() throws IOException {
        byte[] old = Files.readAllBytes(path);
        try (BuildFile file = BuildFile.open(path)) {
            append(file);
            Files.write(path, old);
            trouble(BuildFileException.Trouble.REPLACED, file);
        }
        assertThat(Files.readAllBytes(path)).isEqualTo(old);
    }

    @Test
    void what_others_write_is_not_taken_for_another_file() {
        try (BuildFile one = BuildFile.open(path);
                BuildFile two = BuildFile.open(path)) {
            one.read();
            for (int i = 0; i < 5; i++) {
                append(two);
                assertThatThrownBy(() ->
                                one.append(Demo.entry(demo.build(), 1, ""), List.of(), Clock.systemUTC(), others -> {
                                    throw new InputException("not now");
                                }))
                        .hasMessage("not now");
                one.present();
            }
        }
    }

    private void trouble(BuildFileException.Trouble trouble, BuildFile file) {
        assertThatThrownBy(() -> append(file))
                .isInstanceOfSatisfying(
                        BuildFileException.class, e -> assertThat(e.trouble()).isEqualTo(trouble))
                .hasMessageContaining("Nothing was saved there");
    }
}
