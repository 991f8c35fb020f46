package bucina.core.sums;

import bucina.core.bend.Bracket;
import bucina.core.bend.BracketCheck;
import bucina.core.bend.BracketFlat;
import bucina.core.bend.NeutralLine;
import bucina.core.drawing.FlatDrawing;
import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetSize;
import bucina.core.rule.Level;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** The flat of a bracket with flanges on several sides. */
final class BracketSum implements Sum {

    private static final Pattern FLANGE = Pattern.compile("(\\d{1,2})\\s*:\\s*(.+?)(?:\\s*[,@]\\s*(-?[\\d.]+°?))?");
    private static final Pattern HOLE = Pattern.compile("(base|\\d{1,2})\\s*:\\s*([^,]+),([^,]+),([^,]+)");

    @Override
    public About about() {
        return new About(
                "bracket",
                Family.FORM,
                "Bracket flat",
                "A base with flanges along its sides: the blank to cut, its relief holes, and where the holes go "
                        + "before it is bent.");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                BendSum.sheet(bench),
                Ask.length("thickness", "Thickness", ".040"),
                Ask.length("radius", "Inside radius", ".125"),
                Ask.line("k", "K, or empirical", "0.446"),
                Ask.lines("base", "Base, mould lines", "3, 2", "76, 50"),
                Ask.lines(
                        "flanges",
                        "Flanges by side",
                        "1: .75, 90\n2: .75, 90\n4: .6, 75",
                        "1: 19, 90\n2: 19, 90\n4: 15, 75"),
                Ask.lines(
                        "holes",
                        "Holes, folded",
                        "base: 1, 1.2, #30\n1: 1.5, .46, #40\n2: 1, .46, #40",
                        "base: 25, 30, 3.2\n1: 38, 11.5, 2.5\n2: 25, 11.5, 2.5"),
                Ask.line("relief", "Relief holes", ""),
                Ask.choice(
                        "grain",
                        "Grain",
                        Arrays.stream(Bracket.Grain.values())
                                .map(Bracket.Grain::word)
                                .toList()
                                .reversed()));
    }

    private static Bracket read(Figures f) {
        NeutralLine neutral = NeutralLine.parse(f.text("k"));
        Bracket.Sheet sheet = new Bracket.Sheet(f.over0("thickness"), f.length("radius"), neutral);
        List<Bracket.Flange> flanges = new ArrayList<>();
        for (String line : lines(f.text("flanges"))) {
            Matcher m = FLANGE.matcher(line);
            if (!m.matches()) {
                throw new InputException("Flanges: \"" + line
                        + "\" is no flange: write side, height and how far it is turned, like 1: .75, 90");
            }
            flanges.add(new Bracket.Flange(
                    Integer.parseInt(m.group(1)) - 1,
                    f.lengths().parsePositive(m.group(2), "Flanges"),
                    m.group(3) == null ? Angle.degrees(90) : Angle.parse(m.group(3))));
        }
        List<Bracket.Hole> holes = new ArrayList<>();
        for (String line : lines(f.text("holes"))) {
            holes.add(hole(f, flanges, line));
        }
        Bracket.Grain grain = Arrays.stream(Bracket.Grain.values())
                .filter(g -> f.is("grain", g.word()))
                .findFirst()
                .orElse(Bracket.Grain.UNKNOWN);
        return new Bracket(base(f), sheet, flanges, holes, f.maybe("relief"), grain);
    }

    private static List<String> lines(String text) {
        return Arrays.stream(text.split("[;\\n]"))
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .toList();
    }

    private static List<Point> base(Figures f) {
        List<String> corners = lines(f.text("base"));
        List<Point> points = new ArrayList<>();
        for (String corner : corners) {
            String[] xy = corner.split(",", -1);
            if (xy.length != 2) {
                throw new InputException("Base: \"" + corner
                        + "\" is no corner: write length and width like 3, 2, or every corner on its own "
                        + "line like 0,0");
            }
            points.add(Point.at(f.lengths().parse(xy[0]), f.lengths().parse(xy[1])));
        }
        return points.size() == 1
                ? Bracket.rectangle(
                        points.getFirst().across(), points.getFirst().up())
                : points;
    }

    private static Bracket.Hole hole(Figures f, List<Bracket.Flange> flanges, String line) {
        Matcher m = HOLE.matcher(line);
        check(m, line);
        Optional<Integer> flange = Optional.empty();
        if (!m.group(1).equals("base")) {
            int side = Integer.parseInt(m.group(1)) - 1;
            flange = IntStream.range(0, flanges.size())
                    .boxed()
                    .filter(i -> flanges.get(i).side() == side)
                    .findFirst();
            if (flange.isEmpty()) {
                throw new InputException("Holes: \"" + line + "\" is on side " + (side + 1) + ", which has no flange");
            }
        }
        return new Bracket.Hole(
                flange,
                f.lengths().parse(m.group(2)),
                f.lengths().parse(m.group(3)),
                f.lengths().parsePositive(m.group(4), "Holes"));
    }

    private static void check(Matcher m, String line) {
        if (!m.matches()) {
            throw new InputException("Holes: \"" + line
                    + "\" is no hole: write base: x, y, diameter, or a flange's side: along, up, diameter, "
                    + "like 1: 1.5, .46, #40");
        }
    }

    /** The largest rivet that goes in a hole of this size; one as large as the hole where none does. */
    private static BracketCheck.HeadSize head(Figures f, Length hole) {
        return f.bench().catalogue().rivets().stream()
                .filter(s -> s.head() == HeadStyle.UNIVERSAL
                        && s.hole().minus(hole).atMost(Length.in(.003))
                        && s.hole().times(1.35).atLeast(hole))
                .max(Comparator.comparing(RivetSize::shank))
                .map(s -> new BracketCheck.HeadSize(s.shank(), s.headDiameter().times(0.5)))
                .orElse(new BracketCheck.HeadSize(hole, hole));
    }

    @Override
    public Answer answer(Figures f) {
        Bracket bracket = read(f);
        BracketFlat flat = BracketFlat.of(bracket);
        Answer.Maker out = new Answer.Maker();
        out.findings(BracketCheck.of(flat, f.rules(), d -> head(f, d)), f.shown());
        List<Length> blank = flat.blank();
        BracketFlat.BandLine first = flat.bands().getFirst();
        out.line(
                "Blank",
                f.figure(blank.get(0)) + " × " + f.show(blank.get(1)),
                "base over mould lines + flanges − one deduction each",
                "BD of the first flange = " + f.figure(first.bend().deduction().orElseThrow()),
                "FAA-H-8083-31",
                "The rectangle that the flat is cut from, before the corners are taken out.");
        out.line(
                "Allowance of side " + (first.flange().side() + 1),
                f.fine(first.bend().allowance()),
                "BA = π/180 · A · (R + K t)",
                "for " + first.bend().size(),
                "length of the neutral line",
                "");
        if (!flat.reliefs().isEmpty()) {
            out.line(
                    "Relief holes",
                    flat.reliefs().size() + " × "
                            + f.show(flat.reliefs().getFirst().diameter()),
                    "radius at least R, 1/8 in across at the least",
                    "2 × " + f.figure(bracket.sheet().radius()) + " = "
                            + f.figure(bracket.sheet().radius().times(2)),
                    "FAA-H-8083-31",
                    "Centred where the inside tangent lines meet. Drilled before the corners are cut.");
        }
        weight(f, bracket, flat, out);
        BendSum.radius(f, flat.bands().stream().map(BracketFlat.BandLine::bend).toList(), out);
        out.note(
                Level.NOTE,
                "Drill relief holes first, cut to them, deburr every edge, then bend: a nick is where a bend cracks.");
        table(f, bracket, flat, out);
        out.flat(FlatDrawing.of("Bracket", flat));
        return out.answer(flatPanel(f, flat), foldedPanel(bracket, flat));
    }

    private static void weight(Figures f, Bracket bracket, BracketFlat flat, Answer.Maker out) {
        f.bench().catalogue().sheets().stream()
                .filter(s -> s.material().equals(f.material("material")))
                .findFirst()
                .ifPresent(s -> {
                    double lb = flat.area() * bracket.sheet().thickness().in() * s.density();
                    out.line(
                            "Weight",
                            f.shown() == Unit.MM ? "%.1f g".formatted(lb * 453.59237) : "%.4f lb".formatted(lb),
                            "area · t · density",
                            "%.3f in² × %s × %s lb/in³"
                                    .formatted(flat.area(), bracket.sheet().thickness(), s.density()),
                            s.source(),
                            "Without the holes taken out.");
                });
    }

    private static void table(Figures f, Bracket bracket, BracketFlat flat, Answer.Maker out) {
        String unit = f.shown().symbol();
        out.heads("Hole", "On", "Along " + unit, "Up " + unit, "Flat x " + unit, "Flat y " + unit, "Across " + unit);
        for (int i = 0; i < flat.holes().size(); i++) {
            Bracket.Hole h = bracket.holes().get(i);
            row(out, i, h, bracket, f, flat);
        }
    }

    private static void row(Answer.Maker out, int i, Bracket.Hole h, Bracket bracket, Figures f, BracketFlat flat) {
        out.row(
                Integer.toString(i + 1),
                h.flange()
                        .map(n -> "side " + (bracket.flanges().get(n).side() + 1))
                        .orElse("base"),
                f.figure(h.along()),
                f.figure(h.up()),
                f.figure(flat.holes().get(i).across()),
                f.figure(flat.holes().get(i).up()),
                f.figure(h.diameter()));
    }

    private static Picture.Panel flatPanel(Figures f, BracketFlat flat) {
        Picture.Pen pen = new Picture.Pen();
        pen.add(new Picture.Area(Picture.Ink.METAL, Chords.of(flat.outline().outer())));
        for (BracketFlat.BandLine b : flat.bands()) {
            band(pen, b);
        }
        flat.reliefs()
                .forEach(r -> pen.round(
                        Picture.Ink.EDGE, r.at().x(), r.at().y(), r.diameter().nanometres() / 20));
        holes(flat, pen);
        dims(flat, pen, f);
        grain(flat, pen);
        return pen.panel(
                "Flat, seen on the side the flanges stand up on; blue the tangents, dashed the sight lines", 0.66);
    }

    private static void dims(BracketFlat flat, Picture.Pen pen, Figures f) {
        var box = flat.outline().box();
        pen.dim(
                box.minX(),
                box.minY(),
                box.maxX(),
                box.minY(),
                -34,
                f.show(flat.blank().get(0)));
        pen.dim(
                box.minX(),
                box.minY(),
                box.minX(),
                box.maxY(),
                flat.bands().stream().anyMatch(b -> b.outX() < -0.7) ? 108 : 22,
                f.show(flat.blank().get(1)));
    }

    private static void holes(BracketFlat flat, Picture.Pen pen) {
        for (int i = 0; i < flat.holes().size(); i++) {
            Point p = flat.holes().get(i);
            double r = flat.bracket().holes().get(i).diameter().nanometres() / 2;
            pen.round(Picture.Ink.BLUE, p.x(), p.y(), r);
            pen.words(Picture.Ink.TANGENT, p.x() + r, p.y() + r, Integer.toString(i + 1), Picture.Side.RIGHT);
        }
    }

    private static void band(Picture.Pen pen, BracketFlat.BandLine b) {
        quad(
                pen,
                Picture.Ink.SHADE,
                b.first(Length.ZERO),
                b.last(Length.ZERO),
                b.last(b.bend().allowance()),
                b.first(b.bend().allowance()));
        line(pen, Picture.Ink.TANGENT, b.first(Length.ZERO), b.last(Length.ZERO));
        line(
                pen,
                Picture.Ink.TANGENT,
                b.first(b.bend().allowance()),
                b.last(b.bend().allowance()));
        line(pen, Picture.Ink.SIGHT, b.first(b.bend().radius()), b.last(b.bend().radius()));
        Point a = b.first(b.reach());
        Point z = b.last(b.reach());
        pen.words(
                Picture.Ink.EDGE,
                (a.x() + z.x()) / 2,
                (a.y() + z.y()) / 2,
                "side " + (b.flange().side() + 1) + (b.flange().turn().degrees() > 0 ? ", up " : ", down ")
                        + b.bend().size(),
                outward(b));
    }

    private static Picture.Side outward(BracketFlat.BandLine b) {
        if (Math.abs(b.outX()) > Math.abs(b.outY())) {
            return b.outX() > 0 ? Picture.Side.RIGHT : Picture.Side.LEFT;
        }
        return b.outY() > 0 ? Picture.Side.ABOVE : Picture.Side.BELOW;
    }

    private static void grain(BracketFlat flat, Picture.Pen pen) {
        if (flat.bracket().grain() == Bracket.Grain.UNKNOWN) {
            return;
        }
        var box = new Outline(Ring.polygon(flat.bracket().base()), List.of()).box();
        double x = (box.minX() + box.maxX()) / 2;
        double y = (box.minY() + box.maxY()) / 2;
        double half = Math.min(box.width(), box.height()) * 0.22;
        boolean up = flat.bracket().grain() == Bracket.Grain.UP;
        pen.line(Picture.Ink.EDGE, x - (up ? 0 : half), y - (up ? half : 0), x + (up ? 0 : half), y + (up ? half : 0));
        pen.words(Picture.Ink.SOFT, x, y, "grain", up ? Picture.Side.RIGHT : Picture.Side.ABOVE);
    }

    private static void quad(Picture.Pen pen, Picture.Ink ink, Point... points) {
        pen.add(new Picture.Area(ink, List.of(points)));
    }

    private static void line(Picture.Pen pen, Picture.Ink ink, Point a, Point b) {
        pen.add(new Picture.Line(ink, List.of(a, b)));
    }

    /** The bracket folded, seen from one corner. */
    private static Picture.Panel foldedPanel(Bracket bracket, BracketFlat flat) {
        Picture.Pen pen = new Picture.Pen();
        record Sheet(Picture.Ink ink, List<Point> points, double far) {}
        List<Sheet> sheets = new ArrayList<>();
        List<Point> base = bracket.base();
        sheets.add(new Sheet(
                Picture.Ink.METAL, base.stream().map(p -> seen(p.x(), p.y(), 0)).toList(), 1e12));
        for (BracketFlat.BandLine b : flat.bands()) {
            double inset = b.setback().nanometres();
            double cos = Math.cos(b.flange().turn().radians());
            double sin = Math.sin(b.flange().turn().radians());
            double h = b.flange().height().nanometres();
            Point a = new Point(b.from().x() + b.outX() * inset, b.from().y() + b.outY() * inset);
            Point z = new Point(b.to().x() + b.outX() * inset, b.to().y() + b.outY() * inset);
            sheets.add(new Sheet(
                    Picture.Ink.SHADE,
                    List.of(
                            seen(a.x(), a.y(), 0),
                            seen(z.x(), z.y(), 0),
                            seen(z.x() + b.outX() * h * cos, z.y() + b.outY() * h * cos, h * sin),
                            seen(a.x() + b.outX() * h * cos, a.y() + b.outY() * h * cos, h * sin)),
                    (a.x() + z.x()) / 2 + (a.y() + z.y()) / 2));
        }
        sheets.sort(Comparator.comparingDouble(Sheet::far).reversed());
        sheets.forEach(s -> pen.add(new Picture.Area(s.ink, s.points)));
        return pen.panel("Folded", 0.34);
    }

    private static Point seen(double x, double y, double z) {
        return new Point((x - y) * Math.cos(Math.PI / 6), (x + y) * 0.5 * Math.sin(Math.PI / 3) + z);
    }
}
