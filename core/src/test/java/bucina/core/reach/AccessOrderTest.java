package bucina.core.reach;

import static bucina.core.reach.AccessPlans.BOLT;
import static bucina.core.reach.AccessPlans.PULLED;
import static bucina.core.reach.AccessPlans.along;
import static bucina.core.reach.AccessPlans.held;
import static bucina.core.reach.AccessPlans.plain;
import static bucina.core.reach.AccessPlans.wall;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.SheetEdits;
import bucina.core.guard.BroughtLog;
import bucina.core.guard.Guards;
import bucina.core.guard.LogCheck;
import bucina.core.hold.Holds;
import bucina.core.job.Jobs;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.order.OrderOfWork;
import bucina.core.plan.Build;
import bucina.core.plan.Flange;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.plan.Tool;
import bucina.core.progress.Task;
import bucina.core.rule.RuleKey;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import bucina.core.stack.StackCheck;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What keeps tools away puts jobs in order. */
class AccessOrderTest {

    private final Catalogue catalogue = CatalogueReader.shipped();

    private Jobs jobs(Build build) {
        Derivation derivation = Derivation.of(build, catalogue);
        return Jobs.of(derivation, Logbook.EMPTY, new Holds(derivation, Logbook.EMPTY), LocalDate.parse("2026-11-29"));
    }

    private static List<String> after(Jobs jobs, String id) {
        return jobs.demands(jobs.place(id)).stream()
                .map(d -> d.job() + " " + d.rule() + " " + d.text())
                .toList();
    }

    @Test
    void bolts_whose_nuts_vanish_are_torqued_before_the_part_that_hides_them() {
        Build open = wall(plain(BOLT), "Rib", Standing.CRATE, Flange.Stands.FAR, 0, along(2.3));
        assertThat(after(jobs(open), "on:Rib"))
                .contains("torque:G-1:R1:- P5 no tool of the crib reaches R1.1 once Rib is on");
        Build clear = wall(plain(BOLT), "Rib", Standing.CRATE, Flange.Stands.FAR, 0, along(3));
        assertThat(after(jobs(clear), "on:Rib")).noneMatch(d -> d.contains("torque"));
    }

    @Test
    void where_two_parts_each_leave_another_tool_the_job_comes_before_one_of_them() {
        // The wide part leaves the flat puller, the high one the long gun; together they leave nothing.
        Build build = ToolCrib.plus(plain(PULLED), Tool.Kind.PULLED_GUN, "Gun", List.of(Length.in(.5)));
        build = ToolCrib.plus(build, Tool.Kind.NOSE_EXTENSION, "Nose", List.of(Length.in(1), Length.in(.6)));
        build = ToolCrib.lacking(ToolCrib.lacking(build, Tool.Kind.HAND_PULLER), Tool.Kind.WEDGE);
        Build one = wall(build, "Low rib", Standing.CRATE, Flange.Stands.NEAR, .5, along(2.4));
        Build two = wall(one, "High rib", Standing.CRATE, Flange.Stands.NEAR, 3, along(1.45));
        assertThat(after(jobs(one), "on:Low rib")).noneMatch(d -> d.contains(" P5 "));
        List<String> low = after(jobs(two), "on:Low rib");
        List<String> high = after(jobs(two), "on:High rib");
        assertThat(List.of(low, high).stream().filter(l -> l.stream().anyMatch(d -> d.contains(" P5 "))))
                .hasSize(1);
    }

    @Test
    void work_that_no_tool_does_waits_for_one_and_says_so() {
        Build none = ToolCrib.lacking(plain(BOLT), Tool.Kind.SOCKET);
        Jobs some = jobs(none);
        assertThat(some.holds(some.place("torque:G-1:R1:-"))).isEmpty();
        Jobs held = jobs(ToolCrib.lacking(none, Tool.Kind.WRENCH));
        assertThat(held.holds(held.place("torque:G-1:R1:-")))
                .singleElement()
                .satisfies(h -> assertThat(h.text()).startsWith("there is no tool in the crib for torquing"));
        Build again = ToolCrib.notLacking(none, Tool.Kind.SOCKET);
        assertThat(ToolCrib.of(again, catalogue)).anyMatch(t -> t.kind() == Tool.Kind.SOCKET);
        assertThat(ToolCrib.of(none, catalogue)).noneMatch(t -> t.kind() == Tool.Kind.SOCKET);
    }

    // ---- under a sheet that comes later

