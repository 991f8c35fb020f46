package bucina.desk.sumsroom;

import bucina.core.drawing.Template;
import bucina.core.measure.Unit;
import bucina.core.rule.Level;
import bucina.core.sums.Answer;
import bucina.core.sums.Ask;
import bucina.core.sums.Bench;
import bucina.core.sums.SumForm;
import bucina.desk.gauge.GaugePost;
import bucina.desk.look.Fields;
import bucina.desk.look.NumberButton;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.FlatOut;
import bucina.store.drawing.Paper;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Fields, numbers and notes of a sum at the right; at the foot where it is kept and written out. */
final class SumSide extends BorderPane {

    /** Of the column with text of usual size, px. */
    static final double WIDTH = 356;

    private final SumsRoom room;
    private final VBox fields = new VBox();
    private final VBox numbers = new VBox();
    private final VBox notes = new VBox(5);
    private final Label error = Ui.wrapped("", "stop-text");
    private final Label unit = Ui.wrapped("", "tiny");
    private final TextField name = new TextField();
    private final Button keep;
    private final Button drop;
    private final Button crib;
    private final HBox out;
    private final TextField path = new TextField();
    private final ComboBox<Paper> paper = new ComboBox<>();
    private final Label said = Ui.wrapped("", "tiny");
    private final Map<String, Control> controls = new HashMap<>();
    private Optional<Template> flat = Optional.empty();
    private boolean filling;

    SumSide(SumsRoom room) {
        this.room = room;
        getStyleClass().add("bench-side");
        error.setId("sum-error");
        Ui.shown(error, false);
        lay(room);
        HBox.setHgrow(name, Priority.ALWAYS);
        keep = Ui.button("Keep", "", room::keep);
        keep.setId("sum-keep");
        drop = Ui.button("Drop", "", room::drop, "quiet");
        drop.setId("sum-drop");
        crib = Ui.button("Put these steps in the tool crib", "", room::crib);
        crib.setId("sum-crib");
        layOut();
        Button write = Ui.button("Write 1:1", "", this::write);
        write.setId("sum-write");
        out = new HBox(6, path, paper, write);
        foot();
        Ui.shown(said, false);
    }

    private void foot() {
        VBox foot = new VBox(6, crib, new HBox(6, name, keep, drop), out, said);
        foot.setPadding(new Insets(8, 14, 10, 14));
        foot.getStyleClass().add("sum-foot");
        setBottom(foot);
    }

    private void layOut() {
        path.setId("sum-path");
        path.setAccessibleText("File to write the flat to");
        path.setPromptText("flat.pdf, .dxf or .svg");
        HBox.setHgrow(path, Priority.ALWAYS);
        paper.getItems().setAll(Paper.A4, Paper.LETTER);
        paper.setConverter(new Worded<>(Paper::name));
        paper.setValue(Paper.A4);
        paper.setAccessibleText("Paper");
    }

    private void lay(SumsRoom room) {
        VBox all = new VBox(6, fields, unit, error, numbers, notes);
        all.setPadding(new Insets(12, 14, 8, 14));
        ScrollPane pane = Ui.scroll(all);
        setCenter(pane);
        name.setId("sum-name");
        name.setPromptText("what it is for");
        name.setAccessibleText("Name of this sum");
        name.textProperty().addListener((o, was, now) -> {
            if (!filling) {
                room.named(now);
            }
        });
    }

    /** Puts the keyboard into the first field. */
    void focus() {
        controls.values().stream()
                .min(Comparator.comparing(c -> (Integer) c.getProperties().get("place")))
                .ifPresent(Control::requestFocus);
    }

    /** Makes the fields of a sum. */
    void ask(SumForm form, Bench bench) {
        filling = true;
        controls.clear();
        Fields grid = new Fields();
        grid.setVgap(3);
        for (Ask ask : form.sum().asks(bench)) {
            Control control = control(grid, ask, form.typed().getOrDefault(ask.key(), ""));
            control.getProperties().put("place", controls.size());
            controls.put(ask.key(), control);
        }
        fields.getChildren().setAll(grid);
        bare(form, bench);
        name.setText(form.name());
        kept(form);
        Ui.shown(said, false);
        filling = false;
    }

    private void bare(SumForm form, Bench bench) {
        unit.setText("Bare figures are " + (form.unit() == Unit.INCH ? "inches" : "mm")
                + ". 3/32, #40, 2.4 mm work too."
                + (room.host().gauge() && form.sum().asks(bench).stream().anyMatch(a -> a.kind() == Ask.Kind.READINGS)
                        ? " Ctrl+G: a gauge sends readings."
                        : ""));
    }

