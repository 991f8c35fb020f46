package bucina.core.guard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.NutPlateEdits;
import bucina.core.hold.Holds;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.Work;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import bucina.core.plan.Row;
import bucina.core.plan.Standing;
import bucina.core.progress.Task;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** P1 and P2 at one hole of a .025 skin dimpled into a countersunk .063 spar, #40, MS20426AD3-3.5. */
class GuardsTest {

    private static final LocalDateTime NOW = LocalDateTime.parse("2026-11-23T10:00");
    private static final Instant AT = Instant.parse("2026-11-01T10:00:00Z");

    private final Catalogue catalogue = CatalogueReader.shipped();
    private Build build = build(catalogue.rules());
    private Logbook log = Logbook.EMPTY;

    private static Build build(RuleSet rules) {
        Face face = Plans.face(
                List.of(Plans.layer(11, "Skin", .025, 0, 0, 20, 4), Plans.layer(12, "Spar", .063, 0, 0, 20, 4)),
                List.of(Plans.group(20, "G-1", Plans.FLUSH, List.of(Plans.row(1000, "R1", 2, 3)))));
        return Plans.build(face).withRules(rules);
    }

    private Derivation derivation() {
        return Derivation.of(build, catalogue);
    }

    private HoleReading hole(int label) {
        return derivation().face(new Id.Face(3)).readings().get(label - 1);
    }

    private void mark(Operation operation, String sheet, int label) {
        Task task = new Task(operation, Mark.Side.BOTH, layer(sheet));
        List<Mark> marks = task.marks(log, List.of(hole(label)), true, AT);
        log = log.plus(new MarkCheck(derivation(), log).accepted(marks, ""));
    }

    private Optional<Id.Layer> layer(String sheet) {
        return build.faces().getFirst().face().layers().stream()
                .filter(l -> l.name().equals(sheet))
                .map(l -> l.id())
                .findFirst();
    }

    private void set(int label, String reason) {
        Group group = build.group("G-1").orElseThrow().group();
        Row row = group.rows().getFirst();
        Work work = new Work(
                group.id(),
                "G-1",
                List.of(new Work.LoggedHole(row.holes().get(label - 1).id(), "R1." + label)),
                1,
                "MS20426AD3-3.5",
                Optional.of(Length.fraction(7, 32)),
                "M. Oake",
                NOW.minusDays(1),
                5,
                Work.Setup.NONE,
                List.of(),
                List.of(),
                reason,
                "a note is no reason",
                List.of());
        new LogCheck(derivation(), log).accept(LogEntry.Draft.install(work), NOW);
        log = log.plus(LogEntry.Draft.install(work).numbered(log.nextId(), AT));
    }

    @Test
    void a_rivet_goes_in_step_by_step_and_each_missing_step_is_named_with_hole_and_sheet() {
        assertThatThrownBy(() -> set(1, ""))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("R1.1 in Skin is not drilled to final size, not deburred, not dimpled")
                .hasMessageContaining("R1.1 in Spar is not drilled to final size, not deburred, not countersunk");
        mark(Operation.FINAL_SIZE, "", 1);
        assertThatThrownBy(() -> set(1, "")).hasMessageContaining("R1.1 in Skin is not deburred, not dimpled;");
        mark(Operation.DEBURRED, "", 1);
        mark(Operation.DIMPLED, "", 1);
        assertThatThrownBy(() -> set(1, ""))
                .hasMessageContaining("R1.1 in Spar is not countersunk:")
                .hasMessageNotContaining("Skin");
        mark(Operation.COUNTERSUNK, "", 1);
        set(1, "");
        assertThat(log.state(hole(1).hole(), hole(1).layers()).set()).isTrue();
    }

    @Test
    void with_a_reason_it_goes_in_and_the_reason_stays() {
        set(1, "assembled by the kit's maker");
        assertThat(log.entries().getFirst().work().orElseThrow().explanation())
                .isEqualTo("assembled by the kit's maker");
    }

