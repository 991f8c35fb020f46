package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.LogEntry;
import bucina.core.plan.Build;
import bucina.store.Demo;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What was confirmed is there, whatever happens next. */
class DurabilityTest {

    private static final int ENTRIES = 200;

    @TempDir
    private Path folder;

    /** Logs entries until it is killed, saying each number only after {@link BuildFile#append} has returned. Run in a process of its own. */
    static final class Logger {
        public static void main(String[] args) {
            Path path = Path.of(args[0]);
            int most = Integer.parseInt(args[1]);
            try (BuildFile file = BuildFile.open(path)) {
                Build build = file.read().build();
                for (int i = 0; i < most; i++) {
                    LogEntry entry = file.append(Demo.entry(build, i, "note " + i), List.of(), Clock.systemUTC());
                    System.out.println("confirmed " + entry.id());
                    System.out.flush();
                }
            }
        }
    }

    private static List<String> logger(Path path, int most) {
        return List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "--enable-native-access=ALL-UNNAMED",
                "-XX:TieredStopAtLevel=1", "-cp", System.getProperty("java.class.path"), Logger.class.getName(), path.toString(), "" + most);
    }

    @Test
    void kill_9_at_random_moments_loses_no_confirmed_entry() throws Exception {
        Path path = folder.resolve("killed.bucina");
        BuildFile.create(path, Demo.document()).close();
        Random random = new Random(11);
        List<Integer> confirmed = new ArrayList<>();
        int kills = 0;
        while (confirmed.size() < ENTRIES) {
            Process process = new ProcessBuilder(logger(path, ENTRIES)).redirectErrorStream(true).start();
            int patience = 1 + random.nextInt(30);
            try (BufferedReader out = new BufferedReader(new InputStreamReader(process.getInputStream()))) {
                String line;
                while ((line = out.readLine()) != null) {
                    assertThat(line).startsWith("confirmed ");
                    confirmed.add(Integer.parseInt(line.substring(10)));
                    if (--patience == 0) {
                        TimeUnit.MICROSECONDS.sleep(random.nextInt(3000));
                        process.toHandle().destroyForcibly();
                        kills++;
                    }
                }
            }
            process.waitFor();
        }
        assertThat(kills).isGreaterThan(5);
        try (BuildFile file = BuildFile.open(path)) {
            List<Integer> kept = file.read().log().entries().stream().map(LogEntry::id).toList();
            assertThat(kept).containsAll(confirmed);
        }
    }

    @Test
    void the_disk_sync_returns_before_the_confirmation() throws Exception {
        Path path = folder.resolve("traced.bucina");
        BuildFile.create(path, Demo.document()).close();
        Path trace = folder.resolve("trace");
        List<String> command = new ArrayList<>(List.of("strace", "-f", "-y", "-s", "40", "-e", "trace=write,pwrite64,fsync,fdatasync", "-o",
                trace.toString()));
        command.addAll(logger(path, 20));
        Process process = new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(folder.resolve("out").toFile()).start();
        assertThat(process.waitFor(120, TimeUnit.SECONDS)).isTrue();
        int unsynced = 0;
        int confirmations = 0;
        int written = 0;
        for (String line : Files.readAllLines(trace)) {
            if (line.contains("traced.bucina-wal>") && line.contains("pwrite64(")) {
                unsynced++;
                written++;
            } else if (Pattern.compile("(fsync|fdatasync)\\(\\d+<[^>]*traced.bucina-wal>\\)\\s+= 0").matcher(line).find()) {
                unsynced = 0;
            } else if (line.contains("\"confirmed ")) {
                confirmations++;
                assertThat(unsynced).as("writes to the log not yet synced at: %s", line).isZero();
            }
        }
        assertThat(confirmations).isEqualTo(20);
        assertThat(written).isGreaterThan(20);
    }

    @Test
    void the_journal_cut_off_at_each_write_opens_with_all_that_was_confirmed_by_then() throws IOException {
        Path path = folder.resolve("cut.bucina");
        BuildFile.create(path, Demo.document()).close();
        Path wal = folder.resolve("cut.bucina-wal");
        List<Long> sizes = new ArrayList<>();
        int before;
        byte[] database;
        byte[] journal;
        try (BuildFile file = BuildFile.open(path)) {
            BuildFile.Contents contents = file.read();
            before = contents.log().entries().size();
            for (int i = 0; i < 12; i++) {
                file.append(Demo.entry(contents.build(), i, "note " + i), List.of(), Clock.systemUTC());
                sizes.add(Files.size(wal));
            }
            database = Files.readAllBytes(path);
            journal = Files.readAllBytes(wal);
        }
        int frame = 24 + 4096;
        List<Integer> cuts = new ArrayList<>(List.of(0, 10, 32));
        for (int at = 32; at <= journal.length; at += frame) {
            cuts.addAll(List.of(at, Math.min(journal.length, at + 24), Math.min(journal.length, at + 1500)));
        }
        assertThat(cuts).hasSizeGreaterThan(40);
        for (int cut : cuts) {
            long confirmed = sizes.stream().filter(s -> s <= cut).count();
            assertThat(entriesAfter(database, Arrays.copyOf(journal, cut))).as("journal cut at byte %d", cut)
                    .isBetween(before + (int) confirmed, before + (int) confirmed + 1);
        }
    }

    @Test
    void a_checkpoint_torn_half_way_is_mended_from_the_journal() throws IOException {
        Path path = folder.resolve("torn.bucina");
        BuildFile.create(path, Demo.document()).close();
        int entries;
        byte[] before;
        byte[] journal;
        try (BuildFile file = BuildFile.open(path)) {
            Build build = file.read().build();
            for (int i = 0; i < 12; i++) {
                file.append(Demo.entry(build, i, "note " + i), List.of(), Clock.systemUTC());
            }
            entries = file.read().log().entries().size();
            before = Files.readAllBytes(path);
            journal = Files.readAllBytes(folder.resolve("torn.bucina-wal"));
        }
        byte[] after = Files.readAllBytes(path);
        assertThat(after).isNotEqualTo(before);
        for (int eighths = 0; eighths <= 8; eighths++) {
            byte[] torn = before.clone();
            System.arraycopy(after, 0, torn, 0, Math.min(torn.length, after.length) * eighths / 8);
            assertThat(entriesAfter(torn, journal)).as("checkpoint torn at %d of 8", eighths).isEqualTo(entries);
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
