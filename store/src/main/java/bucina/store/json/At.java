package bucina.store.json;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;

/** A place in a JSON tree, known by its pointer, so that every complaint can say where. */
final class At {

    private final JsonNode node;
    private final String pointer;

    At(JsonNode node, String pointer) {
        this.node = node;
        this.pointer = pointer;
    }

    InputException wrong(String rule) {
        String value = node.isMissingNode() ? "nothing" : node.toString();
        return new InputException("at " + (pointer.isEmpty() ? "the top" : pointer) + ": " + rule + ", was "
                + (value.length() > 60 ? value.substring(0, 60) + "..." : value));
    }

    /** This object, whose fields are all among those named. */
    At only(String... fields) {
        if (!node.isObject()) {
            throw wrong("must be an object in braces");
        }
        Set<String> known = Set.of(fields);
        for (Iterator<String> names = node.fieldNames(); names.hasNext(); ) {
            String name = names.next();
            if (!known.contains(name)) {
                throw new At(node.get(name), pointer + "/" + name)
                        .wrong("field \"" + name + "\" is not known here; known are " + String.join(", ", fields));
            }
        }
        return this;
    }

    /** A place that may be empty, for complaints about what is read of it. */
    At place(String field) {
        return has(field) ? get(field) : new At(MissingNode.getInstance(), pointer + "/" + field);
    }

    At get(String field) {
        JsonNode child = node.get(field);
        if (child == null) {
            throw new At(MissingNode.getInstance(), pointer + "/" + field).wrong("is missing");
        }
        return new At(child, pointer + "/" + field);
    }

    Optional<At> maybe(String field) {
        JsonNode child = node.get(field);
        return child == null || child.isNull() ? Optional.empty() : Optional.of(new At(child, pointer + "/" + field));
    }

    At item(int i) {
        if (!node.isArray() || node.size() <= i) {
            throw wrong("must be a list of at least " + (i + 1));
        }
        return new At(node.get(i), pointer + "/" + i);
    }

    int size() {
        return node.size();
    }

    String text() {
        if (!node.isTextual()) {
            throw wrong("must be text in quotes");
        }
        return node.textValue();
    }

    String text(String field) {
        return get(field).text();
    }

    boolean flag(String field) {
        At at = get(field);
        if (!at.node.isBoolean()) {
            throw at.wrong("must be true or false");
        }
        return at.node.booleanValue();
    }

    long whole(String field) {
        At at = get(field);
        return at.whole();
    }

    long whole() {
        if (!node.isIntegralNumber() || !node.canConvertToLong()) {
            throw wrong("must be a whole number");
        }
        return node.longValue();
    }

    int small(String field) {
        long value = whole(field);
        if (value != (int) value) {
            throw get(field).wrong("must be a whole number under 2147483648");
        }
        return (int) value;
    }

    LocalDate date(String field) {
        return get(field).make(() -> LocalDate.parse(text(field)));
    }

    double number() {
        if (!node.isNumber()) {
            throw wrong("must be a number");
        }
        double value = node.doubleValue();
        if (!Double.isFinite(value)) {
            throw wrong("must be a number that is not that large");
        }
        return value;
    }

    /** Nanometres from decimal millimetres, exact. */
    double nanometres() {
        number();
        double value = Mm.nanometres(node.decimalValue());
        if (!(Math.abs(value) <= Mm.MOST)) {
            throw wrong("must be a length in mm of at most 1000000 either way");
        }
        return value;
    }

    Length length() {
        return Length.nm(nanometres());
    }

    Length length(String field) {
        return get(field).length();
    }

    BigDecimal decimal() {
        number();
        return node.decimalValue();
    }

    <T> List<T> list(String field, Function<At, T> each) {
        return get(field).list(each);
    }

    <T> List<T> list(Function<At, T> each) {
        if (!node.isArray()) {
            throw wrong("must be a list in brackets");
        }
        List<T> values = new ArrayList<>(node.size());
        for (int i = 0; i < node.size(); i++) {
            values.add(each.apply(new At(node.get(i), pointer + "/" + i)));
        }
        return values;
    }

    List<String> names() {
        if (!node.isObject()) {
            throw wrong("must be an object in braces");
        }
        List<String> names = new ArrayList<>();
        node.fieldNames().forEachRemaining(names::add);
        return names;
    }

    /** The value a maker gives, its complaints given this place. */
    <T> T make(Supplier<T> maker) {
        try {
            return maker.get();
        } catch (InputException e) {
            throw e.getMessage().startsWith("at /") || e.getMessage().startsWith("at the top") ? e : placed(e);
        } catch (IllegalArgumentException | DateTimeException e) {
            throw placed(e);
        }
    }

    private InputException placed(RuntimeException e) {
        return new InputException("at " + (pointer.isEmpty() ? "the top" : pointer) + ": " + e.getMessage(), e);
    }

    /** True if the field is written, be it as null. */
    private boolean has(String field) {
        return node.has(field);
    }

    /** A text, or what stands for it where the field is left out. */
    String text(String field, String left) {
        return has(field) ? text(field) : left;
    }

    /** A flag; false where the field is left out. */
    boolean flagged(String field) {
        return has(field) && flag(field);
    }

    /** A list; empty where the field is left out. */
    <T> List<T> some(String field, Function<At, T> each) {
        return has(field) ? list(field, each) : List.of();
    }

    /** What is read of a field, or what stands for it where it is left out. */
    <T> T or(String field, Function<At, T> read, T left) {
        return has(field) ? read.apply(get(field)) : left;
    }

    /** One of the words of an enumeration. */
    <E extends Enum<E>> E word(E[] values, Function<E, String> code) {
        String text = text();
        List<String> words = new ArrayList<>();
        for (E value : values) {
            if (code.apply(value).equals(text)) {
                return value;
            }
            words.add(code.apply(value));
        }
        throw wrong("must be one of " + String.join(", ", words));
    }
}
