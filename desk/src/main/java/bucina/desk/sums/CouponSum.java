package bucina.desk.sums;

import bucina.core.dress.Coupon;
import bucina.core.measure.Length;
import bucina.core.rule.Level;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** The stop cage set on scrap, and checked while a row is cut. */
final class CouponSum implements Sum {

    private static final String PRACTICE = "builders' practice: creep up on scrap, check every 20 to 30 holes";

    @Override
    public String code() {
        return "coupon";
    }

    @Override
    public String title() {
        return "Countersink coupon";
    }

    @Override
    public String question() {
        return "Is the stop cage set, does it drift, and after which hole is it checked next?";
    }

    @Override
    public Family family() {
        return Family.FASTEN;
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
        return out.answer(picture(f, c));
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
        c.deeper().ifPresent(d -> stop(out, d, f));
        c.drift()
                .ifPresent(d -> out.line(
                        "Drift in " + c.every() + " holes",
                        signed(f, Length.nm(d * c.every())),
                        "least squares through scrap and checks",
                        c.checks().size() + 1 + " readings",
                        "this sum",
                        "Bits dull and stops slip. Three readings or more."));
    }

    private static Answer.Maker stop(Answer.Maker out, Length d, Figures f) {
        return out.line(
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

    /** Readings over holes: scrap to the left of hole 0, the limits as a band. */
    private static Picture.Panel picture(Figures f, Coupon c) {
        Picture.Pen pen = new Picture.Pen();
        List<Length> all = new ArrayList<>(c.scrap());
        all.addAll(c.checks());
        List<Length> shown = all.subList(Math.max(0, all.size() - 120), all.size());
        int first = c.scrap().size() - (all.size() - shown.size());
        double most = shown.stream()
                .mapToDouble(r -> Math.abs(r.minus(c.target()).nanometres()))
                .max()
                .orElse(0);
        double tall = Math.max(most, Math.max(c.under().nanometres(), c.over().nanometres()) * 1.6 + 1);
        // One reading to the next is 1 mm wide; the plot is a third as tall as wide.
        double step = 1e6;
        double left = -(first + 0.6) * step;
        double right = (shown.size() - first + 1.6) * step;
        double y = (right - left) * 0.2 / tall;
        double low = -c.under().nanometres() * y;
        double high = c.over().nanometres() * y;
        pen.box(Picture.Ink.SHADE, left, low, right, Math.max(high, low + 1));
        pen.line(Picture.Ink.SIGHT, left, 0, right, 0);
        pen.words(Picture.Ink.EDGE, right, 0, "target " + f.fine(c.target()), Picture.Side.RIGHT);
        if (high > tall * y * 0.12) {
            pen.words(Picture.Ink.SOFT, right, high, "wide " + f.fine(c.high()), Picture.Side.RIGHT);
        }
        pen.words(Picture.Ink.SOFT, right, low, "narrow " + f.fine(c.low()), Picture.Side.RIGHT);
        pen.line(Picture.Ink.EDGE, -0.5 * step, -tall * y * 1.1, -0.5 * step, tall * y * 1.1);
        pen.words(Picture.Ink.SOFT, -0.5 * step, tall * y * 1.1, "the work begins", Picture.Side.ABOVE);
        List<Picture.Tick> ticks = new ArrayList<>();
        for (int i = 0; i < shown.size(); i++) {
            double x = (i - first) * step;
            double at = shown.get(i).minus(c.target()).nanometres() * y;
            pen.line(Picture.Ink.EDGE, x, 0, x, at);
            pen.round(
                    c.judge(shown.get(i)) == Coupon.Verdict.GOOD ? Picture.Ink.DONE : Picture.Ink.STOP,
                    x,
                    at,
                    (right - left) * 0.009);
            ticks.add(new Picture.Tick(
                    x, i < first ? "scrap " + (i + 1) : String.valueOf((i - first + 1) * c.every()), Picture.Ink.SOFT));
        }
        if (c.drift().isPresent()) {
            double from = c.line(0).orElseThrow().minus(c.target()).nanometres() * y;
            double to =
                    c.line(c.cut() + c.every()).orElseThrow().minus(c.target()).nanometres() * y;
            pen.line(Picture.Ink.GHOST, -step, from, c.checks().size() * step, to);
        }
        pen.add(new Picture.Running(-tall * y * 1.15, false, ticks));
        return pen.panel(
                "Across the cone, off target, drawn large: scrap at the left, then after so many holes of the work; "
                        + "dashed the drift",
                1);
    }
}
