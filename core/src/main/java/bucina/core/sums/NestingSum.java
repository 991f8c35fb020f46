package bucina.core.sums;

import bucina.core.cut.CutText;
import bucina.core.cut.Nesting;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.rule.Level;
import bucina.core.sheet.Box;
import java.util.List;

/** Rectangles laid on sheets, with the grain. */
final class NestingSum implements Sum {

    @Override
    public About about() {
        return new About(
                "nesting",
                Family.CUT,
                "Sheet nesting",
                "How do the blanks lie on the sheets on hand, with the grain where that matters?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                Ask.lines(
                        "want",
                        "Blanks: length x width",
                        "18 x 6 x2 nose rib grain\n14 x 5 x4 aft rib grain\n4.3 x 3.3 x6 bracket\n9 x 9 x1 cover",
                        "460 x 150 x2 nose rib grain\n360 x 125 x4 aft rib grain\n110 x 84 x6 bracket\n230 x 230 x1 "
                                + "cover"),
                Ask.lines("stock", "Sheets: length x width", "48 x 24 x2", "1220 x 610 x2"),
                Ask.length("gap", "Between pieces", ".06"));
    }

    @Override
    public Answer answer(Figures f) {
        CutText text = new CutText(f.lengths());
        List<Nesting.Blank> wanted = text.blanks(f.text("want"));
        if (wanted.isEmpty()) {
            throw new InputException(
                    "Blanks: none is there: write length, width, count and name, like 12 x 4 x3 gusset grain");
        }
        Nesting nest = Nesting.of(wanted, text.sheets(f.text("stock")), f.length("gap"));
        Answer.Maker out = new Answer.Maker();
        lines(nest, out);
        if (!nest.missing().isEmpty()) {
            out.note(
                    Level.WARNING,
                    nest.missing().size() + " pieces find no place: the first is "
                            + f.show(nest.missing().getFirst().length()) + " by "
                            + f.show(nest.missing().getFirst().width()) + ". Add a sheet.");
        }
        out.note(Level.NOTE, "Grain runs along the length of the sheet. Bends go across the grain.");
        table(out, f, nest);
        return out.answer(picture(f, nest));
    }

    private static void table(Answer.Maker out, Figures f, Nesting nest) {
        heads(out, f);
        for (int i = 0; i < nest.sheets().size(); i++) {
            for (Nesting.Laid laid : nest.sheets().get(i).pieces()) {
                row(out, i, laid, f);
            }
        }
    }

    private static void row(Answer.Maker out, int i, Nesting.Laid laid, Figures f) {
        out.row(
                Integer.toString(i + 1),
                laid.blank().name(),
                f.figure(Length.nm(laid.at().width())),
                f.figure(Length.nm(laid.at().height())),
                f.figure(Length.nm(laid.at().minX())),
                f.figure(Length.nm(laid.at().minY())));
    }

    private static void heads(Answer.Maker out, Figures f) {
        out.heads(
                "Sheet",
                "Piece",
                "Length " + f.shown().symbol(),
                "Width " + f.shown().symbol(),
                "From left " + f.shown().symbol(),
                "From below " + f.shown().symbol());
    }

    private static void lines(Nesting nest, Answer.Maker out) {
        double used = nest.sheets().stream()
                .mapToDouble(Nesting.Sheet::used)
                .average()
                .orElse(0);
        out.line(
                "Sheets",
                nest.sheets().size() + ", at least " + nest.bound(),
                "largest free rectangles, several orders tried",
                "area alone asks for " + nest.bound(),
                "maximal rectangles, Jylänki 2010",
                "Shear cuts that go right across may need another order: try it on paper first.");
        out.line(
                "Used",
                "%.0f %%".formatted(100 * used),
                "area of pieces / area of the sheets cut",
                "",
                "this layout",
                "");
    }

    private static Picture.Panel picture(Figures f, Nesting nest) {
        Picture.Pen pen = new Picture.Pen();
        double y = 0;
        for (Nesting.Sheet sheet : nest.sheets()) {
            double h = sheet.width().nanometres();
            pen.box(Picture.Ink.WASTE, 0, y - h, sheet.length().nanometres(), y);
            blanks(sheet, pen, y, h, f);
            pen.words(
                    Picture.Ink.SOFT,
                    sheet.length().nanometres(),
                    y - h / 2,
                    "%.0f %%".formatted(100 * sheet.used()),
                    Picture.Side.RIGHT);
            y -= h * 1.08;
        }
        return pen.panel("Sheets with their blanks; the grain runs from left to right", 1);
    }

    private static void blanks(Nesting.Sheet sheet, Picture.Pen pen, double y, double h, Figures f) {
        for (Nesting.Laid laid : sheet.pieces()) {
            Box b = laid.at();
            pen.box(Picture.Ink.METAL, b.minX(), y - h + b.minY(), b.maxX(), y - h + b.maxY());
            pen.words(
                    Picture.Ink.EDGE,
                    (b.minX() + b.maxX()) / 2,
                    y - h + (b.minY() + b.maxY()) / 2,
                    laid.blank().name().isEmpty()
                            ? f.figure(laid.blank().length())
                            : laid.blank().name(),
                    Picture.Side.CENTRE);
        }
    }
}
