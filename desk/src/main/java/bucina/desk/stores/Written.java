package bucina.desk.stores;

import bucina.desk.session.Desk;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import javafx.scene.Scene;
import javafx.stage.FileChooser;

/** Writes something out to a file that is asked for. */
final class Written {

    private Written() {}

    /**
     * Asks for the file and writes it.
     *
     * @param name    offered, such as {@code order.csv}
     * @param content worked out aside
     * @param refused told why it could not be written
     */
    static void to(Desk desk, Scene scene, String name, Callable<byte[]> content, Consumer<String> refused) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Write " + name);
        chooser.setInitialFileName(name);
        String ending = name.substring(name.lastIndexOf('.'));
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(ending.substring(1), "*" + ending));
        Optional.ofNullable(chooser.showSaveDialog(scene.getWindow()))
                .ifPresent(f -> desk.session()
                        .writeOut(f.toPath(), content, () -> desk.session().say("Written to " + f + "."), refused));
    }
}
