package bucina.desk.card;

import bucina.core.form.PartTable;
import bucina.core.measure.InputException;
import bucina.core.state.Snapshot;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.layout.HBox;
import javafx.stage.FileChooser;

/** Takes a list of parts in, pasted from a spreadsheet or from a CSV file, and writes one out. */
public final class PartListsCard extends ShownBox {

    private static final int NAMED = 6;

    private final Desk desk;
    private final Runnable done;
    private final TextArea text = new TextArea();
    private final Label says = Ui.wrapped("", "soft");
    private final Label wrong = Ui.wrapped("", "stop-text");
    private final Button take;

    public PartListsCard(Desk desk, Runnable done) {
        this.desk = desk;
        this.done = done;
        getStyleClass().add("card");
        setId("part-lists-card");
        setSpacing(10);
        setMaxSize(720, USE_PREF_SIZE);
        text.setId("part-list-text");
        text.setAccessibleText("A list of parts, with headings");
        text.setPromptText("number\tname\thand\talloy\tcalled\nDS-104\tMain rib 3\tleft\t6061-T4\t.032");
        text.setPrefRowCount(12);
        text.textProperty().addListener((o, was, now) -> look());
        take = Ui.button("Take it in", "Ctrl+Enter", this::take, "primary");
        take.setId("part-list-take");
        Button file = Ui.button("Open a CSV file", "", this::open);
        Button out = Ui.button("Write all parts to a CSV file", "", this::write, "quiet");
        out.setId("part-list-out");
        HBox ways = new HBox(8, take, file, Ui.spring(), out);
        ways.setAlignment(Pos.CENTER_LEFT);
        getChildren()
                .addAll(
                        Ui.label("Lists of parts", "card-title"),
                        Ui.wrapped(
                                "Paste from a spreadsheet, headings first: number, name, quantity, hand, kind, alloy, "
                                        + "called, measured, place, standing, due, page, aliases. A line whose number "
                                        + "or name is here already changes that part.",
                                "soft"),
                        text,
                        says,
                        wrong,
                        ways);
        look();
    }

    private Optional<PartTable.Taken> taken() {
        Snapshot now = desk.session().snapshot();
        return Optional.of(PartTable.parse(text.getText()).onto(now.build(), now.parts(), desk.lengths()));
    }

    private void look() {
        boolean blank = text.getText().isBlank();
        take.setDisable(true);
        Ui.shown(wrong, false);
        Ui.shown(says, !blank);
        if (blank) {
            return;
        }
        try {
            taken().ifPresent(t -> {
                Set<String> unknown = PartTable.unknown(text.getText());
                says.setText(some(t.added(), "more") + "; " + some(t.changed(), "changed") + "."
                        + (unknown.isEmpty() ? "" : " Left out: column " + String.join(", ", unknown) + "."));
                take.setDisable(desk.session().readOnly()
                        || t.added().isEmpty() && t.changed().isEmpty());
            });
        } catch (InputException e) {
            Ui.shown(says, false);
            refused(e.getMessage());
        }
    }

    private static String some(List<String> names, String what) {
        String first = String.join(", ", names.subList(0, Math.min(NAMED, names.size())));
        return names.size()
                + (names.size() == 1 ? " part " : " parts ")
                + what
                + (names.isEmpty() ? "" : " (" + first + (names.size() > NAMED ? ", ..." : "") + ")");
    }

    private void refused(String sentence) {
        wrong.setText(sentence);
        Ui.shown(wrong, true);
    }

    private void take() {
        String list = text.getText();
        desk.session()
                .plan(
                        "taking a list of parts in",
                        b -> PartTable.parse(list)
                                .onto(b, desk.session().snapshot().parts(), desk.lengths())
                                .build(),
                        done,
                        this::refused);
    }

    private void open() {
        FileChooser chooser = chooser("Open a list of parts");
        Optional.ofNullable(chooser.showOpenDialog(getScene().getWindow())).ifPresent(this::read);
    }

    private void read(File file) {
        desk.session()
                .aside(() -> Files.readString(file.toPath(), StandardCharsets.UTF_8), text::setText, this::refused);
    }

    private void write() {
        FileChooser chooser = chooser("Write the parts");
        chooser.setInitialFileName("parts.csv");
        Snapshot now = desk.session().snapshot();
        Optional.ofNullable(chooser.showSaveDialog(getScene().getWindow()))
                .ifPresent(f -> desk.session()
                        .writeOut(
                                f.toPath(),
                                () -> PartTable.csv(now.parts(), desk.unit()).getBytes(StandardCharsets.UTF_8),
                                () -> desk.session().say("Written to " + f + "."),
                                this::refused));
    }

    private static FileChooser chooser(String title) {
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
