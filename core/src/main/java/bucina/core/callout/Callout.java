package bucina.core.callout;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Fastener;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetDesignation;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A callout read.
 *
 * @param count    how many, 1 to 99 999; empty where it does not say
 * @param fastener what goes in
 * @param text     printed the one way: {@code 18× MS20426AD3-4}
 */
public record Callout(Optional<Integer> count, Fastener fastener, String text) {

    private static final Pattern BEFORE =
            Pattern.compile("(\\d{1,5})\\s*(?:[X×]|PL(?:CS|ACES)?\\.?|OFF|EA\\.?|-?\\s+)\\s*(.+)");
    private static final Pattern AFTER =
            Pattern.compile("(.+?)\\s*[(,;]?\\s*(?:(\\d{1,5})\\s*(?:[X×]|PL(?:CS|ACES)?\\.?|OFF|EA\\.?)|"
                    + "[X×]\\s*(\\d{1,5}))\\s*[)]?");
    private static final Pattern PULLED =
            Pattern.compile("(?:ISO)?\\s*(15977|15978)(?:\\s*(SS|STAINLESS|A2))?[ -]+(\\d(?:\\.\\d{1,2})?)"
                    + "(?:\\s*[X×]\\s*(\\d{1,2}(?:\\.\\d)?))?(?:\\s*MM)?(?:\\s+(SS|STAINLESS|A2))?");
    private static final Pattern BOLT = Pattern.compile("AN\\s*([345])(H?)(?:-(\\d{1,2})(A?))?");
    /** A rivet nut with its maker's figures, all in mm. */
    private static final Pattern RIVET_NUT =
            Pattern.compile("RIVET NUT ([A-Z0-9/#-]{2,8}),? BODY (N),? HOLE (N),? GRIP (N)-(N),? STROKE (N)(?: MM)?"
                    .replace("N)", "\\d{1,3}(?:\\.\\d{1,3})?)"));

    private static final Pattern SCREW = Pattern.compile("MS27039-(0[68]|1-?)(\\d{2})");
    private static final Pattern FAMILY =
            Pattern.compile("(?:MS20|MS 20|AN|NAS|MS)?[ -]?(470|426|1097)[ -]?([A-Z]{1,2})[ -]?(\\d{1,2})");
    private static final String EXAMPLE =
            "write it like 18× MS20426AD3-4, AN470AD4-5 (9X), 24× ISO 15977 3.2 × 8, 6× AN4-6A or, with the "
                    + "length from the stack, 6× AN4";

    /**
     * Reads a callout as people write it, the count before or behind.
     *
     * @throws InputException if no fastener is in it; the message shows the text and examples
     */
    public static Callout parse(String text) {
        String clean = text == null ? "" : text.strip();
        if (clean.isEmpty() || clean.length() > 80) {
            throw new InputException((clean.isEmpty()
                            ? "a callout is missing: "
                            : "a callout has at most 80 characters, this has " + clean.length() + ": ")
                    + EXAMPLE);
        }
        String upper = clean.toUpperCase(Locale.ROOT);
        Optional<Named> whole = named(upper);
        if (whole.isPresent()) {
            return of(Optional.empty(), whole.get());
        }
        Matcher before = BEFORE.matcher(upper);
        if (before.matches()) {
            Optional<Named> rest = named(before.group(2).strip());
            if (rest.isPresent()) {
                return of(count(before.group(1), clean), rest.get());
            }
        }
        Matcher after = AFTER.matcher(upper);
        if (after.matches()) {
            Optional<Named> rest = named(after.group(1).strip());
            if (rest.isPresent()) {
                return of(count(after.group(2) != null ? after.group(2) : after.group(3), clean), rest.get());
            }
        }
        throw new InputException("\"" + clean + "\" is no callout this program reads: " + EXAMPLE);
    }

    private static Callout of(Optional<Integer> count, Named named) {
        return new Callout(count, named.fastener, count.map(c -> c + "× ").orElse("") + named.code);
    }

    private static Optional<Integer> count(String digits, String clean) {
        int count = Integer.parseInt(digits);
        if (count < 1) {
            throw new InputException(
                    "\"" + clean + "\" calls for none: a count is 1 or more, such as 18× MS20426AD3-4");
        }
        return Optional.of(count);
    }

