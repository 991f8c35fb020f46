package bucina.store.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.Intake;
import bucina.core.measure.Unit;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.store.dxf.DxfReader;
import bucina.store.svg.SvgReader;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Random parts, drawn by a writer of the test's own in random places, hands, nestings, pieces and units, come in as
 * they were drawn, to a thousandth of a millimetre. Arcs are held by points on them, worked out from their centres.
 */
class RandomPartsTest {

    private static final int PARTS = 250;

    /** A plane move: x' = a x + c y + e, y' = b x + d y + f. */
    private record Move(double a, double b, double c, double d, double e, double f) {
        double[] at(double x, double y) {
            return new double[] {a * x + c * y + e, b * x + d * y + f};
        }

        Move after(Move in) {
            return new Move(
                    a * in.a + c * in.b,
                    b * in.a + d * in.b,
                    a * in.c + c * in.d,
                    b * in.c + d * in.d,
                    a * in.e + c * in.f + e,
                    b * in.e + d * in.f + f);
        }

        boolean mirrors() {
            return a * d - b * c < 0;
        }
    }

    /** An edge from here; one with a radius is an arc about (cx, cy) through a sweep. */
    private record Edge(double x, double y, double cx, double cy, double r, double from, double sweep) {
        double[] at(double t) {
            return new double[] {cx + r * Math.cos(from + sweep * t), cy + r * Math.sin(from + sweep * t)};
        }
    }

    private record Hole(double x, double y, double d) {}

    /** A part, mm: an outline whose hand can be told, openings in it and holes. */
    private record Part(List<List<Edge>> lines, List<Hole> holes) {}

    private static Edge straight(double x, double y) {
        return new Edge(x, y, 0, 0, 0, 0, 0);
    }

    /** A corner at (x, y) rounded by r, coming along (ux, uy) and turning a quarter to the left. */
    private static void rounded(List<Edge> line, double x, double y, double ux, double uy, double r) {
        double sx = x - ux * r;
        double sy = y - uy * r;
        double cx = sx - uy * r;
        double cy = sy + ux * r;
        line.add(new Edge(sx, sy, cx, cy, r, Math.atan2(sy - cy, sx - cx), Math.PI / 2));
        line.add(straight(x - uy * r, y + ux * r));
    }

    private static Part part(Random random) {
        double w = 60 + random.nextInt(200) + random.nextDouble();
        double h = 40 + random.nextInt(100) + random.nextDouble();
        List<Edge> outer = new ArrayList<>();
        outer.add(straight(0, 0));
        outer.add(straight(w - 11, 0));
        outer.add(straight(w, 17));
        rounded(outer, w, h, 0, 1, 3 + random.nextInt(9));
        double r = 2 + 6 * random.nextDouble();
        rounded(outer, 0, h, -1, 0, r);
        List<List<Edge>> lines = new ArrayList<>(List.of(outer));
        double x = 20;
        while (x < w - 40 && lines.size() < 4) {
            double half = 7 + random.nextInt(4);
            double y = h / 2;
            lines.add(
                    random.nextBoolean()
                            ? List.of(
                                    new Edge(x + half, y, x, y, half, 0, Math.PI * 1.5),
                                    straight(x, y - half),
                                    straight(x + half, y - half))
                            : List.of(
                                    straight(x - 6, y - 5),
                                    straight(x + 6, y - 5),
                                    straight(x + 6, y + 4),
                                    straight(x - 6, y + 5)));
            x += 28;
        }
        List<Hole> holes = new ArrayList<>();
        for (int i = 0; i < 2 + random.nextInt(6); i++) {
            holes.add(new Hole(
                    12 + i * 7.5 + random.nextDouble(), 4, random.nextBoolean() ? 2.5 : 3.2 + random.nextInt(3)));
        }
        return new Part(lines, holes);
    }

    private static Move random(Random random) {
        double t = random.nextInt(4) == 0 ? random.nextInt(4) * Math.PI / 2 : random.nextDouble() * 7;
        double m = random.nextBoolean() ? 1 : -1;
        return new Move(
                m * Math.cos(t),
                m * Math.sin(t),
                -Math.sin(t),
                Math.cos(t),
                random.nextInt(900) - 450 + random.nextDouble(),
                random.nextInt(900) - 450);
    }

    private static String n(double value) {
        return String.format(Locale.ROOT, "%.9f", value);
    }

    // ---- DXF: pieces in any order and direction, in blocks in blocks, turned over, in any unit

