package bucina.desk.bench;

import static bucina.desk.session.Command.Scope.ALWAYS;

import bucina.core.form.Entries;
import bucina.core.log.LogEntry;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.measure.LengthFormat;
import bucina.core.plan.Group;
import bucina.core.prove.Judge;
import bucina.core.prove.Proving;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import bucina.desk.gauge.GaugePost;
import bucina.desk.look.Fields;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.section.SectionView;
import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import bucina.desk.session.ProofLook;
import bucina.desk.session.ProveForm;
import bucina.desk.session.Selection;
import bucina.desk.session.WorkTimer;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Stage Prove: one head after the other, measured or looked at, judged by both schools, and what is decided. */
final class ProvePanel extends StagePanel {

    private final Desk desk;
    private final WorkTimer timer;
    private final Label sample = Ui.wrapped("", "log-lead");
    private final Label before = Ui.wrapped("", "attention-text");
    private final SectionView section = new SectionView();
    private final Fields figures = new Fields();
    private final Fields said = new Fields();
    private final TextField head;
    private final TextField who;
    private final TextField gauge;
    private final TextField minutes;
    private final CheckBox go = new CheckBox("the go gauge passes it");
    private final DefectPicker defects = new DefectPicker(this::judge);
    private final VerdictView verdict = new VerdictView();
    private final Map<Verdict, ToggleButton> decisions = new EnumMap<>(Verdict.class);
    private final TextField reason = new TextField();
    private final Label error = Ui.wrapped("", "stop-text");
    private final Button write = Ui.button("", "Ctrl+Enter", this::act, "primary");
    private final VBox footer = new VBox(6, error, write);
    private final VBox form = new VBox(7);
    private final MendBox mend;
    private Optional<ProveForm> current = Optional.empty();
    private ProveForm.Fields fields = new ProveForm.Fields();
    private boolean showing;
    /** True if what is typed leaves the head. */
    private boolean left;

    private boolean busy;

    ProvePanel(Desk desk, WorkTimer timer) {
        super(8);
        this.desk = desk;
        this.timer = timer;
        mend = new MendBox(desk, timer);
        setId("prove-panel");
        head = figures.live("Head, across × high", "", "prove-head", t -> typed());
        who = said.live("Who", "", "prove-who", t -> typed());
        gauge = said.live("Measured with", "", "prove-gauge", t -> typed());
        minutes = said.live("Minutes", "1", "prove-minutes", t -> typed());
        who.setPromptText("name or initials");
        head.setPromptText(".190x.062");
        gauge.setPromptText("caliper");
        GaugePost.receives(
                head, "Head, diameter then height", l -> head.setText(Entries.plus(head.getText(), l, desk.unit())));
        go.setId("prove-go");
        go.selectedProperty().addListener((o, was, now) -> typed());
        reason.setId("prove-reason");
        reason.setPromptText("why otherwise than the table");
        reason.textProperty().addListener((o, was, now) -> fields.reason = now);
        section.setMinHeight(134);
        section.setPrefHeight(150);
        sample.setId("prove-sample");
        write.setId("prove-write");
        write.setMaxWidth(Double.MAX_VALUE);
        footer.setPadding(new Insets(8, 14, 12, 14));
        lay();
    }

    private void lay() {
        FlowPane ways = new FlowPane(4, 4);
        for (Verdict v : Verdict.values()) {
            ToggleButton button = new ToggleButton(v.words());
            button.setId("decide-" + v.code());
            button.getStyleClass().add("verdict");
            button.setOnAction(e -> decide(v));
            decisions.put(v, button);
            ways.getChildren().add(button);
        }
        form.getChildren()
                .addAll(
                        section,
                        figures,
                        go,
                        Ui.label("Seen at it", "field-name"),
                        defects,
                        verdict,
                        Ui.label("Decided", "field-name"),
                        ways,
                        Ui.named("Reason", reason),
                        said,
                        Ui.wrapped(
                                "Nothing within the limits is drilled out: the remedy is more dangerous than a plain "
                                        + "looking head. The kit's drawing governs.",
                                "caution"));
    }

    @Override
    public void use(Palette colours, double scale) {
        section.use(colours, scale);
        defects.use(colours);
    }

