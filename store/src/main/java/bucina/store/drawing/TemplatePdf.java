package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.Template;
import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.function.Supplier;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/*
 * Design. The drawing is laid under a grid of windows that overlap by a centimetre; each page shows one window in
 * true size. The edges of the
 * overlap are dashed and named, so that two pages are laid one over the other until the dashed lines and the holes
 * agree. Every page has a bar of
 * known length to lay a rule on, and says hand, face and directions, as pages get parted from each other.
 */

/** Templates in true size, tiled over paper. */
public final class TemplatePdf {

    /** Left and right of the drawing, mm. */
    private static final double SIDE = 12;
    /** Above it. */
    private static final double HEAD = 22;
    /** Below it. */
    private static final double FOOT = 22;
    /** What two neighbouring pages both show. */
    private static final double OVERLAP = 10;
    /** Between two windows on one page, mm. */
    private static final double GAP = 6;
    /** The bar to check the print with. */
    private static final double BAR = 100;

    private final Template template;
    private final Paper paper;
    private final String build;

    private TemplatePdf(Template template, Paper paper, String build) {
        this.template = template;
        this.paper = paper;
        this.build = build;
    }

    /**
     * The template as a PDF.
     *
     * @param build name of the build, for the head of each page
     * @param font  a TrueType font, opened anew each time
     */
    public static byte[] write(Template template, Paper paper, String build, Supplier<InputStream> font) {
        try (PDDocument document = new PDDocument();
                InputStream in = font.get();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            document.getDocumentInformation().setTitle(template.title() + ", template");
            new TemplatePdf(template, paper, build).pages(document, PDType0Font.load(document, in));
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** How many pages across and up a template takes. */
    public static int[] tiles(Template template, Paper paper) {
        return new TemplatePdf(template, paper, "").tiles();
    }

    private Box box() {
        Box box = template.drawing().box().orElse(new Box(0, 0, 1e6, 1e6));
        double air = 4e6;
        return new Box(box.minX() - air, box.minY() - air, box.maxX() + air, box.maxY() + air);
    }

    private double windowWidth() {
        return paper.width() - 2 * SIDE;
    }

    private double windowHeight() {
        return bands() > 1 ? box().height() / 1e6 : paper.height() - HEAD - FOOT;
    }

    /** How many windows lie one above the other on a page: several for a strip, one for a face. */
    private int bands() {
        return (int) Math.max(1, Math.floor((paper.height() - HEAD - FOOT + GAP) / (box().height() / 1e6 + GAP)));
    }

    private int[] tiles() {
        return new int[] {tiles(box().width() / 1e6, windowWidth()), tiles(box().height() / 1e6, windowHeight())};
    }

    private static int tiles(double length, double window) {
        return length <= window ? 1 : 1 + (int) Math.ceil((length - window) / (window - OVERLAP));
    }

    private void pages(PDDocument document, PDFont font) throws IOException {
        int[] tiles = tiles();
        int bands = tiles[1] > 1 ? 1 : bands();
        int number = 0;
        int pages = tiles[1] * ((tiles[0] + bands - 1) / bands);
        for (int row = tiles[1] - 1; row >= 0; row--) {
            for (int column = 0; column < tiles[0]; column += bands) {
                try (PdfPage page = new PdfPage(document, paper, font)) {
                    windows(page, column, row, tiles, bands);
                    head(
                            page,
                            bands == 1
                                    ? name(column, row)
                                    : name(column, row) + " to " + name(Math.min(column + bands, tiles[0]) - 1, row),
                            ++number,
                            pages);
                    foot(page);
                }
            }
        }
    }

    private void windows(PdfPage page, int column, int row, int[] tiles, int bands) throws IOException {
        for (int band = 0; band < bands && column + band < tiles[0]; band++) {
            double foot = bands == 1 ? FOOT : paper.height() - HEAD - (band + 1) * windowHeight() - band * GAP;
            window(page, column + band, row, tiles, foot);
        }
    }

    private static String name(int column, int row) {
        return (char) ('A' + row % 26) + (row >= 26 ? Integer.toString(row / 26) : "") + "-" + (column + 1);
    }

    private void window(PdfPage page, int column, int row, int[] tiles, double foot) throws IOException {
        double w = windowWidth();
        double h = windowHeight();
        // Millimetres on the page of the drawing's origin.
        double x0 = SIDE - box().minX() / 1e6 - column * (w - OVERLAP);
        double y0 = foot - box().minY() / 1e6 - row * (h - OVERLAP);
        page.clipped(SIDE, foot, w, h);
        shapes(page, x0, y0, column * (w - OVERLAP) * 1e6 + box().minX(), row * (h - OVERLAP) * 1e6 + box().minY());
        page.unclipped();
        page.width(0.15).grey(0.4).box(SIDE, foot, w, h, false);
        overlaps(page, column, row, tiles, foot);
    }

    private void shapes(PdfPage page, double x0, double y0, double left, double low) throws IOException {
        Box seen = new Box(left, low, left + windowWidth() * 1e6, low + windowHeight() * 1e6);
        for (Drawing.Shape shape : template.drawing().shapes()) {
            page.grey(0)
                    .width(shape.layer().equals("CROSSES") || shape.layer().equals("TANGENTS") ? 0.1 : 0.2)
                    .dashed(shape.layer().equals("SIGHT") ? 1.5 : 0);
            shape(shape, page, x0, y0, seen);
        }
        page.dashed(0);
    }

    private static void shape(Drawing.Shape shape, PdfPage page, double x0, double y0, Box seen) throws IOException {
        switch (shape) {
            case Drawing.Path p -> page.path(p, x0, y0, 1);
            case Drawing.Circle c -> {
                if (near(seen, c.at())) {
                    page.circle(c.at(), c.diameter().nanometres() / 2, x0, y0, 1);
                }
            }
            case Drawing.Words t -> {
                if (near(seen, t.at())) {
                    page.words(
                            x0 + t.at().x() / 1e6,
                            y0 + t.at().y() / 1e6,
                            t.height().mm(),
                            t.text());
                }
            }
            default -> {}
        }
    }

    private static boolean near(Box seen, Point p) {
        double air = 40e6;
        return p.x() > seen.minX() - air
                && p.x() < seen.maxX() + air
                && p.y() > seen.minY() - air
                && p.y() < seen.maxY() + air;
    }

    private void overlaps(PdfPage page, int column, int row, int[] tiles, double foot) throws IOException {
        double w = windowWidth();
        double h = windowHeight();
        page.grey(0.35).dashed(2);
        lines(column, page, foot, h, tiles, w, row);
        page.dashed(0);
        neighbours(column, page, foot, h, row, tiles, w);
    }

    private static void neighbours(int column, PdfPage page, double foot, double h, int row, int[] tiles, double w)
            throws IOException {
        if (column > 0) {
            page.words(SIDE + 0.8, foot + h / 2, 1.7, name(column - 1, row));
        }
        if (column < tiles[0] - 1) {
            page.words(SIDE + w - OVERLAP + 1, foot + h / 2, 1.7, name(column + 1, row));
        }
        if (row > 0) {
            page.words(SIDE + w / 2, foot + 1, 1.7, "below: " + name(column, row - 1));
        }
        if (row < tiles[1] - 1) {
            page.words(SIDE + w / 2, foot + h - 3, 1.7, "above: " + name(column, row + 1));
        }
    }

    private static void lines(int column, PdfPage page, double foot, double h, int[] tiles, double w, int row)
            throws IOException {
        if (column > 0) {
            page.line(SIDE + OVERLAP, foot, SIDE + OVERLAP, foot + h);
        }
        if (column < tiles[0] - 1) {
            page.line(SIDE + w - OVERLAP, foot, SIDE + w - OVERLAP, foot + h);
        }
        if (row > 0) {
            page.line(SIDE, foot + OVERLAP, SIDE + w, foot + OVERLAP);
        }
        if (row < tiles[1] - 1) {
            page.line(SIDE, foot + h - OVERLAP, SIDE + w, foot + h - OVERLAP);
        }
    }

    private void head(PdfPage page, String names, int number, int pages) throws IOException {
        double top = paper.height();
        page.grey(0).words(SIDE, top - 11, 3, template.title());
        String of = names + ", page " + number + " of " + pages;
        page.words(paper.width() - SIDE - page.wide(of, 2.4), top - 11, 2.4, of);
        if (!template.hand().isEmpty()) {
            hand(page, top);
        }
        page.words(SIDE, top - 17.5, 2, build + ".  This side up: seen " + template.viewed() + ".");
    }

    private void hand(PdfPage page, double top) throws IOException {
        double wide = page.wide(template.hand(), 3) + 6;
        double x = paper.width() / 2 + 8;
        page.box(x, top - 13, wide, 7, true)
                .grey(1)
                .words(x + 3, top - 11, 3, template.hand())
                .grey(0);
    }

    private void foot(PdfPage page) throws IOException {
        double y = 13;
        page.grey(0).width(0.25).line(SIDE, y, SIDE + BAR, y);
        for (int mm = 0; mm <= BAR; mm += 10) {
            page.line(SIDE + mm, y, SIDE + mm, y + (mm % 50 == 0 ? 3 : 1.8));
        }
        page.words(
                SIDE,
                y - 5,
                2,
                "This bar is 100 mm (3.937 in) long. If it is not, print again at 100 %, without fitting to the page.");
        double x = SIDE + BAR + 12;
        page.arrow(x, y + 1, x + 14, y + 1).words(x + 16, y, 2, template.xToward());
        if (!template.yToward().isEmpty()) {
            page.arrow(x + 52, y - 4, x + 52, y + 6).words(x + 55, y, 2, template.yToward());
        }
    }
}
