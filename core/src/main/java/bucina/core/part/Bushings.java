package bucina.core.part;

import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.RunThrough;
import java.util.List;

/** Bushings and grommets of what runs through: each is work on the part it sits in. */
public final class Bushings {

    private Bushings() {}

    /** What a part owes for one, as its task is called. */
    public static String task(RunThrough run) {
        return "fit the bushing for " + run.name();
    }

    /** What a part owes or owed of them, each run once. */
    static List<String> tasks(Build build, Part part) {
        return build.workshop().runs().stream()
                .filter(r -> r.stations().stream().anyMatch(s -> s.part().equals(part.id()) && !s.fitted()))
                .map(Bushings::task)
                .filter(t -> !part.particulars().waived().contains(t))
                .distinct()
                .toList();
    }

    /** Parts of a run in which a bushing is still to be fitted, in order, each once. */
    public static List<Id.Part> open(Build build, Logbook log, RunThrough run) {
        return run.stations().stream()
                .filter(s -> !s.fitted())
                .map(RunThrough.Station::part)
                .distinct()
                .filter(p -> !build.part(p).particulars().waived().contains(task(run)))
                .filter(p -> log.tasks().done(p, task(run)).isEmpty())
                .toList();
    }
}
