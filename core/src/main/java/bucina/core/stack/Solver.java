package bucina.core.stack;

import bucina.core.catalogue.Catalogue;
import bucina.core.dress.Dress;
import bucina.core.dress.Dressing;
import bucina.core.dress.FlushHead;
import bucina.core.dress.Preparation;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Fastener;
import bucina.core.rivet.RivetChoice;
import bucina.core.rivet.RivetChooser;
import bucina.core.rivet.RivetSize;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Works out one fastener in one stack. Pure, safe on any thread. */
public final class Solver {

    private static final int SOLID_ANGLE = 100;
    /** The source of what is common practice. */
    public static final String PRACTICE = "sheet-metal practice, FAA-H-8083-31";

    private final Catalogue catalogue;
    private final RuleSet rules;
    private final RivetChooser chooser;

    /** A solver that judges by {@code rules} (those of the build, which may differ from the catalogue's). */
    public Solver(Catalogue catalogue, RuleSet rules) {
        this.catalogue = catalogue;
        this.rules = rules;
        this.chooser = new RivetChooser(rules);
    }

    /** The rule set judged by. */
    public RuleSet rules() {
        return rules;
    }

    /**
     * What is asked about one hole.
     *
     * @param fastener what goes in
     * @param asked    what the plan asks at the hole
     * @param drilled  hole diameter where it is not the catalogue's
     * @param layers   thicknesses, head side first; may be empty
     * @param coupon   effective grip read from a coupon; usually empty
     * @param room     what is free behind the stack; empty where nothing stands behind
     * @param dies     angle of the dimple dies planned; empty for the head's own
     * @param materials of the layers, in their order; empty where nobody knows them
     */
    public record Ask(
            Fastener fastener,
            Preparation asked,
            Optional<Length> drilled,
            List<Length> layers,
            Optional<Length> coupon,
            Optional<Length> room,
            Optional<Integer> dies,
            List<Material> materials) {

        /** A stack whose materials nobody knows. */
        public Ask(
                Fastener fastener,
                Preparation asked,
                Optional<Length> drilled,
                List<Length> layers,
                Optional<Length> coupon,
                Optional<Length> room,
                Optional<Integer> dies) {
            this(fastener, asked, drilled, layers, coupon, room, dies, List.of());
        }
    }

    /** Works out a stack with nothing behind it and the dies that belong to the head. */
    public Solution solve(
            Fastener fastener,
            Preparation asked,
            Optional<Length> drilled,
            List<Length> layers,
            Optional<Length> coupon) {
        return solve(new Ask(fastener, asked, drilled, layers, coupon, Optional.empty(), Optional.empty()));
    }

    /** Works out a stack. */
    public Solution solve(Ask ask) {
        return switch (ask.fastener) {
            case Fastener.SolidRivet rivet -> solid(rivet, ask);
            case Fastener.PulledRivet rivet -> new PulledSolver(catalogue, rules).solve(rivet, ask);
            case Fastener.Hardware h -> new BoltSolver(catalogue, rules).hardware(h, ask);
            case Fastener.RivetNut n -> new BoltSolver(catalogue, rules).rivetNut(n, ask);
        };
    }

    /** How far a fastener's heads reach, whatever its length. */
    public Solution.Heads heads(Fastener fastener) {
        return solve(fastener, Preparation.NONE, Optional.empty(), List.of(), Optional.empty())
                .heads();
    }

    private EdgeRule edge(Fastener fastener) {
        return EdgeRule.of(rules, fastener.shank(), fastener.flush());
    }

    private Solution solid(Fastener.SolidRivet rivet, Ask ask) {
        Optional<RivetSize> size = catalogue.rivet(rivet.head(), rivet.dash());
        Length tail = rules.times(RuleKey.GAUGE_DIAMETER, rivet.shank()).times(0.5);
        if (size.isEmpty()) {
            return new Solution(
                    rivet,
                    ask.drilled.orElse(rivet.shank()),
                    Dressing.plain(ask.layers),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    new Solution.Heads(rivet.shank(), tail, Optional.empty()),
                    edge(rivet),
                    List.of(fault(
                            RuleCode.RIVET_NOT_IN_CATALOGUE,
                            Level.ERROR,
                            "catalogue",
                            Sentence.of(rivet.name() + " is not in the catalogue."),
                            "Add its row to rivets.csv with the source, or choose another rivet.")));
        }
        Length hole = ask.drilled.orElse(size.get().hole());
        List<Finding> faults = new ArrayList<>(misfit(rivet, ask.asked));
        Optional<FlushHead> cone = rivet.flush() ? Optional.of(head(size.get())) : Optional.empty();
        DressCheck dress = new DressCheck(rules, cone, hole);
        Dressing dressing = dress.dress(ask);
        faults.addAll(dress.faults(dressing, "Use a reduced head, a protruding head or another diameter."));
        dies(dressing, ask.dies, SOLID_ANGLE, rivet.name()).ifPresent(faults::add);
        faults.addAll(holeFaults(size.get(), hole));
        Optional<RivetChoice> choice = ask.layers.isEmpty() || !hole.atLeast(rivet.shank())
                ? Optional.empty()
                : Optional.of(chooser.choose(size.get(), rivet.alloy(), hole, dressing, ask.coupon));
        choice.ifPresent(c -> faults.addAll(choiceFaults(c)));
        return new Solution(
                rivet,
                hole,
                dressing,
                choice,
                Optional.empty(),
                Optional.empty(),
                new Solution.Heads(size.get().headDiameter().times(0.5), tail, cone),
                edge(rivet),
                faults);
    }

