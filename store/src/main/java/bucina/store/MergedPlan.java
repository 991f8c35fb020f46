package bucina.store;

import bucina.core.bulletin.Bulletins;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Kept;
import bucina.core.plan.Layer;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Paperwork;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.Shelf;
import bucina.core.plan.StoresItem;
import bucina.core.plan.Workshop;
import bucina.core.plan.Zone;
import bucina.core.rule.RuleKey;
import bucina.core.stores.Names;
import bucina.store.json.Json;
import bucina.store.json.Kind;
import bucina.store.json.Kinds;
import bucina.store.json.PlanJson;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Two plans that were both changed since they parted. */
final class MergedPlan {

    /** What the bulletin with the other bench's values is called. */
    private static final String OTHER = "Other bench ";

    private final Build stands;
    private final Build other;
    private final List<String> said;
    private final List<String> notes = new ArrayList<>();
    private final Set<String> codes;
    private long next;

    MergedPlan(Build stands, Build other, List<String> said) {
        this.stands = stands;
        this.other = other;
        this.said = said;
        this.next = Math.max(stands.nextId(), other.nextId());
        this.codes = stands.faces().stream()
                .flatMap(f -> f.face().groups().stream())
                .map(Group::code)
                .collect(Collectors.toSet());
    }

    Build plan(LocalDate today) {
        List<Part> parts = union(stands.parts(), other.parts(), Part::id, (x, y) -> x);
        List<Assembly> assemblies = union(stands.assemblies(), other.assemblies(), Assembly::id, this::assembly);
        Paperwork papers = new Paperwork(
                shelf(Kind.On.PAPERS, stands.papers().shelf(), other.papers().shelf()));
        Workshop shop = new Workshop(shelf(
                Kind.On.WORKSHOP, stands.workshop().shelf(), other.workshop().shelf()));
        Build all = new Build(
                stands.name(), stands.aircraft(), stands.rules(), next, parts, assemblies, stock(), papers, shop);
        oneKit(shop);
        differences();
        all = noted(all);
        return beside(all, today).checked();
    }

    private Assembly assembly(Assembly x, Assembly y) {
        return x.withFaces(union(x.faces(), y.faces(), Face::id, this::face));
    }

    private Face face(Face x, Face y) {
        Set<Id.Group> known = x.groups().stream().map(Group::id).collect(Collectors.toSet());
        List<Group> groups = union(x.groups(), y.groups(), Group::id, MergedPlan::group).stream()
                .map(g -> known.contains(g.id()) ? g : named(g))
                .toList();
        List<Zone> zones = union(x.zones(), y.zones(), Zone::id, (p, q) -> p);
        return x.withLayers(union(x.layers(), y.layers(), Layer::id, (p, q) -> p))
                .withGroups(distinct(groups))
                .withZones(zones);
    }

    /** A code that both benches gave to different groups is told apart. */
    private Group named(Group g) {
        if (codes.add(g.code())) {
            return g;
        }
        String code = g.code() + "-B";
        while (!codes.add(code)) {
            code = code + "B";
        }
        said.add("Group " + g.code() + " of the other bench is called " + code + ".");
        return g.named(code, g.name());
    }

    /** Rows of a face have names of their own. */
    private static List<Group> distinct(List<Group> groups) {
        Set<String> names = new HashSet<>();
        List<Group> result = new ArrayList<>();
        for (Group group : groups) {
            result.add(group.withRows(group.rows().stream()
                    .map(r -> {
                        String name = r.name();
                        while (!names.add(name)) {
                            name = name + "B";
                        }
                        return name.equals(r.name()) ? r : new Row(r.id(), name, r.nextLabel(), r.holes());
                    })
                    .toList()));
        }
        return result;
    }

    private static Group group(Group x, Group y) {
        return x.withRows(union(x.rows(), y.rows(), Row::id, MergedPlan::row));
    }

    /** Holes of both; a label that both gave to different holes is told apart. */
    private static Row row(Row x, Row y) {
        List<Hole> holes = union(x.holes(), y.holes(), Hole::id, (p, q) -> p);
        Set<Integer> labels = new HashSet<>();
        int next = Math.max(x.nextLabel(), y.nextLabel());
        List<Hole> told = new ArrayList<>();
        for (Hole hole : holes) {
            boolean free = labels.add(hole.label());
            if (!free) {
                labels.add(next);
            }
            told.add(free ? hole : new Hole(hole.id(), next++, hole.at(), hole.deviation()));
        }
        return new Row(x.id(), x.name(), next, told);
    }

    private interface Both<T> {
        T of(T x, T y);
    }

