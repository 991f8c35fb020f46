package bucina.store.json;

import bucina.core.plan.Build;
import bucina.core.plan.Kept;
import bucina.core.plan.Shelf;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.function.Function;

/**
 * How one kind of kept thing is written and read. It is declared once, in the class of its JSON, and registered in
 * {@link Kinds}: the tables, the export and the difference of two builds go by that list.
 *
 * @param type  the record
 * @param on    which shelf of the build it lies on
 * @param list  its list in the JSON of that shelf
 * @param table its table in the build file
 * @param first whether the JSON of that shelf had the list from the first: a document without it is refused
 * @param write the record as a tree
 * @param read  and back
 */
public record Kind<T extends Kept>(
        Class<T> type,
        On on,
        String list,
        String table,
        boolean first,
        Function<T, ObjectNode> write,
        Function<At, T> read) {

    /** The shelves of a build. */
    public enum On {
        /** What was asked, accepted and replaced. */
        PAPERS(b -> b.papers().shelf()),
        /** What lies on the bench. */
        WORKSHOP(b -> b.workshop().shelf());

        private final Function<Build, Shelf> shelf;

        On(Function<Build, Shelf> shelf) {
            this.shelf = shelf;
        }

        /** This shelf of a build. */
        public Shelf of(Build build) {
            return shelf.apply(build);
        }
    }

    /** What makes its table. */
    public String create() {
        return "CREATE TABLE " + table
                + " (id INTEGER PRIMARY KEY, parent INTEGER NOT NULL, position INTEGER NOT NULL, body TEXT NOT NULL)";
    }

    /** One thing of this kind as the text of its column in the build file. */
    public String body(Kept kept) {
        return Json.line(write.apply(type.cast(kept)));
    }

    /**
     * Reads one column of the build file.
     *
     * @throws bucina.core.measure.InputException if it is not of this kind
     */
    public T from(String body) {
        return read.apply(new At(Json.read(body), table));
    }

    /** One thing without its id: two that say the same read alike. */
    public String without(Kept kept) {
        ObjectNode node = write.apply(type.cast(kept)).deepCopy();
        node.remove("id");
        return Json.line(node);
    }

    /** The same thing under another id. */
    public T as(Kept kept, long id) {
        return read.apply(new At(write.apply(type.cast(kept)).deepCopy().put("id", id), table));
    }

    void writeOn(ObjectNode node, Shelf shelf) {
        node.set(list, PlanJson.array(shelf.all(type), write));
    }

    Shelf readOn(At at, Shelf shelf) {
        boolean there = first || at.maybe(list).isPresent();
        return there ? shelf.with(type, at.list(list, read)) : shelf;
    }
}
