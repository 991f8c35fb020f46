package bucina.core.drawing;

import bucina.core.measure.Length;
import bucina.core.plan.Layer;
import bucina.core.sheet.Ring;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/*
 * Design. The names of the drawing's layers carry what a drawing cannot: SHEET-03-T635000-RIB_4 is the third sheet,
 * 635000 nm thick;
 * HOLES-R3-US_1 is row R3 of group US-1. They use only what the oldest DXF allows in a name. What Bucina reads back
 * it understands from them;
 * any other program sees plain layers.
 */

/** A face as a line drawing. */
public final class FaceDrawing {

    static final String SHEET = "SHEET-";
    static final String HOLES = "HOLES-";

    private FaceDrawing() {}

    /** Sheets and holes of a face. */
    public static Drawing of(FaceReading reading) {
        List<Drawing.Shape> shapes = new ArrayList<>();
        int n = 0;
        for (Layer layer : reading.face().layers()) {
            String name = SHEET
                    + "%02d-T%d-%s".formatted(++n, Math.round(layer.thickness().nanometres()), word(layer.name()));
            shapes.add(path(name, layer.outline().outer()));
            layer.outline().openings().forEach(o -> shapes.add(path(name, o)));
        }
        reading.readings().forEach(r -> shapes.add(hole(r)));
        return new Drawing(shapes);
    }

    /** Holes alone. */
    public static Drawing holes(FaceReading reading) {
        return new Drawing(reading.readings().stream()
                .map(FaceDrawing::hole)
                .map(Drawing.Shape.class::cast)
                .toList());
    }

    private static Drawing.Circle hole(HoleReading r) {
        return new Drawing.Circle(
                HOLES + word(r.row().name()).replace("-", "") + "-"
                        + word(r.group().code()),
                r.hole().at(),
                r.solution().hole(),
                Optional.of(r.hole().label()));
    }

    private static Drawing.Path path(String layer, Ring ring) {
        return new Drawing.Path(layer, ring.corners(), true);
    }

    /** A name in capitals, digits, dashes and underlines. */
    static String word(String name) {
        String word =
                name.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9_-]+", "_").replaceAll("^_+|_+$", "");
        return word.isEmpty() ? "X" : word;
    }

    /** The thickness in a layer's name; empty if it carries none. */
    static Optional<Length> thickness(String layer) {
        var m = Pattern.compile("SHEET-\\d+-T(\\d{1,12})-.*").matcher(layer);
        return m.matches() && Long.parseLong(m.group(1)) > 0
                ? Optional.of(Length.nm(Long.parseLong(m.group(1))))
                : Optional.empty();
    }
}
