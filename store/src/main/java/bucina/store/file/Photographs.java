package bucina.store.file;

import bucina.store.Photo;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Optional;

/** Reads photographs, each seen to be what was written. */
final class Photographs {

    private Photographs() {}

    /** The one with this hash; empty if there is none. */
    static Optional<Photo> one(Connection connection, String sha256) throws SQLException {
        try (PreparedStatement s = connection.prepareStatement("SELECT type, content FROM photo WHERE sha256 = ?")) {
            s.setString(1, sha256);
            try (ResultSet r = s.executeQuery()) {
                return r.next() ? Optional.of(made(sha256, r.getString(1), r.getBytes(2))) : Optional.empty();
            }
        }
    }

    private static Photo made(String sha256, String type, byte[] content) {
        Photo photo = Photo.of(type, content);
        if (!photo.sha256().equals(sha256)) {
            throw new IllegalArgumentException(
                    "photograph " + sha256.substring(0, Math.min(12, sha256.length())) + " is not what was written");
        }
        return photo;
    }
}
