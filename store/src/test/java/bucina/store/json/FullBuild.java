package bucina.store.json;

import bucina.core.bulletin.Bulletins;
import bucina.core.callout.Queries;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.Locker;
import bucina.core.edit.Edit;
import bucina.core.edit.HoleEdits;
import bucina.core.edit.SheetEdits;
import bucina.core.hand.Hands;
import bucina.core.hand.Mirror;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Acceptance;
import bucina.core.plan.Batch;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Come;
import bucina.core.plan.Compound;
import bucina.core.plan.Departure;
import bucina.core.plan.FitReading;
import bucina.core.plan.Flange;
import bucina.core.plan.Gaging;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hold;
import bucina.core.plan.HolePlan;
import bucina.core.plan.Id;
import bucina.core.plan.IndexMark;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Layer;
import bucina.core.plan.OwnJob;
import bucina.core.plan.OwnOrder;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import bucina.core.plan.Row;
import bucina.core.plan.RunThrough;
import bucina.core.plan.SheetHoles;
import bucina.core.plan.Standing;
import bucina.core.plan.Tool;
import bucina.core.plan.Workshop;
import bucina.core.plan.Zone;
import bucina.core.rule.RuleCode;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A build with everything in it that can be kept. */
public final class FullBuild {

    private FullBuild() {}

    /**
     * Everything that versions 2 to 4 brought: pulled rivets, zones, holds, bends, the other hand, queries,
     * acceptances, a bulletin, a workshop.
     */
    public static Build full() {
        var catalogue = CatalogueReader.shipped();
        Build build = Locker.build(catalogue.rules());
        Build dunlin = bothHands(catalogue);
        Build begun = Bulletins.begin(dunlin, "SL 31-02", LocalDate.of(2026, 11, 20));
        Id.Bulletin id = begun.papers().bulletins().getFirst().id();
        Id.Group group = begun.group("LS-7").orElseThrow().group().id();
        Build changed = edited(begun, group, build);
        Build papered = papered(begun, changed, id);
        return withWorkshop(papered);
    }

    private static Build withWorkshop(Build papered) {
        KeptSum sum = bend(papered);
        Tool drill = new Tool(
                new Id.Tool(papered.nextId() + 1),
                Tool.Kind.STEP_DRILL,
                "Bench step drill",
                List.of(Length.mm(4), Length.mm(6)));
        long free = papered.nextId() + 2;
        Instant at = Instant.parse("2026-11-25T10:00:00.250Z");
        Id.Layer layer = papered.faces().getFirst().face().layers().getFirst().id();
        Workshop shop = Workshop.NONE
                .with(sum)
                .withTools(List.of(drill))
                .with(primer(new Id.Batch(free), at, layer))
                .with(new IndexMark(
                        new Id.Index(free + 1), papered.parts().getFirst().id(), "OUTBD ->", at))
                .with(new FitReading(
                        new Id.Fit(free + 2),
                        papered.faces().getFirst().face().id(),
                        FitReading.Kind.SQUARE,
                        true,
                        List.of(1e9, 1e9 / 3),
                        at))
                .with(new FitReading(
                        new Id.Fit(free + 3),
                        papered.faces().getFirst().face().id(),
                        FitReading.Kind.LEVEL,
                        false,
                        List.of(-.1),
                        at));
        Workshop ordered = ordered(shop.with(job(papered, free + 4)), free + 5)
                .with(bay(papered, free + 7))
                .lacking(new Id.Tool(free + 8), Tool.Kind.C_FRAME);
        Part part = papered.parts().getFirst();
        Workshop stored = FullStores.stored(proving(ordered, part, free + 7, free + 9), free + 14);
        Id.Assembly first = papered.assemblies().getFirst().id();
        Build proved = papered.withWorkshop(FullStores.shelved(stored, free + 17, first), free + 22);
        return lived(proved.withPapers(proved.papers().with(departure(free + 13, part)), free + 22))
                .checked();
    }

