package bucina.desk.card;

import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.About;
import bucina.desk.session.Places;
import java.nio.file.Path;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.TextArea;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Version, where everything lies, and the licences of what is shipped. */
public final class AboutCard extends ShownBox {

    private static final int LINES = 17;

    private final Button close;

    /**
     * @param build where the build lies
     * @param away  puts the card away
     */
    public AboutCard(Path build, Runnable away) {
        super(10);
        getStyleClass().add("card");
        setId("about-card");
        setMaxSize(820, USE_PREF_SIZE);
        close = Ui.button("Close", "Esc", away, "quiet");
        HBox head = new HBox(8, Ui.label("Bucina " + About.version(), "bench-title"), Ui.spring(), close);
        head.setAlignment(Pos.CENTER_LEFT);
        GridPane where = new GridPane();
        where.setHgap(12);
        where.setVgap(4);
        where(where, "This build", build.toAbsolutePath());
        where(where, "Settings, the log of faults", Places.settings());
        where(where, "Demos", Places.data());
        TextArea licences = new TextArea(About.licences());
        licences.setId("about-licences");
        licences.setAccessibleText("Licences of everything shipped");
        licences.setEditable(false);
        licences.setWrapText(true);
        licences.setPrefRowCount(LINES);
        VBox.setVgrow(licences, Priority.ALWAYS);
        getChildren()
                .addAll(
                        head,
                        Ui.wrapped(
                                "It plans and logs; it approves nothing. The kit's drawings and bulletins, and the"
                                        + " authority that certifies the aircraft, govern.",
                                "plain"),
                        where,
                        Ui.label("What it is made of, and under which licences", "strong"),
                        licences);
    }

    private static void where(GridPane grid, String what, Path path) {
        grid.addRow(grid.getRowCount(), Ui.kept(what, "field-name"), Ui.wrapped(path.toString(), "plain"));
    }

    @Override
    public void enter() {
        close.requestFocus();
    }
}
