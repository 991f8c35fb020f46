package bucina.pictures;

import bucina.core.bulletin.Bulletins;
import bucina.core.callout.Callout;
import bucina.core.edit.Edit;
import bucina.core.log.Operation;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.progress.Task;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.stack.HoleReading;
import bucina.desk.app.DeskWindow;
import bucina.desk.session.Desk;
import bucina.desk.session.Selection;
import bucina.desk.session.Stage;
import bucina.desk.sheet.SheetView;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

/** What is done before each picture is taken, in order. */
public final class Poses {

    private Poses() {}

    static Map<String, Runnable> stabilator(Desk desk, DeskWindow window, Scene scene) {
        Map<String, Runnable> poses = new LinkedHashMap<>();
        poses.put("sheet", () -> pick(desk, "Upper skin", "R1", 9));
        poses.put("logging", () -> logging(desk, scene));
        poses.put("to-logbook", () -> desk.roomProperty().set(Desk.Room.LOGBOOK));
        poses.put("logbook", () -> PartPoses.hours(scene));
        PartPoses.parts(poses, desk, scene);
        PartPoses.tonight(poses, desk, scene);
        PartPoses.stores(poses, desk, scene);
        poses.put("held-open", () -> {
            desk.roomProperty().set(Desk.Room.SHEET);
            desk.stageProperty().set(Stage.FIT);
            pick(desk, "Upper skin", "R1", 4);
        });
        clecoPoses(poses, desk, window, scene);
        poses.put("dressing", () -> {
            pick(desk, "Upper skin", "R1", 14);
            desk.stageProperty().set(Stage.DRESS);
        });
        CardPoses.cards(desk, window, scene, poses);
        poses.put("drilling", () -> drilling(desk));
        poses.put("bolts", () -> {
            desk.stageProperty().set(Stage.STUDY);
            pick(desk, "Main spar web", "R12", 1);
        });
        ProofPoses.poses(poses, desk, window, scene);
        poses.put("dragged-edge", () -> draggedEdge(desk, window));
        GuidePoses.poses(poses, desk, window);
        lookPoses(poses, window, desk, scene);
        return poses;
    }

    private static void lookPoses(Map<String, Runnable> poses, DeskWindow window, Desk desk, Scene scene) {
        poses.put("bulletin", () -> {
            window.sheet().fit();
            bulletin(desk);
        });
        poses.put("rules", () -> {
            desk.roomProperty().set(Desk.Room.RULES);
            ((ComboBox<?>) scene.lookup("#rules-other")).getSelectionModel().select(4);
        });
        poses.put("bench-mode", () -> {
            desk.roomProperty().set(Desk.Room.SHEET);
            desk.stageProperty().set(Stage.STUDY);
            pick(desk, "Upper skin", "R1", 4);
            desk.selectionProperty()
                    .set(Selection.row(
                            desk.face(),
                            desk.cursor().orElseThrow().row().id(),
                            desk.selectionProperty().get().cursor()));
            desk.look().benchProperty().set(true);
        });
    }

    private static void clecoPoses(Map<String, Runnable> poses, Desk desk, DeskWindow window, Scene scene) {
        poses.put("to-clecos", () -> {
            desk.stageProperty().set(Stage.FIT);
            pick(desk, "Lower skin", "R2", 20);
            window.sheetRoom().playClecos();
        });
        poses.put("clecos", () -> {
            for (int i = 0; i < 16; i++) {
                window.sheetRoom().step(1);
            }
        });
        poses.put(
                "to-locating",
                () -> ((ComboBox<?>) scene.lookup("#cleco-work"))
                        .getSelectionModel()
                        .select(0));
        poses.put("locating", () -> {
            for (int i = 0; i < 7; i++) {
                window.sheetRoom().step(1);
            }
        });
    }

    /** A row with two holes jumped over, and the rest of it picked. */
    private static void drilling(Desk desk) {
        face(desk, "Upper skin");
        desk.stageProperty().set(Stage.DRILL);
        desk.taskProperty().set(Task.of(Operation.DEBURRED));
        // What is drilled, but two holes of R11 that are jumped over.
        List<String> rows = List.of("R8", "R9", "R10", "R11", "R12");
        var some = desk.face().readings().stream()
                .filter(r -> rows.contains(r.row().name())
                        && !(r.row().name().equals("R11")
                                && (r.hole().label() == 2 || r.hole().label() == 3)))
                .toList();
        desk.session()
                .mark(
                        "marking " + some.size() + " holes",
                        desk.taskProperty()
                                .get()
                                .marks(
                                        desk.snapshot().log(),
                                        some,
                                        true,
                                        desk.session().instant()),
                        "",
                        () -> {
                            pick(desk, "Upper skin", "R18", 2);
                            desk.selectionProperty()
                                    .set(Selection.row(
                                            desk.face(),
                                            desk.cursor().orElseThrow().row().id(),
                                            desk.selectionProperty().get().cursor()));
                        },
                        s -> {});
    }