    private static String dxf(Part part, Move outer, Move inner, Random random, int insunits, double per) {
        List<String> pieces = new ArrayList<>();
        for (List<Edge> line : part.lines) {
            boolean whole = random.nextInt(3) == 0;
            if (whole) {
                pieces.add(polyline(line, per, random));
            } else {
                for (int i = 0; i < line.size(); i++) {
                    pieces.add(piece(line.get(i), line.get((i + 1) % line.size()), per, random));
                }
            }
        }
        part.holes.forEach(h -> pieces.add(
                "0 CIRCLE 8 H 10 " + n(h.x / per) + " 20 " + n(h.y / per) + " 40 " + n(h.d / 2 / per) + " "));
        Collections.shuffle(pieces, random);
        return ("0 SECTION 2 HEADER 9 $INSUNITS 70 " + insunits + " 0 ENDSEC 0 SECTION 2 BLOCKS "
                        + "0 BLOCK 2 IN 10 0 20 0 " + String.join("", pieces) + "0 ENDBLK "
                        + "0 BLOCK 2 OUT 10 0 20 0 " + insert("in", inner, per, random) + "0 ENDBLK 0 ENDSEC "
                        + "0 SECTION 2 ENTITIES " + insert("Out", outer, per, random) + "0 ENDSEC 0 EOF ")
                .replace(' ', '\n');
    }

    private static String polyline(List<Edge> line, double per, Random random) {
        StringBuilder out = new StringBuilder("0 LWPOLYLINE 8 S 70 1 ");
        int first = random.nextInt(line.size());
        for (int i = 0; i < line.size(); i++) {
            Edge e = line.get((first + i) % line.size());
            out.append("10 ")
                    .append(n(e.x / per))
                    .append(" 20 ")
                    .append(n(e.y / per))
                    .append(' ');
            if (e.r > 0) {
                out.append("42 ").append(n(Math.tan(e.sweep / 4))).append(' ');
            }
        }
        return out.toString();
    }

    private static String piece(Edge e, Edge next, double per, Random random) {
        if (e.r > 0) {
            double a = Math.toDegrees(e.from);
            return "0 ARC 8 S 10 " + n(e.cx / per) + " 20 " + n(e.cy / per) + " 40 " + n(e.r / per) + " 50 " + n(a)
                    + " 51 " + n(a + Math.toDegrees(e.sweep)) + " ";
        }
        boolean turn = random.nextBoolean();
        Edge from = turn ? next : e;
        Edge to = turn ? e : next;
        if (random.nextInt(3) == 0) {
            double mx = e.x + (next.x - e.x) * .375;
            double my = e.y + (next.y - e.y) * .375;
            return line(from.x, from.y, mx, my, per) + line(mx, my, to.x, to.y, per);
        }
        return line(from.x, from.y, to.x, to.y, per);
    }

    private static String line(double x1, double y1, double x2, double y2, double per) {
        return "0 LINE 8 S 10 " + n(x1 / per) + " 20 " + n(y1 / per) + " 11 " + n(x2 / per) + " 21 " + n(y2 / per)
                + " ";
    }

    /** A move as an insert: turned and mirrored by its scale, or drawn from below. */
    private static String insert(String name, Move m, double per, Random random) {
        double turn = Math.toDegrees(Math.atan2(-m.c, m.d));
        String at = "0 INSERT 8 0 2 " + name + " ";
        if (m.mirrors() && random.nextBoolean()) {
            // Seen from below x runs the other way, and turning too.
            return at + "10 " + n(-m.e / per) + " 20 " + n(m.f / per) + " 50 " + n(-turn) + " 230 -1 ";
        }
        return at + "10 " + n(m.e / per) + " 20 " + n(m.f / per) + " 50 " + n(turn) + " 41 " + (m.mirrors() ? -1 : 1)
                + " 42 1 ";
    }

    // ---- SVG: y down, paths in pieces or whole, groups in groups, any size of unit

    private static String svg(Part part, Move outer, Move inner, Random random, double per) {
        StringBuilder out = new StringBuilder("<svg xmlns='http://www.w3.org/2000/svg' width='" + n(40_000 * per)
                + "mm' height='" + n(40_000 * per)
                + "mm' viewBox='-20000 -20000 40000 40000'><g fill='none' stroke='red' "
                + "id='S' transform='scale(1,-1)'><g transform='" + matrix(outer, per) + "'><g transform='"
                + matrix(inner, per) + "'>");
        for (List<Edge> line : part.lines) {
            boolean whole = random.nextBoolean();
            StringBuilder d = new StringBuilder();
            for (int i = 0; i < line.size(); i++) {
                Edge e = line.get(i);
                Edge next = line.get((i + 1) % line.size());
                if (i == 0 || !whole) {
                    d.append("M").append(n(e.x / per)).append(' ').append(n(e.y / per));
                }
                if (e.r > 0) {
                    d.append("A%s %s 0 %d 1 ".formatted(n(e.r / per), n(e.r / per), e.sweep > Math.PI ? 1 : 0));
                } else {
                    d.append('L');
                }
                d.append(n(next.x / per)).append(' ').append(n(next.y / per));
            }
            out.append("<path d='").append(d).append(whole ? "Z" : "").append("'/>");
        }
        part.holes.forEach(h ->
                out.append("<circle cx='%s' cy='%s' r='%s'/>".formatted(n(h.x / per), n(h.y / per), n(h.d / 2 / per))));
        return out.append("</g></g></g></svg>").toString();
    }

