package bucina.store.drawing;

import bucina.core.log.CloseOut;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.plan.Acceptance;
import bucina.core.plan.Build;
import bucina.core.plan.Bulletin;
import bucina.core.plan.Departure;
import bucina.core.plan.Query;
import bucina.core.rule.Rule;
import bucina.core.rule.RuleKey;
import java.io.IOException;
import java.util.List;

/** Departures, bulletins, queries, acceptances, close-outs, and the rules in force. */
final class EvidencePapers {

    private final EvidencePdf.Source source;
    private final EvidenceLines lines;

    EvidencePapers(EvidencePdf.Source source, EvidenceLines lines) {
        this.source = source;
        this.lines = lines;
    }

    private Build build() {
        return source.derivation().build();
    }

    /** Writes them. */
    void write(PdfFlow flow, List<LogEntry> entries) throws IOException {
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
        closeOuts(flow, entries);
    }

    private static void none(PdfFlow flow, boolean none) throws IOException {
        if (none) {
            flow.text("None.");
        }
    }

    private void closeOuts(PdfFlow flow, List<LogEntry> entries) throws IOException {
        flow.heading("Close-outs", 3.4);
        List<LogEntry> signed = entries.stream()
                .filter(e -> e.labour().map(Labour::what).orElse(null) instanceof CloseOut)
                .toList();
        none(flow, signed.isEmpty());
        for (LogEntry entry : signed) {
            Labour labour = entry.labour().orElseThrow();
            flow.text(labour.done().toString().replace('T', ' ') + "  " + lines.what(entry) + ", " + labour.who()
                    + (source.log().inForce(entry) ? "" : " (corrected later)"));
            for (String more : lines.more(entry)) {
                flow.text(more, 2, 5, .2);
            }
        }
    }

    void rules(PdfFlow flow) throws IOException {
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
