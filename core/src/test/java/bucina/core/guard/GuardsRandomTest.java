package bucina.core.guard;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Dress;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.Work;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.progress.Task;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Random evenings on 500 random builds: marks and entries in any order. A judge that only knows the list of P1 and P2
 * says what was allowed.
 */
class GuardsRandomTest {

    /** What a rivet's hole can owe. */
    private static final List<Operation> BEFORE_SET = Arrays.stream(Operation.values())
            .filter(o -> !o.afterSet() && o != Operation.TEMPORARY && o != Operation.REAMED)
            .toList();

    private static final LocalDateTime NOW = LocalDateTime.parse("2026-11-23T10:00");
    private static final Instant AT = Instant.parse("2026-11-01T10:00:00Z");
    private static final List<Fastener> FASTENERS = List.of(
            Plans.UNIVERSAL,
            Plans.FLUSH,
            new Fastener.PulledRivet("iso15977", Length.mm(3.2), false),
            new Fastener.PulledRivet("iso15978", Length.mm(3.2), false));

    private static final Set<Standing> IN_PLACE = EnumSet.of(Standing.DRY, Standing.ON);

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Random random = new Random(20261128);

    private Build build() {
        List<Part> parts = new ArrayList<>();
        List<Layer> layers = new ArrayList<>();
        int sheets = 2 + random.nextInt(2);
        for (int i = 0; i < sheets; i++) {
            parts.add(new Part(new Id.Part(50 + i), "Part " + i, Material.parse("2024-T3"), i, true)
                    .with(random.nextInt(8) > 0 ? Standing.DRY : pick(Standing.values())));
            layers.add(new Layer(
                    new Id.Layer(10 + i),
                    parts.getLast().id(),
                    "Sheet " + i,
                    Length.in(List.of(.025, .032, .063).get(random.nextInt(3))),
                    Outline.rectangle(Point.in(0, 0), Point.in(20, 4))));
        }
        Fastener fastener = FASTENERS.get(random.nextInt(FASTENERS.size()));
        Face face = Plans.face(layers, List.of(Plans.group(30, "G-1", fastener, List.of(Plans.row(1000, "R1", 2, 3)))));
        RuleSet rules = catalogue
                .rules()
                .with(RuleKey.HOLES_COME, random.nextInt(3) == 0 ? "final" : "under", "test")
                .with(RuleKey.DEBURR_MARKED, random.nextInt(3) == 0 ? "not-marked" : "marked", "test")
                .with(RuleKey.PRIME_SCHOOL, random.nextInt(3) == 0 ? "all" : "none", "test");
        return new Build(
                "Test",
                "Dunlin",
                rules,
                100_000,
                parts,
                List.of(new Assembly(new Id.Assembly(2), "A", Hand.LEFT, Unit.INCH, List.of(), List.of(face))),
                Map.of());
    }

    private <T> T pick(T[] of) {
        return of[random.nextInt(of.length)];
    }

    /** The judge: every step that the list has for a sheet, whatever was marked. */
    private static boolean ready(Build build, HoleReading hole, Logbook log) {
        boolean drilled = build.rules().rule(RuleKey.HOLES_COME).value().equals("under");
        boolean deburred = build.rules().rule(RuleKey.DEBURR_MARKED).value().equals("marked");
        boolean primed = !build.rules().rule(RuleKey.PRIME_SCHOOL).value().equals("none");
        for (int i = 0; i < hole.layers().size(); i++) {
            Layer layer = hole.layers().get(i);
            Dress dress = hole.solution().dressing().plies().get(i).dress();
            boolean cleared = dress == Dress.DIMPLE && hole.solution().fastener() instanceof Fastener.PulledRivet;
            boolean size = has(log, hole, layer, Operation.FINAL_SIZE) || has(log, hole, layer, Operation.CLEARED);
            if (drilled && !size
                    || cleared && !size
                    || deburred && inner(log, hole, i) && !has(log, hole, layer, Operation.DEBURRED)
                    || dress == Dress.DIMPLE && !has(log, hole, layer, Operation.DIMPLED)
                    || dress == Dress.COUNTERSINK && !has(log, hole, layer, Operation.COUNTERSUNK)
                    || primed && !has(log, hole, layer, Operation.PRIMED)
                    || !IN_PLACE.contains(build.part(layer.part()).standing())) {
                return false;
            }
        }
        return true;
    }

