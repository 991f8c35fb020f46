package bucina.desk.bench;

import bucina.core.edit.HoleEdits;
import bucina.core.form.Entries;
import bucina.core.log.LogEntry;
import bucina.core.log.Used;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Sentence;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import bucina.core.prove.DrillOut;
import bucina.core.prove.DrillOutGuide;
import bucina.core.prove.Mending;
import bucina.core.prove.Proving;
import bucina.core.stack.HoleReading;
import bucina.desk.gauge.GaugePost;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import bucina.desk.session.WorkTimer;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** Drilling one fastener out, step by step; then the hole measured, what may go in, and the new one written down. */
final class MendBox extends VBox {

    private final Desk desk;
    private final WorkTimer timer;
    private final Latest latest;
    private final Label title = Ui.wrapped("", "strong");
    private final VBox steps = new VBox(4);
    private final Fields size = new Fields();
    private final Fields figures = new Fields();
    private final TextField measured;
    private final Label next = Ui.wrapped("", "log-use");
    private final VBox against = new VBox(3);
    private final TextField designation;
    private final TextField tool;
    private final TextField head;
    private final TextField who;
    private final TextField minutes;
    private final TextField because = new TextField();
    private final Label error = Ui.wrapped("", "stop-text");
    private final Button write = Ui.button("Write down the new rivet", "Ctrl+Enter", this::act, "primary");
    private final VBox footer = new VBox(6, error, write);
    private Optional<HoleReading> hole = Optional.empty();
    private Optional<Proving.Line> line = Optional.empty();
    private Optional<Mending> mending = Optional.empty();
    private boolean busy;

    MendBox(Desk desk, WorkTimer timer) {
        super(8);
        this.desk = desk;
        this.timer = timer;
        latest = desk.session().latest();
        setId("mend-box");
        measured = size.live("Hole measures", "", "mend-hole", t -> work());
        designation = figures.add("Goes in", new TextField(), "mend-designation");
        tool = figures.add("Set with", new TextField(), "mend-tool");
        head = figures.add("New head, across × high", new TextField(), "mend-head");
        who = figures.add("Who", new TextField(), "mend-who");
        minutes = figures.add("Minutes", new TextField(), "mend-minutes");
        measured.setPromptText("after drilling out, like .131");
        head.setPromptText(".190x.062");
        tool.setPromptText("squeezer, gun and bar");
        because.setId("mend-because");
        because.setPromptText("the answer and who gave it");
        GaugePost.receives(measured, "Hole", l -> measured.setText(LengthFormat.reading(l.getLast(), desk.unit())));
        GaugePost.receives(
                head,
                "New head, diameter then height",
                l -> head.setText(Entries.plus(head.getText(), l, desk.unit())));
        next.setId("mend-next");
        write.setId("mend-write");
        error.setId("mend-error");
        write.setMaxWidth(Double.MAX_VALUE);
        footer.setPadding(new Insets(8, 14, 12, 14));
        getChildren()
                .addAll(
                        title,
                        steps,
                        size,
                        next,
                        against,
                        figures,
                        Ui.named("Because", because),
                        Ui.wrapped(
                                "Eye protection. Back the sheet up; never enlarge the hole. The kit's drawing and its "
                                        + "maker's word go before this.",
                                "caution"));
    }

    Node footer() {
        return footer;
    }

    /** True while a fastener is drilled out. */
    boolean mending() {
        return hole.isPresent();
    }

    void leave() {
        hole = Optional.empty();
        line = Optional.empty();
    }

    /** Shows the drill-out of a head that is to be replaced; false if this one is not. */
    boolean fill(Optional<HoleReading> at, Proving.Line of) {
        boolean out = at.isPresent()
                && of.last().filter(m -> m.decided() == Verdict.REPLACE).isPresent();
        if (!out) {
            leave();
            return false;
        }
        boolean same = line.filter(l -> l.called().equals(of.called())
                        && l.entry().id() == of.entry().id()
                        && l.measured().size() == of.measured().size())
                .isPresent();
        hole = at;
        line = Optional.of(of);
        if (!same) {
            show(at.orElseThrow());
        }
        return true;
    }

    private void show(HoleReading at) {
        mending = Optional.empty();
        DrillOutGuide guide = DrillOutGuide.of(desk.snapshot().derivation(), at);
        title.setText(guide.title());
        steps.getChildren().clear();
        int n = 1;
        for (Sentence step : guide.steps()) {
            steps.getChildren().add(Ui.wrapped(n++ + ".  " + step.in(desk.unit()), "plain"));
        }
        guide.warnings().forEach(w -> steps.getChildren().add(Ui.wrapped(w, "stop-text")));
        steps.getChildren().add(Ui.wrapped(DrillOutGuide.CAUTION, "caution"));
        for (TextField field : List.of(measured, designation, head, because)) {
            field.setText("");
        }
        tool.setText(
                line.flatMap(l -> l.entry().work()).map(w -> w.setup().tool()).orElse(""));
        who.setText(desk.prefs().who());
        minutes.setText(timer.minutes() > 0 ? String.valueOf(timer.minutes()) : "10");
        next.setText("");
        against.getChildren().clear();
        Ui.shown(because, drilledBefore());
        error("");
        write.setDisable(desk.session().readOnly());
    }

    private boolean drilledBefore() {
        return line.flatMap(l -> l.entry().work()).flatMap(Work::removal).isPresent();
    }

