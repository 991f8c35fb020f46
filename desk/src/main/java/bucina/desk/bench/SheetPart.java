package bucina.desk.bench;

import bucina.core.edit.Edit;
import bucina.core.edit.PartEdits;
import bucina.core.edit.SheetEdits;
import bucina.core.form.PanelForm;
import bucina.core.form.SheetForm;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Come;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import bucina.core.plan.Row;
import bucina.core.plan.SheetHoles;
import bucina.core.plan.Standing;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Desk;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Whose sheet it is, how its holes come from the kit, and openings cut into it. */
final class SheetPart extends ChangeForm {

    private Optional<Id.Row> row = Optional.empty();

    SheetPart(Desk desk, Consumer<String> refused) {
        super(desk, refused);
    }

    /** Fields for a sheet. */
    void show(VBox body, Layer layer) {
        Fields f = new Fields();
        f.committed(
                "Name",
                layer.name(),
                "sheet-name",
                t -> does("naming " + t, b -> Edit.layer(b, layer.id(), l -> l.named(t.strip()))));
        part(f, layer);
        come(f, layer);
        TextField at = new TextField();
        TextField size = new TextField();
        at.setPromptText("x, y of its centre");
        size.setPromptText("diameter, or wide x high");
        f.add("Opening at", at, "opening-at");
        f.add("Its size", size, "opening-size");
        body.getChildren()
                .addAll(
                        f,
                        buttons(
                                button("Cut the opening", "", "opening-cut", () -> reading(() -> cut(layer, at, size))),
                                button("Part", Desk.Room.PARTS.key(), "sheet-part", () -> {
                                    desk.partProperty().set(Optional.of(layer.part()));
                                    desk.roomProperty().set(Desk.Room.PARTS);
                                })));
        openings(body, layer);
    }

    private void openings(VBox body, Layer layer) {
        List<Ring> openings = layer.outline().openings();
        for (int i = 0; i < openings.size(); i++) {
            int number = i;
            var box = openings.get(i).box();
            String where = exact(Length.nm((box.minX() + box.maxX()) / 2)) + ", "
                    + exact(Length.nm((box.minY() + box.maxY()) / 2));
            body.getChildren()
                    .add(Ui.button(
                            "Close the opening at " + where,
                            "",
                            () -> does("closing an opening", b -> SheetEdits.close(b, layer.id(), number)),
                            "quiet"));
        }
    }

    /** The part it is a sheet of: another that is there, or one of its own. */
    private void part(Fields f, Layer layer) {
        Build now = desk.snapshot().build();
        Part mine = now.part(layer.part());
        List<Optional<Part>> choices = new ArrayList<>();
        now.parts().forEach(p -> choices.add(Optional.of(p)));
        choices.add(Optional.empty());
        f.choice(
                "Is a sheet of",
                choices,
                Optional.of(mine),
                p -> p.map(Part::name).orElse("a part of its own"),
                "sheet-of",
                p -> {
                    if (p.isPresent()) {
                        does(
                                layer.name() + " is a sheet of " + p.get().name(),
                                b -> PartEdits.give(b, layer.id(), p.get().id()));
                    } else {
                        does(layer.name() + " is a part of its own", b -> own(b, layer, mine));
                    }
                });
    }

    private static Build own(Build build, Layer layer, Part like) {
        Part part = new Part(
                new Id.Part(build.nextId()),
                layer.name(),
                like.material(),
                like.fittingOrder(),
                Standing.DRY,
                like.kind(),
                Particulars.NONE);
        return PartEdits.give(PartEdits.add(build, part), layer.id(), part.id());
    }

