package bucina.core.plan;

import java.util.ArrayList;
import java.util.List;

/**
 * What was asked, accepted and replaced.
 *
 * @param queries   questions about the drawing, oldest first
 * @param accepted  findings accepted with a reason
 * @param bulletins changes by the maker, in the order they came
 */
public record Paperwork(List<Query> queries, List<Acceptance> accepted, List<Bulletin> bulletins) {

    /** Nothing yet. */
    public static final Paperwork NONE = new Paperwork(List.of(), List.of(), List.of());

    public Paperwork {
        queries = List.copyOf(queries);
        accepted = List.copyOf(accepted);
        bulletins = List.copyOf(bulletins);
    }

    /** With a query added, or put in the place of the one with its id. */
    public Paperwork with(Query query) {
        return new Paperwork(put(queries, query, q -> q.id().equals(query.id())), accepted, bulletins);
    }

    /** With an acceptance added. */
    public Paperwork with(Acceptance acceptance) {
        return new Paperwork(queries, put(accepted, acceptance, a -> a.id().equals(acceptance.id())), bulletins);
    }

    /** Without an acceptance. */
    public Paperwork without(Id.Acceptance id) {
        return new Paperwork(
                queries, accepted.stream().filter(a -> !a.id().equals(id)).toList(), bulletins);
    }

    /** With a bulletin added, or put in the place of the one with its id. */
    public Paperwork with(Bulletin bulletin) {
        return new Paperwork(queries, accepted, put(bulletins, bulletin, b -> b.id().equals(bulletin.id())));
    }

    private static <T> List<T> put(List<T> list, T one, java.util.function.Predicate<T> same) {
        List<T> next = new ArrayList<>(list);
        for (int i = 0; i < next.size(); i++) {
            if (same.test(next.get(i))) {
                next.set(i, one);
                return next;
            }
        }
        next.add(one);
        return next;
    }
}
