package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.sheet.Box;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.TreeSet;

/** Writes DXF R12, the oldest that every program reads, in millimetres: arcs as bulges, holes as circles. */
public final class DxfWriter {

    private final StringBuilder out = new StringBuilder();

    private final LayerNames names = new LayerNames();

    private DxfWriter() {}

    /** The drawing as DXF text. */
    public static String write(Drawing drawing) {
        return new DxfWriter().written(drawing);
    }

    private String written(Drawing drawing) {
        Box box = drawing.box().orElse(new Box(0, 0, 0, 0));
        TreeSet<String> layers = new TreeSet<>();
        drawing.shapes().forEach(s -> layers.add(names.fit(s.layer())));
        names.changed().forEach((fit, name) -> pair(999, LayerNames.COMMENT + fit + " " + escaped(name)));
        pair(0, "SECTION")
                .pair(2, "HEADER")
                .pair(9, "$ACADVER")
                .pair(1, "AC1009")
                .pair(9, "$INSUNITS")
                .pair(70, "4")
                .pair(9, "$MEASUREMENT")
                .pair(70, "1");
        pair(9, "$EXTMIN")
                .at(10, new Point(box.minX(), box.minY()))
                .pair(9, "$EXTMAX")
                .at(10, new Point(box.maxX(), box.maxY()))
                .pair(0, "ENDSEC");
        pair(0, "SECTION")
                .pair(2, "TABLES")
                .pair(0, "TABLE")
                .pair(2, "LAYER")
                .pair(70, Integer.toString(layers.size()));
        layers.forEach(
                l -> pair(0, "LAYER").pair(2, l).pair(70, "0").pair(62, "7").pair(6, "CONTINUOUS"));
        pair(0, "ENDTAB").pair(0, "ENDSEC").pair(0, "SECTION").pair(2, "ENTITIES");
        drawing.shapes().forEach(this::shape);
        pair(0, "ENDSEC").pair(0, "EOF");
        return out.toString();
    }

    private void shape(Drawing.Shape shape) {
        String layer = names.fit(shape.layer());
        switch (shape) {
            case Drawing.Path p -> path(layer, p);
            case Drawing.Circle c ->
                pair(0, "CIRCLE")
                        .pair(8, layer)
                        .at(10, c.at())
                        .pair(40, mm(c.diameter().nanometres() / 2));
            case Drawing.Spot s -> pair(0, "POINT").pair(8, layer).at(10, s.at());
            case Drawing.Words w ->
                pair(0, "TEXT")
                        .pair(8, layer)
                        .at(10, w.at())
                        .pair(40, mm(w.height().nanometres()))
                        .pair(1, escaped(w.text()));
        }
    }

    private void path(String layer, Drawing.Path p) {
        pair(0, "POLYLINE").pair(8, layer).pair(66, "1").at(10, new Point(0, 0)).pair(70, p.closed() ? "1" : "0");
        for (Corner c : p.corners()) {
            pair(0, "VERTEX").pair(8, layer).at(10, c.at());
            if (c.bulge() != 0) {
                pair(42, figure(c.bulge()));
            }
        }
        pair(0, "SEQEND").pair(8, layer);
    }

    private DxfWriter pair(int code, String value) {
        out.append("%3d".formatted(code)).append("\r\n").append(value).append("\r\n");
        return this;
    }

    private DxfWriter at(int code, Point p) {
        return pair(code, mm(p.x())).pair(code + 10, mm(p.y()));
    }

    /** With letters beyond those of the oldest code as escapes. */
    private static String escaped(String text) {
        StringBuilder out = new StringBuilder();
        text.chars()
                .forEach(c -> out.append(c >= ' ' && c <= '~' ? (char) c : c < ' ' ? ' ' : "\\U+%04X".formatted(c)));
        return out.toString();
    }

    /** Millimetres to a nanometre. */
    static String mm(double nanometres) {
        BigDecimal mm = BigDecimal.valueOf(nanometres)
                .movePointLeft(6)
                .setScale(6, RoundingMode.HALF_UP)
                .stripTrailingZeros();
        return (mm.scale() < 1 ? mm.setScale(1) : mm).toPlainString();
    }

    private static String figure(double value) {
        return BigDecimal.valueOf(value).setScale(12, RoundingMode.HALF_UP).toPlainString();
    }
}
