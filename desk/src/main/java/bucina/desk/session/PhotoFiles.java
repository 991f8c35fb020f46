package bucina.desk.session;

import bucina.core.measure.InputException;
import bucina.store.Photo;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Reads picture files for the log. */
public final class PhotoFiles {

    private static final long MOST = 40_000_000;

    private PhotoFiles() {}

    /**
     * Reads a JPEG or PNG file of at most 40 MB.
     *
     * @throws InputException if it is no such picture
     */
    public static Photo read(Path path) {
        try {
            if (Files.size(path) > MOST) {
                throw new InputException(path + " is over 40 MB: give a smaller picture");
            }
            byte[] bytes = Files.readAllBytes(path);
            return Photo.of(type(path, bytes), bytes);
        } catch (IOException e) {
            throw new InputException(
                    path + " cannot be read: " + e.getMessage() + ". Give the path of a JPEG or PNG picture", e);
        }
    }

    private static String type(Path path, byte[] bytes) {
        if (bytes.length > 3 && (bytes[0] & 0xff) == 0xff && (bytes[1] & 0xff) == 0xd8) {
            return "image/jpeg";
        }
        if (bytes.length > 8 && (bytes[0] & 0xff) == 0x89 && bytes[1] == 'P' && bytes[2] == 'N' && bytes[3] == 'G') {
            return "image/png";
        }
        throw new InputException(path + " is neither a JPEG nor a PNG picture: save the photograph as one of these");
    }
}
