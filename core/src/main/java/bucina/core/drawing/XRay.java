package bucina.core.drawing;

import bucina.core.hand.Hands;
import bucina.core.log.Logbook;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Layer;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Box;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Segment;
import bucina.core.sheet.Trace;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A spot of a face in true size, seen through: every sheet, the flanges behind, the tails of what is set, and round
 * all of it a band in which no hole may come: what a hole drilled there would break.
 */
public final class XRay {

    private static final Length SMALL = Length.mm(1.9);
    /** Chords of an arc, and dashes of a band, are this long, nm. */
    private static final double CHORD = 1e6;

    private final Build.FaceRef ref;
    private final FaceReading reading;
    private final RuleSet rules;
    private final Logbook log;
    private final Length drill;
    private final Box box;
    private final List<Drawing.Shape> shapes = new ArrayList<>();

    private XRay(Build.FaceRef ref, FaceReading reading, RuleSet rules, Logbook log, Length drill, Box box) {
        this.ref = ref;
        this.reading = reading;
        this.rules = rules;
        this.log = log;
        this.drill = drill;
        this.box = box;
    }

    /**
     * The template.
     *
     * @param log   tells which fasteners are in: their tails are drawn
     * @param drill diameter of what is to be drilled there; the band is wide enough for it
     * @param spot  its middle; empty for the whole face
     * @param size  how wide and high the spot is, over 0
     */
    public static Template of(
            Build.FaceRef ref,
            FaceReading reading,
            RuleSet rules,
            Logbook log,
            Length drill,
            Optional<Point> spot,
            Length size) {
        double half = size.nanometres() / 2;
        Box box = spot.map(p -> new Box(p.x() - half, p.y() - half, p.x() + half, p.y() + half))
                .orElseGet(() -> ref.face().layers().stream()
                        .map(l -> l.outline().box())
                        .reduce(Box::with)
                        .orElse(new Box(0, 0, half, half)));
        XRay ray = new XRay(ref, reading, rules, log, drill, box);
        ray.draw();
        return new Template(
                "X-ray of " + ref.face().name(),
                Hands.banner(ref.assembly()),
                ref.face().viewed(),
                ref.face().xToward(),
                ref.face().yToward(),
                new Drawing(ray.shapes));
    }

    private void draw() {
        frame();
        for (Layer layer : ref.face().layers()) {
            ring("SHEETS", layer.outline().outer());
            layer.outline().openings().forEach(o -> ring("SHEETS", o));
            band(layer);
            flange(layer);
        }
        for (int i : reading.in(box)) {
            hole(reading.reading(i));
        }
    }

    private void frame() {
        shapes.add(new Drawing.Path(
                "FRAME",
                List.of(
                        Corner.of(new Point(box.minX(), box.minY())),
                        Corner.of(new Point(box.maxX(), box.minY())),
                        Corner.of(new Point(box.maxX(), box.maxY())),
                        Corner.of(new Point(box.minX(), box.maxY()))),
                true));
    }

    /** Two diameters of what is drilled from every edge. */
    private void band(Layer layer) {
        double least = rules.times(RuleKey.EDGE_LEAST_PROTRUDING, drill).nanometres();
        dashed(layer.outline().outer(), least);
        layer.outline().openings().forEach(o -> dashed(o, least));
    }

    /** Where a flange stands up, and the clear metal that a head and a drill want beside it. */
    private void flange(Layer layer) {
        double clear = rules.length(RuleKey.TANGENT_CLEAR).nanometres() + drill.nanometres();
        for (Segment bend : layer.bends()) {
            line("FLANGES", bend.a(), bend.b());
            words(bend.a(), layer.name() + " " + layer.flange().stands().code());
            double length = bend.a().to(bend.b()).nanometres();
            double nx = -(bend.b().y() - bend.a().y()) / length * clear;
            double ny = (bend.b().x() - bend.a().x()) / length * clear;
            for (int side = -1; side <= 1; side += 2) {
                dashes(
                        new Point(bend.a().x() + side * nx, bend.a().y() + side * ny),
                        new Point(bend.b().x() + side * nx, bend.b().y() + side * ny));
            }
        }
    }

