package bucina.desk.card;

import bucina.desk.look.Ui;
import bucina.desk.session.Aside;
import bucina.desk.session.CopyKeeper;
import bucina.desk.session.CopyWish;
import bucina.desk.session.ToOpen;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Offers the last good copy of a build that cannot be opened any more, with what would be lost. */
public final class LastGood extends VBox {

    private final Label words = Ui.wrapped("Looking for a good copy.", "plain");
    private final HBox ways = new HBox(8);

    /**
     * Looks for the copy on a thread of its own and shows it when it is found.
     *
     * @param build what cannot be opened
     * @param open  opens what is chosen
     */
    public LastGood(Path build, CopyWish wish, Consumer<ToOpen> open) {
        super(8);
        setId("last-good");
        words.setId("last-good-words");
        getChildren().addAll(words, ways);
        new Aside(Platform::runLater)
                .run(
                        () -> new Found(CopyKeeper.lastGood(wish, build), Files.exists(build)),
                        found -> show(found, build, wish, open),
                        sentence -> words.setText("No copy could be looked for: " + sentence));
    }

    /** What was found, and whether anything lies in its place. */
    private record Found(Optional<CopyKeeper.Offer> copy, boolean there) {}

    private void show(Found found, Path build, CopyWish wish, Consumer<ToOpen> open) {
        if (found.copy.isEmpty()) {
            words.setText("There is no good copy of it in " + wish.place(build) + ".");
            return;
        }
        CopyKeeper.Offer offer = found.copy.get();
        Path copy = offer.path();
        words.setText("The last good copy is of " + CopiesCard.time(offer.made()) + ", with "
                + CopiesCard.entries(offer.entries().orElse(0)) + " in its log. " + offer.words()
                + (found.there ? " What lies in its place is kept beside it, under another name." : ""));
        Button back = Ui.button("Go on from this copy", "", () -> go(open, new ToOpen.Back(copy, build)), "primary");
        back.setId("last-good-back");
        Button look = Ui.button("Look at it first", "", () -> go(open, new ToOpen.Copy(copy, build)), "quiet");
        look.setId("last-good-look");
        ways.getChildren().setAll(back, look);
        back.requestFocus();
    }

    private void go(Consumer<ToOpen> open, ToOpen what) {
        ways.setDisable(true);
        open.accept(what);
    }
}
