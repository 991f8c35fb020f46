package bucina.core.sums;

import bucina.core.measure.Length;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.Level;
import bucina.core.rule.RuleKey;
import java.util.List;

/** Edge distance of a hole. */
final class EdgeSum implements Sum {

    @Override
    public About about() {
        return new About(
                "edge",
                Family.FASTEN,
                "Edge distance",
                "Is this hole far enough from the edge, and would the next size up still be?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                Ask.length("diameter", "Rivet diameter", "1/8"),
                Ask.choice("head", "Head", List.of("flush", "protruding")),
                Ask.length("distance", "Centre to edge", ".34"));
    }

    @Override
    public Answer answer(Figures f) {
        Length d = f.over0("diameter");
        boolean flush = f.is("head", "flush");
        Length at = f.length("distance");
        EdgeRule rule = EdgeRule.of(f.rules(), d, flush);
        EdgeRule next = EdgeRule.of(f.rules(), d.plus(Length.fraction(1, 32)), flush);
        RuleKey key = flush ? RuleKey.EDGE_LEAST_FLUSH : RuleKey.EDGE_LEAST_PROTRUDING;
        Answer.Maker out = new Answer.Maker().findings(rule.judge(at), f.shown());
        out.line(
                "Edge distance",
                f.fine(at) + ", %.2f D".formatted(at.per(d)),
                "e / D",
                f.figure(at) + " / " + f.figure(d),
                "measured from the hole's centre",
                "");
        out.line(
                "Least",
                f.fine(rule.least()),
                f.rules().rule(key).value() + " D",
                f.rules().rule(key).value() + " × " + f.figure(d) + " = " + f.figure(rule.least()),
                rule.source(),
                "");
        out.line(
                "Most, along an edge",
                f.fine(rule.most()),
                f.rules().rule(RuleKey.EDGE_MOST).value() + " D",
                "",
                f.source(RuleKey.EDGE_MOST),
                "");
        out.line(
                "Next size up asks for",
                f.fine(next.least()),
                f.rules().rule(key).value() + " × (D + 1/32)",
                f.rules().rule(key).value() + " × " + f.figure(next.shank()) + " = " + f.figure(next.least()),
                rule.source(),
                "What an egged hole drilled one size up needs.");
        out.note(
                next.allows(at) ? Level.NOTE : Level.WARNING,
                next.allows(at)
                        ? "There is room for one size up, should a hole be spoiled."
                        : "There is no room for one size up: a spoiled hole here cannot be saved that way. Drill it "
                                + "once and well.");
        return out.answer(picture(f, rule, at, d));
    }

    private static Picture.Panel picture(Figures f, EdgeRule rule, Length at, Length d) {
        Picture.Pen pen = new Picture.Pen();
        double e = at.nanometres();
        double most = Math.max(rule.most().nanometres(), e) * 1.15;
        double half = most * 0.8;
        pen.box(Picture.Ink.METAL, -half, 0, half, most);
        pen.line(
                Picture.Ink.GHOST,
                -half,
                rule.least().nanometres(),
                half,
                rule.least().nanometres());
        pen.words(
                Picture.Ink.EDGE, half, rule.least().nanometres(), "least " + f.fine(rule.least()), Picture.Side.RIGHT);
        pen.line(
                Picture.Ink.GHOST,
                -half,
                rule.most().nanometres(),
                half,
                rule.most().nanometres());
        pen.words(Picture.Ink.EDGE, half, rule.most().nanometres(), "most " + f.fine(rule.most()), Picture.Side.RIGHT);
        pen.round(rule.allows(at) ? Picture.Ink.BLUE : Picture.Ink.STOP, 0, e, d.nanometres() / 2);
        pen.dim(-half * 0.4, 0, -half * 0.4, e, 0, f.fine(at));
        pen.words(Picture.Ink.SOFT, -half, 0, "edge", Picture.Side.LEFT);
        return pen.panel("The hole and its edge, to scale; dashed the limits", 1);
    }
}
