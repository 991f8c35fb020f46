package bucina.core.stack;

import bucina.core.dress.Dressing;
import bucina.core.measure.Length;
import bucina.core.plan.Fastener;
import bucina.core.rivet.RivetChoice;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.Finding;
import java.util.List;
import java.util.Optional;

/**
 * What a fastener needs in one stack. Holes that share fastener, preparation and sheets share one solution.
 *
 * @param fastener what goes in
 * @param hole     hole diameter
 * @param dressing what is done to each sheet, head side first; no sheets where the hole misses all of them
 * @param choice   the rivet; empty for hardware, for an empty stack and for a rivet the catalogue lacks
 * @param edge     the edge distance rule for this fastener
 * @param faults   what is wrong whatever the place: levels and sentences, without the place
 */
public record Solution(Fastener fastener, Length hole, Dressing dressing, Optional<RivetChoice> choice, EdgeRule edge, List<Finding> faults) {
    public Solution {
        faults = List.copyOf(faults);
    }

    /** Thickness of the stack. */
    public Length grip() {
        return dressing.grip();
    }

    /** What to call the length at the bench: {@code -3.5}; for hardware its name; {@code none} where nothing does. */
    public String dash() {
        return choice.map(c -> c.pick().dash()).orElseGet(() -> fastener instanceof Fastener.Hardware h ? h.name() : "none");
    }

    /** The whole designation to use: {@code MS20426AD3-3.5}; empty where nothing does. */
    public Optional<String> designation() {
        return fastener instanceof Fastener.Hardware h ? Optional.of(h.name())
                : choice.flatMap(c -> c.pick().designation()).map(d -> d.code());
    }

    /** The length it goes in with; empty for hardware and where nothing does. */
    public Optional<Length> length() {
        return choice.flatMap(c -> c.pick().length());
    }
}
