package bucina.core.reach;

import static bucina.core.reach.AccessPlans.BOLT;
import static bucina.core.reach.AccessPlans.PULLED;
import static bucina.core.reach.AccessPlans.along;
import static bucina.core.reach.AccessPlans.plain;
import static bucina.core.reach.AccessPlans.wall;
import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.SheetEdits;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Flange;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.plan.Tool;
import bucina.core.plan.Zone;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * A row of five holes an inch apart along y = 2 through a skin and a strip; beside them parts of their own that stand
 * up. What gets in was measured by hand.
 */
class AccessTest {

    private final Catalogue catalogue = CatalogueReader.shipped();

    private static Tool tool(Tool.Kind kind, double... sizes) {
        return new Tool(
                new Id.Tool(1),
                kind,
                kind.code(),
                Arrays.stream(sizes).mapToObj(Length::in).toList());
    }

    private static Build near(Build build, double y) {
        return wall(build, "Rib at " + y, Standing.DRY, Flange.Stands.NEAR, 0, along(y));
    }

    private static Build far(Build build, double y) {
        return wall(build, "Rib at " + y, Standing.DRY, Flange.Stands.FAR, 0, along(y));
    }

    private static Build turned(Build build) {
        return build.with(
                build.faces()
                        .getFirst()
                        .face()
                        .withGroups(build.faces().getFirst().face().groups().stream()
                                .map(g -> g.withHeadFar(true))
                                .toList()),
                build.nextId());
    }

    private Reach reach(Build build, Logbook log, Reach.Work work, Tool... crib) {
        return Reach.of(
                        Derivation.of(build, catalogue).face(new Id.Face(3)),
                        build,
                        List.of(crib),
                        ToolCrib.typical(catalogue),
                        log)
                .stream()
                .filter(r -> r.work() == work && r.hole().label().equals("R1.3"))
                .findFirst()
                .orElseThrow();
    }

    private boolean gets(Build build, Reach.Work work, Tool tool) {
        return !reach(build, Logbook.EMPTY, work, tool).tools().isEmpty();
    }

    private String why(Build build, Reach.Work work, Tool tool) {
        return reach(build, Logbook.EMPTY, work, tool)
                .blocked()
                .getFirst()
                .why()
                .in(Unit.INCH);
    }

    // ---- sides

    @Test
    void a_gun_on_the_head_side_minds_what_stands_there_and_nothing_behind() {
        Tool gun = tool(Tool.Kind.PULLED_GUN, .5);
        assertThat(gets(near(plain(PULLED), 2.4), Reach.Work.PULL, gun)).isFalse();
        assertThat(gets(near(plain(PULLED), 2.5), Reach.Work.PULL, gun)).isTrue();
        assertThat(gets(far(plain(PULLED), 2.4), Reach.Work.PULL, gun)).isTrue();
        assertThat(gets(turned(far(plain(PULLED), 2.4)), Reach.Work.PULL, gun)).isFalse();
        assertThat(gets(turned(near(plain(PULLED), 2.4)), Reach.Work.PULL, gun)).isTrue();
        Build unsaid = wall(plain(PULLED), "Rib", Standing.DRY, Flange.Stands.UNSAID, 0, along(2.4));
        assertThat(gets(unsaid, Reach.Work.PULL, gun)).isFalse();
        // Gun and bar want both sides.
        Tool bar = tool(Tool.Kind.GUN_AND_BAR, .5);
        assertThat(gets(far(plain(Plans.UNIVERSAL), 2.4), Reach.Work.SQUEEZE, bar))
                .isFalse();
        assertThat(gets(near(plain(Plans.UNIVERSAL), 2.4), Reach.Work.SQUEEZE, bar))
                .isFalse();
    }

