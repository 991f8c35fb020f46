package bucina.desk.bench;

import bucina.core.dress.Dress;
import bucina.core.dress.Dressing;
import bucina.core.explain.Explain;
import bucina.core.explain.Why;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import bucina.core.stack.StackCheck;
import bucina.core.state.Snapshot;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.section.SectionView;
import bucina.desk.session.Desk;
import bucina.desk.session.RowModel;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Stage Study: the stack cut through, what is wrong, the numbers and why; with nothing picked, what to do. */
final class StudyPanel extends StagePanel {

    private final Desk desk;
    private final NextStep next;
    private final SectionView section = new SectionView();
    private final VBox sheets = new VBox(1);
    private final Slider slider = new Slider(0, 1.3, 1);
    private final Label caption = Ui.wrapped("", "caption");
    private final VBox numbers = new VBox(0);
    private final FindingsView findings;
    private final VBox before = new VBox();
    private final HBox ends;
    private final Label caution =
            Ui.wrapped("Worked out from the plan, not approved: the kit's drawing governs.", "caution");
    private final NothingPicked nothing;

    StudyPanel(Desk desk, NextStep next) {
        super(8);
        this.desk = desk;
        this.next = next;
        findings = new FindingsView(desk, this::fill);
        nothing = new NothingPicked(desk);
        slider.setId("set-slider");
        slider.setAccessibleText("How far the rivet is set");
        slider.valueProperty().addListener((o, was, now) -> {
            section.set(now.doubleValue());
            caption.setText(section.caption());
        });
        ends = new HBox(6, Ui.label("goes in", "tiny"), slider, Ui.label("flatter", "tiny"));
        HBox.setHgrow(slider, Priority.ALWAYS);
        ends.setAlignment(Pos.CENTER);
        ties.on(desk.over().beforeProperty(), () -> {
            if (getScene() != null) {
                fill();
            }
        });
    }

    @Override
    public void use(Palette colours, double scale) {
        section.use(colours, scale);
        findings.use(colours);
    }

    @Override
    void fill() {
        Optional<Solution> typed = desk.typedGroupProperty()
                .get()
                .flatMap(g -> desk.snapshot().derivation().typed(g));
        Explain explain = new Explain(desk.snapshot().build().rules(), desk.unit());
        if (desk.cursor().isPresent()) {
            hole(explain);
        } else if (typed.isPresent()) {
            stack(typed.get(), List.of());
            numbers(explain.stack(typed.get(), List.of()), Optional.empty());
            before.getChildren().clear();
            findings(typed.get().faults());
        } else {
            nothing.fill();
            getChildren().setAll(nothing);
        }
        next.fill();
    }

    private void hole(Explain explain) {
        HoleReading hole = desk.cursor().get();
        stack(hole.solution(), desk.snapshot().sheets(hole.layers()));
        numbers(explain.hole(hole), Optional.of(hole));
        row(hole);
        before(hole);
        findings(StackCheck.findings(desk.face().face(), hole));
    }

    /** What is done here before a part goes on that covers it, bars the tool or shuts a bay. */
    private void before(HoleReading hole) {
        before.getChildren().clear();
        List<String> said =
                desk.over().beforeProperty().get().getOrDefault(hole.hole().id(), List.of());
        if (!said.isEmpty()) {
            VBox box = new VBox(2, Ui.label("Not after it is closed up", "strong"));
            said.forEach(words -> box.getChildren().add(Ui.wrapped(words, "attention-text")));
            box.getStyleClass().add("finding-warning");
            box.setId("study-before");
            before.getChildren().add(box);
        }
    }

    private void stack(Solution solution, List<Snapshot.Sheet> stack) {
        section.show(
                Optional.of(solution),
                stack.stream().map(Snapshot.Sheet::name).toList(),
                stack.stream().map(Snapshot.Sheet::hatch).toList(),
                desk.unit());
        caption.setText(section.caption());
        Ui.shown(caption, !caption.getText().isBlank());
        Ui.shown(ends, solution.fastener().rivet());
        section.describe();
        sheets(solution, stack);
    }

