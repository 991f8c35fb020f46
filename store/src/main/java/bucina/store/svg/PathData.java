package bucina.store.svg;

import bucina.core.measure.InputException;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.store.curve.Arcs;
import bucina.store.curve.Beziers;
import bucina.store.curve.Placing;
import bucina.store.drawing.Limits;
import java.util.ArrayList;
import java.util.List;

/** Reads the {@code d} of one path (SVG 1.1, chapter 8.3). Arcs of circles stay arcs wherever they are put. */
final class PathData {

    private static final String COMMANDS = "MLHVCSQTAZ";

    /** An arc this near to half a circle is one: its middle lies within a hundred-thousandth of its radius. */
    private static final double HALF = 1e-10;

    /**
     * A line without a break.
     *
     * @param corners from the beginning to the end
     * @param closed  true if it was closed: the end is the beginning then
     */
    record Sub(List<Corner> corners, boolean closed) {}

    private final String d;
    private final Placing at;
    private final List<Sub> subs = new ArrayList<>();
    private List<Corner> corners = new ArrayList<>();
    private int next;
    private double x;
    private double y;
    private double startX;
    private double startY;
    /** The handle behind the last point, mirrored by the next smooth curve of its kind. */
    private double handleX;

    private double handleY;
    private char last = ' ';

    private PathData(String d, Placing at) {
        this.d = d;
        this.at = at;
    }

    /**
     * The lines of a path.
     *
     * @throws InputException if it is damaged
     */
    static List<Sub> read(String d, Placing at) {
        return new PathData(d, at).all();
    }

    private List<Sub> all() {
        skip();
        while (next < d.length()) {
            char command = d.charAt(next++);
            char kind = Character.toUpperCase(command);
            if (COMMANDS.indexOf(kind) < 0) {
                throw damaged(next - 1);
            }
            if (last == ' ' && kind != 'M') {
                throw new InputException("a path begins with \"" + cut(0) + "\": it must begin with M");
            }
            boolean relative = command != kind;
            if (kind == 'Z') {
                close();
            } else {
                do {
                    step(kind, relative);
                    kind = kind == 'M' ? 'L' : kind;
                } while (number());
            }
            skip();
        }
        finish(false);
        return subs;
    }

    private InputException damaged(int where) {
        return new InputException(
                "a path has \"" + cut(where) + "\" in it: write it like M 0,0 L 10,0 with M L H V C S Q T A Z");
    }

    private String cut(int from) {
        return d.substring(from, Math.min(d.length(), from + 20));
    }

    private void skip() {
        while (next < d.length() && (d.charAt(next) <= ' ' || d.charAt(next) == ',')) {
            next++;
        }
    }

    /** True if a figure comes next. */
    private boolean number() {
        skip();
        return next < d.length() && "+-.0123456789".indexOf(d.charAt(next)) >= 0;
    }

    private double figure() {
        if (!number()) {
            throw damaged(Math.min(next, Math.max(0, d.length() - 1)));
        }
        int from = next;
        if (d.charAt(next) == '+' || d.charAt(next) == '-') {
            next++;
        }
        digits();
        if (next < d.length() && d.charAt(next) == '.') {
            next++;
            digits();
        }
        if (next + 1 < d.length() && (d.charAt(next) | 32) == 'e' && !Character.isLetter(d.charAt(next + 1))) {
            next += 2;
            digits();
        }
        return Limits.figure("path", d.substring(from, next));
    }

    private void digits() {
        while (next < d.length() && d.charAt(next) >= '0' && d.charAt(next) <= '9') {
            next++;
        }
    }

    /** A flag is one digit, also where nothing stands between it and what follows. */
    private boolean flag() {
        skip();
        if (next >= d.length() || d.charAt(next) != '0' && d.charAt(next) != '1') {
            throw damaged(Math.min(next, Math.max(0, d.length() - 1)));
        }
        return d.charAt(next++) == '1';
    }

