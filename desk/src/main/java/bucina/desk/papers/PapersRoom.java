package bucina.desk.papers;

import bucina.core.state.Snapshot;
import bucina.desk.look.ShownPane;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import bucina.desk.session.PapersModel;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * What was asked, replaced and accepted, and what the other hand differs in: questions at the left, bulletins in the
 * middle, hands and acceptances right.
 */
public final class PapersRoom extends ShownPane {

    private final Desk desk;
    private final Latest models;
    private final QueryList queries;
    private final BulletinList bulletins;
    private final HandList hands;
    private final AcceptedList accepted;
    private final DepartureList departures;
    private final Label error = Ui.wrapped("", "stop-text");

    public PapersRoom(Desk desk) {
        this.desk = desk;
        models = desk.session().latest();
        getStyleClass().add("logbook");
        queries = new QueryList(desk, this::refuse);
        bulletins = new BulletinList(desk, this::refuse);
        hands = new HandList(desk, this::refuse);
        accepted = new AcceptedList(desk, this::refuse);
        departures = new DepartureList(desk, this::refuse);
        Button rules = Ui.button(
                "Rules in force",
                Desk.Room.RULES.key(),
                () -> desk.roomProperty().set(Desk.Room.RULES));
        rules.setId("papers-rules");
        HBox columns = new HBox(
                0,
                column("Queries", queries),
                column("Bulletins", bulletins),
                column("Departures from the drawing", departures),
                column(
                        "The other hand",
                        hands,
                        Ui.label("Accepted findings", "room-title"),
                        accepted,
                        Ui.label("Rules", "room-title"),
                        rules));
        watch(columns, desk);
    }

    private void watch(HBox columns, Desk desk) {
        Ui.shown(error, false);
        BorderPane.setMargin(error, new Insets(8, 14, 0, 14));
        setTop(error);
        setCenter(columns);
        ties.on(desk.snapshotProperty(), () -> {
            if (desk.roomProperty().get() == Desk.Room.PAPERS) {
                fill();
            }
        });
    }

    private static ScrollPane column(String title, Node... nodes) {
        VBox box = new VBox(10, Ui.label(title, "room-title"));
        box.getChildren().addAll(nodes);
        box.setPadding(new Insets(14));
        ScrollPane pane = Ui.scroll(box);
        pane.getStyleClass().add("paper-column");
        HBox.setHgrow(pane, Priority.ALWAYS);
        pane.setPrefWidth(420);
        return pane;
    }

    /** Shows the papers as they are. */
    @Override
    public void enter() {
        Ui.shown(error, false);
        fill();
        requestFocus();
    }

    private void fill() {
        queries.fill();
        accepted.fill();
        departures.fill();
        Snapshot snapshot = desk.snapshot();
        models.ask(
                () -> PapersModel.of(snapshot),
                model -> {
                    bulletins.fill(model);
                    hands.fill(model);
                },
                this::refuse);
    }

    private void refuse(String sentence) {
        error.setText(sentence);
        Ui.shown(error, !sentence.isEmpty());
    }
}
