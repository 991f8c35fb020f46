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

    /** True if a head is formed on it, at the bench or blind. */
    default boolean rivet() {
        return this instanceof SolidRivet || this instanceof PulledRivet;
    }

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
     * A bolt, screw or other hardware whose designation the drawing gives. A bolt of the catalogue is checked against
     * its stack; named by its series alone, {@code AN4}, its length is worked out.
     *
     * @param name    designation as on the drawing, not blank
     * @param shank   D, over 0
     * @param hole    final hole, at least D
     * @param flush   true for a flush head
     * @param bolting how a bolt is fitted and tightened
     */
    record Hardware(String name, Length shank, Length hole, boolean flush, Bolting bolting) implements Fastener {

        private static final Pattern BOLT = Pattern.compile("(?i)bolt|^AN([3-9]|1[0-9]|20)(H?-\\d|H\\d|H?$)"
                + "|^NAS\\d{3,4}|^MS200(0[4-9]|[12]\\d)|ISO (4014|4017|4762)");
        private static final Pattern SCREW =
                Pattern.compile("(?i)screw|^(MS2469[34]|MS27039|AN50[79]|AN52[56]|NAS51[47])|^#\\d"
                        + "|^ISO (2009|704[5-7]|7380|10642|14581)");

        /** Hardware of which no more is said. */
        public Hardware(String name, Length shank, Length hole, boolean flush) {
            this(name, shank, hole, flush, Bolting.NONE);
        }

        public Hardware {
            Objects.requireNonNull(bolting, "bolting");
            if (name.isBlank() || name.contains("{}")) {
                throw new InputException("hardware needs a designation such as AN4-5A");
            }
            if (!(shank.positive() && hole.atLeast(shank))) {
                throw new InputException(
                        "hardware needs a shank over 0 and a hole no smaller, was " + shank + " in " + hole);
            }
        }

        /** True if it is named as a bolt: it is torqued and marked. */
        public boolean bolt() {
            return permanent() && BOLT.matcher(name).find();
        }

        /** A bolt is; a screw comes out again. */
        @Override
        public boolean permanent() {
            return !(flush || SCREW.matcher(name).find());
        }
    }

    /**
     * A rivet nut, a blind threaded insert: what its maker says of it.
     *
     * @param name    as the maker calls it, not blank
     * @param thread  {@code M4}, {@code 8-32}; not blank
     * @param body    diameter, over 0
     * @param hole    at least the body
     * @param least   thinnest stack that it holds, at least 0
     * @param most    thickest stack, over the thinnest
     * @param stroke  of the setting tool, over 0
     */
    record RivetNut(String name, String thread, Length body, Length hole, Length least, Length most, Length stroke)
            implements Fastener {
        public RivetNut {
            if (name.isBlank() || thread.isBlank() || name.contains("{}") || thread.contains("{}")) {
                throw new InputException("a rivet nut needs its maker's name and its thread, such as M4");
            }
            if (!(body.positive() && hole.atLeast(body))) {
                throw new InputException(
                        "a rivet nut needs a body over 0 and a hole no smaller, was " + body + " in " + hole);
            }
            if (!(least.nanometres() >= 0 && most.minus(least).positive() && stroke.positive())) {
                throw new InputException("a rivet nut holds from a least to a greater grip, by a stroke over 0, was "
                        + least + " to " + most + " by " + stroke);
            }
        }

        @Override
        public Length shank() {
            return body;
        }

        @Override
        public boolean flush() {
            return false;
        }

        @Override
        public boolean permanent() {
            return true;
        }

        /** True if it holds a stack; ends inclusive. */
        public boolean holds(Length grip) {
            return grip.atLeast(least) && most.atLeast(grip);
        }
    }
}
