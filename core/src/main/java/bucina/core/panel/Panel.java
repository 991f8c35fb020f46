package bucina.core.panel;

import bucina.core.dress.Preparation;
import bucina.core.edit.HoleEdits;
import bucina.core.layout.Rows;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Flange;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import bucina.core.plan.Row;
import bucina.core.plan.Standing;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.RuleKey;
import bucina.core.sheet.Box;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Segment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/*
 * Design. Flanges end a little inside the skin's edge and clear of each other; a row begins and ends one least edge
 * distance and a sixteenth
 * inside its flange, so that a panel made with sound figures has no finding. The web of a spar is taken at its lower
 * edge, that of a rib at its
 * inboard one: the bend tangent lies radius and thickness inside.
 */

/** Makes a panel. */
public final class Panel {

    /** Flanges end this far inside the skin's edge, and this far from each other. */
    private static final Length INSET = Length.in(.1);
    /** Holes stand this much farther in than the least edge distance. */
    private static final Length SPARE = Length.fraction(1, 16);
    /** Inside radius taken for flange bends. */
    private static final Length RADIUS = Length.fraction(1, 8);

    private final Build build;
    private final PanelPlan plan;
    private final Place place;
    private final Length margin;
    private final List<Part> parts = new ArrayList<>();
    private final List<Layer> structure = new ArrayList<>();
    private final List<Row> rows = new ArrayList<>();
    private long next;
    private int rowCount;

    private Panel(Build build, PanelPlan plan, Place place) {
        this.build = build;
        this.plan = plan;
        this.place = place;
        this.next = build.nextId();
        this.margin = EdgeRule.of(
                        build.rules(), plan.fastener().shank(), plan.fastener().flush())
                .least()
                .plus(SPARE);
    }

    /**
     * The build with the panel added as a new assembly of one face.
     *
     * @throws InputException if a figure does not fit, such as a spar off the skin or a name that is taken
     */
    public static Build add(Build build, PanelPlan plan) {
        return add(build, plan, Place.ALONE);
    }

    /**
     * Where a panel goes.
     *
     * @param into the assembly it is one face of; empty for one of its own. Its spars, ribs and doublers are the
     *     parts of their names that lie on that assembly's faces, where there are such
     * @param skin the part that its skin is a sheet of, such as a spar whose web it is; empty for a part of its own
     */
    public record Place(Optional<Id.Assembly> into, Optional<Id.Part> skin) {

        /** An assembly of its own, and parts of its own. */
        public static final Place ALONE = new Place(Optional.empty(), Optional.empty());
    }

    /**
     * The build with the panel added as a face.
     *
     * @throws InputException if a figure does not fit, such as a spar off the skin or a name that is taken
     */
    public static Build add(Build build, PanelPlan plan, Place place) {
        if (build.face(plan.name()).isPresent()) {
            throw new InputException("there is a face " + plan.name() + " already: give the panel another name");
        }
        return new Panel(build, plan, place).made();
    }

    /** The face that {@link #add} put last. */
    public static Face face(Build made) {
        return made.faces().stream()
                .map(Build.FaceRef::face)
                .max(Comparator.comparingLong(f -> f.id().n()))
                .orElseThrow();
    }

    /** Parts that a panel of these names would share with an assembly. */
    public static List<Part> shared(Build build, PanelPlan plan, Id.Assembly into) {
        Set<String> names = new HashSet<>();
        plan.spars().forEach(s -> names.add(s.name().toLowerCase(Locale.ROOT)));
        plan.ribs().forEach(r -> names.add(r.name().toLowerCase(Locale.ROOT)));
        plan.doublers().forEach(d -> names.add(d.name().toLowerCase(Locale.ROOT)));
        return there(build, into).stream()
                .filter(p -> names.contains(p.name().toLowerCase(Locale.ROOT)))
                .toList();
    }

    private static List<Part> there(Build build, Id.Assembly into) {
        return build.assemblies().stream()
                .filter(a -> a.id().equals(into))
                .flatMap(a -> a.faces().stream())
                .flatMap(f -> f.layers().stream())
                .map(Layer::part)
                .distinct()
                .map(build::part)
                .toList();
    }

