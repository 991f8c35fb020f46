package bucina.core.prove;

import bucina.core.Plans;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.log.Deed;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Proof;
import bucina.core.log.Seen;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Row;
import bucina.core.stack.Derivation;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Logs of one group of 1/8 universal rivets in a row, made entry by entry. */
final class Histories {

    static final Group GROUP = Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(Plans.row(1000, "R1", 2, 60)));
    static final Build BUILD = Plans.build(Plans.face(
            List.of(Plans.layer(11, "Skin", .032, 0, 0, 64, 4), Plans.layer(13, "Flange", .040, 0, 1.5, 64, 2.5)),
            List.of(GROUP, Plans.typed(21, "T-1", 10, .032, .040))));
    static final Derivation DERIVATION = Derivation.of(BUILD, CatalogueReader.shipped());
    static final Id.Face FACE = new Id.Face(3);

    private Logbook log = Logbook.EMPTY;
    private LocalDateTime now = LocalDateTime.parse("2026-11-20T10:00");

    Logbook log() {
        return log;
    }

    Proving proving() {
        return Proving.of(DERIVATION, log, FACE, GROUP);
    }

    /** Another day. */
    Histories nextDay() {
        now = now.plusDays(1);
        return this;
    }

    static Work.LoggedHole hole(int n) {
        Row row = GROUP.rows().getFirst();
        Hole hole = row.holes().get(n - 1);
        return new Work.LoggedHole(hole.id(), row.label(hole));
    }

    static Work.Reading reading(double across, double high) {
        return new Work.Reading(Length.in(across), Length.in(high));
    }

    LogEntry add(Deed deed) {
        LogEntry entry = LogEntry.Draft.install(deed)
                .numbered(log.nextId(), Instant.parse("2026-11-20T10:00:00Z").plusSeconds(log.nextId()));
        log = log.plus(entry);
        now = now.plusMinutes(10);
        return entry;
    }

    /** Sets holes; readings name theirs. */
    LogEntry set(String who, Work.Setup setup, List<Work.Reading> readings, int... holes) {
        Work plain = Plans.set(
                GROUP,
                "MS20470AD4-4",
                "",
                Arrays.stream(holes).mapToObj(Histories::hole).toArray(Work.LoggedHole[]::new));
        return add(work(plain, who, setup, readings, Optional.empty()));
    }

    LogEntry replace(String who, int hole, Work.Reading reading) {
        Work plain = Plans.set(GROUP, "MS20470AD4-4", "", hole(hole));
        return add(work(
                plain,
                who,
                Work.Setup.NONE,
                List.of(reading.of(hole(hole).label())),
                Optional.of(new Work.Removal(Optional.empty(), "folded"))));
    }

    private Work work(
            Work plain, String who, Work.Setup setup, List<Work.Reading> readings, Optional<Work.Removal> removal) {
        return new Work(
                plain.group(),
                plain.groupCode(),
                plain.holes(),
                plain.count(),
                plain.designation(),
                Optional.of(Length.in(.25)),
                who,
                now,
                5,
                setup,
                readings,
                List.of(),
                "",
                "",
                List.of(),
                removal);
    }

    /** Proves one head with what it was judged. */
    LogEntry prove(int hole, Optional<Work.Reading> reading, Verdict decided, Seen... seen) {
        return labour(
                "M. Oake",
                new Proof(
                        GROUP.id(),
                        "G-1",
                        "caliper",
                        List.of(new Proof.Head(
                                Optional.of(hole(hole)), 0, reading, false, List.of(seen), 0, decided, decided, ""))));
    }

    LogEntry labour(String who, Labour.What what) {
        return add(new Labour(what, "", who, now, 5, "", "", List.of()));
    }

    static List<Integer> numbers(List<Proving.Line> lines) {
        List<Integer> numbers = new ArrayList<>();
        lines.forEach(l -> numbers.add(l.number()));
        return numbers;
    }

    static int[] range(int from, int to) {
        int[] range = new int[to - from + 1];
        for (int i = 0; i < range.length; i++) {
            range[i] = from + i;
        }
        return range;
    }
}
