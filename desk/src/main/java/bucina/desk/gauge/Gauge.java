package bucina.desk.gauge;

import bucina.core.gauge.GaugeLines;
import java.util.function.Consumer;

/** Something that measures and sends. */
public interface Gauge extends AutoCloseable {

    /** What a gauge says. */
    sealed interface Event {
        /** It is there. */
        record Here(String name) implements Event {}

        /** A line came. */
        record Sent(GaugeLines.Line line) implements Event {}

        /** It is not there, or no longer; it is looked for until the gauge is closed. */
        record Gone(String why) implements Event {}
    }

    /** Begins; events come on any thread, one after the other. Once. */
    void open(Consumer<Event> to);

    /** Ends. No event comes after this returns. */
    @Override
    void close();
}
