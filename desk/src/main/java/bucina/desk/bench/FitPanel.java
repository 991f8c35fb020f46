package bucina.desk.bench;

import bucina.core.edit.PartEdits;
import bucina.core.hold.Holds;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Selection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.HBox;

/** What stays open on the face, for which part, and which parts are in place. */
final class FitPanel extends StagePanel {

    private final Desk desk;
    private final Runnable print;
    private final Button play;
    private final Button note;
    private final MisfitPanel misfit;

    /**
     * @param print  offers the sheet to tape up
     * @param clecos plays the cleco plan of the row
     * @param apart  opens what is noted before taking apart
     */
    FitPanel(Desk desk, Runnable print, Runnable clecos, Runnable apart) {
        super(8);
        this.desk = desk;
        this.print = print;
        play = Ui.button("Play the clecos of this row", "Q", clecos, "primary");
        play.setId("play-clecos");
        play.setMaxWidth(Double.MAX_VALUE);
        note = Ui.button("Before taking apart", "Ctrl+D", apart);
        note.setId("note-apart");
        note.setMaxWidth(Double.MAX_VALUE);
        setId("fit-panel");
        misfit = new MisfitPanel(desk);
    }

    @Override
    void fill() {
        getChildren().clear();
        Snapshot snapshot = desk.snapshot();
        Face face = desk.face().face();
        desk.cursor()
                .flatMap(c -> snapshot.holds()
                        .of(c)
                        .filter(h -> !snapshot.set(c))
                        .map(h -> c.label() + ": " + h.sentence(desk.unit())))
                .ifPresent(words -> getChildren().add(Ui.wrapped(words, "attention-text")));
        List<Holds.Range> ranges = snapshot.holds()
                .ranges(desk.face().readings().stream()
                        .filter(r -> !snapshot.set(r))
                        .toList());
        int held = ranges.stream().mapToInt(Holds.Range::count).sum();
        misfit.fill();
        getChildren().addAll(play, note, misfit);
        getChildren()
                .add(Ui.wrapped(
                        held == 0 ? "Nothing is held open on this face." : held + " holes stay open on this face.",
                        "strong"));
        getChildren()
                .add(Ui.wrapped(
                        "Parts in the order they go on. Tick one when it is in place, clecoed or riveted.", "soft"));
        List<Part> parts = parts(snapshot.build(), face);
        parts.stream().filter(p -> !p.fitted()).forEach(p -> getChildren().add(part(p, ranges)));
        for (Holds.Range range : ranges) {
            getChildren().add(range(range));
        }
        if (held > 0) {
            Button sheet = Ui.button("Print the sheet to tape up", "", print);
            sheet.setId("print-held");
            getChildren().add(sheet);
        }
        getChildren().add(Ui.label("In place", "strong"));
        parts.stream().filter(Part::fitted).forEach(p -> getChildren().add(part(p, ranges)));
    }

    private static List<Part> parts(Build build, Face face) {
        return face.layers().stream()
                .map(Layer::part)
                .distinct()
                .map(build::part)
                .sorted(Comparator.comparing(Part::fittingOrder))
                .toList();
    }

    private HBox part(Part part, List<Holds.Range> ranges) {
        CheckBox box = box(part);
        int holds = ranges.stream()
                .filter(r -> r.held().parts().contains(part.name()))
                .mapToInt(Holds.Range::count)
                .sum();
        HBox line = new HBox(
                6,
                Ui.kept(part.fittingOrder() + ".", "soft"),
                box,
                Ui.spring(),
                Ui.kept(holds == 0 ? "" : "holds " + holds, "attention-text"));
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private CheckBox box(Part part) {
        CheckBox box = new CheckBox(part.name());
        box.setSelected(part.fitted());
        box.setDisable(desk.session().readOnly());
        box.setId("fitted-" + part.id().n());
        box.setOnAction(e -> desk.session()
                .plan(
                        part.name() + (part.fitted() ? " is off" : " is on, dry"),
                        b -> PartEdits.stands(
                                b,
                                desk.session().snapshot().parts(),
                                part.id(),
                                part.fitted() ? Standing.OFF : Standing.DRY),
                        () -> {},
                        s -> fill()));
        return box;
    }

    private Button range(Holds.Range range) {
        String holes = range.from().equals(range.to()) ? range.from() : range.from() + " to " + range.to();
        Button button = Ui.button(
                holes + "  (" + range.count() + ")  " + range.held().waitsFor(), "", () -> pick(range), "quiet");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setAlignment(Pos.CENTER_LEFT);
        button.setMinWidth(0);
        button.setWrapText(true);
        button.setMinHeight(USE_PREF_SIZE);
        button.setAccessibleText(holes + ": " + range.held().sentence(desk.unit()));
        return button;
    }

    private void pick(Holds.Range range) {
        List<HoleReading> row = desk.face().readings().stream()
                .filter(r -> r.group().id().equals(range.group().id())
                        && r.row()
                                .name()
                                .equals(range.from().substring(0, range.from().lastIndexOf('.'))))
                .toList();
        LinkedHashSet<Id.Hole> holes = between(row, range);
        desk.selectionProperty()
                .set(new Selection(desk.face().face().id(), holes.stream().findFirst(), holes));
    }

    private static LinkedHashSet<Id.Hole> between(List<HoleReading> row, Holds.Range range) {
        LinkedHashSet<Id.Hole> holes = new LinkedHashSet<>();
        boolean in = false;
        for (HoleReading r : row) {
            in |= r.label().equals(range.from());
            if (in) {
                holes.add(r.hole().id());
            }
            if (r.label().equals(range.to())) {
                break;
            }
        }
        return holes;
    }
}
