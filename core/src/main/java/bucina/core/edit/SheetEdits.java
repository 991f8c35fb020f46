package bucina.core.edit;

import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Zone;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Changes of the sheets of a face and of what lies on it. */
public final class SheetEdits {

    private SheetEdits() {}

    /**
     * A straight edge of a sheet moved square to itself; its ends slide along the neighbouring edges where those are
     * straight, so that they keep
     * their direction. Bend tangents of the layer stay.
     *
     * @param edge number of the edge in the outer ring, from 0
     * @param out  how far outward, nm; negative inward
     */
    public static Build moveEdge(Build build, Id.Layer id, int edge, double out) {
        return Edit.layer(build, id, layer -> layer.withOutline(moved(layer.outline(), edge, out)));
    }

    /** The outline with one edge moved outward. */
    public static Outline moved(Outline outline, int edge, double out) {
        List<Corner> corners = outline.outer().corners();
        int n = corners.size();
        if (corners.get(edge).bulge() != 0) {
            throw new InputException("this edge is an arc: move its corners, or type the outline");
        }
        Point a = corners.get(edge).at();
        Point b = corners.get((edge + 1) % n).at();
        double length = a.to(b).nanometres();
        double sign = outline.outer().counterclockwise() ? 1 : -1;
        double nx = sign * (b.y() - a.y()) / length * out;
        double ny = sign * (a.x() - b.x()) / length * out;
        Point a2 = new Point(a.x() + nx, a.y() + ny);
        Point b2 = new Point(b.x() + nx, b.y() + ny);
        Corner before = corners.get((edge + n - 1) % n);
        Corner after = corners.get((edge + 1) % n);
        List<Corner> next = new ArrayList<>(corners);
        next.set(edge, Corner.of(before.bulge() == 0 ? meet(before.at(), a, a2, b2) : a2));
        next.set(
                (edge + 1) % n,
                new Corner(after.bulge() == 0 ? meet(corners.get((edge + 2) % n).at(), b, a2, b2) : b2, after.bulge()));
        return new Outline(new Ring(next), outline.openings());
    }

    /**
     * Where the line through p and q meets the line through r and s; r or s, whichever is nearer to q, where they are
     * parallel.
     */
    private static Point meet(Point p, Point q, Point r, Point s) {
        double dx = q.x() - p.x();
        double dy = q.y() - p.y();
        double ex = s.x() - r.x();
        double ey = s.y() - r.y();
        double cross = dx * ey - dy * ex;
        if (Math.abs(cross) < 1e-9 * Math.hypot(dx, dy) * Math.hypot(ex, ey)) {
            return r.to(q).compareTo(s.to(q)) <= 0 ? r : s;
        }
        double t = ((r.x() - p.x()) * ey - (r.y() - p.y()) * ex) / cross;
        return new Point(p.x() + t * dx, p.y() + t * dy);
    }

    /** A corner of a sheet put elsewhere. */
    public static Build moveCorner(Build build, Id.Layer id, int corner, Point to) {
        return Edit.layer(build, id, layer -> {
            List<Corner> corners = new ArrayList<>(layer.outline().outer().corners());
            corners.set(corner, new Corner(to, corners.get(corner).bulge()));
            return layer.withOutline(
                    new Outline(new Ring(corners), layer.outline().openings()));
        });
    }

    /**
     * An opening cut into a sheet.
     *
     * @throws InputException if it does not lie inside the sheet, clear of its other openings
     */
    public static Build cut(Build build, Id.Layer id, Ring opening) {
        return Edit.layer(build, id, layer -> {
            for (Corner corner : opening.corners()) {
                if (!layer.outline().covers(corner.at())) {
                    throw new InputException("the opening leaves " + layer.name() + " at "
                            + corner.at().across() + ", " + corner.at().up()
                            + ", or meets another opening: give a place inside the sheet");
                }
            }
            List<Ring> openings = new ArrayList<>(layer.outline().openings());
            openings.add(opening);
            return layer.withOutline(new Outline(layer.outline().outer(), openings));
        });
    }

