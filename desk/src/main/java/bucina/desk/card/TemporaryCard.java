package bucina.desk.card;

import bucina.core.form.Entries;
import bucina.core.measure.InputException;
import bucina.core.part.Owing;
import bucina.core.part.PartTask;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.Refusal;
import bucina.desk.look.Scroll;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import bucina.desk.session.Selection;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What is in for a time only and comes out again, and what is still owed to parts: one list each, of all faces. */
public final class TemporaryCard extends ShownBox {

    /** What a job is called that takes something out again. */
    private static final String OUT = "Take out ";

    private final Desk desk;
    private final Latest latest;
    private final VBox out = new VBox(4);
    private final VBox owed = new VBox(4);
    private final Fields fields = new Fields();
    private final TextField what = fields.add("Also in for a time", new TextField(), "temporary-what");
    private final TextField where = fields.add("At parts", new TextField(), "temporary-parts");
    private final Refusal wrong = new Refusal();

    public TemporaryCard(Desk desk, Runnable done) {
        super(8);
        this.desk = desk;
        latest = desk.session().latest();
        getStyleClass().add("card");
        setId("temporary-card");
        setMaxSize(860, USE_PREF_SIZE);
        what.setPromptText("the strap at the root");
        where.setPromptText("names or numbers, with commas");
        what.setOnAction(e -> act());
        Button keep = Ui.button("Keep it", "Ctrl+Enter", this::act, "primary");
        keep.setId("temporary-keep");
        keep.setDisable(desk.session().readOnly());
        HBox ways = new HBox(8, keep, Ui.spring(), Ui.button("Close", "Esc", done, "quiet"));
        ways.setAlignment(Pos.CENTER_LEFT);
        HBox lists = new HBox(16, list("Comes out again", out), list("Owed to parts", owed));
        getChildren().addAll(Ui.label("Temporary, and owed", "bench-title"), lists, fields, wrong, ways);
        ties.on(desk.session().snapshotProperty(), this::fill);
        fill();
    }

    private static VBox list(String title, VBox lines) {
        Scroll scroll = Scroll.of(lines);
        scroll.setPrefSize(400, 300);
        VBox box = new VBox(6, Ui.label(title, "strong"), scroll);
        HBox.setHgrow(box, Priority.ALWAYS);
        return box;
    }

    /** A line of either list; holes it is about, or none. */
    private record Line(String text, Optional<Id.Face> face, List<Id.Hole> holes) {}

    /** Both lists. */
    private record Lists(List<Line> out, List<Line> owed) {

        static Lists of(Snapshot now) {
            List<Line> out = new ArrayList<>();
            for (Build.FaceRef ref : now.build().faces()) {
                List<HoleReading> held = now.face(ref.face().id()).readings().stream()
                        .filter(h -> !now.set(h) && now.log().temporary(h.hole().id(), h.layers()))
                        .toList();
                if (!held.isEmpty()) {
                    out.add(new Line(
                            held.size()
                                    + (held.size() == 1 ? " temporary bolt in " : " temporary bolts in ")
                                    + ref.face().name(),
                            Optional.of(ref.face().id()),
                            held.stream().map(h -> h.hole().id()).toList()));
                }
            }
            now.build().workshop().jobs().stream()
                    .filter(j -> j.name().startsWith(OUT) && !now.log().logged(j.id()))
                    .forEach(j -> out.add(new Line(j.name(), Optional.empty(), List.of())));
            now.build()
                    .workshop()
                    .index()
                    .forEach(m -> out.add(new Line(
                            "index mark on " + now.parts().part(m.part()).name() + ": " + m.how(),
                            Optional.empty(),
                            List.of())));
            List<Line> owed = new ArrayList<>();
            for (Part part : now.build().parts()) {
                for (Owing o : now.parts().owed(part.id())) {
                    owed.add(new Line(part.name() + ": " + PartTask.words(o.task()), Optional.empty(), List.of()));
                }
            }
            return new Lists(out, owed);
        }
    }

    private void fill() {
        Snapshot now = desk.session().snapshot();
        latest.ask(() -> Lists.of(now), this::show, wrong::say);
    }

    private void show(Lists is) {
        show(out, is.out, "Nothing is in for a time only.");
        show(owed, is.owed, "Nothing is owed to any part.");
    }

    private void show(VBox lines, List<Line> all, String none) {
        lines.getChildren().clear();
        if (all.isEmpty()) {
            lines.getChildren().add(Ui.wrapped(none, "soft"));
        }
        for (Line line : all) {
            Label text = Ui.wrapped(line.text, "plain");
            HBox.setHgrow(text, Priority.ALWAYS);
            text.setMaxWidth(Double.MAX_VALUE);
            HBox row = new HBox(8, text);
            line.face.ifPresent(f ->
                    row.getChildren().add(Ui.button("Show", "", () -> pick(f, line.holes), "quiet", "slim")));
            lines.getChildren().add(row);
        }
    }

    private void pick(Id.Face face, List<Id.Hole> holes) {
        desk.show(face);
        desk.selectionProperty().set(new Selection(face, Optional.of(holes.getFirst()), new LinkedHashSet<>(holes)));
    }

    /** What comes out again is a job of the builder's own: it is in the lists, and before the bay is closed. */
    @Override
    public void act() {
        if (desk.session().readOnly()) {
            return;
        }
        wrong.clear();
        try {
            List<Id.Part> parts = Entries.parts(
                            where.getText(), desk.session().snapshot().parts())
                    .stream()
                    .map(Part::id)
                    .toList();
            OwnJob job = new OwnJob(
                    new Id.Own(desk.session().snapshot().build().nextId()),
                    OUT + what.getText().strip(),
                    "",
                    Optional.empty(),
                    parts,
                    "");
            if (what.getText().isBlank()) {
                throw new InputException("what is in for a time needs a name, such as the strap at the root");
            }
            desk.session()
                    .plan(
                            "keeping what comes out again",
                            b -> b.withWorkshop(
                                    b.workshop().with(job),
                                    Math.max(b.nextId(), job.id().n() + 1)),
                            () -> what.setText(""),
                            wrong::say);
        } catch (InputException e) {
            wrong.say(e.getMessage());
        }
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        what.requestFocus();
    }

    @Override
    public void close() {
        latest.drop();
        super.close();
    }
}
