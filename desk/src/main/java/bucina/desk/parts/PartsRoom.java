package bucina.desk.parts;

import static bucina.desk.session.Command.Scope.PARTS;

import bucina.core.edit.PartEdits;
import bucina.core.form.PartForm;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.refit.LookAlikes;
import bucina.core.stack.Derivation;
import bucina.core.state.Snapshot;
import bucina.desk.look.Later;
import bucina.desk.look.ShownPane;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import bucina.desk.session.PartLines;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Lists the parts of the build; the one chosen stands open at the right, where it is changed. */
public final class PartsRoom extends ShownPane {

    private final Desk desk;
    private final TextField search = new TextField();
    private final ComboBox<PartLines.Show> show = new ComboBox<>();
    private final ComboBox<PartLines.Sort> sort = new ComboBox<>();
    private final Label totals = Ui.label("", "soft");
    private final Label said = Ui.wrapped("", "stop-text");
    private final ListView<PartLines.Line> list = new ListView<>();
    private final VBox lines = new VBox(2);
    private final PartDetail detail;
    private final Latest reading;
    private final Latest latest;
    private PartColumns columns;
    private List<PartLines.Line> all = List.of();
    private Map<Id.Part, List<LookAlikes>> likes = Map.of();
    private @Nullable Derivation compared;
    private boolean filling;
    /** Every part is read; before that nothing is listed. */
    private boolean read;
    /** The part just added, until it is read: it is the one to be shown then, whatever is listed meanwhile. */
    private Optional<Id.Part> added = Optional.empty();

    private boolean stale = true;

    /**
     * @param lists opens the card that takes a list of parts in and writes one out
     * @param bays  opens the card that says which parts close a bay
     */
    public PartsRoom(Desk desk, Runnable lists, Runnable bays) {
        this.desk = desk;
        reading = desk.session().latest();
        latest = desk.session().latest();
        columns = PartColumns.in(0, 100, desk.unit());
        detail = new PartDetail(desk, this::refused);
        getStyleClass().add("parts-room");
        setTop(top(lists, bays));
        list.setId("part-list");
        list.setAccessibleText("Parts");
        list.setCellFactory(v -> new Cell());
        list.setPlaceholder(Ui.wrapped("No part is so. Choose \"all parts\", or clear the search.", "soft"));
        list.getSelectionModel().selectedItemProperty().addListener((o, was, now) -> chosen(now));
        columns();
        lines.getChildren().setAll(columns.heads(), list);
        lines.setMinWidth(0);
        list.setMinWidth(0);
        VBox.setVgrow(list, Priority.ALWAYS);
        list.widthProperty().addListener((o, was, now) -> columns());
        // What is not in the window is not styled again when the room is entered.
        sceneProperty().addListener((o, was, now) -> {
            if (now == null) {
                detail.empty();
                stale = true;
            }
        });
        setCenter(lines);
        BorderPane.setMargin(lines, new Insets(0, 0, 12, 16));
        setRight(new Later(detail, 1));
        ties.on(desk.session().snapshotProperty(), this::fill);
        ties.on(desk.look().unitProperty(), this::columns);
        ties.on(desk.look().unitProperty(), this::fill);
        ties.on(desk.look().scaleProperty(), this::columns);
        ties.on(desk.look().darkProperty(), this::fill);
    }

    private VBox top(Runnable lists, Runnable bays) {
        search.setId("part-search");
        search.setPromptText("search: name, number, page, what is owed");
        search.setAccessibleText("Search the parts");
        search.setPrefColumnCount(24);
        search.textProperty().addListener((o, was, now) -> list());
        choice(show, List.of(PartLines.Show.values()), PartLines.Show.ALL, PartLines.Show::word, "part-show");
        choice(sort, List.of(PartLines.Sort.values()), PartLines.Sort.FITTING, PartLines.Sort::word, "part-sort");
        show.setAccessibleText("Which parts are listed");
        sort.setAccessibleText("In which order");
        Button add = Ui.button("Add a part", "", this::add);
        add.setId("part-add");
        add.setDisable(desk.session().readOnly());
        Button in = Ui.button("Lists", "", lists, "quiet");
        in.setId("part-lists");
        Button shut = Ui.button("Bays", "", bays, "quiet");
        shut.setId("part-bays");
        FlowPane line = new FlowPane(10, 6, Ui.label("Parts", "room-title"), search, show, sort, add, in, shut);
        line.setAlignment(Pos.CENTER_LEFT);
        Ui.shown(said, false);
        VBox top = new VBox(6, line, totals, said);
        top.setPadding(new Insets(12, 16, 10, 16));
        return top;
    }

    private <T> void choice(ComboBox<T> box, List<T> values, T first, Function<T, String> word, String id) {
        box.getItems().setAll(values);
        box.setConverter(new Worded<>(word));
        box.setValue(first);
        box.setId(id);
        box.valueProperty().addListener((o, was, now) -> list());
    }

    /** Shows the columns that fit. */
    private void columns() {
        // Of lines of one height the list measures none but those shown.
        list.setFixedCellSize(Math.round(30 * desk.look().scaleProperty().get() / 100.0));
        PartColumns fit =
                PartColumns.in(list.getWidth(), desk.look().scaleProperty().get(), desk.unit());
        if (!fit.same(columns)) {
            columns = fit;
            if (!lines.getChildren().isEmpty()) {
                lines.getChildren().set(0, columns.heads());
            }
            list.refresh();
        }
    }

