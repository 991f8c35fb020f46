package bucina.speed;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.guard.BayPoints;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.core.part.PartStates;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.stack.Derivation;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/**
 * The close-out of bays of random builds, gathered apart: from outlines, holes and entries alone, with none of the
 * program's own ways of telling what lies inside, what is set and which heads are measured.
 */
class CloseOutRandomTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final RandomBuilds builds = new RandomBuilds(catalogue, 20261129);
    private final Random random = new Random(9);

    @Test
    void nothing_that_the_plan_puts_behind_the_closing_part_is_missing() {
        int bays = 0;
        int points = 0;
        for (int i = 0; i < 400; i++) {
            Build build = builds.build(2 + random.nextInt(2), 1 + random.nextInt(5), 2 + random.nextInt(9));
            if (build.workshop().bays().isEmpty()) {
                continue;
            }
            bays++;
            Derivation derivation = Derivation.of(build, catalogue);
            Logbook log = log(build);
            Bay bay = build.workshop().bays().getFirst();
            Set<String> listed = new TreeSet<>();
            new BayPoints(derivation, log, PartStates.of(derivation, log))
                    .of(bay).stream().filter(p -> !p.holes().isEmpty()).forEach(p -> listed.add(p.text()));
            Set<String> expected = expected(build, bay, log);
            assertThat(listed).as("build " + i).isEqualTo(expected);
            points += expected.size();
        }
        assertThat(bays).isGreaterThan(60);
        assertThat(points).isGreaterThan(200);
    }

    /** Some holes of each group set, by two people on three days. */
    private Logbook log(Build build) {
        Logbook log = Logbook.EMPTY;
        for (Build.FaceRef ref : build.faces()) {
            for (Group group : ref.face().groups()) {
                for (Row row : group.rows()) {
                    List<Work.LoggedHole> holes = new ArrayList<>();
                    for (Hole hole : row.holes()) {
                        if (random.nextInt(3) > 0) {
                            holes.add(new Work.LoggedHole(hole.id(), row.label(hole)));
                        }
                    }
                    if (!holes.isEmpty()) {
                        log = log.plus(entry(log.nextId(), group, holes));
                    }
                }
            }
        }
        return log;
    }

    private LogEntry entry(int id, Group group, List<Work.LoggedHole> holes) {
        Work work = new Work(
                group.id(),
                group.code(),
                holes,
                holes.size(),
                group.fastener().name(),
                Optional.empty(),
                random.nextBoolean() ? "A" : "B",
                LocalDateTime.parse("2026-11-20T08:00").plusDays(random.nextInt(3)),
                5,
                Work.Setup.NONE,
                List.of(),
                List.of(),
                "",
                "",
                List.of());
        return LogEntry.Draft.install(work).numbered(id, Instant.EPOCH.plusSeconds(id));
    }

    // ---- gathered apart

    private static Set<String> expected(Build build, Bay bay, Logbook log) {
        Set<Long> closers = new HashSet<>();
        bay.closers().forEach(c -> closers.add(c.n()));
        Map<String, Integer> counts = new TreeMap<>();
        for (Build.FaceRef ref : build.faces()) {
            for (Group group : ref.face().groups()) {
                Set<Id.Hole> sampled = sampled(group, log);
                for (Row row : group.rows()) {
                    for (Hole hole : row.holes()) {
                        lacks(ref.face().layers(), group, hole, closers, log, sampled)
                                .ifPresent(w -> counts.merge(group.code() + ": {} " + w, 1, Integer::sum));
                    }
                }
            }
        }
        Set<String> texts = new TreeSet<>();
        counts.forEach((text, n) -> texts.add(text.replace("{}", String.valueOf(n))));
        return texts;
    }

    private static Optional<String> lacks(
            List<Layer> layers, Group group, Hole hole, Set<Long> closers, Logbook log, Set<Id.Hole> sampled) {
        Set<Long> through = new HashSet<>();
        for (Layer layer : layers) {
            if (layer.outline().covers(hole.at())
                    && !group.clears().contains(layer.id())
                    && !group.holes().under().contains(layer.id())) {
                through.add(layer.part().n());
            }
        }
        if (through.isEmpty() || through.stream().anyMatch(closers::contains)) {
            return Optional.empty();
        }
        boolean in = log.entries().stream()
                .anyMatch(e -> e.work().orElseThrow().holes().stream().anyMatch(h -> h.id().equals(hole.id())));
        if (!in) {
            return Optional.of("not set");
        }
        if (group.fastener() instanceof Fastener.Hardware) {
            return Optional.of("not torqued");
        }
        return sampled.contains(hole.id()) ? Optional.of("to measure") : Optional.empty();
    }

    private record Put(Id.Hole hole, String row, String who, String day) {}

    /** The holes of a group in the order they were set. */
    private static List<Put> order(Group group, Logbook log) {
        List<LogEntry> entries = new ArrayList<>();
        log.entries().stream()
                .filter(e -> e.work().orElseThrow().group().equals(group.id()))
                .forEach(entries::add);
        entries.sort((a, b) -> {
            int c = a.work()
                    .orElseThrow()
                    .done()
                    .compareTo(b.work().orElseThrow().done());
            return c != 0 ? c : Integer.compare(a.id(), b.id());
        });
        List<Put> order = new ArrayList<>();
        for (LogEntry e : entries) {
            Work w = e.work().orElseThrow();
            w.holes()
                    .forEach(h -> order.add(new Put(
                            h.id(),
                            h.label().substring(0, h.label().indexOf('.')),
                            w.who(),
                            w.done().toLocalDate().toString())));
        }
        return order;
    }

    /** The handbook's holes in the order they were set, and the first of each row, person and day left out. */
    private static Set<Id.Hole> sampled(Group group, Logbook log) {
        List<Put> order = order(group, log);
        int count = group.rows().stream().mapToInt(r -> r.holes().size()).sum();
        Set<Integer> numbers = new TreeSet<>();
        for (int n = 1; n <= order.size(); n++) {
            if (n <= 5 || n >= 15 && n % 10 == 5 || n == count) {
                numbers.add(n);
            }
        }
        List<Function<Put, String>> kinds = List.of(Put::row, Put::who, Put::day);
        for (var kind : kinds) {
            Map<String, Integer> first = new HashMap<>();
            Set<String> had = new HashSet<>();
            for (int n = 1; n <= order.size(); n++) {
                String key = kind.apply(order.get(n - 1));
                first.putIfAbsent(key, n);
                if (numbers.contains(n)) {
                    had.add(key);
                }
            }
            first.forEach((key, n) -> {
                if (!had.contains(key)) {
                    numbers.add(n);
                }
            });
        }
        Set<Id.Hole> holes = new HashSet<>();
        numbers.forEach(n -> holes.add(order.get(n - 1).hole()));
        return holes;
    }
}
