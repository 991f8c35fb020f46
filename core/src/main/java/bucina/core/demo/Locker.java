package bucina.core.demo;

import bucina.core.callout.Queries;
import bucina.core.dress.Preparation;
import bucina.core.edit.HoleEdits;
import bucina.core.layout.Rows;
import bucina.core.log.Logbook;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Flange;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hold;
import bucina.core.plan.Hole;
import bucina.core.plan.HolePlan;
import bucina.core.plan.Id;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import bucina.core.plan.Row;
import bucina.core.plan.Standing;
import bucina.core.plan.Workshop;
import bucina.core.plan.Zone;
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
import java.util.Set;

/*
 * Design. The second demonstration: pulled rivets in millimetres. Every matter of pulled rivets is on it once: a
 * hinge behind that wants rivets
 * cut shorter, a wall beside a tail, a stack of two thin sheets that no 3.2 grips, a row with one hole of the next
 * diameter, flush holes that are
 * cleared after dimpling, stainless bodies at the lid's hinge, and a lap of the belly skin that must be lifted for
 * the sheet that closes it.
 */

/** The plan of the Dunlin's belly locker: a box with a removable lid. Millimetres; x runs to starboard, y forward. */
public final class Locker {

    private static final Fastener DOMED = new Fastener.PulledRivet("iso15977", Length.mm(3.2), false);
    private static final Fastener LARGE = new Fastener.PulledRivet("iso15977", Length.mm(4), false);
    private static final Fastener FLUSH = new Fastener.PulledRivet("iso15978", Length.mm(3.2), false);
    private static final Fastener STEEL = new Fastener.PulledRivet("iso15977", Length.mm(3.2), true);
    private static final Fastener SCREW =
            new Fastener.Hardware("ISO 7380 M4 × 10", Length.mm(4), Length.mm(4.3), false);

    private long next = 1;
    private final List<Part> parts = new ArrayList<>();

    private Locker() {}

    /** The build, with the given rule set in force. */
    public static Build build(RuleSet rules) {
        return new Locker()
                .drawn(rules.with(
                        RuleKey.HOLES_COME, "final", "the kit's holes come at size; those dimpled are cleared after"));
    }

    /** Nothing is logged yet. */
    public static Logbook log() {
        return Logbook.of(List.of(), List.of());
    }

    private Build drawn(RuleSet rules) {
        List<Face> faces = List.of(floor(), lid(), lap());
        Assembly assembly = new Assembly(
                new Id.Assembly(next++),
                "Belly locker",
                Hand.NONE,
                Unit.MM,
                List.of("Sheet 52 rev B", "Sheet 53 rev A"),
                faces);
        Build build =
                new Build("Dunlin belly locker", "Dunlin", rules, next, parts, List.of(assembly), stock()).checked();
        Build asked = Queries.kept(build, LocalDate.of(2026, 11, 9));
        KeptSum profile = profile(asked, named("Floor stiffener"));
        Bay bay = new Bay(
                new Id.Bay(asked.nextId() + 1),
                "Lap bay",
                List.of(named("Closing sheet")),
                Set.of(named("Belly stringers")),
                "the stringers are reached from behind until the closing sheet is in");
        return asked.withWorkshop(Workshop.NONE.with(profile).with(bay), asked.nextId() + 2)
                .checked();
    }

