package bucina.core.sums;

import bucina.core.bolt.GapFill;
import bucina.core.bolt.Washer;
import bucina.core.measure.Length;
import bucina.core.rule.Level;
import java.util.List;

/** Washers that fill a gap. */
final class GapSum implements Sum {

    @Override
    public About about() {
        return new About(
                "gap",
                Family.FASTEN,
                "Gap with washers",
                "Which washers fill the gap between two parts, so that the bolt does not pull them out of shape?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(Ask.length("gap", "Gap, measured", ".100"));
    }

    @Override
    public Answer answer(Figures f) {
        List<GapFill> fills = GapFill.of(
                f.over0("gap"),
                f.bench().catalogue().washers().stream()
                        .filter(w -> !w.name().equals("large-area"))
                        .toList());
        GapFill best = fills.getFirst();
        Answer.Maker out = new Answer.Maker();
        Length sum = best.gap().minus(best.left());
        out.line(
                "Use",
                BoltSum.names(best.washers()),
                "the stack nearest to the gap, then the fewest",
                f.figure(sum) + " for " + f.figure(best.gap()),
                "AN960 / NAS1149",
                "Try it: no light between, and the parts not forced apart.");
        out.line(
                "Left",
                f.fine(best.left()),
                "gap − washers",
                f.figure(best.gap()) + " − " + f.figure(sum) + " = " + f.figure(best.left()),
                "this sum",
                "");
        if (best.left().abs().minus(Length.in(.010)).positive()) {
            out.note(
                    Level.WARNING,
                    "Nothing comes within " + f.fine(Length.in(.010))
                            + ": make a spacer, or ask what the drawing allows.");
        }
        out.note(Level.NOTE, "A gap that is pulled together by the bolt bends a flange and loads it for good.");
        out.heads("Washers", "Thick " + f.shown().symbol(), "Left " + f.shown().symbol());
        fills.stream()
                .limit(10)
                .forEach(x ->
                        out.row(BoltSum.names(x.washers()), f.figure(x.gap().minus(x.left())), f.figure(x.left())));
        return out.answer(picture(f, best));
    }

    private static Picture.Panel picture(Figures f, GapFill fill) {
        Picture.Pen pen = new Picture.Pen();
        double gap = fill.gap().nanometres();
        double wide = Math.max(gap * 3.2, 9e6);
        double part = Math.max(gap * 0.7, 2e6);
        pen.box(Picture.Ink.METAL, -wide, gap, wide, gap + part).box(Picture.Ink.METAL, -wide, -part, wide, 0);
        double y = 0;
        for (Washer w : fill.washers()) {
            washer(y, w, pen, wide, f);
            y += w.thickness().nanometres();
        }
        pen.line(Picture.Ink.SIGHT, 0, -part * 1.2, 0, gap + part * 1.2);
        pen.dim(-wide * 0.8, 0, -wide * 0.8, gap, 0, "gap " + f.fine(fill.gap()));
        return pen.panel("Between the two parts, to scale", 1);
    }

    private static void washer(double y, Washer w, Picture.Pen pen, double wide, Figures f) {
        double top = y + w.thickness().nanometres();
        pen.box(Picture.Ink.WASTE, -wide * 0.42, y, wide * 0.42, top);
        pen.words(
                Picture.Ink.EDGE,
                wide * 0.42,
                (y + top) / 2,
                w.name() + " " + f.fine(w.thickness()),
                Picture.Side.RIGHT);
    }
}
