package bucina.desk.card;

import bucina.desk.look.Ui;
import bucina.desk.session.Bringing;
import javafx.scene.layout.VBox;

/** What is understood of a file, sentence by sentence. */
final class BringSays extends VBox {

    BringSays() {
        super(3);
        soft("DXF, SVG or a table of holes as CSV. Nothing changes until you bring it in.");
    }

    /** Says what is understood; what goes into holes that are not those of the rivet chosen stands out. */
    void show(Bringing brought, Bringing.Told told) {
        getChildren().clear();
        told.sentences()
                .forEach(s -> getChildren().add(Ui.wrapped(s, getChildren().isEmpty() ? "strong" : "soft")));
        told.others().forEach(s -> getChildren().add(Ui.wrapped(s, "attention-text")));
        brought.says().ifPresent(u -> soft("The file says its figures are " + u.name() + "."));
        soft("The side that is seen in the drawing is up.");
    }

    private void soft(String sentence) {
        getChildren().add(Ui.wrapped(sentence, "soft"));
    }
}
