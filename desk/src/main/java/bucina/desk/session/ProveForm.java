package bucina.desk.session;

import bucina.core.form.Entries;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Proof;
import bucina.core.log.Seen;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.measure.LengthParser;
import bucina.core.plan.Group;
import bucina.core.prove.Judge;
import bucina.core.prove.Proving;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What is typed and picked about one head that is proved, and the entry it makes. No nodes. */
public final class ProveForm {

    /** The texts and picks. */
    public static final class Fields {
        /** Diameter x height, as typed or from the gauge; may be blank. */
        public String head = "";
        /** True where a go/no-go gauge passed it. */
        public boolean go;

        public final Set<Seen.What> seen = EnumSet.noneOf(Seen.What.class);
        public String round = "";
        public boolean shank;
        public String size = "";
        /** What the builder decides; empty for what the table says. */
        public Optional<Verdict> decided = Optional.empty();

        public String reason = "";
        public String gauge = "";
        public String minutes = "1";
    }

    private final Snapshot now;
    private final Group group;
    private final Optional<HoleReading> hole;
    private final Proving.Line line;

    /**
     * @param hole the hole looked at; empty in a group without geometry
     * @param line its place in the sample
     */
    public ProveForm(Snapshot now, Group group, Optional<HoleReading> hole, Proving.Line line) {
        this.now = now;
        this.group = group;
        this.hole = hole;
        this.line = line;
    }

    /** The fastener written about. */
    public Proving.Line line() {
        return line;
    }

    /** What kind of head it is. */
    public Judge.Head head() {
        return Proving.head(hole.map(h -> h.solution().fastener()).orElse(group.fastener()));
    }

    /** The head as measured; empty while nothing is typed. */
    public static Optional<Work.Reading> reading(Fields f, LengthParser lengths) {
        List<Work.Reading> all = Entries.readings(f.head, lengths);
        if (all.size() > 1) {
            throw new InputException("one head is measured here: write its diameter x height, like .190x.062");
        }
        return all.stream().findFirst();
    }

    /**
     * Defects as picked, each with its figure.
     *
     * @throws InputException if a figure is missing
     */
    public static List<Seen> seen(Fields f, LengthParser lengths) {
        List<Seen> seen = new ArrayList<>();
        for (Seen.What what : f.seen) {
            seen.add(
                    switch (what.measure()) {
                        case NONE -> Seen.of(what);
                        case ROUND -> Seen.gap(percent(f.round), f.shank);
                        case LENGTH -> Seen.of(what, lengths.parse(f.size));
                    });
        }
        return seen;
    }

    private static double percent(String text) {
        String figure = text.replace("%", "").strip();
        if (figure.isEmpty()) {
            return 0;
        }
        if (!figure.matches("\\d{1,3}(\\.\\d{1,3})?")) {
            throw new InputException("how far round the feeler enters is a percentage like 30, was \"" + text + "\"");
        }
        return Double.parseDouble(figure);
    }

    /** How often it was said to be set once more since it is in. */
    public int hits() {
        return (int) line.measured().stream()
                .filter(m -> m.decided() == Verdict.AGAIN)
                .count();
    }

    /**
     * What the table says of it.
     *
     * @return empty while nothing was measured or seen
     */
    public Optional<Judge.Judgement> judged(Fields f, LengthParser lengths) {
        Optional<Work.Reading> reading = reading(f, lengths);
        List<Seen> seen = seen(f, lengths);
        if (reading.isEmpty() && seen.isEmpty() && !f.go) {
            return Optional.empty();
        }
        return Optional.of(new Judge(now.build().rules())
                .of(Proving.subject(
                        group,
                        hole,
                        line.entry().work().map(w -> w.setup().tool()),
                        p -> now.parts().part(p).material(),
                        reading,
                        seen,
                        hits())));
    }

    /**
     * The entry that the fields make.
     *
     * @throws InputException with one sentence that names what is missing
     */
    public LogEntry.Draft draft(Fields f, LengthParser lengths, String who, LocalDateTime done) {
        Judge.Judgement judged = judged(f, lengths)
                .orElseThrow(() -> new InputException(line.called()
                        + " was not measured: type diameter x height like .190x.062, say that the go gauge passes, or"
                        + " pick what is seen"));
        Verdict says = judged.said().verdict();
        Proof.Head head = new Proof.Head(
                line.hole(),
                line.hole().isPresent() ? 0 : line.number(),
                reading(f, lengths),
                f.go,
                seen(f, lengths),
                hits(),
                says,
                f.decided.orElse(says),
                f.reason.strip());
        if (!f.minutes.strip().matches("\\d{1,6}")) {
            throw new InputException("minutes must be a whole number like 1, was \"" + f.minutes.strip() + "\"");
        }
        return LogEntry.Draft.install(new Labour(
                new Proof(group.id(), group.code(), f.gauge.strip(), List.of(head)),
                "",
                who.strip(),
                done,
                Integer.parseInt(f.minutes.strip()),
                "",
                "",
                List.of()));
    }
}
