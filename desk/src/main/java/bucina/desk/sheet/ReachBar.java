package bucina.desk.sheet;

import bucina.desk.look.Palette;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Reaching;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** Over the sheet while reach is shown: which work, how many holes each way, and what gets at the hole looked at. */
public final class ReachBar extends ShownBox {

    private final Desk desk;
    private final HBox head = new HBox(10);
    private final HBox ways = new HBox(14);
    private final Label hole = Ui.wrapped("", "plain");
    private final Runnable crib;
    private Palette palette = Palette.LIGHT;

    /**
     * @param crib opens the tool crib
     */
    public ReachBar(Desk desk, Runnable crib) {
        super(6);
        this.desk = desk;
        this.crib = crib;
        getStyleClass().addAll("card", "reach-bar");
        setId("reach-bar");
        setMaxSize(450, USE_PREF_SIZE);
        hole.setId("reach-hole");
        head.setAlignment(Pos.CENTER_LEFT);
        ways.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, ways, hole);
        ties.on(desk.over().reachingProperty(), this::fill);
        ties.on(desk.selectionProperty(), this::hole);
        ties.on(desk.look().unitProperty(), this::hole);
        fill();
    }

    /** Draws in the colours of one variant. */
    @Override
    public void use(Palette next, double scale) {
        palette = next;
        fill();
    }

    private void fill() {
        Optional<Reaching> reaching = desk.over().reachingProperty().get();
        Ui.shown(this, reaching.isPresent());
        reaching.ifPresent(r -> {
            head.getChildren().setAll(Ui.kept("Reach, " + r.work().title(), "strong"), Ui.spring());
            if (r.works().size() > 1) {
                Button next = Ui.button(r.next().title(), "", () -> desk.over().reach(r.next()), "slim");
                next.setId("reach-next");
                head.getChildren().add(next);
            }
            head.getChildren()
                    .addAll(
                            Ui.button("Crib", "V", crib, "quiet", "slim"),
                            Ui.button("Close", "Z", desk.over()::turnReach, "quiet", "slim"));
            ways.getChildren().clear();
            for (Reaching.Way way : Reaching.Way.values()) {
                Canvas mark = new Canvas(22, 22);
                ReachPainter.mark(mark.getGraphicsContext2D(), way, 11, 11, 7, palette);
                Label label = Ui.kept(way.words() + " " + r.count(way), "plain");
                label.setGraphic(mark);
                label.setGraphicTextGap(4);
                ways.getChildren().add(label);
            }
        });
        hole();
    }

    private void hole() {
        Optional<String> words =
                desk.over().reachingProperty().get().flatMap(r -> desk.cursor().map(c -> r.words(c, desk.unit())));
        hole.setText(words.orElse("Pick a hole to see what gets there."));
    }
}
