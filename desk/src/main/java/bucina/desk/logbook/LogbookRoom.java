package bucina.desk.logbook;

import bucina.core.log.Deed;
import bucina.core.log.Hours;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.desk.look.Scroll;
import bucina.desk.look.ShownPane;
import bucina.desk.look.Thumbnails;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Desk;
import bucina.desk.session.Stage;
import bucina.desk.sheet.FaceMap;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Lists the log by day, newest first; the entry chosen stands open at the right. */
public final class LogbookRoom extends ShownPane {

    private final Desk desk;
    private final TextField filter = new TextField();
    private final ComboBox<Optional<Hours.Kind>> kind = new ComboBox<>();
    private final Label totals = Ui.label("", "soft");
    private final ListView<LogLines.Line> list = new ListView<>();
    private final VBox detail = new VBox(8);
    private boolean stale = true;

    public LogbookRoom(Desk desk) {
        this.desk = desk;
        getStyleClass().add("logbook");
        filter.setId("log-filter");
        filter.setPromptText("filter: group, rivet, name, note, date");
        filter.setAccessibleText("Filter the log");
        filter.setPrefColumnCount(28);
        filter.textProperty().addListener((o, was, now) -> fill());
        kind.setId("log-kind");
        kind.setAccessibleText("Which kind of work is listed");
        List<Optional<Hours.Kind>> kinds = new ArrayList<>(List.of(Optional.empty()));
        List.of(Hours.Kind.values()).forEach(k -> kinds.add(Optional.of(k)));
        kind.getItems().setAll(kinds);
        kind.setConverter(new Worded<>(k -> k.map(Hours.Kind::word).orElse("all work")));
        kind.setValue(Optional.empty());
        kind.valueProperty().addListener((o, was, now) -> fill());
        Button hours = Ui.button("Hours", "", this::hours, "quiet");
        hours.setId("log-hours");
        HBox top = new HBox(14, Ui.label("Logbook", "room-title"), filter, kind, totals, Ui.spring(), hours);
        top.setAlignment(Pos.CENTER_LEFT);
        top.setPadding(new Insets(12, 16, 10, 16));
        setTop(top);
        list.setId("log-list");
        list.setAccessibleText("Entries, newest first");
        list.setCellFactory(v -> new LogCell());
        list.setPlaceholder(Ui.wrapped(
                "Nothing logged yet. Pick holes on the sheet, press " + Stage.SET.key() + " for Set and write down "
                        + "what went in; or on "
                        + "the command line: "
                        + "bucina log FILE add ...",
                "soft"));
        list.getSelectionModel().selectedItemProperty().addListener((o, was, now) -> open(now));
        setCenter(list);
        BorderPane.setMargin(list, new Insets(0, 0, 12, 16));
        Scroll scroll = Scroll.of(detail);
        scroll.setPrefWidth(430);
        detail.setPadding(new Insets(4, 18, 14, 18));
        setRight(scroll);
        ties.on(desk.session().snapshotProperty(), this::fill);
        ties.on(desk.look().unitProperty(), () -> open(list.getSelectionModel().getSelectedItem()));
    }

    /** Lists the log anew; while another room is shown that waits until this one is entered. */
    private void fill() {
        stale = getScene() == null;
        if (stale) {
            return;
        }
        Logbook log = desk.snapshot().log();
        Optional<Integer> chosen = list.getSelectionModel().getSelectedItem() instanceof LogLines.Item i
                ? Optional.of(i.entry().id())
                : Optional.empty();
        List<LogLines.Line> lines = LogLines.of(log, filter.getText(), kind.getValue());
        list.getItems().setAll(lines);
        total(log);
        LogLines.Line again = again(lines, chosen);
        list.getSelectionModel().select(again);
        open(again);
    }

