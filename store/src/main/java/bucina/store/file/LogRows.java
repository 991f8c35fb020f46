package bucina.store.file;

import bucina.core.log.LogEntry;
import bucina.core.log.Mark;
import bucina.core.log.PartMark;
import bucina.core.measure.Length;
import bucina.store.Chain;
import bucina.store.Photo;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Writes entries, marks and photographs: rows that are only added. */
final class LogRows {

    private final Connection connection;
    private final Writing writing;

    LogRows(Connection connection, Writing writing) {
        this.connection = connection;
        this.writing = writing;
    }

    /** The number the next entry gets. */
    int nextEntry() throws SQLException {
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("SELECT COALESCE(MAX(id), 0) + 1 FROM log_entry")) {
            return r.getInt(1);
        }
    }

    /** What binds a new entry to those that are there. */
    Chain.Link link(LogEntry entry, FileState.Chained chain) throws SQLException {
        String corrected = "";
        if (entry.corrects().isPresent()) {
            try (PreparedStatement s = connection.prepareStatement("SELECT hash FROM log_entry WHERE id = ?")) {
                s.setInt(1, entry.corrects().get());
                try (ResultSet r = s.executeQuery()) {
                    corrected = r.next() ? r.getString(1) : "";
                }
            }
        }
        return Chain.link(entry, chain.heads(), corrected);
    }

    void entry(LogEntry entry, Chain.Link link) throws SQLException {
        Map<String, @Nullable Object> columns = new LinkedHashMap<>();
        columns.put("entered", entry.entered().toString());
        columns.put("corrects", entry.corrects().orElse(null));
        columns.put("work", Chain.work(entry));
        columns.put("reason", entry.reason());
        columns.put("follows", String.join(" ", link.follows()));
        columns.put("first", link.first());
        columns.put("hash", link.hash());
        add("log_entry", entry.id(), columns);
    }

    void marks(List<Mark> marks) throws SQLException {
        long next = marks.isEmpty() ? 0 : last("mark");
        for (Mark mark : marks) {
            Map<String, @Nullable Object> columns = new LinkedHashMap<>();
            columns.put("hole", mark.hole().n());
            columns.put("layer", mark.layer().n());
            columns.put("side", mark.side().name().toLowerCase(Locale.ROOT));
            columns.put("operation", mark.operation().code());
            columns.put("at", mark.at().toString());
            columns.put("done", mark.on() ? 1 : 0);
            columns.put("note", mark.note());
            add("mark", ++next, columns);
        }
    }

    void partMarks(List<PartMark> marks) throws SQLException {
        long next = marks.isEmpty() ? 0 : last("part_mark");
        for (PartMark mark : marks) {
            Map<String, @Nullable Object> columns = new LinkedHashMap<>();
            columns.put("part", mark.part().n());
            columns.put("task", mark.task());
            columns.put("at", mark.at().toString());
            columns.put("done", mark.on() ? 1 : 0);
            columns.put("reading_nm", mark.reading().map(Length::nanometres).orElse(null));
            columns.put("note", mark.note());
            add("part_mark", ++next, columns);
        }
    }

    /** The number of the last row there ever was: marks taken away are not numbered again. */
    private long last(String table) throws SQLException {
        try (Statement s = connection.createStatement();
                ResultSet r = s.executeQuery("SELECT MAX(COALESCE((SELECT MAX(id) FROM " + table
                        + "), 0), COALESCE((SELECT seq FROM sqlite_sequence WHERE name = '" + table + "'), 0))")) {
            return r.getLong(1);
        }
    }

    private void add(String table, long id, Map<String, @Nullable Object> columns) throws SQLException {
        writing.touch(table, id);
        String names = String.join(", ", columns.keySet());
        String marks = columns.keySet().stream().map(c -> ", ?").collect(Collectors.joining());
        try (PreparedStatement s =
                connection.prepareStatement("INSERT INTO " + table + " (id, " + names + ") VALUES (?" + marks + ")")) {
            s.setLong(1, id);
            int i = 2;
            for (Object value : columns.values()) {
                s.setObject(i++, value);
            }
            s.executeUpdate();
        }
        writing.mean(table, id, columns);
    }

    void photos(List<Photo> photos) throws SQLException {
        if (!photos.isEmpty()) {
            writing.touch("photo");
        }
        for (Photo photo : photos) {
            PlanRows.execute(
                    connection,
                    "INSERT OR IGNORE INTO photo (sha256, type, content) VALUES (?, ?, ?)",
                    photo.sha256(),
                    photo.type(),
                    photo.content());
            writing.mean("photo", photo.sha256(), Map.of("content", photo.content()));
        }
    }
}
