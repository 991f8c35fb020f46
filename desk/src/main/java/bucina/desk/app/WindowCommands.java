package bucina.desk.app;

import static bucina.desk.session.Command.Scope.ALWAYS;
import static bucina.desk.session.Command.Scope.FREE;
import static bucina.desk.session.Command.Scope.LOGBOOK;

import bucina.desk.guided.GuidedJobs;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.Desk;
import bucina.desk.session.Selection;
import bucina.desk.tonight.TonightRoom;
import java.util.Locale;
import java.util.Optional;

/** Commands of the window as a whole: rooms, builds, undo, how things are shown. */
final class WindowCommands extends CommandList {

    private final Desk desk;
    private final DeskWindow window;

    WindowCommands(Desk desk, DeskWindow window) {
        this.desk = desk;
        this.window = window;
        always(desk);
        builds(window);
        add("find", "Find anything", "Ctrl+K", ALWAYS, window::search);
        help(window);
        looks(desk, window);
        logbook(window);
        add("put-away", "Put away what lies over the sheet, pick nothing", "Esc", ALWAYS, this::escape);
    }

    private void logbook(DeskWindow window) {
        addChanging(
                "correct-entry",
                "Correct the entry chosen in the logbook",
                "C",
                LOGBOOK,
                () -> window.logbook().ifPresent(l -> l.correctChosen()));
        addChanging(
                "withdraw-entry",
                "Withdraw the entry chosen in the logbook",
                "W",
                LOGBOOK,
                () -> window.logbook().ifPresent(l -> l.withdrawChosen()));
    }

    private void help(DeskWindow window) {
        add("help", "Guide: what can be done here, or put it away", "F1", ALWAYS, window::help);
        add("keys", "Keyboard map: all keys, to search and to print", "", ALWAYS, window::keys);
        add("guided-first", "Guided job: a first job, on the demo", "", ALWAYS, () -> window.guide(GuidedJobs.first()));
        add("guided-panel", "Guided job: a panel of your own", "", ALWAYS, () -> window.guide(GuidedJobs.panel()));
        add("check-build", "Check this build: the plan, the file, the log", "", ALWAYS, window.cards()::check);
        add("about", "About: version, licences, where the data lies", "", ALWAYS, window.cards()::about);
    }

    private void looks(Desk desk, DeskWindow window) {
        add("unit", "Inch or millimetre", "U", FREE, desk.look()::turnUnit);
        add("theme", "Day or night theme", "T", FREE, desk.look()::turnDark);
        add("timer", "Timer: start or stop", "M", FREE, window::turnTimer);
        add("text-larger", "Larger text", "Ctrl++", ALWAYS, () -> window.scale(25));
        add("text-larger-2", "Larger text", "Ctrl+=", ALWAYS, () -> window.scale(25));
        add("text-smaller", "Smaller text", "Ctrl+-", ALWAYS, () -> window.scale(-25));
    }

    private void builds(DeskWindow window) {
        add("new-build", "Begin a build", "Ctrl+N", ALWAYS, () -> window.files().begin());
        add("open-build", "Open a build", "Ctrl+O", ALWAYS, () -> window.files().other());
        addChanging("copy-now", "Copy the build now", "Ctrl+S", ALWAYS, window::copyNow);
        add(
                "copies",
                "Copies of this build: look, go back, how they are kept",
                "Ctrl+B",
                ALWAYS,
                window.cards()::copies);
        add(
                "demo-stabilator",
                "Demo 1: the stabilator",
                "Ctrl+F1",
                ALWAYS,
                () -> window.demo(DemoBuild.Which.STABILATOR));
        add("demo-box", "Demo 3: a practice box", "Ctrl+F3", ALWAYS, () -> window.demo(DemoBuild.Which.BOX));
        add("demo-locker", "Demo 2: the belly locker", "Ctrl+F2", ALWAYS, () -> window.demo(DemoBuild.Which.LOCKER));
        add("gauge", "Gauge: readings sent to a field", "Ctrl+G", ALWAYS, window.cards()::gauge);
        add("batches", "Primer and sealant: batches and their clocks", "Ctrl+M", ALWAYS, window.cards()::mix);
    }

    private void always(Desk desk) {
        addChanging(
                "undo",
                "Undo (a correcting entry for a logged one)",
                "Ctrl+Z",
                ALWAYS,
                () -> desk.session().history().undo(s -> {}));
        addChanging(
                "redo", "Redo", "Ctrl+Y", ALWAYS, () -> desk.session().history().redo(s -> {}));
        for (Desk.Room room : Desk.Room.values()) {
            add(
                    "room-" + room.name().toLowerCase(Locale.ROOT),
                    room.title(),
                    room.key(),
                    ALWAYS,
                    () -> desk.roomProperty().set(room));
        }
    }

    private void escape() {
        if (window.sheet().letGo()
                || window.cards().putAway()
                || window.helpAway()
                || window.tonight().filter(TonightRoom::back).isPresent()) {
            return;
        }
        if (desk.over().playingProperty().get().isPresent()) {
            desk.over().playingProperty().set(Optional.empty());
            return;
        }
        if (desk.over().dropReach()) {
            return;
        }
        if (desk.look().benchProperty().get()) {
            desk.look().benchProperty().set(false);
        } else if (desk.changingProperty().get()
                && desk.cursor().isEmpty()
                && desk.layerProperty().get().isEmpty()) {
            desk.changingProperty().set(false);
        } else if (desk.correctingProperty().get().isPresent()) {
            desk.correctingProperty().set(Optional.empty());
        } else if (desk.look().legendProperty().get()) {
            desk.look().legendProperty().set(false);
        } else {
            desk.typedGroupProperty().set(Optional.empty());
            desk.partProperty().set(Optional.empty());
            desk.misfitProperty().set(Optional.empty());
            desk.layerProperty().set(Optional.empty());
            desk.selectionProperty()
                    .set(Selection.none(desk.selectionProperty().get().face()));
            window.sheet().requestFocus();
        }
    }
}
