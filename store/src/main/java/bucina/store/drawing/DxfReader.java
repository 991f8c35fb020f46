package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/*
 * Design. A DXF is pairs of lines: a number that says what, and a value. An entity is the pairs from one 0 to the
 * next. Entities are read one by
 * one into maps and turned into shapes; those of a block are kept and drawn where it is inserted, not deeper than a
 * few levels. LINE and ARC ends
 * that meet are joined into closed paths afterwards, as many programs write outlines so.
 */

/** Reads ASCII DXF, R12 and newer. */
public final class DxfReader {

    private static final int DEEPEST = 8;

    /**
     * A reading.
     *
     * @param drawing what was drawn
     * @param unit    the unit the file says; empty if it does not: then {@code drawing} took it for the unit handed in
     */
    public record Reading(Drawing drawing, Optional<Unit> unit) {}

    private final PairSource pairs;
    private final Progress progress;
    private final double scale;
    private final Optional<Unit> said;
    private final List<Drawing.Shape> shapes = new ArrayList<>();
    private final List<Joiner.Piece> pieces = new ArrayList<>();
    private final Map<String, List<Entity>> blocks = new HashMap<>();
    private final Map<String, Integer> left = new TreeMap<>();
    private int drawn;

    private DxfReader(PairSource pairs, Unit unit, Optional<Unit> said, Progress progress) {
        this.pairs = pairs;
        this.progress = progress;
        this.said = said;
        this.scale = said.orElse(unit).nanometres();
    }

    /**
     * Reads a drawing.
     *
     * @param text the whole file
     * @param unit taken where the file names none
     * @throws InputException if it is no DXF, is binary, or is damaged
     */
    public static Reading read(String text, Unit unit, Progress progress) {
        if (text.startsWith("AutoCAD Binary DXF")) {
            throw new InputException("this is a binary DXF: save it as ASCII DXF (R12 or newer)");
        }
        Optional<Unit> said = unit(text);
        return new DxfReader(new PairSource(text), unit, said, progress).reading();
    }

    /** The unit in the header: only inch and millimetre are units of sheet metal here. */
    private static Optional<Unit> unit(String text) {
        int at = text.indexOf("$INSUNITS");
        if (at < 0 || at > 200_000) {
            return Optional.empty();
        }
        String[] lines = text.substring(at, Math.min(text.length(), at + 60)).split("\\R");
        return lines.length < 3
                ? Optional.empty()
                : switch (lines[2].strip()) {
                    case "1" -> Optional.of(Unit.INCH);
                    case "4" -> Optional.of(Unit.MM);
                    default -> Optional.empty();
                };
    }

    /** The pairs of one entity. Values of a code that stands more than once are kept in order. */
    private static final class Entity {

        private final String kind;
        private final Map<Integer, List<String>> values = new HashMap<>();
        private final List<Entity> vertices = new ArrayList<>();
        /** Bulges of a light polyline by the number of the corner they stand behind. */
        private final Map<Integer, Double> bulges = new HashMap<>();

        Entity(String kind) {
            this.kind = kind;
        }

        void put(int code, String value) {
            if (code == 42 && kind.equals("LWPOLYLINE")) {
                bulges.put(all(10).size() - 1, bulge(figure(kind, value)));
            }
            values.computeIfAbsent(code, c -> new ArrayList<>(1)).add(value);
        }

        String text(int code, String otherwise) {
            List<String> all = values.get(code);
            return all == null ? otherwise : all.getFirst();
        }

        double number(int code, double otherwise) {
            List<String> all = values.get(code);
            return all == null ? otherwise : figure(kind, all.getFirst());
        }

        List<String> all(int code) {
            return values.getOrDefault(code, List.of());
        }

        String layer() {
            return text(8, "0");
        }
    }

    static double figure(String kind, String text) {
        try {
            double value = Double.parseDouble(text.strip());
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException e) {
            // Falls through to the sentence below.
        }
        throw new InputException("a " + kind + " has \"" + (text.length() > 40 ? text.substring(0, 40) + "..." : text)
                + "\" where a number such as 12.5 stands");
    }

