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
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * What is understood of a drawing that comes in: sheets, holes in rows, and what is left out.
 *
 * @param sheets  outlines with their openings, largest first where the drawing gives no order
 * @param rows    holes by row
 * @param left    what is left out and why
 * @param notes   what should be looked at, one sentence each
 * @param asked   what decides what comes in and is not said; answered as well as can be until somebody says
 */
public record Intake(
        List<Sheet> sheets, List<Line> rows, List<Left> left, List<String> notes, Optional<Question> asked) {

    /** What closed lines in a sheet of another layer are. */
    public enum Inside {
        OPENINGS,
        SHEETS
    }

    /** Circles up to this are holes for fasteners; larger ones are openings. */
    public static final Length LARGEST_HOLE = Length.in(.5);

    private static final Pattern OURS = Pattern.compile("^SHEET-\\d+-T\\d+-");
    private static final Pattern UNSEEN = Pattern.compile("[{}\\p{Cntrl}]");

    /** Stands where no diameter is told. */
    private static final Length SPOT = Length.in(.098);

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
     * @param sized    false if the drawing tells no diameter: then that of the circles means nothing
     */
    public record Line(String row, String group, List<Drawing.Circle> holes, boolean sized) {}

    public Intake {
        sheets = List.copyOf(sheets);
        rows = List.copyOf(rows);
        left = List.copyOf(left);
        notes = List.copyOf(notes);
    }

    /** Understands a drawing, nothing else being said. */
    public static Intake of(Drawing drawing) {
        return of(drawing, Optional.empty());
    }

    /**
     * Understands a drawing.
     *
     * @param inside what closed lines in a sheet of another layer are; empty where nobody has said it
     */
    public static Intake of(Drawing drawing, Optional<Inside> inside) {
        return new Understanding().of(drawing, inside);
    }

    /** Several in one. */
    public static Intake together(List<Intake> all) {
        List<String> notes =
                new ArrayList<>(all.stream().flatMap(i -> i.notes.stream()).toList());
        notes.add("The table has holes of " + all.size() + " faces: they come in together.");
        return new Intake(
                all.stream().flatMap(i -> i.sheets.stream()).toList(),
                all.stream().flatMap(i -> i.rows.stream()).toList(),
                all.stream().flatMap(i -> i.left.stream()).toList(),
                notes,
                all.stream().flatMap(i -> i.asked.stream()).findFirst());
    }

    /** What is gathered of the shapes, one after another. */
    private static final class Understanding {
        private final List<Left> left = new ArrayList<>();
        private final Map<String, List<Ring>> rings = new LinkedHashMap<>();
        private final Map<String, List<Drawing.Circle>> holes = new LinkedHashMap<>();
        private final Map<String, Integer> words = new LinkedHashMap<>();
        private final Map<String, List<Drawing.Circle>> spots = new LinkedHashMap<>();

        Intake of(Drawing drawing, Optional<Inside> inside) {
            left.addAll(drawing.left());
            drawing.shapes().forEach(this::take);
            words.forEach((layer, many) ->
                    left.add(new Left("text", many, layer, "words are no line of a sheet", Optional.empty())));
            holes.forEach((layer, circles) -> twice("hole", layer, Once.holes(circles)));
            Once.Places places = new Once.Places(holes.values());
            spots.forEach((layer, points) -> twice("point", layer, places.strike(points)));
            rings.forEach((layer, list) -> twice("outline", layer, Once.rings(list)));
            Nesting nesting = new Nesting(rings);
            return new Intake(
                    named(nesting.sheets(inside.orElse(Inside.OPENINGS) == Inside.OPENINGS)),
                    rows(),
                    left,
                    drawing.notes(),
                    inside.isPresent() ? Optional.empty() : nesting.asked());
        }

        private void twice(String kind, String layer, int many) {
            if (many > 0) {
                left.add(new Left(kind, many, layer, "drawn where one is already", Optional.empty()));
            }
        }

        private List<Line> rows() {
            List<Line> rows = new ArrayList<>(lines(holes, true));
            rows.addAll(lines(spots, false));
            return rows;
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
                case Drawing.Spot s ->
                    spots.computeIfAbsent(s.layer(), l -> new ArrayList<>())
                            .add(new Drawing.Circle(s.layer(), s.at(), SPOT, s.label()));
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

    /** In the order of their names where a drawing of ours names all; else the largest first. */
    private static List<Sheet> named(List<Sheet> sheets) {
        boolean named = sheets.stream().allMatch(s -> s.name.startsWith(FaceDrawing.SHEET));
        return named ? sheets.stream().sorted(Comparator.comparing(Sheet::name)).toList() : sheets;
    }

    private static List<Line> lines(Map<String, List<Drawing.Circle>> holes, boolean sized) {
        List<Line> lines = new ArrayList<>();
        holes.forEach((layer, circles) -> {
            if (circles.isEmpty()) {
                return;
            }
            if (layer.startsWith(FaceDrawing.HOLES)) {
                String[] names = layer.substring(FaceDrawing.HOLES.length()).split("-", 2);
                lines.add(new Line(names[0], names.length > 1 ? names[1] : "", circles, sized));
            } else {
                unnamed(circles, lines, layer, sized);
            }
        });
        return lines;
    }

    private static void unnamed(List<Drawing.Circle> circles, List<Line> lines, String layer, boolean sized) {
        Map<Long, List<Drawing.Circle>> bySize = new LinkedHashMap<>();
        circles.forEach(
                c -> bySize.computeIfAbsent(Math.round(c.diameter().nanometres() / 1000), d -> new ArrayList<>())
                        .add(c));
        bySize.values().forEach(same -> lines.add(new Line("", layer, same, sized)));
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
        words.add(sheets.size()
                + (sheets.size() == 1 ? " sheet, " : " sheets, ")
                + count()
                + (count() == 1 ? " hole in " : " holes in ")
                + rows.size()
                + (rows.size() == 1 ? " row." : " rows."));
        words.addAll(Understood.of(this).words(unit));
        words.addAll(notes);
        left.forEach(l -> words.add(l.words(unit)));
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

    /** With the holes that tell no diameter as large as those of what goes into them. */
    public Intake with(Choices choices) {
        Length size = new Fits(choices).hole();
        List<Line> sized = rows.stream()
                .map(r -> r.sized
                        ? r
                        : new Line(
                                r.row,
                                r.group,
                                r.holes.stream()
                                        .map(c -> new Drawing.Circle(c.layer(), c.at(), size, c.label()))
                                        .toList(),
                                false))
                .toList();
        return new Intake(sheets, sized, left, notes, asked);
    }

    /** What goes into holes that are not those of the fastener chosen, one sentence for each size. */
    public List<String> others(Choices choices, Unit unit) {
        return new Fits(choices).others(rows, unit);
    }

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
            next = laid(next, id, choices);
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

    /** With the sheets as layers of a face, each of a part of its own. */
    private Build laid(Build build, Id.Face id, Choices choices) {
        long next = build.nextId();
        List<Part> parts = new ArrayList<>(build.parts());
        List<Layer> layers = new ArrayList<>();
        for (Sheet sheet : sheets) {
            String name = plain(sheet.name);
            Part part = new Part(new Id.Part(next++), name, choices.material, 1, true);
            parts.add(part);
            layers.add(
                    new Layer(new Id.Layer(next++), part.id(), name, thickness(name, sheet, choices), sheet.outline));
        }
        return Edit.face(build.withParts(parts, next), id, f -> {
            List<Layer> all = new ArrayList<>(f.layers());
            all.addAll(layers);
            return f.withLayers(all);
        });
    }

    private static Length thickness(String name, Sheet sheet, Choices choices) {
        return sheet.thickness
                .or(choices::thickness)
                .orElseThrow(() -> new InputException("the drawing does not say how thick sheet \"" + name
                        + "\" is: give the thickness of sheets that tell none, like .025 in or 0.6 mm"));
    }

    /** A layer's name as people write it. */
    static String plain(String layer) {
        String own = OURS.matcher(layer).replaceFirst("").replace('_', ' ');
        String name = UNSEEN.matcher(own).replaceAll("").strip();
        String cut = name.length() > 100 ? name.substring(0, 100) : name;
        return cut.isEmpty() ? "Sheet" : cut;
    }
}