    @Override
    Optional<Node> footer() {
        return Optional.of(mend.mending() ? mend.footer() : footer);
    }

    @Override
    List<Command> commands() {
        return List.of(Command.looks("next-head", "Next head to measure", "F9", ALWAYS, this::next));
    }

    // ---- what is shown

    @Override
    void fill() {
        if (busy) {
            return;
        }
        Optional<ProofLook> look = desk.over()
                .proofProperty()
                .get()
                .filter(p -> p.face().equals(desk.selectionProperty().get().face()));
        Optional<HoleReading> hole = desk.cursor();
        Optional<Proving> proving = look.flatMap(l -> hole.map(h -> h.group().id())
                .or(() -> desk.typedGroupProperty().get())
                .flatMap(g -> Optional.ofNullable(l.groups().get(g))));
        Optional<Proving.Line> line = proving.flatMap(p -> line(p, hole));
        if (line.isEmpty()) {
            nothing(look, hole);
            return;
        }
        sample.setText(words(proving.get()));
        Optional<Proving.Measured> last = line.get().last();
        before.setText(last.map(this::said).orElse(""));
        before.getStyleClass()
                .setAll(
                        "label",
                        last.filter(m -> m.decided() != Verdict.LEAVE).isPresent() ? "attention-text" : "soft");
        Ui.shown(before, last.isPresent());
        ProveForm now = new ProveForm(desk.snapshot(), proving.get().group(), hole, line.get());
        boolean same = current.filter(c -> c.line().called().equals(now.line().called())
                        && c.line().entry().id() == now.line().entry().id()
                        && c.line().measured().size() == now.line().measured().size())
                .isPresent();
        current = Optional.of(now);
        if (!same) {
            String kept = fields.gauge;
            fields = new ProveForm.Fields();
            fields.gauge = kept;
            show(now, hole);
        }
        boolean out = mend.fill(hole, line.get());
        put(sample, before, out ? mend : form);
        judge();
    }

    private static Optional<Proving.Line> line(Proving proving, Optional<HoleReading> hole) {
        return hole.isPresent()
                ? proving.lines().stream()
                        .filter(l -> l.hole()
                                .filter(h -> h.id().equals(hole.get().hole().id()))
                                .isPresent())
                        .findFirst()
                : Stream.concat(proving.due().stream(), proving.lines().stream())
                        .findFirst();
    }

    private void nothing(Optional<ProofLook> look, Optional<HoleReading> hole) {
        current = Optional.empty();
        mend.leave();
        Optional<Proving> due = next(look);
        String here = hole.map(h -> h.label()
                        + (h.solution().fastener().rivet()
                                ? " is not set by an entry of the log."
                                : " takes no rivet: a bolt is proved by its torque and stripe."))
                .orElse("No hole is picked.");
        sample.setText(here + " "
                + look.map(l -> l.toProve() == 0
                                ? "No head of this face waits to be measured."
                                : l.toProve() + " heads of this face wait.")
                        .orElse(""));
        before.setText("");
        Ui.shown(before, false);
        error("");
        write.setText("Next head to measure");
        write.setDisable(due.isEmpty());
        put(sample);
    }

    private static String words(Proving p) {
        long measured = p.lines().stream().filter(l -> l.sampled() && !l.due()).count();
        long all = p.lines().stream().filter(Proving.Line::sampled).count();
        return p.group().code() + ": " + measured + " of a sample of " + all + " measured"
                + (p.failed() == 0
                        ? ""
                        : ", " + p.failed() + (p.failed() == 1 ? " failed" : " failed: all are measured"))
                + (p.failed() == 1 ? ": the sample is wider" : "") + ".";
    }

    private String said(Proving.Measured m) {
        return "Measured "
                + m.head().reading().map(this::figures).orElse(m.head().go() ? "with the go gauge" : "by eye")
                + ", decided: " + m.decided().words() + " (entry " + m.entry() + ").";
    }

    private String figures(Work.Reading r) {
        return LengthFormat.decimal(r.diameter(), desk.unit(), 3) + " × "
                + LengthFormat.decimal(r.height(), desk.unit(), 3);
    }

