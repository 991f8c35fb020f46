package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.sheet.Box;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Writes SVG in true millimetres, y upward turned to SVG's downward; each layer is a group with its name. */
public final class SvgWriter {

    private static final double MARGIN = 5e6;

    private final StringBuilder out = new StringBuilder();

    private SvgWriter() {}

    /** The drawing as SVG text. */
    public static String write(Drawing drawing) {
        return new SvgWriter().written(drawing);
    }

    private String written(Drawing drawing) {
        Box box = drawing.box().orElse(new Box(0, 0, 1e6, 1e6));
        String left = DxfWriter.mm(box.minX() - MARGIN);
        String top = DxfWriter.mm(-box.maxY() - MARGIN);
        String width = DxfWriter.mm(box.width() + 2 * MARGIN);
        String height = DxfWriter.mm(box.height() + 2 * MARGIN);
        out.append("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"")
                .append(width)
                .append("mm\" height=\"")
                .append(height)
                .append("mm\" viewBox=\"")
                .append(left)
                .append(' ')
                .append(top)
                .append(' ')
                .append(width)
                .append(' ')
                .append(height)
                .append("\" fill=\"none\" stroke=\"black\" stroke-width=\"0.2\">\n");
        Map<String, List<Drawing.Shape>> layers = new LinkedHashMap<>();
        drawing.shapes()
                .forEach(s -> layers.computeIfAbsent(s.layer(), l -> new ArrayList<>())
                        .add(s));
        layers.forEach((layer, shapes) -> {
            out.append("<g id=\"").append(escaped(layer)).append("\">\n");
            shapes.forEach(this::shape);
            out.append("</g>\n");
        });
        return out.append("</svg>\n").toString();
    }

    private void shape(Drawing.Shape shape) {
        switch (shape) {
            case Drawing.Path p -> out.append("<path d=\"").append(path(p)).append("\"/>\n");
            case Drawing.Circle c ->
                out.append("<circle ")
                        .append(c.label().map(l -> "data-label=\"" + l + "\" ").orElse(""))
                        .append("cx=\"")
                        .append(DxfWriter.mm(c.at().x()))
                        .append("\" cy=\"")
                        .append(DxfWriter.mm(-c.at().y()))
                        .append("\" r=\"")
                        .append(DxfWriter.mm(c.diameter().nanometres() / 2))
                        .append("\"/>\n");
            case Drawing.Spot s -> out.append("<path d=\"M").append(at(s.at())).append("h0\"/>\n");
            case Drawing.Words w ->
                out.append("<text x=\"")
                        .append(DxfWriter.mm(w.at().x()))
                        .append("\" y=\"")
                        .append(DxfWriter.mm(-w.at().y()))
                        .append("\" font-size=\"")
                        .append(DxfWriter.mm(w.height().nanometres() / 0.7))
                        .append("\" fill=\"black\" stroke=\"none\">")
                        .append(escaped(w.text()))
                        .append("</text>\n");
        }
    }

    private static String path(Drawing.Path p) {
        StringBuilder d =
                new StringBuilder("M").append(at(p.corners().getFirst().at()));
        int stretches = p.closed() ? p.corners().size() : p.corners().size() - 1;
        for (int i = 0; i < stretches; i++) {
            Corner a = p.corners().get(i);
            Point b = p.corners().get((i + 1) % p.corners().size()).at();
            boolean last = p.closed() && i == stretches - 1;
            if (a.bulge() == 0) {
                d.append(last ? "" : " L" + at(b));
            } else {
                arc(a, b, d);
            }
        }
        return d.append(p.closed() ? " Z" : "").toString();
    }

    private static void arc(Corner a, Point b, StringBuilder d) {
        double chord = a.at().to(b).nanometres();
        double r = chord * (1 + a.bulge() * a.bulge()) / (4 * Math.abs(a.bulge()));
        d.append(" A")
                .append(DxfWriter.mm(r))
                .append(' ')
                .append(DxfWriter.mm(r))
                .append(" 0 ")
                .append(Math.abs(a.bulge()) > 1 ? 1 : 0)
                .append(' ')
                .append(a.bulge() > 0 ? 0 : 1)
                .append(' ')
                .append(at(b));
    }

    private static String at(Point p) {
        return DxfWriter.mm(p.x()) + "," + DxfWriter.mm(-p.y());
    }

    private static String escaped(String text) {
        return text.replaceAll("[^\\x20-\\uD7FF\\uE000-\\uFFFD]", "?")
                .replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }
}
