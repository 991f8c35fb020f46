package bucina.desk.session;

import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Taken;
import bucina.core.measure.InputException;
import bucina.core.plan.Gaging;
import java.util.List;
import java.util.Optional;

/** Reads figures of things that are measured again and again, and makes the entry of one reading. */
public final class Taking {

    private Taking() {}

    /**
     * A figure as typed: a length, or degrees.
     *
     * @throws InputException if it is none
     */
    public static double figure(Desk desk, Gaging.In unit, String text, String name) {
        if (unit == Gaging.In.LENGTH) {
            return desk.lengths().parse(text).nanometres();
        }
        String clean = text.replace("°", "").replace(',', '.').strip();
        if (!clean.matches("-?\\d{0,3}(\\.\\d{1,4})?") || clean.isEmpty()) {
            throw new InputException(name + " is measured in degrees, like 1.5, was \"" + text.strip() + "\"");
        }
        return Double.parseDouble(clean);
    }

    /** A figure that may be left out. */
    public static Optional<Double> some(Desk desk, Gaging.In unit, String text, String name) {
        return text.isBlank() ? Optional.empty() : Optional.of(figure(desk, unit, text, name));
    }

    /** The entry of one reading. */
    public static LogEntry.Draft draft(Desk desk, Gaging gaging, String text, String who) {
        double value = figure(desk, gaging.unit(), text, gaging.name());
        return LogEntry.Draft.install(new Labour(
                new Taken(gaging.id(), gaging.name(), value, gaging.unit(), gaging.holds(value)),
                "",
                who.strip(),
                desk.session().now(),
                0,
                "",
                "",
                List.of()));
    }
}
