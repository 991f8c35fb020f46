package bucina.desk.gauge;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.gauge.GaugeLines;
import bucina.core.measure.Length;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

class GaugePostTest {

    private final Queue<Runnable> errands = new ArrayDeque<>();
    private final GaugePost post = new GaugePost(errands::add, l -> Math.round(l.mm() * 100) / 100.0 + " mm");
    private final List<List<Length>> taken = new ArrayList<>();
    private boolean there = true;

    private final GaugePost.Receiver field = new GaugePost.Receiver() {
        @Override
        public String title() {
            return "Read on scrap";
        }

        @Override
        public boolean there() {
            return there;
        }

        @Override
        public void take(List<Length> readings) {
            taken.add(readings);
        }
    };

    private void run() {
        while (!errands.isEmpty()) {
            errands.poll().run();
        }
    }

    @Test
    void many_readings_come_in_one_errand_in_order() {
        SimulatedGauge gauge = new SimulatedGauge();
        post.connect(gauge);
        post.to(Optional.of(field));
        for (int i = 1; i <= 500; i++) {
            gauge.press(Length.mm(i / 100.0));
        }
        assertThat(errands).hasSize(1);
        run();
        assertThat(taken).hasSize(1);
        assertThat(taken.getFirst().stream().map(l -> Math.round(l.mm() * 100)))
                .hasSize(500)
                .isSorted()
                .startsWith(1L)
                .endsWith(500L);
        assertThat(post.lately()).hasSize(10).first().isEqualTo("5.0 mm to Read on scrap");
        assertThat(post.statusProperty().get()).isEqualTo("Ready: simulated caliper.");
    }

    @Test
    void what_cannot_be_used_is_said() {
        SimulatedGauge gauge = new SimulatedGauge();
        post.connect(gauge);
        gauge.press(Length.mm(4));
        run();
        assertThat(post.lately().getFirst()).contains("no field takes it");
        post.to(Optional.of(field));
        gauge.press(Length.mm(-.01));
        run();
        assertThat(post.lately().getFirst()).contains("Zero the closed jaws");
        there = false;
        gauge.press(Length.mm(4));
        run();
        assertThat(taken).isEmpty();
        assertThat(post.goesToProperty().get()).contains("nowhere yet");
    }

    @Test
    void garbage_and_a_lost_gauge_are_said_and_one_put_away_is_not_heard() {
        List<Consumer<Gauge.Event>> to = new ArrayList<>();
        Gauge gauge = new Gauge() {
            @Override
            public void open(Consumer<Event> listener) {
                to.add(listener);
            }

            @Override
            public void close() {
                // Nothing to close: this test goes on sending after it.
            }
        };
        post.connect(gauge);
        post.to(Optional.of(field));
        to.getFirst().accept(new Gauge.Event.Sent(new GaugeLines.Line.Garbage("4.5")));
        to.getFirst().accept(new Gauge.Event.Gone("pulled out"));
        run();
        assertThat(post.lately().getFirst()).contains("\"4.5\" is no reading").contains("+0004.52 mm");
        assertThat(post.statusProperty().get()).isEqualTo("pulled out");
        post.off();
        to.getFirst().accept(new Gauge.Event.Sent(new GaugeLines.Line.Reading(Length.mm(1))));
        run();
        assertThat(taken).isEmpty();
    }
}
