package bucina.core.sums;

import bucina.core.bend.FluteLine;
import bucina.core.bend.Flutes;
import bucina.core.measure.Length;
import bucina.core.rule.Level;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Flutes for a bowed flange: how many, where, how deep; then measured again. */
final class FluteSum implements Sum {

    @Override
    public About about() {
        return new About(
                "flute",
                Family.FORM,
                "Flutes",
                "A flange whose hole line is bowed: how many flutes, between which holes, how deep?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                Ask.length("chord", "Straight-edge, end to end", "12"),
                Ask.length("bow", "Bow; then measured again", ".10"),
                Ask.length("flange", "Flange height", ".75"),
                Ask.length("holes", "Holes at", ".5, 1.5, 2.5, 3.5, 4.5, 5.5, 6.5, 7.5, 8.5, 9.5, 10.5, 11.5"),
                Ask.length("depth", "Depth wished", ".08"),
                Ask.length("width", "Width of a flute", ".35"));
    }

    @Override
    public Answer answer(Figures f) {
        Length chord = f.over0("chord");
        List<Length> bows = f.signed("bow");
        Length now = bows.getLast();
        Length width = f.over0("width");
        Length flange = f.over0("flange");
        Optional<Double> taken = FluteLine.taken(bows, bows);
        // What the flutes have taken so far tells how deep the next have to be.
        double pull = taken.map(r -> Math.clamp(r, 0.5, 1.5)).orElse(1.0);
        Flutes plain = Flutes.of(now, chord, flange, f.over0("depth"), width);
        Flutes flutes = pull == 1
                ? plain
                : Flutes.of(
                        Length.nm(Math.min(now.nanometres() / pull, chord.nanometres() * 0.49)),
                        chord,
                        flange,
                        f.over0("depth"),
                        width);
        List<Length> holes = f.signed("holes");
        FluteLine line = FluteLine.of(flutes, now, chord, holes, width);
        Answer.Maker out = new Answer.Maker();
        count(out, flutes, f, width);
        tooLong(out, f, plain, now, flange, chord);
        oneTakes(out, f, flutes, width);
        taken(taken, out, f, bows, now);
        notes(f, flutes, line, holes, out);
        table(f, line, holes, out);
        return out.answer(lines(f, line, holes), flange(line, flange, width, holes));
    }

    private static void oneTakes(Answer.Maker out, Figures f, Flutes flutes, Length width) {
        out.line(
                "One flute takes up",
                f.fine(flutes.takeUp()),
                "π² d² / (4 w)",
                "π² × " + f.figure(f.over0("depth")) + "² / (4 × " + f.figure(width) + ") = "
                        + f.figure(flutes.takeUp()),
                "arc of one wave",
                "");
        out.line(
                "Bow that may stay",
                f.fine(flutes.residualSagitta()),
                "true arc against the estimate",
                f.figure(flutes.residualSagitta()),
                "arc of one wave, summed",
                "Measure again after the first flutes and type the new bow behind the first.");
    }

    private static void tooLong(Answer.Maker out, Figures f, Flutes plain, Length now, Length flange, Length chord) {
        out.line(
                "Too long at the free edge",
                f.fine(plain.excess()),
                "8 · s · f / c",
                "8 × " + f.figure(now) + " × " + f.figure(flange) + " / " + f.figure(chord) + " = "
                        + f.figure(plain.excess()),
                "geometry of a bowed strip",
                "");
    }

    private static void taken(Optional<Double> taken, Answer.Maker out, Figures f, List<Length> bows, Length now) {
        taken.ifPresent(r -> out.line(
                "Taken so far",
                String.format(Locale.ROOT, "%.0f %%", r * 100),
                "bow taken out / bow to take out",
                "from " + f.fine(bows.getFirst()) + " to " + f.fine(now),
                "your own readings",
                "The next flutes are reckoned with what yours take."));
    }

    private static void count(Answer.Maker out, Flutes flutes, Figures f, Length width) {
        out.line(
                "Flutes",
                flutes.count() == 0 ? "none needed" : flutes.count() + " × " + f.show(flutes.depthEach()) + " deep",
                "number = excess / take-up, rounded up;  depth each = √(4 w · excess / (n π²))",
                f.figure(flutes.excess()) + " / "
                        + f.figure(flutes.takeUp()) + " → "
                        + flutes.count() + ";  √(4 × " + f.figure(width) + " × " + f.figure(flutes.excess()) + " / ("
                        + flutes.count() + " π²)) = "
                        + f.figure(flutes.depthEach()),
                "geometry of a bowed strip",
                "An estimate to sneak up on: it reads about 8 % high at a depth of .23 of the width.");
    }

    private static void notes(Figures f, Flutes flutes, FluteLine line, List<Length> holes, Answer.Maker out) {
        where(flutes, line, out);
        kinked(line, holes, flutes, out, f);
        out.note(
                Level.NOTE,
                "The middle holes move back toward the web. Too much is undone by flattening. Keep flutes clear of "
                        + "hole edges.");
    }

