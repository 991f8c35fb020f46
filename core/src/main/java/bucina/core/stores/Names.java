package bucina.core.stores;

import bucina.core.callout.Callout;
import bucina.core.measure.InputException;
import java.util.Locale;
import java.util.regex.Pattern;

/** Designations as people write them, brought to one spelling, so that one thing is counted once. */
public final class Names {

    /** Every callout that is read has one of these in it; the rest need not be tried. */
    private static final Pattern LIKE = Pattern.compile("(?i)MS|AN|NAS|ISO|RIVET NUT|470|426|1097|1597");

    private Names() {}

    /**
     * The one spelling: {@code AN426AD3-4} and {@code MS 20426 AD3-4} are {@code MS20426AD3-4}; what is no fastener
     * this program reads keeps its words with single spaces.
     */
    public static String one(String designation) {
        String clean = designation.strip().replaceAll("\\s+", " ");
        if (!LIKE.matcher(clean).find()) {
            return clean;
        }
        try {
            Callout read = Callout.parse(clean);
            return read.count().isPresent() ? clean : read.text();
        } catch (InputException e) {
            return clean;
        }
    }

    /** What two spellings of the same thing have alike. */
    static String key(String designation) {
        return one(designation).toUpperCase(Locale.ROOT);
    }

    /** True if it is a fastener by a designation this program reads. */
    public static boolean fastener(String designation) {
        if (!LIKE.matcher(designation).find()) {
            return false;
        }
        try {
            return Callout.parse(designation.strip()).count().isEmpty();
        } catch (InputException e) {
            return false;
        }
    }
}
