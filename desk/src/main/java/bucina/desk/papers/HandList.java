package bucina.desk.papers;

import bucina.core.hand.Hands;
import bucina.core.hand.Mirror;
import bucina.core.plan.Assembly;
import bucina.core.plan.Hand;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.PapersModel;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Makes the other hand, and shows what the two hands differ in: taken over, or named as an exception. */
final class HandList extends VBox {

    private static final int MOST = 25;

    private final Desk desk;
    private final Consumer<String> refused;

    HandList(Desk desk, Consumer<String> refused) {
        super(10);
        this.desk = desk;
        this.refused = refused;
        setId("hand-list");
    }

    void fill(PapersModel model) {
        getChildren().clear();
        List<Assembly> all = model.snapshot().build().assemblies();
        for (Assembly a : all) {
            if (a.twin().isPresent()) {
                twin(a, model.differences(a));
            } else if (a.hand() != Hand.NONE
                    && all.stream()
                            .noneMatch(b ->
                                    b.twin().filter(t -> t.of().equals(a.id())).isPresent())) {
                make(a);
            }
        }
        if (getChildren().isEmpty()) {
            getChildren().add(Ui.wrapped("No assembly here has another hand.", "soft"));
        }
    }

    private void make(Assembly a) {
        Button make = Ui.button(
                "Make the other hand of " + a.name(),
                "",
                () -> desk.session()
                        .plan("mirroring " + a.name(), b -> Mirror.add(b, a.id()), () -> refused.accept(""), refused));
        make.setId("mirror-" + a.id().n());
        make.setDisable(desk.session().readOnly());
        getChildren()
                .addAll(
                        Ui.wrapped(
                                a.name() + " is the " + a.hand().word()
                                        + " hand. Its mirror image gets parts and groups of its own; later "
                                        + "changes here are "
                                        + "offered to it.",
                                "soft"),
                        make);
    }

    private void twin(Assembly twin, List<Hands.Difference> differences) {
        List<Hands.Difference> offered =
                differences.stream().filter(d -> d.exception().isEmpty()).toList();
        getChildren()
                .add(Ui.wrapped(
                        twin.name() + ": "
                                + (offered.isEmpty()
                                        ? "in line with the other hand."
                                        : offered.size() + (offered.size() == 1 ? " difference." : " differences.")),
                        "strong"));
        if (!offered.isEmpty()) {
            Button take = Ui.button(
                    "Bring it in line",
                    "",
                    () -> desk.session()
                            .plan(
                                    "bringing " + twin.name() + " in line",
                                    b -> Hands.takeOver(b, twin.id()),
                                    () -> refused.accept(""),
                                    refused),
                    "primary");
            take.setId("hands-take");
            getChildren().add(take);
        }
        offered.stream().limit(MOST).forEach(d -> getChildren().add(offer(twin, d)));
        if (offered.size() > MOST) {
            getChildren().add(Ui.wrapped("and " + (offered.size() - MOST) + " more.", "soft"));
        }
        differences.stream()
                .filter(d -> d.exception().isPresent())
                .forEach(d -> getChildren()
                        .add(Ui.wrapped("Exception, " + d.exception().get() + ": " + d.words(), "soft")));
    }

    private VBox offer(Assembly twin, Hands.Difference d) {
        TextField name = name(d);
        Runnable go = () -> desk.session()
                .plan(
                        "naming an exception",
                        b -> Hands.except(b, twin.id(), d.subject(), name.getText()),
                        () -> refused.accept(""),
                        refused);
        name.setOnAction(e -> go.run());
        VBox box =
                new VBox(4, Ui.wrapped(d.words(), "attention-text"), new HBox(6, name, Ui.button("Keep", "Enter", go)));
        box.getStyleClass().add("finding-warning");
        return box;
    }

    private static TextField name(Hands.Difference d) {
        TextField name = new TextField();
        name.setPromptText("name of an exception");
        name.setAccessibleText("Name of an exception: " + d.words());
        name.setId("except-" + d.subject().n());
        HBox.setHgrow(name, Priority.ALWAYS);
        return name;
    }
}
