package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.log.CloseOut;
import bucina.core.log.Deed;
import bucina.core.log.HoleState;
import bucina.core.log.Hours;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.measure.Unit;
import bucina.core.plan.Acceptance;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Bulletin;
import bucina.core.plan.Departure;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Pin;
import bucina.core.plan.Query;
import bucina.core.prove.Proving;
import bucina.core.rule.Rule;
import bucina.core.rule.RuleKey;
import bucina.core.sheet.Box;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import bucina.store.Chain;
import bucina.store.Photo;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Supplier;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/**
 * A dated record of who built what, when, for whoever inspects it: hours and people, faces as maps, entries with their
 * readings, pictures, bulletins, queries, departures, close-outs, and the rules in force. Pictures are taken in one at a
 * time; the document lies in a file of its own until it is whole.
 */
public final class EvidencePdf {

    private static final double MAP = 62;
    private static final double PICTURE = 60;
    private static final double[] ENTRY = {11, 28, 24, 14, 0};

    private final Source source;
    private final EvidenceLines lines;
    private final Function<Deed, Optional<Id.Assembly>> belongs;
    private final Progress progress;
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
        this.steps = 1 + entries().size() + shown().size() + build().faces().size();
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
                assembly(flow, assembly);
            }
        }
        log(flow);
        papers(flow);
        pictures(document, flow);
        rules(flow);
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
                "Each entry carries the SHA-256 of itself with the hashes of those it follows. Whoever has this hash can"
                        + " see with \"bucina log FILE verify --head HASH\" whether entries were changed since. It says nothing"
                        + " about the work: the kit's drawings and the authority that certifies the aircraft govern.",
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

    // ---- faces

    private void assembly(PdfFlow flow, Assembly assembly) throws IOException {
        flow.turn().heading(assembly.name(), 4.4);
        for (var face : assembly.faces()) {
            step();
            Map<HoleState, Integer> states = new LinkedHashMap<>();
            List<HoleReading> holes = source.derivation.face(face.id()).readings();
            holes.forEach(h -> states.merge(source.log.state(h.hole(), h.layers()), 1, Integer::sum));
            int set = states.getOrDefault(HoleState.SET, 0) + states.getOrDefault(HoleState.PROVED, 0);
            flow.heading(face.name(), 3);
            flow.text("Seen " + face.viewed() + ". " + set + " of " + holes.size() + " fasteners in, "
                    + states.getOrDefault(HoleState.PROVED, 0) + " heads measured.");
            map(flow, face.layers(), holes);
            groups(flow, face.id(), face.groups());
        }
    }

    private void map(PdfFlow flow, List<Layer> layers, List<HoleReading> holes) throws IOException {
        Optional<Box> box = layers.stream().map(l -> l.outline().box()).reduce(Box::with);
        if (box.isEmpty()) {
            return;
        }
        double scale = Math.min(
                flow.width() / (box.get().width() / 1e6), MAP / (box.get().height() / 1e6));
        double high = box.get().height() / 1e6 * scale;
        double top = flow.room(high + 12) - 3;
        double x0 = PdfFlow.SIDE - box.get().minX() / 1e6 * scale;
        double y0 = top - box.get().maxY() / 1e6 * scale;
        PdfPage page = flow.page();
        page.width(0.15).grey(0.55);
        for (Layer layer : layers) {
            page.path(new Drawing.Path("", layer.outline().outer().corners(), true), x0, y0, scale);
        }
        for (HoleReading r : holes) {
            double x = x0 + r.hole().at().x() / 1e6 * scale;
            double y = y0 + r.hole().at().y() / 1e6 * scale;
            HoleState state = source.log.state(r.hole(), r.layers());
            if (state == HoleState.PROVED) {
                page.grey(0).box(x - .8, y - .8, 1.6, 1.6, true);
            } else if (state.set()) {
                page.grey(0.35).box(x - .5, y - .5, 1, 1, true);
            } else {
                page.grey(0.4).width(.12).box(x - .5, y - .5, 1, 1, false);
            }
        }
        flow.down(high + 5);
        flow.text("Large: in, head measured. Small: in. Boxes: open.", 1.7, 0, .3);
    }

    private void groups(PdfFlow flow, Id.Face face, List<Group> groups) throws IOException {
        double[] widths = {16, 48, 24, 46, 0};
        flow.row(List.of("Group", "Name", "In", "From, to", "Proof"), widths, true);
        for (Group group : groups) {
            Proving proving = Proving.of(source.derivation, source.log, face, group);
            String dates = proving.lines().isEmpty()
                    ? ""
                    : proving.lines().stream()
                                    .map(Proving.Line::day)
                                    .min(Comparator.naturalOrder())
                                    .orElseThrow()
                            + ", "
                            + proving.lines().stream()
                                    .map(Proving.Line::day)
                                    .max(Comparator.naturalOrder())
                                    .orElseThrow();
            flow.row(
                    List.of(
                            group.code(),
                            group.name(),
                            source.log.installed(group) + " of " + group.count(),
                            dates,
                            proof(proving)),
                    widths,
                    false);
        }
    }

    private static String proof(Proving p) {
        if (p.lines().isEmpty()) {
            return "";
        }
        long measured = p.lines().stream().filter(l -> l.last().isPresent()).count();
        return measured + " measured, " + p.failed() + " failed"
                + (p.due().isEmpty() ? "" : ", " + p.due().size() + " to measure")
                + (p.open().isEmpty() ? "" : ", " + p.open().size() + " not left");
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

    // ---- papers

    private void papers(PdfFlow flow) throws IOException {
        flow.heading("Departures from the drawing", 3.4);
        none(flow, build().papers().departures().isEmpty());
        for (Departure d : build().papers().departures()) {
            flow.text(d.dated() + "  " + d.where() + ": " + d.what() + ". " + d.reason() + ". " + d.source() + ".");
        }
        flow.heading("Bulletins", 3.4);
        none(flow, build().papers().bulletins().isEmpty());
        for (Bulletin b : build().papers().bulletins()) {
            flow.text(b.dated() + "  " + b.name() + ", " + (b.inForce() ? "in force" : "not in force") + ", "
                    + b.changes().size() + " things replaced.");
        }
        flow.heading("Queries", 3.4);
        none(flow, build().papers().queries().isEmpty());
        for (Query q : build().papers().queries()) {
            flow.text(q.opened() + "  " + q.text()
                    + q.answer()
                            .map(a -> " Answer: " + a.text() + " (" + a.source() + ", " + a.on() + ").")
                            .orElse(" Open."));
        }
        flow.heading("Findings accepted", 3.4);
        none(flow, build().papers().accepted().isEmpty());
        for (Acceptance a : build().papers().accepted()) {
            flow.text(a.rule().words() + ": " + a.reason() + " (" + a.who() + ").");
        }
        closeOuts(flow);
    }

    private static void none(PdfFlow flow, boolean none) throws IOException {
        if (none) {
            flow.text("None.");
        }
    }

    private void closeOuts(PdfFlow flow) throws IOException {
        flow.heading("Close-outs", 3.4);
        List<LogEntry> signed = entries().stream()
                .filter(e -> e.labour().map(Labour::what).orElse(null) instanceof CloseOut)
                .toList();
        none(flow, signed.isEmpty());
        for (LogEntry entry : signed) {
            Labour labour = entry.labour().orElseThrow();
            flow.text(labour.done().toString().replace('T', ' ') + "  " + lines.what(entry) + ", " + labour.who()
                    + (source.log.inForce(entry) ? "" : " (corrected later)"));
            for (String more : lines.more(entry)) {
                flow.text(more, 2, 5, .2);
            }
        }
    }

    // ---- pictures

    /** A picture with what is said of it. */
    private record Shown(String hash, String says) {}

    private List<Shown> shown() {
        Map<String, String> says = new LinkedHashMap<>();
        for (LogEntry entry : entries()) {
            for (String hash : entry.deed().map(Deed::photos).orElse(List.of())) {
                says.merge(hash, "entry " + entry.id(), (a, b) -> a + ", " + b);
            }
        }
        if (source.assembly.isEmpty()) {
            for (Pin pin : build().workshop().pins()) {
                String words = pin.name()
                        + (pin.says().isBlank() ? "" : ": " + pin.says())
                        + pin.taken()
                                .map(t -> ", taken " + t.toString().replace('T', ' '))
                                .orElse("");
                says.merge(pin.photo(), words, (a, b) -> b + ", " + a);
            }
        }
        List<Shown> shown = new ArrayList<>();
        says.forEach((hash, words) -> shown.add(new Shown(hash, words)));
        return shown;
    }

    private void pictures(PDDocument document, PdfFlow flow) throws IOException {
        List<Shown> shown = shown();
        flow.heading("Photographs", 3.4);
        none(flow, shown.isEmpty());
        int column = 0;
        double top = 0;
        for (Shown each : shown) {
            step();
            Optional<Photo> photo = source.photos.apply(each.hash);
            if (column == 0) {
                top = flow.room(PICTURE + 12) - 2;
            }
            double x = PdfFlow.SIDE + column * (flow.width() / 2 + 2);
            flow.page().picture(image(document, photo), x, top, flow.width() / 2 - 2, PICTURE);
            flow.page().words(x, top - PICTURE - 3, 1.7, cut(flow.page(), each.says, flow.width() / 2 - 2));
            flow.page()
                    .grey(.35)
                    .words(x, top - PICTURE - 6, 1.5, each.hash.substring(0, 16))
                    .grey(0);
            column = 1 - column;
            if (column == 0) {
                flow.down(PICTURE + 10);
            }
        }
        if (column == 1) {
            flow.down(PICTURE + 10);
        }
    }

    private static String cut(PdfPage page, String text, double most) throws IOException {
        return page.wrapped(text, 1.7, most).getFirst();
    }

    /** A photograph as it may be put on a page; empty where this program cannot draw its kind. */
    private static Optional<PDImageXObject> image(PDDocument document, Optional<Photo> photo) {
        try {
            return photo.isEmpty()
                    ? Optional.empty()
                    : Optional.of(PDImageXObject.createFromByteArray(
                            document, photo.get().content(), photo.get().sha256()));
        } catch (IOException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    // ---- rules

    private void rules(PdfFlow flow) throws IOException {
        flow.heading("Rules in force", 3.4);
        double[] widths = {84, 26, 0};
        flow.row(List.of("Rule", "Value", "Source, or reason where it was replaced"), widths, true);
        for (RuleKey key : RuleKey.values()) {
            Rule rule = build().rules().rule(key);
            flow.row(
                    List.of(key.title(), rule.value(), rule.reason().isBlank() ? rule.source() : rule.reason()),
                    widths,
                    false);
        }
    }
}
