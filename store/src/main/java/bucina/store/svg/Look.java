package bucina.store.svg;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How an element looks, as far as it decides what is seen.
 *
 * @param gone     why it and all in it is not drawn at all; empty if it is
 * @param visible  false where it is hidden, though what is in it may not be
 * @param evenOdd  how it is filled
 * @param spills  true if what lies outside of its view is drawn too
 * @param clip     the id of what cuts it; empty where nothing does
 */
record Look(
        Optional<String> gone,
        boolean visible,
        boolean filled,
        boolean stroked,
        boolean wide,
        boolean evenOdd,
        boolean spills,
        Optional<String> clip) {

    /** What holds outside of everything: filled, not stroked. */
    static final Look FIRST = new Look(Optional.empty(), true, true, false, true, false, false, Optional.empty());

    /** The look of an element in something that looks like this. */
    Look of(SvgNode node, StyleSheet sheet) {
        Map<String, StyleSheet.Said> said = sheet.of(node);
        Asked asked = new Asked(node, said);
        return new Look(
                gone.or(() -> gone(asked)),
                asked.value("visibility")
                        .map(v -> !v.equals("hidden") && !v.equals("collapse"))
                        .orElse(visible),
                asked.value("fill").map(Look::paints).orElse(filled) && !nought(asked, "fill-opacity"),
                asked.value("stroke").map(Look::paints).orElse(stroked) && !nought(asked, "stroke-opacity"),
                asked.value("stroke-width").map(v -> !isNought(v)).orElse(wide),
                asked.value("fill-rule").map(v -> v.equals("evenodd")).orElse(evenOdd),
                asked.value("overflow")
                        .filter(v -> v.equals("visible") || v.equals("auto"))
                        .isPresent(),
                asked.value("clip-path").filter(v -> v.startsWith("url(")).map(Look::address));
    }

    private static Optional<String> gone(Asked asked) {
        if (asked.value("display").filter(v -> v.equals("none")).isPresent()) {
            return Optional.of("it is hidden");
        }
        if (nought(asked, "opacity")) {
            return Optional.of("it is see-through");
        }
        if (asked.value("mask").filter(v -> v.startsWith("url(")).isPresent()) {
            return Optional.of("a mask lies over it");
        }
        return asked.style("transform").isPresent()
                ? Optional.of("its style moves it, and this program reads the transform attribute only")
                : Optional.empty();
    }

    /** The same, not drawn for a reason. */
    Look without(String why) {
        return new Look(Optional.of(why), visible, filled, stroked, wide, evenOdd, spills, clip);
    }

    /** Why it is not seen; empty if it is. */
    Optional<String> hidden() {
        if (gone.isPresent()) {
            return gone;
        }
        if (!visible) {
            return Optional.of("it is hidden");
        }
        return filled || stroked() ? Optional.empty() : Optional.of("it is neither filled nor stroked");
    }

    /** True if its line is drawn. */
    @Override
    public boolean stroked() {
        return stroked && wide;
    }

    private static boolean paints(String value) {
        return !value.equals("none") && !value.equals("transparent");
    }

    private static boolean nought(Asked asked, String name) {
        return asked.value(name).filter(Look::isNought).isPresent();
    }

    private static boolean isNought(String value) {
        return value.matches("[+]?0*+\\.?0*+(px|mm|%)?") && value.contains("0");
    }

    /** The id in {@code url(#id)}. */
    private static String address(String value) {
        return value.replaceAll("^url\\(\\s*['\"]?[^#]*#?|['\"]?\\s*\\)$", "");
    }

    /** What is said of an element by styles, or else by its attributes. */
    private record Asked(SvgNode node, Map<String, StyleSheet.Said> said) {

        Optional<String> style(String name) {
            StyleSheet.@Nullable Said s = said.get(name);
            return s == null ? Optional.empty() : Optional.of(s.value().strip().toLowerCase(Locale.ROOT));
        }

        Optional<String> value(String name) {
            StyleSheet.@Nullable Said s = said.get(name);
            String value = s == null ? node.text(name) : s.value().strip();
            // An id keeps its capitals.
            String plain = value.startsWith("url(") ? value : value.toLowerCase(Locale.ROOT);
            return Optional.of(plain).filter(v -> !v.isEmpty() && !v.equals("inherit"));
        }
    }
}
