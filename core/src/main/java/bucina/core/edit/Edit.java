package bucina.core.edit;

import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** One face, group, row or layer put in the place of what it was. */
public final class Edit {

    private Edit() {}

    /** The build with a face changed. */
    public static Build face(Build build, Id.Face id, UnaryOperator<Face> change) {
        return build.with(change.apply(face(build, id)), build.nextId());
    }

    /**
     * The face with this id.
     *
     * @throws InputException if it is gone
     */
    public static Face face(Build build, Id.Face id) {
        return build.face(id)
                .map(Build.FaceRef::face)
                .orElseThrow(() -> new InputException("that face is no longer in the build: undo, or make it again"));
    }

    /** The build with a group changed; dropped where the change gives nothing. */
    public static Build group(Build build, Id.Group id, UnaryOperator<Group> change) {
        for (Build.FaceRef ref : build.faces()) {
            for (int i = 0; i < ref.face().groups().size(); i++) {
                Group group = ref.face().groups().get(i);
                if (group.id().equals(id)) {
                    List<Group> groups = new ArrayList<>(ref.face().groups());
                    groups.set(i, change.apply(group));
                    return build.with(ref.face().withGroups(groups), build.nextId());
                }
            }
        }
        throw new InputException("that group is no longer in the build: undo, or make it again");
    }

    /** The build with a row changed. */
    public static Build row(Build build, Id.Row id, UnaryOperator<Row> change) {
        return group(
                build,
                owner(build, id).id(),
                g -> g.withRows(g.rows().stream()
                        .map(r -> r.id().equals(id) ? change.apply(r) : r)
                        .toList()));
    }

    /** The build with a layer changed. */
    public static Build layer(Build build, Id.Layer id, UnaryOperator<Layer> change) {
        Face face = faceOf(build, id);
        return build.with(
                face.withLayers(face.layers().stream()
                        .map(l -> l.id().equals(id) ? change.apply(l) : l)
                        .toList()),
                build.nextId());
    }

    /** The group a row belongs to. */
    public static Group owner(Build build, Id.Row id) {
        for (Build.FaceRef ref : build.faces()) {
            for (Group group : ref.face().groups()) {
                if (group.rows().stream().anyMatch(r -> r.id().equals(id))) {
                    return group;
                }
            }
        }
        throw new InputException("that row is no longer in the build: undo, or make it again");
    }

    /** The row with this id. */
    public static Row row(Build build, Id.Row id) {
        return owner(build, id).rows().stream()
                .filter(r -> r.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** The face a layer belongs to. */
    public static Face faceOf(Build build, Id.Layer id) {
        return build.faces().stream()
                .map(Build.FaceRef::face)
                .filter(f -> f.layers().stream().anyMatch(l -> l.id().equals(id)))
                .findFirst()
                .orElseThrow(() -> new InputException("that sheet is no longer in the build: undo, or make it again"));
    }

    /** The face a group belongs to; empty if it is gone. */
    public static Optional<Face> faceOf(Build build, Id.Group id) {
        return build.faces().stream()
                .map(Build.FaceRef::face)
                .filter(f -> f.groups().stream().anyMatch(g -> g.id().equals(id)))
                .findFirst();
    }

    /** A row name that the face does not have yet: R1, R2 and so on. */
    public static String freeRowName(Face face) {
        List<String> taken = face.groups().stream()
                .flatMap(g -> g.rows().stream())
                .map(Row::name)
                .toList();
        int n = 1;
        while (taken.contains("R" + n)) {
            n++;
        }
        return "R" + n;
    }

    /** A group code with these letters that the build does not have yet: G-1, G-2 and so on. */
    public static String freeCode(Build build, String letters) {
        int n = 1;
        while (build.group(letters + "-" + n).isPresent()) {
            n++;
        }
        return letters + "-" + n;
    }
}
