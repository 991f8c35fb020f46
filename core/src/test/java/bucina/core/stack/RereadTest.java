package bucina.core.stack;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.HoleEdits;
import bucina.core.measure.Length;
import bucina.core.plan.Acceptance;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Zone;
import bucina.core.rule.RuleCode;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * How many holes are read again after a change. The row of {@link Plans} has 19 holes, an inch apart; a hole of 1/8
 * reaches under an inch.
 */
class RereadTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Id.Face FACE = new Id.Face(3);

    private static int again(Build before, Build after) {
        return Derivation.of(before, CATALOGUE).after(after).face(FACE).workedOut();
    }

    @Test
    void a_hole_that_moves_takes_only_what_is_beside_it_along() {
        Build build = Plans.build(8.5);
        // R1.10 from x 10 to 10.8: it, and R1.11 beside its new place; nothing is within reach of the old one.
        int moved = again(
                build,
                HoleEdits.move(build, Set.of(new Id.Hole(1010)), Length.in(.8).nanometres(), 0));
        assertThat(moved).isEqualTo(2);
    }

    @Test
    void the_readings_know_the_row_and_group_as_they_are_now() {
        Build build = Plans.build(8.5);
        Build moved =
                HoleEdits.move(build, Set.of(new Id.Hole(1019)), Length.in(.1).nanometres(), 0);
        HoleReading first =
                Derivation.of(build, CATALOGUE).after(moved).face(FACE).reading(0);
        assertThat(first.row().holes().getLast().at().x())
                .isEqualTo(Length.in(19.1).nanometres());
        assertThat(first.group().rows()).containsExactly(first.row());
    }

    private static Zone zone(long id, double from, double to) {
        return new Zone(
                new Id.Zone(id),
                "Zone " + id,
                Zone.Kind.KEEP_OUT,
                Outline.rectangle(Point.in(from, 1.9), Point.in(to, 2.1)),
                Length.ZERO);
    }

    @Test
    void a_zone_that_comes_or_goes_takes_only_its_own_holes_along_whatever_other_zones_there_are() {
        Face face = Plans.build(8.5).face("Top").orElseThrow().face();
        Build none = Plans.build(face);
        Build one = Plans.build(face.withZones(List.of(zone(90, 1.9, 3.1))));
        Build two = Plans.build(face.withZones(List.of(zone(90, 1.9, 3.1), zone(91, 11.9, 14.1))));
        assertThat(again(none, one)).isEqualTo(2);
        assertThat(again(one, two)).isEqualTo(3);
        assertThat(again(two, one)).isEqualTo(3);
        assertThat(again(one, none)).isEqualTo(2);
        Derivation gone = Derivation.of(two, CATALOGUE).after(one);
        assertThat(gone.face(FACE).readings())
                .filteredOn(r -> r.worst().isPresent())
                .extracting(HoleReading::label)
                .containsExactly("R1.2", "R1.3");
    }

    @Test
    void what_is_accepted_about_one_hole_takes_that_hole_along() {
        Build build = Plans.build(8.5);
        Build first = accepting(build, 1002);
        assertThat(again(build, first)).isEqualTo(1);
        assertThat(again(first, accepting(first, 1005))).isEqualTo(1);
        assertThat(again(first, build)).isEqualTo(1);
    }

    private static Build accepting(Build build, long hole) {
        Acceptance a = new Acceptance(
                new Id.Acceptance(build.nextId()),
                new Id.Hole(hole),
                RuleCode.PITCH_LEAST,
                "",
                Optional.of(Length.in(.3)),
                Optional.of(Length.in(.375)),
                "so drawn",
                "T. Lind",
                LocalDate.of(2026, 11, 2));
        return build.withPapers(build.papers().with(a), build.nextId() + 1);
    }

    @Test
    void readings_that_differ_in_anything_are_not_the_same() {
        FaceReading long1 = Derivation.of(Plans.build(8.5), CATALOGUE).face(FACE);
        FaceReading short1 = Derivation.of(Plans.build(8.2), CATALOGUE).face(FACE);
        assertThat(long1.reading(0).same(long1.reading(0))).isTrue();
        assertThat(long1.reading(0).same(long1.reading(1))).isFalse();
        // The doubler ends at another place: hole 7 has the same stack in the same sheets with another edge.
        assertThat(long1.reading(7).same(short1.reading(7))).isFalse();
        FaceReading accepted =
                Derivation.of(accepting(Plans.build(8.5), 1002), CATALOGUE).face(FACE);
        assertThat(long1.reading(1).same(accepted.reading(1))).isFalse();
    }

    @Test
    void the_nearest_edge_is_that_of_the_first_sheet_that_has_it() {
        // Skin 0 to 4, flange 1.5 to 2.5, hole at y 2: 2 in and .5 in. Turned round the flange is first.
        FaceReading read = Derivation.of(Plans.build(8.5), CATALOGUE).face(FACE);
        assertThat(read.reading(10).nearestEdge()).contains(1);
        Face face = Plans.face(
                List.of(
                        Plans.layer(11, "Flange", .04, 0, 1.5, 20, 2.5),
                        Plans.layer(12, "Skin", .032, 0, 0, 20, 4),
                        Plans.layer(13, "Strap", .032, 0, 1.5, 20, 2.5)),
                List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(Plans.row(1000, "R1", 2, 9)))));
        FaceReading turned = Derivation.of(Plans.build(face), CATALOGUE).face(FACE);
        assertThat(turned.reading(4).nearestEdge()).contains(0);
    }
}
