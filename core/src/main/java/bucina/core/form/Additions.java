package bucina.core.form;

import bucina.core.callout.Callout;
import bucina.core.dress.Preparation;
import bucina.core.edit.Edit;
import bucina.core.edit.HoleEdits;
import bucina.core.edit.SheetEdits;
import bucina.core.layout.Rows;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.Zone;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * What is added to a face by typing: rows, circles, zones, sheets. Pure; each gives the build with it, or says in a
 * sentence why not.
 */
public final class Additions {

    /** What can be added. */
    public enum Kind {
        ROW("a row of holes", "From x, y", "To x, y", "Pitch, or 18x"),
        CIRCLE("a bolt circle", "Centre x, y", "Diameter", "Holes, such as 8x"),
        RECTANGLE("holes around a rectangle", "Corner x, y", "Corner x, y", "Pitch, or 18x"),
        STATIONS("a row on another's stations", "From x, y", "To x, y", "Stations of row"),
        HOLE("a single hole", "At x, y", "", ""),
        SHEET("a sheet", "Corner x, y, or all corners", "Corner x, y", "Thickness"),
        KEEP_OUT("a keep-out", "Corner x, y", "Corner x, y", ""),
        BEHIND("something behind", "Corner x, y", "Corner x, y", "Room behind");

        private final String word;
        private final List<String> titles;

        Kind(String word, String... titles) {
            this.word = word;
            this.titles = List.of(titles);
        }

        /** In plain words. */
        public String word() {
            return word;
        }

        /** Names of the three fields; empty for one that is not used. */
        public List<String> titles() {
            return titles;
        }

        /** True for what holds fasteners. */
        public boolean holes() {
            return ordinal() <= HOLE.ordinal();
        }
    }

    private final Kind kind;
    private final String name;
    private final String a;
    private final String b;
    private final String c;
    private final LengthParser lengths;

    /**
     * @param name callout or code of a group for holes; name of a sheet or zone
     * @param a    first field as typed
     * @param b    second
     * @param c    third
     */
    public Additions(Kind kind, String name, String a, String b, String c, LengthParser lengths) {
        this.kind = kind;
        this.name = name.strip();
        this.a = a;
        this.b = b;
        this.c = c;
        this.lengths = lengths;
    }

    /** The build with the addition on a face. */
    public Build onto(Build build, Id.Face id) {
        Face face = Edit.face(build, id);
        return (kind.holes() ? holes(build, face) : kind == Kind.SHEET ? sheet(build, face) : zone(build, face))
                .checked();
    }

    /** The points of the holes. */
    public List<Point> points(Face face) {
        return switch (kind) {
            case ROW -> line(face);
            case CIRCLE ->
                Rows.circle(
                        PanelForm.point(a, lengths),
                        lengths.parsePositive(b, "diameter"),
                        spacing()
                                .count()
                                .orElseThrow(() -> new InputException("a bolt circle needs a count, written like 8x")),
                        0);
            case STATIONS -> shared(face);
            case RECTANGLE -> Rows.rectangle(low(), high(), spacing());
            default -> List.of(PanelForm.point(a, lengths));
        };
    }

    private List<Point> line(Face face) {
        return Rows.around(
                PanelForm.point(a, lengths),
                PanelForm.point(b, lengths),
                spacing(),
                face.zones().stream()
                        .filter(z -> z.kind() == Zone.Kind.KEEP_OUT)
                        .map(Zone::outline)
                        .toList(),
                Length.mm(1.5));
    }

    /** Where the line crosses the upright station lines of another row. */
    private List<Point> shared(Face face) {
        Row other = named(face);
        List<Point> points = Rows.shared(
                other.holes().stream().map(h -> h.at().across()).toList(),
                new Segment(PanelForm.point(a, lengths), PanelForm.point(b, lengths)));
        if (points.isEmpty()) {
            throw new InputException(
                    "no station of " + other.name() + " lies between these ends: give a line that runs beside it");
        }
        return points;
    }

