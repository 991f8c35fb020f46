package bucina.desk.app;

import bucina.core.measure.Unit;
import bucina.core.plan.Id;
import bucina.desk.card.AboutCard;
import bucina.desk.card.BringCard;
import bucina.desk.card.CopiesCard;
import bucina.desk.card.LostCard;
import bucina.desk.card.PanelCard;
import bucina.desk.card.PictureCard;
import bucina.desk.guided.Guided;
import bucina.desk.guided.GuidedJobs;
import bucina.desk.help.Guide;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import bucina.desk.session.Lost;
import bucina.desk.session.Prefs;
import bucina.desk.session.Session;
import bucina.desk.session.ToOpen;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;

/** The window of a build with no face yet: says what goes here, and the two ways to get it in. */
final class EmptyView extends StackPane {

    private final StackPane root = new StackPane();
    private final Beside beside;
    private final Guided guided;
    private final Session session;
    private final Prefs prefs;
    private final Consumer<ToOpen> open;
    private final Subscription lost;
    /** Shows what lay under the card about the file. */
    private Runnable back;

    private final List<Command> commands;
    private final Consumer<Id.Face> made;
    private final VBox words;
    private final Button unitButton;
    private Unit unit;

    /**
     * @param open opens another build in the place of this one
     * @param made   told the first face
     * @param guided the job that is led through
     */
    EmptyView(Session session, Prefs prefs, Consumer<ToOpen> open, Consumer<Id.Face> made, Guided guided) {
        this.guided = guided;
        this.session = session;
        this.prefs = prefs;
        this.open = open;
        this.made = made;
        this.unit = prefs.unit().orElse(Unit.INCH);
        dress();
        root.getStyleClass().add("window");
        commands = new EmptyCommands(
                        this,
                        new BuildFiles(session.path(), () -> root.getScene().getWindow(), open),
                        open,
                        guided)
                .all();
        unitButton = Ui.button("", "U", this::turn, "quiet");
        unitButton.setId("empty-unit");
        words = column();
        getChildren().add(words);
        turnWords();
        BorderPane frame = new BorderPane(this);
        root.getChildren().add(frame);
        root.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        beside = new Beside(
                frame,
                root,
                guided,
                new Seen(root, Optional::empty),
                new Beside.Host(guided::begin, (url, what) -> show(new PictureCard(url, what, this::words)), w -> {}));
        back = () -> show(words);
        lost = session.lostProperty().subscribe(now -> now.ifPresentOrElse(this::lost, this::found));
    }

    private VBox column() {
        Button panel = Ui.button("Make a panel", "P", this::panel, "primary");
        panel.setId("empty-panel");
        Button bring = Ui.button("Bring in a drawing", "I", this::bring);
        bring.setId("empty-bring");
        Button sums = Ui.button("Bench sums", Desk.Room.SUMS.key(), this::sums);
        sums.setId("empty-sums");
        Button copies = Ui.button("Copies", "Ctrl+B", this::copies);
        copies.setId("empty-copies");
        Button lead = Ui.button("Lead me through it", "", () -> guided.begin(GuidedJobs.panel()));
        lead.setId("empty-lead");
        Button help = Ui.button("Guide", "F1", this::help, "quiet");
        help.setId("empty-help");
        VBox column = new VBox(
                14,
                new BuildMenu(session, prefs, commands, open),
                Ui.wrapped(
                        "Nothing is on the bench yet. A face goes here: one joint "
                                + "plane, drawn flat, with its sheets and its holes.",
                        "plain"),
                new HBox(10, panel, bring, lead),
                new HBox(10, sums, copies, unitButton, help),
                Ui.wrapped(
                        "A panel is made from a few figures: "
                                + "skin, spars, ribs, pitch. A drawing can be DXF or SVG; holes measured off a part "
                                + "come as a table.",
                        "soft"));
        column.setMaxSize(620, USE_PREF_SIZE);
        column.setAlignment(Pos.CENTER_LEFT);
        return column;
    }

