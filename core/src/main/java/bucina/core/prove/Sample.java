package bucina.core.prove;

import bucina.core.measure.InputException;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.IntStream;

/** Which heads of a group are measured, by their numbers in setting order. Source: shop practice. */
public final class Sample {

    private static final int MOST = 1_000_000;

    private Sample() {}

    /**
     * Holes 1 to 5, then every tenth (15, 25, …), and the last; after one failure 1 to 10, then every fifth (15, 20,
     * …), and the last; after two or more all.
     *
     * @param count  how many there are, 0 to 1 000 000
     * @param failed how many of those measured failed, at least 0
     * @return ascending, each between 1 and {@code count}
     * @throws InputException if a number is out of range
     */
    public static List<Integer> of(int count, int failed) {
        if (count < 0 || count > MOST) {
            throw new InputException("a group has 0 to " + MOST + " fasteners, was " + count);
        }
        if (failed < 0 || failed > count) {
            throw new InputException("of " + count + " heads 0 to " + count + " can have failed, was " + failed);
        }
        if (failed > 1) {
            return IntStream.rangeClosed(1, count).boxed().toList();
        }
        TreeSet<Integer> holes = new TreeSet<>();
        int first = failed == 0 ? 5 : 10;
        int step = failed == 0 ? 10 : 5;
        IntStream.rangeClosed(1, Math.min(first, count)).forEach(holes::add);
        IntStream.iterate(15, n -> n <= count, n -> n + step).forEach(holes::add);
        if (count > 0) {
            holes.add(count);
        }
        return List.copyOf(holes);
    }
}
