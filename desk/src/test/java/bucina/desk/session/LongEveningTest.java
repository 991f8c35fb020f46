package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.batch.Mixing;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.Edit;
import bucina.core.edit.HoleEdits;
import bucina.core.edit.SheetEdits;
import bucina.core.log.HoleState;
import bucina.core.log.Operation;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Compound;
import bucina.core.plan.FitReading;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.IndexMark;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.plan.Tool;
import bucina.core.progress.Task;
import bucina.core.reach.ToolCrib;
import bucina.core.rule.RuleKey;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import bucina.store.file.BuildFile;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Whatever is done in an evening is in the file the moment it is shown, can be taken back to the first, and done again
 * to the last.
 */
class LongEveningTest extends OnDesk {

    private final List<String> refused = new ArrayList<>();

    /** What must come back: the plan without the counter of ids, and where every hole stands. */
    private record Stand(Build build, Map<Id.Hole, HoleState> states) {}

    private Stand stand() {
        Snapshot now = session.snapshot();
        Build b = now.build();
        Map<Id.Hole, HoleState> states = new HashMap<>();
        b.faces()
                .forEach(f -> now.face(f.face().id())
                        .readings()
                        .forEach(r -> states.put(r.hole().id(), now.state(r))));
        return new Stand(
                new Build(
                        b.name(),
                        b.aircraft(),
                        b.rules(),
                        Long.MAX_VALUE,
                        b.parts(),
                        b.assemblies(),
                        b.stock(),
                        b.papers(),
                        b.workshop()),
                states);
    }

    private void plan(UnaryOperator<Build> change) {
        session.plan("a change", change, () -> {}, refused::add);
    }

