package bucina.desk.bench;

import bucina.core.callout.Queries;
import bucina.core.dress.Dress;
import bucina.core.plan.Id;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.stack.HoleReading;
import bucina.core.stack.SafeTrim;
import bucina.core.stack.Solution;
import bucina.core.stack.StackCheck;
import bucina.desk.look.Glyph;
import bucina.desk.look.Palette;
import bucina.desk.look.Shown;
import bucina.desk.look.ShownPane;
import bucina.desk.look.Ui;
import bucina.desk.section.SectionView;
import bucina.desk.session.Desk;
import bucina.desk.session.Explain;
import bucina.desk.session.RowModel;
import bucina.desk.session.Selection;
import bucina.desk.session.Snapshot;
import bucina.desk.session.Stage;
import bucina.desk.session.Suggestion;
import bucina.desk.session.Why;
import bucina.desk.session.WorkTimer;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Slider;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Shows the hole looked at (or a typed stack) as the stage asks: its section and numbers, or the log panel. */
public final class BenchSide extends ShownPane {

    private final Desk desk;
    private final SectionView section = new SectionView();
    private final SectionView small = new SectionView();
    private final VBox sheets = new VBox(1);
    private final Button next = Ui.button("", "Ctrl+Enter", this::next, "primary");
    private final Slider slider = new Slider(0, 1.3, 1);
    private final Label caption = Ui.wrapped("", "caption");
    private final Label title = Ui.label("", "bench-title");
    private final Label where = Ui.wrapped("", "bench-where");
    private final VBox numbers = new VBox(0);
    private final VBox findings = new VBox(6);
    private final VBox study = new VBox(8);
    private final VBox empty = new VBox(10);
    private final VBox trims = new VBox(4);
    private final LogPanel log;
    private final ChangePanel change;
    private final FitPanel fit;
    private final WorkPanel work;
    private final VBox changing = new VBox(8);
    private Optional<String> accepting = Optional.empty();
    private final ScrollPane scroll = new ScrollPane();
    private Palette palette = Palette.LIGHT;

    /**
     * @param print    offers the sheet of what stays open
     * @param stations shows the running dimensions of the row
     * @param clecos   plays the cleco plan of the row
     * @param apart    opens what is noted before taking apart
     */
    public BenchSide(Desk desk, WorkTimer timer, Runnable print, Runnable stations, Runnable clecos, Runnable apart) {
        this.desk = desk;
        this.change = new ChangePanel(desk, stations);
        this.fit = new FitPanel(desk, print, clecos, apart);
        this.work = new WorkPanel(desk, apart);
        small.setPrefHeight(134);
        small.setMinHeight(134);
        this.log = new LogPanel(desk, timer, small, this::fill);
        getStyleClass().add("bench-side");
        slider.setId("set-slider");
        slider.setAccessibleText("How far the rivet is set");
        slider.valueProperty().addListener((o, was, now) -> {
            section.set(now.doubleValue());
            caption.setText(section.caption());
        });
        HBox ends = new HBox(6, Ui.label("goes in", "tiny"), slider, Ui.label("flatter", "tiny"));
        HBox.setHgrow(slider, javafx.scene.layout.Priority.ALWAYS);
        ends.setAlignment(javafx.geometry.Pos.CENTER);
        study.getChildren()
                .addAll(
                        section,
                        ends,
                        caption,
                        findings,
                        sheets,
                        numbers,
                        Ui.wrapped("Worked out from the plan, not approved: the kit's drawing governs.", "caution"));
        empty.getChildren()
                .addAll(
                        trims,
                        Ui.label("Nothing picked", "bench-title"),
                        Ui.wrapped(
                                "Click a hole on the sheet, or press an arrow key. Its stack is cut through here, "
                                        + "with the rivet it takes and why.",
                                "soft"),
                        Ui.wrapped(
                                "Double click takes the row, three clicks the group; drag sweeps over holes; Shift "
                                        + "goes on to the next hole along the row.",
                                "soft"),
                        Ui.wrapped(
                                "No drawing yet? Press N and type a stack: you get the length at once and can log it.",
                                "soft"));
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        setCenter(scroll);
        VBox head = new VBox(1, title, where);
        head.setPadding(new Insets(10, 14, 6, 14));
        setTop(head);
        next.setId("next");
        next.setMaxWidth(Double.MAX_VALUE);
        next.setMinWidth(0);
        next.setWrapText(true);
        next.setMinHeight(USE_PREF_SIZE);
        BorderPane.setMargin(next, new Insets(8, 14, 12, 14));
        setBottom(next);
        ties.on(desk.selectionProperty(), this::fill);
        ties.on(desk.typedGroupProperty(), this::fill);
        ties.on(desk.snapshotProperty(), this::fill);
        ties.on(desk.unitProperty(), this::fill);
        ties.on(desk.stageProperty(), this::fill);
        ties.on(desk.correctingProperty(), this::fill);
        ties.on(desk.changingProperty(), this::fill);
        ties.on(desk.layerProperty(), this::fill);
        ties.on(desk.trimProperty(), this::fill);
    }

