package bucina.core.sums;

import bucina.core.bend.Bend;
import bucina.core.bend.FlatPattern;
import bucina.core.bend.Fold;
import bucina.core.bend.MeasuredTo;
import bucina.core.bend.NeutralLine;
import bucina.core.bend.RadiusTable;
import bucina.core.bend.SheetStrength;
import bucina.core.bend.Springback;
import bucina.core.drawing.FlatDrawing;
import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.rule.Level;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** The bend bench: a profile of legs and angles, folded and flat. */
final class BendSum implements Sum {

    static final String BETWEEN = "left between the legs";
    private static final List<String> MEASURES =
            Arrays.stream(MeasuredTo.values()).map(MeasuredTo::code).toList();
    private static final String RULE = "BA = π/180 · A · (R + K t)";

    @Override
    public About about() {
        return new About(
                "bend",
                Family.FORM,
                "Bend bench",
                "A profile of legs and bends: how long is its flat, and where do the tangent and sight lines lie?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                sheet(bench),
                Ask.length("thickness", "Thickness", ".040"),
                Ask.length("radius", "Inside radius", ".125"),
                Ask.line("k", "K, or empirical", "0.446"),
                Ask.choice("measured", "Legs given to", MEASURES),
                Ask.length("legs", "Legs", ".75, 1.5, 1, .5"),
                Ask.line("angles", "Bends, degrees", "90, -90, 60"),
                Ask.choice("angle", "Degrees are", List.of("how far it is turned", BETWEEN)),
                Ask.choice("clamp", "Under the nose bar", List.of("first", "last")),
                Ask.length("width", "Width of the strip", "1"));
    }

    static Ask sheet(Bench bench) {
        return Ask.choice(
                "material",
                "Sheet",
                bench.catalogue().sheets().stream()
                        .map(s -> s.material().code())
                        .toList());
    }

    record Asked(FlatPattern flat, List<Length> legs, MeasuredTo measured, FlatPattern.Clamp clamp) {}

    /** The angles as they are turned, whichever way they are given. */
    private static List<Angle> turns(Figures f) {
        List<Angle> given = f.angles("angles");
        return !f.is("angle", BETWEEN)
                ? given
                : given.stream()
                        .map(a -> {
                            double size = 180 - Math.abs(a.degrees());
                            if (!(size > 0)) {
                                throw new InputException("Bends: " + a
                                        + " between the legs is no bend: what is left between them is over "
                                        + "or at 0° and under 180°, like 88");
                            }
                            return Angle.degrees(a.degrees() < 0 ? -size : size);
                        })
                        .toList();
    }

    private static Asked read(Figures f) {
        Length r = f.length("radius");
        Length t = f.over0("thickness");
        NeutralLine neutral = NeutralLine.parse(f.text("k"));
        List<Bend> bends =
                turns(f).stream().map(a -> new Bend(r, t, a, neutral)).toList();
        MeasuredTo measured = MeasuredTo.parse(f.text("measured"));
        List<Length> legs = f.list("legs");
        return new Asked(
                FlatPattern.of(legs, bends, measured), legs, measured, FlatPattern.Clamp.parse(f.text("clamp")));
    }

    @Override
    public Answer answer(Figures f) {
        Asked a = read(f);
        Fold fold = Fold.of(a.flat);
        Answer.Maker out = new Answer.Maker();
        clash(fold, out);
        numbers(f, a, out);
        radius(f, a.flat.bends(), out);
        out.note(Level.NOTE, "Bend a strip of the same sheet first and measure it; then cut the part.");
        table(f, a, out);
        out.flat(FlatDrawing.of("Profile", a.flat, f.over0("width"), a.clamp));
        return out.answer(BendPicture.folded(f, a, fold), BendPicture.flat(f, a));
    }

    private static void clash(Fold fold, Answer.Maker out) {
        List<Integer> clash = fold.clash();
        if (!clash.isEmpty()) {
            out.note(
                    Level.ERROR,
                    "Legs " + clash.get(0) + " and " + clash.get(1)
                            + " would run through each other: change a length or turn a bend the other way.");
        }
    }

