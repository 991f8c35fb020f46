package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.LogEntry;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.plan.Build;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Row;
import bucina.store.Demo;
import bucina.store.Trials;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What was confirmed is there, whatever happens next. */
class DurabilityTest {

    private static final int ENTRIES = Trials.of(20, 60);
    private static final int KILLS = Trials.of(2, 1000);
    private static final int MARKS = 4;
    private static final int WRITERS = Trials.of(4, 8);

    @TempDir
    private Path folder;

    /** Logs entries until it is killed, saying each only after {@link BuildFile#append} has returned. */
    static final class Logger {
        public static void main(String[] args) {
            Path path = Path.of(args[0]);
            int most = Integer.parseInt(args[1]);
            try (BuildFile file = BuildFile.open(path)) {
                Build build = file.read().build();
                for (int i = 0; i < most; i++) {
                    LogEntry entry =
                            file.append(Demo.entry(build, i, "note " + i), List.of(), Clock.systemUTC(), others -> {});
                    System.out.println("confirmed " + entry.id());
                    System.out.flush();
                }
            }
        }
    }

    /**
     * Marks a row after another deburred until it is killed, saying each only after {@link BuildFile#mark} has
     * returned.
     */
    static final class Marker {
        public static void main(String[] args) {
            try (BuildFile file = BuildFile.open(Path.of(args[0]))) {
                List<Row> rows = rows(file.read().build());
                int done = file.read().log().marks().size() / MARKS;
                for (int i = 0; i < Integer.parseInt(args[1]); i++) {
                    List<Mark> marks = marks(rows.get((done + i) % rows.size()), done + i);
                    OnFile.mark(file, others -> marks);
                    System.out.println("confirmed " + (done + i));
                    System.out.flush();
                }
            }
        }
    }

    private static List<Row> rows(Build build) {
        return build.faces().stream()
                .flatMap(f -> f.face().groups().stream())
                .flatMap(g -> g.rows().stream())
                .filter(r -> r.holes().size() >= 2)
                .toList();
    }

    /** Two holes of a row from both sides in one layer; which batch they are of stands in the note. */
    private static List<Mark> marks(Row row, int batch) {
        List<Mark> marks = new ArrayList<>();
        for (Hole hole : row.holes().subList(0, 2)) {
            for (Mark.Side side : List.of(Mark.Side.NEAR, Mark.Side.FAR)) {
                marks.add(new Mark(
                        hole.id(), new Id.Layer(1), side, Operation.DEBURRED, Instant.EPOCH, true, "batch " + batch));
            }
        }
        return marks;
    }

    @Test
    void kill_9_while_marking_loses_no_confirmed_mark_and_leaves_none_half_made() throws Exception {
        Path path = folder.resolve("marked.bucina");
        BuildFile.create(path, Demo.document()).close();
        int before;
        try (BuildFile file = BuildFile.open(path)) {
            before = file.read().log().marks().size();
            List<Mark> even = marks(rows(file.read().build()).getFirst(), -1);
            OnFile.mark(file, others -> even.subList(0, (MARKS - before % MARKS) % MARKS));
        }
        Random random = new Random(12);
        List<Integer> confirmed = new ArrayList<>();
        int kills = killing(random, confirmed, process(Marker.class, path, ENTRIES), () -> true);
        assertThat(kills).isGreaterThanOrEqualTo(KILLS);
        try (BuildFile file = BuildFile.open(path)) {
            Map<String, Long> batches = file.read().log().marks().stream()
                    .filter(m -> m.note().startsWith("batch ") && !m.note().equals("batch -1"))
                    .collect(Collectors.groupingBy(Mark::note, Collectors.counting()));
            assertThat(batches.values()).allMatch(n -> n == MARKS);
            confirmed.forEach(c -> assertThat(batches).containsKey("batch " + c));
        }
    }

    private static List<String> logger(Path path, int most) {
        return process(Logger.class, path, most);
    }

