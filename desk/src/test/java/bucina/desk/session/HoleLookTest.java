package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.DunlinHistory;
import bucina.core.log.HoleState;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.progress.SheetSays;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What a hole shows in a stage: R1.3 of the lower skin is set, R1.30 is not, R11.4 of the upper breaks a rule. */
class HoleLookTest {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Derivation derivation = Derivation.of(Dunlin.build(catalogue.rules()), catalogue);
    private final Snapshot snapshot = Snapshot.of(derivation, DunlinHistory.of(derivation));

    private FaceReading face(String name) {
        return derivation.face(
                derivation.build().face(name).orElseThrow().face().id());
    }

    private HoleReading hole(String face, String label) {
        return face(face).readings().stream()
                .filter(r -> r.label().equals(label))
                .findFirst()
                .orElseThrow();
    }

    private HoleLook look(
            Stage stage, String face, String label, Set<Id.Hole> skipped, Map<Id.Hole, HoleState> played) {
        return new HoleLook.Face(snapshot, stage, LengthClasses.of(face(face)), skipped, played).of(hole(face, label));
    }

    @ParameterizedTest
    @CsvSource({
        "STUDY, Lower skin, R1.3, length, NONE",
        "FIT,   Lower skin, R1.3, SET, NONE",
        "DRILL, Lower skin, R1.3, PROVED, NONE",
        "SET,   Lower skin, R1.30, PLANNED, NONE",
        "SET,   Upper skin, R8.1, DRILLED, NONE",
        "FIT,   Upper skin, R8.1, PLANNED, NONE",
        "STUDY, Upper skin, R11.4, length, ERROR",
        "SET,   Upper skin, R11.4, DRILLED, ERROR",
        "FIT,   Upper skin, R1.1, PLANNED, HOLD",
        "SET,   Upper skin, R1.1, DEBURRED, HOLD",
    })
    void a_hole_looks_as_the_stage_asks(Stage stage, String face, String label, String fill, HoleLook.Overlay overlay) {
        HoleLook look = look(stage, face, label, Set.of(), Map.of());
        assertThat(look.overlay()).isEqualTo(overlay);
        assertThat(look.broken()).isEqualTo(label.equals("R11.4"));
        switch (look.fill()) {
            case HoleLook.Fill.ByLength length -> assertThat(fill).isEqualTo("length");
            case HoleLook.Fill.ByState state ->
                assertThat(state.state().set() ? "SET" : state.state().name())
                        .isEqualTo(fill.equals("PROVED") ? "SET" : fill);
            case HoleLook.Fill.Absent absent -> fail("no sheet is looked at alone");
        }
    }

    @Test
    void a_sheet_looked_at_alone_shows_its_own_states_and_what_does_not_go_through_it_steps_back() {
        FaceReading upper = face("Upper skin");
        Layer rib = upper.face().layers().stream()
                .filter(l -> l.name().equals("Main rib 3 flange"))
                .findFirst()
                .orElseThrow();
        HoleReading through = upper.readings().stream()
                .filter(r -> r.layers().contains(rib))
                .findFirst()
                .orElseThrow();
        Snapshot marked = snapshot.marked(snapshot.log()
                .plus(List.of(
                        new Mark(through.hole().id(), rib.id(), Mark.Side.BOTH, Operation.DIMPLED, Instant.EPOCH))));
        HoleLook.Face alone = new HoleLook.Face(
                marked,
                Stage.DRESS,
                LengthClasses.of(upper),
                Set.of(),
                Map.of(),
                Optional.of(rib.id()),
                Set.of(),
                Map.of());
        assertThat(alone.of(through).fill()).isEqualTo(new HoleLook.Fill.ByState(HoleState.DIMPLED));
        assertThat(marked.state(through)).isNotEqualTo(HoleState.DIMPLED);
        assertThat(alone.of(hole("Upper skin", "R1.1")).fill()).isEqualTo(new HoleLook.Fill.Absent());
        assertThat(SheetSays.of(upper, rib.id()).getFirst()).startsWith("Main rib 3 flange: 8 holes");
        assertThat(SheetSays.of(upper, rib.id()).getLast()).isEqualTo("8 dimpled in from the near side.");
    }

    @ParameterizedTest
    @EnumSource(Stage.class)
    void a_jumped_hole_shows_it_in_every_stage_but_study_and_a_played_one_shows_its_plan(Stage stage) {
        Id.Hole id = hole("Lower skin", "R1.30").hole().id();
        assertThat(look(stage, "Lower skin", "R1.30", Set.of(id), Map.of()).overlay())
                .isEqualTo(stage == Stage.STUDY ? HoleLook.Overlay.NONE : HoleLook.Overlay.SKIPPED);
        HoleLook played = look(stage, "Lower skin", "R1.30", Set.of(id), Map.of(id, HoleState.CLECOED));
        assertThat(played.fill()).isEqualTo(new HoleLook.Fill.ByState(HoleState.CLECOED));
        assertThat(played.overlay()).isEqualTo(HoleLook.Overlay.NONE);
    }
}
