package bucina.core.edit;

import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Row;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/** Changes of holes and rows. */
public final class HoleEdits {

    private HoleEdits() {}

    /** Holes moved by a distance in nm each way. */
    public static Build move(Build build, Set<Id.Hole> holes, double dx, double dy) {
        return rows(
                build,
                row -> row.holes().stream().anyMatch(h -> holes.contains(h.id()))
                        ? row.withHoles(row.holes().stream()
                                .map(h ->
                                        holes.contains(h.id()) ? h.to(new Point(h.at().x() + dx, h.at().y() + dy)) : h)
                                .toList())
                        : row);
    }

    /** One hole put at a place. */
    public static Build place(Build build, Id.Hole hole, Point at) {
        return place(build, Map.of(hole, at));
    }

    /** Holes put each at its place. */
    public static Build place(Build build, Map<Id.Hole, Point> places) {
        return rows(
                build,
                row -> row.holes().stream().anyMatch(h -> places.containsKey(h.id()))
                        ? row.withHoles(row.holes().stream()
                                .map(h -> Optional.ofNullable(places.get(h.id()))
                                        .map(h::to)
                                        .orElse(h))
                                .toList())
                        : row);
    }

    /** Holes taken away; a row left with none goes too. Their labels are not used again. */
    public static Build delete(Build build, Set<Id.Hole> holes) {
        Build next = rows(
                build,
                row -> row.holes().stream().anyMatch(h -> holes.contains(h.id()))
                        ? row.withHoles(row.holes().stream()
                                .filter(h -> !holes.contains(h.id()))
                                .toList())
                        : row);
        return groups(
                next,
                g -> g.rows().stream().anyMatch(r -> r.holes().isEmpty())
                        ? g.withRows(g.rows().stream()
                                .filter(r -> !r.holes().isEmpty())
                                .toList())
                        : g);
    }

    private static Build rows(Build build, UnaryOperator<Row> change) {
        return groups(build, group -> {
            List<Row> rows = new ArrayList<>();
            boolean same = true;
            for (Row row : group.rows()) {
                Row next = change.apply(row);
                same &= next == row;
                rows.add(next);
            }
            return same ? group : group.withRows(rows);
        });
    }

    private static Build groups(Build build, UnaryOperator<Group> change) {
        Build next = build;
        for (Build.FaceRef ref : build.faces()) {
            List<Group> groups = new ArrayList<>();
            boolean same = true;
            for (Group group : ref.face().groups()) {
                Group now = change.apply(group);
                same &= now == group;
                groups.add(now);
            }
            if (!same) {
                next = next.with(ref.face().withGroups(groups), next.nextId());
            }
        }
        return next;
    }

    /** A hole added to a row, where it lengthens the row least. */
    public static Build add(Build build, Id.Row id, Point at) {
        Hole hole = new Hole(new Id.Hole(build.nextId()), Edit.row(build, id).nextLabel(), at, Optional.empty());
        return Edit.row(build, id, row -> {
                    List<Hole> holes = new ArrayList<>(row.holes());
                    holes.add(between(holes, at), hole);
                    return row.withHoles(holes);
                })
                .withNextId(build.nextId() + 1);
    }

    private static int between(List<Hole> holes, Point at) {
        int best = holes.size();
        double least = holes.isEmpty() ? 0 : holes.getLast().at().to(at).nanometres();
        for (int i = 0; i < holes.size(); i++) {
            double to = holes.get(i).at().to(at).nanometres();
            double more = i == 0
                    ? to
                    : holes.get(i - 1).at().to(at).nanometres()
                            + to
                            - holes.get(i - 1).at().to(holes.get(i).at()).nanometres();
            if (more < least) {
                least = more;
                best = i;
            }
        }
        return best;
    }

    /** A row parted before a hole: the holes from it on become a row of their own with their labels kept. */
    public static Build split(Build build, Id.Row id, Id.Hole before) {
        Group group = Edit.owner(build, id);
        Face face = Edit.faceOf(build, group.id()).orElseThrow();
        Row row = Edit.row(build, id);
        int at = row.holes().stream().map(Hole::id).toList().indexOf(before);
        if (at <= 0) {
            throw new InputException(
                    "row " + row.name() + " cannot be parted before its first hole: choose a hole farther on");
        }
        Row rest = new Row(
                new Id.Row(build.nextId()),
                Edit.freeRowName(face),
                row.nextLabel(),
                row.holes().subList(at, row.holes().size()));
        List<Row> rows = parted(group, row, at, rest);
        return Edit.group(build, group.id(), g -> g.withRows(rows)).withNextId(build.nextId() + 1);
    }

    private static List<Row> parted(Group group, Row row, int at, Row rest) {
        List<Row> rows = new ArrayList<>();
        for (Row r : group.rows()) {
            rows.add(r == row ? row.withHoles(row.holes().subList(0, at)) : r);
            if (r == row) {
                rows.add(rest);
            }
        }
        return rows;
    }

