package bucina.desk.card;

import bucina.core.form.Entries;
import bucina.core.guard.Bays;
import bucina.core.measure.InputException;
import bucina.core.plan.Bay;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.Refusal;
import bucina.desk.look.Scroll;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Bays: which parts close one, what lies inside, and what is still open before it may be shut. */
public final class BaysCard extends ShownBox {

    private final Desk desk;
    private final Runnable done;
    private final Latest latest;
    private final ComboBox<Optional<Bay>> bay;
    private final TextField name;
    private final TextField closers;
    private final TextField inside;
    private final TextField notes;
    private final TextField photos;
    private final TextField loose;
    private final Label state = Ui.wrapped("", "strong");
    private final VBox open = new VBox(3);
    private final Refusal wrong = new Refusal();
    private final Button keep = Ui.button("Keep the bay", "Ctrl+Enter", this::keep, "primary");
    private final Button out = Ui.button("Take it out", "", this::out, "quiet");

    public BaysCard(Desk desk, Runnable done) {
        super(10);
        this.desk = desk;
        this.done = done;
        latest = desk.session().latest();
        getStyleClass().add("card");
        setId("bays-card");
        setMaxSize(760, USE_PREF_SIZE);
        Fields f = new Fields();
        List<Bay> all = desk.session().snapshot().build().workshop().bays();
        bay = f.choice(
                "Bay",
                choices(all),
                all.stream().findFirst(),
                b -> b.map(Bay::name).orElse("a new one"),
                "bay-which",
                chosen -> fill(chosen == null ? Optional.empty() : chosen));
        name = f.add("Its name", new TextField(), "bay-name");
        closers = f.add("Closed by", new TextField(), "bay-closers");
        inside = f.add("Inside lie", new TextField(), "bay-inside");
        notes = f.add("To remember", new TextField(), "bay-notes");
        photos = f.add("Photographs", new TextField(), "bay-photos");
        loose = f.add("Counted out", new TextField(), "bay-loose");
        photos.setPromptText("asked for before it is shut, with semicolons: the bolts, striped; the line");
        loose.setPromptText("before it is shut, with semicolons: drillings; rags. Mandrels come by themselves");
        name.setPromptText("leading edge bay");
        closers.setPromptText("parts that shut it, by name or number, with commas; the last one to go on holds");
        inside.setPromptText("parts, with commas; nothing typed: all others of the assembly");
        notes.setPromptText("the line runs through the second rib");
        lay(f);
        fill(all.stream().findFirst());
    }

    private static List<Optional<Bay>> choices(List<Bay> all) {
        List<Optional<Bay>> choices = new ArrayList<>();
        all.forEach(b -> choices.add(Optional.of(b)));
        choices.add(Optional.empty());
        return choices;
    }

    private void lay(Fields f) {
        keep.setId("bay-keep");
        out.setId("bay-out");
        keep.setDisable(desk.session().readOnly());
        Button away = Ui.button("Close", "Esc", done, "quiet");
        HBox ways = new HBox(8, keep, out, Ui.spring(), away);
        ways.setAlignment(Pos.CENTER_LEFT);
        state.setId("bay-state");
        open.setId("bay-open");
        Scroll scroll = Scroll.of(open);
        scroll.setPrefHeight(210);
        getChildren()
                .addAll(
                        Ui.label("Bays", "card-title"),
                        Ui.wrapped(
                                "What is inside is finished before the part that closes it gets its first permanent "
                                        + "fastener; a screwed cover, before its last screw.",
                                "soft"),
                        f,
                        wrong,
                        state,
                        scroll,
                        ways);
    }

