package bucina.desk.card;

import bucina.core.edit.Edit;
import bucina.core.edit.NutPlateEdits;
import bucina.core.form.PanelForm;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.nutplate.NutPlate;
import bucina.core.nutplate.NutPlateLayout;
import bucina.core.nutplate.ScrewPattern;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.sheet.Box;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.desk.look.Fields;
import bucina.desk.look.Palette;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Nut plates behind a row of screws, a ring or a rectangle: laid out and shown at once, then put on the face. */
public final class NutPlateCard extends ShownBox {

    private final Desk desk;
    private final Runnable away;
    private final ComboBox<Optional<Row>> row;
    private final TextField pattern;
    private final TextField origin;
    private final ComboBox<NutPlate> plate;
    private final TextField places;
    private final TextField lug;
    private final FacePicture picture;
    private final Label says = Ui.wrapped("", "strong");
    private final Label error = Ui.wrapped("", "stop-text");
    private final Button go;

    /**
     * @param away puts the card away
     */
    public NutPlateCard(Desk desk, Palette palette, Runnable away) {
        super(10);
        this.desk = desk;
        this.away = away;
        getStyleClass().add("card");
        setId("nutplate-card");
        setMaxSize(900, USE_PREF_SIZE);
        picture = new FacePicture(palette, 470, 400);
        Fields f = new Fields();
        List<Optional<Row>> rows = rows(desk);
        Optional<Row> picked = desk.cursor().map(c -> c.row()).filter(r -> rows.contains(Optional.of(r)));
        row = f.choice(
                "Screws",
                rows,
                picked.isPresent() ? picked : rows.getFirst(),
                r -> r.map(x -> "row " + x.name() + ", " + x.holes().size() + " holes")
                        .orElse("as typed below"),
                "np-row",
                r -> look());
        pattern = f.live("Pattern", "circle:8:3.0", "np-pattern", t -> look());
        origin = f.live("Its origin x, y", "0, 0", "np-origin", t -> look());
        List<NutPlate> plates = desk.session().catalogue().nutPlates();
        plate = f.choice(
                "Plate for #",
                plates,
                plates.stream().filter(p -> p.size().equals("8")).findFirst().orElse(plates.getFirst()),
                NutPlate::size,
                "np-size",
                p -> look());
        places = f.live("Lug rivets", "", "np-places", t -> look());
        places.setPromptText("two-lug, or x, y; x, y from the drawing");
        lug = f.live("Lug, measured", "", "np-lug", t -> look());
        lug.setPromptText("measure one, like .025");
        go = Ui.button("Put them on the face", "Enter", this::go, "primary");
        go.setId("np-go");
        go.setDefaultButton(true);
        error.setId("np-error");
        lay(f, away);
        look();
    }

    private void lay(Fields f, Runnable away) {
        VBox left = new VBox(
                8, f, says, error, Ui.wrapped(String.join(" ", NutPlateEdits.steps(plate.getValue())), "caution"));
        left.setPrefWidth(380);
        left.setMinWidth(380);
        getChildren()
                .addAll(
                        Ui.label("Nut plates", "bench-title"),
                        Ui.wrapped(
                                "Lugs lie along the edge and are turned where they would hit a neighbour. Each lug "
                                        + "is a sheet of its rivet's stack.",
                                "soft"),
                        Ui.scroll(new HBox(16, left, picture)),
                        new HBox(8, go, Ui.button("Close", "Esc", away, "quiet")));
    }

    private static List<Optional<Row>> rows(Desk desk) {
        List<Optional<Row>> rows = new ArrayList<>();
        NutPlateEdits.screwRows(desk.face().face()).forEach(r -> rows.add(Optional.of(r)));
        rows.add(Optional.empty());
        return rows;
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        row.requestFocus();
    }

