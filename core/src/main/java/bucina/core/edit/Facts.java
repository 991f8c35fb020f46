package bucina.core.edit;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** A plan with a fact corrected: the gauge of a sheet, the size of holes. */
public final class Facts {

    private static final String FOUND = "measured otherwise";

    private Facts() {}

    /**
     * With the gauge of one sheet.
     *
     * @param layer its name on the face
     * @throws InputException if the face has no such sheet
     */
    public static Build gauge(Build build, Face face, String layer, Length thickness) {
        List<Layer> sheets = face.layers();
        if (sheets.stream().noneMatch(l -> l.name().equalsIgnoreCase(layer.strip()))) {
            throw new InputException("face " + face.name() + " has no sheet \"" + layer.strip() + "\"; it has "
                    + sheets.stream().map(Layer::name).collect(Collectors.joining(", ")));
        }
        return build.with(
                face.withLayers(sheets.stream()
                        .map(l -> l.name().equalsIgnoreCase(layer.strip()) ? l.withThickness(thickness) : l)
                        .toList()),
                build.nextId());
    }

    /**
     * With the holes of a group, or of every group, at another size.
     *
     * @param of the group; empty for all
     */
    public static Build holes(Build build, Optional<Build.GroupRef> of, Length size) {
        Build changed = build;
        for (Build.FaceRef ref : build.faces()) {
            boolean here = of.isEmpty() || ref.face().groups().contains(of.get().group());
            if (here) {
                changed = changed.with(
                        ref.face()
                                .withGroups(ref.face().groups().stream()
                                        .map(g -> of.isEmpty() || g == of.get().group() ? sized(g, size) : g)
                                        .toList()),
                        changed.nextId());
            }
        }
        return changed;
    }

    private static Group sized(Group group, Length size) {
        return group.withRows(group.rows().stream()
                .map(r -> new Row(
                        r.id(),
                        r.name(),
                        r.nextLabel(),
                        r.holes().stream().map(h -> sized(h, size)).toList()))
                .toList());
    }

    private static Hole sized(Hole hole, Length size) {
        Optional<Deviation> was = hole.deviation();
        return hole.with(Optional.of(new Deviation(
                Optional.of(size),
                was.flatMap(Deviation::fastener),
                was.flatMap(Deviation::preparation),
                was.flatMap(Deviation::until),
                was.map(Deviation::reason).orElse(FOUND))));
    }
}
