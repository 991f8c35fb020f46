package bucina.desk.app;

import bucina.core.measure.Unit;
import bucina.core.plan.Id;
import bucina.desk.card.BringCard;
import bucina.desk.card.CopiesCard;
import bucina.desk.card.LostCard;
import bucina.desk.card.PanelCard;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.session.Lost;
import bucina.desk.session.Prefs;
import bucina.desk.session.Session;
import bucina.desk.session.ToOpen;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;

/** The window of a build with no face yet: says what goes here, and the two ways to get it in. */
final class EmptyView extends StackPane {

    private final Session session;
    private final Prefs prefs;
    private final Consumer<ToOpen> open;
    private final Subscription lost;
    /** Shows what lay under the card about the file. */
    private Runnable back;

    private final Palette palette;
    private final Consumer<Id.Face> made;
    private final VBox words;
    private final Button unitButton;
    private Unit unit;

    /**
     * @param open opens another build in the place of this one
     * @param made told the first face
     */
    EmptyView(Session session, Prefs prefs, Consumer<ToOpen> open, Consumer<Id.Face> made) {
        this.session = session;
        this.prefs = prefs;
        this.open = open;
        this.made = made;
        this.palette = prefs.dark() ? Palette.DARK : Palette.LIGHT;
        this.unit = prefs.unit().orElse(Unit.INCH);
        setStyle(palette.css() + "-fx-font-size: " + Math.round(13 * prefs.scale() / 100.0) + "px;");
        getStyleClass().add("window");
        Button panel = Ui.button("Make a panel", "P", this::panel, "primary");
        panel.setId("empty-panel");
        Button bring = Ui.button("Bring in a drawing", "I", this::bring);
        bring.setId("empty-bring");
        Button sums = Ui.button("Bench sums", "S", this::sums);
        sums.setId("empty-sums");
        Button copies = Ui.button("Copies", "C", this::copies);
        copies.setId("empty-copies");
        unitButton = Ui.button("", "U", this::turn, "quiet");
        unitButton.setId("empty-unit");
        words = new VBox(
                14,
                Ui.label(session.snapshot().build().name(), "bench-title"),
                Ui.wrapped(
                        "Nothing is on the bench yet. A face goes here: one joint "
                                + "plane, drawn flat, with its sheets and its holes.",
                        "plain"),
                new HBox(10, panel, bring, sums, copies, unitButton),
                Ui.wrapped(
                        "A panel is made from a few figures: "
                                + "skin, spars, ribs, pitch. A drawing can be DXF or SVG; holes measured off a part "
                                + "come as a table.",
                        "soft"));
        words.setMaxSize(620, USE_PREF_SIZE);
        words.setAlignment(Pos.CENTER_LEFT);
        getChildren().add(words);
        turnWords();
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        back = () -> show(words);
        lost = session.lostProperty().subscribe(now -> now.ifPresentOrElse(this::lost, this::found));
    }

    /** Looks no longer after the file. */
    void end() {
        lost.unsubscribe();
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
        Scene scene = new Scene(this, 1280, 800);
        scene.getStylesheets()
                .add(DeskWindow.class.getResource("/bucina/desk/desk.css").toExternalForm());
        return scene;
    }

    private void key(KeyEvent e) {
        if (e.getTarget() instanceof TextInputControl && e.getCode() != KeyCode.ESCAPE) {
            return;
        }
        switch (e.getCode()) {
            case P -> panel();
            case I -> bring();
            case S -> sums();
            case C -> copies();
            case U -> turn();
            case ESCAPE -> {
                if (getChildren().getFirst() instanceof LostCard) {
                    back.run();
                } else if (!(getChildren().getFirst() instanceof SumsPane pane && pane.putAway())) {
                    show(words);
                }
            }
            default -> {
                return;
            }
        }
        e.consume();
    }

    private void turn() {
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
    private void sums() {
        if (getChildren().contains(words)) {
            SumsPane pane = new SumsPane(
                    session.catalogue(),
                    Optional.of(session),
                    unit,
                    palette,
                    Ui.button("Back", "Esc", () -> show(words), "quiet"));
            show(pane);
            setMargin(pane, Insets.EMPTY);
            pane.enter();
        }
    }

    private void panel() {
        if (getChildren().contains(words)) {
            PanelCard card = new PanelCard(session, unit, palette, made, () -> show(words));
            show(card);
            card.enter();
        }
    }

    private void bring() {
        if (getChildren().contains(words)) {
            BringCard card = new BringCard(session, unit, Optional.empty(), palette, made, () -> show(words));
            show(card);
            card.enter();
        }
    }

    private void copies() {
        if (getChildren().contains(words)) {
            CopiesCard card = new CopiesCard(session, prefs, open, () -> show(words));
            show(card);
            card.enter();
        }
    }
}
