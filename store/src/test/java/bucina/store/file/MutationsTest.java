package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.stack.Derivation;
import bucina.store.Demo;
import bucina.store.Document;
import bucina.store.Trials;
import bucina.store.json.BuildJson;
import com.sun.management.OperatingSystemMXBean;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.sqlite.SQLiteConfig;

/** Builds put wrong at random, by bytes and by values: read as they were, or refused in a sentence, soon. */
class MutationsTest {

    private static final int BY_BYTES = Trials.of(20, 5000);
    private static final int BY_VALUES = Trials.of(20, 5000);
    private static final long LONGEST_NS = 5_000_000_000L;
    private static final Pattern NUMBER = Pattern.compile("-?\\d+(\\.\\d+)?");

    private static final List<Object> NASTY = Arrays.asList(
            null,
            "",
            "x",
            "{}",
            "[]",
            "NaN",
            "Infinity",
            new byte[] {0, 1},
            -1,
            0,
            1,
            Integer.MAX_VALUE,
            Long.MAX_VALUE,
            Long.MIN_VALUE,
            1e-91,
            1e300,
            -0.5,
            "\u0000",
            "\ud83d\ude00".repeat(300));

    @TempDir
    private Path folder;

    private final Document demo = Demo.document();
    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Random random = new Random(Long.getLong("seed", 23));
    private byte[] sound = new byte[0];
    private Path path = Path.of("");

    @BeforeEach
    void file() throws IOException {
        Path made = folder.resolve("sound.bucina");
        BuildFile.create(made, demo).close();
        sound = Files.readAllBytes(made);
        path = folder.resolve("wrong.bucina");
    }

