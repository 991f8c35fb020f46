package bucina.core.rule;

import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;

/** Every rule with a value, checked once when made. Immutable. */
public final class RuleSet {

    /** No factor of a rule comes near it; more is a slip of the keyboard, and NaN and infinity fail too. */
    private static final double MOST = 1000;

    private final String name;
    private final Map<RuleKey, Rule> rules;
    /** Values read once: they are asked for at every hole. */
    private final Map<RuleKey, Double> factors = new EnumMap<>(RuleKey.class);

    private final Map<RuleKey, Length> lengths = new EnumMap<>(RuleKey.class);

    private RuleSet(String name, Map<RuleKey, Rule> rules) {
        this.name = name;
        this.rules = rules;
        rules.forEach((key, rule) -> {
            switch (key.kind()) {
                case DIAMETERS, THICKNESSES, DEGREES -> factors.put(key, Double.parseDouble(rule.value()));
                case LENGTH -> lengths.put(key, parser().parse(rule.value()));
                case CHOICE -> {}
            }
        });
    }

    /**
     * A rule set of the given rules.
     *
     * @throws InputException if a rule is missing, stands twice, or has a value of the wrong kind
     */
    public static RuleSet of(String name, List<Rule> rules) {
        Map<RuleKey, Rule> map = new EnumMap<>(RuleKey.class);
        for (Rule rule : rules) {
            check(rule);
            if (map.put(rule.key(), rule) != null) {
                throw new InputException("rule " + rule.key().code() + " stands twice in rule set \"" + name + "\"");
            }
        }
        for (RuleKey key : RuleKey.values()) {
            if (!map.containsKey(key)) {
                throw new InputException(
                        "rule set \"" + name + "\" lacks " + key.code() + ": give it a value and a source");
            }
        }
        return new RuleSet(Objects.requireNonNull(name, "name"), map);
    }

    private static void check(Rule rule) {
        String value = rule.value();
        boolean positive =
                switch (rule.key().kind()) {
                    case DIAMETERS, THICKNESSES, DEGREES -> number(rule) > 0 && number(rule) < MOST;
                    case LENGTH -> parser().parse(value).positive();
                    case CHOICE -> pick(rule) != null;
                };
        if (!positive) {
            throw new InputException("rule " + rule.key().code() + " must be over 0"
                    + (rule.key().kind() == RuleKey.Kind.LENGTH ? "" : " and under " + (int) MOST) + ", was " + value);
        }
    }

    private static double number(Rule rule) {
        try {
            return Double.parseDouble(rule.value());
        } catch (NumberFormatException e) {
            throw new InputException(
                    "rule " + rule.key().code() + " must be a number like 2.5, was \"" + rule.value() + "\"", e);
        }
    }

    private static Choice pick(Rule rule) {
        for (Choice choice : rule.key().choices()) {
            if (choice.code().equals(rule.value())) {
                return choice;
            }
        }
        throw new InputException("rule " + rule.key().code() + " must be one of "
                + rule.key().choices().stream().map(Choice::code).collect(Collectors.joining(", "))
                + ", was \"" + rule.value() + "\"");
    }

    private static LengthParser parser() {
        return new LengthParser(Unit.INCH, new DrillTable(List.of()));
    }

    /** The name the set is known by. */
    public String name() {
        return name;
    }

    /** One rule; never null. */
    public Rule rule(RuleKey key) {
        return Objects.requireNonNull(rules.get(key), key::code);
    }

    /** All rules in the order of {@link RuleKey}. */
    public List<Rule> rules() {
        return List.copyOf(rules.values());
    }

    /** The factor of a rule in diameters or thicknesses, or its degrees. */
    public double factor(RuleKey key) {
        return Objects.requireNonNull(factors.get(key), key::code);
    }

    /** The rule's factor times {@code d}. */
    public Length times(RuleKey key, Length d) {
        return d.times(factor(key));
    }

    /** The value of a rule that is a length. */
    public Length length(RuleKey key) {
        return Objects.requireNonNull(lengths.get(key), key::code);
    }

    /** The shop head school that governs; the other is still shown. */
    public ShopSchool shopSchool() {
        return (ShopSchool) pick(rule(RuleKey.SHOP_SCHOOL));
    }

    /** The countersink school that governs. */
    public CountersinkSchool countersinkSchool() {
        return (CountersinkSchool) pick(rule(RuleKey.COUNTERSINK_SCHOOL));
    }

    /** How the holes of the kit come. */
    public HolesCome holesCome() {
        return (HolesCome) pick(rule(RuleKey.HOLES_COME));
    }

    /** True if deburring is owed at each hole. */
    public boolean deburringMarked() {
        return pick(rule(RuleKey.DEBURR_MARKED)) == Followed.MARKED;
    }

    /** What is primed before it is riveted. */
    public PrimeSchool primeSchool() {
        return (PrimeSchool) pick(rule(RuleKey.PRIME_SCHOOL));
    }

    /** This set with one value replaced, for {@code reason}. */
    public RuleSet with(RuleKey key, String value, String reason) {
        List<Rule> changed = new ArrayList<>();
        for (Rule rule : rules()) {
            changed.add(rule.key() == key ? new Rule(key, value, rule.source(), reason) : rule);
        }
        return of(name, changed);
    }

    /** This set under another name. */
    public RuleSet named(String other) {
        return new RuleSet(Objects.requireNonNull(other, "other"), rules);
    }

    /** A set of the given rules with those that are missing taken from another: for files older than a rule. */
    public static RuleSet filled(String name, List<Rule> rules, RuleSet from) {
        List<Rule> all = new ArrayList<>(rules);
        from.rules().stream()
                .filter(r -> rules.stream().noneMatch(g -> g.key() == r.key()))
                .forEach(all::add);
        return of(name, all);
    }

    /** The rules whose value is another here than in {@code other}, in the order of {@link RuleKey}. */
    public List<Rule> differing(RuleSet other) {
        return rules().stream()
                .filter(r -> !r.value().equals(other.rule(r.key()).value()))
                .toList();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof RuleSet that && name.equals(that.name) && rules.equals(that.rules);
    }

    @Override
    public int hashCode() {
        return Objects.hash(name, rules);
    }
}
