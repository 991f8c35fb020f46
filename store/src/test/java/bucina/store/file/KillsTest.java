package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.Addition;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.PartMark;
import bucina.core.plan.Build;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.store.Demo;
import bucina.store.Document;
import bucina.store.Trials;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whatever a build is killed at, what was confirmed is in the one file and nothing is there by half. */
class KillsTest {

    private static final int KILLS = Trials.of(2, 1000);

    private final Document demo = Demo.document();

    @TempDir
    private Path folder;

    /** What is done and confirmed, with a number. */
    private enum Deed {
        ENTRY,
        MARK,
        PLAN,
        IMPORTED,
        MIGRATED,
        CLOSED
    }

    /** Does one after another until it is killed, and says each only after it has returned. */
    static final class Busy {
        private final Path folder;
        private final Document demo = Demo.document();

        private Busy(Path folder) {
            this.folder = folder;
        }

        public static void main(String[] args) throws IOException {
            Busy busy = new Busy(Path.of(args[0]));
            for (int round = Integer.parseInt(args[1]); ; round++) {
                busy.round(round);
            }
        }

        private static void confirm(Deed deed, long number) {
            System.out.println(deed + " " + number);
            System.out.flush();
        }

        private void round(int round) throws IOException {
            Path path = folder.resolve("killed.bucina");
            BuildFile file = BuildFile.open(path);
            Build build = file.read().build();
            for (int i = 0; i < 4; i++) {
                LogEntry entry = i % 2 == 0
                        ? file.append(Demo.entry(build, i, "note"), List.of(), Clock.systemUTC(), o -> {})
                        : work(file, build);
                confirm(Deed.ENTRY, entry.id());
                int marks = file.read().log().marks().size();
                OnFile.mark(file, o -> marks(build));
                confirm(Deed.MARK, marks + 2);
                Build next = build.withNextId(Math.max(build.nextId(), round * 100L) + i + 1);
                file.save(next);
                confirm(Deed.PLAN, next.nextId());
            }
            file.close();
            confirm(Deed.CLOSED, round);
            BuildFile.create(folder.resolve("imported-" + round + ".bucina"), demo)
                    .close();
            confirm(Deed.IMPORTED, round);
            Path old = folder.resolve("old-" + round + ".bucina");
            Files.copy(folder.resolve("old"), folder.resolve("part"), StandardCopyOption.REPLACE_EXISTING);
            Files.move(folder.resolve("part"), old, StandardCopyOption.ATOMIC_MOVE);
            BuildFile.open(old).close();
            confirm(Deed.MIGRATED, round);
        }
    }

    /** Work on a part, and what was marked with it. */
    private static LogEntry work(BuildFile file, Build build) {
        Part part = build.parts().getFirst();
        Labour labour = new Labour(
                new Labour.OnPart(part.id(), part.name(), "clean"),
                "",
                "M. Oake",
                LocalDateTime.parse("2026-11-23T10:00"),
                5,
                "",
                "",
                List.of());
        Addition addition = new Addition(
                Optional.of(LogEntry.Draft.install(labour)),
                List.of(),
                List.of(new PartMark(part.id(), "clean", Instant.EPOCH)));
        return file.add(o -> addition, List.of(), Clock.systemUTC()).entry().orElseThrow();
    }

    private static long worked(Logbook log) {
        return log.entries().stream()
                .filter(e -> e.labour()
                        .filter(l -> l.what() instanceof Labour.OnPart)
                        .isPresent())
                .count();
    }

    private static List<Mark> marks(Build build) {
        Hole hole = build.group("US-3")
                .orElseThrow()
                .group()
                .rows()
                .getFirst()
                .holes()
                .getFirst();
        return Stream.of(Mark.Side.NEAR, Mark.Side.FAR)
                .map(side ->
                        new Mark(hole.id(), new Id.Layer(1), side, Operation.DEBURRED, Instant.EPOCH, true, "twice"))
                .toList();
    }

    @Test
    void kill_9_at_anything_loses_nothing_confirmed_and_leaves_nothing_by_half() throws Exception {
        BuildFile.create(folder.resolve("killed.bucina"), demo).close();
        Files.move(OldFile.version1(folder.resolve("made.bucina")), folder.resolve("old"));
        Random random = new Random(Long.getLong("seed", 31));
        int marks = demo.log().marks().size();
        Map<Deed, Integer> after = new EnumMap<>(Deed.class);
        for (int kill = 0; kill < KILLS; kill++) {
            Map<Deed, Long> confirmed = killed(kill * 10 + 1, random);
            confirmed.forEach((deed, n) -> after.merge(deed, 1, Integer::sum));
            assertHeld(confirmed, marks);
            clear();
        }
        System.out.println(KILLS + " kills, the last word before them: " + after);
        assertThat(after.keySet()).contains(Deed.ENTRY, Deed.MARK, Deed.PLAN);
    }

