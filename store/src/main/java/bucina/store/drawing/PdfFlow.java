package bucina.store.drawing;

import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Text and pictures set one below the other over as many pages as it takes, each with a foot. */
final class PdfFlow implements AutoCloseable {

    static final double SIDE = 15;
    private static final double TOP = 16;
    private static final double FOOT = 17;

    private final PDDocument document;
    private final Paper paper;
    private final PdfFonts fonts;
    private final String foot;
    private PdfPage page;
    private int pages;
    private double y;

    /**
     * @param foot what stands under every page before its number
     */
    PdfFlow(PDDocument document, Paper paper, PdfFonts fonts, String foot) throws IOException {
        this.document = document;
        this.paper = paper;
        this.fonts = fonts;
        this.foot = foot;
        this.page = opened();
    }

    private PdfPage opened() throws IOException {
        PdfPage next = new PdfPage(document, paper, fonts);
        pages++;
        y = paper.height() - TOP;
        next.grey(0.35).words(SIDE, 8.5, 1.7, foot);
        String number = "page " + pages;
        next.words(paper.width() - SIDE - next.wide(number, 1.7), 8.5, 1.7, number);
        next.grey(0);
        return next;
    }

    /** On a page of its own from here. */
    PdfFlow turn() throws IOException {
        if (y < paper.height() - TOP) {
            page.close();
            page = opened();
        }
        return this;
    }

    /** Where the next thing stands, after room was made for so much. */
    double room(double mm) throws IOException {
        if (y - mm < FOOT) {
            page.close();
            page = opened();
        }
        return y;
    }

    PdfPage page() {
        return page;
    }

    double width() {
        return paper.width() - 2 * SIDE;
    }

    /** So much is taken. */
    void down(double mm) {
        y -= mm;
    }

    /** A heading: kept with what follows. */
    PdfFlow heading(String text, double mm) throws IOException {
        room(mm * 6);
        y -= mm * (y < paper.height() - TOP ? 2.3 : 1.2);
        page.grey(0).words(SIDE, y, mm, text);
        y -= mm * .7;
        return this;
    }

    /** Lines of text, wrapped; indented by so much. */
    PdfFlow text(String text, double mm, double indent, double grey) throws IOException {
        for (String line : page.wrapped(text, mm, width() - indent)) {
            room(mm * 1.9);
            y -= mm * 1.75;
            page.grey(grey).words(SIDE + indent, y, mm, line);
        }
        page.grey(0);
        return this;
    }

    PdfFlow text(String text) throws IOException {
        return text(text, 2.2, 0, 0);
    }

    /** A line of a table; the last column takes what is left and is wrapped. */
    PdfFlow row(List<String> cells, double[] widths, boolean head) throws IOException {
        double mm = 1.9;
        double x = 0;
        for (int i = 0; i < cells.size() - 1; i++) {
            x += widths[i];
        }
        List<String> last = page.wrapped(cells.getLast(), mm, width() - x);
        room(mm * 1.75 * Math.min(4, last.size()) + 1);
        y -= mm * 1.75;
        double at = 0;
        for (int i = 0; i < cells.size() - 1; i++) {
            page.grey(head ? .35 : 0).words(SIDE + at, y, mm, fitted(cells.get(i), mm, widths[i] - 1.5));
            at += widths[i];
        }
        boolean first = true;
        for (String line : last) {
            if (!first) {
                room(mm * 1.9);
                y -= mm * 1.75;
            }
            page.grey(head ? .35 : 0).words(SIDE + x, y, mm, line);
            first = false;
        }
        page.grey(.8).width(.1).line(SIDE, y - 1, paper.width() - SIDE, y - 1).grey(0);
        y -= 1.2;
        return this;
    }

    /** A text shortened to a width, with dots where it was. */
    private String fitted(String text, double mm, double most) throws IOException {
        if (page.wide(text, mm) <= most) {
            return text;
        }
        String cut = text;
        while (cut.length() > 1 && page.wide(cut + "…", mm) > most) {
            cut = cut.substring(0, cut.length() - 1);
        }
        return cut + "…";
    }

    PdfFlow gap(double mm) {
        y -= mm;
        return this;
    }

    @Override
    public void close() throws IOException {
        page.close();
    }
}
