package bucina.desk.tonight;

import bucina.core.job.Demand;
import bucina.core.job.Jobs;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.OwnOrder;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Evening;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What the builder says about the order: not today, or before another job, with a reason; a rule may refuse it. */
final class OrderBar extends VBox {

    private final Desk desk;
    private final Evening evening;
    private final Supplier<Optional<String>> picked;
    private final TextField reason = new TextField();
    private final Label lost = Ui.wrapped("", "attention-text");
    private final Label said = Ui.wrapped("", "stop-text");
    private final Button take;

    /**
     * @param picked the job picked in the list, by its name
     * @param above  the one listed above it
     */
    OrderBar(Desk desk, Evening evening, Supplier<Optional<String>> picked, Supplier<Optional<String>> above) {
        super(4);
        this.desk = desk;
        this.evening = evening;
        this.picked = picked;
        reason.setPromptText("reason: the paint is wet, I want to see it whole");
        reason.setAccessibleText("Reason for another order");
        reason.setId("order-reason");
        HBox.setHgrow(reason, Priority.ALWAYS);
        Button later = Ui.button("Not today", "", () -> picked.get().ifPresent(this::notToday), "slim");
        later.setId("order-later");
        Button before = Ui.button(
                "Before the one above",
                "Alt+Up",
                () -> picked.get().ifPresent(job -> above.get().ifPresent(other -> before(job, other))),
                "slim");
        before.setId("order-before");
        take = Ui.button("Take back what I said", "", this::takeBack, "slim");
        take.setId("order-back");
        HBox line = new HBox(6, reason, later, before, take);
        line.setAlignment(Pos.CENTER_LEFT);
        Ui.shown(said, false);
        Ui.shown(lost, false);
        getChildren().addAll(line, lost, said);
        setDisable(desk.session().readOnly());
    }

    /** Shows what there is to take back: of the job picked, and of names that no job has any more. */
    void fill() {
        Ui.shown(take, !own().isEmpty());
        List<OwnOrder> gone = all().stream().filter(this::gone).toList();
        Ui.shown(lost, !gone.isEmpty());
        lost.setText(gone.stream()
                .map(o -> "What you said about " + o.job() + (o.before().isEmpty() ? "" : " and " + o.before())
                        + " holds no more: there is no job of that name.")
                .collect(Collectors.joining(" ")));
    }

    private List<OwnOrder> all() {
        return desk.session().snapshot().build().workshop().orders();
    }

    private boolean gone(OwnOrder order) {
        return evening.plannedProperty()
                .get()
                .map(Evening.Planned::jobs)
                .filter(j -> !j.has(order.job()) || !order.before().isEmpty() && !j.has(order.before()))
                .isPresent();
    }

    private List<OwnOrder> own() {
        String job = picked.get().orElse("");
        return all().stream()
                .filter(o -> o.job().equals(job) || o.before().equals(job) || gone(o))
                .toList();
    }

    private void say(String sentence) {
        said.setText(sentence);
        Ui.shown(said, !sentence.isEmpty());
    }

    private void notToday(String job) {
        add(
                "putting off " + job,
                id -> new OwnOrder(
                        id,
                        job,
                        "",
                        Optional.of(desk.session().today().plusDays(1)),
                        reason.getText().strip()));
    }

    /** Puts a job before another, unless a rule wants it the other way round. */
    void before(String job, String other) {
        Optional<Jobs> jobs = evening.plannedProperty().get().map(Evening.Planned::jobs);
        if (job.equals(other) || jobs.filter(j -> j.has(job) && j.has(other)).isEmpty()) {
            return;
        }
        Optional<Demand> against =
                jobs.get().comesBefore(jobs.get().place(other), jobs.get().place(job));
        if (against.isPresent()) {
            say(jobs.get().job(jobs.get().place(other)).words() + " comes first, rule "
                    + against.get().rule() + ": " + against.get().text() + ".");
            return;
        }
        add(
                "doing " + job + " before " + other,
                id -> new OwnOrder(
                        id, job, other, Optional.empty(), reason.getText().strip()));
    }

    /** Makes what is said once its id is known. */
    private interface Made {
        OwnOrder of(Id.Order id);
    }

    private void add(String words, Made made) {
        desk.session()
                .plan(
                        words,
                        b -> with(b, made),
                        () -> {
                            reason.clear();
                            say("");
                        },
                        this::say);
    }

    private static Build with(Build build, Made made) {
        OwnOrder order = made.of(new Id.Order(build.nextId()));
        return build.withWorkshop(build.workshop().with(order), build.nextId() + 1);
    }

    private void takeBack() {
        List<OwnOrder> gone = own();
        desk.session()
                .plan(
                        "taking back what was said about the order",
                        b -> {
                            Build next = b;
                            for (OwnOrder order : gone) {
                                next = next.withWorkshop(next.workshop().without(order.id()), next.nextId());
                            }
                            return next;
                        },
                        () -> say(""),
                        this::say);
    }
}
