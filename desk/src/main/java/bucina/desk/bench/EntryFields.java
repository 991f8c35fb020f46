package bucina.desk.bench;

import bucina.core.form.Entries;
import bucina.core.measure.Unit;
import bucina.desk.gauge.GaugePost;
import bucina.desk.look.Ui;
import bucina.desk.session.LogForm;
import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** The fields of a log entry in a grid: what went in, who, when, with which set-up. */
final class EntryFields extends GridPane {

    private final TextField count = field("log-count", "40");
    private final TextField designation = field("log-designation", "MS20426AD3-3.5");
    private final TextField length = field("log-length", "as stocked");
    private final TextField who = field("log-who", "name or initials");
    private final TextField done = field("log-done", "2026-11-20 19:30");
    private final TextField minutes = field("log-minutes", "40");
    private final TextField tool = field("log-tool", "squeezer, gun and bar");
    private final TextField setting = field("log-setting", ".182 in");
    private final TextField hole = field("log-hole", "#40");
    private final TextField readings = field("log-readings", ".146x.047, .148x.046");

    /**
     * @param unit    of readings that a gauge sends
     * @param changed told when a text has changed that is read as it is typed
     */
    EntryFields(Supplier<Unit> unit, Runnable changed) {
        setHgap(8);
        setVgap(5);
        rows();
        GaugePost.receives(
                readings,
                "Heads, diameter then height",
                l -> readings.setText(Entries.plus(readings.getText(), l, unit.get())));
        for (TextField each : List.of(designation, length, done, setting, hole, readings)) {
            each.textProperty().addListener((o, was, now) -> changed.run());
        }
    }

    private void rows() {
        ColumnConstraints names = new ColumnConstraints();
        names.setMinWidth(Region.USE_PREF_SIZE);
        ColumnConstraints values = new ColumnConstraints();
        values.setHgrow(Priority.ALWAYS);
        getColumnConstraints().addAll(names, values, names, values);
        row(0, "Use", designation);
        row(1, "Count", count, "Cut to", length);
        row(2, "Who", who, "Minutes", minutes);
        row(3, "Done", done);
        row(4, "Tool", tool);
        row(5, "Gap", setting, "Hole", hole);
        row(6, "Heads", readings);
    }

    static TextField field(String id, String prompt) {
        TextField field = new TextField();
        field.setId(id);
        field.setPromptText(prompt);
        field.setPrefColumnCount(8);
        return field;
    }

    private void row(int row, String name, TextField field) {
        named(row, 0, name, field);
        add(field, 1, row, 3, 1);
    }

    private void row(int row, String name, TextField field, String name2, TextField field2) {
        named(row, 0, name, field);
        add(field, 1, row);
        named(row, 2, name2, field2);
        add(field2, 3, row);
    }

    private void named(int row, int column, String name, TextField field) {
        Label label = Ui.label(name, "field-name");
        label.setLabelFor(field);
        field.setAccessibleText(name);
        add(label, column, row);
    }

    /**
     * Puts texts into the fields.
     *
     * @param rivet true if a head is formed: only then are there a gap, a length to cut to and heads to measure
     */
    void show(LogForm.Fields f, boolean countTyped, boolean rivet) {
        for (TextField each : List.of(length, setting, readings)) {
            Ui.shown(each, rivet);
        }
        for (Node child : getChildren()) {
            if (child instanceof Label label && label.getLabelFor() != null) {
                Ui.shown(label, label.getLabelFor().isVisible());
            }
        }
        tool.setPromptText(rivet ? "squeezer, gun and bar" : "wrench, socket");
        count.setText(f.count);
        count.setDisable(!countTyped);
        designation.setText(f.designation);
        length.setText(f.length);
        who.setText(f.who);
        done.setText(f.done);
        minutes.setText(f.minutes);
        tool.setText(f.tool);
        setting.setText(f.setting);
        hole.setText(f.hole);
        readings.setText(f.readings);
    }

    /** Takes the texts as they stand. */
    void take(LogForm.Fields f) {
        f.count = count.getText();
        f.designation = designation.getText();
        f.length = length.getText();
        f.who = who.getText();
        f.done = done.getText();
        f.minutes = minutes.getText();
        f.tool = tool.getText();
        f.setting = setting.getText();
        f.hole = hole.getText();
        f.readings = readings.getText();
    }
}
