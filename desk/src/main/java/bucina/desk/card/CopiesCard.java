package bucina.desk.card;

import bucina.core.measure.InputException;
import bucina.desk.look.Fields;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.CopyKeeper;
import bucina.desk.session.CopyWish;
import bucina.desk.session.Places;
import bucina.desk.session.Prefs;
import bucina.desk.session.Session;
import bucina.desk.session.ToOpen;
import java.io.File;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;

/** The copies of the build: make one now, look at one, go back to one; and how they are made and kept. */
public final class CopiesCard extends ShownBox {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("EEE d MMM yyyy, HH:mm", Locale.ENGLISH);

    private final Session session;
    private final Prefs prefs;
    private final Consumer<ToOpen> open;
    private final GridPane list = new GridPane(14, 6);
    private final Label says = Ui.wrapped("", "soft");
    private final Label error = Ui.wrapped("", "stop-text");
    private final Button now = Ui.button("Copy now", "", this::copy, "primary");
    private final TextField folder;
    private final ComboBox<CopyWish.Every> every;
    private final TextField many;
    private final TextField days;

    /**
     * @param open opens what is chosen in the place of this build
     * @param away puts the card away
     */
    public CopiesCard(Session session, Prefs prefs, Consumer<ToOpen> open, Runnable away) {
        super(10);
        this.session = session;
        this.prefs = prefs;
        this.open = open;
        getStyleClass().add("card");
        setId("copies-card");
        setMaxSize(760, USE_PREF_SIZE);
        CopyWish wish = prefs.copies();
        Fields f = new Fields();
        folder = f.committed("Folder", wish.place(build()).toString(), "copies-folder", t -> wished());
        every = f.choice(
                "By itself",
                List.of(CopyWish.Every.values()),
                wish.every(),
                CopyWish.Every::word,
                "copies-every",
                e -> wished());
        many = f.committed("Keep at most", String.valueOf(wish.many()), "copies-many", t -> wished());
        days = f.committed(
                "None older than, days",
                wish.days() == 0 ? "" : String.valueOf(wish.days()),
                "copies-days",
                t -> wished());
        days.setPromptText("however old");
        f.add(Ui.button("Choose", "", this::choose), 2, 0);
        lay(f, away);
        fill();
    }

    private void lay(Fields f, Runnable away) {
        now.setId("copies-now");
        says.setId("copies-says");
        Button elsewhere = Ui.button("Copy to another place", "", this::elsewhere);
        elsewhere.setId("copies-elsewhere");
        list.setId("copies-list");
        ScrollPane scroll = Ui.scroll(list);
        scroll.setPrefViewportHeight(210);
        scroll.setMinHeight(120);
        boolean copy = session.copies().ofACopy();
        HBox ways = new HBox(8);
        if (copy) {
            Button original = Ui.button("Back to the build", "", this::original, "primary");
            original.setId("copies-original");
            Ui.shown(original, session.copies().build().isPresent());
            ways.getChildren().addAll(original, elsewhere);
        } else {
            now.setDisable(session.readOnly());
            ways.getChildren().addAll(now, elsewhere);
        }
        ways.getChildren().addAll(Ui.spring(), Ui.button("Close", "Esc", away, "quiet"));
        getChildren()
                .addAll(
                        Ui.label(copy ? "A copy of " + name() : "Copies of " + name(), "bench-title"),
                        Ui.wrapped(
                                copy
                                        ? "This window shows a copy and only reads it."
                                                + " Go back to it below, or to the build as it is."
                                        : "Everything confirmed is in the one file of the build. A copy on another disk"
                                                + " outlives this one.",
                                "soft"),
                        ways,
                        scroll,
                        says,
                        error,
                        f);
        Ui.shown(error, false);
    }

    private String name() {
        return session.snapshot().build().name();
    }

    /** The build that copies are of; what is open where that is not known. */
    private Path build() {
        return session.copies().build().orElse(session.path());
    }

    /** When a copy was made: {@code Sat 28 Nov 2026, 10:40}. */
    static String time(LocalDateTime made) {
        return TIME.format(made);
    }

    static String entries(int many) {
        return many == 1 ? "1 entry" : many + " entries";
    }

