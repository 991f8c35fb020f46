package bucina.desk.look;

import javafx.scene.Node;

/**
 * Something that is shown and put away again: a room, a card, a panel. What is put away or replaced is closed, and is
 * not shown again.
 */
public interface Shown extends AutoCloseable {

    /** What is put into the window. */
    Node node();

    /** Takes the keyboard where the work begins; called each time it comes into view. */
    default void enter() {
        node().requestFocus();
    }

    /** Does what its first button says: Ctrl+Enter. */
    default void act() {}

    /** Draws in the colours of one variant, text larger by a factor. */
    default void use(Palette colours, double scale) {}

    /** Lets go of everything that outlives it. */
    @Override
    void close();
}
