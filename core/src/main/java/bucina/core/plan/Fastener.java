package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.rivet.HeadStyle;
import java.util.Objects;
import java.util.regex.Pattern;

/** What goes into the holes of a group, without its length. */
public sealed interface Fastener {

    /** Nominal shank diameter D, over 0. */
    Length shank();

    /** True if the head lies flush in the sheet. */
    boolean flush();

    /** True if a part that it holds is on for good: it is not taken out to get at something. */
    boolean permanent();

    /** How it is named without a length: {@code MS20426AD3}. */
    String name();

    /**
     * A solid rivet; its length is worked out per hole.
     *
     * @param head  manufactured head
     * @param alloy alloy letters, {@code AD}
     * @param dash  diameter in 1/32 in, 2 to 12
     */
    record SolidRivet(HeadStyle head, String alloy, int dash) implements Fastener {
        public SolidRivet {
            Objects.requireNonNull(head, "head");
            if (!alloy.matches("[A-Z]{1,2}")) {
                throw new InputException("alloy letters must be one or two capitals like AD, was \"" + alloy + "\"");
            }
            if (dash < 2 || dash > 12) {
                throw new InputException("diameter dash must be 2 to 12 (1/32 in each), was " + dash);
            }
        }

        @Override
        public boolean permanent() {
            return true;
        }

        @Override
        public Length shank() {
            return Length.fraction(dash, 32);
        }

        @Override
        public boolean flush() {
            return head.flush();
        }

        @Override
        public String name() {
            return head.standard() + alloy + dash;
        }
    }

    /**
     * A pulled (blind) rivet; its length is worked out per hole.
     *
     * @param family    {@code iso15977} domed, {@code iso15978} 120 degree flush, {@code structural-16}
     * @param diameter  of the body, over 0
     * @param stainless true for a stainless body, which is nearly impossible to drill out
     */
    record PulledRivet(String family, Length diameter, boolean stainless) implements Fastener {

        /** The flush family. */
        public static final String FLUSH = "iso15978";

        public PulledRivet {
            if (!family.matches("[a-z0-9-]{3,30}")) {
                throw new InputException("a family of pulled rivets is written like iso15977, was \"" + family + "\"");
            }
            if (!diameter.positive()) {
                throw new InputException("body diameter must be over 0, was " + diameter);
            }
        }

        @Override
        public boolean permanent() {
            return true;
        }

        @Override
        public Length shank() {
            return diameter;
        }

        @Override
        public boolean flush() {
            return family.equals(FLUSH);
        }

        @Override
        public String name() {
            String body = LengthFormat.exact(diameter, Unit.MM).replace(" mm", "");
            return family.replace("iso", "ISO ") + " " + body + (stainless ? " stainless" : "");
        }
    }

    /**
     * A bolt, screw or other hardware whose designation the drawing gives; it is checked for edge distance and
     * logged, its length is not chosen.
     *
     * @param name  designation as on the drawing, not blank
     * @param shank D, over 0
     * @param hole  final hole, at least D
     * @param flush true for a flush head
     */
    record Hardware(String name, Length shank, Length hole, boolean flush) implements Fastener {

        private static final Pattern SCREW =
                Pattern.compile("(?i)screw|^(MS2469[34]|MS27039|AN50[79]|AN52[56]|NAS51[47])|^#\\d");

        public Hardware {
            if (name.isBlank() || name.contains("{}")) {
                throw new InputException("hardware needs a designation such as AN4-5A");
            }
            if (!(shank.positive() && hole.atLeast(shank))) {
                throw new InputException(
                        "hardware needs a shank over 0 and a hole no smaller, was " + shank + " in " + hole);
            }
        }

        /** A bolt is; a screw comes out again. */
        @Override
        public boolean permanent() {
            return !(flush || SCREW.matcher(name).find());
        }
    }
}
