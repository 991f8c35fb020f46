package bucina.store;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.HexFormat;

/**
 * A photograph, known by the hash of its content: the same picture added twice is kept once.
 *
 * @param sha256  of the content, lower-case hex
 * @param type    media type, {@code image/jpeg}
 * @param content the bytes as they came; not copied, not to be changed
 */
public record Photo(String sha256, String type, byte[] content) {

    /** A photograph of these bytes. */
    public static Photo of(String type, byte[] content) {
        try {
            return new Photo(
                    HexFormat.of()
                            .formatHex(MessageDigest.getInstance("SHA-256").digest(content)),
                    type,
                    content);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("this Java lacks SHA-256", e);
        }
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Photo that
                && sha256.equals(that.sha256)
                && type.equals(that.type)
                && Arrays.equals(content, that.content);
    }

    @Override
    public int hashCode() {
        return sha256.hashCode();
    }

    @Override
    public String toString() {
        return "photo " + sha256.substring(0, 12) + ", " + content.length + " bytes";
    }
}
