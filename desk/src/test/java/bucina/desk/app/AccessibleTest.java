package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.desk.look.Palette;
import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.SnapshotParameters;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.scene.text.Text;
import javafx.scene.transform.Transform;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import org.testfx.util.WaitForAsyncUtils;

/** The whole scene graph of every room, as a screen reader tells it and as a weak eye sees it. */
class AccessibleTest extends OnWindow {

    /** Text is drawn so much larger to be measured, so that its strokes are filled and not only touched. */
    private static final double LARGER = 2;

    private static final List<PseudoClass> CHOSEN =
            List.of(PseudoClass.getPseudoClass("here"), PseudoClass.getPseudoClass("picked"));

    private Stage stage;

    @Start
    void start(Stage first) throws IOException {
        stage = first;
        open(first);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private List<Node> all() {
        List<Node> all = new ArrayList<>();
        collect(stage.getScene().getRoot(), all);
        return all;
    }

    private static void collect(Node node, List<Node> all) {
        if (!node.isVisible()) {
            return;
        }
        all.add(node);
        if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(n -> collect(n, all));
        }
    }

    private interface Look {
        void at(String where);
    }

    /** Every stage of the sheet, every other room, the guide, the build's own cards. */
    private void everywhere(FxRobot robot, Look look) throws Exception {
        for (bucina.desk.session.Stage at : bucina.desk.session.Stage.values()) {
            robot.interact(() -> {
                desk.roomProperty().set(Desk.Room.SHEET);
                desk.stageProperty().set(at);
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R18.3")));
            });
            at(robot, "stage " + at.word(), look);
        }
        robot.interact(() -> desk.changingProperty().set(true));
        at(robot, "changing", look);
        robot.interact(() -> desk.changingProperty().set(false));
        for (Desk.Room room : Desk.Room.values()) {
            robot.interact(() -> desk.roomProperty().set(room));
            at(robot, room.word(), look);
        }
        robot.interact(() -> desk.ask("knife-edge"));
        at(robot, "guide", look);
        for (String id : List.of("keys", "about", "check-build", "copies", "find")) {
            robot.interact(() -> command(id).does().run());
            at(robot, id, look);
            robot.interact(() -> command("put-away").does().run());
        }
        robot.interact(() -> command("put-away").does().run());
    }

    private Command command(String id) {
        return window.commands().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private void at(FxRobot robot, String where, Look look) throws Exception {
        settle(robot);
        // What is put together in steps is there once no frame adds to it.
        int before;
        do {
            before = robot.lookup("*").queryAll().size();
            WaitForAsyncUtils.sleep(60, TimeUnit.MILLISECONDS);
        } while (robot.lookup("*").queryAll().size() != before);
        robot.interact(() -> {
            stage.getScene().getRoot().applyCss();
            stage.getScene().getRoot().layout();
            look.at(where);
        });
    }

    private static String name(Node n) {
        String said = n.getAccessibleText() == null ? "" : n.getAccessibleText();
        return said.isBlank() && n instanceof Labeled l && l.getText() != null ? l.getText() : said;
    }

    @Test
    void everything_says_what_it_is_and_stands_out_by_its_pixels_in_both_themes(FxRobot robot) throws Exception {
        List<String> wrong = new ArrayList<>();
        int[] seen = new int[2];
        for (boolean dark : new boolean[] {false, true}) {
            robot.interact(() -> desk.look().darkProperty().set(dark));
            everywhere(robot, where -> {
                WritableImage picture = picture();
                for (Node n : all()) {
                    if (n instanceof Text text && measured(text)) {
                        seen[0]++;
                        double contrast = contrast(picture, text.localToScene(text.getLayoutBounds()));
                        if (contrast < 4.5) {
                            wrong.add(String.format("%s, %s: \"%s\" %.2f", where, dark, text.getText(), contrast));
                        }
                    } else if (worked(n)) {
                        seen[1]++;
                        said(n, where, wrong);
                    }
                }
            });
        }
        assertThat(wrong).isEmpty();
        assertThat(seen[0]).isGreaterThan(1000);
        assertThat(seen[1]).isGreaterThan(800);
    }

    private static boolean worked(Node n) {
        return n instanceof Control && n.isFocusTraversable() && !(n.getParent() instanceof Control);
    }

    private static void said(Node n, String where, List<String> wrong) {
        String what = where + ": " + n.getClass().getSimpleName() + " " + n.getId();
        if (name(n).isBlank()) {
            wrong.add(what + " has no name");
        }
        if (n.getAccessibleRole() == null || n.getAccessibleRole() == AccessibleRole.NODE) {
            wrong.add(what + " has no role");
        }
        if (CHOSEN.stream().anyMatch(n.getPseudoClassStates()::contains) && !name(n).contains("chosen")) {
            wrong.add(what + " does not say that it is chosen");
        }
    }

    /** What is to be read now: not off the screen, not scrolled half away, not switched off. */
    private boolean measured(Text text) {
        Bounds at = text.localToScene(text.getLayoutBounds());
        for (Node n = text; n != null; n = n.getParent()) {
            Node clip = n.getClip();
            boolean cut =
                    clip != null && !n.localToScene(clip.getBoundsInParent()).contains(at);
            if (n.isDisabled() || cut) {
                return false;
            }
        }
        return text.getText().strip().length() > 1
                && at.getWidth() > 4
                && at.getHeight() > 8
                && at.getMinX() >= 0
                && at.getMinY() >= 0
                && at.getMaxX() <= stage.getScene().getWidth()
                && at.getMaxY() <= stage.getScene().getHeight()
                && top(text, at);
    }

    /** True if nothing lies over its middle. */
    private boolean top(Text text, Bounds at) {
        Node veil = window.cards().veil();
        if (!veil.isVisible()) {
            return true;
        }
        for (Node n = text; n != null; n = n.getParent()) {
            if (n == veil) {
                return true;
            }
        }
        return !veil.contains(veil.sceneToLocal(at.getCenterX(), at.getCenterY()));
    }

    private WritableImage picture() {
        SnapshotParameters larger = new SnapshotParameters();
        larger.setTransform(Transform.scale(LARGER, LARGER));
        return stage.getScene().getRoot().snapshot(larger, null);
    }

    /** Of the colour that most of a text's place has, against that which stands out most. */
    private static double contrast(WritableImage image, Bounds at) {
        Map<Integer, Integer> colours = new HashMap<>();
        PixelReader pixels = image.getPixelReader();
        for (int x = (int) (at.getMinX() * LARGER); x < Math.min(image.getWidth(), at.getMaxX() * LARGER); x++) {
            for (int y = (int) (at.getMinY() * LARGER); y < Math.min(image.getHeight(), at.getMaxY() * LARGER); y++) {
                colours.merge(pixels.getArgb(x, y), 1, Integer::sum);
            }
        }
        Color ground = colour(colours.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .orElseThrow()
                .getKey());
        return colours.keySet().stream()
                .mapToDouble(c -> Palette.contrast(ground, colour(c)))
                .max()
                .orElseThrow();
    }

    private static Color colour(int argb) {
        return Color.rgb(argb >> 16 & 0xff, argb >> 8 & 0xff, argb & 0xff);
    }
}
