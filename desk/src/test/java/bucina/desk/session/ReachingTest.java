package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.DunlinHistory;
import bucina.core.demo.Locker;
import bucina.core.edit.Edit;
import bucina.core.log.Logbook;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.IndexMark;
import bucina.core.plan.Layer;
import bucina.core.plan.Tool;
import bucina.core.reach.Reach;
import bucina.core.reach.ToolCrib;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.state.Snapshot;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What the sheet shows of reach, and what is to be noted before taking apart. */
class ReachingTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build build = Dunlin.build(catalogue.rules());

    private static Reaching reaching(Build build, Catalogue catalogue, String face, Reach.Work work) {
        FaceReading reading = Derivation.of(build, catalogue)
                .face(build.face(face).orElseThrow().face().id());
        return Reaching.of(reading, build, Reach.of(reading, build, ToolCrib.of(build, catalogue)), work)
                .orElseThrow();
    }

    private static long all(Reaching r) {
        return r.count(Reaching.Way.USUAL) + r.count(Reaching.Way.OTHER) + r.count(Reaching.Way.NONE);
    }

    @Test
    void every_hole_that_wants_the_work_is_got_at_in_one_way() {
        for (Build.FaceRef ref : build.faces()) {
            for (Reach.Work work : Reach.Work.values()) {
                Reaching r = reaching(build, catalogue, ref.face().name(), work);
                assertThat(all(r)).isEqualTo(r.holes().size());
                assertThat(r.works()).contains(r.work(), r.next());
            }
        }
        // Upper skin: 267 holes all set, 68 countersunk.
        assertThat(reaching(build, catalogue, "Upper skin", Reach.Work.SQUEEZE).holes())
                .hasSize(267);
        assertThat(reaching(build, catalogue, "Upper skin", Reach.Work.COUNTERSINK)
                        .holes())
                .hasSize(68);
        // Work that no hole of the face wants gives the first that one wants.
        assertThat(reaching(build, catalogue, "Main spar web", Reach.Work.DIMPLE)
                        .work())
                .isEqualTo(Reach.Work.SQUEEZE);
    }

    /**
     * The cage wants .5 in of sheet; the flange of the spar ends .47 from its row: a cage of .4 does all but what the
     * cuff's edge takes.
     */
    @Test
    void a_smaller_cage_reaches_what_the_typical_one_does_not() {
        Reaching typical = reaching(build, catalogue, "Upper skin", Reach.Work.COUNTERSINK);
        assertThat(typical.count(Reaching.Way.USUAL)).isZero();
        Reaching own = reaching(
                ToolCrib.plus(build, Tool.Kind.STOP_CAGE, "Small cage", List.of(Length.in(.4))),
                catalogue,
                "Upper skin",
                Reach.Work.COUNTERSINK);
        assertThat(own.count(Reaching.Way.USUAL)).isGreaterThan(30);
        Reaching less = reaching(
                ToolCrib.plus(build, Tool.Kind.STOP_CAGE, "Small cage", List.of(Length.in(.3))),
                catalogue,
                "Upper skin",
                Reach.Work.COUNTERSINK);
        assertThat(less.count(Reaching.Way.USUAL)).isGreaterThanOrEqualTo(own.count(Reaching.Way.USUAL));
    }

    @Test
    void a_flange_that_stands_up_is_in_the_way_once_its_part_is_in_place() {
        Layer rib = build.face("Upper skin").orElseThrow().face().layers().stream()
                .filter(l -> l.name().equals("Main rib 6 flange"))
                .findFirst()
                .orElseThrow();
        double x = rib.outline().box().minX() + 2e6;
        Segment bend = new Segment(
                new Point(x, rib.outline().box().minY()),
                new Point(x, rib.outline().box().maxY()));
        Build bent = Edit.layer(
                build, rib.id(), l -> new Layer(l.id(), l.part(), l.name(), l.thickness(), l.outline(), List.of(bend)));
        Reaching before = reaching(build, catalogue, "Upper skin", Reach.Work.DIMPLE);
        Reaching after = reaching(bent, catalogue, "Upper skin", Reach.Work.DIMPLE);
        assertThat(after.flanges()).containsExactly(bend);
        assertThat(after.count(Reaching.Way.USUAL)).isLessThan(before.count(Reaching.Way.USUAL));
        Build off = bent.with(bent.part(rib.part()).withFitted(false));
        assertThat(reaching(off, catalogue, "Upper skin", Reach.Work.DIMPLE).count(Reaching.Way.USUAL))
                .isEqualTo(before.count(Reaching.Way.USUAL));
        assertThat(reaching(off, catalogue, "Upper skin", Reach.Work.DIMPLE).flanges())
                .isEmpty();
        var hole =
                Derivation.of(bent, catalogue)
                        .face(bent.face("Upper skin").orElseThrow().face().id())
                        .readings()
                        .stream()
                        .filter(r -> r.label().equals("R18.3"))
                        .findFirst()
                        .orElseThrow();
        assertThat(after.words(hole, Unit.INCH))
                .startsWith("R18.3, dimpled: ")
                .contains("needs .400 in clear; the flange of Main rib 6 flange is");
    }

    @Test
    void pulled_rivets_of_the_locker_are_reached_in_millimetres() {
        Build locker = Locker.build(catalogue.rules());
        Reaching pull = reaching(locker, catalogue, "Locker floor", Reach.Work.PULL);
        assertThat(pull.holes()).isNotEmpty();
        assertThat(all(pull)).isEqualTo(pull.holes().size());
    }

    @Test
    void what_is_riveted_is_not_asked_for_and_what_did_not_change_is_not_worked_out_again() {
        Derivation derivation = Derivation.of(build, catalogue);
        Snapshot fresh = Snapshot.of(derivation, Logbook.EMPTY);
        Apart none = Apart.of(fresh, build.assemblies().getFirst(), Optional.empty());
        assertThat(none.ambiguous()).hasSizeGreaterThan(20);
        assertThat(none.checks()).hasSize(8);
        Snapshot built = Snapshot.of(derivation, DunlinHistory.of(derivation));
        Apart some = Apart.of(built, build.assemblies().getFirst(), Optional.of(none));
        assertThat(some.every()).isSameAs(none.every());
        assertThat(some.ambiguous()).extracting(o -> o.part().name()).containsExactly("Hinge plate");
        assertThat(some.reminder(build.workshop()))
                .contains("Before taking apart: 1 part goes back more than one way and has no index mark; 7 readings "
                        + "are not taken.");
        Build marked = build.withWorkshop(
                build.workshop()
                        .with(new IndexMark(
                                new Id.Index(build.nextId()),
                                some.ambiguous().getFirst().part().id(),
                                "HINGE",
                                Instant.EPOCH)),
                build.nextId() + 1);
        assertThat(some.unmarked(marked.workshop())).isEmpty();
        assertThat(some.reminder(marked.workshop())).contains("Before taking apart: 7 readings are not taken.");
        assertThat(Apart.of(fresh, build.assemblies().getFirst(), Optional.of(some))
                        .every())
                .isSameAs(none.every());
    }
}