    /** What is read of a file that was put wrong; null if it is refused, in a sentence and soon. */
    private Document read(String how) throws IOException {
        byte[] before = Files.readAllBytes(path);
        OperatingSystemMXBean system = (OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
        long begin = system.getProcessCpuTime();
        Document read = null;
        try (BuildFile file = BuildFile.openToRead(path)) {
            read = file.document();
            Derivation.of(read.build(), catalogue).findings(() -> false);
        } catch (BuildFileException e) {
            assertThat(e.getMessage())
                    .as(how)
                    .contains(path.toString())
                    .doesNotContain("Exception", "SQLITE_", "bucina.core", "java.");
        }
        assertThat(system.getProcessCpuTime() - begin).as(how).isLessThan(LONGEST_NS);
        assertThat(Files.readAllBytes(path)).as(how).isEqualTo(before);
        return read;
    }

    @Test
    void put_wrong_by_bytes_a_build_is_what_was_written_or_refused() throws IOException {
        int refused = 0;
        for (int i = 0; i < BY_BYTES; i++) {
            byte[] bytes = sound.clone();
            String how = "case " + i + ", " + bytes(i, bytes);
            Document read = read(how);
            refused += read == null ? 1 : 0;
            if (read != null) {
                assertThat(read).as(how).isEqualTo(demo);
            }
        }
        assertThat(refused).isGreaterThan(BY_BYTES / 3);
    }

    private String bytes(int i, byte[] bytes) throws IOException {
        int at = random.nextInt(bytes.length);
        int many = 1 + random.nextInt(i % 3 == 0 ? 4096 : 40);
        int end = Math.min(bytes.length, at + many);
        byte[] cut = bytes;
        String how;
        switch (i % 6) {
            case 0 -> {
                how = "zeros";
                Arrays.fill(bytes, at, end, (byte) 0);
            }
            case 1 -> {
                how = "noise";
                for (int k = at; k < end; k++) {
                    bytes[k] = (byte) random.nextInt();
                }
            }
            case 2 -> {
                how = "cut off";
                cut = Arrays.copyOf(bytes, at);
            }
            case 3 -> {
                how = "a page of elsewhere";
                int page = 4096;
                int from = random.nextInt(bytes.length / page) * page;
                System.arraycopy(sound, from, bytes, at / page * page, Math.min(page, bytes.length - at / page * page));
            }
            case 4 -> {
                how = "in its head";
                bytes[random.nextInt(100)] ^= (byte) (1 << random.nextInt(8));
            }
            default -> {
                how = "more of it";
                cut = Arrays.copyOf(bytes, bytes.length + many);
            }
        }
        Files.write(path, cut);
        return how + " at " + at + ", " + (end - at) + " bytes";
    }

    @Test
    void put_wrong_by_values_with_check_sums_that_fit_a_build_makes_sense_or_is_refused() throws Exception {
        int refused = 0;
        for (int i = 0; i < BY_VALUES; i++) {
            String how = "case " + i + ", " + values();
            Document read = read(how);
            refused += read == null ? 1 : 0;
            if (read != null) {
                assertThat(BuildJson.read(BuildJson.write(read))).as(how).isEqualTo(read);
            }
        }
        assertThat(refused).isGreaterThan(BY_VALUES / 8);
    }

    private String values() throws SQLException, IOException {
        Files.write(path, sound);
        SQLiteConfig config = new SQLiteConfig();
        config.enforceForeignKeys(false);
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path, config.toProperties());
                Statement s = c.createStatement()) {
            s.execute("PRAGMA ignore_check_constraints = ON");
            List<String> tables = strings(
                    s, "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT IN ('seal', 'photo')", 1);
            String table = tables.get(random.nextInt(tables.size()));
            List<String> columns = strings(s, "PRAGMA table_info(" + table + ")", 2);
            int rows = Integer.parseInt(
                    strings(s, "SELECT count(*) FROM " + table, 1).getFirst());
            if (rows == 0) {
                return "nothing in " + table;
            }
            List<String> guards = strings(s, "SELECT sql FROM sqlite_master WHERE type = 'trigger'", 1);
            for (String guard : strings(s, "SELECT name FROM sqlite_master WHERE type = 'trigger'", 1)) {
                s.execute("DROP TRIGGER " + guard);
            }
            String how = row(c, s, table, columns, random.nextInt(rows));
            for (String guard : guards) {
                s.execute(guard);
            }
            try {
                new Seals(c).renew();
            } catch (SQLException | IllegalArgumentException e) {
                return how + ", not sealed";
            }
            return how;
        }
    }

    private String row(Connection c, Statement s, String table, List<String> columns, int row) throws SQLException {
        String column = columns.get(random.nextInt(columns.size()));
        List<String> keys = strings(s, "SELECT name FROM pragma_table_info('" + table + "') WHERE pk > 0", 1);
        String key = keys.isEmpty() ? "rowid" : String.join(", ", keys);
        String which = "(" + key + ") = (SELECT " + key + " FROM " + table + " LIMIT 1 OFFSET " + row + ")";
        if (random.nextInt(8) == 0) {
            s.execute("DELETE FROM " + table + " WHERE " + which);
            return "row " + row + " of " + table + " gone";
        }
        String was = strings(s, "SELECT " + column + " FROM " + table + " LIMIT 1 OFFSET " + row, 1)
                .getFirst();
        Object value = was != null && random.nextInt(3) > 0 ? near(was) : NASTY.get(random.nextInt(NASTY.size()));
        String how = table + "." + column + " of row " + row + " from " + shown(was) + " to " + shown(value);
        try (PreparedStatement p = c.prepareStatement("UPDATE " + table + " SET " + column + " = ? WHERE " + which)) {
            p.setObject(1, value);
            p.executeUpdate();
        } catch (SQLException e) {
            return how + ", refused by the database";
        }
        return how;
    }

    /** A text with one of its figures or letters put wrong. */
    private Object near(String was) {
        List<int[]> numbers = new ArrayList<>();
        for (Matcher m = NUMBER.matcher(was); m.find(); ) {
            numbers.add(new int[] {m.start(), m.end()});
        }
        if (!numbers.isEmpty() && random.nextInt(4) > 0) {
            int[] n = numbers.get(random.nextInt(numbers.size()));
            List<String> others = List.of("0", "-1", "1e300", "1e-91", "9223372036854775807", "null", "\"x\"", "NaN");
            return was.substring(0, n[0]) + others.get(random.nextInt(others.size())) + was.substring(n[1]);
        }
        if (was.isEmpty()) {
            return "x";
        }
        int at = random.nextInt(was.length());
        return was.substring(0, at) + (random.nextBoolean() ? "" : "}") + was.substring(at + 1);
    }

    private static String shown(Object value) {
        String text = value instanceof byte[] b ? HexFormat.of().formatHex(b) : String.valueOf(value);
        return text.length() > 120 ? text.substring(0, 120) + "..." : text;
    }

    private static List<String> strings(Statement s, String sql, int column) throws SQLException {
        List<String> found = new ArrayList<>();
        try (ResultSet r = s.executeQuery(sql)) {
            while (r.next()) {
                found.add(r.getString(column));
            }
        }
        return found;
    }
}
