package bucina.desk.card;

import bucina.core.form.Entries;
import bucina.core.log.Addition;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.PartMark;
import bucina.core.measure.InputException;
import bucina.core.part.Owing;
import bucina.core.part.PartTask;
import bucina.core.plan.Build;
import bucina.core.plan.Part;
import bucina.desk.look.Fields;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Desk;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Logs work that sets no fastener: a part worked, a job of the builder's own, stock taken, holes worked. */
public final class WorkCard extends ShownBox {

    /** What can be logged here. */
    private enum Kind {
        PART("a part worked"),
        OWN("a job of my own"),
        STOCK("stock taken"),
        HOLES("holes worked"),
        FOUND("fasteners found in");

        private final String word;

        Kind(String word) {
            this.word = word;
        }
    }

    private final Desk desk;
    private final Runnable away;
    private final Optional<Labour.Holes> holes;
    private final VBox what = new VBox(6);
    private final ComboBox<Kind> kind;
    private final ComboBox<Part> part = new ComboBox<>();
    private final ComboBox<String> task = new ComboBox<>();
    private final CheckBox finished = new CheckBox("and it is done: no longer owed");
    private final OwnJobFields own;
    private final FoundFields found;
    private final TextField counted = new TextField();
    private final Fields rest = new Fields();
    private final TextField who;
    private final TextField at;
    private final TextField minutes;
    private final TextField note;
    private final Label wrong = Ui.wrapped("", "stop-text");

    /**
     * @param holes holes worked while the timer ran; empty for other work
     * @param spent minutes that the timer counted; 0 if it did not run
     */
    public WorkCard(Desk desk, Optional<Labour.Holes> holes, int spent, Runnable away) {
        this.desk = desk;
        this.away = away;
        this.holes = holes;
        own = new OwnJobFields(desk, this::refused);
        found = new FoundFields(desk);
        getStyleClass().add("card");
        setId("work-card");
        setSpacing(10);
        setMaxSize(520, USE_PREF_SIZE);
        Fields first = new Fields();
        List<Kind> kinds = new ArrayList<>(List.of(Kind.values()));
        if (holes.isEmpty()) {
            kinds.remove(Kind.HOLES);
        }
        kind = first.choice(
                "What", kinds, holes.isPresent() ? Kind.HOLES : Kind.PART, k -> k.word, "work-kind", k -> lay());
        who = rest.live("Who", desk.prefs().who(), "work-who", t -> {});
        who.setPromptText("name or initials");
        at = rest.live("Done", desk.session().now().toString().replace('T', ' '), "work-at", t -> {});
        minutes = rest.live("Minutes", spent > 0 ? Integer.toString(spent) : "", "work-minutes", t -> {});
        note = rest.live("Note", "", "work-note", t -> {});
        note.setPromptText("reamed 5/16, flange outboard");
        offer();
        Button go = Ui.button("Write it down", "Enter", this::go, "primary");
        go.setId("work-go");
        go.setDefaultButton(true);
        Ui.shown(wrong, false);
        getChildren()
                .addAll(
                        Ui.label("Log work", "bench-title"),
                        first,
                        what,
                        rest,
                        wrong,
                        new HBox(8, go, Ui.button("Close", "Esc", away, "quiet")));
        lay();
    }

    private void offer() {
        Build build = desk.session().snapshot().build();
        part.getItems().setAll(build.parts());
        part.valueProperty().addListener((o, was, now) -> tasks(now));
        task.setEditable(true);
        finished.setSelected(true);
        finished.setId("work-done");
        counted.setPromptText("rivets, box 3");
        desk.partProperty()
                .get()
                .or(() -> desk.layer().map(l -> l.part()))
                .ifPresent(p -> part.setValue(build.part(p)));
    }

