package bucina.store;

import bucina.core.bulletin.Bulletins;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.PartMark;
import bucina.core.measure.InputException;
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
import bucina.core.plan.Workshop;
import bucina.core.plan.Zone;
import bucina.core.rule.RuleKey;
import bucina.store.json.BuildJson;
import bucina.store.json.Json;
import bucina.store.json.Kind;
import bucina.store.json.Kinds;
import bucina.store.json.LogJson;
import bucina.store.json.PlanJson;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/*
 * Design. Entries are told by their hashes, marks by what they say, photographs by their content: each is there once.
 * The plan of one file is taken whole if the other's is one of those it came from. Else both were changed since they
 * parted: what is only in one is in the merged plan; where the same thing differs, the plan of the one whose text comes
 * later stands, and the other's values lie beside it as a bulletin that is not in force, to be looked at and switched.
 */

/** Brings two builds together that share a history. Nothing is dropped, and it does not matter which comes first. */
public final class Merge {

    /** What the bulletin with the other bench's values is called. */
    private static final String OTHER = "Other bench ";

    private Merge() {}

    /**
     * One of the two.
     *
     * @param document everything it holds
     * @param plans    tokens of its plan's changes, newest last
     */
    public record Side(Document document, List<String> plans) {

        private String newest() {
            return plans.isEmpty() ? "" : plans.getLast();
        }

        private boolean hasSeen(Side other) {
            return plans.contains(other.newest()) || other.plans.isEmpty();
        }
    }

    /**
     * Both together.
     *
     * @param document what the merged file holds
     * @param plans    tokens of its plan
     * @param said     what there is to know, a sentence each
     */
    public record Merged(Document document, List<String> plans, List<String> said) {}

    /**
     * Merges.
     *
     * @param today dates the bulletin, if there has to be one
     * @throws InputException if the two do not share a history
     */
    public static Merged of(Side a, Side b, LocalDate today) {
        List<String> said = new ArrayList<>();
        Map<Integer, Chain.Link> chain = new LinkedHashMap<>();
        List<LogEntry> entries = entries(a.document, b.document, chain, said);
        Plan plan = plan(a, b, today, said);
        List<Mark> marks =
                together(a.document.log().marks(), b.document.log().marks(), Mark::at, m -> Json.line(LogJson.mark(m)));
        List<PartMark> parts = together(
                a.document.log().partMarks(),
                b.document.log().partMarks(),
                PartMark::at,
                m -> Json.line(LogJson.partMark(m)));
        Map<String, Photo> photos = new TreeMap<>();
        a.document.photos().forEach(p -> photos.put(p.sha256(), p));
        b.document.photos().forEach(p -> photos.put(p.sha256(), p));
        Document merged =
                new Document(plan.build, Logbook.of(entries, marks, parts), List.copyOf(photos.values()), chain);
        return new Merged(merged, plan.tokens, said);
    }

    // ---- the log

    private record Bound(LogEntry entry, Chain.Text text) {}

    private static List<LogEntry> entries(Document a, Document b, Map<Integer, Chain.Link> chain, List<String> said) {
        Map<String, Bound> all = new HashMap<>();
        Map<String, String> corrected = new HashMap<>();
        gather(a, all, corrected);
        int mine = all.size();
        gather(b, all, corrected);
        List<Chain.Text> order =
                Chain.order(all.values().stream().map(Bound::text).toList());
        List<LogEntry> entries = new ArrayList<>();
        Map<String, Integer> numbers = new HashMap<>();
        int last = 0;
        int renumbered = 0;
        for (Chain.Text text : order) {
            int number = Math.max(text.first(), last + 1);
            renumbered += number == text.first() ? 0 : 1;
            LogEntry e = Objects.requireNonNull(all.get(text.hash())).entry;
            numbers.put(text.hash(), number);
            Optional<Integer> corrects =
                    Optional.ofNullable(corrected.get(text.hash())).map(numbers::get);
            entries.add(new LogEntry(number, e.entered(), corrects, e.deed(), e.reason()));
            chain.put(number, text.link());
            last = number;
        }
        said.add(entries.size() + " entries: "
                + (entries.size() - b.log().entries().size()) + " only in the first, "
                + (entries.size() - mine) + " only in the second"
                + (renumbered == 0 ? "." : "; " + renumbered + " got another number."));
        return entries;
    }

