package bucina.store.drawing;

import bucina.core.measure.InputException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/** Reads a text file whole, if it is of a size that a drawing or a table may have. */
public final class TextFile {

    /** Far over any sheet: a drawing of 20,000 shapes has about 3 MB. */
    private static final long MOST = 64L << 20;

    private TextFile() {}

    /**
     * The text, UTF-8 or else ISO 8859-1 as older programs write.
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
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException e) {
            return new String(bytes, StandardCharsets.ISO_8859_1);
        }
    }
}
