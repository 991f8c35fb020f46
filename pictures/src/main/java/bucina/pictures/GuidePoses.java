package bucina.pictures;

import bucina.desk.app.DeskWindow;
import bucina.desk.session.Desk;
import bucina.desk.session.Stage;
import java.util.Map;

/** The guide beside the work, a job led through, and what hangs under the build's name. */
final class GuidePoses {

    private GuidePoses() {}

    static void poses(Map<String, Runnable> poses, Desk desk, DeskWindow window) {
        poses.put("to-guide", () -> {
            window.sheet().letGo();
            desk.changingProperty().set(false);
            window.cards().putAway();
            desk.look().benchProperty().set(true);
            command(window, "help");
        });
        poses.put("guide-bench-mode", () -> {});
        poses.put("to-guide-dress", () -> {
            command(window, "help");
            desk.roomProperty().set(Desk.Room.SHEET);
            Poses.pick(desk, "Upper skin", "R1", 9);
            desk.stageProperty().set(Stage.DRESS);
            command(window, "help");
        });
        poses.put("guide", () -> bare(window));
        poses.put("guide-finding", () -> desk.ask("edge-distance-least"));
        poses.put("keys", () -> {
            command(window, "help");
            command(window, "keys");
        });
        poses.put("about", () -> command(window, "about"));
        poses.put("check-build", () -> command(window, "check-build"));
        poses.put("to-guided-job", () -> {
            command(window, "put-away");
            command(window, "guided-first");
            desk.stageProperty().set(Stage.STUDY);
            desk.snapshot().build().group("US-3").ifPresent(desk::show);
        });
        poses.put("guided-job", () -> bare(window));
        poses.put("guided-job-left", () -> {
            window.leaveGuided();
            desk.roomProperty().set(Desk.Room.SHEET);
        });
    }

    /** The whole sheet, and nothing said of what an earlier picture did. */
    private static void bare(DeskWindow window) {
        window.sheet().fit();
        window.node().lookup("#done-line").setVisible(false);
    }

    private static void command(DeskWindow window, String id) {
        window.commands().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow()
                .does()
                .run();
    }
}
