package bucina.core.bulletin;

import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Bulletin;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/** Records bulletins, switches them, and says what they changed. */
public final class Bulletins {

    private Bulletins() {}

    /**
     * The build with an empty bulletin in force; what is edited while it is written goes into it by {@link #recorded}.
     */
    public static Build begin(Build build, String name, LocalDate dated) {
        checkName(name, build);
        Bulletin bulletin = new Bulletin(new Id.Bulletin(build.nextId()), name.strip(), dated, true, List.of());
        return build.withPapers(build.papers().with(bulletin), build.nextId() + 1);
    }

    private static void checkName(String name, Build build) {
        if (name.isBlank()) {
            throw new InputException("a bulletin needs the maker's name for it, such as \"SL 31-02\"");
        }
        if (build.papers().bulletins().stream().anyMatch(b -> b.name().equalsIgnoreCase(name.strip()))) {
            throw new InputException("there is a bulletin " + name.strip()
                    + " already: give this one its own name, such as \"" + name.strip() + " rev B\"");
        }
    }

    /** The bulletin with this id. */
    public static Bulletin of(Build build, Id.Bulletin id) {
        return build.papers().bulletins().stream()
                .filter(b -> b.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new InputException("that bulletin is no longer in the build"));
    }

    /** {@code after} with the differences from {@code before} added to a bulletin that is being written. */
    public static Build recorded(Build before, Build after, Id.Bulletin id) {
        Bulletin bulletin = of(after, id);
        Map<Long, Bulletin.Change<?>> changes = new LinkedHashMap<>();
        bulletin.changes().forEach(c -> changes.put(id(c.any()).n(), c));
        gather(before, after, changes);
        dropSame(changes);
        Bulletin next = new Bulletin(
                bulletin.id(), bulletin.name(), bulletin.dated(), bulletin.inForce(), List.copyOf(changes.values()));
        return after.withPapers(after.papers().with(next), after.nextId());
    }

    private static void dropSame(Map<Long, Bulletin.Change<?>> changes) {
        changes.values()
                .removeIf(c -> c.was().isPresent()
                        && c.is().isPresent()
                        && same(c.was().get(), c.is().get()));
    }

    private static void gather(Build before, Build after, Map<Long, Bulletin.Change<?>> changes) {
        Map<Long, Item> old = items(before);
        Map<Long, Item> now = items(after);
        old.forEach((n, was) -> {
            Item is = now.get(n);
            if (is == null || !same(was.record, is.record)) {
                put(changes, n, was, Optional.ofNullable(is));
            }
        });
        now.forEach((n, is) -> {
            if (!old.containsKey(n)) {
                put(changes, n, null, Optional.of(is));
            }
        });
    }

    private static void put(Map<Long, Bulletin.Change<?>> changes, long n, @Nullable Item was, Optional<Item> is) {
        Bulletin.Change<?> already = changes.get(n);
        Optional<Object> first = already == null
                ? Optional.ofNullable(was).map(Item::record)
                : already.was().map(x -> (Object) x);
        Optional<Id> in = is.or(() -> Optional.ofNullable(was)).flatMap(Item::in);
        if (first.isEmpty() && is.isEmpty()) {
            changes.remove(n);
        } else {
            changes.put(n, new Bulletin.Change<>(in, first, is.map(Item::record)));
        }
    }

    /** A part, layer, group head or row, and what it is in. */
    private record Item(Optional<Id> in, Object record) {}

    private static Map<Long, Item> items(Build build) {
        Map<Long, Item> items = new LinkedHashMap<>();
        build.parts().forEach(p -> items.put(p.id().n(), new Item(Optional.empty(), p)));
        for (Build.FaceRef ref : build.faces()) {
            putFace(ref, items);
        }
        return items;
    }

    private static void putFace(Build.FaceRef ref, Map<Long, Item> items) {
        Face face = ref.face();
        face.layers().forEach(l -> items.put(l.id().n(), new Item(Optional.of(face.id()), l)));
        for (Group group : face.groups()) {
            items.put(group.id().n(), new Item(Optional.of(face.id()), group.withRows(List.of())));
            group.rows().forEach(r -> items.put(r.id().n(), new Item(Optional.of(group.id()), r)));
        }
    }

    private static boolean same(Object a, Object b) {
        return a.equals(b)
                || a instanceof Part x
                        && b instanceof Part y
                        && x.with(y.standing()).with(y.particulars()).equals(y);
    }

