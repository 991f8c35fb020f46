package bucina.core.reach;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Dress;
import bucina.core.dress.Preparation;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Flange;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.SheetHoles;
import bucina.core.plan.Tool;
import bucina.core.plan.Zone;
import bucina.core.rivet.HeadStyle;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What reaches, judged again for random faces by measuring to points set along every flange, edge and zone. */
class ReachRandomTest {

    private static final double STEP = .01;
    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Random random = new Random(53);

    private Build face() {
        long id = 10;
        List<Part> parts = new ArrayList<>();
        List<Layer> layers = new ArrayList<>();
        id = sheets(id, parts, layers);
        List<Hole> holes = new ArrayList<>();
        for (int h = 0; h < 14; h++) {
            holes.add(new Hole(
                    new Id.Hole(id++),
                    h + 1,
                    Point.in(.3 + random.nextDouble() * 7.4, .3 + random.nextDouble() * 5.4),
                    Optional.empty()));
        }
        Row row = new Row(new Id.Row(id++), "R1", 15, holes);
        Fastener rivet = new Fastener.SolidRivet(random.nextBoolean() ? HeadStyle.FLUSH : HeadStyle.UNIVERSAL, "AD", 3);
        Group group = new Group(
                new Id.Group(id++),
                "G-1",
                "G",
                rivet,
                false,
                rivet.flush() ? Preparation.AUTO : Preparation.NONE,
                "",
                List.of(row),
                Optional.empty(),
                Set.of(),
                Set.of());
        List<Zone> zones = hinge(id++);
        group = group.withHeadFar(random.nextBoolean());
        Face face = new Face(new Id.Face(3), "Top", "from above", "outboard", "forward", layers, List.of(group), zones);
        return new Build(
                "Test",
                "Dunlin",
                catalogue.rules(),
                id,
                parts,
                List.of(new Assembly(new Id.Assembly(2), "A", Hand.LEFT, Unit.INCH, List.of(), List.of(face))),
                Map.of());
    }

    private List<Zone> hinge(long id) {
        return random.nextBoolean()
                ? List.of()
                : List.of(new Zone(
                        new Id.Zone(id),
                        "Hinge",
                        Zone.Kind.BEHIND,
                        Outline.rectangle(Point.in(5, 2), Point.in(6, 3)),
                        Length.in(.2)));
    }

    private long sheets(long id, List<Part> parts, List<Layer> layers) {
        for (int i = 0; i < 2 + random.nextInt(3); i++) {
            Part part = new Part(
                    new Id.Part(id++), "Part " + i, Material.parse("2024-T3"), i, i == 0 || random.nextBoolean());
            parts.add(part);
            double x = i == 0 ? 0 : random.nextInt(4);
            double w = i == 0 ? 8 : 1 + random.nextInt(4);
            List<Segment> bends = i > 0 && random.nextBoolean()
                    ? List.of(new Segment(Point.in(x + .2, 0), Point.in(x + .2, 6)))
                    : List.of();
            layers.add(new Layer(
                    new Id.Layer(id++),
                    part.id(),
                    "Sheet " + i,
                    Length.in(new double[] {.025, .032, .063, .080}[random.nextInt(4)]),
                    Outline.rectangle(Point.in(x, 0), Point.in(x + w, 6)),
                    new Flange(bends, Flange.Stands.values()[random.nextInt(3)], Length.ZERO),
                    SheetHoles.NONE));
        }
        return id;
    }

    /** Distance in inches to the nearest of many points along a line. */
    private static double along(Point p, Point a, Point b) {
        double length = a.to(b).in();
        int n = (int) Math.ceil(length / STEP);
        double best = Double.MAX_VALUE;
        for (int i = 0; i <= n; i++) {
            best = Math.min(
                    best,
                    p.to(new Point(a.x() + (b.x() - a.x()) * i / n, a.y() + (b.y() - a.y()) * i / n))
                            .in());
        }
        return best;
    }

    private static double edge(Point p, Outline outline) {
        double best = Double.MAX_VALUE;
        var corners = outline.outer().corners();
        for (int i = 0; i < corners.size(); i++) {
            best = Math.min(
                    best,
                    along(
                            p,
                            corners.get(i).at(),
                            corners.get((i + 1) % corners.size()).at()));
        }
        return best;
    }

    /** True for tools that come from the head side alone. */
    private static boolean oneSided(Tool tool) {
        return switch (tool.kind()) {
            case PULLED_GUN, HAND_PULLER, STOP_CAGE, PILOTED_CUTTER -> true;
            default -> false;
        };
    }

