package bucina.store.drawing;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Names of layers as the oldest DXF has them: capitals, digits, $, - and _, no more than 31. */
public final class LayerNames {

    /** Begins a comment that says what a name was before it was made to fit. */
    public static final String COMMENT = "layer ";

    private static final int LONGEST = 31;

    private final Map<String, String> fits = new LinkedHashMap<>();
    private final Set<String> taken = new HashSet<>();

    /** The name that fits, the same each time and another for each name. */
    String fit(String name) {
        return fits.computeIfAbsent(name.isEmpty() ? "0" : name, this::free);
    }

    private String free(String name) {
        String plain = name.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9$_-]", "_");
        String cut = plain.substring(0, Math.min(LONGEST, plain.length()));
        for (int n = 2; !taken.add(cut); n++) {
            String end = "-" + n;
            cut = plain.substring(0, Math.min(LONGEST - end.length(), plain.length())) + end;
        }
        return cut;
    }

    /** Names with what they were before, only those that had to be made to fit. */
    Map<String, String> changed() {
        Map<String, String> changed = new LinkedHashMap<>();
        fits.forEach((name, fit) -> {
            if (!fit.equals(name)) {
                changed.put(fit, name);
            }
        });
        return changed;
    }
}
