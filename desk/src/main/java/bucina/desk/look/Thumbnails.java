package bucina.desk.look;

import bucina.store.Photo;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.StackPane;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;

/*
 * Design. Photographs come from strangers: how large a picture unpacks stands at its beginning, and is asked before
 * anything is unpacked. One thread unpacks one picture after another, never the interface's.
 */

/** Small pictures of photographs. */
public final class Thumbnails {

    /** Pixels of the largest picture that is unpacked: some 260 MB. */
    static final long MOST = 64_000_000;

    private static final ExecutorService UNPACKING = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().daemon().name("pictures").factory());

    private Thumbnails() {}

    /**
     * A photograph {@code size} px high, there as soon as it is unpacked; a few words with its hash where it is no
     * picture or too large.
     */
    public static Node of(Photo photo, double size) {
        StackPane place = new StackPane();
        place.setMinHeight(size);
        place.setAccessibleText("photograph " + name(photo));
        UNPACKING.execute(() -> {
            Node shown = unpacked(photo, size);
            Platform.runLater(() -> place.getChildren().setAll(shown));
        });
        return place;
    }

    private static Node unpacked(Photo photo, double size) {
        try {
            Optional<long[]> measured = measure(photo);
            if (measured.isPresent()) {
                long wide = measured.get()[0];
                long high = measured.get()[1];
                if (wide * high > MOST) {
                    return words(photo, "is too large to be shown, " + wide + " by " + high + " points");
                }
                Image image = new Image(new ByteArrayInputStream(photo.content()), 0, size, true, true);
                if (!image.isError()) {
                    return new ImageView(image);
                }
            }
        } catch (IOException | RuntimeException | OutOfMemoryError e) {
            // A picture of a stranger that cannot be unpacked is said to be one.
        }
        return words(photo, "cannot be shown");
    }

    private static Node words(Photo photo, String what) {
        return Ui.label("picture " + name(photo) + " " + what, "soft");
    }

    private static String name(Photo photo) {
        return photo.sha256().substring(0, 8);
    }

    /** Width and height in points, from the beginning of a picture; empty for what is neither JPEG nor PNG. */
    private static Optional<long[]> measure(Photo photo) throws IOException {
        try (ImageInputStream in = new MemoryCacheImageInputStream(new ByteArrayInputStream(photo.content()))) {
            for (Iterator<ImageReader> readers = ImageIO.getImageReaders(in); readers.hasNext(); ) {
                ImageReader reader = readers.next();
                try {
                    if (reader.getFormatName().matches("(?i)jpe?g|png")) {
                        reader.setInput(in, true, true);
                        return Optional.of(new long[] {reader.getWidth(0), reader.getHeight(0)});
                    }
                } finally {
                    reader.dispose();
                }
            }
        }
        return Optional.empty();
    }
}
