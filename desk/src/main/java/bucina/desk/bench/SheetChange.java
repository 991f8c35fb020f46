package bucina.desk.bench;

import bucina.core.edit.Edit;
import bucina.core.edit.PartEdits;
import bucina.core.edit.SheetEdits;
import bucina.core.form.Bends;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Flange;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** A sheet: its thickness, when its part goes on, where it lies in the stack. */
final class SheetChange extends ChangeForm {

    SheetChange(Desk desk, Consumer<String> refused) {
        super(desk, refused);
    }

    /** Fields for a sheet. */
    void show(VBox body, Layer layer) {
        Part part = desk.snapshot().build().part(layer.part());
        Fields f = new Fields();
        thickness(f, layer);
        order(f, part);
        flange(f, layer);
        List<Layer> layers = desk.face().face().layers();
        int place = layers.indexOf(layer) + 1;
        body.getChildren()
                .addAll(
                        Ui.label(layer.name(), "strong"),
                        Ui.wrapped(
                                "Sheet " + place + " of " + layers.size() + " from the near side. "
                                        + part.material().code() + ". Drag an edge on the sheet, or type.",
                                "soft"),
                        f,
                        keys(layer, part));
    }

    private FlowPane keys(Layer layer, Part part) {
        return buttons(
                button(
                        "Nearer",
                        "",
                        "sheet-nearer",
                        () -> does("moving " + layer.name() + " nearer", b -> SheetEdits.order(b, layer.id(), true))),
                button(
                        "Farther",
                        "",
                        "sheet-farther",
                        () -> does("moving " + layer.name() + " farther", b -> SheetEdits.order(b, layer.id(), false))),
                button(
                        part.fitted() ? "Take it off" : "Put it on, dry",
                        "D",
                        "sheet-fitted",
                        () -> does(
                                "saying whether " + part.name() + " is in place",
                                b -> PartEdits.stands(
                                        b,
                                        desk.session().snapshot().parts(),
                                        part.id(),
                                        part.fitted() ? Standing.OFF : Standing.DRY))),
                button(
                        desk.look().trimProperty().get() ? "Hide trim lines" : "Safe trim lines",
                        "Y",
                        "sheet-trim",
                        desk.look()::turnTrim),
                button(
                        "Delete this sheet",
                        "",
                        "sheet-drop",
                        () -> does("deleting " + layer.name(), b -> SheetEdits.drop(b, layer.id()))));
    }

    private void order(Fields f, Part part) {
        f.committed(
                "Goes on",
                Integer.toString(part.fittingOrder()),
                "sheet-order",
                t -> reading(() -> {
                    if (!t.strip().matches("\\d{1,4}")) {
                        throw new InputException(
                                "the fitting order must be a whole number like 3, was \"" + t.strip() + "\"");
                    }
                    does(
                            "changing when " + part.name() + " goes on",
                            b -> b.with(part.withFittingOrder(Integer.parseInt(t.strip()))));
                }));
    }

    /** Where it is bent away from the face, to which side, and how high that stands: tools keep off it. */
    private void flange(Fields f, Layer layer) {
        Flange is = layer.flange();
        TextField bends = f.committed(
                "Bends, " + desk.unit().symbol(),
                Bends.words(is.bends(), this::exact),
                "sheet-bends",
                t -> reading(() -> flange(layer, is.with(Bends.parse(t, desk.lengths())))));
        bends.setPromptText(".4, 0 to .4, 12");
        if (is.bends().isEmpty()) {
            return;
        }
        f.choice(
                "Flange stands",
                List.of(Flange.Stands.values()),
                is.stands(),
                Flange.Stands::word,
                "sheet-stands",
                side -> flange(layer, is.with(side, is.height())));
        TextField high = f.committed(
                "Flange, high",
                is.height().positive() ? exact(is.height()) : "",
                "sheet-high",
                t -> reading(() -> flange(
                        layer,
                        is.with(
                                is.stands(),
                                t.isBlank() ? Length.ZERO : desk.lengths().parsePositive(t, "height")))));
        high.setPromptText("not measured");
    }

    private void flange(Layer layer, Flange flange) {
        if (!flange.equals(layer.flange())) {
            does("saying how " + layer.name() + " is bent", b -> Edit.layer(b, layer.id(), l -> l.with(flange)));
        }
    }

    private void thickness(Fields f, Layer layer) {
        f.committed(
                "Thickness, " + desk.unit().symbol(),
                exact(layer.thickness()),
                "sheet-thickness",
                t -> reading(() -> {
                    Length thickness = desk.lengths().parsePositive(t, "thickness");
                    does(
                            "changing the thickness of " + layer.name(),
                            b -> Edit.layer(b, layer.id(), l -> l.withThickness(thickness)));
                }));
    }
}
