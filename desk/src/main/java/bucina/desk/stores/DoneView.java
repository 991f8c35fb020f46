package bucina.desk.stores;

import bucina.core.forecast.Forecast;
import bucina.core.forecast.Left;
import bucina.core.job.Experience;
import bucina.core.log.Hours;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.StoresModel;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.HPos;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** When is it done: hours and days as ranges, drawn as a fan, and the pace of each kind of work they rest on. */
final class DoneView extends BorderPane {

    private static final String BY = "done-by";
    private static final double WIDE = 420;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    private final Desk desk;
    private final Label hours = Ui.wrapped("", "room-title");
    private final Label date = Ui.wrapped("", "strong");
    private final Label rests = Ui.wrapped("", "soft");
    private final FanPlot plot = new FanPlot();
    private final VBox paces = new VBox(8);
    private final TextField by = new TextField();
    private final Label chance = Ui.label("", "plain");
    private Optional<Forecast> forecast = Optional.empty();

    DoneView(Desk desk) {
        this.desk = desk;
        setId("done-view");
        by.setId("done-by");
        by.setPromptText("2027-06-01");
        by.setAccessibleText("A day it is held against, such as 2027-06-01");
        by.setPrefColumnCount(10);
        by.setText(desk.prefs().text(BY).orElse(""));
        by.textProperty().addListener((o, was, now) -> {
            desk.prefs().keep(BY, now.strip());
            against();
        });
        HBox held = new HBox(8, Ui.kept("Held against", "field-name"), by, chance);
        held.setAlignment(Pos.CENTER_LEFT);
        VBox left = new VBox(8, hours, date, held, rests, plot);
        VBox.setVgrow(plot, Priority.ALWAYS);
        left.setPadding(new Insets(0, 12, 12, 16));
        paces.setPadding(new Insets(12));
        paces.setPrefWidth(WIDE);
        setCenter(left);
        setRight(Sides.of(paces));
    }

    void fill(StoresModel model, Palette p) {
        Forecast of = model.forecast();
        forecast = Optional.of(of);
        against();
        hours.setText(String.format(
                Locale.ROOT,
                "%.0f h left, %.0f to %.0f",
                of.hours().mid(),
                of.hours().low(),
                of.hours().high()));
        date.setText(of.date()
                .map(d -> "Done about " + d.mid().format(DAY) + ", between "
                        + d.low().format(DAY) + " and " + d.high().format(DAY))
                .orElse("No date: log hours for a week or two first"));
        rests.setText("One time in ten it is less, one in ten more. The hours rest on " + of.rests()
                + ". The days rest on " + of.restsOn() + ".");
        plot.show(of, model.weeks().minutes(), desk.session().today(), p);
        paces(model);
    }

    /** How often of ten it is done by the day that is typed: a delivery, a visit. */
    private void against() {
        String text = by.getText().strip();
        if (text.isEmpty() || forecast.isEmpty()) {
            chance.setText(text.isEmpty() ? "a day: a delivery, a visit" : "");
            return;
        }
        try {
            LocalDate day = LocalDate.parse(text);
            chance.setText(forecast.get()
                    .outOfTen(desk.session().today(), day)
                    .map(n -> n == 0 ? "hardly" : n == 10 ? "almost certainly" : "done by then " + n + " times in ten")
                    .orElse("no date is said yet"));
        } catch (DateTimeParseException e) {
            chance.setText("write a day like 2027-06-01");
        }
    }

    private void paces(StoresModel model) {
        GridPane grid = new GridPane(12, 5);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        ColumnConstraints right = new ColumnConstraints();
        right.setHalignment(HPos.RIGHT);
        grid.getColumnConstraints().setAll(wide, right, right, right);
        grid.addRow(
                0,
                Ui.label("Kind of work", "soft"),
                Ui.kept("left", "soft"),
                Ui.kept("min each", "soft"),
                Ui.kept("entries", "soft"));
        List<Left> all = model.left().stream()
                .sorted(Comparator.comparingDouble(Left::minutes).reversed())
                .toList();
        for (Left left : all) {
            List<Experience.Sample> samples = model.known().of(left);
            grid.addRow(
                    grid.getRowCount(),
                    Ui.label(Experience.words(left.kind()) + (left.other() ? ", other hand" : ""), "plain"),
                    Ui.kept(Long.toString(Math.round(left.units())), "number-value"),
                    Ui.kept(each(left, samples), "number-value"),
                    Ui.kept(samples.isEmpty() ? "typical" : Integer.toString(samples.size()), "soft"));
        }
        paces.getChildren().setAll(Ui.label("Pace by kind of work", "room-title"), grid);
        people(model);
        if (all.isEmpty()) {
            paces.getChildren().setAll(Ui.label("Nothing is left to do.", "done-text"));
        }
    }

    /** Who worked how long. */
    private void people(StoresModel model) {
        GridPane grid = new GridPane(12, 5);
        Hours.byPerson(model.of().log())
                .forEach((who, minutes) -> grid.addRow(
                        grid.getRowCount(),
                        Ui.label(who, "plain"),
                        Ui.kept(String.format(Locale.ROOT, "%.1f h", minutes / 60.0), "number-value")));
        if (grid.getRowCount() > 0) {
            paces.getChildren().addAll(Ui.label("Hours by person", "room-title"), grid);
        }
    }

    /** The middle, with the tenth to the ninetieth where there are entries enough. */
    private static String each(Left left, List<Experience.Sample> samples) {
        if (samples.isEmpty()) {
            return String.format(Locale.ROOT, "%.2g", left.minutes() / left.units());
        }
        List<Double> each =
                samples.stream().map(Experience.Sample::each).sorted().toList();
        String mid = String.format(Locale.ROOT, "%.2f", each.get((each.size() - 1) / 2));
        return each.size() < 3
                ? mid
                : mid
                        + String.format(
                                Locale.ROOT,
                                " (%.2f to %.2f)",
                                each.get((int) Math.floor(.1 * (each.size() - 1))),
                                each.get((int) Math.ceil(.9 * (each.size() - 1))));
    }
}
