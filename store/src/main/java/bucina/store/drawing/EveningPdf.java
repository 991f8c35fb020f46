package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.evening.LayOut;
import bucina.core.evening.Slip;
import bucina.core.evening.Tonight;
import bucina.core.job.Job;
import bucina.core.measure.Unit;
import bucina.core.plan.Layer;
import bucina.core.sheet.Box;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.apache.pdfbox.pdmodel.PDDocument;

/** The card of one evening: a page with boxes to tick, what to lay out, and a map; readable in dirty hands. */
public final class EveningPdf {

    private static final double SIDE = 14;
    private static final double MAP = 52;
    private static final double FOOT = 16;

    private final String title;
    private final Tonight tonight;
    private final Derivation derivation;
    private final Unit unit;
    private final Paper paper;

    private EveningPdf(String title, Tonight tonight, Derivation derivation, Unit unit, Paper paper) {
        this.title = title;
        this.tonight = tonight;
        this.derivation = derivation;
        this.unit = unit;
        this.paper = paper;
    }

    /**
     * The card as a PDF of one page.
     *
     * @param title what stands under the heading: the build and the day
     */
    public static byte[] write(
            String title,
            Tonight tonight,
            Derivation derivation,
            Unit unit,
            Paper paper,
            List<Supplier<InputStream>> fonts) {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            try (PdfPage page = new PdfPage(document, paper, new PdfFonts(document, fonts))) {
                new EveningPdf(title, tonight, derivation, unit, paper).page(page);
            }
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void page(PdfPage page) throws IOException {
        double y = paper.height() - 17;
        page.grey(0).words(SIDE, y, 6, "TONIGHT");
        page.words(SIDE + 48, y, 3, title);
        y = out(page, y - 8);
        List<String> below = below(page);
        double floor = FOOT + below.size() * 4.2 + (map().isPresent() ? MAP + 8 : 0) + 4;
        y = jobs(page, y - 3, floor);
        y = map(page, y - 2);
        for (String line : below) {
            page.grey(0).words(SIDE, y - 4, 2.4, line);
            y -= 4.2;
        }
        page.grey(0.3).words(SIDE, 9, 1.8, "Worked out from plan and log. The kit's drawing governs.");
    }

    // ---- what to lay out

    private double out(PdfPage page, double top) throws IOException {
        LayOut out = tonight.layOut();
        List<String> parts = new ArrayList<>(out.tools());
        out.dies().forEach(parts::add);
        out.drills().forEach(d -> parts.add("drill " + d));
        out.fasteners().forEach((d, n) -> parts.add(n + " × " + d));
        out.clecos().forEach((d, n) -> parts.add(n + " clecos " + d));
        out.hardware().forEach((d, n) -> parts.add(n + " × " + d));
        double y = top;
        for (String line :
                wrapped(page, "Lay out: " + (parts.isEmpty() ? "your hands" : String.join(", ", parts)), 2.8)) {
            page.grey(0).words(SIDE, y, 2.8, line);
            y -= 4.8;
        }
        return y;
    }

    // ---- the jobs

    private double jobs(PdfPage page, double top, double floor) throws IOException {
        List<Tonight.Stint> stints = tonight.stints();
        double each = Math.clamp((top - floor) / Math.max(1, stints.size()), 5.2, 11);
        int room = (int) Math.max(1, Math.floor((top - floor) / each));
        double y = top;
        for (int i = 0; i < Math.min(room, stints.size()); i++) {
            job(page, stints.get(i), y, each);
            y -= each;
            if (tonight.stops().contains(i)) {
                page.grey(0.4).width(0.2).line(SIDE, y - each * .07, paper.width() - SIDE, y - each * .07);
            }
        }
        if (room < stints.size()) {
            page.grey(0).words(SIDE, y - 3, 2.6, "and " + (stints.size() - room) + " more in the window");
            y -= 5;
        }
        return y;
    }

    private void job(PdfPage page, Tonight.Stint stint, double top, double each) throws IOException {
        double big = Math.min(3.4, each * .46);
        double line = top - each * .62;
        page.grey(0).width(0.4).box(SIDE, line - .6, each * .52, each * .52, false);
        double x = SIDE + each * .52 + 3;
        page.words(x, line, big, stint.words());
        String right = String.format(Locale.ROOT, "%.0f min", Math.max(1, stint.minutes() + stint.lost()));
        page.words(paper.width() - SIDE - page.wide(right, big), line, big, right);
        String small = small(stint);
        if (!small.isEmpty() && each > 7) {
            page.grey(0.25).words(x, line - each * .34, 2.1, small);
        }
    }

    private static String small(Tonight.Stint stint) {
        List<String> parts = new ArrayList<>();
        if (!stint.changes().isEmpty()) {
            parts.add("first " + String.join("; ", stint.changes()));
        }
        if (!stint.holes().isEmpty()) {
            parts.add(stint.holes().getFirst().label() + " to "
                    + stint.holes().getLast().label());
        }
        return String.join("  ", parts);
    }

    // ---- the map

    /** The face with most of tonight's holes. */
    private Optional<Job.Place> map() {
        return tonight.stints().stream()
                .flatMap(s -> s.job().place().stream())
                .filter(p -> !p.holes().isEmpty())
                .findFirst();
    }

    private double map(PdfPage page, double top) throws IOException {
        if (map().isEmpty()) {
            return top;
        }
        var face = map().get().face();
        Box box = face.box();
        double scale = Math.min((paper.width() - 2 * SIDE) / (box.width() / 1e6), MAP / (box.height() / 1e6));
        double x0 = SIDE - box.minX() / 1e6 * scale;
        double y0 = top - box.maxY() / 1e6 * scale;
        page.width(0.15).grey(0.55);
        for (Layer layer : face.layers()) {
            page.path(new Drawing.Path("", layer.outline().outer().corners(), true), x0, y0, scale);
        }
        Set<HoleReading> mine = new HashSet<>();
        tonight.stints().forEach(s -> mine.addAll(s.holes()));
        for (HoleReading r : derivation.face(face.id()).readings()) {
            double x = x0 + r.hole().at().x() / 1e6 * scale;
            double y = y0 + r.hole().at().y() / 1e6 * scale;
            double wide = mine.contains(r) ? 1.1 : 0.3;
            page.grey(mine.contains(r) ? 0 : 0.6).box(x - wide / 2, y - wide / 2, wide, wide, true);
        }
        double low = top - box.height() / 1e6 * scale;
        page.grey(0).words(SIDE, low - 4, 2, face.name() + ", seen " + face.viewed() + ". Large dots: tonight.");
        return low - 6;
    }

    // ---- what stands below

    private List<String> below(PdfPage page) throws IOException {
        List<String> lines = new ArrayList<>();
        if (!tonight.slow().isEmpty()) {
            String holes = tonight.slow().stream().map(s -> s.hole().label()).collect(Collectors.joining(", "));
            Slip worst = tonight.slow().getFirst();
            lines.addAll(wrapped(page, "Slow down at " + holes + ". " + worst.say(unit), 2.4));
        }
        tonight.finish().forEach(f -> lines.add("Finish before you stop: " + f + "."));
        if (!tonight.helper().isEmpty()) {
            lines.add("Waits for a helper: " + tonight.helper().getFirst().words()
                    + (tonight.helper().size() > 1 ? " and " + (tonight.helper().size() - 1) + " more" : "") + ".");
        }
        return lines;
    }

    private List<String> wrapped(PdfPage page, String text, double mm) throws IOException {
        return page.wrapped(text, mm, paper.width() - 2 * SIDE);
    }
}
