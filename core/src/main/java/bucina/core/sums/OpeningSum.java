package bucina.core.sums;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.opening.Opening;
import bucina.core.opening.StepDrill;
import bucina.core.rule.Level;
import bucina.core.rule.RuleKey;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Holes that no fastener goes through: the step to stop at, and the metal left round them. */
final class OpeningSum implements Sum {

    private static final String TYPED = "the steps below";

    @Override
    public About about() {
        return new About(
                "opening",
                Family.CUT,
                "Holes and openings",
                "Conduit, grommet, bushing and lightening holes: which step to stop at, and is enough metal left "
                        + "round them?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        List<String> drills =
                new ArrayList<>(bench.drills().stream().map(StepDrill::name).toList());
        drills.add(TYPED);
        return List.of(
                Ask.choice(
                        "for",
                        "For",
                        List.of("conduit", "grommet", "snap bushing", "lightening hole", "opening with corners")),
                Ask.length("across", "Hole or opening, across", "5/8"),
                Ask.length("thickness", "Sheet", ".032"),
                Ask.line("corner", "Inside corner radius", ""),
                Ask.length("tangent", "Centre to bend tangent", ".5"),
                Ask.line("edge", "Centre to sheet's edge", ""),
                Ask.length("rivet", "Centre to nearest rivet", ".7"),
                Ask.length("shank", "That rivet's D", "1/8"),
                Ask.choice("head", "Its head", List.of("protruding", "flush")),
                Ask.choice("drill", "Step drill", drills),
                Ask.length(
                        "steps", "Steps from the tip", "1/8, 3/16, 1/4, 5/16, 3/8, 7/16, 1/2, 9/16, 5/8, 11/16, 3/4"));
    }

    @Override
    public Optional<StepDrill> drill(Figures f) {
        return f.is("drill", TYPED) ? Optional.of(new StepDrill("Step drill", f.list("steps"))) : Optional.empty();
    }

    private static StepDrill chosen(Figures f) {
        return f.bench().drills().stream()
                .filter(d -> f.is("drill", d.name()))
                .findFirst()
                .orElseGet(() -> new StepDrill("Step drill", f.list("steps")));
    }

    @Override
    public Answer answer(Figures f) {
        Length across = f.over0("across");
        boolean corners = f.is("for", "opening with corners");
        Optional<Length> corner = corners
                ? f.maybe("corner").or(() -> Optional.of(f.rules().length(RuleKey.OPENING_CORNER)))
                : Optional.empty();
        Opening opening = new Opening(across, corner, f.over0("thickness"));
        boolean flush = f.is("head", "flush");
        Length shank = f.over0("shank");
        Optional<Length> tangent = f.maybe("tangent");
        Optional<Length> edge = f.maybe("edge");
        Optional<Length> rivet = f.maybe("rivet");
        Answer.Maker out = new Answer.Maker();
        out.findings(
                opening.findings(f.rules(), tangent, edge, rivet.map(r -> new Opening.Rivet(r, shank, flush))),
                f.shown());
        StepDrill drill = chosen(f);
        Length wanted = corner.map(c -> c.times(2)).orElse(across);
        Optional<StepDrill.Stop> stop = drill.stop(wanted);
        step(f, drill, wanted, stop, corners, out);
        lines(corner, out, f, opening, across);
        Length nearest = rivetLine(opening, f, shank, flush, out, across);
        out.note(
                Level.NOTE,
                "Eye protection, gloves off near the bit; clamp the sheet. A lightening hole is only put where the "
                        + "drawing has one.");
        return out.answer(sheet(f, opening, tangent, edge, rivet, shank, nearest), steps(f, drill, stop));
    }

    private static Length rivetLine(
            Opening opening, Figures f, Length shank, boolean flush, Answer.Maker out, Length across) {
        Length nearest = opening.rivetNearest(f.rules(), shank, flush);
        out.line(
                "Centre to a rivet, least",
                f.show(nearest),
                "half across + least edge distance of the rivet",
                f.figure(across.times(0.5)) + " + " + f.figure(nearest.minus(across.times(0.5))) + " = "
                        + f.figure(nearest),
                f.source(flush ? RuleKey.EDGE_LEAST_FLUSH : RuleKey.EDGE_LEAST_PROTRUDING),
                "The rim of the opening is an edge to the rivet.");
        return nearest;
    }

    private static void lines(Optional<Length> corner, Answer.Maker out, Figures f, Opening opening, Length across) {
        corner.ifPresent(c -> out.line(
                "Corner drill",
                f.fine(c.times(2)),
                "2 × corner radius",
                "2 × " + f.figure(c) + " = " + f.figure(c.times(2)),
                f.source(RuleKey.OPENING_CORNER),
                "Drill the corners, join them with a saw or snips, file to the holes."));
        out.line(
                "Centre to a bend, least",
                f.show(opening.tangentNearest(f.rules())),
                "half across + land",
                f.figure(across.times(0.5)) + " + " + f.figure(opening.landLeast(f.rules())) + " = "
                        + f.figure(opening.tangentNearest(f.rules())),
                f.source(RuleKey.OPENING_LAND),
                "Also to the edge of the sheet.");
    }

    private static void step(
            Figures f,
            StepDrill drill,
            Length wanted,
            Optional<StepDrill.Stop> stop,
            boolean corners,
            Answer.Maker out) {
        String what = corners ? "corner of " : "hole of ";
        String value = stop.map(s -> "step " + s.step() + ", "
                        + LengthFormat.fraction(s.diameter()).replace("~", "about "))
                .orElse("none");
        out.line(
                "Stop at",
                value,
                "the last step that is not larger than the hole",
                stop.map(s -> f.figure(s.diameter()) + " ≤ " + f.figure(wanted)).orElse(""),
                drill.name() + ", counted from the tip",
                "Count the steps; put tape over the next one.");
        if (stop.isEmpty()) {
            out.note(
                    Level.ERROR,
                    "The first step of this drill is larger than the " + what + f.fine(wanted)
                            + ": use a twist drill.");
        } else if (!stop.get().diameter().same(wanted)) {
            out.note(
                    Level.WARNING,
                    "No step is " + f.fine(wanted) + ": stop at step "
                            + stop.get().step() + ", " + f.fine(stop.get().diameter()) + ", and file or ream the rest, "
                            + f.fine(wanted.minus(stop.get().diameter())) + " across.");
        }
    }

    private static Picture.Panel sheet(
            Figures f,
            Opening o,
            Optional<Length> tangent,
            Optional<Length> edge,
            Optional<Length> rivet,
            Length shank,
            Length nearest) {
        Picture.Pen pen = new Picture.Pen();
        double r = o.across().nanometres() / 2;
        double left = -Math.max(r * 2.2, rivet.map(Length::nanometres).orElse(0.0) + nearest.nanometres() - r + 2e6);
        double right = edge.map(Length::nanometres).orElse(r * 2.6);
        double low = -Math.max(r * 1.8, tangent.map(t -> t.nanometres() * 1.4).orElse(0.0));
        pen.box(Picture.Ink.METAL, left, low, right, r * 1.7);
        cut(o, pen, r);
        pen.dim(-r, 0, r, 0, 0, f.fine(o.across()));
        tangent.ifPresent(t -> bend(t, o, f, pen, left, right));
        rivet.ifPresent(d -> rivet(d, pen, shank, nearest, r, f));
        return pen.panel("The opening in its sheet; dashed, how near bend and rivet may come", 0.66);
    }

    private static void cut(Opening o, Picture.Pen pen, double r) {
        if (o.corner().isPresent()) {
            double c = o.corner().get().nanometres();
            pen.box(Picture.Ink.WASTE, -r, -r, r, r);
            for (int k = 0; k < 4; k++) {
                pen.round(Picture.Ink.BLUE, (k % 2 == 0 ? -1 : 1) * (r - c), (k < 2 ? -1 : 1) * (r - c), c);
            }
        } else {
            pen.round(Picture.Ink.WASTE, 0, 0, r);
        }
    }

    private static void rivet(Length d, Picture.Pen pen, Length shank, Length nearest, double r, Figures f) {
        double x = -d.nanometres();
        pen.round(Picture.Ink.BLUE, x, 0, shank.nanometres() / 2);
        pen.add(new Picture.Line(
                d.atLeast(nearest) ? Picture.Ink.GHOST : Picture.Ink.STOP, circle(x, 0, nearest.nanometres() - r)));
        pen.words(
                d.atLeast(nearest) ? Picture.Ink.SOFT : Picture.Ink.STOP,
                x,
                -(nearest.nanometres() - r),
                "no nearer",
                Picture.Side.BELOW);
        pen.dim(x, 0, 0, 0, 46, f.fine(d));
    }

    private static void bend(Length t, Opening o, Figures f, Picture.Pen pen, double left, double right) {
        double y = -t.nanometres();
        double least = -o.tangentNearest(f.rules()).nanometres();
        pen.line(Picture.Ink.TANGENT, left, y, right, y);
        pen.words(Picture.Ink.TANGENT, right, y, "bend tangent", Picture.Side.RIGHT);
        pen.line(y > least ? Picture.Ink.STOP : Picture.Ink.GHOST, left, least, right, least);
        pen.words(y > least ? Picture.Ink.STOP : Picture.Ink.SOFT, left, least, "no nearer", Picture.Side.LEFT);
        pen.dim(right * 0.6, 0, right * 0.6, y, 10, f.fine(t));
    }

    private static List<Point> circle(double x, double y, double r) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= 60; i++) {
            points.add(new Point(x + r * Math.cos(Math.PI * i / 30), y + r * Math.sin(Math.PI * i / 30)));
        }
        return points;
    }

    private static Picture.Panel steps(Figures f, StepDrill drill, Optional<StepDrill.Stop> stop) {
        Picture.Pen pen = new Picture.Pen();
        double step = drill.steps().getLast().nanometres() * 0.42;
        for (int i = 0; i < drill.steps().size(); i++) {
            double h = drill.steps().get(i).nanometres() / 2;
            boolean here = stop.isPresent() && stop.get().step() == i + 1;
            pen.box(here ? Picture.Ink.BLUE : Picture.Ink.SHADE, i * step, -h, (i + 1) * step, h);
            words(pen, here, i, step, h, f, drill);
        }
        return pen.panel(drill.name() + ", tip at the left; stop where it is blue", 0.34);
    }

    private static void words(Picture.Pen pen, boolean here, int i, double step, double h, Figures f, StepDrill drill) {
        pen.words(
                here ? Picture.Ink.TANGENT : Picture.Ink.SOFT,
                (i + 0.5) * step,
                h,
                Integer.toString(i + 1),
                Picture.Side.ABOVE);
        pen.words(
                here ? Picture.Ink.TANGENT : Picture.Ink.SOFT,
                (i + 0.5) * step,
                -h,
                f.figure(drill.steps().get(i)),
                Picture.Side.BELOW);
    }
}
