package bucina.desk.card;

import bucina.core.batch.Mixing;
import bucina.core.measure.InputException;
import bucina.core.plan.Batch;
import bucina.core.plan.Compound;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/**
 * Primer and sealant: what runs now with its clock at the left, below it what is mixed next; at the right what that is
 * for.
 */
public final class MixCard extends ShownBox {

    private final Desk desk;
    private final Latest standings;
    private final Latest offering;
    private final RunningBatches running;
    private final ComboBox<Compound> compound;
    private final TextField name;
    private final TextField induction;
    private final TextField life;
    private final TextField stir;
    private final TextField ago;
    private final ComboBox<Boolean> scope;
    private final VBox offers = new VBox(4);
    private final Label total = Ui.wrapped("", "strong");
    private final Label source = Ui.wrapped("", "tiny");
    private final Label error = Ui.wrapped("", "stop-text");
    private final TextField why = new TextField();
    private final List<Ticked> ticked = new ArrayList<>();
    private @Nullable Snapshot shown;
    private boolean filling;

    private record Ticked(CheckBox box, Mixing.Offer offer) {}

    /**
     * @param away puts the card away
     */
    public MixCard(Desk desk, Runnable away) {
        super(10);
        this.desk = desk;
        standings = desk.session().latest();
        offering = desk.session().latest();
        running = new RunningBatches(desk, this::primed, this::refuse);
        getStyleClass().add("card");
        setId("mix-card");
        setMaxSize(1120, 690);
        Fields fields = new Fields();
        List<Compound> known =
                Mixing.known(desk.snapshot().build(), desk.session().catalogue());
        compound = fields.choice("Mix", known, known.getFirst(), Compound::name, "mix-compound", this::choose);
        name = fields.live("As on the can", "", "mix-name", t -> {});
        induction = fields.live("Induction, min", "", "mix-induction", t -> source());
        life = fields.live("Life, min", "", "mix-life", t -> source());
        stir = fields.live("Stir every, min", "", "mix-stir", t -> source());
        ago = fields.live("Mixed, min ago", "0", "mix-ago", t -> {});
        scope = fields.choice(
                "For",
                List.of(false, true),
                false,
                s -> s ? "mating surfaces only" : "whole sheets, both sides",
                "mix-scope",
                s -> offers());
        Button go = Ui.button("It is mixed: start the clock", "Enter", this::go, "primary");
        go.setId("mix-go");
        go.setDefaultButton(true);
        go.setDisable(desk.session().readOnly());
        error.setId("mix-error");
        Ui.shown(error, false);
        layAsked();
        HBox columns = columns(fields, go, desk);
        HBox foot = foot(desk, away);
        getChildren().addAll(Ui.label("Primer and sealant", "bench-title"), columns, foot);
        choose(known.getFirst());
        ties.on(desk.session().snapshotProperty(), (was, now) -> {
            if (getScene() != null && now != shown) {
                fill();
            }
        });
        ties.play(running.ticking());
        fill();
    }

    private HBox columns(Fields fields, Button go, Desk desk) {
        VBox left = new VBox(10, running, fields, source, error, why, new HBox(go), caution());
        left.setPrefWidth(440);
        left.setMinWidth(440);
        ScrollPane lefts = Ui.scroll(left);
        lefts.setMinWidth(460);
        VBox right = new VBox(
                8, Ui.label("What it is for on " + desk.face().face().name(), "strong"), total, Ui.scroll(offers));
        HBox.setHgrow(right, Priority.ALWAYS);
        HBox columns = new HBox(18, lefts, right);
        VBox.setVgrow(columns, Priority.ALWAYS);
        return columns;
    }

    private static HBox foot(Desk desk, Runnable away) {
        CheckBox sound = new CheckBox("Sound the alarm");
        sound.setSelected(desk.look().sound());
        sound.setOnAction(e -> desk.look().sound(sound.isSelected()));
        HBox foot = new HBox(16, Ui.button("Close, the clock goes on", "Esc", away, "quiet"), Ui.spring(), sound);
        foot.setAlignment(Pos.CENTER_LEFT);
        return foot;
    }

    private static Label caution() {
        return Ui.wrapped(
                "Respirator with fresh cartridges, gloves, no flame: two-part primers may "
                        + "hold chromates and isocyanates. The can and its safety sheet govern.",
                "caution");
    }

    private void layAsked() {
        why.setId("mix-why");
        why.setPromptText("why they may be primed now");
        why.setAccessibleText("Reason for priming sheets whose holes must wait");
        Ui.shown(why, false);
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        compound.requestFocus();
    }

    private void choose(Compound c) {
        if (c == null) {
            return;
        }
        filling = true;
        name.setText(c.name());
        induction.setText(Integer.toString(c.induction()));
        life.setText(Integer.toString(c.life()));
        stir.setText(c.stir() == 0 ? "never" : Integer.toString(c.stir()));
        scope.setValue(c.kind() == Compound.Kind.SEALANT);
        scope.setDisable(c.kind() == Compound.Kind.SEALANT);
        filling = false;
        ticked.clear();
        source();
        offers();
    }

    private void source() {
        if (!filling) {
            try {
                source.setText(
                        "Times: " + Mixing.source(typed(), desk.session().catalogue()) + ". Life runs from mixing.");
                Ui.shown(error, false);
            } catch (InputException e) {
                source.setText(e.getMessage() + ".");
            }
        }
    }

