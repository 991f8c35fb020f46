package bucina.desk.gauge;

import bucina.core.gauge.GaugeLines;
import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.scene.control.TextField;

/*
 * Design. Events queue up on the gauge's thread; one errand to the interface thread takes all that came until it
 * runs. However fast a gauge sends, a field is
 * changed once in an errand.
 */

/**
 * Brings readings to the field that had the keyboard last among those that take them. Used from the interface thread.
 */
public final class GaugePost {

    /** Under this key a field's properties hold its {@link Receiver}. */
    public static final String RECEIVER = "bucina.gauge";

    private static final int LATELY = 10;

    /** Something that takes readings. */
    public interface Receiver {
        /** What it is called. */
        String title();

        /** True while it can be seen. */
        boolean there();

        /** Takes readings over 0, in order. */
        void take(List<Length> readings);
    }

    private record Came(Gauge from, Gauge.Event event) {}

    private final Executor ui;
    private final Function<Length, String> show;
    private final Queue<Came> queue = new ConcurrentLinkedQueue<>();
    private final AtomicBoolean asked = new AtomicBoolean();
    private final ReadOnlyStringWrapper status = new ReadOnlyStringWrapper("No gauge.");
    private final ReadOnlyStringWrapper goesTo = new ReadOnlyStringWrapper("");
    private final ObservableList<String> lately = FXCollections.observableArrayList();
    private Optional<Gauge> gauge = Optional.empty();
    private Optional<Receiver> receiver = Optional.empty();

    /**
     * @param ui   the interface thread
     * @param show writes a reading with its unit
     */
    public GaugePost(Executor ui, Function<Length, String> show) {
        this.ui = ui;
        this.show = show;
        to(Optional.empty());
    }

    /** Makes a field take readings while it can be seen; its end is shown after. */
    public static void receives(TextField field, String title, Consumer<List<Length>> takes) {
        field.getProperties().put(RECEIVER, new Receiver() {
            @Override
            public String title() {
                return title;
            }

            @Override
            public boolean there() {
                return field.getScene() != null;
            }

            @Override
            public void take(List<Length> readings) {
                takes.accept(readings);
                field.end();
            }
        });
    }

    /** Puts a gauge in the place of the one there is. */
    public void connect(Gauge next) {
        off();
        gauge = Optional.of(next);
        status.set("Looking for it.");
        next.open(e -> {
            queue.add(new Came(next, e));
            if (asked.compareAndSet(false, true)) {
                ui.execute(this::take);
            }
        });
    }

    /** Puts the gauge away. */
    public void off() {
        // Closing waits for the port: not here.
        gauge.ifPresent(g -> Thread.ofVirtual().start(g::close));
        gauge = Optional.empty();
        status.set("No gauge.");
    }

    /** The gauge that is connected. */
    public Optional<Gauge> gauge() {
        return gauge;
    }

    /** Where readings go from now on. */
    public void to(Optional<Receiver> next) {
        receiver = next;
        goesTo.set(next.map(r -> "Readings go to: " + r.title() + ".")
                .orElse("Readings go nowhere yet: put the keyboard into a field that takes them, like"
                        + " those of the countersink coupon."));
    }

    /** What the gauge does. */
    public ReadOnlyStringProperty statusProperty() {
        return status.getReadOnlyProperty();
    }

    /** Where readings go. */
    public ReadOnlyStringProperty goesToProperty() {
        return goesTo.getReadOnlyProperty();
    }

    /** What came last, newest first. */
    public ObservableList<String> lately() {
        return lately;
    }

    private void take() {
        asked.set(false);
        if (receiver.isPresent() && !receiver.get().there()) {
            to(Optional.empty());
        }
        List<Length> good = new ArrayList<>();
        List<String> says = new ArrayList<>();
        came(says, good);
        if (!good.isEmpty()) {
            receiver.ifPresent(r -> r.take(good));
        }
        List<String> last = new ArrayList<>(says.reversed());
        last.addAll(lately);
        lately.setAll(last.subList(0, Math.min(LATELY, last.size())));
    }

    private void came(List<String> says, List<Length> good) {
        for (Came came = queue.poll(); came != null; came = queue.poll()) {
            if (gauge.equals(Optional.of(came.from))) {
                switch (came.event) {
                    case Gauge.Event.Here h -> status.set("Ready: " + h.name() + ".");
                    case Gauge.Event.Gone g -> status.set(g.why());
                    case Gauge.Event.Sent s -> says.add(read(s.line(), good));
                }
            }
        }
    }

    private String read(GaugeLines.Line line, List<Length> good) {
        return switch (line) {
            case GaugeLines.Line.Garbage g ->
                "\"" + g.text() + "\" is no reading, not used: a line is like +0004.52 mm";
            case GaugeLines.Line.Reading r -> {
                if (!r.length().positive()) {
                    yield show.apply(r.length()) + ", not used: it must be over 0. Zero the closed jaws";
                }
                if (receiver.isEmpty()) {
                    yield show.apply(r.length()) + ", not used: no field takes it";
                }
                good.add(r.length());
                yield show.apply(r.length()) + " to " + receiver.get().title();
            }
        };
    }
}
