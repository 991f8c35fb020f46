package bucina.desk.guided;

import bucina.desk.session.Desk;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * A job led through.
 *
 * @param name  what it is called
 * @param steps in order
 * @param ends  what is said at the end
 */
public record GuidedJob(String name, List<Step> steps, String ends) {

    /**
     * One step.
     *
     * @param title what to do, in a few words
     * @param text  why, and with which key
     * @param where selector of what to look at, {@code #find}; empty for nothing in particular
     * @param waits gives, when the step begins, what tells that it is done; the window may be another by then
     */
    public record Step(String title, String text, String where, Function<Eyes, Predicate<Eyes>> waits) {

        /** A step that is done once something holds of the desk. */
        static Step desk(String title, String text, String where, Predicate<Desk> done) {
            return new Step(
                    title, text, where, eyes -> now -> now.desk().filter(done).isPresent());
        }

        /** A step that is done once something holds that did not when it began. */
        static Step change(String title, String text, String where, Function<Desk, Integer> figure, boolean up) {
            return new Step(title, text, where, eyes -> {
                int before = eyes.desk().map(figure).orElse(0);
                return now -> now.desk()
                        .map(figure)
                        .filter(n -> up ? n > before : n < before)
                        .isPresent();
            });
        }
    }

    public GuidedJob {
        steps = List.copyOf(steps);
        if (steps.isEmpty()) {
            throw new IllegalArgumentException("a guided job has a step at least: " + name);
        }
    }
}
