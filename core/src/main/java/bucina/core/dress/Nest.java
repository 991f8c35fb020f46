package bucina.core.dress;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.rule.CountersinkSchool;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;

/**
 * The countersink that receives a head, or the dimpled sheets above it.
 *
 * @param head    the head
 * @param dimpled thickness of all dimpled sheets above, 0 or more
 * @param sub     the sheet that is countersunk, over 0
 * @param hole    in it, under the nest's diameter
 * @param school  which judges the depth
 */
public record Nest(FlushHead head, Length dimpled, Length sub, Length hole, CountersinkSchool school) {

    public Nest {
        if (!dimpled.atLeast(Length.ZERO) || !sub.positive() || !hole.positive()) {
            throw new InputException(
                    "Dimpled sheets of " + dimpled + " over a sheet of " + sub + " with a hole of " + hole
                            + ": the sheet and the hole are over 0, the dimpled sheets 0 or more, like .032 over "
                            + ".063 with #40");
        }
        if (!head.nestDiameter(dimpled).minus(hole).positive()) {
            throw new InputException("The hole of " + hole + " is as wide as the nest of " + head.nestDiameter(dimpled)
                    + ": give a smaller hole, like #40");
        }
    }

    /** Across the top, {@code Dhd + 2 ts (1 − sin θ) / cos θ}. */
    public Length diameter() {
        return head.nestDiameter(dimpled);
    }

    /** How much deeper than for the bare head, {@code ts (1 − sin θ) / sin θ}. */
    public Length extraDepth() {
        return head.extraDepth(dimpled);
    }

    /** What the school judges: the tabulated height of the head and the extra depth. */
    public Length judgedDepth() {
        return head.height().plus(extraDepth());
    }

    /** How deep the cutter goes: the cone down to the hole. */
    public Length cutterDepth() {
        return new FlushHead(diameter(), head.height(), head.halfAngle()).coneTo(hole);
    }

    /** True if the sheet is thick enough under the school, and the cutter does not come out below it. */
    public boolean fits() {
        return school.allows(judgedDepth(), sub) && !comesOut();
    }

    /** True if the cutter, cut down to the hole, comes out below the sheet: that never fits, whatever the school. */
    public boolean comesOut() {
        return !cutterDepth().atMost(sub);
    }

    /** Metal left between the foot of the cone and the far side; 0 or less where the cutter comes out. */
    public Length land() {
        return sub.minus(cutterDepth());
    }

    /** True if it is cut but leaves less land than the rule: a knife edge. */
    public boolean knifeEdge(RuleSet rules) {
        return !land().atLeast(rules.length(RuleKey.COUNTERSINK_LAND));
    }
}
