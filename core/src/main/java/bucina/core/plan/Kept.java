package bucina.core.plan;

import java.util.List;

/**
 * A thing that is kept with a build beside its parts and sheets: a tool, a batch, a query. It has an id of the build's
 * own and lies in the list of its kind ({@link Shelf}).
 */
public interface Kept {

    /** Its id, given out by the build's counter. */
    Id id();

    /** What a complaint calls it, such as {@code tool Yoke, 3 in}. */
    String called();

    /** Parts it names; a build that has one of them not is refused. */
    default List<Id.Part> parts() {
        return List.of();
    }
}
