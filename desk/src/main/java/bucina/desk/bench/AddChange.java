package bucina.desk.bench;

import bucina.core.edit.SheetEdits;
import bucina.core.form.Additions;
import bucina.core.plan.Id;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** What can be added to a face where nothing is picked, and zones that can be taken away. */
final class AddChange extends ChangeForm {

    AddChange(Desk desk, Consumer<String> refused) {
        super(desk, refused);
    }

    /** Fields for something new. */
    void show(VBox body) {
        Fields f = new Fields();
        TextField name = new TextField();
        TextField a = new TextField();
        TextField b = new TextField();
        TextField c = new TextField();
        ComboBox<Additions.Kind> kind = f.choice(
                "Add", List.of(Additions.Kind.values()), Additions.Kind.ROW, Additions.Kind::word, "add-kind", k -> {});
        Fields named = new Fields();
        Runnable titles = titles(named, kind, name, a, b, c);
        kind.valueProperty().addListener((o, was, now) -> titles.run());
        titles.run();
        Button go = go(kind, name, a, b, c);
        VBox zones = zones();
        body.getChildren()
                .addAll(
                        Ui.wrapped(
                                "Click a hole or a sheet to change it; drag holes, the square at a row's end, or an "
                                        + "edge. "
                                        + "Ctrl while dragging lets it go anywhere.",
                                "soft"),
                        f,
                        named,
                        go,
                        zones);
    }

    private VBox zones() {
        VBox zones = new VBox(4);
        desk.face()
                .face()
                .zones()
                .forEach(z -> zones.getChildren()
                        .add(buttons(button(
                                "Take away " + z.name(),
                                "",
                                "zone-drop-" + z.id().n(),
                                () -> does(
                                        "taking " + z.name() + " away",
                                        x -> SheetEdits.dropZone(
                                                x,
                                                desk.selectionProperty().get().face(),
                                                z.id()))))));
        return zones;
    }

    private Button go(ComboBox<Additions.Kind> kind, TextField name, TextField a, TextField b, TextField c) {
        Button go = button(
                "Add",
                "Enter",
                "add-go",
                () -> reading(() -> {
                    Additions addition = new Additions(
                            kind.getValue(), name.getText(), a.getText(), b.getText(), c.getText(), desk.lengths());
                    Id.Face face = desk.selectionProperty().get().face();
                    does("adding " + kind.getValue().word(), build -> addition.onto(build, face));
                }));
        go.setDefaultButton(true);
        return go;
    }

    private static Runnable titles(
            Fields named, ComboBox<Additions.Kind> kind, TextField name, TextField a, TextField b, TextField c) {
        return () -> {
            named.getChildren().clear();
            Additions.Kind k = kind.getValue();
            named.add(k.holes() ? "Callout or group" : "Name", name, "add-name");
            TextField[] fields = {a, b, c};
            for (int i = 0; i < 3; i++) {
                if (i < k.titles().size() && !k.titles().get(i).isEmpty()) {
                    named.add(k.titles().get(i), fields[i], "add-" + (i + 1));
                }
            }
        };
    }
}
