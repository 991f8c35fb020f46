package bucina.core.drawing;

import bucina.core.catalogue.Catalogue;
import bucina.core.edit.Edit;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.sheet.Crossing;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * What is understood of a drawing that comes in: sheets, holes in rows, and what is left out.
 *
 * @param sheets  outlines with their openings, largest first where the drawing gives no order
 * @param rows    holes by row
 * @param left    what is left out and why, one sentence each
 */
public record Intake(List<Sheet> sheets, List<Line> rows, List<String> left) {

    /** Circles up to this are holes for fasteners; larger ones are openings. */
    public static final Length LARGEST_HOLE = Length.in(.5);

    /**
     * A sheet.
     *
     * @param name      as the drawing calls its layer
     * @param outline   its shape
     * @param thickness where the drawing tells it
     */
    public record Sheet(String name, Outline outline, Optional<Length> thickness) {}

    /**
     * A row of holes.
     *
     * @param row      its name; empty where the drawing names none
     * @param group    code of its group; empty where the drawing names none
     * @param holes    places and labels, in order
     */
    public record Line(String row, String group, List<Drawing.Circle> holes) {}

    public Intake {
        sheets = List.copyOf(sheets);
        rows = List.copyOf(rows);
        left = List.copyOf(left);
    }

    /** Understands a drawing. */
    public static Intake of(Drawing drawing) {
        List<String> left = new ArrayList<>(drawing.left());
        Map<String, List<Ring>> rings = new LinkedHashMap<>();
        Map<String, List<Drawing.Circle>> holes = new LinkedHashMap<>();
        int open = 0;
        int words = 0;
        for (Drawing.Shape shape : drawing.shapes()) {
            switch (shape) {
                case Drawing.Path p -> {
                    if (!p.closed() || p.corners().size() < 2) {
                        open++;
                    } else {
                        ring(p).ifPresentOrElse(
                                        r -> rings.computeIfAbsent(p.layer(), l -> new ArrayList<>())
                                                .add(r),
                                        () -> left.add("A closed line on layer \"" + p.layer()
                                                + "\" has no area or crosses itself: left out."));
                    }
                }
                case Drawing.Circle c -> {
                    if (c.diameter().atMost(LARGEST_HOLE)) {
                        holes.computeIfAbsent(c.layer(), l -> new ArrayList<>()).add(c);
                    } else {
                        rings.computeIfAbsent(c.layer(), l -> new ArrayList<>())
                                .add(Ring.circle(c.at(), c.diameter().times(0.5)));
                    }
                }
                case Drawing.Spot s ->
                    holes.computeIfAbsent(s.layer(), l -> new ArrayList<>())
                            .add(new Drawing.Circle(s.layer(), s.at(), Length.in(.098), Optional.empty()));
                case Drawing.Words w -> words++;
            }
        }
        if (open > 0) {
            left.add(open + (open == 1 ? " open line is" : " open lines are") + " no outline: left out.");
        }
        if (words > 0) {
            left.add(words + (words == 1 ? " text is" : " texts are") + " left out.");
        }
        return new Intake(sheets(rings, left), lines(holes), left);
    }

    private static Optional<Ring> ring(Drawing.Path p) {
        try {
            Ring ring = new Ring(p.corners());
            return ring.area() > 1e10 && !new Crossing(ring).crosses() ? Optional.of(ring) : Optional.empty();
        } catch (InputException e) {
            return Optional.empty();
        }
    }

    /** On each layer the rings that no other contains are sheets; those inside one are its openings. */
    private static List<Sheet> sheets(Map<String, List<Ring>> rings, List<String> left) {
        List<Sheet> sheets = new ArrayList<>();
        rings.forEach((layer, list) -> nested(list, sheets, layer));
        boolean named = sheets.stream().allMatch(s -> s.name.startsWith(FaceDrawing.SHEET));
        sheets.sort(
                named
                        ? Comparator.comparing(Sheet::name)
                        : Comparator.comparingDouble(
                                        (Sheet s) -> s.outline.outer().area())
                                .reversed());
        return sheets;
    }

    private static void nested(List<Ring> list, List<Sheet> sheets, String layer) {
        List<Ring> large = list.stream()
                .sorted(Comparator.comparingDouble(Ring::area).reversed())
                .toList();
        Map<Ring, List<Ring>> outer = nests(large);
        outer.forEach((ring, openings) ->
                sheets.add(new Sheet(layer, new Outline(ring, openings), FaceDrawing.thickness(layer))));
    }

    private static Map<Ring, List<Ring>> nests(List<Ring> large) {
        Map<Ring, List<Ring>> outer = new LinkedHashMap<>();
        for (Ring ring : large) {
            Optional<Ring> around = outer.keySet().stream()
                    .filter(o -> o.contains(ring.corners().getFirst().at()))
                    .findFirst();
            if (around.isPresent()) {
                Objects.requireNonNull(outer.get(around.get())).add(ring);
            } else {
                outer.put(ring, new ArrayList<>());
            }
        }
        return outer;
    }

