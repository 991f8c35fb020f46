package bucina.desk.rack;

import bucina.core.part.Pages;
import bucina.core.plan.Build;
import bucina.core.plan.Part;
import bucina.core.state.Snapshot;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The rack read by page of the manual: what stands on each, and how much of it is done. */
final class PageList extends VBox {

    private final Desk desk;
    private final Latest latest;

    PageList(Desk desk) {
        super(2);
        this.desk = desk;
        latest = desk.session().latest();
        setId("page-list");
    }

    void fill() {
        Snapshot now = desk.session().snapshot();
        latest.ask(() -> Pages.of(now.build(), now.parts(), now.log()), this::show, sentence -> {});
    }

    private void show(List<Pages> pages) {
        getChildren().clear();
        if (pages.isEmpty()) {
            getChildren()
                    .add(Ui.wrapped(
                            "No group, part or job has a page yet. Give one in Change (E) or in Parts (F4).",
                            "rack-note"));
        }
        for (Pages page : pages) {
            HBox head = new HBox(
                    6,
                    Ui.label(page.page(), "rack-face-name"),
                    Ui.spring(),
                    Ui.kept(page.done() + "/" + page.all(), "rack-count"));
            head.getStyleClass().add("rack-note");
            head.setAlignment(Pos.CENTER_LEFT);
            getChildren().add(head);
            page.groups().forEach(g -> getChildren().add(group(g)));
            page.parts().forEach(p -> getChildren().add(part(p)));
            page.jobs().forEach(j -> getChildren().add(Ui.wrapped(j.name(), "rack-note")));
        }
    }

    private Button group(Build.GroupRef ref) {
        return line(ref.group().code() + "  " + ref.group().name(), () -> desk.show(ref));
    }

    private Button part(Part part) {
        return line(part.name(), () -> {
            desk.partProperty().set(Optional.of(part.id()));
            desk.roomProperty().set(Desk.Room.PARTS);
        });
    }

    private static Button line(String text, Runnable go) {
        Button button = Ui.button(text, "", go, "rack-group");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setAlignment(Pos.CENTER_LEFT);
        return button;
    }
}
