package bucina.desk.app;

import bucina.desk.session.ToOpen;
import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/**
 * Asks for files of builds, and has them opened.
 *
 * @param here   the build that is open: it is begun to look beside it
 * @param window over which it is asked
 * @param open   opens another build in the place of this one
 */
record BuildFiles(Path here, Supplier<Window> window, Consumer<ToOpen> open) {

    /** Asks where, and begins an empty build there. */
    void begin() {
        FileChooser chooser = chooser("Begin a build");
        chooser.setInitialFileName("build.bucina");
        Optional.ofNullable(chooser.showSaveDialog(window.get()))
                .ifPresent(f -> open.accept(new ToOpen.New(f.toPath())));
    }

    /** Asks which, and opens it. */
    void other() {
        Optional.ofNullable(chooser("Open a build").showOpenDialog(window.get()))
                .ifPresent(f -> open.accept(new ToOpen.File(f.toPath())));
    }

    private FileChooser chooser(String title) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        File folder = Optional.ofNullable(here.toAbsolutePath().getParent())
                .map(Path::toFile)
                .orElse(null);
        chooser.setInitialDirectory(folder);
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Builds", "*.bucina"));
        return chooser;
    }
}
