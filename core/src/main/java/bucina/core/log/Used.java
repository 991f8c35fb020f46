package bucina.core.log;

import bucina.core.callout.Callout;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Fastener;
import bucina.core.rivet.RivetDesignation;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What was set, as typed for the log.
 *
 * @param code   printed the one way
 * @param length nominal; empty where the designation names none
 */
public record Used(String code, Optional<Length> length) {

    private static final Pattern LENGTH = Pattern.compile(".*×\\s*(\\d{1,2}(?:\\.\\d)?)$");

    /**
     * Reads a designation for a group.
     *
     * @throws InputException if it is none that could go into such holes; the message gives an example
     */
    public static Used parse(Fastener planned, String typed) {
        return switch (planned) {
            case Fastener.SolidRivet r -> {
                RivetDesignation d = RivetDesignation.parse(typed);
                yield new Used(d.code(), Optional.of(d.nominalLength()));
            }
            case Fastener.PulledRivet r -> pulled(r, typed);
            case Fastener.Hardware h -> new Used(typed.strip(), Optional.empty());
            case Fastener.RivetNut n -> new Used(typed.strip(), Optional.empty());
        };
    }

    private static Used pulled(Fastener.PulledRivet planned, String typed) {
        if (typed.strip().startsWith(planned.name())) {
            return new Used(typed.strip(), length(typed.strip()));
        }
        Callout read = read(typed, planned);
        if (!(read.fastener() instanceof Fastener.PulledRivet)) {
            throw new InputException("\"" + typed.strip() + "\" is no pulled rivet, but the plan has " + planned.name()
                    + ": write it like " + planned.name() + " × 8");
        }
        return new Used(read.text(), length(read.text()));
    }

    private static Callout read(String typed, Fastener.PulledRivet planned) {
        Callout read;
        try {
            read = Callout.parse(typed);
        } catch (InputException e) {
            throw new InputException(
                    "\"" + typed.strip() + "\" is no pulled rivet: write it like " + planned.name() + " × 8", e);
        }
        return read;
    }

    private static Optional<Length> length(String code) {
        Matcher m = LENGTH.matcher(code);
        return m.matches() ? Optional.of(Length.of(new BigDecimal(m.group(1)), Unit.MM)) : Optional.empty();
    }
}
