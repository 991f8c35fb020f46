package bucina.core.rule;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * Edge distance of one hole in one layer: from the hole's centre to the layer's nearest edge, judged with the
 * fastener's own D.
 *
 * @param shank    D, over 0
 * @param flush    true for flush heads, which want more
 * @param least    the least distance allowed; that distance itself passes
 * @param most     the most for a row that runs along an edge; that distance itself passes
 * @param source   source of the least
 * @param mostSource source of the most
 */
public record EdgeRule(Length shank, boolean flush, Length least, Length most, String source, String mostSource) {

    /** Code of the finding under the least. */
    public static final RuleCode LEAST = RuleCode.EDGE_DISTANCE_LEAST;
    /** Code of the finding over the most. */
    public static final RuleCode MOST = RuleCode.EDGE_DISTANCE_MOST;

    public EdgeRule {
        Objects.requireNonNull(source, "source");
        if (!shank.positive()) {
            throw new IllegalArgumentException("diameter must be over 0, was " + shank);
        }
    }

    /** The rule for one fastener under a rule set. */
    public static EdgeRule of(RuleSet rules, Length shank, boolean flush) {
        RuleKey key = flush ? RuleKey.EDGE_LEAST_FLUSH : RuleKey.EDGE_LEAST_PROTRUDING;
        return new EdgeRule(
                shank,
                flush,
                rules.times(key, shank),
                rules.times(RuleKey.EDGE_MOST, shank),
                rules.rule(key).source(),
                rules.rule(RuleKey.EDGE_MOST).source());
    }

    /** True if a hole this far from the edge may be drilled. */
    public boolean allows(Length distance) {
        return distance.atLeast(least);
    }

    /**
     * Findings for a distance typed by hand, where the row is taken to run along the edge: too little is an error, too
     * much a warning.
     */
    public List<Finding> judge(Length distance) {
        List<Finding> findings = new ArrayList<>();
        if (!allows(distance)) {
            findings.add(tooShort(Finding.Place.NONE, "The hole", distance));
        }
        if (!distance.atMost(most)) {
            findings.add(new Finding(
                    MOST,
                    Level.WARNING,
                    Finding.Place.NONE,
                    Optional.of(distance),
                    Optional.of(most),
                    mostSource,
                    Sentence.of(
                            "The hole is {} from the edge, over " + times(most)
                                    + " = {}: the edge may lift between rivets.",
                            distance,
                            most),
                    Sentence.of("Move the row toward the edge, or add a row.")));
        }
        return List.copyOf(findings);
    }

    /**
     * The finding for a hole too near an edge.
     *
     * @param subject the words that begin the sentence, {@code "R3.14 in Rib 4 flange"}
     */
    public Finding tooShort(Finding.Place place, String subject, Length distance) {
        return new Finding(
                LEAST,
                Level.ERROR,
                place,
                Optional.of(distance),
                Optional.of(least),
                source,
                Sentence.of(" is {} from the edge; " + times(least) + " = {} is the least.", distance, least)
                        .after(subject),
                Sentence.of(
                        "Move the hole {} inward before drilling; if it is drilled, ask the kit's maker.",
                        least.minus(distance)));
    }

    private String times(Length limit) {
        return BigDecimal.valueOf(limit.per(shank))
                        .setScale(2, RoundingMode.HALF_UP)
                        .stripTrailingZeros()
                        .toPlainString()
                + " D";
    }
}
