package bucina.desk.bench;

import bucina.core.callout.Queries;
import bucina.core.plan.Id;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.desk.look.Glyph;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** What is wrong with the hole looked at, what holds it, and a way to accept a finding with a reason. */
final class FindingsView extends VBox {

    private final Desk desk;
    private final Runnable again;
    private Optional<String> accepting = Optional.empty();
    private Palette palette = Palette.LIGHT;

    /**
     * @param again fills the panel it stands in anew
     */
    FindingsView(Desk desk, Runnable again) {
        super(6);
        this.desk = desk;
        this.again = again;
    }

    void use(Palette colours) {
        palette = colours;
    }

    /** Shows these, after what holds the hole looked at. */
    void show(List<Finding> list) {
        getChildren().clear();
        desk.cursor().ifPresent(c -> {
            desk.snapshot()
                    .holds()
                    .of(c)
                    .filter(h -> !desk.snapshot().set(c))
                    .ifPresent(h -> warning(Ui.wrapped(h.sentence(desk.unit()), "attention-text")));
            Queries.open(desk.snapshot().build().papers(), c.group().id())
                    .forEach(q -> warning(
                            Ui.wrapped("In query: " + q.text(), "attention-text"),
                            Ui.wrapped(
                                    "Nothing of " + c.group().code() + " is set before it is answered, in Papers (F8).",
                                    "soft")));
        });
        list.forEach(f -> getChildren().add(box(f)));
        Ui.shown(this, !getChildren().isEmpty());
    }

    private void warning(Node... lines) {
        VBox box = new VBox(2, lines);
        box.getStyleClass().add("finding-warning");
        getChildren().add(box);
    }

    private VBox box(Finding finding) {
        boolean error = finding.level() == Level.ERROR;
        Label message = message(error, finding);
        String then = finding.accepted()
                .map(a -> "Accepted: " + a)
                .orElse(finding.remedy().in(desk.unit()));
        VBox box = new VBox(2, message, Ui.wrapped(then, "soft"), Ui.wrapped(finding.source(), "tiny"));
        Button means =
                Ui.button("What it means", "", () -> desk.ask(finding.rule().code()), "quiet", "slim");
        means.setId("finding-means");
        box.getChildren().add(means);
        if (finding.accepted().isEmpty() && !desk.session().readOnly()) {
            desk.cursor().ifPresent(c -> accept(finding, c.hole().id(), box));
        }
        box.getStyleClass().add(error ? "finding-error" : "finding-warning");
        return box;
    }

    private Label message(boolean error, Finding finding) {
        Canvas mark = new Canvas(14, 16);
        Glyph.mark(mark.getGraphicsContext2D(), error ? Glyph.Mark.ERROR : Glyph.Mark.WARNING, 0, 11, 6, palette);
        Label message = Ui.wrapped(finding.message().in(desk.unit()), error ? "stop-text" : "attention-text");
        message.setGraphic(mark);
        message.setGraphicTextGap(4);
        return message;
    }

    /** A quiet way to accept a finding; opened, it asks for the reason. */
    void accept(Finding finding, Id subject, VBox box) {
        String key = finding.rule() + "|" + finding.place().hole() + "|"
                + finding.place().layer();
        if (accepting.filter(key::equals).isPresent()) {
            box.getChildren().add(new AcceptForm(desk, subject, finding));
            return;
        }
        Button open = Ui.button(
                "Accept it with a reason",
                "",
                () -> {
                    accepting = Optional.of(key);
                    again.run();
                },
                "quiet");
        open.setId("accept");
        box.getChildren().add(open);
    }
}
