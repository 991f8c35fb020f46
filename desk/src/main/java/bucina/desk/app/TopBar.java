package bucina.desk.app;

import bucina.core.measure.Unit;
import bucina.desk.look.Palette;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.WorkTimer;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.util.Duration;

/** Rooms at the left; build, what is saved, timer, unit and variant at the right. Large text takes two lines. */
final class TopBar extends ShownBox {

    private static final PseudoClass HERE = PseudoClass.getPseudoClass("here");

    /** Text larger than this does not fit into one line at 1280. */
    static final double ONE_LINE = 1.2;

    private final Desk desk;
    private final HBox ways = new HBox(1);
    private final HBox state = new HBox(1);
    private final WorkTimer timer;
    private final Button time;
    private final Button unit;
    private final Button variant;
    private final Button undo;
    private final Button redo;
    private final Map<Desk.Room, Button> rooms = new EnumMap<>(Desk.Room.class);

    TopBar(Desk desk, WorkTimer timer, Runnable search, Runnable turn, BuildMenu menu) {
        this.desk = desk;
        this.timer = timer;
        getStyleClass().add("top-bar");
        ways.setAlignment(Pos.CENTER_LEFT);
        state.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(state, Priority.ALWAYS);
        setPadding(new Insets(5, 8, 5, 8));
        roomButtons(desk);
        Button find = Ui.button("Find", "Ctrl+K", search, "quiet");
        find.setId("find");
        undo = Ui.button("Undo", "", () -> desk.session().history().undo(sentence -> {}), "quiet");
        undo.setId("undo");
        redo = Ui.button("Redo", "", () -> desk.session().history().redo(sentence -> {}), "quiet");
        redo.setId("redo");
        Label status = Ui.kept("", "saved");
        status.setId("status");
        status.textProperty().bind(desk.session().notices().briefProperty());
        ties.keep(status.textProperty()::unbind);
        time = Ui.button("Timer", "", () -> {}, "quiet");
        time.setId("timer");
        time.setOnAction(e -> {
            turn.run();
            tick();
        });
        unit = Ui.button("", "U", desk.look()::turnUnit, "quiet");
        unit.setId("unit");
        variant = Ui.button("", "T", desk.look()::turnDark, "quiet");
        variant.setId("variant");
        ways.getChildren().addAll(find, undo, redo);
        state.getChildren().addAll(Ui.spring(), menu, status, Ui.spring(), time, unit, variant);
        scale(1);
        watch(desk);
    }

    private void watch(Desk desk) {
        ties.on(desk.roomProperty(), this::mark);
        ties.on(desk.look().unitProperty(), this::mark);
        ties.on(desk.look().darkProperty(), this::mark);
        ties.on(desk.session().notices().statusProperty(), this::mark);
        mark();
        tick();
        Timeline clock = new Timeline(new KeyFrame(Duration.seconds(10), e -> tick()));
        clock.setCycleCount(Animation.INDEFINITE);
        ties.play(clock);
    }

    private void roomButtons(Desk desk) {
        for (Desk.Room room : Desk.Room.values()) {
            Button button =
                    Ui.button(room.word(), room.key(), () -> desk.roomProperty().set(room), "room");
            button.setId("room-" + room.name().toLowerCase(Locale.ROOT));
            rooms.put(room, button);
            // The rules are entered from the papers; the bar has no room for all.
            Ui.shown(button, room != Desk.Room.RULES);
            ways.getChildren().add(button);
        }
    }

    @Override
    public void use(Palette colours, double size) {
        scale(size);
    }

    /** Lays the bar out for text larger by a factor. */
    private void scale(double factor) {
        if (factor < ONE_LINE) {
            HBox line = new HBox(1, ways, state);
            line.setAlignment(Pos.CENTER_LEFT);
            getChildren().setAll(line);
        } else {
            getChildren().setAll(ways, state);
        }
    }

    private void mark() {
        rooms.forEach((room, button) ->
                Ui.chosen(button, HERE, room == desk.roomProperty().get(), "Room " + room.word()));
        unit.setText(desk.unit() == Unit.INCH ? "inch" : "mm");
        unit.setAccessibleText("Unit " + unit.getText() + ", change");
        offer(undo, "Undo", desk.session().history().undoWords());
        offer(redo, "Redo", desk.session().history().redoWords());
        variant.setText(desk.look().darkProperty().get() ? "Day" : "Night");
    }

    private static void offer(Button button, String word, Optional<String> what) {
        button.setDisable(what.isEmpty());
        button.setAccessibleText(
                word + what.map(w -> ": " + w).orElse(", nothing to " + word.toLowerCase(Locale.ROOT)));
    }

    /** Shows the minutes as they are now. */
    void tick() {
        time.setText(timer.running() ? "Timing " + timer.minutes() + " min" : "Start timer");
    }
}
