package bucina.core.edit;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.nutplate.NutPlate;
import bucina.core.nutplate.NutPlateLayout;
import bucina.core.nutplate.ScrewPattern;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.Zone;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Nut plates put behind a face: a plate is a layer of its lug rivets' stack, so that they get lengths, dressing and
 * edge checks like all others.
 */
public final class NutPlateEdits {

    private NutPlateEdits() {}

    /** The parts of a build that are nut plates. */
    public static Set<Id.Part> plates(Build build) {
        return build.parts().stream()
                .filter(p -> p.kind() == Part.Kind.NUT_PLATES)
                .map(Part::id)
                .collect(Collectors.toSet());
    }

    /** The pattern of a row of screws that is on the face: a ring is known by its ends lying as near as neighbours. */
    public static ScrewPattern pattern(Row row) {
        List<Point> at = row.holes().stream().map(Hole::at).toList();
        int n = at.size();
        boolean ring = closes(n, at);
        List<ScrewPattern.Screw> screws = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Point before = at.get(ring ? (i + n - 1) % n : Math.max(0, i - 1));
            Point after = at.get(ring ? (i + 1) % n : Math.min(n - 1, i + 1));
            screws.add(new ScrewPattern.Screw(
                    at.get(i), Math.toDegrees(Math.atan2(after.y() - before.y(), after.x() - before.x()))));
        }
        return new ScrewPattern(screws);
    }

    private static boolean closes(int n, List<Point> at) {
        return n >= 4
                && at.getLast().to(at.getFirst()).nanometres()
                        <= 1.5 * at.get(0).to(at.get(1)).nanometres();
    }

    /** A pattern moved so that its origin lies at a point. */
    public static ScrewPattern at(ScrewPattern pattern, Point origin) {
        return new ScrewPattern(pattern.screws().stream()
                .map(s ->
                        new ScrewPattern.Screw(new Point(s.at().x() + origin.x(), s.at().y() + origin.y()), s.along()))
                .toList());
    }

    /**
     * Lays plates behind a face: they keep clear of its holes, of the edges of the sheet that they lie on, the last
     * that covers the screws, and of what lies
     * behind that sheet or stands there.
     */
    public static NutPlateLayout lay(Face face, ScrewPattern pattern, NutPlate plate, RuleSet rules) {
        Set<Point> screws = new HashSet<>();
        pattern.screws().forEach(s -> screws.add(s.at()));
        List<Point> taken = taken(face, screws);
        List<Layer> layers = face.layers();
        int on = layers.size() - 1;
        while (on >= 0 && !covers(layers.get(on), pattern)) {
            on--;
        }
        List<NutPlateLayout.Behind> behind = behind(on, layers, face);
        return NutPlateLayout.of(
                pattern,
                plate,
                rules,
                on < 0 ? Optional.empty() : Optional.of(layers.get(on).outline()),
                taken,
                behind);
    }

    private static List<NutPlateLayout.Behind> behind(int on, List<Layer> layers, Face face) {
        List<NutPlateLayout.Behind> behind = new ArrayList<>();
        for (int i = on + 1; on >= 0 && i < layers.size(); i++) {
            behind.add(new NutPlateLayout.Behind(
                    layers.get(i).name(), layers.get(i).outline()));
        }
        face.zones().stream()
                .filter(z -> z.kind() == Zone.Kind.BEHIND)
                .forEach(z -> behind.add(new NutPlateLayout.Behind(z.name(), z.outline())));
        return behind;
    }

    private static List<Point> taken(Face face, Set<Point> screws) {
        return face.groups().stream()
                .flatMap(g -> g.rows().stream())
                .flatMap(r -> r.holes().stream())
                .map(Hole::at)
                .filter(p -> !screws.contains(p))
                .toList();
    }

    private static boolean covers(Layer layer, ScrewPattern pattern) {
        return pattern.screws().stream().allMatch(s -> layer.outline().covers(s.at()));
    }

    /**
     * The build with the plates on the far side of a face, a group of their lug rivets, and a group of the screws
     * where they are not there yet.
     *
     * @param lug    thickness of the lugs as measured, over 0
     * @param screws true to add the screws too
     */
    public static Build add(Build build, Id.Face on, NutPlateLayout layout, Length lug, boolean screws) {
        if (!lug.positive()) {
            throw new InputException("The lugs are " + lug + " thick: measure one, it is over 0, like .025");
        }
        return new PlatesOn(build, Edit.face(build, on), layout)
                .with(lug, screws)
                .checked();
    }

    static String free(Build build, String name) {
        Set<String> names = new HashSet<>(build.parts().stream().map(Part::name).toList());
        String free = name;
        for (int n = 2; names.contains(free); n++) {
            free = name + ", " + n;
        }
        return free;
    }

    /** How many plates lie another way than along the edge. */
    public static long turned(ScrewPattern pattern, NutPlateLayout layout) {
        return IntStream.range(0, layout.plates().size())
                .filter(i ->
                        Math.abs(Math.sin(Math.toRadians(layout.plates().get(i).turn()
                                        - pattern.screws().get(i).along())))
                                > 1e-6)
                .count();
    }

    /** The drilling order of one plate, a sentence a step: the plate stays square to its screw. */
    public static List<String> steps(NutPlate plate) {
        return List.of(
                "Drill the screw hole " + plate.drill() + ".",
                "Run a screw through and thread the plate on a turn or so: its lock must not be worn.",
                "Turn it as drawn, drill one lug rivet #40, cleco it, drill "
                        + (plate.places().size() > 2 ? "the others." : "the other."),
                "Take it off, deburr, dimple or countersink.",
                "Set one rivet, then the other, with the screw holding the plate flat.");
    }

    /** Rows of the face that could be screws: their holes take no rivet. */
    public static List<Row> screwRows(Face face) {
        return face.groups().stream()
                .filter(g -> g.fastener() instanceof Fastener.Hardware)
                .flatMap(g -> g.rows().stream())
                .sorted(Comparator.comparing(Row::name))
                .toList();
    }
}
