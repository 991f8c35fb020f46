package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.cleco.Mode;
import bucina.core.demo.Dunlin;
import bucina.core.demo.DunlinHistory;
import bucina.core.demo.Locker;
import bucina.core.log.HoleState;
import bucina.core.log.Logbook;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.stack.Derivation;
import bucina.core.state.Snapshot;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Plans as they are played: what the sheet shows at a step is what all steps up to it have done. */
class PlayingTest {

    private final Catalogue catalogue = CatalogueReader.shipped();

    private List<Snapshot> demos() {
        Derivation dunlin = Derivation.of(Dunlin.build(catalogue.rules()), catalogue);
        Derivation locker = Derivation.of(Locker.build(catalogue.rules()), catalogue);
        return List.of(Snapshot.of(dunlin, DunlinHistory.of(dunlin)), Snapshot.of(locker, Logbook.EMPTY));
    }

    private static long in(Collection<HoleState> states, HoleState state) {
        return states.stream().filter(s -> s == state).count();
    }

    @Test
    void every_step_of_every_row_of_the_demos_says_what_it_does_and_counts_what_is_in() {
        for (Snapshot snapshot : demos()) {
            for (Build.FaceRef ref : snapshot.build().faces()) {
                boolean done = snapshot.face(ref.face().id()).readings().stream()
                        .allMatch(r -> snapshot.state(r).set());
                if (done) {
                    assertThatThrownBy(() -> Playing.of(
                                    snapshot,
                                    catalogue,
                                    ref.face().id(),
                                    Optional.empty(),
                                    Optional.empty(),
                                    2,
                                    Playing.Work.DRILL))
                            .hasMessageContaining("has its fastener in");
                    continue;
                }
                for (Playing.Work work : Playing.Work.values()) {
                    Playing first = Playing.of(
                            snapshot, catalogue, ref.face().id(), Optional.empty(), Optional.empty(), 2, work);
                    Optional<Id.Row> row = Optional.of(first.row().row().id());
                    List<Id.Row> seen = new ArrayList<>();
                    while (row.isPresent() && (work != Playing.Work.LOCATE || seen.isEmpty())) {
                        seen.add(row.get());
                        play(
                                snapshot,
                                Playing.of(snapshot, catalogue, ref.face().id(), row, Optional.empty(), 2, work));
                        row = Playing.of(snapshot, catalogue, ref.face().id(), row, Optional.empty(), 2, work)
                                .next();
                    }
                    assertThat(seen).doesNotHaveDuplicates();
                }
            }
        }
    }

    private static void play(Snapshot snapshot, Playing begun) {
        int steps = begun.steps(snapshot.holds());
        Playing at = begun;
        for (int i = 0; i < steps; i++) {
            at = at.at(snapshot.holds(), i);
            assertThat(at.step()).isEqualTo(i);
            assertThat(at.sentence(snapshot, Unit.INCH))
                    .as(at.work() + " " + i)
                    .isNotBlank()
                    .matches("(?s)[A-Z].*\\.");
            assertThat(at.why()).isNotBlank();
            assertThat(in(at.states().values(), HoleState.CLECOED)).isEqualTo(at.inUse());
            // Back and on again shows the same.
            assertThat(at.at(snapshot.holds(), i - 1).at(snapshot.holds(), i).states())
                    .isEqualTo(at.states());
        }
        assertThat(at.at(snapshot.holds(), 10_000).step()).isEqualTo(Math.max(0, steps - 1));
        assertThat(at.at(snapshot.holds(), -5).step()).isZero();
        if (steps > 0 && begun.work() == Playing.Work.RIVET) {
            long held = begun.row().holes().stream()
                    .filter(h -> snapshot.holds().of(h).isPresent())
                    .count();
            assertThat(in(at.states().values(), HoleState.SET))
                    .isEqualTo(begun.row().holes().size() - held);
            assertThat(at.inUse()).isEqualTo((int) held);
        } else if (steps > 0 && begun.work() != Playing.Work.LOCATE) {
            assertThat(in(at.states().values(), HoleState.PLANNED))
                    .as("left undrilled in " + begun.row().row().name())
                    .isZero();
        }
    }

    @Test
    void a_bin_that_is_too_small_is_said_with_what_it_takes() {
        Build poor = Dunlin.build(catalogue.rules());
        Build none = new Build(
                poor.name(),
                poor.aircraft(),
                poor.rules(),
                poor.nextId(),
                poor.parts(),
                poor.assemblies(),
                Map.of("cleco 3/32", 1));
        Snapshot snapshot = Snapshot.of(Derivation.of(none, catalogue), Logbook.EMPTY);
        Id.Face upper = none.face("Upper skin").orElseThrow().face().id();
        Playing drill =
                Playing.of(snapshot, catalogue, upper, Optional.empty(), Optional.empty(), 2, Playing.Work.DRILL);
        assertThat(drill.sentence(snapshot, Unit.INCH))
                .isEqualTo("The bin is too small for this: it takes at least 2 clecos.");
        Playing locate =
                Playing.of(snapshot, catalogue, upper, Optional.empty(), Optional.empty(), 2, Playing.Work.LOCATE);
        assertThat(locate.sentence(snapshot, Unit.INCH)).startsWith("Nothing to locate: the bin is too small");
        assertThat(locate.steps(snapshot.holds())).isZero();
    }

    @Test
    void the_mode_asked_for_is_the_mode_played_with_its_reason() {
        Snapshot snapshot = demos().getFirst();
        Id.Face upper = snapshot.build().face("Upper skin").orElseThrow().face().id();
        for (Mode mode : Mode.values()) {
            Playing p =
                    Playing.of(snapshot, catalogue, upper, Optional.empty(), Optional.of(mode), 2, Playing.Work.DRILL);
            assertThat(p.why()).contains(mode.reason());
            assertThat(p.supply(snapshot.holds())).contains("3/32 silver").contains(" of 120");
        }
        assertThat(Playing.of(
                                snapshot,
                                catalogue,
                                upper,
                                Optional.empty(),
                                Optional.of(Mode.NOSE_FIRST),
                                2,
                                Playing.Work.LOCATE)
                        .why())
                .contains("the nose first");
    }
}