    /** Shows a sentence about what could not be done; a blank one takes it away. */
    private void refused(String sentence) {
        said.setText(sentence);
        Ui.shown(said, !sentence.isBlank());
    }

    /** Fills the list anew; while another room is shown that waits until this one is entered. */
    private void fill() {
        stale = getScene() == null;
        if (stale) {
            return;
        }
        refused("");
        read();
        Derivation now = desk.session().snapshot().derivation();
        if (compared != now) {
            compared = now;
            latest.ask(
                    () -> LookAlikes.of(now),
                    found -> {
                        if (!found.equals(likes)) {
                            likes = found;
                            read();
                        }
                    },
                    this::refused);
        }
    }

    /** What thousands of parts owe takes longer than a key may wait. */
    private void read() {
        Snapshot now = desk.session().snapshot();
        Map<Id.Part, List<LookAlikes>> with = likes;
        reading.ask(
                () -> PartLines.of(now, with),
                lines -> {
                    all = lines;
                    read = true;
                    list();
                    added.ifPresent(p -> list.scrollTo(list.getSelectionModel().getSelectedIndex()));
                    added = Optional.empty();
                },
                this::refused);
    }

    private void list() {
        if (filling || !read) {
            return;
        }
        filling = true;
        Optional<Id.Part> before = added.or(() -> desk.partProperty().get());
        List<PartLines.Line> lines = PartLines.shown(all, show.getValue(), sort.getValue(), search.getText());
        if (!list.getItems().equals(lines)) {
            list.getItems().setAll(lines);
        }
        totals.setText(PartLines.together(all) + (lines.size() == all.size() ? "" : "; " + lines.size() + " listed"));
        int at = 0;
        for (int i = 0; i < lines.size(); i++) {
            at = before.filter(lines.get(i).part().id()::equals).isPresent() ? i : at;
        }
        list.getSelectionModel().clearAndSelect(at);
        filling = false;
        chosen(list.getSelectionModel().getSelectedItem());
    }

    private void chosen(PartLines.@Nullable Line line) {
        if (filling) {
            return;
        }
        desk.partProperty().set(Optional.ofNullable(line).map(l -> l.part().id()));
        detail.show(Optional.ofNullable(line), all);
    }

    private void add() {
        String name = free("New part");
        desk.session()
                .plan(
                        "adding " + name,
                        b -> PartForm.none(desk.lengths()).add(b, name),
                        () -> {
                            Part part =
                                    desk.session().snapshot().build().parts().getLast();
                            added = Optional.of(part.id());
                            desk.partProperty().set(added);
                            detail.name(part.id());
                        },
                        this::refused);
    }

    private String free(String name) {
        int n = 1;
        while (desk.session()
                .snapshot()
                .parts()
                .named(name + (n == 1 ? "" : " " + n))
                .isPresent()) {
            n++;
        }
        return name + (n == 1 ? "" : " " + n);
    }

    /** Puts the keyboard into the list. */
    @Override
    public void enter() {
        list.requestFocus();
        if (stale) {
            fill();
            return;
        }
        Optional<Id.Part> chosen = Optional.ofNullable(list.getSelectionModel().getSelectedItem())
                .map(l -> l.part().id());
        if (desk.partProperty().get().isPresent() && !desk.partProperty().get().equals(chosen)) {
            list();
        }
    }

    /** Keys that say how the part chosen stands. */
    public static List<Command> commands(Desk desk, Function<Standing, Runnable> does) {
        List<Command> commands = new ArrayList<>();
        for (Standing standing : Standing.values()) {
            commands.add(Command.changes(
                    "part-" + standing.code(),
                    "The part chosen is " + standing.word(),
                    key(standing),
                    PARTS,
                    does.apply(standing)));
        }
        return commands;
    }

    static String key(Standing standing) {
        return "Ctrl+" + (standing.ordinal() + 1);
    }

    /** Says how the part chosen stands. */
    public void stands(Standing standing) {
        desk.partProperty().get().ifPresent(id -> {
            Part part = desk.session().snapshot().build().part(id);
            desk.session()
                    .plan(
                            part.name() + " is " + standing.word(),
                            b -> PartEdits.stands(b, desk.session().snapshot().parts(), id, standing),
                            () -> {},
                            this::refused);
        });
    }

    /** A part as one line with its figures in columns. */
    private final class Cell extends ListCell<PartLines.Line> {
        private PartColumns.@Nullable Row row;

        Cell() {
            setOnDragDetected(e -> {
                if (getItem() != null && !desk.session().readOnly()) {
                    ClipboardContent part = new ClipboardContent();
                    part.put(PartStands.PART, getItem().part().id().n());
                    startDragAndDrop(TransferMode.MOVE).setContent(part);
                    e.consume();
                }
            });
        }

        @Override
        protected void updateItem(PartLines.@Nullable Line line, boolean isEmpty) {
            super.updateItem(line, isEmpty);
            setText(null);
            setGraphic(isEmpty || line == null ? null : row(line));
            setAccessibleText(line == null ? "" : line.part().name() + ", " + line.stands());
        }

        private PartColumns.Row row(PartLines.Line line) {
            PartColumns.Row shown = row != null && row.fits(columns) ? row : columns.row();
            shown.show(line);
            row = shown;
            return shown;
        }
    }
}