    private void step(char kind, boolean relative) {
        double ox = relative ? x : 0;
        double oy = relative ? y : 0;
        char before = last;
        last = kind;
        switch (kind) {
            case 'M' -> {
                finish(false);
                x = ox + figure();
                y = oy + figure();
                startX = x;
                startY = y;
            }
            case 'L' -> line(ox + figure(), oy + figure());
            case 'H' -> line(ox + figure(), y);
            case 'V' -> line(x, oy + figure());
            case 'C' -> cubic(ox + figure(), oy + figure(), ox + figure(), oy + figure(), ox + figure(), oy + figure());
            case 'S' -> {
                boolean smooth = "CS".indexOf(before) >= 0;
                cubic(
                        smooth ? 2 * x - handleX : x,
                        smooth ? 2 * y - handleY : y,
                        ox + figure(),
                        oy + figure(),
                        ox + figure(),
                        oy + figure());
            }
            case 'Q' -> quadratic(ox + figure(), oy + figure(), ox + figure(), oy + figure());
            case 'T' -> {
                boolean smooth = "QT".indexOf(before) >= 0;
                quadratic(smooth ? 2 * x - handleX : x, smooth ? 2 * y - handleY : y, ox + figure(), oy + figure());
            }
            default -> arc(figure(), figure(), figure(), flag(), flag(), ox + figure(), oy + figure());
        }
        Limits.count(corners.size());
    }

    private void go(List<Corner> on, double toX, double toY) {
        if (corners.isEmpty()) {
            corners.addAll(on);
        } else {
            Point here = corners.removeLast().at();
            corners.add(new Corner(here, on.getFirst().bulge()));
            corners.addAll(on.subList(1, on.size()));
        }
        x = toX;
        y = toY;
    }

    private void line(double toX, double toY) {
        if (toX == x && toY == y) {
            return;
        }
        go(List.of(Corner.of(at.at(x, y)), Corner.of(at.at(toX, toY))), toX, toY);
    }

    private void quadratic(double hx, double hy, double toX, double toY) {
        curve(x + 2 * (hx - x) / 3, y + 2 * (hy - y) / 3, toX + 2 * (hx - toX) / 3, toY + 2 * (hy - toY) / 3, toX, toY);
        handleX = hx;
        handleY = hy;
    }

    private void cubic(double ax, double ay, double bx, double by, double toX, double toY) {
        curve(ax, ay, bx, by, toX, toY);
        handleX = bx;
        handleY = by;
    }

    private void curve(double ax, double ay, double bx, double by, double toX, double toY) {
        go(Beziers.corners(at.at(x, y), at.at(ax, ay), at.at(bx, by), at.at(toX, toY)), toX, toY);
    }

    /** An arc by its ends, as SVG 1.1 has it in appendix F.6: radii that are too small grow until they reach. */
    private void arc(
            double radiusX, double radiusY, double degrees, boolean large, boolean sweeps, double toX, double toY) {
        double rx = Math.abs(radiusX);
        double ry = Math.abs(radiusY);
        if (rx == 0 || ry == 0) {
            line(toX, toY);
            return;
        }
        if (toX == x && toY == y) {
            return;
        }
        double c = Math.cos(Math.toRadians(degrees));
        double s = Math.sin(Math.toRadians(degrees));
        double px = (c * (x - toX) + s * (y - toY)) / 2;
        double py = (-s * (x - toX) + c * (y - toY)) / 2;
        double reach = px * px / (rx * rx) + py * py / (ry * ry);
        double grow = Math.max(1, Math.sqrt(reach));
        rx *= grow;
        ry *= grow;
        // Half a circle, but for what figures round away.
        double k = reach > 1 - HALF ? 0 : Math.sqrt(1 / reach - 1) * (large == sweeps ? -1 : 1);
        double qx = k * rx * py / ry;
        double qy = -k * ry * px / rx;
        double from = Math.atan2((py - qy) / ry, (px - qx) / rx);
        double sweep = Math.atan2((-py - qy) / ry, (-px - qx) / rx) - from;
        sweep += sweeps && sweep < 0 ? 2 * Math.PI : !sweeps && sweep > 0 ? -2 * Math.PI : 0;
        Arcs.Arc arc = new Arcs.Arc(
                c * qx - s * qy + (x + toX) / 2,
                s * qx + c * qy + (y + toY) / 2,
                rx * c,
                rx * s,
                -ry * s,
                ry * c,
                from,
                sweep);
        List<Corner> on = new ArrayList<>(Arcs.corners(arc.placed(at)));
        // The ends are those that are written.
        on.set(0, new Corner(at.at(x, y), on.getFirst().bulge()));
        on.set(on.size() - 1, Corner.of(at.at(toX, toY)));
        go(on, toX, toY);
    }

    private void close() {
        finish(true);
        x = startX;
        y = startY;
        last = 'Z';
    }

    private void finish(boolean closed) {
        if (!corners.isEmpty()) {
            if (closed) {
                Point begin = corners.getFirst().at();
                if (corners.getLast().at().to(begin).nanometres() > 1) {
                    corners.add(Corner.of(begin));
                }
            }
            subs.add(new Sub(corners, closed));
        }
        corners = new ArrayList<>();
    }
}
