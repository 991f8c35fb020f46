package bucina.desk.gauge;

import java.lang.foreign.Arena;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.lang.invoke.MethodHandle;
import java.nio.charset.StandardCharsets;

/** One end of a pseudo-terminal pair; the other is a device with a name. */
@SuppressWarnings("restricted")
public final class Pty implements AutoCloseable {

    private static final int O_RDWR_NOCTTY = 2 | 256;

    private final int master;

    public Pty() {
        master = (int)
                call("posix_openpt", FunctionDescriptor.of(ValueLayout.JAVA_INT, ValueLayout.JAVA_INT), O_RDWR_NOCTTY);
        if (master < 0 || (int) onMaster("grantpt") != 0 || (int) onMaster("unlockpt") != 0) {
            throw new IllegalStateException("no pseudo-terminal");
        }
    }

    private static Object call(String name, FunctionDescriptor shape, Object... arguments) {
        try {
            MethodHandle handle = Linker.nativeLinker()
                    .downcallHandle(Linker.nativeLinker().defaultLookup().findOrThrow(name), shape);
            return handle.invokeWithArguments(arguments);
        } catch (Throwable e) {
            throw new IllegalStateException(name, e);
        }
    }

    private Object onMaster(String name) {
        return call(name, FunctionDescriptor.of(ValueLayout.JAVA_INT, ValueLayout.JAVA_INT), master);
    }

    /** Path of the device. */
    public String device() {
        MemorySegment at = (MemorySegment)
                call("ptsname", FunctionDescriptor.of(ValueLayout.ADDRESS, ValueLayout.JAVA_INT), master);
        return at.reinterpret(256).getString(0);
    }

    /** Sends everything. */
    public void send(String text) {
        send(text.getBytes(StandardCharsets.ISO_8859_1));
    }

    public void send(byte[] bytes) {
        try (Arena arena = Arena.ofConfined()) {
            MemorySegment all = arena.allocateFrom(ValueLayout.JAVA_BYTE, bytes);
            for (long sent = 0; sent < bytes.length; ) {
                sent += (long) call(
                        "write",
                        FunctionDescriptor.of(
                                ValueLayout.JAVA_LONG,
                                ValueLayout.JAVA_INT,
                                ValueLayout.ADDRESS,
                                ValueLayout.JAVA_LONG),
                        master,
                        all.asSlice(sent),
                        bytes.length - sent);
            }
        }
    }

    /** Unplugs. */
    @Override
    public void close() {
        onMaster("close");
    }
}
