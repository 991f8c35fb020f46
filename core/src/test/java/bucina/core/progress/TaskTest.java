package bucina.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.cleco.ClecoPlan;
import bucina.core.cleco.ClecoSize;
import bucina.core.demo.Dunlin;
import bucina.core.demo.Locker;
import bucina.core.dress.Dress;
import bucina.core.edit.NutPlateEdits;
import bucina.core.guard.AllDone;
import bucina.core.guard.Guards;
import bucina.core.hold.Holds;
import bucina.core.log.HoleState;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.nutplate.NutPlate;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Row;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TaskTest {

    private static final Instant AT = Instant.parse("2026-11-25T10:00:00Z");
    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build build = Dunlin.build(catalogue.rules());
    private final Derivation derivation = Derivation.of(build, catalogue);
    private final Holds holds = new Holds(build);

    private FaceReading face(String name) {
        return derivation.face(build.face(name).orElseThrow().face().id());
    }

    private static List<HoleReading> row(FaceReading face, String name) {
        return face.readings().stream().filter(r -> r.row().name().equals(name)).toList();
    }

    @Test
    void deburring_counts_when_both_sides_are_done_in_every_sheet() {
        FaceReading face = face("Upper skin");
        List<HoleReading> row = row(face, "R8");
        Task near = new Task(Operation.DEBURRED, Mark.Side.NEAR, Optional.empty());
        Task both = Task.of(Operation.DEBURRED);
        Logbook log = Logbook.EMPTY.plus(near.marks(Logbook.EMPTY, row, true, AT));
        assertThat(row).allSatisfy(r -> {
            assertThat(near.done(log, r)).isTrue();
            assertThat(both.done(log, r)).isFalse();
            assertThat(log.state(r.hole(), r.layers())).isEqualTo(HoleState.PLANNED);
        });
        Logbook after = log.plus(both.marks(log, row, true, AT));
        assertThat(row)
                .allSatisfy(r -> assertThat(log == after || both.done(after, r)).isTrue());
        // Each layer of each hole: one mark for the near side, then one for the far.
        int layers = row.stream().mapToInt(r -> r.layers().size()).sum();
        assertThat(after.marks()).hasSize(2 * layers);
        assertThat(after.state(row.getFirst().hole(), row.getFirst().layers())).isEqualTo(HoleState.DEBURRED);
        assertThat(both.marks(after, row, true, AT)).isEmpty();
    }

    @Test
    void a_mark_taken_back_is_another_mark() {
        List<HoleReading> row = row(face("Upper skin"), "R8");
        Task task = Task.of(Operation.FINAL_SIZE);
        Logbook log = Logbook.EMPTY.plus(task.marks(Logbook.EMPTY, row, true, AT));
        Logbook back = log.plus(task.marks(log, row, false, AT.plusSeconds(60)));
        assertThat(back.marks()).hasSize(2 * log.marks().size());
        assertThat(row).allSatisfy(r -> assertThat(task.waits(back, r)).isTrue());
        assertThat(back.marks().getFirst().turned(AT).turned(AT))
                .isEqualTo(back.marks().getFirst());
    }

    @Test
    void a_hole_at_its_final_size_waits_for_no_pilot_and_no_match_drilling() {
        FaceReading face = face("Upper skin");
        List<HoleReading> row = row(face, "R8");
        Logbook log = Logbook.EMPTY.plus(Task.of(Operation.FINAL_SIZE).marks(Logbook.EMPTY, row, true, AT));
        for (Operation overtaken : List.of(Operation.PILOT, Operation.MATCH_DRILLED)) {
            assertThat(Task.of(overtaken).left(log, face)).hasSize(face.size() - row.size());
        }
        assertThat(Task.of(Operation.DEBURRED).left(log, face)).hasSize(face.size());
    }

    @Test
    void only_sheets_that_take_a_dimple_are_asked_for_one() {
        FaceReading face = face("Upper skin");
        HoleReading hole = row(face, "R8").getFirst();
        Task dimple = Task.of(Operation.DIMPLED);
        assertThat(dimple.layers(hole)).hasSizeBetween(1, hole.layers().size());
        assertThat(Task.of(Operation.CLEARED).layers(hole)).isEmpty();
        assertThat(Task.of(Operation.CLEARED).waits(Logbook.EMPTY, hole)).isFalse();
        Build locker = Locker.build(catalogue.rules());
        Derivation derived = Derivation.of(locker, catalogue);
        assertThat(locker.faces().stream()
                        .flatMap(f -> derived.face(f.face().id()).readings().stream())
                        .anyMatch(r -> !Task.of(Operation.CLEARED).layers(r).isEmpty()))
                .isTrue();
    }

    @Test
    void holes_between_done_ones_are_skipped_and_those_at_the_end_are_not() {
        FaceReading face = face("Upper skin");
        List<HoleReading> row = row(face, "R1");
        Task task = Task.of(Operation.MATCH_DRILLED);
        List<HoleReading> some = List.of(row.get(2), row.get(3), row.get(7));
        Logbook log = Logbook.EMPTY.plus(task.marks(Logbook.EMPTY, some, true, AT));
        assertThat(task.skipped(log, face)).containsExactly(row.get(4), row.get(5), row.get(6));
        assertThat(task.left(log, face)).hasSize(face.size() - 3);
    }

    /** What stands in the way where all is done that comes before. */
    private Optional<String> guard(Task task, Build of, Holds open, HoleReading hole) {
        Derivation derivation = Derivation.of(of, catalogue);
        Id.Face face = of.faces().stream()
                .map(f -> f.face().id())
                .filter(f -> derivation.face(f).of(hole.hole().id()).isPresent())
                .findFirst()
                .orElseThrow();
        return new Guards(derivation, face, AllDone.log(derivation), open).marking(task, hole, Unit.INCH);
    }

    @Test
    void a_hole_held_under_size_is_guarded_against_drilling_but_not_against_deburring() {
        FaceReading face = face("Upper skin");
        HoleReading held = face.readings().stream()
                .filter(r -> holds.of(r).filter(h -> h.underSize()).isPresent())
                .findFirst()
                .orElseThrow();
        assertThat(guard(Task.of(Operation.FINAL_SIZE), build, holds, held))
                .get()
                .asString()
                .contains(held.label())
                .contains("it waits for");
        assertThat(guard(Task.of(Operation.DEBURRED), build, holds, held)).isEmpty();
        HoleReading free = row(face, "R8").getFirst();
        assertThat(guard(Task.of(Operation.FINAL_SIZE), build, holds, free)).isEmpty();
    }

    /*
     * Handbook: 2.5 takes 3/32, 3.1 and 3.3 take 1/8, 4.1 takes 5/32, 4.9 takes 3/16; 2.9 lies between and takes
     * none.
     */
    @ParameterizedTest
    @CsvSource({
        "2.5,3/32",
        "2.4892,3/32",
        "3.1,1/8",
        "3.2639,1/8",
        "3.3,1/8",
        "4.0386,5/32",
        "4.1,5/32",
        "4.8514,3/16",
        "4.9,3/16",
        "2.9,",
        "2.0,",
        "3.6,"
    })
    void a_hole_takes_the_cleco_of_its_size(double mm, String size) {
        assertThat(ClecoSize.of(catalogue.clecos(), Length.mm(mm)).map(ClecoSize::name))
                .isEqualTo(Optional.ofNullable(size));
    }

    @Test
    void the_dress_list_covers_every_dressed_hole_once_and_says_what_comes_before_a_later_part() {
        FaceReading face = face("Upper skin");
        DressList list = DressList.of(face, build, catalogue, Logbook.EMPTY);
        long dressed = face.readings().stream()
                .filter(r -> r.solution().dressing().plies().stream().anyMatch(p -> p.dress() != Dress.PLAIN))
                .count();
        assertThat(list.ways().stream().mapToLong(w -> w.holes().size()).sum()).isEqualTo(dressed);
        // Skin .032 dimpled into the .063 doubler: .179 + .728 × .032 = .202 across.
        assertThat(list.ways())
                .anySatisfy(w ->
                        assertThat(w.detail().in(Unit.INCH)).startsWith("Nest ").contains("deep in .063 in, 100°."));
        // With the skin off, the dimples of the rib flanges under it come first.
        Build off = build.with(build.parts().stream()
                .filter(p -> p.name().equals("Upper skin"))
                .findFirst()
                .orElseThrow()
                .withFitted(false));
        FaceReading bare = Derivation.of(off, catalogue).face(face.face().id());
        assertThat(DressList.of(bare, off, catalogue, Logbook.EMPTY).first()).anySatisfy(w -> {
            assertThat(w.title()).isEqualTo("Before Upper skin goes on");
            assertThat(w.holes()).isNotEmpty();
        });
        Task dimple = Task.of(Operation.DIMPLED);
        Logbook done = Logbook.EMPTY.plus(dimple.marks(Logbook.EMPTY, face.readings(), true, AT));
        assertThat(DressList.of(bare, off, catalogue, done).first()).isEmpty();
    }

    @Test
    void holes_of_a_nut_plate_are_drilled_through_the_plate_and_said_so() {
        NutPlate eight = NutPlate.of(catalogue.nutPlates(), "8");
        Build.FaceRef lower = build.face("Lower skin").orElseThrow();
        Row screws = build.group("LS-8").orElseThrow().group().rows().getFirst();
        Build with = NutPlateEdits.add(
                build,
                lower.face().id(),
                NutPlateEdits.lay(lower.face(), NutPlateEdits.pattern(screws), eight, build.rules()),
                Length.in(.025),
                false);
        FaceReading face = Derivation.of(with, catalogue).face(lower.face().id());
        Holds now = new Holds(with);
        Task drill = Task.of(Operation.FINAL_SIZE);
        assertThat(row(face, screws.name()))
                .hasSize(8)
                .allSatisfy(r ->
                        assertThat(guard(drill, with, now, r).orElseThrow()).contains("is a nut plate hole"));
        assertThat(face.readings().stream().filter(r -> r.group().code().startsWith("NP")))
                .hasSize(16)
                .allSatisfy(r -> assertThat(guard(drill, with, now, r)).isPresent());
        assertThat(guard(
                        Task.of(Operation.DEBURRED),
                        with,
                        now,
                        row(face, screws.name()).getFirst()))
                .isEmpty();
        assertThat(row(face, "R2"))
                .allSatisfy(r -> assertThat(guard(drill, with, now, r)).isEmpty());
    }

    @Test
    void a_face_is_clecoed_row_by_row_within_the_bin() {
        FaceReading face = face("Upper skin");
        FaceClecos plan = FaceClecos.of(
                face, Logbook.EMPTY, holds, catalogue.clecos(), Map.of("cleco 3/32", 20), Optional.empty(), 2);
        assertThat(plan.rows()).hasSize((int)
                face.face().groups().stream().mapToLong(g -> g.rows().size()).sum());
        assertThat(plan.rows())
                .allSatisfy(r -> assertThat(r.plan().filter(ClecoPlan::fits))
                        .as(r.row().name())
                        .isPresent());
        assertThat(plan.sizes())
                .allSatisfy(u -> assertThat(u.bin() < 0 || u.peak() <= u.bin()).isTrue());
        assertThat(plan.rows().getFirst().holes().size()).isGreaterThan(30);
        FaceClecos.RowPlan held = plan.rows().stream()
                .filter(r -> r.row().name().equals("R1"))
                .findFirst()
                .orElseThrow();
        assertThat(held.held()).isEqualTo(6);
        List<String> sentences = held.plan().orElseThrow().waves().stream()
                .map(w -> FaceClecos.sentence(held, w, holds, Unit.INCH))
                .toList();
        assertThat(sentences).anyMatch(s -> s.startsWith("Cleco R1.")).anyMatch(s -> s.contains("not past"));
    }
}
