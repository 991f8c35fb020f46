package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SelectionTest {

    @TempDir
    private Path folder;

    private Session session;
    private FaceReading face;
    private Selection none;

    @BeforeEach
    void open() {
        session = Sessions.demo(folder);
        face = session.snapshot()
                .face(session.snapshot()
                        .build()
                        .face("Upper skin")
                        .orElseThrow()
                        .face()
                        .id());
        none = Selection.none(face.face().id());
    }

    @AfterEach
    void close() {
        session.close();
    }

    private HoleReading hole(String label) {
        return face.readings().stream()
                .filter(r -> r.label().equals(label))
                .findFirst()
                .orElseThrow();
    }

    private List<String> labels(Selection selection) {
        return selection.readings(face).stream().map(HoleReading::label).toList();
    }

    @Test
    void shift_goes_on_along_the_row_either_way() {
        assertThat(labels(none.one(hole("R1.5")).range(face, hole("R1.3")))).containsExactly("R1.3", "R1.4", "R1.5");
        assertThat(labels(none.one(hole("R1.5")).range(face, hole("R2.3")))).containsExactly("R2.3");
        assertThat(labels(none.range(face, hole("R2.3")))).containsExactly("R2.3");
    }

    @Test
    void arrows_step_and_stop_at_the_ends() {
        Selection at = none.one(hole("R1.2"));
        assertThat(labels(at.along(face, -1, false))).containsExactly("R1.1");
        assertThat(labels(at.along(face, -5, false))).containsExactly("R1.1");
        assertThat(labels(at.along(face, 1, true))).containsExactly("R1.2", "R1.3");
        assertThat(labels(none.along(face, 1, false))).containsExactly("R1.1");
        assertThat(labels(at.across(face, true)).getFirst()).doesNotStartWith("R1.");
    }

    @Test
    void a_sweep_picks_what_lies_in_the_box_and_shift_adds() {
        Box box = Box.around(Point.in(.5, .2), Point.in(3.5, .7));
        Selection swept = none.swept(face, box, false);
        assertThat(labels(swept)).containsExactly("R1.1", "R1.2", "R1.3");
        assertThat(labels(none.one(hole("R2.1")).swept(face, box, true)))
                .containsExactly("R1.1", "R1.2", "R1.3", "R2.1");
        assertThat(none.swept(face, Box.around(Point.in(900, 900), Point.in(901, 901)), false)
                        .cursor())
                .isEmpty();
    }

    @Test
    void control_click_adds_and_takes_away() {
        Selection two = none.one(hole("R1.1")).toggled(face, hole("R1.3"));
        assertThat(labels(two)).containsExactly("R1.1", "R1.3");
        assertThat(two.cursor()).contains(hole("R1.3").hole().id());
        assertThat(labels(two.toggled(face, hole("R1.3")))).containsExactly("R1.1");
    }

    @Test
    void rows_and_groups_are_picked_whole_with_the_cursor_kept() {
        Selection row = Selection.row(
                face, hole("R1.9").row().id(), Optional.of(hole("R1.9").hole().id()));
        assertThat(row.holes()).hasSize(48);
        assertThat(row.cursor()).contains(hole("R1.9").hole().id());
        assertThat(Selection.group(face, hole("R13.1").group().id(), Optional.empty())
                        .holes())
                .hasSize(63);
    }
}