    /** Looks no longer after the file. */
    void end() {
        lost.unsubscribe();
        beside.close();
    }

    private void words() {
        show(words);
    }

    /** Shows what the guide says of what is here, or puts it away. */
    void help() {
        if (!beside.putAway()) {
            Node now = getChildren().getFirst();
            String screen = (now == words ? EmptyView.class : now.getClass()).getSimpleName();
            beside.help(Guide.shipped().about(screen).orElse(new Guide.Place(Guide.FIRST, "")));
        }
    }

    /** What is typed into another card is kept under the one about the file. */
    private void lost(Lost what) {
        Node now = getChildren().getFirst();
        Node under = now instanceof LostCard ? words : now;
        back = () -> show(under);
        LostCard card = new LostCard(session, what, prefs.copies(), open, back);
        show(card);
        card.enter();
    }

    private void found() {
        if (getChildren().getFirst() instanceof LostCard) {
            back.run();
        }
    }

    /** The scene, 1280 x 800 unless the stage says otherwise. */
    Scene scene() {
        return Ui.scene(root);
    }

    /** What can be asked for here. */
    List<Command> commands() {
        return commands;
    }

    private void key(KeyEvent e) {
        boolean typing = e.getTarget() instanceof TextInputControl;
        commands.stream()
                .filter(c -> !c.key().isEmpty()
                        && (!typing || c.scope() == Command.Scope.ALWAYS)
                        && Keys.combination(c.key()).match(e))
                .findFirst()
                .ifPresent(c -> {
                    c.does().run();
                    e.consume();
                });
    }

    /** Puts away what is shown, the guide, or goes back to the words. */
    void escape() {
        if (getChildren().getFirst() instanceof LostCard) {
            back.run();
        } else if (!(getChildren().getFirst() instanceof SumsPane pane && pane.putAway()) && !beside.putAway()) {
            show(words);
        }
    }

    private Palette palette() {
        return prefs.dark() ? Palette.DARK : Palette.LIGHT;
    }

    private void dress() {
        root.setStyle(palette().css(prefs.scale()));
    }

    void turnDark() {
        prefs.keep("dark", Boolean.toString(!prefs.dark()));
        dress();
    }

    void scale(int step) {
        prefs.keep("scale", Integer.toString(Math.clamp(prefs.scale() + step, 100, 200)));
        dress();
    }

    void about() {
        if (getChildren().contains(words)) {
            AboutCard card = new AboutCard(session.path(), this::words);
            show(card);
            card.enter();
        }
    }

    void turn() {
        if (getChildren().contains(words)) {
            unit = unit == Unit.INCH ? Unit.MM : Unit.INCH;
            turnWords();
        }
    }

    private void turnWords() {
        unitButton.setText("figures in " + (unit == Unit.INCH ? "inches" : "mm"));
    }

    private void show(Node node) {
        getChildren().setAll(node);
        setMargin(node, new Insets(30));
    }

    /** The sums need no face; the number opened up lies over them. */
    void sums() {
        if (getChildren().contains(words)) {
            SumsPane pane = new SumsPane(
                    session.catalogue(),
                    Optional.of(session),
                    unit,
                    palette(),
                    Ui.button("Back", "Esc", () -> show(words), "quiet"));
            show(pane);
            setMargin(pane, Insets.EMPTY);
            pane.enter();
        }
    }

    void panel() {
        if (getChildren().contains(words)) {
            PanelCard card = new PanelCard(session, unit, prefs.rivets(), palette(), made, () -> show(words));
            show(card);
            card.enter();
        }
    }

    /** Brings in a drawing. */
    void bring() {
        if (getChildren().contains(words)) {
            BringCard card = new BringCard(session, unit, Optional.empty(), palette(), made, () -> show(words));
            show(card);
            card.enter();
        }
    }

    void copies() {
        if (getChildren().contains(words)) {
            CopiesCard card = new CopiesCard(session, prefs, open, () -> show(words));
            show(card);
            card.enter();
        }
    }
}
