package bucina.store.drawing;

import bucina.core.guard.BayPoints;
import bucina.core.log.CloseOut;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Gaging;
import bucina.core.plan.RunThrough;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** The close-out of a bay on paper: what is open, with boxes to tick, and where it is signed. */
public final class CloseOutPdf {

    private CloseOutPdf() {}

    /**
     * What stands on it.
     *
     * @param build  the build
     * @param bay    the bay
     * @param points what is open
     * @param loose  what is counted out, with how many there must be
     * @param signed the close-out that holds; empty for none
     * @param unit   lengths are written in
     */
    public record Source(
            Build build,
            Bay bay,
            List<BayPoints.Point> points,
            Map<String, Integer> loose,
            Optional<LogEntry> signed,
            Unit unit) {}

    /** The sheet as a PDF. */
    public static byte[] write(Source source, Paper paper, List<Supplier<InputStream>> fonts) {
        return PdfSheets.write(
                "Close-out, " + source.bay.name(),
                source.build.name() + ", close-out of " + source.bay.name() + ". The kit's drawing governs.",
                paper,
                fonts,
                flow -> page(source, flow));
    }

    private static void page(Source s, PdfFlow flow) throws IOException {
        flow.heading("CLOSE-OUT", 6);
        flow.text(s.bay.name(), 3.4, 0, 0);
        flow.text("Closed by "
                + s.bay.closers().stream().map(c -> s.build.part(c).name()).collect(Collectors.joining(", ")) + ".");
        if (!s.bay.notes().isBlank()) {
            flow.text(s.bay.notes());
        }
        flow.gap(2);
        if (s.points.isEmpty()) {
            flow.text("Nothing is open by plan and log.", 2.6, 0, 0);
        }
        BayPoints.Kind last = null;
        for (BayPoints.Point point : s.points) {
            if (point.kind() != last) {
                flow.heading(upper(point.kind().word()), 2.8);
                last = point.kind();
            }
            box(flow, point.text());
        }
        more(s, flow);
        signed(s, flow);
    }

    private static void more(Source s, PdfFlow flow) throws IOException {
        List<Gaging> gagings = s.build.workshop().gagings().stream()
                .filter(g -> g.bay().filter(s.bay.id()::equals).isPresent())
                .toList();
        if (!gagings.isEmpty()) {
            flow.heading("Swung through and measured", 2.8);
        }
        for (Gaging g : gagings) {
            box(
                    flow,
                    g.name() + ": "
                            + g.least()
                                    .map(l -> "at least " + g.unit().words(l, s.unit))
                                    .orElse("")
                            + g.most()
                                    .map(m -> " at most " + g.unit().words(m, s.unit))
                                    .orElse("")
                            + "   measured ____________");
        }
        for (RunThrough run : s.build.workshop().runs()) {
            if (run.bay().filter(s.bay.id()::equals).isPresent()) {
                flow.text(run.kind().code() + " " + run.name() + ", " + LengthFormat.trade(run.size(), s.unit) + ": "
                        + run.stations().stream()
                                .map(t -> s.build.part(t.part()).name())
                                .collect(Collectors.joining(", "))
                        + (run.ends().isBlank() ? "" : "; ends " + run.ends())
                        + (run.string() ? "; a string is left in it" : "")
                        + (run.crosses().isBlank() ? "" : "; " + run.crosses()) + ".");
            }
        }
        if (!s.loose.isEmpty()) {
            flow.heading("Counted out", 2.8);
        }
        for (Map.Entry<String, Integer> each : s.loose.entrySet()) {
            box(
                    flow,
                    each.getKey() + (each.getValue() > 0 ? ", " + each.getValue() + " of them" : "")
                            + "   counted ____________");
        }
    }

    private static void signed(Source s, PdfFlow flow) throws IOException {
        flow.gap(6);
        if (s.signed.isPresent()) {
            Labour labour = s.signed.get().labour().orElseThrow();
            flow.text(
                    "Signed in entry " + s.signed.get().id() + " by " + labour.who() + ", "
                            + labour.done().toString().replace('T', ' ') + ".",
                    2.6,
                    0,
                    0);
            for (CloseOut.Left left : ((CloseOut) labour.what()).open()) {
                flow.text("Left open: " + left.point() + ", because " + left.reason() + ".", 2.2, 4, 0);
            }
        } else {
            flow.text(
                    "Not signed. A point left open wants its reason.   Who ____________________   When "
                            + "____________________",
                    2.4,
                    0,
                    0);
        }
    }

    private static void box(PdfFlow flow, String text) throws IOException {
        double y = flow.room(6) - 4.4;
        flow.page().grey(0).width(.3).box(PdfFlow.SIDE, y, 3.4, 3.4, false);
        flow.text(text, 2.3, 6, 0).gap(1.4);
    }

    private static String upper(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
