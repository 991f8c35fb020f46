package bucina.core.rivet;

import bucina.core.measure.Length;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.rule.ShopSchool;

/**
 * What a shop head must measure, by both schools.
 *
 * @param processDiameter at least, process specification
 * @param processHeight   at least, process specification
 * @param gaugeDiameter   about, shop gauge
 * @param gaugeHeight     about, shop gauge
 * @param gaugeHeightLeast never under, shop gauge
 * @param governing       the school the rule set chooses
 */
public record ShopHeadLimits(
        Length processDiameter,
        Length processHeight,
        Length gaugeDiameter,
        Length gaugeHeight,
        Length gaugeHeightLeast,
        ShopSchool governing) {

    /** How one measured head stands against the limits. */
    public enum Verdict {
        /** Within both schools. */
        GOOD,
        /** A little off the gauge but inside the process limits: left alone, drilling out risks more. */
        LEAVE,
        /** Outside the process limits: replace. */
        REPLACE
    }

    /** The limits for a shank under a rule set. */
    public static ShopHeadLimits of(RuleSet rules, Length shank) {
        return new ShopHeadLimits(
                rules.times(RuleKey.PROCESS_DIAMETER, shank),
                rules.times(RuleKey.PROCESS_HEIGHT, shank),
                rules.times(RuleKey.GAUGE_DIAMETER, shank),
                rules.times(RuleKey.GAUGE_HEIGHT, shank),
                rules.times(RuleKey.GAUGE_HEIGHT_LEAST, shank),
                rules.shopSchool());
    }

    /** Judges one head. */
    public Verdict judge(Length diameter, Length height) {
        if (!(diameter.atLeast(processDiameter) && height.atLeast(processHeight))) {
            boolean gaugeWouldPass = governing == ShopSchool.GAUGE
                    && diameter.atLeast(gaugeDiameter)
                    && height.atLeast(gaugeHeightLeast);
            return gaugeWouldPass ? Verdict.LEAVE : Verdict.REPLACE;
        }
        return diameter.atLeast(gaugeDiameter) && height.atLeast(gaugeHeightLeast) ? Verdict.GOOD : Verdict.LEAVE;
    }
}
