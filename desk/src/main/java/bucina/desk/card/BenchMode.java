package bucina.desk.card;

import bucina.core.measure.LengthFormat;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.RowModel;
import bucina.desk.session.Selection;
import bucina.desk.session.Suggestion;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The current job in type that reads from three metres, with targets for one knuckle. */
public final class BenchMode extends VBox {

    private final Desk desk;
    private final Runnable away;

    /**
     * @param away goes back to the sheet
     */
    public BenchMode(Desk desk, Runnable away) {
        super(14);
        this.desk = desk;
        this.away = away;
        getStyleClass().add("bench-mode");
        setId("bench-mode");
        setPadding(new Insets(34, 44, 30, 44));
        setFocusTraversable(true);
        desk.selectionProperty().addListener((o, was, now) -> fill());
        desk.session().snapshotProperty().addListener((o, was, now) -> fill());
        fill();
    }

    private void fill() {
        getChildren().clear();
        Optional<Suggestion> job = Suggestion.of(desk);
        Button back = Ui.button("Back to the sheet", "B", away, "knuckle");
        if (job.isEmpty()) {
            getChildren().addAll(Ui.wrapped(desk.cursor().isPresent() ? "All picked holes are set." : "No job picked.", "bench-big"),
                    Ui.wrapped("Pick a row or a group on the sheet, then press B.", "bench-mid"), grow(), new HBox(14, back));
            return;
        }
        Suggestion s = job.get();
        getChildren().addAll(Ui.wrapped(s.group().code() + "  " + s.group().name() + ", " + desk.face().face().name(), "bench-mid"),
                Ui.label(s.solution().dash(), "bench-huge"),
                Ui.label(s.solution().designation().orElse("no rivet does"), "bench-large"),
                Ui.label(s.count() + " of them, " + s.where(), "bench-mid"));
        s.gap().ifPresent(g -> getChildren().add(Ui.label("Gap " + LengthFormat.decimal(g, desk.unit(), 3) + "   grip "
                + LengthFormat.decimal(s.solution().grip(), desk.unit(), 3), "bench-large")));
        next(s).ifPresent(text -> getChildren().add(Ui.wrapped(text, "bench-next")));
        getChildren().addAll(grow(), new HBox(14, Ui.button("Hole before", "Left", () -> step(-1), "knuckle"), Ui.button("Next hole", "Right", () -> step(1),
                "knuckle"),
                Ui.spring(), back));
        ((HBox) getChildren().getLast()).setAlignment(Pos.CENTER_LEFT);
    }

    private static Region grow() {
        Region region = new Region();
        VBox.setVgrow(region, Priority.ALWAYS);
        return region;
    }

    /** Where the length changes next along the row. */
    private Optional<String> next(Suggestion s) {
        Optional<RowModel> row = desk.row();
        int at = row.flatMap(r -> desk.cursor().map(c -> r.place(c.hole().id()))).orElse(-1);
        return row.flatMap(r -> r.runs().stream().filter(run -> run.from() > at && !run.dash().equals(s.solution().dash())).findFirst()
                .map(run -> "Then " + run.dash() + " from hole " + r.cells().get(run.from()).reading().hole().label()
                        + (run.cause().isEmpty() ? "" : ": " + run.cause())));
    }

    private void step(int by) {
        Selection selection = desk.selectionProperty().get();
        desk.selectionProperty().set(selection.along(desk.face(), by, false));
    }
}