    private void fill(Optional<Bay> chosen) {
        Snapshot now = desk.session().snapshot();
        wrong.clear();
        Ui.shown(out, chosen.isPresent() && !desk.session().readOnly());
        name.setText(chosen.map(Bay::name).orElse(""));
        closers.setText(chosen.map(b -> names(now, b.closers())).orElse(""));
        inside.setText(chosen.map(b -> names(now, b.inside())).orElse(""));
        notes.setText(chosen.map(Bay::notes).orElse(""));
        photos.setText(chosen.map(b -> String.join("; ", b.photos())).orElse(""));
        loose.setText(chosen.map(b -> String.join("; ", b.loose())).orElse(""));
        state.setText("");
        open.getChildren().clear();
        chosen.ifPresent(b -> latest.ask(() -> Open.of(now, b), this::show, wrong::say));
    }

    private static String names(Snapshot now, Collection<Id.Part> parts) {
        return parts.stream()
                .map(now.parts()::part)
                .sorted(Comparator.comparing(Part::fittingOrder))
                .map(Part::name)
                .collect(Collectors.joining(", "));
    }

    /** What stands in the way of shutting a bay. */
    private record Open(List<String> closing, List<String> unheld, List<String> points) {

        static Open of(Snapshot now, Bay bay) {
            Bays bays = new Bays(now.derivation(), now.log(), now.parts());
            return new Open(
                    bays.open(bay).stream().map(Part::name).toList(),
                    bays.unheld(bay).stream().map(Part::name).toList(),
                    bays.points(bay));
        }
    }

    private void show(Open is) {
        state.setText(
                is.closing.isEmpty()
                        ? "It is shut." + (is.points.isEmpty() ? "" : " Open all the same:")
                        : is.closing.getLast() + " closes it last. "
                                + (is.points.isEmpty()
                                        ? "Nothing is open inside: it is signed with the close-out, then shut."
                                        : "Open inside:"));
        wrong.clear();
        if (!is.unheld.isEmpty()) {
            wrong.say("No hole of the plan goes through " + String.join(", ", is.unheld)
                    + ": nothing stops it from being put on with something open inside.");
        }
        open.getChildren()
                .setAll(is.points.stream().map(p -> Ui.wrapped(p, "soft")).toList());
    }

    private List<Id.Part> parts(TextField field) {
        return Entries.parts(field.getText(), desk.session().snapshot().parts()).stream()
                .map(Part::id)
                .toList();
    }

    private static List<String> things(TextField field) {
        return Stream.of(field.getText().split(";"))
                .map(String::strip)
                .filter(t -> !t.isEmpty())
                .toList();
    }

    private void keep() {
        if (desk.session().readOnly()) {
            return;
        }
        Optional<Bay> was = bay.getValue();
        Id.Bay id = was.map(Bay::id)
                .orElseGet(() -> new Id.Bay(desk.session().snapshot().build().nextId()));
        Bay told;
        try {
            told = new Bay(
                    id,
                    name.getText().strip(),
                    parts(closers),
                    new HashSet<>(parts(inside)),
                    notes.getText().strip(),
                    things(photos),
                    things(loose),
                    was.flatMap(Bay::opened));
        } catch (InputException e) {
            wrong.say(e.getMessage());
            return;
        }
        desk.session()
                .plan(
                        (was.isEmpty() ? "adding bay " : "changing bay ") + told.name(),
                        b -> b.withWorkshop(b.workshop().with(told), Math.max(b.nextId(), id.n() + 1)),
                        () -> again(Optional.of(told)),
                        wrong::say);
    }

    private void out() {
        bay.getValue()
                .ifPresent(gone -> desk.session()
                        .plan(
                                "taking out bay " + gone.name(),
                                b -> b.withWorkshop(b.workshop().without(gone.id()), b.nextId()),
                                () -> again(Optional.empty()),
                                wrong::say));
    }

    private void again(Optional<Bay> chosen) {
        bay.getItems()
                .setAll(choices(desk.session().snapshot().build().workshop().bays()));
        bay.setValue(chosen);
        fill(chosen);
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        bay.requestFocus();
    }

    @Override
    public void close() {
        latest.drop();
        super.close();
    }

    @Override
    public void act() {
        keep();
    }
}
