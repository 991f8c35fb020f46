package bucina.core.job;

import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What is set up before a job starts.
 *
 * @param tool    what is in the hand; empty where nothing in particular is
 * @param die     drill, die, set, cutter or nose; may be empty
 * @param setting gap or depth, with its unit; may be empty
 * @param side    which side of which face is up, {@code Upper skin, near}; empty at the open bench
 * @param items   what must be in place in a tool, each with the minutes that changing it takes
 */
public record Setup(String tool, String die, String setting, String side, List<Item> items) {

    /** Nothing in particular. */
    public static final Setup NONE = new Setup("", "", "", "", List.of());

    /**
     * One thing in one tool. A tool keeps it until it is changed.
     *
     * @param slot    tool and what is changed in it
     * @param value   what is in it
     * @param minutes to change it, at least 0
     */
    public record Item(String slot, String value, double minutes) {
        public Item {
            Objects.requireNonNull(slot, "slot");
            Objects.requireNonNull(value, "value");
            if (!(minutes >= 0 && minutes < 1e4)) {
                throw new IllegalArgumentException("a change takes 0 minutes or more, was " + minutes);
            }
        }
    }

    public Setup {
        items = List.copyOf(items);
    }

    /** Tool, die and setting in few words; empty for nothing in particular. */
    public String words() {
        return Stream.of(tool, die, setting).filter(s -> !s.isEmpty()).collect(Collectors.joining(", "));
    }

    /** The same with something added to the setting. */
    Setup saying(String more) {
        return new Setup(tool, die, setting.isEmpty() ? more : setting + ", " + more, side, items);
    }
}
