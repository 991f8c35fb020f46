package bucina.core.guard;

import bucina.core.edit.NutPlateEdits;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.part.PartStates;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** A logbook in which all is done that comes before setting, for tests of what comes after. */
public final class AllDone {

    private AllDone() {}

    /** Every step that every hole of a build owes. */
    public static Logbook log(Derivation derivation) {
        List<Mark> marks = new ArrayList<>();
        derivation
                .build()
                .faces()
                .forEach(ref -> derivation
                        .face(ref.face().id())
                        .readings()
                        .forEach(hole -> marks.addAll(marks(derivation, hole))));
        return Logbook.of(List.of(), marks);
    }

    /** Every step that one hole owes. */
    public static List<Mark> marks(Derivation derivation, HoleReading hole) {
        List<Mark> marks = new ArrayList<>();
        for (Owed owed : Owed.of(
                hole,
                derivation.build().rules(),
                PartStates.of(derivation.build()),
                NutPlateEdits.plates(derivation.build()))) {
            owed.steps()
                    .forEach(s -> marks.add(new Mark(
                            hole.hole().id(),
                            owed.layer().id(),
                            s.side(),
                            s.operation(),
                            Instant.parse("2026-11-01T10:00:00Z"))));
        }
        return marks;
    }
}
