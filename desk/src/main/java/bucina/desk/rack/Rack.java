package bucina.desk.rack;

import bucina.desk.look.Palette;
import bucina.desk.look.ShownPane;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Lists what the build is made of; a click turns to a face or picks a group. */
public final class Rack extends ShownPane {

    private final Desk desk;
    private final VBox list = new VBox(2);

    private Palette palette = Palette.LIGHT;
    private final ScrollPane scroll;
    private final VBox foot;
    private final CheckBox byPage = new CheckBox("by page");
    private final HBox turn = new HBox(byPage);
    private final PageList pages;
    private final FaceList faces;

    /**
     * The ways to get something onto the bench.
     *
     * @param structure names, orders and moves assemblies and faces
     * @param panel   makes a panel
     * @param ribs    makes ribs and frames
     * @param bring   brings in a drawing
     * @param callout reads callouts
     * @param typed   starts a group without holes
     */
    public record Ways(
            Runnable structure, Runnable panel, Runnable ribs, Runnable bring, Runnable callout, Runnable typed) {}

    public Rack(Desk desk, Ways ways) {
        this.desk = desk;
        getStyleClass().add("rack");
        scroll = Ui.scroll(list);
        setCenter(scroll);
        pages = new PageList(desk);
        faces = new FaceList(desk);
        byPage.setId("rack-by-page");
        byPage.selectedProperty().addListener((o, was, now) -> fill());
        turn.setAlignment(Pos.CENTER_RIGHT);
        turn.setPadding(new Insets(6, 10, 0, 10));
        foot = new VBox(
                0,
                way("Assemblies, faces", "Ctrl+E", "rack-structure", ways.structure),
                way("Make a panel", "P", "add-panel", ways.panel),
                way("Ribs and frames", "Ctrl+F", "add-ribs", ways.ribs),
                way("Bring in a drawing", "I", "add-drawing", ways.bring),
                way("Callouts", "K", "add-callouts", ways.callout),
                way("Typed stack", "N", "add-typed", ways.typed));
        foot.setDisable(desk.session().readOnly());
        BorderPane.setMargin(foot, new Insets(4, 6, 8, 6));
        setBottom(foot);
        ties.on(desk.snapshotProperty(), () -> {
            if (!desk.attempting()) {
                renew();
            }
        });
        ties.on(desk.selectionProperty(), (was, now) -> {
            if (was.face().equals(now.face())) {
                faces.mark();
            } else {
                renew();
            }
        });
        ties.on(desk.typedGroupProperty(), faces::mark);
    }

    /**
     * Lays the rack out for text larger by a factor: large, the ways to get something onto the bench scroll with the
     * rest.
     */
    private void scale(double factor) {
        boolean apart = factor < 1.4;
        setBottom(apart ? foot : null);
        scroll.setContent(apart ? list : new VBox(list, foot));
    }

    private static Button way(String text, String key, String id, Runnable action) {
        Button button = Ui.button(text, key, action, "quiet");
        button.setId(id);
        button.setMaxWidth(Double.MAX_VALUE);
        button.setAlignment(Pos.CENTER_LEFT);
        return button;
    }

    /** Draws in the colours of one variant. */
    @Override
    public void use(Palette next, double factor) {
        scale(factor);
        palette = next;
        fill();
    }

    private void fill() {
        list.getChildren().setAll(turn, byPage.isSelected() ? pages : faces);
        renew();
    }

    private void renew() {
        if (byPage.isSelected()) {
            pages.fill();
        } else {
            faces.fill(palette);
        }
    }
}
