package bucina.store;

import bucina.core.log.LogEntry;
import bucina.core.measure.InputException;
import bucina.store.json.Json;
import bucina.store.json.LogJson;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/*
 * Design. An entry's number is not in its hash, since a merge gives new ones; the number it was written under is. The
 * entries of a log have one order, by what they follow, then by when they were entered, then by hash; and in that order
 * an entry has the number it was written under, or one more than the entry before if that is greater. So a number that
 * is not what it was is found, and a merge numbers the same whichever way round it is done.
 */

/**
 * The hashes that bind the entries of a log to each other. They show that something was changed after a hash left the
 * house, no more; they say nothing about the work.
 */
public final class Chain {

    private static final Comparator<Text> ORDER =
            Comparator.comparing(Text::entered).thenComparing(Text::hash);

    private Chain() {}

    /**
     * What binds one entry.
     *
     * @param follows hashes of the entries it follows, sorted; none for the first, several after a merge
     * @param first   the number it was written under, over 0
     * @param hash    SHA-256 of the entry with all this, lower-case hex
     */
    public record Link(List<String> follows, int first, String hash) {
        public Link {
            follows = List.copyOf(follows);
        }
    }

    /**
     * An entry as it is written down.
     *
     * @param id       its number
     * @param entered  when, as written
     * @param corrects number of the entry it corrects; null for none
     * @param work     as written; null where it only withdraws
     * @param reason   as written
     * @param follows  hashes, with spaces
     * @param first    the number it was written under
     * @param hash     as written
     */
    public record Text(
            int id,
            String entered,
            @Nullable Integer corrects,
            @Nullable String work,
            String reason,
            String follows,
            int first,
            String hash) {

        /** An entry with what binds it. */
        static Text of(LogEntry e, Link link) {
            return new Text(
                    e.id(),
                    e.entered().toString(),
                    e.corrects().orElse(null),
                    Chain.work(e),
                    e.reason(),
                    String.join(" ", link.follows),
                    link.first,
                    link.hash);
        }

        /** What binds it. */
        public Link link() {
            return new Link(followed(), first, hash);
        }

        List<String> followed() {
            return follows.isEmpty() ? List.of() : List.of(follows.split(" ", -1));
        }
    }

    /** What was done as it is written down; null where an entry only withdraws another. */
    public static @Nullable String work(LogEntry entry) {
        return entry.deed().map(d -> Json.line(LogJson.deed(d))).orElse(null);
    }

    /**
     * The hash of an entry: SHA-256 over its fields, each as its length in bytes, a colon and its bytes in UTF-8.
     *
     * @param corrected hash of the entry it corrects; empty for none
     */
    public static String hash(Text e, String corrected) {
        MessageDigest digest = sha256();
        for (String field : List.of(
                "bucina-entry",
                e.entered,
                corrected,
                e.work == null ? "-" : "+" + e.work,
                e.reason,
                e.follows,
                String.valueOf(e.first))) {
            byte[] bytes = field.getBytes(StandardCharsets.UTF_8);
            digest.update((bytes.length + ":").getBytes(StandardCharsets.US_ASCII));
            digest.update(bytes);
        }
        return HexFormat.of().formatHex(digest.digest());
    }