    /** What is in the first, brought together with what is the same in the second; then what is only there. */
    private static <T> List<T> union(List<T> x, List<T> y, Function<T, ? extends Id> id, Both<T> both) {
        Map<Long, T> second = new LinkedHashMap<>();
        y.forEach(t -> second.put(id.apply(t).n(), t));
        List<T> all = new ArrayList<>();
        for (T t : x) {
            T same = second.remove(id.apply(t).n());
            all.add(same == null ? t : both.of(t, same));
        }
        all.addAll(second.values());
        return all;
    }

    // ---- what is kept beside

    private Shelf shelf(Kind.On on, Shelf x, Shelf y) {
        return Kinds.shelf(on, (shelf, kind) -> kept(kind, shelf, x, y));
    }

    private <T extends Kept> Shelf kept(Kind<T> kind, Shelf into, Shelf x, Shelf y) {
        List<T> all = new ArrayList<>(x.all(kind.type()));
        Map<Long, T> ids = new HashMap<>();
        all.forEach(t -> ids.put(t.id().n(), t));
        Set<String> bodies = all.stream().map(t -> kind.without(t)).collect(Collectors.toSet());
        for (T t : y.all(kind.type())) {
            T same = ids.get(t.id().n());
            if (same == null) {
                all.add(t);
            } else if (!same.equals(t) && !bodies.contains(kind.without(t))) {
                all.add(kind.as(t, next++));
                said.add(t.called() + " differs: both are kept.");
            }
        }
        return into.with(kind.type(), all);
    }

    /** Hardware that both benches counted is one kit: the larger count, and what each bought. */
    private void oneKit(Workshop shop) {
        Set<String> seen = new HashSet<>();
        Set<String> twice = new TreeSet<>();
        for (StoresItem item : shop.stores()) {
            if (!seen.add(Names.one(item.designation()))) {
                twice.add(Names.one(item.designation()));
            }
        }
        if (!twice.isEmpty()) {
            said.add("Counted on both benches and taken as one kit, with the larger count and what each bought: "
                    + String.join(", ", twice) + ".");
        }
    }

    private Map<String, Integer> stock() {
        Map<String, Integer> stock = new TreeMap<>(other.stock());
        stands.stock().forEach((designation, count) -> {
            Integer there = stock.get(designation);
            if (there != null && !there.equals(count)) {
                notes.add("count " + designation + " again: " + Math.min(count, there) + " on one bench, "
                        + Math.max(count, there) + " on the other");
            }
            stock.put(designation, there == null ? count : Math.min(count, there));
        });
        return stock;
    }

    // ---- what differs

    private void differences() {
        for (RuleKey key : RuleKey.values()) {
            String mine = stands.rules().rule(key).value();
            String its = other.rules().rule(key).value();
            if (!mine.equals(its)) {
                notes.add("rule " + key.code() + ": " + mine + " stands, the other bench has " + its);
            }
        }
        for (Part part : stands.parts()) {
            other.parts().stream()
                    .filter(p -> p.id().equals(part.id()))
                    .filter(p ->
                            p.standing() != part.standing() || !p.particulars().equals(part.particulars()))
                    .forEach(p -> notes.add("part " + part.name() + ": on the other bench it stands "
                            + p.standing().code() + ", and says "
                            + Json.line(PlanJson.part(p))));
        }
        if (!stands.name().equals(other.name()) || !stands.aircraft().equals(other.aircraft())) {
            notes.add("the other bench calls the build " + other.name() + ", " + other.aircraft());
        }
    }

    /** What cannot lie in a bulletin is a job of the builder's own: to look at it. */
    private Build noted(Build build) {
        Build now = build;
        Set<String> known = build.workshop().jobs().stream().map(OwnJob::notes).collect(Collectors.toSet());
        for (String note : notes) {
            said.add("To look at: " + note + ".");
            if (known.add(note)) {
                OwnJob job = new OwnJob(
                        new Id.Own(now.nextId()), "Compare after merging", "", Optional.empty(), List.of(), note);
                now = now.withWorkshop(now.workshop().with(job), now.nextId() + 1);
            }
        }
        return now;
    }

    /** The other bench's values of what both have, as a bulletin that is not in force. */
    private Build beside(Build all, LocalDate today) {
        String name = OTHER + today;
        int n = 2;
        Set<String> names = all.papers().bulletins().stream().map(b -> b.name()).collect(Collectors.toSet());
        while (names.contains(name)) {
            name = OTHER + today + " " + n++;
        }
        Build begun = Bulletins.begin(all, name, today);
        Id.Bulletin id = begun.papers().bulletins().getLast().id();
        Build recorded = Bulletins.recorded(begun, new OtherValues(begun, other).build(), id);
        int changes = Bulletins.of(recorded, id).changes().size();
        if (changes == 0) {
            return all;
        }
        said.add(changes + (changes == 1 ? " thing differs" : " things differ")
                + ": the other bench's values are the" + " bulletin \"" + name
                + "\", not in force. Look at it under Papers and switch it if it is right.");
        return Bulletins.switched(recorded, id);
    }
}
