package bucina.desk.bench;

import bucina.core.log.Logbook;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.refit.Hanging;
import bucina.core.refit.Misfit;
import bucina.core.sheet.Point;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import bucina.desk.session.Misfitting;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/**
 * Why a part will not go on: three to five holes are picked, how far the part's holes are off is typed, and the sheet
 * shows what is the matter. And how far a part can swing that hangs on few clecos.
 */
final class MisfitPanel extends VBox {

    private static final int FEWEST = 3;
    private static final int MOST = 12;
    /** As near as a hole need be. */
    private static final Length WITHIN = Length.in(.006);

    private final Desk desk;
    private final ComboBox<Part> part = new ComboBox<>();
    private final Label says = Ui.wrapped("", "strong");
    private final Label wrong = Ui.wrapped("", "stop-text");
    private List<HoleReading> holes = List.of();
    private final VBox hanging = new VBox(4);
    private final Latest latest;
    private final List<TextField> offs = new ArrayList<>();

    MisfitPanel(Desk desk) {
        super(6);
        this.desk = desk;
        latest = desk.session().latest();
        setId("misfit-panel");
        says.setId("misfit-says");
        part.setConverter(new Worded<>(Part::name));
    }

    void fill() {
        List<HoleReading> picked = desk.selectionProperty().get().readings(desk.face());
        Optional<Misfitting> shown =
                desk.misfitProperty().get().filter(m -> m.on(desk.face().face().id()));
        boolean same = holes.stream()
                .map(h -> h.hole().id())
                .toList()
                .equals(picked.stream().map(h -> h.hole().id()).toList());
        if (same && !getChildren().isEmpty() && picked.size() >= FEWEST) {
            return;
        }
        holes = picked;
        getChildren().clear();
        swing();
        if (picked.size() < FEWEST || picked.size() > MOST) {
            getChildren()
                    .add(Ui.wrapped(
                            "A part will not go on? Pick three to five holes along it (Ctrl+click) and say how far "
                                    + "its holes are off there.",
                            "soft"));
            shown.ifPresent(m -> getChildren().add(Ui.wrapped(m.says(desk.unit()), "attention-text")));
            return;
        }
        ask(picked);
    }

    private void ask(List<HoleReading> picked) {
        offs.clear();
        Fields f = new Fields();
        List<Part> parts = desk.face().face().layers().stream()
                .filter(l -> picked.stream().allMatch(h -> h.layers().contains(l)))
                .map(Layer::part)
                .distinct()
                .map(desk.snapshot().parts()::part)
                .toList();
        part.getItems().setAll(parts);
        part.setValue(parts.isEmpty() ? null : parts.getLast());
        f.add("Which part", part, "misfit-part");
        for (HoleReading hole : picked) {
            TextField field = f.add(hole.label() + " is off", new TextField(), "misfit-" + offs.size());
            field.setPromptText(offs.isEmpty() ? "dx, dy like .01, -.004" : "dx, dy");
            field.setOnAction(e -> find());
            offs.add(field);
        }
        Button go = Ui.button("Find out why", "Enter", this::find);
        go.setId("misfit-go");
        Ui.shown(wrong, false);
        Ui.shown(says, false);
        getChildren()
                .addAll(
                        Ui.label("It will not go on", "strong"),
                        Ui.wrapped(
                                "How far the part's hole is from where it should be: toward "
                                        + word(desk.face().face().xToward(), "x") + ", toward "
                                        + word(desk.face().face().yToward(), "y") + "; the other way with a minus.",
                                "soft"),
                        f,
                        go,
                        says,
                        wrong);
    }

    private static String word(String toward, String axis) {
        return toward.isBlank() ? "+" + axis : toward;
    }

    private void find() {
        try {
            List<Point> at = holes.stream().map(h -> h.hole().at()).toList();
            List<Point> off = new ArrayList<>();
            for (int i = 0; i < offs.size(); i++) {
                off.add(offset(offs.get(i).getText(), holes.get(i).label()));
            }
            Misfit misfit = Misfit.of(at, off, WITHIN);
            Misfitting found = new Misfitting(
                    desk.face().face(),
                    part.getValue() == null ? "the part" : part.getValue().name(),
                    holes,
                    off,
                    misfit);
            desk.misfitProperty().set(Optional.of(found));
            says.setText(found.says(desk.unit()));
            Ui.shown(says, true);
            Ui.shown(wrong, false);
        } catch (InputException e) {
            wrong.setText(e.getMessage());
            Ui.shown(wrong, true);
        }
    }

    private Point offset(String text, String label) {
        String[] xy = text.strip().split("\\s*,\\s*", -1);
        if (xy.length != 2) {
            throw new InputException(label + ": \"" + text.strip()
                    + "\" is no offset: write two lengths with a comma, like .01, -.004; 0, 0 where it meets");
        }
        return Point.at(desk.lengths().parse(xy[0]), desk.lengths().parse(xy[1]));
    }

    /** What hangs on few clecos can swing: said before it is drilled. */
    private void swing() {
        getChildren().add(hanging);
        FaceReading face = desk.face();
        Logbook log = desk.snapshot().log();
        latest.ask(
                () -> Hanging.of(face, log, desk.session().catalogue()),
                found -> hanging.getChildren()
                        .setAll(found.stream().map(this::words).toList()),
                sentence -> {});
    }

    private Label words(Hanging h) {
        return Ui.wrapped(
                h.sheet().name() + " hangs on " + h.clecos().size()
                        + (h.clecos().size() == 1 ? " cleco. " : " clecos. ")
                        + h.swing().says().in(desk.unit()),
                "attention-text");
    }
}
