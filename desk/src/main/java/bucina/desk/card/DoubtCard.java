package bucina.desk.card;

import bucina.core.edit.Facts;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Reset;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Layer;
import bucina.core.prove.Recall;
import bucina.core.prove.Suspects;
import bucina.core.rule.Level;
import bucina.core.rule.RuleKey;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.Palette;
import bucina.desk.look.Refusal;
import bucina.desk.look.Scroll;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import bucina.desk.session.Selection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What is in doubt: set-ups that drift or failed, and what would no longer pass if a fact turned out otherwise. */
public final class DoubtCard extends ShownBox {

    private final Desk desk;
    private final Latest suspects;
    private final Latest recalls;
    private final DriftPlot plot;
    private final Fields up = new Fields();
    private final ComboBox<Suspects.Run> runs;
    private final Label says = Ui.wrapped("", "plain");
    private final Button reset = Ui.button("It is set up anew", "", this::reset);
    private final GaugeBox gauges;
    private final Fields fact = new Fields();
    private final ComboBox<Fact> which;
    private final ComboBox<String> of;
    private final TextField value;
    private final Label found = Ui.wrapped("", "strong");
    private final VBox lines = new VBox(3);
    private final Refusal wrong = new Refusal();

    /** A fact that may turn out otherwise. */
    private enum Fact {
        GAUGE("the gauge of a sheet here", "it measures"),
        HOLES("the holes of a group", "they measure"),
        RULE("a rule", "it is"),
        BAG("a bag of rivets", "they are");

        private final String word;
        private final String value;

        Fact(String word, String value) {
            this.word = word;
            this.value = value;
        }
    }

    public DoubtCard(Desk desk, Palette palette, Runnable done) {
        super(8);
        this.desk = desk;
        suspects = desk.session().latest();
        recalls = desk.session().latest();
        plot = new DriftPlot(palette);
        getStyleClass().add("card");
        setId("doubt-card");
        setMaxSize(880, USE_PREF_SIZE);
        runs = up.choice(
                "Set-up",
                List.of(),
                null,
                r -> r.setUp().words(desk.unit()) + ", " + r.set().size() + " set"
                        + (r.doubts().isEmpty() ? "" : ": in doubt"),
                "doubt-run",
                r -> picked(Optional.ofNullable(r)));
        which = fact.choice("If", List.of(Fact.values()), Fact.GAUGE, f -> f.word, "recall-fact", f -> choices());
        of = fact.choice("Which", List.of(), null, s -> s, "recall-of", s -> {});
        value = fact.add("turns out", new TextField(), "recall-value");
        value.setOnAction(e -> act());
        reset.setId("doubt-reset");
        found.setId("recall-found");
        lines.setId("recall-lines");
        says.setId("doubt-says");
        gauges = new GaugeBox(desk, wrong::say);
        lay(done);
        choices();
        ties.on(desk.session().snapshotProperty(), this::fill);
        fill();
    }

    private void lay(Runnable done) {
        Scroll scroll = Scroll.of(lines);
        scroll.setPrefHeight(110);
        Button go = Ui.button("Judge again what is set", "Ctrl+Enter", this::act, "primary");
        go.setId("recall-go");
        HBox ways = new HBox(8, go, Ui.spring(), Ui.button("Close", "Esc", done, "quiet"));
        ways.setAlignment(Pos.CENTER_LEFT);
        getChildren()
                .addAll(
                        Ui.label("In doubt", "bench-title"),
                        up,
                        plot,
                        new HBox(8, says, Ui.spring(), reset),
                        Ui.label("A gauge held against a known piece", "strong"),
                        gauges,
                        Ui.label("If a fact turns out otherwise", "strong"),
                        fact,
                        found,
                        scroll,
                        wrong,
                        ways);
    }

    private void fill() {
        Snapshot now = desk.session().snapshot();
        suspects.ask(() -> Suspects.of(now.derivation(), now.log()), this::show, wrong::say);
    }

    private void show(Suspects is) {
        Optional<Suspects.SetUp> was = Optional.ofNullable(runs.getValue()).map(Suspects.Run::setUp);
        List<Suspects.Run> all = is.runs().stream()
                .sorted((a, b) ->
                        Boolean.compare(b.doubts().isEmpty(), a.doubts().isEmpty()) * -1)
                .toList();
        gauges.show(is);
        runs.getItems().setAll(all);
        runs.setValue(all.stream()
                .filter(r -> was.filter(r.setUp()::equals).isPresent())
                .findFirst()
                .or(() -> all.stream().findFirst())
                .orElse(null));
        picked(Optional.ofNullable(runs.getValue()));
    }