    private Control control(Fields grid, Ask ask, String text) {
        String id = "ask-" + ask.key();
        return switch (ask.kind()) {
            case LINE -> grid.live(ask.title(), text, id, t -> typed(ask.key(), t));
            case READINGS -> {
                TextField field = grid.live(ask.title(), text, id, t -> typed(ask.key(), t));
                GaugePost.receives(
                        field, ask.title(), l -> field.setText(room.form().plus(ask.key(), l)));
                yield field;
            }
            case CHOICE ->
                grid.choice(
                        ask.title(),
                        ask.choices(),
                        ask.choices().contains(text) ? text : ask.choices().getFirst(),
                        s -> s,
                        id,
                        t -> typed(ask.key(), t));
            case LINES -> {
                TextArea area = new TextArea(text);
                area.setPrefRowCount(Math.clamp(text.lines().count(), 1, 6));
                area.setPrefColumnCount(16);
                area.textProperty().addListener((o, was, now) -> typed(ask.key(), now));
                area.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
                    if (e.getCode() == KeyCode.TAB && !e.isControlDown()) {
                        // Tab goes on to the next field, as everywhere.
                        area.fireEvent(new KeyEvent(
                                e.getSource(),
                                e.getTarget(),
                                e.getEventType(),
                                e.getCharacter(),
                                e.getText(),
                                e.getCode(),
                                e.isShiftDown(),
                                true,
                                e.isAltDown(),
                                e.isMetaDown()));
                        e.consume();
                    }
                });
                yield grid.add(ask.title(), area, id);
            }
        };
    }

    private void typed(String key, String text) {
        if (!filling) {
            room.typed(key, text);
        }
    }

    /** Puts text into fields that were changed by hand in the picture. */
    void put(Map<String, String> changed) {
        filling = true;
        changed.forEach((key, text) ->
                Optional.ofNullable(controls.get(key)).ifPresent(c -> ((TextInputControl) c).setText(text)));
        filling = false;
    }

    void kept(SumForm form) {
        boolean can = room.host().session().filter(s -> !s.readOnly()).isPresent();
        keep.setDisable(!can);
        keep.setText(form.kept().isPresent() ? "Keep again" : "Keep");
        Ui.shown(drop, can && form.kept().isPresent());
        name.setDisable(!can);
    }

    void show(Answer answer, boolean drill, boolean build) {
        Ui.shown(error, false);
        numbers.setOpacity(1);
        notes.setOpacity(1);
        numbers.getChildren()
                .setAll(answer.lines().stream()
                        .map(w -> new NumberButton(w.title(), w.value(), () -> room.why(w)))
                        .toList());
        notes.getChildren().setAll(answer.notes().stream().map(SumSide::note).toList());
        flat = answer.flat();
        Ui.shown(out, flat.isPresent());
        Ui.shown(crib, drill && build);
    }

    private static Node note(Answer.Note note) {
        if (note.level() == Level.NOTE) {
            return Ui.wrapped(note.text(), "caution");
        }
        boolean stop = note.level() == Level.ERROR;
        VBox box = new VBox(Ui.wrapped(note.text(), stop ? "stop-text" : "attention-text"));
        box.getStyleClass().add(stop ? "finding-error" : "finding-warning");
        box.setAccessibleText((stop ? "Wrong: " : "Mind: ") + note.text());
        return box;
    }

    /** Says what is wrong; the last answer stays, fainter. */
    void refuse(String sentence) {
        error.setText(sentence);
        Ui.shown(error, true);
        numbers.setOpacity(0.45);
        notes.setOpacity(0.45);
    }

    private void write() {
        Template template = flat.orElseThrow();
        String called = name.getText();
        String build =
                room.host().session().map(s -> s.snapshot().build().name()).orElse("Bench sums");
        Paper on = paper.getValue();
        String to = path.getText();
        room.aside()
                .run(
                        () -> "Written to "
                                + FlatOut.write(template, called, build, on, to).toAbsolutePath(),
                        this::say,
                        this::say);
    }

    private void say(String words) {
        said.setText(words);
        Ui.shown(said, true);
    }

    /** For the screen reader and for tests: what is wrong with the holes and bends, gravest first. */
    List<String> said() {
        return notes.getChildren().stream()
                .map(n -> n instanceof Label l ? l.getText() : n.getAccessibleText())
                .toList();
    }
}
