package bucina.core.evening;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.RuleSet;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a slip costs at a hole.
 *
 * @param hole   the hole
 * @param undo   whether it can be undone
 * @param next   the next diameter up
 * @param sheets what it would mean in each sheet, head side first
 * @param hours  in the parts that share the hole
 */
public record Slip(HoleReading hole, Undo undo, Length next, List<Sheet> sheets, double hours) {

    /** Whether a slip can be undone. */
    public enum Undo {
        /** Set, marked, deburred, clecoed. */
        YES("yes"),
        /** Too large, too deep, in the wrong place, dimpled: the next size may still save it. */
        NO("no"),
        /** Two sizes up fail the edge of a sheet. */
        REPLACE("replace part");

        private final String code;

        Undo(String code) {
            this.code = code;
        }

        /** The word on the command line. */
        public String code() {
            return code;
        }
    }

    /**
     * One sheet that shares the hole.
     *
     * @param edge  distance from the hole's centre to its nearest edge
     * @param least the least that the next diameter wants there
     * @param keeps true if the next diameter keeps its edge
     * @param twice true if the one after keeps its edge too
     */
    public record Sheet(Layer layer, Length edge, Length least, boolean keeps, boolean twice) {}

    /** Words of operations that metal is not lost in. */
    private static final Set<String> HARMLESS =
            Set.of("set", "deburr", "deburred", "clecoed", "primed", "fit", "on", "off");

    public Slip {
        sheets = List.copyOf(sheets);
    }

    /** True for an operation after which nothing brings the metal back. */
    public static boolean cuts(String operation) {
        return !HARMLESS.contains(operation);
    }

    /**
     * Of one hole.
     *
     * @param operation what is done there: a word of an operation, such as {@code countersunk}
     */
    public static Slip of(HoleReading hole, String operation, RuleSet rules, PartHours hours) {
        Fastener fastener = hole.solution().fastener();
        Length next = larger(fastener, 1);
        EdgeRule once = EdgeRule.of(rules, next, fastener.flush());
        EdgeRule twice = EdgeRule.of(rules, larger(fastener, 2), fastener.flush());
        List<Sheet> sheets = new ArrayList<>();
        Set<Id.Part> parts = new LinkedHashSet<>();
        for (int i = 0; i < hole.layers().size(); i++) {
            Length edge = hole.edge(i);
            sheets.add(new Sheet(hole.layers().get(i), edge, once.least(), once.allows(edge), twice.allows(edge)));
            parts.add(hole.layers().get(i).part());
        }
        Undo undo = !cuts(operation) ? Undo.YES : sheets.stream().allMatch(Sheet::twice) ? Undo.NO : Undo.REPLACE;
        return new Slip(
                hole,
                undo,
                next,
                sheets,
                parts.stream().mapToDouble(hours::hours).sum());
    }

    /** So many sizes up: solid rivets and bolts by 1/32 in, pulled rivets by .8 mm. */
    private static Length larger(Fastener fastener, int sizes) {
        Length step = fastener instanceof Fastener.PulledRivet ? Length.mm(.8) : Length.fraction(1, 32);
        return fastener.shank().plus(step.times(sizes));
    }

    /** True if the next diameter keeps its edge in every sheet. */
    public boolean nextKeeps() {
        return sheets.stream().allMatch(Sheet::keeps);
    }

    /** How near to its limit the worst sheet is: distance over what the next diameter wants. */
    public double margin() {
        return sheets.stream().mapToDouble(s -> s.edge().per(s.least())).min().orElse(9);
    }

    /** What it costs, in a sentence. */
    public String say(Unit unit) {
        String shared = sheets.stream().map(s -> s.layer().name()).collect(Collectors.joining(", "));
        String in = hours > .05
                ? String.format(Locale.ROOT, "; %.1f h are in %s", hours, sheets.size() == 1 ? "it" : "them")
                : "";
        String size = LengthFormat.trade(next, unit);
        String edge = sheets.stream()
                .filter(s -> !s.keeps())
                .map(s -> s.layer().name() + " has " + LengthFormat.trade(s.edge(), unit) + " of "
                        + LengthFormat.trade(s.least(), unit))
                .collect(Collectors.joining(", "));
        return switch (undo) {
            case YES -> "Can be undone. It goes through " + shared + in + ".";
            case NO, REPLACE ->
                (undo == Undo.NO ? "Cannot be undone" : "A second slip costs the part") + ". It goes through " + shared
                        + in + ". The next size, " + size
                        + (edge.isEmpty() ? ", keeps its edge everywhere." : ", does not keep its edge: " + edge + ".");
        };
    }
}