    /** The hole, its tail where it is set, and a ring in which no other may come. */
    private void hole(HoleReading r) {
        Point at = r.hole().at();
        circle("HOLES", at, r.solution().hole().nanometres() / 2);
        boolean set = log.set(r.hole());
        if (set) {
            circle("TAILS", at, r.solution().heads().tail().nanometres());
        }
        double d = r.solution().fastener().shank().max(drill).nanometres();
        ringed(at, rules.times(RuleKey.PITCH_LEAST, Length.nm(d)).nanometres());
        words(new Point(at.x() + d, at.y() + d / 2), r.label() + (set ? "" : " open"));
    }

    private void words(Point at, String text) {
        if (inside(at)) {
            shapes.add(new Drawing.Words("WORDS", at, SMALL, text));
        }
    }

    private boolean inside(Point p) {
        return p.x() >= box.minX() && p.x() <= box.maxX() && p.y() >= box.minY() && p.y() <= box.maxY();
    }

    private void circle(String layer, Point at, double radius) {
        shapes.add(new Drawing.Path(
                layer,
                List.of(
                        new Corner(new Point(at.x() + radius, at.y()), 1),
                        new Corner(new Point(at.x() - radius, at.y()), 1)),
                true));
    }

    /** A ring of dashes. */
    private void ringed(Point at, double radius) {
        int n = (int) Math.max(12, Math.ceil(2 * Math.PI * radius / CHORD / 2) * 2);
        for (int i = 0; i < n; i += 2) {
            line("BAND", on(at, radius, i, n), on(at, radius, i + 1, n));
        }
    }

    private static Point on(Point at, double radius, int i, int n) {
        double angle = 2 * Math.PI * i / n;
        return new Point(at.x() + radius * Math.cos(angle), at.y() + radius * Math.sin(angle));
    }

    // ---- what lies in the frame

    private void ring(String layer, Ring ring) {
        chords(ring).forEach(c -> line(layer, c.a(), c.b()));
    }

    private static List<Segment> chords(Ring ring) {
        List<Point> points = Trace.of(ring, CHORD / 20);
        List<Segment> chords = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            Point next = points.get((i + 1) % points.size());
            if (points.get(i).to(next).positive()) {
                chords.add(new Segment(points.get(i), next));
            }
        }
        return chords;
    }

    /** The line so far inside a ring's edge, dashed; beside openings so far outside. Drawn edge by edge. */
    private void dashed(Ring ring, double by) {
        for (Segment chord : chords(ring)) {
            double length = chord.a().to(chord.b()).nanometres();
            if (length > 0) {
                double nx = -(chord.b().y() - chord.a().y()) / length * by;
                double ny = (chord.b().x() - chord.a().x()) / length * by;
                for (int side = -1; side <= 1; side += 2) {
                    Point a = new Point(chord.a().x() + side * nx, chord.a().y() + side * ny);
                    Point b = new Point(chord.b().x() + side * nx, chord.b().y() + side * ny);
                    if (metal(new Point((a.x() + b.x()) / 2, (a.y() + b.y()) / 2))) {
                        dashes(a, b);
                    }
                }
            }
        }
    }

    /** True where there is metal that could be drilled. */
    private boolean metal(Point p) {
        return ref.face().layers().stream().anyMatch(l -> l.outline().covers(p));
    }

    private void dashes(Point a, Point b) {
        double length = a.to(b).nanometres();
        int n = (int) Math.max(1, Math.round(length / CHORD / 2));
        for (int i = 0; i < n; i++) {
            double from = (double) i / n;
            double to = from + .5 / n;
            line("BAND", along(a, b, from), along(a, b, n == 1 && length < CHORD ? 1 : to));
        }
    }

    private static Point along(Point a, Point b, double t) {
        return new Point(a.x() + (b.x() - a.x()) * t, a.y() + (b.y() - a.y()) * t);
    }

    /** The part of a line that lies in the frame. */
    private void line(String layer, Point a, Point b) {
        double from = 0;
        double to = 1;
        double dx = b.x() - a.x();
        double dy = b.y() - a.y();
        double[][] sides = {
            {-dx, a.x() - box.minX()}, {dx, box.maxX() - a.x()}, {-dy, a.y() - box.minY()}, {dy, box.maxY() - a.y()}
        };
        for (double[] side : sides) {
            if (side[0] == 0) {
                if (side[1] < 0) {
                    return;
                }
            } else if (side[0] < 0) {
                from = Math.max(from, side[1] / side[0]);
            } else {
                to = Math.min(to, side[1] / side[0]);
            }
        }
        if (from < to) {
            shapes.add(
                    new Drawing.Path(layer, List.of(Corner.of(along(a, b, from)), Corner.of(along(a, b, to))), false));
        }
    }
}
