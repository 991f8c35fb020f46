package bucina.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.measure.Length;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class GaugeLinesTest {

    private final GaugeLines lines = new GaugeLines();
    private final List<GaugeLines.Line> got = new ArrayList<>();

    private List<GaugeLines.Line> feed(String text) {
        byte[] bytes = text.getBytes(StandardCharsets.ISO_8859_1);
        lines.feed(bytes, bytes.length, got::add);
        return got;
    }

    @Test
    void readings_in_mm_and_inches_with_either_line_end() {
        assertThat(feed("+0004.52 mm\r\n-0.1785in\n+3 mm\n\n"))
                .hasSize(3)
                .allSatisfy(l -> assertThat(l).isInstanceOf(GaugeLines.Line.Reading.class));
        assertThat(((GaugeLines.Line.Reading) got.get(0)).length().mm()).isCloseTo(4.52, within(1e-9));
        assertThat(((GaugeLines.Line.Reading) got.get(1)).length().in()).isCloseTo(-.1785, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "4.52 mm",
                "0004.52 mm",
                "+4.52",
                "+4.52 m",
                "+4.5.2 mm",
                "+ mm",
                "+0004.5+0004.52 mm",
                "hello",
                "\u0001\u00ff",
                "+NaN mm",
                "+1e3 mm"
            })
    void what_is_no_whole_reading_is_said_and_never_read(String text) {
        assertThat(feed(text + "\n")).hasSize(1).first().isInstanceOf(GaugeLines.Line.Garbage.class);
        assertThat(feed("+1.00 mm\n").getLast()).isEqualTo(new GaugeLines.Line.Reading(Length.mm(1)));
    }

    @Test
    void a_line_without_end_is_said_once_and_the_next_is_read() {
        assertThat(feed("x".repeat(5000))).hasSize(1);
        assertThat(feed("\n+1.00 mm\n")).hasSize(2).last().isEqualTo(new GaugeLines.Line.Reading(Length.mm(1)));
    }

    @Test
    void a_line_that_was_begun_is_dropped_and_its_tail_is_no_reading() {
        feed("+0041.");
        assertThat(lines.drop()).isTrue();
        assertThat(lines.drop()).isFalse();
        assertThat(feed("78 mm\n")).hasSize(1).first().isEqualTo(new GaugeLines.Line.Garbage("78 mm"));
    }

    @Test
    void every_reading_survives_however_the_bytes_are_cut() {
        Random random = new Random(3);
        for (int round = 0; round < 200; round++) {
            ByteArrayOutputStream all = new ByteArrayOutputStream();
            List<Double> sent = new ArrayList<>();
            for (int i = 0; i < 40; i++) {
                double mm = Math.round(random.nextDouble() * 15_000) / 100.0 - 20;
                sent.add(mm);
                all.writeBytes(GaugeLines.line(Length.mm(mm)));
            }
            List<GaugeLines.Line> read = new ArrayList<>();
            GaugeLines fresh = new GaugeLines();
            byte[] bytes = all.toByteArray();
            for (int at = 0; at < bytes.length; ) {
                int n = Math.min(bytes.length - at, 1 + random.nextInt(30));
                fresh.feed(Arrays.copyOfRange(bytes, at, at + n), n, read::add);
                at += n;
            }
            assertThat(read).hasSize(40);
            for (int i = 0; i < 40; i++) {
                assertThat(((GaugeLines.Line.Reading) read.get(i)).length().mm())
                        .isCloseTo(sent.get(i), within(1e-6));
            }
        }
    }
}
