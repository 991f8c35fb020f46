package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.measure.InputException;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads the {@code d} of one path. Arcs of circles stay arcs; curves and arcs of ellipses become chords. */
final class SvgPath {

    private static final Pattern TOKEN =
            Pattern.compile("([A-Za-z])|([+-]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][+-]?\\d{1,4})?)|([\\s,]+)");

    private final SvgReader.Matrix matrix;
    private final String layer;
    private final List<Drawing.Shape> shapes;
    private final Consumer<String> leave;
    private final List<Corner> corners = new ArrayList<>();
    private double x;
    private double y;
    private double startX;
    private double startY;
    private double controlX;
    private double controlY;

    SvgPath(SvgReader.Matrix matrix, String layer, List<Drawing.Shape> shapes, Consumer<String> leave) {
        this.matrix = matrix;
        this.layer = layer;
        this.shapes = shapes;
        this.leave = leave;
    }

    void read(String d) {
        if (d == null || d.isBlank()) {
            leave.accept("empty path");
            return;
        }
        Matcher m = TOKEN.matcher(d);
        char command = 0;
        List<Double> figures = new ArrayList<>();
        int at = 0;
        while (at < d.length()) {
            if (!m.find(at) || m.start() != at) {
                throw new InputException("a path has \"" + d.substring(at, Math.min(d.length(), at + 20))
                        + "\" in it: write it like M 0,0 L 10,0");
            }
            at = m.end();
            if (m.group(1) != null) {
                run(command, figures);
                command = m.group(1).charAt(0);
                figures.clear();
            } else if (m.group(2) != null) {
                flags(command, figures, m.group(2), d);
                Limits.count(figures.size() / 2);
            }
        }
        run(command, figures);
        finish(false);
    }

    private static void flags(char command, List<Double> figures, String text, String d) {
        figures.add(Limits.figure("path", text));
        if (command == 0) {
            throw new InputException(
                    "a path begins with \"" + d.substring(0, Math.min(20, d.length())) + "\": it must begin with M");
        }
    }

    private void run(char command, List<Double> f) {
        if (command == 0) {
            return;
        }
        char kind = Character.toUpperCase(command);
        boolean relative = kind != command;
        int need =
                switch (kind) {
                    case 'M', 'L', 'T' -> 2;
                    case 'H', 'V' -> 1;
                    case 'C' -> 6;
                    case 'S', 'Q' -> 4;
                    case 'A' -> 7;
                    case 'Z' -> 0;
                    default ->
                        throw new InputException(
                                "a path has the command \"" + command + "\": known are M L H V C S Q T A Z");
                };
        if (need == 0) {
            finish(true);
            x = startX;
            y = startY;
            return;
        }
        steps(f, need, command, kind, relative);
    }

    private void steps(List<Double> f, int need, char command, char kind, boolean relative) {
        if (f.isEmpty() || f.size() % need != 0) {
            throw new InputException(
                    "path command " + command + " takes " + need + " figures each time, was given " + f.size());
        }
        for (int i = 0; i < f.size(); i += need) {
            double[] v = new double[need];
            for (int k = 0; k < need; k++) {
                v[k] = f.get(i + k);
            }
            step(kind == 'M' && i > 0 ? 'L' : kind, relative, v);
        }
    }

    private void step(char kind, boolean relative, double[] v) {
        double ox = relative ? x : 0;
        double oy = relative ? y : 0;
        switch (kind) {
            case 'M' -> {
                finish(false);
                x = ox + v[0];
                y = oy + v[1];
                startX = x;
                startY = y;
                controlX = x;
                controlY = y;
            }
            case 'L' -> to(ox + v[0], oy + v[1]);
            case 'H' -> to(ox + v[0], y);
            case 'V' -> to(x, oy + v[0]);
            case 'C' -> cubic(ox + v[0], oy + v[1], ox + v[2], oy + v[3], ox + v[4], oy + v[5]);
            case 'S' -> cubic(2 * x - controlX, 2 * y - controlY, ox + v[0], oy + v[1], ox + v[2], oy + v[3]);
            case 'Q' -> quadratic(ox + v[0], oy + v[1], ox + v[2], oy + v[3]);
            case 'T' -> quadratic(2 * x - controlX, 2 * y - controlY, ox + v[0], oy + v[1]);
            default -> arc(v, ox + v[5], oy + v[6]);
        }
    }

    private void begin() {
        if (corners.isEmpty()) {
            corners.add(Corner.of(matrix.at(x, y)));
        }
    }

    private void to(double nx, double ny) {
        begin();
        corners.add(Corner.of(matrix.at(nx, ny)));
        moved(nx, ny, nx, ny);
    }

    private void moved(double nx, double ny, double cx, double cy) {
        x = nx;
        y = ny;
        controlX = cx;
        controlY = cy;
        Limits.count(corners.size());
    }

