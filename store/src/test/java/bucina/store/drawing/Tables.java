package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.measure.DrillTable;
import bucina.core.measure.Unit;
import bucina.store.table.HoleTable;
import java.util.Map;
import java.util.Optional;

/** Tables as the tests of all formats read them. */
final class Tables {

    private Tables() {}

    /** The holes of a table that names no faces. */
    static Drawing read(String text, Unit unit, DrillTable drills, Progress progress) {
        return faces(text, unit, drills, progress).values().iterator().next();
    }

    static Map<String, Drawing> faces(String text, Unit unit, DrillTable drills, Progress progress) {
        return HoleTable.read(text, unit, Optional.empty(), drills, progress).faces();
    }
}