    private static String matrix(Move m, double per) {
        return "matrix(" + n(m.a) + " " + n(m.b) + " " + n(m.c) + " " + n(m.d) + " " + n(m.e / per) + " " + n(m.f / per)
                + ")";
    }

    // ---- what must come in

    private static void same(String as, Intake in, Part part, Move move) {
        assertThat(in.left()).as(as).isEmpty();
        assertThat(in.sheets()).as(as).hasSize(1);
        var outline = in.sheets().getFirst().outline();
        assertThat(outline.openings()).as(as).hasSize(part.lines.size() - 1);
        for (List<Edge> line : part.lines) {
            Edge first = line.getFirst();
            double[] begin = move.at(first.x, first.y);
            Ring ring = Stream.concat(Stream.of(outline.outer()), outline.openings().stream())
                    .min(Comparator.comparingDouble(r -> off(r, begin)))
                    .orElseThrow();
            for (int i = 0; i < line.size(); i++) {
                Edge e = line.get(i);
                Edge next = line.get((i + 1) % line.size());
                for (double t = 0; t < 1; t += .125) {
                    double[] p = e.r > 0 ? e.at(t) : new double[] {e.x + (next.x - e.x) * t, e.y + (next.y - e.y) * t};
                    assertThat(off(ring, move.at(p[0], p[1]))).as(as).isLessThan(.001);
                }
            }
            assertThat(arcs(ring)).as(as).isGreaterThanOrEqualTo((int)
                    line.stream().filter(e -> e.r > 0).count());
        }
        List<double[]> wanted = new ArrayList<>();
        part.holes.forEach(h -> wanted.add(new double[] {move.at(h.x, h.y)[0], move.at(h.x, h.y)[1], h.d}));
        for (Intake.Line row : in.rows()) {
            for (Drawing.Circle c : row.holes()) {
                assertThat(wanted.removeIf(h -> Math.abs(h[0] - c.at().x() / 1e6) < .001
                                && Math.abs(h[1] - c.at().y() / 1e6) < .001
                                && Math.abs(h[2] - c.diameter().mm()) < .001))
                        .as(as)
                        .isTrue();
            }
        }
        assertThat(wanted).as(as).isEmpty();
    }

    private static double off(Ring ring, double[] mm) {
        return ring.distance(new Point(mm[0] * 1e6, mm[1] * 1e6)).mm();
    }

    private static int arcs(Ring ring) {
        return (int)
                ring.corners().stream().filter((Corner c) -> c.bulge() != 0).count();
    }

    /** The part as it would be of the other hand: it must not come in so. */
    private static void notTheOtherHand(String as, Intake in, Part part, Move move) {
        double most = 0;
        for (Edge e : part.lines.getFirst()) {
            double[] p = move.at(in(part) - e.x, e.y);
            most = Math.max(most, off(in.sheets().getFirst().outline().outer(), p));
        }
        assertThat(most).as(as).isGreaterThan(1);
    }

    private static double in(Part part) {
        return part.lines.getFirst().stream().mapToDouble(Edge::x).max().orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void what_comes_in_is_what_was_drawn(boolean dxf) {
        int[] codes = {1, 4, 5, 6, 9, 13, 14};
        double[] millimetres = {25.4, 1, 10, 1000, .0254, .001, 100};
        for (int seed = 0; seed < PARTS; seed++) {
            Random random = new Random(seed);
            Part part = part(random);
            Move outer = random(random);
            Move inner = random(random);
            int unit = random.nextInt(codes.length);
            double per = dxf ? millimetres[unit] : new double[] {1, 10, 25.4, 25.4 / 96, .5}[unit % 5];
            Drawing drawing = dxf
                    ? DxfReader.read(dxf(part, outer, inner, random, codes[unit], per), Unit.INCH, Progress.NONE)
                            .drawing()
                    : SvgReader.read(svg(part, outer, inner, random, per), Unit.INCH, Progress.NONE)
                            .drawing();
            String as = "seed " + seed;
            same(as, Intake.of(drawing), part, outer.after(inner));
            notTheOtherHand(as, Intake.of(drawing), part, outer.after(inner));
        }
    }
}
