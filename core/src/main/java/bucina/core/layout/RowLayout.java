package bucina.core.layout;

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
 * A row laid out in whole spaces.
 *
 * @param spaces   how many, at least 1
 * @param pitch    the even distance of two neighbours
 * @param stations running dimensions from the datum the first and last were given from, both ends included
 * @param findings pitch under the least (error) or over the most (warning, or note where the drawing fixes it)
 */
public record RowLayout(int spaces, Length pitch, List<Length> stations, List<Finding> findings) {

    /** The most holes one row may have. */
    public static final int MOST_SPACES = 100_000;

    public RowLayout {
        stations = List.copyOf(stations);
        findings = List.copyOf(findings);
    }

    /**
     * Lays out a row: the whole number of spaces nearest to the wished pitch, a tie to more spaces.
     *
     * @param first     station of the first hole
     * @param last      station of the last hole; may lie before the first
     * @param wished    pitch wished for, over 0
     * @param shank     fastener diameter D, over 0
     * @param thinnest  thinnest sheet of the stack; empty to judge by D alone
     * @param fixed     true where the drawing fixes the row: a wide pitch is then only noted
     * @throws InputException if first and last are the same, or the row has over {@value #MOST_SPACES} spaces
     */
    public static RowLayout of(
            Length first,
            Length last,
            Length wished,
            Length shank,
            Optional<Length> thinnest,
            boolean fixed,
            RuleSet rules) {
        Length length = last.minus(first).abs();
        if (!length.positive()) {
            throw new InputException(
                    "first and last hole are both at " + first + ": a row needs a length, such as first .5, last 20");
        }
        if (!wished.positive()) {
            throw new InputException("pitch must be over 0, was " + wished + ": write it like 1 or 25 mm");
        }
        double ratio = length.per(wished);
        if (!(ratio <= MOST_SPACES)) {
            throw new InputException("a pitch of " + wished + " over " + length + " makes over " + MOST_SPACES
                    + " spaces: write a larger pitch, like 1");
        }
        int spaces = Math.max(1, (int) Math.floor(ratio + 0.5 + 1e-9));
        List<Length> stations = stations(spaces, last, first);
        Length pitch = Length.nm(length.nanometres() / spaces);
        return new RowLayout(spaces, pitch, stations, judge(pitch, shank, thinnest, fixed, rules));
    }

    private static List<Length> stations(int spaces, Length last, Length first) {
        List<Length> stations = new ArrayList<>();
        for (int i = 0; i <= spaces; i++) {
            stations.add(
                    i == spaces
                            ? last
                            : Length.nm(first.nanometres() + (last.nanometres() - first.nanometres()) * i / spaces));
        }
        return stations;
    }

    /**
     * Judges a pitch: under the least is an error, over the most a warning, or a note where the drawing fixes it.
     * Limits themselves pass.
     */
    public static List<Finding> judge(
            Length pitch, Length shank, Optional<Length> thinnest, boolean fixed, RuleSet rules) {
        List<Finding> findings = new ArrayList<>();
        Length least = rules.times(RuleKey.PITCH_LEAST, shank);
        Length byShank = rules.times(RuleKey.PITCH_MOST_DIAMETERS, shank);
        Optional<Length> bySheet = thinnest.map(t -> rules.times(RuleKey.PITCH_MOST_THICKNESS, t));
        boolean sheetGoverns = bySheet.filter(s -> s.compareTo(byShank) < 0).isPresent();
        Length most = sheetGoverns ? bySheet.get() : byShank;
        if (!pitch.atLeast(least)) {
            findings.add(new Finding(
                    RuleCode.PITCH_LEAST,
                    Level.ERROR,
                    Finding.Place.NONE,
                    Optional.of(pitch),
                    Optional.of(least),
                    rules.rule(RuleKey.PITCH_LEAST).source(),
                    Sentence.of(
                            "The pitch is {}; "
                                    + rules.rule(RuleKey.PITCH_LEAST).value() + " D = {} is the least.",
                            pitch,
                            least),
                    Sentence.of("Take fewer holes, or a smaller diameter.")));
        }
        if (!pitch.atMost(most)) {
            RuleKey key = sheetGoverns ? RuleKey.PITCH_MOST_THICKNESS : RuleKey.PITCH_MOST_DIAMETERS;
            findings.add(new Finding(
                    RuleCode.PITCH_MOST,
                    fixed ? Level.NOTE : Level.WARNING,
                    Finding.Place.NONE,
                    Optional.of(pitch),
                    Optional.of(most),
                    rules.rule(key).source(),
                    Sentence.of(
                            "The pitch is {}, over " + rules.rule(key).value() + (sheetGoverns ? " t" : " D")
                                    + " = {}: the sheet may buckle or gape between the holes.",
                            pitch,
                            most),
                    Sentence.of(fixed ? "The drawing fixes this row: keep to it." : "Take more holes.")));
        }
        return findings;
    }
}