    private Reading reading() {
        boolean any = false;
        while (pairs.next()) {
            if (pairs.code() == 0 && pairs.value().equals("SECTION") && pairs.next() && pairs.code() == 2) {
                any = true;
                switch (pairs.value()) {
                    case "BLOCKS" -> blocks();
                    case "ENTITIES" -> section().forEach(e -> draw(e, Placing.NONE, 0));
                    default -> pairs.skip();
                }
            }
        }
        if (!any) {
            throw new InputException("this is no DXF: it has no SECTION. A DXF begins with the lines 0, SECTION");
        }
        shapes.addAll(new Joiner(pieces).joined());
        List<String> words = words();
        return new Reading(new Drawing(shapes, words), said);
    }

    private List<String> words() {
        List<String> words = new ArrayList<>();
        left.forEach((kind, n) -> words.add(n + " " + kind + (n == 1 ? " is" : " are")
                + " left out: not a kind of line or hole this program reads."));
        return words;
    }

    /** Entities up to the end of a section, the vertices of a polyline with it. */
    private List<Entity> section() {
        List<Entity> found = new ArrayList<>();
        Entity now = null;
        Entity polyline = null;
        while (pairs.next()) {
            if (pairs.code() != 0) {
                if (now != null) {
                    now.put(pairs.code(), pairs.value());
                }
                continue;
            }
            String kind = pairs.value();
            if (kind.equals("ENDSEC") || kind.equals("ENDBLK")) {
                break;
            }
            progress.check(pairs.share() * 0.8);
            now = new Entity(kind);
            if (kind.equals("VERTEX") && polyline != null) {
                polyline.vertices.add(now);
            } else if (kind.equals("SEQEND")) {
                polyline = null;
            } else {
                polyline = kind.equals("POLYLINE") ? now : null;
                found.add(now);
            }
            Limits.count(found.size());
        }
        return found;
    }

    private void blocks() {
        while (pairs.next()) {
            if (pairs.code() == 0 && pairs.value().equals("ENDSEC")) {
                return;
            }
            if (pairs.code() == 0 && pairs.value().equals("BLOCK")) {
                block();
            }
        }
    }

    private void block() {
        String name = "";
        double x = 0;
        double y = 0;
        while (pairs.peekCode() != 0 && pairs.next()) {
            switch (pairs.code()) {
                case 2 -> name = pairs.value();
                case 10 -> x = figure("BLOCK", pairs.value());
                case 20 -> y = figure("BLOCK", pairs.value());
                default -> {}
            }
        }
        List<Entity> inside = section();
        Entity base = new Entity("BASE");
        base.put(10, Double.toString(x));
        base.put(20, Double.toString(y));
        inside.addFirst(base);
        blocks.put(name, inside);
    }

    /** Where a block is put: turned, scaled alike both ways, moved. */
    private record Placing(double x, double y, double scale, double turn) {

        static final Placing NONE = new Placing(0, 0, 1, 0);

        double[] at(double px, double py) {
            double c = Math.cos(turn) * scale;
            double s = Math.sin(turn) * scale;
            return new double[] {x + c * px - s * py, y + s * px + c * py};
        }
    }

    private Point point(Placing placing, double x, double y) {
        double[] p = placing.at(x, y);
        return Limits.point(p[0] * scale, p[1] * scale);
    }

    private void draw(Entity e, Placing at, int depth) {
        Limits.count(++drawn);
        if ((drawn & 1023) == 0) {
            progress.check(0.8);
        }
        switch (e.kind) {
            case "LINE" ->
                pieces.add(new Joiner.Piece(
                        e.layer(),
                        point(at, e.number(10, 0), e.number(20, 0)),
                        point(at, e.number(11, 0), e.number(21, 0)),
                        0));
            case "ARC" -> arc(e, at);
            case "CIRCLE" -> circle(e, at);
            case "POINT" -> shapes.add(new Drawing.Spot(e.layer(), point(at, e.number(10, 0), e.number(20, 0))));
            case "LWPOLYLINE" -> light(e, at);
            case "POLYLINE" -> heavy(e, at);
            case "TEXT" ->
                shapes.add(new Drawing.Words(
                        e.layer(), point(at, e.number(10, 0), e.number(20, 0)), Length.mm(2), e.text(1, "")));
            case "INSERT" -> insert(e, at, depth);
            case "BASE" -> {}
            default -> left.merge(e.kind.length() > 20 ? e.kind.substring(0, 20) : e.kind, 1, Integer::sum);
        }
    }

