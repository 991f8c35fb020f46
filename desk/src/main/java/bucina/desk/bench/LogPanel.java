package bucina.desk.bench;

import static bucina.desk.session.Command.Scope.ALWAYS;

import bucina.core.log.LogEntry;
import bucina.core.measure.InputException;
import bucina.core.measure.LengthFormat;
import bucina.core.rivet.ShopHeadLimits;
import bucina.core.stack.Solution;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.section.SectionView;
import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import bucina.desk.session.LogForm;
import bucina.desk.session.Suggestion;
import bucina.desk.session.WorkTimer;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** The panel that writes down what was set. It keeps what is typed until it is on the disk. */
public final class LogPanel extends StagePanel {

    private final Desk desk;
    private final WorkTimer timer;
    private final Label lead = Ui.wrapped("", "log-lead");
    private final Label others = Ui.wrapped("", "attention-text");
    private final Label use = Ui.wrapped("", "log-use");
    private final EntryFields entry;
    private final TextField explanation = EntryFields.field("log-explanation", "a word of explanation");
    private final TextField reason = EntryFields.field("log-reason", "why it is corrected");
    private final TextArea note = new TextArea();
    private final RejectList rejects = new RejectList();
    private final EntryPhotos photos;
    private final Label oddity = Ui.wrapped("", "attention-text");
    private final Label verdicts = Ui.wrapped("", "soft");
    private final Label reads = Ui.wrapped("", "tiny");
    private final Label error = Ui.wrapped("", "stop-text");
    private final Button go = Ui.button("Log", "Ctrl+Enter", this::submit, "primary");
    private final VBox form = new VBox(7);
    private final VBox footer = new VBox(6);
    private final SectionView section = new SectionView();
    private final NextStep next;
    private final BoltSteps bolts;
    private final TemporaryBolt temporary;
    private final Runnable written;
    private @Nullable LogForm current;
    private LogForm.Fields fields = new LogForm.Fields();
    private Optional<Solution> solution = Optional.empty();
    /** What is missing before the holes are set; empty where they are ready. */
    private String missing = "";

    private boolean busy;
    private boolean showing;

    /**
     * @param next    offers what is set next where nothing is being written down
     * @param written told after an entry was written down or left
     */
    LogPanel(Desk desk, WorkTimer timer, NextStep next, Runnable written) {
        super(8);
        this.written = written;
        this.next = next;
        section.setMinHeight(134);
        this.desk = desk;
        this.timer = timer;
        bolts = new BoltSteps(desk, timer);
        temporary = new TemporaryBolt(desk, this::error);
        entry = new EntryFields(desk::unit, this::typed);
        photos = new EntryPhotos(desk.session(), this::error);
        setId("log-panel");
        note.setId("log-note");
        note.setPrefRowCount(2);
        note.setWrapText(true);
        note.setPromptText("anything the next person should know");
        note.setAccessibleText("Note");
        explanation.setAccessibleText("Explanation");
        go.setId("log-go");
        go.setMaxWidth(Double.MAX_VALUE);
        Button addReject = Ui.button("Reject", "Ctrl+R", this::addReject, "quiet");
        addReject.setId("log-add-reject");
        Button addPhoto = Ui.button("Photograph", "Ctrl+P", this::photograph, "quiet");
        addPhoto.setId("log-add-photo");
        HBox adding = new HBox(8, addReject, addPhoto, temporary);
        Button cancel = Ui.button("Leave it as it is", "Esc", this::cancel, "quiet");
        cancel.setId("log-cancel");
        reason.visibleProperty().subscribe(shown -> Ui.shown(cancel, shown));
        lay(adding);
        footer.getChildren().addAll(error, go, cancel);
        footer.setPadding(new Insets(8, 14, 12, 14));
        photos.takeDropsOn(this);
    }

    private void lay(HBox adding) {
        form.getChildren()
                .addAll(
                        lead,
                        use,
                        section,
                        entry,
                        reads,
                        oddity,
                        Ui.named("Explanation", explanation),
                        Ui.named("Correction", reason),
                        verdicts,
                        Ui.named("Note", note),
                        rejects,
                        photos,
                        adding,
                        others,
                        Ui.wrapped(
                                "Eye and hearing protection; fingers clear of bar and dies. A head outside the "
                                        + "limits is judged, not hit again.",
                                "caution"));
    }

