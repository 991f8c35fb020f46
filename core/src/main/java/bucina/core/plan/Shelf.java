package bucina.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/** Lists of kept things, one for each kind, in the order they came. Immutable; a list that stays is shared. */
public final class Shelf {

    /** Nothing kept. */
    public static final Shelf NONE = new Shelf(Map.of());

    private final Map<Class<?>, List<Kept>> lists;

    private Shelf(Map<Class<?>, List<Kept>> lists) {
        this.lists = lists;
    }

    /** Everything of one kind, oldest first. */
    @SuppressWarnings("unchecked") // A list is only ever put under the class of what is in it.
    public <T extends Kept> List<T> all(Class<T> kind) {
        return (List<T>) lists.getOrDefault(kind, List.of());
    }

    /** Everything, kind by kind. */
    public List<Kept> all() {
        return lists.values().stream().flatMap(List::stream).toList();
    }

    /** With another list of one kind. */
    public <T extends Kept> Shelf with(Class<T> kind, List<T> things) {
        Map<Class<?>, List<Kept>> next = new LinkedHashMap<>(lists);
        if (things.isEmpty()) {
            next.remove(kind);
        } else {
            next.put(kind, List.copyOf(things));
        }
        return new Shelf(next);
    }

    /** With a thing added, or put in the place of the ones that are the same. */
    public <T extends Kept> Shelf with(Class<T> kind, T thing, Predicate<T> same) {
        List<T> next = new ArrayList<>(all(kind));
        next.replaceAll(t -> same.test(t) ? thing : t);
        if (all(kind).stream().noneMatch(same)) {
            next.add(thing);
        }
        return with(kind, next);
    }

    /** With a thing added, or put in the place of the one with its id. */
    public <T extends Kept> Shelf with(Class<T> kind, T thing) {
        return with(kind, thing, t -> t.id().equals(thing.id()));
    }

    /** Without the things of one kind that are so. */
    public <T extends Kept> Shelf without(Class<T> kind, Predicate<T> gone) {
        return with(kind, all(kind).stream().filter(gone.negate()).toList());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Shelf s && s.lists.equals(lists);
    }

    @Override
    public int hashCode() {
        return lists.hashCode();
    }

    @Override
    public String toString() {
        return lists.toString();
    }
}
