package bucina.desk.sheet;

import bucina.desk.look.Shown;
import bucina.desk.look.Ties;
import bucina.desk.look.Ui;
import bucina.desk.session.Notices;
import bucina.desk.session.Session;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** What was just done, said where it was done: a line at the foot of the sheet for some seconds, with its undo. */
public final class DoneLine implements Shown {

    private static final Duration STAYS = Duration.seconds(8);
    private static final PseudoClass REFUSED = PseudoClass.getPseudoClass("refused");

    private final Ties ties = new Ties();
    private final Label words = Ui.wrapped("", "done-words");
    private final Label back = Ui.wrapped("", "done-back");
    private final VBox line = new VBox(2, words, back);
    private final PauseTransition pause = new PauseTransition(STAYS);

    public DoneLine(Session session) {
        line.setId("done-line");
        line.getStyleClass().add("done-line");
        line.setAlignment(Pos.CENTER_LEFT);
        line.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        line.setMouseTransparent(true);
        line.setVisible(false);
        pause.setOnFinished(e -> line.setVisible(false));
        ties.on(session.notices().saidProperty(), (was, now) -> say(now));
        ties.keep(pause::stop);
    }

    private void say(Optional<Notices.Said> said) {
        said.ifPresent(s -> {
            words.setText(s.words());
            back.setText(s.undo() ? "Ctrl+Z takes it back" : "");
            Ui.shown(back, s.undo());
            line.pseudoClassStateChanged(REFUSED, !s.good());
            line.setVisible(true);
            pause.playFromStart();
        });
    }

    @Override
    public Node node() {
        return line;
    }

    @Override
    public void close() {
        ties.close();
    }
}