    /** A head of one angle in dimples of another does not seat. */
    static Optional<Finding> dies(Dressing dressing, Optional<Integer> dies, int head, String name) {
        boolean dimpled = dressing.plies().stream().anyMatch(p -> p.dress() == Dress.DIMPLE);
        return dies.filter(d -> dimpled && d != head)
                .map(d -> fault(
                        RuleCode.DIE_ANGLE,
                        Level.ERROR,
                        PRACTICE,
                        Sentence.of(name + " has a " + head + "° head, but the holes are dimpled with " + d
                                + "° dies: it does not seat."),
                        "Use the " + head + "° dies that belong to the rivet."));
    }

    private static FlushHead head(RivetSize size) {
        return FlushHead.of100(size.headDiameter(), size.headHeight());
    }

    static List<Finding> misfit(Fastener rivet, Preparation asked) {
        boolean flush = rivet.flush();
        if (flush && asked == Preparation.NONE) {
            return plain(rivet);
        }
        if (!flush && (asked == Preparation.DIMPLE || asked == Preparation.COUNTERSINK)) {
            return dressed(rivet);
        }
        return List.of();
    }

    private static List<Finding> dressed(Fastener rivet) {
        return List.of(fault(
                RuleCode.DOME_IN_A_DIMPLE,
                Level.ERROR,
                PRACTICE,
                Sentence.of(rivet.name() + " has a protruding head, but the plan dresses the hole for a flush one."),
                "Use a flush rivet, or leave the hole plain."));
    }

    private static List<Finding> plain(Fastener rivet) {
        return List.of(fault(
                RuleCode.FLUSH_IN_PLAIN_HOLE,
                Level.ERROR,
                PRACTICE,
                Sentence.of(rivet.name() + " is flush, but the plan leaves the hole plain."),
                "Dimple or countersink the hole, or use a universal head."));
    }

    private List<Finding> holeFaults(RivetSize size, Length hole) {
        Length most = size.shank().plus(rules.length(RuleKey.OVERSIZE_MOST));
        if (!hole.atLeast(size.shank())) {
            return tight(hole, size);
        }
        if (!hole.atMost(most)) {
            return wide(hole, most);
        }
        return List.of();
    }

    private List<Finding> wide(Length hole, Length most) {
        return List.of(new Finding(
                RuleCode.HOLE_OVERSIZE,
                Level.ERROR,
                Finding.Place.NONE,
                Optional.of(hole),
                Optional.of(most),
                rules.rule(RuleKey.OVERSIZE_MOST).source(),
                Sentence.of("The hole measures {}, over {} for this rivet.", hole, most),
                Sentence.of("Go to the next diameter if its edge distance still holds; else stop and ask "
                        + "the kit's maker.")));
    }

    private static List<Finding> tight(Length hole, RivetSize size) {
        return List.of(new Finding(
                RuleCode.HOLE_UNDER_SHANK,
                Level.ERROR,
                Finding.Place.NONE,
                Optional.of(hole),
                Optional.of(size.hole()),
                size.source(),
                Sentence.of("The hole of {} does not take the {} shank.", hole, size.shank()),
                Sentence.of("Final-drill " + size.drill() + " ({}) first.", size.hole())));
    }

    private static List<Finding> choiceFaults(RivetChoice choice) {
        RivetChoice.Pick pick = choice.pick();
        if (!pick.usable()) {
            return List.of(fault(
                    RuleCode.NO_LENGTH_DOES,
                    Level.ERROR,
                    choice.size().source(),
                    pick.why(),
                    "Read the drawing again; ask the kit's maker before setting anything."));
        }
        if (pick.cutTo().isPresent()) {
            return List.of(fault(
                    RuleCode.LENGTH_CUT,
                    Level.WARNING,
                    choice.size().source(),
                    pick.why(),
                    "Cut the rivets before the row is begun and log the cut length."));
        }
        return List.of();
    }

    static Finding fault(RuleCode rule, Level level, String source, Sentence message, String remedy) {
        return new Finding(
                rule,
                level,
                Finding.Place.NONE,
                Optional.empty(),
                Optional.empty(),
                source,
                message,
                Sentence.of(remedy));
    }
}