    private void circle(Entity e, Placing at) {
        double radius = Math.abs(e.number(40, 0) * at.scale * scale);
        if (radius > 0 && radius < 1e12) {
            shapes.add(new Drawing.Circle(
                    e.layer(), point(at, e.number(10, 0), e.number(20, 0)), Length.nm(2 * radius), Optional.empty()));
        } else {
            left.merge("CIRCLE with no size", 1, Integer::sum);
        }
    }

    /** An arc of so many degrees or more is a circle: no chord is left to bend it by. */
    private static final double NEARLY_ROUND = 359.99;

    private void arc(Entity e, Placing at) {
        double r = Math.abs(e.number(40, 0));
        double from = Math.toRadians(e.number(50, 0));
        double degrees = e.number(51, 360) - e.number(50, 0);
        double sweep = Math.toRadians((degrees % 360 + 360) % 360);
        if (Math.abs(degrees) >= NEARLY_ROUND && (sweep == 0 || sweep >= Math.toRadians(NEARLY_ROUND))) {
            circle(e, at);
            return;
        }
        if (!(r > 0) || sweep == 0) {
            left.merge("ARC with no size", 1, Integer::sum);
            return;
        }
        double x = e.number(10, 0);
        double y = e.number(20, 0);
        Point a = point(at, x + r * Math.cos(from), y + r * Math.sin(from));
        Point b = point(at, x + r * Math.cos(from + sweep), y + r * Math.sin(from + sweep));
        pieces.add(new Joiner.Piece(e.layer(), a, b, Limits.bulge(sweep)));
    }

    private void light(Entity e, Placing at) {
        List<String> xs = e.all(10);
        List<String> ys = e.all(20);
        List<Corner> corners = new ArrayList<>();
        for (int i = 0; i < Math.min(xs.size(), ys.size()); i++) {
            corners.add(new Corner(
                    point(at, figure("LWPOLYLINE", xs.get(i)), figure("LWPOLYLINE", ys.get(i))),
                    e.bulges.getOrDefault(i, 0.0)));
        }
        path(e, corners);
    }

    private void heavy(Entity e, Placing at) {
        List<Corner> corners = new ArrayList<>();
        for (Entity v : e.vertices) {
            corners.add(new Corner(point(at, v.number(10, 0), v.number(20, 0)), bulge(v.number(42, 0))));
        }
        path(e, corners);
    }

    private static double bulge(double value) {
        return Math.abs(value) < 1e-12 ? 0 : Math.clamp(value, -1000, 1000);
    }

    private void path(Entity e, List<Corner> corners) {
        boolean closed = ((int) e.number(70, 0) & 1) == 1;
        List<Corner> own = new ArrayList<>(corners);
        if (own.size() > 2 && own.getFirst().at().to(own.getLast().at()).nanometres() < Joiner.MEET) {
            own.removeLast();
            closed = true;
        }
        if (own.size() < 2) {
            left.merge(e.kind + " with under two corners", 1, Integer::sum);
        } else {
            shapes.add(new Drawing.Path(e.layer(), own, closed));
        }
    }

    private void insert(Entity e, Placing at, int depth) {
        List<Entity> block = blocks.get(e.text(2, ""));
        double sx = e.number(41, 1);
        double sy = e.number(42, 1);
        boolean simple = sx == sy && sx != 0 && depth < DEEPEST && e.number(70, 1) <= 1 && e.number(71, 1) <= 1;
        if (block == null || !simple) {
            left.merge("INSERT of a block that is missing, mirrored, stretched or repeated", 1, Integer::sum);
            return;
        }
        Placing inner = inner(e, at, sx, block);
        block.forEach(b -> draw(b, inner, depth + 1));
    }

    private static Placing inner(Entity e, Placing at, double sx, List<Entity> block) {
        double turn = Math.toRadians(e.number(50, 0));
        double[] to = at.at(e.number(10, 0), e.number(20, 0));
        Placing unmoved = new Placing(0, 0, at.scale * sx, at.turn + turn);
        double[] base =
                unmoved.at(block.getFirst().number(10, 0), block.getFirst().number(20, 0));
        return new Placing(to[0] - base[0], to[1] - base[1], unmoved.scale, unmoved.turn);
    }
}
