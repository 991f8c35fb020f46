package bucina.core.sums;

import bucina.core.dress.Coupon;
import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.List;

/** Readings of a coupon across the cone, off target, drawn large: scrap at the left, then checks on the work. */
final class CouponPicture {

    /** Readings that are shown at the most. */
    private static final int MOST = 120;
    /** One reading to the next is 1 mm wide; the plot is a third as tall as wide. */
    private static final double STEP = 1e6;

    private final Figures f;
    private final Coupon c;
    private final Picture.Pen pen = new Picture.Pen();
    private final List<Length> shown;
    private final int first;
    private final double left;
    private final double right;
    /** Half the height of the plot, and how much larger than life it is. */
    private final double tall;

    private final double y;

    private CouponPicture(Figures f, Coupon c) {
        this.f = f;
        this.c = c;
        List<Length> all = new ArrayList<>(c.scrap());
        all.addAll(c.checks());
        shown = all.subList(Math.max(0, all.size() - MOST), all.size());
        first = c.scrap().size() - (all.size() - shown.size());
        left = -(first + 0.6) * STEP;
        right = (shown.size() - first + 1.6) * STEP;
        double most = shown.stream().mapToDouble(r -> Math.abs(off(r))).max().orElse(0);
        double limits = Math.max(c.under().nanometres(), c.over().nanometres());
        double off = Math.max(most, limits * 1.6 + 1);
        y = (right - left) * 0.2 / off;
        tall = off * y;
    }

    static Picture.Panel of(Figures f, Coupon c) {
        CouponPicture picture = new CouponPicture(f, c);
        picture.limits();
        picture.readings();
        picture.drift();
        return picture.pen.panel(
                "Across the cone, off target, drawn large: scrap at the left, then after so many holes of the work; "
                        + "dashed the drift",
                1);
    }

    private double off(Length reading) {
        return reading.minus(c.target()).nanometres();
    }

    private void limits() {
        double low = -c.under().nanometres() * y;
        double high = c.over().nanometres() * y;
        pen.box(Picture.Ink.SHADE, left, low, right, Math.max(high, low + 1));
        pen.line(Picture.Ink.SIGHT, left, 0, right, 0);
        pen.words(Picture.Ink.EDGE, right, 0, "target " + f.fine(c.target()), Picture.Side.RIGHT);
        if (high > tall * 0.12) {
            pen.words(Picture.Ink.SOFT, right, high, "wide " + f.fine(c.high()), Picture.Side.RIGHT);
        }
        pen.words(Picture.Ink.SOFT, right, low, "narrow " + f.fine(c.low()), Picture.Side.RIGHT);
        pen.line(Picture.Ink.EDGE, -0.5 * STEP, -tall * 1.1, -0.5 * STEP, tall * 1.1);
        pen.words(Picture.Ink.SOFT, -0.5 * STEP, tall * 1.1, "the work begins", Picture.Side.ABOVE);
    }

    private void readings() {
        List<Picture.Tick> ticks = new ArrayList<>();
        for (int i = 0; i < shown.size(); i++) {
            double x = (i - first) * STEP;
            double at = off(shown.get(i)) * y;
            boolean good = c.judge(shown.get(i)) == Coupon.Verdict.GOOD;
            pen.line(Picture.Ink.EDGE, x, 0, x, at);
            pen.round(good ? Picture.Ink.DONE : Picture.Ink.STOP, x, at, (right - left) * 0.009);
            String words = i < first ? "scrap " + (i + 1) : String.valueOf((i - first + 1) * c.every());
            ticks.add(new Picture.Tick(x, words, Picture.Ink.SOFT));
        }
        pen.add(new Picture.Running(-tall * 1.15, false, ticks));
    }

    private void drift() {
        if (c.drift().isPresent()) {
            double from = off(c.line(0).orElseThrow()) * y;
            double to = off(c.line(c.cut() + c.every()).orElseThrow()) * y;
            pen.line(Picture.Ink.GHOST, -STEP, from, c.checks().size() * STEP, to);
        }
    }
}
