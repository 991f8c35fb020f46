package bucina.desk.stores;

import bucina.core.batch.Cans;
import bucina.core.batch.Mixing;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Can;
import bucina.core.plan.Compound;
import bucina.core.plan.Id;
import bucina.core.stores.Bins;
import bucina.core.stores.Clecos;
import bucina.desk.look.Fields;
import bucina.desk.look.Refusal;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.StoresModel;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Cans of primer and sealant by their shelf life, and clecos owned against the most the plan has in at once. */
final class CansSide extends VBox {

    private static final double WIDE = 372;

    private final Desk desk;
    private final VBox cans = new VBox(6);
    private final GridPane clecos = new GridPane(10, 4);
    private final Fields fields = new Fields();
    private final TextField name;
    private final ComboBox<Compound.Kind> kind;
    private final TextField amount = new TextField();
    private final TextField bin = new TextField();
    private final TextField useBy;
    private final TextField thaw = new TextField();
    private final TextField life = new TextField();
    private final Button add;
    private final Refusal wrong = new Refusal();
    private final List<Standing> shown = new ArrayList<>();
    private int bad;

    /** A can and the label that says how it stands. */
    private record Standing(Can can, Label label) {}

    CansSide(Desk desk) {
        super(8);
        this.desk = desk;
        setPadding(new Insets(12));
        setPrefWidth(WIDE);
        setId("cans-side");
        name = fields.add("Can of", new TextField(), "can-name");
        name.setPromptText("Two-part epoxy primer");
        kind = fields.choice(
                "For",
                List.of(Compound.Kind.values()),
                Compound.Kind.PRIMER,
                k -> k == Compound.Kind.PRIMER ? "priming" : "sealing",
                "can-kind",
                k -> {});
        small(amount, "can-amount", "How much is in it", "1 qt");
        small(bin, "can-bin", "Where it stands", "cupboard");
        fields.addRow(fields.getRowCount(), Ui.kept("How much, where", "field-name"), new HBox(6, amount, bin));
        useBy = fields.add("Use by", new TextField(), "can-use-by");
        useBy.setPromptText("2027-06-01, as on the can");
        small(thaw, "can-thaw", "Minutes it thaws", "thaws");
        small(life, "can-life", "Minutes it can be worked from when it is taken out", "works");
        fields.addRow(fields.getRowCount(), Ui.kept("Frozen, minutes", "field-name"), new HBox(6, thaw, life));
        add = Ui.button("Put the can down", "Enter", this::put);
        add.setId("can-add");
        List.of(name, amount, bin, useBy, thaw, life).forEach(f -> f.setOnAction(e -> put()));
        getChildren()
                .setAll(
                        Ui.label("Clecos", "room-title"),
                        clecos,
                        Ui.label("Primer and sealant", "room-title"),
                        cans,
                        fields,
                        add,
                        wrong);
    }

    private static void small(TextField field, String id, String says, String prompt) {
        field.setId(id);
        field.setAccessibleText(says);
        field.setPromptText(prompt);
        HBox.setHgrow(field, Priority.ALWAYS);
    }

    /** How many cans may not be used any more, for the tile; empty where all may. */
    String says() {
        return bad == 0 ? "" : ", " + bad + (bad == 1 ? " can past" : " cans past");
    }

    void fill(StoresModel model) {
        wrong.clear();
        boolean locked = desk.session().readOnly();
        fields.setDisable(locked);
        add.setDisable(locked);
        clecos(model.clecos());
        cans.getChildren().clear();
        shown.clear();
        model.of().build().workshop().cans().stream()
                .filter(c -> c.gone().isEmpty())
                .forEach(c -> cans.getChildren().add(can(c, locked)));
        if (shown.isEmpty()) {
            cans.getChildren()
                    .add(Ui.wrapped(
                            "No can was put down. One past its shelf life is not mixed from once it is.", "soft"));
        }
        tick();
    }