    private static KeptSum bend(Build papered) {
        return new KeptSum(
                new Id.Sum(papered.nextId()),
                "bend",
                "Clip",
                Optional.of(papered.parts().getFirst().id()),
                Unit.INCH,
                Map.of("legs", "1, 2"));
    }

    private static Departure departure(long id, Part part) {
        return new Departure(
                new Id.Departure(id),
                "Nose rib 1, US-1",
                "a thin washer for a regular one",
                "the bolt ran out of thread",
                LocalDate.of(2026, 11, 24),
                "the kit's maker by letter",
                List.of(part.id()));
    }

    private static Workshop proving(Workshop shop, Part part, long bay, long free) {
        return shop.with(new Gaging(
                        new Id.Gaging(free),
                        "Horn to skin",
                        Gaging.Kind.CLEARANCE,
                        Gaging.In.LENGTH,
                        Optional.empty(),
                        Optional.of(Length.in(.125).nanometres()),
                        Optional.empty(),
                        Optional.of(new Id.Bay(bay)),
                        "full travel both ways"))
                .with(new Gaging(
                        new Id.Gaging(free + 1),
                        "Twist at the tip",
                        Gaging.Kind.WASHOUT,
                        Gaging.In.DEGREES,
                        Optional.of(1.5),
                        Optional.of(1.25),
                        Optional.of(1.75),
                        Optional.empty(),
                        ""))
                .with(new RunThrough(
                        new Id.Run(free + 2),
                        "Trim wire",
                        RunThrough.Kind.CONDUIT,
                        Length.in(.25),
                        Hand.LEFT,
                        Optional.of(new Id.Bay(bay)),
                        List.of(new RunThrough.Station(part.id(), Length.in(.5), Optional.of(Length.in(.375)), true)),
                        "at the tip rib",
                        true,
                        "over the pitot line"));
    }

    private static Batch primer(Id.Batch id, Instant at, Id.Layer layer) {
        return Batch.mixed(
                        id,
                        new Compound("Epoxy primer", Compound.Kind.PRIMER, 30, 480, 30),
                        at,
                        List.of(new Batch.Surface(layer, false), new Batch.Surface(layer, true)))
                .stirred(at.plusSeconds(1800))
                .ended(at.plusSeconds(2000));
    }

    private static Bay bay(Build build, long id) {
        return new Bay(
                new Id.Bay(id),
                "Nose bay",
                List.of(build.parts().getLast().id()),
                Set.of(build.parts().getFirst().id()),
                "the line runs through it",
                List.of("the bolts, striped"),
                List.of("drillings"),
                Optional.of(Instant.parse("2026-11-20T08:00:00Z")));
    }

    private static Workshop ordered(Workshop shop, long free) {
        return shop.with(
                        new OwnOrder(new Id.Order(free), "off:Lid", "off:Lid rim", Optional.empty(), "to see it whole"))
                .with(new OwnOrder(
                        new Id.Order(free + 1),
                        "own:3",
                        "",
                        Optional.of(LocalDate.of(2026, 12, 1)),
                        "the paint is wet"));
    }

    private static OwnJob job(Build build, long id) {
        return new OwnJob(
                new Id.Own(id),
                "Press the bushing",
                "sheet 12",
                Optional.of(build.assemblies().getFirst().id()),
                List.of(build.parts().getFirst().id()),
                "reamed 5/16, flange outboard");
    }

