package bucina.core.bulletin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.callout.Callout;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.DunlinHistory;
import bucina.core.edit.Edit;
import bucina.core.edit.HoleEdits;
import bucina.core.log.Logbook;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Bulletin;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

class BulletinsTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build plain = Dunlin.build(catalogue.rules());
    private final Build begun = Bulletins.begin(plain, "SL 31-02", LocalDate.of(2026, 11, 20));
    private final Id.Bulletin id = begun.papers().bulletins().getFirst().id();

    private Build recorded(Build build, UnaryOperator<Build> edit) {
        return Bulletins.recorded(build, edit.apply(build), id).checked();
    }

    private static UnaryOperator<Build> callout(String code, String text) {
        return b -> Edit.group(
                b,
                b.group(code).orElseThrow().group().id(),
                g -> g.withFastener(Callout.parse(text).fastener(), text));
    }

    @Test
    void old_and_new_callout_stand_side_by_side() {
        Build changed = recorded(begun, callout("LS-7", "20× MS20426AD4"));
        Review review = Review.of(
                Bulletins.of(changed, id), Derivation.of(changed, catalogue), Logbook.of(List.of(), List.of()));
        assertThat(review.lines())
                .containsExactly(
                        new Review.Line("LS-7 rivet", "MS20426AD3", "MS20426AD4"),
                        new Review.Line("LS-7 callout", "20x MS20426AD3-3.5", "20× MS20426AD4"));
    }

    @Test
    void what_was_installed_under_the_old_value_is_listed() {
        Derivation before = Derivation.of(plain, catalogue);
        Logbook log = DunlinHistory.of(before);
        Build changed = recorded(begun, callout("LS-7", "20× MS20426AD4"));
        Review review = Review.of(Bulletins.of(changed, id), Derivation.of(changed, catalogue), log);
        assertThat(review.installed()).hasSize(20).allSatisfy(i -> {
            assertThat(i.used()).isEqualTo("MS20426AD3-3.5");
            assertThat(i.now()).startsWith("MS20426AD4");
        });
        Build untouched = recorded(begun, callout("US-7", "12× MS20426AD4"));
        assertThat(Review.of(Bulletins.of(untouched, id), Derivation.of(untouched, catalogue), log)
                        .installed())
                .isEmpty();
    }

    @Test
    void a_hole_that_was_set_and_goes_is_listed_too() {
        Derivation before = Derivation.of(plain, catalogue);
        Hole gone = plain.group("LS-7")
                .orElseThrow()
                .group()
                .rows()
                .getFirst()
                .holes()
                .getFirst();
        Build changed = recorded(begun, b -> HoleEdits.delete(b, Set.of(gone.id())));
        Review review =
                Review.of(Bulletins.of(changed, id), Derivation.of(changed, catalogue), DunlinHistory.of(before));
        assertThat(review.installed())
                .singleElement()
                .satisfies(i -> assertThat(i.now()).isEqualTo("no hole"));
    }

    @Test
    void switched_off_the_plan_is_as_before_and_on_again_as_the_bulletin_has_it() {
        Build changed = recorded(
                recorded(
                        recorded(begun, callout("LS-7", "20× MS20426AD4")),
                        b -> HoleEdits.delete(
                                b,
                                Set.of(new Id.Hole(b.group("US-7")
                                        .orElseThrow()
                                        .group()
                                        .rows()
                                        .getFirst()
                                        .holes()
                                        .getFirst()
                                        .id()
                                        .n())))),
                b -> {
                    Layer skin =
                            b.face("Upper skin").orElseThrow().face().layers().get(1);
                    return Edit.layer(b, skin.id(), l -> l.withThickness(Length.in(.032)));
                });
        Build off = Bulletins.switched(changed, id).checked();
        assertThat(off.assemblies()).isEqualTo(plain.assemblies());
        assertThat(off.parts()).isEqualTo(plain.parts());
        assertThat(Bulletins.of(off, id).inForce()).isFalse();
        Build on = Bulletins.switched(off, id).checked();
        assertThat(on.assemblies()).isEqualTo(changed.assemblies());
        assertThat(Bulletins.of(on, id)).isEqualTo(Bulletins.of(changed, id));
    }

    @Test
    void random_edits_switched_off_and_on_lose_nothing() {
        Random random = new Random(3);
        for (int round = 0; round < 20; round++) {
            Build b = begun;
            for (int i = 0; i < 8; i++) {
                b = recorded(b, edit(b, random));
            }
            Build off = Bulletins.switched(b, id).checked();
            assertThat(off.assemblies()).isEqualTo(plain.assemblies());
            assertThat(Bulletins.switched(off, id).checked().assemblies()).isEqualTo(b.assemblies());
        }
    }

    private static UnaryOperator<Build> edit(Build b, Random random) {
        Group group = b.faces().get(0).face().groups().get(random.nextInt(6));
        var row = group.rows().get(random.nextInt(group.rows().size()));
        Hole hole = row.holes().get(random.nextInt(row.holes().size()));
        return switch (random.nextInt(5)) {
            case 0 -> x -> HoleEdits.move(x, Set.of(hole.id()), 1e6, 2e6);
            case 1 ->
                x -> HoleEdits.add(
                        x, row.id(), new Point(hole.at().x() + 3e6, hole.at().y()));
            case 2 ->
                x -> HoleEdits.addRow(
                        x,
                        group.id(),
                        List.of(hole.at(), new Point(hole.at().x(), hole.at().y() + 9e6)));
            case 3 -> x -> Edit.group(x, group.id(), g -> g.withHeadFar(!g.headFar()));
            default ->
                x -> Edit.layer(
                        x,
                        x.faces().get(0).face().layers().get(2).id(),
                        l -> l.withThickness(Length.in(.02 + random.nextInt(50) / 1000.0)));
        };
    }

    @Test
    void an_edit_taken_back_while_it_is_written_leaves_no_change() {
        Build there = recorded(begun, callout("LS-7", "20× MS20426AD4"));
        Build back = recorded(there, callout("LS-7", "20x MS20426AD3-3.5"));
        assertThat(Bulletins.of(back, id).changes()).isEmpty();
    }

    @Test
    void a_bulletin_needs_a_name_of_its_own() {
        assertThatThrownBy(() -> Bulletins.begin(plain, " ", LocalDate.EPOCH))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("name");
        assertThatThrownBy(() -> Bulletins.begin(begun, "sl 31-02", LocalDate.EPOCH))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("already");
        Bulletin bulletin = Bulletins.of(begun, id);
        assertThat(bulletin.inForce()).isTrue();
    }
}
