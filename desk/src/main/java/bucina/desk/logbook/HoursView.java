package bucina.desk.logbook;

import bucina.core.log.Hours;
import bucina.desk.look.Ui;
import java.util.stream.Stream;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Hours by assembly and kind of work, each with a bar as long as its share. */
final class HoursView extends VBox {

    private static final double LONGEST = 140;
    private static final double NAME = 98;
    private static final double TIME = 76;

    HoursView(Hours hours) {
        super(10);
        setId("hours");
        getChildren().add(Ui.label(LogLines.time(hours.total()) + " in all", "strong"));
        if (hours.lines().isEmpty()) {
            getChildren().add(Ui.wrapped("Nothing is logged yet.", "soft"));
        }
        int most = Math.max(
                1, Stream.of(Hours.Kind.values()).mapToInt(hours::of).max().orElse(1));
        for (Hours.Line line : hours.lines()) {
            getChildren().add(Ui.label(line.assembly() + ", " + LogLines.time(line.total()), "strong"));
            getChildren().add(grid(line, most));
        }
        getChildren().add(Ui.label("By kind", "strong"));
        GridPane kinds = table();
        for (Hours.Kind kind : Hours.Kind.values()) {
            if (hours.of(kind) > 0) {
                row(kinds, kind.word(), hours.of(kind), most);
            }
        }
        getChildren().add(kinds);
    }

    private static GridPane grid(Hours.Line line, int most) {
        GridPane grid = table();
        line.minutes().forEach((kind, minutes) -> {
            if (minutes > 0) {
                row(grid, kind.word(), minutes, most);
            }
        });
        return grid;
    }

    private static GridPane table() {
        GridPane grid = new GridPane();
        grid.setHgap(10);
        grid.setVgap(4);
        grid.getColumnConstraints().addAll(column(NAME), column(TIME));
        return grid;
    }

    private static ColumnConstraints column(double least) {
        ColumnConstraints column = new ColumnConstraints();
        column.setMinWidth(least);
        return column;
    }

    private static void row(GridPane grid, String word, int minutes, int most) {
        Region bar = new Region();
        bar.getStyleClass().add("hours-bar");
        bar.setPrefSize(Math.max(2, LONGEST * minutes / most), 12);
        bar.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        Label name = Ui.kept(word, "field-name");
        Label time = Ui.kept(LogLines.time(minutes), "plain");
        GridPane.setHalignment(time, HPos.RIGHT);
        GridPane.setHgrow(bar, Priority.ALWAYS);
        grid.addRow(grid.getRowCount(), name, time, bar);
    }
}
