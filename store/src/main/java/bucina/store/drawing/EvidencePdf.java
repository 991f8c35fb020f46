package bucina.store.drawing;

import bucina.core.log.Deed;
import bucina.core.log.Hours;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.stack.Derivation;
import bucina.store.Chain;
import bucina.store.Photo;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Supplier;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * A dated record of who built what, when, for whoever inspects it: hours and people, faces as maps, entries with their
 * readings, pictures, bulletins, queries, departures, close-outs, and the rules in force. Pictures are taken in one
 * at a time; the document lies in a file of its own until it is whole.
 */
public final class EvidencePdf {

    private static final double[] ENTRY = {11, 28, 24, 14, 0};

    private final Source source;
    private final EvidenceLines lines;
    private final Function<Deed, Optional<Id.Assembly>> belongs;
    private final Progress progress;
    private final EvidencePhotos photos;
    private final int steps;
    private int done;

    /**
     * What it is made from.
     *
     * @param derivation plan and readings
     * @param log        the log
     * @param assembly   only what belongs to it; empty for everything
     * @param chain      what binds the entries, by their numbers
     * @param heads      the newest hashes
     * @param late       how many entries were bound only when the file came to format 11
     * @param photos     one photograph by its hash
     * @param unit       lengths are written in
     * @param now        when it is written, wall clock
     */
    public record Source(
            Derivation derivation,
            Logbook log,
            Optional<Id.Assembly> assembly,
            Map<Integer, Chain.Link> chain,
            List<String> heads,
            int late,
            Function<String, Optional<Photo>> photos,
            Unit unit,
            LocalDateTime now) {}

    private EvidencePdf(Source source, Progress progress) {
        this.source = source;
        this.lines = new EvidenceLines(source.unit);
        this.belongs = Hours.belongs(source.derivation.build());
        this.progress = progress;
        this.photos = new EvidencePhotos(source, entries());
        this.steps = 1 + entries().size() + photos.count() + build().faces().size();
    }

    /**
     * Writes it.
     *
     * @param fonts TrueType fonts, opened anew each time; those behind the first for letters it lacks
     * @throws java.util.concurrent.CancellationException if the watcher said to stop
     */
    public static void write(
            Source source, Paper paper, List<Supplier<InputStream>> fonts, OutputStream out, Progress progress)
            throws IOException {
        try (PDDocument document = new PDDocument(IOUtils.createTempFileOnlyStreamCache())) {
            Build build = source.derivation.build();
            document.getDocumentInformation().setTitle("Evidence, " + build.name());
            String foot = "Evidence, " + build.name() + ", " + source.now.toLocalDate() + ". Newest "
                    + source.heads.stream()
                            .map(h -> h.substring(0, 16))
                            .reduce((a, b) -> a + " " + b)
                            .orElse("-")
                    + ". Shows what was written down; approves nothing.";
            try (PdfFlow flow = new PdfFlow(document, paper, new PdfFonts(document, fonts), foot)) {
                new EvidencePdf(source, progress).all(document, flow);
            }
            document.save(out);
        }
    }

    /** One face, entry or photograph more. */
    private void step() {
        progress.check(Math.min(1, (double) ++done / steps));
    }

    private Build build() {
        return source.derivation.build();
    }

    private boolean mine(LogEntry entry) {
        return source.assembly.isEmpty() || source.assembly.equals(entry.deed().flatMap(belongs));
    }

    private List<LogEntry> entries() {
        return source.log.entries().stream().filter(this::mine).toList();
    }

    private void all(PDDocument document, PdfFlow flow) throws IOException {
        title(flow);
        hours(flow);
        people(flow);
        for (Assembly assembly : build().assemblies()) {
            if (source.assembly.filter(a -> !a.equals(assembly.id())).isEmpty()) {
                new EvidenceFaces(source, this::step).assembly(flow, assembly);
            }
        }
        log(flow);
        EvidencePapers papers = new EvidencePapers(source, lines);
        papers.write(flow, entries());
        photos.write(document, flow, this::step);
        papers.rules(flow);
    }

    // ---- what it is

