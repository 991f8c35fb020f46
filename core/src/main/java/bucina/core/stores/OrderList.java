package bucina.core.stores;

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
     * @param order how many, over 0, a multiple of how it is sold
     * @param why   in a sentence with the figures
     */
    public record Line(Balance.Item item, int order, String why) {

        /** What is ordered. */
        public String designation() {
            return item.designation();
        }
    }

    public OrderList {
        lines = List.copyOf(lines);
    }

    /** Of what is needed and left. */
    public static OrderList of(Balance balance) {
        List<Line> lines = new ArrayList<>();
        for (Balance.Item item : balance.items()) {
            Spare spare = item.spare();
            if (spare.order() > 0) {
                lines.add(new Line(item, spare.order(), why(item, spare)));
            }
        }
        return new OrderList(lines);
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
                .append(l.designation())
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
                printer.printRecord(
                        line.order,
                        line.designation(),
                        line.item.pack(),
                        line.item.needed(),
                        line.item.onHand(),
                        line.why);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }
}
