package bucina.desk.session;

import bucina.core.log.HoleState;
import bucina.core.plan.Id;
import bucina.core.rule.Level;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a hole shows in a stage: shape and fill, and the one thing to say about it. No nodes; painters only stamp it.
 *
 * @param fill    what its glyph tells
 * @param overlay the worst thing to say about it
 * @param broken  true if a rule is broken there, whatever lies over it
 */
public record HoleLook(Fill fill, Overlay overlay, boolean broken) {

    /** What the glyph of a hole tells. */
    public sealed interface Fill {

        /** Which length goes in: the fuller, the longer. */
        record ByLength(int place, int of) implements Fill {}

        /** Where it stands. */
        record ByState(HoleState state) implements Fill {}

        /** It does not go through the sheet that is looked at. */
        record Absent() implements Fill {}
    }

    /** What is to be said about a hole, one thing only. */
    public enum Overlay {
        NONE,
        HOLD,
        ERROR,
        QUERY,
        WARNING,
        SKIPPED,
        BEFORE,
        /** Its head is to be measured. */
        MEASURE,
        /** Its head was measured and is not left. */
        FAILED,
        /** A reading of the same set-up makes it doubtful. */
        DOUBT,
        DEVIATION
    }

    /**
     * What a stage shows of the holes of one face.
     *
     * @param skipped holes jumped over in the task at hand
     * @param played  states of a plan that is being played; empty while none is
     * @param sheet   the sheet whose own states are shown; empty for the hole as a whole
     * @param before  holes to be done before a part goes on
     * @param proof   what proof says of holes
     */
    public record Face(
            Snapshot snapshot,
            Stage stage,
            LengthClasses lengths,
            Set<Id.Hole> skipped,
            Map<Id.Hole, HoleState> played,
            Optional<Id.Layer> sheet,
            Set<Id.Hole> before,
            Map<Id.Hole, Overlay> proof) {

        /** Of holes as a whole. */
        public Face(
                Snapshot snapshot,
                Stage stage,
                LengthClasses lengths,
                Set<Id.Hole> skipped,
                Map<Id.Hole, HoleState> played) {
            this(snapshot, stage, lengths, skipped, played, Optional.empty(), Set.of(), Map.of());
        }

        /** What the desk shows of the face looked at. */
        public static Face of(Desk desk, LengthClasses lengths) {
            return new Face(
                    desk.snapshot(),
                    desk.stageProperty().get(),
                    lengths,
                    desk.over().skipped(),
                    desk.over().playingProperty().get().map(Playing::states).orElse(Map.of()),
                    desk.taskProperty().get().layer(),
                    desk.over().before().keySet(),
                    desk.over().proof());
        }

        /** How one hole looks. */
        public HoleLook of(HoleReading hole) {
            HoleState shown = played.get(hole.hole().id());
            boolean broken = hole.worst().filter(l -> l == Level.ERROR).isPresent();
            return shown != null
                    ? new HoleLook(new Fill.ByState(shown), overlay(snapshot, hole, stage), broken)
                    : new HoleLook(fill(hole), jumped(hole), broken);
        }

        private Fill fill(HoleReading hole) {
            if (stage == Stage.STUDY) {
                return new Fill.ByLength(lengths.place(hole), lengths.lengths());
            }
            if (sheet.isPresent() && (stage == Stage.DRILL || stage == Stage.DRESS)) {
                return hole.layers().stream()
                        .filter(l -> l.id().equals(sheet.get()))
                        .findFirst()
                        .<Fill>map(l -> new Fill.ByState(snapshot.log().state(hole.hole(), List.of(l))))
                        .orElseGet(Fill.Absent::new);
            }
            HoleState state = snapshot.state(hole);
            // In Fit a hole is in, or still a bare ring: the gate says which stay open.
            return new Fill.ByState(stage == Stage.FIT && !state.set() ? HoleState.PLANNED : state);
        }

        private Overlay jumped(HoleReading hole) {
            if (stage != Stage.STUDY && skipped.contains(hole.hole().id())) {
                return Overlay.SKIPPED;
            }
            if (stage == Stage.PROVE) {
                return proof.getOrDefault(
                        hole.hole().id(), hole.hole().deviation().isPresent() ? Overlay.DEVIATION : Overlay.NONE);
            }
            Overlay worst = overlay(snapshot, hole, stage);
            boolean room = worst == Overlay.NONE || worst == Overlay.DEVIATION;
            return room && before.contains(hole.hole().id()) ? Overlay.BEFORE : worst;
        }
    }

    /** The worst thing to say about a hole in a stage. */
    public static Overlay overlay(Snapshot snapshot, HoleReading hole, Stage stage) {
        boolean held = !snapshot.set(hole) && snapshot.holds().of(hole).isPresent();
        if (held && stage == Stage.FIT) {
            return Overlay.HOLD;
        }
        if (hole.worst().filter(l -> l == Level.ERROR).isPresent()) {
            return Overlay.ERROR;
        }
        if (snapshot.queried(hole.group())) {
            return Overlay.QUERY;
        }
        if (held) {
            return Overlay.HOLD;
        }
        if (hole.worst().isPresent()) {
            return Overlay.WARNING;
        }
        return hole.hole().deviation().isPresent() ? Overlay.DEVIATION : Overlay.NONE;
    }
}
