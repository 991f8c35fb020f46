package bucina.core.bend;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** What is wrong with a bracket's flat: holes too near a bend or an edge, bends along the grain. */
public final class BracketCheck {

    private static final Length FAR = Length.nm(1e12);

    private final BracketFlat flat;
    private final RuleSet rules;
    private final List<Finding> found = new ArrayList<>();

    private BracketCheck(BracketFlat flat, RuleSet rules) {
        this.flat = flat;
        this.rules = rules;
    }

    /**
     * What a hole takes.
     *
     * @param shank  of the fastener
     * @param radius of its head or shop head, whichever is larger
     */
    public record HeadSize(Length shank, Length radius) {}

    /**
     * Holes against tangent lines and the edge of the flat, bends against the grain.
     *
     * @param head what a hole of a diameter takes
     */
    public static List<Finding> of(BracketFlat flat, RuleSet rules, Function<Length, HeadSize> head) {
        BracketCheck check = new BracketCheck(flat, rules);
        for (int i = 0; i < flat.holes().size(); i++) {
            HeadSize size = head.apply(flat.bracket().holes().get(i).diameter());
            check.tangents(i, size);
            check.edge(i, size);
        }
        flat.bands().stream().filter(check::alongGrain).forEach(check::grain);
        return check.found;
    }

    private void tangents(int i, HeadSize size) {
        Length need = size.radius().plus(rules.length(RuleKey.TANGENT_CLEAR));
        for (BracketFlat.BandLine band : flat.bands()) {
            Length tangent = tangent(i, band);
            if (!tangent.atLeast(need)) {
                found.add(new Finding(
                        RuleCode.HOLE_NEAR_TANGENT,
                        Level.ERROR,
                        place(i),
                        Optional.of(tangent),
                        Optional.of(need),
                        rules.rule(RuleKey.TANGENT_CLEAR).source(),
                        Sentence.of(
                                name(i) + " is {} from the bend tangent of side "
                                        + (band.flange().side() + 1) + "; its head needs {}.",
                                tangent,
                                need),
                        Sentence.of(
                                "Move the hole {} away from the bend, or drill it after bending.",
                                need.minus(tangent))));
            }
        }
    }

    private void edge(int i, HeadSize size) {
        Point at = flat.holes().get(i);
        boolean on = flat.outline().covers(at);
        Length edge = flat.outline().edgeDistance(at);
        Length least = rules.times(RuleKey.EDGE_LEAST_PROTRUDING, size.shank());
        if (!on || !edge.atLeast(least)) {
            found.add(new Finding(
                    RuleCode.EDGE_DISTANCE_LEAST,
                    Level.ERROR,
                    place(i),
                    Optional.of(edge),
                    Optional.of(least),
                    rules.rule(RuleKey.EDGE_LEAST_PROTRUDING).source(),
                    Sentence.of(
                            on
                                    ? name(i) + " is {} from the edge of the flat; {} is the least."
                                    : name(i) + " lies off the flat, {} outside; {} inside is the least.",
                            edge,
                            least),
                    Sentence.of("Move the hole inward, or make the flange wider.")));
        }
    }

    private void grain(BracketFlat.BandLine band) {
        found.add(new Finding(
                RuleCode.BEND_ALONG_GRAIN,
                Level.WARNING,
                Finding.Place.NONE,
                Optional.empty(),
                Optional.empty(),
                "FAA-H-8083-31: bend across the grain where you can",
                Sentence.of(
                        "The bend of side " + (band.flange().side() + 1) + " runs along the grain: it cracks sooner."),
                Sentence.of("Turn the part on the sheet, or take the safe radius.")));
    }

    private static String name(int i) {
        return "Hole " + (i + 1);
    }

    private static Finding.Place place(int i) {
        return new Finding.Place("", "", Integer.toString(i + 1), "");
    }

    /** From a hole to the tangent of a band on its own side of it; far away for a band it does not lie beside. */
    private Length tangent(int i, BracketFlat.BandLine band) {
        Bracket.Hole hole = flat.bracket().holes().get(i);
        boolean mine =
                hole.flange().isPresent() && flat.bands().get(hole.flange().get()) == band;
        if (hole.flange().isPresent() && !mine) {
            return FAR;
        }
        Length out = mine ? band.bend().allowance() : Length.ZERO;
        return new Segment(band.first(out), band.last(out))
                .distance(flat.holes().get(i));
    }

    /** True if a bend line lies within 30° of the rolling direction. */
    private boolean alongGrain(BracketFlat.BandLine band) {
        double cos30 = Math.cos(Math.toRadians(30));
        return switch (flat.bracket().grain()) {
            case ACROSS -> Math.abs(band.outY()) >= cos30;
            case UP -> Math.abs(band.outX()) >= cos30;
            case UNKNOWN -> false;
        };
    }
}
