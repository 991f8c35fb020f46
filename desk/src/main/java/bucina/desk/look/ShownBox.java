package bucina.desk.look;

import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** Something shown that is a column; what ties it to the desk is let go when it is closed. */
public abstract class ShownBox extends VBox implements Shown {

    /** What is let go of when this is put away. */
    protected final Ties ties = new Ties();

    /** An empty one. */
    protected ShownBox() {}

    /** An empty one with some space between its children. */
    protected ShownBox(double spacing) {
        super(spacing);
    }

    @Override
    public final Node node() {
        return this;
    }

    @Override
    public void close() {
        ties.close();
    }
}
