package bucina.desk.bench;

import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Command;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;

/** What the bench side shows in one stage: content that scrolls, what stands at its foot, and what keys do. */
abstract class StagePanel extends ShownBox {

    StagePanel(double spacing) {
        super(spacing);
    }

    /** Shows what is picked now. */
    abstract void fill();

    /** Shows these, one below the other. */
    final void put(Node... nodes) {
        Ui.put(this, List.of(nodes));
    }

    /** What is always in view below the panel; empty for nothing. */
    Optional<Node> footer() {
        return Optional.empty();
    }

    /** What it contributes to the keys and the search box; done by the panel that is shown. */
    List<Command> commands() {
        return List.of();
    }
}