    /** Draws in the colours of one variant, text larger by a factor. */
    public void use(Palette colours, double scale) {
        palette = colours;
        section.use(colours, scale);
        small.use(colours, scale);
        work.use(colours, scale);
        fill();
    }

    /** The log panel, for the keys that act on it. */
    public LogPanel log() {
        return log;
    }

    private void fill() {
        Optional<HoleReading> cursor = desk.cursor();
        Optional<Solution> typed = desk.typedGroupProperty()
                .get()
                .flatMap(g -> desk.snapshot().derivation().typed(g));
        boolean setting = desk.stageProperty().get() == Stage.SET;
        head(cursor, typed.isPresent());
        if (desk.changingProperty().get()) {
            changing(cursor);
        } else if (desk.stageProperty().get() == Stage.FIT) {
            fit.fill();
            content(fit);
        } else if (working()) {
            work.fill();
            content(work);
        } else if (setting || desk.correctingProperty().get().isPresent()) {
            log.fill();
            content(log);
        } else if (cursor.isPresent()) {
            HoleReading reading = cursor.get();
            List<Snapshot.Sheet> stack = desk.snapshot().sheets(reading.layers());
            section.show(
                    Optional.of(reading.solution()),
                    stack.stream().map(Snapshot.Sheet::name).toList(),
                    stack.stream().map(Snapshot.Sheet::hatch).toList(),
                    desk.unit());
            sheets(reading.solution(), stack);
            numbers(new Explain(desk.snapshot().build().rules(), desk.unit()).hole(reading), Optional.of(reading));
            row(reading);
            findings(StackCheck.findings(desk.face().face(), reading));
            studying();
        } else if (typed.isPresent()) {
            section.show(typed, List.of(), List.of(), desk.unit());
            sheets(typed.get(), List.of());
            numbers(
                    new Explain(desk.snapshot().build().rules(), desk.unit()).stack(typed.get(), List.of()),
                    Optional.empty());
            findings(typed.get().faults());
            studying();
        } else {
            trims.getChildren().clear();
            if (desk.trimProperty().get()) {
                trims();
            }
            content(empty);
        }
        caption.setText(section.caption());
        section.describe();
        offer(setting);
    }

    private boolean working() {
        Stage stage = desk.stageProperty().get();
        return (stage == Stage.DRILL || stage == Stage.DRESS)
                && desk.correctingProperty().get().isEmpty()
                && !desk.changingProperty().get();
    }

    /** Picks what was jumped over, in the stages where holes are marked. */
    public void pickSkipped() {
        if (working()) {
            work.pickSkipped();
        }
    }

    /** Takes back the mark on what is picked, in the stages where holes are marked. */
    public void takeBack() {
        if (working()) {
            work.takeBack();
        }
    }

    /** Marks what is picked, in the stages where holes are marked. */
    public void mark() {
        if (working()) {
            work.mark();
        }
    }

