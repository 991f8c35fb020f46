package bucina.core.rule;

import java.util.Objects;

/**
 * One rule with its value.
 *
 * @param key    which rule
 * @param value  as written in the file: {@code 2.5}, {@code .050 in}, {@code full}
 * @param source the standard or practice behind the value
 * @param reason why the builder replaced the shipped value; empty if it is the shipped one
 */
public record Rule(RuleKey key, String value, String source, String reason) {
    public Rule {
        Objects.requireNonNull(key, "key");
        Objects.requireNonNull(value, "value");
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(reason, "reason");
    }
}
