package bucina.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.cleco.ClecoSize;
import bucina.core.cleco.Mode;
import bucina.core.demo.Dunlin;
import bucina.core.demo.DunlinHistory;
import bucina.core.demo.Locker;
import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class FaceLocateTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build dunlin = Dunlin.build(catalogue.rules());
    private final Derivation derivation = Derivation.of(dunlin, catalogue);

    private FaceReading face(String name) {
        return derivation.face(dunlin.face(name).orElseThrow().face().id());
    }

    private FaceLocate locate(FaceReading face, Map<String, Integer> bins, Optional<Mode> mode) {
        return FaceLocate.of(face, Logbook.EMPTY, catalogue.clecos(), bins, mode);
    }

    /** Walks the steps and nothing else: every hole gets one cleco at most, and no size runs out. */
    private void walk(FaceLocate plan, Map<String, Integer> bins) {
        Set<String> in = new HashSet<>();
        Map<String, Integer> used = new HashMap<>();
        int every = Integer.MAX_VALUE;
        for (FaceLocate.Step step : plan.steps()) {
            assertThat(step.every()).isLessThanOrEqualTo(every);
            every = step.every();
            for (HoleReading hole : step.holes()) {
                assertThat(in.add(hole.label())).as(hole.label()).isTrue();
                String bin = ClecoSize.of(catalogue.clecos(), hole.solution().hole())
                        .orElseThrow()
                        .bin();
                assertThat(used.merge(bin, 1, Integer::sum))
                        .as(hole.label())
                        .isLessThanOrEqualTo(bins.getOrDefault(bin, 100_000));
            }
        }
        plan.sizes().forEach((size, n) -> assertThat(used.get(size.bin())).isEqualTo(n));
    }

    @Test
    void no_bin_runs_out_on_any_face_in_any_mode() {
        Random random = new Random(23);
        List<FaceReading> faces = new ArrayList<>();
        dunlin.faces().forEach(f -> faces.add(derivation.face(f.face().id())));
        Build locker = Locker.build(catalogue.rules());
        Derivation other = Derivation.of(locker, catalogue);
        locker.faces().forEach(f -> faces.add(other.face(f.face().id())));
        int thin = 0;
        for (int i = 0; i < 2000; i++) {
            Map<String, Integer> bins = new HashMap<>();
            for (String size : List.of("3/32", "1/8", "5/32", "3/16")) {
                if (random.nextInt(4) > 0) {
                    bins.put("cleco " + size, random.nextInt(160));
                }
            }
            Optional<Mode> mode = random.nextInt(5) == 0
                    ? Optional.empty()
                    : Optional.of(Mode.values()[random.nextInt(Mode.values().length)]);
            FaceLocate plan = locate(faces.get(random.nextInt(faces.size())), bins, mode);
            walk(plan, bins);
            thin += plan.dense() > plan.wanted() || plan.dense() == 0 ? 1 : 0;
        }
        assertThat(thin).isBetween(100, 1900);
    }

    @Test
    void a_flat_sheet_begins_in_the_middle_and_ends_at_its_corners_with_every_second_hole() {
        FaceLocate plan = locate(face("Upper skin"), Map.of(), Optional.empty());
        assertThat(plan.shape()).isEqualTo(FaceLocate.Shape.FLAT);
        assertThat(plan.dense()).isEqualTo(2);
        // The corners of the holes: root and tip ends of the nose and trailing edge lines.
        assertThat(plan.steps().getLast().why()).startsWith("corners last");
        assertThat(plan.steps().getLast().holes())
                .extracting(HoleReading::label)
                .contains("R3.1", "R3.39");
        assertThat(plan.steps().getFirst().every()).isEqualTo(8);
        // R1 has 48 holes: its middle is the 24th, and the first wave takes every eighth from there.
        List<String> first = plan.steps().stream()
                .filter(s -> s.every() == 8)
                .flatMap(s -> s.holes().stream())
                .map(HoleReading::label)
                .filter(l -> l.startsWith("R1."))
                .toList();
        assertThat(first).containsExactlyInAnyOrder("R1.8", "R1.16", "R1.24", "R1.32", "R1.40", "R1.48");
        assertThat(plan.steps().stream()
                        .flatMap(s -> s.holes().stream())
                        .filter(h -> h.row().name().equals("R1"))
                        .count())
                .isEqualTo(24);
    }

    @Test
    void a_wrapped_skin_goes_from_the_nose_aft_row_by_row() {
        FaceReading face = face("Lower skin");
        FaceLocate plan = locate(face, Map.of(), Optional.of(Mode.NOSE_FIRST));
        assertThat(plan.shape()).isEqualTo(FaceLocate.Shape.WRAPPED);
        List<Double> rows = plan.steps().stream()
                .filter(s -> s.every() == 8)
                .map(s -> s.holes().getFirst().row().holes().stream()
                        .mapToDouble(h -> -h.at().y())
                        .average()
                        .orElseThrow())
                .toList();
        assertThat(rows).isSorted();
        assertThat(plan.steps().getFirst().holes().getFirst().row().name()).isEqualTo("R4");
    }

    @Test
    void a_long_lap_goes_from_its_middle_to_both_ends() {
        FaceReading web = face("Rear spar web");
        FaceLocate plan = locate(web, Map.of(), Optional.empty());
        assertThat(plan.shape()).isEqualTo(FaceLocate.Shape.LAP);
        double middle = web.readings().stream()
                .mapToDouble(r -> r.hole().at().x())
                .average()
                .orElseThrow();
        List<Double> away = plan.steps().stream()
                .filter(s -> s.every() == 8)
                .flatMap(s -> s.holes().stream())
                .map(h -> Math.round(Math.abs(h.hole().at().x() - middle) / 25.4e6) * 1.0)
                .toList();
        assertThat(away).isSorted();
    }

    @Test
    void a_small_bin_is_stretched_and_what_is_riveted_needs_none() {
        FaceReading upper = face("Upper skin");
        FaceLocate some = locate(upper, Map.of("cleco 3/32", 60), Optional.empty());
        assertThat(some.dense()).isGreaterThan(2);
        assertThat(some.sizes().values().stream().mapToInt(i -> i).sum()).isBetween(20, 60);
        assertThat(locate(upper, Map.of("cleco 3/32", 2), Optional.empty()).steps())
                .isEmpty();
        FaceReading lower = face("Lower skin");
        Logbook log = DunlinHistory.of(derivation);
        FaceLocate open = FaceLocate.of(lower, log, catalogue.clecos(), Map.of(), Optional.empty());
        assertThat(open.steps())
                .isNotEmpty()
                .allSatisfy(s -> assertThat(s.holes())
                        .allSatisfy(
                                h -> assertThat(log.state(h.hole(), h.layers()).set())
                                        .isFalse()));
        // Every hole filled, where the joint asks for it.
        FaceLocate all = locate(upper, Map.of(), Optional.of(Mode.EVERY_HOLE));
        assertThat(all.steps().stream().mapToInt(s -> s.holes().size()).sum()).isEqualTo(upper.size());
    }
}