    private static void gather(Document d, Map<String, Bound> all, Map<String, String> corrected) {
        Map<Integer, Chain.Link> links = Chain.bind(d.log().entries(), d.chain());
        for (LogEntry e : d.log().entries()) {
            Chain.Link link = Objects.requireNonNull(links.get(e.id()));
            all.putIfAbsent(link.hash(), new Bound(e, Chain.Text.of(e, link)));
            e.corrects()
                    .ifPresent(c -> corrected.put(
                            link.hash(), Objects.requireNonNull(links.get(c)).hash()));
        }
    }

    /** What both have as it is; then what either has more, in the order of time. */
    private static <T> List<T> together(List<T> a, List<T> b, Function<T, Instant> at, Function<T, String> text) {
        int same = 0;
        while (same < a.size() && same < b.size() && a.get(same).equals(b.get(same))) {
            same++;
        }
        Map<String, List<T>> rest = new TreeMap<>();
        Map<String, Integer> counts = new HashMap<>();
        a.subList(same, a.size())
                .forEach(t -> rest.computeIfAbsent(text.apply(t), k -> new ArrayList<>())
                        .add(t));
        rest.forEach((k, list) -> counts.put(k, list.size()));
        for (T t : b.subList(same, b.size())) {
            String key = text.apply(t);
            if (counts.merge(key, -1, Integer::sum) < 0) {
                rest.computeIfAbsent(key, k -> new ArrayList<>()).add(t);
            }
        }
        List<T> all = new ArrayList<>(a.subList(0, same));
        rest.values().stream()
                .flatMap(List::stream)
                .sorted(Comparator.comparing(at).thenComparing(text))
                .forEach(all::add);
        return all;
    }

    // ---- the plan

    private record Plan(Build build, List<String> tokens) {}

    private static Plan plan(Side a, Side b, LocalDate today, List<String> said) {
        if (a.hasSeen(b)) {
            said.add("The plan of the first is the newer of one line: it stands.");
            return new Plan(next(a, b), tokens(a, b, false));
        }
        if (b.hasSeen(a)) {
            said.add("The plan of the second is the newer of one line: it stands.");
            return new Plan(next(b, a), tokens(b, a, false));
        }
        boolean first = text(a.document.build()).compareTo(text(b.document.build())) >= 0;
        Side stands = first ? a : b;
        Side other = first ? b : a;
        said.add("Both plans were changed: that of the " + (first ? "first" : "second")
                + " stands where the same thing differs.");
        Build build = new Together(stands.document.build(), other.document.build(), said).plan(today);
        return new Plan(build, tokens(stands, other, true));
    }

    /** The plan of one, with ids that neither gave out. */
    private static Build next(Side stands, Side other) {
        Build build = stands.document.build();
        return build.withNextId(Math.max(build.nextId(), other.document.build().nextId()));
    }

    private static String text(Build build) {
        return Json.line(BuildJson.plan(build));
    }

    private static List<String> tokens(Side stands, Side other, boolean fresh) {
        Set<String> all = new LinkedHashSet<>();
        List<Side> sides = new ArrayList<>(List.of(stands, other));
        sides.sort(Comparator.comparing(Side::newest));
        sides.forEach(s -> all.addAll(s.plans));
        String newest =
                fresh ? Chain.digest(sides.get(0).newest() + " " + sides.get(1).newest()) : stands.newest();
        all.remove(newest);
        List<String> tokens = new ArrayList<>(all);
        if (!newest.isEmpty()) {
            tokens.add(newest);
        }
        return tokens;
    }

    /** Two plans that were both changed since they parted. */
    private static final class Together {

