package bucina.desk.look;

import bucina.store.Photo;
import java.io.ByteArrayInputStream;
import javafx.scene.Node;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;

/** Small pictures of photographs; decoded to the size shown. */
public final class Thumbnails {

    private Thumbnails() {}

    /** A photograph {@code size} px high; a plate with its hash where the bytes are no picture. */
    public static Node of(Photo photo, double size) {
        Image image = new Image(new ByteArrayInputStream(photo.content()), 0, size, true, true);
        if (image.isError()) {
            return Ui.label("picture " + photo.sha256().substring(0, 8) + " cannot be shown", "soft");
        }
        ImageView view = new ImageView(image);
        view.setAccessibleText("photograph " + photo.sha256().substring(0, 8));
        return view;
    }
}
