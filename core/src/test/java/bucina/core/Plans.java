package bucina.core;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Preparation;
import bucina.core.log.Work;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.TypedStack;
import bucina.core.rivet.HeadStyle;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Small plans for tests: a skin 20 x 4, a flange 20 x 1 under it, a doubler from 0 to {@code doublerEnd}; one row of 19
 * holes along the flange.
 */
public final class Plans {

    public static final Fastener UNIVERSAL = new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 4);
    public static final Fastener FLUSH = new Fastener.SolidRivet(HeadStyle.FLUSH, "AD", 3);

    private Plans() {}

    public static Layer layer(long id, String name, double t, double x1, double y1, double x2, double y2) {
        return new Layer(
                new Id.Layer(id),
                new Id.Part(1),
                name,
                Length.in(t),
                Outline.rectangle(Point.in(x1, y1), Point.in(x2, y2)));
    }

    public static List<Layer> layers(double doublerEnd) {
        return List.of(
                layer(11, "Skin", .032, 0, 0, 20, 4),
                layer(12, "Doubler", .063, 0, 1.4, doublerEnd, 2.6),
                layer(13, "Flange", .040, 0, 1.5, 20, 2.5));
    }

    public static Row row(long id, String name, double y, int holes) {
        List<Hole> list = new ArrayList<>();
        for (int i = 0; i < holes; i++) {
            list.add(new Hole(new Id.Hole(id + 1 + i), i + 1, Point.in(i + 1, y), Optional.empty()));
        }
        return new Row(new Id.Row(id), name, holes + 1, list);
    }

    public static Group group(long id, String code, Fastener fastener, List<Row> rows) {
        return new Group(
                new Id.Group(id),
                code,
                code,
                fastener,
                false,
                fastener.flush() ? Preparation.AUTO : Preparation.NONE,
                "",
                rows,
                Optional.empty(),
                Set.of(),
                Set.of());
    }

    public static Group typed(long id, String code, int count, double... layers) {
        return new Group(
                new Id.Group(id),
                code,
                code,
                UNIVERSAL,
                false,
                Preparation.NONE,
                "",
                List.of(),
                Optional.of(new TypedStack(
                        Arrays.stream(layers).mapToObj(Length::in).toList(), count)),
                Set.of(),
                Set.of());
    }

    public static Face face(List<Layer> layers, List<Group> groups) {
        return new Face(new Id.Face(3), "Top", "from above", "outboard", "forward", layers, groups);
    }

    public static Build build(Face face) {
        return new Build(
                        "Test",
                        "Dunlin",
                        CatalogueReader.shipped().rules(),
                        100_000,
                        List.of(new Part(new Id.Part(1), "Part", Material.parse("2024-T3"), 1, true)),
                        List.of(new Assembly(
                                new Id.Assembly(2), "Assembly", Hand.LEFT, Unit.INCH, List.of(), List.of(face))),
                        Map.of())
                .checked();
    }

    public static Build build(double doublerEnd) {
        return build(face(
                layers(doublerEnd),
                List.of(
                        group(20, "G-1", UNIVERSAL, List.of(row(1000, "R1", 2, 19))),
                        typed(21, "T-1", 10, .032, .040))));
    }

    /** An entry of five minutes on the morning of 28 November 2026 that set some holes. */
    public static Work set(Group group, String designation, String because, Work.LoggedHole... holes) {
        return new Work(
                group.id(),
                group.code(),
                List.of(holes),
                holes.length,
                designation,
                Optional.empty(),
                "M. Oake",
                LocalDateTime.parse("2026-11-28T10:00"),
                5,
                Work.Setup.NONE,
                List.of(),
                List.of(),
                because,
                "",
                List.of());
    }

    /** The same for some holes of the group's first row, counted from 1. */
    public static Work set(Group group, String designation, String because, int... holes) {
        Row row = group.rows().getFirst();
        return set(
                group,
                designation,
                because,
                Arrays.stream(holes)
                        .mapToObj(n -> row.holes().get(n - 1))
                        .map(h -> new Work.LoggedHole(h.id(), row.label(h)))
                        .toArray(Work.LoggedHole[]::new));
    }
}
