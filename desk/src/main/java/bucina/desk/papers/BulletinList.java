package bucina.desk.papers;

import bucina.core.bulletin.Bulletins;
import bucina.core.bulletin.Review;
import bucina.core.bulletin.Reviews;
import bucina.core.measure.InputException;
import bucina.core.plan.Bulletin;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.PapersModel;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * The maker's changes: old value struck through beside the new, what was in before, and a switch to see the difference.
 */
final class BulletinList extends VBox {

    private final Desk desk;
    private final Consumer<String> refused;

    BulletinList(Desk desk, Consumer<String> refused) {
        super(12);
        this.desk = desk;
        this.refused = refused;
        setId("bulletin-list");
    }

    void fill(PapersModel model) {
        getChildren().clear();
        Optional<Id.Bulletin> writing = desk.session().recording();
        getChildren()
                .add(Ui.wrapped(
                        "Begin one, then make its changes on the sheet: callouts, parts, rows. They go into it "
                                + "until you say it is complete.",
                        "soft"));
        if (writing.isPresent()) {
            complete(model);
        } else {
            begin();
        }
        model.snapshot()
                .build()
                .papers()
                .bulletins()
                .reversed()
                .forEach(b -> getChildren().add(bulletin(b, model.review(b), writing)));
    }

    private void complete(PapersModel model) {
        Button done = Ui.button(
                "The bulletin is complete",
                "",
                () -> {
                    desk.session().record(Optional.empty());
                    fill(model);
                },
                "primary");
        done.setId("bulletin-done");
        getChildren().add(done);
    }

    private void begin() {
        Fields f = new Fields();
        TextField name = f.add("Name", new TextField(), "bulletin-name");
        name.setPromptText("SL 31-02");
        TextField dated = f.add("Dated", new TextField(desk.session().today().toString()), "bulletin-date");
        Button go = Ui.button("Begin a bulletin", "Enter", () -> go(name.getText(), dated.getText()));
        go.setId("bulletin-begin");
        name.setOnAction(e -> go(name.getText(), dated.getText()));
        dated.setOnAction(e -> go(name.getText(), dated.getText()));
        getChildren().addAll(f, go);
    }

    private void go(String name, String dated) {
        LocalDate date;
        try {
            date = LocalDate.parse(dated.strip());
        } catch (DateTimeParseException e) {
            refused.accept("\"" + dated.strip() + "\" is no date: write it like "
                    + desk.session().today());
            return;
        }
        try {
            Bulletins.begin(desk.snapshot().build(), name, date);
        } catch (InputException e) {
            refused.accept(e.getMessage());
            return;
        }
        desk.session()
                .plan(
                        "beginning bulletin " + name.strip(),
                        b -> Bulletins.begin(b, name, date),
                        () -> {
                            desk.session().recordLast();
                            refused.accept("");
                        },
                        refused);
    }

    private VBox bulletin(Bulletin b, Review review, Optional<Id.Bulletin> writing) {
        VBox box = new VBox(
                5,
                Ui.wrapped(b.name() + ", " + b.dated(), "strong"),
                Ui.wrapped(
                        writing.filter(b.id()::equals).isPresent()
                                ? "Being written: every change of " + "the plan goes into it."
                                : b.inForce() ? "In force." : "Switched off: the plan is as it was before.",
                        "soft"));
        for (Review.Line line : review.lines()) {
            HBox values = new HBox(
                    6,
                    Ui.label(line.was().isEmpty() ? "(none)" : line.was(), "soft", "struck"),
                    Ui.label(line.is().isEmpty() ? "(dropped)" : line.is(), "strong"));
            box.getChildren().addAll(Ui.wrapped(line.what(), "plain"), values);
        }
        if (review.lines().isEmpty()) {
            box.getChildren().add(Ui.wrapped("It changes nothing yet.", "soft"));
        }
        installed(review, box);
        review(b, review, box);
        Button turn = Ui.button(
                b.inForce() ? "Switch it off to see the difference" : "Switch it on",
                "",
                () -> desk.session()
                        .plan(
                                (b.inForce() ? "switching off " : "switching on ") + b.name(),
                                x -> Bulletins.switched(x, b.id()),
                                () -> refused.accept(""),
                                refused));
        turn.setId("bulletin-switch-" + b.id().n());
        turn.setDisable(writing.isPresent() || desk.session().readOnly());
        box.getChildren().add(turn);
        box.getStyleClass().add(b.inForce() ? "finding-warning" : "paper-off");
        return box;
    }

    /** Looking at what is in becomes a job: more of the same waits for it. */
    private void review(Bulletin b, Review review, VBox box) {
        String name = Reviews.job(b);
        Snapshot now = desk.session().snapshot();
        Optional<OwnJob> job = now.build().workshop().jobs().stream()
                .filter(j -> j.name().equals(name))
                .findFirst();
        if (review.installed().isEmpty() || !b.inForce()) {
            return;
        }
        if (job.isPresent()) {
            boolean looked = now.log().logged(job.get().id());
            box.getChildren()
                    .add(Ui.wrapped(
                            looked
                                    ? "They were looked at: the job \"" + name + "\" is in the logbook."
                                    : "The job \"" + name + "\" is in Tonight; more of the same waits.",
                            "soft"));
            return;
        }
        Button make = Ui.button(
                "Make the review a job",
                "",
                () -> desk.session()
                        .plan(
                                "adding the job " + name,
                                x -> x.withWorkshop(
                                        x.workshop()
                                                .with(new OwnJob(
                                                        new Id.Own(x.nextId()),
                                                        name,
                                                        "",
                                                        Optional.empty(),
                                                        List.of(),
                                                        review.installed().size() + " are in as before")),
                                        x.nextId() + 1),
                                () -> refused.accept(""),
                                refused));
        make.setId("bulletin-review-" + b.id().n());
        make.setDisable(desk.session().readOnly());
        box.getChildren().add(make);
    }

    private static void installed(Review review, VBox box) {
        if (review.installed().isEmpty()) {
            return;
        }
        box.getChildren()
                .add(Ui.wrapped(
                        review.installed().size() + " installed under the old values, to be looked at:",
                        "attention-text"));
        int lines = 0;
        for (int from = 0; from < review.installed().size() && lines < 12; lines++) {
            int to = lines(review, from, box);
            from = to + 1;
        }
        if (lines == 12) {
            box.getChildren().add(Ui.wrapped("and more.", "soft"));
        }
    }

    private static int lines(Review review, int from, VBox box) {
        Review.Installed first = review.installed().get(from);
        int to = from;
        while (to + 1 < review.installed().size()
                && alike(first, review.installed().get(to + 1))) {
            to++;
        }
        String holes =
                first.hole() + (to > from ? " to " + review.installed().get(to).hole() : "");
        box.getChildren()
                .add(Ui.wrapped(
                        first.group() + " " + holes + ": " + first.used() + " in entry " + first.entry() + ", now "
                                + first.now() + ".",
                        "soft"));
        return to;
    }

    /** True for two fasteners of one row, entry and rivet. */
    private static boolean alike(Review.Installed a, Review.Installed b) {
        return a.entry() == b.entry() && a.used().equals(b.used()) && a.now().equals(b.now()) && row(a).equals(row(b));
    }

    private static String row(Review.Installed i) {
        return i.hole().substring(0, Math.max(0, i.hole().lastIndexOf('.')));
    }
}
