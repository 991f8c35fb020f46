package bucina.desk.logbook;

import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.desk.look.Ui;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;

/** A day as a heading, an entry as one line with its figures in columns. */
final class LogCell extends ListCell<LogLines.Line> {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM yyyy", Locale.ENGLISH);

    @Override
    protected void updateItem(LogLines.Line line, boolean isEmpty) {
        super.updateItem(line, isEmpty);
        setText(null);
        getStyleClass().removeAll("log-day", "log-entry");
        setGraphic(
                isEmpty || line == null
                        ? null
                        : switch (line) {
                            case LogLines.Day day -> day(day);
                            case LogLines.Item item -> item(item);
                        });
        if (line instanceof LogLines.Day) {
            getStyleClass().add("log-day");
        } else if (line != null) {
            getStyleClass().add("log-entry");
        }
    }

    private static HBox day(LogLines.Day day) {
        return new HBox(
                10,
                Ui.label(DAY.format(day.date()), "log-day-name"),
                Ui.spring(),
                Ui.label(day.count() + " set, " + LogLines.time(day.minutes()), "soft"));
    }

    private static HBox item(LogLines.Item item) {
        LogEntry entry = item.entry();
        String struck = item.inForce() ? "plain" : "struck";
        HBox row = new HBox(10, column("#" + entry.id(), 44, "soft"));
        columns(entry, row, struck);
        String mark = mark(item, entry);
        row.getChildren().add(Ui.label(mark, item.inForce() ? "attention-text" : "soft"));
        return row;
    }

    private static String mark(LogLines.Item item, LogEntry entry) {
        return !item.inForce()
                ? "corrected"
                : entry.deed().isPresent() && entry.corrects().isPresent()
                        ? "instead of #" + entry.corrects().get()
                        : entry.work()
                                .map(w ->
                                        w.rejects().isEmpty() ? "" : w.rejects().size() + " rejected")
                                .orElse("");
    }

    private static void columns(LogEntry entry, HBox row, String struck) {
        entry.work()
                .ifPresentOrElse(
                        w -> row.getChildren()
                                .addAll(
                                        column(w.done().toLocalTime().toString(), 46, struck),
                                        column(w.groupCode(), 50, "log-code"),
                                        column(LogLines.where(w), 120, struck),
                                        column(w.count() + " × " + w.designation(), 178, struck),
                                        column(w.who(), 70, struck),
                                        column(LogLines.time(w.minutes()), 78, struck)),
                        () -> row.getChildren().addAll(other(entry, struck)));
    }

    /** Work that sets no fastener, and an entry that only withdraws another. */
    private static List<Label> other(LogEntry entry, String struck) {
        return entry.labour()
                .map(l -> List.of(
                        column(
                                l.what() instanceof Labour.Found
                                        ? ""
                                        : l.done().toLocalTime().toString(),
                                46,
                                struck),
                        column(l.what().words(), 368, struck),
                        column(l.who(), 70, struck),
                        column(l.minutes() == 0 ? "" : LogLines.time(l.minutes()), 78, struck)))
                .orElseGet(() -> List.of(column("withdraws #" + entry.corrects().orElse(0), 300, "attention-text")));
    }

    private static Label column(String text, double width, String style) {
        Label label = Ui.label(text, style);
        label.setStyle("-fx-min-width: %1$.2fem; -fx-pref-width: %1$.2fem;".formatted(width / 13));
        if (style.equals("struck")) {
            label.setGraphic(null);
            label.getStyleClass().add("soft");
        }
        return label;
    }
}
