package bucina.store.drawing;

import bucina.core.stores.OrderList;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Supplier;

/** The order list on paper, with boxes to tick when it has come. */
public final class OrderListPdf {

    private static final double[] WIDTHS = {8, 22, 58, 0};

    private OrderListPdf() {}

    /** The list as a PDF. */
    public static byte[] write(
            OrderList list, String build, LocalDate today, Paper paper, List<Supplier<InputStream>> fonts) {
        return PdfSheets.write(
                "Order list, " + build,
                build + ", order list of " + today + ". Check against the drawing before ordering.",
                paper,
                fonts,
                flow -> page(list, flow));
    }

    private static void page(OrderList list, PdfFlow flow) throws IOException {
        flow.heading("TO ORDER", 6);
        if (list.lines().isEmpty()) {
            flow.text("Nothing is wanting: what is there is enough, spare and all.");
            return;
        }
        flow.gap(2).row(List.of("", "order", "what", "why"), WIDTHS, true);
        for (OrderList.Line line : list.lines()) {
            flow.row(List.of("[  ]", line.order() + " ×", line.designation(), line.why()), WIDTHS, false);
        }
    }
}
