package bucina.core.guard;

import bucina.core.bolt.BoltThread;
import bucina.core.log.Labour;
import bucina.core.log.Tightened;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.stack.Bolted;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.Optional;

/** Sees that bolts were tightened as the table has it, or that there is a reason. */
final class TorqueCheck {

    private final Derivation derivation;

    TorqueCheck(Derivation derivation) {
        this.derivation = derivation;
    }

    /**
     * Refuses a torque off the table of any of the bolts without a word of explanation.
     *
     * @throws InputException with one sentence
     */
    void accept(Labour labour) {
        if (labour.explanation().isBlank() && labour.what() instanceof Labour.Holes h) {
            h.sweeps().forEach(s -> s.tightened().ifPresent(t -> sweep(s, t)));
        }
    }

    private void sweep(Labour.Sweep sweep, Tightened tightened) {
        for (Build.FaceRef ref : derivation.build().faces()) {
            for (Work.LoggedHole hole : sweep.holes()) {
                derivation
                        .face(ref.face().id())
                        .of(hole.id())
                        .flatMap(r -> off(r, tightened))
                        .ifPresent(sentence -> {
                            throw new InputException(sentence);
                        });
            }
        }
    }

    private static Optional<String> off(HoleReading hole, Tightened tightened) {
        Optional<Bolted> bolt = hole.solution().bolt();
        return bolt.map(Bolted::torque)
                .filter(t -> !(tightened.torque() >= t.low() && tightened.torque() <= t.high()))
                .map(t -> sentence(hole, t, bolt.get(), tightened));
    }

    private static String sentence(HoleReading hole, BoltThread.Torque t, Bolted bolt, Tightened tightened) {
        return "a torque of " + tightened.torqueWords() + " without the drag is not within " + Math.round(t.low())
                + " to " + Math.round(t.high()) + " in-lb, " + bolt.thread().source() + ", for " + hole.label()
                + ": give the reason, such as \"drawing calls for it\"";
    }
}
