package bucina.store.file;

import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;

/**
 * What a build has and a copy of it has not: what is lost by going back to the copy.
 *
 * @param entries numbers of the entries logged since
 * @param marks   how many marks were made since; empty if that cannot be read any more
 * @param plan    what became of the plan since
 * @param whole   false if the log of the build could not be read whole: there may be more
 */
public record Loss(List<Integer> entries, OptionalInt marks, Plan plan, boolean whole) {

    /** A plan against that of the copy. */
    public enum Plan {
        /** The same. */
        SAME,
        /** Changed since. */
        CHANGED,
        /** It cannot be read any more. */
        UNKNOWN
    }

    public Loss {
        entries = List.copyOf(entries);
    }

    /** True if the copy has everything. */
    public boolean nothing() {
        return whole && entries.isEmpty() && marks.equals(OptionalInt.of(0)) && plan == Plan.SAME;
    }

    /** What a build that can be read holds more than a copy; the id that is given out next is no change. */
    public static Loss of(BuildFile.Contents now, Copies.Held copy) {
        BuildFile.Contents then = copy.contents();
        long next = Math.max(now.build().nextId(), then.build().nextId());
        Set<LogEntry> kept = new HashSet<>(then.log().entries());
        return new Loss(
                now.log().entries().stream()
                        .filter(e -> !kept.contains(e))
                        .map(LogEntry::id)
                        .toList(),
                OptionalInt.of(Math.max(0, now.log().marked() - then.log().marked())),
                now.build().withNextId(next).equals(then.build().withNextId(next)) ? Plan.SAME : Plan.CHANGED,
                true);
    }

    /** What a damaged build seems to hold more than a copy, as far as its tables still say. */
    public static Loss of(Path damaged, Copies.Held copy) {
        try (Connection connection = Opening.connect(damaged, true, true)) {
            Logbook then = copy.contents().log();
            int last = then.entries().stream().mapToInt(LogEntry::id).max().orElse(0);
            List<Integer> more = new ArrayList<>();
            boolean whole = entries(connection, last, more);
            return new Loss(more, marks(connection, then), plan(connection, copy.state()), whole);
        } catch (SQLException e) {
            return new Loss(List.of(), OptionalInt.empty(), Plan.UNKNOWN, false);
        }
    }

    /** Adds the numbers after one; false if not all can be read. */
    private static boolean entries(Connection connection, int last, List<Integer> more) {
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("SELECT id FROM log_entry WHERE id > " + last + " ORDER BY id")) {
            while (r.next()) {
                more.add(r.getInt(1));
            }
            return true;
        } catch (SQLException e) {
            return false;
        }
    }

    private static OptionalInt marks(Connection connection, Logbook then) {
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("SELECT (SELECT count(*) FROM mark) + (SELECT count(*) FROM part_mark)")) {
            return OptionalInt.of(Math.max(0, r.getInt(1) - then.marked()));
        } catch (SQLException e) {
            return OptionalInt.empty();
        }
    }

    private static Plan plan(Connection connection, FileState then) {
        try {
            return FileState.read(connection).plan() == then.plan() ? Plan.SAME : Plan.CHANGED;
        } catch (SQLException | IllegalArgumentException e) {
            return Plan.UNKNOWN;
        }
    }
}