    private static Id id(Object record) {
        return switch (record) {
            case Part p -> p.id();
            case Layer l -> l.id();
            case Group g -> g.id();
            case Row r -> r.id();
            default -> throw new IllegalStateException("a bulletin does not change " + record.getClass());
        };
    }

    // ---- switching

    /**
     * The build with a bulletin switched: the values it holds change places with those in the plan, which are kept as
     * they are now.
     */
    public static Build switched(Build build, Id.Bulletin id) {
        Bulletin bulletin = of(build, id);
        boolean on = !bulletin.inForce();
        Map<Long, Item> now = items(build);
        Build next = build;
        List<Bulletin.Change<?>> changes = new ArrayList<>();
        for (Bulletin.Change<?> change :
                on ? bulletin.changes() : bulletin.changes().reversed()) {
            next = turn(now, change, on, next, changes);
        }
        Bulletin turned =
                new Bulletin(bulletin.id(), bulletin.name(), bulletin.dated(), on, on ? changes : changes.reversed());
        return next.withPapers(next.papers().with(turned), next.nextId());
    }

    private static Build turn(
            Map<Long, Item> now, Bulletin.Change<?> change, boolean on, Build next, List<Bulletin.Change<?>> changes) {
        Optional<Object> current =
                Optional.ofNullable(now.get(id(change.any()).n())).map(Item::record);
        Optional<Object> wanted = (on ? change.is() : change.was()).map(x -> (Object) x);
        next = replaced(next, change.in(), current, wanted);
        Optional<Object> was = on ? current : change.was().map(x -> (Object) x);
        Optional<Object> is = on ? change.is().map(x -> (Object) x) : current;
        if (was.isPresent() || is.isPresent()) {
            changes.add(new Bulletin.Change<>(change.in(), was, is));
        }
        return next;
    }

    private static Build replaced(Build build, Optional<Id> in, Optional<Object> current, Optional<Object> wanted) {
        Object any = wanted.or(() -> current).orElse(null);
        return switch (any) {
            case null -> build;
            case Part p -> build.withParts(swap(build.parts(), current, wanted, Part.class), build.nextId());
            case Layer l -> face(build, in, f -> f.withLayers(swap(f.layers(), current, wanted, Layer.class)));
            case Group g -> face(build, in, f -> f.withGroups(groups(f, current, wanted)));
            case Row r -> rows(build, in, current, wanted);
            default -> throw new IllegalStateException("a bulletin does not change " + any.getClass());
        };
    }

    private static Build face(Build build, Optional<Id> in, UnaryOperator<Face> change) {
        for (Build.FaceRef ref : build.faces()) {
            if (in.filter(i -> i.equals(ref.face().id())).isPresent()) {
                return build.with(change.apply(ref.face()), build.nextId());
            }
        }
        return build;
    }

    /** Group heads change places; the rows stay where they are, their own changes see to them. */
    private static List<Group> groups(Face face, Optional<Object> current, Optional<Object> wanted) {
        List<Group> groups = new ArrayList<>(face.groups());
        Id.Group id = ((Group) wanted.or(() -> current).orElseThrow()).id();
        int at = groups.stream().map(Group::id).toList().indexOf(id);
        if (wanted.isEmpty()) {
            groups.remove(at);
        } else if (at < 0) {
            groups.add((Group) wanted.get());
        } else {
            groups.set(at, ((Group) wanted.get()).withRows(groups.get(at).rows()));
        }
        return groups;
    }

    private static Build rows(Build build, Optional<Id> in, Optional<Object> current, Optional<Object> wanted) {
        for (Build.FaceRef ref : build.faces()) {
            for (int g = 0; g < ref.face().groups().size(); g++) {
                Group group = ref.face().groups().get(g);
                if (in.filter(i -> i.equals(group.id())).isPresent()) {
                    List<Group> groups = new ArrayList<>(ref.face().groups());
                    groups.set(g, group.withRows(swap(group.rows(), current, wanted, Row.class)));
                    return build.with(ref.face().withGroups(groups), build.nextId());
                }
            }
        }
        return build;
    }

    private static <T> List<T> swap(List<T> list, Optional<Object> current, Optional<Object> wanted, Class<T> kind) {
        List<T> next = new ArrayList<>(list);
        int at = current.map(c -> next.indexOf(kind.cast(c))).orElse(-1);
        if (at >= 0 && wanted.isPresent()) {
            next.set(at, kind.cast(wanted.get()));
        } else if (at >= 0) {
            next.remove(at);
        } else {
            wanted.ifPresent(w -> next.add(kind.cast(w)));
        }
        return next;
    }
}
