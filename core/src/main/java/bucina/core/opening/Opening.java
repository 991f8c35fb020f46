package bucina.core.opening;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * An opening and the metal left round it. Distances run from its centre; an opening with straight sides is as wide as
 * it is across that way.
 *
 * @param across    diameter, or the size toward the bend, rivet and edge, over 0
 * @param corner    radius of its inside corners; empty for a round hole
 * @param thickness of the sheet, over 0
 */
public record Opening(Length across, Optional<Length> corner, Length thickness) {

    public Opening {
        if (!across.positive()) {
            throw new InputException("The opening is " + across + " across: it is over 0, like 5/8");
        }
        if (!thickness.positive()) {
            throw new InputException("The sheet is " + thickness + " thick: it is over 0, like .032");
        }
        corner.filter(c -> !c.positive() || c.times(2).minus(across).positive()).ifPresent(c -> {
            throw new InputException("The corner radius is " + c + ": it is over 0 and at most half of the opening's "
                    + across + ", like 1/8");
        });
    }

    /** Least land to a bend tangent or an edge. */
    public Length landLeast(RuleSet rules) {
        return rules.times(RuleKey.OPENING_LAND, thickness);
    }

    /** Nearest that the opening's centre may lie to a bend tangent or an edge. */
    public Length tangentNearest(RuleSet rules) {
        return across.times(0.5).plus(landLeast(rules));
    }

    /** Nearest that the opening's centre may lie to a rivet: the opening's edge is an edge to the rivet. */
    public Length rivetNearest(RuleSet rules, Length shank, boolean flush) {
        return across.times(0.5)
                .plus(rules.times(flush ? RuleKey.EDGE_LEAST_FLUSH : RuleKey.EDGE_LEAST_PROTRUDING, shank));
    }

    /**
     * A rivet near an opening.
     *
     * @param away  from the opening's centre to the rivet's
     * @param shank D, over 0
     */
    public record Rivet(Length away, Length shank, boolean flush) {}

    /** What is too near, and a corner that is too sharp. */
    public List<Finding> findings(
            RuleSet rules, Optional<Length> toTangent, Optional<Length> toEdge, Optional<Rivet> rivet) {
        List<Finding> found = new ArrayList<>();
        toTangent.ifPresent(d -> land(found, rules, RuleCode.OPENING_NEAR_TANGENT, "the bend tangent", d));
        toEdge.ifPresent(d -> land(found, rules, RuleCode.OPENING_NEAR_EDGE, "the edge of the sheet", d));
        rivet.ifPresent(r -> {
            Length least = rivetNearest(rules, r.shank, r.flush);
            if (!r.away.atLeast(least)) {
                RuleKey key = r.flush ? RuleKey.EDGE_LEAST_FLUSH : RuleKey.EDGE_LEAST_PROTRUDING;
                Length half = across.times(0.5);
                found.add(new Finding(
                        RuleCode.OPENING_NEAR_RIVET,
                        Level.ERROR,
                        Finding.Place.NONE,
                        Optional.of(r.away.minus(half)),
                        Optional.of(least.minus(half)),
                        rules.rule(key).source(),
                        Sentence.of(
                                "The opening's edge is {} from the rivet; {} is the least edge distance.",
                                r.away.minus(half),
                                least.minus(half)),
                        Sentence.of("Move the opening {} away.", least.minus(r.away))));
            }
        });
        Length corners = rules.length(RuleKey.OPENING_CORNER);
        corner.filter(c -> !c.atLeast(corners))
                .ifPresent(c -> found.add(new Finding(
                        RuleCode.CORNER_TOO_SHARP,
                        Level.ERROR,
                        Finding.Place.NONE,
                        Optional.of(c),
                        Optional.of(corners),
                        rules.rule(RuleKey.OPENING_CORNER).source(),
                        Sentence.of(
                                "An inside corner of {} radius is a place for a crack to " + "start; {} is the least.",
                                c,
                                corners),
                        Sentence.of(
                                "Drill the corners {} across first, join them, file to the holes.",
                                corners.times(2)))));
        return found;
    }

    private void land(List<Finding> found, RuleSet rules, RuleCode rule, String what, Length away) {
        Length land = away.minus(across.times(0.5));
        Length least = landLeast(rules);
        if (!land.atLeast(least)) {
            thin(found, rule, land, least, rules, what);
        }
    }

    private static void thin(
            List<Finding> found, RuleCode rule, Length land, Length least, RuleSet rules, String what) {
        found.add(new Finding(
                rule,
                Level.ERROR,
                Finding.Place.NONE,
                Optional.of(land),
                Optional.of(least),
                rules.rule(RuleKey.OPENING_LAND).source(),
                Sentence.of(
                        "{} of metal is left to " + what + "; {} is the least ("
                                + rules.rule(RuleKey.OPENING_LAND).value() + " t).",
                        land,
                        least),
                Sentence.of("Move the opening {} away, or make it smaller by twice that.", least.minus(land))));
    }
}
