package bucina.core.stores;

import java.util.Map;
import java.util.TreeMap;

/** Counts by designation while they are gathered. */
final class Counts {

    /** Of one designation. */
    static final class Count {
        private final String name;
        int used;
        int rejected;
        int needed;

        Count(String name) {
            this.name = name;
        }
    }

    /** Told each designation. */
    interface Told {
        void of(String key, String name, Count count);
    }

    private final Map<String, Count> counts = new TreeMap<>();
    private final Map<String, String> keys = new TreeMap<>();

    /** The count of a designation. */
    Count named(String designation) {
        String key = keys.computeIfAbsent(designation, Names::key);
        return counts.computeIfAbsent(key, k -> new Count(Names.one(designation)));
    }

    void each(Told told) {
        counts.forEach((key, count) -> told.of(key, count.name, count));
    }
}
