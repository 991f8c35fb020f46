package bucina.core.plan;

import java.util.List;

/**
 * What was asked, accepted and replaced.
 *
 * @param shelf queries, acceptances and bulletins
 */
public record Paperwork(Shelf shelf) {

    /** Nothing yet. */
    public static final Paperwork NONE = new Paperwork(Shelf.NONE);

    /** Questions about the drawing, oldest first. */
    public List<Query> queries() {
        return shelf.all(Query.class);
    }

    /** Findings accepted with a reason. */
    public List<Acceptance> accepted() {
        return shelf.all(Acceptance.class);
    }

    /** Changes by the maker, in the order they came. */
    public List<Bulletin> bulletins() {
        return shelf.all(Bulletin.class);
    }

    /** Departures from the drawing, oldest first. */
    public List<Departure> departures() {
        return shelf.all(Departure.class);
    }

    /** With a departure added, or put in the place of the one with its id. */
    public Paperwork with(Departure departure) {
        return new Paperwork(shelf.with(Departure.class, departure));
    }

    /** Without a departure. */
    public Paperwork without(Id.Departure id) {
        return new Paperwork(shelf.without(Departure.class, d -> d.id().equals(id)));
    }

    /** With a query added, or put in the place of the one with its id. */
    public Paperwork with(Query query) {
        return new Paperwork(shelf.with(Query.class, query));
    }

    /** With an acceptance added, or put in the place of the one with its id. */
    public Paperwork with(Acceptance acceptance) {
        return new Paperwork(shelf.with(Acceptance.class, acceptance));
    }

    /** Without an acceptance. */
    public Paperwork without(Id.Acceptance id) {
        return new Paperwork(shelf.without(Acceptance.class, a -> a.id().equals(id)));
    }

    /** With a bulletin added, or put in the place of the one with its id. */
    public Paperwork with(Bulletin bulletin) {
        return new Paperwork(shelf.with(Bulletin.class, bulletin));
    }
}
