package bucina.store.drawing;

import bucina.core.log.Deed;
import bucina.core.log.Hours;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.store.Chain;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** The log as a table, an entry a line, lengths in millimetres. */
public final class EvidenceCsv {

    private EvidenceCsv() {}

    /**
     * Writes it; text that a spreadsheet would take for a formula is made harmless.
     *
     * @param assembly only what belongs to it; empty for everything
     * @param chain    what binds the entries
     */
    public static String write(
            Build build, Logbook log, Optional<Id.Assembly> assembly, Map<Integer, Chain.Link> chain) {
        Function<Deed, Optional<Id.Assembly>> belongs = Hours.belongs(build);
        EvidenceLines lines = new EvidenceLines(Unit.MM);
        StringBuilder out = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            csv.printRecord(
                    "entry",
                    "entered",
                    "done",
                    "who",
                    "minutes",
                    "assembly",
                    "kind",
                    "what",
                    "group",
                    "holes",
                    "count",
                    "designation",
                    "length_mm",
                    "tool",
                    "gap_mm",
                    "readings_mm",
                    "more",
                    "photographs",
                    "corrects",
                    "in_force",
                    "hash");
            for (LogEntry entry : log.entries()) {
                Optional<Id.Assembly> of = entry.deed().flatMap(belongs);
                if (assembly.isEmpty() || assembly.equals(of)) {
                    csv.printRecord(line(build, log, entry, of, lines, chain));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static List<Object> line(
            Build build,
            Logbook log,
            LogEntry entry,
            Optional<Id.Assembly> of,
            EvidenceLines lines,
            Map<Integer, Chain.Link> chain) {
        Optional<Work> work = entry.work();
        List<Object> cells = new ArrayList<>();
        cells.add(entry.id());
        cells.add(entry.entered());
        cells.add(entry.deed().map(d -> d.done().toString()).orElse(""));
        cells.add(HoleCsv.safe(EvidenceLines.who(entry)));
        cells.add(entry.deed().map(d -> String.valueOf(d.minutes())).orElse(""));
        cells.add(HoleCsv.safe(name(build, of)));
        cells.add(entry.deed()
                .map(d -> d instanceof Labour l ? l.what().kind() : "fasteners")
                .orElse("withdrawal"));
        cells.add(HoleCsv.safe(lines.what(entry)));
        cells.add(HoleCsv.safe(work.map(Work::groupCode).orElse("")));
        cells.add(HoleCsv.safe(work.map(w -> EvidenceLines.ranges(w.holes())).orElse("")));
        cells.add(work.map(w -> String.valueOf(w.count())).orElse(""));
        cells.add(HoleCsv.safe(work.map(Work::designation).orElse("")));
        cells.add(work.flatMap(Work::length)
                .map(l -> DxfWriter.mm(l.nanometres()))
                .orElse(""));
        cells.add(HoleCsv.safe(work.map(w -> w.setup().tool()).orElse("")));
        cells.add(work.flatMap(w -> w.setup().setting())
                .map(l -> DxfWriter.mm(l.nanometres()))
                .orElse(""));
        cells.add(HoleCsv.safe(work.map(w -> String.join(
                        ", ", w.readings().stream().map(lines::reading).toList()))
                .orElse("")));
        cells.add(HoleCsv.safe(String.join(" ", lines.more(entry))));
        cells.add(String.join(" ", entry.deed().map(Deed::photos).orElse(List.of())));
        cells.add(entry.corrects().map(String::valueOf).orElse(""));
        cells.add(log.inForce(entry) ? "yes" : "no");
        cells.add(
                Optional.ofNullable(chain.get(entry.id())).map(Chain.Link::hash).orElse(""));
        return cells;
    }

    static String name(Build build, Optional<Id.Assembly> of) {
        return of.flatMap(a -> build.assemblies().stream()
                        .filter(x -> x.id().equals(a))
                        .findFirst())
                .map(Assembly::name)
                .orElse("the whole build");
    }
}
