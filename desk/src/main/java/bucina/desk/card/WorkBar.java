package bucina.desk.card;

import bucina.desk.look.Ui;
import bucina.store.drawing.Progress;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;

/** How far long work is, with a button that stops it. Not seen while there is none. */
final class WorkBar extends HBox {

    private final ProgressBar bar = new ProgressBar(0);
    private AtomicBoolean stopped = new AtomicBoolean();

    WorkBar(String stopId) {
        super(8);
        Button stop = Ui.button("Stop", "", this::stop, "quiet");
        stop.setId(stopId);
        bar.setPrefWidth(360);
        getChildren().addAll(bar, stop);
        done();
    }

    /** Shows it for new work, which tells on any thread how far it is. */
    Progress begin() {
        AtomicBoolean mine = new AtomicBoolean();
        stopped = mine;
        bar.setProgress(0);
        Ui.shown(this, true);
        double[] told = {0};
        return share -> {
            if (share - told[0] >= 0.01) {
                told[0] = share;
                Platform.runLater(() -> bar.setProgress(share));
            }
            return !mine.get();
        };
    }

    /** What goes on is to stop. */
    void stop() {
        stopped.set(true);
    }

    void done() {
        Ui.shown(this, false);
    }
}
