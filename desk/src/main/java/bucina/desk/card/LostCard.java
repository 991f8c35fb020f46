package bucina.desk.card;

import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.CopyWish;
import bucina.desk.session.Lost;
import bucina.desk.session.Session;
import bucina.desk.session.ToOpen;
import java.io.File;
import java.nio.file.Path;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.stage.FileChooser;

/** The build file is gone, replaced or damaged: what is still there, and the ways out. */
public final class LostCard extends ShownBox {

    private final Session session;
    private final Consumer<ToOpen> open;
    private final Label error = Ui.wrapped("", "stop-text");
    private final HBox ways = new HBox(8);

    /**
     * @param lost what happened to the file
     * @param wish how copies are wanted, to find the last good one
     * @param open opens a build in the place of this one
     * @param away puts the card away
     */
    public LostCard(Session session, Lost lost, CopyWish wish, Consumer<ToOpen> open, Runnable away) {
        super(12);
        this.session = session;
        this.open = open;
        getStyleClass().add("card");
        setId("lost-card");
        setMaxSize(640, USE_PREF_SIZE);
        boolean damaged = lost.kind() == Lost.Kind.DAMAGED;
        getChildren()
                .addAll(
                        Ui.label(title(lost.kind()), "bench-title"),
                        Ui.wrapped(lost.sentence(), "soft"),
                        Ui.wrapped(
                                damaged
                                        ? "What the window shows may be wrong there. Nothing is written to the file."
                                        : "The plan and the log are still in this window as they were saved last."
                                                + " Nothing is written until they have a file again.",
                                "soft"),
                        error);
        if (damaged) {
            getChildren().add(new LastGood(session.path(), wish, open));
        }
        getChildren().add(ways);
        Ui.shown(error, false);
        switch (lost.kind()) {
            case GONE ->
                ways.getChildren()
                        .addAll(way("lost-back", "Write it back here", "primary", this::back), another("quiet"));
            case REPLACED ->
                ways.getChildren()
                        .addAll(another("primary"), way("lost-open", "Open what is there now", "quiet", this::reopen));
            case DAMAGED -> ways.getChildren().add(another("quiet"));
        }
        ways.getChildren().add(Ui.button("Close", "Esc", away, "quiet"));
    }

    private static String title(Lost.Kind kind) {
        return switch (kind) {
            case GONE -> "The build file is gone";
            case REPLACED -> "Another file lies there now";
            case DAMAGED -> "The build file is damaged";
        };
    }

    private static Button way(String id, String text, String style, Runnable act) {
        Button button = Ui.button(text, "", act, style);
        button.setId(id);
        return button;
    }

    private Button another(String style) {
        return way("lost-other", "Save under another name", style, this::elsewhere);
    }

    @Override
    public void enter() {
        ways.getChildren().getFirst().requestFocus();
    }

    private void back() {
        save(session.path());
    }

    private void reopen() {
        open.accept(new ToOpen.File(session.path()));
    }

    private void elsewhere() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Save the build under another name");
        chooser.setInitialFileName("saved-" + session.path().getFileName());
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Builds", "*.bucina"));
        File to = chooser.showSaveDialog(getScene().getWindow());
        if (to != null) {
            save(to.toPath());
        }
    }

    /** Writes what is in memory there and goes on with it. */
    void save(Path to) {
        ways.setDisable(true);
        session.rescue(
                to,
                missing -> {
                    session.say(
                            missing == 0
                                    ? "Saved as " + to + "."
                                    : "Saved as " + to + ", without " + missing
                                            + (missing == 1 ? " photograph" : " photographs")
                                            + " that could not be read any more.");
                    open.accept(new ToOpen.File(to));
                },
                sentence -> {
                    ways.setDisable(false);
                    error.setText(sentence);
                    Ui.shown(error, true);
                });
    }
}