        private final Build stands;
        private final Build other;
        private final List<String> said;
        private final List<String> notes = new ArrayList<>();
        private final Set<String> codes;
        private long next;

        Together(Build stands, Build other, List<String> said) {
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
            Paperwork papers = new Paperwork(shelf(
                    Kind.On.PAPERS, stands.papers().shelf(), other.papers().shelf()));
            Workshop shop = new Workshop(shelf(
                    Kind.On.WORKSHOP,
                    stands.workshop().shelf(),
                    other.workshop().shelf()));
            Build all = new Build(
                    stands.name(), stands.aircraft(), stands.rules(), next, parts, assemblies, stock(), papers, shop);
            differences();
            all = noted(all);
            return beside(all, today).checked();
        }

        private Assembly assembly(Assembly x, Assembly y) {
            return x.withFaces(union(x.faces(), y.faces(), Face::id, this::face));
        }

        private Face face(Face x, Face y) {
            Set<Id.Group> known = x.groups().stream().map(Group::id).collect(Collectors.toSet());
            List<Group> groups = union(x.groups(), y.groups(), Group::id, Together::group).stream()
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
            return x.withRows(union(x.rows(), y.rows(), Row::id, Together::row));
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
                        .filter(p -> p.standing() != part.standing()
                                || !p.particulars().equals(part.particulars()))
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
            Set<String> known =
                    build.workshop().jobs().stream().map(OwnJob::notes).collect(Collectors.toSet());
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
            Set<String> names =
                    all.papers().bulletins().stream().map(b -> b.name()).collect(Collectors.toSet());
            while (names.contains(name)) {
                name = OTHER + today + " " + n++;
            }
            Build begun = Bulletins.begin(all, name, today);
            Id.Bulletin id = begun.papers().bulletins().getLast().id();
            Build recorded = Bulletins.recorded(begun, new Replaced(begun, other).build(), id);
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

    /** A plan with the values another has of the same things. */
    private record Replaced(Build all, Build other) {

        Build build() {
            Map<Long, Part> parts = new HashMap<>();
            other.parts().forEach(p -> parts.put(p.id().n(), p));
            Map<Long, Layer> layers = new HashMap<>();
            Map<Long, Group> groups = new HashMap<>();
            Map<Long, Hole> holes = new HashMap<>();
            for (Build.FaceRef ref : other.faces()) {
                ref.face().layers().forEach(l -> layers.put(l.id().n(), l));
                for (Group g : ref.face().groups()) {
                    groups.put(g.id().n(), g);
                    g.rows().forEach(r -> r.holes().forEach(h -> holes.put(h.id().n(), h)));
                }
            }
            Build now = all.withParts(
                    all.parts().stream()
                            .map(p -> {
                                Part its = parts.get(p.id().n());
                                return its == null ? p : its.with(p.standing()).with(p.particulars());
                            })
                            .toList(),
                    all.nextId());
            for (Build.FaceRef ref : all.faces()) {
                Face face = ref.face();
                now = now.with(
                        face.withLayers(face.layers().stream()
                                        .map(l -> layers.getOrDefault(l.id().n(), l))
                                        .toList())
                                .withGroups(face.groups().stream()
                                        .map(g -> replaced(g, groups, holes))
                                        .toList()),
                        now.nextId());
            }
            return now;
        }

        private static Group replaced(Group g, Map<Long, Group> groups, Map<Long, Hole> holes) {
            Group its = groups.getOrDefault(g.id().n(), g);
            return its.named(g.code(), its.name())
                    .withRows(g.rows().stream()
                            .map(r -> new Row(
                                    r.id(),
                                    r.name(),
                                    r.nextLabel(),
                                    r.holes().stream()
                                            .map(h -> {
                                                Hole own = holes.getOrDefault(h.id().n(), h);
                                                return new Hole(h.id(), h.label(), own.at(), own.deviation());
                                            })
                                            .toList()))
                            .toList());
        }
    }
}