    /** The largest trim of each straight edge of the sheet picked, or of the largest. */
    private void trims() {
        desk.layer()
                .or(() -> desk.face().face().layers().stream()
                        .max(java.util.Comparator.comparingDouble(
                                l -> l.outline().outer().area())))
                .ifPresent(layer -> {
                    trims.getChildren().add(Ui.label("Safe trim of " + layer.name(), "strong"));
                    for (SafeTrim trim : SafeTrim.of(layer, desk.face())) {
                        boolean bad = !(trim.largest().nanometres() >= 0);
                        trims.getChildren()
                                .add(Ui.wrapped(
                                        "Edge " + trim.looks(desk.face().face()) + ": "
                                                + (bad
                                                        ? "too near already by "
                                                                + bucina.core.measure.LengthFormat.decimal(
                                                                        trim.largest()
                                                                                .abs(),
                                                                        desk.unit(),
                                                                        3)
                                                        : bucina.core.measure.LengthFormat.decimal(
                                                                        trim.largest(), desk.unit(), 3)
                                                                + " at most")
                                                + ", set by " + trim.hole().label() + ".",
                                        bad ? "stop-text" : "plain"));
                    }
                    trims.getChildren()
                            .add(Ui.wrapped("Leave metal beyond the line until every hole is known.", "soft"));
                });
    }

    /** Section, findings and numbers; the findings come back from the panel that changes things. */
    private void studying() {
        if (findings.getParent() != study) {
            study.getChildren().add(3, findings);
        }
        content(study);
    }

    /** Typed values for what is picked, with what is wrong with it above them. */
    private void changing(Optional<HoleReading> cursor) {
        if (!desk.attempting()) {
            change.fill();
        }
        findings(cursor.map(c -> StackCheck.findings(desk.face().face(), c)).orElse(List.of()));
        if (changing.getChildren().isEmpty() || findings.getParent() != changing) {
            changing.getChildren().setAll(findings, change);
        }
        content(changing);
    }

    /** The panel that changes what is picked, for the keys that act on it. */
    public void delete() {
        if (desk.changingProperty().get()) {
            change.delete();
        }
    }

    /** Adds a hole after the one looked at. */
    public void addHole() {
        if (desk.changingProperty().get()) {
            change.addAfter();
        }
    }

    /** The one next action: what the holes alike in this row take, to be written down once they are set. */
    private void offer(boolean setting) {
        if (working()) {
            setBottom(work.footer());
            return;
        }
        if (desk.changingProperty().get() || desk.stageProperty().get() == Stage.FIT) {
            setBottom(null);
            return;
        }
        boolean writing = (setting || desk.correctingProperty().get().isPresent()) && log.writing();
        setBottom(writing ? log.footer() : next);
        if (writing) {
            return;
        }
        Optional<Suggestion> s =
                desk.cursor().isPresent() || desk.typedGroupProperty().get().isPresent() ? alike() : Optional.empty();
        Ui.shown(next, s.isPresent() && !desk.session().readOnly());
        s.ifPresent(x -> next.setText("Set " + x.count() + " × " + x.solution().dash()
                + (x.holes().isEmpty() ? "" : ", " + x.where())
                + (x.then().isEmpty() ? "" : "\nthen " + x.then().getFirst().then(x.solution(), desk.unit()))));
    }

    /**
     * What is picked if it is more than one hole and any of it is open; else the holes alike in the row; else those in
     * the group.
     */
    private Optional<Suggestion> alike() {
        Selection selection = desk.selectionProperty().get();
        Optional<Suggestion> picked = selection.holes().size() == 1 ? Optional.empty() : Suggestion.of(desk);
        return picked.or(() -> desk.cursor().flatMap(c -> {
            Optional<Id.Hole> at = Optional.of(c.hole().id());
            return Suggestion.of(desk, Selection.row(desk.face(), c.row().id(), at))
                    .or(() -> Suggestion.of(
                            desk, Selection.group(desk.face(), c.group().id(), at)));
        }));
    }

