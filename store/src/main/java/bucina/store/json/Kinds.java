package bucina.store.json;

import bucina.core.plan.Kept;
import bucina.core.plan.Shelf;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.stream.Stream;

/** Every kind of thing that is kept with a build. A new kind is one line here, its own classes and a migration. */
public final class Kinds {

    /** In the order they are written. */
    public static final List<Kind<?>> ALL = List.of(
            QueryJson.KIND,
            AcceptanceJson.KIND,
            BulletinJson.KIND,
            KeptSumJson.KIND,
            ToolJson.KIND,
            BatchJson.KIND,
            IndexMarkJson.KIND,
            FitReadingJson.KIND,
            OwnJobJson.KIND,
            OwnOrderJson.KIND,
            BayJson.KIND,
            DepartureJson.KIND,
            GagingJson.KIND,
            RunThroughJson.KIND,
            PinJson.KIND,
            StoresItemJson.KIND,
            PackedJson.KIND,
            BarJson.KIND,
            CanJson.KIND,
            WeighingJson.KIND);

    private Kinds() {}

    /** The kind of a kept thing. */
    public static Kind<?> of(Kept kept) {
        return ALL.stream()
                .filter(k -> k.type() == kept.getClass())
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("no kind is registered for " + kept.getClass()));
    }

    /** The kinds on one shelf. */
    public static Stream<Kind<?>> on(Kind.On on) {
        return ALL.stream().filter(k -> k.on() == on);
    }

    /** A shelf read kind by kind. */
    public static <E extends Exception> Shelf shelf(Kind.On on, Fill<E> fill) throws E {
        Shelf shelf = Shelf.NONE;
        for (Kind<?> kind : on(on).toList()) {
            shelf = fill.fill(shelf, kind);
        }
        return shelf;
    }

    /** Puts the things of one kind on a shelf. */
    @FunctionalInterface
    public interface Fill<E extends Exception> {

        /** The shelf with them. */
        Shelf fill(Shelf shelf, Kind<?> kind) throws E;
    }

    static ObjectNode write(Kind.On on, Shelf shelf) {
        ObjectNode node = PlanJson.NODES.objectNode();
        on(on).forEach(k -> k.writeOn(node, shelf));
        return node;
    }

    static Shelf read(Kind.On on, At at) {
        at.only(on(on).map(Kind::list).toArray(String[]::new));
        return shelf(on, (shelf, kind) -> kind.readOn(at, shelf));
    }
}
