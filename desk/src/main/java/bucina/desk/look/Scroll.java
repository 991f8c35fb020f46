package bucina.desk.look;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Skin;

/*
 * Design. The toolkit's own skin keeps a picture of what is in view, as large as that; where the pane is taken out of
 * the window, the picture stays in the pool of pictures until memory is short. A card opened each minute is 70 MB in an
 * afternoon.
 */

/** Scrolls its content, and keeps no picture of it. */
public class Scroll extends ScrollPane {

    protected Scroll() {
        super();
    }

    /** Scrolls what is as wide as the pane. */
    public static Scroll of(Node content) {
        Scroll scroll = new Scroll();
        scroll.setContent(content);
        scroll.setFitToWidth(true);
        return scroll;
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        Skin<?> skin = super.createDefaultSkin();
        Optional.ofNullable(lookup(".viewport")).ifPresent(view -> view.setCache(false));
        return skin;
    }
}
