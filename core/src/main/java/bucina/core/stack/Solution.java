package bucina.core.stack;

import bucina.core.blind.BlindChoice;
import bucina.core.blind.BlindRivet;
import bucina.core.dress.Dressing;
import bucina.core.dress.FlushHead;
import bucina.core.log.Operation;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Fastener;
import bucina.core.rivet.RivetChoice;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.Finding;
import bucina.core.rule.RuleSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a fastener needs in one stack. Holes that share fastener, preparation and sheets share one solution.
 *
 * @param fastener what goes in
 * @param hole     hole diameter
 * @param dressing what is done to each sheet, head side first; no sheets where the hole misses all of them
 * @param choice   the rivet; empty for hardware, for an empty stack and for a rivet the catalogue lacks
 * @param blind    the pulled rivet; empty for other fasteners and an empty stack
 * @param bolt     what a bolt of the catalogue takes here; empty for everything else
 * @param heads    how far its heads reach
 * @param edge     the edge distance rule for this fastener
 * @param faults   what is wrong whatever the place: levels and sentences, without the place
 */
public record Solution(
        Fastener fastener,
        Length hole,
        Dressing dressing,
        Optional<RivetChoice> choice,
        Optional<BlindChoice> blind,
        Optional<Bolted> bolt,
        Heads heads,
        EdgeRule edge,
        List<Finding> faults) {
    public Solution {
        faults = List.copyOf(faults);
    }

    /** Thickness of the stack. */
    public Length grip() {
        return dressing.grip();
    }

    /** What to call the length at the bench: {@code -3.5}; for hardware its name; {@code none} where nothing does. */
    public String dash() {
        return switch (fastener) {
            case Fastener.SolidRivet r -> choice.map(c -> c.pick().dash()).orElse("none");
            case Fastener.PulledRivet r ->
                blind.flatMap(b -> b.rivet().map(c -> b.bench(c, r.diameter()))).orElse("none");
            case Fastener.Hardware h -> bolted(h);
            case Fastener.RivetNut n -> n.name();
        };
    }

    /** The whole designation to use: {@code MS20426AD3-3.5}; empty where nothing does. */
    public Optional<String> designation() {
        return switch (fastener) {
            case Fastener.SolidRivet r ->
                choice.flatMap(c -> c.pick().designation()).map(d -> d.code());
            case Fastener.PulledRivet r -> blind.flatMap(BlindChoice::rivet).map(c -> designation(r, c));
            case Fastener.Hardware h -> Optional.of(bolted(h));
            case Fastener.RivetNut n -> Optional.of(n.name());
        };
    }

    /** A bolt named by its series alone has its length from the stack. */
    private String bolted(Fastener.Hardware h) {
        return bolt.filter(Bolted::chosen)
                .flatMap(Bolted::fit)
                .map(f -> f.bolt().designation())
                .orElse(h.name());
    }

    /** The designation as lists and tables name it: {@code MS20426AD3-4 cut} where it is cut first. */
    public String called() {
        return designation().orElse("none") + (cut() ? " cut" : "");
    }

    /** The length it goes in with; empty for hardware and where nothing does. */
    public Optional<Length> length() {
        return choice.flatMap(c -> c.pick().length())
                .or(() -> blind.flatMap(b -> b.cutTo().or(() -> b.rivet().flatMap(BlindRivet::length))));
    }

    /**
     * Size to punch a hole that is dimpled for a pulled rivet and cleared to size afterwards; empty for every other
     * hole.
     */
    public Optional<Length> punchFirst(RuleSet rules) {
        return PulledSolver.punch(this, rules);
    }

    /** What a bolt owes once it is in, in order: torque, a stripe, and wire or a pin; nothing for what is no bolt. */
    public List<Operation> afterSet() {
        if (!(fastener instanceof Fastener.Hardware h) || !h.bolt()) {
            return List.of();
        }
        List<Operation> steps = new ArrayList<>(List.of(Operation.TORQUED, Operation.STRIPED));
        bolt.flatMap(Bolted::secured).ifPresent(steps::add);
        return steps;
    }

    /** True if what goes in is cut shorter first. */
    public boolean cut() {
        return choice.flatMap(c -> c.pick().cutTo()).isPresent()
                || blind.flatMap(BlindChoice::cutTo).isPresent();
    }

    /** The whole name of a pulled rivet of one length: {@code ISO 15977 3.2 × 8}. */
    public static String designation(Fastener.PulledRivet rivet, BlindRivet length) {
        return length.length()
                .map(l -> rivet.name() + " × " + LengthFormat.exact(l, Unit.MM).replace(" mm", ""))
                .orElse(rivet.name() + " " + length.name());
    }

    /**
     * How far a fastener's heads reach from the hole's centre.
     *
     * @param head radius of the head it came with
     * @param tail radius of the head that is formed, or of a nut
     * @param cone the cone of a flush head; empty for a protruding one
     */
    public record Heads(Length head, Length tail, Optional<FlushHead> cone) {

        /** The reach of the heads on the side where the manufactured head is, or on the other. */
        public Length on(boolean headSide) {
            return headSide ? head : tail;
        }

        /** The farther of the two. */
        public Length most() {
            return head.max(tail);
        }
    }
}
