package bucina.desk.parts;

import bucina.core.edit.PartEdits;
import bucina.core.form.AsFound;
import bucina.core.form.PartForm;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.PartLines;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.input.DataFormat;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** How a part stands, said with a key or a button; for good face by face. */
final class PartStands extends VBox {

    /** A part of the list on its way to how it stands. */
    static final DataFormat PART = new DataFormat("application/x-bucina-part");

    private static final PseudoClass HERE = PseudoClass.getPseudoClass("here");
    private static final PseudoClass OVER = PseudoClass.getPseudoClass("over");

    private final Desk desk;
    private final Consumer<String> refused;

    PartStands(Desk desk, Consumer<String> refused) {
        super(8);
        this.desk = desk;
        this.refused = refused;
    }

    void show(PartLines.Line line) {
        getChildren().clear();
        Part part = line.part();
        FlowPane ways = new FlowPane(4, 4);
        for (Standing standing : Standing.values()) {
            Button button = Ui.button(standing.word(), PartsRoom.key(standing), () -> stands(part, standing), "stage");
            button.setId("stands-" + standing.code());
            button.pseudoClassStateChanged(HERE, line.standing() == standing);
            button.setAccessibleText(
                    part.name() + " is " + standing.word() + (line.standing() == standing ? ", chosen" : ""));
            button.setDisable(desk.session().readOnly());
            takes(button, standing);
            ways.getChildren().add(button);
        }
        getChildren().add(ways);
        if (part.standing().away()) {
            due(part);
        }
        forGood(part);
        if (!desk.snapshot().log().found(part.id())) {
            found(part);
        } else {
            getChildren()
                    .add(Ui.wrapped("Found finished, as it is: nothing is owed to it, nothing is proved.", "soft"));
        }
    }

    /** A line of the list let go over how it stands. */
    private void takes(Button button, Standing standing) {
        button.setOnDragOver(e -> {
            if (e.getDragboard().hasContent(PART)) {
                e.acceptTransferModes(TransferMode.MOVE);
            }
        });
        button.setOnDragEntered(e -> button.pseudoClassStateChanged(OVER, true));
        button.setOnDragExited(e -> button.pseudoClassStateChanged(OVER, false));
        button.setOnDragDropped(e -> {
            Id.Part id = new Id.Part((Long) e.getDragboard().getContent(PART));
            stands(desk.session().snapshot().build().part(id), standing);
            e.setDropCompleted(true);
        });
    }

    private void due(Part part) {
        Fields fields = new Fields();
        fields.committed(
                "Due",
                part.particulars().due().map(Object::toString).orElse(""),
                "part-due",
                text -> plan(
                        part.name() + " is due " + text,
                        b -> new PartForm(null, null, null, null, null, null, null, null, text, null, desk.lengths())
                                .set(b, desk.session().snapshot().parts(), part.id())));
        getChildren().add(fields);
    }

    private void forGood(Part part) {
        PartStates states = desk.snapshot().parts();
        for (Face face : states.faces(part.id())) {
            boolean good = states.forGood(part.id(), face.id());
            boolean said = part.particulars().forGood().contains(face.id()) || part.standing() == Standing.ON;
            CheckBox box = new CheckBox("on for good on " + face.name() + (good && !said ? ", rivets hold it" : ""));
            box.setSelected(good);
            box.setId("good-" + face.id().n());
            box.setDisable(desk.session().readOnly() || good && !said);
            box.setOnAction(e -> plan(
                    part.name() + (good ? " is not on for good on " : " is on for good on ") + face.name(),
                    b -> PartEdits.forGood(b, part.id(), face.id(), !good)));
            getChildren().add(box);
        }
    }

    private void found(Part part) {
        Button button = Ui.button("It was found finished, as it is", "", () -> asFound(part), "quiet");
        button.setId("part-found");
        button.setDisable(desk.session().readOnly());
        getChildren().add(button);
    }

    /** One entry, nobody knows of which day; it stands in the log and can be withdrawn. */
    private void asFound(Part part) {
        Labour.Found found = AsFound.parts(
                desk.session().snapshot().derivation(),
                desk.session().snapshot().log(),
                List.of(part.id()));
        desk.session()
                .log(
                        LogEntry.Draft.install(AsFound.labour(
                                found, part.particulars().page(), desk.session().now(), "")),
                        List.of(),
                        e -> {},
                        refused);
    }

    private void stands(Part part, Standing standing) {
        plan(
                part.name() + " is " + standing.word(),
                b -> PartEdits.stands(b, desk.session().snapshot().parts(), part.id(), standing));
    }

    private void plan(String words, UnaryOperator<Build> change) {
        desk.session().plan(words, change, () -> {}, refused);
    }
}
