package bucina.desk.app;

import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Palette;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Stage;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The stages of work, each with what is left to do on this face. */
final class StageRail extends ShownBox {

    private static final PseudoClass HERE = PseudoClass.getPseudoClass("here");

    private final Desk desk;
    private final FlowPane stages = new FlowPane(6, 2);
    private final HBox more = new HBox(6);
    private final Map<Stage, Button> buttons = new EnumMap<>(Stage.class);
    private final Button findings;
    private final Label held = Ui.kept("", "stage-left");
    private final Label toDrill = Ui.kept(" ", "stage-left");
    private final Label toDress = Ui.kept(" ", "stage-left");
    private final Label toSet = Ui.kept("", "stage-left");
    private final Label toProve = Ui.kept(" ", "stage-left");

    StageRail(Desk desk) {
        this.desk = desk;
        getStyleClass().add("stage-rail");
        stages.setAlignment(Pos.TOP_LEFT);
        more.setAlignment(Pos.TOP_RIGHT);
        HBox.setHgrow(more, Priority.ALWAYS);
        setPadding(new Insets(6, 12, 3, 12));
        findings = Ui.button("", "F", desk::nextFinding, "quiet", "stage-find");
        findings.setId("findings");
        stageButtons(desk);
        changeButtons(desk);
        use(Palette.LIGHT, 1);
        watch(desk);
        fill();
    }

    private void watch(Desk desk) {
        ties.on(desk.over().progressProperty(), (was, now) -> {
            toDrill.setText(now.map(p -> p.toDrill() == 0 ? "all drilled" : p.toDrill() + " to drill")
                    .orElse(" "));
            toDress.setText(now.map(p -> p.toDress() == 0 ? "all dressed" : p.toDress() + " to dress")
                    .orElse(" "));
        });
        ties.on(
                desk.over().proofProperty(),
                (was, now) -> toProve.setText(now.map(p -> p.groups().isEmpty()
                                ? "none set"
                                : p.toProve() == 0 ? "all proved" : p.toProve() + " to prove")
                        .orElse(" ")));
        ties.on(desk.stageProperty(), this::fill);
        ties.on(desk.selectionProperty(), (was, now) -> {
            if (!was.face().equals(now.face())) {
                fill();
            }
        });
        ties.on(desk.snapshotProperty(), () -> {
            if (!desk.attempting()) {
                fill();
            }
        });
    }

    private void changeButtons(Desk desk) {
        Button change = Ui.button(
                "Change",
                "E",
                () -> desk.changingProperty()
                        .set(!desk.changingProperty().get() && !desk.session().readOnly()),
                "stage");
        change.setId("change");
        ties.on(desk.changingProperty(), (was, now) -> Ui.chosen(change, HERE, now, "Change the sheet by hand"));
        Button legend = Ui.button("Legend", "L", desk.look()::turnLegend, "quiet");
        legend.setId("legend");
        more.getChildren().addAll(change, legend);
    }

    private void stageButtons(Desk desk) {
        for (Stage stage : Stage.values()) {
            Button button = Ui.button(
                    stage.word(),
                    Integer.toString(stage.key()),
                    () -> desk.stageProperty().set(stage),
                    "stage");
            button.setId("stage-" + stage.name().toLowerCase(Locale.ROOT));
            button.setMaxWidth(Double.MAX_VALUE);
            buttons.put(stage, button);
            stages.getChildren()
                    .add(new VBox(
                            1,
                            button,
                            switch (stage) {
                                case STUDY -> findings;
                                case FIT -> held;
                                case DRILL -> toDrill;
                                case DRESS -> toDress;
                                case SET -> toSet;
                                case PROVE -> toProve;
                            }));
        }
    }

    /** Lays the rail out for text larger by a factor: large text takes two lines. */
    @Override
    public void use(Palette colours, double factor) {
        stages.setPrefWrapLength(factor < TopBar.ONE_LINE ? 1000 : 100);
        if (factor < TopBar.ONE_LINE) {
            getChildren().setAll(new HBox(6, stages, more));
        } else {
            getChildren().setAll(stages, more);
        }
    }

    private void fill() {
        FaceReading reading = desk.face();
        int found = reading.found();
        long open = reading.readings().stream().filter(this::open).count();
        findings.setText(found == 0 ? "no findings" : found + (found == 1 ? " finding" : " findings"));
        findings.setAccessibleText(findings.getText() + ", go to the next");
        counts(reading, open);
        buttons.forEach((stage, button) ->
                Ui.chosen(button, HERE, stage == desk.stageProperty().get(), "Stage " + stage.word()));
    }

    private void counts(FaceReading reading, long open) {
        long gates = reading.readings().stream()
                .filter(r -> desk.snapshot().holds().of(r).isPresent())
                .filter(this::open)
                .count();
        held.setText(gates == 0 ? "none held" : gates + " held");
        toSet.setText(open == 0 ? "all set" : open + " to set");
    }

    private boolean open(HoleReading reading) {
        return !desk.snapshot().set(reading);
    }
}
