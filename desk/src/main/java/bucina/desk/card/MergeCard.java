package bucina.desk.card;

import bucina.core.measure.InputException;
import bucina.desk.look.Fields;
import bucina.desk.look.Refusal;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Benches;
import bucina.desk.session.Desk;
import bucina.desk.session.Places;
import bucina.desk.session.ToOpen;
import java.io.File;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** Brings this build together with another bench's file of it, in a new file; both stay as they are. */
public final class MergeCard extends ShownBox {

    private final Desk desk;
    private final Consumer<ToOpen> open;
    private final Fields fields = new Fields();
    private final TextField other = fields.add("Other bench's file", new TextField(), "merge-other");
    private final TextField out = fields.add("New file", new TextField(), "merge-out");
    private final VBox said = new VBox(4);
    private final Refusal wrong = new Refusal();
    private final HBox after = new HBox(8);

    /**
     * @param open opens the merged build in the place of this one
     */
    public MergeCard(Desk desk, Consumer<ToOpen> open, Runnable done) {
        super(10);
        this.desk = desk;
        this.open = open;
        getStyleClass().add("card");
        setId("merge-card");
        setMaxSize(680, USE_PREF_SIZE);
        Path here = desk.session().path();
        String name = String.valueOf(here.getFileName()).replaceAll("\\.bucina$", "");
        out.setText(here.resolveSibling(name + "-together.bucina").toString());
        other.setPromptText("a copy of this build that somebody else worked on");
        Button go = Ui.button("Bring together", "Ctrl+Enter", this::act, "primary");
        go.setId("merge-go");
        HBox ways = new HBox(
                8,
                go,
                Ui.button("Choose a file", "", this::choose),
                after,
                Ui.spring(),
                Ui.button("Close", "Esc", done, "quiet"));
        ways.setAlignment(Pos.CENTER_LEFT);
        wrong.setId("merge-wrong");
        said.setId("merge-said");
        getChildren()
                .addAll(
                        Ui.label("Two benches", "bench-title"),
                        Ui.wrapped(
                                "Entries and marks of both, each once. Where both changed the same thing of the plan,"
                                        + " one stands and the other's lies beside it as a bulletin, to be looked at."
                                        + " Nothing is dropped, and both files stay.",
                                "soft"),
                        fields,
                        said,
                        wrong,
                        ways);
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("The other bench's file");
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Builds", "*.bucina"));
        File file = chooser.showOpenDialog(getScene().getWindow());
        if (file != null) {
            other.setText(file.getPath());
        }
    }

    @Override
    public void act() {
        wrong.clear();
        said.getChildren().clear();
        try {
            Path from = Places.file(other.getText(), "other.bucina");
            Path to = Places.file(out.getText(), "together.bucina");
            Path here = desk.session().path();
            LocalDate today = desk.session().today();
            desk.session().aside(() -> Benches.together(here, from, to, today).said(), s -> show(s, to), wrong::say);
        } catch (InputException e) {
            wrong.say(e.getMessage());
        }
    }

    private void show(List<String> lines, Path to) {
        lines.forEach(l -> said.getChildren().add(Ui.wrapped(l, "plain")));
        said.getChildren().add(Ui.wrapped("Made " + to + ".", "strong"));
        Button there = Ui.button("Open it", "", () -> open.accept(new ToOpen.File(to)));
        there.setId("merge-open");
        after.getChildren().setAll(there);
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        other.requestFocus();
    }
}