    private void title(PdfFlow flow) throws IOException {
        flow.heading("EVIDENCE OF WORK", 6);
        flow.text(build().name() + (build().aircraft().isBlank() ? "" : ", " + build().aircraft()), 3.4, 0, 0);
        source.assembly.ifPresent(a -> say(flow, "Assembly: " + EvidenceCsv.name(build(), Optional.of(a))));
        flow.text("Written " + source.now.withNano(0).toString().replace('T', ' ') + " from plan and log.");
        List<LogEntry> entries = entries();
        flow.text("Entries: " + entries.size() + "."
                + (source.assembly.isPresent()
                        ? " In the whole log: " + source.log.entries().size() + "."
                        : ""));
        entries.stream()
                .flatMap(e -> e.deed().stream())
                .map(Deed::done)
                .min(Comparator.naturalOrder())
                .ifPresent(first -> say(flow, "First work: " + first.toString().replace('T', ' ') + "."));
        entries.stream()
                .flatMap(e -> e.deed().stream())
                .map(Deed::done)
                .max(Comparator.naturalOrder())
                .ifPresent(last -> say(flow, "Last work: " + last.toString().replace('T', ' ') + "."));
        flow.gap(2);
        flow.text("Bound entries: " + source.chain.size() + ". Newest hash:");
        for (String head : source.heads) {
            flow.text(head, 2.2, 4, 0);
        }
        if (source.late > 0) {
            flow.text("The first " + source.late + " were bound only when the file came to format 11.");
        }
        flow.text(
                "Each entry carries the SHA-256 of itself with the hashes of those it follows. Whoever has"
                        + " this hash can see with \"bucina log FILE verify --head HASH\" whether entries were"
                        + " changed since. It says nothing about the work: the kit's drawings and the authority"
                        + " that certifies the aircraft govern.",
                1.9,
                0,
                .3);
    }

    private static void say(PdfFlow flow, String text) {
        try {
            flow.text(text);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static String time(int minutes) {
        return String.format(Locale.ROOT, "%d h %02d min", minutes / 60, minutes % 60);
    }

    private void hours(PdfFlow flow) throws IOException {
        Hours hours = Hours.of(build(), source.log);
        flow.heading("Hours", 3.4);
        double[] widths = {60, 60, 0};
        flow.row(List.of("Assembly", "Kind of work", "Time"), widths, true);
        int all = 0;
        for (Hours.Line line : hours.lines()) {
            if (source.assembly.isPresent() && !line.assembly().equals(EvidenceCsv.name(build(), source.assembly))) {
                continue;
            }
            for (Map.Entry<Hours.Kind, Integer> kind : line.minutes().entrySet()) {
                flow.row(List.of(line.assembly(), kind.getKey().word(), time(kind.getValue())), widths, false);
            }
            all += line.total();
        }
        flow.text("Hours in all: " + time(all) + ".", 2.4, 0, 0);
    }

    private void people(PdfFlow flow) throws IOException {
        Map<String, int[]> people = new TreeMap<>();
        for (LogEntry entry : entries()) {
            if (source.log.inForce(entry) && entry.deed().isPresent()) {
                int[] sum = people.computeIfAbsent(entry.deed().get().who(), w -> new int[2]);
                sum[0] += entry.deed().get().minutes();
                sum[1]++;
            }
        }
        flow.heading("People", 3.4);
        double[] widths = {60, 60, 0};
        flow.row(List.of("Who", "Entries in force", "Time"), widths, true);
        for (Map.Entry<String, int[]> each : people.entrySet()) {
            flow.row(
                    List.of(each.getKey(), String.valueOf(each.getValue()[1]), time(each.getValue()[0])),
                    widths,
                    false);
        }
    }

    // ---- the log

    private void log(PdfFlow flow) throws IOException {
        flow.turn().heading("Entries", 4.4);
        flow.row(List.of("No.", "Done", "Who", "Min", "What"), ENTRY, true);
        for (LogEntry entry : entries()) {
            step();
            Optional<Deed> deed = entry.deed();
            flow.row(
                    List.of(
                            String.valueOf(entry.id()),
                            deed.map(d -> d.done().toString().replace('T', ' ')).orElse(""),
                            EvidenceLines.who(entry),
                            deed.map(d -> String.valueOf(d.minutes())).orElse(""),
                            lines.what(entry)
                                    + (source.log.inForce(entry) ? "" : " (corrected later)")
                                    + (lines.more(entry).isEmpty() ? "" : ". " + String.join(" ", lines.more(entry)))),
                    ENTRY,
                    false);
        }
    }
}