    private static LogLines.Line again(List<LogLines.Line> lines, Optional<Integer> chosen) {
        return lines.stream()
                .filter(l -> l instanceof LogLines.Item i
                        && chosen.filter(c -> c == i.entry().id()).isPresent())
                .findFirst()
                .orElseGet(() -> lines.stream()
                        .filter(l -> l instanceof LogLines.Item)
                        .findFirst()
                        .orElse(null));
    }

    private void total(Logbook log) {
        List<Deed> inForce = log.entries().stream()
                .filter(log::inForce)
                .flatMap(e -> e.deed().stream())
                .toList();
        totals.setText(inForce.stream()
                        .mapToInt(d -> d instanceof Work w ? w.count() : 0)
                        .sum()
                + " fasteners, "
                + LogLines.time(inForce.stream().mapToInt(Deed::minutes).sum()) + " of work, "
                + log.entries().size() + " entries");
    }

    /** Puts the keyboard into the list. */
    @Override
    public void enter() {
        if (stale) {
            fill();
        }
        list.requestFocus();
    }

    // ---- one entry

    private void open(LogLines.Line line) {
        detail.getChildren().clear();
        if (!(line instanceof LogLines.Item item)) {
            return;
        }
        LogEntry entry = item.entry();
        detail.getChildren().add(Ui.label("Entry " + entry.id(), "bench-title"));
        standing(entry, item);
        entry.work().ifPresent(this::work);
        entry.labour().ifPresent(l -> detail.getChildren().add(new LabourDetail(desk, entry, l)));
        detail.getChildren()
                .add(Ui.wrapped(
                        "Entered "
                                + entry.entered()
                                        .toString()
                                        .replace('T', ' ')
                                        .replaceFirst("(:\\d\\d)(\\.\\d+)?Z$", "$1 UTC"),
                        "tiny"));
        if (item.inForce() && entry.deed().isPresent()) {
            buttons(entry);
        }
    }

    private void buttons(LogEntry entry) {
        Button correct = Ui.button("Correct", "C", () -> correct(entry), "primary");
        correct.setId("log-correct");
        Button withdraw = Ui.button("Withdraw", "W", () -> withdraw(entry), "quiet");
        withdraw.setId("log-withdraw");
        correct.setDisable(desk.session().readOnly());
        withdraw.setDisable(desk.session().readOnly());
        detail.getChildren()
                .addAll(
                        new HBox(8, correct, withdraw),
                        Ui.wrapped(
                                "Entries are never changed. Either button adds an entry that points at this "
                                        + "one; Ctrl+Z takes that back.",
                                "soft"));
    }

    private void standing(LogEntry entry, LogLines.Item item) {
        entry.corrects()
                .ifPresent(c -> detail.getChildren()
                        .add(Ui.wrapped(
                                (entry.deed().isPresent() ? "Stands in place of entry " : "Withdraws entry ") + c + ": "
                                        + entry.reason(),
                                "attention-text")));
        if (!item.inForce()) {
            int by = desk.snapshot().log().entries().stream()
                    .filter(e -> e.corrects().filter(c -> c == entry.id()).isPresent())
                    .findFirst()
                    .orElseThrow()
                    .id();
            detail.getChildren().add(Ui.wrapped("No longer in force: entry " + by + " corrects it.", "attention-text"));
        }
    }

    static GridPane grid() {
        GridPane grid = new GridPane();
        grid.setHgap(14);
        grid.setVgap(4);
        return grid;
    }

    private void work(Work w) {
        GridPane grid = grid();
        rows(grid, w);
        detail.getChildren().add(grid);
        map(w);
        if (!w.photos().isEmpty()) {
            FlowPane pictures = new FlowPane(8, 8);
            detail.getChildren().add(pictures);
            w.photos()
                    .forEach(p -> desk.session()
                            .photo(p, photo -> pictures.getChildren().add(Thumbnails.of(photo, 130))));
        }
    }