    private Compound typed() {
        return new Compound(
                name.getText().strip(),
                compound.getValue().kind(),
                Mixing.minutes("Induction", induction.getText()),
                Mixing.minutes(compound.getValue().kind().life(), life.getText()),
                stir.getText().strip().equals("never") ? 0 : Mixing.minutes("Time between stirrings", stir.getText()));
    }

    private void go() {
        try {
            Compound c = typed();
            Instant mixed = desk.session()
                    .instant()
                    .truncatedTo(ChronoUnit.SECONDS)
                    .minus(Duration.ofMinutes(Mixing.minutes("Mixed", ago.getText())));
            List<Batch.Surface> covers = covers();
            if (covers.isEmpty()) {
                throw new InputException(
                        "Nothing is ticked that it is for: tick a sheet or a place where two touch, at the right");
            }
            plan(c, mixed, covers);
        } catch (InputException e) {
            refuse(e.getMessage());
        }
    }

    private void plan(Compound c, Instant mixed, List<Batch.Surface> covers) {
        desk.session()
                .plan(
                        "mixing " + c.name(),
                        b -> Mixing.mixed(b, c, mixed, desk.session().zone(), covers),
                        () -> {
                            ago.setText("0");
                            ticked.clear();
                            offers();
                        },
                        this::refuse);
    }

    private List<Batch.Surface> covers() {
        return ticked.stream()
                .filter(t -> t.box.isSelected())
                .flatMap(t -> t.offer.surfaces().stream())
                .distinct()
                .toList();
    }

    private void refuse(String sentence) {
        error.setText(sentence.endsWith(".") ? sentence : sentence + ".");
        Ui.shown(error, true);
    }

    private void offers() {
        if (filling) {
            return;
        }
        Snapshot snapshot = desk.session().snapshot();
        boolean mating = scope.getValue();
        var face = snapshot.face(desk.face().face().id());
        offering.ask(() -> Mixing.offers(snapshot, face, mating), this::show, this::refuse);
    }

    /** Ticks of the builder's own stay while a batch that runs is stirred or ended. */
    private void show(List<Mixing.Offer> list) {
        boolean same = ticked.stream()
                .map(t -> t.offer.surfaces())
                .toList()
                .equals(list.stream().map(Mixing.Offer::surfaces).toList());
        List<List<Batch.Surface>> kept = ticked.stream()
                .filter(t -> same && t.box.isSelected())
                .map(t -> t.offer.surfaces())
                .toList();
        offers.getChildren().clear();
        ticked.clear();
        for (Mixing.Offer offer : list) {
            line(offer, same, kept);
        }
        if (list.isEmpty()) {
            offers.getChildren().add(Ui.wrapped("No two sheets touch on this face.", "soft"));
        }
        total();
    }

    private void line(Mixing.Offer offer, boolean same, List<List<Batch.Surface>> kept) {
        CheckBox box = new CheckBox(offer.words());
        box.setSelected(
                same
                        ? kept.contains(offer.surfaces())
                        : compound.getValue().kind() == Compound.Kind.PRIMER && offer.ready());
        box.setOnAction(e -> total());
        box.setWrapText(true);
        box.setMinHeight(USE_PREF_SIZE);
        HBox line = new HBox(
                10,
                box,
                Ui.spring(),
                Ui.kept(offer.state(), offer.ready() ? "plain" : "soft"),
                number(Mixing.area(offer.area(), desk.unit())),
                number(offer.holes() + " holes"));
        line.setAlignment(Pos.CENTER_LEFT);
        offers.getChildren().add(line);
        ticked.add(new Ticked(box, offer));
    }

    private static Label number(String text) {
        Label label = Ui.label(text, "soft", "offer-figure");
        label.setAlignment(Pos.CENTER_RIGHT);
        return label;
    }

    private void total() {
        List<Mixing.Offer> on = ticked.stream()
                .filter(t -> t.box.isSelected())
                .map(Ticked::offer)
                .toList();
        long waits = on.stream().filter(o -> !o.ready()).count();
        total.setText(
                on.isEmpty()
                        ? "Nothing ticked yet."
                        : on.size() + " ticked, "
                                + Mixing.area(
                                        on.stream()
                                                .mapToDouble(Mixing.Offer::area)
                                                .sum(),
                                        desk.unit())
                                + " to cover."
                                + (waits == 0
                                        ? ""
                                        : " " + waits + " of them " + (waits == 1 ? "is" : "are")
                                                + " not ready: deburr and dress first."));
    }

    private void fill() {
        shown = desk.session().snapshot();
        Snapshot snapshot = shown;
        List<Batch> batches = snapshot.build().workshop().running();
        Instant now = desk.session().instant();
        standings.ask(
                () -> batches.stream()
                        .map(b -> Mixing.standing(snapshot, b, now))
                        .toList(),
                running::show,
                this::refuse);
        offers();
    }

    /** Marks the sheets primed; where their holes must wait, a reason is asked for. */
    private void primed(Mixing.Standing s) {
        Ui.shown(error, false);
        desk.session()
                .mark(
                        "marking sheets primed",
                        s.toPrime(),
                        why.getText().strip(),
                        () -> {
                            why.clear();
                            Ui.shown(why, false);
                        },
                        sentence -> {
                            refuse(sentence);
                            Ui.shown(why, true);
                        });
    }
}
