package bucina.desk.app;

import bucina.desk.gauge.GaugePost;
import java.util.Optional;
import javafx.scene.Scene;

/** Lets readings of a gauge go to the field that had the keyboard last, and ends the gauge with its window. */
final class GaugeFollow {

    private GaugeFollow() {}

    static void on(Scene scene, GaugePost gauge) {
        scene.focusOwnerProperty().addListener((o, was, now) -> {
            if (now != null && now.getProperties().get(GaugePost.RECEIVER) instanceof GaugePost.Receiver r) {
                gauge.to(Optional.of(r));
            }
        });
        scene.windowProperty().addListener((o, was, now) -> {
            if (now == null) {
                gauge.off();
            }
        });
    }
}