    /** A doubler with a rivet of its own comes to lie over the row. */
    private static Build doubled() {
        Build plain = plain(Plans.FLUSH);
        Part doubler = new Part(new Id.Part(70_001), "Doubler", Material.parse("2024-T3"), 9, false);
        List<Part> parts = new ArrayList<>(plain.parts());
        parts.add(doubler);
        Layer over = new Layer(
                new Id.Layer(70_002),
                doubler.id(),
                "Doubler",
                Length.in(.032),
                Outline.rectangle(Point.in(0, 1), Point.in(20, 3)));
        Build covered =
                held(SheetEdits.addLayer(plain.withParts(parts, plain.nextId()), new Id.Face(3), 0, over), 12, 2);
        return covered.with(
                covered.faces()
                        .getFirst()
                        .face()
                        .withGroups(covered.faces().getFirst().face().groups().stream()
                                .map(g -> g.code().equals("G-1")
                                        ? g.withHoles(g.holes().under(Set.of(over.id())))
                                        : g)
                                .toList()),
                covered.nextId());
    }

    @Test
    void a_row_under_a_doubler_is_no_stack_with_it_and_comes_before_it() {
        Build under = doubled();
        var face = Derivation.of(under, catalogue).face(new Id.Face(3));
        assertThat(face.readings().getFirst().layers()).extracting(Layer::name).containsExactly("Skin", "Strip");
        assertThat(StackCheck.findings(face.face(), face.readings().getFirst()))
                .noneMatch(f -> f.rule().code().equals("proud-under-layer"));
        Jobs jobs = jobs(under);
        assertThat(after(jobs, "on:Doubler"))
                .anyMatch(d -> d.startsWith("set:G-1:R1:") && d.contains(" P4 Doubler lies over R1."));
        List<String> order = OrderOfWork.of(jobs, j -> true).steps().stream()
                .map(s -> s.job().id())
                .toList();
        int set = order.lastIndexOf(order.stream()
                .filter(id -> id.startsWith("set:G-1:R1"))
                .reduce((a, b) -> b)
                .orElseThrow());
        assertThat(set).isLessThan(order.indexOf("on:Doubler"));
        Build universal = under.with(
                under.faces()
                        .getFirst()
                        .face()
                        .withGroups(under.faces().getFirst().face().groups().stream()
                                .map(g -> g.withFastener(Plans.UNIVERSAL, ""))
                                .toList()),
                under.nextId());
        var proud = Derivation.of(universal, catalogue).face(new Id.Face(3));
        assertThat(StackCheck.findings(proud.face(), proud.readings().getFirst()))
                .anyMatch(f -> f.rule().code().equals("proud-under-layer"));
    }

    /** The doubler on dry, nothing owed at holes but their fasteners. */
    private static Build ready() {
        Build build = doubled();
        Part doubler = build.parts().stream()
                .filter(p -> p.name().equals("Doubler"))
                .findFirst()
                .orElseThrow();
        return build.with(doubler.with(Standing.DRY))
                .withRules(build.rules()
                        .with(RuleKey.HOLES_COME, "final", "test")
                        .with(RuleKey.DEBURR_MARKED, "not-marked", "test"));
    }

