package bucina.desk.card;

import bucina.core.layout.Rows;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Row;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import java.util.List;
import javafx.scene.control.TextArea;
import javafx.scene.layout.HBox;

/**
 * The stations of a row as running dimensions: in decimals, to the nearest 1/64 in, and in mm. The text can be copied.
 */
public final class StationsCard extends ShownBox {

    private final TextArea text;

    public StationsCard(Row row, Runnable away) {
        super(10);
        getStyleClass().add("card");
        setId("stations-card");
        setMaxSize(460, USE_PREF_SIZE);
        text = new TextArea(words(row));
        text.setEditable(false);
        text.setId("stations-text");
        text.setPrefRowCount(Math.min(22, row.holes().size() + 1));
        text.getStyleClass().add("columns");
        lay(row, away);
    }

    private void lay(Row row, Runnable away) {
        getChildren()
                .addAll(
                        Ui.label("Stations of " + row.name(), "bench-title"),
                        Ui.wrapped(
                                "Running dimensions from the first hole along the row: errors do not add up.", "soft"),
                        text,
                        new HBox(8, Ui.button("Close", "Esc", away, "quiet")));
    }

    static String words(Row row) {
        List<Length> stations =
                Rows.running(row.holes().stream().map(h -> h.at()).toList());
        StringBuilder lines = new StringBuilder("%6s %12s %14s %12s%n".formatted("hole", "in", "nearest 1/64", "mm"));
        for (int i = 0; i < stations.size(); i++) {
            lines.append("%6d %12s %14s %12s%n"
                    .formatted(
                            row.holes().get(i).label(),
                            LengthFormat.figure(stations.get(i), Unit.INCH, 4),
                            LengthFormat.fraction(stations.get(i)).replace(" in", ""),
                            LengthFormat.figure(stations.get(i), Unit.MM, 4)));
        }
        return lines.toString();
    }

    /** Puts the keyboard into the text. */
    @Override
    public void enter() {
        text.requestFocus();
    }
}
