package bucina.core.bolt;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;

/**
 * A nut.
 *
 * @param name   in the catalogue, {@code tension-lock}
 * @param kind   which torque it takes
 * @param thread it fits
 * @param height over 0
 * @param source where the height stands
 */
public record Nut(String name, Kind kind, String thread, Length height, String source) {

    /** Kinds of nut. */
    public enum Kind {
        /** Self-locking or plain, full height. */
        TENSION,
        /** Thin. */
        SHEAR,
        /** Slotted for a cotter; tension torque. */
        CASTLE,
        /** Slotted and thin; shear torque. */
        SHEAR_CASTLE;

        /** The word in commands and files. */
        public String code() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        /** True if a cotter goes through it. */
        public boolean slotted() {
            return this == CASTLE || this == SHEAR_CASTLE;
        }

        /** True if it takes the torque for shear nuts. */
        public boolean shear() {
            return this == SHEAR || this == SHEAR_CASTLE;
        }
    }

    public Nut {
        if (!height.positive()) {
            throw new InputException("The nut is " + height + " high: it is over 0, like .250");
        }
    }

    /**
     * The nut with this name for a thread, or one as entered: its kind and height, {@code shear:.16}.
     *
     * @param lengths reads a length
     * @throws InputException if the catalogue has none of that name
     */
    public static Nut of(List<Nut> table, String name, String thread, Function<String, Length> lengths) {
        String clean = name.strip();
        int colon = clean.indexOf(':');
        if (colon > 0) {
            String kind = clean.substring(0, colon);
            for (Kind k : Kind.values()) {
                if (k.code().equals(kind)) {
                    return new Nut(kind, k, thread, lengths.apply(clean.substring(colon + 1)), "height as entered");
                }
            }
        }
        return inTable(table, thread, clean);
    }

    private static Nut inTable(List<Nut> table, String thread, String clean) {
        List<String> known = table.stream()
                .filter(n -> n.thread.equals(thread))
                .map(Nut::name)
                .toList();
        return table.stream()
                .filter(n -> n.thread.equals(thread) && n.name.equals(clean))
                .findFirst()
                .orElseThrow(() -> new InputException("\"" + clean
                        + "\" is no nut for " + thread + " in the catalogue, which has " + String.join(", ", known)
                        + ": enter another by kind and height, like shear:.16, castle:.25 or shear-castle:.16"));
    }
}
