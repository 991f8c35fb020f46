package bucina.desk.stores;

import bucina.core.measure.LengthFormat;
import bucina.core.plan.Id;
import bucina.core.plan.Packed;
import bucina.core.plan.Part;
import bucina.core.refit.LookAlikes;
import bucina.core.state.Snapshot;
import bucina.core.stores.CheckIn;
import bucina.core.stores.Letter;
import bucina.core.stores.TakeIn;
import bucina.desk.look.Refusal;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Desk;
import bucina.desk.session.Printing;
import bucina.desk.session.StoresModel;
import bucina.store.drawing.LabelsPdf;
import bucina.store.drawing.Paper;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * The kit against its packing list: numbers typed or scanned are ticked off, the line chosen stands open at the right
 * with what was measured and what waits for it.
 */
final class CheckInView extends BorderPane {

    private static final double NAME = 230;
    private static final double NUMBER = 150;

    private final Desk desk;
    private final TextField scan = new TextField();
    private final ComboBox<Show> show = new ComboBox<>();
    private final ListView<Packed> list = new ListView<>();
    private final Refusal wrong = new Refusal();
    private final PackedDetail detail;
    private Optional<StoresModel> model = Optional.empty();
    private boolean filling;

    /** Which lines are listed. */
    private enum Show {
        ALL("all lines"),
        OPEN("not looked for"),
        WRONG("short, wrong or too many");

        private final String word;

        Show(String word) {
            this.word = word;
        }

        boolean shows(Packed line) {
            CheckIn.State state = CheckIn.state(line);
            return switch (this) {
                case ALL -> true;
                case OPEN -> state == CheckIn.State.NOT_YET;
                case WRONG -> state != CheckIn.State.NOT_YET && state != CheckIn.State.RIGHT;
            };
        }
    }

    /**
     * @param lists opens the card that takes a packing list in
     */
    CheckInView(Desk desk, Runnable lists) {
        this.desk = desk;
        setId("check-in-view");
        detail = new PackedDetail(desk, this::found);
        scan.setId("check-scan");
        scan.setPromptText("number or name; Enter ticks it off");
        scan.setAccessibleText("Number or name at the crate; Enter ticks one off");
        scan.setPrefColumnCount(24);
        scan.setOnAction(e -> scanned());
        show.getItems().setAll(Show.values());
        show.setConverter(new Worded<>(s -> s.word));
        show.setValue(Show.ALL);
        show.setId("check-show");
        show.setAccessibleText("Which lines are listed");
        show.valueProperty().addListener((o, was, now) -> list());
        Button in = Ui.button("Take a list in", "", lists);
        in.setId("check-list");
        in.setDisable(desk.session().readOnly());
        Button letter = Ui.button("Letter to the maker", "", this::letter, "quiet");
        letter.setId("check-letter");
        Button labels = Ui.button("Labels", "", this::labels, "quiet");
        labels.setId("check-labels");
        FlowPane ways = new FlowPane(10, 6, scan, show, in, letter, labels);
        ways.setAlignment(Pos.CENTER_LEFT);
        list.setId("packing-list");
        list.setAccessibleText("Packing list");
        list.setCellFactory(v -> new Cell());
        list.setPlaceholder(Ui.wrapped(
                "No line is so. Take the packing list in: from a CSV file, or typed with a line of headings.", "soft"));
        list.getSelectionModel().selectedItemProperty().addListener((o, was, now) -> chosen(now));
        VBox left = new VBox(8, ways, wrong, list);
        VBox.setVgrow(list, Priority.ALWAYS);
        left.setPadding(new Insets(0, 0, 12, 16));
        setCenter(left);
        setRight(Sides.of(detail));
    }

    void fill(StoresModel now) {
        model = Optional.of(now);
        list();
    }

    private void list() {
        filling = true;
        Optional<Id.Packed> before =
                Optional.ofNullable(list.getSelectionModel().getSelectedItem()).map(Packed::id);
        List<Packed> lines = model.map(m -> m.of().build().workshop().packing()).orElse(List.of()).stream()
                .filter(show.getValue()::shows)
                .toList();
        list.getItems().setAll(lines);
        int at = 0;
        for (int i = 0; i < lines.size(); i++) {
            at = before.filter(lines.get(i).id()::equals).isPresent() ? i : at;
        }
        list.getSelectionModel().clearAndSelect(at);
        filling = false;
        chosen(list.getSelectionModel().getSelectedItem());
    }

    private void chosen(@Nullable Packed line) {
        if (!filling && model.isPresent()) {
            detail.show(Optional.ofNullable(line), model.get());
        }
    }

    void enter() {
        scan.requestFocus();
    }

