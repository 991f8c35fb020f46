package bucina.core.sheet;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;
import org.locationtech.jts.index.strtree.STRtree;

/**
 * Finds things by where they are. Built once in n log n, asked in log n plus what is found; safe on any thread after
 * it is built.
 *
 * @param <T> what is found
 */
public final class BoxIndex<T> {

    private final STRtree tree = new STRtree();
    private final boolean empty;

    /** An index of things that each have a box. */
    public BoxIndex(Collection<T> things, Function<T, Box> box) {
        for (T thing : things) {
            tree.insert(box.apply(thing).envelope(), thing);
        }
        empty = things.isEmpty();
        if (!empty) {
            tree.build();
        }
    }

    /** Everything whose box meets this one, in no order. */
    public List<T> in(Box box) {
        List<T> found = new ArrayList<>();
        if (!empty) {
            tree.query(box.envelope(), item -> found.add(cast(item)));
        }
        return found;
    }

    @SuppressWarnings("unchecked")
    private T cast(Object item) {
        return (T) item;
    }
}
