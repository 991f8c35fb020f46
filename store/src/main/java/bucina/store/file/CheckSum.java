package bucina.store.file;

import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import java.util.zip.CRC32C;

/*
 * Design. What is to be noticed is damage, not malice: two check sums of 32 bits with different polynomials, which the
 * processor works out, cost nothing when the program starts; a cryptographic digest did.
 */

/** A check sum over values: CRC-32 and CRC-32C side by side. */
final class CheckSum {

    private final CRC32 one = new CRC32();
    private final CRC32C two = new CRC32C();
    private final byte[] eight = new byte[9];

    CheckSum add(String text) {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        number(3, bytes.length);
        one.update(bytes, 0, bytes.length);
        two.update(bytes, 0, bytes.length);
        return this;
    }

    CheckSum add(double value) {
        number(2, Double.doubleToRawLongBits(value));
        return this;
    }

    CheckSum add(long value) {
        number(1, value);
        return this;
    }

    private void number(int kind, long value) {
        eight[0] = (byte) kind;
        for (int i = 1; i <= Long.BYTES; i++) {
            eight[i] = (byte) (value >>> (Long.SIZE - Byte.SIZE * i));
        }
        one.update(eight, 0, eight.length);
        two.update(eight, 0, eight.length);
    }

    /** The sum of what was added since the last one. */
    long end() {
        long sum = one.getValue() << Integer.SIZE | two.getValue();
        one.reset();
        two.reset();
        return sum;
    }
}