    /** What stands nearest on the sides a tool needs: flanges of parts in place, and what is behind. */
    private static double standing(Point p, Build build, Tool tool) {
        Face face = build.faces().getFirst().face();
        boolean far = face.groups().getFirst().headFar();
        Flange.Stands away = far ? Flange.Stands.NEAR : Flange.Stands.FAR;
        double best = Double.MAX_VALUE;
        for (Layer l : face.layers()) {
            if (build.part(l.part()).fitted() && !(oneSided(tool) && l.flange().stands() == away)) {
                for (Segment s : l.bends()) {
                    best = Math.min(best, along(p, s.a(), s.b()));
                }
            }
        }
        for (Zone z : oneSided(tool) && !far ? List.<Zone>of() : face.zones()) {
            best = Math.min(best, z.outline().covers(p) ? 0 : edge(p, z.outline()));
        }
        return best;
    }

    private static void blockedRightly(Reach.Blocked b, double in, double standing, double least) {
        boolean far = in > b.tool().throat().in() - STEP;
        boolean near = standing < b.tool().clear().in() + STEP;
        boolean tips = b.tool().kind() == Tool.Kind.STOP_CAGE
                && least < b.tool().clear().in() + STEP;
        assertThat(far || near || tips).as(b.why().in(Unit.INCH)).isTrue();
        // The figure in the sentence is the one that was measured.
        assertThat(Math.min(
                        Math.abs(b.measured().in() - in),
                        Math.min(
                                Math.abs(b.measured().in() - standing),
                                Math.abs(b.measured().in() - least))))
                .isCloseTo(0, within(STEP));
    }

    @Test
    void a_tool_reaches_where_nothing_is_nearer_than_it_needs_and_nowhere_else() {
        List<Tool> crib = crib();
        int reached = 0;
        int blocked = 0;
        for (int i = 0; i < 150; i++) {
            Build build = face();
            var reading = Derivation.of(build, catalogue).face(new Id.Face(3));
            for (Reach r : Reach.of(reading, build, crib)) {
                Point p = r.hole().hole().at();
                List<Layer> there = r.hole().layers().stream()
                        .filter(l -> r.work() != Reach.Work.SQUEEZE
                                || build.part(l.part()).fitted())
                        .toList();
                double in = there.stream()
                        .mapToDouble(l -> edge(p, l.outline()))
                        .reduce(r.work() == Reach.Work.SQUEEZE ? Math::max : Math::min)
                        .orElse(0);
                double least = r.hole().layers().stream()
                        .mapToDouble(l -> edge(p, l.outline()))
                        .min()
                        .orElse(0);
                reached = reaches(r, build, in, least, reached);
                for (Reach.Blocked b : r.blocked()) {
                    blockedRightly(b, in, standing(p, build, b.tool()), least);
                    blocked++;
                }
                r.blocked().forEach(b -> assertThat(r.tools()).doesNotContain(b.tool()));
            }
            // Every hole that is dimpled, countersunk or riveted is asked for, once for each.
            long wanted = wanted(reading);
            assertThat(Reach.of(reading, build, crib)).hasSize((int) wanted);
        }
        assertThat(reached).isGreaterThan(1000);
        assertThat(blocked).isGreaterThan(1000);
    }

    private static long wanted(FaceReading reading) {
        return reading.readings().stream()
                .mapToLong(h -> 1
                        + (h.solution().dressing().plies().stream().anyMatch(x -> x.dress() == Dress.DIMPLE) ? 1 : 0)
                        + (h.solution().dressing().plies().stream().anyMatch(x -> x.dress() == Dress.COUNTERSINK)
                                ? 1
                                : 0))
                .sum();
    }

    private static int reaches(Reach r, Build build, double in, double least, int reached) {
        for (Tool tool : r.tools()) {
            double standing = standing(r.hole().hole().at(), build, tool);
            assertThat(standing)
                    .as(tool.name())
                    .isGreaterThanOrEqualTo(tool.clear().in() - STEP);
            assertThat(in).as(tool.name()).isLessThanOrEqualTo(tool.throat().in() + STEP);
            assertThat(tool.kind() != Tool.Kind.STOP_CAGE
                            || least >= tool.clear().in() - STEP)
                    .isTrue();
            reached++;
        }
        return reached;
    }

    private List<Tool> crib() {
        List<Tool> crib = new ArrayList<>();
        long id = 90_000;
        for (Catalogue.CribTool t : catalogue.crib()) {
            // These have a body to one side, or two widths: ReachTest works them out by hand.
            if (Set.of(Tool.Kind.BACK_RIVET, Tool.Kind.WEDGE, Tool.Kind.WRENCH).contains(t.kind())) {
                continue;
            }
            crib.add(new Tool(new Id.Tool(id++), t.kind(), t.name(), t.sizes()));
        }
        return crib;
    }
}