    private static void numbers(Figures f, Asked a, Answer.Maker out) {
        Bend first = a.flat.bends().getFirst();
        boolean same = a.flat.bends().stream().map(Bend::size).distinct().count() == 1;
        String which = same ? "" : " of bend 1";
        String flats = a.flat.flats().stream().map(f::figure).collect(Collectors.joining(" + "));
        String bands = a.flat.bends().stream().map(b -> f.figure(b.allowance())).collect(Collectors.joining(" + "));
        out.line(
                "Developed length",
                f.show(a.flat.developed()),
                "flats and bend allowances laid end to end",
                flats + " + " + bands + " = " + f.figure(a.flat.developed()),
                "FAA-H-8083-31",
                "The sheet to cut, from free edge to free edge.");
        out.line(
                "Allowance" + which,
                f.fine(first.allowance()),
                first.neutral() instanceof NeutralLine.Empirical ? "BA = (0.01743 R + 0.0078 t) · A" : RULE,
                allowance(f, first),
                first.neutral() instanceof NeutralLine.Empirical
                        ? "AC 65-15A, FAA-H-8083-31: empirical"
                        : "length of the neutral line; K from the sheet and radius",
                "K is 0.446 for usual aluminium bends, 0.33 to 0.40 for tight radii in soft sheet.");
        out.line(
                "Setback" + which,
                first.setback().map(f::fine).orElse("none at 180°"),
                "SB = tan(A/2) · (R + t)",
                first.setback()
                        .map(s -> "tan(" + first.size().half() + ") × (" + f.figure(first.radius()) + " + "
                                + f.figure(first.thickness()) + ") = " + f.figure(s))
                        .orElse(""),
                "FAA-H-8083-31",
                "From the mould line, where the outer faces would meet, to the tangent line.");
        first.deduction()
                .ifPresent(d -> out.line(
                        "Deduction" + which,
                        f.fine(d),
                        "BD = 2 SB − BA",
                        "2 × " + f.figure(first.setback().orElseThrow()) + " − " + f.figure(first.allowance()) + " = "
                                + f.figure(d),
                        "FAA-H-8083-31",
                        "What the flat is shorter than the legs over their mould lines."));
    }

    private static String allowance(Figures f, Bend b) {
        if (b.neutral() instanceof NeutralLine.Factor k) {
            return "π/180 × " + plain(b.size()) + " × (" + f.figure(b.radius()) + " + " + k.k() + " × "
                    + f.figure(b.thickness()) + ") = " + f.figure(b.allowance());
        }
        return "(0.01743 × " + f.figure(b.radius()) + " + 0.0078 × " + f.figure(b.thickness()) + ") × "
                + plain(b.size()) + " = " + f.figure(b.allowance());
    }

    private static String plain(Angle a) {
        return a.toString().replace("°", "");
    }

    /** Whether the radius is allowed, and how far to turn. */
    static void radius(Figures f, List<Bend> bends, Answer.Maker out) {
        Bend b = bends.stream().max(Comparator.comparing(Bend::size)).orElseThrow();
        RadiusTable table = f.bench().catalogue().radii();
        try {
            RadiusTable.Least least = table.at(f.material("material"), b.thickness());
            if (!b.radius().atLeast(least.practical())) {
                out.note(
                        Level.ERROR,
                        "A radius of " + f.fine(b.radius()) + " is under the practical least of "
                                + f.fine(least.practical()) + " for " + f.text("material") + " " + f.fine(b.thickness())
                                + ": it may crack. Take " + f.fine(least.safe()) + ".");
            } else if (!b.radius().atLeast(least.safe())) {
                out.note(
                        Level.WARNING,
                        "A radius of " + f.fine(b.radius()) + " lies under the safe " + f.fine(least.safe())
                                + ": try it on scrap, across the grain.");
            }
            out.line(
                    "Least radius",
                    f.fine(least.practical()) + " to " + f.fine(least.safe()),
                    "multiple of t from the table, between its thicknesses by proportion",
                    "practical " + f.figure(least.practical()) + ", safe " + f.figure(least.safe()),
                    least.source(),
                    "For 90° bends. The lower figure is the practical least, the upper the safe one.");
        } catch (InputException e) {
            out.note(Level.WARNING, e.getMessage());
        }
        springback(f, b, Level.NOTE, out)
                .ifPresent(s -> out.line(
                        "Turn to",
                        degrees(s.bendTo()) + " ± " + degrees(s.uncertainty()),
                        "A' = A · (2 Rf/t + 1) / (2 Ri/t + 1),  Ri/Rf = 4x³ − 3x + 1,  x = Ri Y / (E t)",
                        "Ri/Rf = " + four(s.ratio()) + ", Rf = " + f.figure(s.finalRadius()) + "; turned by " + b.size()
                                + " it springs back to " + degrees(s.finalAngle()),
                        strength(f, b).source(),
                        "An estimate until a coupon is bent, for the bend of " + b.size() + "."));
    }