    @Test
    void a_dimple_before_drilling_is_refused_and_deburring_before_drilling_too() {
        assertThatThrownBy(() -> mark(Operation.DIMPLED, "Skin", 2))
                .isInstanceOf(InputException.class)
                .hasMessageContaining(
                        "R1.2 in Skin is not drilled to final size, not deburred, which comes before dimpled");
        assertThatThrownBy(() -> mark(Operation.DEBURRED, "Spar", 2)).hasMessageContaining("Spar is not drilled");
        mark(Operation.FINAL_SIZE, "Skin", 2);
        assertThatThrownBy(() -> mark(Operation.DIMPLED, "Skin", 2)).hasMessageContaining("Skin is not deburred");
        mark(Operation.DEBURRED, "Skin", 2);
        assertThatCode(() -> mark(Operation.DIMPLED, "Skin", 2)).doesNotThrowAnyException();
    }

    @Test
    void one_side_deburred_is_not_deburred() {
        mark(Operation.FINAL_SIZE, "", 1);
        Task near = new Task(Operation.DEBURRED, Mark.Side.NEAR, layer("Skin"));
        log = log.plus(near.marks(log, List.of(hole(1)), true, AT));
        assertThatThrownBy(() -> mark(Operation.DIMPLED, "Skin", 1)).hasMessageContaining("not deburred");
    }

    @Test
    void what_the_build_does_not_do_is_a_rule_and_is_not_owed() {
        RuleSet rules = catalogue
                .rules()
                .with(RuleKey.HOLES_COME, "final", "a final-size kit")
                .with(RuleKey.DEBURR_MARKED, "not-marked", "done while drilling");
        build = build(rules);
        mark(Operation.DIMPLED, "", 1);
        mark(Operation.COUNTERSUNK, "", 1);
        set(1, "");
        build = build(rules.with(RuleKey.PRIME_SCHOOL, "all", "salt water"));
        mark(Operation.DIMPLED, "", 2);
        mark(Operation.COUNTERSUNK, "", 2);
        assertThatThrownBy(() -> set(2, ""))
                .hasMessageContaining("R1.2 in Skin is not primed; R1.2 in Spar is not primed");
        mark(Operation.PRIMED, "", 2);
        set(2, "");
    }

    @Test
    void between_sheets_that_are_on_for_good_nothing_is_deburred() {
        Logbook done = AllDone.log(derivation());
        log = done;
        set(1, "");
        log = Logbook.of(log.entries(), AllDone.marks(derivation(), hole(1)));
        List<Owed> owed = new Guards(derivation(), new Id.Face(3), log, new Holds(derivation(), log)).owed(hole(2));
        assertThat(owed.getFirst().steps())
                .extracting(Owed.Step::operation)
                .containsExactly(Operation.FINAL_SIZE, Operation.DEBURRED, Operation.DIMPLED);
        assertThat(owed.getFirst().steps().get(1).side()).isEqualTo(Mark.Side.NEAR);
        assertThat(owed.get(1).steps().get(1).side()).isEqualTo(Mark.Side.FAR);
    }

    @Test
    void a_sheet_that_is_not_on_stops_matching_and_setting_but_not_deburring() {
        log = AllDone.log(derivation());
        build = build.with(build.parts().getFirst().withFitted(false));
        assertThatThrownBy(() -> set(1, "")).hasMessageContaining("every sheet of its stack on, and Skin is not");
        log = Logbook.of(
                List.of(),
                log.marks().stream()
                        .filter(m -> m.operation() == Operation.FINAL_SIZE)
                        .toList());
        mark(Operation.DEBURRED, "Skin", 1);
        assertThatThrownBy(() -> mark(Operation.MATCH_DRILLED, "", 2)).hasMessageContaining("R1.2");
    }

    @Test
    void nothing_is_done_to_a_hole_behind_its_rivet() {
        set(1, "as found");
        assertThatThrownBy(() -> mark(Operation.FINAL_SIZE, "", 1)).hasMessageContaining("has its fastener in");
    }

    @Test
    void a_hole_with_an_open_error_asks_for_a_reason() {
        log = AllDone.log(derivation());
        Face face = build.faces().getFirst().face();
        build = build.with(
                face.withLayers(List.of(face.layers().getFirst(), Plans.layer(12, "Spar", .063, 0, 1.9, 20, 4))),
                build.nextId());
        assertThatThrownBy(() -> set(1, "")).hasMessageContaining("R1.1 has an open error: in Spar");
        set(1, "the drawing says so");
    }

