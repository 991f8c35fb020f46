package bucina.store;

import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.PartMark;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.store.json.BuildJson;
import bucina.store.json.Json;
import bucina.store.json.LogJson;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;

/*
 * Design. Entries are told by their hashes, marks by what they say, photographs by their content: each is there once.
 * The plan of one file is taken whole if the other's is one of those it came from. Else both were changed since they
 * parted: what is only in one is in the merged plan; where the same thing differs, the plan of the one whose text comes
 * later stands, and the other's values lie beside it as a bulletin that is not in force, to be looked at and switched.
 */

/** Brings two builds together that share a history. Nothing is dropped, and it does not matter which comes first. */
public final class Merge {

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
     * Sees that two share a history.
     *
     * @param first  which build the first is
     * @param second which the second
     * @throws InputException if they do not
     */
    public static void checkShared(Side a, Side b, String first, String second) {
        Chain.Link one = a.document.chain().get(1);
        Chain.Link two = b.document.chain().get(1);
        boolean alike = one != null && two != null && one.hash().equals(two.hash());
        if (!first.equals(second) && !alike) {
            throw new InputException(
                    a.document.build().name() + " and " + b.document.build().name()
                            + " are different builds that share no history: only copies of one build are"
                            + " merged, such as two benches' files that began as one");
        }
    }

    /**
     * Merges.
     *
     * @param today dates the bulletin, if there has to be one
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
        Build build = new MergedPlan(stands.document.build(), other.document.build(), said).plan(today);
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
}
