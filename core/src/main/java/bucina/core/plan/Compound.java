package bucina.core.plan;

import bucina.core.measure.InputException;
import java.util.Locale;
import java.util.Objects;

/**
 * A two-part stuff that goes off once it is mixed.
 *
 * @param name      as on the can, not blank
 * @param kind      primer or sealant
 * @param induction minutes it stands after mixing before it may be used, 0 to {@link #MOST}, less than its life
 * @param life      pot life of a primer, work life of a sealant: minutes from mixing, 1 to {@link #MOST}
 * @param stir      minutes between stirrings, up to {@link #MOST}; 0 if it need not be stirred
 */
public record Compound(String name, Kind kind, int induction, int life, int stir) {

    /** The longest time in minutes: a week. */
    public static final int MOST = 7 * 24 * 60;

    /** What it is for. */
    public enum Kind {
        PRIMER("primer", "Pot life"),
        SEALANT("sealant", "Work life");

        private final String code;
        private final String life;

        Kind(String code, String life) {
            this.code = code;
            this.life = life;
        }

        /** The word in files and tables. */
        public String code() {
            return code;
        }

        /** What its life is called. */
        public String life() {
            return life;
        }
    }

    public Compound {
        Objects.requireNonNull(kind, "kind");
        Names.check("a compound", name);
        if (life < 1 || life > MOST) {
            throw new InputException(
                    kind.life.toLowerCase(Locale.ROOT) + " must be 1 to " + MOST + " minutes, like 120, was " + life);
        }
        if (induction < 0 || induction >= life) {
            throw new InputException(
                    "induction must be 0 up to less than its life of " + life + " minutes, like 30, was " + induction);
        }
        if (stir < 0 || stir > MOST) {
            throw new InputException(
                    "time between stirrings must be 0 (never) to " + MOST + " minutes, like 30, was " + stir);
        }
    }
}
