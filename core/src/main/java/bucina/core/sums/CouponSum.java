package bucina.core.sums;

import bucina.core.dress.Coupon;
import bucina.core.measure.Length;
import bucina.core.rule.Level;
import java.util.List;
import java.util.Locale;

/** The stop cage set on scrap, and checked while a row is cut. */
final class CouponSum implements Sum {

    private static final String PRACTICE = "builders' practice: creep up on scrap, check every 20 to 30 holes";

    @Override
    public About about() {
        return new About(
                "coupon",
                Family.FASTEN,
                "Countersink coupon",
                "Is the stop cage set, does it drift, and after which hole is it checked next?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                Ask.choice("head", "Head", NestSum.heads(bench)),
                Ask.length("skin", "Dimpled above (0: none)", "0"),
                Ask.line("target", "Target, if drawn", ""),
                new Ask("under", "Good down to, under", Ask.Kind.LINE, List.of(), ".004", "0.1"),
                new Ask("over", "Good up to, over", Ask.Kind.LINE, List.of(), ".001", "0.025"),
                new Ask("scrap", "Read on scrap", Ask.Kind.READINGS, List.of(), ".165, .172, .178", "4.19, 4.37, 4.52"),
                new Ask("checks", "Checks on the work", Ask.Kind.READINGS, List.of(), ".1775, .1765", "4.51, 4.48"),
                Ask.line("every", "Holes between checks", "25"));
    }

    @Override
    public Answer answer(Figures f) {
        NestSum.Head head = NestSum.head(f);
        Length skin = f.signed("skin").stream().reduce(Length.ZERO, Length::plus);
        Length target = f.maybe("target").orElseGet(() -> head.cone().nestDiameter(skin));
        Coupon c = coupon(target, f, head);
        Answer.Maker out = new Answer.Maker();
        say(out, f, c);
        limits(out, f, c, target, head);
        drift(c, out, f);
        if (!c.scrap().isEmpty()) {
            readTable(out, f, c);
        }
        return out.answer(CouponPicture.of(f, c));
    }

    private static Coupon coupon(Length target, Figures f, NestSum.Head head) {
        return new Coupon(
                target,
                f.length("under"),
                f.length("over"),
                head.cone().halfAngle(),
                readings(f, "scrap"),
                readings(f, "checks"),
                f.whole("every"));
    }

    private static void readTable(Answer.Maker out, Figures f, Coupon c) {
        out.heads(
                "Reading",
                "After hole",
                "Across " + f.shown().symbol(),
                "Off target " + f.shown().symbol(),
                "Verdict");
        for (int i = 0; i < c.scrap().size(); i++) {
            row(out, f, c, "scrap " + (i + 1), "none", c.scrap().get(i));
        }
        for (int i = 0; i < c.checks().size(); i++) {
            row(
                    out,
                    f,
                    c,
                    "check " + (i + 1),
                    String.valueOf((i + 1) * c.every()),
                    c.checks().get(i));
        }
    }

    private static void drift(Coupon c, Answer.Maker out, Figures f) {
        c.deeper().ifPresent(d -> deeper(out, d, f));
        c.drift()
                .ifPresent(d -> out.line(
                        "Drift in " + c.every() + " holes",
                        signed(f, Length.nm(d * c.every())),
                        "least squares through scrap and checks",
                        c.checks().size() + 1 + " readings",
                        "this sum",
                        "Bits dull and stops slip. Three readings or more."));
    }

    private static void deeper(Answer.Maker out, Length d, Figures f) {
        out.line(
                d.atLeast(Length.ZERO) ? "Stop to target, deeper" : "Stop to target, back off",
                f.fine(d.abs()),
                "(target − read) / (2 tan θ)",
                "from the last reading",
                PRACTICE,
                "A click of the cage is often .001 in: go under half of it, then read again.");
    }

