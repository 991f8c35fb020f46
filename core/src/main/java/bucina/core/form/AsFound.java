package bucina.core.form;

import bucina.core.log.Labour;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What is entered of a build that is begun half way: parts and rows found as they are. A part found finished owes
 * nothing, and its holes owe nothing in its sheets; a fastener is in where every sheet of the hole was found.
 */
public final class AsFound {

    private AsFound() {}

    /**
     * Parts found finished.
     *
     * @throws InputException if none is named, or one was found already
     */
    public static Labour.Found parts(Derivation derivation, Logbook log, List<Id.Part> parts) {
        if (parts.isEmpty()) {
            throw new InputException("name the part that was found finished, such as Main spar");
        }
        Build build = derivation.build();
        Set<Id.Part> found = new HashSet<>(parts);
        List<String> names = new ArrayList<>();
        for (Id.Part id : parts) {
            Part part = build.part(id);
            names.add(part.name());
            if (log.found(id)) {
                throw new InputException("part " + part.name() + " is entered as found already");
            }
        }
        List<Work.LoggedHole> holes = new ArrayList<>();
        for (Build.FaceRef ref : build.faces()) {
            for (HoleReading hole : derivation.face(ref.face().id()).readings()) {
                if (set(hole, found, log)) {
                    holes.add(new Work.LoggedHole(hole.hole().id(), hole.label()));
                }
            }
        }
        return new Labour.Found(String.join(", ", names), parts, holes, List.of(), 0);
    }

    private static boolean set(HoleReading hole, Set<Id.Part> found, Logbook log) {
        return log.installedBy(hole.hole().id()).isEmpty()
                && hole.layers().size() > 1
                && hole.layers().stream().allMatch(l -> found.contains(l.part()) || log.found(l.part()));
    }

    /**
     * A group, or rows of it, found with its fasteners in.
     *
     * @param rows which rows; empty for all
     * @throws InputException if every fastener of it is logged already
     */
    public static Labour.Found group(Group group, Logbook log, List<Row> rows) {
        String name = group.code()
                + (rows.isEmpty()
                        ? ""
                        : " " + String.join(", ", rows.stream().map(Row::name).toList()));
        if (group.typed().isPresent()) {
            int left = group.count() - log.installed(group);
            if (left <= 0) {
                throw new InputException("every fastener of group " + group.code() + " is logged already");
            }
            return new Labour.Found(name, List.of(), List.of(), List.of(group.id()), left);
        }
        List<Work.LoggedHole> holes = new ArrayList<>();
        for (Row row : rows.isEmpty() ? group.rows() : rows) {
            row.holes().stream()
                    .filter(h -> log.installedBy(h.id()).isEmpty())
                    .forEach(h -> holes.add(new Work.LoggedHole(h.id(), row.label(h))));
        }
        if (holes.isEmpty()) {
            throw new InputException("every hole of " + name + " is logged already");
        }
        return new Labour.Found(name, List.of(), holes, List.of(), 0);
    }

    /**
     * What the entry says of it: nobody knows who did it, and it took no time here.
     *
     * @param written when it is written down
     */
    public static Labour labour(Labour.Found found, String page, LocalDateTime written, String note) {
        return new Labour(found, page, "not known", written, 0, "", note, List.of());
    }
}
