package bucina.core.bulletin;

import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.core.plan.Bulletin;
import bucina.core.plan.OwnJob;
import bucina.core.stack.Derivation;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Bulletins in force with something in as it was before: that is looked at before more of the same is done. */
public final class Reviews {

    private Reviews() {}

    /**
     * A review that is due.
     *
     * @param bulletin what changed
     * @param count    how many are in as before it
     * @param job      the builder's own job of looking at them; empty if there is none yet
     */
    public record Due(Bulletin bulletin, int count, Optional<OwnJob> job) {

        /** In a sentence. */
        public String words() {
            return bulletin.name() + ": " + count
                    + (count == 1 ? " is in as it was before: look at it" : " are in as they were before: look at them")
                    + " before more of the same is done";
        }
    }

    /** What the job of a review is called. */
    public static String job(Bulletin bulletin) {
        return "Review " + bulletin.name();
    }

    /** The reviews that are due, by code of the group that waits for them. */
    public static Map<String, Due> due(Derivation derivation, Logbook log) {
        Map<String, Due> due = new HashMap<>();
        for (Bulletin bulletin : derivation.build().papers().bulletins()) {
            if (bulletin.inForce() && !reviewed(bulletin, derivation.build(), log)) {
                List<Review.Installed> in = Review.of(bulletin, derivation, log).installed();
                Due told = new Due(bulletin, in.size(), job(derivation.build(), bulletin));
                in.forEach(i -> due.putIfAbsent(i.group(), told));
            }
        }
        return due;
    }

    private static Optional<OwnJob> job(Build build, Bulletin bulletin) {
        return build.workshop().jobs().stream()
                .filter(j -> j.name().equals(job(bulletin)))
                .findFirst();
    }

    private static boolean reviewed(Bulletin bulletin, Build build, Logbook log) {
        return job(build, bulletin).filter(j -> log.logged(j.id())).isPresent();
    }
}