    private void show(ProveForm now, Optional<HoleReading> hole) {
        showing = true;
        head.setText("");
        who.setText(desk.prefs().who());
        gauge.setText(fields.gauge);
        minutes.setText(timer.minutes() > 0 ? String.valueOf(timer.minutes()) : "1");
        go.setSelected(false);
        reason.setText("");
        boolean solid = now.head() != Judge.Head.BLIND;
        figures.getChildren().stream()
                .filter(n -> n == head || n instanceof Label l && l.getLabelFor() == head)
                .forEach(n -> Ui.shown(n, solid));
        Ui.shown(go, solid);
        showing = false;
        defects.show(fields, now.head());
        Ui.shown(section, hole.isPresent());
        hole.ifPresent(h -> section.show(
                Optional.of(h.solution()),
                List.of(),
                desk.snapshot().sheets(h.layers()).stream()
                        .map(Snapshot.Sheet::hatch)
                        .toList(),
                desk.unit()));
        error("");
    }

    private void typed() {
        if (!showing) {
            fields.head = head.getText();
            fields.gauge = gauge.getText();
            fields.minutes = minutes.getText();
            fields.go = go.isSelected();
            judge();
        }
    }

    private void judge() {
        if (showing || current.isEmpty()) {
            return;
        }
        Optional<Judge.Judgement> judged = Optional.empty();
        String not = "";
        try {
            section.measured(ProveForm.reading(fields, desk.lengths()));
            judged = current.get().judged(fields, desk.lengths());
        } catch (InputException e) {
            section.measured(Optional.empty());
            not = e.getMessage();
        }
        Verdict says = judged.map(j -> j.said().verdict()).orElse(Verdict.LEAVE);
        Verdict decided = fields.decided.orElse(says);
        boolean some = judged.isPresent();
        left = some && decided == Verdict.LEAVE;
        verdict.show(judged, not, desk.unit());
        decisions.forEach((v, b) -> b.setSelected(some && v == decided));
        Ui.shown(reason, some && decided != says);
        write.setText(
                some
                        ? "Write down " + current.get().line().called() + ": " + decided.words()
                        : "Write down " + current.get().line().called());
        write.setDisable(desk.session().readOnly());
    }

    private void decide(Verdict v) {
        fields.decided = Optional.of(v);
        judge();
    }

    private void error(String sentence) {
        error.setText(sentence);
        Ui.shown(error, !sentence.isEmpty());
    }

    // ---- doing it

    @Override
    public void act() {
        if (mend.mending()) {
            mend.act();
        } else if (current.isEmpty()) {
            next();
        } else {
            submit(current.get());
        }
    }

    private void submit(ProveForm now) {
        if (busy || desk.session().readOnly()) {
            return;
        }
        LogEntry.Draft draft;
        try {
            draft = now.draft(
                    fields, desk.lengths(), who.getText(), desk.session().now());
        } catch (InputException e) {
            error(e.getMessage());
            return;
        }
        busy = true;
        error("");
        boolean next = left;
        desk.session().log(draft, List.of(), e -> written(next), this::refused);
    }

    private void written(boolean on) {
        busy = false;
        desk.prefs().keep("who", who.getText().strip());
        timer.again();
        if (on) {
            next();
        }
        fill();
        head.requestFocus();
    }

    private void refused(String sentence) {
        busy = false;
        error(sentence);
    }

    /** Goes on to the next head of the face that is to be measured, in setting order, this group first. */
    private void next() {
        Optional<ProofLook> look = desk.over().proofProperty().get();
        next(look).flatMap(p -> dueAfter(p)).flatMap(Proving.Line::hole).ifPresent(h -> {
            Selection one = new Selection(desk.selectionProperty().get().face(), Optional.of(h.id()), Set.of(h.id()));
            desk.selectionProperty().set(one);
        });
    }

    private Optional<Proving.Line> dueAfter(Proving proving) {
        return proving.due().stream()
                .filter(l -> current.filter(c -> c.line().called().equals(l.called()))
                        .isEmpty())
                .findFirst();
    }

    private Optional<Proving> next(Optional<ProofLook> look) {
        Optional<Group> here = desk.cursor().map(HoleReading::group);
        return look.flatMap(l -> Stream.concat(
                        here.flatMap(g -> Optional.ofNullable(l.groups().get(g.id()))).stream(),
                        l.groups().values().stream())
                .filter(p -> dueAfter(p).isPresent())
                .findFirst());
    }
}
