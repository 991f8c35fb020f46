package bucina.desk.sumsroom;

import bucina.core.sums.Answer;
import bucina.desk.look.Scroll;
import bucina.desk.look.Ui;
import java.util.List;
import java.util.Optional;
import javafx.geometry.HPos;
import javafx.geometry.Insets;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;

/** The table of an answer under the picture; goes on by scrolling where it is long. */
final class AnswerTable extends Scroll {

    private static final double MOST = 236;
    private static final int ROWS = 150;
    /** Rows that stand one under the other before a second block is begun. */
    private static final int BLOCK = 9;
    /** Columns that go side by side. */
    private static final int COLUMNS = 12;

    private final GridPane grid = new GridPane();
    private Optional<Answer.Table> shown = Optional.empty();

    AnswerTable() {
        grid.setHgap(14);
        grid.setVgap(3);
        grid.setPadding(new Insets(8, 14, 10, 14));
        setContent(grid);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        setMaxHeight(MOST);
        setId("sum-table");
        getStyleClass().add("sum-table");
    }

    void show(Optional<Answer.Table> table) {
        boolean any = table.isPresent() && !table.get().rows().isEmpty();
        Ui.shown(this, any);
        if (!any || table.equals(shown)) {
            return;
        }
        shown = table;
        Answer.Table t = table.get();
        grid.getChildren().clear();
        grid.getColumnConstraints().clear();
        blocks(t);
        setVvalue(0);
    }

    private void blocks(Answer.Table t) {
        int shownRows = Math.min(t.rows().size(), ROWS);
        int blocks = Math.clamp(
                Math.min((shownRows + BLOCK - 1) / BLOCK, COLUMNS / t.heads().size()), 1, 3);
        int high = (shownRows + blocks - 1) / blocks;
        for (int b = 0; b < blocks; b++) {
            block(t, b * (t.heads().size() + 1), b * high, Math.min(shownRows, (b + 1) * high));
        }
        if (t.rows().size() > ROWS) {
            grid.add(Ui.kept("and " + (t.rows().size() - ROWS) + " more", "soft"), 0, high + 1);
        }
    }

    /** Some rows of the table from a column of the grid on; long tables of few columns stand side by side. */
    private void block(Answer.Table t, int left, int from, int to) {
        if (left > 0) {
            grid.getColumnConstraints().add(new ColumnConstraints(18));
        }
        for (int c = 0; c < t.heads().size(); c++) {
            boolean figures = figures(t, c);
            ColumnConstraints column = new ColumnConstraints();
            column.setHalignment(figures ? HPos.RIGHT : HPos.LEFT);
            column.setHgrow(figures ? Priority.SOMETIMES : Priority.ALWAYS);
            grid.getColumnConstraints().add(column);
            grid.add(Ui.kept(t.heads().get(c), "soft"), left + c, 0);
            cells(from, to, t, c, figures, left);
        }
    }

    private void cells(int from, int to, Answer.Table t, int c, boolean figures, int left) {
        for (int r = from; r < to; r++) {
            String cell = t.rows().get(r).get(c);
            grid.add(
                    figures || c == 0 ? Ui.kept(cell, c == 0 ? "strong" : "plain") : Ui.wrapped(cell, "plain"),
                    left + c,
                    r - from + 1);
        }
    }

    /** True for a column of figures, which stand at the right. */
    private static boolean figures(Answer.Table t, int c) {
        List<String> cells =
                t.rows().stream().map(r -> r.get(c)).filter(s -> !s.isEmpty()).toList();
        return cells.stream().allMatch(s -> s.matches("(?:yours |~)?[-−+]?[\\d.]+°?( in)?|[~\\d /]+ in"))
                && !cells.isEmpty();
    }
}
