package bucina.pictures;

import bucina.core.plan.Id;
import bucina.core.stack.HoleReading;
import bucina.desk.session.Desk;
import bucina.desk.session.Selection;
import bucina.desk.session.Stage;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;

/** Parts, how one that will not go on is off, and the hours. */
final class PartPoses {

    private PartPoses() {}

    static void parts(Map<String, Runnable> poses, Desk desk, Scene scene) {
        poses.put("to-parts", () -> {
            desk.partProperty().set(desk.snapshot().parts().named("Main rib 2").map(p -> p.id()));
            desk.roomProperty().set(Desk.Room.PARTS);
        });
        poses.put("parts", () -> ((ScrollPane) scene.lookup("#part-detail")).setVvalue(.42));
        poses.put("to-misfit", () -> {
            desk.roomProperty().set(Desk.Room.SHEET);
            desk.partProperty().set(Optional.empty());
            desk.stageProperty().set(Stage.FIT);
            desk.show(desk.snapshot()
                    .build()
                    .face("Upper skin")
                    .orElseThrow()
                    .face()
                    .id());
            pick(desk);
        });
        poses.put("misfit", () -> {
            List<String> off = List.of(".010, .021", ".011, .034", ".010, .046", ".009, .058");
            for (int i = 0; i < off.size(); i++) {
                ((TextField) scene.lookup("#misfit-" + i)).setText(off.get(i));
            }
            ((Button) scene.lookup("#misfit-go")).fire();
        });
        poses.put("to-put-away", () -> {
            desk.misfitProperty().set(Optional.empty());
            desk.stageProperty().set(Stage.STUDY);
        });
    }

    /** What now, and the job that is on. */
    static void tonight(Map<String, Runnable> poses, Desk desk, Scene scene) {
        poses.put("to-tonight", () -> {
            desk.prefs().keep("who", "M. Oake");
            desk.roomProperty().set(Desk.Room.TONIGHT);
        });
        poses.put("tonight", () -> scene.lookup("#evening-list").requestFocus());
        poses.put("to-evening", () -> ((Button) scene.lookup("#evening-begin")).fire());
        poses.put("evening", () -> ((Button) scene.lookup("#evening-next")).fire());
        poses.put("to-plan", () -> {
            ((Button) scene.lookup("#evening-back")).fire();
            desk.roomProperty().set(Desk.Room.SHEET);
        });
    }

    /** What is there, the kit checked in, what to order, when it is done and what it weighs. */
    static void stores(Map<String, Runnable> poses, Desk desk, Scene scene) {
        poses.put("to-stores", () -> desk.roomProperty().set(Desk.Room.STORES));
        poses.put(
                "stores",
                () -> ((ListView<?>) scene.lookup("#hardware-list"))
                        .getSelectionModel()
                        .select(1));
        for (String view : List.of("check-in", "shelf", "order", "done", "weight")) {
            poses.put("stores-" + view, () -> ((Button) scene.lookup("#stores-" + view)).fire());
        }
        poses.put("to-hardware", () -> {
            ((Button) scene.lookup("#stores-hardware")).fire();
            desk.roomProperty().set(Desk.Room.SHEET);
        });
    }

    /** Four holes along the rear spar. */
    private static void pick(Desk desk) {
        List<HoleReading> row = desk.face().readings().stream()
                .filter(r -> r.row().name().equals("R2"))
                .toList();
        LinkedHashSet<Id.Hole> holes = new LinkedHashSet<>();
        for (int i : List.of(3, 14, 26, row.size() - 3)) {
            holes.add(row.get(i).hole().id());
        }
        desk.selectionProperty()
                .set(new Selection(
                        desk.face().face().id(),
                        Optional.of(row.getFirst().hole().id()),
                        holes));
    }

    /** The hours in place of an entry. */
    static void hours(Scene scene) {
        ((Button) scene.lookup("#log-hours")).fire();
    }
}