    private void map(Work w) {
        desk.snapshot()
                .group(w.group())
                .filter(ref -> !w.holes().isEmpty())
                .ifPresent(ref -> detail.getChildren()
                        .addAll(
                                Ui.label(
                                        ref.face().name() + ", "
                                                + ref.assembly().hand().word() + " hand, "
                                                + ref.face().viewed(),
                                        "soft"),
                                new FaceMap(
                                        desk,
                                        ref.face().id(),
                                        w.holes().stream().map(h -> h.id()).collect(Collectors.toSet()),
                                        392,
                                        230)));
    }

    /** Shows the hours by assembly and kind in place of an entry. */
    private void hours() {
        detail.getChildren()
                .setAll(
                        Ui.label("Hours", "bench-title"),
                        new HoursView(Hours.of(
                                desk.snapshot().build(), desk.snapshot().log())));
    }

    private void rows(GridPane grid, Work w) {
        row(grid, "Group", w.groupCode());
        row(grid, "Holes", LogLines.where(w) + " (" + w.count() + ")");
        row(
                grid,
                "Used",
                w.designation() + w.length().map(l -> ", " + show(l) + " long").orElse(""));
        row(grid, "Done", w.done().toString().replace('T', ' ') + ", " + LogLines.time(w.minutes()));
        row(grid, "Who", w.who());
        row(grid, "Tool", w.setup().tool());
        w.setup().setting().ifPresent(s -> row(grid, "Gap", show(s)));
        w.setup().hole().ifPresent(h -> row(grid, "Hole", show(h)));
        judged(grid, w);
    }

    private void judged(GridPane grid, Work w) {
        row(
                grid,
                "Heads",
                w.readings().stream()
                        .map(r -> show(r.diameter()) + " × " + show(r.height()))
                        .collect(Collectors.joining("\n")));
        row(
                grid,
                "Rejects",
                w.rejects().stream()
                        .map(r -> (r.hole().isEmpty() ? r.count() + " " : r.hole() + ": ")
                                + r.what().words()
                                + (r.note().isEmpty() ? "" : ". " + r.note()))
                        .collect(Collectors.joining("\n")));
        row(grid, "Reason", w.explanation());
        row(grid, "Note", w.note());
    }

    static void row(GridPane grid, String name, String value) {
        if (!value.isBlank()) {
            Label text = Ui.wrapped(value, "plain");
            GridPane.setHgrow(text, Priority.ALWAYS);
            Label label = Ui.label(name, "field-name");
            label.setMinWidth(Region.USE_PREF_SIZE);
            GridPane.setValignment(label, VPos.TOP);
            grid.addRow(grid.getRowCount(), label, text);
        }
    }

    private String show(Length length) {
        return LengthFormat.trade(length, desk.unit());
    }

    private void correct(LogEntry entry) {
        if (entry.work().isEmpty()) {
            detail.getChildren().stream()
                    .filter(LabourDetail.class::isInstance)
                    .findFirst()
                    .ifPresent(d -> ((LabourDetail) d).correct());
            return;
        }
        desk.snapshot().group(entry.work().orElseThrow().group()).ifPresent(ref -> {
            desk.show(ref);
            desk.stageProperty().set(Stage.SET);
            desk.correctingProperty().set(Optional.of(entry));
        });
    }

    private void withdraw(LogEntry entry) {
        desk.session().log(LogEntry.Draft.withdraw(entry.id(), "withdrawn"), List.of(), e -> {}, sentence -> {});
    }

    /** Corrects the entry chosen, as the key does. */
    public void correctChosen() {
        chosen().ifPresent(this::correct);
    }

    /** Withdraws the entry chosen, as the key does. */
    public void withdrawChosen() {
        chosen().ifPresent(this::withdraw);
    }

    private Optional<LogEntry> chosen() {
        return list.getSelectionModel().getSelectedItem() instanceof LogLines.Item i
                        && i.inForce()
                        && i.entry().deed().isPresent()
                        && !desk.session().readOnly()
                ? Optional.of(i.entry())
                : Optional.empty();
    }
}
