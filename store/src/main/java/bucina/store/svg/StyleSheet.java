package bucina.store.svg;

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
import org.apache.batik.css.parser.Parser;
import org.w3c.css.sac.CSSException;
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

    private record Rule(Selector selector, int weight, Map<String, Said> says) {}

    private final List<Rule> rules = new ArrayList<>();
    private final Map<String, Map<String, Said>> own = new HashMap<>();
    private final Lefts lefts;

    StyleSheet(List<String> sheets, Lefts lefts) {
        this.lefts = lefts;
        sheets.forEach(this::read);
        rules.sort(Comparator.comparingInt(Rule::weight));
    }

    private void read(String sheet) {
        try {
            parser(new Handler()).parseStyleSheet(new InputSource(new StringReader(sheet)));
        } catch (IOException | CSSException e) {
            unread();
        }
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
        for (Rule rule : rules) {
            if (Matching.matches(rule.selector, node)) {
                lay(all, rule.says);
            }
        }
        String style = node.text("style");
        if (!style.isEmpty()) {
            lay(all, own.computeIfAbsent(style, this::declared));
        }
        return all;
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
        try {
            parser(into).parseStyleDeclaration(new InputSource(new StringReader(style)));
        } catch (IOException | CSSException e) {
            unread();
        }
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
            for (int i = 0; shown && i < selectors.getLength() && rules.size() < RULES; i++) {
                rules.add(new Rule(selectors.item(i), Matching.weight(selectors.item(i)), Map.copyOf(says)));
            }
            says.clear();
        }
    }
}
