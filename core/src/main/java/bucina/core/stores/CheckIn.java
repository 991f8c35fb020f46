package bucina.core.stores;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Packed;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import bucina.core.sheet.Box;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/*
 * Design. A line of the list finds its parts by their numbers, names and other names, each time it is asked: a part
 * that is renamed or made later is found as well. Maps are made once, so that a list of thousands is no work.
 */

/** The packing list held against what was found and what the plan wants. */
public final class CheckIn {

    /** Within a twentieth of the gauge called for, or this, whichever is larger: typical. */
    private static final Length GAUGE_WITHIN = Length.in(.002);

    private static final double GAUGE_SHARE = .05;
    /** A length within this is as called for: typical. */
    private static final Length LENGTH_WITHIN = Length.in(1 / 16.0);

    private final Build build;
    private final Map<String, List<Part>> parts = new HashMap<>();
    /** Designations in the stores, by their one spelling. */
    private final Set<String> kept = new HashSet<>();

    public CheckIn(Build build) {
        this.build = build;
        build.workshop().stores().forEach(i -> kept.add(Names.key(i.designation())));
        for (Part part : build.parts()) {
            Particulars said = part.particulars();
            Set<String> names = new HashSet<>();
            names.add(key(part.name()));
            names.add(key(said.number()));
            said.aliases().forEach(a -> names.add(key(a)));
            names.remove("");
            names.forEach(n -> parts.computeIfAbsent(n, k -> new ArrayList<>()).add(part));
        }
    }

    /** How a line stands. */
    public enum State {
        NOT_YET("not looked for"),
        RIGHT("as the list says"),
        SHORT("short"),
        DOUBLED("more than the list says"),
        GAUGE("wrong gauge"),
        LENGTH("wrong length");

        private final String word;

        State(String word) {
            this.word = word;
        }

        /** In plain words. */
        public String word() {
            return word;
        }
    }

    private static String key(String text) {
        return text.strip().replaceAll("\\s+", " ").toUpperCase(Locale.ROOT);
    }

    /** Parts of the plan that a line is about: those of its number, else of its name; none for hardware. */
    public List<Part> parts(Packed line) {
        List<Part> numbered = parts.getOrDefault(key(line.number()), List.of());
        return !numbered.isEmpty() && !line.number().isBlank()
                ? numbered
                : parts.getOrDefault(key(line.name()), List.of());
    }

    /** The designation a line is about where it is hardware; empty for a part. */
    public Optional<String> hardware(Packed line) {
        if (!parts(line).isEmpty()) {
            return Optional.empty();
        }
        return List.of(line.number(), line.name()).stream()
                .filter(t -> !t.isBlank())
                .filter(t -> Names.fastener(t) || kept.contains(Names.key(t)))
                .findFirst()
                .map(Names::one);
    }

    /** How a line stands: what is wrong with a thing before how many there are. */
    public static State state(Packed line) {
        Packed.Found found = line.found();
        if (found.gauge().isPresent() && wrongGauge(line, found.gauge().get())) {
            return State.GAUGE;
        }
        if (found.length().isPresent()
                && line.length()
                        .filter(l -> !l.minus(found.length().get()).abs().atMost(LENGTH_WITHIN))
                        .isPresent()) {
            return State.LENGTH;
        }
        if (found.count().isEmpty()) {
            return State.NOT_YET;
        }
        int n = found.count().get();
        return n < line.count() ? State.SHORT : n > line.count() ? State.DOUBLED : State.RIGHT;
    }

    /** How long and how wide the one sheet of a line's parts is drawn, flat; empty where there is not just one. */
    public Optional<Size> drawn(Packed line) {
        Set<Id.Part> own = new HashSet<>();
        parts(line).forEach(p -> own.add(p.id()));
        List<Size> sizes = build.faces().stream()
                .flatMap(f -> f.face().layers().stream())
                .filter(l -> own.contains(l.part()))
                .map(l -> Size.of(l.outline().box()))
                .toList();
        return sizes.stream()
                .findFirst()
                .filter(first -> sizes.stream()
                        .allMatch(s -> s.length.minus(first.length).abs().atMost(LENGTH_WITHIN)
                                && s.width.minus(first.width).abs().atMost(LENGTH_WITHIN)));
    }

    /**
     * A sheet by its outline.
     *
     * @param length the longer way
     * @param width  the shorter
     */
    public record Size(Length length, Length width) {

        static Size of(Box box) {
            double x = box.maxX() - box.minX();
            double y = box.maxY() - box.minY();
            return new Size(new Length(Math.max(x, y)), new Length(Math.min(x, y)));
        }

        /** True if what was measured of it is another size. */
        public boolean differs(Packed.Found found) {
            return found.length()
                            .filter(l -> !l.minus(length).abs().atMost(LENGTH_WITHIN))
                            .isPresent()
                    || found.width()
                            .filter(w -> !w.minus(width).abs().atMost(LENGTH_WITHIN))
                            .isPresent();
        }
    }

    private static boolean wrongGauge(Packed line, Length measured) {
        return line.gauge()
                .filter(g -> !g.minus(measured).abs().atMost(within(g)))
                .isPresent();
    }

    /** How far a gauge may be from the one called for: ± 5 % or .002 in, the larger. */
    public static Length within(Length called) {
        return called.times(GAUGE_SHARE).max(GAUGE_WITHIN);
    }

    /** What the list and the plan do not have alike, a sentence each. */
    public List<Sentence> differs() {
        List<Sentence> all = new ArrayList<>();
        Set<Part> listed = new HashSet<>();
        for (Packed line : build.workshop().packing()) {
            List<Part> own = parts(line);
            listed.addAll(own);
            if (own.isEmpty() && hardware(line).isEmpty()) {
                all.add(Sentence.of(called(line) + " is on the list and not in the plan."));
            }
            if (!own.isEmpty() && own.size() != line.count()) {
                all.add(Sentence.of(
                        called(line) + ": the list has " + line.count() + ", the plan " + own.size() + "."));
            }
            line.gauge()
                    .ifPresent(g -> own.stream()
                            .filter(p -> p.particulars()
                                    .called()
                                    .filter(c -> !c.minus(g).abs().atMost(within(c)))
                                    .isPresent())
                            .forEach(p -> all.add(Sentence.of(
                                    p.name() + ": the list calls for {}, the plan for {}.",
                                    g,
                                    p.particulars().called().orElseThrow()))));
        }
        if (!build.workshop().packing().isEmpty()) {
            build.parts().stream()
                    .filter(p -> p.kind() != Part.Kind.NUT_PLATES && !listed.contains(p))
                    .forEach(p -> all.add(Sentence.of(p.name() + " is in the plan and not on the list.")));
        }
        return all;
    }

    private static String called(Packed line) {
        return line.name().isBlank() || line.number().isBlank()
                ? line.title()
                : line.name() + " (" + line.number() + ")";
    }
}
