package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** One page drawn in millimetres from its lower left corner. */
final class PdfPage implements AutoCloseable {

    static final double POINTS = 72 / 25.4;

    /** Curves stray from their arc by no more than this, nm. */
    private static final double STRAY = 10_000;

    private final PDPageContentStream out;
    private final PdfFonts fonts;

    PdfPage(PDDocument document, Paper paper, PdfFonts fonts) throws IOException {
        PDPage page = new PDPage(new PDRectangle((float) (paper.width() * POINTS), (float) (paper.height() * POINTS)));
        document.addPage(page);
        this.out = new PDPageContentStream(document, page);
        this.fonts = fonts;
    }

    static float pt(double mm) {
        return (float) (mm * POINTS);
    }

    PdfPage width(double mm) throws IOException {
        out.setLineWidth(pt(mm));
        return this;
    }

    PdfPage grey(double share) throws IOException {
        out.setStrokingColor((float) share);
        out.setNonStrokingColor((float) share);
        return this;
    }

    PdfPage dashed(double mm) throws IOException {
        out.setLineDashPattern(mm == 0 ? new float[0] : new float[] {pt(mm)}, 0);
        return this;
    }

    PdfPage line(double x1, double y1, double x2, double y2) throws IOException {
        out.moveTo(pt(x1), pt(y1));
        out.lineTo(pt(x2), pt(y2));
        out.stroke();
        return this;
    }

    PdfPage box(double x, double y, double w, double h, boolean filled) throws IOException {
        out.addRect(pt(x), pt(y), pt(w), pt(h));
        if (filled) {
            out.fill();
        } else {
            out.stroke();
        }
        return this;
    }

    /** An arrow with its head at the second point. */
    PdfPage arrow(double x1, double y1, double x2, double y2) throws IOException {
        double length = Math.hypot(x2 - x1, y2 - y1);
        double ux = (x2 - x1) / length;
        double uy = (y2 - y1) / length;
        line(x1, y1, x2, y2);
        out.moveTo(pt(x2), pt(y2));
        out.lineTo(pt(x2 - 2.4 * ux + uy), pt(y2 - 2.4 * uy - ux));
        out.lineTo(pt(x2 - 2.4 * ux - uy), pt(y2 - 2.4 * uy + ux));
        out.closePath();
        out.fill();
        return this;
    }

    /** Words whose capitals are {@code mm} high. */
    PdfPage words(double x, double y, double mm, String text) throws IOException {
        out.beginText();
        out.newLineAtOffset(pt(x), pt(y));
        for (PdfFonts.Run run : fonts.runs(text)) {
            out.setFont(run.font(), (float) (mm / 0.7 * POINTS));
            out.showText(run.text());
        }
        out.endText();
        return this;
    }

    /** How wide words are, mm. */
    double wide(String text, double mm) throws IOException {
        double wide = 0;
        for (PdfFonts.Run run : fonts.runs(text)) {
            wide += run.font().getStringWidth(run.text());
        }
        return wide / 1000 * mm / 0.7;
    }

    /** A picture in a frame, its upper left corner at a place, as large as it fits; an empty frame for none. */
    PdfPage picture(Optional<PDImageXObject> image, double x, double top, double w, double h) throws IOException {
        if (image.isEmpty()) {
            grey(.6).width(.2).box(x, top - h, w, h, false);
            return words(x + 3, top - h / 2, 2, "this picture cannot be drawn here");
        }
        double scale = Math.min(w / image.get().getWidth(), h / image.get().getHeight());
        double wide = image.get().getWidth() * scale;
        double high = image.get().getHeight() * scale;
        out.drawImage(image.get(), pt(x), pt(top - high), pt(wide), pt(high));
        return this;
    }

    /** Only what lies in the box is drawn until {@link #unclipped}. */
    PdfPage clipped(double x, double y, double w, double h) throws IOException {
        out.saveGraphicsState();
        out.addRect(pt(x), pt(y), pt(w), pt(h));
        out.clip();
        return this;
    }

    PdfPage unclipped() throws IOException {
        out.restoreGraphicsState();
        return this;
    }

