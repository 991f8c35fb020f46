package bucina.desk.gauge;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.gauge.GaugeLines;
import bucina.core.measure.Length;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** The serial gauge over a pseudo-terminal pair. */
@Timeout(60)
class SerialGaugeTest {

    @TempDir
    Path folder;

    private final List<Gauge.Event> events = new CopyOnWriteArrayList<>();

    private void until(Predicate<Gauge.Event> which, int times) throws InterruptedException {
        while (events.stream().filter(which).count() < times) {
            Thread.sleep(10);
        }
    }

    private static boolean here(Gauge.Event e) {
        return e instanceof Gauge.Event.Here;
    }

    private static boolean gone(Gauge.Event e) {
        return e instanceof Gauge.Event.Gone;
    }

    private static boolean reading(Gauge.Event e) {
        return e instanceof Gauge.Event.Sent s && s.line() instanceof GaugeLines.Line.Reading;
    }

    @Test
    void a_minute_at_fifty_a_second_comes_in_order_and_whole() throws Exception {
        try (Pty pty = new Pty();
                SerialGauge gauge = new SerialGauge(pty.device())) {
            gauge.open(events::add);
            until(SerialGaugeTest::here, 1);
            for (int i = 1; i <= 3000; i++) {
                pty.send(GaugeLines.line(Length.mm(i / 100.0)));
                if (i % 50 == 0) {
                    Thread.sleep(50);
                }
            }
            until(SerialGaugeTest::reading, 3000);
            List<Gauge.Event> all =
                    events.stream().filter(SerialGaugeTest::reading).toList();
            for (int i = 1; i <= 3000; i++) {
                GaugeLines.Line.Reading r = (GaugeLines.Line.Reading) ((Gauge.Event.Sent) all.get(i - 1)).line();
                assertThat(Math.round(r.length().mm() * 100)).isEqualTo(i);
            }
            assertThat(events).hasSize(3001);
        }
    }

    @Test
    void garbage_and_half_lines_are_said_and_unplugging_is_survived() throws Exception {
        Path link = folder.resolve("caliper");
        Pty first = new Pty();
        Files.createSymbolicLink(link, Path.of(first.device()));
        try (SerialGauge gauge = new SerialGauge(link.toString())) {
            gauge.open(events::add);
            until(SerialGaugeTest::here, 1);
            first.send("+0001.00 mm\r\n??\r\n+0002.00 mm\r\n+0003.");
            until(SerialGaugeTest::reading, 2);
            assertThat(events).contains(new Gauge.Event.Sent(new GaugeLines.Line.Garbage("??")));
            Thread.sleep(100);
            first.close();
            until(SerialGaugeTest::gone, 1);
            assertThat(((Gauge.Event.Gone) events.getLast()).why())
                    .contains("no longer there: a line it had begun is dropped");
            Files.delete(link);
            try (Pty second = new Pty()) {
                Files.createSymbolicLink(link, Path.of(second.device()));
                until(SerialGaugeTest::here, 2);
                second.send("00 mm\r\n+0004.00 mm\r\n");
                until(SerialGaugeTest::reading, 3);
                assertThat(events).contains(new Gauge.Event.Sent(new GaugeLines.Line.Garbage("00 mm")));
            }
        }
    }

    @Test
    void a_port_that_is_not_there_is_said_once_and_found_when_it_comes() throws Exception {
        Path link = folder.resolve("late");
        try (SerialGauge gauge = new SerialGauge(link.toString());
                Pty pty = new Pty()) {
            gauge.open(events::add);
            until(SerialGaugeTest::gone, 1);
            Thread.sleep(1000);
            assertThat(events).hasSize(1);
            Files.createSymbolicLink(link, Path.of(pty.device()));
            until(SerialGaugeTest::here, 1);
        }
        int then = events.size();
        Thread.sleep(300);
        assertThat(events).hasSize(then);
    }
}
