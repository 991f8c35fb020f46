package bucina.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.Plans;
import bucina.core.dress.Preparation;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.rivet.HeadStyle;
import bucina.core.sheet.Point;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;

/** Every record of the plan refuses what cannot be, with the value in the sentence. */
class RecordsTest {

    private static void refuses(ThrowingCallable making, String expected) {
        assertThatExceptionOfType(InputException.class).isThrownBy(making).withMessageContaining(expected);
    }

    @Test
    void ids_are_over_nothing() {
        refuses(() -> new Id.Hole(0), "was 0");
        refuses(() -> new Id.Layer(-3), "was -3");
        assertThat(new Id.Row(7)).isEqualTo(new Id.Row(7));
    }

    @Test
    void names_can_be_read() {
        refuses(() -> new Part(new Id.Part(1), " ", Material.parse("2024-T3"), 0, true), "a part needs a name");
        refuses(() -> new Part(new Id.Part(1), "x".repeat(121), Material.parse("2024-T3"), 0, true), "1 to 120");
        refuses(() -> new Part(new Id.Part(1), "Rib", Material.parse("2024-T3"), -1, true), "was -1");
    }

    @Test
    void a_layer_has_thickness() {
        refuses(() -> Plans.layer(1, "Skin", 0, 0, 0, 1, 1), "thickness must be over 0");
        Layer layer = Plans.layer(1, "Skin", .025, 0, 0, 1, 1);
        assertThat(layer.withOutline(layer.outline())).isEqualTo(layer);
    }

    @Test
    void fasteners_are_possible() {
        refuses(() -> new Fastener.SolidRivet(HeadStyle.FLUSH, "ad", 3), "\"ad\"");
        refuses(() -> new Fastener.SolidRivet(HeadStyle.FLUSH, "AD", 13), "was 13");
        refuses(() -> new Fastener.Hardware("", Length.in(.25), Length.in(.25), false), "designation");
        refuses(() -> new Fastener.Hardware("AN4", Length.in(.25), Length.in(.2), false), "hole no smaller");
        assertThat(Plans.UNIVERSAL.shank()).isEqualTo(Length.fraction(1, 8));
        assertThat(Plans.FLUSH.name()).isEqualTo("MS20426AD3");
    }

    @Test
    void a_deviation_has_a_reason_and_overrides() {
        refuses(() -> new Deviation(Optional.empty(), Optional.empty(), Optional.empty(), " "), "reason");
        refuses(() -> new Deviation(Optional.of(Length.ZERO), Optional.empty(), Optional.empty(), "egged"), "over 0");
        Group group = Plans.group(20, "G-1", Plans.FLUSH, List.of());
        Hole plain = new Hole(new Id.Hole(1), 1, Point.in(1, 1), Optional.empty());
        Hole odd = new Hole(
                new Id.Hole(2),
                2,
                Point.in(1, 1),
                Optional.of(new Deviation(
                        Optional.empty(), Optional.of(Plans.UNIVERSAL), Optional.of(Preparation.NONE), "access")));
        assertThat(group.fastenerAt(plain)).isEqualTo(Plans.FLUSH);
        assertThat(group.fastenerAt(odd)).isEqualTo(Plans.UNIVERSAL);
        assertThat(group.preparationAt(plain)).isEqualTo(Preparation.AUTO);
        assertThat(group.preparationAt(odd)).isEqualTo(Preparation.NONE);
    }

    @Test
    void a_typed_stack_and_holes_exclude_each_other() {
        refuses(() -> new TypedStack(List.of(), 3), "at least one layer");
        refuses(() -> new TypedStack(List.of(Length.in(.03)), 0), "was 0");
        refuses(() -> new TypedStack(List.of(Length.in(-.03)), 1), "thicker than 0");
        Group typed = Plans.typed(20, "T-1", 5, .03, .04);
        refuses(
                () -> new Group(
                        typed.id(),
                        "T-1",
                        "x",
                        typed.fastener(),
                        false,
                        Preparation.NONE,
                        "",
                        List.of(Plans.row(100, "R1", 1, 2)),
                        typed.typed(),
                        Set.of(),
                        Set.of()),
                "give one of them");
        assertThat(typed.count()).isEqualTo(5);
    }

