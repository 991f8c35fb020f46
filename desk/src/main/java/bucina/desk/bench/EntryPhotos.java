package bucina.desk.bench;

import bucina.desk.look.Thumbnails;
import bucina.desk.look.Ui;
import bucina.desk.session.LogForm;
import bucina.desk.session.PhotoFiles;
import bucina.desk.session.Session;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.stage.FileChooser;

/** The photographs of a log entry: chosen, dropped, and shown small. */
final class EntryPhotos extends HBox {

    private final Session session;
    private final Consumer<String> refused;
    private LogForm.Fields fields = new LogForm.Fields();
    private int reading;
    private Optional<Runnable> then = Optional.empty();

    /**
     * @param refused told why a file is no photograph
     */
    EntryPhotos(Session session, Consumer<String> refused) {
        super(6);
        this.session = session;
        this.refused = refused;
    }

    /** Shows those of an entry; from now on photographs go into it. */
    void show(LogForm.Fields of) {
        fields = of;
        getChildren().clear();
        Ui.shown(this, !of.photos.isEmpty() || !of.kept.isEmpty());
        of.kept.forEach(k -> session.photo(k, p -> {
            if (of == fields) {
                getChildren().add(Thumbnails.of(p, 64));
            }
        }));
        of.photos.forEach(p -> getChildren().add(Thumbnails.of(p, 64)));
    }

    /** Asks which files. */
    void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Photograph for the log");
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(
                        "JPEG and PNG pictures", "*.jpg", "*.jpeg", "*.png", "*.JPG", "*.PNG"));
        List<File> files = chooser.showOpenMultipleDialog(getScene().getWindow());
        if (files != null) {
            files.forEach(f -> add(f.toPath()));
        }
    }

    /**
     * Adds a picture file to the entry being written, also if another is begun before the file is read; read off the
     * interface thread.
     */
    void add(Path path) {
        LogForm.Fields into = fields;
        reading++;
        session.aside(
                () -> PhotoFiles.read(path),
                photo -> {
                    if (into.photos.stream().noneMatch(p -> p.sha256().equals(photo.sha256()))) {
                        into.photos.add(photo);
                    }
                    if (into == fields) {
                        show(fields);
                    }
                    read();
                },
                sentence -> {
                    refused.accept(sentence);
                    read();
                });
    }

    private void read() {
        reading--;
        if (reading == 0) {
            Optional<Runnable> now = then;
            then = Optional.empty();
            now.ifPresent(Runnable::run);
        }
    }

    /** Files let fall on a view are added to the entry being written. */
    void takeDropsOn(Node view) {
        view.setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
            e.consume();
        });
        view.setOnDragDropped(e -> {
            e.getDragboard().getFiles().forEach(f -> add(f.toPath()));
            e.setDropCompleted(true);
            e.consume();
        });
    }

    /** True while files are being read; what is given then runs once they are. */
    boolean reading(Runnable next) {
        if (reading == 0) {
            return false;
        }
        then = Optional.of(next);
        return true;
    }
}