    @Override
    public void use(Palette colours, double scale) {
        section.use(colours, scale);
        bolts.use(colours, scale);
    }

    /** What is wrong and the button that writes it down; while nothing is written, what is set next. */
    @Override
    Optional<Node> footer() {
        return Optional.of(current != null ? footer : bolts.owes() ? bolts.button() : next.button());
    }

    @Override
    public void act() {
        if (current != null) {
            submit();
        } else if (bolts.owes()) {
            bolts.act();
        } else {
            next.act();
        }
    }

    @Override
    List<Command> commands() {
        return List.of(
                Command.changes("add-reject", "Add a reject to the entry", "Ctrl+R", ALWAYS, this::addReject),
                Command.changes("add-photograph", "Add a photograph to the entry", "Ctrl+P", ALWAYS, this::photograph));
    }

    // ---- what is shown

    /** Fills the panel for what is picked, keeping what was typed while that stays the same. */
    @Override
    void fill() {
        if (busy) {
            return;
        }
        Optional<LogEntry> correcting = desk.correctingProperty().get();
        if (correcting.isPresent()) {
            fillCorrection(correcting.get());
            return;
        }
        Optional<Suggestion> suggestion = Suggestion.of(desk);
        if (suggestion.isEmpty()) {
            current = null;
            next.fill();
            if (bolts.fill()) {
                put(bolts);
                return;
            }
            put(Ui.wrapped(Suggestion.why(desk), "log-lead"), Ui.wrapped(Suggestion.HOW, "soft"));
            return;
        }
        Suggestion s = suggestion.get();
        LogForm before = current;
        LogForm now = before != null && same(before, s) ? before : LogForm.of(s);
        solution = Optional.of(s.solution());
        section.show(solution, List.of(), s.hatches(desk), desk.unit());
        Ui.shown(section, true);
        if (now != before) {
            LogForm.Fields keep = fields;
            current = now;
            fields = LogForm.suggest(s, desk, timer.minutes());
            fields.tool = keep.tool;
            show(now);
        }
        words(s, now);
        temporary.fill();
        put(form);
    }

    private static boolean same(LogForm now, Suggestion s) {
        return now.corrects().isEmpty()
                && now.group().id().equals(s.group().id())
                && now.holes().equals(s.holes());
    }

    private void words(Suggestion s, LogForm now) {
        String lacking = now.missing(desk);
        if (!lacking.equals(missing)) {
            missing = lacking;
            odd();
        }
        lead.setText(s.where() + (s.count() > 1 && !s.holes().isEmpty() ? ", " + s.count() + " holes" : ""));
        use.setText("takes " + s.solution().dash() + " in "
                + LengthFormat.trade(s.solution().grip(), desk.unit())
                + s.gap()
                        .map(g -> ", gap " + LengthFormat.decimal(g, desk.unit(), 3))
                        .orElse(""));
        String next = s.next(desk.unit());
        others.setText(next.isEmpty() ? "" : "Then " + next + ".");
        Ui.shown(others, !next.isEmpty());
        go.setText("Log " + (now.countTyped() ? "" : s.count() + " ") + "as set"
                + (s.then().isEmpty() ? "" : "\nthen " + s.then().getFirst().then(s.solution(), desk.unit())));
        go.setDisable(desk.session().readOnly());
    }

    private void fillCorrection(LogEntry entry) {
        if (current == null || !current.corrects().equals(Optional.of(entry.id()))) {
            var group = desk.snapshot().group(entry.work().orElseThrow().group());
            if (group.isEmpty()) {
                desk.correctingProperty().set(Optional.empty());
                return;
            }
            missing = "";
            LogForm correction = LogForm.correcting(entry, group.get().group());
            current = correction;
            fields = LogForm.of(entry.work().orElseThrow(), desk.unit());
            solution = Optional.empty();
            Ui.shown(section, false);
            show(correction);
        }
        lead.setText("Correcting entry " + entry.id());
        use.setText("The first entry stays; a new one that points at it stands in its place.");
        Ui.shown(others, false);
        go.setText("Write the correction");
        go.setDisable(desk.session().readOnly());
        put(form);
    }