    /** An opening of a sheet, by its number from 0, closed again. */
    public static Build close(Build build, Id.Layer id, int opening) {
        return Edit.layer(build, id, layer -> {
            List<Ring> openings = new ArrayList<>(layer.outline().openings());
            openings.remove(opening);
            return layer.withOutline(new Outline(layer.outline().outer(), openings));
        });
    }

    /** A layer moved nearer to the side the face is viewed from, or farther. */
    public static Build order(Build build, Id.Layer id, boolean nearer) {
        Face face = Edit.faceOf(build, id);
        List<Layer> layers = new ArrayList<>(face.layers());
        int at = layers.stream().map(Layer::id).toList().indexOf(id);
        int to = nearer ? at - 1 : at + 1;
        if (to < 0 || to >= layers.size()) {
            throw new InputException(
                    layers.get(at).name() + " is the " + (nearer ? "nearest" : "farthest") + " sheet already");
        }
        layers.add(to, layers.remove(at));
        return build.with(face.withLayers(layers), build.nextId());
    }

    /** A layer taken off a face; groups no longer expect it, clear it or lie under it. */
    public static Build drop(Build build, Id.Layer id) {
        Face face = Edit.faceOf(build, id);
        List<Group> groups = face.groups().stream()
                .map(g -> g.expects().contains(id) || g.clears().contains(id)
                        ? g.withLayers(without(g.expects(), id), without(g.clears(), id))
                        : g)
                .map(g -> g.holes().under().contains(id)
                        ? g.withHoles(g.holes().under(without(g.holes().under(), id)))
                        : g)
                .toList();
        return build.with(
                face.withGroups(groups)
                        .withLayers(face.layers().stream()
                                .filter(l -> !l.id().equals(id))
                                .toList()),
                build.nextId());
    }

    private static Set<Id.Layer> without(Set<Id.Layer> ids, Id.Layer id) {
        return ids.stream().filter(i -> !i.equals(id)).collect(Collectors.toSet());
    }

    /** A layer put on a face under a number of others, with a part of the build. */
    public static Build addLayer(Build build, Id.Face face, int under, Layer layer) {
        return Edit.face(build, face, f -> {
                    List<Layer> layers = new ArrayList<>(f.layers());
                    layers.add(Math.clamp(under, 0, layers.size()), layer);
                    return f.withLayers(layers);
                })
                .withNextId(layer.id().n() + 1);
    }

    /** A zone put on a face, or in the place of the one with its id. */
    public static Build zone(Build build, Id.Face face, Zone zone) {
        return Edit.face(build, face, f -> {
                    List<Zone> zones = new ArrayList<>(f.zones());
                    zones.removeIf(z -> z.id().equals(zone.id()));
                    zones.add(zone);
                    return f.withZones(zones);
                })
                .withNextId(zone.id().n() + 1);
    }

    /** A zone taken off a face. */
    public static Build dropZone(Build build, Id.Face face, Id.Zone id) {
        return Edit.face(
                build,
                face,
                f -> f.withZones(
                        f.zones().stream().filter(z -> !z.id().equals(id)).toList()));
    }

    /** The straight edge of an outline nearest to a point, and its number; -1 where all are arcs. */
    public static int nearestEdge(Outline outline, Point at) {
        List<Corner> corners = outline.outer().corners();
        int best = -1;
        double least = Double.MAX_VALUE;
        for (int i = 0; i < corners.size(); i++) {
            if (corners.get(i).bulge() == 0) {
                double d = new Segment(
                                corners.get(i).at(),
                                corners.get((i + 1) % corners.size()).at())
                        .distance(at)
                        .nanometres();
                if (d < least) {
                    least = d;
                    best = i;
                }
            }
        }
        return best;
    }
}
