package bucina.desk.app;

import bucina.core.sums.Sums;
import bucina.desk.parts.PartsRoom;
import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import bucina.desk.session.Finder;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.stage.Window;

/**
 * Turns keys into commands. Single letters do nothing while text is typed, nor after a click on a field that takes no
 * text now; what changes a record happens once for a press, however long the key is held.
 */
final class Keys {

    private final Desk desk;
    private final DeskWindow window;
    private final List<Command> commands;
    private final Map<Command, KeyCombination> combinations = new LinkedHashMap<>();
    private final Set<KeyCode> down = EnumSet.noneOf(KeyCode.class);
    private boolean commanded;
    private boolean onDisabledField;

    Keys(Desk desk, DeskWindow window) {
        this.desk = desk;
        this.window = window;
        commands = Stream.of(
                        PartsRoom.commands(desk, s -> () -> window.parts().ifPresent(r -> r.stands(s))),
                        new WorkCommands(desk, window).all(),
                        window.bench().commands(),
                        new WindowCommands(desk, window).all(),
                        new FaceCommands(desk, window).all())
                .flatMap(List::stream)
                .toList();
        // What is asked for seldom has no key: it is found by its words, and by the button that leads there.
        commands.stream().filter(c -> !c.key().isEmpty()).forEach(c -> combinations.put(c, combination(c.key())));
    }

    /** Every command of the window, with its key. */
    List<Command> all() {
        return commands;
    }

    /** Reads a key as it is written on controls: {@code Ctrl+Enter}, {@code Del}, {@code 1}. */
    static KeyCombination combination(String key) {
        boolean shortcut = key.startsWith("Ctrl+");
        String name = shortcut ? key.substring(5) : key;
        KeyCode code = code(name);
        return shortcut ? new KeyCodeCombination(code, KeyCombination.SHORTCUT_DOWN) : new KeyCodeCombination(code);
    }

    private static KeyCode code(String name) {
        return switch (name) {
            case "Enter" -> KeyCode.ENTER;
            case "Back" -> KeyCode.BACK_SPACE;
            case "Space" -> KeyCode.SPACE;
            case "Del" -> KeyCode.DELETE;
            case "Esc" -> KeyCode.ESCAPE;
            case "," -> KeyCode.COMMA;
            case "." -> KeyCode.PERIOD;
            case "/" -> KeyCode.SLASH;
            case "+" -> KeyCode.PLUS;
            case "=" -> KeyCode.EQUALS;
            case "-" -> KeyCode.MINUS;
            default -> KeyCode.valueOf(name.matches("\\d") ? "DIGIT" + name : name);
        };
    }

    /** The commands for the search box; a command with two keys once. */
    List<Finder.Hit> commands() {
        Map<String, Finder.Hit> hits = new LinkedHashMap<>();
        for (Command c : commands) {
            hits.putIfAbsent(c.words(), new Finder.Hit(Finder.Kind.COMMAND, c.words(), c.key(), c.does()));
        }
        Sums.ALL.forEach(s -> hits.put(
                s.code(), new Finder.Hit(Finder.Kind.COMMAND, "Sum: " + s.title(), "", () -> window.sum(s.code()))));
        return List.copyOf(hits.values());
    }

    void on(Scene scene) {
        scene.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        // A key that opened a card must not also be typed into the field that has the keyboard now.
        scene.addEventFilter(KeyEvent.KEY_TYPED, e -> {
            if (commanded) {
                e.consume();
            }
        });
        letGo(scene);
    }

    private void letGo(Scene scene) {
        scene.addEventFilter(KeyEvent.KEY_RELEASED, e -> {
            down.remove(e.getCode());
            commanded = false;
        });
        scene.addEventFilter(
                MouseEvent.MOUSE_PRESSED,
                e -> onDisabledField = disabledField(e.getPickResult().getIntersectedNode()));
        scene.focusOwnerProperty().addListener((o, was, now) -> onDisabledField = false);
        // A key let go over another window is never said to be let go here.
        scene.windowProperty().flatMap(Window::focusedProperty).addListener((o, was, now) -> down.clear());
    }

    private static boolean disabledField(Node node) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (n instanceof TextInputControl) {
                return n.isDisabled();
            }
        }
        return false;
    }

    private void pressed(KeyEvent e) {
        commanded = false;
        boolean held = !down.add(e.getCode());
        boolean typing = e.getTarget() instanceof TextInputControl
                || ((Scene) e.getSource()).getFocusOwner() instanceof TextInputControl;
        for (Command c : commands) {
            KeyCombination key = combinations.get(c);
            if (key != null && key.match(e) && !blocked(c, typing)) {
                commanded = true;
                if (!held || !c.changes()) {
                    c.does().run();
                }
                e.consume();
                return;
            }
        }
    }

    private boolean blocked(Command c, boolean typing) {
        return switch (c.scope()) {
            // Undo and redo of what is typed belong to the field.
            case ALWAYS -> typing && (c.key().equals("Ctrl+Z") || c.key().equals("Ctrl+Y"));
            case FREE -> typing || onDisabledField || window.cards().covered();
            case SHEET -> elsewhere(typing, Desk.Room.SHEET) || pressesButton(c);
            case LOGBOOK -> elsewhere(typing, Desk.Room.LOGBOOK);
            case PARTS -> elsewhere(typing, Desk.Room.PARTS);
        };
    }

    /** The space bar presses the button that has the keyboard. */
    private boolean pressesButton(Command c) {
        return c.key().equals("Space") && window.node().getScene().getFocusOwner() instanceof ButtonBase;
    }

    private boolean elsewhere(boolean typing, Desk.Room room) {
        return typing
                || onDisabledField
                || window.cards().covered()
                || desk.roomProperty().get() != room;
    }
}
