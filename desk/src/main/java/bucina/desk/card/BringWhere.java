package bucina.desk.card;

import bucina.core.plan.Id;
import java.util.List;
import java.util.Optional;

/**
 * Where what is brought in goes.
 *
 * @param face   the face it goes onto; empty where one is made
 * @param sheets true if sheets come too
 * @param over   true if it is laid over the face as a new revision
 */
record BringWhere(String word, Optional<Id.Face> face, boolean sheets, boolean over) {

    /** All there are, where a face is shown and where none is. */
    static List<BringWhere> all(Optional<Id.Face> here) {
        BringWhere fresh = new BringWhere("on a new face", Optional.empty(), true, false);
        return here.map(face -> List.of(
                        fresh,
                        new BringWhere("holes onto this face", Optional.of(face), false, false),
                        new BringWhere("sheets and holes onto this face", Optional.of(face), true, false),
                        new BringWhere("as a new revision of it", Optional.of(face), true, true)))
                .orElse(List.of(fresh));
    }
}
