package bucina.store;

import bucina.core.log.Deed;
import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.core.plan.Pin;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Everything a build file holds.
 *
 * @param build  the plan
 * @param log    the log and the progress marks
 * @param photos the photographs that the log names, and any others
 * @param chain  what binds its entries to each other, by their numbers; those that are not there are bound when it is
 *     written
 */
public record Document(Build build, Logbook log, List<Photo> photos, Map<Integer, Chain.Link> chain) {

    /** A document whose entries are not bound yet. */
    public Document(Build build, Logbook log, List<Photo> photos) {
        this(build, log, photos, Map.of());
    }

    /** Refuses a log that names a photograph which is not there. */
    public Document {
        photos = List.copyOf(photos);
        chain = Map.copyOf(chain);
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
        for (Pin pin : build.workshop().pins()) {
            if (!known.contains(pin.photo())) {
                throw new IllegalArgumentException("photograph " + pin.name() + " is pinned, but it is missing");
            }
        }
    }

    /** Documents are the same if they say the same; what binds the entries is not asked. */
    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof Document d && d.build.equals(build) && d.log.equals(log) && d.photos.equals(photos);
    }

    @Override
    public int hashCode() {
        return Objects.hash(build, log, photos);
    }
}
