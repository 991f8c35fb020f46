package bucina.pictures;

import bucina.core.batch.Mixing;
import bucina.core.drawing.Drawing;
import bucina.core.drawing.FaceDrawing;
import bucina.core.log.Operation;
import bucina.core.measure.Length;
import bucina.core.plan.Batch;
import bucina.core.plan.Compound;
import bucina.core.progress.Task;
import bucina.core.sheet.Point;
import bucina.core.sums.Sums;
import bucina.desk.app.DeskWindow;
import bucina.desk.session.Desk;
import bucina.desk.session.Stage;
import bucina.store.drawing.DxfWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.event.ActionEvent;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;

/** The poses of cards and sums. */
final class CardPoses {

    private CardPoses() {}

    /** Cards that lie over the sheet. */
    static void cards(Desk desk, DeskWindow window, Scene scene, Map<String, Runnable> poses) {
        standing(poses, desk, window, scene);
        overSheet(poses, window, desk);
        bringing(poses, desk, window, scene);
    }

    private static void overSheet(Map<String, Runnable> poses, DeskWindow window, Desk desk) {
        poses.put("to-reach-sheet", () -> {
            window.cards().putAway();
            Poses.pick(desk, "Upper skin", "R1", 9);
            desk.stageProperty().set(Stage.DRESS);
            desk.taskProperty().set(Task.of(Operation.COUNTERSUNK));
            window.sheet().zoom(4);
            desk.over().turnReach();
        });
        poses.put("reach-sheet", () -> {});
        poses.put("to-batch", () -> {
            desk.over().turnReach();
            window.sheet().fit();
            Poses.face(desk, "Lower skin");
            mixing(desk);
        });
        poses.put("batch", window.cards()::mix);
        poses.put("to-sheet-again", () -> {
            window.cards().putAway();
            desk.session()
                    .plan(
                            "ending a batch",
                            b -> Mixing.changed(
                                    b,
                                    b.workshop().running().getFirst().id(),
                                    x -> x.ended(desk.session().instant())),
                            () -> {},
                            s -> {});
        });
    }

    /** The lower skin drawn anew: some holes elsewhere, some gone, one more. */
    private static void bringing(Map<String, Runnable> poses, Desk desk, DeskWindow window, Scene scene) {
        poses.put("to-bringing-in", () -> {
            Poses.face(desk, "Lower skin");
            window.cards().bringIn();
            TextField path = (TextField) scene.lookup("#bring-path");
            path.setText(revised(desk).toString());
            path.fireEvent(new ActionEvent());
        });
        poses.put(
                "to-bringing-in-over",
                () -> ((ComboBox<?>) scene.lookup("#bring-where"))
                        .getSelectionModel()
                        .selectLast());
        poses.put("bringing-in", () -> ((TextField) scene.lookup("#bring-path")).end());
        poses.put("to-sheet-once-more", window.cards()::putAway);
    }

    private static Path revised(Desk desk) {
        List<Drawing.Shape> shapes = new ArrayList<>();
        int n = 0;
        for (Drawing.Shape shape : FaceDrawing.of(desk.face()).shapes()) {
            if (shape instanceof Drawing.Circle c) {
                n++;
                double by = n % 40 == 5 ? .25 * 25.4e6 : 0;
                if (n % 60 != 7) {
                    shapes.add(new Drawing.Circle(
                            "HOLES", new Point(c.at().x() + by, c.at().y()), c.diameter(), Optional.empty()));
                }
            } else {
                shapes.add(shape);
            }
        }
        shapes.add(new Drawing.Circle("HOLES", Point.in(30, 9), Length.in(.098), Optional.empty()));
        try {
            Path folder = Files.createTempDirectory("bucina-drawing");
            return Files.writeString(folder.resolve("lower-skin-rev-D.dxf"), DxfWriter.write(new Drawing(shapes)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void standing(Map<String, Runnable> poses, Desk desk, DeskWindow window, Scene scene) {
        poses.put("to-nut-plates", () -> {
            Poses.face(desk, "Lower skin");
            window.cards().nutPlates();
        });
        poses.put("nut-plates", () -> ((TextField) scene.lookup("#np-lug")).setText(".025"));
        poses.put("reach", () -> {
            window.cards().putAway();
            Poses.face(desk, "Main spar web");
            window.cards().reach();
        });
    }

    /** The sums that have a picture of their own in the documentation, then every sum by its code. */
    static Map<String, Runnable> sums(Desk desk, DeskWindow window, Scene scene) {
        Map<String, Runnable> poses = new LinkedHashMap<>();
        poses.put("bend-bench", () -> window.sum("bend"));
        poses.put("bolt", () -> window.sum("bolt"));
        Map.of("bracket-flat", "bracket", "flutes", "flute", "cutting-list", "cut")
                .forEach((name, code) -> poses.put(name, () -> keptSum(window, desk, code)));
        Sums.ALL.forEach(s -> poses.put("sum-" + s.code(), () -> window.sum(s.code())));
        poses.put("to-coupon", () -> window.sum("coupon"));
        poses.put("gauge", () -> {
            ((TextField) scene.lookup("#ask-checks")).requestFocus();
            window.cards().gauge();
            ((Button) scene.lookup("#gauge-simulated")).fire();
            ((TextField) scene.lookup("#gauge-jaws")).setText("4.47 mm");
            ((Button) scene.lookup("#gauge-send")).fire();
        });
        poses.put("to-sheet", () -> desk.roomProperty().set(Desk.Room.SHEET));
        return poses;
    }

    private static void keptSum(DeskWindow window, Desk desk, String code) {
        window.kept(desk.snapshot().build().workshop().sums().stream()
                .filter(k -> k.kind().equals(code))
                .findFirst()
                .orElseThrow());
    }

    /** Two readings taken, one of them bad, and a part marked. */
    static void apart(Scene scene) {
        List<String> typed = List.of("516.5", "514.2", ".4", "0.05", "0.10", "0.1");
        List<TextField> fields = scene.getRoot().lookupAll("#apart-card .text-field").stream()
                .map(TextField.class::cast)
                .filter(f -> f.getId().contains("-before-"))
                .toList();
        for (int i = 0; i < typed.size(); i++) {
            fields.get(i).setText(typed.get(i));
            fields.get(i).fireEvent(new ActionEvent());
        }
        ((CheckBox) scene.lookup("#apart-card .check-box")).fire();
    }

    /** Sealant mixed a good half hour ago for the skin on the main spar. */
    private static void mixing(Desk desk) {
        Compound sealant = Mixing.known(desk.snapshot().build(), desk.session().catalogue()).stream()
                .filter(c -> c.name().endsWith("B-2"))
                .findFirst()
                .orElseThrow();
        List<Batch.Surface> spar = Mixing.offers(desk.snapshot(), desk.face(), true).stream()
                .filter(o -> o.words().equals("Lower skin on Main spar flange"))
                .findFirst()
                .orElseThrow()
                .surfaces();
        desk.session()
                .plan(
                        "mixing",
                        b -> Mixing.mixed(
                                b,
                                sealant,
                                desk.session().instant().minus(Duration.ofMinutes(83)),
                                desk.session().zone(),
                                spar),
                        () -> {},
                        s -> {});
    }
}
