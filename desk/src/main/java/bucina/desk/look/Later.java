package bucina.desk.look;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Scene;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.stage.Window;

/**
 * Keeps the width of what comes into a window that is seen some frames after the rest, so that a large view is not
 * styled in one piece. What is in the window before that is shown comes with it.
 */
public final class Later extends StackPane {

    private final Region content;
    private final Steps coming = new Steps();

    /** @param frames how many after the rest; over 0 */
    public Later(Region content, int frames) {
        this.content = content;
        minWidthProperty().bind(content.minWidthProperty());
        prefWidthProperty().bind(content.prefWidthProperty());
        sceneProperty().addListener((o, was, now) -> {
            if (getChildren().isEmpty()) {
                come(now, frames);
            }
        });
    }

    private void come(Scene scene, int frames) {
        boolean seen = Optional.ofNullable(scene)
                .map(Scene::getWindow)
                .filter(Window::isShowing)
                .isPresent();
        if (!seen) {
            getChildren().setAll(content);
            return;
        }
        List<Runnable> steps = new ArrayList<>();
        for (int i = 1; i < frames; i++) {
            steps.add(() -> {});
        }
        steps.add(() -> getChildren().setAll(content));
        coming.begin(steps);
    }
}
