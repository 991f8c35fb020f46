package bucina.core.drawing;

import bucina.core.sheet.Box;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What is drawn where the same is drawn already counts once. */
final class Once {

    /** Places and sizes nearer than this, nm, are drawn as one. */
    private static final double SAME = 10_000;

    /** Of shapes that fill one box no more than so many are gone through. */
    private static final int TRIED = 50;

    private Once() {}

    /** Of rings that are the same the first stays; how many went. */
    static int rings(List<Ring> rings) {
        record Fills(long x0, long y0, long x1, long y1) {
            static Fills of(Box b) {
                return new Fills(
                        Math.round(b.minX() / SAME),
                        Math.round(b.minY() / SAME),
                        Math.round(b.maxX() / SAME),
                        Math.round(b.maxY() / SAME));
            }
        }
        Map<Fills, List<Ring>> taken = new HashMap<>();
        int before = rings.size();
        rings.removeIf(r -> {
            List<Ring> here = taken.computeIfAbsent(Fills.of(r.box()), f -> new ArrayList<>());
            boolean twice = here.stream().limit(TRIED).anyMatch(other -> same(r, other));
            if (!twice) {
                here.add(r);
            }
            return twice;
        });
        return before - rings.size();
    }

    private static boolean same(Ring ring, Ring other) {
        double around = 2 * (ring.box().width() + ring.box().height());
        return Math.abs(ring.area() - other.area()) <= SAME * around && along(ring, other) && along(other, ring);
    }

    /** True if every corner of a ring lies on another. */
    private static boolean along(Ring ring, Ring other) {
        return ring.corners().stream().allMatch(c -> other.distance(c.at()).nanometres() <= SAME);
    }

    /** Of holes of one size in one place the first stays; how many went. */
    static int holes(List<Drawing.Circle> holes) {
        record Spot(long x, long y, long size) {
            static Spot of(Drawing.Circle c) {
                return new Spot(
                        Math.round(c.at().x() / SAME),
                        Math.round(c.at().y() / SAME),
                        Math.round(c.diameter().nanometres() / SAME));
            }
        }
        Set<Spot> taken = new HashSet<>();
        int before = holes.size();
        holes.removeIf(c -> !taken.add(Spot.of(c)));
        return before - holes.size();
    }

    /** Where holes are already. */
    static final class Places {

        private record Place(long x, long y) {
            static Place of(Drawing.Circle c) {
                return new Place(Math.round(c.at().x() / SAME), Math.round(c.at().y() / SAME));
            }
        }

        private final Set<Place> taken = new HashSet<>();

        Places(Collection<List<Drawing.Circle>> holes) {
            holes.forEach(list -> list.forEach(c -> taken.add(Place.of(c))));
        }

        /** Strikes off points where a hole or a point is already; how many went. */
        int strike(List<Drawing.Circle> points) {
            int before = points.size();
            points.removeIf(c -> !taken.add(Place.of(c)));
            return before - points.size();
        }
    }
}