    private Id.Part named(String name) {
        return parts.stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private static KeptSum profile(Build asked, Id.Part hat) {
        return new KeptSum(
                new Id.Sum(asked.nextId()),
                "bend",
                "Floor stiffener, hat",
                Optional.of(hat),
                Unit.MM,
                Map.of(
                        "material",
                        "6061-T6",
                        "thickness",
                        "0.8",
                        "radius",
                        "1.6",
                        "measured",
                        "outside",
                        "legs",
                        "15, 18, 24, 18, 15",
                        "angles",
                        "-90, 90, 90, -90",
                        "width",
                        "200"));
    }

    private static Map<String, Integer> stock() {
        return Map.of(
                "ISO 15977 3.2 × 6", 220, "ISO 15977 3.2 × 8", 150, "ISO 15977 4 × 6", 60, "ISO 15978 3.2 × 6", 90);
    }

    // ---- pieces

    private Part part(String name, int order, boolean fitted) {
        Part.Kind kind = name.contains("skin") || name.equals("Lid")
                ? Part.Kind.SKIN
                : name.contains("stiffener") || name.contains("gussets") || name.contains("stringers")
                        ? Part.Kind.ANGLE
                        : Part.Kind.SHEET;
        Part part = new Part(
                new Id.Part(next++),
                name,
                Material.parse("6061-T6"),
                order,
                fitted ? Standing.DRY : Standing.CRATE,
                kind,
                Particulars.NONE
                        .stamped("BL-" + (parts.size() + 1), List.of(), Hand.NONE)
                        .withPage("sheet " + (order < 3 ? 41 : 42)));
        parts.add(part);
        return part;
    }

    private Layer layer(Part part, String name, double t, Outline outline, Segment... bends) {
        Layer flat = new Layer(new Id.Layer(next++), part.id(), name, Length.mm(t), outline);
        return bends.length == 0 ? flat : flat.with(Flange.at(List.of(bends)).with(Flange.Stands.FAR, Length.mm(20)));
    }

    private static Point at(double x, double y) {
        return Point.at(Length.mm(x), Length.mm(y));
    }

    private static Outline box(double x1, double y1, double x2, double y2) {
        return Outline.rectangle(at(x1, y1), at(x2, y2));
    }

    private Zone behind(String name, double room, Outline outline) {
        return new Zone(new Id.Zone(next++), name, Zone.Kind.BEHIND, outline, Length.mm(room));
    }

    private Row row(String name, List<Point> points) {
        Row row = HoleEdits.row(next, name, points);
        next += 1 + points.size();
        return row;
    }

    private Row row(String name, double x1, double y1, double x2, double y2, double pitch) {
        return row(name, Rows.line(at(x1, y1), at(x2, y2), Rows.Spacing.pitch(Length.mm(pitch))));
    }

    private Group group(String code, String name, Fastener fastener, String callout, HolePlan holes, Row... rows) {
        return new Group(
                new Id.Group(next++),
                code,
                name,
                fastener,
                false,
                fastener.flush() ? Preparation.AUTO : Preparation.NONE,
                callout,
                List.of(rows),
                Optional.empty(),
                Set.of(),
                Set.of(),
                holes);
    }

    private Face face(String name, String viewed, List<Layer> layers, List<Group> groups, List<Zone> zones) {
        return new Face(new Id.Face(next++), name, viewed, "starboard", "forward", layers, groups, zones);
    }

    // ---- the floor

    private Face floor() {
        Part floor = part("Locker floor", 3, true);
        Part front = part("Front wall", 1, true);
        Part rear = part("Rear wall", 1, true);
        Part sides = part("Side walls", 1, true);
        Part hat = part("Floor stiffener", 2, true);
        Part gussets = part("Corner gussets", 2, true);
        List<Layer> layers = List.of(
                layer(floor, "Locker floor", .8, box(0, 0, 420, 300)),
                layer(gussets, "Corner gusset, port", 1.6, box(3, 230, 63, 297)),
                layer(gussets, "Corner gusset, starboard", 1.6, box(357, 230, 417, 297)),
                layer(front, "Front wall flange", .8, box(3, 278, 417, 297), new Segment(at(3, 294), at(417, 294))),
                layer(rear, "Rear wall flange", .8, box(3, 3, 417, 22), new Segment(at(3, 6), at(417, 6))),
                layer(sides, "Port wall flange", .8, box(3, 24, 22, 276), new Segment(at(6, 24), at(6, 276))),
                layer(
                        sides,
                        "Starboard wall flange",
                        .8,
                        box(398, 24, 417, 276),
                        new Segment(at(414, 24), at(414, 276))),
                layer(hat, "Stiffener", .6, box(200, 26, 220, 274)));
        List<Group> groups = floorGroups();
        List<Zone> zones = List.of(
                behind("Lid hinge, 6 mm clear", 6, box(60, 2, 300, 16)),
                behind("Strut foot", 0, box(205, 128, 207.6, 172)));
        return face("Locker floor", "from below, outside", layers, groups, zones);
    }

    private List<Group> floorGroups() {
        Row mixed = row("R2", 22, 12, 398, 12, 29);
        return List.of(
                group(
                        "LF-1",
                        "Front wall",
                        DOMED,
                        "14× ISO 15977 3.2",
                        HolePlan.NONE,
                        row("R1", 22, 287, 398, 287, 29)),
                group("LF-2", "Rear wall", DOMED, "14× ISO 15977 3.2", HolePlan.NONE, egged(mixed)),
                group(
                        "LF-3",
                        "Side walls",
                        DOMED,
                        "18× ISO 15977 3.2",
                        HolePlan.NONE,
                        row("R3", 12, 36, 12, 264, 28),
                        row("R4", 408, 36, 408, 264, 28)),
                group(
                        "LF-4",
                        "Stiffener",
                        LARGE,
                        "9× ISO 15977 4.0",
                        HolePlan.NONE,
                        row("R5", 210, 40, 210, 260, 27.5)),
                group(
                        "LF-5",
                        "Gussets",
                        DOMED,
                        "4× ISO 15977 3.2",
                        HolePlan.NONE,
                        row("R6", 36, 244, 36, 262, 18),
                        row("R7", 384, 244, 384, 262, 18)));
    }

    /** One hole was egged and opened to the next diameter: two nosepieces along the row. */
    private static Row egged(Row row) {
        List<Hole> holes = new ArrayList<>(row.holes());
        Hole h = holes.get(11);
        holes.set(
                11,
                new Hole(
                        h.id(),
                        h.label(),
                        h.at(),
                        Optional.of(new Deviation(
                                Optional.empty(), Optional.of(LARGE), Optional.empty(), "egged, opened to 4.1"))));
        return row.withHoles(holes);
    }

    // ---- the lid

    private Face lid() {
        Part lid = part("Lid", 3, true);
        Part rim = part("Lid rim", 1, true);
        Part hinge = part("Lid hinge leaf", 2, true);
        Outline ring = new Outline(
                box(4, 4, 396, 276).outer(), List.of(box(26, 26, 374, 254).outer()));
        List<Layer> layers = List.of(
                layer(lid, "Lid", .8, box(0, 0, 400, 280)),
                layer(hinge, "Hinge leaf", 1.2, box(60, 5, 340, 23)),
                layer(rim, "Lid rim", 1.0, ring));
        List<Group> groups = lidGroups();
        return face("Lid", "from below, outside", layers, groups, List.of());
    }

    private List<Group> lidGroups() {
        return List.of(
                group(
                        "LL-1",
                        "Rim, flush",
                        FLUSH,
                        "ISO 15978 3.2",
                        HolePlan.NONE,
                        row("R1", 20, 265, 380, 265, 24),
                        row("R2", 15, 50, 15, 245, 24.4),
                        row("R3", 385, 50, 385, 245, 24.4)),
                group(
                        "LL-2",
                        "Hinge leaf",
                        STEEL,
                        "ISO 15977 stainless 3.2",
                        HolePlan.NONE,
                        row("R4", 72, 14, 328, 14, 32)),
                group("LL-3", "Lid screws", SCREW, "", HolePlan.NONE, row("R5", List.of(at(30, 15), at(370, 15)))));
    }

    // ---- the lap

    private Face lap() {
        Part skin = part("Belly skin", 2, true);
        Part stringers = part("Belly stringers", 1, true);
        Part closing = part("Closing sheet", 6, false);
        List<Layer> layers = List.of(
                layer(skin, "Belly skin", .8, box(0, 100, 500, 320)),
                layer(closing, "Closing sheet", .8, box(0, -60, 500, 122)),
                layer(stringers, "Port stringer flange", .8, box(80, -56, 100, 316)),
                layer(stringers, "Starboard stringer flange", .8, box(400, -56, 420, 316)));
        List<Group> groups = lapGroups();
        return face("Belly skin lap", "from below, outside", layers, groups, List.of());
    }

    private List<Group> lapGroups() {
        return List.of(
                group(
                        "BS-1",
                        "Stringers",
                        DOMED,
                        "20× ISO 15977 3.2",
                        new HolePlan(Optional.of(Length.mm(2.5)), Hold.AUTO, "", Optional.empty()),
                        row("R1", 90, 136, 90, 306, 21.25),
                        row("R2", 410, 136, 410, 306, 21.25)),
                group(
                        "BS-2",
                        "Lap",
                        FLUSH,
                        "19× ISO 15978 3.2",
                        new HolePlan(Optional.of(Length.mm(2.5)), Hold.AUTO, "", Optional.empty()),
                        row("R3", lapRow())));
    }

    /** Along the lap, with a hole on each stringer. */
    private static List<Point> lapRow() {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < 19; i++) {
            points.add(at(15 + i * 26.111, 111));
        }
        return points;
    }
}