    private static List<String> process(Class<?> program, Path path, int most) {
        return List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "--enable-native-access=ALL-UNNAMED",
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                program.getName(),
                path.toString(),
                "" + most);
    }

    @Test
    void kill_9_at_random_moments_loses_no_confirmed_entry() throws Exception {
        Path path = folder.resolve("killed.bucina");
        BuildFile.create(path, Demo.document()).close();
        List<Integer> confirmed = new ArrayList<>();
        Path copy = folder.resolve("copy.bucina");
        int kills = killing(new Random(11), confirmed, logger(path, ENTRIES), () -> {
            // The one file, without what lies beside it.
            Files.copy(path, copy, StandardCopyOption.REPLACE_EXISTING);
            try (BuildFile one = BuildFile.openToRead(copy)) {
                assertThat(one.read().log().entries().getLast().id()).isGreaterThanOrEqualTo(confirmed.getLast());
            }
            return true;
        });
        System.out.println(kills + " kills, " + confirmed.size() + " entries confirmed, none lost");
        assertThat(kills).isGreaterThanOrEqualTo(KILLS);
        try (BuildFile file = BuildFile.open(path)) {
            List<Integer> kept =
                    file.read().log().entries().stream().map(LogEntry::id).toList();
            assertThat(kept).containsAll(confirmed);
        }
    }

    @Test
    void many_that_write_at_once_lose_no_entry_and_double_none() throws Exception {
        Path path = folder.resolve("eight.bucina");
        BuildFile.create(path, Demo.document()).close();
        int before = Demo.document().log().entries().size();
        int each = Trials.of(4, 125);
        List<Process> writers = new ArrayList<>();
        for (int i = 0; i < WRITERS; i++) {
            writers.add(new ProcessBuilder(logger(path, each))
                    .redirectErrorStream(true)
                    .redirectOutput(folder.resolve("out" + i).toFile())
                    .start());
        }
        List<String> confirmed = new ArrayList<>();
        for (int i = 0; i < WRITERS; i++) {
            assertThat(writers.get(i).waitFor(300, TimeUnit.SECONDS)).isTrue();
            confirmed.addAll(Files.readAllLines(folder.resolve("out" + i)));
        }
        assertThat(confirmed)
                .doesNotHaveDuplicates()
                .hasSize(WRITERS * each)
                .allMatch(line -> line.startsWith("confirmed "));
        try (BuildFile file = BuildFile.open(path)) {
            assertThat(file.read().log().entries())
                    .extracting(LogEntry::id)
                    .hasSize(before + WRITERS * each)
                    .doesNotHaveDuplicates();
        }
    }

    /**
     * Starts a program again and again, kills it at random moments, and notes what it confirmed; how often it was
     * killed.
     *
     * @param after what is looked at after each kill
     */
    private static int killing(Random random, List<Integer> confirmed, List<String> command, Callable<Boolean> after)
            throws Exception {
        int kills = 0;
        while (confirmed.size() < ENTRIES || kills < KILLS) {
            Process process =
                    new ProcessBuilder(command).redirectErrorStream(true).start();
            int patience = 1 + random.nextInt(Trials.of(30, 8));
            try (BufferedReader out = new BufferedReader(new InputStreamReader(process.getInputStream()))) {
                String line;
                while ((line = out.readLine()) != null) {
                    assertThat(line).startsWith("confirmed ");
                    confirmed.add(Integer.parseInt(line.substring(10)));
                    if (--patience == 0) {
                        TimeUnit.MICROSECONDS.sleep(random.nextInt(12_000));
                        process.toHandle().destroyForcibly();
                        kills++;
                    }
                }
            }
            process.waitFor();
            after.call();
        }
        return kills;
    }

    @Test
    void the_disk_sync_returns_before_the_confirmation() throws Exception {
        Path path = folder.resolve("traced.bucina");
        BuildFile.create(path, Demo.document()).close();
        Path trace = folder.resolve("trace");
        List<String> command = new ArrayList<>(List.of(
                "strace",
                "-f",
                "-y",
                "-s",
                "40",
                "-e",
                "trace=write,pwrite64,fsync,fdatasync",
                "-o",
                trace.toString()));
        command.addAll(logger(path, 20));
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("out").toFile())
                .start();
        assertThat(process.waitFor(120, TimeUnit.SECONDS)).isTrue();
        // The log beside the build is synced before the build is touched, and the build before a number is confirmed.
        int log = 0;
        int build = 0;
        int confirmations = 0;
        int syncs = 0;
        for (String line : Files.readAllLines(trace)) {
            boolean beside = line.contains("traced.bucina-wal>");
            if (line.contains("pwrite64(") && beside) {
                log++;
            } else if (line.contains("pwrite64(") && line.contains("traced.bucina>")) {
                assertThat(log).as("not synced in the log: %s", line).isZero();
                build++;
            } else if (SYNC.matcher(line).find()) {
                syncs++;
                log = beside ? 0 : log;
                build = beside ? build : 0;
            } else if (line.contains("\"confirmed ")) {
                confirmations++;
                assertThat(log + build).as("writes not yet synced at: %s", line).isZero();
                assertThat(syncs).as("syncs before: %s", line).isBetween(2, confirmations == 1 ? 20 : 2);
                syncs = 0;
            }
        }
        assertThat(confirmations).isEqualTo(20);
    }

    private static final Pattern SYNC =
            Pattern.compile("(fsync|fdatasync)\\(\\d+<[^>]*traced.bucina(-wal)?>\\)\\s+= 0");

    @Test
    void the_one_file_has_each_entry_at_the_moment_it_is_confirmed_and_nothing_stays_beside_it() throws IOException {
        Path path = folder.resolve("one.bucina");
        BuildFile.create(path, Demo.document()).close();
        Path copy = folder.resolve("copy.bucina");
        try (BuildFile file = BuildFile.open(path)) {
            Build build = file.read().build();
            for (int i = 0; i < 30; i++) {
                LogEntry entry =
                        file.append(Demo.entry(build, i, "note " + i), List.of(), Clock.systemUTC(), others -> {});
                Files.copy(path, copy, StandardCopyOption.REPLACE_EXISTING);
                try (BuildFile one = BuildFile.openToRead(copy)) {
                    assertThat(one.read().log().entries().getLast()).isEqualTo(entry);
                }
            }
        }
        Files.delete(copy);
        try (Stream<Path> beside = Files.list(folder)) {
            assertThat(beside).containsExactly(path);
        }
    }

    @Test
    void the_journal_cut_off_at_each_write_opens_with_all_that_was_confirmed_by_then() throws Exception {
        Path path = folder.resolve("cut.bucina");
        BuildFile.create(path, Demo.document()).close();
        Path wal = folder.resolve("cut.bucina-wal");
        List<Long> sizes = new ArrayList<>();
        int before;
        byte[] database;
        byte[] journal;
        try (BuildFile file = BuildFile.open(path);
                Connection held = heldOpen(path)) {
            assertThat(held.getAutoCommit()).isFalse();
            file.set("busy_timeout", 10);
            BuildFile.Contents contents = file.read();
            before = contents.log().entries().size();
            for (int i = 0; i < 4; i++) {
                file.append(Demo.entry(contents.build(), i, "note " + i), List.of(), Clock.systemUTC(), others -> {});
                sizes.add(Files.size(wal));
            }
            database = Files.readAllBytes(path);
            journal = Files.readAllBytes(wal);
        }
        int frame = 24 + 4096;
        List<Integer> cuts = new ArrayList<>(List.of(0, 10, 32));
        for (int at = 32; at <= journal.length; at += frame * Trials.of(4, 1)) {
            cuts.addAll(List.of(at, Math.min(journal.length, at + 24), Math.min(journal.length, at + 1500)));
        }
        assertThat(cuts).hasSizeGreaterThan(Trials.of(12, 40));
        for (int cut : cuts) {
            long confirmed = sizes.stream().filter(s -> s <= cut).count();
            assertThat(entriesAfter(database, Arrays.copyOf(journal, cut)))
                    .as("journal cut at byte %d", cut)
                    .isBetween(before + (int) confirmed, before + (int) confirmed + 1);
        }
    }

    @Test
    void a_checkpoint_torn_half_way_is_mended_from_the_journal() throws Exception {
        Path path = folder.resolve("torn.bucina");
        BuildFile.create(path, Demo.document()).close();
        int entries;
        byte[] before;
        byte[] journal;
        try (BuildFile file = BuildFile.open(path)) {
            Build build = file.read().build();
            file.set("busy_timeout", 10);
            try (Connection held = heldOpen(path)) {
                assertThat(held.getAutoCommit()).isFalse();
                for (int i = 0; i < 12; i++) {
                    file.append(Demo.entry(build, i, "note " + i), List.of(), Clock.systemUTC(), others -> {});
                }
            }
            entries = file.read().log().entries().size();
            before = Files.readAllBytes(path);
            journal = Files.readAllBytes(folder.resolve("torn.bucina-wal"));
        }
        byte[] after = Files.readAllBytes(path);
        assertThat(after).isNotEqualTo(before);
        for (int eighths = 0; eighths <= 8; eighths += Trials.of(2, 1)) {
            byte[] torn = before.clone();
            System.arraycopy(after, 0, torn, 0, Math.min(torn.length, after.length) * eighths / 8);
            assertThat(entriesAfter(torn, journal))
                    .as("checkpoint torn at %d of 8", eighths)
                    .isEqualTo(entries);
        }
    }

    /** Another program that reads an old state of the file and does not let go: what is written stays in the log. */
    private static Connection heldOpen(Path path) {
        try {
            Connection held = DriverManager.getConnection("jdbc:sqlite:" + path);
            held.setAutoCommit(false);
            try (Statement s = held.createStatement();
                    ResultSet r = s.executeQuery("SELECT COUNT(*) FROM log_entry")) {
                assertThat(r.next()).isTrue();
            }
            return held;
        } catch (SQLException e) {
            throw new AssertionError(e);
        }
    }

    private int entriesAfter(byte[] database, byte[] journal) throws IOException {
        Path copy = folder.resolve("copy.bucina");
        Path wal = folder.resolve("copy.bucina-wal");
        Files.deleteIfExists(folder.resolve("copy.bucina-shm"));
        Files.write(copy, database);
        try (RandomAccessFile out = new RandomAccessFile(wal.toFile(), "rw")) {
            out.setLength(0);
            out.write(journal);
        }
        try (BuildFile file = BuildFile.open(copy)) {
            return file.read().log().entries().size();
        }
    }
}
