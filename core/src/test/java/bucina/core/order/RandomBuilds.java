package bucina.core.order;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Come;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Paperwork;
import bucina.core.plan.Part;
import bucina.core.plan.Query;
import bucina.core.plan.Row;
import bucina.core.plan.SheetHoles;
import bucina.core.plan.Standing;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/** Skins with ribs under them on one to three faces; parts lie on several, stand anyhow, holes come anyhow. */
final class RandomBuilds {

    private static final List<Fastener> FASTENERS = List.of(
            Plans.UNIVERSAL,
            Plans.FLUSH,
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
        if (random.nextInt(3) == 0 && !groups.isEmpty()) {
            Query query = new Query(
                    new Id.Query(next++),
                    pick(groups).id(),
                    LocalDate.parse("2026-11-01"),
                    "18 or 19?",
                    Optional.empty(),
                    Optional.empty());
            Paperwork papers = build.papers();
            build = build.withPapers(new Paperwork(papers.shelf().with(Query.class, List.of(query))), next + 1_000_000);
        }
        return build;
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
                groups.add(Plans.group(
                        next++,
                        "F" + f + "-" + (r + 1),
                        pick(FASTENERS),
                        List.of(row("R" + (r + 1), 3 * r + 1.5, each))));
            }
        }
        return new Face(new Id.Face(next++), "Face " + (f + 1), "from above", "outboard", "forward", layers, groups);
    }

    private Row row(String name, double x, int each) {
        List<Hole> holes = new ArrayList<>();
        for (int i = 0; i < each; i++) {
            holes.add(new Hole(new Id.Hole(next++), i + 1, Point.in(x, 1 + i), Optional.empty()));
        }
        return new Row(new Id.Row(next++), name, each + 1, holes);
    }

    private Layer layer(Part part, String name, Length thick, double x0, double y0, double x1, double y1) {
        Layer layer = new Layer(
                new Id.Layer(next++), part.id(), name, thick, Outline.rectangle(Point.in(x0, y0), Point.in(x1, y1)));
        return switch (random.nextInt(4)) {
            case 0 -> layer.with(SheetHoles.NONE.all(new Come(Come.State.BLANK, Optional.empty())));
            case 1 -> layer.with(SheetHoles.NONE.all(new Come(Come.State.PILOT, Optional.of(Length.in(.089)))));
            default -> layer;
        };
    }
}
