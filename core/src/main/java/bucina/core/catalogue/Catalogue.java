package bucina.core.catalogue;

import bucina.core.blind.BlindTable;
import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetSize;
import bucina.core.rule.RuleSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Everything that comes from data files.
 *
 * @param drills numbered and letter drills
 * @param rivets every head and diameter known
 * @param blind  pulled rivets
 * @param rules  the rule set a new build starts with
 */
public record Catalogue(DrillTable drills, List<RivetSize> rivets, BlindTable blind, RuleSet rules) {
    public Catalogue {
        rivets = rivets.stream().sorted(Comparator.comparing(RivetSize::head).thenComparing(RivetSize::dash)).toList();
    }

    /** The size with this head and diameter dash; empty if the catalogue lacks it. */
    public Optional<RivetSize> rivet(HeadStyle head, int dash) {
        for (RivetSize size : rivets) {
            if (size.head() == head && size.dash() == dash) {
                return Optional.of(size);
            }
        }
        return Optional.empty();
    }

    /**
     * The size with this head and nominal diameter.
     *
     * @throws InputException if the catalogue has none; the message lists those it has
     */
    public RivetSize rivet(HeadStyle head, Length diameter) {
        return rivets.stream().filter(s -> s.head() == head && s.shank().same(diameter)).findFirst()
                .orElseThrow(() -> new InputException("no " + head.word() + " rivet of " + LengthFormat.exact(diameter,
                        bucina.core.measure.Unit.INCH) + " is in the catalogue; it has " + diameters(head) + ": write it like 3/32"));
    }

    private String diameters(HeadStyle head) {
        return rivets.stream().filter(s -> s.head() == head).map(s -> LengthFormat.fraction(s.shank())).collect(Collectors.joining(", "));
    }
}
