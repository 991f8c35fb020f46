package bucina.desk.card;

import bucina.core.form.AsFound;
import bucina.core.log.Labour;
import bucina.core.measure.InputException;
import bucina.core.plan.Group;
import bucina.core.plan.Row;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Fasteners that were in before the build was followed here: a group, or a row of it. */
final class FoundFields extends VBox {

    private final Desk desk;
    private final ComboBox<Group> group;
    private final ComboBox<Optional<Row>> row;

    FoundFields(Desk desk) {
        super(6);
        this.desk = desk;
        Fields f = new Fields();
        List<Group> groups = desk.snapshot().build().faces().stream()
                .flatMap(r -> r.face().groups().stream())
                .toList();
        Group first = desk.cursor()
                .map(c -> c.group())
                .or(() -> groups.stream().findFirst())
                .orElse(null);
        group = f.choice("Group", groups, first, g -> g.code() + " " + g.name(), "work-group", this::rows);
        row = f.choice(
                "Row",
                List.of(Optional.empty()),
                Optional.empty(),
                r -> r.map(Row::name).orElse("all of it"),
                "work-row",
                r -> {});
        rows(first);
        getChildren()
                .addAll(
                        f,
                        Ui.wrapped(
                                "They count as done, without date, hours or proof. The logbook can withdraw them.",
                                "soft"));
    }

    private void rows(@Nullable Group of) {
        List<Optional<Row>> rows = new ArrayList<>(List.of(Optional.empty()));
        if (of != null) {
            of.rows().forEach(r -> rows.add(Optional.of(r)));
        }
        row.getItems().setAll(rows);
        row.setValue(Optional.empty());
    }

    /**
     * The entry of what was found.
     *
     * @throws InputException if there is no group, or all of it is logged
     */
    Labour labour(String note) {
        if (group.getValue() == null) {
            throw new InputException("no group is planned yet: plan the fasteners first, then say that they are in");
        }
        Snapshot now = desk.session().snapshot();
        Labour.Found found = AsFound.group(
                group.getValue(), now.log(), row.getValue().map(List::of).orElse(List.of()));
        return AsFound.labour(found, group.getValue().page(), desk.session().now(), note);
    }
}
