package bucina.desk.bench;

import static bucina.desk.session.Command.Scope.SHEET;

import bucina.core.stack.HoleReading;
import bucina.core.stack.StackCheck;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Changes what is picked by typed values: holes, their row and group, a sheet; with nothing picked it adds. */
final class ChangePanel extends StagePanel {

    private final Desk desk;
    private final Label error = Ui.wrapped("", "stop-text");
    private final VBox body = new VBox(8);
    private final FindingsView findings;
    private final HoleChange holes;
    private final RowChange row;
    private final GroupChange group;
    private final SheetChange sheet;
    private final HoleDiffers differs;
    private final SheetPart sheetPart;
    private final AddChange add;
    private @Nullable Object shown;

    /**
     * @param stations shows the running dimensions of the row
     */
    ChangePanel(Desk desk, Runnable stations) {
        super(8);
        this.desk = desk;
        holes = new HoleChange(desk, this::refuse);
        row = new RowChange(desk, this::refuse, stations);
        group = new GroupChange(desk, this::refuse);
        sheet = new SheetChange(desk, this::refuse);
        differs = new HoleDiffers(desk, this::refuse);
        sheetPart = new SheetPart(desk, this::refuse);
        add = new AddChange(desk, this::refuse);
        setId("change-panel");
        Ui.shown(error, false);
        findings = new FindingsView(desk, this::fill);
        getChildren().addAll(findings, error, body);
    }

    /** Shows the fields for what is picked now; what is being typed stays while the same thing is picked. */
    @Override
    void fill() {
        findings.show(desk.cursor()
                .map(c -> StackCheck.findings(desk.face().face(), c))
                .orElse(List.of()));
        if (desk.attempting()) {
            return;
        }
        Object key = List.of(
                desk.selectionProperty().get(),
                desk.layerProperty().get(),
                desk.snapshot().build(),
                desk.unit());
        if (key.equals(shown)) {
            return;
        }
        shown = key;
        body.getChildren().clear();
        body();
    }

    private void body() {
        Optional<HoleReading> cursor = desk.cursor();
        if (cursor.isPresent()) {
            holes.show(body, cursor.get());
            differs.show(body, cursor.get());
            row.show(body, cursor.get());
            group.show(body, cursor.get());
        } else if (desk.layer().isPresent()) {
            sheet.show(body, desk.layer().get());
            sheetPart.show(body, desk.layer().get());
        } else {
            add.show(body);
        }
    }

    private void refuse(String sentence) {
        error.setText(sentence);
        Ui.shown(error, !sentence.isEmpty());
    }

    @Override
    public void use(Palette colours, double scale) {
        findings.use(colours);
    }

    @Override
    List<Command> commands() {
        return List.of(
                Command.changes("delete-holes", "Delete the picked holes", "Del", SHEET, holes::delete),
                Command.changes("add-hole", "Add a hole after this one", "A", SHEET, holes::addAfter));
    }
}