    private void quadratic(double cx, double cy, double nx, double ny) {
        curve(x + 2 * (cx - x) / 3, y + 2 * (cy - y) / 3, nx + 2 * (cx - nx) / 3, ny + 2 * (cy - ny) / 3, nx, ny);
        moved(nx, ny, cx, cy);
    }

    private void cubic(double ax, double ay, double bx, double by, double nx, double ny) {
        curve(ax, ay, bx, by, nx, ny);
        moved(nx, ny, bx, by);
    }

    private void curve(double ax, double ay, double bx, double by, double nx, double ny) {
        begin();
        corners.addAll(Limits.cubic(matrix.at(x, y), matrix.at(ax, ay), matrix.at(bx, by), matrix.at(nx, ny)));
    }

    /** An arc as the standard gives it: radii, turn, large, sweep, end. */
    private void arc(double[] v, double nx, double ny) {
        double rx = Math.abs(v[0]);
        double ry = Math.abs(v[1]);
        double chord = Math.hypot(nx - x, ny - y);
        if (rx == 0 || ry == 0 || chord == 0) {
            to(nx, ny);
            return;
        }
        boolean circle = Math.abs(rx - ry) <= 1e-9 * rx && matrix.alike() > 0;
        if (!circle) {
            ellipse(v, nx, ny);
            moved(nx, ny, nx, ny);
            return;
        }
        circle(chord, rx, v, nx, ny);
    }

    private void circle(double chord, double rx, double[] v, double nx, double ny) {
        begin();
        double half = Math.asin(Math.min(1, chord / (2 * rx)));
        double angle = v[3] != 0 ? 2 * Math.PI - 2 * half : 2 * half;
        boolean leftward = v[4] != 0 != matrix.turns();
        Corner last = corners.removeLast();
        double bulge = Limits.bulge(angle);
        corners.add(new Corner(last.at(), leftward ? bulge : -bulge));
        corners.add(Corner.of(matrix.at(nx, ny)));
        moved(nx, ny, nx, ny);
    }

    private void ellipse(double[] v, double nx, double ny) {
        begin();
        double phi = Math.toRadians(v[2]);
        double c = Math.cos(phi);
        double s = Math.sin(phi);
        double px = c * (x - nx) / 2 + s * (y - ny) / 2;
        double py = -s * (x - nx) / 2 + c * (y - ny) / 2;
        double grow = Math.max(1, Math.sqrt(px * px / (v[0] * v[0]) + py * py / (v[1] * v[1])));
        double rx = Math.abs(v[0]) * grow;
        double ry = Math.abs(v[1]) * grow;
        double k = Math.sqrt(Math.max(
                0,
                (rx * rx * ry * ry - rx * rx * py * py - ry * ry * px * px) / (rx * rx * py * py + ry * ry * px * px)));
        k = v[3] != 0 == (v[4] != 0) ? -k : k;
        double qx = k * rx * py / ry;
        double qy = -k * ry * px / rx;
        double mx = c * qx - s * qy + (x + nx) / 2;
        double my = s * qx + c * qy + (y + ny) / 2;
        double from = Math.atan2((py - qy) / ry, (px - qx) / rx);
        double to = Math.atan2((-py - qy) / ry, (-px - qx) / rx);
        double sweep = to - from;
        if (v[4] != 0 && sweep < 0) {
            sweep += 2 * Math.PI;
        } else if (v[4] == 0 && sweep > 0) {
            sweep -= 2 * Math.PI;
        }
        Point unit = matrix.at(1, 0);
        Point zero = matrix.at(0, 0);
        double largest = Math.max(rx, ry) * unit.to(zero).nanometres();
        int chords = (int) Math.clamp(
                Math.ceil(Math.abs(sweep) / (2 * Math.acos(Math.max(0, 1 - 400 / Math.max(401, largest))))), 4, 5000);
        for (int i = 1; i <= chords; i++) {
            double a = from + sweep * i / chords;
            double ex = rx * Math.cos(a);
            double ey = ry * Math.sin(a);
            corners.add(
                    Corner.of(i == chords ? matrix.at(nx, ny) : matrix.at(mx + c * ex - s * ey, my + s * ex + c * ey)));
        }
    }

    private void finish(boolean closed) {
        boolean shut = closed;
        List<Corner> own = new ArrayList<>(corners);
        corners.clear();
        if (own.size() > 2 && own.getFirst().at().to(own.getLast().at()).nanometres() < 1) {
            own.removeLast();
            shut = true;
        }
        if (own.size() >= 2) {
            shapes.add(new Drawing.Path(layer, own, shut));
        } else if (!own.isEmpty()) {
            leave.accept("path of a single point");
        }
    }
}