    private static <T> T any(Random random, List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    /** One thing that a builder does; some are refused, which must change nothing. */
    private void act(Random random) {
        Build build = session.snapshot().build();
        Build.FaceRef ref = any(random, build.faces());
        List<HoleReading> readings = session.snapshot().face(ref.face().id()).readings();
        HoleReading hole = any(random, readings);
        Layer layer = any(random, ref.face().layers());
        switch (random.nextInt(12)) {
            case 0 ->
                plan(b -> HoleEdits.move(
                        b,
                        Set.of(hole.hole().id()),
                        random.nextInt(9_000_000) - 4.5e6,
                        random.nextInt(9_000_000) - 4.5e6));
            case 1 ->
                plan(b -> HoleEdits.add(
                        b,
                        hole.row().id(),
                        new Point(hole.hole().at().x() + 5e6, hole.hole().at().y())));
            case 2 -> plan(b -> HoleEdits.delete(b, Set.of(hole.hole().id())));
            case 3 ->
                plan(b -> SheetEdits.moveEdge(
                        b,
                        layer.id(),
                        random.nextInt(layer.outline().outer().corners().size()),
                        random.nextInt(3_000_000) - 1.5e6));
            case 4 ->
                plan(b -> Edit.layer(
                        b, layer.id(), l -> l.withThickness(l.thickness().times(random.nextBoolean() ? 1.25 : .8))));
            case 5, 6, 7, 8, 9 -> onTheBench(random, ref, layer);
            case 10 -> {
                marks(readings, hole, random);
            }
            default -> log(ref, hole);
        }
    }

    private void onTheBench(Random random, Build.FaceRef ref, Layer layer) {
        switch (5 + random.nextInt(5)) {
            case 5 ->
                plan(b -> b.with(
                        b.part(layer.part()).withFitted(!b.part(layer.part()).fitted())));
            case 6 ->
                plan(b -> b.withRules(
                        b.rules().with(RuleKey.FIT_SQUARE, "." + (10 + random.nextInt(80)) + " in", "drawing note 4")));
            case 7 ->
                plan(b -> Mixing.mixed(
                        b,
                        new Compound("Sealant", Compound.Kind.SEALANT, 0, 1 + random.nextInt(200), 0),
                        session.instant(),
                        session.zone(),
                        List.of()));
            case 8 ->
                plan(b -> b.withWorkshop(
                        b.workshop()
                                .with(new IndexMark(
                                        new Id.Index(b.nextId()),
                                        layer.part(),
                                        "mark " + random.nextInt(99),
                                        session.instant()))
                                .with(new FitReading(
                                        new Id.Fit(b.nextId() + 1),
                                        ref.face().id(),
                                        FitReading.Kind.LEVEL,
                                        random.nextBoolean(),
                                        List.of(random.nextDouble()),
                                        session.instant())),
                        b.nextId() + 2));
            default ->
                plan(b -> ToolCrib.plus(b, Tool.Kind.STOP_CAGE, "Cage " + random.nextInt(99), List.of(Length.in(.3))));
        }
    }

    private void marks(List<HoleReading> readings, HoleReading hole, Random random) {
        List<HoleReading> row = readings.stream()
                .filter(r -> r.row().id().equals(hole.row().id()))
                .toList();
        Task task = Task.of(any(random, List.of(Operation.FINAL_SIZE, Operation.DEBURRED, Operation.DIMPLED)));
        session.mark(
                "marking",
                task.marks(session.snapshot().log(), row, random.nextInt(4) > 0, session.instant()),
                "",
                () -> {},
                refused::add);
    }

    private void log(Build.FaceRef ref, HoleReading hole) {
        desk.show(ref.face().id());
        LinkedHashSet<Id.Hole> one = new LinkedHashSet<>(List.of(hole.hole().id()));
        desk.selectionProperty()
                .set(new Selection(ref.face().id(), Optional.of(hole.hole().id()), one));
        Suggestion.of(desk).ifPresent(s -> {
            LogForm.Fields f = LogForm.suggest(s, desk, 0);
            f.who = "M. Oake";
            f.minutes = "2";
            f.explanation = "as the drawing has it";
            try {
                session.log(LogForm.of(s).draft(f, desk.lengths(), ""), List.of(), e -> {}, refused::add);
            } catch (InputException e) {
                refused.add(e.getMessage());
            }
        });
    }

    private void onDisk() {
        try (BuildFile file = BuildFile.openToRead(session.path())) {
            BuildFile.Contents read = file.read();
            // A copied file gives out ids further on, from its first change.
            assertThat(read.build().withNextId(session.snapshot().build().nextId()))
                    .isEqualTo(session.snapshot().build());
            assertThat(read.log()).isEqualTo(session.snapshot().log());
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void what_is_shown_is_on_the_disk_and_all_of_it_goes_back_and_on_again(long seed) {
        Random random = new Random(seed);
        List<Stand> stands = new ArrayList<>(List.of(stand()));
        int done = 0;
        for (int i = 0; i < 60; i++) {
            int before = refused.size();
            Build was = session.snapshot().build();
            act(random);
            if (refused.size() > before) {
                assertThat(session.snapshot().build()).as(refused.getLast()).isEqualTo(was);
                assertThat(refused.getLast()).hasSizeGreaterThan(10).doesNotContain("Exception");
            }
            if (session.history().undoWords().isPresent() && !stand().equals(stands.getLast())) {
                stands.add(stand());
                done++;
            }
            if (i % 6 == 0) {
                onDisk();
            }
        }
        assertThat(done).isGreaterThan(35);
        while (session.history().undoWords().isPresent()) {
            session.history().undo(refused::add);
        }
        assertThat(stand()).isEqualTo(stands.getFirst());
        onDisk();
        while (session.history().redoWords().isPresent()) {
            session.history().redo(refused::add);
        }
        assertThat(stand()).isEqualTo(stands.getLast());
        onDisk();
        // What is shown is what a fresh look at the plan gives.
        Derivation fresh = Derivation.of(session.snapshot().build(), CatalogueReader.shipped());
        session.snapshot().build().faces().forEach(f -> {
            List<HoleReading> shown = session.snapshot().face(f.face().id()).readings();
            List<HoleReading> again = fresh.face(f.face().id()).readings();
            for (int i = 0; i < shown.size(); i++) {
                assertThat(shown.get(i).same(again.get(i)))
                        .as(shown.get(i).label())
                        .isTrue();
            }
        });
    }

    @Test
    void back_and_forth_at_random_never_loses_the_way() {
        Random random = new Random(9);
        List<Stand> path = new ArrayList<>(List.of(stand()));
        int at = 0;
        for (int i = 0; i < 120; i++) {
            int way = random.nextInt(3);
            if (way == 0 && at > 0) {
                session.history().undo(refused::add);
                at--;
            } else if (way == 1 && at < path.size() - 1) {
                session.history().redo(refused::add);
                at++;
            } else {
                Row row = session.snapshot()
                        .build()
                        .face("Upper skin")
                        .orElseThrow()
                        .face()
                        .groups()
                        .getFirst()
                        .rows()
                        .getFirst();
                Hole hole = any(random, row.holes());
                plan(b -> HoleEdits.move(b, Set.of(hole.id()), 1e6 * (1 + random.nextInt(5)), 0));
                path.subList(at + 1, path.size()).clear();
                path.add(stand());
                at++;
            }
            assertThat(stand()).as("step " + i).isEqualTo(path.get(at));
        }
        assertThat(refused).isEmpty();
    }
}
