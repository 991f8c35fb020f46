package bucina.desk.card;

import bucina.core.batch.BatchClock;
import bucina.core.batch.Mixing;
import bucina.core.batch.Pace;
import bucina.core.plan.Batch;
import bucina.core.plan.Compound;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** The batches that run, each with its clock, what it is for and what can be done to it. */
final class RunningBatches extends VBox {

    private final Desk desk;
    private final Consumer<Mixing.Standing> primed;
    private final Consumer<String> refused;
    private final TextField pace = new TextField();
    private final List<Clock> clocks = new ArrayList<>();

    /** A running batch and the labels that tell its time. */
    private record Clock(Batch batch, Mixing.Standing standing, Label time, Label phase, Label forecast) {}

    /**
     * @param primed  told when the sheets of a primer are said to be primed
     * @param refused told the sentence if a change cannot be made
     */
    RunningBatches(Desk desk, Consumer<Mixing.Standing> primed, Consumer<String> refused) {
        super(10);
        this.desk = desk;
        this.primed = primed;
        this.refused = refused;
        pace.setId("mix-pace");
        pace.setPrefColumnCount(5);
        pace.setPromptText("1.5");
        pace.setAccessibleText("Minutes each, if the log does not tell");
        pace.textProperty().addListener((o, was, now) -> tick());
    }

    /** The clock that tells the time of each, to be played as long as they are shown. */
    Timeline ticking() {
        Timeline ticking = new Timeline(new KeyFrame(Duration.seconds(1), e -> tick()));
        ticking.setCycleCount(Animation.INDEFINITE);
        return ticking;
    }

    void show(List<Mixing.Standing> standings) {
        getChildren().clear();
        clocks.clear();
        for (Mixing.Standing s : standings) {
            Label time = Ui.kept("", "batch-time");
            Label phase = Ui.wrapped("", "strong");
            Label forecast = Ui.wrapped("", "plain");
            boolean primer = s.batch().compound().kind() == Compound.Kind.PRIMER;
            HBox buttons = buttons(s, primer);
            VBox box = box(time, phase, s, primer, forecast, buttons);
            box.getStyleClass().add("batch-running");
            getChildren().add(box);
            clocks.add(new Clock(s.batch(), s, time, phase, forecast));
        }
        if (standings.isEmpty()) {
            getChildren()
                    .add(Ui.wrapped(
                            "Nothing is mixed. Choose what you mix, tick what it is for, start the clock as the "
                                    + "parts go together.",
                            "soft"));
        }
        tick();
    }

    private VBox box(Label time, Label phase, Mixing.Standing s, boolean primer, Label forecast, HBox buttons) {
        HBox clock = new HBox(14, time, phase);
        clock.setAlignment(Pos.CENTER_LEFT);
        VBox box = new VBox(5, clock, Ui.wrapped("For " + s.sheets() + ".", "soft"));
        if (!primer) {
            HBox each = new HBox(6, Ui.kept("Minutes each, to try", "field-name"), pace);
            each.setAlignment(Pos.CENTER_LEFT);
            box.getChildren().addAll(forecast, each);
        }
        box.getChildren().add(buttons);
        return box;
    }

    private HBox buttons(Mixing.Standing s, boolean primer) {
        HBox buttons = new HBox(8);
        if (s.batch().compound().stir() > 0) {
            buttons.getChildren()
                    .add(Ui.button(
                            "Stirred",
                            "",
                            () -> change(
                                    s.batch(),
                                    "stirring",
                                    b -> b.stirred(desk.session().instant()))));
        }
        if (primer && !s.toPrime().isEmpty()) {
            Button done = Ui.button("Its sheets are primed", "", () -> primed.accept(s));
            done.setId("mix-primed");
            buttons.getChildren().add(done);
        }
        Button end = Ui.button(
                "Used up or thrown away",
                "",
                () -> change(
                        s.batch(), "ending a batch", b -> b.ended(desk.session().instant())));
        end.setId("mix-end");
        buttons.getChildren().add(end);
        buttons.setDisable(desk.session().readOnly());
        return buttons;
    }

    private void change(Batch batch, String words, UnaryOperator<Batch> change) {
        desk.session().plan(words, b -> Mixing.changed(b, batch.id(), change), () -> {}, refused);
    }

    private void tick() {
        Instant now = desk.session().instant();
        for (Clock c : clocks) {
            BatchClock at = BatchClock.at(c.batch, now);
            c.time.setText(at.phase() == BatchClock.Phase.OVER ? "0:00" : BatchClock.words(at.left()));
            String stirs = at.stir()
                    .map(d -> d.isPositive() ? " Stir in " + BatchClock.words(d) + "." : " Stir it now.")
                    .orElse("");
            c.phase.setText(c.batch.compound().name() + ": " + phase(at) + stirs);
            c.forecast.setText(at.usable() ? c.standing.forecast(given(), at.left()) : "");
        }
    }

    private static String phase(BatchClock at) {
        return switch (at.phase()) {
            case STANDING -> "stands, not to be used yet.";
            case READY -> "may be used.";
            case CLOSING -> "goes off soon.";
            case OVER -> "gone off, use no more of it.";
        };
    }

    private Optional<Pace> given() {
        try {
            double minutes = Double.parseDouble(pace.getText().strip());
            return minutes > 0 && minutes < 10_000 ? Optional.of(Pace.given(minutes)) : Optional.empty();
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }
}
