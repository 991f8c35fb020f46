package bucina.desk.app;

import bucina.core.measure.Unit;
import bucina.desk.look.Palette;
import bucina.desk.look.Type;
import bucina.desk.look.Ui;
import bucina.desk.session.Catalogues;
import bucina.desk.session.Places;
import bucina.desk.session.Prefs;
import java.util.Optional;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;

/** The bench sums alone, with no build open. */
public final class SumsApp extends Application {

    /** Opens the window; returns when it is closed. */
    public static void open() {
        launch(SumsApp.class);
    }

    @Override
    public void start(Stage stage) {
        Type.load();
        stage.setTitle("Bench sums - Bucina");
        stage.setMinWidth(960);
        stage.setMinHeight(640);
        stage.setScene(scene(Prefs.in(Places.settings())));
        stage.show();
    }

    /** The scene, 1280 x 800 unless the stage says otherwise. */
    static Scene scene(Prefs prefs) {
        Palette palette = prefs.dark() ? Palette.DARK : Palette.LIGHT;
        Button close = Ui.button("Close", "", () -> {}, "quiet");
        Catalogues.InForce tables = Catalogues.read();
        tables.said().forEach(System.err::println);
        SumsPane pane =
                new SumsPane(tables.catalogue(), Optional.empty(), prefs.unit().orElse(Unit.INCH), palette, close);
        close.setOnAction(e -> pane.getScene().getWindow().hide());
        pane.setStyle(palette.css(prefs.scale()));
        pane.getStyleClass().add("window");
        putsAway(pane);
        Scene scene = Ui.scene(pane);
        pane.enter();
        return scene;
    }

    private static void putsAway(SumsPane pane) {
        pane.addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                pane.putAway();
            }
        });
    }
}