    private void findings(List<Finding> list) {
        findings.show(list);
        section.setPrefHeight(list.isEmpty() ? 206 : 172);
        getChildren().setAll(section, ends, caption, before, findings, sheets, numbers, caution);
    }

    @Override
    Optional<Node> footer() {
        return Optional.of(next.button());
    }

    @Override
    public void act() {
        next.act();
    }

    /** The stack in words: order, name, material, thickness and what is done to each sheet. */
    private void sheets(Solution solution, List<Snapshot.Sheet> stack) {
        sheets.getChildren().clear();
        for (int i = 0; i < solution.dressing().plies().size(); i++) {
            var ply = solution.dressing().plies().get(i);
            HBox line = new HBox(
                    6,
                    Ui.kept((i + 1) + "", "soft"),
                    Ui.wrapped(i < stack.size() ? stack.get(i).name() : "Layer " + (i + 1), "plain"));
            if (i < stack.size()) {
                line.getChildren().add(Ui.kept(stack.get(i).material(), "tiny"));
            }
            ply(line, ply);
            line.setAlignment(Pos.BASELINE_LEFT);
            sheets.getChildren().add(line);
        }
    }

    private void ply(HBox line, Dressing.Ply ply) {
        line.getChildren()
                .addAll(
                        Ui.spring(),
                        Ui.kept(
                                LengthFormat.decimal(ply.thickness(), desk.unit(), 3) + " "
                                        + (ply.dress() == Dress.COUNTERSINK
                                                ? "csk"
                                                : ply.dress().word()),
                                "soft"));
    }

    private void numbers(List<Why> all, Optional<HoleReading> reading) {
        numbers.getChildren().clear();
        for (Why why : all) {
            numbers.getChildren()
                    .add(Ui.number(
                            why.title(), why.value(), () -> desk.whyProperty().set(Optional.of(why))));
        }
        reading.flatMap(this::gapChange)
                .ifPresent(text -> numbers.getChildren().add(Ui.wrapped(text, "attention-text", "inset")));
    }

    /** What is to be said about the row as a whole; a warning can be accepted like one of a hole. */
    private void row(HoleReading reading) {
        desk.face().rowFindings().stream()
                .filter(f -> f.place().hole().equals(reading.row().name()))
                .forEach(f -> finding(f, reading));
    }

    private void finding(Finding f, HoleReading reading) {
        boolean note = f.level() == Level.NOTE || f.accepted().isPresent();
        VBox box = new VBox(2, Ui.wrapped(f.message().in(desk.unit()), note ? "soft" : "attention-text"));
        f.accepted().ifPresent(a -> box.getChildren().add(Ui.wrapped("Accepted: " + a, "soft")));
        if (!note && !desk.session().readOnly()) {
            findings.accept(f, reading.row().id(), box);
        }
        box.getStyleClass().add("inset");
        numbers.getChildren().add(box);
    }

    /** What the squeezer wants where another set-up begins at this hole of its row. */
    private Optional<String> gapChange(HoleReading reading) {
        RowModel row = desk.row().orElse(null);
        if (row == null) {
            return Optional.empty();
        }
        int place = row.place(reading.hole().id());
        for (int i = 1; i < row.runs().size(); i++) {
            if (row.runs().get(i).from() == place) {
                Optional<Length> before = row.runs().get(i - 1).gap();
                return row.runs()
                        .get(i)
                        .gap()
                        .flatMap(now -> before.map(now::minus))
                        .filter(change -> !change.same(Length.ZERO))
                        .map(change -> "Gap changes here: " + (change.positive() ? "open" : "close")
                                + " the squeezer by " + LengthFormat.decimal(change.abs(), desk.unit(), 3)
                                + " against hole "
                                + row.cells().get(place - 1).reading().hole().label() + ".");
            }
        }
        return Optional.empty();
    }
}