    private static void kinked(FluteLine line, List<Length> holes, Flutes flutes, Answer.Maker out, Figures f) {
        Length worst = line.worstAfter(holes);
        if (flutes.count() > 0 && worst.times(2).minus(line.sagitta()).positive()) {
            out.note(
                    Level.WARNING,
                    "So few flutes kink the line: holes end up to " + f.fine(worst)
                            + " off the other way. Wish for less depth: more, shallower "
                            + "flutes lie straighter.");
        }
    }

    private static void where(Flutes flutes, FluteLine line, Answer.Maker out) {
        if (flutes.count() > 0) {
            List<String> where =
                    line.between().stream().map(i -> i + " and " + (i + 1)).toList();
            out.note(
                    Level.WARNING,
                    "Put " + (flutes.count() == 1 ? "it" : "them") + " between holes " + String.join(", ", where)
                            + ". Squeeze a little, lay the straight-edge on, squeeze again.");
        }
    }

    private static void table(Figures f, FluteLine line, List<Length> holes, Answer.Maker out) {
        String unit = f.shown().symbol();
        out.heads("Hole", "At " + unit, "Off the line now " + unit, "After " + unit, "Flute after it");
        for (int i = 0; i < holes.size(); i++) {
            out.row(
                    Integer.toString(i + 1),
                    f.figure(holes.get(i)),
                    f.figure(line.before(holes.get(i))),
                    f.figure(line.after(holes.get(i))),
                    line.between().contains(i + 1) ? "yes" : "");
        }
    }

    private static Picture.Panel lines(Figures f, FluteLine line, List<Length> holes) {
        Picture.Pen pen = new Picture.Pen();
        double c = line.chord().nanometres();
        double k = c * 0.14 / Math.max(line.sagitta().nanometres(), c * 1e-4);
        pen.line(Picture.Ink.EDGE, 0, 0, c, 0);
        pen.words(Picture.Ink.SOFT, c, 0, "straight-edge", Picture.Side.RIGHT);
        for (int pass = 0; pass < 2; pass++) {
            List<Point> points = new ArrayList<>();
            for (int i = 0; i <= 60; i++) {
                Length x = line.chord().times(i / 60.0);
                points.add(new Point(x.nanometres(), k * (pass == 0 ? line.before(x) : line.after(x)).nanometres()));
            }
            pen.add(new Picture.Line(pass == 0 ? Picture.Ink.GHOST : Picture.Ink.DONE, points));
            double r = c * 0.006;
            for (Length hole : holes) {
                pen.round(
                        pass == 0 ? Picture.Ink.EDGE : Picture.Ink.DONE,
                        hole.nanometres(),
                        k * (pass == 0 ? line.before(hole) : line.after(hole)).nanometres(),
                        r);
            }
        }
        pen.words(
                Picture.Ink.EDGE,
                c / 2,
                k * line.sagitta().nanometres(),
                "now: off by " + f.fine(line.sagitta()),
                Picture.Side.ABOVE);
        return pen.panel("The hole line against a straight-edge, its bow drawn larger: dashed now, green after", 0.58);
    }

    private static Picture.Panel flange(FluteLine line, Length flange, Length width, List<Length> holes) {
        Picture.Pen pen = new Picture.Pen();
        double c = line.chord().nanometres();
        double h = flange.nanometres();
        double f = h * 1.1;
        List<Point> edge = new ArrayList<>(List.of(new Point(0, 0), new Point(0, f)));
        for (Length gap : line.gaps()) {
            double w = width.nanometres();
            for (int i = 0; i <= 16; i++) {
                double s = i / 16.0;
                edge.add(new Point(
                        gap.nanometres() - w / 2 + w * s,
                        f - h * 0.28 * Math.sin(Math.PI * s) * Math.sin(Math.PI * s)));
            }
        }
        edge.add(new Point(c, f));
        edge.add(new Point(c, 0));
        pen.add(new Picture.Area(Picture.Ink.METAL, edge));
        pen.line(Picture.Ink.TANGENT, 0, h * 0.12, c, h * 0.12);
        for (int i = 0; i < holes.size(); i++) {
            double x = holes.get(i).nanometres();
            pen.round(Picture.Ink.EDGE, x, h * 0.55, c * 0.006);
            pen.words(Picture.Ink.SOFT, x, h * 0.42, Integer.toString(i + 1), Picture.Side.BELOW);
        }
        for (int i = 0; i < line.gaps().size(); i++) {
            double x = line.gaps().get(i).nanometres();
            pen.line(Picture.Ink.SIGHT, x, h * 0.12, x, h * 1.25);
            pen.words(Picture.Ink.SIGHT, x, h * 1.25, "flute " + (i + 1), Picture.Side.ABOVE);
        }
        return pen.panel("The flange from above: free edge up, web down, flutes between the holes", 0.42);
    }
}