    private Build made() {
        int order = plan.spars().size() + plan.ribs().size() > 0 ? 3 : 1;
        Part skin = place.skin().map(build::part).orElseGet(() -> own(plan.name(), order, Part.Kind.SKIN));
        Layer sheet =
                layer(skin, plan.name(), plan.skin().thickness(), plan.skin().outline(), List.of());
        List<Group> groups = new ArrayList<>();
        String letters = letters();
        for (PanelPlan.Spar spar : plan.spars()) {
            spar(spar);
            if (!rows.isEmpty()) {
                groups.add(group(letters + "-" + (groups.size() + 1), spar.name()));
            }
        }
        plan.ribs().forEach(this::rib);
        if (!rows.isEmpty()) {
            groups.add(group(letters + "-" + (groups.size() + 1), "Ribs"));
        }
        List<Layer> layers = new ArrayList<>(List.of(sheet));
        for (PanelPlan.Doubler d : plan.doublers()) {
            layers.add(layer(
                    part(d.name(), 2, Part.Kind.SHEET),
                    d.name(),
                    d.thickness(),
                    Outline.rectangle(d.a(), d.b()),
                    List.of()));
        }
        layers.addAll(structure);
        Face face = new Face(
                new Id.Face(next++), plan.name(), plan.viewed(), plan.xToward(), plan.yToward(), layers, groups);
        List<Part> all = new ArrayList<>(build.parts());
        all.addAll(parts);
        return build.withParts(all, next).withAssemblies(with(face), next).checked();
    }

    private List<Assembly> with(Face face) {
        List<Assembly> assemblies = new ArrayList<>(build.assemblies());
        if (place.into().isEmpty()) {
            assemblies.add(new Assembly(
                    new Id.Assembly(next++), plan.name(), plan.hand(), plan.unit(), List.of(), List.of(face)));
            return assemblies;
        }
        assemblies.replaceAll(a -> {
            List<Face> faces = new ArrayList<>(a.faces());
            faces.add(face);
            return a.id().equals(place.into().get()) ? a.withFaces(faces) : a;
        });
        return assemblies;
    }

    private String letters() {
        StringBuilder letters = new StringBuilder();
        for (String word : plan.name().split("[^A-Za-z0-9]+")) {
            letters.append(word.isEmpty() ? "" : word.substring(0, 1).toUpperCase(Locale.ROOT));
        }
        String base = letters.isEmpty() ? "P" : letters.substring(0, Math.min(3, letters.length()));
        String free = base;
        for (int n = 2; taken(free); n++) {
            free = base + n;
        }
        return free;
    }

    private boolean taken(String letters) {
        return build.faces().stream()
                .flatMap(f -> f.face().groups().stream())
                .anyMatch(g -> g.code().startsWith(letters + "-"));
    }

    /** The part of a name in the assembly, or one of its own. */
    private Part part(String name, int order, Part.Kind kind) {
        return place.into().stream()
                .flatMap(a -> there(build, a).stream())
                .filter(p -> p.name().equalsIgnoreCase(name))
                .findFirst()
                .orElseGet(() -> own(name, order, kind));
    }

    private Part own(String name, int order, Part.Kind kind) {
        Part part = new Part(new Id.Part(next++), name, plan.material(), order, Standing.DRY, kind, Particulars.NONE);
        parts.add(part);
        return part;
    }

    private Layer layer(Part part, String name, Length thickness, Outline outline, List<Segment> bends) {
        Layer flat = new Layer(new Id.Layer(next++), part.id(), name, thickness, outline);
        // The skin lies nearest: what carries it stands up behind.
        return bends.isEmpty() ? flat : flat.with(Flange.at(bends).with(Flange.Stands.FAR, Length.ZERO));
    }

    private Group group(String code, String name) {
        Group group = new Group(
                new Id.Group(next++),
                code,
                name,
                plan.fastener(),
                false,
                plan.fastener().flush() ? Preparation.AUTO : Preparation.NONE,
                plan.callout(),
                rows,
                Optional.empty(),
                Set.of(),
                Set.of());
        rows.clear();
        return group;
    }

    /**
     * A row in whole spaces; one space more where the nearest number would stretch the pitch over the most that the
     * wished one keeps.
     */
    private void row(Point from, Point to, Length flange) {
        if (from.to(to).compareTo(plan.fastener().shank().times(4)) < 0) {
            return;
        }
        List<Point> points = Rows.line(from, to, Rows.Spacing.pitch(plan.pitch()));
        points = pitched(flange, points, from, to);
        rows.add(HoleEdits.row(next, "R" + (++rowCount), points));
        next += 1 + points.size();
    }

    private List<Point> pitched(Length flange, List<Point> points, Point from, Point to) {
        Length most = build.rules()
                .times(RuleKey.PITCH_MOST_DIAMETERS, plan.fastener().shank())
                .min(build.rules()
                        .times(
                                RuleKey.PITCH_MOST_THICKNESS,
                                flange.min(plan.skin().thickness())));
        if (plan.pitch().atMost(most) && !points.get(0).to(points.get(1)).atMost(most)) {
            points = Rows.line(from, to, Rows.Spacing.count(points.size() + 1));
        }
        return points;
    }

    // ---- spars and ribs

    private double sparY(PanelPlan.Spar spar, double x) {
        Box box = plan.skin().outline().box();
        double t = (x - box.minX()) / box.width();
        return spar.atRoot().nanometres()
                + t * (spar.atTip().nanometres() - spar.atRoot().nanometres());
    }

