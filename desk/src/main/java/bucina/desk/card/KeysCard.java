package bucina.desk.card;

import bucina.core.measure.InputException;
import bucina.desk.look.Fields;
import bucina.desk.look.Refusal;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import bucina.desk.session.KeyMap;
import bucina.desk.session.Places;
import bucina.desk.session.Printing;
import bucina.store.drawing.KeyMapPdf;
import bucina.store.drawing.Paper;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Every key with what it does, searched as it is typed, and printed for the wall. */
public final class KeysCard extends ShownBox {

    private static final double HIGH = 400;

    private final Desk desk;
    private final List<Command> commands;
    private final TextField search = new TextField();
    private final VBox list = new VBox(10);
    private final TextField path;
    private final Label written = Ui.wrapped("", "soft");
    private final Refusal wrong = new Refusal();

    /**
     * @param commands of the window
     * @param away     puts the card away
     */
    public KeysCard(Desk desk, List<Command> commands, Runnable away) {
        super(10);
        this.desk = desk;
        this.commands = commands;
        getStyleClass().add("card");
        setId("keys-card");
        setMaxSize(760, USE_PREF_SIZE);
        search.setId("keys-search");
        search.setPromptText("a key or a word: Ctrl+K, undo, clecos");
        search.setAccessibleText("Search the keys");
        search.textProperty().addListener((o, was, now) -> fill());
        Fields fields = new Fields();
        path = fields.add(
                "Print to",
                new TextField(Path.of(System.getProperty("user.home"), "bucina-keys.pdf")
                        .toString()),
                "keys-path");
        Button print = Ui.button("Write the PDF", "Ctrl+Enter", this::act, "primary");
        print.setId("keys-print");
        HBox foot = new HBox(8, fields, print, Ui.spring(), Ui.button("Close", "Esc", away, "quiet"));
        foot.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(fields, Priority.ALWAYS);
        ScrollPane pane = Ui.scroll(list);
        pane.setPrefHeight(HIGH);
        getChildren()
                .addAll(
                        Ui.label("Keyboard map", "bench-title"),
                        Ui.wrapped(
                                "A key means one thing in every room. What changes the record happens once a press, and"
                                        + " is said with its undo.",
                                "soft"),
                        search,
                        pane,
                        written,
                        wrong,
                        foot);
        written("");
        fill();
    }

    private void fill() {
        list.getChildren().clear();
        KeyMap.of(commands, search.getText()).forEach((place, keys) -> {
            GridPane grid = new GridPane();
            grid.setHgap(14);
            grid.setVgap(5);
            for (Map.Entry<String, String> key : keys) {
                HBox cap = new HBox(Ui.kept(key.getKey(), "key-cap"));
                cap.setMinWidth(96);
                grid.addRow(grid.getRowCount(), cap, Ui.wrapped(key.getValue(), "plain"));
            }
            list.getChildren().addAll(Ui.label(place, "strong"), grid);
        });
        if (list.getChildren().isEmpty()) {
            Label none = Ui.wrapped("No key does that. Ctrl+K finds what has no key.", "soft");
            list.getChildren().add(none);
        }
    }

    private void written(String sentence) {
        written.setText(sentence);
        Ui.shown(written, !sentence.isEmpty());
    }

    @Override
    public void enter() {
        search.requestFocus();
    }

    @Override
    public void act() {
        wrong.clear();
        try {
            Path to = Places.file(path.getText(), "keys.pdf");
            Map<String, List<Map.Entry<String, String>>> all = KeyMap.of(commands, "");
            desk.session()
                    .writeOut(
                            to,
                            () -> KeyMapPdf.write(all, Paper.A4, Printing.FONTS),
                            () -> written("Written to " + to + "."),
                            wrong::say);
        } catch (InputException e) {
            wrong.say(e.getMessage());
        }
    }
}
