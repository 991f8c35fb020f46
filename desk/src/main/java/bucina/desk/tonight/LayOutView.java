package bucina.desk.tonight;

import bucina.core.evening.LayOut;
import bucina.core.evening.Slip;
import bucina.core.evening.Tonight;
import bucina.core.plan.Tool;
import bucina.core.reach.ToolCrib;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import bucina.desk.look.Palette;
import bucina.desk.look.Scroll;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Evening;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What lies ready on the bench, as it looks; fasteners at their true size. Under it the holes to slow down at. */
final class LayOutView extends Scroll {

    private static final double WIDE = 380;

    private final Desk desk;
    private final VBox body = new VBox(10);

    LayOutView(Desk desk) {
        this.desk = desk;
        body.setPadding(new Insets(2, 12, 8, 4));
        setContent(body);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        setMinWidth(WIDE);
        setPrefWidth(WIDE);
        setFocusTraversable(false);
        setId("lay-out");
    }

    void show(Evening.Planned planned, Palette p) {
        body.getChildren().clear();
        Tonight tonight = planned.tonight();
        LayOut out = tonight.layOut();
        body.getChildren().add(Ui.label("Lay out", "strong"));
        tools(planned, out, p);
        fasteners(tonight, out, p);
        counts("Clecos", out.clecos());
        counts("Besides", out.hardware());
        if (out.tools().isEmpty() && out.fasteners().isEmpty()) {
            body.getChildren().add(Ui.wrapped("Nothing but your hands, and what the job says.", "soft"));
        }
        slow(tonight);
        if (!tonight.finish().isEmpty()) {
            body.getChildren().add(Ui.label("Finish before you stop", "strong"));
            tonight.finish().forEach(f -> body.getChildren().add(Ui.wrapped(f + ".", "plain")));
        }
    }

    private void tools(Evening.Planned planned, LayOut out, Palette p) {
        List<Tool> crib = ToolCrib.of(planned.of().build(), desk.session().catalogue());
        // A grid: words that take three lines keep the next row off.
        GridPane pictures = new GridPane(10, 8);
        pictures.getColumnConstraints().setAll(new ColumnConstraints(168), new ColumnConstraints(168));
        for (String tool : out.tools()) {
            String with = planned.tonight().stints().stream()
                    .filter(s -> s.job().setup().tool().equals(tool)
                            && !s.job().setup().die().isEmpty())
                    .map(s -> s.job().setup().die())
                    .distinct()
                    .reduce((a, b) -> a + ", " + b)
                    .orElse("");
            VBox one = new VBox(0, new ToolPicture(ToolPicture.of(tool, crib), p), Ui.wrapped(tool, "plain"));
            if (!with.isEmpty()) {
                one.getChildren().add(Ui.wrapped(with, "soft"));
            }
            int n = pictures.getChildren().size();
            pictures.add(one, n % 2, n / 2);
        }
        body.getChildren().add(pictures);
    }

    private void fasteners(Tonight tonight, LayOut out, Palette p) {
        Map<String, Solution> solutions = new LinkedHashMap<>();
        for (Tonight.Stint stint : tonight.stints()) {
            for (HoleReading hole : stint.holes()) {
                hole.solution().designation().ifPresent(d -> solutions.putIfAbsent(d, hole.solution()));
            }
        }
        out.fasteners().forEach((designation, n) -> {
            HBox line = new HBox(10);
            line.setAlignment(Pos.CENTER_LEFT);
            Solution solution = solutions.get(designation);
            if (solution != null) {
                HBox picture =
                        new HBox(new RivetPicture(solution, desk.session().catalogue(), p));
                picture.setMinWidth(60);
                picture.setAlignment(Pos.CENTER_RIGHT);
                line.getChildren().add(picture);
            }
            line.getChildren().addAll(Ui.kept(n + " ×", "number-value"), Ui.label(designation, "log-code"));
            body.getChildren().add(line);
        });
        if (!out.fasteners().isEmpty()) {
            body.getChildren().add(Ui.wrapped("Drawn at true size: lay one against the screen.", "soft"));
        }
    }

    private void counts(String title, Map<String, Integer> counts) {
        if (!counts.isEmpty()) {
            String words = counts.entrySet().stream()
                    .map(e -> e.getValue() + " × " + e.getKey())
                    .reduce((a, b) -> a + ", " + b)
                    .orElse("");
            body.getChildren().add(Ui.wrapped(title + ": " + words, "plain"));
        }
    }

    private void slow(Tonight tonight) {
        if (tonight.slow().isEmpty()) {
            return;
        }
        Node title = Ui.label("Slow down at", "strong");
        body.getChildren().add(title);
        Map<String, List<String>> alike = new LinkedHashMap<>();
        for (Slip slip : tonight.slow()) {
            String face = tonight.stints().stream()
                    .filter(s -> s.holes().contains(slip.hole()))
                    .flatMap(s -> s.job().place().stream())
                    .findFirst()
                    .map(pl -> pl.face().name() + " ")
                    .orElse("");
            alike.computeIfAbsent(slip.say(desk.unit()), s -> new ArrayList<>())
                    .add(face + slip.hole().label());
        }
        alike.forEach((say, holes) ->
                body.getChildren().add(Ui.wrapped(String.join(", ", holes) + ": " + say, "plain")));
    }
}
