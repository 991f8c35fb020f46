package bucina.store.dxf;

import bucina.core.measure.InputException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;

/** Pairs of the binary form: codes of one byte, or of two since release 13; numbers as they are. */
final class BinaryPairs extends PairSource {

    private static final byte[] MARK = "AutoCAD Binary DXF\r\n\u001a\0".getBytes(StandardCharsets.ISO_8859_1);
    private static final int LONG_CODE = 255;

    private final ByteBuffer in;
    private final boolean wide;

    BinaryPairs(byte[] bytes) {
        in = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN).position(MARK.length);
        // The first pair is 0, SECTION: its code is followed by a letter, or by another zero.
        wide = in.remaining() > 1 && in.get(MARK.length + 1) == 0;
    }

    static boolean is(byte[] bytes) {
        boolean is = bytes.length >= MARK.length;
        for (int i = 0; is && i < MARK.length; i++) {
            is = bytes[i] == MARK[i];
        }
        return is;
    }

    @Override
    boolean more() {
        return in.hasRemaining();
    }

    @Override
    int readCode() {
        need(wide ? 2 : 1);
        if (wide) {
            return in.getShort() & 0xffff;
        }
        int code = in.get() & 0xff;
        if (code == LONG_CODE) {
            need(2);
            return in.getShort() & 0xffff;
        }
        return code;
    }

    private void need(int bytes) {
        if (in.remaining() < bytes) {
            throw cutOff();
        }
    }

    @Override
    String readValue(int code) {
        return switch (kind(code)) {
            case DOUBLE -> {
                need(Double.BYTES);
                yield Double.toString(in.getDouble());
            }
            case SHORT -> {
                need(Short.BYTES);
                yield Integer.toString(in.getShort());
            }
            case INT -> {
                need(Integer.BYTES);
                yield Integer.toString(in.getInt());
            }
            case LONG -> {
                need(Long.BYTES);
                yield Long.toString(in.getLong());
            }
            case FLAG -> {
                need(1);
                yield Integer.toString(in.get());
            }
            case CHUNK -> {
                need(1);
                int many = in.get() & 0xff;
                need(many);
                in.position(in.position() + many);
                yield "";
            }
            case TEXT -> DxfText.plain(text().strip());
        };
    }

    private enum Kind {
        TEXT,
        DOUBLE,
        SHORT,
        INT,
        LONG,
        FLAG,
        CHUNK
    }

    private static Kind kind(int code) {
        if (in(code, 10, 59)
                || in(code, 110, 149)
                || in(code, 210, 239)
                || in(code, 460, 469)
                || in(code, 1010, 1059)) {
            return Kind.DOUBLE;
        }
        if (in(code, 60, 79)
                || in(code, 170, 179)
                || in(code, 270, 289)
                || in(code, 370, 389)
                || in(code, 400, 409)
                || in(code, 1060, 1070)) {
            return Kind.SHORT;
        }
        if (in(code, 90, 99) || in(code, 420, 429) || in(code, 440, 459) || code == 1071) {
            return Kind.INT;
        }
        if (in(code, 160, 169)) {
            return Kind.LONG;
        }
        if (in(code, 290, 299)) {
            return Kind.FLAG;
        }
        return in(code, 310, 319) || code == 1004 ? Kind.CHUNK : Kind.TEXT;
    }

    private static boolean in(int code, int from, int to) {
        return code >= from && code <= to;
    }

    private String text() {
        int from = in.position();
        int end = from;
        while (end < in.limit() && in.get(end) != 0) {
            end++;
        }
        if (end == in.limit()) {
            throw cutOff();
        }
        byte[] bytes = new byte[end - from];
        in.get(bytes);
        in.get();
        return DxfText.of(bytes);
    }

    @Override
    int peekCode() {
        int from = in.position();
        try {
            return more() ? readCode() : -1;
        } catch (InputException e) {
            return -1;
        } finally {
            in.position(from);
        }
    }

    @Override
    double share() {
        return in.limit() == 0 ? 1 : (double) in.position() / in.limit();
    }
}