    @Test
    void what_stands_behind_under_the_name_of_a_part_is_there_only_while_the_part_is() {
        Build rib = wall(plain(Plans.UNIVERSAL), "Bracket", Standing.OFF, Flange.Stands.FAR, 0, along(7));
        Zone zone = new Zone(
                new Id.Zone(rib.nextId()),
                "bracket",
                Zone.Kind.BEHIND,
                Outline.rectangle(Point.in(2.5, 1.5), Point.in(3.5, 2.5)),
                Length.ZERO);
        Build off = SheetEdits.zone(rib, new Id.Face(3), zone);
        Part bracket = off.parts().getLast();
        Build on = off.with(bracket.with(Standing.DRY));
        Tool yoke = tool(Tool.Kind.YOKE, 3, .25);
        assertThat(gets(off, Reach.Work.SQUEEZE, yoke)).isTrue();
        assertThat(gets(on, Reach.Work.SQUEEZE, yoke)).isFalse();
        assertThat(reach(on, Logbook.EMPTY, Reach.Work.SQUEEZE, yoke).waysOut()).contains("With Bracket off: yoke.");
    }

    // ---- bolts

    @Test
    void a_wrench_swings_thirty_degrees_or_does_not_fit() {
        // Handle 4 in long, .2 in to each side: between walls .6 in away it swings asin(.4/4) = 5.7 degrees either way.
        Tool wrench = tool(Tool.Kind.WRENCH, .2, 4, .4);
        Build channel = far(far(plain(BOLT), 1.4), 2.6);
        assertThat(gets(channel, Reach.Work.TURN, wrench)).isFalse();
        assertThat(why(channel, Reach.Work.TURN, wrench))
                .startsWith("wrench is 4.000 in long and finds no 30° free to swing; the flange of Rib at ")
                .endsWith(" is .600 in away.");
        // One wall leaves half a turn; a stub of 1.2 in swings asin(.4/1.2) = 19 degrees either way.
        assertThat(gets(far(plain(BOLT), 1.4), Reach.Work.TURN, wrench)).isTrue();
        assertThat(gets(channel, Reach.Work.TURN, tool(Tool.Kind.WRENCH, .2, 1.2, .4)))
                .isTrue();
        assertThat(gets(far(plain(BOLT), 2.3), Reach.Work.TURN, wrench)).isFalse();
        // The nut is on the far side: what stands on the near one leaves it alone.
        assertThat(gets(near(near(plain(BOLT), 1.4), 2.6), Reach.Work.TURN, wrench))
                .isTrue();
        assertThat(reach(channel, Logbook.EMPTY, Reach.Work.TURN, wrench).waysOut())
                .contains("Turning the other end of the bolt: wrench.");
    }

    @Test
    void a_socket_stands_under_what_is_farther_off_than_it_is_long() {
        Tool socket = tool(Tool.Kind.SOCKET, 1.5, .4);
        Outline box = Outline.rectangle(Point.in(2.5, 1.5), Point.in(3.5, 2.5));
        for (double room : new double[] {1.4, 1.5}) {
            Build under = SheetEdits.zone(
                    plain(BOLT),
                    new Id.Face(3),
                    new Zone(new Id.Zone(90_000), "Tube", Zone.Kind.BEHIND, box, Length.in(room)));
            assertThat(gets(under, Reach.Work.TURN, socket)).isEqualTo(room == 1.5);
        }
        assertThat(gets(far(plain(BOLT), 2.39), Reach.Work.TURN, socket)).isFalse();
        assertThat(gets(far(plain(BOLT), 2.4), Reach.Work.TURN, socket)).isTrue();
    }

    // ---- noses and wedges

    @Test
    void a_nose_extension_passes_a_flange_that_is_lower_than_it_is_long() {
        Tool nose = tool(Tool.Kind.NOSE_EXTENSION, 2, .2);
        for (double high : new double[] {1.9, 2.1}) {
            Build build = wall(plain(PULLED), "Rib", Standing.DRY, Flange.Stands.NEAR, high, along(2.1));
            assertThat(gets(build, Reach.Work.PULL, nose)).isEqualTo(high < 2);
        }
        Build unsaid = wall(plain(PULLED), "Rib", Standing.DRY, Flange.Stands.NEAR, 0, along(2.1));
        assertThat(why(unsaid, Reach.Work.PULL, nose)).contains("Say how high it stands");
    }