    @Test
    void asked_to_end_it_leaves_nothing_beside_the_file() throws Exception {
        Path path = folder.resolve("killed.bucina");
        BuildFile.create(path, demo).close();
        Files.move(OldFile.version1(folder.resolve("made.bucina")), folder.resolve("old"));
        Process process = busy(1);
        try (BufferedReader out = new BufferedReader(new InputStreamReader(process.getInputStream()))) {
            assertThat(out.readLine()).startsWith("ENTRY");
            process.destroy();
            process.waitFor();
        }
        assertThat(list().stream().filter(p -> p.getFileName().toString().startsWith("killed")))
                .containsExactly(path);
    }

    private Process busy(int round) throws IOException {
        return new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "--enable-native-access=ALL-UNNAMED",
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Busy.class.getName(),
                        folder.toString(),
                        "" + round)
                .redirectErrorStream(true)
                .start();
    }

    /** What a process confirmed last of each until it was killed at a random moment. */
    private Map<Deed, Long> killed(int round, Random random) throws IOException, InterruptedException {
        Process process = busy(round);
        Map<Deed, Long> confirmed = new EnumMap<>(Deed.class);
        int patience = 1 + random.nextInt(18);
        try (BufferedReader out = new BufferedReader(new InputStreamReader(process.getInputStream()))) {
            String line;
            while ((line = out.readLine()) != null) {
                String[] words = line.split(" ");
                assertThat(words).as(line).hasSize(2);
                confirmed.put(Deed.valueOf(words[0]), Long.parseLong(words[1]));
                if (--patience == 0) {
                    TimeUnit.MICROSECONDS.sleep(random.nextInt(random.nextBoolean() ? 12_000 : 150_000));
                    process.toHandle().destroyForcibly();
                }
            }
        }
        process.waitFor();
        return confirmed;
    }

    private void assertHeld(Map<Deed, Long> confirmed, int marks) throws IOException {
        Path one = folder.resolve("copy.bucina");
        Files.copy(folder.resolve("killed.bucina"), one, StandardCopyOption.REPLACE_EXISTING);
        try (BuildFile file = BuildFile.openToRead(one)) {
            BuildFile.Contents held = file.read();
            assertThat(held.log().entries().getLast().id()).isGreaterThanOrEqualTo(number(confirmed, Deed.ENTRY));
            assertThat(held.log().marks().size()).isGreaterThanOrEqualTo(number(confirmed, Deed.MARK));
            assertThat((held.log().marks().size() - marks) % 2).isZero();
            assertThat(held.log().partMarks().size() - demo.log().partMarks().size())
                    .as("an entry and what was marked with it are there, or neither is")
                    .isEqualTo((int) (worked(held.log()) - worked(demo.log())));
            assertThat(held.build().nextId()).isGreaterThanOrEqualTo(number(confirmed, Deed.PLAN));
        }
        List<Path> made = new ArrayList<>();
        for (Path path : list()) {
            String name = path.getFileName().toString();
            if (name.matches("imported-\\d+\\.bucina")) {
                made.add(path);
                try (BuildFile file = BuildFile.openToRead(path)) {
                    assertThat(file.document()).isEqualTo(demo);
                }
            } else if (name.matches("old-\\d+\\.bucina")) {
                try (BuildFile file = BuildFile.open(path)) {
                    assertThat(file.read().log().entries()).isEqualTo(demo.log().entries());
                }
                assertThat(folder.resolve(name + ".before-version-13")).hasSameBinaryContentAs(folder.resolve("old"));
            }
        }
        if (confirmed.containsKey(Deed.IMPORTED)) {
            assertThat(made).contains(folder.resolve("imported-" + confirmed.get(Deed.IMPORTED) + ".bucina"));
        }
    }

    private static int number(Map<Deed, Long> confirmed, Deed deed) {
        return Math.toIntExact(confirmed.getOrDefault(deed, 0L));
    }

    private List<Path> list() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.sorted().toList();
        }
    }

    private void clear() throws IOException {
        for (Path path : list()) {
            if (path.getFileName().toString().matches("\\.?(imported|old)-.*")) {
                Files.delete(path);
            }
        }
    }
}
