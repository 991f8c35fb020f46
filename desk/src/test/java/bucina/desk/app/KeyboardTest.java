package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.desk.session.Prefs;
import java.io.IOException;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;
import org.testfx.robot.KeyboardRobot;
import org.testfx.util.WaitForAsyncUtils;

/**
 * Every card is worked with the keyboard alone: its key opens it, Tab goes to each control, each says its name, Escape
 * puts it away and the sheet has the keyboard again.
 */
class KeyboardTest extends OnWindow {

    private javafx.stage.Stage stage;

    @Start
    void start(javafx.stage.Stage first) throws IOException {
        stage = first;
        open(first);
        desk.look().sound(false);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private static boolean inside(Node node, Node card) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (n == card) {
                return true;
            }
        }
        return false;
    }

    private static boolean shown(Node node) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (!n.isVisible()) {
                return false;
            }
        }
        return true;
    }

    /** Controls of a card that are worked with: those that can have the keyboard now. */
    private static Set<Node> controls(Node card) {
        return card.lookupAll("*").stream()
                .filter(n -> n instanceof Control
                        && !(n instanceof Label)
                        && !(n instanceof ScrollPane)
                        && n.isFocusTraversable()
                        && !n.isDisabled()
                        && shown(n)
                        && !(n.getParent() instanceof ComboBox))
                .collect(Collectors.toSet());
    }

    @Test
    void each_card_is_gone_through_with_tab_and_put_away_with_escape(FxRobot robot) throws Exception {
        Map<String, KeyCode[]> cards = new LinkedHashMap<>();
        cards.put("#reach-card", new KeyCode[] {KeyCode.V});
        cards.put("#nutplate-card", new KeyCode[] {KeyCode.O});
        cards.put("#mix-card", new KeyCode[] {KeyCode.CONTROL, KeyCode.M});
        cards.put("#apart-card", new KeyCode[] {KeyCode.CONTROL, KeyCode.D});
        cards.put("#gauge-card", new KeyCode[] {KeyCode.CONTROL, KeyCode.G});
        cards.put("#typed-card", new KeyCode[] {KeyCode.N});
        cards.put("#panel-card", new KeyCode[] {KeyCode.P});
        cards.put("#out-card", new KeyCode[] {KeyCode.X});
        for (Map.Entry<String, KeyCode[]> card : cards.entrySet()) {
            Node node = open(robot, card);
            Set<Node> wanted = new HashSet<>();
            robot.interact(() -> wanted.addAll(controls(node)));
            assertThat(wanted).as(card.getKey()).hasSizeGreaterThan(1);
            wanted.forEach(n -> assertThat(name(n))
                    .as(card.getKey() + ": " + n.getClass().getSimpleName() + " " + n.getId())
                    .isNotBlank());
            // Some cards leave the keyboard on the sheet, for holes to be picked.
            if (!inside(stage.getScene().getFocusOwner(), node)) {
                robot.interact(wanted.iterator().next()::requestFocus);
            }
            Set<Node> missed = new HashSet<>(wanted);
            missed.removeAll(through(robot, node, KeyCode.TAB));
            if (!missed.isEmpty()) {
                // What lies before where it began.
                missed.removeAll(through(robot, node, KeyCode.SHIFT, KeyCode.TAB));
            }
            assertThat(missed.stream()
                            .map(n -> n.getClass().getSimpleName() + " " + n.getId() + " " + n.getAccessibleText()))
                    .as(card.getKey())
                    .isEmpty();
            robot.push(KeyCode.ESCAPE);
            settle(robot);
            assertThat(robot.lookup(card.getKey()).tryQuery()).as(card.getKey()).isEmpty();
            assertThat(stage.getScene().getFocusOwner())
                    .as(card.getKey())
                    .isSameAs(robot.lookup("#sheet").query());
        }
    }

    /** What the keyboard comes to from where it is, until it leaves the card; it is put back there. */
    private Set<Node> through(FxRobot robot, Node card, KeyCode... keys) throws Exception {
        Node start = stage.getScene().getFocusOwner();
        Set<Node> seen = new HashSet<>();
        Node owner = start;
        while (owner != null && inside(owner, card) && seen.add(owner)) {
            Node before = owner;
            // A busy machine hands the key on late, or loses it: it is pressed once more where nothing comes of it.
            for (int i = 0; i < 800 && owner == before; i++) {
                if (i % 200 == 0) {
                    tap(robot, keys);
                }
                Thread.sleep(5);
                owner = WaitForAsyncUtils.asyncFx(() -> stage.getScene().getFocusOwner())
                        .get();
            }
        }
        robot.interact(start::requestFocus);
        return seen;
    }

    /** Presses keys and lets them go, without waiting for what comes of it. */
    private static void tap(FxRobot robot, KeyCode... keys) {
        KeyboardRobot keyboard = robot.robotContext().getKeyboardRobot();
        keyboard.pressNoWait(keys);
        keyboard.releaseNoWait(keys);
    }

    private Node open(FxRobot robot, Map.Entry<String, KeyCode[]> card) throws Exception {
        robot.interact(() -> {
            face("Lower skin");
            robot.lookup("#sheet").query().requestFocus();
        });
        robot.push(card.getValue());
        until(() -> robot.lookup(card.getKey()).tryQuery().isPresent());
        WaitForAsyncUtils.sleep(300, TimeUnit.MILLISECONDS);
        settle(robot);
        return robot.lookup(card.getKey()).query();
    }

    private static String name(Node n) {
        String said = n.getAccessibleText() == null ? "" : n.getAccessibleText();
        return said.isBlank() && n instanceof Labeled l ? l.getText() : said;
    }

    @Test
    void tab_goes_round_the_whole_window_and_comes_back_to_the_sheet(FxRobot robot) throws Exception {
        robot.interact(() -> {
            desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R18.3")));
            robot.lookup("#sheet").query().requestFocus();
        });
        settle(robot);
        Node sheet = robot.lookup("#sheet").query();
        Set<Node> wanted = new HashSet<>();
        robot.interact(() -> wanted.addAll(controls(stage.getScene().getRoot())));
        Set<Node> seen = new HashSet<>();
        boolean back = false;
        for (int i = 0; i < 3 * wanted.size() && !back; i++) {
            robot.push(KeyCode.TAB);
            robot.interact(() -> seen.add(stage.getScene().getFocusOwner()));
            back = stage.getScene().getFocusOwner() == sheet;
        }
        assertThat(back).isTrue();
        wanted.removeAll(seen);
        assertThat(wanted.stream().map(KeyboardTest::name)).isEmpty();
    }

    @Test
    void timer_unit_and_theme_are_turned_by_a_key_and_the_last_two_are_kept(FxRobot robot) throws Exception {
        assertThat(text(robot, "#timer")).isEqualTo("Start timer");
        robot.push(KeyCode.M);
        assertThat(text(robot, "#timer")).startsWith("Timing ");
        robot.push(KeyCode.M);
        assertThat(text(robot, "#timer")).isEqualTo("Start timer");
        String unit = text(robot, "#unit");
        robot.push(KeyCode.U);
        assertThat(text(robot, "#unit")).isNotEqualTo(unit).isIn("inch", "mm");
        assertThat(text(robot, "#variant")).isEqualTo("Night");
        robot.push(KeyCode.T);
        assertThat(text(robot, "#variant")).isEqualTo("Day");
        Prefs kept = Prefs.in(folder);
        assertThat(kept.dark()).isTrue();
        assertThat(kept.unit()).contains(desk.unit());
        assertThat(kept.sound()).isFalse();
        // Letters do nothing while they are typed.
        robot.push(KeyCode.CONTROL, KeyCode.K);
        robot.push(KeyCode.T).push(KeyCode.U);
        assertThat(text(robot, "#variant")).isEqualTo("Day");
    }
}
