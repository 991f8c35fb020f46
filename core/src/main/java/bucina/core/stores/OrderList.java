package bucina.core.stores;

import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.spare.Spare;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;

/**
 * What to order: of each thing that is wanted what is not on hand, with a spare, as it is sold.
 *
 * @param lines by designation; none for what there is enough of
 */
public record OrderList(List<Line> lines) {

    /**
     * One thing to order.
     *
     * @param designation what is ordered
     * @param order       how many, over 0, a multiple of how it is sold
     * @param pack        how many are sold together
     * @param needed      how many are still to be set, or pieces to be cut
     * @param onHand      how many are there
     * @param why         in a sentence with the figures
     */
    public record Line(String designation, int order, int pack, int needed, int onHand, String why) {}

    public OrderList {
        lines = List.copyOf(lines);
    }

    /** Of what is needed and left. */
    public static OrderList of(Balance balance) {
        List<Line> lines = new ArrayList<>();
        for (Balance.Item item : balance.items()) {
            Spare spare = item.spare();
            if (spare.order() > 0) {
                lines.add(new Line(
                        item.designation(),
                        spare.order(),
                        item.pack(),
                        item.needed(),
                        item.onHand(),
                        why(item, spare)));
            }
        }
        return new OrderList(lines);
    }

    /** With the bars that are wanting for what cutting lists want. */
    public OrderList plus(LongStock stock, Unit unit) {
        List<Line> all = new ArrayList<>(lines);
        for (LongStock.Section section : stock.sections()) {
            if (section.order() > 0) {
                int pieces = section.missing().size();
                all.add(new Line(
                        section.name() + ", bar of " + LengthFormat.decimal(section.sold(), unit, 2),
                        section.order(),
                        1,
                        pieces,
                        section.bars().size(),
                        pieces + (pieces == 1 ? " piece has" : " pieces have") + " no room on what is there, "
                                + section.bars().size() + (section.bars().size() == 1 ? " bar" : " bars")
                                + ", by the cutting lists kept."
                                + (section.tooLong() > 0
                                        ? " " + section.tooLong() + " of them longer than what is sold."
                                        : "")));
            }
        }
        return new OrderList(all);
    }

    private static String why(Balance.Item item, Spare spare) {
        String share = String.format(Locale.ROOT, "%.1f", 100 * spare.rejectShare());
        String known = item.driven() == 0
                ? "none driven yet, so " + share + " % is reckoned to be rejected"
                : item.rejected() + " of " + item.driven() + " driven were rejected, so " + share + " % is reckoned";
        String hand = item.kept().isEmpty()
                ? "nobody counted what is on hand"
                : item.left() < 0
                        ? (-item.left()) + " more went in than were counted: count again"
                        : item.onHand() + " on hand";
        String sold = item.pack() > 1 ? "; sold by " + item.pack() : "";
        return item.needed() + " to set, " + (spare.need() - item.needed()) + " spare (" + known + "); " + hand + sold
                + ".";
    }

    /** As plain text, a line each. */
    public String text() {
        StringBuilder text = new StringBuilder();
        lines.forEach(l -> text.append(l.order)
                .append(" × ")
                .append(l.designation)
                .append("  (")
                .append(l.why)
                .append(")\n"));
        return text.toString();
    }

    /** As CSV with headings. */
    public String csv() {
        StringBuilder text = new StringBuilder();
        try (var printer = CSVFormat.DEFAULT.print(text)) {
            printer.printRecord("order", "designation", "sold by", "to set", "on hand", "why");
            for (Line line : lines) {
                printer.printRecord(line.order, line.designation, line.pack, line.needed, line.onHand, line.why);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }
}