    private void spar(PanelPlan.Spar spar) {
        Box box = plan.skin().outline().box();
        double half = spar.flange().width().nanometres() / 2;
        double left = box.minX() + INSET.nanometres();
        double right = box.maxX() - INSET.nanometres();
        Point a = new Point(left, sparY(spar, left));
        Point b = new Point(right, sparY(spar, right));
        checkOn(a, b, spar);
        double bend = tangent(spar.flange()) - half;
        structure.add(layer(
                part(spar.name(), 1, Part.Kind.SPAR),
                spar.name() + " flange",
                spar.flange().thickness(),
                Outline.of(Ring.polygon(List.of(up(a, -half), up(b, -half), up(b, half), up(a, half)))),
                List.of(new Segment(up(a, bend), up(b, bend)))));
        double along = margin.nanometres() / a.to(b).nanometres();
        row(between(a, b, along), between(a, b, 1 - along), spar.flange().thickness());
    }

    private void checkOn(Point a, Point b, PanelPlan.Spar spar) {
        for (Point p : List.of(a, b)) {
            if (!plan.skin().outline().covers(p)) {
                throw new InputException(spar.name() + " leaves the skin at " + p.across() + ", " + p.up()
                        + ": give y of its centre line inside the outline");
            }
        }
    }

    private static double tangent(PanelPlan.Flange flange) {
        return RADIUS.min(flange.width().times(0.2)).plus(flange.thickness()).nanometres();
    }

    private static Point up(Point p, double by) {
        return new Point(p.x(), p.y() + by);
    }

    private static Point between(Point a, Point b, double t) {
        return new Point(a.x() + t * (b.x() - a.x()), a.y() + t * (b.y() - a.y()));
    }

    private void rib(PanelPlan.Rib rib) {
        double x = rib.station().nanometres();
        double half = rib.flange().width().nanometres() / 2;
        double[] ends = span(plan.skin().outline().outer(), x - half, x, x + half);
        if (ends == null) {
            throw new InputException(rib.name() + " at " + rib.station()
                    + " lies off the skin: give stations inside the outline, such as 1.5, 12, 24");
        }
        List<double[]> bays = new ArrayList<>();
        double from = ends[0] + INSET.nanometres();
        List<PanelPlan.Spar> spars = plan.spars().stream()
                .sorted(Comparator.comparingDouble(s -> sparY(s, x)))
                .toList();
        for (PanelPlan.Spar spar : spars) {
            double slope = Math.abs(sparY(spar, x + half) - sparY(spar, x - half)) / 2;
            double reach = spar.flange().width().nanometres() / 2 + INSET.nanometres() + slope;
            bays.add(new double[] {from, sparY(spar, x) - reach});
            from = sparY(spar, x) + reach;
        }
        bays.add(new double[] {from, ends[1] - INSET.nanometres()});
        Part part = part(rib.name(), 2, Part.Kind.RIB);
        int bay = 0;
        for (double[] b : bays) {
            bay++;
            if (b[1] - b[0] < 3 * margin.nanometres()) {
                continue;
            }
            double tangent = x - half + tangent(rib.flange());
            structure.add(layer(
                    part,
                    rib.name() + " flange" + (bays.size() > 1 ? ", bay " + bay : ""),
                    rib.flange().thickness(),
                    Outline.rectangle(new Point(x - half, b[0]), new Point(x + half, b[1])),
                    List.of(new Segment(new Point(tangent, b[0]), new Point(tangent, b[1])))));
            row(
                    new Point(x, b[0] + margin.nanometres()),
                    new Point(x, b[1] - margin.nanometres()),
                    rib.flange().thickness());
        }
    }

    /** The least stretch of y that the ring covers at every one of the given x; null where it covers none. */
    private static double @Nullable [] span(Ring ring, double... xs) {
        double low = -Double.MAX_VALUE;
        double high = Double.MAX_VALUE;
        for (double x : xs) {
            double least = Double.MAX_VALUE;
            double most = -Double.MAX_VALUE;
            List<Corner> corners = ring.corners();
            for (int i = 0; i < corners.size(); i++) {
                Point a = corners.get(i).at();
                Point b = corners.get((i + 1) % corners.size()).at();
                if (Math.min(a.x(), b.x()) <= x && x <= Math.max(a.x(), b.x())) {
                    double y = a.x() == b.x()
                            ? Math.min(a.y(), b.y())
                            : a.y() + (x - a.x()) / (b.x() - a.x()) * (b.y() - a.y());
                    least = Math.min(least, y);
                    most = Math.max(most, a.x() == b.x() ? Math.max(a.y(), b.y()) : y);
                }
            }
            low = Math.max(low, least);
            high = Math.min(high, most);
        }
        return high > low && low > -Double.MAX_VALUE && high < Double.MAX_VALUE ? new double[] {low, high} : null;
    }
}
