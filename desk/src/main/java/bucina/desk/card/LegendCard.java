package bucina.desk.card;

import bucina.core.log.HoleState;
import bucina.desk.look.Glyph;
import bucina.desk.look.Palette;
import bucina.desk.look.Shown;
import bucina.desk.look.Ties;
import bucina.desk.look.Ui;
import bucina.desk.session.LengthClasses;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What the glyphs mean. */
public final class LegendCard extends HBox implements Shown {

    private final Ties ties = new Ties();
    private final VBox over = new VBox(5);
    private VBox column = new VBox(5);

    /**
     * @param lengths the lengths of the face, to explain holes drawn by length; empty where they are drawn by state
     */
    public LegendCard(Palette palette, Optional<LengthClasses> lengths) {
        super(18);
        getChildren().addAll(column, over);
        getStyleClass().addAll("card", "legend");
        setId("legend-card");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        lengths.ifPresentOrElse(
                l -> {
                    column.getChildren().add(Ui.label("The fuller the hole, the longer the rivet", "strong"));
                    l.classes()
                            .forEach(c ->
                                    add(c.name(), g -> Glyph.length(g, c.place(), l.lengths(), 13, 13, 7, palette)));
                },
                () -> {
                    column.getChildren().add(Ui.label("Holes, as far as they have come", "strong"));
                    for (HoleState state : HoleState.values()) {
                        add(state.words(), g -> Glyph.paint(g, state, 13, 13, 7, palette));
                    }
                });
        column = over;
        over(palette);
    }

    private void over(Palette palette) {
        column.getChildren().add(Ui.label("Over them", "strong"));
        for (Glyph.Mark mark : Glyph.Mark.values()) {
            if (mark != Glyph.Mark.NONE) {
                add(mark.words(), g -> {
                    Glyph.paint(g, HoleState.PLANNED, 13, 13, 7, palette);
                    Glyph.mark(g, mark, 13, 13, 7, palette);
                });
            }
        }
    }

    private void add(String words, Consumer<GraphicsContext> paint) {
        Canvas canvas = new Canvas(26, 26);
        paint.accept(canvas.getGraphicsContext2D());
        HBox row = new HBox(8, canvas, Ui.label(words, "plain"));
        row.setAlignment(Pos.CENTER_LEFT);
        column.getChildren().add(row);
    }

    @Override
    public Node node() {
        return this;
    }

    @Override
    public void close() {
        ties.close();
    }
}
