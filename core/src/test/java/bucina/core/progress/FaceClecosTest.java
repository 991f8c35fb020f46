package bucina.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.cleco.ClecoPlan;
import bucina.core.cleco.Mode;
import bucina.core.cleco.RivetOrder;
import bucina.core.dress.Preparation;
import bucina.core.hold.Holds;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.rivet.HeadStyle;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
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
import java.util.function.IntPredicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Walks plans of random faces hole by hole and knows nothing of how they were made. */
class FaceClecosTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Random random = new Random(41);

    /** Some rows of some sizes through two to five sheets, one of them perhaps not in place yet. */
    private Build face() {
        long id = 10;
        int rows = 1 + random.nextInt(6);
        List<Part> parts = new ArrayList<>();
        List<Layer> layers = new ArrayList<>();
        int sheets = 2 + random.nextInt(4);
        id = layers(sheets, id, parts, layers);
        List<Group> groups = new ArrayList<>();
        id = groups(rows, id, groups);
        Face face = new Face(
                new Id.Face(3),
                "Top",
                "from above",
                "outboard",
                random.nextBoolean() ? "forward" : "aft",
                layers,
                groups);
        return new Build(
                "Test",
                "Dunlin",
                catalogue.rules(),
                id,
                parts,
                List.of(new Assembly(new Id.Assembly(2), "A", Hand.LEFT, Unit.INCH, List.of(), List.of(face))),
                Map.of());
    }

    private long groups(int rows, long id, List<Group> groups) {
        for (int r = 0; r < rows; r++) {
            int n = 1 + random.nextInt(random.nextInt(4) == 0 ? 90 : 20);
            List<Hole> holes = new ArrayList<>();
            for (int h = 0; h < n; h++) {
                holes.add(new Hole(new Id.Hole(id++), h + 1, Point.in(h * 1.5, r * 1.5), Optional.empty()));
            }
            Row row = new Row(new Id.Row(id++), "R" + r, n + 1, holes);
            Fastener rivet = new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 3 + random.nextInt(3));
            groups.add(new Group(
                    new Id.Group(id++),
                    "G-" + r,
                    "G",
                    rivet,
                    false,
                    Preparation.NONE,
                    "",
                    List.of(row),
                    Optional.empty(),
                    Set.of(),
                    Set.of()));
        }
        return id;
    }

    private long layers(int sheets, long id, List<Part> parts, List<Layer> layers) {
        for (int i = 0; i < sheets; i++) {
            Part part = new Part(
                    new Id.Part(id++),
                    "Part " + i,
                    Material.parse("2024-T3"),
                    i,
                    i < sheets - 1 || random.nextBoolean());
            parts.add(part);
            double from = i == 0 ? -1 : random.nextInt(3) * 20 - 1;
            layers.add(new Layer(
                    new Id.Layer(id++),
                    part.id(),
                    "Sheet " + i,
                    Length.in(.025 + .01 * random.nextInt(5)),
                    Outline.rectangle(Point.in(from, -1), Point.in(200, 12))));
        }
        return id;
    }

    private Optional<Mode> mode() {
        return random.nextInt(5) == 0 ? Optional.empty() : Optional.of(Mode.values()[random.nextInt(4)]);
    }

    private Map<String, Integer> bins(boolean big) {
        Map<String, Integer> bins = new HashMap<>();
        for (String size : List.of("3/32", "1/8", "5/32")) {
            bins.put("cleco " + size, big ? 1000 : 1 + random.nextInt(60));
        }
        return bins;
    }

    @Test
    void every_hole_is_drilled_once_between_clecos_and_the_bin_never_runs_out() {
        int small = 0;
        int lifted = 0;
        int met = 0;
        for (int i = 0; i < 2000; i++) {
            Build build = face();
            Derivation derivation = Derivation.of(build, catalogue);
            Holds holds = new Holds(build);
            boolean big = random.nextInt(3) == 0;
            Map<String, Integer> bins = bins(big);
            Optional<Mode> mode = mode();
            int nearest = 1 + random.nextInt(4);
            FaceClecos plan = FaceClecos.of(
                    derivation.face(new Id.Face(3)), Logbook.EMPTY, holds, catalogue.clecos(), bins, mode, nearest);
            assertThat(plan.rows())
                    .hasSize(build.faces().getFirst().face().groups().size());
            Map<String, Integer> out = new HashMap<>();
            Map<String, Integer> peaks = new HashMap<>();
            for (FaceClecos.RowPlan row : plan.rows()) {
                String bin = row.size().orElseThrow().bin();
                int kept = out.getOrDefault(bin, 0) - row.lifted();
                assertThat(row.kept()).isEqualTo(kept).isNotNegative();
                lifted += row.lifted() > 0 ? 1 : 0;
                ClecoPlan one = row.plan().orElseThrow();
                if (!one.fits()) {
                    assertThat(one.least()).isGreaterThan(bins.get(bin) - kept);
                    small++;
                } else {
                    int peak = walk(one, row.holes().size(), nearest, bins.get(bin) - kept);
                    peaks.merge(bin, kept + Math.max(peak, row.stay().size()), Math::max);
                    met += one.moves() == one.bound() ? 1 : 0;
                    assertThat(!big || one.moves() <= 1.1 * one.bound())
                            .as("%d placed, bound %d", one.moves(), one.bound())
                            .isTrue();
                }
                stays(row, bins.get(bin) - kept);
                out.put(bin, kept + row.stay().size());
                rivet(row, holds);
            }
            peaksAgree(plan, peaks);
        }
        assertThat(small).isBetween(50, 4000);
        assertThat(lifted).isGreaterThan(50);
        assertThat(met).isGreaterThan(1000);
    }

    private static void stays(FaceClecos.RowPlan row, int free) {
        assertThat(row.stay())
                .doesNotHaveDuplicates()
                .allMatch(h -> h >= 1 && h <= row.holes().size());
        assertThat(row.stay()).hasSizeLessThanOrEqualTo(free);
    }

    private static void peaksAgree(FaceClecos plan, Map<String, Integer> peaks) {
        plan.sizes()
                .forEach(u -> assertThat(u.peak())
                        .isGreaterThanOrEqualTo(peaks.getOrDefault(u.size().bin(), 0)));
        plan.sizes().stream()
                .filter(u -> peaks.containsKey(u.size().bin()))
                .forEach(u -> assertThat(u.peak())
                        .isEqualTo(peaks.get(u.size().bin()))
                        .isLessThanOrEqualTo(u.bin()));
    }

    /** Does the row and gives the most clecos in use. */
    private static int walk(ClecoPlan plan, int n, int nearest, int stock) {
        Set<Integer> in = new HashSet<>();
        Set<Integer> drilled = new HashSet<>();
        int peak = 0;
        for (ClecoPlan.Wave wave : plan.waves()) {
            wave.place().forEach(h -> assertThat(in.add(h)).isTrue());
            peak = Math.max(peak, in.size());
            assertThat(in.size()).isLessThanOrEqualTo(stock);
            for (int h : wave.drill()) {
                assertThat(in).doesNotContain(h);
                assertThat(drilled.add(h)).isTrue();
                assertThat(h == 1 || in.stream().anyMatch(c -> c < h && c >= h - nearest))
                        .as("before %d: %s", h, in)
                        .isTrue();
                assertThat(h == n || in.stream().anyMatch(c -> c > h && c <= h + nearest))
                        .as("after %d: %s", h, in)
                        .isTrue();
            }
            wave.remove().forEach(h -> assertThat(in.remove(h)).isTrue());
        }
        assertThat(drilled).hasSize(n);
        return peak;
    }

    /** Sets the row: what is held is never set, all else once, with a cleco or a rivet in the holes beside it. */
    private static void rivet(FaceClecos.RowPlan row, Holds holds) {
        Set<Integer> in = new HashSet<>();
        Set<Integer> set = new HashSet<>();
        int n = row.holes().size();
        for (RivetOrder.Step step : FaceClecos.rivet(row, holds).steps()) {
            step.pull().forEach(h -> assertThat(in.remove(h)).isTrue());
            step.place().forEach(h -> assertThat(in.add(h)).isTrue());
            for (int h : step.set()) {
                assertThat(holds.of(row.holes().get(h - 1)))
                        .as("hole %d is held", h)
                        .isEmpty();
                assertThat(in).doesNotContain(h);
                assertThat(set.add(h)).isTrue();
                assertThat(h == 1 || in.contains(h - 1) || set.contains(h - 1)).isTrue();
                assertThat(h == n || in.contains(h + 1) || set.contains(h + 1)).isTrue();
            }
        }
        for (int h = 1; h <= n; h++) {
            assertThat(set.contains(h))
                    .isNotEqualTo(holds.of(row.holes().get(h - 1)).isPresent());
            assertThat(in.contains(h))
                    .isEqualTo(holds.of(row.holes().get(h - 1)).isPresent());
        }
    }

    /** One row of -3 rivets, some of its holes drilled out to -4. */
    private static Build row(int count, IntPredicate egged) {
        List<Hole> holes = new ArrayList<>();
        for (int h = 1; h <= count; h++) {
            Optional<Deviation> larger = egged.test(h)
                    ? Optional.of(new Deviation(
                            Optional.empty(),
                            Optional.of(new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 4)),
                            Optional.empty(),
                            "egged"))
                    : Optional.empty();
            holes.add(new Hole(new Id.Hole(1000 + h), h, Point.in(h, 2), larger));
        }
        return Plans.build(Plans.face(
                Plans.layers(count + 10),
                List.of(Plans.group(
                        20,
                        "G-1",
                        new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 3),
                        List.of(new Row(new Id.Row(999), "R1", count + 1, holes))))));
    }

    /** Every third of 300 holes takes a 1/8 cleco, of which there are few, walked step by step. */
    @ParameterizedTest
    @ValueSource(ints = {3, 6, 20, 100})
    void the_size_of_which_there_are_few_is_never_used_beyond_its_bin(int few) {
        Build build = row(300, h -> h % 3 == 0);
        FaceClecos.RowPlan row = FaceClecos.of(
                        Derivation.of(build, catalogue).face(new Id.Face(3)),
                        Logbook.EMPTY,
                        new Holds(build),
                        catalogue.clecos(),
                        Map.of("cleco 3/32", 300, "cleco 1/8", few),
                        Optional.empty(),
                        2)
                .rows()
                .getFirst();
        int in = 0;
        int peak = 0;
        for (ClecoPlan.Wave wave : row.plan().orElseThrow().waves()) {
            in += (int) wave.place().stream().filter(h -> h % 3 == 0).count();
            peak = Math.max(peak, in);
            in -= (int) wave.remove().stream().filter(h -> h % 3 == 0).count();
        }
        // The more there are the more are used, and never more than there are.
        assertThat(peak).isBetween(few - 2, few);
    }

    /* Ten holes of which 1 to 5 are set, one drilled out to -4: the rest is worked, each hole with its own size. */
    @Test
    void what_is_set_is_left_alone_and_each_hole_has_its_own_size() {
        Build build = row(10, h -> h == 8);
        List<Hole> holes = build.faces()
                .getFirst()
                .face()
                .groups()
                .getFirst()
                .rows()
                .getFirst()
                .holes();
        Derivation derivation = Derivation.of(build, catalogue);
        Work work = work(holes);
        Logbook log =
                Logbook.EMPTY.plus(LogEntry.Draft.install(work).numbered(1, Instant.parse("2026-11-20T11:00:00Z")));
        FaceClecos plan = FaceClecos.of(
                derivation.face(new Id.Face(3)),
                log,
                new Holds(build),
                catalogue.clecos(),
                Map.of("cleco 3/32", 4, "cleco 1/8", 1),
                Optional.empty(),
                2);
        FaceClecos.RowPlan row = plan.rows().getFirst();
        assertThat(row.holes()).extracting(HoleReading::label).containsExactly("R1.6", "R1.7", "R1.8", "R1.9", "R1.10");
        assertThat(row.size().orElseThrow().name()).isEqualTo("3/32");
        assertThat(row.others()).isEqualTo("cleco 1/8 (copper) in R1.8");
        assertThat(plan.sizes()).extracting(u -> u.size().name()).containsExactly("3/32", "1/8");
        assertThat(plan.sizes()).allSatisfy(u -> assertThat(u.peak()).isLessThanOrEqualTo(u.bin()));
        assertThat(plan.sizes().get(1).peak()).isEqualTo(1);
        assertThat(FaceClecos.rivet(row, new Holds(build)).steps().stream().flatMap(step -> step.set().stream()))
                .containsExactlyInAnyOrder(1, 2, 3, 4, 5);
        FaceClecos none = FaceClecos.of(
                derivation.face(new Id.Face(3)),
                log,
                new Holds(build),
                catalogue.clecos(),
                Map.of("cleco 3/32", 40, "cleco 1/8", 0),
                Optional.empty(),
                2);
        assertThat(none.rows().getFirst().plan().orElseThrow().fits()).isFalse();
    }

    private static Work work(List<Hole> holes) {
        return new Work(
                new Id.Group(20),
                "G-1",
                holes.subList(0, 5).stream()
                        .map(h -> new Work.LoggedHole(h.id(), "R1." + h.label()))
                        .toList(),
                5,
                "MS20470AD3-4",
                Optional.empty(),
                "M. Oake",
                LocalDateTime.parse("2026-11-20T10:00"),
                5,
                Work.Setup.NONE,
                List.of(),
                List.of(),
                "",
                "",
                List.of());
    }
}
