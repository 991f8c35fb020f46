package bucina.desk.parts;

import bucina.core.plan.Id;
import bucina.desk.look.Scroll;
import bucina.desk.look.Steps;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.PartLines;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** One part, open: how it stands, what is owed, where it lies, what is said of it. */
final class PartDetail extends Scroll {

    private final Label title = Ui.wrapped("", "bench-title");
    private final Label stands = Ui.wrapped("", "soft");
    private final VBox body = new VBox(14);
    /** Fills in the rest with frames between. */
    private final Steps rest = new Steps();

    private Optional<Id.Part> naming = Optional.empty();
    private final PartStands standing;
    private final PartOwes owes;
    private final PartSheets sheets;
    private final PartFacts facts;
    private final Label none = Ui.wrapped(
            "No part is listed. Parts come with the sheets you make or bring in; one that is not drawn is added here.",
            "soft");

    PartDetail(Desk desk, Consumer<String> refused) {
        standing = new PartStands(desk, refused);
        owes = new PartOwes(desk, refused);
        sheets = new PartSheets(desk, refused);
        facts = new PartFacts(desk, refused);
        body.setPadding(new Insets(4, 18, 14, 18));
        setContent(body);
        setPrefWidth(430);
        setMinWidth(430);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        setFocusTraversable(false);
        setId("part-detail");
    }

    /**
     * Shows a part.
     *
     * @param all every part, for what is chosen among others
     */
    void show(Optional<PartLines.Line> line, List<PartLines.Line> all) {
        if (line.isEmpty()) {
            body.getChildren().setAll(none);
            return;
        }
        PartLines.Line part = line.get();
        String number = part.part().particulars().number();
        title.setText(part.part().name() + (number.isEmpty() ? "" : "  " + number));
        stands.setText(part.part().kind().word() + ", " + part.part().material().code() + "; " + part.stands() + ".");
        standing.show(part);
        if (body.getChildren().isEmpty() || body.getChildren().getFirst() == none) {
            body.getChildren().setAll(title, stands, standing);
        }
        rest.begin(List.of(
                () -> put(owes, () -> owes.show(part, all)),
                () -> put(sheets, () -> sheets.show(part)),
                () -> sheets.change(part, all),
                () -> put(facts, () -> facts.show(part)),
                () -> facts.kind(part),
                () -> facts.more(part),
                () -> named(part.part().id()),
                () -> setAccessibleText(part.part().name() + " " + stands.getText())));
    }

    private void put(Node section, Runnable filled) {
        filled.run();
        if (!body.getChildren().contains(section)) {
            body.getChildren().add(section);
        }
    }

    /** Shows nothing. */
    void empty() {
        rest.stop();
        body.getChildren().clear();
    }

    /** Puts the keyboard into the name of a part, once it is there. */
    void name(Id.Part part) {
        naming = Optional.of(part);
    }

    private void named(Id.Part part) {
        if (naming.filter(part::equals).isPresent()) {
            naming = Optional.empty();
            facts.nameIt();
            setVvalue(1);
        }
    }
}
