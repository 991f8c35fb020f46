package bucina.store.svg;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.w3c.css.sac.AttributeCondition;
import org.w3c.css.sac.CombinatorCondition;
import org.w3c.css.sac.Condition;
import org.w3c.css.sac.ConditionalSelector;
import org.w3c.css.sac.DescendantSelector;
import org.w3c.css.sac.ElementSelector;
import org.w3c.css.sac.Selector;
import org.w3c.css.sac.SiblingSelector;

/** Which elements a selector means, and how much it weighs against others (CSS 2.1, chapter 6.4.3). */
final class Matching {

    private static final int ID = 1_000_000;
    private static final int CLASS = 1000;

    private Matching() {}

    /** True if the selector means the element. */
    static boolean matches(Selector selector, SvgNode node) {
        return switch (selector) {
            case ConditionalSelector c -> matches(c.getSimpleSelector(), node) && holds(c.getCondition(), node);
            case DescendantSelector d
            when d.getSelectorType() == Selector.SAC_CHILD_SELECTOR ->
                matches(d.getSimpleSelector(), node)
                        && node.parent()
                                .filter(p -> matches(d.getAncestorSelector(), p))
                                .isPresent();
            case DescendantSelector d
            when d.getSelectorType() == Selector.SAC_DESCENDANT_SELECTOR ->
                matches(d.getSimpleSelector(), node) && anyAbove(d.getAncestorSelector(), node.parent());
            case SiblingSelector s ->
                matches(s.getSiblingSelector(), node)
                        && node.before()
                                .filter(b -> matches(s.getSelector(), b))
                                .isPresent();
            case ElementSelector e
            when e.getSelectorType() == Selector.SAC_ELEMENT_NODE_SELECTOR ->
                e.getLocalName() == null || e.getLocalName().equals(node.name());
            default -> selector.getSelectorType() == Selector.SAC_ANY_NODE_SELECTOR;
        };
    }

    private static boolean anyAbove(Selector selector, Optional<SvgNode> from) {
        for (Optional<SvgNode> at = from; at.isPresent(); at = at.get().parent()) {
            if (matches(selector, at.get())) {
                return true;
            }
        }
        return false;
    }

    private static boolean holds(Condition condition, SvgNode node) {
        if (condition instanceof CombinatorCondition both
                && condition.getConditionType() == Condition.SAC_AND_CONDITION) {
            return holds(both.getFirstCondition(), node) && holds(both.getSecondCondition(), node);
        }
        if (!(condition instanceof AttributeCondition a)) {
            return false;
        }
        @Nullable String value = a.getValue();
        return switch (condition.getConditionType()) {
            case Condition.SAC_CLASS_CONDITION -> words(node.text("class")).contains(value);
            case Condition.SAC_ID_CONDITION -> node.text("id").equals(value);
            case Condition.SAC_ATTRIBUTE_CONDITION -> {
                String has = node.attribute(a.getLocalName());
                yield has != null && (value == null || has.equals(value));
            }
            case Condition.SAC_ONE_OF_ATTRIBUTE_CONDITION ->
                words(node.text(a.getLocalName())).contains(value);
            case Condition.SAC_BEGIN_HYPHEN_ATTRIBUTE_CONDITION ->
                (node.text(a.getLocalName()) + "-").startsWith(value + "-");
            case Condition.SAC_PSEUDO_CLASS_CONDITION ->
                value != null
                        && value.toLowerCase(Locale.ROOT).equals("first-child")
                        && node.before().isEmpty();
            default -> false;
        };
    }

    private static List<String> words(String text) {
        return List.of(text.split("\\s+"));
    }

    /** The id, class or name that an element must have to be meant; {@code *} where it is none of these. */
    static String key(Selector selector) {
        return switch (selector) {
            case ConditionalSelector c -> key(c.getCondition()).orElseGet(() -> key(c.getSimpleSelector()));
            case DescendantSelector d -> key(d.getSimpleSelector());
            case SiblingSelector s -> key(s.getSiblingSelector());
            case ElementSelector e when e.getLocalName() != null -> e.getLocalName();
            default -> "*";
        };
    }

    private static Optional<String> key(Condition condition) {
        if (condition instanceof CombinatorCondition both) {
            return key(both.getFirstCondition()).or(() -> key(both.getSecondCondition()));
        }
        return switch (condition.getConditionType()) {
            case Condition.SAC_ID_CONDITION -> Optional.of("#" + ((AttributeCondition) condition).getValue());
            case Condition.SAC_CLASS_CONDITION -> Optional.of("." + ((AttributeCondition) condition).getValue());
            default -> Optional.empty();
        };
    }

    /** How much a selector weighs. */
    static int weight(Selector selector) {
        return switch (selector) {
            case ConditionalSelector c -> weight(c.getSimpleSelector()) + weight(c.getCondition());
            case DescendantSelector d -> weight(d.getAncestorSelector()) + weight(d.getSimpleSelector());
            case SiblingSelector s -> weight(s.getSelector()) + weight(s.getSiblingSelector());
            case ElementSelector e -> e.getLocalName() == null ? 0 : 1;
            default -> 0;
        };
    }

    private static int weight(Condition condition) {
        if (condition instanceof CombinatorCondition both) {
            return weight(both.getFirstCondition()) + weight(both.getSecondCondition());
        }
        return condition.getConditionType() == Condition.SAC_ID_CONDITION ? ID : CLASS;
    }
}