    private static List<Line> lines(Map<String, List<Drawing.Circle>> holes) {
        List<Line> lines = new ArrayList<>();
        holes.forEach((layer, circles) -> {
            if (layer.startsWith(FaceDrawing.HOLES)) {
                String[] names = layer.substring(FaceDrawing.HOLES.length()).split("-", 2);
                lines.add(new Line(names[0], names.length > 1 ? names[1] : "", circles));
            } else {
                unnamed(circles, lines, layer);
            }
        });
        return lines;
    }

    private static void unnamed(List<Drawing.Circle> circles, List<Line> lines, String layer) {
        Map<Long, List<Drawing.Circle>> bySize = new LinkedHashMap<>();
        circles.forEach(
                c -> bySize.computeIfAbsent(Math.round(c.diameter().nanometres() / 1000), d -> new ArrayList<>())
                        .add(c));
        bySize.values().forEach(same -> lines.add(new Line("", layer, same)));
    }

    /** How many holes there are. */
    public int count() {
        return rows.stream().mapToInt(r -> r.holes.size()).sum();
    }

    /**
     * What was understood and what was not, for people.
     */
    public List<String> sentences() {
        List<String> words = new ArrayList<>();
        words.add(sheets.size() + (sheets.size() == 1 ? " sheet, " : " sheets, ") + count() + " holes in " + rows.size()
                + (rows.size() == 1 ? " row." : " rows."));
        words.addAll(left);
        return words;
    }

    /**
     * What the drawing does not say.
     *
     * @param thickness of sheets that tell none, over 0
     * @param fastener  what goes into the holes
     * @param material  of new parts
     * @param catalogue tells which fastener a hole of another size is for
     */
    public record Choices(Length thickness, Fastener fastener, Material material, Catalogue catalogue) {}

    /** Puts everything on a new face of a new assembly. */
    public Build asFace(Build build, String name, Unit unit, Choices choices) {
        check(build, name);
        Face face = new Face(new Id.Face(build.nextId() + 1), name, "as drawn", "right", "up", List.of(), List.of());
        Assembly assembly =
                new Assembly(new Id.Assembly(build.nextId()), name, Hand.NONE, unit, List.of(), List.of(face));
        List<Assembly> all = new ArrayList<>(build.assemblies());
        all.add(assembly);
        return onto(build.withAssemblies(all, build.nextId() + 2), face.id(), choices, true);
    }

    private void check(Build build, String name) {
        if (sheets.isEmpty() && rows.isEmpty()) {
            throw new InputException(
                    "nothing in the drawing is a sheet or a hole: it needs a closed outline or circles");
        }
        if (build.face(name).isPresent()) {
            throw new InputException(
                    "there is a face " + name + " already: give this one another name, or put the holes on that face");
        }
    }

    /**
     * Puts the drawing onto a face: its sheets under those that are there, its holes as new rows.
     *
     * @param withSheets false to bring in the holes alone, as measured off a mating part
     */
    public Build onto(Build build, Id.Face id, Choices choices, boolean withSheets) {
        Build next = build;
        if (withSheets) {
            for (Sheet sheet : sheets) {
                next = sheet(next, id, sheet, choices);
            }
        }
        try {
            return new Landing(next, id, choices, rows).landed();
        } catch (InputException e) {
            throw new InputException("the drawing cannot be taken over: " + e.getMessage(), e);
        }
    }

    private static Build sheet(Build build, Id.Face id, Sheet sheet, Choices choices) {
        String name = plain(sheet.name);
        Part part = new Part(new Id.Part(build.nextId()), name, choices.material, 1, true);
        List<Part> parts = new ArrayList<>(build.parts());
        parts.add(part);
        Layer layer = layer(build, part, name, sheet, choices);
        return Edit.face(build.withParts(parts, build.nextId() + 2), id, f -> {
            List<Layer> layers = new ArrayList<>(f.layers());
            layers.add(layer);
            return f.withLayers(layers);
        });
    }

    private static Layer layer(Build build, Part part, String name, Sheet sheet, Choices choices) {
        return new Layer(
                new Id.Layer(build.nextId() + 1),
                part.id(),
                name,
                sheet.thickness.orElse(choices.thickness),
                sheet.outline);
    }

    /** A layer's name as people write it. */
    private static String plain(String layer) {
        String name = layer.replaceFirst("^SHEET-\\d+-T\\d+-", "")
                .replace('_', ' ')
                .replaceAll("[{}\\p{Cntrl}]", "")
                .strip();
        String cut = name.length() > 100 ? name.substring(0, 100) : name;
        return cut.isEmpty() ? "Sheet" : cut;
    }
}
