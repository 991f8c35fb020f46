package bucina.desk.card;

import bucina.core.form.Entries;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.PartMark;
import bucina.core.log.Taken;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.part.Bushings;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Gaging;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.RunThrough;
import bucina.desk.look.Fields;
import bucina.desk.look.Refusal;
import bucina.desk.look.Scroll;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Taking;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What is measured whenever an assembly is moved, each reading against its limits; and what runs through parts. */
public final class GagingCard extends ShownBox {

    private final Desk desk;
    private final VBox list = new VBox(8);
    private final Refusal wrong = new Refusal();
    private final TextField who;
    private final Fields reading = new Fields();
    private final TextField name = reading.add("Measured", new TextField(), "gaging-name");
    private final ComboBox<Gaging.Kind> kind;
    private final ComboBox<Gaging.In> unit;
    private final TextField wanted = reading.add("Wanted", new TextField(), "gaging-wanted");
    private final TextField least = reading.add("Least", new TextField(), "gaging-least");
    private final TextField most = reading.add("Most", new TextField(), "gaging-most");
    private final ComboBox<Optional<Bay>> bay;
    private final Fields run = new Fields();
    private final TextField line = run.add("Name", new TextField(), "run-name");
    private final ComboBox<RunThrough.Kind> what;
    private final TextField size = run.add("Across", new TextField(), "run-size");
    private final TextField through = run.add("Through", new TextField(), "run-through");
    private final TextField holes = run.add("Holes", new TextField(), "run-holes");
    private final TextField bushing = run.add("Bushing inside", new TextField(), "run-bushing");
    private final TextField ends = run.add("Ends", new TextField(), "run-ends");
    private final TextField crosses = run.add("Crosses", new TextField(), "run-crosses");
    private final ComboBox<Hand> hand;
    private final ComboBox<Optional<Bay>> lies;
    private final CheckBox string = new CheckBox("a string is left in it");

    public GagingCard(Desk desk, Runnable done) {
        super(8);
        this.desk = desk;
        getStyleClass().add("card");
        setId("gaging-card");
        setMaxSize(900, USE_PREF_SIZE);
        kind = reading.choice(
                "It is a",
                List.of(Gaging.Kind.values()),
                Gaging.Kind.CLEARANCE,
                Gaging.Kind::word,
                "gaging-kind",
                k -> {});
        unit = reading.choice(
                "In",
                List.of(Gaging.In.values()),
                Gaging.In.LENGTH,
                u -> u.code().equals("length") ? "lengths" : "degrees",
                "gaging-unit",
                u -> {});
        bay = bay(reading, "Before closing", "gaging-bay");
        lies = bay(run, "In the bay", "run-bay");
        what = run.choice(
                "It is a",
                List.of(RunThrough.Kind.values()),
                RunThrough.Kind.CONDUIT,
                RunThrough.Kind::code,
                "run-kind",
                k -> {});
        hand = run.choice("Hand", List.of(Hand.values()), Hand.NONE, Hand::word, "run-hand", h -> {});
        crosses.setPromptText("the pitot line lies over it");
        who = new TextField(desk.prefs().who());
        lay(done);
        fill();
        ties.on(desk.session().snapshotProperty(), this::fill);
    }

    private ComboBox<Optional<Bay>> bay(Fields in, String title, String id) {
        return in.choice(
                title, bays(desk), Optional.empty(), b -> b.map(Bay::name).orElse("no bay"), id, b -> {});
    }

    private static List<Optional<Bay>> bays(Desk desk) {
        List<Optional<Bay>> bays = new ArrayList<>(List.of(Optional.empty()));
        desk.session().snapshot().build().workshop().bays().forEach(b -> bays.add(Optional.of(b)));
        return bays;
    }

    private void lay(Runnable done) {
        name.setPromptText("horn to skin, full travel");
        wanted.setPromptText("if there is one");
        least.setPromptText(".125");
        most.setPromptText("no limit");
        line.setPromptText("pitot line");
        size.setPromptText("1/4");
        through.setPromptText("parts in order, with commas");
        holes.setPromptText("one size, or one for each");
        bushing.setPromptText("none");
        ends.setPromptText("where it stops");
        who.setPromptText("name or initials");
        who.setId("gaging-who");
        string.setId("run-string");
        wrong.setId("gaging-wrong");
        list.setId("gaging-list");
        Scroll scroll = Scroll.of(list);
        scroll.setPrefHeight(175);
        VBox left = new VBox(
                6, Ui.label("A reading with limits", "strong"), reading, add("Ask for it", "gaging-add", this::ask));
        VBox right = new VBox(
                6,
                Ui.label("Something that runs through", "strong"),
                run,
                string,
                add("Keep it", "run-add", this::runs));
        HBox both = new HBox(16, left, right);
        HBox.setHgrow(left, Priority.ALWAYS);
        HBox.setHgrow(right, Priority.ALWAYS);
        HBox foot = new HBox(8, Ui.named("Who measures", who), Ui.spring(), Ui.button("Close", "Esc", done, "quiet"));
        foot.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(Ui.label("Readings, and what runs through", "bench-title"), scroll, both, wrong, foot);
    }

