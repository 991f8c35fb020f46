package bucina.core.demo;

import bucina.core.dress.Preparation;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Gives out ids and keeps the drawing of the demonstration short. Figures are inches. */
final class Sketch {

    private long next = 1;
    private final List<Part> parts = new ArrayList<>();

    Part part(String name, String material, int order, boolean fitted) {
        Part part = new Part(new Id.Part(next++), name, Material.parse(material), order, fitted);
        parts.add(part);
        return part;
    }

    List<Part> parts() {
        return parts;
    }

    long next() {
        return next;
    }

    Id.Assembly assembly() {
        return new Id.Assembly(next++);
    }

    Layer layer(Part part, String name, double thickness, Outline outline) {
        return new Layer(new Id.Layer(next++), part.id(), name, Length.in(thickness), outline);
    }

    Face face(String name, String viewed, String yToward, List<Layer> layers, List<Group> groups) {
        return new Face(new Id.Face(next++), name, viewed, "outboard", yToward, layers, groups);
    }

    Group group(String code, String name, Fastener fastener, String callout, List<Row> rows) {
        boolean flushRivet = fastener instanceof Fastener.SolidRivet r && r.flush();
        return new Group(
                new Id.Group(next++),
                code,
                name,
                fastener,
                false,
                flushRivet ? Preparation.AUTO : Preparation.NONE,
                callout,
                rows,
                Optional.empty(),
                Set.of(),
                Set.of());
    }

    /** A row of holes evenly from one point to another, at the whole number of spaces nearest the wished pitch. */
    Row row(String name, double x1, double y1, double x2, double y2, double pitch) {
        int spaces = (int) Math.max(1, Math.round(Math.hypot(x2 - x1, y2 - y1) / pitch));
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= spaces; i++) {
            double t = (double) i / spaces;
            points.add(Point.in(mil(x1 + t * (x2 - x1)), mil(y1 + t * (y2 - y1))));
        }
        return row(name, points);
    }

    /** Points at one height, evenly within each stretch from..to, leaving what lies between the stretches free. */
    static List<Point> stations(double y, double pitch, double... stretches) {
        List<Point> points = new ArrayList<>();
        for (int s = 0; s < stretches.length; s += 2) {
            double length = stretches[s + 1] - stretches[s];
            int spaces = (int) Math.max(1, Math.round(length / pitch));
            for (int i = 0; i <= spaces; i++) {
                points.add(Point.in(mil(stretches[s] + length * i / spaces), y));
            }
        }
        return points;
    }

    /** A full circle of holes. */
    Row circle(String name, double cx, double cy, double radius, int count, double startDegrees) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double a = Math.toRadians(startDegrees + 360.0 * i / count);
            points.add(Point.in(mil(cx + radius * Math.cos(a)), mil(cy + radius * Math.sin(a))));
        }
        return row(name, points);
    }

    Row row(String name, List<Point> points) {
        Id.Row id = new Id.Row(next++);
        List<Hole> holes = new ArrayList<>();
        for (Point point : points) {
            holes.add(new Hole(new Id.Hole(next++), holes.size() + 1, point, Optional.empty()));
        }
        return new Row(id, name, holes.size() + 1, holes);
    }

    /** To a thousandth of an inch, as a drawing would give it. */
    static double mil(double inches) {
        return Math.round(inches * 1000) / 1000.0;
    }
}