    @Override
    public void enter() {
        now.requestFocus();
    }

    private void fill() {
        says.setText("Reading the copies.");
        session.copies().offers(prefs.copies(), this::show, this::refuse);
    }

    private void show(List<CopyKeeper.Offer> offers) {
        list.getChildren().clear();
        for (CopyKeeper.Offer offer : offers) {
            Path copy = offer.path();
            Label what = Ui.wrapped(
                    offer.entries().map(n -> entries(n) + ". ").orElse("") + offer.words(),
                    offer.lost().isPresent() ? "plain" : "stop-text");
            Button look = Ui.button("Look at it", "", () -> open.accept(new ToOpen.Copy(copy, build())), "quiet");
            Button back = Ui.button("Go back to it", "", () -> open.accept(new ToOpen.Back(copy, build())), "quiet");
            look.setDisable(offer.lost().isEmpty() || copy.equals(session.path()));
            back.setDisable(offer.lost().isEmpty()
                    || session.readOnly() && !session.copies().ofACopy());
            HBox ways = new HBox(4, look, back);
            ways.setAlignment(Pos.TOP_RIGHT);
            GridPane.setHgrow(what, Priority.ALWAYS);
            list.addRow(list.getRowCount(), Ui.kept(time(offer.made()), "plain"), what, ways);
        }
        says.setText(words(offers.isEmpty()));
    }

    private String words(boolean none) {
        if (session.copies().build().isEmpty()) {
            return "Of which build this is a copy is not known here: copy it to another place and open that to go on"
                    + " from it.";
        }
        return none
                ? "There is no copy in " + prefs.copies().place(build()) + "."
                : "Going back to a copy keeps the build as it is now beside it, under another name.";
    }

    private void copy() {
        now.setDisable(true);
        Ui.shown(error, false);
        says.setText("Copying.");
        session.copies()
                .now(
                        prefs.copies(),
                        made -> {
                            now.setDisable(false);
                            fill();
                        },
                        sentence -> {
                            now.setDisable(false);
                            refuse(sentence);
                        });
    }

    private void elsewhere() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Copy the build to another place");
        chooser.setInitialFileName(String.valueOf(session.path().getFileName()));
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Builds", "*.bucina"));
        File to = chooser.showSaveDialog(getScene().getWindow());
        if (to != null) {
            session.copies().to(to.toPath(), () -> says.setText("Copied to " + to + "."), this::refuse);
        }
    }

    private void original() {
        session.copies().build().ifPresent(p -> open.accept(new ToOpen.File(p)));
    }

    private void wished() {
        try {
            String place = folder.getText().strip();
            boolean usual = place.isEmpty()
                    || Path.of(place).equals(withFolder(Optional.empty()).place(build()));
            CopyWish wish = withFolder(
                    usual
                            ? Optional.empty()
                            : Optional.of(
                                    Places.file(place, "/media/stick/copies").toAbsolutePath()));
            prefs.keep(wish);
            session.copies().wished();
            Ui.shown(error, false);
            folder.setText(wish.place(build()).toString());
            fill();
        } catch (InputException e) {
            refuse(e.getMessage());
        }
    }

    private CopyWish withFolder(Optional<Path> place) {
        return new CopyWish(
                place,
                every.getValue(),
                number(many.getText(), 1, "10"),
                days.getText().isBlank() ? 0 : number(days.getText(), 1, "365"));
    }

    private static int number(String text, int least, String example) {
        try {
            int n = Integer.parseInt(text.strip());
            if (n >= least && n <= CopyWish.MOST) {
                return n;
            }
        } catch (NumberFormatException e) {
            // Said below, as a number out of its range is.
        }
        throw new InputException("\"" + text.strip() + "\" is no number from " + least + " to " + CopyWish.MOST
                + ": write one like " + example);
    }

    private void choose() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle("Where copies go");
        Optional.ofNullable(chooser.showDialog(getScene().getWindow())).ifPresent(d -> {
            folder.setText(d.getPath());
            wished();
        });
    }

    private void refuse(String sentence) {
        says.setText("");
        error.setText(sentence);
        Ui.shown(error, true);
    }
}
