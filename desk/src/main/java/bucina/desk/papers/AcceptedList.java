package bucina.desk.papers;

import bucina.core.plan.Acceptance;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;

/** Findings accepted with a reason: they stay on record, and an acceptance can be taken back. */
final class AcceptedList extends VBox {

    private final Desk desk;
    private final Consumer<String> refused;

    AcceptedList(Desk desk, Consumer<String> refused) {
        super(8);
        this.desk = desk;
        this.refused = refused;
        setId("accepted-list");
    }

    void fill() {
        getChildren().clear();
        var all = desk.snapshot().build().papers().accepted();
        if (all.isEmpty()) {
            getChildren().add(Ui.wrapped("None. A finding is accepted at the hole, with a written reason.", "soft"));
        }
        all.forEach(a -> line(a));
    }

    private void line(Acceptance a) {
        Button back = Ui.button(
                "Take it back",
                "",
                () -> desk.session()
                        .plan(
                                "taking an acceptance back",
                                b -> b.withPapers(b.papers().without(a.id()), b.nextId()),
                                () -> refused.accept(""),
                                refused),
                "quiet");
        getChildren()
                .add(new VBox(
                        2,
                        Ui.wrapped(
                                where(a) + ": " + a.rule().words() + (a.layer().isEmpty() ? "" : ", " + a.layer()),
                                "plain"),
                        Ui.wrapped(a.reason(), "strong"),
                        Ui.wrapped(a.who() + ", " + a.on(), "tiny"),
                        back));
    }

    private String where(Acceptance a) {
        for (Build.FaceRef ref : desk.snapshot().build().faces()) {
            if (a.subject() instanceof Id.Row row) {
                Optional<String> name = rowName(ref, row);
                if (name.isPresent()) {
                    return ref.face().name() + " row " + name.get();
                }
            }
            if (a.subject() instanceof Id.Hole hole) {
                Optional<HoleReading> r = desk.snapshot().face(ref.face().id()).of(hole);
                if (r.isPresent()) {
                    return ref.face().name() + " " + r.get().label();
                }
            }
        }
        return "Something that is gone";
    }

    private static Optional<String> rowName(Build.FaceRef ref, Id.Row row) {
        return ref.face().groups().stream()
                .flatMap(g -> g.rows().stream())
                .filter(r -> r.id().equals(row))
                .map(r -> r.name())
                .findFirst();
    }
}