    private HBox add(String words, String id, Runnable does) {
        var button = Ui.button(words, "", does);
        button.setId(id);
        button.setDisable(desk.session().readOnly());
        return new HBox(button);
    }

    private void fill() {
        list.getChildren().clear();
        Build build = desk.session().snapshot().build();
        for (Gaging g : build.workshop().gagings()) {
            list.getChildren().add(line(g));
        }
        for (RunThrough r : build.workshop().runs()) {
            list.getChildren().add(line(build, r));
        }
        if (list.getChildren().isEmpty()) {
            list.getChildren()
                    .add(Ui.wrapped(
                            "Nothing yet. Squareness, twist, planned washout, a centre line by string, a clearance"
                                    + " swung through: each is measured as often as the assembly is moved.",
                            "soft"));
        }
    }

    private VBox line(Gaging g) {
        TextField value = new TextField();
        value.setPrefColumnCount(7);
        value.setId("take-" + g.id().n());
        value.setAccessibleText(g.name() + " as measured");
        Runnable go = () -> typed(() -> desk.session()
                .log(
                        Taking.draft(desk, g, value.getText(), who.getText()),
                        List.of(),
                        e -> desk.prefs().keep("who", who.getText().strip()),
                        wrong::say));
        value.setOnAction(e -> go.run());
        Label title = Ui.wrapped(g.name() + ", " + g.kind().word() + ": " + limits(g), "plain");
        HBox.setHgrow(title, Priority.ALWAYS);
        title.setMaxWidth(Double.MAX_VALUE);
        HBox head = new HBox(
                8,
                title,
                value,
                Ui.button("Measured", "Enter", go, "quiet"),
                Ui.button("Take it out", "", () -> out(g), "quiet"));
        head.setAlignment(Pos.CENTER_LEFT);
        return new VBox(1, head, Ui.wrapped(taken(g), "soft"));
    }

    private String limits(Gaging g) {
        return (g.wanted().map(w -> "wanted " + show(g, w) + ", ").orElse("")
                        + g.least().map(l -> "at least " + show(g, l)).orElse("")
                        + (g.least().isPresent() && g.most().isPresent() ? ", " : "")
                        + g.most().map(m -> "at most " + show(g, m)).orElse(""))
                + (g.bay().isPresent() ? ", before its bay is closed" : "");
    }

    private String show(Gaging g, double value) {
        return g.unit().words(value, desk.unit());
    }

    /** Every reading there was, the newest first. */
    private String taken(Gaging g) {
        List<String> all = new ArrayList<>();
        for (LogEntry entry : desk.session().snapshot().log().entries()) {
            if (desk.session().snapshot().log().inForce(entry)
                    && entry.labour().map(Labour::what).orElse(null) instanceof Taken t
                    && t.of().equals(g.id())) {
                all.addFirst(show(g, t.value()) + (g.holds(t.value()) ? "" : " out of limits") + " on "
                        + entry.deed().orElseThrow().done().toLocalDate());
            }
        }
        return all.isEmpty() ? "Not measured yet." : String.join("; ", all.subList(0, Math.min(6, all.size())));
    }