    /** Does what the button at the foot says: writes the entry down, or goes on to what is set next. */
    public void act() {
        if (working()) {
            work.mark();
        } else if (getBottom() == log.footer()) {
            log.submit();
        } else if (next.isVisible()) {
            next();
        }
    }

    private void next() {
        alike().ifPresent(s -> {
            if (!s.holes().isEmpty()) {
                List<Id.Hole> holes = s.holes().stream().map(h -> h.id()).toList();
                Optional<Id.Hole> cursor = desk.selectionProperty()
                        .get()
                        .cursor()
                        .filter(holes::contains)
                        .or(() -> Optional.of(holes.getFirst()));
                desk.selectionProperty()
                        .set(new Selection(desk.selectionProperty().get().face(), cursor, new LinkedHashSet<>(holes)));
            }
            desk.stageProperty().set(Stage.SET);
        });
    }

    /** The stack in words: order, name, material, thickness and what is done to each sheet. */
    private void sheets(Solution solution, List<Snapshot.Sheet> stack) {
        sheets.getChildren().clear();
        for (int i = 0; i < solution.dressing().plies().size(); i++) {
            var ply = solution.dressing().plies().get(i);
            HBox line = new HBox(
                    6,
                    Ui.kept((i + 1) + "", "soft"),
                    Ui.label(i < stack.size() ? stack.get(i).name() : "Layer " + (i + 1), "plain"));
            if (i < stack.size()) {
                line.getChildren().add(Ui.label(stack.get(i).material(), "tiny"));
            }
            line.getChildren()
                    .addAll(
                            Ui.spring(),
                            Ui.kept(
                                    bucina.core.measure.LengthFormat.decimal(ply.thickness(), desk.unit(), 3) + " "
                                            + (ply.dress() == Dress.COUNTERSINK
                                                    ? "csk"
                                                    : ply.dress().word()),
                                    "soft"));
            line.setAlignment(javafx.geometry.Pos.BASELINE_LEFT);
            sheets.getChildren().add(line);
        }
    }

    private void content(VBox content) {
        content.setPadding(new Insets(content == empty ? 0 : 4, 14, 12, 14));
        if (scroll.getContent() != content) {
            scroll.setContent(content);
        }
    }

    private void head(Optional<HoleReading> cursor, boolean typed) {
        boolean none = cursor.isEmpty() && !typed || desk.changingProperty().get() && cursor.isEmpty();
        Ui.shown(title, !none);
        Ui.shown(where, !none);
        int picked = desk.selectionProperty().get().holes().size();
        if (cursor.isPresent()) {
            HoleReading r = cursor.get();
            title.setText(r.label() + (picked > 1 ? "  of " + picked + " picked" : ""));
            where.setText(r.group().code() + " " + r.group().name() + ", "
                    + desk.snapshot().state(r).words()
                    + r.hole().deviation().map(d -> ". Deviates: " + d.reason()).orElse(""));
        } else if (typed) {
            desk.typedGroupProperty()
                    .get()
                    .flatMap(g -> desk.snapshot().group(g))
                    .ifPresent(ref -> {
                        title.setText(ref.group().code());
                        where.setText(ref.group().name() + ", typed stack, "
                                + desk.snapshot().installed(ref.group()) + " of "
                                + ref.group().count() + " set");
                    });
        }
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
                .forEach(f -> {
                    boolean note = f.level() == Level.NOTE || f.accepted().isPresent();
                    VBox box = new VBox(2, Ui.wrapped(f.message().in(desk.unit()), note ? "soft" : "attention-text"));
                    f.accepted().ifPresent(a -> box.getChildren().add(Ui.wrapped("Accepted: " + a, "soft")));
                    if (!note && !desk.session().readOnly()) {
                        accept(f, reading.row().id(), box);
                    }
                    box.getStyleClass().add("inset");
                    numbers.getChildren().add(box);
                });
    }

