package bucina.desk.app;

import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import javafx.geometry.Insets;
import javafx.scene.layout.VBox;

/** Stands in the window where a build could not be opened: what is wrong, and a way on. */
final class TroubleView extends VBox {

    TroubleView(String sentence, Runnable demo) {
        super(16);
        setPadding(new Insets(80, 160, 80, 160));
        setStyle(Palette.LIGHT.css() + "-fx-font-size: 13px;");
        getStylesheets()
                .add(TroubleView.class.getResource("/bucina/desk/desk.css").toExternalForm());
        getStyleClass().add("window");
        getChildren()
                .addAll(
                        Ui.label("This build could not be opened", "bench-title"),
                        Ui.wrapped(sentence, "stop-text"),
                        Ui.wrapped("Nothing in the file was changed.", "soft"),
                        Ui.button("Open the demo instead", "", demo, "primary"));
    }
}
