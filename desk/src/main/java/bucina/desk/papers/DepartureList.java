package bucina.desk.papers;

import bucina.core.form.Entries;
import bucina.core.measure.InputException;
import bucina.core.plan.Departure;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** Departures from the drawing: the first thing an inspector asks for. */
final class DepartureList extends VBox {

    private final Desk desk;
    private final Consumer<String> refused;
    private final VBox all = new VBox(8);
    private final TextField where;
    private final TextField what;
    private final TextField reason;
    private final TextField source;
    private final TextField dated;
    private final TextField parts;

    DepartureList(Desk desk, Consumer<String> refused) {
        super(8);
        this.desk = desk;
        this.refused = refused;
        setId("departure-list");
        Fields f = new Fields();
        where = f.add("Where", new TextField(), "departure-where");
        what = f.add("Otherwise", new TextField(), "departure-what");
        reason = f.add("Because", new TextField(), "departure-reason");
        source = f.add("Who says so", new TextField(), "departure-source");
        dated = f.add("Date", new TextField(desk.session().today().toString()), "departure-date");
        parts = f.add("Parts", new TextField(), "departure-parts");
        where.setPromptText("Main rib 3, US-5");
        what.setPromptText("a screw instead of a rivet");
        reason.setPromptText("no room for the bar");
        source.setPromptText("the kit's maker by letter");
        parts.setPromptText("names or numbers, with commas");
        Button keep = Ui.button("Keep it", "Enter", this::keep);
        keep.setId("departure-keep");
        keep.setDisable(desk.session().readOnly());
        parts.setOnAction(e -> keep());
        getChildren().addAll(all, Ui.label("A departure", "strong"), f, keep);
    }

    void fill() {
        List<Departure> departures = desk.snapshot().build().papers().departures();
        all.getChildren().clear();
        if (departures.isEmpty()) {
            all.getChildren()
                    .add(Ui.wrapped(
                            "None. Another washer, a different gauge, a hole moved: each with reason and source.",
                            "soft"));
        }
        departures.forEach(d -> all.getChildren()
                .add(new VBox(
                        2,
                        Ui.wrapped(d.where() + ": " + d.what(), "plain"),
                        Ui.wrapped(d.reason(), "strong"),
                        Ui.wrapped(d.source() + ", " + d.dated(), "tiny"),
                        Ui.button(
                                "Take it out",
                                "",
                                () -> desk.session()
                                        .plan(
                                                "taking out a departure",
                                                b -> b.withPapers(b.papers().without(d.id()), b.nextId()),
                                                () -> refused.accept(""),
                                                refused),
                                "quiet"))));
    }

    private void keep() {
        if (desk.session().readOnly()) {
            return;
        }
        try {
            Departure d = new Departure(
                    new Id.Departure(desk.snapshot().build().nextId()),
                    where.getText().strip(),
                    what.getText().strip(),
                    reason.getText().strip(),
                    date(),
                    source.getText().strip(),
                    Entries.parts(parts.getText(), desk.snapshot().parts()).stream()
                            .map(Part::id)
                            .toList());
            desk.session()
                    .plan(
                            "keeping a departure from the drawing",
                            b -> b.withPapers(b.papers().with(d), Math.max(b.nextId(), d.id().n() + 1)),
                            this::kept,
                            refused);
        } catch (InputException e) {
            refused.accept(e.getMessage());
        }
    }

    private LocalDate date() {
        try {
            return LocalDate.parse(dated.getText().strip());
        } catch (DateTimeParseException e) {
            throw new InputException("\"" + dated.getText() + "\" is no date: write it like 2026-11-20", e);
        }
    }

    private void kept() {
        refused.accept("");
        List.of(where, what, reason, source, parts).forEach(f -> f.setText(""));
    }
}
