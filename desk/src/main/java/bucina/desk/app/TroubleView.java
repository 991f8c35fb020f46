package bucina.desk.app;

import bucina.desk.card.LastGood;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.session.CopyWish;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.ToOpen;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** Stands in the window where a build could not be opened: what is wrong, its last good copy, and other ways on. */
final class TroubleView extends VBox {

    private final Consumer<ToOpen> open;

    /**
     * @param sentence what is wrong
     * @param build    what a good copy is looked for of; empty if none would help
     * @param wish     how copies are wanted
     * @param open     opens what is chosen
     */
    TroubleView(String sentence, Optional<Path> build, CopyWish wish, Consumer<ToOpen> open) {
        super(16);
        this.open = open;
        setPadding(new Insets(80, 160, 80, 160));
        setStyle(Palette.LIGHT.css(100));
        getStylesheets().add(Ui.sheet());
        getStyleClass().add("window");
        getChildren()
                .addAll(
                        Ui.label("This build could not be opened", "bench-title"),
                        Ui.wrapped(sentence, "stop-text"),
                        Ui.wrapped("Nothing in the file was changed.", "soft"));
        build.ifPresent(b -> getChildren().add(new LastGood(b, wish, open)));
        Button other = Ui.button("Open another build", "", this::another);
        other.setId("trouble-other");
        getChildren()
                .add(new HBox(
                        8,
                        other,
                        Ui.button(
                                "Open the demo instead",
                                "",
                                () -> open.accept(new ToOpen.Demo(DemoBuild.Which.STABILATOR, false)))));
    }

    private void another() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Open a build");
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Builds", "*.bucina"));
        Optional.ofNullable(chooser.showOpenDialog(getScene().getWindow()))
                .ifPresent(f -> open.accept(new ToOpen.File(f.toPath())));
    }
}
