package bucina.store.drawing;

import bucina.core.measure.InputException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Supplier;

/** Reads a text file whole, if it is of a size that a drawing or a table may have. */
public final class TextFile {

    /** Far over any sheet: a drawing of 20,000 shapes has about 3 MB. */
    private static final long MOST = 64L << 20;

    private TextFile() {}

    /**
     * The text, UTF-8, UTF-16 with its mark, or else ISO 8859-1 as older programs write.
     *
     * @throws InputException if it is missing, cannot be read or is too large
     */
    public static String read(Path path) {
        return text(bytes(path));
    }

    /**
     * The bytes.
     *
     * @throws InputException if it is missing, cannot be read or is too large
     */
    public static byte[] bytes(Path path) {
        try {
            if (!Files.isRegularFile(path)) {
                throw new InputException("there is no file " + path + ": give the path of a drawing or a table");
            }
            long size = Files.size(path);
            if (size > MOST) {
                throw new InputException(path + " has " + (size >> 20) + " MB, over the " + (MOST >> 20)
                        + " MB a drawing may have: export one sheet at a time");
            }
            return Files.readAllBytes(path);
        } catch (IOException e) {
            throw new InputException(path + " cannot be read: " + e.getMessage(), e);
        }
    }

    static String text(byte[] bytes) {
        return text(bytes, () -> StandardCharsets.ISO_8859_1);
    }

    /**
     * Bytes as text: UTF-8 or UTF-16 where a mark at the beginning or the noughts between say so, UTF-8 where they are
     * that.
     *
     * @param otherwise the code where they are not
     */
    public static String text(byte[] bytes, Supplier<Charset> otherwise) {
        if (starts(bytes, 0xef, 0xbb, 0xbf)) {
            return new String(bytes, 3, bytes.length - 3, StandardCharsets.UTF_8);
        }
        if (starts(bytes, 0xff, 0xfe)) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16LE);
        }
        if (starts(bytes, 0xfe, 0xff)) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16BE);
        }
        Optional<Charset> wide = unmarked(bytes);
        if (wide.isPresent()) {
            return new String(bytes, wide.get());
        }
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException e) {
            return new String(bytes, otherwise.get());
        }
    }

    /** UTF-16 without a mark: every other byte of a text in it is nought. */
    private static Optional<Charset> unmarked(byte[] bytes) {
        int looked = Math.min(bytes.length & ~1, 4000);
        int even = 0;
        int odd = 0;
        for (int i = 0; i < looked; i += 2) {
            even += bytes[i] == 0 ? 1 : 0;
            odd += bytes[i + 1] == 0 ? 1 : 0;
        }
        int most = looked / 2 - looked / 16;
        return looked < 8 || even < most && odd < most || even > 0 && odd > 0
                ? Optional.empty()
                : Optional.of(odd >= most ? StandardCharsets.UTF_16LE : StandardCharsets.UTF_16BE);
    }

    private static boolean starts(byte[] bytes, int... with) {
        boolean starts = bytes.length >= with.length;
        for (int i = 0; starts && i < with.length; i++) {
            starts = (bytes[i] & 0xff) == with[i];
        }
        return starts;
    }
}
