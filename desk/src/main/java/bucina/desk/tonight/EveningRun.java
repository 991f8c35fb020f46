package bucina.desk.tonight;

import bucina.core.evening.Tonight;
import bucina.core.job.Job;
import bucina.core.job.Op;
import bucina.core.log.Tightened;
import bucina.core.measure.InputException;
import bucina.core.stack.Bolted;
import bucina.core.stack.Solution;
import bucina.desk.look.Ties;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Evening;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/**
 * The evening job by job, in type that reads from three metres: first that it is the right part, then the work, then
 * done. One knuckle is enough.
 */
final class EveningRun extends BorderPane implements AutoCloseable {

    private final Ties ties = new Ties();
    private final Desk desk;
    private final Evening evening;
    private final Runnable back;
    private final VBox words = new VBox(12);
    private final FlowPane targets = new FlowPane(14, 10);
    private final Label said = Ui.wrapped("", "bench-next");
    private final TextField typed = new TextField();
    private final Label clock = Ui.kept("", "bench-mid");
    /** Keys that are down: what changes a record happens once a press. */
    private final Set<KeyCode> down = EnumSet.noneOf(KeyCode.class);

    private Ask ask = Ask.NOTHING;
    /** What went wrong, while a reason is asked for as well. */
    private String note = "";

    private Optional<Tightened> tightened = Optional.empty();

    /** What the field is for. */
    private enum Ask {
        NOTHING(""),
        WHO("Who is at the bench? Name or initials"),
        BECAUSE("Why all the same?"),
        TORQUE("Torque + running drag, in-lb: 60 + 8"),
        WRONG("What went wrong? It goes into the entry");

        private final String prompt;

        Ask(String prompt) {
            this.prompt = prompt;
        }
    }

    /**
     * @param back goes back to the plan of the evening
     */
    EveningRun(Desk desk, Evening evening, Runnable back) {
        this.desk = desk;
        this.evening = evening;
        this.back = back;
        getStyleClass().add("bench-mode");
        setId("evening-run");
        setPadding(new Insets(24, 44, 24, 44));
        setFocusTraversable(true);
        targets.setAlignment(Pos.CENTER_LEFT);
        typed.setId("evening-typed");
        typed.getStyleClass().add("bench-field");
        typed.setOnAction(e -> {
            if (down.add(KeyCode.ENTER)) {
                next();
            }
        });
        addEventFilter(KeyEvent.KEY_RELEASED, e -> down.remove(e.getCode()));
        // In the largest text the words scroll; what is pressed stays where it is.
        ScrollPane pane = Ui.scroll(words);
        pane.getStyleClass().add("bench-words");
        pane.setMinHeight(0);
        setCenter(pane);
        setBottom(targets);
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        Timeline tick = new Timeline(new KeyFrame(Duration.seconds(5), e -> tick()));
        tick.setCycleCount(Animation.INDEFINITE);
        ties.play(tick);
    }

    private void key(KeyEvent e) {
        if (e.getTarget() == typed || !down.add(e.getCode())) {
            return;
        }
        switch (e.getCode()) {
            case ENTER -> next();
            case P -> pause();
            case W -> wrong();
            default -> {
                return;
            }
        }
        e.consume();
    }

    @Override
    public void close() {
        ties.close();
    }

    /** Comes into view, perhaps by a key that is still down. */
    void begin(boolean byEnter) {
        down.clear();
        if (byEnter) {
            down.add(KeyCode.ENTER);
        }
        asks(Ask.NOTHING);
        note = "";
        said.setText("");
        fill();
        enter();
    }

    /** Takes the keyboard. */
    void enter() {
        if (typed.getScene() == null) {
            requestFocus();
        } else {
            typed.requestFocus();
        }
    }

    // ---- what is done

    private void next() {
        if (evening.now().isEmpty()) {
            evening.end();
            back.run();
            return;
        }
        switch (ask) {
            case WHO -> {
                if (!typed.getText().isBlank()) {
                    desk.prefs().keep("who", typed.getText().strip());
                    asks(Ask.NOTHING);
                    evening.start();
                }
            }
            case BECAUSE -> done(typed.getText());
            case TORQUE -> torqued();
            case WRONG -> {
                note = typed.getText().strip();
                done("");
            }
            case NOTHING -> {
                Optional<Job.Place> heads = heads();
                if (heads.isPresent()) {
                    // Measuring has its own entries, head by head; what is measured is off the list.
                    evening.pause();
                    desk.prove(heads.get());
                    return;
                }
                if (evening.running() && bolt().isPresent()) {
                    asks(Ask.TORQUE);
                    bolt().map(Bolted::torque).ifPresent(t -> typed.setText(Math.round(t.low()) + " + "));
                } else if (evening.running()) {
                    done("");
                } else if (desk.prefs().who().isBlank()) {
                    asks(Ask.WHO);
                } else {
                    evening.start();
                }
            }
        }
        fill();
        enter();
    }

    /** The heads that are measured in the job that is on. */
    private Optional<Job.Place> heads() {
        return evening.now()
                .map(Tonight.Stint::job)
                .filter(j -> j.op() == Op.PROVE)
                .flatMap(Job::place);
    }

    /** The bolts that are torqued in the job that is on. */
    private Optional<Bolted> bolt() {
        return evening.now()
                .filter(s -> s.job().op() == Op.TORQUE)
                .flatMap(s -> s.holes().stream().findFirst())
                .flatMap(h -> h.solution().bolt());
    }

