package bucina.core.reach;

import bucina.core.measure.Length;
import bucina.core.plan.Layer;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Box;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Trace;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;

/**
 * An opening of a sheet, for a hand or a socket.
 *
 * @param at   its middle
 * @param hand true if a hand goes through
 * @param bar  true if a hand with a bar or a wrench does
 * @param grow how far its edge may be moved outward all round; nought where it is too near already
 * @param stop what ends that
 */
public record HandHole(Ring opening, Point at, boolean hand, boolean bar, Length grow, String stop) {

    /** Degrees between two ways a hand is turned. */
    private static final int STEP = 5;

    /** A hand is tried by so many points each way. */
    private static final int POINTS = 8;

    /** True if something round goes through it, opened as far as it may be. */
    public boolean passes(Length diameter) {
        Box box = opening.box();
        double least = Math.min(box.width(), box.height()) + 2 * grow.nanometres();
        return least >= diameter.nanometres();
    }

    /** The openings of a sheet of a face. */
    static List<HandHole> of(FaceReading face, RuleSet rules, Layer sheet) {
        return sheet.outline().openings().stream()
                .map(r -> of(r, face, rules, sheet))
                .toList();
    }

    private static HandHole of(Ring ring, FaceReading face, RuleSet rules, Layer sheet) {
        Box box = ring.box();
        Point at = new Point((box.minX() + box.maxX()) / 2, (box.minY() + box.maxY()) / 2);
        Length grow = Length.nm(1e15);
        String stop = "nothing";
        for (HoleReading hole : face.readings()) {
            if (hole.layers().contains(sheet)) {
                Length left = ring.distance(hole.hole().at())
                        .minus(hole.solution().edge().least());
                if (left.compareTo(grow) < 0) {
                    grow = left;
                    stop = "the edge distance of " + hole.label();
                }
            }
        }
        Outline outline = sheet.outline();
        List<Ring> edges = new ArrayList<>(outline.openings());
        edges.remove(ring);
        edges.add(outline.outer());
        Length land = rules.times(RuleKey.OPENING_LAND, sheet.thickness());
        for (Ring edge : edges) {
            Length left = between(ring, edge).minus(land);
            if (left.compareTo(grow) < 0) {
                grow = left;
                stop = "the metal to " + (edge == outline.outer() ? "the edge" : "the next opening");
            }
        }
        double wide = rules.length(RuleKey.ACCESS_HAND).nanometres();
        boolean hand = goes(ring, at, wide, rules.length(RuleKey.ACCESS_HIGH).nanometres());
        boolean bar = goes(ring, at, wide, rules.length(RuleKey.ACCESS_BAR).nanometres());
        return new HandHole(ring, at, hand, bar, grow.max(Length.ZERO), stop);
    }

    private static Length between(Ring a, Ring b) {
        Length least = Length.nm(1e15);
        for (Ring[] pair : new Ring[][] {{a, b}, {b, a}}) {
            for (Point p : Trace.of(pair[0], 25_400)) {
                Length away = pair[1].distance(p);
                least = away.compareTo(least) < 0 ? away : least;
            }
        }
        return least;
    }

    /** True if a hand so wide and high goes through an opening, turned any way about its middle. */
    private static boolean goes(Ring ring, Point at, double wide, double high) {
        for (int degrees = 0; degrees < 180; degrees += STEP) {
            if (goes(ring, at, wide, high, Math.toRadians(degrees))) {
                return true;
            }
        }
        return false;
    }

    private static boolean goes(Ring ring, Point at, double wide, double high, double turned) {
        double c = Math.cos(turned);
        double s = Math.sin(turned);
        for (int i = 0; i <= POINTS; i++) {
            for (int j = 0; j <= POINTS; j++) {
                // Just inside, so that an opening of the very size takes it.
                double x = ((double) i / POINTS - .5) * wide * .9999;
                double y = ((double) j / POINTS - .5) * high * .9999;
                if (!ring.contains(new Point(at.x() + x * c - y * s, at.y() + x * s + y * c))) {
                    return false;
                }
            }
        }
        return true;
    }
}
