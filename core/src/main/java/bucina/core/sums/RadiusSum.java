package bucina.core.sums;

import bucina.core.bend.Bend;
import bucina.core.bend.FlatPattern;
import bucina.core.bend.Fold;
import bucina.core.bend.MeasuredTo;
import bucina.core.bend.NeutralLine;
import bucina.core.bend.RadiusTable;
import bucina.core.bend.Springback;
import bucina.core.measure.Angle;
import bucina.core.measure.Length;
import bucina.core.rule.Level;
import bucina.core.sheet.Point;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Is this bend allowed: least radius, springback, and whether a finished bend may still be moved. */
final class RadiusSum implements Sum {

    @Override
    public About about() {
        return new About(
                "radius",
                Family.FORM,
                "Is this bend allowed?",
                "How tight may this sheet be bent, how far does it spring back, and may a finished bend still be "
                        + "moved?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                BendSum.sheet(bench),
                Ask.length("thickness", "Thickness", ".040"),
                Ask.length("radius", "Inside radius", ".125"),
                Ask.line("angle", "Turned by, degrees", "90"),
                Ask.line("tweak", "Then moved by, degrees", ""));
    }

    @Override
    public Answer answer(Figures f) {
        Bend bend = new Bend(f.length("radius"), f.over0("thickness"), f.angle("angle"), new NeutralLine.Factor(0.446));
        Answer.Maker out = new Answer.Maker();
        BendSum.radius(f, List.of(bend), out);
        Optional<Springback> back = BendSum.springback(f, bend, Level.ERROR, out);
        back.ifPresent(s -> {
            out.line(
                    "Springs back to",
                    BendSum.degrees(s.finalAngle()) + " ± " + BendSum.degrees(s.uncertainty()),
                    "A · (2 Ri/t + 1) / (2 Rf/t + 1)",
                    "turned by " + bend.size() + " at Ri " + f.figure(bend.radius()),
                    "elastic springback of a strip, FAA-H-8083-31 practice",
                    "An estimate until a coupon is bent.");
            out.line(
                    "Radius afterwards",
                    f.fine(s.finalRadius()),
                    "Rf = Ri / (4x³ − 3x + 1)",
                    f.figure(bend.radius()) + " / " + "%.4f".formatted(s.ratio()) + " = " + f.figure(s.finalRadius()),
                    "elastic springback of a strip",
                    "");
        });
        if (!f.empty("tweak")) {
            Angle by = f.angle("tweak");
            out.note(
                    Springback.tweakable(by) ? Level.NOTE : Level.ERROR,
                    Springback.tweakable(by)
                            ? by
                                    + " can be put in or taken out in the vice, once, between hard wood: not back "
                                    + "and forth."
                            : by
                                    + " is more than about 2°: a finished bend moved that far is a new part. Do not "
                                    + "work it back and forth.");
        }
        out.note(
                Level.NOTE, "Bend a coupon of the same sheet, across the grain, and look at its outside with a glass.");
        table(f, bend, out);
        return out.answer(picture(f, bend, back));
    }

    private static void table(Figures f, Bend bend, Answer.Maker out) {
        RadiusTable table = f.bench().catalogue().radii();
        String unit = f.shown().symbol();
        out.heads("t " + unit, "Practical, t", "Safe, t", "Practical " + unit, "Safe " + unit);
        boolean in = false;
        List<RadiusTable.Row> rows = rows(table, f);
        for (RadiusTable.Row row : rows) {
            if (!in && bend.thickness().compareTo(row.thickness()) < 0) {
                asked(f, bend, out);
                in = true;
            }
            in |= bend.thickness().same(row.thickness());
            row(out, f, row);
        }
    }

    private static List<RadiusTable.Row> rows(RadiusTable table, Figures f) {
        return table.rows().stream()
                .filter(r -> r.material().equals(f.material("material")))
                .toList();
    }

    private static void row(Answer.Maker out, Figures f, RadiusTable.Row row) {
        out.row(
                f.figure(row.thickness()),
                times(row.practical()),
                times(row.safe()),
                f.figure(row.thickness().times(row.practical())),
                f.figure(row.thickness().times(row.safe())));
    }

    private static void asked(Figures f, Bend bend, Answer.Maker out) {
        RadiusTable.Least least = f.bench().catalogue().radii().at(f.material("material"), bend.thickness());
        out.row(
                "yours " + f.figure(bend.thickness()),
                times(least.practical().per(bend.thickness())),
                times(least.safe().per(bend.thickness())),
                f.figure(least.practical()),
                f.figure(least.safe()));
    }

    private static String times(double factor) {
        return BigDecimal.valueOf(factor)
                .setScale(2, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    private static Picture.Panel picture(Figures f, Bend bend, Optional<Springback> back) {
        Picture.Pen pen = new Picture.Pen();
        Length leg = bend.radius().plus(bend.thickness()).times(4).max(Length.in(.6));
        back.ifPresent(s -> {
            Bend after = new Bend(s.finalRadius(), bend.thickness(), s.finalAngle(), bend.neutral());
            pen.add(new Picture.Line(
                    Picture.Ink.GHOST,
                    closed(Fold.of(FlatPattern.of(List.of(leg, leg), List.of(after), MeasuredTo.FLAT)))));
        });
        Fold fold = Fold.of(FlatPattern.of(
                List.of(leg, leg),
                List.of(new Bend(bend.radius(), bend.thickness(), bend.size(), bend.neutral())),
                MeasuredTo.FLAT));
        pen.add(new Picture.Area(Picture.Ink.METAL, fold.outline()));
        var arc = fold.pieces().get(1);
        double t = bend.thickness().nanometres();
        double r = bend.radius().nanometres();
        double cx = leg.nanometres();
        double cy = t + r;
        pen.round(Picture.Ink.EDGE, cx, cy, r * 0.04);
        var in = arc.left().get(arc.left().size() / 2);
        pen.line(Picture.Ink.TANGENT, cx, cy, in.x(), in.y());
        pen.words(Picture.Ink.TANGENT, cx, cy, "R " + f.fine(bend.radius()), Picture.Side.LEFT);
        pen.dim(0, 0, 0, t, -20, "t " + f.fine(bend.thickness()));
        return pen.panel("As it is turned; dashed as it springs back", 1);
    }

    private static List<Point> closed(Fold fold) {
        List<Point> line = new ArrayList<>(fold.outline());
        line.add(line.getFirst());
        return line;
    }
}
