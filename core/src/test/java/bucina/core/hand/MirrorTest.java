package bucina.core.hand;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.Locker;
import bucina.core.edit.Edit;
import bucina.core.edit.HoleEdits;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Assembly;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Gaging;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.RunThrough;
import bucina.core.rule.Level;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class MirrorTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build build = Dunlin.build(catalogue.rules());
    private final Assembly first = build.assemblies().getFirst();

    private static Assembly twin(Build b) {
        return b.assemblies().getLast();
    }

    @Test
    void mirrored_twice_is_the_original() {
        assertThat(Mirror.image(Mirror.image(first))).isEqualTo(first);
        Random random = new Random(5);
        Build odd = build;
        for (int i = 0; i < 30; i++) {
            Group g = odd.faces().get(random.nextInt(4)).face().groups().getFirst();
            List<Hole> holes = g.rows().getFirst().holes();
            odd = HoleEdits.move(
                    odd,
                    Set.of(holes.get(random.nextInt(holes.size())).id()),
                    random.nextGaussian() * 1e8,
                    random.nextGaussian() * 1e8);
        }
        Assembly moved = odd.assemblies().getFirst();
        assertThat(Mirror.image(Mirror.image(moved))).isEqualTo(moved);
    }

    @Test
    void the_other_hand_is_the_mirror_image_with_every_figure_the_same() {
        Build both = Mirror.add(build, first.id());
        Assembly other = twin(both);
        assertThat(other.hand()).isEqualTo(Hand.RIGHT);
        assertThat(other.name()).isEqualTo("Stabilator, right");
        Derivation derivation = Derivation.of(both, catalogue);
        for (int f = 0; f < first.faces().size(); f++) {
            var a = derivation.face(first.faces().get(f).id()).readings();
            var b = derivation.face(other.faces().get(f).id()).readings();
            for (int i = 0; i < a.size(); i++) {
                assertThat(b.get(i).hole().at().x())
                        .isEqualTo(-a.get(i).hole().at().x() + 0.0);
                assertThat(b.get(i).solution().designation())
                        .isEqualTo(a.get(i).solution().designation());
                assertThat(b.get(i).worst()).isEqualTo(a.get(i).worst());
                for (int l = 0; l < a.get(i).layers().size(); l++) {
                    assertThat(b.get(i).edge(l).minus(a.get(i).edge(l)).abs().nanometres())
                            .isLessThan(1e-3);
                }
            }
        }
        assertThat(other.faces().getFirst().xToward()).isEqualTo("inboard");
        assertThat(both.parts()).hasSize(2 * build.parts().size());
        assertThat(both.parts().getLast().fitted()).isFalse();
    }

    @Test
    void a_bay_comes_again_on_the_other_hand_closed_by_the_parts_there() {
        Part skin = build.parts().stream()
                .filter(p -> p.name().equals("Upper skin"))
                .findFirst()
                .orElseThrow();
        Bay bay = new Bay(
                new Id.Bay(build.nextId()),
                "Nose bay",
                List.of(skin.id()),
                Set.of(),
                "line inside",
                List.of("the bolts"),
                List.of("rags"),
                Optional.of(Instant.EPOCH));
        Build both = Mirror.add(
                build.withWorkshop(
                        build.workshop().with(bay).with(horn(bay)).with(line(bay, skin)), build.nextId() + 3),
                first.id());
        assertThat(both.workshop().bays()).hasSize(2);
        Bay other = both.workshop().bays().getLast();
        Id.Part closer = other.closers().getFirst();
        assertThat(closer).isNotEqualTo(skin.id());
        assertThat(twin(both).faces().getFirst().layers())
                .anyMatch(l -> l.part().equals(closer));
        assertThat(other.notes()).isEqualTo("line inside");
        assertThat(other.name()).isNotEqualTo(bay.name());
        asked(both, other, closer);
    }

    private static Gaging horn(Bay bay) {
        return new Gaging(
                new Id.Gaging(bay.id().n() + 1),
                "Horn to skin",
                Gaging.Kind.CLEARANCE,
                Gaging.In.LENGTH,
                Optional.empty(),
                Optional.of(3e6),
                Optional.empty(),
                Optional.of(bay.id()),
                "");
    }

    private static RunThrough line(Bay bay, Part skin) {
        return new RunThrough(
                new Id.Run(bay.id().n() + 2),
                "Line",
                RunThrough.Kind.TUBE,
                Length.in(.25),
                Hand.LEFT,
                Optional.of(bay.id()),
                List.of(new RunThrough.Station(skin.id(), Length.in(.5), Optional.of(Length.in(.375)), true)),
                "",
                true,
                "");
    }

    private static void asked(Build both, Bay other, Id.Part closer) {
        assertThat(other.photos()).containsExactly("the bolts");
        assertThat(other.loose()).containsExactly("rags");
        // Nothing of it was ever signed, nor is anything fitted there yet.
        assertThat(other.opened()).isEmpty();
        assertThat(both.workshop().gagings()).hasSize(2);
        assertThat(both.workshop().gagings().getLast().bay()).contains(other.id());
        RunThrough there = both.workshop().runs().getLast();
        assertThat(both.workshop().runs()).hasSize(2);
        assertThat(there.hand()).isEqualTo(Hand.RIGHT);
        assertThat(there.string()).isFalse();
        assertThat(there.stations())
                .singleElement()
                .isEqualTo(new RunThrough.Station(closer, Length.in(.5), Optional.of(Length.in(.375)), false));
    }

    @Test
    void a_row_under_a_sheet_lies_under_its_like_on_the_other_hand_and_that_is_no_difference() {
        Face face = first.faces().getFirst();
        Group group = face.groups().getFirst();
        Build under = Edit.group(
                build,
                group.id(),
                g -> g.withHoles(g.holes().under(Set.of(face.layers().getFirst().id()))));
        Build both = Mirror.add(under, first.id());
        Id.Layer lid = twin(both)
                .faces()
                .getFirst()
                .groups()
                .getFirst()
                .holes()
                .under()
                .iterator()
                .next();
        assertThat(lid)
                .isEqualTo(twin(both).faces().getFirst().layers().getFirst().id());
        assertThat(Hands.differences(both, twin(both))).isEmpty();
        Build other = Edit.group(both, group.id(), g -> g.withHoles(g.holes().under(Set.of())));
        assertThat(Hands.differences(other, twin(other))).isNotEmpty();
    }

    @Test
    void arcs_bend_the_other_way() {
        Corner arc = first.faces()
                .getFirst()
                .layers()
                .getFirst()
                .outline()
                .outer()
                .corners()
                .get(1);
        Corner image = Mirror.image(first)
                .faces()
                .getFirst()
                .layers()
                .getFirst()
                .outline()
                .outer()
                .corners()
                .get(1);
        assertThat(image.bulge()).isEqualTo(-arc.bulge()).isNotZero();
    }

    @Test
    void a_later_change_of_the_first_hand_is_offered_and_taken_over() {
        Build both = Mirror.add(build, first.id());
        assertThat(Hands.differences(both, twin(both))).isEmpty();
        Group ribs = both.group("US-4").orElseThrow().group();
        Hole hole = ribs.rows().getFirst().holes().getFirst();
        Build moved = HoleEdits.move(both, Set.of(hole.id()), 2e6, 1e6);
        moved = HoleEdits.add(
                moved,
                ribs.rows().getFirst().id(),
                new Point(hole.at().x(), hole.at().y() + 9e6));
        assertThat(Hands.differences(moved, twin(moved)))
                .extracting(Hands.Difference::words)
                .anyMatch(w -> w.contains("off the mirror image"))
                .anyMatch(w -> w.contains("lacks hole"));
        Build taken = Hands.takeOver(moved, twin(moved).id()).checked();
        assertThat(Hands.differences(taken, twin(taken))).isEmpty();
        assertThat(taken.group("US-4R").orElseThrow().group().count()).isEqualTo(ribs.count() + 1);
    }

    @Test
    void a_named_exception_stays_when_the_rest_is_brought_in_line() {
        Build both = Mirror.add(build, first.id());
        Group twinRibs = both.group("US-4R").orElseThrow().group();
        Hole own = twinRibs.rows().getFirst().holes().getFirst();
        Build odd = HoleEdits.move(both, Set.of(own.id()), 3e6, 0);
        odd = HoleEdits.add(odd, twinRibs.rows().get(1).id(), own.at());
        Hole extra = odd.group("US-4R").orElseThrow().group().rows().get(1).holes().stream()
                .filter(h -> h.at().equals(own.at()))
                .findFirst()
                .orElseThrow();
        odd = Hands.except(odd, twin(odd).id(), extra.id(), "probe on this side");
        assertThat(Hands.differences(odd, twin(odd)).stream()
                        .filter(d -> d.exception().isEmpty()))
                .hasSize(1);
        Build taken = Hands.takeOver(odd, twin(odd).id()).checked();
        assertThat(Hands.differences(taken, twin(taken))).singleElement().satisfies(d -> {
            assertThat(d.exception()).contains("probe on this side");
            assertThat(d.words()).contains("on this hand only");
        });
        assertThatThrownBy(() -> Hands.except(both, twin(both).id(), own.id(), " "))
                .isInstanceOf(InputException.class);
    }

    @Test
    void a_hole_left_out_on_purpose_is_not_brought_back_and_a_sheet_of_another_gauge_stays() {
        Build both = Mirror.add(build, first.id());
        Group twinRibs = both.group("US-4R").orElseThrow().group();
        Build odd = HoleEdits.delete(
                both, Set.of(twinRibs.rows().getFirst().holes().getFirst().id()));
        Id missing = Hands.differences(odd, twin(odd)).getFirst().subject();
        odd = Hands.except(odd, twin(odd).id(), missing, "no hole under the antenna");
        var layer = twin(odd).faces().getFirst().layers().get(2);
        odd = Edit.layer(odd, layer.id(), l -> l.withThickness(Length.in(.071)));
        odd = Hands.except(odd, twin(odd).id(), layer.id(), "thicker here");
        Build taken = Hands.takeOver(odd, twin(odd).id()).checked();
        assertThat(taken.group("US-4R").orElseThrow().group().count()).isEqualTo(twinRibs.count() - 1);
        assertThat(twin(taken).faces().getFirst().layers().get(2).thickness()).isEqualTo(Length.in(.071));
    }

    @Test
    void what_has_no_hand_or_has_both_is_refused() {
        Build locker = Locker.build(catalogue.rules());
        assertThatThrownBy(
                        () -> Mirror.add(locker, locker.assemblies().getFirst().id()))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("no hand");
        Build both = Mirror.add(build, first.id());
        assertThatThrownBy(() -> Mirror.add(both, first.id())).hasMessageContaining("already");
        assertThat(Derivation.of(both, catalogue).findings(() -> false).stream().filter(f -> f.level() == Level.ERROR))
                .hasSize(10);
    }
}
