package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.Template;
import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.function.Supplier;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.jspecify.annotations.Nullable;

/*
 * Design. The drawing is laid under a grid of windows that overlap by a centimetre; each page shows one window in
 * true size. The edges of the
 * overlap are dashed and named, so that two pages are laid one over the other until the dashed lines and the holes
 * agree. Every page has bars of
 * known length both ways to lay a rule on, and says hand, face and directions, as pages get parted from each other.
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
    /** The bars to check the print with. */
    private static final double BAR = 100;
    /** Where the upright bar is. */
    private static final double UPRIGHT = 8;

    private final Template template;
    private final Paper paper;
    private final String build;
    private final Map<List<Integer>, List<Drawing.Shape>> onTiles = new HashMap<>();
    private final Box box;

    private TemplatePdf(Template template, Paper paper, String build) {
        this.template = template;
        this.paper = paper;
        this.build = build;
        Box drawn = template.drawing().box().orElse(new Box(0, 0, 1e6, 1e6));
        double air = 4e6;
        box = new Box(drawn.minX() - air, drawn.minY() - air, drawn.maxX() + air, drawn.maxY() + air);
    }

    /**
     * The template as a PDF.
     *
     * @param build name of the build, for the head of each page
     * @param fonts TrueType fonts, opened anew each time; those behind the first for letters it lacks
     */
    public static byte[] write(Template template, Paper paper, String build, List<Supplier<InputStream>> fonts) {
        return write(template, paper, build, fonts, Progress.NONE);
    }

    /**
     * As {@link #write(Template, Paper, String, List)}, watched; what is drawn lies in a file of its own until it is
     * whole.
     *
     * @throws CancellationException if the watcher said to stop
     */
    public static byte[] write(
            Template template, Paper paper, String build, List<Supplier<InputStream>> fonts, Progress progress) {
        try (PDDocument document = new PDDocument(IOUtils.createTempFileOnlyStreamCache());
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            document.getDocumentInformation().setTitle(template.title() + ", template");
            new TemplatePdf(template, paper, build).pages(document, new PdfFonts(document, fonts), progress);
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

    private double windowWidth() {
        return paper.width() - 2 * SIDE;
    }

    private double windowHeight() {
        return bands() > 1 ? box.height() / 1e6 : paper.height() - HEAD - FOOT;
    }

    /** How many windows lie one above the other on a page: several for a strip, one for a face. */
    private int bands() {
        return (int) Math.max(1, Math.floor((paper.height() - HEAD - FOOT + GAP) / (box.height() / 1e6 + GAP)));
    }

    private int[] tiles() {
        return new int[] {tiles(box.width() / 1e6, windowWidth()), tiles(box.height() / 1e6, windowHeight())};
    }

    /** Lays each shape to the pieces it is seen on, so that a page goes through its own only. */
    private void sort() {
        double w = windowWidth();
        double h = windowHeight();
        int[] tiles = tiles();
        for (Drawing.Shape shape : template.drawing().shapes()) {
            Box at = place(shape);
            for (int column = first(at.minX() - box.minX(), w); column < tiles[0]; column++) {
                if (column * (w - OVERLAP) * 1e6 > at.maxX() - box.minX()) {
                    break;
                }
                for (int row = first(at.minY() - box.minY(), h); row < tiles[1]; row++) {
                    if (row * (h - OVERLAP) * 1e6 > at.maxY() - box.minY()) {
                        break;
                    }
                    onTiles.computeIfAbsent(List.of(column, row), t -> new ArrayList<>())
                            .add(shape);
                }
            }
        }
    }

    /** The first piece that a place, nm from the lower left, may lie on. */
    private static int first(double from, double window) {
        return (int) Math.max(0, Math.floor((from / 1e6 - window) / (window - OVERLAP)));
    }

    private static int tiles(double length, double window) {
        return length <= window ? 1 : 1 + (int) Math.ceil((length - window) / (window - OVERLAP));
    }

    private void pages(PDDocument document, PdfFonts fonts, Progress progress) throws IOException {
        sort();
        int[] tiles = tiles();
        int bands = tiles[1] > 1 ? 1 : bands();
        int number = 0;
        int pages = tiles[1] * ((tiles[0] + bands - 1) / bands);
        for (int row = tiles[1] - 1; row >= 0; row--) {
            for (int column = 0; column < tiles[0]; column += bands) {
                try (PdfPage page = new PdfPage(document, paper, fonts)) {
                    windows(page, column, row, tiles, bands);
                    head(
                            page,
                            bands == 1
                                    ? name(column, row)
                                    : name(column, row) + " to " + name(Math.min(column + bands, tiles[0]) - 1, row),
                            ++number,
                            pages);
                    foot(page, fonts.missing());
                    if (!progress.at(0.95 * number / pages)) {
                        throw new CancellationException("stopped: nothing was written");
                    }
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
        double x0 = SIDE - box.minX() / 1e6 - column * (w - OVERLAP);
        double y0 = foot - box.minY() / 1e6 - row * (h - OVERLAP);
        page.clipped(SIDE, foot, w, h);
        shapes(page, x0, y0, onTiles.getOrDefault(List.of(column, row), List.of()));
        page.unclipped();
        page.width(0.15).grey(0.4).box(SIDE, foot, w, h, false);
        overlaps(page, column, row, tiles, foot);
    }

    private static void shapes(PdfPage page, double x0, double y0, List<Drawing.Shape> shapes) throws IOException {
        @Nullable String layer = null;
        for (Drawing.Shape shape : shapes.stream()
                .sorted(Comparator.comparing(Drawing.Shape::layer))
                .toList()) {
            // Said once for all that follow on the layer.
            if (!shape.layer().equals(layer)) {
                layer = shape.layer();
                page.grey(0)
                        .width(layer.equals("CROSSES") || layer.equals("TANGENTS") ? 0.1 : 0.2)
                        .dashed(layer.equals("SIGHT") ? 1.5 : 0);
            }
            shape(shape, page, x0, y0);
        }
        page.dashed(0);
    }

    private static void shape(Drawing.Shape shape, PdfPage page, double x0, double y0) throws IOException {
        switch (shape) {
            case Drawing.Path p -> page.path(p, x0, y0, 1);
            case Drawing.Circle c -> page.circle(c.at(), c.diameter().nanometres() / 2, x0, y0, 1);
            case Drawing.Words t ->
                page.words(
                        x0 + t.at().x() / 1e6, y0 + t.at().y() / 1e6, t.height().mm(), t.text());
            case Drawing.Spot s -> {
                double x = x0 + s.at().x() / 1e6;
                double y = y0 + s.at().y() / 1e6;
                page.line(x - 1, y, x + 1, y).line(x, y - 1, x, y + 1);
            }
        }
    }

    /** Where a shape is seen; words by their height, as wide as any typeface sets them. */
    private static Box place(Drawing.Shape shape) {
        if (shape instanceof Drawing.Words w) {
            double high = w.height().nanometres() * 2;
            return Box.around(
                    new Point(w.at().x() - high, w.at().y() - high),
                    new Point(w.at().x() + w.text().length() * high, w.at().y() + high));
        }
        return new Drawing(List.of(shape)).box().orElseThrow();
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

    /** Bars of known length both ways, the directions, and what is not on the page. */
    private void foot(PdfPage page, int missing) throws IOException {
        double y = 13;
        page.grey(0).width(0.25).line(SIDE, y, SIDE + BAR, y).line(UPRIGHT, FOOT, UPRIGHT, FOOT + BAR);
        for (int mm = 0; mm <= BAR; mm += 10) {
            double tick = mm % 50 == 0 ? 3 : 1.8;
            page.line(SIDE + mm, y, SIDE + mm, y + tick).line(UPRIGHT, FOOT + mm, UPRIGHT - tick, FOOT + mm);
        }
        page.words(
                SIDE,
                y - 5,
                2,
                "This bar and the upright one are 100 mm (3.937 in) long. If not, print again at 100 %, without fitting"
                        + " to the page.");
        if (missing > 0) {
            page.words(
                    SIDE,
                    y - 9,
                    2,
                    "Left out on this page: " + missing + (missing == 1 ? " letter" : " letters")
                            + " that no typeface here has; a ? stands for each.");
        }
        double x = SIDE + BAR + 12;
        page.arrow(x, y + 1, x + 14, y + 1).words(x + 16, y, 2, template.xToward());
        if (!template.yToward().isEmpty()) {
            page.arrow(x + 52, y - 4, x + 52, y + 6).words(x + 55, y, 2, template.yToward());
        }
    }
}
