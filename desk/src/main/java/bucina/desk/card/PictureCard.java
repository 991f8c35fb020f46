package bucina.desk.card;

import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import java.net.URL;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;

/** A picture of the guide, large. */
public final class PictureCard extends ShownBox {

    private static final double WIDE = 880;

    private final Button close;

    /**
     * @param what is to be seen on it
     * @param away puts the card away
     */
    public PictureCard(URL picture, String what, Runnable away) {
        super(8);
        getStyleClass().add("card");
        setId("picture-card");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        ImageView view = new ImageView(new Image(picture.toExternalForm(), true));
        view.setFitWidth(WIDE);
        view.setPreserveRatio(true);
        view.setSmooth(true);
        close = Ui.button("Close", "Esc", away, "quiet");
        HBox head = new HBox(8, Ui.label(what, "strong"), Ui.spring(), close);
        head.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, view);
    }

    @Override
    public void enter() {
        close.requestFocus();
    }
}
