package bucina.desk.gauge;

import bucina.core.gauge.GaugeLines;
import bucina.core.measure.Length;
import java.util.function.Consumer;

/**
 * A caliper that is not there: its jaws are set by hand, and its key sends what they stand at, to a hundredth of a
 * millimetre, in the same lines.
 */
public final class SimulatedGauge implements Gauge {

    private final GaugeLines lines = new GaugeLines();
    private Consumer<Event> to = e -> {};

    @Override
    public synchronized void open(Consumer<Event> listener) {
        to = listener;
        to.accept(new Event.Here("simulated caliper"));
    }

    /** Presses its key with the jaws at a length. */
    public synchronized void press(Length jaws) {
        byte[] bytes = GaugeLines.line(jaws);
        lines.feed(bytes, bytes.length, l -> to.accept(new Event.Sent(l)));
    }

    @Override
    public synchronized void close() {
        to = e -> {};
    }
}