    @Test
    void readings_that_no_head_can_have_are_refused() {
        log = AllDone.log(derivation());
        assertThatThrownBy(() -> read(.9, .005)).hasMessageContaining("cannot be one of a");
        assertThatThrownBy(() -> read(.048, .146)).hasMessageContaining("diameter first");
        assertThatCode(() -> read(.146, .047)).doesNotThrowAnyException();
        assertThatCode(() -> read(.12, .09)).doesNotThrowAnyException();
    }

    private void read(double across, double high) {
        Group group = build.group("G-1").orElseThrow().group();
        Work work = new Work(
                group.id(),
                "G-1",
                List.of(new Work.LoggedHole(hole(1).hole().id(), "R1.1")),
                1,
                "MS20426AD3-3.5",
                Optional.empty(),
                "M. Oake",
                NOW.minusDays(1),
                5,
                Work.Setup.NONE,
                List.of(new Work.Reading(Length.in(across), Length.in(high))),
                List.of(),
                "",
                "",
                List.of());
        new LogCheck(derivation(), log).accept(LogEntry.Draft.install(work), NOW);
    }

    @Test
    void a_log_that_is_brought_in_is_judged_too() {
        set(1, "forced");
        LogEntry entry = log.entries().getFirst();
        Logbook bare = Logbook.of(List.of(entry.explained("")), List.of());
        assertThatThrownBy(() -> new BroughtLog(derivation(), bare).accepted(""))
                .hasMessageContaining("entry 1 has no reason")
                .hasMessageContaining("R1.1 in Skin");
        assertThat(new BroughtLog(derivation(), bare)
                        .accepted("from paper")
                        .entries()
                        .getFirst()
                        .work()
                        .orElseThrow()
                        .explanation())
                .isEqualTo("from paper");
        assertThat(new BroughtLog(derivation(), log).accepted("")).isEqualTo(log);
    }

    @Test
    void marks_that_are_brought_in_are_judged_too() {
        Task dimple = new Task(Operation.DIMPLED, Mark.Side.BOTH, layer("Skin"));
        List<Mark> bare = dimple.marks(log, List.of(hole(1)), true, AT);
        assertThatThrownBy(() -> new BroughtLog(derivation(), Logbook.of(List.of(), bare)).accepted(""))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("R1.1 in Skin is not drilled to final size, not deburred, which comes before");
        Logbook given = new BroughtLog(derivation(), Logbook.of(List.of(), bare)).accepted("from paper");
        assertThat(given.marks()).extracting(Mark::note).containsExactly("from paper");
        assertThat(new BroughtLog(derivation(), given).accepted("")).isEqualTo(given);
        // Taken back by undo and done again: the reason stands at the first mark.
        Mark first = given.marks().getFirst();
        Mark off = first.turned(AT.plusSeconds(1));
        Logbook again = Logbook.of(List.of(), List.of(first, off, off.turned(AT.plusSeconds(2))));
        assertThat(new BroughtLog(derivation(), again).accepted("")).isEqualTo(again);
        Logbook backTaken =
                Logbook.of(List.of(), List.of(bare.getFirst(), bare.getFirst().turned(AT.plusSeconds(1))));
        assertThat(new BroughtLog(derivation(), backTaken).accepted("")).isEqualTo(backTaken);
        Logbook inOrder = AllDone.log(derivation());
        assertThat(new BroughtLog(derivation(), inOrder).accepted("")).isEqualTo(inOrder);
    }

    @Test
    void a_reason_goes_to_the_marks_that_want_one_and_to_no_other() {
        mark(Operation.FINAL_SIZE, "Spar", 1);
        Task deburr = Task.of(Operation.DEBURRED);
        List<Mark> both = new MarkCheck(derivation(), log)
                .accepted(deburr.marks(log, List.of(hole(1)), true, AT), "the skin came deburred");
        assertThat(both)
                .filteredOn(m -> m.layer().n() == 11)
                .extracting(Mark::note)
                .containsOnly("the skin came deburred");
        assertThat(both)
                .filteredOn(m -> m.layer().n() == 12)
                .hasSize(2)
                .extracting(Mark::note)
                .containsOnly("");
        assertThat(new MarkCheck(derivation(), log)
                        .accepted(deburr.marks(Logbook.of(List.of(), both), List.of(hole(1)), false, AT), ""))
                .hasSize(4);
        Mark nowhere = new Mark(new Id.Hole(77), both.getFirst().layer(), Mark.Side.BOTH, Operation.FINAL_SIZE, AT);
        assertThatThrownBy(() -> new MarkCheck(derivation(), log).accepted(List.of(nowhere), "because"))
                .hasMessageContaining("not in this build");
    }

