package bucina.core.drawing;

import bucina.core.bend.BracketFlat;
import bucina.core.bend.FlatPattern;
import bucina.core.measure.Angle;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Flats in true size: what to cut on layer CUT, bend tangents on TANGENTS, sight lines on SIGHT, holes on HOLES. */
public final class FlatDrawing {

    private static final Length SMALL = Length.mm(1.9);

    private FlatDrawing() {}

    /** The flat of a bracket; the base is under the nose bar. */
    public static Template of(String title, BracketFlat flat) {
        List<Drawing.Shape> shapes = new ArrayList<>();
        shapes.add(new Drawing.Path("CUT", flat.outline().outer().corners(), true));
        for (BracketFlat.BandLine b : flat.bands()) {
            band(shapes, b);
        }
        flat.reliefs().forEach(r -> cross(shapes, r.at(), r.diameter()));
        for (int i = 0; i < flat.holes().size(); i++) {
            Length d = flat.bracket().holes().get(i).diameter();
            shapes.add(new Drawing.Circle("HOLES", flat.holes().get(i), d, Optional.of(i + 1)));
            cross(shapes, flat.holes().get(i), d);
        }
        return new Template(
                title + ", flat",
                "",
                "from the side the flanges stand up on",
                "x, grain " + flat.bracket().grain().word(),
                "y",
                new Drawing(shapes));
    }

    private static void band(List<Drawing.Shape> shapes, BracketFlat.BandLine b) {
        line(shapes, "TANGENTS", b.first(Length.ZERO), b.last(Length.ZERO));
        line(shapes, "TANGENTS", b.first(b.bend().allowance()), b.last(b.bend().allowance()));
        line(shapes, "SIGHT", b.first(b.bend().radius()), b.last(b.bend().radius()));
        Point a = b.first(b.reach());
        Point z = b.last(b.reach());
        word(
                shapes,
                (a.x() + z.x()) / 2 - b.outX() * 5e6,
                (a.y() + z.y()) / 2 - b.outY() * 5e6 - SMALL.nanometres() / 2,
                way(b.bend().turn()));
    }

    /**
     * The flat of a profile as a strip.
     *
     * @param width along the bends, over 0
     */
    public static Template of(String title, FlatPattern flat, Length width, FlatPattern.Clamp clamp) {
        List<Drawing.Shape> shapes = new ArrayList<>();
        double w = width.nanometres();
        double end = flat.developed().nanometres();
        shapes.add(new Drawing.Path(
                "CUT",
                List.of(
                        Corner.of(new Point(0, 0)),
                        Corner.of(new Point(end, 0)),
                        Corner.of(new Point(end, w)),
                        Corner.of(new Point(0, w))),
                true));
        List<Length> sight = flat.sightLines(clamp);
        bands(flat, shapes, w, sight);
        word(shapes, end, w + 1.2e6, LengthFormat.figure(flat.developed(), Unit.INCH, 3));
        return new Template(
                title + ", flat",
                "",
                "from the side that bends over 0° turn to",
                "away from the first leg's free edge",
                "",
                new Drawing(shapes));
    }

    private static void bands(FlatPattern flat, List<Drawing.Shape> shapes, double w, List<Length> sight) {
        for (int i = 0; i < flat.bands().size(); i++) {
            FlatPattern.Band band = flat.bands().get(i);
            across(shapes, "TANGENTS", band.from(), w);
            across(shapes, "TANGENTS", band.to(), w);
            across(shapes, "SIGHT", sight.get(i), w);
            for (Length at : List.of(band.from(), band.to())) {
                word(shapes, at.nanometres(), w + 1.2e6, LengthFormat.figure(at, Unit.INCH, 3));
            }
            word(
                    shapes,
                    sight.get(i).nanometres(),
                    -3.2e6,
                    way(flat.bends().get(i).turn()));
        }
    }

    private static String way(Angle turn) {
        return (turn.degrees() > 0 ? "up " : "down ") + Angle.degrees(Math.abs(turn.degrees()));
    }

    private static void across(List<Drawing.Shape> shapes, String layer, Length at, double w) {
        line(shapes, layer, new Point(at.nanometres(), 0), new Point(at.nanometres(), w));
    }

    private static void word(List<Drawing.Shape> shapes, double x, double y, String text) {
        shapes.add(new Drawing.Words("WORDS", new Point(x - text.length() * 0.62e6, y), SMALL, text));
    }

    private static void cross(List<Drawing.Shape> shapes, Point at, Length diameter) {
        double arm = diameter.nanometres() / 2 + 1.2e6;
        line(shapes, "CROSSES", new Point(at.x() - arm, at.y()), new Point(at.x() + arm, at.y()));
        line(shapes, "CROSSES", new Point(at.x(), at.y() - arm), new Point(at.x(), at.y() + arm));
    }

    private static void line(List<Drawing.Shape> shapes, String layer, Point a, Point b) {
        shapes.add(new Drawing.Path(layer, List.of(Corner.of(a), Corner.of(b)), false));
    }
}