    private static void limits(Answer.Maker out, Figures f, Coupon c, Length target, NestSum.Head head) {
        out.line(
                "Good from, to",
                f.fine(c.low()) + " to " + f.fine(c.high()),
                "target − under, target + over",
                f.figure(target) + " − " + f.figure(c.under()) + ", + " + f.figure(c.over()),
                "the drawing's limits, or those typed",
                "Both limits are good.");
        out.line(
                "Target",
                f.fine(target),
                f.empty("target") ? "Dhead + 2 ts (1 − sin θ) / cos θ" : "as drawn",
                "",
                head.source(),
                "Across the top of the cone; θ is 50°.");
    }

    private static List<Length> readings(Figures f, String key) {
        return f.empty(key) ? List.of() : f.list(key);
    }

    private static void row(Answer.Maker out, Figures f, Coupon c, String name, String hole, Length read) {
        out.row(
                name,
                hole,
                f.figure(read),
                signed(f, read.minus(c.target())).replaceAll(" .*", ""),
                c.judge(read).name().toLowerCase(Locale.ROOT));
    }

    private static String signed(Figures f, Length length) {
        return (length.atLeast(Length.ZERO) ? "+" : "−") + f.fine(length.abs());
    }

    private static void say(Answer.Maker out, Figures f, Coupon c) {
        switch (c.state()) {
            case BEGIN ->
                next(
                        out,
                        "set well shallow, cut scrap",
                        "Scrap of the same sheet, with the same hole, clamped flat. Type what it measures.");
            case CREEP ->
                next(
                        out,
                        "deeper by " + f.fine(c.deeper().orElseThrow().times(0.5)) + ", then read",
                        "Half of what is missing: too shallow is mended, too deep is not.");
            case BACK_OFF -> backOff(out, f, c);
            case CUT -> goOn(out, c);
            case CUT_AGAIN -> again(out, c, f);
            case STOP -> stop(out, c, f);
        }
        out.note(
                Level.NOTE,
                "Near an edge the cage tips, beside a bracket it does not fit: V lists those holes. Touch up the "
                        + "bare metal after cutting.");
    }

    private static void stop(Answer.Maker out, Coupon c, Figures f) {
        next(out, "STOP, measure the last " + c.suspect(), "From the last check that was good.");
        out.note(
                Level.ERROR,
                "The last check is too deep by "
                        + f.fine(c.checks().getLast().minus(c.high()))
                        + ". Stop. Measure back hole by hole until one is good; ask the kit's maker about "
                        + "those that are not, before anything is set in them.");
    }

    private static void again(Answer.Maker out, Coupon c, Figures f) {
        next(out, "set the stop on scrap, cut " + c.suspect() + " again", "Too shallow is mended.");
        out.note(
                Level.WARNING,
                "The last check is too shallow by "
                        + f.fine(c.low().minus(c.checks().getLast())) + ": the last " + c.suspect()
                        + " holes may be, too. Set the stop on scrap and cut them again.");
    }

    private static void goOn(Answer.Maker out, Coupon c) {
        next(
                out,
                "after hole " + c.next(),
                c.crossing()
                        .filter(h -> h < c.cut() + c.every())
                        .map(h -> "The drift leaves the limits at hole " + h + ", sooner than the " + c.every()
                                + " holes: check there and set the stop.")
                        .orElse("Try a rivet, or the dimpled coupon, in it too."));
        c.crossing()
                .filter(h -> h < c.cut() + c.every())
                .ifPresent(h -> out.note(
                        Level.WARNING,
                        "At this drift hole " + (h + 1) + " is out of the limits: set the stop before it."));
    }

    private static void backOff(Answer.Maker out, Figures f, Coupon c) {
        next(
                out,
                "back off " + f.fine(c.deeper().orElseThrow().abs()) + ", fresh scrap",
                "A cut does not get narrower: read on a new coupon.");
        out.note(
                Level.WARNING,
                "The scrap is too deep by " + f.fine(c.scrap().getLast().minus(c.high()))
                        + ". It is scrap: that is what it is for.");
    }

    private static void next(Answer.Maker out, String what, String note) {
        out.line("Next", what, "the last reading against the limits", "", PRACTICE, note);
    }
}
