package bucina.desk.app;

import static bucina.desk.session.Command.Scope.ALWAYS;
import static bucina.desk.session.Command.Scope.FREE;
import static bucina.desk.session.Command.Scope.SHEET;

import bucina.core.edit.PartEdits;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.desk.session.Desk;
import bucina.desk.session.Selection;
import bucina.desk.session.Stage;
import java.util.Locale;
import java.util.Optional;

/** Commands of the work on the face shown: stages, marking, logging, picking, changing. */
final class WorkCommands extends CommandList {

    private final Desk desk;
    private final DeskWindow window;

    WorkCommands(Desk desk, DeskWindow window) {
        this.desk = desk;
        this.window = window;
        stages(window);
        clecos(window);
        sheet(desk, window);
    }

    private void sheet(Desk desk, DeskWindow window) {
        add("pick-face", "Pick every hole of the face", "Ctrl+A", ALWAYS, desk::pickFace);
        add(
                "change",
                "Change the sheet by hand, or stop",
                "E",
                FREE,
                () -> change(!desk.changingProperty().get()));
        addChanging("part-on-off", "The part of the sheet picked: on, or off", "D", SHEET, this::turnPart);
        add("bend-bench", "Bend bench for this sheet's part", "H", FREE, window::formPart);
        add("trim-lines", "Safe trim lines", "Y", FREE, desk.look()::turnTrim);
        add("stations", "Stations of the row, as running dimensions", "S", FREE, window.cards()::stations);
        add("pick-row", "Pick the row", "R", FREE, () -> pick(true));
        add("pick-group", "Pick the group", "G", FREE, () -> pick(false));
        add("next-finding", "Next finding, on any face", "F", FREE, desk::nextFinding);
    }

    /** Puts the part of the sheet picked on, dry, or takes it off. */
    private void turnPart() {
        desk.layer().ifPresent(l -> {
            Part part = desk.session().snapshot().parts().part(l.part());
            Standing next = part.fitted() ? Standing.OFF : Standing.DRY;
            desk.session()
                    .plan(
                            part.name() + " is " + next.word(),
                            b -> PartEdits.stands(b, desk.session().snapshot().parts(), part.id(), next),
                            () -> {},
                            desk.session()::say);
        });
    }

    private void clecos(DeskWindow window) {
        add("play-clecos", "Play the clecos of this row", "Q", FREE, window.sheetRoom()::playClecos);
        add(
                "cleco-back",
                "Cleco plan: a step back",
                ",",
                FREE,
                () -> window.sheetRoom().step(-1));
        add(
                "cleco-on",
                "Cleco plan: a step on",
                ".",
                FREE,
                () -> window.sheetRoom().step(1));
        add("cleco-play", "Cleco plan: play or stop", "/", FREE, window.sheetRoom()::turnPlay);
    }

    private void stages(DeskWindow window) {
        for (Stage stage : Stage.values()) {
            add(
                    "stage-" + stage.name().toLowerCase(Locale.ROOT),
                    stage.word() + ": " + stage.question(),
                    Integer.toString(stage.key()),
                    FREE,
                    () -> stage(stage));
        }
        addChanging("act", "Log or mark what is picked", "Ctrl+Enter", ALWAYS, () -> {
            // What lies under a card is not done from there.
            if (!window.cards().act()) {
                window.act();
            }
        });
    }

    private void change(boolean on) {
        desk.roomProperty().set(Desk.Room.SHEET);
        desk.changingProperty().set(on && !desk.session().readOnly());
    }

    private void stage(Stage stage) {
        desk.changingProperty().set(false);
        desk.look().benchProperty().set(false);
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
}