    @Test
    void what_a_doubler_lies_over_is_not_set_with_it_on_and_it_is_not_riveted_over_what_is_open() {
        Build build = ready();
        Derivation derivation = Derivation.of(build, catalogue);
        var face = derivation.face(new Id.Face(3));
        var buried = face.readings().getFirst();
        Guards guards = new Guards(derivation, new Id.Face(3), Logbook.EMPTY, new Holds(derivation, Logbook.EMPTY));
        assertThat(guards.setting(buried, Unit.INCH))
                .contains("R1.1 lies under Doubler, which is on: take it off first");
        Group own = build.faces().getFirst().face().groups().getLast();
        Hole hole = own.rows().getFirst().holes().getFirst();
        String wanted =
                face.of(hole.id()).orElseThrow().solution().designation().orElseThrow();
        LogCheck check = new LogCheck(derivation, Logbook.EMPTY);
        LocalDateTime now = LocalDateTime.parse("2026-11-29T20:00");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> check.accept(LogEntry.Draft.install(Plans.set(own, wanted, "", 1)), now))
                .withMessageStartingWith("Doubler comes to lie over R1.1, which is not set");
        check.accept(LogEntry.Draft.install(Plans.set(own, wanted, "they are set through its holes", 1)), now);
        Group row = build.faces().getFirst().face().groups().getFirst();
        Logbook done = Logbook.EMPTY.plus(LogEntry.Draft.install(Plans.set(row, "MS20426AD3-5", "", 1, 2, 3, 4, 5))
                .numbered(1, Instant.EPOCH));
        new LogCheck(derivation, done).accept(LogEntry.Draft.install(Plans.set(own, wanted, "", 1)), now);
    }

    @Test
    void a_temporary_bolt_is_owed_its_lasting_one_and_the_job_says_so() {
        Build build = plain(BOLT);
        Logbook held = Logbook.EMPTY.plus(List.of(new Mark(
                new Id.Hole(1002), new Id.Layer(11), Mark.Side.BOTH, Operation.TEMPORARY, Instant.EPOCH, true, "")));
        Derivation derivation = Derivation.of(build, catalogue);
        Jobs jobs = Jobs.of(derivation, held, new Holds(derivation, held), LocalDate.parse("2026-11-29"));
        assertThat(jobs.job(jobs.place("set:G-1:R1:-")).setup().words()).endsWith("temporary bolts come out: 1");
        assertThat(jobs(build).job(jobs(build).place("set:G-1:R1:-")).setup().words())
                .doesNotContain("temporary");
    }

    @Test
    void a_log_that_is_brought_in_with_a_doubler_riveted_over_open_holes_wants_a_reason() {
        Derivation derivation = Derivation.of(ready(), catalogue);
        Group own = derivation.build().faces().getFirst().face().groups().getLast();
        String wanted = derivation
                .face(new Id.Face(3))
                .of(own.rows().getFirst().holes().getFirst().id())
                .orElseThrow()
                .solution()
                .designation()
                .orElseThrow();
        Logbook over = Logbook.EMPTY.plus(
                LogEntry.Draft.install(Plans.set(own, wanted, "", 1)).numbered(1, Instant.EPOCH));
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> new BroughtLog(derivation, over).accepted(""))
                .withMessageContaining("Doubler comes to lie over R1.1, which is not set");
        assertThat(new BroughtLog(derivation, over)
                        .accepted("set through its holes")
                        .entries())
                .hasSize(1);
    }

    @Test
    void holes_are_drilled_before_what_comes_over_them_is_on_dry_and_worked_at_the_bench_meanwhile() {
        Build build = doubled().withRules(doubled().rules().with(RuleKey.HOLES_COME, "under", "test"));
        assertThat(after(jobs(build), "fit:Doubler"))
                .anyMatch(d -> d.startsWith("final:G-1:R1:") && d.contains(" P4 Doubler lies over R1."));
        Build on = ready().withRules(build.rules());
        Derivation derivation = Derivation.of(on, catalogue);
        Guards guards = new Guards(derivation, new Id.Face(3), Logbook.EMPTY, new Holds(derivation, Logbook.EMPTY));
        var hole = derivation.face(new Id.Face(3)).readings().getFirst();
        assertThat(guards.marking(Task.of(Operation.FINAL_SIZE), hole, Unit.INCH))
                .contains("R1.1 lies under Doubler, which is on: take it off first");
        assertThat(guards.marking(Task.of(Operation.DEBURRED), hole, Unit.INCH))
                .isNotEqualTo(guards.marking(Task.of(Operation.FINAL_SIZE), hole, Unit.INCH));
    }

    @Test
    void what_is_on_for_good_is_in_the_way_whatever_comes_and_the_job_says_where_nothing_gets_there() {
        Build near = ToolCrib.plus(plain(PULLED), Tool.Kind.PULLED_GUN, "Gun", List.of(Length.in(.5)));
        Build only = ToolCrib.lacking(
                ToolCrib.lacking(ToolCrib.lacking(near, Tool.Kind.HAND_PULLER), Tool.Kind.WEDGE),
                Tool.Kind.NOSE_EXTENSION);
        Build dry = wall(only, "Rib", Standing.DRY, Flange.Stands.NEAR, 0, along(2.3));
        assertThat(jobs(dry).job(jobs(dry).place("set:G-1:R1:-")).setup().words())
                .isEqualTo("Gun, 3.20 mm nose");
        Build good = wall(only, "Rib", Standing.ON, Flange.Stands.NEAR, 0, along(2.3));
        assertThat(jobs(good).job(jobs(good).place("set:G-1:R1:-")).setup().words())
                .endsWith("no tool of the crib gets there");
    }
}