    @Test
    void holes_and_labels_count() {
        refuses(() -> new Hole(new Id.Hole(1), 0, Point.in(0, 0), Optional.empty()), "label must be over 0");
        Row row = Plans.row(100, "R7", 1, 4);
        assertThat(row.label(row.holes().getLast())).isEqualTo("R7.4");
        Face face = Plans.face(
                Plans.layers(8),
                List.of(Plans.group(20, "G-1", Plans.FLUSH, List.of(row)), Plans.typed(21, "T-1", 5, .03)));
        assertThat(face.count()).isEqualTo(9);
    }

    @Test
    void stock_is_not_negative() {
        Build build = Plans.build(8);
        Build owing = new Build(
                build.name(),
                build.aircraft(),
                build.rules(),
                build.nextId(),
                build.parts(),
                build.assemblies(),
                Map.of("AN4-5A", -1));
        refuses(owing::checked, "AN4-5A");
    }

    @Test
    void batches_end_after_they_were_mixed_and_cover_what_is_named() {
        Instant at = Instant.parse("2026-11-25T10:00:00Z");
        Compound sealant = new Compound("Sealant", Compound.Kind.SEALANT, 0, 120, 0);
        Batch batch = Batch.mixed(new Id.Batch(4), sealant, at, List.of(new Batch.Surface(new Id.Layer(1), true)));
        assertThat(batch.stirred()).isEqualTo(at);
        assertThat(batch.ended()).isEmpty();
        refuses(() -> batch.ended(at.minusSeconds(1)), "after it was mixed");
        refuses(() -> batch.stirred(at.minusSeconds(1)), "after it was mixed");
        refuses(() -> new Compound(" ", Compound.Kind.PRIMER, 0, 60, 0), "a compound needs a name");
        refuses(() -> new Id.Batch(0), "was 0");
        Workshop shop = Workshop.NONE.with(batch).with(batch.ended(at.plusSeconds(60)));
        assertThat(shop.batches()).hasSize(1);
        assertThat(shop.running()).isEmpty();
    }

    @Test
    void a_part_has_one_mark_and_a_face_one_reading_of_a_kind_and_time() {
        Instant at = Instant.parse("2026-11-25T10:00:00Z");
        refuses(() -> new IndexMark(new Id.Index(1), new Id.Part(2), " ", at), "1 to 500 characters, was 1");
        refuses(() -> new IndexMark(new Id.Index(1), new Id.Part(2), "x".repeat(501), at), "was 501");
        refuses(
                () -> new FitReading(new Id.Fit(1), new Id.Face(2), FitReading.Kind.SQUARE, false, List.of(1.0), at),
                "square has 2 figures");
        refuses(
                () -> new FitReading(
                        new Id.Fit(1), new Id.Face(2), FitReading.Kind.LEVEL, false, List.of(Double.NaN), at),
                "level has 1 figure");
        IndexMark first = new IndexMark(new Id.Index(1), new Id.Part(2), "OUTBD", at);
        IndexMark second = new IndexMark(new Id.Index(2), new Id.Part(2), "RIB 4", at);
        Workshop shop = Workshop.NONE.with(first).with(second);
        assertThat(shop.index()).containsExactly(second);
        assertThat(shop.mark(new Id.Part(2))).contains(second);
        assertThat(shop.unmarked(new Id.Part(2)).index()).isEmpty();
        FitReading before =
                new FitReading(new Id.Fit(3), new Id.Face(2), FitReading.Kind.LEVEL, false, List.of(.1), at);
        FitReading again = new FitReading(new Id.Fit(4), new Id.Face(2), FitReading.Kind.LEVEL, false, List.of(.2), at);
        FitReading after = new FitReading(new Id.Fit(5), new Id.Face(2), FitReading.Kind.LEVEL, true, List.of(.3), at);
        shop = shop.with(before).with(after).with(again);
        assertThat(shop.readings()).containsExactly(again, after);
        assertThat(shop.reading(new Id.Face(2), FitReading.Kind.LEVEL, false)).contains(again);
        assertThat(shop.without(new Id.Face(2), FitReading.Kind.LEVEL, false).readings())
                .containsExactly(after);
        assertThat(shop.reading(new Id.Face(3), FitReading.Kind.LEVEL, false)).isEmpty();
    }
}
