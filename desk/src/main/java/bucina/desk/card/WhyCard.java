package bucina.desk.card;

import bucina.core.explain.Why;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;

/** One number opened up: formula, values, rule, source. */
public final class WhyCard extends ShownBox {

    /**
     * @param guide shows what the guide says of it
     * @param away  puts the card away
     */
    public WhyCard(Why why, Runnable guide, Runnable away) {
        super(8);
        getStyleClass().add("card");
        setId("why-card");
        setMaxSize(460, USE_PREF_SIZE);
        Button more = Ui.button("Guide", "", guide, "quiet");
        more.setId("why-guide");
        Button close = Ui.button("Close", "Esc", away, "quiet");
        HBox head = new HBox(8, Ui.label(why.title(), "bench-title"), Ui.spring(), more, close);
        head.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, Ui.label(why.value(), "why-value"));
        add(why.formula(), "formula");
        add(why.filled(), "formula");
        add(why.note(), "plain");
        add("Source: " + why.source(), "soft");
    }

    private void add(String text, String style) {
        if (!text.isBlank()) {
            getChildren().add(Ui.wrapped(text, style));
        }
    }
}
