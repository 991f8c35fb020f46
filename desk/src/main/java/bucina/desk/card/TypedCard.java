package bucina.desk.card;

import bucina.core.dress.Preparation;
import bucina.core.form.TypedGroupForm;
import bucina.core.measure.InputException;
import bucina.core.measure.LengthFormat;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.rivet.HeadStyle;
import bucina.core.stack.Solution;
import bucina.desk.look.Fields;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;

/** A group without holes: type the stack, see the length at once, add it to the face to plan and log it. */
public final class TypedCard extends ShownBox {

    private final Desk desk;
    private final Runnable away;
    private final TextField layers;
    private final TextField diameter;
    private final ComboBox<HeadStyle> head;
    private final ComboBox<Preparation> preparation;
    private final TextField count;
    private final TextField name;
    private final Label answer = Ui.wrapped("", "why-value");
    private final Label detail = Ui.wrapped("", "soft");
    private final Label error = Ui.wrapped("", "stop-text");

    /**
     * @param away puts the card away
     */
    public TypedCard(Desk desk, Runnable away) {
        super(10);
        this.desk = desk;
        this.away = away;
        getStyleClass().add("card");
        setId("typed-card");
        setMaxSize(470, USE_PREF_SIZE);
        Fields fields = new Fields();
        layers = fields.live("Layers", "", "typed-layers", t -> solve());
        diameter = fields.live("Diameter or rivet", "3/32", "typed-diameter", t -> solve());
        head = fields.choice(
                "Head",
                List.of(HeadStyle.values()),
                HeadStyle.values()[0],
                HeadStyle::word,
                "typed-head",
                h -> solve());
        preparation = fields.choice(
                "Sheets",
                List.of(Preparation.AUTO, Preparation.DIMPLE, Preparation.COUNTERSINK),
                Preparation.AUTO,
                TypedCard::words,
                "typed-preparation",
                p -> solve());
        count = fields.live("Count", "1", "typed-count", t -> {});
        name = fields.live("For", "", "typed-name", t -> {});
        name.setPromptText("what it is for");
        layers.setPromptText(".025, .032 head side first");
        Button go = Ui.button("Add to " + desk.face().face().name(), "Enter", this::go, "primary");
        go.setId("typed-go");
        go.setDefaultButton(true);
        getChildren()
                .addAll(
                        Ui.label("Typed stack", "bench-title"),
                        Ui.wrapped(
                                "An answer without a drawing. Once added it is planned and logged like any other "
                                        + "group.",
                                "soft"),
                        fields,
                        answer,
                        detail,
                        error,
                        new HBox(8, go, Ui.button("Close", "Esc", away, "quiet")));
        solve();
    }

    private static String words(Preparation p) {
        return switch (p) {
            case AUTO -> "work it out";
            case DIMPLE -> "dimple all";
            case COUNTERSINK -> "countersink";
            case NONE -> "plain";
        };
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        layers.requestFocus();
    }

    private TypedGroupForm form() {
        return new TypedGroupForm(
                "",
                name.getText(),
                head.getValue(),
                diameter.getText(),
                layers.getText(),
                preparation.getValue(),
                count.getText());
    }

    private void solve() {
        preparation.setDisable(!head.getValue().flush());
        error.setText("");
        Ui.shown(error, false);
        if (layers.getText().isBlank()) {
            answer.setText("");
            detail.setText("");
            return;
        }
        try {
            answer();
        } catch (InputException e) {
            answer.setText("");
            detail.setText(e.getMessage());
        }
    }

    private void answer() {
        Solution s = form().solve(desk.session().catalogue(), desk.snapshot().build(), desk.lengths());
        answer.setText(s.designation().orElse("No rivet does"));
        detail.setText("Grip " + LengthFormat.trade(s.grip(), desk.unit()) + ". "
                + s.choice()
                        .map(c -> c.pick().why().in(desk.unit()) + " Gap "
                                + LengthFormat.decimal(c.squeezerGap(), desk.unit(), 3) + ".")
                        .orElse(""));
    }

    private void go() {
        TypedGroupForm form = form();
        Id.Face face = desk.selectionProperty().get().face();
        var catalogue = desk.session().catalogue();
        var lengths = desk.lengths();
        desk.session()
                .plan(
                        "adding a typed stack",
                        build -> form.on(face, build, catalogue, lengths),
                        () -> {
                            Optional<Group> added = desk.face().face().groups().isEmpty()
                                    ? Optional.empty()
                                    : Optional.of(desk.face().face().groups().getLast());
                            away.run();
                            added.flatMap(g -> desk.snapshot().group(g.id())).ifPresent(desk::show);
                        },
                        sentence -> {
                            error.setText(sentence);
                            Ui.shown(error, true);
                        });
    }
}
