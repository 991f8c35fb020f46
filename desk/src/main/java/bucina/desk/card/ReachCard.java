package bucina.desk.card;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Tool;
import bucina.core.reach.Reach;
import bucina.core.reach.ToolCrib;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import bucina.desk.session.Selection;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Will the tool fit: the crib at the left, and what it reaches on the face at the right. */
public final class ReachCard extends ShownBox {

    private final Desk desk;
    private final Latest reaches;
    private final Runnable away;
    private final GridPane crib = new GridPane();
    private final VBox reached = new VBox(8);
    private final Label error = Ui.wrapped("", "stop-text");
    private final ComboBox<Tool.Kind> kind = new ComboBox<>();
    private final TextField name = new TextField();
    private final TextField sizes = new TextField();

    /**
     * @param away puts the card away
     */
    public ReachCard(Desk desk, Runnable away) {
        super(10);
        this.desk = desk;
        reaches = desk.session().latest();
        this.away = away;
        getStyleClass().add("card");
        setId("reach-card");
        setMaxSize(1120, 690);
        crib.setHgap(8);
        crib.setVgap(3);
        layKind();
        kind.setAccessibleText("Kind of the new tool");
        layNew();
        kind.valueProperty().addListener((o, was, now) -> prompt());
        prompt();
        Button add = Ui.button("Add", "", this::add);
        add.setId("crib-add");
        HBox.setHgrow(name, Priority.ALWAYS);
        HBox more = new HBox(6, kind, name, sizes, add);
        more.setAlignment(Pos.CENTER_LEFT);
        error.setId("crib-error");
        Ui.shown(error, false);
        VBox left = crib(more);
        left.setPrefWidth(600);
        left.setMinWidth(600);
        VBox right = new VBox(
                8,
                Ui.label("On " + desk.face().face().name(), "strong"),
                Ui.wrapped("Parts in place are in the way, parts to come are not.", "soft"),
                Ui.scroll(reached));
        HBox.setHgrow(right, Priority.ALWAYS);
        Button sheet = onSheet(away, desk);
        HBox columns = new HBox(18, left, right);
        VBox.setVgrow(columns, Priority.ALWAYS);
        getChildren()
                .addAll(
                        Ui.label("Will the tool fit?", "bench-title"),
                        columns,
                        new HBox(8, sheet, Ui.button("Close", "Esc", away, "quiet")));
        fill();
    }

    private static Button onSheet(Runnable away, Desk desk) {
        Button sheet = Ui.button("See it on the sheet", "Z", () -> {
            away.run();
            desk.over().showReach();
        });
        sheet.setId("reach-sheet");
        return sheet;
    }

    private VBox crib(HBox more) {
        return new VBox(
                8,
                Ui.label("Tool crib", "strong"),
                Ui.wrapped("Typical figures ship with the program: type your own over them.", "soft"),
                Ui.scroll(crib),
                more,
                error);
    }

    private void layNew() {
        name.setId("crib-name");
        name.setPromptText("its name");
        name.setAccessibleText("Name of the new tool");
        sizes.setId("crib-sizes");
        sizes.setPrefColumnCount(8);
        sizes.setAccessibleText("Figures of the new tool");
    }

    private void layKind() {
        kind.getItems().setAll(Tool.Kind.values());
        kind.setConverter(new Worded<>(Tool.Kind::word));
        kind.setValue(Tool.Kind.YOKE);
        kind.setId("crib-kind");
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        kind.requestFocus();
    }

    private void prompt() {
        List<String> figures = kind.getValue().figures();
        sizes.setPromptText(figures.isEmpty() ? "steps from the tip" : String.join(", ", figures));
    }

    private void fill() {
        Snapshot snapshot = desk.snapshot();
        crib.getChildren().clear();
        crib.addRow(
                0, Ui.label("Tool", "soft"), Ui.label("Figures", "soft"), Ui.label("", "soft"), Ui.label("", "soft"));
        for (Tool tool : ToolCrib.of(snapshot.build(), desk.session().catalogue())) {
            tool(tool, ToolCrib.own(snapshot.build(), tool));
        }
        snapshot.build().workshop().lacking().forEach(this::lacking);
        reached.getChildren().setAll(Ui.label("Looking.", "soft"));
        var face = desk.face();
        reaches.ask(
                () -> ToolCrib.alike(Reach.of(
                        face,
                        snapshot.build(),
                        ToolCrib.of(snapshot.build(), desk.session().catalogue()),
                        ToolCrib.typical(desk.session().catalogue()),
                        snapshot.log())),
                this::show,
                this::refuse);
    }

