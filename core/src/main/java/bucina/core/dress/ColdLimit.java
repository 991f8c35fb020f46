package bucina.core.dress;

import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.util.Optional;

/**
 * Up to where a sheet is dimpled cold.
 *
 * @param limit the thickness of the rule
 * @param upTo  true if a sheet of exactly the limit still is; false if it wants heat from there on
 * @param of    what the limit is said of, {@code 7075-T6}; empty for the common one
 */
public record ColdLimit(Length limit, boolean upTo, String of) {

    private static final String HARD = "7075";

    /** The limit for a sheet; one whose material nobody says is taken for 2024-T3. */
    public static ColdLimit of(Optional<Material> material, RuleSet rules) {
        return material.filter(m -> m.alloy().equals(HARD) && m.temper().startsWith("T"))
                .map(m -> new ColdLimit(rules.length(RuleKey.COLD_DIMPLE_HARD), false, m.code()))
                .orElseGet(() -> new ColdLimit(rules.length(RuleKey.COLD_DIMPLE_MOST), true, ""));
    }

    /** True if a sheet this thick is dimpled cold. */
    public boolean allows(Length thickness) {
        return upTo ? thickness.atMost(limit) : !thickness.atLeast(limit);
    }

    /** Why a sheet is not, to stand behind its thickness; the limit belongs in the place left for it. */
    public String words() {
        return upTo ? "over {}, the most that is dimpled cold" : of + ", which wants heat from {}";
    }
}
