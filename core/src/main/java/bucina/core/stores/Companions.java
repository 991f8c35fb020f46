package bucina.core.stores;

import bucina.core.bolt.Washer;
import bucina.core.log.Operation;
import bucina.core.stack.Bolted;
import bucina.core.stack.Solution;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;

/** What goes in with a fastener: nut, washers, a pin or a length of wire. */
public final class Companions {

    private Companions() {}

    /** How many of each go in with one fastener; none with a rivet or a screw. */
    public static Map<String, Integer> of(Solution solution) {
        Map<String, Integer> all = new TreeMap<>();
        solution.bolt().ifPresent(b -> bolt(b, all));
        return all;
    }

    private static void bolt(Bolted bolt, Map<String, Integer> all) {
        bolt.nut().ifPresent(n -> all.merge("nut " + n.name() + " " + n.thread(), 1, Integer::sum));
        bolt.fit()
                .ifPresent(f -> Stream.concat(f.underHead().stream(), f.underNut().stream())
                        .map(Washer::name)
                        .forEach(w -> all.merge(
                                "washer " + w + " for " + bolt.thread().name(), 1, Integer::sum)));
        bolt.secured()
                .filter(s -> s == Operation.PINNED || s == Operation.WIRED)
                .ifPresent(s -> all.merge(
                        (s == Operation.PINNED ? "cotter pin" : "length of safety wire") + " for "
                                + bolt.thread().name(),
                        1,
                        Integer::sum));
    }
}
