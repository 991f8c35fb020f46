package bucina.desk.papers;

import bucina.core.callout.Queries;
import bucina.core.plan.Build;
import bucina.core.plan.Query;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Questions about the drawing: open ones first, oldest on top, each with its age and a place for the answer. */
final class QueryList extends VBox {

    private final Desk desk;
    private final Consumer<String> refused;

    QueryList(Desk desk, Consumer<String> refused) {
        super(12);
        this.desk = desk;
        this.refused = refused;
        setId("query-list");
    }

    void fill() {
        getChildren().clear();
        List<Query> all = desk.snapshot().build().papers().queries();
        List<Query> open = all.stream()
                .filter(Query::open)
                .sorted(Comparator.comparing(Query::opened))
                .toList();
        lead(open);
        open.forEach(q -> getChildren().add(open(q)));
        ask();
        all.stream()
                .filter(q -> !q.open())
                .sorted(Comparator.comparing(Query::opened).reversed())
                .limit(40)
                .forEach(q -> getChildren().add(answered(q)));
    }

    private void lead(List<Query> open) {
        getChildren()
                .add(Ui.wrapped(
                        open.isEmpty()
                                ? "No open query. One opens where a callout's count and the holes on the sheet "
                                        + "differ; it holds its group until it "
                                        + "is answered."
                                : open.size()
                                        + (open.size() == 1
                                                ? " group waits for an answer."
                                                : " open, oldest first. Each holds its group."),
                        "soft"));
    }

    private VBox open(Query q) {
        long days = ChronoUnit.DAYS.between(q.opened(), desk.session().today());
        Optional<Build.GroupRef> group = desk.snapshot().group(q.group());
        Fields f = new Fields();
        TextField answer = f.add("Answer", new TextField(), "query-answer-" + q.id().n());
        TextField source = f.add("Source", new TextField(), "query-source-" + q.id().n());
        source.setPromptText("Sheet 31 rev D, the maker's letter");
        Runnable go = () -> desk.session()
                .plan(
                        "answering a query",
                        b -> Queries.answer(
                                b,
                                q.id(),
                                answer.getText(),
                                source.getText(),
                                desk.session().today()),
                        () -> refused.accept(""),
                        refused);
        source.setOnAction(e -> go.run());
        answer.setOnAction(e -> source.requestFocus());
        Button button = Ui.button("Answer it", "Enter", go);
        button.setId("query-go-" + q.id().n());
        Button show = Ui.button("Show on the sheet", "", () -> group.ifPresent(desk::show), "quiet");
        String age = days == 0 ? "today" : days == 1 ? "since yesterday" : days + " days old";
        VBox box = new VBox(
                6,
                Ui.wrapped(q.text(), "attention-text"),
                Ui.wrapped(
                        "Asked " + q.opened() + ", " + age
                                + group.map(g -> ". Holds " + g.group().code() + " "
                                                + g.group().name())
                                        .orElse("") + ".",
                        "soft"),
                f,
                new HBox(6, button, show));
        box.getStyleClass().add("finding-warning");
        return box;
    }

    private void ask() {
        Fields f = new Fields();
        List<Build.GroupRef> groups = desk.snapshot().build().faces().stream()
                .flatMap(r -> r.face().groups().stream().map(g -> new Build.GroupRef(r.assembly(), r.face(), g)))
                .toList();
        var group = f.choice(
                "About",
                groups,
                desk.cursor()
                        .flatMap(c -> desk.snapshot().group(c.group().id()))
                        .orElse(null),
                g -> g.group().code() + " " + g.group().name(),
                "query-group",
                g -> {});
        TextField text = f.add("Question", new TextField(), "query-text");
        text.setPromptText("which side is the head?");
        Runnable go = () -> {
            if (group.getValue() == null) {
                refused.accept("say which group the question is about");
                return;
            }
            desk.session()
                    .plan(
                            "asking a query",
                            b -> Queries.ask(
                                    b,
                                    group.getValue().group().id(),
                                    text.getText(),
                                    desk.session().today()),
                            () -> refused.accept(""),
                            refused);
        };
        text.setOnAction(e -> go.run());
        Button button = Ui.button("Ask", "Enter", go);
        button.setId("query-ask");
        getChildren().addAll(Ui.label("A question of your own", "strong"), f, button);
    }

    private static VBox answered(Query q) {
        Query.Answer a = q.answer().orElseThrow();
        return new VBox(
                2,
                Ui.wrapped(q.text(), "soft", "struck"),
                Ui.wrapped(a.text(), "plain"),
                Ui.wrapped(a.source() + ", " + a.on(), "tiny"));
    }
}
