package bucina.desk.bench;

import bucina.core.log.Disposition;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.LogForm;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * The rejects of the entry being written: at which hole, what was done about it, a remark. It changes the form's own
 * list.
 */
final class RejectList extends VBox {

    private List<String> holes = List.of();
    private List<LogForm.RejectLine> lines = new ArrayList<>();

    RejectList() {
        super(4);
    }

    /**
     * Shows the lines of a form.
     *
     * @param labels holes of the entry; empty for a group without holes
     * @param edited the form's lines; changed by what is done here
     */
    void show(List<String> labels, List<LogForm.RejectLine> edited) {
        holes = labels;
        lines = edited;
        fill();
    }

    /** One more, at the first hole. */
    void add() {
        lines.add(new LogForm.RejectLine(holes.isEmpty() ? "" : holes.getFirst(), Disposition.REPLACED, ""));
        fill();
    }

    private void fill() {
        getChildren().clear();
        Ui.shown(this, !lines.isEmpty());
        for (int i = 0; i < lines.size(); i++) {
            getChildren().add(line(i));
        }
    }

    private VBox line(int i) {
        LogForm.RejectLine line = lines.get(i);
        ComboBox<String> at = new ComboBox<>();
        at.getItems().setAll(holes);
        at.setValue(line.hole());
        at.setId("log-reject-hole-" + i);
        at.setAccessibleText("Rejected at hole");
        at.valueProperty()
                .addListener((o, was, now) -> lines.set(
                        i,
                        new LogForm.RejectLine(
                                now, lines.get(i).what(), lines.get(i).note())));
        ComboBox<Disposition> what = dispositions(line.what());
        what.setId("log-reject-what-" + i);
        what.valueProperty()
                .addListener((o, was, now) -> lines.set(
                        i,
                        new LogForm.RejectLine(
                                lines.get(i).hole(), now, lines.get(i).note())));
        TextField remark = new TextField(line.note());
        remark.setId("log-reject-note-" + i);
        remark.setPromptText("hole after drilling out, cause");
        remark.setAccessibleText("Remark about this reject");
        remark.textProperty()
                .addListener((o, was, now) -> lines.set(
                        i,
                        new LogForm.RejectLine(lines.get(i).hole(), lines.get(i).what(), now)));
        Button drop = Ui.button(
                "×",
                "",
                () -> {
                    lines.remove(i);
                    fill();
                },
                "quiet");
        drop.setAccessibleText("Take this reject away");
        HBox first = new HBox(4, at, what, drop);
        if (holes.isEmpty()) {
            first.getChildren().remove(at);
        }
        return new VBox(3, first, remark);
    }

    private static ComboBox<Disposition> dispositions(Disposition chosen) {
        ComboBox<Disposition> what = new ComboBox<>();
        what.getItems().setAll(Disposition.values());
        what.setValue(chosen);
        what.setAccessibleText("What was done about it");
        HBox.setHgrow(what, Priority.ALWAYS);
        what.setMaxWidth(Double.MAX_VALUE);
        what.setConverter(new Worded<>(d -> d.words()));
        return what;
    }
}