    @Test
    void a_gun_on_a_wedge_leans_away_from_one_wall_and_not_between_two() {
        Tool wedge = tool(Tool.Kind.WEDGE, .9, .2);
        assertThat(gets(near(plain(PULLED), 2.25), Reach.Work.PULL, wedge)).isTrue();
        assertThat(gets(near(plain(PULLED), 2.19), Reach.Work.PULL, wedge)).isFalse();
        // Leaning along the walls it is .6 in wide at .6 in from the hole.
        assertThat(gets(near(near(plain(PULLED), 2.25), 1.75), Reach.Work.PULL, wedge))
                .isFalse();
        assertThat(gets(near(near(plain(PULLED), 2.31), 1.69), Reach.Work.PULL, wedge))
                .isTrue();
    }

    // ---- back-riveting

    private static Logbook set(Group group, int hole) {
        return Logbook.EMPTY.plus(LogEntry.Draft.install(Plans.set(group, "MS20470AD4-6", "", hole))
                .numbered(1, Instant.EPOCH));
    }

    @Test
    void a_back_rivet_plate_lies_flat_under_flush_heads_and_the_set_comes_from_behind() {
        Tool back = tool(Tool.Kind.BACK_RIVET, 1, .3);
        assertThat(gets(plain(Plans.FLUSH), Reach.Work.SQUEEZE, back)).isTrue();
        assertThat(gets(near(plain(Plans.FLUSH), 2.9), Reach.Work.SQUEEZE, back))
                .isFalse();
        assertThat(gets(near(plain(Plans.FLUSH), 3), Reach.Work.SQUEEZE, back)).isTrue();
        assertThat(gets(far(plain(Plans.FLUSH), 2.3), Reach.Work.SQUEEZE, back)).isTrue();
        assertThat(gets(far(plain(Plans.FLUSH), 2.29), Reach.Work.SQUEEZE, back))
                .isFalse();
        Reach universal = reach(plain(Plans.UNIVERSAL), Logbook.EMPTY, Reach.Work.SQUEEZE, back);
        assertThat(universal.tools()).isEmpty();
        assertThat(universal.blocked()).isEmpty();
    }

    @Test
    void a_head_that_is_set_and_stands_up_keeps_the_plate_off() {
        Build plain = plain(Plans.FLUSH);
        Group other = Plans.group(30, "G-2", Plans.UNIVERSAL, List.of(Plans.row(2000, "R2", 2.5, 5)));
        Build two = plain.with(plain.faces().getFirst().face().plus(other), plain.nextId());
        Tool back = tool(Tool.Kind.BACK_RIVET, .4, .3);
        assertThat(reach(two, Logbook.EMPTY, Reach.Work.SQUEEZE, back).tools()).hasSize(1);
        // Its head is an eighth to each side of a point half an inch off: .375 in away.
        Reach blocked = reach(two, set(other, 3), Reach.Work.SQUEEZE, back);
        assertThat(blocked.tools()).isEmpty();
        assertThat(blocked.blocked().getFirst().why().in(Unit.INCH)).contains("the head of R2.3 is .375 in away");
        assertThat(reach(two, set(other, 1), Reach.Work.SQUEEZE, back).tools()).hasSize(1);
    }

    // ---- what would let one in

    @Test
    void the_other_side_and_another_tool_are_proposed_where_they_would_do() {
        Reach none = reach(near(plain(PULLED), 2.3), Logbook.EMPTY, Reach.Work.PULL, tool(Tool.Kind.PULLED_GUN, .5));
        assertThat(none.waysOut())
                .containsExactly(
                        "With Rib at 2.3 off: pulled-gun.",
                        "From the other side, heads of G-1 turned: pulled-gun.",
                        "Another tool: Hand puller with long nose, such as others have it.");
        assertThat(reach(plain(PULLED), Logbook.EMPTY, Reach.Work.PULL, tool(Tool.Kind.PULLED_GUN, .5))
                        .waysOut())
                .isEmpty();
    }
}