    private VBox line(Build build, RunThrough r) {
        List<Id.Part> bushings = Bushings.open(build, desk.session().snapshot().log(), r);
        StringBuilder text = new StringBuilder(
                r.kind().code() + " " + r.name() + ", " + LengthFormat.trade(r.size(), desk.unit()) + ": ");
        for (RunThrough.Station s : r.stations()) {
            text.append(build.part(s.part()).name())
                    .append(bushings.contains(s.part()) ? " (bushing to fit)" : "")
                    .append(r.tight().contains(s) ? " (too tight)" : "")
                    .append(s.equals(r.stations().getLast()) ? "" : ", ");
        }
        Label title = Ui.wrapped(
                text
                        + (r.ends().isBlank() ? "" : "; ends " + r.ends())
                        + (r.crosses().isBlank() ? "" : "; crosses: " + r.crosses())
                        + (r.hand() == Hand.NONE ? "" : "; " + r.hand().word() + " hand")
                        + (r.string() ? "; a string is in it" : ""),
                r.tight().isEmpty() ? "plain" : "stop-text");
        HBox.setHgrow(title, Priority.ALWAYS);
        title.setMaxWidth(Double.MAX_VALUE);
        HBox head = new HBox(
                8,
                title,
                Ui.button(
                        "Take it out",
                        "",
                        () -> plan(
                                "taking out " + r.called(),
                                b -> b.withWorkshop(b.workshop().without(r.id()), b.nextId())),
                        "quiet"));
        head.setAlignment(Pos.CENTER_LEFT);
        FlowPane fit = new FlowPane(8, 4);
        for (Id.Part at : bushings) {
            Part part = build.part(at);
            Button in = Ui.button("Its bushing in " + part.name() + " is in", "", () -> fitted(r, part), "quiet");
            in.setId("run-fitted-" + r.id().n() + "-" + at.n());
            fit.getChildren().add(in);
        }
        return bushings.isEmpty() ? new VBox(head) : new VBox(4, head, fit);
    }

    private void fitted(RunThrough r, Part part) {
        PartMark mark = new PartMark(part.id(), Bushings.task(r), desk.session().instant());
        desk.session()
                .markParts(
                        "fitting the bushing of " + r.name() + " in " + part.name(),
                        List.of(mark),
                        wrong::clear,
                        wrong::say);
    }

    private void out(Gaging g) {
        plan("taking out " + g.called(), b -> b.withWorkshop(b.workshop().without(g.id()), b.nextId()));
    }

    private void plan(String words, UnaryOperator<Build> change) {
        desk.session().plan(words, change, wrong::clear, wrong::say);
    }

    private void ask() {
        typed(() -> {
            Gaging.In in = unit.getValue();
            Gaging g = new Gaging(
                    new Id.Gaging(desk.session().snapshot().build().nextId()),
                    name.getText().strip(),
                    kind.getValue(),
                    in,
                    Taking.some(desk, in, wanted.getText(), "the wanted value"),
                    Taking.some(desk, in, least.getText(), "the least"),
                    Taking.some(desk, in, most.getText(), "the most"),
                    bay.getValue().map(Bay::id),
                    "");
            plan(
                    "asking for " + g.name(),
                    b -> b.withWorkshop(b.workshop().with(g), Math.max(b.nextId(), g.id().n() + 1)));
        });
    }

    private void runs() {
        typed(() -> {
            List<Part> parts =
                    Entries.parts(through.getText(), desk.session().snapshot().parts());
            List<Length> sizes = desk.lengths().parseList(holes.getText(), "the holes");
            if (sizes.size() != 1 && sizes.size() != parts.size()) {
                throw new InputException("give one size for all holes or one for each part: " + sizes.size() + " for "
                        + parts.size() + " parts, such as 1/2");
            }
            Optional<Length> inside = bushing.getText().isBlank()
                    ? Optional.empty()
                    : Optional.of(desk.lengths().parsePositive(bushing.getText(), "the inside of the bushing"));
            List<RunThrough.Station> stations = new ArrayList<>();
            for (int i = 0; i < parts.size(); i++) {
                stations.add(new RunThrough.Station(
                        parts.get(i).id(), sizes.get(sizes.size() == 1 ? 0 : i), inside, inside.isEmpty()));
            }
            RunThrough r = new RunThrough(
                    new Id.Run(desk.session().snapshot().build().nextId()),
                    line.getText().strip(),
                    what.getValue(),
                    desk.lengths().parsePositive(size.getText(), "how wide it is"),
                    hand.getValue(),
                    lies.getValue().map(Bay::id),
                    stations,
                    ends.getText().strip(),
                    string.isSelected(),
                    crosses.getText().strip());
            plan(
                    "keeping " + r.name().toLowerCase(Locale.ROOT),
                    b -> b.withWorkshop(b.workshop().with(r), Math.max(b.nextId(), r.id().n() + 1)));
        });
    }

    private void typed(Runnable does) {
        try {
            wrong.clear();
            does.run();
        } catch (InputException e) {
            wrong.say(e.getMessage());
        }
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        name.requestFocus();
    }
}
