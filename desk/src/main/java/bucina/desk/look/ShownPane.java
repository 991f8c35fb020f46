package bucina.desk.look;

import javafx.scene.Node;
import javafx.scene.layout.BorderPane;

/** Something shown that is a pane with sides; what ties it to the desk is let go when it is closed. */
public abstract class ShownPane extends BorderPane implements Shown {

    /** What is let go of when this is put away. */
    protected final Ties ties = new Ties();

    /** An empty one. */
    protected ShownPane() {}

    @Override
    public final Node node() {
        return this;
    }

    @Override
    public void close() {
        ties.close();
    }
}