    /** One of what was typed or scanned is there; hardware is counted. */
    private void scanned() {
        String text = scan.getText().strip();
        if (text.isEmpty() || model.isEmpty()) {
            return;
        }
        Snapshot now = desk.session().snapshot();
        Optional<Packed> line = now.build().workshop().packing().stream()
                .filter(p -> p.number().equalsIgnoreCase(text) || p.name().equalsIgnoreCase(text))
                .findFirst();
        if (line.isEmpty()) {
            wrong.say(
                    "\"" + text + "\" is on no line of the packing list: type a number or a name as the list has it.");
            return;
        }
        show.setValue(Show.ALL);
        list.getSelectionModel().select(line.get());
        list.scrollTo(line.get());
        scan.clear();
        if (new CheckIn(now.build()).hardware(line.get()).isPresent()) {
            detail.count();
        } else {
            int n = line.get().found().count().orElse(0) + 1;
            found(line.get(), line.get().found().counted(n));
        }
    }

    private void found(Packed line, Packed.Found is) {
        desk.session()
                .plan(
                        "what was found of " + line.title(),
                        b -> TakeIn.found(b, desk.session().snapshot().parts(), line.id(), is),
                        wrong::clear,
                        wrong::say);
    }

    private void letter() {
        Snapshot now = desk.session().snapshot();
        ClipboardContent text = new ClipboardContent();
        text.putString(Letter.of(now.build(), desk.unit(), desk.session().today()));
        Clipboard.getSystemClipboard().setContent(text);
        desk.session().say("The letter is on the clipboard.");
    }

    private void labels() {
        Snapshot now = desk.session().snapshot();
        Written.to(
                desk,
                getScene(),
                "labels.pdf",
                () -> LabelsPdf.write(
                        now.build().parts(),
                        LookAlikes.of(now.derivation()),
                        now.build().name(),
                        Paper.A4,
                        Printing.FONTS),
                wrong::say);
    }

    private String gauge(Packed line) {
        return line.gauge()
                .map(g -> line.found()
                                .gauge()
                                .map(m -> LengthFormat.trade(m, desk.unit()) + " for ")
                                .orElse("")
                        + LengthFormat.trade(g, desk.unit()))
                .orElse("");
    }

    private final class Cell extends ListCell<Packed> {

        @Override
        protected void updateItem(@Nullable Packed line, boolean empty) {
            super.updateItem(line, empty);
            setText(null);
            setGraphic(empty || line == null ? null : row(line));
            setAccessibleText(line == null ? "" : line.title() + ", " + says(line));
            setPrefWidth(0);
        }

        private HBox row(Packed line) {
            CheckIn.State state = CheckIn.state(line);
            Label mark = Ui.kept(mark(state), style(state));
            mark.setMinWidth(16);
            Label number = Ui.label(line.number(), "log-code");
            number.setMinWidth(NUMBER);
            number.setPrefWidth(NUMBER);
            Label name = Ui.label(line.name(), "plain");
            name.setMinWidth(0);
            name.setPrefWidth(NAME);
            Label of = Ui.label(
                    List.of(line.crate(), gauge(line)).stream()
                            .filter(t -> !t.isBlank())
                            .reduce((a, b) -> a + ", " + b)
                            .orElse(""),
                    "soft");
            of.setMinWidth(0);
            HBox.setHgrow(of, Priority.ALWAYS);
            of.setMaxWidth(Double.MAX_VALUE);
            HBox row = new HBox(10, mark, number, name, of, Ui.kept(says(line), style(state)));
            row.setAlignment(Pos.CENTER_LEFT);
            return row;
        }
    }

    private static String says(Packed line) {
        CheckIn.State state = CheckIn.state(line);
        String count = line.found().count().map(n -> n + " of " + line.count()).orElse(line.count() + " on the list");
        return state == CheckIn.State.RIGHT || state == CheckIn.State.NOT_YET ? count : count + ", " + state.word();
    }

    /** A sign beside the words, so that no state stands by colour alone. */
    private static String mark(CheckIn.State state) {
        return switch (state) {
            case NOT_YET -> "·";
            case RIGHT -> "=";
            case SHORT -> "−";
            case DOUBLED -> "+";
            case GAUGE, LENGTH -> "×";
        };
    }

    private static String style(CheckIn.State state) {
        return switch (state) {
            case NOT_YET -> "soft";
            case RIGHT -> "done-text";
            case SHORT, GAUGE, LENGTH -> "stop-text";
            case DOUBLED -> "attention-text";
        };
    }

    /** What a line is about, in words. */
    static String about(CheckIn check, Packed line) {
        List<Part> parts = check.parts(line);
        return !parts.isEmpty()
                ? parts.stream()
                        .map(p -> p.name() + " " + p.standing().word().toLowerCase(Locale.ROOT))
                        .reduce((a, b) -> a + ", " + b)
                        .orElse("")
                : check.hardware(line).map(d -> "hardware: " + d).orElse("not in the plan");
    }
}