    /** How the cans stand now: what was taken out thaws, and goes off. */
    void tick() {
        bad = 0;
        for (Standing one : shown) {
            Cans.Standing is = Cans.standing(
                    one.can, desk.session().instant(), desk.session().zone());
            bad += is.state() == Cans.State.PAST || is.state() == Cans.State.GONE_OFF ? 1 : 0;
            one.label.setText(capital(is.words()));
            one.label.getStyleClass().removeAll("done-text", "attention-text", "stop-text");
            one.label
                    .getStyleClass()
                    .add(
                            switch (is.state()) {
                                case GOOD, READY, FROZEN -> "done-text";
                                case SOON_PAST, THAWING -> "attention-text";
                                case PAST, GONE_OFF, GONE -> "stop-text";
                            });
        }
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1) + ".";
    }

    private VBox can(Can can, boolean locked) {
        Label says = Ui.wrapped("", "plain");
        shown.add(new Standing(can, says));
        HBox line = new HBox(
                8,
                Ui.wrapped(
                        Stream.of(can.name(), can.amount(), can.bin())
                                .filter(w -> !w.isBlank())
                                .collect(Collectors.joining(", ")),
                        "strong"),
                Ui.spring());
        line.setAlignment(Pos.CENTER_LEFT);
        if (can.frozen().filter(f -> f.taken().isEmpty()).isPresent()) {
            line.getChildren()
                    .add(button(
                            "Taken out",
                            "can-out-" + can.id().n(),
                            locked,
                            () -> change(
                                    can.name() + " taken out of the freezer",
                                    can.id(),
                                    c -> c.taken(desk.session().instant()))));
        }
        line.getChildren()
                .add(button(
                        "Gone",
                        "can-gone-" + can.id().n(),
                        locked,
                        () -> change(
                                can.name() + " is gone",
                                can.id(),
                                c -> c.gone(desk.session().today()))));
        return new VBox(1, line, says);
    }

    private static Button button(String text, String id, boolean locked, Runnable does) {
        Button button = Ui.button(text, "", does, "quiet");
        button.setId(id);
        button.setDisable(locked);
        return button;
    }

    private void clecos(List<Clecos.Size> sizes) {
        clecos.getChildren().clear();
        clecos.addRow(
                0,
                Ui.kept("Size", "soft"),
                Ui.kept("owned", "soft"),
                Ui.kept("most at once", "soft"),
                Ui.label("on", "soft"));
        for (Clecos.Size size : sizes) {
            TextField owned = new TextField(size.owned().map(Object::toString).orElse(""));
            owned.setId("cleco-owned-" + size.size().name().replace('/', '-'));
            owned.setAccessibleText("Clecos " + size.size().name() + " owned");
            owned.setPromptText("count");
            owned.setPrefColumnCount(4);
            owned.setDisable(desk.session().readOnly());
            Fields.committing(
                    owned,
                    text -> plan(
                            size.size().bin() + ": " + text.strip(),
                            b -> Bins.counted(b, size.size().bin(), text)));
            clecos.addRow(
                    clecos.getRowCount(),
                    Ui.kept(size.size().name() + " " + size.size().colour(), "plain"),
                    owned,
                    Ui.kept(
                            size.lacking() > 0
                                    ? size.peak() + ", " + size.lacking() + " short"
                                    : Integer.toString(size.peak()),
                            size.lacking() > 0 ? "attention-text" : "number-value"),
                    Ui.label(size.face(), "soft"));
        }
    }

    private void put() {
        try {
            Optional<Can.Frozen> frozen =
                    thaw.getText().isBlank() && life.getText().isBlank()
                            ? Optional.empty()
                            : Optional.of(new Can.Frozen(
                                    Mixing.minutes("Thawing", thaw.getText()),
                                    Mixing.minutes("To be worked", life.getText()),
                                    Optional.empty()));
            Can can = new Can(
                    new Id.Can(1),
                    name.getText().strip(),
                    kind.getValue(),
                    amount.getText().strip(),
                    Typed.day(useBy.getText(), "the day it is used by"),
                    frozen,
                    bin.getText().strip(),
                    Optional.empty());
            plan("a can of " + can.name(), b -> Cans.with(b, can));
        } catch (InputException e) {
            wrong.say(e.getMessage());
        }
    }

    private void change(String words, Id.Can id, UnaryOperator<Can> change) {
        plan(words, b -> Cans.changed(b, id, change));
    }

    private void plan(String words, UnaryOperator<Build> change) {
        desk.session().plan(words, change, wrong::clear, wrong::say);
    }
}