    /** What the squeezer wants when the stack changed since the hole before in the row. */
    private Optional<String> gapChange(HoleReading reading) {
        Optional<RowModel> row = desk.row();
        int place = row.map(r -> r.place(reading.hole().id())).orElse(0);
        if (place < 1) {
            return Optional.empty();
        }
        HoleReading before = row.get().cells().get(place - 1).reading();
        var now = reading.solution().choice();
        var then = before.solution().choice();
        if (now.isEmpty()
                || then.isEmpty()
                || now.get().squeezerGap().same(then.get().squeezerGap())) {
            return Optional.empty();
        }
        var change = now.get().squeezerGap().minus(then.get().squeezerGap());
        return Optional.of("Gap changes here: " + (change.positive() ? "open" : "close") + " the squeezer by "
                + bucina.core.measure.LengthFormat.decimal(change.abs(), desk.unit(), 3) + " against hole "
                + before.hole().label() + ".");
    }

    private void findings(List<Finding> list) {
        findings.getChildren().clear();
        desk.cursor()
                .ifPresent(c -> desk.snapshot()
                        .holds()
                        .of(c)
                        .filter(h -> !desk.snapshot().state(c).set())
                        .ifPresent(h -> {
                            VBox box = new VBox(2, Ui.wrapped(h.sentence(desk.unit()), "attention-text"));
                            box.getStyleClass().add("finding-warning");
                            findings.getChildren().add(box);
                        }));
        desk.cursor()
                .ifPresent(c -> Queries.open(
                                desk.snapshot().build().papers(), c.group().id())
                        .forEach(q -> {
                            VBox box = new VBox(
                                    2,
                                    Ui.wrapped("In query: " + q.text(), "attention-text"),
                                    Ui.wrapped(
                                            "Nothing of " + c.group().code()
                                                    + " is set before it is answered, in Papers (F5).",
                                            "soft"));
                            box.getStyleClass().add("finding-warning");
                            findings.getChildren().add(box);
                        }));
        Ui.shown(findings, !list.isEmpty() || !findings.getChildren().isEmpty());
        section.setPrefHeight(list.isEmpty() ? 206 : 172);
        for (Finding finding : list) {
            boolean error = finding.level() == Level.ERROR;
            javafx.scene.canvas.Canvas mark = new javafx.scene.canvas.Canvas(14, 16);
            Glyph.mark(mark.getGraphicsContext2D(), error ? Glyph.Mark.ERROR : Glyph.Mark.WARNING, 0, 11, 6, palette);
            Label message = Ui.wrapped(finding.message().in(desk.unit()), error ? "stop-text" : "attention-text");
            message.setGraphic(mark);
            message.setGraphicTextGap(4);
            VBox box = new VBox(
                    2,
                    message,
                    Ui.wrapped(
                            finding.accepted()
                                    .map(a -> "Accepted: " + a)
                                    .orElse(finding.remedy().in(desk.unit())),
                            "soft"),
                    Ui.wrapped(finding.source(), "tiny"));
            if (finding.accepted().isEmpty() && !desk.session().readOnly()) {
                desk.cursor().ifPresent(c -> accept(finding, c.hole().id(), box));
            }
            box.getStyleClass().add(error ? "finding-error" : "finding-warning");
            findings.getChildren().add(box);
        }
    }

    /** A quiet way to accept a finding; opened, it asks for the reason. */
    private void accept(Finding finding, Id subject, VBox box) {
        String key = finding.rule() + "|" + finding.place().hole() + "|"
                + finding.place().layer();
        if (accepting.filter(key::equals).isPresent()) {
            box.getChildren().add(new AcceptForm(desk, subject, finding));
            return;
        }
        Button open = Ui.button(
                "Accept it with a reason",
                "",
                () -> {
                    accepting = Optional.of(key);
                    fill();
                },
                "quiet");
        open.setId("accept");
        box.getChildren().add(open);
    }

    @Override
    public void close() {
        super.close();
        List.<Shown>of(log, change, fit, work).forEach(Shown::close);
    }
}
