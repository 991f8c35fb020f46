package bucina.desk.app;

import bucina.desk.card.OutCard;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.Desk;
import bucina.desk.session.Finder;
import bucina.desk.session.Selection;
import bucina.desk.session.Stage;
import bucina.desk.sums.Sums;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Scene;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;

/**
 * Every command with its key: one list serves the keyboard and the search box. Single letters do nothing while text is
 * typed.
 */
final class Keys {

    /**
     * One command.
     *
     * @param name  what the search box calls it
     * @param shown the key as it is written
     * @param combo the key
     * @param does  what it does
     */
    private record Command(String name, String shown, KeyCombination combo, Runnable does) {
        boolean plain() {
            return combo instanceof KeyCodeCombination c
                    && c.getShortcut() != KeyCombination.ModifierValue.DOWN
                    && !c.getCode().isFunctionKey()
                    && c.getCode() != KeyCode.ESCAPE;
        }
    }

    private final Desk desk;
    private final DeskWindow window;
    private final List<Command> commands = new ArrayList<>();
    private boolean commanded;

    Keys(Desk desk, DeskWindow window) {
        this.desk = desk;
        this.window = window;
        for (Stage stage : Stage.values()) {
            add(
                    stage.word() + ": " + stage.question(),
                    Integer.toString(stage.key()),
                    digit(stage.key()),
                    () -> stage(stage));
        }
        add(
                "Log or mark what is picked",
                "Ctrl+Enter",
                shortcut(KeyCode.ENTER),
                () -> window.bench().act());
        add("Play the clecos of this row", "Q", plain(KeyCode.Q), window::playClecos);
        add("Cleco plan: a step back", ",", plain(KeyCode.COMMA), () -> window.step(-1));
        add("Cleco plan: a step on", ".", plain(KeyCode.PERIOD), () -> window.step(1));
        add("Cleco plan: play or stop", "/", plain(KeyCode.SLASH), window::turnPlay);
        add(
                "Take the mark back from what is picked",
                "Ctrl+Back",
                shortcut(KeyCode.BACK_SPACE),
                () -> window.bench().takeBack());
        add(
                "Mark what is picked, and go on",
                "Space",
                plain(KeyCode.SPACE),
                () -> window.bench().mark());
        add(
                "Pick what was jumped over",
                "J",
                plain(KeyCode.J),
                () -> window.bench().pickSkipped());
        add("Pick every hole of the face", "Ctrl+A", shortcut(KeyCode.A), desk::pickFace);
        add(
                "Add a reject to the entry",
                "Ctrl+R",
                shortcut(KeyCode.R),
                () -> window.bench().log().reject());
        add(
                "Add a photograph to the entry",
                "Ctrl+P",
                shortcut(KeyCode.P),
                () -> window.bench().log().photograph());
        add(
                "Undo (a correcting entry for a logged one)",
                "Ctrl+Z",
                shortcut(KeyCode.Z),
                () -> desk.session().undo(s -> {}));
        add("Redo", "Ctrl+Y", shortcut(KeyCode.Y), () -> desk.session().redo(s -> {}));
        add("Sheet room", "F1", plain(KeyCode.F1), () -> desk.roomProperty().set(Desk.Room.SHEET));
        add(
                "Bench sums room: bends, cutting, bolts",
                "F2",
                plain(KeyCode.F2),
                () -> desk.roomProperty().set(Desk.Room.SUMS));
        add("Logbook room", "F3", plain(KeyCode.F3), () -> desk.roomProperty().set(Desk.Room.LOGBOOK));
        add(
                "Rules room: limits, and what another rule set changes",
                "F4",
                plain(KeyCode.F4),
                () -> desk.roomProperty().set(Desk.Room.RULES));
        add(
                "Papers room: queries, bulletins, the other hand",
                "F5",
                plain(KeyCode.F5),
                () -> desk.roomProperty().set(Desk.Room.PAPERS));
        add(
                "Change the sheet by hand, or stop",
                "E",
                plain(KeyCode.E),
                () -> change(!desk.changingProperty().get()));
        add("Bend bench for this sheet's part", "H", plain(KeyCode.H), window::formPart);
        add(
                "Delete the picked holes",
                "Del",
                plain(KeyCode.DELETE),
                () -> window.bench().delete());
        add(
                "Add a hole after this one",
                "A",
                plain(KeyCode.A),
                () -> window.bench().addHole());
        add(
                "Safe trim lines",
                "Y",
                plain(KeyCode.Y),
                () -> desk.trimProperty().set(!desk.trimProperty().get()));
        add("Stations of the row, as running dimensions", "S", plain(KeyCode.S), window::stations);
        add("Begin a build", "Ctrl+N", shortcut(KeyCode.N), window::newBuild);
        add("Open a build", "Ctrl+O", shortcut(KeyCode.O), window::openBuild);
        add(
                "Demo 1: the stabilator",
                "Ctrl+F1",
                new KeyCodeCombination(KeyCode.F1, KeyCombination.SHORTCUT_DOWN),
                () -> window.demo(DemoBuild.Which.STABILATOR));
        add(
                "Demo 2: the belly locker",
                "Ctrl+F2",
                new KeyCodeCombination(KeyCode.F2, KeyCombination.SHORTCUT_DOWN),
                () -> window.demo(DemoBuild.Which.LOCKER));
        sheetCommands();
    }

