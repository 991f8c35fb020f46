package bucina.desk.card;

import bucina.core.form.CalloutLines;
import bucina.core.measure.InputException;
import bucina.core.plan.Id;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.layout.HBox;

/** Callouts pasted or typed, one on a line: each becomes a group, or the callout of the group named before a colon. */
public final class CalloutCard extends ShownBox {

    private final Desk desk;
    private final Runnable away;
    private final TextArea text = new TextArea();
    private final Label says = Ui.wrapped("", "soft");
    private final Label error = Ui.wrapped("", "stop-text");
    private final Button go;

    public CalloutCard(Desk desk, Runnable away) {
        super(10);
        this.desk = desk;
        this.away = away;
        getStyleClass().add("card");
        setId("callout-card");
        setMaxSize(520, USE_PREF_SIZE);
        text.setId("callout-text");
        text.setPrefRowCount(6);
        text.setPromptText("18× MS20426AD3-4\nUS-1: 48× MS20426AD3\n12 PL AN470AD4-5");
        text.setAccessibleText("Callouts, one on a line");
        text.textProperty().addListener((o, was, now) -> look());
        go = Ui.button("Read them in", "Ctrl+Enter", this::go, "primary");
        go.setId("callout-go");
        lay(away);
        look();
    }

    private void lay(Runnable away) {
        getChildren()
                .addAll(
                        Ui.label("Callouts of the drawing", "bench-title"),
                        Ui.wrapped(
                                "One on a line. With a group's code before a colon the callout goes to that "
                                        + "group, otherwise it makes a new one. Where its count and the holes "
                                        + "differ a query opens.",
                                "soft"),
                        text,
                        says,
                        error,
                        new HBox(8, go, Ui.button("Close", "Esc", away, "quiet")));
    }

    /** Puts the keyboard into the field. */
    @Override
    public void enter() {
        text.requestFocus();
    }

    private void look() {
        Ui.shown(error, false);
        try {
            says.setText(
                    new CalloutLines(text.getText()).sentence(desk.snapshot().build()));
            go.setDisable(text.getText().isBlank());
        } catch (InputException e) {
            says.setText(e.getMessage());
            go.setDisable(true);
        }
    }

    private void go() {
        Id.Face face = desk.selectionProperty().get().face();
        CalloutLines lines = new CalloutLines(text.getText());
        desk.session().plan("reading callouts", build -> lines.onto(build, face), away, sentence -> {
            error.setText(sentence);
            Ui.shown(error, true);
        });
    }

    @Override
    public void act() {
        go();
    }
}