    /** With everything said of a part, a sheet and a group. */
    private static Build lived(Build build) {
        Part part = build.parts().getFirst();
        Layer layer = build.faces().getFirst().face().layers().getLast();
        Group group = build.faces().getFirst().face().groups().getFirst();
        Row row = build.faces().getLast().face().groups().getFirst().rows().getFirst();
        Build known = build.with(part.as(part.name(), part.material(), Part.Kind.RIB)
                .with(Standing.OUT)
                .with(new Particulars(
                        "DS-104",
                        List.of("DS-104-1", "nose rib"),
                        Hand.LEFT,
                        Optional.of(Length.in(.032)),
                        Optional.of(Length.in(.0315)),
                        "sheet 7",
                        "powder coater",
                        Optional.of(LocalDate.of(2026, 12, 4)),
                        List.of("corner-relief", "polish the inside"),
                        Set.of("flute"),
                        Set.of(build.faces().getFirst().face().id()),
                        Optional.of(build.parts().getLast().id()))));
        known = Edit.group(known, group.id(), g -> g.withPage("sheet 7, step 3"));
        return Edit.layer(
                known,
                layer.id(),
                l -> l.with(SheetHoles.NONE
                        .all(new Come(Come.State.PILOT, Optional.of(Length.in(.098))))
                        .with(row.id(), new Come(Come.State.BLANK, Optional.empty()))
                        .withUncalled(List.of(new SheetHoles.Uncalled(Point.in(1, 2), Length.in(.19))))));
    }

    private static Build papered(Build begun, Build changed, Id.Bulletin id) {
        Build recorded = Queries.kept(Bulletins.recorded(begun, changed, id), LocalDate.of(2026, 11, 21));
        recorded = Queries.answer(
                recorded,
                recorded.papers().queries().getFirst().id(),
                "63",
                "Sheet 31 rev D",
                LocalDate.of(2026, 11, 22));
        Acceptance accepted = new Acceptance(
                new Id.Acceptance(recorded.nextId()),
                new Id.Row(5),
                RuleCode.PITCH_MOST,
                "",
                Optional.of(Length.in(1)),
                Optional.empty(),
                "so drawn",
                "M. Oake",
                LocalDate.of(2026, 11, 23));
        return recorded.withPapers(recorded.papers().with(accepted), recorded.nextId() + 1);
    }

    private static Build edited(Build begun, Id.Group group, Build build) {
        Id.Layer skin =
                Edit.faceOf(begun, group).orElseThrow().layers().getFirst().id();
        Build changed = Edit.group(
                begun,
                group,
                g -> g.withFastener(
                                build.faces()
                                        .getFirst()
                                        .face()
                                        .groups()
                                        .getFirst()
                                        .fastener(),
                                "20× ISO 15977 3.2")
                        .withHoles(new HolePlan(
                                        Optional.of(Length.mm(2.5)), Hold.OPEN, "the cover is fitted", Optional.of(120))
                                .setWith(Optional.of(Tool.Kind.HAND_PULLER))
                                .under(Set.of(skin))));
        changed = HoleEdits.delete(
                changed,
                Set.of(changed.group("LS-7")
                        .orElseThrow()
                        .group()
                        .rows()
                        .getFirst()
                        .holes()
                        .getFirst()
                        .id()));
        changed = SheetEdits.zone(
                changed,
                changed.faces().getFirst().face().id(),
                new Zone(
                        new Id.Zone(changed.nextId()),
                        "Hinge",
                        Zone.Kind.BEHIND,
                        Outline.rectangle(Point.in(0, 0), Point.in(1, 1)),
                        Length.mm(6)));
        changed = Edit.layer(
                changed,
                changed.faces().getFirst().face().layers().getFirst().id(),
                l -> l.with(new Flange(
                        List.of(new Segment(Point.in(0, 0), Point.in(1, 2))), Flange.Stands.FAR, Length.mm(19))));
        return changed;
    }

    private static Build bothHands(Catalogue catalogue) {
        Build dunlin = Mirror.add(
                Dunlin.build(catalogue.rules()),
                new Id.Assembly(Dunlin.build(catalogue.rules())
                        .assemblies()
                        .getFirst()
                        .id()
                        .n()));
        dunlin = Hands.except(
                dunlin,
                dunlin.assemblies().getLast().id(),
                dunlin.assemblies()
                        .getLast()
                        .faces()
                        .getFirst()
                        .layers()
                        .getFirst()
                        .id(),
                "cuff");
        return dunlin;
    }
}