    @Test
    void the_lug_of_a_nut_plate_owes_nothing_whatever_its_sheet_is_called() {
        Part plates = new Part(
                new Id.Part(build.nextId()),
                "Ring",
                Material.parse("STEEL"),
                4,
                Standing.DRY,
                Part.Kind.NUT_PLATES,
                Particulars.NONE);
        Layer skin = build.faces().getFirst().face().layers().getFirst();
        Layer lug = Plans.layer(12, "Lug", .063, 0, 0, 20, 4);
        Layer sheet = Plans.layer(13, "Nut plate cover", .063, 0, 0, 20, 4);
        List<Part> parts = new ArrayList<>(build.parts());
        parts.add(plates);
        build = build.withParts(parts, build.nextId() + 1)
                .with(
                        build.faces()
                                .getFirst()
                                .face()
                                .withLayers(List.of(
                                        skin,
                                        new Layer(lug.id(), plates.id(), lug.name(), lug.thickness(), lug.outline()),
                                        sheet)),
                        build.nextId() + 1);

        List<Owed> owed = Owed.of(hole(1), build.rules(), PartStates.of(build), NutPlateEdits.plates(build));

        assertThat(owed.getFirst().steps()).isNotEmpty();
        assertThat(owed.get(1).steps()).isEmpty();
        assertThat(owed.get(2).steps()).isNotEmpty();
    }

    @Test
    void what_is_worked_while_it_is_on_counts_as_taken_off_and_is_said() {
        Task dimple = new Task(Operation.DIMPLED, Mark.Side.BOTH, layer("Skin"));
        Derivation derivation = derivation();
        Guards dry = new Guards(derivation, new Id.Face(3), log, new Holds(derivation, log));
        assertThat(dry.granted(dimple, hole(1)))
                .contains("Part is on dry: it counts as taken off for this and put back");
        assertThat(dry.granted(Task.of(Operation.FINAL_SIZE), hole(1))).isEmpty();
        Build off = build.with(build.parts().getFirst().withFitted(false));
        Derivation lifted = Derivation.of(off, catalogue);
        assertThat(new Guards(lifted, new Id.Face(3), log, new Holds(lifted, log)).granted(dimple, hole(1)))
                .isEmpty();
    }

    @Test
    void what_was_said_once_is_said_again_and_of_its_task_its_hole_and_its_unit_only() {
        Row plain = Plans.row(1000, "R1", 2, 3);
        List<Hole> holes = new ArrayList<>(plain.holes());
        Hole first = holes.getFirst();
        Deviation larger =
                new Deviation(Optional.of(Length.in(.1285)), Optional.empty(), Optional.empty(), "drilled out");
        holes.set(0, new Hole(first.id(), first.label(), first.at(), Optional.of(larger)));
        build = Plans.build(Plans.face(
                build.faces().getFirst().face().layers(),
                List.of(Plans.group(
                        20,
                        "G-1",
                        Plans.FLUSH,
                        List.of(new Row(plain.id(), plain.name(), plain.nextLabel(), holes))))));
        Guards guards = new Guards(derivation(), new Id.Face(3), log, new Holds(derivation(), log));
        Task drill = Task.of(Operation.FINAL_SIZE);
        for (int again = 0; again < 2; again++) {
            assertThat(guards.marking(drill, hole(1), Unit.INCH).orElseThrow()).contains("it takes .1285 in");
            assertThat(guards.marking(drill, hole(1), Unit.MM).orElseThrow()).contains("it takes 3.264 mm");
            assertThat(guards.marking(drill, hole(2), Unit.INCH)).isEmpty();
            assertThat(guards.marking(Task.of(Operation.DIMPLED), hole(2), Unit.INCH)
                            .orElseThrow())
                    .contains("R1.2 in Skin is not drilled to final size");
        }
    }
}