    // ---- shapes of a drawing

    /**
     * A path, its nanometres put at {@code x0, y0} in mm and scaled. Arcs are drawn as curves that stray under a
     * hundredth of a millimetre.
     */
    PdfPage path(Drawing.Path path, double x0, double y0, double scale) throws IOException {
        List<Corner> corners = path.corners();
        Point first = corners.getFirst().at();
        out.moveTo(pt(x0 + first.x() / 1e6 * scale), pt(y0 + first.y() / 1e6 * scale));
        int stretches = path.closed() ? corners.size() : corners.size() - 1;
        for (int i = 0; i < stretches; i++) {
            stretch(corners, i, x0, scale, y0);
        }
        if (path.closed()) {
            out.closePath();
        }
        out.stroke();
        return this;
    }

    private void stretch(List<Corner> corners, int i, double x0, double scale, double y0) throws IOException {
        Corner a = corners.get(i);
        Point b = corners.get((i + 1) % corners.size()).at();
        if (a.bulge() == 0) {
            out.lineTo(pt(x0 + b.x() / 1e6 * scale), pt(y0 + b.y() / 1e6 * scale));
        } else {
            arc(a, b, x0, y0, scale);
        }
    }

    private void arc(Corner a, Point b, double x0, double y0, double scale) throws IOException {
        double k = (1 - a.bulge() * a.bulge()) / (4 * a.bulge());
        double cx = (a.at().x() + b.x()) / 2 - (b.y() - a.at().y()) * k;
        double cy = (a.at().y() + b.y()) / 2 + (b.x() - a.at().x()) * k;
        double r = Math.hypot(a.at().x() - cx, a.at().y() - cy);
        double from = Math.atan2(a.at().y() - cy, a.at().x() - cx);
        double sweep = 4 * Math.atan(a.bulge());
        // A cubic for a quarter strays by 2.7e-4 of the radius, and by the sixth power of its angle less.
        double angle = Math.PI / 2 * Math.min(1, Math.pow(STRAY / (2.8e-4 * r), 1.0 / 6));
        int parts = (int) Math.max(1, Math.ceil(Math.abs(sweep) / angle - 1e-9));
        double h = 4.0 / 3 * Math.tan(sweep / parts / 4);
        for (int i = 0; i < parts; i++) {
            double t = from + sweep * i / parts;
            double u = from + sweep * (i + 1) / parts;
            double[] p = {
                cx + r * (Math.cos(t) - h * Math.sin(t)),
                cy + r * (Math.sin(t) + h * Math.cos(t)),
                cx + r * (Math.cos(u) + h * Math.sin(u)),
                cy + r * (Math.sin(u) - h * Math.cos(u)),
                cx + r * Math.cos(u),
                cy + r * Math.sin(u)
            };
            out.curveTo(
                    pt(x0 + p[0] / 1e6 * scale),
                    pt(y0 + p[1] / 1e6 * scale),
                    pt(x0 + p[2] / 1e6 * scale),
                    pt(y0 + p[3] / 1e6 * scale),
                    pt(x0 + p[4] / 1e6 * scale),
                    pt(y0 + p[5] / 1e6 * scale));
        }
    }

    PdfPage circle(Point at, double radius, double x0, double y0, double scale) throws IOException {
        return path(
                new Drawing.Path(
                        "",
                        List.of(
                                new Corner(new Point(at.x() + radius, at.y()), 1),
                                new Corner(new Point(at.x() - radius, at.y()), 1)),
                        true),
                x0,
                y0,
                scale);
    }

    /** A text as lines no wider than so many millimetres. */
    List<String> wrapped(String text, double mm, double most) throws IOException {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : text.split(" ")) {
            if (!line.isEmpty() && wide(line + " " + word, mm) > most) {
                lines.add(line.toString());
                line.setLength(0);
            }
            line.append(line.isEmpty() ? "" : " ").append(word);
        }
        lines.add(line.toString());
        return lines;
    }

    @Override
    public void close() throws IOException {
        out.close();
    }
}
