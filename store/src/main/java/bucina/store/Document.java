package bucina.store;

import bucina.core.log.Deed;
import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Everything a build file holds.
 *
 * @param build  the plan
 * @param log    the log and the progress marks
 * @param photos the photographs that the log names, and any others
 */
public record Document(Build build, Logbook log, List<Photo> photos) {

    /** Refuses a log that names a photograph which is not there. */
    public Document {
        photos = List.copyOf(photos);
        Set<String> known = new HashSet<>();
        photos.forEach(p -> known.add(p.sha256()));
        for (var entry : log.entries()) {
            for (String named : entry.deed().map(Deed::photos).orElse(List.of())) {
                if (!known.contains(named)) {
                    throw new IllegalArgumentException("entry " + entry.id() + " names photograph "
                            + named.substring(0, 12) + "..., which is missing");
                }
            }
        }
    }
}
