package bucina.core.drawing;

import bucina.core.catalogue.Catalogue;
import bucina.core.edit.Edit;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
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
 * @param left    what is left out and why
 * @param notes   what should be looked at, one sentence each
 */
public record Intake(List<Sheet> sheets, List<Line> rows, List<Left> left, List<String> notes) {

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
        notes = List.copyOf(notes);
    }

    /** Understands a drawing. */
    public static Intake of(Drawing drawing) {
        return new Understanding().of(drawing);
    }

    /** What is gathered of the shapes, one after another. */
    private static final class Understanding {
        private final List<Left> left = new ArrayList<>();
        private final Map<String, List<Ring>> rings = new LinkedHashMap<>();
        private final Map<String, List<Drawing.Circle>> holes = new LinkedHashMap<>();
        private final Map<String, Integer> words = new LinkedHashMap<>();

        Intake of(Drawing drawing) {
            left.addAll(drawing.left());
            drawing.shapes().forEach(this::take);
            words.forEach((layer, many) ->
                    left.add(new Left("text", many, layer, "words are no line of a sheet", Optional.empty())));
            holes.forEach((layer, circles) -> {
                int twice = Once.holes(circles);
                if (twice > 0) {
                    left.add(new Left("hole", twice, layer, "drawn where one is already", Optional.empty()));
                }
            });
            rings.forEach((layer, list) -> {
                int twice = Once.rings(list);
                if (twice > 0) {
                    left.add(new Left("outline", twice, layer, "drawn where one is already", Optional.empty()));
                }
            });
            return new Intake(sheets(rings), lines(holes), left, drawing.notes());
        }

        private void take(Drawing.Shape shape) {
            switch (shape) {
                case Drawing.Path p -> path(p);
                case Drawing.Circle c -> {
                    if (c.diameter().atMost(LARGEST_HOLE)) {
                        hole(c);
                    } else {
                        ring(c.layer(), Ring.circle(c.at(), c.diameter().times(0.5)));
                    }
                }
                case Drawing.Spot s -> hole(new Drawing.Circle(s.layer(), s.at(), Length.in(.098), Optional.empty()));
                case Drawing.Words w -> words.merge(w.layer(), 1, Integer::sum);
            }
        }

        private void hole(Drawing.Circle c) {
            holes.computeIfAbsent(c.layer(), l -> new ArrayList<>()).add(c);
        }

        private void ring(String layer, Ring ring) {
            rings.computeIfAbsent(layer, l -> new ArrayList<>()).add(ring);
        }

        private void path(Drawing.Path p) {
            if (!p.closed()) {
                leave(p, "line", "it does not close, so it is no outline");
                return;
            }
            Intake.ring(p)
                    .ifPresentOrElse(
                            r -> ring(p.layer(), r), () -> leave(p, "closed line", "it has no area or crosses itself"));
        }

        private void leave(Drawing.Path p, String kind, String why) {
            left.add(new Left(
                    kind, 1, p.layer(), why, Optional.of(p.corners().getFirst().at())));
        }
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
    private static List<Sheet> sheets(Map<String, List<Ring>> rings) {
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
     *
     * @param unit of the figures
     */
    public List<String> sentences(Unit unit) {
        List<String> words = new ArrayList<>();
        words.add(sheets.size() + (sheets.size() == 1 ? " sheet, " : " sheets, ") + count() + " holes in " + rows.size()
                + (rows.size() == 1 ? " row." : " rows."));
        words.addAll(Understood.of(this).words(unit));
        words.addAll(notes);
        left.forEach(l -> words.add(l.words()));
        return words;
    }

    /**
     * What the drawing does not say.
     *
     * @param thickness of sheets that tell none, over 0; empty where nobody has said it
     * @param sure      true if a thickness that sheet metal rarely has is meant
     * @param fastener  what goes into the holes
     * @param material  of new parts
     * @param catalogue tells which fastener a hole of another size is for
     */
    public record Choices(
            Optional<Length> thickness, boolean sure, Fastener fastener, Material material, Catalogue catalogue) {}

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
            odd(build.rules(), choices).ifPresent(question -> {
                throw new InputException(question);
            });
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

    /**
     * What is asked about a thickness that sheet metal rarely has, unless it is said to be meant; empty where nothing
     * is.
     *
     * @throws InputException if a sheet has none
     */
    public Optional<String> odd(RuleSet rules, Choices choices) {
        return sheets.stream()
                .flatMap(s -> odd(rules, plain(s.name), thickness(plain(s.name), s, choices), choices).stream())
                .findFirst();
    }

    private static Optional<String> odd(RuleSet rules, String name, Length t, Choices choices) {
        Length least = rules.length(RuleKey.SHEET_LEAST);
        Length most = rules.length(RuleKey.SHEET_MOST);
        return choices.sure || t.atLeast(least) && t.atMost(most)
                ? Optional.empty()
                : Optional.of("sheet \"" + name + "\" would be " + LengthFormat.exact(t, Unit.MM)
                        + " thick, and sheets are " + LengthFormat.exact(least, Unit.MM) + " to "
                        + LengthFormat.exact(most, Unit.MM)
                        + " (rule): is the unit right? Give another thickness, like .025 in, or say that it is so");
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
                new Id.Layer(build.nextId() + 1), part.id(), name, thickness(name, sheet, choices), sheet.outline);
    }

    private static Length thickness(String name, Sheet sheet, Choices choices) {
        return sheet.thickness
                .or(choices::thickness)
                .orElseThrow(() -> new InputException("the drawing does not say how thick sheet \"" + name
                        + "\" is: give the thickness of sheets that tell none, like .025 in or 0.6 mm"));
    }

    /** A layer's name as people write it. */
    static String plain(String layer) {
        String name = layer.replaceFirst("^SHEET-\\d+-T\\d+-", "")
                .replace('_', ' ')
                .replaceAll("[{}\\p{Cntrl}]", "")
                .strip();
        String cut = name.length() > 100 ? name.substring(0, 100) : name;
        return cut.isEmpty() ? "Sheet" : cut;
    }
}
