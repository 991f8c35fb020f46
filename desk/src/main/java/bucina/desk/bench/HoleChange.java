package bucina.desk.bench;

import bucina.core.edit.HoleEdits;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.sheet.Point;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.layout.VBox;

/** The place of one hole, or how far the picked ones move; holes taken away and added. */
final class HoleChange extends ChangeForm {

    HoleChange(Desk desk, Consumer<String> refused) {
        super(desk, refused);
    }

    /** Fields for the picked holes. */
    void show(VBox body, HoleReading reading) {
        Set<Id.Hole> picked = desk.selectionProperty().get().holes();
        Fields f = new Fields();
        if (picked.size() == 1) {
            place(reading, f);
        } else {
            move(f, picked);
        }
        body.getChildren()
                .addAll(
                        Ui.label(picked.size() == 1 ? "Hole " + reading.label() : picked.size() + " holes", "strong"),
                        f,
                        buttons(
                                button("Delete", "Del", "hole-delete", this::delete),
                                button("Add one after", "A", "hole-add", this::addAfter)));
    }

    private void move(Fields f, Set<Id.Hole> picked) {
        f.committed(
                "Move across",
                "",
                "move-x",
                t -> reading(() -> {
                    double by = length(t).nanometres();
                    does("moving " + picked.size() + " holes", b -> HoleEdits.move(b, picked, by, 0));
                }));
        f.committed(
                "Move up",
                "",
                "move-y",
                t -> reading(() -> {
                    double by = length(t).nanometres();
                    does("moving " + picked.size() + " holes", b -> HoleEdits.move(b, picked, 0, by));
                }));
    }

    private void place(HoleReading reading, Fields f) {
        Point at = reading.hole().at();
        f.committed(
                "X, " + desk.unit().symbol(),
                exact(at.across()),
                "hole-x",
                t -> reading(() -> {
                    Point to = Point.at(length(t), at.up());
                    does(
                            "placing " + reading.label(),
                            b -> HoleEdits.place(b, reading.hole().id(), to));
                }));
        f.committed(
                "Y, " + desk.unit().symbol(),
                exact(at.up()),
                "hole-y",
                t -> reading(() -> {
                    Point to = Point.at(at.across(), length(t));
                    does(
                            "placing " + reading.label(),
                            b -> HoleEdits.place(b, reading.hole().id(), to));
                }));
    }

    /** Takes the picked holes away. */
    void delete() {
        Set<Id.Hole> picked = desk.selectionProperty().get().holes();
        if (!picked.isEmpty()) {
            does(
                    picked.size() == 1 ? "deleting a hole" : "deleting " + picked.size() + " holes",
                    b -> HoleEdits.delete(b, picked));
        }
    }

    /** Adds a hole half way to the next of the row, or one pitch on from the last. */
    void addAfter() {
        desk.cursor().ifPresent(c -> {
            List<Hole> holes = c.row().holes();
            int at = holes.indexOf(c.hole());
            Point p = c.hole().at();
            Point q;
            if (at + 1 < holes.size()) {
                Point n = holes.get(at + 1).at();
                q = new Point((p.x() + n.x()) / 2, (p.y() + n.y()) / 2);
            } else {
                Point n = at > 0 ? holes.get(at - 1).at() : new Point(p.x() - 25.4e6, p.y());
                q = new Point(2 * p.x() - n.x(), 2 * p.y() - n.y());
            }
            does(
                    "adding a hole to " + c.row().name(),
                    b -> HoleEdits.add(b, c.row().id(), q));
        });
    }
}