    /** What is done to the face shown, and how it is looked at. */
    private void sheetCommands() {
        add("Make a panel", "P", plain(KeyCode.P), window::makePanel);
        add("Bring in a drawing or a hole table", "I", plain(KeyCode.I), window::bringIn);
        add("Callouts: read them in", "K", plain(KeyCode.K), window::callouts);
        add("Will the tool fit? The tool crib, and what it reaches", "V", plain(KeyCode.V), window::reach);
        add("Reach on the sheet: what tools get where, or stop", "Z", plain(KeyCode.Z), desk::turnReach);
        add("Gauge: readings sent to a field", "Ctrl+G", shortcut(KeyCode.G), window::gauge);
        add("Before taking apart: index marks and readings", "Ctrl+D", shortcut(KeyCode.D), window::apart);
        add("Primer and sealant: batches and their clocks", "Ctrl+M", shortcut(KeyCode.M), window::mix);
        add("Nut plates behind screws", "O", plain(KeyCode.O), window::nutPlates);
        add("Write out: templates, drawings, tables", "X", plain(KeyCode.X), () -> window.writeOut(OutCard.What.FACE));
        add("Find anything", "Ctrl+K", shortcut(KeyCode.K), window::search);
        add("Pick the row", "R", plain(KeyCode.R), () -> pick(true));
        add("Pick the group", "G", plain(KeyCode.G), () -> pick(false));
        add("Next finding, on any face", "F", plain(KeyCode.F), desk::nextFinding);
        add("Fit the face to the view", "0", digit(0), () -> window.sheet().fit());
        add("Zoom in", "+", plain(KeyCode.PLUS), () -> window.sheet().zoom(1.4));
        add("Zoom in", "=", plain(KeyCode.EQUALS), () -> window.sheet().zoom(1.4));
        add("Zoom out", "-", plain(KeyCode.MINUS), () -> window.sheet().zoom(1 / 1.4));
        add(
                "Legend of the glyphs",
                "L",
                plain(KeyCode.L),
                () -> desk.legendProperty().set(!desk.legendProperty().get()));
        add(
                "Bench mode: the job in large type",
                "B",
                plain(KeyCode.B),
                () -> desk.benchProperty().set(!desk.benchProperty().get()));
        add("Typed stack: an answer without a drawing", "N", plain(KeyCode.N), window::addTyped);
        add("Inch or millimetre", "U", plain(KeyCode.U), desk::turnUnit);
        add(
                "Day or night theme",
                "T",
                plain(KeyCode.T),
                () -> desk.darkProperty().set(!desk.darkProperty().get()));
        add("Timer: start or stop", "M", plain(KeyCode.M), window::turnTimer);
        add("Larger text", "Ctrl++", shortcut(KeyCode.PLUS), () -> window.scale(25));
        add("Larger text", "Ctrl+=", shortcut(KeyCode.EQUALS), () -> window.scale(25));
        add("Smaller text", "Ctrl+-", shortcut(KeyCode.MINUS), () -> window.scale(-25));
        add(
                "Correct the entry chosen in the logbook",
                "C",
                plain(KeyCode.C),
                () -> window.logbook().ifPresent(l -> l.correctChosen()));
        add(
                "Withdraw the entry chosen in the logbook",
                "W",
                plain(KeyCode.W),
                () -> window.logbook().ifPresent(l -> l.withdrawChosen()));
        add("Put away what lies over the sheet, pick nothing", "Esc", plain(KeyCode.ESCAPE), this::escape);
    }

