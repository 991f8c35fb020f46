package bucina.desk.stores;

import bucina.core.measure.InputException;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Id;
import bucina.core.plan.Weighing;
import bucina.core.weight.BuildWeight;
import bucina.core.weight.FastenerWeight;
import bucina.core.weight.OnTheScale;
import bucina.core.weight.PartWeight;
import bucina.desk.look.Fields;
import bucina.desk.look.Palette;
import bucina.desk.look.Refusal;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.StoresModel;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What the planned structure weighs, the heaviest part first. */
final class WeightView extends BorderPane {

    private static final double BAR = 420;
    private static final double NAME = 200;

    private final Desk desk;
    private final Label total = Ui.wrapped("", "room-title");
    private final Label says = Ui.wrapped("", "soft");
    private final VBox lines = new VBox(3);
    private final VBox scales = new VBox(6);
    private final Refusal wrong = new Refusal();

    WeightView(Desk desk) {
        this.desk = desk;
        setId("weight-view");
        lines.setPadding(new Insets(4, 16, 12, 0));
        VBox all = new VBox(8, total, says, scales, wrong, Ui.scroll(lines));
        all.setPadding(new Insets(0, 0, 0, 16));
        setCenter(all);
    }

    void fill(StoresModel model, Palette p) {
        BuildWeight weight = model.weight();
        total.setText("Together " + show(weight.total()) + ": parts "
                + show(weight.total() - weight.fasteners() - weight.primer()) + ", fasteners "
                + show(weight.fasteners()) + (weight.primer() > 0 ? ", primer " + show(weight.primer()) : ""));
        says.setText(
                "By outline, less openings and holes, times the gauge measured or called for. Flanges and webs that"
                        + " lie on no face are not in it"
                        + (weight.without().isEmpty()
                                ? ""
                                : ", nor "
                                        + weight.without().entrySet().stream()
                                                .map(e -> e.getValue() + " × " + e.getKey())
                                                .collect(Collectors.joining(", ")))
                        + ". The scale governs."
                        + (weight.larger() > 0
                                ? " Large-area washers under every bolt and nut would add " + show(weight.larger())
                                        + "."
                                : ""));
        wrong.clear();
        scales.getChildren().clear();
        model.scale().forEach(s -> scales.getChildren().add(scale(s)));
        lines.getChildren().clear();
        List<PartWeight> parts = weight.parts().stream()
                .sorted(Comparator.comparingDouble((PartWeight w) -> -w.pounds().orElse(0.0)))
                .toList();
        double most =
                parts.stream().mapToDouble(w -> w.pounds().orElse(0.0)).max().orElse(1);
        parts.forEach(w -> lines.getChildren().add(line(w, most)));
    }

    /** An assembly by its drawing, and the field for what the scale says. */
    private HBox scale(OnTheScale s) {
        Label name = Ui.label(s.assembly().name(), "strong");
        name.setMinWidth(NAME);
        name.setPrefWidth(NAME);
        TextField field = new TextField(
                s.scale().map(w -> show(w.grams() / FastenerWeight.GRAMS)).orElse(""));
        field.setId("scale-" + s.assembly().id().n());
        field.setAccessibleText("What " + s.assembly().name() + " weighs on the scale");
        field.setPromptText(desk.unit() == Unit.MM ? "4.2 kg" : "9.3 lb");
        field.setPrefColumnCount(7);
        field.setDisable(desk.session().readOnly());
        Fields.committing(field, text -> weighed(s.assembly(), text));
        String against = s.over()
                .map(o -> show(Math.abs(o)) + (o < 0 ? " less than" : " more than") + " drawn ("
                        + String.format(Locale.ROOT, "%.1f %%", 100 * Math.abs(o) / s.pounds()) + "), weighed "
                        + s.scale().orElseThrow().day())
                .orElse("weigh it when all of it is on: webs and flanges that lie on no face come to light");
        HBox line = new HBox(
                12,
                name,
                Ui.kept("drawn " + show(s.pounds()), "number-value"),
                Ui.kept("on the scale", "field-name"),
                field,
                Ui.label(against, "soft"));
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private void weighed(Assembly assembly, String text) {
        try {
            double grams = OnTheScale.grams(text, desk.unit() == Unit.MM);
            LocalDate today = desk.session().today();
            desk.session()
                    .plan(
                            assembly.name() + " weighed",
                            b -> b.withWorkshop(
                                    b.workshop()
                                            .with(new Weighing(
                                                    new Id.Weighing(b.nextId()), assembly.id(), grams, today, "")),
                                    b.nextId() + 1),
                            wrong::clear,
                            wrong::say);
        } catch (InputException e) {
            wrong.say(e.getMessage());
        }
    }

    private HBox line(PartWeight w, double most) {
        Label name = Ui.label(w.part().name(), "plain");
        name.setMinWidth(NAME);
        name.setPrefWidth(NAME);
        Region bar = new Region();
        bar.getStyleClass().add("hours-bar");
        double wide = Math.max(1, BAR * w.pounds().orElse(0.0) / most);
        bar.setMinSize(wide, 10);
        bar.setMaxSize(wide, 10);
        HBox track = new HBox(bar);
        track.setAlignment(Pos.CENTER_LEFT);
        track.setMinWidth(BAR);
        Label mass = Ui.kept(
                w.pounds()
                        .map(this::show)
                        .orElse("no density for " + w.part().material().code()),
                "number-value");
        Label of = Ui.label(
                String.format(
                                Locale.ROOT,
                                desk.unit() == Unit.MM ? "%.0f cm² of " : "%.0f in² of ",
                                desk.unit() == Unit.MM ? w.area() * 6.4516 : w.area())
                        + w.gauge().stream()
                                .map(g -> LengthFormat.trade(g, desk.unit()))
                                .collect(Collectors.joining(", "))
                        + " " + w.part().material().code() + heavier(w),
                "soft");
        of.setMinWidth(0);
        HBox.setHgrow(of, Priority.ALWAYS);
        HBox line = new HBox(12, name, track, mass, of);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    /** What the next gauge adds. */
    private String heavier(PartWeight w) {
        return w.heavier()
                .flatMap(g -> w.change(g)
                        .map(more -> "; in " + LengthFormat.trade(g, desk.unit()) + " " + show(more) + " more"))
                .orElse("");
    }

    /** A mass in the unit shown. */
    String show(double pounds) {
        return desk.unit() == Unit.MM
                ? String.format(Locale.ROOT, "%.3f kg", pounds * FastenerWeight.GRAMS / 1000)
                : String.format(Locale.ROOT, "%.3f lb", pounds);
    }
}
