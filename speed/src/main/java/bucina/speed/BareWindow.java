package bucina.speed;

import bucina.desk.app.Rehearsal;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;
import javafx.util.Duration;

/** The least window there is: what every start is measured against. */
public final class BareWindow extends Application {

    public static void main(String[] args) {
        launch(args);
    }

    @Override
    public void start(Stage stage) {
        stage.setScene(new Scene(new StackPane(new Label("Hello")), 1280, 800));
        stage.show();
        PauseTransition settle = new PauseTransition(Duration.millis(60));
        settle.setOnFinished(e -> {
            Rehearsal.standing();
            stage.close();
            Platform.exit();
        });
        settle.play();
    }
}