    private void torqued() {
        try {
            tightened = Optional.of(Tightened.parse(
                    typed.getText(), bolt().filter(Bolted::drags).isPresent()));
            done("");
        } catch (InputException e) {
            said.setText(e.getMessage());
        }
    }

    private void done(String because) {
        evening.done(
                because,
                note,
                tightened,
                entry -> {
                    note = "";
                    tightened = Optional.empty();
                    asks(Ask.NOTHING);
                    said.setText("Written down: entry " + entry.id() + ".");
                    evening.ask();
                },
                sentence -> {
                    said.setText(sentence);
                    asks(Ask.BECAUSE);
                    fill();
                    enter();
                });
    }

    private void pause() {
        evening.pause();
        fill();
    }

    private void wrong() {
        asks(Ask.WRONG);
        fill();
        enter();
    }

    private void asks(Ask what) {
        ask = what;
        typed.clear();
        typed.setPromptText(what.prompt);
    }

    // ---- what is shown

    /** Shows the job that is on. */
    void fill() {
        boolean typing = typed.isFocused();
        words.getChildren().clear();
        targets.getChildren().clear();
        List<Tonight.Stint> rest = evening.rest();
        setRight(null);
        if (rest.isEmpty()) {
            words.getChildren()
                    .addAll(
                            Ui.wrapped("That was the evening.", "bench-large"),
                            Ui.wrapped(
                                    "What was done is in the logbook. Count the tools and the mandrels.", "bench-mid"),
                            said);
            targets.getChildren().add(target("Back to the plan", "Enter", this::next, "evening-next"));
            return;
        }
        Tonight.Stint now = rest.getFirst();
        if (evening.running()) {
            work(now);
        } else {
            confirm(now);
        }
        if (ask != Ask.NOTHING) {
            words.getChildren().add(typed);
        }
        if (!said.getText().isEmpty()) {
            words.getChildren().add(said);
        }
        if (rest.size() > 1) {
            words.getChildren().add(Ui.wrapped("Then: " + rest.get(1).words(), "bench-mid", "soft"));
        }
        tick();
        targets(now);
        setRight(JobPlace.map(desk, now.job()).orElse(null));
        if (typing && ask != Ask.NOTHING) {
            typed.requestFocus();
        }
    }

    private Button target(String text, String key, Runnable does, String id) {
        Button button = Ui.button(text, key, does, "knuckle");
        button.setId(id);
        return button;
    }

    private void targets(Tonight.Stint now) {
        boolean running = evening.running();
        String go = heads().isPresent() ? "Measure them" : running ? "Done" : "This is it";
        targets.getChildren().add(target(go, "Enter", this::next, "evening-next"));
        if (running) {
            targets.getChildren()
                    .addAll(
                            target("Went wrong", "W", this::wrong, "evening-wrong"),
                            target("Pause", "P", this::pause, "evening-pause"));
        }
        targets.getChildren().add(target("Plan", "Esc", back, "evening-back"));
        targets.setAccessibleText(now.words());
    }

    /** Before the first hole: this part, this page, this face up, this drill. */
    private void confirm(Tonight.Stint s) {
        Job job = s.job();
        words.getChildren().add(Ui.wrapped("Before you begin: is it this one?", "bench-mid"));
        List<String> lines = new ArrayList<>();
        JobPlace.parts(desk, job).forEach(p -> lines.add(JobPlace.stamped(p)));
        if (!job.page().isBlank()) {
            lines.add("page " + job.page());
        }
        if (!job.setup().side().isEmpty()) {
            lines.add(job.setup().side() + " side up");
        }
        if (!job.setup().die().isEmpty()) {
            lines.add(job.setup().tool() + ": " + job.setup().die());
        }
        s.changes().forEach(c -> lines.add("first " + c));
        if (job.op() == Op.PROVE) {
            s.range().ifPresent(lines::add);
        }
        words.getChildren().add(Ui.wrapped(s.words(), "bench-large"));
        lines.forEach(l -> words.getChildren().add(Ui.wrapped(l, "bench-mid")));
    }

    private void work(Tonight.Stint s) {
        Job job = s.job();
        String big = job.place().isPresent() ? Integer.toString(s.count()) : "";
        if (!big.isEmpty()) {
            words.getChildren().add(Ui.label(big, "bench-huge"));
        }
        words.getChildren().add(Ui.wrapped(s.words(), big.isEmpty() ? "bench-big" : "bench-large"));
        job.place()
                .flatMap(p -> p.holes().stream().findFirst())
                .map(h -> h.solution())
                .flatMap(Solution::designation)
                .filter(d -> job.op() == Op.SET)
                .ifPresent(d -> words.getChildren().add(Ui.label(d, "bench-large")));
        if (!job.setup().words().isEmpty()) {
            words.getChildren().add(Ui.wrapped(job.setup().words(), "bench-mid"));
        }
        s.range().ifPresent(h -> words.getChildren().add(Ui.wrapped(h, "bench-mid")));
        words.getChildren().add(clock);
    }

    private void tick() {
        evening.now()
                .filter(s -> evening.running())
                .ifPresent(s -> clock.setText(
                        evening.minutes() + " of about " + Math.max(1, Math.round(s.minutes())) + " min"));
    }
}