    /** Before the first fastener both sides of every sheet are deburred; afterwards the inner ones no longer can be. */
    private static boolean inner(Logbook log, HoleReading hole, int i) {
        return log.entries().isEmpty();
    }

    private static boolean has(Logbook log, HoleReading hole, Layer layer, Operation operation) {
        return log.marked(hole.hole().id(), layer.id(), operation, Mark.Side.BOTH);
    }

    private LogEntry.Draft draft(Build build, HoleReading hole, String reason) {
        Work work = new Work(
                new Id.Group(30),
                "G-1",
                List.of(new Work.LoggedHole(hole.hole().id(), hole.label())),
                1,
                hole.solution().designation().orElse("none"),
                hole.solution().length(),
                "M. Oake",
                NOW.minusDays(1),
                1,
                Work.Setup.NONE,
                List.of(),
                List.of(),
                reason,
                "odd length is noted",
                List.of());
        return LogEntry.Draft.install(work);
    }

    @Test
    void no_way_in_sets_a_hole_that_is_not_ready_without_a_reason() {
        int set = 0;
        int refused = 0;
        for (int b = 0; b < 500; b++) {
            Build build = build();
            Derivation derivation = Derivation.of(build, catalogue);
            List<HoleReading> holes = derivation.face(new Id.Face(3)).readings();
            if (holes.getFirst().solution().designation().isEmpty()) {
                continue;
            }
            Logbook log = Logbook.EMPTY;
            for (int step = 0; step < 40; step++) {
                HoleReading hole = holes.get(random.nextInt(holes.size()));
                if (random.nextInt(5) > 0) {
                    log = marked(derivation, log, hole);
                    continue;
                }
                boolean ready = ready(build, hole, log);
                boolean bare = log.entries().isEmpty();
                Optional<Logbook> after = logged(derivation, log, draft(build, hole, ""));
                if (after.isPresent()) {
                    assertThat(ready).as("%s of build %d", hole.label(), b).isTrue();
                    log = after.get();
                    set++;
                    assertThat(new BroughtLog(derivation, log).accepted("")).isEqualTo(log);
                } else {
                    refused++;
                    LogEntry forced = draft(build, hole, "").numbered(log.nextId(), AT);
                    if (bare && !ready) {
                        Logbook brought = log.plus(forced);
                        assertThat(brought(derivation, brought))
                                .as("import of build %d", b)
                                .isFalse();
                    }
                }
            }
        }
        assertThat(set).isGreaterThan(150);
        assertThat(refused).isGreaterThan(1000);
    }

    private Logbook marked(Derivation derivation, Logbook log, HoleReading hole) {
        Operation operation = BEFORE_SET.get(random.nextInt(BEFORE_SET.size()));
        List<Mark> marks = Task.of(operation).marks(log, List.of(hole), true, AT);
        try {
            return log.plus(new MarkCheck(derivation, log).accepted(marks, ""));
        } catch (InputException e) {
            return log;
        }
    }

    private Optional<Logbook> logged(Derivation derivation, Logbook log, LogEntry.Draft draft) {
        try {
            new LogCheck(derivation, log).accept(draft, NOW);
            return Optional.of(log.plus(draft.numbered(log.nextId(), AT)));
        } catch (InputException e) {
            return Optional.empty();
        }
    }

    private static boolean brought(Derivation derivation, Logbook log) {
        try {
            new BroughtLog(derivation, log).accepted("");
            return true;
        } catch (InputException e) {
            return false;
        }
    }
}
