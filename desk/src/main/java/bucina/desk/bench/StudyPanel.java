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
import bucina.desk.look.NumberButton;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.section.SectionView;
import bucina.desk.session.Desk;
import bucina.desk.session.RowModel;
import java.util.ArrayList;
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

    /** One sheet of the stack in words. */
    private record Ply(String name, String material, String dressed) {}

    private final Desk desk;
    private final NextStep next;
    private final SectionView section = new SectionView();
    private final VBox sheets = new VBox(1);
    private List<Ply> plies = List.of();
    private final Slider slider = new Slider(0, 1.3, 1);
    private final Label caption = Ui.wrapped("", "caption");
    private final VBox numbers = new VBox(0);
    private final List<NumberButton> buttons = new ArrayList<>();
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
            put(nothing);
        }
        next.fill();
    }

    private void hole(Explain explain) {
        HoleReading hole = desk.cursor().get();
        stack(hole.solution(), desk.snapshot().sheets(hole.layers()));
        numbers(explain.hole(hole), Optional.of(hole));
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
        put(section, ends, caption, before, findings, sheets, numbers, caution);
    }

    @Override
    Optional<Node> footer() {
        return Optional.of(next.button());
    }

    @Override
    public void act() {
        next.act();
    }

    /**
     * The stack in words: order, name, material, thickness and what is done to each sheet. Most holes have that of the
     * one before.
     */
    private void sheets(Solution solution, List<Snapshot.Sheet> stack) {
        List<Ply> now = new ArrayList<>();
        for (int i = 0; i < solution.dressing().plies().size(); i++) {
            Dressing.Ply ply = solution.dressing().plies().get(i);
            now.add(new Ply(
                    i < stack.size() ? stack.get(i).name() : "Layer " + (i + 1),
                    i < stack.size() ? stack.get(i).material() : "",
                    LengthFormat.decimal(ply.thickness(), desk.unit(), 3) + " "
                            + (ply.dress() == Dress.COUNTERSINK
                                    ? "csk"
                                    : ply.dress().word())));
        }
        if (!now.equals(plies)) {
            plies = now;
            sheets.getChildren().clear();
            for (int i = 0; i < now.size(); i++) {
                sheets.getChildren().add(line(i + 1, now.get(i)));
            }
        }
    }

    private static HBox line(int number, Ply ply) {
        HBox line = new HBox(
                6,
                Ui.kept(number + "", "soft"),
                Ui.wrapped(ply.name, "plain"),
                Ui.kept(ply.material, "tiny"),
                Ui.spring(),
                Ui.kept(ply.dressed, "soft"));
        line.setAlignment(Pos.BASELINE_LEFT);
        return line;
    }

    private void numbers(List<Why> all, Optional<HoleReading> reading) {
        List<Node> shown = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            shown.add(number(i, all.get(i)));
        }
        reading.ifPresent(r -> {
            gapChange(r).ifPresent(text -> shown.add(Ui.wrapped(text, "attention-text", "inset")));
            // What is to be said about the row as a whole; a warning can be accepted like one of a hole.
            desk.face().rowFindings().stream()
                    .filter(f -> f.place().hole().equals(r.row().name()))
                    .forEach(f -> shown.add(finding(f, r)));
        });
        Ui.put(numbers, shown);
    }

    /** From hole to hole a number keeps its button, and the button the keyboard. */
    private NumberButton number(int i, Why why) {
        Runnable open = () -> desk.whyProperty().set(Optional.of(why));
        if (i == buttons.size()) {
            buttons.add(new NumberButton(why.title(), why.value(), open));
        } else {
            buttons.get(i).show(why.title(), why.value(), open);
        }
        return buttons.get(i);
    }

    private VBox finding(Finding f, HoleReading reading) {
        boolean note = f.level() == Level.NOTE || f.accepted().isPresent();
        VBox box = new VBox(2, Ui.wrapped(f.message().in(desk.unit()), note ? "soft" : "attention-text"));
        f.accepted().ifPresent(a -> box.getChildren().add(Ui.wrapped("Accepted: " + a, "soft")));
        if (!note && !desk.session().readOnly()) {
            findings.accept(f, reading.row().id(), box);
        }
        box.getStyleClass().add("inset");
        return box;
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
