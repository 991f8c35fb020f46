package bucina.core.demo;

import bucina.core.plan.Part;
import java.util.ArrayList;
import java.util.List;

/** The parts of the left stabilator half, and where its ribs stand. */
final class DunlinParts {

    /** Stations, inches. */
    static final double[] RIBS = {1.6, 3.4, 11, 19, 27, 35, 43, 51, 56.9};

    /** Which of them go on aft of the rear spar. */
    static final int[] AFT_RIBS = {1, 3, 5, 7};

    /** Main ribs 1 and 2 are alike: the station that gives a rib its shape. */
    static double shape(int i) {
        return RIBS[i == 1 ? 0 : i];
    }

    final Sketch sketch = new Sketch();
    final Part mainSpar = sketch.part("Main spar", "2024-T3", 1, true);
    final Part sparDoubler = sketch.part("Spar cap doubler", "2024-T3", 2, true);
    final Part webDoubler = sketch.part("Spar web doubler", "2024-T3", 2, true);
    final Part rearSpar = sketch.part("Rear spar", "2024-T3", 1, true);
    final Part rearDoubler = sketch.part("Rear spar doubler", "2024-T3", 2, true);
    final Part hingePlate = sketch.part("Hinge plate", "6061-T6", 4, true);
    final List<Part> noseRibs = new ArrayList<>();
    final List<Part> mainRibs = new ArrayList<>();
    final List<Part> aftRibs = new ArrayList<>();
    final Part trailingStrip = sketch.part("Trailing edge strip", "6061-T6", 5, false);
    final Part lowerSkin = sketch.part("Lower skin", "2024-T3", 6, true);
    final Part accessRing = sketch.part("Access ring", "2024-T3", 5, true);
    final Part upperSkin = sketch.part("Upper skin", "2024-T3", 7, true);
    final Part cuff = sketch.part("Root cuff", "2024-T3", 8, false);

    DunlinParts() {
        for (int i = 0; i < RIBS.length; i++) {
            noseRibs.add(sketch.part("Nose rib " + (i + 1), "6061-T4", 3, true));
            mainRibs.add(sketch.part("Main rib " + (i + 1), "6061-T4", 3, true));
        }
        for (int i : AFT_RIBS) {
            aftRibs.add(sketch.part("Aft rib " + (i + 1), "6061-T4", 4, true));
        }
    }
}
