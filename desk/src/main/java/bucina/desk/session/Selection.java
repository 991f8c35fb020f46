package bucina.desk.session;

import bucina.core.plan.Id;
import bucina.core.sheet.Box;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What is picked on one face: a cursor hole, which the section follows, and the holes that an action goes to.
 * Immutable.
 *
 * @param face   the face
 * @param cursor the hole looked at; empty if none
 * @param holes  the holes picked, in the order of the face; the cursor is among them if there is one
 */
public record Selection(Id.Face face, Optional<Id.Hole> cursor, Set<Id.Hole> holes) {

    public Selection {
        holes = Collections.unmodifiableSet(new LinkedHashSet<>(holes));
    }

    /** Nothing picked on a face. */
    public static Selection none(Id.Face face) {
        return new Selection(face, Optional.empty(), Set.of());
    }

    /** One hole. */
    public Selection one(HoleReading reading) {
        return of(reading.hole().id(), List.of(reading));
    }

    /** Every hole of a row; the cursor goes to {@code at}, or to the first. */
    public static Selection row(FaceReading face, Id.Row row, Optional<Id.Hole> at) {
        return all(
                face,
                face.readings().stream().filter(r -> r.row().id().equals(row)).toList(),
                at);
    }

    /** Every hole of a group; the cursor goes to {@code at}, or to the first. */
    public static Selection group(FaceReading face, Id.Group group, Optional<Id.Hole> at) {
        return all(
                face,
                face.readings().stream()
                        .filter(r -> r.group().id().equals(group))
                        .toList(),
                at);
    }

    /** Every hole of a face. */
    public static Selection all(FaceReading face, Optional<Id.Hole> at) {
        return all(face, face.readings(), at);
    }

    private static Selection all(FaceReading face, List<HoleReading> readings, Optional<Id.Hole> at) {
        if (readings.isEmpty()) {
            return none(face.face().id());
        }
        Id.Hole cursor = at.filter(
                        c -> readings.stream().anyMatch(r -> r.hole().id().equals(c)))
                .orElse(readings.getFirst().hole().id());
        return new Selection(face.face().id(), Optional.of(cursor), ids(readings));
    }

    /** From the cursor to {@code to} along the row if both are in one; otherwise just {@code to}. */
    public Selection range(FaceReading reading, HoleReading to) {
        Optional<HoleReading> from = cursor.flatMap(reading::of)
                .filter(f -> f.row().id().equals(to.row().id()));
        if (from.isEmpty()) {
            return one(to);
        }
        List<HoleReading> row = reading.readings().stream()
                .filter(r -> r.row().id().equals(to.row().id()))
                .toList();
        int a = row.indexOf(from.get());
        int b = row.indexOf(to);
        return new Selection(face, cursor, ids(row.subList(Math.min(a, b), Math.max(a, b) + 1)));
    }

    /** {@code at} added, or taken away if it was picked. */
    public Selection toggled(FaceReading reading, HoleReading at) {
        Set<Id.Hole> next = new LinkedHashSet<>(holes);
        if (!next.remove(at.hole().id())) {
            next.add(at.hole().id());
        }
        Optional<Id.Hole> looked = next.contains(at.hole().id())
                ? Optional.of(at.hole().id())
                : next.stream().findFirst();
        return new Selection(face, looked, ordered(reading, next));
    }

    /** Every hole in a box; nothing if there is none. */
    public Selection swept(FaceReading reading, Box box, boolean more) {
        Set<Id.Hole> next = new LinkedHashSet<>(more ? holes : Set.of());
        reading.in(box).forEach(i -> next.add(reading.reading(i).hole().id()));
        Set<Id.Hole> ordered = ordered(reading, next);
        return new Selection(
                face, cursor.filter(ordered::contains).or(() -> ordered.stream().findFirst()), ordered);
    }

    /**
     * The cursor moved along its row by {@code steps}, stopping at the ends; with {@code extend} the holes passed are
     * picked too.
     */
    public Selection along(FaceReading reading, int steps, boolean extend) {
        Optional<HoleReading> at = cursor.flatMap(reading::of);
        if (at.isEmpty()) {
            return reading.size() == 0 ? this : one(reading.reading(0));
        }
        HoleReading next = next(reading, at, steps);
        if (!extend) {
            return one(next);
        }
        Set<Id.Hole> more = new LinkedHashSet<>(holes);
        more.add(next.hole().id());
        return new Selection(face, Optional.of(next.hole().id()), ordered(reading, more));
    }

    private static HoleReading next(FaceReading reading, Optional<HoleReading> at, int steps) {
        List<HoleReading> row = reading.readings().stream()
                .filter(r -> r.row().id().equals(at.get().row().id()))
                .toList();
        int to = Math.clamp(row.indexOf(at.get()) + (long) steps, 0, row.size() - 1);
        return row.get(to);
    }

    /** The nearest hole of another row above (or below) the cursor. */
    public Selection across(FaceReading reading, boolean up) {
        Optional<HoleReading> at = cursor.flatMap(reading::of);
        if (at.isEmpty()) {
            return reading.size() == 0 ? this : one(reading.reading(0));
        }
        var here = at.get().hole().at();
        return reading.readings().stream()
                .filter(r -> !r.row().id().equals(at.get().row().id()))
                .filter(r -> up ? r.hole().at().y() > here.y() : r.hole().at().y() < here.y())
                .min(Comparator.comparingDouble(r -> Math.abs(r.hole().at().y() - here.y())
                        + 2 * Math.abs(r.hole().at().x() - here.x())))
                .map(this::one)
                .orElse(this);
    }

    /** The readings picked, in the order of the face; holes that are gone are left out. */
    public List<HoleReading> readings(FaceReading reading) {
        List<HoleReading> there = new ArrayList<>(holes.size());
        for (Id.Hole hole : holes) {
            Optional<HoleReading> found = reading.of(hole);
            if (found.isPresent()) {
                there.add(found.get());
            }
        }
        return there;
    }

    private Selection of(Id.Hole looked, List<HoleReading> readings) {
        return new Selection(face, Optional.of(looked), ids(readings));
    }

    private static Set<Id.Hole> ids(Collection<HoleReading> readings) {
        Set<Id.Hole> ids = new LinkedHashSet<>();
        readings.forEach(r -> ids.add(r.hole().id()));
        return ids;
    }

    private static Set<Id.Hole> ordered(FaceReading reading, Set<Id.Hole> wanted) {
        Set<Id.Hole> ids = new LinkedHashSet<>();
        if (wanted.isEmpty()) {
            return ids;
        }
        for (HoleReading r : reading.readings()) {
            if (wanted.contains(r.hole().id())) {
                ids.add(r.hole().id());
            }
        }
        return ids;
    }
}
