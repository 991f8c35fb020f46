package bucina.desk.guided;

import java.util.Optional;
import java.util.function.Predicate;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** How far a guided job has come. It outlives the window: a job may begin where there is no face yet. */
public final class Guided {

    /**
     * Where the job stands.
     *
     * @param step how many are done; as many as there are at the end
     */
    public record At(GuidedJob job, int step) {

        /** True once all is done. */
        public boolean ended() {
            return step == job.steps().size();
        }

        /** The step that waits; not at the end. */
        public GuidedJob.Step waiting() {
            return job.steps().get(step);
        }
    }

    private final ReadOnlyObjectWrapper<Optional<At>> at = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Optional<Predicate<Eyes>> done = Optional.empty();

    /** Where the job stands; empty if none is on. */
    public ReadOnlyObjectProperty<Optional<At>> atProperty() {
        return at.getReadOnlyProperty();
    }

    /** Begins a job, or begins it again. */
    public void begin(GuidedJob job) {
        done = Optional.empty();
        at.set(Optional.of(new At(job, 0)));
    }

    /** Leaves it; what was done stays done. */
    public void leave() {
        done = Optional.empty();
        at.set(Optional.empty());
    }

    /** Sees whether the step that waits is done; goes on to the next if so. */
    public void look(Eyes eyes) {
        at.get().filter(a -> !a.ended()).ifPresent(a -> {
            if (done.isEmpty()) {
                done = Optional.of(a.waiting().waits().apply(eyes));
            }
            if (done.get().test(eyes)) {
                // The next one begins at once: what is done from here on is done for it.
                At next = new At(a.job(), a.step() + 1);
                done = next.ended()
                        ? Optional.empty()
                        : Optional.of(next.waiting().waits().apply(eyes));
                at.set(Optional.of(next));
            }
        });
    }
}
