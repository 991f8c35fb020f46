package bucina.core.prove;

import bucina.core.catalogue.Catalogue;
import bucina.core.dress.Preparation;
import bucina.core.measure.DrillSize;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Fastener;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetSize;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How one solid rivet is drilled out.
 *
 * @param size   the rivet
 * @param bit    one size under the shank: it never touches the hole
 * @param depth  to the head's tabulated height and no deeper
 * @param hollow for a shank that will not move
 */
public record DrillOut(RivetSize size, DrillSize bit, Length depth, DrillSize hollow) {

    private static final Map<Integer, List<String>> BITS = Map.of(
            3, List.of("#42", "#44"),
            4, List.of("#31", "#33"),
            5, List.of("#23", "#25"),
            6, List.of("#13", "#15"));

    /** The reduced head that takes the place of a flush one in a countersink, and in what diameter. */
    private static final Map<Integer, Integer> REDUCED = Map.of(3, 4, 4, 5);

    /**
     * Of a rivet of the catalogue.
     *
     * @throws InputException if no bit is tabulated for its diameter
     */
    public static DrillOut of(Catalogue catalogue, HeadStyle head, Length shank) {
        RivetSize size = catalogue.rivet(head, shank);
        List<String> bits = BITS.get(size.dash());
        if (bits == null) {
            throw new InputException("no drill-out is tabulated for " + size.title()
                    + ": it is for 3/32, 1/8, 5/32 and 3/16, as in --diameter 1/8");
        }
        return new DrillOut(size, bit(catalogue, bits.getFirst()), size.headHeight(), bit(catalogue, bits.getLast()));
    }

    private static DrillSize bit(Catalogue catalogue, String name) {
        return catalogue
                .drills()
                .find(name)
                .orElseThrow(() -> new IllegalStateException("drill " + name + " is not in the table"));
    }

    /** What to do, step by step. */
    public List<Sentence> steps() {
        return List.of(
                Sentence.of("Make a flat or a centre mark in the middle of the manufactured head."),
                Sentence.of(
                        "Drill with " + bit.name() + " ({}), one size under the shank of {}, {} deep and no deeper.",
                        bit.diameter(),
                        size.shank(),
                        depth),
                Sentence.of("Tip the head off with a punch that fits the drilled hole, {}.", bit.diameter()),
                Sentence.of(
                        "Back the sheet up close round the hole and drive the shank out with a punch under {}.",
                        size.shank()),
                Sentence.of(
                        "If it does not move, hollow it with " + hollow.name() + " ({}). Never enlarge the hole.",
                        hollow.diameter()),
                Sentence.of("Measure the hole before anything goes in again."));
    }

    /** What may go into the hole. */
    public enum Next {
        /** The same rivet. */
        SAME("same", "the same rivet"),
        /** A larger diameter. */
        NEXT("next", "the next diameter"),
        /** The reduced head of the next diameter. */
        REDUCED("reduced", "the reduced head of the next diameter"),
        /** Nothing that may be said from here. */
        ASK("ask", "stop and ask the kit's maker");

        private final String code;
        private final String words;

        Next(String code, String words) {
            this.code = code;
            this.words = words;
        }

        /** The word on the command line. */
        public String code() {
            return code;
        }

        /** In plain words. */
        public String words() {
            return words;
        }
    }

    /**
     * One rivet that may go in.
     *
     * @param next        which it is
     * @param rivet       the rivet, without its length
     * @param preparation of the hole
     * @param hole        as it is then: as measured for the same rivet, drilled to its final size for a larger one
     */
    public record Option(Next next, Fastener.SolidRivet rivet, Preparation preparation, Length hole) {}

    /** Judges one rivet in the hole: what speaks against it; nothing if it may go in. */
    public interface Trial {
        List<Finding> against(Option option);
    }

    /**
     * What goes in.
     *
     * @param next   which
     * @param option the rivet; empty where the kit's maker is asked
     * @param said   what spoke against those that were tried before it: errors where nothing goes in, else notes
     */
    public record Chosen(Next next, Optional<Option> option, List<Finding> said) {
        public Chosen {
            said = List.copyOf(said);
        }
    }

    /**
     * The first that holds: up to D + the rule {@code hole.oversize.most} the same; over it for a flush head in a
     * countersink the reduced head of the next size, the next diameter, the one after, if the hole is not over its
     * final drill; else the kit's maker is asked.
     *
     * @param alloy       letters of the rivet
     * @param preparation how the hole is dressed
     * @param hole        as measured after drilling out, at least D
     * @throws InputException if the hole is smaller than the shank
     */
    public Chosen next(
            Catalogue catalogue, RuleSet rules, String alloy, Preparation preparation, Length hole, Trial trial) {
        Length d = size.shank();
        if (!hole.atLeast(d)) {
            throw new InputException("a hole of " + hole + " cannot have held a shank of " + d
                    + ": measure it again, as in " + size.hole());
        }
        if (hole.atMost(d.plus(rules.length(RuleKey.OVERSIZE_MOST)))) {
            Option same =
                    new Option(Next.SAME, new Fastener.SolidRivet(size.head(), alloy, size.dash()), preparation, hole);
            List<Finding> against = trial.against(same);
            return against.isEmpty()
                    ? new Chosen(Next.SAME, Optional.of(same), List.of())
                    : new Chosen(Next.ASK, Optional.empty(), Holes.at(Level.ERROR, against));
        }
        return larger(catalogue, alloy, preparation, hole, trial);
    }

    private Chosen larger(Catalogue catalogue, String alloy, Preparation preparation, Length hole, Trial trial) {
        List<Finding> said = new ArrayList<>();
        for (Option option : larger(catalogue, alloy, preparation)) {
            List<Finding> against =
                    hole.atMost(option.hole()) ? trial.against(option) : List.of(Holes.over(option, hole));
            if (against.isEmpty()) {
                return new Chosen(option.next(), Optional.of(option), Holes.at(Level.NOTE, said));
            }
            said.addAll(against);
        }
        return new Chosen(Next.ASK, Optional.empty(), Holes.at(Level.ERROR, said));
    }

    private List<Option> larger(Catalogue catalogue, String alloy, Preparation preparation) {
        List<Option> options = new ArrayList<>();
        Integer reduced = REDUCED.get(size.dash());
        if (size.head() == HeadStyle.FLUSH && preparation == Preparation.COUNTERSINK && reduced != null) {
            catalogue
                    .rivet(HeadStyle.REDUCED, reduced)
                    .ifPresent(r -> options.add(option(Next.REDUCED, r, alloy, preparation)));
        }
        for (int up = 1; up <= 2; up++) {
            catalogue
                    .rivet(size.head(), size.dash() + up)
                    .ifPresent(r -> options.add(option(Next.NEXT, r, alloy, preparation)));
        }
        return options;
    }

    private static Option option(Next next, RivetSize size, String alloy, Preparation preparation) {
        return new Option(next, new Fastener.SolidRivet(size.head(), alloy, size.dash()), preparation, size.hole());
    }
}
