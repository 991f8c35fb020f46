package bucina.desk.app;

import bucina.core.batch.BatchClock;
import bucina.core.batch.Mixing;
import bucina.core.plan.Batch;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.BatchWatch;
import bucina.desk.session.Desk;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.util.Duration;

/**
 * Running batches under the top bar, there only while one runs; what one calls for stands across it until it was seen.
 */
final class BatchBar extends ShownBox {

    private static final PseudoClass GRAVE = PseudoClass.getPseudoClass("grave");

    private final Desk desk;
    private final Runnable open;
    private final BatchWatch watch = new BatchWatch();
    private final Set<String> rung = new HashSet<>();
    private final HBox clocks = new HBox(18);
    private final HBox alarm = new HBox(10);
    private final Label words = Ui.wrapped("", "alarm-words");
    private final Timeline ticking;
    private List<BatchWatch.Alarm> calls = List.of();
    private List<Label> times = List.of();

    /**
     * @param open opens the card of batches
     */
    BatchBar(Desk desk, Runnable open) {
        this.desk = desk;
        this.open = open;
        lay();
        ticking = new Timeline(new KeyFrame(Duration.seconds(1), e -> tick()));
        ticking.setCycleCount(Animation.INDEFINITE);
        ties.on(desk.session().snapshotProperty(), (was, now) -> {
            if (was.build().workshop().batches() != now.build().workshop().batches()) {
                tick();
            }
        });
        ties.keep(ticking::stop);
        tick();
    }

    private void lay() {
        getStyleClass().add("batch-bar");
        setId("batch-bar");
        clocks.setAlignment(Pos.CENTER_LEFT);
        clocks.getStyleClass().add("batch-clocks");
        alarm.setAlignment(Pos.CENTER_LEFT);
        alarm.getStyleClass().add("batch-alarm");
        alarm.setId("batch-alarm");
        words.setId("batch-words");
        getChildren().addAll(alarm, clocks);
    }

    /** Shows every batch as it stands now. */
    void tick() {
        List<Batch> running = desk.session().snapshot().build().workshop().running();
        Ui.shown(this, !running.isEmpty());
        if (running.isEmpty()) {
            ticking.stop();
            times = List.of();
            clocks.getChildren().clear();
            return;
        }
        if (ticking.getStatus() != Animation.Status.RUNNING) {
            ticking.play();
        }
        Instant now = desk.session().instant();
        clocks(running, now);
        call(running, now);
    }

    private void call(List<Batch> running, Instant now) {
        calls = watch.alarms(running, now);
        Ui.shown(alarm, !calls.isEmpty());
        // The call of the only batch says its time itself.
        Ui.shown(clocks, calls.isEmpty() || running.size() > 1);
        if (!calls.isEmpty()) {
            show(calls.getFirst());
        }
        for (BatchWatch.Alarm a : calls) {
            if (rung.add(key(a)) && desk.look().sound()) {
                Chime.ring();
            }
        }
    }

    private void clocks(List<Batch> running, Instant now) {
        // Words change each second; the nodes stay, so that the keyboard does too.
        if (times.size() != running.size()) {
            times = running.stream().map(b -> Ui.label("", "strong")).toList();
            clocks.getChildren().setAll(times);
            clocks.getChildren().addAll(Ui.spring(), Ui.button("Batches", "Ctrl+M", open, "quiet", "slim"));
        }
        for (int i = 0; i < running.size(); i++) {
            times.get(i).setText(line(running.get(i), now));
        }
    }

    /** A batch in one line: {@code Sealant class B-2: 1 h 12 min left}. */
    static String line(Batch batch, Instant now) {
        BatchClock c = BatchClock.at(batch, now);
        String stir = c.stir()
                .map(d -> d.isPositive() ? ", stir in " + BatchClock.words(d) : ", stir now")
                .orElse("");
        return switch (c.phase()) {
            case STANDING -> batch.compound().name() + ": stands " + BatchClock.words(c.left()) + " more" + stir;
            case READY -> batch.compound().name() + ": " + BatchClock.words(c.left()) + " left" + stir;
            case CLOSING -> batch.compound().name() + ": only " + BatchClock.words(c.left()) + " left" + stir;
            case OVER -> batch.compound().name() + ": gone off";
        };
    }

    private void show(BatchWatch.Alarm a) {
        words.setText(a.words() + (calls.size() > 1 ? "  (" + (calls.size() - 1) + " more)" : ""));
        alarm.pseudoClassStateChanged(GRAVE, a.call() == BatchWatch.Call.OVER || a.call() == BatchWatch.Call.CLOSING);
        if (!alarm.getChildren().isEmpty() && key(a).equals(alarm.getUserData())) {
            return;
        }
        alarm.setUserData(key(a));
        alarm.getChildren().setAll(words, Ui.spring());
        boolean writes = !desk.session().readOnly();
        if (a.call() == BatchWatch.Call.STIR && writes) {
            alarm.getChildren()
                    .add(button(
                            "Stirred",
                            "batch-stirred",
                            () -> desk.session()
                                    .plan(
                                            "stirring",
                                            b -> Mixing.changed(
                                                    b,
                                                    a.batch(),
                                                    x -> x.stirred(
                                                            desk.session().instant())),
                                            this::tick,
                                            s -> {})));
        }
        if (a.call() == BatchWatch.Call.OVER && writes) {
            alarm.getChildren().add(over(a));
        }
        always(a);
    }

    private void always(BatchWatch.Alarm a) {
        alarm.getChildren()
                .addAll(
                        button("Seen", "batch-seen", () -> {
                            watch.seen(a);
                            tick();
                        }),
                        Ui.button("Batches", "Ctrl+M", open));
    }

    private Button over(BatchWatch.Alarm a) {
        return button(
                "Thrown away",
                "batch-ended",
                () -> desk.session()
                        .plan(
                                "ending a batch",
                                b -> Mixing.changed(
                                        b,
                                        a.batch(),
                                        x -> x.ended(desk.session().instant())),
                                this::tick,
                                s -> {}));
    }

    private static String key(BatchWatch.Alarm a) {
        return a.batch().n() + a.call().name() + a.since();
    }

    private static Button button(String text, String id, Runnable action) {
        Button button = Ui.button(text, "", action);
        button.setId(id);
        return button;
    }
}
