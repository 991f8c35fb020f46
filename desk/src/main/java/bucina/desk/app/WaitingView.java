package bucina.desk.app;

import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.session.Prefs;
import javafx.scene.layout.StackPane;

/** The window while the build is read: seldom long enough to be seen. */
final class WaitingView extends StackPane {

    WaitingView(Prefs prefs) {
        Palette palette = prefs.dark() ? Palette.DARK : Palette.LIGHT;
        setStyle(palette.css(prefs.scale()));
        getStylesheets().add(Ui.sheet());
        getStyleClass().add("window");
        getChildren().add(Ui.label("Opening the build ...", "soft"));
    }
}
