package bucina.desk.stores;

import bucina.desk.look.Ui;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;

/** What stands at the right of a view. */
final class Sides {

    private static final double BAR = 16;

    private Sides() {}

    /** Scrolls where the text is large; as wide as it wants to be, with room for the bar. */
    static ScrollPane of(Region side) {
        ScrollPane pane = Ui.scroll(side);
        pane.setFitToHeight(true);
        pane.getStyleClass().add("bench-side");
        pane.setMinWidth(side.getPrefWidth() + BAR);
        pane.setPrefWidth(side.getPrefWidth() + BAR);
        return pane;
    }
}
