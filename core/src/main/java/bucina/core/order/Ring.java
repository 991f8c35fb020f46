package bucina.core.order;

import java.util.List;

/**
 * Demands that no order meets: each of the jobs comes before the next, and the last before the first.
 *
 * @param nodes   numbers of its jobs and events, in the order of the demands
 * @param words   what collides, one sentence
 * @param waysOut what can be done about it
 */
public record Ring(List<Integer> nodes, String words, List<String> waysOut) {
    public Ring {
        nodes = List.copyOf(nodes);
        waysOut = List.copyOf(waysOut);
    }

    /** The sentence with the ways out. */
    public String sentence() {
        return words + " Ways out: " + String.join("; ", waysOut) + ".";
    }
}
