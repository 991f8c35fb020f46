package bucina.desk.parts;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Hand;
import bucina.core.plan.Part;
import bucina.desk.look.Ui;
import bucina.desk.session.PartLines;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** The columns of the list of parts; where there is no room for all, the less important ones are left out. */
final class PartColumns {

    /** What lies between two columns, and on either side of the list. */
    private static final double GAP = 8;

    private static final double SIDES = 44;

    /** One column, in the order shown. */
    private enum Column {
        NUMBER("number", 68, 2),
        NAME("name", 150, 0),
        HAND("hand", 36, 7),
        GAUGE("gauge", 92, 5),
        STANDS("stands", 92, 1),
        FACES("lies on", 62, 4),
        OWES("owes", 54, 3),
        ALIKE("alike", 38, 8),
        PAGE("page", 120, 6);

        private final String title;
        private final double width;
        private final int goes;

        Column(String title, double width, int goes) {
            this.title = title;
            this.width = width;
            this.goes = goes;
        }
    }

    private final Set<Column> shown;
    private final double scale;
    private final Unit unit;

    private PartColumns(Set<Column> shown, double scale, Unit unit) {
        this.shown = shown;
        this.scale = scale;
        this.unit = unit;
    }

    /**
     * The columns that fit.
     *
     * @param width how much room there is, pixels
     * @param scale size of the text, percent
     */
    static PartColumns in(double width, double scale, Unit unit) {
        Set<Column> fit = EnumSet.noneOf(Column.class);
        double left = width - SIDES;
        List<Column> wanted = Stream.of(Column.values())
                .sorted(Comparator.comparing(c -> c.goes))
                .toList();
        for (Column column : wanted) {
            left -= column.width * scale / 100 + GAP;
            if (left >= 0 || column == Column.NAME) {
                fit.add(column);
            } else {
                break;
            }
        }
        return new PartColumns(fit, scale, unit);
    }

    /** True if the other shows the same. */
    boolean same(PartColumns other) {
        return shown.equals(other.shown) && scale == other.scale && unit == other.unit;
    }

    /** What stands over them. */
    HBox heads() {
        HBox heads = new HBox(GAP);
        for (Column c : shown) {
            String title = c == Column.GAUGE ? c.title + ", " + unit.symbol() : c.title;
            heads.getChildren().add(column(title, c.width, "tiny"));
        }
        heads.setPadding(new Insets(0, 0, 0, 12));
        heads.setMinWidth(0);
        return heads;
    }

    /** A line that shows one part after another. */
    Row row() {
        return new Row();
    }

    /** One part in these columns. */
    final class Row extends HBox {

        private final Map<Column, Label> labels = new EnumMap<>(Column.class);

        private Row() {
            super(GAP);
            for (Column c : shown) {
                Label label = column("", c.width, "plain");
                labels.put(c, label);
                getChildren().add(label);
            }
            setAlignment(Pos.CENTER_LEFT);
        }

        void show(PartLines.Line line) {
            labels.forEach((column, label) -> {
                label.setText(text(column, line));
                String style = style(column, line);
                if (!label.getStyleClass().getLast().equals(style)) {
                    label.getStyleClass().set(label.getStyleClass().size() - 1, style);
                }
            });
        }

        /** True if it has the columns that fit now. */
        boolean fits(PartColumns now) {
            return now == PartColumns.this;
        }
    }

    private Label column(String text, double width, String style) {
        Label label = Ui.label(text, style);
        label.setMinWidth(width * scale / 100);
        label.setPrefWidth(width * scale / 100);
        return label;
    }

    private String text(Column column, PartLines.Line line) {
        Part part = line.part();
        return switch (column) {
            case NUMBER -> part.particulars().number();
            case NAME -> part.name();
            case HAND ->
                part.particulars().hand() == Hand.NONE
                        ? ""
                        : part.particulars().hand().word();
            case GAUGE -> gauge(part);
            case STANDS -> line.standing().word();
            case FACES -> faces(line.faces().size());
            case OWES -> line.owed() == 0 ? "" : "owes " + line.owed();
            case ALIKE -> line.likes().isEmpty() ? "" : "alike";
            case PAGE -> part.particulars().page();
        };
    }

    private static String style(Column column, PartLines.Line line) {
        return switch (column) {
            case NUMBER -> "log-code";
            case NAME, GAUGE -> "plain";
            case STANDS -> line.standing().away() ? "attention-text" : "plain";
            case OWES -> "attention-text";
            case HAND, FACES, ALIKE, PAGE -> "soft";
        };
    }

    private static String faces(int n) {
        return n == 0 ? "no face" : n + (n == 1 ? " face" : " faces");
    }

    private String gauge(Part part) {
        String called = part.particulars().called().map(this::length).orElse("");
        String measured = part.particulars().measured().map(this::length).orElse("");
        return measured.isEmpty() || measured.equals(called) ? called : called + " (" + measured + ")";
    }

    private String length(Length length) {
        return LengthFormat.trade(length, unit).replaceAll(" (in|mm)$", "");
    }
}
