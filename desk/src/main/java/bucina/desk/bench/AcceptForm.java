package bucina.desk.bench;

import bucina.core.measure.InputException;
import bucina.core.plan.Acceptance;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.rule.Finding;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Accepts a finding with a written reason, which stays on record. */
final class AcceptForm extends VBox {

    private final Desk desk;
    private final Id subject;
    private final Finding finding;
    private final TextField reason = new TextField();
    private final TextField who = new TextField();
    private final Label error = Ui.wrapped("", "stop-text");

    /**
     * @param subject the hole or row the finding is about
     */
    AcceptForm(Desk desk, Id subject, Finding finding) {
        super(4);
        this.desk = desk;
        this.subject = subject;
        this.finding = finding;
        lay(desk);
        var button = Ui.button("Accept with this reason", "Enter", this::go);
        button.setId("accept-go");
        getChildren().addAll(new HBox(6, reason, who), error, button);
    }

    private void lay(Desk desk) {
        reason.setPromptText("why it may stay so");
        reason.setId("accept-reason");
        reason.setAccessibleText("Reason for accepting");
        who.setPromptText("who");
        who.setText(desk.prefs().who());
        who.setId("accept-who");
        who.setAccessibleText("Who accepts");
        who.setPrefWidth(90);
        HBox.setHgrow(reason, Priority.ALWAYS);
        Ui.shown(error, false);
        reason.setOnAction(e -> go());
        who.setOnAction(e -> go());
    }

    private void go() {
        try {
            Acceptance trial = make(desk.snapshot().build());
            desk.session()
                    .plan(
                            "accepting " + finding.rule().words() + " at "
                                    + finding.place().hole(),
                            b -> {
                                Acceptance a = make(b);
                                return b.withPapers(b.papers().with(a), b.nextId() + 1);
                            },
                            () -> desk.prefs().keep("who", trial.who()),
                            this::refuse);
        } catch (InputException e) {
            refuse(e.getMessage());
        }
    }

    private Acceptance make(Build build) {
        return new Acceptance(
                new Id.Acceptance(build.nextId()),
                subject,
                finding.rule(),
                finding.place().layer(),
                finding.measured(),
                finding.required(),
                reason.getText().strip(),
                who.getText().strip(),
                desk.session().today());
    }

    private void refuse(String sentence) {
        error.setText(sentence);
        Ui.shown(error, true);
    }
}