    /**
     * Two rows of one group made one, the nearer ends together. Holes of the second get new labels where the first has
     * theirs.
     */
    public static Build join(Build build, Id.Row first, Id.Row second) {
        Group group = Edit.owner(build, first);
        checkJoin(first, second, group, build);
        Row a = Edit.row(build, first);
        Row b = Edit.row(build, second);
        List<Hole> joined = joined(a.holes(), b.holes());
        Set<Integer> labels = new HashSet<>();
        a.holes().forEach(h -> labels.add(h.label()));
        int next = Math.max(a.nextLabel(), b.nextLabel());
        List<Hole> holes = new ArrayList<>();
        for (Hole hole : joined) {
            boolean own = a.holes().contains(hole);
            holes.add(
                    own || labels.add(hole.label()) ? hole : new Hole(hole.id(), next++, hole.at(), hole.deviation()));
        }
        Row one = new Row(a.id(), a.name(), next, holes);
        return Edit.group(
                build,
                group.id(),
                g -> g.withRows(g.rows().stream()
                        .filter(r -> r != b)
                        .map(r -> r == a ? one : r)
                        .toList()));
    }

    private static void checkJoin(Id.Row first, Id.Row second, Group group, Build build) {
        if (first.equals(second) || group.rows().stream().noneMatch(r -> r.id().equals(second))) {
            throw new InputException("only two rows of one group can be joined: row "
                    + Edit.row(build, first).name() + " belongs to " + group.code());
        }
    }

    private static List<Hole> joined(List<Hole> a, List<Hole> b) {
        double best = Double.MAX_VALUE;
        List<Hole> chosen = List.of();
        for (List<Hole> x : List.of(a, a.reversed())) {
            for (List<Hole> y : List.of(b, b.reversed())) {
                double gap = x.getLast().at().to(y.getFirst().at()).nanometres();
                if (gap < best) {
                    best = gap;
                    chosen = new ArrayList<>(x);
                    chosen.addAll(y);
                }
            }
        }
        return chosen.getFirst() == a.getFirst()
                        || chosen.getLast() == a.getLast()
                        || chosen.indexOf(a.getFirst()) < chosen.indexOf(a.getLast())
                ? chosen
                : chosen.reversed();
    }

    /** One end of a row put elsewhere; the holes between keep their shares of the length. */
    public static Build end(Build build, Id.Row id, boolean last, Point to) {
        return Edit.row(build, id, row -> {
            List<Hole> holes = row.holes();
            Point fixed = (last ? holes.getFirst() : holes.getLast()).at();
            Point moved = (last ? holes.getLast() : holes.getFirst()).at();
            double dx = moved.x() - fixed.x();
            double dy = moved.y() - fixed.y();
            double square = dx * dx + dy * dy;
            double c = square == 0 ? 1 : ((to.x() - fixed.x()) * dx + (to.y() - fixed.y()) * dy) / square;
            double s = square == 0 ? 0 : ((to.y() - fixed.y()) * dx - (to.x() - fixed.x()) * dy) / square;
            return row.withHoles(holes.stream()
                    .map(h -> {
                        double x = h.at().x() - fixed.x();
                        double y = h.at().y() - fixed.y();
                        boolean end = h == (last ? holes.getLast() : holes.getFirst());
                        return h.to(end ? to : new Point(fixed.x() + c * x - s * y, fixed.y() + s * x + c * y));
                    })
                    .toList());
        });
    }

    /** A row laid out anew: hole i goes to point i; holes too many are taken away, holes missing are added. */
    public static Build lay(Build build, Id.Row id, List<Point> points) {
        checkPoints(points);
        long[] next = {build.nextId()};
        Build changed = Edit.row(build, id, row -> {
            List<Hole> holes = new ArrayList<>();
            int label = row.nextLabel();
            for (int i = 0; i < points.size(); i++) {
                holes.add(
                        i < row.holes().size()
                                ? row.holes().get(i).to(points.get(i))
                                : new Hole(new Id.Hole(next[0]++), label++, points.get(i), Optional.empty()));
            }
            return row.withHoles(holes);
        });
        return changed.withNextId(next[0]);
    }

    private static void checkPoints(List<Point> points) {
        if (points.isEmpty()) {
            throw new InputException("a row needs at least one hole: give a first, a last and a pitch like 1");
        }
    }

    /** Holes that have something otherwise than their group, or nothing any more. */
    public static Build deviate(Build build, Set<Id.Hole> holes, Optional<Deviation> deviation) {
        Build next = build;
        for (Build.FaceRef ref : build.faces()) {
            for (Group group : ref.face().groups()) {
                for (Row row : group.rows()) {
                    if (row.holes().stream().anyMatch(h -> holes.contains(h.id()))) {
                        next = Edit.row(
                                next,
                                row.id(),
                                r -> r.withHoles(r.holes().stream()
                                        .map(h -> holes.contains(h.id()) ? h.with(deviation) : h)
                                        .toList()));
                    }
                }
            }
        }
        return next;
    }

    /** A row of new holes added to a group. */
    public static Build addRow(Build build, Id.Group group, List<Point> points) {
        Face face =
                Edit.faceOf(build, group).orElseThrow(() -> new InputException("that group is no longer in the build"));
        Row row = row(build.nextId(), Edit.freeRowName(face), points);
        return Edit.group(build, group, g -> {
                    List<Row> rows = new ArrayList<>(g.rows());
                    rows.add(row);
                    return g.withRows(rows);
                })
                .withNextId(build.nextId() + 1 + points.size());
    }

    /** A row of new holes; it takes the id {@code next} and its holes those after it. */
    public static Row row(long next, String name, List<Point> points) {
        List<Hole> holes = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            holes.add(new Hole(new Id.Hole(next + 1 + i), i + 1, points.get(i), Optional.empty()));
        }
        return new Row(new Id.Row(next), name, holes.size() + 1, holes);
    }
}
