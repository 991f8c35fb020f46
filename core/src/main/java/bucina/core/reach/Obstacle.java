package bucina.core.reach;

import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Flange;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Zone;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Something in the way of tools on a face.
 *
 * @param part   that brings it and takes it along; empty for what is always there
 * @param what   as a sentence names it
 * @param stands the side of the face it is in the way on
 * @param height how high it stands, or for what hangs over the face how far off it is; nought while nobody has said
 * @param shape  where
 */
record Obstacle(Optional<Id.Part> part, String what, Flange.Stands stands, Length height, Shape shape) {

    /** Where something stands. */
    sealed interface Shape {}

    /** A flange along its tangents. */
    record Along(List<Segment> lines) implements Shape {}

    /** What stands over a place of the face, that far off. */
    record Over(Outline outline) implements Shape {}

    /** A head that stands up and that what lies flat on the sheet would ride on. */
    record Head(Point at, double radius) implements Shape {}

    /** A sheet that lies over the holes of one group. */
    record Lid(Outline outline, Id.Group group) implements Shape {}

    /** How far it is from a point, nm; nought over it. */
    double from(Point p) {
        return switch (shape) {
            case Along a -> {
                double least = Double.MAX_VALUE;
                for (Segment line : a.lines) {
                    least = Math.min(least, line.distance(p).nanometres());
                }
                yield least;
            }
            case Over o -> away(o.outline, p);
            case Lid l -> away(l.outline, p);
            case Head h -> Math.max(0, h.at.to(p).nanometres() - h.radius);
        };
    }

    private static double away(Outline outline, Point p) {
        return outline.covers(p) ? 0 : outline.outer().distance(p).nanometres();
    }

    /** True if it can be in the way at holes of a group at all. */
    boolean about(Group group) {
        return !(shape instanceof Lid lid) || lid.group.equals(group.id());
    }

    /**
     * What is on a face: flanges, what zones say stands behind, sheets that come to lie over holes.
     * What stands behind under the name of a part is there only while the part is.
     */
    static List<Obstacle> of(Face face, Build build) {
        List<Obstacle> all = new ArrayList<>();
        for (Layer l : face.layers()) {
            if (!l.bends().isEmpty()) {
                all.add(new Obstacle(
                        Optional.of(l.part()),
                        "the flange of " + l.name(),
                        l.flange().stands(),
                        l.flange().height(),
                        new Along(l.bends())));
            }
        }
        for (Zone z : face.zones()) {
            if (z.kind() == Zone.Kind.BEHIND) {
                all.add(new Obstacle(
                        build.named(z.name()).map(Part::id),
                        z.name(),
                        Flange.Stands.FAR,
                        z.room(),
                        new Over(z.outline())));
            }
        }
        for (Group group : face.groups()) {
            for (Layer l : face.layers()) {
                if (group.holes().under().contains(l.id())) {
                    all.add(new Obstacle(
                            Optional.of(l.part()),
                            l.name() + " lying over it",
                            Flange.Stands.UNSAID,
                            Length.ZERO,
                            new Lid(l.outline(), group.id())));
                }
            }
        }
        return all;
    }
}
