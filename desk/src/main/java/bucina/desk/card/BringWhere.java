package bucina.desk.card;

import bucina.core.edit.AssemblyEdits;
import bucina.core.edit.PartEdits;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Where what is brought in goes.
 *
 * @param face   the face it goes onto; empty where one is made
 * @param into   the assembly that the face made belongs to; empty for one of its own
 * @param sheets true if sheets come too
 * @param over   true if it is laid over the face as a new revision
 */
record BringWhere(String word, Optional<Id.Face> face, Optional<Id.Assembly> into, boolean sheets, boolean over) {

    /** All there are, where a face is shown and where none is. */
    static List<BringWhere> all(Optional<Id.Face> here, Build build) {
        List<BringWhere> all = new ArrayList<>();
        all.add(new BringWhere("on a new face", Optional.empty(), Optional.empty(), true, false));
        for (Assembly a : build.assemblies()) {
            all.add(new BringWhere("on a new face of " + a.name(), Optional.empty(), Optional.of(a.id()), true, false));
        }
        here.ifPresent(f -> {
            Optional<Id.Face> face = Optional.of(f);
            all.add(new BringWhere("holes onto this face", face, Optional.empty(), false, false));
            all.add(new BringWhere("sheets and holes onto this face", face, Optional.empty(), true, false));
            all.add(new BringWhere("as a new revision of it", face, Optional.empty(), true, true));
        });
        return all;
    }

    /**
     * What was brought in where it belongs: its face in the assembly chosen, its sheets of the part chosen.
     *
     * @param before the build before
     * @param after  with the drawing in it
     * @param part   the part that its sheets are of; empty for parts of their own
     */
    Build placed(Build before, Build after, Optional<Id.Part> part) {
        Build next = after;
        for (Build.FaceRef ref : after.faces()) {
            for (Layer layer : ref.face().layers()) {
                if (part.isPresent() && layer.id().n() >= before.nextId()) {
                    next = PartEdits.give(next, layer.id(), part.get());
                }
            }
        }
        if (into.isEmpty()) {
            return next;
        }
        Id.Assembly made = next.assemblies().getLast().id();
        Id.Face fresh = next.assemblies().getLast().faces().getLast().id();
        return AssemblyEdits.drop(AssemblyEdits.move(next, fresh, into.get()), made);
    }

    /** The face that was made, or gone onto. */
    Id.Face at(Build now) {
        return face.orElseGet(() -> now.faces().stream()
                .map(Build.FaceRef::face)
                .map(Face::id)
                .max(Comparator.comparingLong(Id.Face::n))
                .orElseThrow());
    }
}
