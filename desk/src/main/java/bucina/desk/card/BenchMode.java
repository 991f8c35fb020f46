package bucina.desk.card;

import bucina.core.measure.LengthFormat;
import bucina.core.measure.Sentence;
import bucina.core.plan.Id;
import bucina.core.prove.DrillOutGuide;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Palette;
import bucina.desk.look.ShownPane;
import bucina.desk.look.Ui;
import bucina.desk.section.SectionView;
import bucina.desk.session.Desk;
import bucina.desk.session.HoleLook;
import bucina.desk.session.Selection;
import bucina.desk.session.Stage;
import bucina.desk.session.Suggestion;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The current job in type that reads from three metres, with targets for one knuckle. */
public final class BenchMode extends ShownPane {

    private final Desk desk;
    private final Runnable away;
    private final VBox words = new VBox(14);
    private final HBox targets = new HBox(14);
    private final SectionView section = new SectionView();

    /**
     * @param away goes back to the sheet
     */
    public BenchMode(Desk desk, Palette palette, Runnable away) {
        this.desk = desk;
        this.away = away;
        getStyleClass().add("bench-mode");
        setId("bench-mode");
        setPadding(new Insets(30, 44, 30, 44));
        setFocusTraversable(true);
        section.use(palette, 1.7);
        section.setPrefSize(520, 470);
        targets.setAlignment(Pos.CENTER_LEFT);
        setCenter(words);
        setRight(section);
        setBottom(targets);
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        ties.on(desk.selectionProperty(), this::fill);
        ties.on(desk.snapshotProperty(), this::fill);
        ties.on(desk.over().proofProperty(), this::fill);
        fill();
    }

    /** The job: what is picked, or if that is one hole, all like it in its row. */
    private Optional<Suggestion> job() {
        Selection selection = desk.selectionProperty().get();
        return selection.holes().size() == 1
                ? desk.cursor()
                        .flatMap(c -> Suggestion.of(
                                desk,
                                Selection.row(
                                        desk.face(),
                                        c.row().id(),
                                        Optional.of(c.hole().id()))))
                : Suggestion.of(desk);
    }

    private void fill() {
        words.getChildren().clear();
        targets.getChildren().clear();
        Button back = Ui.button("Back to the sheet", "B", away, "knuckle");
        if (drillOut(back)) {
            return;
        }
        Optional<Suggestion> job = job();
        Ui.shown(section, job.isPresent());
        if (job.isEmpty()) {
            words.getChildren()
                    .addAll(
                            Ui.wrapped(
                                    desk.cursor().isPresent() ? Suggestion.why(desk) : "No job picked.", "bench-large"),
                            Ui.wrapped(
                                    desk.stageProperty().get() == Stage.PROVE
                                            ? "Pick a head that is to be replaced, then press B for its drilling out."
                                            : "Pick a row or a group on the sheet, then press B.",
                                    "bench-mid"));
            targets.getChildren().add(back);
            return;
        }
        Suggestion s = job.get();
        section.show(Optional.of(s.solution()), List.of(), s.hatches(desk), desk.unit());
        words.getChildren()
                .addAll(
                        Ui.wrapped(
                                s.group().code() + "  " + s.group().name() + ", "
                                        + desk.face().face().name(),
                                "bench-mid"),
                        Ui.label(s.solution().dash(), "bench-huge"),
                        Ui.label(s.solution().designation().orElse("no rivet does"), "bench-large"),
                        Ui.wrapped(s.count() + " of them, " + s.where(), "bench-mid"));
        s.gap()
                .ifPresent(g -> words.getChildren()
                        .add(Ui.label("Gap " + LengthFormat.decimal(g, desk.unit(), 3), "bench-large")));
        next(s).ifPresent(text -> words.getChildren().add(Ui.wrapped(text, "bench-next")));
        targets.getChildren()
                .addAll(
                        Ui.button("Hole before", "Left", () -> step(-1), "knuckle"),
                        Ui.button("Next hole", "Right", () -> step(1), "knuckle"),
                        Ui.button("Write it down", Integer.toString(Stage.SET.key()), this::writeDown, "knuckle"),
                        Ui.spring(),
                        back);
    }

    /** Drilling out a head that is to be replaced, step by step; false where none is. */
    private boolean drillOut(Button back) {
        Optional<HoleReading> hole = desk.cursor();
        boolean failed = desk.stageProperty().get() == Stage.PROVE
                && hole.filter(h -> desk.over()
                                .proofProperty()
                                .get()
                                .flatMap(p -> Optional.ofNullable(
                                        p.holes().get(h.hole().id())))
                                .filter(o -> o == HoleLook.Overlay.FAILED)
                                .isPresent())
                        .isPresent();
        if (!failed) {
            return false;
        }
        Ui.shown(section, false);
        DrillOutGuide guide = DrillOutGuide.of(desk.snapshot().derivation(), hole.get());
        words.getChildren().add(Ui.wrapped(guide.title(), "bench-large"));
        int n = 1;
        for (Sentence step : guide.steps()) {
            words.getChildren().add(Ui.wrapped(n++ + ".  " + step.in(desk.unit()), "bench-mid"));
        }
        guide.warnings().forEach(w -> words.getChildren().add(Ui.wrapped(w, "bench-mid")));
        words.getChildren().add(Ui.wrapped(DrillOutGuide.CAUTION, "bench-mid"));
        targets.getChildren().addAll(Ui.spring(), back);
        return true;
    }

    /** What is set after these: where the length or the squeezer's gap changes. */
    private Optional<String> next(Suggestion s) {
        return s.then().isEmpty()
                ? Optional.empty()
                : Optional.of("Then " + s.next(desk.unit()) + ", from "
                        + s.then().getFirst().holes().getFirst().label()
                        + cause(s.then().getFirst().holes().getFirst())
                        + ".");
    }

    /** Why the row changes at a hole, if it does there. */
    private String cause(HoleReading hole) {
        return desk.row().stream()
                .flatMap(row -> row.runs().stream()
                        .filter(run -> run.from() == row.place(hole.hole().id())
                                && !run.cause().isEmpty()))
                .map(run -> ": " + run.cause())
                .findFirst()
                .orElse("");
    }

    /** Steps along the row; what is picked stays picked while the step stays in it. */
    private void step(int by) {
        Selection selection = desk.selectionProperty().get();
        Selection moved = selection.along(desk.face(), by, false);
        Optional<Id.Hole> to = moved.cursor();
        desk.selectionProperty()
                .set(to.filter(selection.holes()::contains)
                        .map(h -> new Selection(selection.face(), to, selection.holes()))
                        .orElse(moved));
    }

    private void writeDown() {
        away.run();
        desk.stageProperty().set(Stage.SET);
    }

    private void key(KeyEvent e) {
        if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
            step(e.getCode() == KeyCode.LEFT ? -1 : 1);
            e.consume();
        }
    }
}
