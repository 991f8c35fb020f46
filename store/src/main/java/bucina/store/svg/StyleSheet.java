package bucina.store.svg;

import bucina.core.measure.InputException;
import bucina.store.curve.Lefts;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.batik.css.parser.Parser;
import org.w3c.css.sac.CSSParseException;
import org.w3c.css.sac.ErrorHandler;
import org.w3c.css.sac.InputSource;
import org.w3c.css.sac.LexicalUnit;
import org.w3c.css.sac.Selector;
import org.w3c.css.sac.SelectorList;

/** The style sheets of a file, and what they and its own style say of an element. Nothing is imported. */
final class StyleSheet {

    private static final int RULES = 5000;

    /** What a declaration says; {@code important} beats what is not. */
    record Said(String value, boolean important) {}

    private record Rule(Selector selector, int weight, int order, Map<String, Said> says) {}

    private static final Comparator<Rule> WEIGHT =
            Comparator.comparingInt(Rule::weight).thenComparingInt(Rule::order);

    /** Rules by the name, class or id that the element itself must have. */
    private final Map<String, List<Rule>> rules = new HashMap<>();

    private int count;
    private final Map<String, Map<String, Said>> own = new HashMap<>();
    private final Lefts lefts;

    StyleSheet(List<String> sheets, Lefts lefts) {
        this.lefts = lefts;
        sheets.forEach(this::read);
    }

    private void read(String sheet) {
        parsed(new Handler(), p -> p.parseStyleSheet(new InputSource(new StringReader(sheet))));
    }

    /** What can be parsed; what it cannot read lets mistakes of the library out, as numbers that are none. */
    private void parsed(Declarations into, Parsing parsing) {
        try {
            parsing.with(parser(into));
        } catch (InputException e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            unread();
        }
    }

    private interface Parsing {
        void with(Parser parser) throws IOException;
    }

    private void unread() {
        lefts.add("style rule", "", "it cannot be read", Optional.empty());
    }

    private Parser parser(Declarations into) {
        Parser parser = new Parser();
        parser.setDocumentHandler(into);
        parser.setErrorHandler(new ErrorHandler() {
            @Override
            public void warning(CSSParseException e) {
                unread();
            }

            @Override
            public void error(CSSParseException e) {
                unread();
            }

            @Override
            public void fatalError(CSSParseException e) {
                unread();
            }
        });
        return parser;
    }

    /** What is said of an element, by name of the property: the style of its own over sheets over attributes. */
    Map<String, Said> of(SvgNode node) {
        Map<String, Said> all = new HashMap<>();
        if (count > 0) {
            candidates(node)
                    .filter(r -> Matching.matches(r.selector, node))
                    .sorted(WEIGHT)
                    .forEach(r -> lay(all, r.says));
        }
        String style = node.text("style");
        if (!style.isEmpty()) {
            lay(all, own.computeIfAbsent(style, this::declared));
        }
        return all;
    }

    private Stream<Rule> candidates(SvgNode node) {
        Stream<String> classes = Stream.of(node.text("class").split("\\s+")).map(c -> "." + c);
        return Stream.concat(Stream.of("*", node.name(), "#" + node.text("id")), classes)
                .distinct()
                .flatMap(k -> rules.getOrDefault(k, List.of()).stream());
    }

    private static void lay(Map<String, Said> all, Map<String, Said> over) {
        over.forEach((name, said) -> {
            Said there = all.get(name);
            if (there == null || said.important || !there.important) {
                all.put(name, said);
            }
        });
    }

    private Map<String, Said> declared(String style) {
        Declarations into = new Declarations();
        parsed(into, p -> p.parseStyleDeclaration(new InputSource(new StringReader(style))));
        return Map.copyOf(into.says);
    }

    /** Takes the declarations of one place. */
    private static class Declarations extends SilentHandler {

        final Map<String, Said> says = new HashMap<>();

        @Override
        public void property(String name, LexicalUnit value, boolean important) {
            Said said = new Said(text(value), important);
            lay(says, Map.of(name.toLowerCase(Locale.ROOT), said));
        }

        private static String text(LexicalUnit value) {
            return switch (value.getLexicalUnitType()) {
                case LexicalUnit.SAC_IDENT, LexicalUnit.SAC_STRING_VALUE -> value.getStringValue();
                case LexicalUnit.SAC_URI -> "url(" + value.getStringValue() + ")";
                case LexicalUnit.SAC_INHERIT -> "inherit";
                case LexicalUnit.SAC_INTEGER -> Integer.toString(value.getIntegerValue());
                case LexicalUnit.SAC_REAL -> Float.toString(value.getFloatValue());
                case LexicalUnit.SAC_PERCENTAGE -> value.getFloatValue() + "%";
                case LexicalUnit.SAC_FUNCTION -> value.getFunctionName() + "()";
                case LexicalUnit.SAC_RGBCOLOR -> "rgb()";
                default -> length(value);
            };
        }

        private static String length(LexicalUnit value) {
            try {
                return value.getFloatValue() + value.getDimensionUnitText();
            } catch (IllegalStateException e) {
                return "";
            }
        }
    }

    /** Takes rules with their selectors. */
    private final class Handler extends Declarations {

        private boolean shown = true;

        @Override
        public void media(List<String> media, boolean begins) {
            shown = !begins || media.stream().anyMatch(m -> m.equals("all") || m.equals("screen"));
        }

        @Override
        public void imported(String address) {
            lefts.add("style sheet", "", "it is another file, and nothing is fetched", Optional.empty());
        }

        @Override
        public void endSelector(SelectorList selectors) {
            for (int i = 0; shown && i < selectors.getLength(); i++) {
                Selector one = selectors.item(i);
                if (++count > RULES) {
                    throw new InputException(
                            "the SVG has over " + RULES + " style rules: write it out with styles at the shapes");
                }
                rules.computeIfAbsent(Matching.key(one), k -> new ArrayList<>())
                        .add(new Rule(one, Matching.weight(one), count, Map.copyOf(says)));
            }
            says.clear();
        }
    }
}
