package bucina.speed;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.DunlinHistory;
import bucina.core.log.LogEntry;
import bucina.core.stack.Derivation;
import bucina.store.Document;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** What it costs to have an entry on the disk, against a raw commit of a row as long; in turns, on one disk. */
final class SaveSpeed {

    private static final int ROUNDS = 5;
    private static final int EACH = 60;
    private static final int MANY = 5000;
    private static final String ROW = "x".repeat(900);

    private SaveSpeed() {}

    public static void main(String[] args) throws IOException, SQLException {
        Path folder = Files.createTempDirectory(Path.of(args.length > 0 ? args[0] : "."), "save");
        try {
            ways(folder);
            entries(folder);
        } finally {
            try (Stream<Path> left = Files.list(folder)) {
                for (Path p : left.toList()) {
                    Files.delete(p);
                }
            }
            Files.delete(folder);
        }
    }

    private static void ways(Path folder) throws SQLException, IOException {
        double[][] ms = new double[3][ROUNDS];
        for (int i = 0; i < ROUNDS; i++) {
            ms[0][i] = raw(folder, "WAL", false);
            ms[1][i] = raw(folder, "WAL", true);
            ms[2][i] = raw(folder, "DELETE", false);
        }
        say("raw commit of a row, write-ahead log, synchronous FULL: the measure of the next two", ms[0], ms[0]);
        say("the same and a truncating checkpoint", ms[1], ms[0]);
        say("raw commit of a row, rollback journal, synchronous FULL", ms[2], ms[0]);
    }

    private static double raw(Path folder, String mode, boolean checkpoint) throws SQLException, IOException {
        Path file = folder.resolve("raw.db");
        Files.deleteIfExists(file);
        double[] ms = new double[EACH];
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file);
                Statement s = c.createStatement()) {
            s.execute("PRAGMA journal_mode = " + mode);
            s.execute("PRAGMA synchronous = FULL");
            s.execute("CREATE TABLE entry (id INTEGER PRIMARY KEY, work TEXT)");
            for (int i = 0; i < EACH; i++) {
                long begun = System.nanoTime();
                s.execute("BEGIN IMMEDIATE");
                try (PreparedStatement p = c.prepareStatement("INSERT INTO entry (work) VALUES (?)")) {
                    p.setString(1, ROW);
                    p.executeUpdate();
                }
                s.execute("COMMIT");
                if (checkpoint) {
                    s.execute("PRAGMA wal_checkpoint(TRUNCATE)");
                }
                ms[i] = (System.nanoTime() - begun) / 1e6;
            }
        }
        return median(ms);
    }

    private static void entries(Path folder) throws SQLException, IOException {
        var catalogue = CatalogueReader.shipped();
        var build = Dunlin.build(catalogue.rules());
        var log = DunlinHistory.of(Derivation.of(build, catalogue));
        LogEntry.Draft draft =
                LogEntry.Draft.install(log.entries().getFirst().work().orElseThrow());
        Path path = folder.resolve("save.bucina");
        BuildFile.create(path, new Document(build, log, List.of())).close();
        // What an entry has to do as well: get into the one file.
        double[] first = new double[ROUNDS];
        double[] raw = new double[ROUNDS];
        try (BuildFile file = BuildFile.open(path)) {
            file.read();
            append(file, draft, EACH);
            for (int i = 0; i < ROUNDS; i++) {
                raw[i] = raw(folder, "WAL", true);
                first[i] = append(file, draft, EACH);
            }
            say("an entry of the first hundreds, against a raw commit that is in the one file too", first, raw);
            while (append(file, draft, 1) >= 0 && file.read().log().entries().size() < MANY - EACH * ROUNDS) {
                append(file, draft, 200);
            }
            for (int i = 0; i < ROUNDS; i++) {
                raw[i] = raw(folder, "WAL", true);
                first[i] = append(file, draft, EACH);
            }
            say("an entry up to the " + file.read().log().entries().size() + "th", first, raw);
        }
    }

    private static double append(BuildFile file, LogEntry.Draft draft, int many) {
        double[] ms = new double[many];
        for (int i = 0; i < many; i++) {
            long begun = System.nanoTime();
            file.append(draft, List.of(), Clock.systemUTC(), others -> {});
            ms[i] = (System.nanoTime() - begun) / 1e6;
        }
        return median(ms);
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }

    private static void say(String what, double[] ms, double[] raw) {
        double[] ratios = new double[ms.length];
        for (int i = 0; i < ms.length; i++) {
            ratios[i] = ms[i] / raw[i];
        }
        System.out.printf(Locale.ROOT, "%s: median %.1f ms, %.2f times%n", what, median(ms), median(ratios));
    }
}