    private static SheetStrength strength(Figures f, Bend b) {
        return SheetStrength.of(f.bench().catalogue().sheets(), f.material("material"));
    }

    /** The springback of a bend; where there is none to be had, a note says why. */
    static Optional<Springback> springback(Figures f, Bend b, Level level, Answer.Maker out) {
        try {
            return Optional.of(Springback.of(b, strength(f, b)));
        } catch (InputException e) {
            out.note(level, e.getMessage() + ".");
            return Optional.empty();
        }
    }

    static String degrees(Angle a) {
        return String.format(Locale.ROOT, "%.1f°", a.degrees());
    }

    private static String four(double value) {
        return String.format(Locale.ROOT, "%.4f", value);
    }

    private static void table(Figures f, Asked a, Answer.Maker out) {
        String unit = f.shown().symbol();
        heads(out, unit);
        List<Length> sight = a.flat.sightLines(a.clamp);
        for (int i = 0; i < sight.size(); i++) {
            Bend b = a.flat.bends().get(i);
            FlatPattern.Band band = a.flat.bands().get(i);
            row(out, i, b, f, band, sight);
        }
    }

    private static void row(Answer.Maker out, int i, Bend b, Figures f, FlatPattern.Band band, List<Length> sight) {
        out.row(
                (i + 1) + (b.turn().degrees() > 0 ? " up" : " down"),
                b.size().toString(),
                Angle.degrees(180 - b.size().degrees()).toString(),
                f.figure(b.allowance()),
                b.setback().map(f::figure).orElse("none"),
                f.figure(band.from()),
                f.figure(sight.get(i)),
                f.figure(band.to()));
    }

    private static void heads(Answer.Maker out, String unit) {
        out.heads(
                "Bend",
                "Turned",
                "Between legs",
                "Allowance " + unit,
                "Setback " + unit,
                "Tangent " + unit,
                "Sight line " + unit,
                "Tangent " + unit);
    }

    // ---- pulling

    @Override
    public Map<String, String> pulled(Figures f, int grip, double dx, double dy) {
        Asked a = read(f);
        Fold fold = Fold.of(a.flat);
        Point by = BendPicture.turned(new Point(dx, dy), -BendPicture.level(a, fold));
        Fold.Piece leg = fold.leg(grip);
        double hx = Math.cos(leg.from().heading());
        double hy = Math.sin(leg.from().heading());
        List<Length> legs = new ArrayList<>(a.legs);
        double step = f.unit() == Unit.MM ? 0.5e6 : 0.254e6;
        if (grip == 0) {
            legs.set(0, snapped(legs.get(0).nanometres() - by.x() * hx - by.y() * hy, step));
            return Map.of("legs", typed(f, legs));
        }
        // The leg swings about the end it is measured from.
        double reach = legs.get(grip).nanometres();
        double along = reach + by.x() * hx + by.y() * hy;
        double across = by.y() * hx - by.x() * hy;
        legs.set(grip, snapped(Math.hypot(along, across), step));
        List<Angle> turns = new ArrayList<>(turns(f));
        double turn = turns.get(grip - 1).degrees() + Math.toDegrees(Math.atan2(across, along));
        double whole = Math.clamp(Math.rint(Math.abs(turn)), 1, 180);
        turns.set(grip - 1, Angle.degrees(turn < 0 ? -whole : whole));
        String angles = turns.stream()
                .map(t ->
                        f.is("angle", BETWEEN) ? Math.copySign(180 - Math.abs(t.degrees()), t.degrees()) : t.degrees())
                .map(d -> plain(Angle.degrees(d)))
                .collect(Collectors.joining(", "));
        return Map.of("legs", typed(f, legs), "angles", angles);
    }

    private static Length snapped(double nm, double step) {
        return Length.nm(Math.max(step, Math.rint(nm / step) * step));
    }

    private static String typed(Figures f, List<Length> legs) {
        return legs.stream().map(l -> Ask.typed(l, f.unit())).collect(Collectors.joining(", "));
    }
}
