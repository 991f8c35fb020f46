package bucina.desk.guided;

import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A guided job beside the work: the step that waits in large, the others listed. */
public final class GuidedPane extends ShownBox {

    private final Guided guided;
    private final Consumer<GuidedJob> next;
    private final VBox content = new VBox(8);

    /**
     * @param next begins another job
     */
    public GuidedPane(Guided guided, Consumer<GuidedJob> next) {
        super(8);
        this.guided = guided;
        this.next = next;
        setId("guided");
        getStyleClass().add("help");
        setPadding(new Insets(12));
        ScrollPane pane = Ui.scroll(content);
        Button leave = Ui.button("Leave the guided job", "", guided::leave, "quiet");
        leave.setId("guided-leave");
        getChildren().addAll(pane, leave);
        ties.on(guided.atProperty(), this::fill);
        fill();
    }

    private void fill() {
        content.getChildren().clear();
        guided.atProperty().get().ifPresent(at -> {
            content.getChildren().add(Ui.label(at.job().name(), "soft"));
            if (at.ended()) {
                ended(at.job());
            } else {
                step(at);
            }
            list(at);
        });
    }

    private void step(Guided.At at) {
        Label which =
                Ui.label("Step " + (at.step() + 1) + " of " + at.job().steps().size(), "soft");
        Label title = Ui.wrapped(at.waiting().title(), "bench-title");
        title.setId("guided-step");
        content.getChildren().addAll(which, title, Ui.wrapped(at.waiting().text(), "plain"));
    }

    private void ended(GuidedJob job) {
        Label title = Ui.wrapped("Done", "bench-title");
        title.setId("guided-step");
        content.getChildren().addAll(title, Ui.wrapped(job.ends(), "plain"));
        GuidedJob other = GuidedJobs.panel();
        if (!job.name().equals(other.name())) {
            Button on = Ui.button(other.name(), "", () -> next.accept(other), "primary");
            on.setId("guided-next");
            content.getChildren().add(on);
        }
    }

    private void list(Guided.At at) {
        VBox steps = new VBox(2);
        steps.setPadding(new Insets(14, 0, 0, 0));
        List<GuidedJob.Step> all = at.job().steps();
        for (int i = 0; i < all.size(); i++) {
            boolean done = i < at.step();
            Label number = Ui.kept(i + 1 + ".", "soft");
            number.setMinWidth(26);
            Label title = Ui.label(all.get(i).title(), i == at.step() ? "strong" : done ? "plain" : "soft");
            HBox line = new HBox(6, number, title, Ui.spring(), Ui.kept(done ? "done" : "", "done-text"));
            line.setAlignment(Pos.CENTER_LEFT);
            steps.getChildren().add(line);
        }
        content.getChildren().add(steps);
    }
}