    /**
     * An edge of the trailing edge strip pulled in until its row is too near: what the window shows in the middle of
     * the drag.
     */
    private static void draggedEdge(Desk desk, DeskWindow window) {
        desk.stageProperty().set(Stage.STUDY);
        pick(desk, "Upper skin", "R3", 20);
        desk.changingProperty().set(true);
        Layer strip = desk.face().face().layers().stream()
                .filter(l -> l.name().startsWith("Trailing"))
                .findFirst()
                .orElseThrow();
        window.sheet().zoom(3);
        Corner from = strip.outline().outer().corners().get(0);
        Corner to = strip.outline().outer().corners().get(1);
        Point2D at = window.sheet()
                .onView(new Point(
                        from.at().x() * 0.45 + to.at().x() * 0.55,
                        from.at().y() * 0.45 + to.at().y() * 0.55));
        hand(window.sheet(), MouseEvent.MOUSE_PRESSED, at);
        hand(window.sheet(), MouseEvent.MOUSE_DRAGGED, at.add(0, 6));
        hand(window.sheet(), MouseEvent.MOUSE_DRAGGED, at.add(1, 10));
    }

    /** What a hand does on the sheet with the first button, at a place on it. */
    public static void hand(SheetView sheet, EventType<MouseEvent> what, Point2D at) {
        Point2D screen = sheet.localToScreen(at);
        Point2D scene = sheet.localToScene(at);
        sheet.fireEvent(new MouseEvent(
                what,
                scene.getX(),
                scene.getY(),
                screen.getX(),
                screen.getY(),
                MouseButton.PRIMARY,
                1,
                false,
                false,
                false,
                false,
                true,
                false,
                false,
                true,
                false,
                false,
                null));
    }

    private static void bulletin(Desk desk) {
        desk.session()
                .plan(
                        "beginning a bulletin",
                        b -> Bulletins.begin(b, "SL 31-02", LocalDate.of(2026, 11, 20)),
                        () -> {
                            desk.session().recordLast();
                            Id.Group ring = desk.snapshot()
                                    .build()
                                    .group("LS-7")
                                    .orElseThrow()
                                    .group()
                                    .id();
                            desk.session()
                                    .plan(
                                            "as the bulletin says",
                                            b -> Edit.group(
                                                    b,
                                                    ring,
                                                    g -> g.withFastener(
                                                            Callout.parse("20× MS20426AD4")
                                                                    .fastener(),
                                                            "20× MS20426AD4")),
                                            () -> {
                                                desk.session().record(Optional.empty());
                                                desk.roomProperty().set(Desk.Room.PAPERS);
                                            },
                                            s -> {});
                        },
                        s -> {});
    }

    static Map<String, Runnable> panel(javafx.stage.Stage stage) {
        Map<String, Runnable> poses = new LinkedHashMap<>();
        poses.put("making-a-panel", () -> {
            ((Button) stage.getScene().lookup("#empty-panel")).fire();
            Map.of(
                            "name",
                            "Upper skin",
                            "length",
                            "48",
                            "root",
                            "20",
                            "tip",
                            "16",
                            "thickness",
                            ".032",
                            "spars",
                            "2.5, 14:11",
                            "ribs",
                            "1.5, 12.5, 24, 35.5, 46.5",
                            "doubler",
                            "0.1,1.9 to 12,3.1",
                            "pitch",
                            ".75")
                    .forEach((k, v) -> ((TextField) stage.getScene().lookup("#panel-" + k)).setText(v));
        });
        return poses;
    }

    static Map<String, Runnable> locker(Desk desk, DeskWindow window, Scene scene) {
        Map<String, Runnable> poses = new LinkedHashMap<>();
        poses.put("locker", () -> pick(desk, "Locker floor", "R2", 5));
        poses.put("buried", () -> pick(desk, "Belly skin lap", "R1", 4));
        poses.put("to-apart", window.cards()::apart);
        poses.put("apart", () -> CardPoses.apart(scene));
        return poses;
    }

    static void face(Desk desk, String name) {
        desk.show(desk.snapshot().build().face(name).orElseThrow().face().id());
    }

    static void pick(Desk desk, String face, String row, int label) {
        face(desk, face);
        HoleReading reading = desk.face().readings().stream()
                .filter(r -> r.row().name().equals(row) && r.hole().label() == label)
                .findFirst()
                .orElseThrow();
        desk.selectionProperty().set(desk.selectionProperty().get().one(reading));
    }

    private static void logging(Desk desk, Scene scene) {
        pick(desk, "Upper skin", "R1", 7);
        desk.stageProperty().set(Stage.SET);
        HoleReading to = desk.face().readings().stream()
                .filter(r -> r.label().equals("R1.24"))
                .findFirst()
                .orElseThrow();
        desk.selectionProperty().set(desk.selectionProperty().get().range(desk.face(), to));
        typeEntry(scene);
    }

    private static void typeEntry(Scene scene) {
        ((TextField) scene.lookup("#log-tool")).setText("Gun 2X and bar");
        ((TextField) scene.lookup("#log-minutes")).setText("35");
        ((TextField) scene.lookup("#log-readings")).setText(".146x.047, .149x.045, .138x.044");
    }
}