    private void tasks(Part of) {
        List<String> owed = of == null
                ? List.of()
                : desk.session().snapshot().parts().owed(of.id()).stream()
                        .map(Owing::task)
                        .toList();
        task.getItems().setAll(owed);
        task.setValue(owed.isEmpty() ? "" : owed.getFirst());
    }

    /** Shows the fields of the kind chosen. */
    private void lay() {
        what.getChildren().clear();
        Ui.shown(rest, kind.getValue() != Kind.FOUND);
        Fields f = new Fields();
        switch (kind.getValue()) {
            case PART -> {
                choice(f, "Part", part, Part::name, "work-part");
                f.add("Task", task, "work-task");
                what.getChildren().addAll(f, finished);
            }
            case OWN -> what.getChildren().add(own);
            case FOUND -> what.getChildren().add(found);
            case STOCK -> {
                f.add("Counted", counted, "work-counted");
                what.getChildren().add(f);
            }
            case HOLES ->
                holes.ifPresent(h -> h.sweeps()
                        .forEach(s -> what.getChildren()
                                .add(Ui.wrapped(
                                        s.operation().code().replace('-', ' ') + ": "
                                                + s.holes().size() + " of " + s.code(),
                                        "soft"))));
        }
    }

    private static <T> void choice(Fields f, String title, ComboBox<T> box, Function<T, String> word, String id) {
        box.setConverter(new Worded<>(word));
        f.add(title, box, id);
    }

    /** Puts the keyboard into the first field that is empty. */
    @Override
    public void enter() {
        (who.getText().isBlank() ? who : minutes).requestFocus();
    }

    private void go() {
        try {
            write();
        } catch (InputException e) {
            refused(e.getMessage());
        }
    }

    private void write() {
        if (kind.getValue() == Kind.FOUND) {
            log(found.labour(note.getText().strip()), List.of());
            return;
        }
        String said = minutes.getText().strip();
        if (!said.matches("\\d{1,6}")) {
            throw new InputException("minutes \"" + said + "\" must be a whole number like 25");
        }
        if (kind.getValue() == Kind.OWN) {
            own.keep(job -> log(labour(new Labour.Own(job.id(), job.name()), job.page()), List.of()));
            return;
        }
        log(labour(what(), page()), marks());
    }

    private List<PartMark> marks() {
        return kind.getValue() == Kind.PART && finished.isSelected()
                ? List.of(new PartMark(
                        part.getValue().id(), task(), desk.session().instant()))
                : List.of();
    }

    private String task() {
        String text = task.getValue() == null ? "" : task.getValue().strip();
        return PartTask.of(text).map(PartTask::code).orElse(text);
    }

    private String page() {
        return kind.getValue() == Kind.PART ? part.getValue().particulars().page() : "";
    }

    private Labour.What what() {
        return switch (kind.getValue()) {
            case PART -> {
                if (part.getValue() == null) {
                    throw new InputException("choose the part that was worked");
                }
                yield new Labour.OnPart(part.getValue().id(), part.getValue().name(), task());
            }
            case STOCK -> new Labour.Stock(counted.getText().strip());
            case HOLES -> holes.orElseThrow();
            case OWN, FOUND -> throw new IllegalStateException("told by fields of their own");
        };
    }

    private Labour labour(Labour.What done, String on) {
        return new Labour(
                done,
                on,
                who.getText().strip(),
                Entries.when(at.getText()),
                Integer.parseInt(minutes.getText().strip()),
                "",
                note.getText().strip(),
                List.of());
    }

    private void log(Labour labour, List<PartMark> marks) {
        desk.session()
                .log(
                        new Addition(Optional.of(LogEntry.Draft.install(labour)), List.of(), marks),
                        List.of(),
                        e -> {
                            if (kind.getValue() != Kind.FOUND) {
                                desk.prefs().keep("who", labour.who());
                            }
                            away.run();
                        },
                        this::refused);
    }

    private void refused(String sentence) {
        wrong.setText(sentence);
        Ui.shown(wrong, !sentence.isBlank());
    }
}