    private void add(String name, String shown, KeyCombination combo, Runnable does) {
        commands.add(new Command(name, shown, combo, does));
    }

    private static KeyCombination plain(KeyCode code) {
        return new KeyCodeCombination(code);
    }

    private static KeyCombination shortcut(KeyCode code) {
        return new KeyCodeCombination(code, KeyCombination.SHORTCUT_DOWN);
    }

    private static KeyCombination digit(int n) {
        return new KeyCodeCombination(KeyCode.valueOf("DIGIT" + n));
    }

    /** The commands for the search box; a command with two keys once. */
    List<Finder.Hit> commands() {
        List<Finder.Hit> hits = new ArrayList<>();
        for (Command c : commands) {
            if (hits.stream().noneMatch(h -> h.name().equals(c.name))) {
                hits.add(new Finder.Hit(Finder.Kind.COMMAND, c.name, c.shown, c.does));
            }
        }
        Sums.ALL.forEach(s ->
                hits.add(new Finder.Hit(Finder.Kind.COMMAND, "Sum: " + s.title(), "", () -> window.sum(s.code()))));
        return hits;
    }

    void on(Scene scene) {
        scene.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        // A key that opened a card must not also be typed into the field that has the keyboard now.
        scene.addEventFilter(KeyEvent.KEY_TYPED, e -> {
            if (commanded) {
                e.consume();
            }
        });
        scene.addEventFilter(KeyEvent.KEY_RELEASED, e -> commanded = false);
    }

    private void pressed(KeyEvent e) {
        commanded = false;
        boolean typing = e.getTarget() instanceof TextInputControl
                || ((Scene) e.getSource()).getFocusOwner() instanceof TextInputControl;
        for (Command c : commands) {
            boolean undoOfText = typing && (c.shown.equals("Ctrl+Z") || c.shown.equals("Ctrl+Y"));
            boolean blocked = c.plain() && (typing || window.covered()) || undoOfText;
            if (!blocked && c.combo.match(e)) {
                commanded = true;
                c.does.run();
                e.consume();
                return;
            }
        }
    }

    private void change(boolean on) {
        desk.roomProperty().set(Desk.Room.SHEET);
        desk.changingProperty().set(on && !desk.session().readOnly());
    }

    private void stage(Stage stage) {
        desk.changingProperty().set(false);
        desk.benchProperty().set(false);
        desk.roomProperty().set(Desk.Room.SHEET);
        desk.stageProperty().set(stage);
    }

    private void pick(boolean row) {
        desk.cursor()
                .ifPresent(c -> desk.selectionProperty()
                        .set(
                                row
                                        ? Selection.row(
                                                desk.face(),
                                                c.row().id(),
                                                Optional.of(c.hole().id()))
                                        : Selection.group(
                                                desk.face(),
                                                c.group().id(),
                                                Optional.of(c.hole().id()))));
    }

    private void escape() {
        if (window.sheet().letGo() || window.putAway()) {
            return;
        }
        if (desk.playingProperty().get().isPresent()) {
            desk.playingProperty().set(Optional.empty());
            return;
        }
        if (desk.reachingProperty().get().isPresent()) {
            desk.turnReach();
        } else if (desk.benchProperty().get()) {
            desk.benchProperty().set(false);
        } else if (desk.changingProperty().get()
                && desk.cursor().isEmpty()
                && desk.layerProperty().get().isEmpty()) {
            desk.changingProperty().set(false);
        } else if (desk.correctingProperty().get().isPresent()) {
            desk.correctingProperty().set(Optional.empty());
        } else if (desk.legendProperty().get()) {
            desk.legendProperty().set(false);
        } else {
            desk.typedGroupProperty().set(Optional.empty());
            desk.layerProperty().set(Optional.empty());
            desk.selectionProperty()
                    .set(Selection.none(desk.selectionProperty().get().face()));
            window.sheet().requestFocus();
        }
    }
}
