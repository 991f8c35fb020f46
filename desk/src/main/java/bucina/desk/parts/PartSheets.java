package bucina.desk.parts;

import bucina.core.edit.PartEdits;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Desk;
import bucina.desk.session.PartLines;
import bucina.desk.sheet.PartMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Where a part lies, lit up on every face; joined with another part, or made two; what it is mixed up with. */
final class PartSheets extends VBox {

    private static final int WIDE = 380;
    private static final int MOST_HIGH = 120;

    /** So many are shown at once; the rest are asked for. */
    private static final int MOST = 4;

    private final Desk desk;
    private final Consumer<String> refused;
    private final Set<Id.Layer> picked = new LinkedHashSet<>();

    PartSheets(Desk desk, Consumer<String> refused) {
        super(8);
        this.desk = desk;
        this.refused = refused;
    }

    /** Shows where a part lies and what it is mixed up with. */
    void show(PartLines.Line line) {
        getChildren().clear();
        picked.clear();
        Part part = line.part();
        List<PartStates.On> lies = desk.snapshot().parts().lies(part.id());
        getChildren().add(Ui.label(lies.isEmpty() ? "Lies on no face" : "Lies on", "strong"));
        VBox sheets = new VBox(8);
        lies.stream().limit(MOST).forEach(on -> sheets.getChildren().add(sheet(part, on, lies.size() > 1)));
        getChildren().add(sheets);
        if (lies.size() > MOST) {
            Button rest = Ui.button("and " + (lies.size() - MOST) + " more sheets", "", () -> {}, "quiet");
            rest.setOnAction(e -> {
                getChildren().remove(rest);
                lies.stream().skip(MOST).forEach(on -> sheets.getChildren().add(sheet(part, on, true)));
            });
            getChildren().add(rest);
        }
        if (!line.likes().isEmpty()) {
            getChildren().add(Ui.label("Easily mixed up with", "strong"));
            line.likes().forEach(l -> getChildren().add(alike(l.other(), l.why())));
        }
    }

    /** Adds what makes one part of two, or two of one. */
    void change(PartLines.Line line, List<PartLines.Line> all) {
        Part part = line.part();
        join(part, all);
        if (desk.snapshot().parts().lies(part.id()).size() > 1) {
            split(part);
        }
        instead(part, all);
    }

    private VBox sheet(Part part, PartStates.On on, boolean several) {
        Button go = Ui.button(
                on.face().name() + ": " + on.layer().name(),
                "",
                () -> {
                    desk.show(on.face().id());
                    desk.layerProperty().set(Optional.of(on.layer().id()));
                },
                "quiet");
        go.setId("part-sheet-" + on.layer().id().n());
        HBox line = new HBox(6);
        line.setAlignment(Pos.CENTER_LEFT);
        if (several) {
            CheckBox box = new CheckBox();
            box.setId("split-" + on.layer().id().n());
            box.setAccessibleText(on.layer().name() + " goes to a part of its own");
            box.selectedProperty().addListener((o, was, now) -> {
                if (now) {
                    picked.add(on.layer().id());
                } else {
                    picked.remove(on.layer().id());
                }
            });
            line.getChildren().add(box);
        }
        line.getChildren().add(go);
        return new VBox(2, line, new PartMap(desk, on.face().id(), part.id(), WIDE, MOST_HIGH));
    }

    private Button alike(Part other, String why) {
        Button go = Ui.button(
                other.name() + ": " + why, "", () -> desk.partProperty().set(Optional.of(other.id())), "quiet");
        go.setWrapText(true);
        return go;
    }

    private void join(Part part, List<PartLines.Line> all) {
        ComboBox<Part> with = others(part, all, "join-with", "Which part is the same as " + part.name());
        Button join = Ui.button("is the same part: join", "", () -> {
            if (with.getValue() == null) {
                refused.accept("Choose the part that is the same one as " + part.name() + ".");
                return;
            }
            Part other = with.getValue();
            plan(part.name() + " and " + other.name() + " are one part", b -> PartEdits.join(b, part.id(), other.id()));
        });
        join.setId("part-join");
        join.setDisable(desk.session().readOnly());
        line(with, join);
    }

    private ComboBox<Part> others(Part part, List<PartLines.Line> all, String id, String words) {
        ComboBox<Part> box = new ComboBox<>();
        box.setId(id);
        box.setAccessibleText(words);
        box.setPromptText("another part");
        box.setConverter(new Worded<>(Part::name));
        // Filled when it is opened: a build has hundreds of parts.
        box.setOnShowing(e -> {
            if (box.getItems().isEmpty()) {
                box.getItems()
                        .setAll(all.stream()
                                .map(PartLines.Line::part)
                                .filter(p -> !p.id().equals(part.id()))
                                .toList());
            }
        });
        box.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(box, Priority.ALWAYS);
        return box;
    }

    private void split(Part part) {
        TextField name = new TextField();
        name.setId("split-name");
        name.setPromptText("name of the new part");
        name.setAccessibleText("Name of the part that the ticked sheets become");
        HBox.setHgrow(name, Priority.ALWAYS);
        Runnable go = () -> {
            Set<Id.Layer> sheets = new LinkedHashSet<>(picked);
            plan(
                    "splitting " + part.name(),
                    b -> PartEdits.split(b, part.id(), sheets, name.getText().strip()));
        };
        Button split = Ui.button("ticked sheets: split", "", go);
        split.setId("part-split");
        split.setDisable(desk.session().readOnly());
        line(name, split);
    }

    /** An older version is not thrown away: it is labelled, and what takes its place is named. */
    private void instead(Part part, List<PartLines.Line> all) {
        ComboBox<Part> newer = others(part, all, "part-instead", "Which part takes the place of " + part.name());
        part.particulars()
                .instead()
                .ifPresent(i -> newer.setValue(desk.snapshot().parts().part(i)));
        Button set = Ui.button("takes its place", "", () -> {
            Optional<Id.Part> by = Optional.ofNullable(newer.getValue()).map(Part::id);
            plan(
                    part.name() + " is replaced",
                    b -> PartEdits.part(
                            b, part.id(), p -> p.with(p.particulars().withInstead(by))));
        });
        set.setId("part-instead-set");
        set.setDisable(desk.session().readOnly());
        line(newer, set);
    }

    private void line(Node field, Button go) {
        HBox line = new HBox(6, field, go);
        line.setAlignment(Pos.CENTER_LEFT);
        getChildren().add(line);
    }

    private void plan(String words, UnaryOperator<Build> change) {
        desk.session().plan(words, change, () -> {}, refused);
    }
}
