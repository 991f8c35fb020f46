package bucina.desk.card;

import bucina.core.callout.Callout;
import bucina.core.form.PartForm;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.panel.PanelPlan;
import bucina.core.panel.RibPlan;
import bucina.core.panel.Ribs;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.desk.look.Fields;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Desk;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A rib or a frame in one go: web, flanges on several faces, and their holes carried onto each. */
public final class RibCard extends ShownBox {

    private static final Length INSET = Length.in(.25);

    /** One face and what is said of the flange on it. */
    private record Line(Face face, CheckBox on, TextField from, TextField to, ComboBox<Boolean> fromSkin) {}

    private final Desk desk;
    private final Runnable away;
    private final LengthParser lengths;
    private final Assembly assembly;
    private final List<Line> lines = new ArrayList<>();
    private final TextField name;
    private final TextField alloy;
    private final TextField width;
    private final TextField thickness;
    private final TextField stations;
    private final TextField web;
    private final TextField openings;
    private final TextField rivet;
    private final TextField pitch;
    private final Label says = Ui.wrapped("", "soft");
    private final Label wrong = Ui.wrapped("", "stop-text");

    public RibCard(Desk desk, Runnable away) {
        this.desk = desk;
        this.away = away;
        assembly = desk.ref().assembly();
        boolean inch = desk.unit() == Unit.INCH;
        lengths = desk.lengths();
        getStyleClass().add("card");
        setId("rib-card");
        setSpacing(10);
        setMaxSize(900, USE_PREF_SIZE);
        Fields f = new Fields();
        name = f.live("Name", "Rib", "rib-name", t -> look());
        stations = f.live("At x", "", "rib-stations", t -> look());
        stations.setPromptText(inch ? "1.5, 12, 24: one rib each" : "40, 300, 600: one rib each");
        alloy = f.live("Alloy, temper", PartForm.USUAL, "rib-alloy", t -> look());
        width = f.live("Flange wide", inch ? ".64" : "16", "rib-width", t -> look());
        thickness = f.live("Thick", inch ? ".032" : "0.8", "rib-thickness", t -> look());
        web = f.live("Web", "", "rib-web", t -> look());
        web.setPromptText(inch ? "not drawn, or 10 x 4" : "not drawn, or 250 x 100");
        openings = f.live("Lightening holes", "", "rib-openings", t -> look());
        openings.setPromptText(inch ? "none, or 3 of 1.5" : "none, or 3 of 40");
        rivet = f.live("Rivet", inch ? "MS20426AD3" : "ISO 15977 3.2", "rib-rivet", t -> look());
        pitch = f.live("Pitch wished", inch ? "1" : "30", "rib-pitch", t -> look());
        lay(f);
        look();
    }

    private void lay(Fields f) {
        GridPane faces = faces();
        VBox left = new VBox(f);
        left.setPrefWidth(340);
        left.setMinWidth(340);
        VBox right = new VBox(
                8,
                Ui.label("Flanges in " + assembly.name(), "strong"),
                Ui.wrapped(
                        "One part, with a flange at the same x on every face ticked. Where the skin has the holes, the "
                                + "blank flange is drilled through them; where the rib is punched, its holes come onto "
                                + "the face.",
                        "soft"),
                faces,
                says,
                wrong);
        Button go = Ui.button("Make it", "Enter", this::go, "primary");
        go.setId("rib-go");
        go.setDefaultButton(true);
        getChildren()
                .addAll(
                        Ui.label("Ribs and frames", "bench-title"),
                        new HBox(18, left, right),
                        new HBox(8, go, Ui.button("Close", "Esc", away, "quiet")));
    }

    private GridPane faces() {
        GridPane grid = new GridPane();
        grid.setHgap(8);
        grid.setVgap(6);
        int row = 0;
        for (Face face : assembly.faces()) {
            if (Ribs.extent(face).isEmpty()) {
                continue;
            }
            var box = Ribs.extent(face).get();
            CheckBox on = new CheckBox(face.name());
            on.setId("rib-on-" + face.id().n());
            TextField from = end(
                    Length.nm(box.minY()).plus(INSET), "rib-from-" + face.id().n(), face.name() + ", from y");
            TextField to = end(
                    Length.nm(box.maxY()).minus(INSET), "rib-to-" + face.id().n(), face.name() + ", to y");
            ComboBox<Boolean> pattern = new ComboBox<>();
            pattern.getItems().setAll(false, true);
            pattern.setConverter(new Worded<>(b -> b ? "the skin has the holes" : "the rib has the holes"));
            pattern.setValue(false);
            pattern.setId("rib-pattern-" + face.id().n());
            pattern.setAccessibleText("Which has the holes on " + face.name());
            pattern.valueProperty().addListener((o, was, now) -> look());
            on.selectedProperty().addListener((o, was, now) -> look());
            HBox ends = new HBox(4, Ui.kept("y", "soft"), from, Ui.kept("to", "soft"), to);
            ends.setAlignment(Pos.CENTER_LEFT);
            grid.addRow(row++, on, ends, pattern);
            lines.add(new Line(face, on, from, to, pattern));
        }
        return grid;
    }

