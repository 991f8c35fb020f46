package bucina.desk.strip;

import bucina.core.cleco.Mode;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import bucina.desk.session.Playing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** The cleco plan of a row, played step by step on the sheet above. */
public final class ClecoBar extends ShownBox {

    private final Desk desk;
    private final Latest plans;
    private final Label title = Ui.kept("", "strong");
    private final Label sentence = Ui.wrapped("", "cleco-says");
    private final Label why = Ui.wrapped("", "soft");
    private final Label supply = Ui.label("", "soft");
    private final Slider slider = new Slider(0, 1, 0);
    private final ComboBox<Optional<Mode>> mode = new ComboBox<>();
    private final ComboBox<Playing.Work> work = new ComboBox<>();
    private final Button play;
    private final Button next;
    private final Timeline clock = new Timeline(new KeyFrame(Duration.millis(900), e -> tick()));
    private boolean filling;

    public ClecoBar(Desk desk) {
        super(5);
        this.desk = desk;
        plans = desk.session().latest();
        setPadding(new Insets(8, 14, 8, 14));
        getStyleClass().add("cleco-bar");
        setMinHeight(176);
        setMaxHeight(290);
        layMode();
        layWork();
        mode.setMinWidth(USE_PREF_SIZE);
        laySlider();
        Button back = Ui.button("Back", ",", () -> step(-1));
        back.setId("cleco-back");
        Button on = Ui.button("Step", ".", () -> step(1), "primary");
        on.setId("cleco-on");
        play = Ui.button("Play", "/", this::turn);
        play.setId("cleco-play");
        next = Ui.button("Next row", "", this::nextRow, "quiet");
        next.setId("cleco-next");
        Button done =
                Ui.button("Close", "Esc", () -> desk.over().playingProperty().set(Optional.empty()), "quiet");
        FlowPane head = new FlowPane(8, 4, title, mode, work, next, done);
        head.setRowValignment(VPos.CENTER);
        HBox steps = new HBox(8, back, on, play, slider, supply);
        steps.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, steps, Ui.scroll(new VBox(5, sentence, why)));
        clock.setCycleCount(Timeline.INDEFINITE);
        ties.keep(clock::stop);
        ties.on(desk.over().playingProperty(), this::fill);
    }

    private void laySlider() {
        slider.setMinWidth(60);
        slider.setId("cleco-slider");
        slider.setAccessibleText("Step of the cleco plan");
        slider.valueProperty().addListener((o, was, now) -> slid(now.doubleValue()));
        HBox.setHgrow(slider, Priority.ALWAYS);
    }

    private void layWork() {
        work.getItems().setAll(Playing.Work.values());
        work.setValue(Playing.Work.DRILL);
        work.setId("cleco-work");
        work.setAccessibleText("What is played");
        work.setMinWidth(USE_PREF_SIZE);
        work.valueProperty().addListener((o, was, now) -> plan(false));
    }

    private void layMode() {
        modes();
        mode.setConverter(new Worded<>(m -> m.map(Mode::code).orElse("as the joint asks")));
        mode.setValue(Optional.empty());
        mode.setId("cleco-mode");
        mode.setAccessibleText("Order of the row");
        mode.valueProperty().addListener((o, was, now) -> plan(false));
    }

    private void modes() {
        List<Optional<Mode>> modes = new ArrayList<>(List.of(Optional.empty()));
        for (Mode m : Mode.values()) {
            modes.add(Optional.of(m));
        }
        mode.getItems().setAll(modes);
    }

    private void slid(double to) {
        if (!filling) {
            desk.over()
                    .playingProperty()
                    .get()
                    .ifPresent(p -> desk.over()
                            .playingProperty()
                            .set(Optional.of(p.at(desk.snapshot().holds(), (int) Math.round(to)))));
        }
    }

    /** Plans the face anew, and begins with the picked row. */
    public void begin() {
        plan(true);
    }

    private void plan(boolean pick) {
        if (filling) {
            return;
        }
        var snapshot = desk.snapshot();
        var face = desk.selectionProperty().get().face();
        var row = pick
                ? desk.cursor().map(c -> c.row().id())
                : desk.over().playingProperty().get().map(p -> p.row().row().id());
        Playing.Work played = work.getValue();
        Optional<Mode> order = mode.getValue();
        if (desk.face().size() == 0) {
            return;
        }
        plans.ask(
                () -> Playing.of(snapshot, desk.session().catalogue(), face, row, order, 2, played),
                p -> {
                    if (desk.selectionProperty().get().face().equals(face)) {
                        desk.over().playingProperty().set(Optional.of(p));
                    }
                },
                desk.session()::say);
    }

    /** Goes so many steps on. */
    public void step(int by) {
        desk.over()
                .playingProperty()
                .get()
                .ifPresent(p -> desk.over()
                        .playingProperty()
                        .set(Optional.of(p.at(desk.snapshot().holds(), p.step() + by))));
    }

    /** Plays, or stops. */
    public void turn() {
        if (clock.getStatus() == Animation.Status.RUNNING) {
            clock.stop();
        } else {
            clock.play();
        }
        play.setText(clock.getStatus() == Animation.Status.RUNNING ? "Stop" : "Play");
    }

    private void tick() {
        Optional<Playing> p = desk.over().playingProperty().get();
        if (p.isEmpty() || p.get().step() + 1 >= p.get().steps(desk.snapshot().holds())) {
            clock.stop();
            play.setText("Play");
        } else {
            step(1);
        }
    }

    private void nextRow() {
        desk.over().playingProperty().get().flatMap(Playing::next).ifPresent(row -> {
            desk.face().readings().stream()
                    .filter(r -> r.row().id().equals(row))
                    .findFirst()
                    .ifPresent(r -> desk.selectionProperty()
                            .set(desk.selectionProperty().get().one(r)));
            plan(true);
        });
    }

    private void fill() {
        filling = true;
        desk.over().playingProperty().get().ifPresent(p -> {
            Ui.shown(next, p.work() != Playing.Work.LOCATE);
            boolean whole = p.work() == Playing.Work.LOCATE;
            titled(whole, p);
            int steps = p.steps(desk.snapshot().holds());
            slider.setMax(Math.max(1, steps - 1));
            slider.setValue(p.step());
            words(steps, p, whole);
            supply.setText(p.supply(desk.snapshot().holds()));
        });
        filling = false;
    }

    private void words(int steps, Playing p, boolean whole) {
        sentence.setText(
                (steps == 0 ? "" : (p.step() + 1) + " of " + steps + ".  ") + p.sentence(desk.snapshot(), desk.unit()));
        why.setText(p.why()
                + (whole || p.row().held() == 0
                        ? ""
                        : " " + p.row().held() + " holes here are held: clecoed, not riveted.")
                + " Never force: if a hole is off, move the rib, not the skin.");
    }

    private void titled(boolean whole, Playing p) {
        title.setText(
                whole
                        ? "Clecos: the whole face"
                        : "Clecos: row " + p.row().row().name() + ", "
                                + (p.face().rows().indexOf(p.row()) + 1) + " of "
                                + p.face().rows().size());
    }
}