    private void picked(Optional<Suspects.Run> run) {
        plot.show(run);
        Set<Suspects.Set> doubtful = run.stream()
                .flatMap(r -> r.doubts().stream())
                .flatMap(d -> d.doubtful().stream())
                .collect(Collectors.toSet());
        says.setText(run.map(r -> r.doubts().isEmpty()
                        ? "No reading makes anything doubtful."
                        : r.doubts().stream()
                                        .map(d -> d.cause().words() + " at "
                                                + d.by().group().code() + " " + d.by().label())
                                        .distinct()
                                        .collect(Collectors.joining("; "))
                                + ". " + doubtful.size() + " not measured are in doubt: measure them, worst first those"
                                + " set last.")
                .orElse("Nothing is set yet that has a head to measure."));
        Ui.shown(
                reset,
                !doubtful.isEmpty()
                        && !desk.session().readOnly()
                        && run.filter(r -> !r.setUp().tool().isEmpty()).isPresent());
    }

    /** The next good head after this ends the doubt. */
    private void reset() {
        Suspects.SetUp is = runs.getValue().setUp();
        LogEntry.Draft draft = LogEntry.Draft.install(new Labour(
                new Reset(is.tool(), is.die(), is.setting()),
                "",
                is.who(),
                desk.session().now(),
                0,
                "",
                "",
                List.of()));
        desk.session().log(draft, List.of(), e -> {}, wrong::say);
    }

    private void choices() {
        Build build = desk.session().snapshot().build();
        List<String> all =
                switch (which.getValue()) {
                    case GAUGE ->
                        desk.face().face().layers().stream().map(Layer::name).toList();
                    case HOLES ->
                        build.faces().stream()
                                .flatMap(f -> f.face().groups().stream())
                                .map(Group::code)
                                .toList();
                    case RULE ->
                        List.of(RuleKey.values()).stream().map(RuleKey::code).toList();
                    case BAG ->
                        desk.session().snapshot().log().entries().stream()
                                .flatMap(e -> e.work().stream())
                                .map(w -> w.designation())
                                .distinct()
                                .sorted()
                                .toList();
                };
        of.getItems().setAll(all);
        of.setValue(all.isEmpty() ? null : all.getFirst());
        value.setPromptText(which.getValue().value);
    }

    @Override
    public void act() {
        wrong.clear();
        if (of.getValue() == null) {
            wrong.say("there is none of that in this build yet");
            return;
        }
        try {
            judge(desk.session().snapshot());
        } catch (InputException e) {
            wrong.say(e.getMessage());
        }
    }

    private void judge(Snapshot now) {
        String text = value.getText().strip();
        String name = of.getValue();
        Build changed =
                switch (which.getValue()) {
                    case GAUGE ->
                        Facts.gauge(
                                now.build(),
                                desk.face().face(),
                                name,
                                desk.lengths().parsePositive(text, "the gauge"));
                    case HOLES ->
                        Facts.holes(
                                now.build(),
                                now.build().group(name),
                                desk.lengths().parsePositive(text, "the holes"));
                    case RULE ->
                        now.build()
                                .withRules(now.build()
                                        .rules()
                                        .with(RuleKey.of(name).orElseThrow(), text, "asked for"));
                    case BAG -> now.build();
                };
        Optional<Recall.Bag> bag =
                which.getValue() == Fact.BAG ? Optional.of(new Recall.Bag(name, text)) : Optional.empty();
        recalls.ask(
                () -> Recall.of(now.derivation(), now.derivation().after(changed), now.log(), bag),
                this::show,
                wrong::say);
    }

    private void show(Recall is) {
        found.setText(
                is.lines().isEmpty()
                        ? "All " + is.asked() + " that are in would still pass."
                        : is.lines().size() + " of " + is.asked() + " that are in would no longer pass, worst first:");
        lines.getChildren().clear();
        is.lines().stream().limit(200).forEach(l -> {
            Label text = Ui.wrapped(
                    "%s  %.0f %%  %s %s%s"
                            .formatted(
                                    l.level().code(),
                                    100 * l.over(),
                                    l.message().in(desk.unit()),
                                    l.remedy().in(desk.unit()),
                                    l.found() ? " As found." : ""),
                    l.level() == Level.ERROR ? "stop-text" : "attention-text");
            text.setMaxWidth(Double.MAX_VALUE);
            HBox.setHgrow(text, Priority.ALWAYS);
            lines.getChildren().add(new HBox(6, text, Ui.button("Show", "", () -> show(l), "quiet", "slim")));
        });
    }

    private void show(Recall.Line line) {
        desk.snapshot().build().face(line.face()).ifPresent(ref -> {
            desk.show(ref.face().id());
            desk.face().readings().stream()
                    .filter(r -> r.label().equals(line.label()))
                    .findFirst()
                    .ifPresent(r -> desk.selectionProperty()
                            .set(new Selection(
                                    ref.face().id(),
                                    Optional.of(r.hole().id()),
                                    Set.of(r.hole().id()))));
        });
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        runs.requestFocus();
    }

    @Override
    public void close() {
        suspects.drop();
        recalls.drop();
        super.close();
    }
}