    private ScrewPattern screws() {
        if (row.getValue().isPresent()) {
            return NutPlateEdits.pattern(row.getValue().get());
        }
        return NutPlateEdits.at(
                ScrewPattern.parse(pattern.getText(), desk.lengths()),
                PanelForm.point(origin.getText(), desk.lengths()));
    }

    private NutPlate shaped() {
        return places.getText().isBlank()
                ? plate.getValue()
                : plate.getValue().shaped(places.getText(), desk.lengths());
    }

    private void look() {
        if (getChildren().isEmpty()) {
            return;
        }
        boolean typed = row.getValue().isEmpty();
        pattern.setDisable(!typed);
        origin.setDisable(!typed);
        Face face = desk.face().face();
        try {
            judged(face, typed);
        } catch (InputException e) {
            says.setText("");
            refuse(e.getMessage());
            go.setDisable(true);
        }
    }

    private void judged(Face face, boolean typed) {
        ScrewPattern screws = screws();
        NutPlateLayout layout = NutPlateEdits.lay(
                face, screws, shaped(), desk.snapshot().build().rules());
        draw(face, layout);
        long turned = NutPlateEdits.turned(screws, layout);
        int n = layout.plates().size();
        say(n, layout, typed, turned);
        go.setDisable(lug.getText().isBlank() || desk.session().readOnly());
    }

    private void say(int n, NutPlateLayout layout, boolean typed, long turned) {
        says.setText(n + " plates, " + layout.plate().places().size() * n + " lug rivets"
                + (typed ? ", " + n + " screws" : "")
                + (turned == 0 ? ", all along the edge." : ", " + turned + " turned to clear."));
        if (layout.findings().isEmpty()) {
            Ui.shown(error, false);
        } else {
            refuse(layout.findings().getFirst().message().in(desk.unit())
                    + (layout.findings().size() > 1
                            ? " And " + (layout.findings().size() - 1) + " more."
                            : ""));
        }
    }

    private void draw(Face face, NutPlateLayout layout) {
        List<Outline> outlines = new ArrayList<>();
        double lugs = layout.plate().lug().nanometres() + 3e6;
        double minX =
                layout.plates().stream().mapToDouble(p -> p.screw().x()).min().orElse(0) - lugs * 2;
        double maxX =
                layout.plates().stream().mapToDouble(p -> p.screw().x()).max().orElse(0) + lugs * 2;
        double minY =
                layout.plates().stream().mapToDouble(p -> p.screw().y()).min().orElse(0) - lugs * 2;
        double maxY =
                layout.plates().stream().mapToDouble(p -> p.screw().y()).max().orElse(0) + lugs * 2;
        face.layers().stream()
                .map(Layer::outline)
                .sorted(Comparator.comparingDouble((Outline o) -> o.outer().area())
                        .reversed())
                .forEach(outlines::add);
        List<Point> points = new ArrayList<>();
        layout.plates().forEach(p -> {
            outlines.add(p.body());
            points.add(p.screw());
            points.addAll(p.rivets());
        });
        picture.showIn(new Box(minX, minY, maxX, maxY), outlines, points);
    }

    private void go() {
        try {
            Length thick = desk.lengths().parsePositive(lug.getText(), "Lug");
            boolean typed = row.getValue().isEmpty();
            NutPlate with = shaped();
            ScrewPattern screws = screws();
            var face = desk.face().face().id();
            put(screws, face, with, thick, typed);
        } catch (InputException e) {
            refuse(e.getMessage());
        }
    }

    private void put(ScrewPattern screws, Id.Face face, NutPlate with, Length thick, boolean typed) {
        desk.session()
                .plan(
                        "putting on " + screws.screws().size() + " nut plates",
                        b -> NutPlateEdits.add(
                                b, face, NutPlateEdits.lay(Edit.face(b, face), screws, with, b.rules()), thick, typed),
                        away,
                        this::refuse);
    }

    private void refuse(String sentence) {
        error.setText(sentence);
        Ui.shown(error, true);
    }
}
