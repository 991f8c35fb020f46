package bucina.desk.papers;

import bucina.core.plan.Part;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;

/** Every part of the build with its material. */
public final class PartsRoom extends ShownBox {

    public PartsRoom(Desk desk) {
        super(4);
        setId("parts-room");
        ties.on(desk.snapshotProperty(), () -> fill(desk));
        fill(desk);
    }

    private void fill(Desk desk) {
        getChildren().setAll(Ui.label("Parts", "bench-title"));
        for (Part part : desk.snapshot().build().parts()) {
            getChildren().add(Ui.label(part.name() + ", " + part.material(), "plain"));
        }
    }
}
