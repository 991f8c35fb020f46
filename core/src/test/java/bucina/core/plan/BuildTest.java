package bucina.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.Plans;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

class BuildTest {

    @Test
    void an_id_is_given_out_once() {
        Group a = Plans.group(20, "G-1", Plans.UNIVERSAL, List.of(Plans.row(1000, "R1", 2, 3)));
        Group b = Plans.group(22, "G-2", Plans.UNIVERSAL, List.of(Plans.row(1002, "R2", 2, 3)));
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> Plans.build(Plans.face(Plans.layers(8), List.of(a, b))))
                .withMessageContaining("share the id 1002");
    }

    @Test
    void an_id_over_the_next_is_refused() {
        Group far = Plans.group(200_000, "G-1", Plans.UNIVERSAL, List.of());
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> Plans.build(Plans.face(Plans.layers(8), List.of(far))))
                .withMessageContaining("100000");
    }

    @Test
    void codes_rows_and_layers_are_checked() {
        Group a = Plans.group(20, "G-1", Plans.UNIVERSAL, List.of());
        Group b = Plans.group(22, "G-1", Plans.UNIVERSAL, List.of());
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> Plans.build(Plans.face(Plans.layers(8), List.of(a, b))))
                .withMessageContaining("code G-1");
        Layer foreign = new Layer(
                new Id.Layer(50),
                new Id.Part(99),
                "Foreign",
                Length.in(.02),
                Plans.layers(8).getFirst().outline());
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> Plans.build(Plans.face(List.of(foreign), List.of())))
                .withMessageContaining("part 99");
    }

    @Test
    void labels_are_never_reused_in_a_row() {
        Row row = Plans.row(1000, "R1", 2, 3);
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> new Row(row.id(), "R1", 3, row.holes()))
                .withMessageContaining("next label must be over 3");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> new Row(
                        row.id(),
                        "R1",
                        9,
                        List.of(row.holes().getFirst(), row.holes().getFirst())))
                .withMessageContaining("two holes labelled 1");
    }

    @Test
    void a_face_is_replaced_and_the_next_id_never_falls() {
        Build build = Plans.build(8);
        Face face = build.face("top").orElseThrow().face();
        Build next = build.with(face.plus(Plans.typed(100_000, "T-2", 5, .03)), 100_001)
                .checked();
        assertThat(next.group("t-2")).isPresent();
        assertThat(next.with(face, 5).nextId()).isEqualTo(100_001);
    }

    @Test
    void materials_are_read_and_printed_one_way() {
        assertThat(Material.parse("2024-t3").code()).isEqualTo("2024-T3");
        assertThat(Material.parse("steel").code()).isEqualTo("STEEL");
        Assertions.assertThatThrownBy(() -> Material.parse("?"))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("2024-T3");
    }
}
