package bucina.desk.card;

import bucina.core.edit.SheetEdits;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.reach.HandHole;
import bucina.core.reach.Hatches;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.Palette;
import bucina.desk.look.Refusal;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What an arm gets at through the openings of a face, how far they may be opened, and where hatches would go. */
public final class HatchCard extends ShownBox {

    /** More holes than these are counted, not named. */
    private static final int NAMED = 12;

    private final Desk desk;
    private final Runnable done;
    private final Latest latest;
    private final ComboBox<Hatches.For> what;
    private final FacePicture picture;
    private final VBox says = new VBox(6);
    private final Refusal wrong = new Refusal();
    private final Button cut = Ui.button("Cut these hatches", "Ctrl+Enter", this::cut, "primary");
    private Optional<Hatches> shown = Optional.empty();

    public HatchCard(Desk desk, Palette palette, Runnable done) {
        super(10);
        this.desk = desk;
        this.done = done;
        latest = desk.session().latest();
        picture = new FacePicture(palette, 720, 230);
        getStyleClass().add("card");
        setId("hatch-card");
        setMaxSize(760, USE_PREF_SIZE);
        Fields f = new Fields();
        what = f.choice(
                "Within reach",
                List.of(Hatches.For.values()),
                Hatches.For.BOLTS,
                Hatches.For::word,
                "hatch-for",
                w -> ask());
        cut.setId("hatch-cut");
        says.setId("hatch-says");
        says.setMinHeight(150);
        HBox ways = new HBox(8, cut, Ui.spring(), Ui.button("Close", "Esc", done, "quiet"));
        ways.setAlignment(Pos.CENTER_LEFT);
        getChildren()
                .addAll(
                        Ui.label("Arms and hatches on " + desk.face().face().name(), "card-title"),
                        Ui.wrapped(
                                "Through its openings once the bay is shut, the shoulder outside. A flange that stands"
                                        + " behind is a wall. Reach and hand are typical: put your own into the rules.",
                                "soft"),
                        f,
                        picture,
                        wrong,
                        says,
                        Ui.wrapped("A hatch weakens the skin: the kit's drawing and its maker decide.", "caution"),
                        ways);
        ask();
    }

    @Override
    public void enter() {
        what.requestFocus();
    }

    private void ask() {
        shown = Optional.empty();
        cut.setDisable(true);
        says.getChildren().setAll(Ui.label("Looking.", "soft"));
        Snapshot now = desk.snapshot();
        var face = desk.face();
        Hatches.For asked = what.getValue();
        latest.ask(() -> Hatches.of(face, now.build().rules(), asked), this::show, wrong::say);
    }

    private void show(Optional<Hatches> found) {
        shown = found;
        says.getChildren().clear();
        if (found.isEmpty()) {
            says.getChildren().add(Ui.wrapped("There is no sheet on this face.", "soft"));
            return;
        }
        Hatches is = found.get();
        Face face = desk.face().face();
        List<Outline> drawn = new ArrayList<>();
        drawn.add(is.sheet().outline());
        face.layers().stream().filter(l -> !l.equals(is.sheet())).forEach(l -> drawn.add(l.outline()));
        is.hatches()
                .forEach(p -> drawn.add(
                        Outline.of(Hatches.opening(p, desk.snapshot().build().rules()))));
        picture.cross(is.out().stream().map(h -> h.hole().at()).toList());
        picture.showOutlines(drawn, is.wanted().stream().map(h -> h.hole().at()).toList());
        for (int i = 0; i < is.ways().size(); i++) {
            says.getChildren().add(Ui.wrapped(way(i + 1, is.ways().get(i)), "plain"));
        }
        says.getChildren().add(Ui.wrapped(reached(is), is.out().isEmpty() ? "strong" : "attention-text"));
        if (is.walls() == 0 && face.layers().size() > 1 && !is.wanted().isEmpty()) {
            says.getChildren()
                    .add(Ui.wrapped(
                            "No sheet here says where it is bent, so that nothing is taken for a wall: say it at the"
                                    + " ribs, under Change.",
                            "attention-text"));
        }
        if (!is.hatches().isEmpty()) {
            says.getChildren().add(Ui.wrapped(proposal(is), "strong"));
        }
        if (!is.beyond().isEmpty()) {
            says.getChildren()
                    .add(Ui.wrapped(
                            "No hatch in this sheet would reach " + names(is.beyond())
                                    + ": do them before it is shut, or look from another face.",
                            "attention-text"));
        }
        cut.setDisable(is.hatches().isEmpty() || desk.session().readOnly());
    }

    private String figure(Length length) {
        return LengthFormat.decimal(length, desk.unit(), desk.unit() == Unit.INCH ? 2 : 1);
    }

    private String place(Point p) {
        return figure(p.across()) + ", " + figure(p.up());
    }

    private String way(int n, HandHole way) {
        String hand = way.bar()
                ? "a hand with a bar goes through"
                : way.hand() ? "a hand goes through, not with a bar" : "no hand goes through";
        return "Opening " + n + " at " + place(way.at()) + ": " + hand + ". It may be opened by " + figure(way.grow())
                + " all round, for a socket; then it is at " + way.stop() + ".";
    }

    private static String reached(Hatches is) {
        int there = is.wanted().size() - is.out().size();
        return is.wanted().isEmpty()
                ? "There is nothing to reach here."
                : is.out().isEmpty()
                        ? "All " + is.wanted().size() + " are within reach."
                        : there + " of " + is.wanted().size() + " are within reach; not " + names(is.out()) + ".";
    }

    private static String names(List<HoleReading> holes) {
        return holes.stream().limit(NAMED).map(HoleReading::label).collect(Collectors.joining(", "))
                + (holes.size() > NAMED ? " and " + (holes.size() - NAMED) + " more" : "");
    }

    private String proposal(Hatches is) {
        int n = is.hatches().size();
        return (n == 1 ? "One hatch" : n + " hatches") + " would bring "
                + (is.beyond().isEmpty() ? "them" : "the rest") + " within reach, with the middle at "
                + is.hatches().stream().map(this::place).collect(Collectors.joining("; "))
                + (is.fewest()
                        ? ". No fewer would do of places " + figure(is.grid()) + " apart."
                        : ". Whether fewer would do was not found out.");
    }

    /** The main action. */
    @Override
    public void act() {
        if (!cut.isDisabled()) {
            cut();
        }
    }

    private void cut() {
        shown.ifPresent(is -> desk.session()
                .plan(
                        "cutting " + is.hatches().size() + " hatches into "
                                + is.sheet().name(),
                        b -> cut(b, is),
                        done,
                        wrong::say));
    }

    private static Build cut(Build build, Hatches is) {
        Build made = build;
        for (Point at : is.hatches()) {
            made = SheetEdits.cut(made, is.sheet().id(), Hatches.opening(at, build.rules()));
        }
        return made;
    }
}
