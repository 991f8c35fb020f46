package bucina.desk.card;

import bucina.core.log.GaugeCheck;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.measure.InputException;
import bucina.core.prove.Suspects;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Writes down a gauge held against a known piece, and says which readings one that is out makes doubtful. */
final class GaugeBox extends VBox {

    private final Desk desk;
    private final Consumer<String> refused;
    private final TextField gauge = field("Gauge", "caliper 2", "gauge-which");
    private final TextField known = field("Known piece", ".250", "gauge-known");
    private final TextField read = field("It says", ".2495", "gauge-read");
    private final TextField who = field("Who", "name", "gauge-who");
    private final Label says = Ui.wrapped("", "plain");

    /**
     * @param refused is told what is wrong with what was typed
     */
    GaugeBox(Desk desk, Consumer<String> refused) {
        super(6);
        this.desk = desk;
        this.refused = refused;
        says.setId("gauge-says");
        Button keep = Ui.button("Write it down", "Enter", this::keep);
        keep.setId("gauge-keep");
        keep.setDisable(desk.session().readOnly());
        HBox row = new HBox(8);
        row.setAlignment(Pos.CENTER_LEFT);
        who.setText(desk.prefs().who());
        List.of(gauge, known, read, who).forEach(f -> {
            f.setOnAction(e -> keep());
            HBox.setHgrow(f, Priority.ALWAYS);
            row.getChildren().addAll(Ui.kept(f.getAccessibleText(), "field-name"), f);
        });
        row.getChildren().add(keep);
        getChildren().addAll(row, says);
    }

    private static TextField field(String title, String example, String id) {
        TextField field = new TextField();
        field.setId(id);
        field.setAccessibleText(title);
        field.setPromptText(example);
        field.setPrefColumnCount(6);
        return field;
    }

    private void keep() {
        if (desk.session().readOnly()) {
            return;
        }
        try {
            GaugeCheck check = new GaugeCheck(
                    gauge.getText().strip(),
                    desk.lengths().parsePositive(known.getText(), "the known piece"),
                    desk.lengths().parsePositive(read.getText(), "what the gauge says"));
            LogEntry.Draft draft = LogEntry.Draft.install(
                    new Labour(check, "", who.getText().strip(), desk.session().now(), 0, "", "", List.of()));
            desk.session().log(draft, List.of(), e -> read.clear(), refused);
        } catch (InputException e) {
            refused.accept(e.getMessage());
        }
    }

    /** Says what gauges that failed their check make doubtful. */
    void show(Suspects is) {
        says.setText(is.gauges().stream()
                .map(g ->
                        g.gauge() + " is out (entry " + g.check() + "): readings since its last good check, in entries "
                                + g.entries().stream().map(String::valueOf).collect(Collectors.joining(", "))
                                + ", are in doubt.")
                .collect(Collectors.joining(" ")));
        Ui.shown(says, !is.gauges().isEmpty());
    }
}
