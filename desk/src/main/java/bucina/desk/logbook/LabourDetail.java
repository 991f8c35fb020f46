package bucina.desk.logbook;

import bucina.core.log.CloseOut;
import bucina.core.log.Hours;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Proof;
import bucina.core.log.Taken;
import bucina.core.measure.InputException;
import bucina.core.measure.LengthFormat;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** An entry of work that sets no fastener, and the fields that correct it. */
final class LabourDetail extends VBox {

    private final Desk desk;
    private final LogEntry entry;
    private final Labour labour;
    private final Label wrong = Ui.wrapped("", "stop-text");

    LabourDetail(Desk desk, LogEntry entry, Labour labour) {
        super(8);
        this.desk = desk;
        this.entry = entry;
        this.labour = labour;
        GridPane grid = LogbookRoom.grid();
        LogbookRoom.row(grid, "Kind", Hours.Kind.of(labour).word());
        what(grid);
        LogbookRoom.row(grid, "Page", labour.page());
        LogbookRoom.row(
                grid,
                labour.what() instanceof Labour.Found ? "Written" : "Done",
                labour.done().toString().replace('T', ' ')
                        + (labour.minutes() == 0 ? "" : ", " + LogLines.time(labour.minutes())));
        LogbookRoom.row(grid, "Who", labour.who());
        LogbookRoom.row(grid, "Reason", labour.explanation());
        LogbookRoom.row(grid, "Note", labour.note());
        getChildren().add(grid);
    }

    private void what(GridPane grid) {
        switch (labour.what()) {
            case Labour.Holes h ->
                h.sweeps()
                        .forEach(s -> LogbookRoom.row(
                                grid,
                                s.operation().code().replace('-', ' '),
                                s.holes().size() + " of " + s.code() + ", "
                                        + s.holes().getFirst().label() + " to "
                                        + s.holes().getLast().label()));
            case Labour.Found f ->
                LogbookRoom.row(
                        grid,
                        "Found",
                        f.name()
                                + (f.holes().isEmpty() && f.count() == 0
                                        ? ""
                                        : ", " + (f.holes().size() + f.count()) + " fasteners in"));
            case Taken t ->
                LogbookRoom.row(
                        grid,
                        t.name(),
                        t.unit().words(t.value(), desk.unit()) + (t.held() ? "" : ", out of its limits"));
            case Proof p ->
                p.heads()
                        .forEach(h -> LogbookRoom.row(
                                grid,
                                h.called(),
                                h.reading()
                                                .map(r -> LengthFormat.trade(r.diameter(), desk.unit()) + " × "
                                                        + LengthFormat.trade(r.height(), desk.unit()) + ", ")
                                                .orElse(h.go() ? "go gauge, " : "")
                                        + h.seen().stream()
                                                .map(s -> s.words(desk.unit()) + ", ")
                                                .collect(Collectors.joining())
                                        + h.decided().words()
                                        + (h.reason().isBlank() ? "" : ": " + h.reason())));
            case CloseOut c -> {
                LogbookRoom.row(grid, "Bay", c.name());
                c.open().forEach(o -> LogbookRoom.row(grid, "Left open", o.point() + ": " + o.reason()));
                c.counted().forEach(k -> LogbookRoom.row(grid, "Counted out", k.out() + " " + k.what()));
            }
            default -> LogbookRoom.row(grid, "What", labour.what().words());
        }
    }

    /** Shows the fields that a correction changes. */
    void correct() {
        Fields f = new Fields();
        TextField who = f.add("Who", new TextField(labour.who()), "labour-who");
        TextField minutes = f.add("Minutes", new TextField(Integer.toString(labour.minutes())), "labour-minutes");
        TextField note = f.add("Note", new TextField(labour.note()), "labour-note");
        TextField reason = f.add("Why", new TextField(), "labour-reason");
        reason.setPromptText("why it is corrected");
        Ui.shown(wrong, false);
        getChildren()
                .addAll(
                        f,
                        wrong,
                        Ui.button(
                                "Write the correction",
                                "Enter",
                                () -> write(who.getText(), minutes.getText(), note.getText(), reason.getText()),
                                "primary"));
        reason.setOnAction(e -> write(who.getText(), minutes.getText(), note.getText(), reason.getText()));
        minutes.requestFocus();
    }

    private void write(String who, String minutes, String note, String reason) {
        try {
            if (!minutes.strip().matches("\\d{1,6}")) {
                throw new InputException("minutes \"" + minutes.strip() + "\" must be a whole number like 25");
            }
            if (reason.isBlank()) {
                throw new InputException("a correction wants a word why, such as \"counted the break too\"");
            }
            Labour right = new Labour(
                    labour.what(),
                    labour.page(),
                    who.strip(),
                    labour.done(),
                    Integer.parseInt(minutes.strip()),
                    labour.explanation(),
                    note.strip(),
                    labour.photos());
            desk.session()
                    .log(LogEntry.Draft.replace(entry.id(), right, reason.strip()), List.of(), e -> {}, this::refused);
        } catch (InputException e) {
            refused(e.getMessage());
        }
    }

    private void refused(String sentence) {
        wrong.setText(sentence);
        Ui.shown(wrong, true);
    }
}
