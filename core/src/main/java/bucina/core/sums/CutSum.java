package bucina.core.sums;

import bucina.core.cut.CutList;
import bucina.core.cut.Piece;
import bucina.core.cut.Stock;
import bucina.core.explain.Why;
import bucina.core.measure.Length;
import bucina.core.rule.Level;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Which piece from which bar, section by section, and what to order. */
final class CutSum implements Sum {

    private static final int SHOWN = 12;

    @Override
    public About about() {
        return new About(
                "cut",
                Family.CUT,
                "Cutting list",
                "Which piece from which bar, with the least left over? The gauge you measured stands behind @.");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                Ask.lines(
                        "want",
                        "Wanted",
                        "Angle 3/4 x 3/4: .063\n24 x3 rib stiffener\n36 x2 spar cap\n7 1/2 x8 skin clip\nStrip 1 "
                                + "in: .032\n11 1/4 x6 hinge shim",
                        "Angle 20 x 20: 1.6\n610 x3 rib stiffener\n915 x2 spar cap\n190 x8 skin clip\nStrip 25: "
                                + ".8\n285 x6 hinge shim"),
                Ask.lines(
                        "stock",
                        "On hand",
                        "Angle 3/4 x 3/4\n72 x3 @.062\n48 x1 @.094\nStrip 1 in\n36 x1 @.032",
                        "Angle 20 x 20\n1830 x3 @1.58\n1220 x1 @2.4\nStrip 25\n915 x1 @.8"),
                Ask.length("kerf", "Saw kerf", ".06"),
                Ask.length("trim", "To trim, each piece", ".06"),
                Ask.length("tolerance", "Gauge within", ".004"),
                Ask.length("order", "Bars sold in", "72"));
    }

    @Override
    public Answer answer(Figures f) {
        Answer.Maker out = new Answer.Maker();
        Map<String, CutSections.Section> sections = CutSections.read(f, out);
        Length kerf = f.length("kerf");
        List<Picture.Panel> panels = new ArrayList<>();
        out.heads("Section", "Bar", "Pieces", "Left " + f.shown().symbol());
        int bars = 0;
        int bound = 0;
        Length left = Length.ZERO;
        Length used = Length.ZERO;
        List<String> order = new ArrayList<>();
        Picture.Pen pen = new Picture.Pen();
        // Bars share one scale; a few are drawn thick, many thin.
        double[] row = scale(sections);
        for (CutSections.Section s : sections.values()) {
            if (s.pieces().isEmpty()) {
                continue;
            }
            CutList list = CutList.of(s.pieces(), s.stock(), kerf);
            bars += list.bars().size();
            bound += list.bound();
            used = used.plus(list.used());
            left = list.bars().stream().map(CutList.Bar::left).reduce(left, Length::plus);
            draw(f, s, list, pen, row);
            rows(f, s, list, out);
            missing(f, s, list, kerf, order, out);
        }
        out.heads(
                "Section",
                "Bar " + f.shown().symbol(),
                "Pieces",
                "Left " + f.shown().symbol());
        panels.add(pen.panel("Bars with their pieces; what is left is hatched lightly", 1));
        lines(bars, bound, f, left, used, order, out);
        out.note(
                Level.NOTE,
                "Each piece has " + f.fine(f.length("trim"))
                        + " to trim. Mark, measure twice, cut on the waste side; deburr both ends.");
        return out.answer(panels.toArray(Picture.Panel[]::new));
    }

    private static double[] scale(Map<String, CutSections.Section> sections) {
        double longest = sections.values().stream()
                .flatMap(s -> s.stock().stream())
                .mapToDouble(s -> s.length().nanometres())
                .max()
                .orElse(1);
        int many = Math.min(
                SHOWN,
                sections.values().stream()
                        .mapToInt(s -> s.stock().stream().mapToInt(Stock::count).sum())
                        .sum());
        return new double[] {0, longest * Math.min(0.13, 0.6 / Math.max(1, many))};
    }

    private static void lines(
            int bars, int bound, Figures f, Length left, Length used, List<String> order, Answer.Maker out) {
        List<Why> first = List.of(
                new Why(
                        "Bars cut",
                        bars + ", at least " + bound,
                        "first-fit, then the best of all fillings of a bar",
                        "no cutting stays under " + bound,
                        "cutting stock by patterns, Gilmore and Gomory 1961",
                        bars == bound ? "This is as few as can be." : "Within " + (bars - bound) + " of the bound."),
                new Why(
                        "Left over",
                        f.show(left),
                        "Σ of what is left of the bars cut",
                        "%.0f %% of ".formatted(100 * left.nanometres() / Math.max(1, used.nanometres()))
                                + f.show(used),
                        "this list",
                        ""),
                new Why(
                        "To order",
                        order.isEmpty() ? "nothing" : String.join(", ", order),
                        "the missing pieces cut from bars as they are sold",
                        "bars of " + f.show(f.over0("order")),
                        "this list",
                        ""));
        out.lines(first);
    }

    private static void missing(
            Figures f, CutSections.Section s, CutList list, Length kerf, List<String> order, Answer.Maker out) {
        if (list.missing().isEmpty()) {
            return;
        }
        Length sold = f.over0("order");
        List<Piece> rest = list.missing().stream()
                .map(m -> new Piece(m.name(), m.length(), 1))
                .toList();
        CutList more = CutList.of(rest, List.of(new Stock(sold, rest.size())), kerf);
        missingWords(list, s, more, out, f, sold);
        if (!more.bars().isEmpty()) {
            order.add(more.bars().size() + " × " + f.show(sold) + " " + s.name());
        }
    }

    private static void missingWords(
            CutList list, CutSections.Section s, CutList more, Answer.Maker out, Figures f, Length sold) {
        String words = list.missing().size() + " of " + s.name() + " missing";
        if (!more.missing().isEmpty()) {
            out.note(
                    Level.ERROR,
                    words + "; " + more.missing().size() + " longer than the bars sold, " + f.show(sold) + ".");
        } else {
            out.note(Level.WARNING, words + ": " + counted(f, list.missing()) + ".");
        }
    }

    private static String counted(Figures f, List<CutList.Named> pieces) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        pieces.forEach(
                p -> counts.merge(f.figure(p.length()) + (p.name().isEmpty() ? "" : " " + p.name()), 1, Integer::sum));
        return String.join(
                ", ",
                counts.entrySet().stream()
                        .map(e -> e.getValue() + " × " + e.getKey())
                        .toList());
    }

    private static void rows(Figures f, CutSections.Section s, CutList list, Answer.Maker out) {
        for (CutList.Bar bar : list.bars()) {
            out.row(s.name(), f.figure(bar.stock()), counted(f, bar.pieces()), f.figure(bar.left()));
        }
    }

    private static void draw(Figures f, CutSections.Section s, CutList list, Picture.Pen pen, double[] row) {
        double step = row[1];
        int index = 0;
        for (CutList.Bar bar : list.bars()) {
            if (row[0] >= SHOWN) {
                return;
            }
            double top = -row[0] * step;
            double low = top - step * 0.55;
            double at = 0;
            pen.box(Picture.Ink.WASTE, 0, low, bar.stock().nanometres(), top);
            boolean many = bar.pieces().size() > 40;
            for (CutList.Named piece : bar.pieces().stream().limit(200).toList()) {
                double end = at + piece.length().nanometres();
                pen.box(many ? Picture.Ink.SHADE : Picture.Ink.METAL, at, low, end, top);
                pen.words(
                        Picture.Ink.EDGE,
                        (at + end) / 2,
                        (top + low) / 2,
                        many ? "" : f.figure(piece.length()),
                        Picture.Side.CENTRE);
                at = end + f.length("kerf").nanometres();
            }
            pen.words(Picture.Ink.SOFT, 0, (top + low) / 2, index == 0 ? s.name() : "", Picture.Side.LEFT);
            pen.words(
                    Picture.Ink.SOFT,
                    bar.stock().nanometres(),
                    (top + low) / 2,
                    "left " + f.figure(bar.left()),
                    Picture.Side.RIGHT);
            row[0]++;
            index++;
        }
    }
}
