package bucina.desk.parts;

import bucina.core.edit.PartEdits;
import bucina.core.log.PartMark;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.part.Owing;
import bucina.core.part.PartTask;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Desk;
import bucina.desk.session.PartLines;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What a part owes, ticked as it is done; more can be put to it, to all that look like it, or to all of its kind. */
final class PartOwes extends VBox {

    /** To which parts something more is put. */
    private enum To {
        THIS("this part"),
        ALIKE("all that look like it"),
        KIND("all of its kind");

        private final String word;

        To(String word) {
            this.word = word;
        }
    }

    private final Desk desk;
    private final Consumer<String> refused;
    private final TextField more = new TextField();
    private final ComboBox<To> to = new ComboBox<>();

    PartOwes(Desk desk, Consumer<String> refused) {
        super(6);
        this.desk = desk;
        this.refused = refused;
        more.setId("owe-more");
        more.setPromptText("something more, such as corner-relief");
        more.setAccessibleText("Something more that is owed");
        HBox.setHgrow(more, Priority.ALWAYS);
        to.setId("owe-to");
        to.setAccessibleText("To which parts");
        to.getItems().setAll(To.values());
        to.setConverter(new Worded<>(t -> t.word));
        to.setValue(To.THIS);
    }

    void show(PartLines.Line line, List<PartLines.Line> all) {
        getChildren().clear();
        getChildren()
                .add(Ui.label(
                        line.owing().isEmpty()
                                ? "Nothing is owed to it"
                                : line.owed() == 0
                                        ? "All that was owed is done"
                                        : "Owed to it, " + line.owed() + " left",
                        "strong"));
        line.owing().forEach(o -> getChildren().add(row(line.part(), o)));
        Button put = Ui.button("Put to", "Enter", () -> put(line, all));
        put.setId("owe-put");
        put.setDisable(desk.session().readOnly());
        more.setOnAction(e -> put(line, all));
        HBox add = new HBox(6, more, put);
        add.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(add, to);
    }

    private VBox row(Part part, Owing owing) {
        CheckBox box = new CheckBox(owing.words());
        box.setSelected(!owing.open());
        box.setId("owed-" + owing.task().replaceAll("[^A-Za-z0-9-]", "-"));
        box.setDisable(desk.session().readOnly());
        box.setOnAction(e -> tick(part, owing, Optional.empty()));
        Button waive = Ui.button("not owed", "", () -> waive(part, owing), "quiet");
        waive.setAccessibleText(owing.words() + " is not owed to " + part.name());
        waive.setDisable(desk.session().readOnly() || !owing.open());
        HBox row = new HBox(6, box, Ui.spring());
        row.setAlignment(Pos.CENTER_LEFT);
        owing.done()
                .ifPresent(m -> row.getChildren()
                        .add(Ui.kept(
                                m.at().toString().substring(0, 10)
                                        + m.reading()
                                                .map(r -> ", " + LengthFormat.trade(r, desk.unit()))
                                                .orElse(""),
                                "soft")));
        if (owing.open()) {
            row.getChildren().add(waive);
        }
        VBox lines = new VBox(2, row);
        if (owing.open() && owing.task().equals(PartTask.FLUTE.code())) {
            lines.getChildren().add(reading(part, owing));
        }
        if (!owing.again().isEmpty()) {
            lines.getChildren().add(Ui.wrapped("Owed again: " + owing.again() + ".", "attention-text"));
        }
        return lines;
    }

    /** Fluted is done with what was measured: the gap under a straight edge. */
    private HBox reading(Part part, Owing owing) {
        TextField gap = new TextField();
        gap.setId("flute-reading");
        gap.setPromptText("gap under a straight edge");
        gap.setAccessibleText("Gap under a straight edge after fluting");
        gap.setPrefColumnCount(14);
        Runnable go = () -> {
            try {
                tick(part, owing, Optional.of(desk.lengths().parse(gap.getText())));
            } catch (InputException e) {
                refused.accept(e.getMessage());
            }
        };
        gap.setOnAction(e -> go.run());
        HBox box = new HBox(6, gap, Ui.button("Fluted", "Enter", go, "quiet"));
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private void tick(Part part, Owing owing, Optional<Length> reading) {
        Instant now = desk.session().instant();
        PartMark mark = new PartMark(part.id(), owing.task(), now, owing.open(), reading, "");
        desk.session()
                .markParts(
                        (owing.open() ? "marking " : "taking back ") + part.name() + ": " + owing.words(),
                        List.of(mark),
                        () -> {},
                        refused);
    }

    private void waive(Part part, Owing owing) {
        desk.session()
                .plan(
                        part.name() + " does not owe: " + owing.words(),
                        b -> PartEdits.part(
                                b, part.id(), p -> p.with(p.particulars().notOwing(owing.task()))),
                        () -> {},
                        refused);
    }

    private void put(PartLines.Line line, List<PartLines.Line> all) {
        String task = more.getText().strip();
        if (task.isEmpty()) {
            refused.accept("Say what is owed: a word or a few, such as corner-relief, or polish the inside.");
            return;
        }
        List<Id.Part> parts = chosen(line, all);
        desk.session()
                .plan(
                        task + " is owed to " + parts.size() + (parts.size() == 1 ? " part" : " parts"),
                        b -> put(b, parts, task),
                        more::clear,
                        refused);
    }

    private static Build put(Build build, List<Id.Part> parts, String task) {
        Build next = build;
        for (Id.Part id : parts) {
            next = PartEdits.part(next, id, p -> p.with(p.particulars().owing(task)));
        }
        return next;
    }

    private List<Id.Part> chosen(PartLines.Line line, List<PartLines.Line> all) {
        List<Id.Part> parts = new ArrayList<>(List.of(line.part().id()));
        switch (to.getValue()) {
            case THIS -> {}
            case ALIKE -> line.likes().forEach(l -> parts.add(l.other().id()));
            case KIND ->
                all.stream()
                        .filter(l -> l.part().kind() == line.part().kind())
                        .filter(l -> !l.part().id().equals(line.part().id()))
                        .forEach(l -> parts.add(l.part().id()));
        }
        return parts;
    }
}