    /** A short name for a text: the beginning of its SHA-256. */
    static String digest(String text) {
        return HexFormat.of()
                .formatHex(sha256().digest(text.getBytes(StandardCharsets.UTF_8)))
                .substring(0, 13);
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("this Java has no SHA-256", e);
        }
    }

    /**
     * Binds entries that are not bound yet, each to the newest before it.
     *
     * @param bound what binds those that are; their hashes stay
     */
    public static Map<Integer, Link> bind(List<LogEntry> entries, Map<Integer, Link> bound) {
        Map<Integer, Link> links = new LinkedHashMap<>();
        Set<String> heads = new TreeSet<>();
        for (LogEntry entry : entries) {
            Link link = bound.get(entry.id());
            if (link == null) {
                String corrected = entry.corrects()
                        .map(c -> Objects.requireNonNull(links.get(c)).hash)
                        .orElse("");
                link = link(entry, new ArrayList<>(heads), corrected);
            }
            link.follows.forEach(heads::remove);
            heads.add(link.hash);
            links.put(entry.id(), link);
        }
        return links;
    }

    /** What binds one new entry to the newest there are. */
    public static Link link(LogEntry entry, List<String> heads, String corrected) {
        Link open = new Link(heads.stream().sorted().toList(), entry.id(), "");
        return new Link(open.follows, entry.id(), hash(Text.of(entry, open), corrected));
    }

    /** What binds entries as they are written, by their numbers. */
    public static Map<Integer, Link> links(List<Text> entries) {
        Map<Integer, Link> links = new LinkedHashMap<>();
        entries.forEach(e -> links.put(e.id(), e.link()));
        return links;
    }

    /**
     * What binds entries, where each is bound by hashes at all.
     *
     * @throws InputException naming the first entry that is not
     */
    public static Map<Integer, Link> wellBound(List<Text> entries) {
        for (Text entry : entries) {
            Stream.concat(Stream.of(entry.hash), entry.followed().stream())
                    .filter(h -> !h.matches("[0-9a-f]{64}"))
                    .findFirst()
                    .ifPresent(h -> {
                        throw new InputException("entry " + entry.id + " is bound to \"" + h
                                + "\", which is no hash; `log FILE verify` says what is broken");
                    });
        }
        return links(entries);
    }

    /** The newest hashes: those that no entry follows, sorted. */
    public static List<String> heads(Collection<Link> links) {
        Set<String> heads = new TreeSet<>();
        links.forEach(l -> heads.add(l.hash));
        links.forEach(l -> l.follows.forEach(heads::remove));
        return List.copyOf(heads);
    }

    /**
     * What was found.
     *
     * @param broken number of the first entry that is not what was written, or that comes after one which is missing;
     *     one over the last where the end is missing; empty where all is well
     * @param why    in words; empty where all is well
     */
    public record Verified(Optional<Integer> broken, String why) {}

    /**
     * Goes through a log.
     *
     * @param entries as they are written, in the order of their numbers
     * @param count   how many there must be
     * @param heads   the newest hashes there must be, sorted
     */
    public static Verified verify(List<Text> entries, int count, List<String> heads) {
        Map<Integer, String> hashes = new HashMap<>();
        Set<String> before = new HashSet<>();
        Set<String> newest = new TreeSet<>();
        int last = 0;
        for (Text e : entries) {
            Optional<String> wrong = wrong(e, hashes, before, last);
            if (wrong.isPresent()) {
                return new Verified(Optional.of(e.id), "entry " + e.id + " " + wrong.get());
            }
            e.followed().forEach(newest::remove);
            newest.add(e.hash);
            hashes.put(e.id, e.hash);
            before.add(e.hash);
            last = e.id;
        }
        List<Text> ordered = order(entries);
        for (int i = 0; i < entries.size(); i++) {
            if (entries.get(i) != ordered.get(i)) {
                int id = entries.get(i).id;
                return new Verified(Optional.of(id), "entry " + id + " is not in its place");
            }
        }
        if (entries.size() != count || !List.copyOf(newest).equals(heads)) {
            return new Verified(
                    Optional.of(last + 1),
                    "the log has " + entries.size() + " entries where the build says " + count
                            + ", or its end is not the one the build names");
        }
        return new Verified(Optional.empty(), "");
    }

    private static Optional<String> wrong(Text e, Map<Integer, String> hashes, Set<String> before, int last) {
        String corrected = e.corrects == null ? "" : hashes.getOrDefault(e.corrects, "?");
        if (!hash(e, corrected).equals(e.hash)) {
            return Optional.of("is not what was written");
        }
        List<String> follows = e.followed();
        if (!before.containsAll(follows)) {
            return Optional.of("follows an entry that is not there");
        }
        return e.id == Math.max(e.first, last + 1)
                ? Optional.empty()
                : Optional.of("was written as number " + e.first + " and cannot have this one");
    }

    /** Entries in the one order they have. Those whose forerunners are missing come last. */
    public static List<Text> order(Collection<Text> entries) {
        Map<String, Set<String>> waits = new HashMap<>();
        Map<String, List<Text>> then = new HashMap<>();
        Set<String> all = new HashSet<>();
        entries.forEach(e -> all.add(e.hash));
        PriorityQueue<Text> ready = new PriorityQueue<>(ORDER);
        for (Text e : entries) {
            Set<String> on = new LinkedHashSet<>(e.followed());
            waits.put(e.hash, on);
            on.forEach(h -> then.computeIfAbsent(h, x -> new ArrayList<>()).add(e));
            if (on.isEmpty()) {
                ready.add(e);
            }
        }
        List<Text> order = new ArrayList<>();
        while (!ready.isEmpty()) {
            Text e = ready.remove();
            order.add(e);
            for (Text next : then.getOrDefault(e.hash, List.of())) {
                Set<String> left = Objects.requireNonNull(waits.get(next.hash));
                if (left.remove(e.hash) && left.isEmpty()) {
                    ready.add(next);
                }
            }
        }
        Set<Text> there = new HashSet<>(order);
        entries.stream().filter(e -> !there.contains(e)).forEach(order::add);
        return order;
    }
}
