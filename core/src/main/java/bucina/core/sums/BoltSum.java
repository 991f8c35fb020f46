package bucina.core.sums;

import bucina.core.bolt.BoltChoice;
import bucina.core.bolt.BoltThread;
import bucina.core.bolt.Nut;
import bucina.core.bolt.Washer;
import bucina.core.measure.Length;
import bucina.core.rule.Level;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** A bolt with its washers and its torque. */
final class BoltSum implements Sum {

    @Override
    public About about() {
        return new About(
                "bolt",
                Family.FASTEN,
                "Bolt and washers",
                "Which bolt, which washers under head and nut, and what torque?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                Ask.choice(
                        "thread",
                        "Thread",
                        bench.catalogue().bolts().stream()
                                .filter(t -> !t.grips().isEmpty())
                                .map(BoltThread::name)
                                .toList()),
                Ask.length("layers", "Stack, head side first", ".125,.063"),
                Ask.choice("nut", "Nut", List.of("tension-lock", "shear", "castle", "shear-castle")),
                Ask.line("height", "Nut height, as measured", ""),
                Ask.choice("turn", "The wrench turns", List.of("nut", "head")),
                Ask.line("drag", "Running drag, in-lb", "0"));
    }

    private static Nut nut(Figures f, String thread) {
        return f.empty("height")
                ? Nut.of(f.bench().catalogue().nuts(), f.text("nut"), thread, f.lengths()::parse)
                : Nut.of(
                        f.bench().catalogue().nuts(),
                        (f.is("nut", "tension-lock") ? "tension" : f.text("nut")) + ":" + f.text("height"),
                        thread,
                        h -> f.over0("height"));
    }

    @Override
    public Answer answer(Figures f) {
        BoltThread thread = BoltThread.of(f.bench().catalogue().bolts(), f.text("thread"));
        BoltChoice.Joint joint = new BoltChoice.Joint(
                thread,
                f.list("layers"),
                nut(f, thread.name()),
                BoltChoice.Turn.parse(f.text("turn")),
                f.number("drag"));
        BoltChoice choice = BoltChoice.of(joint, f.bench().catalogue().washers());
        Answer.Maker out = new Answer.Maker();
        numbers(f, choice, out);
        if (choice.best().isEmpty()) {
            out.note(Level.ERROR, choice.why().in(f.shown()));
        }
        notes(joint, out);
        out.heads(
                "Bolt",
                "Under the head",
                "Under the nut",
                "Threads showing",
                "Grip " + f.shown().symbol(),
                "Length " + f.shown().symbol());
        choice.fits().stream()
                .limit(40)
                .forEach(x -> out.row(
                        x.bolt().designation(),
                        names(x.underHead()),
                        names(x.underNut()),
                        one(x.showing()),
                        f.figure(x.bolt().grip()),
                        f.figure(x.bolt().length())));
        return out.answer(picture(f, choice));
    }

    private static void numbers(Figures f, BoltChoice choice, Answer.Maker out) {
        BoltChoice.Joint joint = choice.asked();
        out.line(
                "Use",
                choice.best().map(x -> x.bolt().designation()).orElse("none fits"),
                "grip ≥ stack + washers under head − p;  C ≥ grip;  length ≥ C + nut + p",
                "p = " + f.figure(joint.thread().pitch()) + ", nut "
                        + f.figure(joint.nut().height()) + ", stack " + f.figure(joint.stack()),
                joint.thread().source() + "; nut " + joint.nut().source(),
                choice.why().in(f.shown()));
        choice.best().ifPresent(x -> {
            out.line(
                    "Under the head",
                    names(x.underHead()),
                    "",
                    "",
                    "AN960 / NAS1149, AN970",
                    "A washer lies under the part that turns.");
            out.line("Under the nut", names(x.underNut()), "", "", "AN960 / NAS1149, AN970", "");
            out.line(
                    "Threads showing",
                    one(x.showing()),
                    "(length − C − nut) / p",
                    "",
                    "AC 43.13-1B practice",
                    "One at the least; over three, another washer is " + "tried first.");
        });
        BoltThread.Torque t = joint.torque();
        out.line(
                "Torque",
                "%.0f to %.0f in-lb".formatted(t.low(), t.high()),
                "table + running drag",
                joint.nut().kind().slotted()
                        ? "no drag"
                        : "%.0f to %.0f + %s".formatted(t.low() - joint.drag(), t.high() - joint.drag(), joint.drag()),
                joint.thread().source(),
                "Dry threads, " + (joint.nut().kind().shear() ? "shear" : "tension") + " nut.");
    }

    private static void notes(BoltChoice.Joint joint, Answer.Maker out) {
        joint.notes().forEach(n -> out.note(Level.WARNING, n));
        out.note(
                Level.NOTE,
                "After torque a stripe of paint; a drilled head takes safety wire. Log torque, drag and their sum. "
                        + "The drawing governs.");
    }

    static String names(List<Washer> washers) {
        return washers.isEmpty()
                ? "none"
                : washers.stream()
                        .collect(Collectors.groupingBy(Washer::name, LinkedHashMap::new, Collectors.counting()))
                        .entrySet()
                        .stream()
                        .map(e -> (e.getValue() > 1 ? e.getValue() + " " : "") + e.getKey())
                        .collect(Collectors.joining(" + "));
    }

    private static String one(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    /** The joint with its bolt, head up. */
    private static Picture.Panel picture(Figures f, BoltChoice choice) {
        Picture.Pen pen = new Picture.Pen();
        BoltChoice.Joint joint = choice.asked();
        double d = joint.thread().shank().nanometres();
        double flats = joint.thread().head().nanometres();
        double wide = flats * 1.9;
        double y = 0;
        int n = 0;
        for (Length layer : joint.layers()) {
            double low = y - layer.nanometres();
            pen.box(n % 2 == 0 ? Picture.Ink.METAL : Picture.Ink.SHADE, -wide, low, wide, y);
            pen.words(Picture.Ink.EDGE, wide, (y + low) / 2, ++n + "  " + f.fine(layer), Picture.Side.RIGHT);
            y = low;
        }
        double[] under = {0};
        double[] above = {0};
        choice.best().ifPresent(x -> {
            x.underHead().forEach(w -> {
                washer(f, pen, w, flats, above[0], above[0] + w.thickness().nanometres());
                above[0] += w.thickness().nanometres();
            });
            double bottom = -joint.stack().nanometres();
            for (Washer w : x.underNut()) {
                washer(f, pen, w, flats, bottom - under[0] - w.thickness().nanometres(), bottom - under[0]);
                under[0] += w.thickness().nanometres();
            }
            bolt(f, pen, joint, x, d, flats, above[0], bottom - under[0]);
        });
        return pen.panel("Head up, to scale; dashed where the plain shank ends", 1);
    }

    private static void washer(Figures f, Picture.Pen pen, Washer w, double flats, double low, double high) {
        double half = flats * (w.name().equals("large-area") ? 1.1 : 0.68);
        pen.box(Picture.Ink.WASTE, -half, low, half, high);
        pen.words(Picture.Ink.SOFT, -half, (low + high) / 2, w.name() + " " + f.fine(w.thickness()), Picture.Side.LEFT);
    }

    private static void bolt(
            Figures f,
            Picture.Pen pen,
            BoltChoice.Joint joint,
            BoltChoice.Fit x,
            double d,
            double flats,
            double top,
            double seat) {
        double end = top - x.bolt().length().nanometres();
        double shankEnd = top - x.bolt().grip().nanometres();
        double nut = seat - joint.nut().height().nanometres();
        pen.box(Picture.Ink.BLUE, -d / 2, end, d / 2, top);
        pen.box(Picture.Ink.BLUE, -flats / 2, top, flats / 2, top + d * 0.62);
        pen.box(Picture.Ink.BLUE, -flats / 2, nut, flats / 2, seat);
        pen.line(Picture.Ink.SIGHT, -d * 0.9, shankEnd, d * 0.9, shankEnd);
        for (double y = shankEnd - joint.thread().pitch().nanometres();
                y > end;
                y -= joint.thread().pitch().nanometres()) {
            pen.line(Picture.Ink.TANGENT, -d / 2, y + joint.thread().pitch().nanometres() * 0.4, d / 2, y);
        }
        double at = flats * 1.25;
        pen.dim(at, shankEnd, at, top, -14, "grip " + f.fine(x.bolt().grip()));
        pen.dim(
                -at * 1.75,
                end,
                -at * 1.75,
                top,
                14,
                x.bolt().designation() + ", " + f.fine(x.bolt().length()));
        pen.dim(flats * 0.75, end, flats * 0.75, nut, -10, one(x.showing()) + " threads");
        pen.words(
                Picture.Ink.TANGENT,
                flats / 2,
                (nut + seat) / 2,
                joint.nut().name() + " " + f.fine(joint.nut().height()),
                Picture.Side.RIGHT);
    }
}
