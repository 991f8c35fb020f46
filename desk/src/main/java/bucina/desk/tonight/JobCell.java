package bucina.desk.tonight;

import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import java.util.Locale;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.DataFormat;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** A job with its tool as a picture and its time as a length. */
final class JobCell extends ListCell<JobLine> {

    private static final double BAND = 300;
    private static final double LEAST_BAND = 70;
    /** Room for picture, words and minutes. */
    private static final double WORDS = 430;
    /** A job on its way to another place in the order. */
    private static final DataFormat JOB = new DataFormat("application/x-bucina-job");

    private final Supplier<Palette> palette;

    /**
     * @param before told that a job was let go over another, to be done before it
     */
    JobCell(Supplier<Palette> palette, BiConsumer<String, String> before) {
        this.palette = palette;
        setOnDragDetected(e -> {
            if (getItem() != null) {
                ClipboardContent job = new ClipboardContent();
                job.put(JOB, getItem().id());
                startDragAndDrop(TransferMode.MOVE).setContent(job);
                e.consume();
            }
        });
        setOnDragOver(e -> {
            if (getItem() != null && e.getDragboard().hasContent(JOB)) {
                e.acceptTransferModes(TransferMode.MOVE);
            }
        });
        setOnDragDropped(e -> {
            if (getItem() != null) {
                before.accept(
                        (String) e.getDragboard().getContent(JOB), getItem().id());
                e.setDropCompleted(true);
            }
        });
    }

    @Override
    protected void updateItem(@Nullable JobLine line, boolean empty) {
        super.updateItem(line, empty);
        setText(null);
        setGraphic(empty || line == null ? null : row(line));
        setAccessibleText(
                line == null
                        ? ""
                        : String.format(
                                Locale.ROOT,
                                "%s, %.0f minutes. %s %s",
                                line.words(),
                                line.work(),
                                line.change(),
                                line.why()));
        setPrefWidth(0);
    }

    private HBox row(JobLine line) {
        HBox title = new HBox(8, Ui.label(line.words(), "job-words"));
        if (line.fresh()) {
            title.getChildren().add(Ui.kept("new", "tag"));
        }
        title.setAlignment(Pos.CENTER_LEFT);
        VBox words = new VBox(1, title);
        if (!line.change().isEmpty()) {
            Label change = Ui.label("first " + line.change(), "attention-text");
            words.getChildren().add(change);
        } else if (!line.needs().isEmpty()) {
            words.getChildren().add(Ui.label(line.needs(), "soft"));
        }
        if (!line.why().isEmpty()) {
            words.getChildren().add(Ui.wrapped("waits: " + line.why(), "soft"));
        }
        words.setMinWidth(0);
        words.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(words, Priority.ALWAYS);
        Label minutes =
                Ui.kept(String.format(Locale.ROOT, "%.0f min", Math.max(1, line.work() + line.lost())), "number-value");
        HBox row = new HBox(10, new ToolPicture(line.look(), palette.get()), words, minutes);
        if (line.from() >= 0) {
            // Where something stands beside the room, what the job is goes before the picture of its time.
            double wide = Math.clamp(getListView().getWidth() - WORDS, LEAST_BAND, BAND);
            row.getChildren()
                    .add(new BandLine(
                            wide, line.from(), line.lost(), line.work(), line.whole(), line.stop(), palette.get()));
        }
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }
}
