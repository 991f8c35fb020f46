package bucina.speed;

import bucina.core.catalogue.Catalogue;
import bucina.core.dress.Preparation;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Bulletin;
import bucina.core.plan.Come;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Flange;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.HolePlan;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Paperwork;
import bucina.core.plan.Part;
import bucina.core.plan.Query;
import bucina.core.plan.Row;
import bucina.core.plan.SheetHoles;
import bucina.core.plan.Standing;
import bucina.core.plan.Tool;
import bucina.core.plan.Workshop;
import bucina.core.reach.ToolCrib;
import bucina.core.rivet.HeadStyle;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/**
 * Skins with ribs under them on one to three faces; parts lie on several, stand anyhow, holes come anyhow. Some rows
 * are set wet, some ribs stand in the way of others, some skins close a bay, a tool may be missing, a query open, a
 * bulletin in force.
 */
final class RandomBuilds {

    private static final List<Fastener> FASTENERS = List.of(
            new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 4),
            new Fastener.SolidRivet(HeadStyle.FLUSH, "AD", 3),
            new Fastener.PulledRivet("iso15977", Length.mm(3.2), false),
            new Fastener.PulledRivet("iso15978", Length.mm(3.2), false),
            new Fastener.Hardware("AN3-5A", Length.in(.19), Length.in(.19), false));

    private final Catalogue catalogue;
    private final Random random;
    private long next;

    RandomBuilds(Catalogue catalogue, long seed) {
        this.catalogue = catalogue;
        this.random = new Random(seed);
    }

    private <T> T pick(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    /**
     * A build.
     *
     * @param faces how many
     * @param ribs  how many parts under the skins
     * @param each  holes in a row
     */
    Build build(int faces, int ribs, int each) {
        next = 100;
        List<Part> parts = new ArrayList<>();
        for (int r = 0; r < ribs; r++) {
            parts.add(part("Rib " + (r + 1), Part.Kind.RIB, r));
        }
        List<Face> all = new ArrayList<>();
        List<Group> groups = new ArrayList<>();
        for (int f = 0; f < faces; f++) {
            parts.add(part("Skin " + (f + 1), Part.Kind.SKIN, ribs + f));
            all.add(face(f, parts.getLast(), parts.subList(0, ribs), each));
            groups.addAll(all.getLast().groups());
        }
        RuleSet rules = catalogue
                .rules()
                .with(RuleKey.HOLES_COME, random.nextInt(3) == 0 ? "final" : "under", "test")
                .with(RuleKey.DEBURR_MARKED, random.nextInt(3) == 0 ? "not-marked" : "marked", "test")
                .with(RuleKey.PRIME_SCHOOL, random.nextInt(3) == 0 ? "all" : "none", "test");
        Build build = new Build(
                "Test",
                "Dunlin",
                rules,
                next + 1_000_000,
                parts,
                List.of(new Assembly(new Id.Assembly(2), "A", Hand.LEFT, Unit.INCH, List.of(), all)),
                Map.of());
        return said(build, groups).checked();
    }

    /** What is said beside the plan: a query, a bay, tools that are not there, a bulletin, an order of one's own. */
    private Build said(Build plain, List<Group> groups) {
        Build build = plain;
        Workshop shop = build.workshop();
        if (random.nextInt(3) == 0) {
            List<Tool> crib = new ArrayList<>(ToolCrib.of(build, catalogue));
            crib.remove(random.nextInt(crib.size()));
            shop = shop.withTools(crib.stream()
                    .map(t -> new Tool(new Id.Tool(next++), t.kind(), t.name(), t.sizes()))
                    .toList());
        }
        if (random.nextInt(6) == 0) {
            shop = shop.lacking(
                    new Id.Tool(next++), Tool.Kind.values()[1 + random.nextInt(Tool.Kind.values().length - 1)]);
        }
        List<Part> skins =
                build.parts().stream().filter(p -> p.kind() == Part.Kind.SKIN).toList();
        if (random.nextInt(3) == 0 && skins.size() > 1) {
            shop = shop.with(
                    new Bay(new Id.Bay(next++), "Bay", List.of(pick(skins).id()), Set.of(), ""));
        }
        build = build.withWorkshop(shop, next + 1_000_000);
        if (random.nextInt(3) == 0 && !groups.isEmpty()) {
            build = queried(build, pick(groups));
        }
        return random.nextInt(4) == 0 && !groups.isEmpty() ? bulletin(build, pick(groups)) : build;
    }

    private Build queried(Build build, Group group) {
        Query query = new Query(
                new Id.Query(next++),
                group.id(),
                LocalDate.parse("2026-11-01"),
                "18 or 19?",
                Optional.empty(),
                Optional.empty());
        Paperwork papers = build.papers();
        return build.withPapers(new Paperwork(papers.shelf().with(Query.class, List.of(query))), next + 1_000_000);
    }

    /** A bulletin that put another fastener in a group. */
    private Build bulletin(Build build, Group group) {
        Group was = group.withFastener(FASTENERS.getFirst(), "");
        Bulletin bulletin = new Bulletin(
                new Id.Bulletin(next++),
                "B-1",
                LocalDate.parse("2026-11-02"),
                true,
                List.of(new Bulletin.Change<>(
                        build.faces().stream()
                                .filter(f -> f.face().groups().contains(group))
                                .<Id>map(f -> f.face().id())
                                .findFirst(),
                        Optional.of(was),
                        Optional.of(group))));
        return build.withPapers(build.papers().with(bulletin), next + 1_000_000);
    }

    private Part part(String name, Part.Kind kind, int order) {
        Standing standing = random.nextInt(5) > 1 ? Standing.DRY : pick(List.of(Standing.values()));
        Part part = new Part(new Id.Part(next++), name, Material.parse("2024-T3"), order, true)
                .as(name, Material.parse("2024-T3"), kind);
        return part.with(standing == Standing.ON ? Standing.HERE : standing);
    }

    private Face face(int f, Part skin, List<Part> ribs, int each) {
        List<Layer> layers = new ArrayList<>();
        List<Group> groups = new ArrayList<>();
        double wide = 3 * ribs.size() + 2;
        layers.add(layer(skin, "Skin", Length.in(.025), 0, 0, wide, 12));
        for (int r = 0; r < ribs.size(); r++) {
            if (f == 0 || random.nextInt(3) > 0) {
                layers.add(layer(
                        ribs.get(r),
                        ribs.get(r).name(),
                        Length.in(pick(List.of(.032, .04, .063))),
                        3 * r + 1,
                        0,
                        3 * r + 2,
                        12));
                groups.add(group(r, f, each));
            }
        }
        return new Face(new Id.Face(next++), "Face " + (f + 1), "from above", "outboard", "forward", layers, groups);
    }

    private Group group(int r, int f, int each) {
        Fastener fastener = pick(FASTENERS);
        HolePlan holes = HolePlan.NONE.with(random.nextInt(5) == 0);
        return new Group(
                new Id.Group(next++),
                "F" + f + "-" + (r + 1),
                "Row " + (r + 1),
                fastener,
                false,
                fastener.flush() ? Preparation.AUTO : Preparation.NONE,
                "",
                rows(r, each),
                Optional.empty(),
                Set.of(),
                Set.of(),
                holes);
    }

    private List<Row> rows(int r, int each) {
        List<Row> rows = new ArrayList<>(List.of(row("R" + (r + 1), 3 * r + 1.5, each)));
        if (random.nextInt(4) == 0) {
            rows.add(row("R" + (r + 1) + "b", 3 * r + 1.8, each));
        }
        return rows;
    }

    private Row row(String name, double x, int each) {
        List<Hole> holes = new ArrayList<>();
        for (int i = 0; i < each; i++) {
            holes.add(new Hole(new Id.Hole(next++), i + 1, Point.in(x, 1 + i), Optional.empty()));
        }
        return new Row(new Id.Row(next++), name, each + 1, holes);
    }

    /** Ribs have a flange: at their own edge, or so near the row of the rib before that tools get there no more. */
    private Flange flange(double x0, double x1, String name) {
        // The row of the rib before stands 2.5 in before the edge of this one.
        double at = random.nextInt(3) == 0 ? x0 - 2.5 + .1 + random.nextInt(9) * .1 : x1 + .2;
        return name.startsWith("Rib") && random.nextBoolean()
                ? Flange.at(List.of(new Segment(Point.in(at, 0), Point.in(at, 12))))
                        .with(Flange.Stands.values()[random.nextInt(3)], Length.ZERO)
                : Flange.NONE;
    }

    private Layer layer(Part part, String name, Length thick, double x0, double y0, double x1, double y1) {
        Layer layer = new Layer(
                new Id.Layer(next++),
                part.id(),
                name,
                thick,
                Outline.rectangle(Point.in(x0, y0), Point.in(x1, y1)),
                flange(x0, x1, name),
                SheetHoles.NONE);
        return switch (random.nextInt(4)) {
            case 0 -> layer.with(SheetHoles.NONE.all(new Come(Come.State.BLANK, Optional.empty())));
            case 1 -> layer.with(SheetHoles.NONE.all(new Come(Come.State.PILOT, Optional.of(Length.in(.089)))));
            default -> layer;
        };
    }
}
