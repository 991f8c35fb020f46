package bucina.desk.gauge;

import bucina.core.gauge.GaugeLines;
import com.fazecast.jSerialComm.SerialPort;
import com.fazecast.jSerialComm.SerialPortInvalidPortException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * A gauge on a serial port: 9600 baud, 8 data bits, no parity, 1 stop bit. It may be unplugged and plugged in again at
 * any time.
 */
public final class SerialGauge implements Gauge {

    private static final int BAUD = 9600;
    private static final int WAIT_MS = 200;
    private static final int AGAIN_MS = 400;

    private final String name;
    private final GaugeLines lines = new GaugeLines();
    private final byte[] bytes = new byte[1024];
    private volatile boolean closed;
    private @Nullable Thread reader;

    /**
     * @param name of the port, {@code COM3} or the path of a device or of a link to one
     */
    public SerialGauge(String name) {
        this.name = name.strip();
    }

    /** The names of the ports there are now. Takes a while. */
    public static List<String> ports() {
        return Arrays.stream(SerialPort.getCommPorts())
                .map(SerialPort::getSystemPortPath)
                .sorted()
                .toList();
    }

    @Override
    public synchronized void open(Consumer<Event> to) {
        reader = Thread.ofPlatform().daemon().name("gauge").start(() -> run(to));
    }

    private void run(Consumer<Event> to) {
        boolean said = false;
        while (!closed) {
            SerialPort port = port();
            if (port != null) {
                to.accept(new Event.Here(name));
                read(port, to);
                port.closePort();
                if (!closed) {
                    to.accept(new Event.Gone("\"" + name + "\" is no longer there"
                            + (lines.drop() ? ": a line it had begun is dropped" : "")
                            + ". Plug it in again; what was read stays."));
                }
            } else if (!said) {
                to.accept(new Event.Gone(
                        "\"" + name + "\" is not there, or something else has it: give a port that is, like "
                                + ports().stream().findFirst().orElse("COM3") + "."));
            }
            said = true;
            rest();
        }
    }

    /** The port, open; null if there is none. A link is followed each time: the device behind it may change. */
    private @Nullable SerialPort port() {
        try {
            Path path = Path.of(name);
            boolean file = Files.exists(path);
            if (!file && path.isAbsolute()) {
                return null;
            }
            SerialPort port = SerialPort.getCommPort(file ? path.toRealPath().toString() : name);
            port.setComPortParameters(BAUD, 8, SerialPort.ONE_STOP_BIT, SerialPort.NO_PARITY);
            port.setComPortTimeouts(SerialPort.TIMEOUT_READ_SEMI_BLOCKING, WAIT_MS, 0);
            return port.openPort() ? port : null;
        } catch (SerialPortInvalidPortException | IOException | IllegalArgumentException e) {
            return null;
        }
    }

    private void read(SerialPort port, Consumer<Event> to) {
        while (!closed) {
            int n = port.readBytes(bytes, bytes.length);
            if (n < 0 || n == 0 && !port.isOpen()) {
                return;
            }
            lines.feed(bytes, n, l -> {
                if (!closed) {
                    to.accept(new Event.Sent(l));
                }
            });
        }
    }

    private void rest() {
        try {
            Thread.sleep(AGAIN_MS);
        } catch (InterruptedException e) {
            closed = true;
        }
    }

    @Override
    public void close() {
        closed = true;
        try {
            synchronized (this) {
                if (reader != null) {
                    reader.interrupt();
                    reader.join(2000);
                }
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