    /** Puts the fields' texts into the controls; what the controls hold meanwhile is not taken for typed. */
    private void show(LogForm now) {
        showing = true;
        entry.show(
                fields,
                now.countTyped(),
                solution.map(x -> x.fastener().rivet()).orElse(true));
        explanation.setText(fields.explanation);
        note.setText(fields.note);
        reason.setText("");
        Ui.shown(reason, now.corrects().isPresent());
        error("");
        showing = false;
        rejects.show(now.holes().stream().map(h -> h.label()).toList(), fields.rejects);
        photos.show(fields);
        odd();
        judge();
    }

    private void odd() {
        if (current == null || showing) {
            return;
        }
        take();
        String understood = current.understood(fields, desk.lengths(), desk.unit());
        reads.setText(understood);
        Ui.shown(reads, !understood.isEmpty());
        String odd =
                current.oddity(fields, desk.lengths(), desk.snapshot().build().rules());
        String waits = missing.isEmpty() ? "" : missing + ". Mark what is done first, or say why they are set.";
        String text = Stream.of(waits, odd).filter(t -> !t.isEmpty()).collect(Collectors.joining(" "));
        oddity.setText(text);
        Ui.shown(oddity, !text.isEmpty());
        Ui.shown(explanation, !text.isEmpty() || !fields.explanation.isEmpty());
    }

    private void judge() {
        Optional<ShopHeadLimits> limits = solution.flatMap(s -> s.choice()).map(c -> c.limits());
        String text = limits.map(l -> LogForm.verdicts(fields.readings, desk.lengths(), l))
                .orElse("");
        verdicts.setText(text);
        Ui.shown(verdicts, !text.isEmpty());
    }

    private void error(String sentence) {
        error.setText(sentence);
        Ui.shown(error, !sentence.isEmpty());
    }

    private void take() {
        entry.take(fields);
        fields.explanation = explanation.isVisible() ? explanation.getText() : fields.explanation;
        fields.note = note.getText();
    }

    // ---- rejects and photographs

    private void typed() {
        odd();
        judge();
    }

    private void photograph() {
        if (current != null) {
            photos.choose();
        }
    }

    /** Adds a picture file to the entry being written. */
    public void addPhoto(Path path) {
        photos.add(path);
    }

    private void addReject() {
        if (current != null) {
            rejects.add();
        }
    }

    // ---- writing it down

    /** Writes the entry down; what is typed stays until it is on the disk. */
    private void submit() {
        if (current == null || busy || desk.session().readOnly()) {
            return;
        }
        // A photograph that is still being read belongs to this entry, which stays here until it is.
        busy = photos.reading(() -> {
            busy = false;
            submit();
        });
        if (busy) {
            go.setDisable(true);
            return;
        }
        take();
        LogEntry.Draft draft;
        try {
            draft = drafted(current);
        } catch (InputException e) {
            error(e.getMessage());
            return;
        }
        busy = true;
        go.setDisable(true);
        error("");
        String name = fields.who.strip();
        write(draft, name);
    }

    private LogEntry.Draft drafted(LogForm now) {
        return now.draft(
                fields,
                desk.lengths(),
                reason.getText().isBlank() ? "corrected" : reason.getText().strip());
    }

    private void write(LogEntry.Draft draft, String name) {
        desk.session()
                .log(
                        draft,
                        List.copyOf(fields.photos),
                        entry -> {
                            busy = false;
                            current = null;
                            desk.prefs().keep("who", name);
                            timer.again();
                            desk.correctingProperty().set(Optional.empty());
                            written.run();
                        },
                        this::refused);
    }

    /** What is missing stands in the panel already: there only the word for it is asked for, where it is typed. */
    private void refused(String sentence) {
        busy = false;
        go.setDisable(false);
        boolean waits = !missing.isEmpty() && sentence.startsWith(missing);
        error(waits ? "Nothing was logged: the explanation is missing." : sentence);
        if (waits) {
            explanation.requestFocus();
        }
    }

    private void cancel() {
        current = null;
        desk.correctingProperty().set(Optional.empty());
        written.run();
    }
}
