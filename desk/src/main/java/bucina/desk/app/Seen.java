package bucina.desk.app;

import bucina.desk.guided.Eyes;
import bucina.desk.session.Desk;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.TextInputControl;

/** What is to be seen of a window, for the steps of a guided job. */
record Seen(Parent root, Supplier<Optional<Desk>> has) implements Eyes {

    /** The first node of a selector that is to be seen. */
    static Optional<Node> first(Parent root, String selector) {
        return root.lookupAll(selector).stream().filter(Seen::shown).findFirst();
    }

    private static boolean shown(Node node) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (!n.isVisible()) {
                return false;
            }
        }
        return node.getScene() != null;
    }

    @Override
    public Optional<Desk> desk() {
        return has.get();
    }

    @Override
    public boolean there(String selector) {
        return first(root, selector).isPresent();
    }

    @Override
    public String typed(String selector) {
        return first(root, selector)
                .filter(TextInputControl.class::isInstance)
                .map(n -> ((TextInputControl) n).getText())
                .orElse("");
    }
}