    private TextField end(Length value, String id, String spoken) {
        TextField field = new TextField(LengthFormat.exact(value, desk.unit()).replaceAll(" (in|mm)$", ""));
        field.setId(id);
        field.setAccessibleText(spoken);
        field.setPrefWidth(66);
        field.textProperty().addListener((o, was, now) -> look());
        return field;
    }

    /** Puts the keyboard into the name. */
    @Override
    public void enter() {
        name.requestFocus();
        name.selectAll();
    }

    private RibPlan plan() {
        List<RibPlan.On> on = new ArrayList<>();
        for (Line line : lines) {
            if (line.on.isSelected()) {
                on.add(new RibPlan.On(
                        line.face.id(),
                        lengths.parse(line.from.getText()),
                        lengths.parse(line.to.getText()),
                        line.fromSkin.getValue()));
            }
        }
        List<Length> at = new ArrayList<>();
        for (String each : stations.getText().split(",", -1)) {
            if (!each.isBlank()) {
                at.add(lengths.parse(each));
            }
        }
        Callout callout = Callout.parse(rivet.getText());
        return new RibPlan(
                name.getText(),
                Material.parse(alloy.getText()),
                new PanelPlan.Flange(
                        lengths.parsePositive(width.getText(), "flange width"),
                        lengths.parsePositive(thickness.getText(), "thickness")),
                at,
                on,
                web(),
                callout.fastener(),
                callout.count().isPresent() ? callout.text() : "",
                lengths.parsePositive(pitch.getText(), "pitch"));
    }

    private Optional<RibPlan.Web> web() {
        if (web.getText().isBlank()) {
            return Optional.empty();
        }
        String[] size = web.getText().strip().split("\\s*[xX×]\\s*", -1);
        if (size.length != 2) {
            throw new InputException("\"" + web.getText().strip() + "\" is no web: write length x height like 10 x 4");
        }
        String text = openings.getText().strip();
        String[] holes = text.isEmpty() ? new String[] {"0", "1"} : text.split("\\s+of\\s+", -1);
        if (holes.length != 2 || !holes[0].matches("\\d{1,3}")) {
            throw new InputException("\"" + text + "\" are no lightening holes: write count of diameter like 3 of 1.5");
        }
        return Optional.of(new RibPlan.Web(
                lengths.parsePositive(size[0], "length of the web"),
                lengths.parsePositive(size[1], "height of the web"),
                Integer.parseInt(holes[0]),
                lengths.parsePositive(holes[1], "lightening hole")));
    }

    private void look() {
        if (getChildren().isEmpty()) {
            return;
        }
        Ui.shown(wrong, false);
        if (stations.getText().isBlank()) {
            says.setText("Say where they are, and tick the faces.");
            return;
        }
        try {
            RibPlan plan = plan();
            int before = holes(desk.session().snapshot().build());
            int after = holes(Ribs.add(desk.session().snapshot().build(), assembly.id(), plan));
            says.setText(plan.stations().size() + (plan.stations().size() == 1 ? " part, " : " parts, ")
                    + plan.stations().size() * plan.on().size() + " flanges, " + (after - before) + " holes more.");
        } catch (InputException e) {
            says.setText(e.getMessage());
        }
    }

    private static int holes(Build build) {
        return build.faces().stream().mapToInt(f -> f.face().count()).sum();
    }

    private void go() {
        try {
            RibPlan plan = plan();
            desk.session()
                    .plan("making " + plan.name().strip(), b -> Ribs.add(b, assembly.id(), plan), away, this::refused);
        } catch (InputException e) {
            refused(e.getMessage());
        }
    }

    private void refused(String sentence) {
        wrong.setText(sentence);
        Ui.shown(wrong, true);
    }
}
