package bucina.core.sums;

import bucina.core.rule.Level;
import bucina.core.spare.Spare;
import java.util.List;

/** How many of one kind of fastener to order, with a spare for those that will be rejected. */
final class SpareSum implements Sum {

    private static final double HIGH = 8e6;

    @Override
    public About about() {
        return new About(
                "spare",
                Family.FASTEN,
                "Spare to order",
                "So many are still to be set: how many to order, with a spare by your own rejects?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                Ask.line("left", "Still to be set", "120"),
                Ask.line("driven", "Driven so far", "340"),
                Ask.line("rejected", "Rejected of those", "9"),
                Ask.line("hand", "On hand", "100"),
                Ask.line("pack", "Sold by", "50"));
    }

    @Override
    public Answer answer(Figures f) {
        int left = f.whole("left", 0);
        int driven = f.whole("driven", 0);
        int rejected = f.whole("rejected", 0);
        int hand = f.whole("hand", 0);
        int pack = f.whole("pack");
        Spare spare = Spare.of(left, driven, rejected, hand, pack);
        String source =
                "handbook of the trade: one in twenty where nothing is known, your own share the more you drive";
        Answer.Maker out = new Answer.Maker();
        out.line(
                "Wanted with the spare",
                Integer.toString(spare.need()),
                "m + ⌈m (r + 1) / (n + 20)⌉",
                left + " + ⌈" + left + " · " + (rejected + 1) + " / " + (driven + 20) + "⌉",
                source,
                "%.1f %% are reckoned to be rejected.".formatted(100 * spare.rejectShare()));
        out.line(
                "To order",
                Integer.toString(spare.order()),
                "wanted less on hand, in packs",
                spare.need() + " - " + hand + ", by " + pack,
                source,
                "");
        out.note(
                Level.NOTE,
                spare.order() == 0
                        ? "What is on hand is enough, spare and all."
                        : "The Stores room does this for every fastener of the build, from its log.");
        return out.answer(picture(left, spare, hand));
    }

    private static Picture.Panel picture(int left, Spare spare, int hand) {
        Picture.Pen pen = new Picture.Pen();
        double one = 100e6 / Math.max(1, Math.max(spare.need(), hand + spare.order()));
        pen.box(Picture.Ink.BLUE, 0, 0, left * one, HIGH);
        pen.box(Picture.Ink.GHOST, left * one, 0, spare.need() * one, HIGH);
        pen.words(Picture.Ink.EDGE, 0, HIGH / 2, "wanted, and its spare", Picture.Side.LEFT);
        pen.box(Picture.Ink.METAL, 0, -1.5 * HIGH, hand * one, -HIGH / 2);
        pen.box(Picture.Ink.GHOST, hand * one, -1.5 * HIGH, (hand + spare.order()) * one, -HIGH / 2);
        pen.words(Picture.Ink.EDGE, 0, -HIGH, "on hand, and to order", Picture.Side.LEFT);
        return pen.panel("Wanted above, there below", 1);
    }
}
