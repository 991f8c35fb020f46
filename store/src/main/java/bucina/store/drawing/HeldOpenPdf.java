package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.hand.Hands;
import bucina.core.hold.Holds;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Layer;
import bucina.core.sheet.Box;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.function.Supplier;
import org.apache.pdfbox.pdmodel.PDDocument;

/** A sheet to tape up: which holes of a face stay open, and why. */
public final class HeldOpenPdf {

    private static final double SIDE = 14;

    private final Build.FaceRef ref;
    private final FaceReading reading;
    private final Holds holds;
    private final Unit unit;
    private final Paper paper;

    private HeldOpenPdf(Build.FaceRef ref, FaceReading reading, Holds holds, Unit unit, Paper paper) {
        this.ref = ref;
        this.reading = reading;
        this.holds = holds;
        this.unit = unit;
        this.paper = paper;
    }

    /** The sheet as a PDF. */
    public static byte[] write(
            Build.FaceRef ref,
            FaceReading reading,
            Holds holds,
            Unit unit,
            Paper paper,
            List<Supplier<InputStream>> fonts) {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            new HeldOpenPdf(ref, reading, holds, unit, paper).pages(document, new PdfFonts(document, fonts));
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void pages(PDDocument document, PdfFonts fonts) throws IOException {
        List<Holds.Range> ranges = holds.ranges(reading.readings());
        int from = 0;
        do {
            try (PdfPage page = new PdfPage(document, paper, fonts)) {
                double y = head(page);
                if (from == 0) {
                    y = picture(page, y);
                }
                while (from < ranges.size() && y > 24) {
                    y = range(page, ranges.get(from++), y);
                }
                if (ranges.isEmpty()) {
                    page.words(SIDE, y - 6, 3, "Nothing is held open on this face.");
                }
                page.words(SIDE, 10, 1.8, "Worked out from the plan. The kit's drawing governs.");
            }
        } while (from < ranges.size());
    }

    private double head(PdfPage page) throws IOException {
        double top = paper.height() - 16;
        String hand = Hands.banner(ref.assembly());
        page.grey(0)
                .words(SIDE, top, 5, "LEAVE OPEN")
                .words(
                        SIDE,
                        top - 7,
                        3,
                        ref.face().name() + (hand.isEmpty() ? "" : ", " + hand) + ", seen "
                                + ref.face().viewed());
        return top - 12;
    }

    private double picture(PdfPage page, double top) throws IOException {
        Box box = ref.face().layers().stream()
                .map(l -> l.outline().box())
                .reduce(Box::with)
                .orElse(new Box(0, 0, 1e8, 1e8));
        double scale = Math.min((paper.width() - 2 * SIDE) / (box.width() / 1e6), 100 / (box.height() / 1e6));
        double x0 = SIDE - box.minX() / 1e6 * scale;
        double y0 = top - box.maxY() / 1e6 * scale;
        page.width(0.15).grey(0.55);
        for (Layer layer : ref.face().layers()) {
            page.path(new Drawing.Path("", layer.outline().outer().corners(), true), x0, y0, scale);
        }
        for (HoleReading r : reading.readings()) {
            double x = x0 + r.hole().at().x() / 1e6 * scale;
            double y = y0 + r.hole().at().y() / 1e6 * scale;
            if (holds.of(r).isPresent()) {
                page.grey(0).width(0.3).box(x - 1.1, y - 1.1, 2.2, 2.2, false);
            } else {
                page.grey(0.55).box(x - 0.25, y - 0.25, 0.5, 0.5, true);
            }
        }
        double low = top - box.height() / 1e6 * scale;
        page.grey(0)
                .words(
                        SIDE,
                        low - 5,
                        1.8,
                        "Boxes: leave open. Dots: may be set. Along: "
                                + ref.face().xToward() + ". Up: " + ref.face().yToward() + ".");
        return low - 9;
    }

    private double range(PdfPage page, Holds.Range r, double y) throws IOException {
        String holes = r.from().equals(r.to()) ? r.from() : r.from() + " to " + r.to();
        page.grey(0)
                .words(
                        SIDE,
                        y - 5,
                        3,
                        holes + "  (" + r.count() + ")  " + r.group().code() + " "
                                + r.group().name());
        double line = y - 9.5;
        for (String part : page.wrapped(r.held().sentence(unit), 2.2, paper.width() - 2 * SIDE - 4)) {
            page.words(SIDE + 4, line, 2.2, part);
            line -= 4;
        }
        return line;
    }
}
