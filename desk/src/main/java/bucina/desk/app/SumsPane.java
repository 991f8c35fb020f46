package bucina.desk.app;

import bucina.core.catalogue.Catalogue;
import bucina.core.explain.Why;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.desk.card.GaugeCard;
import bucina.desk.card.PictureCard;
import bucina.desk.card.WhyCard;
import bucina.desk.gauge.GaugePost;
import bucina.desk.guided.Guided;
import bucina.desk.help.Guide;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.session.Session;
import bucina.desk.sumsroom.SumsRoom;
import java.util.Optional;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;

/** The bench sums where there is no desk: under a bar of their own, with the number that is opened up over them. */
final class SumsPane extends StackPane {

    private static final KeyCombination GAUGE = new KeyCodeCombination(KeyCode.G, KeyCombination.SHORTCUT_DOWN);

    private final ObjectProperty<Unit> unit;
    private final SumsRoom room;
    private final Button turn;
    private final Catalogue catalogue;
    private final GaugePost gauge;
    private final Beside beside;
    private Optional<Node> over = Optional.empty();

    /**
     * @param session the build that is open; empty where none is
     * @param more    further buttons of the bar
     */
    SumsPane(Catalogue catalogue, Optional<Session> session, Unit first, Palette palette, Node... more) {
        this.catalogue = catalogue;
        unit = new SimpleObjectProperty<>(first);
        gauge = new GaugePost(Platform::runLater, l -> LengthFormat.trade(l, unit.get()));
        Button measure = Ui.button("Gauge", "Ctrl+G", this::gauge, "quiet");
        measure.setId("sums-gauge");
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        room = new SumsRoom(new SumsRoom.Host(catalogue, session, unit, this::why, false));
        room.use(palette, 1);
        turn = Ui.button("", "", () -> unit.set(unit.get() == Unit.INCH ? Unit.MM : Unit.INCH), "quiet");
        turn.setId("sums-unit");
        unit.addListener((o, was, now) -> words());
        HBox bar = new HBox(6, Ui.label("Bench sums", "build-name"), Ui.spring(), measure, turn);
        bar.getChildren().addAll(more);
        bar.setAlignment(Pos.CENTER_LEFT);
        bar.setPadding(new Insets(5, 10, 5, 14));
        bar.getStyleClass().add("top-bar");
        BorderPane frame = new BorderPane(room, bar, null, null, null);
        getChildren().add(frame);
        beside = new Beside(
                frame,
                this,
                new Guided(),
                new Seen(this, Optional::empty),
                new Beside.Host(j -> {}, (url, what) -> over(new PictureCard(url, what, this::putAway)), w -> {}));
        sceneProperty().addListener((o, was, now) -> {
            if (now == null) {
                gauge.off();
                beside.close();
            } else {
                GaugeFollow.on(now, gauge);
            }
        });
        words();
    }

    private void key(KeyEvent e) {
        if (GAUGE.match(e)) {
            gauge();
        } else if (e.getCode() == KeyCode.F1) {
            help();
        } else {
            return;
        }
        e.consume();
    }

    private void words() {
        turn.setText("answers in " + (unit.get() == Unit.INCH ? "inches" : "mm"));
    }

    void enter() {
        room.enter();
    }

    private void gauge() {
        putAway();
        GaugeCard card =
                new GaugeCard(new LengthParser(unit.get(), catalogue.drills()), unit.get(), gauge, this::putAway);
        over(card);
        card.enter();
    }

    private void why(Why number) {
        over(new WhyCard(number, () -> answer(Guide.shipped().term(number.title())), this::putAway));
    }

    private void over(Node card) {
        putAway();
        over = Optional.of(card);
        getChildren().add(card);
    }

    private void help() {
        if (!beside.putAway()) {
            answer(SumsRoom.class.getSimpleName());
        }
    }

    private void answer(String key) {
        beside.help(Guide.shipped().about(key).orElse(new Guide.Place(Guide.FIRST, "")));
    }

    /** Takes what lies over the sums away, then the guide; true if there was one. */
    boolean putAway() {
        if (over.isEmpty()) {
            return beside.putAway();
        }
        over.ifPresent(getChildren()::remove);
        over = Optional.empty();
        return true;
    }
}