    private static String upper(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** Why it goes: the builder's own words, what was seen, or what was measured. */
    private String why() {
        return line.flatMap(Proving.Line::last)
                .map(Proving.Measured::head)
                .map(h -> Stream.of(
                                h.reason(),
                                h.seen().stream().map(s -> s.words(desk.unit())).collect(Collectors.joining(", ")),
                                h.reading()
                                        .map(r -> "its head measured " + LengthFormat.trade(r.diameter(), desk.unit())
                                                + " × " + LengthFormat.trade(r.height(), desk.unit()))
                                        .orElse(""))
                        .filter(w -> !w.isBlank())
                        .findFirst()
                        .orElse("replaced"))
                .orElse("replaced");
    }

    /** Works out what may go into the hole as typed. */
    private void work() {
        mending = Optional.empty();
        HoleReading at = hole.orElse(null);
        if (at == null || measured.getText().isBlank()) {
            next.setText("");
            against.getChildren().clear();
            return;
        }
        Length is;
        try {
            is = desk.lengths().parsePositive(measured.getText(), "the hole");
        } catch (InputException e) {
            next.setText(e.getMessage());
            return;
        }
        var derivation = desk.snapshot().derivation();
        Id.Face face = desk.selectionProperty().get().face();
        String why = "drilled out: " + why();
        latest.ask(() -> Mending.of(derivation, face, at, is, why), this::show, next::setText);
    }

    private void show(Mending is) {
        mending = Optional.of(is);
        Optional<String> rivet = is.then().flatMap(h -> h.solution().designation());
        next.setText(
                "Then " + is.chosen().next().words() + rivet.map(r -> ": " + r).orElse("") + ".");
        designation.setText(rivet.orElse(""));
        boolean ask = is.chosen().next() == DrillOut.Next.ASK;
        against.getChildren()
                .setAll(is.chosen().said().stream()
                        .map(f -> Ui.wrapped(
                                f.message().in(desk.unit()) + " " + f.remedy().in(desk.unit()),
                                ask ? "stop-text" : "soft"))
                        .toList());
        Ui.shown(because, ask || drilledBefore());
    }

    private void error(String sentence) {
        error.setText(sentence);
        Ui.shown(error, !sentence.isEmpty());
    }

    /** Writes removal, hole, new rivet and its reading down as one entry; the hole carries its size from then on. */
    void act() {
        if (busy || hole.isEmpty() || desk.session().readOnly()) {
            return;
        }
        LogEntry.Draft draft;
        try {
            draft = draft(hole.get());
        } catch (InputException e) {
            error(e.getMessage());
            return;
        }
        busy = true;
        error("");
        HoleReading at = hole.get();
        Optional<Mending> is = mending;
        boolean changed = is.filter(m -> m.chosen().next() != DrillOut.Next.ASK
                        && !m.deviation().equals(at.hole().deviation()))
                .isPresent();
        if (changed) {
            desk.session()
                    .plan(
                            at.label() + " carries what it measures after drilling out",
                            b -> HoleEdits.deviate(
                                    b, Set.of(at.hole().id()), is.orElseThrow().deviation()),
                            () -> desk.session().log(draft, List.of(), e -> written(), this::takenBack),
                            this::refused);
        } else {
            desk.session().log(draft, List.of(), e -> written(), this::refused);
        }
    }

    /** The entry was refused: the hole does not carry what nothing in the log says. */
    private void takenBack(String sentence) {
        desk.session().history().undo(desk.session()::say);
        refused(sentence);
    }

    private LogEntry.Draft draft(HoleReading at) {
        Proving.Line of = line.orElseThrow();
        Optional<Length> drilled = measured.getText().isBlank()
                ? Optional.empty()
                : Optional.of(desk.lengths().parsePositive(measured.getText(), "the hole"));
        if (drilled.isEmpty()) {
            throw new InputException("the hole was not measured: type what it measures now, like .131");
        }
        if (because.isVisible() && because.getText().isBlank()) {
            throw new InputException("this one is asked about first: type the answer and who gave it");
        }
        List<Work.Reading> heads = Entries.readings(head.getText(), desk.lengths());
        if (heads.isEmpty() && at.solution().fastener() instanceof Fastener.SolidRivet) {
            throw new InputException("the new head was not measured: type across x high, like .190x.062");
        }
        Fastener goes = mending.flatMap(Mending::then)
                .map(h -> h.solution().fastener())
                .orElse(at.solution().fastener());
        Used used = Used.parse(goes, designation.getText());
        if (!minutes.getText().strip().matches("\\d{1,6}")) {
            throw new InputException("minutes must be a whole number like 10, was \"" + minutes.getText() + "\"");
        }
        Work.LoggedHole logged = of.hole().orElseThrow();
        return LogEntry.Draft.install(new Work(
                at.group().id(),
                at.group().code(),
                List.of(logged),
                1,
                used.code(),
                used.length(),
                who.getText().strip(),
                desk.session().now(),
                Integer.parseInt(minutes.getText().strip()),
                new Work.Setup(tool.getText().strip(), Optional.empty(), drilled),
                heads.stream().map(r -> r.of(logged.label())).toList(),
                List.of(),
                because.isVisible() ? because.getText().strip() : "",
                "",
                List.of(),
                Optional.of(new Work.Removal(drilled, why()))));
    }

    private void written() {
        busy = false;
        desk.prefs().keep("who", who.getText().strip());
        timer.again();
        leave();
    }

    private void refused(String sentence) {
        busy = false;
        error(sentence);
    }
}
