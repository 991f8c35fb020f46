package bucina.desk.bench;

import bucina.core.edit.HoleEdits;
import bucina.core.form.Additions;
import bucina.core.layout.Rows;
import bucina.core.measure.Length;
import bucina.core.plan.Row;
import bucina.core.plan.Zone;
import bucina.core.sheet.Point;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Selection;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** A row: its pitch, a second row beside it, joined with another or parted. */
final class RowChange extends ChangeForm {

    private final Runnable stations;

    RowChange(Desk desk, Consumer<String> refused, Runnable stations) {
        super(desk, refused);
        this.stations = stations;
    }

    /** Fields for the row of a hole. */
    void show(VBox body, HoleReading reading) {
        Row row = reading.row();
        Fields f = new Fields();
        if (row.holes().size() > 1) {
            spacing(f, row, reading);
        }
        List<Row> others = reading.group().rows().stream().filter(r -> r != row).toList();
        if (!others.isEmpty()) {
            f.choice(
                    "Join with",
                    others,
                    null,
                    Row::name,
                    "row-join",
                    r -> does("joining " + row.name() + " and " + r.name(), b -> HoleEdits.join(b, row.id(), r.id())));
        }
        keys(body, row, f, reading);
    }

    private void keys(VBox body, Row row, Fields f, HoleReading reading) {
        body.getChildren()
                .addAll(
                        Ui.label("Row " + row.name() + ", " + row.holes().size() + " holes", "strong"),
                        f,
                        buttons(
                                button("Stations", "S", "row-stations", stations),
                                button(
                                        "Part the row here",
                                        "",
                                        "row-split",
                                        () -> does(
                                                "parting " + row.name(),
                                                b -> HoleEdits.split(
                                                        b,
                                                        row.id(),
                                                        reading.hole().id())))));
    }

    private void spacing(Fields f, Row row, HoleReading reading) {
        TextField pitch = f.committed("Pitch, or 18x", "", "row-pitch", t -> reading(() -> lay(row, t)));
        pitch.setPromptText(row.holes().size() + "x now");
        TextField gauge = f.committed(
                "Second row at",
                "",
                "row-stagger",
                t -> reading(() -> {
                    List<Point> points =
                            Rows.staggered(row.holes().stream().map(h -> h.at()).toList(), length(t));
                    does(
                            "adding a staggered row",
                            b -> HoleEdits.addRow(b, reading.group().id(), points));
                }));
        gauge.setPromptText("gauge, staggered");
    }

    private void lay(Row row, String typed) {
        Rows.Spacing spacing = Additions.spacing(typed, desk.lengths());
        List<Point> points = points(row, spacing);
        Selection keep = desk.selectionProperty().get();
        does(
                "laying out " + row.name(),
                b -> HoleEdits.lay(b, row.id(), points),
                () -> desk.selectionProperty().set(Selection.row(desk.face(), row.id(), keep.cursor())));
    }

    private List<Point> points(Row row, Rows.Spacing spacing) {
        return Rows.around(
                row.holes().getFirst().at(),
                row.holes().getLast().at(),
                spacing,
                desk.face().face().zones().stream()
                        .filter(z -> z.kind() == Zone.Kind.KEEP_OUT)
                        .map(Zone::outline)
                        .toList(),
                Length.mm(1.5));
    }
}