    private void tool(Tool tool, boolean own) {
        TextField field = new TextField(tool.sizes().stream().map(this::figure).collect(Collectors.joining(", ")));
        field.setPrefColumnCount(9);
        field.setAccessibleText("Figures of " + tool.name());
        field.setDisable(desk.session().readOnly());
        Fields.committing(field, t -> change(tool, t));
        String says = tool.kind().figures().isEmpty()
                ? "steps"
                : String.join(", ", tool.kind().figures());
        Button drop = Ui.button(
                own ? "Drop" : "None here",
                "",
                () -> plan(
                        "dropping " + tool.name(),
                        b -> own
                                ? ToolCrib.without(b, tool)
                                : ToolCrib.less(b, tool, desk.session().catalogue())),
                "quiet",
                "dress-pick");
        drop.setAccessibleText((own ? "Drop " : "There is no ") + tool.name());
        Ui.shown(drop, !desk.session().readOnly());
        crib.addRow(
                crib.getRowCount(),
                Ui.wrapped(tool.name(), own ? "strong" : "plain"),
                field,
                Ui.wrapped(says + (own ? "" : ", typical"), "tiny"),
                drop);
    }

    /** A kind of which there is none: nothing is planned with it. */
    private void lacking(Tool none) {
        Button again = Ui.button(
                "Typical again",
                "",
                () -> plan("having a " + none.kind().word(), b -> ToolCrib.notLacking(b, none.kind())),
                "quiet",
                "dress-pick");
        Ui.shown(again, !desk.session().readOnly());
        crib.addRow(
                crib.getRowCount(),
                Ui.wrapped(none.name(), "strong"),
                Ui.wrapped("nothing is planned with it", "tiny"),
                Ui.label("", "tiny"),
                again);
    }

    private String figure(Length length) {
        return LengthFormat.trade(length, desk.unit()).replaceAll(" .*", "");
    }

    private void show(Map<String, List<Reach>> alike) {
        reached.getChildren().clear();
        if (alike.isEmpty()) {
            reached.getChildren().add(Ui.wrapped("Nothing on this face wants a tool at its holes.", "soft"));
        }
        alike.forEach((words, list) -> way(list, words));
    }

    private void way(List<Reach> list, String words) {
        Reach one = list.getFirst();
        boolean none = one.tools().isEmpty();
        Button pick =
                Ui.button(list.size() + (list.size() == 1 ? " hole" : " holes"), "", () -> pick(list), "dress-pick");
        Label title = Ui.wrapped(words, none ? "stop-text" : "strong");
        HBox.setHgrow(title, Priority.ALWAYS);
        title.setMaxWidth(Double.MAX_VALUE);
        HBox line = new HBox(6, title, pick);
        VBox box = new VBox(1, line);
        if (!one.blocked().isEmpty()) {
            box.getChildren()
                    .add(Ui.wrapped(
                            one.hole().label() + ": "
                                    + one.blocked().stream()
                                            .map(b -> b.why().in(desk.unit()))
                                            .collect(Collectors.joining(" ")),
                            none ? "attention-text" : "tiny"));
        }
        if (!one.waysOut().isEmpty()) {
            box.getChildren().add(Ui.wrapped("What would: " + String.join(" ", one.waysOut()), "plain"));
        }
        reached.getChildren().add(box);
    }

    private void pick(List<Reach> list) {
        LinkedHashSet<Id.Hole> holes = new LinkedHashSet<>();
        list.forEach(r -> holes.add(r.hole().hole().id()));
        desk.selectionProperty()
                .set(new Selection(desk.face().face().id(), holes.stream().findFirst(), holes));
        away.run();
    }

    private List<Length> lengths(String text) {
        return Arrays.stream(text.split(",", -1))
                .map(t -> desk.lengths().parsePositive(t, "Figures"))
                .toList();
    }

    private void change(Tool tool, String text) {
        try {
            List<Length> read = lengths(text);
            plan("measuring " + tool.name(), b -> ToolCrib.measured(b, tool, read));
        } catch (InputException e) {
            refuse(e.getMessage());
        }
    }

    private void add() {
        try {
            List<Length> read = lengths(sizes.getText());
            Tool.Kind of = kind.getValue();
            String called = name.getText();
            plan("adding " + called, b -> ToolCrib.plus(b, of, called, read));
        } catch (InputException e) {
            refuse(e.getMessage());
        }
    }

    private void plan(String words, UnaryOperator<Build> change) {
        desk.session()
                .plan(
                        words,
                        change,
                        () -> {
                            Ui.shown(error, false);
                            fill();
                        },
                        this::refuse);
    }

    private void refuse(String sentence) {
        error.setText(sentence);
        Ui.shown(error, true);
    }
}
