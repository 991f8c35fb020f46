package bucina.core.log;

import bucina.core.plan.Id;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What was marked on a hole in one layer: two bits for each operation, near side and far. */
final class Bits {

    private static final int BOTH = 3;
    private static final List<Operation> ALL = List.of(Operation.values());

    private Bits() {}

    /** What was marked before, with one mark more. */
    static int of(int before, Mark mark) {
        int bits = mark.side().bits() << shift(mark.operation());
        return mark.on() ? before | bits : before & ~bits;
    }

    /** True if an operation is marked; what is done from a side counts for that side only. */
    static boolean covers(int marked, Operation operation, Mark.Side side) {
        int sides = marked >> shift(operation) & BOTH;
        return operation == Operation.DEBURRED ? (sides & side.bits()) == side.bits() : sides != 0;
    }

    /** The furthest that was done. */
    static HoleState furthest(int marked) {
        HoleState furthest = HoleState.PLANNED;
        for (Operation operation : ALL) {
            if (covers(marked, operation, Mark.Side.BOTH)) {
                HoleState there = HoleState.of(operation);
                furthest = there.compareTo(furthest) > 0 ? there : furthest;
            }
        }
        return furthest;
    }

    /** True if a temporary bolt was in, or something was done to a bolt that was. */
    static boolean bolted(int marked) {
        return marked >> shift(Operation.TEMPORARY) != 0;
    }

    /** The same after another bolt went in. */
    static Map<Id.Layer, Integer> unbolted(Map<Id.Layer, Integer> marked) {
        Map<Id.Layer, Integer> left = new HashMap<>();
        marked.forEach((layer, bits) -> left.put(layer, bits & (1 << shift(Operation.TEMPORARY)) - 1));
        return Map.copyOf(left);
    }

    private static int shift(Operation operation) {
        return 2 * operation.ordinal();
    }
}