    private Row named(Face face) {
        return face.groups().stream()
                .flatMap(g -> g.rows().stream())
                .filter(r -> r.name().equalsIgnoreCase(c.strip()))
                .findFirst()
                .orElseThrow(() -> new InputException("\"" + c.strip()
                        + "\" is no row of this face: name one like R1, whose stations the new row shares"));
    }

    /** A pitch like {@code 1}, or a count like {@code 18x}. */
    public static Rows.Spacing spacing(String text, LengthParser lengths) {
        String clean = text.strip().toLowerCase(Locale.ROOT);
        if (clean.matches("\\d{1,5}\\s*(x|×|holes)")) {
            return Rows.Spacing.count(Integer.parseInt(clean.replaceAll("\\D", "")));
        }
        return Rows.Spacing.pitch(lengths.parsePositive(text, "pitch"));
    }

    private Rows.Spacing spacing() {
        return spacing(c, lengths);
    }

    private Point low() {
        Point p = PanelForm.point(a, lengths);
        Point q = PanelForm.point(b, lengths);
        return new Point(Math.min(p.x(), q.x()), Math.min(p.y(), q.y()));
    }

    private Point high() {
        Point p = PanelForm.point(a, lengths);
        Point q = PanelForm.point(b, lengths);
        return new Point(Math.max(p.x(), q.x()), Math.max(p.y(), q.y()));
    }

    private Build holes(Build build, Face face) {
        List<Point> points = points(face);
        Optional<Group> there = face.groups().stream()
                .filter(g -> g.code().equalsIgnoreCase(name))
                .findFirst();
        if (there.isPresent()) {
            return HoleEdits.addRow(build, there.get().id(), points);
        }
        Callout callout = name.isEmpty()
                ? face.groups().stream()
                        .findFirst()
                        .map(g -> new Callout(Optional.empty(), g.fastener(), ""))
                        .orElseThrow(() -> new InputException(
                                "say what goes in: a callout like MS20426AD3, or the code of a group"))
                : Callout.parse(name);
        Group group = new Group(
                new Id.Group(build.nextId()),
                Edit.freeCode(build, "A"),
                "Added",
                callout.fastener(),
                false,
                callout.fastener().flush() ? Preparation.AUTO : Preparation.NONE,
                callout.count().isPresent() ? callout.text() : "",
                List.of(),
                Optional.empty(),
                Set.of(),
                Set.of());
        return HoleEdits.addRow(
                Edit.face(build, face.id(), f -> f.plus(group)).withNextId(build.nextId() + 1), group.id(), points);
    }

    private Build sheet(Build build, Face face) {
        Outline outline = a.contains(";") ? PanelForm.polygon(a, lengths) : Outline.rectangle(low(), high());
        String called = name.isEmpty() ? "Sheet " + (face.layers().size() + 1) : name;
        Part part = part(build, called, face);
        List<Part> parts = new ArrayList<>(build.parts());
        parts.add(part);
        Layer layer = new Layer(
                new Id.Layer(build.nextId() + 1), part.id(), called, lengths.parsePositive(c, "thickness"), outline);
        return SheetEdits.addLayer(build.withParts(parts, build.nextId() + 2), face.id(), 1, layer);
    }

    private static Part part(Build build, String called, Face face) {
        return new Part(
                new Id.Part(build.nextId()),
                called,
                Material.parse("2024-T3"),
                face.layers().size() + 1,
                true);
    }

    private Build zone(Build build, Face face) {
        Length room = kind == Kind.KEEP_OUT || c.isBlank() ? Length.ZERO : lengths.parse(c);
        String called = name.isEmpty() ? kind == Kind.KEEP_OUT ? "Keep-out" : "Behind" : name;
        return SheetEdits.zone(
                build,
                face.id(),
                new Zone(
                        new Id.Zone(build.nextId()),
                        called,
                        kind == Kind.KEEP_OUT ? Zone.Kind.KEEP_OUT : Zone.Kind.BEHIND,
                        Outline.rectangle(low(), high()),
                        room));
    }
}