    private void come(Fields f, Layer layer) {
        List<Optional<Row>> rows = rows(layer);
        Optional<Row> of = rows.stream()
                .filter(r -> r.map(Row::id).equals(row))
                .findFirst()
                .orElse(Optional.empty());
        Come said = of.map(r -> layer.holes().of(r.id())).orElse(layer.holes().come());
        TextField diameter = new TextField(said.diameter().map(this::exact).orElse(""));
        ComboBox<Come.State> state = new ComboBox<>();
        f.choice("Holes of", rows, of, r -> r.map(Row::name).orElse("every row"), "sheet-come-row", r -> {
            row = r.map(Row::id);
            Come other =
                    r.map(o -> layer.holes().of(o.id())).orElse(layer.holes().come());
            diameter.setText(other.diameter().map(this::exact).orElse(""));
            state.setValue(other.state());
        });
        state.getItems().setAll(Come.State.values());
        state.setConverter(new Worded<>(Come.State::word));
        state.setValue(said.state());
        f.add("They come", state, "sheet-come");
        // Also told when another row is shown, whose word is then the one that stands already.
        state.valueProperty().addListener((o, was, now) -> reading(() -> come(layer, now, diameter.getText())));
        diameter.setPromptText("#40, .098");
        f.add("With diameter", diameter, "sheet-come-size");
        Fields.committing(diameter, t -> reading(() -> come(layer, state.getValue(), t)));
        f.committed(
                        "Not called for",
                        SheetForm.words(layer.holes().uncalled(), desk.unit()),
                        "sheet-uncalled",
                        t -> reading(() -> uncalled(layer, t)))
                .setPromptText("3.2, 1.5, .098; x, y and diameter of each");
    }

    /** Every row together, then each that goes through a sheet. */
    private List<Optional<Row>> rows(Layer layer) {
        List<Optional<Row>> rows = new ArrayList<>(List.of(Optional.empty()));
        desk.face().readings().stream()
                .filter(r -> r.layers().contains(layer))
                .map(r -> Optional.of(r.row()))
                .distinct()
                .forEach(rows::add);
        return rows;
    }

    private void come(Layer layer, Come.@Nullable State state, String text) {
        Come.State said = state == null ? Come.State.UNKNOWN : state;
        Optional<Length> size = text.isBlank() || !said.there()
                ? Optional.empty()
                : Optional.of(desk.lengths().parsePositive(text, "the diameter its holes come with"));
        Come come = new Come(said, size);
        Optional<Id.Row> of = row;
        if (come.equals(of.map(layer.holes()::of).orElse(layer.holes().come()))) {
            return;
        }
        does(
                "the holes of " + layer.name() + " come " + said.word(),
                b -> Edit.layer(
                        b,
                        layer.id(),
                        l -> l.with(of.map(r -> l.holes().with(r, come))
                                .orElseGet(() -> l.holes().all(come)))));
    }

    private void uncalled(Layer layer, String text) {
        List<SheetHoles.Uncalled> holes = SheetForm.uncalled(text, desk.lengths());
        does(
                "holes of " + layer.name() + " that nobody calls for",
                b -> Edit.layer(b, layer.id(), l -> l.with(l.holes().withUncalled(holes))));
    }

    private void cut(Layer layer, TextField at, TextField size) {
        Point centre = PanelForm.point(at.getText(), desk.lengths());
        Ring ring = ring(centre, size.getText());
        does("cutting an opening into " + layer.name(), b -> SheetEdits.cut(b, layer.id(), ring));
    }

    private Ring ring(Point centre, String size) {
        String[] pair = size.strip().split("\\s*[xX×]\\s*", -1);
        if (pair.length == 1) {
            return Ring.circle(
                    centre,
                    desk.lengths()
                            .parsePositive(pair[0], "the diameter of an opening")
                            .times(.5));
        }
        if (pair.length != 2) {
            throw new InputException("the size of an opening is a diameter like 2, or wide x high like 4 x 2.5, was \""
                    + size.strip() + "\"");
        }
        double w =
                desk.lengths().parsePositive(pair[0], "how wide an opening is").nanometres() / 2;
        double h =
                desk.lengths().parsePositive(pair[1], "how high an opening is").nanometres() / 2;
        return Ring.polygon(List.of(
                new Point(centre.x() - w, centre.y() - h),
                new Point(centre.x() + w, centre.y() - h),
                new Point(centre.x() + w, centre.y() + h),
                new Point(centre.x() - w, centre.y() + h)));
    }
}