    /** What a stored callout counts; empty where it names no count or is not one this program reads. */
    public static Optional<Integer> count(String callout) {
        if (callout.isBlank()) {
            return Optional.empty();
        }
        try {
            return parse(callout).count();
        } catch (InputException e) {
            return Optional.empty();
        }
    }

    private record Named(Fastener fastener, String code) {}

    private static Optional<Named> named(String text) {
        return solid(text).or(() -> pulled(text)).or(() -> hardware(text)).or(() -> rivetNut(text));
    }

    private static Optional<Named> rivetNut(String text) {
        Matcher m = RIVET_NUT.matcher(text);
        if (!m.matches()) {
            return Optional.empty();
        }
        Fastener.RivetNut nut = new Fastener.RivetNut(
                "rivet nut " + m.group(1), m.group(1), mm(m, 2), mm(m, 3), mm(m, 4), mm(m, 5), mm(m, 6));
        return Optional.of(new Named(
                nut,
                "rivet nut %s, body %s, hole %s, grip %s-%s, stroke %s mm"
                        .formatted(m.group(1), m.group(2), m.group(3), m.group(4), m.group(5), m.group(6))));
    }

    private static Length mm(Matcher m, int group) {
        return Length.mm(Double.parseDouble(m.group(group)));
    }

    private static Optional<Named> solid(String text) {
        Matcher family = FAMILY.matcher(text);
        if (family.matches()) {
            HeadStyle head =
                    switch (family.group(1)) {
                        case "470" -> HeadStyle.UNIVERSAL;
                        case "426" -> HeadStyle.FLUSH;
                        default -> HeadStyle.REDUCED;
                    };
            int dash = Integer.parseInt(family.group(3));
            if (dash >= 2 && dash <= 12) {
                Fastener.SolidRivet rivet = new Fastener.SolidRivet(head, family.group(2), dash);
                return Optional.of(new Named(rivet, rivet.name()));
            }
        }
        return designated(text);
    }

    private static Optional<Named> designated(String text) {
        try {
            RivetDesignation d = RivetDesignation.parse(text);
            // A count behind the name belongs to the callout, not to the rivet.
            return text.matches(".*[X×].*")
                    ? Optional.empty()
                    : Optional.of(new Named(new Fastener.SolidRivet(d.head(), d.alloy(), d.diameter()), d.code()));
        } catch (InputException e) {
            return Optional.empty();
        }
    }

    private static Optional<Named> pulled(String text) {
        Matcher m = PULLED.matcher(text);
        if (!m.matches()) {
            return Optional.empty();
        }
        BigDecimal diameter = new BigDecimal(m.group(3));
        if (diameter.signum() <= 0) {
            return Optional.empty();
        }
        Fastener.PulledRivet rivet = new Fastener.PulledRivet(
                "iso" + m.group(1), Length.of(diameter, Unit.MM), m.group(2) != null || m.group(5) != null);
        return Optional.of(new Named(
                rivet,
                rivet.name()
                        + (m.group(4) == null
                                ? ""
                                : " × "
                                        + new BigDecimal(m.group(4))
                                                .stripTrailingZeros()
                                                .toPlainString())));
    }

    private static Optional<Named> hardware(String text) {
        Matcher bolt = BOLT.matcher(text);
        if (bolt.matches()) {
            Length shank =
                    switch (bolt.group(1)) {
                        case "3" -> Length.in(.19);
                        case "4" -> Length.in(.25);
                        default -> Length.in(.3125);
                    };
            String dash = bolt.group(3) == null ? "" : "-" + bolt.group(3) + bolt.group(4);
            String code = "AN" + bolt.group(1) + bolt.group(2) + dash;
            return Optional.of(new Named(new Fastener.Hardware(code, shank, shank, false), code));
        }
        return screw(text);
    }

    private static Optional<Named> screw(String text) {
        Matcher screw = SCREW.matcher(text);
        if (screw.matches()) {
            boolean six = screw.group(1).equals("06");
            boolean eight = screw.group(1).equals("08");
            Length shank = Length.in(six ? .138 : eight ? .164 : .19);
            return Optional.of(new Named(
                    new Fastener.Hardware(text, shank, Length.in(six ? .144 : eight ? .166 : .1935), false), text));
        }
        return Optional.empty();
    }
}
