package bucina.desk.card;

import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.desk.look.Refusal;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.layout.HBox;
import javafx.stage.FileChooser;

/** Takes a table in, pasted from a spreadsheet or from a CSV file: what was understood is said before it is taken. */
abstract class TableCard extends ShownBox {

    private final Desk desk;
    private final Runnable done;
    private final TextArea text = new TextArea();
    private final Label says = Ui.wrapped("", "soft");
    private final Refusal wrong = new Refusal();
    private final Button take;
    private final HBox ways;

    /**
     * @param id   of the card; its text is {@code id-text}, what takes it in {@code id-take}
     * @param done after it was taken in
     */
    TableCard(Desk desk, Runnable done, String id) {
        super(10);
        this.desk = desk;
        this.done = done;
        getStyleClass().add("card");
        setMaxSize(720, USE_PREF_SIZE);
        text.setId(id + "-text");
        text.setPrefRowCount(12);
        text.textProperty().addListener((o, was, now) -> look());
        take = Ui.button("Take it in", "Ctrl+Enter", this::take, "primary");
        take.setId(id + "-take");
        Button file = Ui.button("Open a CSV file", "", this::open);
        ways = new HBox(8, take, file, Ui.spring());
        ways.setAlignment(Pos.CENTER_LEFT);
    }

    /** Lays it out. */
    final void lay(String title, String how, String prompt, Button... more) {
        text.setPromptText(prompt);
        text.setAccessibleText(title + ", with headings");
        ways.getChildren().addAll(more);
        getChildren().setAll(Ui.label(title, "card-title"), Ui.wrapped(how, "soft"), text, says, wrong, ways);
        look();
    }

    /**
     * What a text would do, in words.
     *
     * @return a sentence; with nothing to take in, one that says so
     * @throws InputException if it cannot be read
     */
    abstract String read(String table);

    /** True if what was read last changes anything. */
    abstract boolean changes();

    /** The build with a text taken in. */
    abstract Build taken(Build build, String table);

    /** What the change is called. */
    abstract String words();

    private void look() {
        boolean blank = text.getText().isBlank();
        take.setDisable(true);
        wrong.clear();
        Ui.shown(says, !blank);
        if (blank) {
            return;
        }
        try {
            says.setText(read(text.getText()));
            take.setDisable(desk.session().readOnly() || !changes());
        } catch (InputException e) {
            Ui.shown(says, false);
            wrong.say(e.getMessage());
        }
    }

    private void take() {
        String table = text.getText();
        desk.session().plan(words(), b -> taken(b, table), done, wrong::say);
    }

    private void open() {
        Optional.ofNullable(chooser("Open a table").showOpenDialog(getScene().getWindow()))
                .ifPresent(this::read);
    }

    private void read(File file) {
        desk.session().aside(() -> Files.readString(file.toPath(), StandardCharsets.UTF_8), text::setText, wrong::say);
    }

    /** Says why something could not be done. */
    final void refused(String sentence) {
        wrong.say(sentence);
    }

    /** Chooses a table. */
    static FileChooser chooser(String title) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Tables", "*.csv", "*.txt", "*.tsv"));
        return chooser;
    }

    @Override
    public void act() {
        if (!take.isDisabled()) {
            take();
        }
    }
}
