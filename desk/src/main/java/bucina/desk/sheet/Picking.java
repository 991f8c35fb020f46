package bucina.desk.sheet;

import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.desk.session.Desk;
import bucina.desk.session.Selection;
import java.util.Optional;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;

/** What a click or a key on the sheet picks. */
final class Picking {

    private static final int TO_THE_END = 100_000;

    private Picking() {}

    /** A hole, with two clicks its row, with three its group; Shift picks up to it, Ctrl adds it or takes it out. */
    static Selection clicked(MouseEvent e, FaceReading face, Selection selection, Optional<HoleReading> hole) {
        if (hole.isEmpty()) {
            return Selection.none(selection.face());
        }
        HoleReading at = hole.get();
        if (e.getClickCount() >= 3) {
            return Selection.group(face, at.group().id(), Optional.of(at.hole().id()));
        }
        if (e.getClickCount() == 2) {
            return Selection.row(face, at.row().id(), Optional.of(at.hole().id()));
        }
        if (e.isShiftDown()) {
            return selection.range(face, at);
        }
        return e.isShortcutDown() ? selection.toggled(face, at) : selection.one(at);
    }

    /** The hole beside the one looked at; empty for a key that does not step. */
    static Optional<Selection> keyed(KeyEvent e, FaceReading face, Selection selection) {
        return switch (e.getCode()) {
            case LEFT -> Optional.of(selection.along(face, -1, e.isShiftDown()));
            case RIGHT -> Optional.of(selection.along(face, 1, e.isShiftDown()));
            case HOME -> Optional.of(selection.along(face, -TO_THE_END, false));
            case END -> Optional.of(selection.along(face, TO_THE_END, false));
            case UP -> Optional.of(selection.across(face, true));
            case DOWN -> Optional.of(selection.across(face, false));
            default -> Optional.empty();
        };
    }

    /** What is looked at, for a reader who cannot see the sheet. */
    static String words(Desk desk) {
        FaceReading face = desk.face();
        return face.face().name() + ", " + face.size() + " holes"
                + desk.cursor()
                        .map(c -> ", hole " + c.label() + ", "
                                + desk.snapshot().state(c).words() + ", grip "
                                + c.solution().grip() + ", use " + c.solution().dash())
                        .orElse("");
    }
}
