package bucina.desk.stores;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.LengthParser;
import bucina.core.plan.Bar;
import bucina.core.plan.Build;
import bucina.core.stores.LongStock;
import bucina.desk.look.Palette;
import bucina.desk.look.Refusal;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.StoresModel;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Long stock bar by bar against all cutting lists that are kept; beside it cans and clecos. */
final class ShelfView extends BorderPane {

    private static final double BAR = 430;

    private final Desk desk;
    private final VBox lines = new VBox(6);
    private final CansSide side;
    private final TextField section = new TextField();
    private final TextField length = new TextField();
    private final TextField count = new TextField();
    private final TextField gauge = new TextField();
    private final TextField bin = new TextField();
    private final Button add;
    private final Refusal wrong = new Refusal();
    private String says = "";

    ShelfView(Desk desk) {
        this.desk = desk;
        side = new CansSide(desk);
        setId("shelf-view");
        field(section, "bar-section", "What the bars are", "Angle 3/4 x 3/4", 14);
        field(length, "bar-length", "How long each is", "72", 5);
        field(count, "bar-count", "How many", "1", 3);
        field(gauge, "bar-gauge", "Gauge as measured", ".062", 5);
        field(bin, "bar-bin", "Where they lie", "rack", 5);
        add = Ui.button("Put down", "Enter", this::put);
        add.setId("bar-add");
        HBox form = new HBox(
                6,
                named("Bars of", section),
                named("long", length),
                named("how many", count),
                named("gauge", gauge),
                named("in", bin),
                add);
        form.setAlignment(Pos.CENTER_LEFT);
        lines.setPadding(new Insets(4, 12, 12, 0));
        VBox all = new VBox(8, form, wrong, Ui.scroll(lines));
        all.setPadding(new Insets(0, 0, 0, 16));
        setCenter(all);
        setRight(Sides.of(side));
    }

    private void field(TextField field, String id, String says, String such, int columns) {
        field.setId(id);
        field.setAccessibleText(says);
        field.setPromptText(such);
        field.setPrefColumnCount(columns);
        field.setOnAction(e -> put());
    }

    private static Node named(String name, TextField field) {
        HBox box = new HBox(6, Ui.kept(name, "field-name"), field);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    /** Its figure for the tile. */
    String says() {
        return says;
    }

    /** Time goes on for what was taken out of the freezer. */
    void tick() {
        side.tick();
    }

    void fill(StoresModel model, Palette palette) {
        wrong.clear();
        add.setDisable(desk.session().readOnly());
        side.fill(model);
        lines.getChildren().clear();
        List<LongStock.Section> sections = model.stock().sections();
        Length longest = sections.stream()
                .flatMap(s -> Stream.concat(s.bars().stream().map(LongStock.Next::bar), s.wrong().stream()))
                .map(Bar::length)
                .max(Length::compareTo)
                .orElse(Length.in(1));
        sections.forEach(s -> section(s, longest, palette));
        model.stock().unread().forEach(u -> lines.getChildren().add(Ui.wrapped(u, "stop-text")));
        if (sections.isEmpty()) {
            lines.getChildren()
                    .add(Ui.wrapped(
                            "No bar was put down and no cutting list is kept. Put bars down above, or keep a cutting"
                                    + " list in Sums: what it wants is held against them here.",
                            "soft"));
        } else {
            lines.getChildren()
                    .add(Ui.wrapped(
                            "Dashed is cut already, marked out blue is cut next, bare is left. Mark, measure twice, cut"
                                    + " on the waste side; then say so here, bar by bar.",
                            "soft"));
        }
        int missing = sections.stream().mapToInt(s -> s.missing().size()).sum();
        int bars = sections.stream()
                .mapToInt(s -> s.bars().size() + s.wrong().size())
                .sum();
        says = bars + (bars == 1 ? " bar, " : " bars, ") + (missing == 0 ? "none" : missing) + " missing" + side.says();
    }

    private void section(LongStock.Section section, Length longest, Palette palette) {
        Label name = Ui.label(section.name(), "strong");
        lines.getChildren().add(name);
        section.bars().forEach(n -> lines.getChildren().add(bar(n, longest, palette)));
        section.wrong().forEach(b -> lines.getChildren().add(off(b, longest, palette)));
        if (!section.missing().isEmpty()) {
            lines.getChildren().add(Ui.wrapped(missing(section), "stop-text"));
        }
    }

    private String missing(LongStock.Section section) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        section.missing()
                .forEach(w -> counts.merge(
                        LengthFormat.figure(w.length(), desk.unit(), 2) + " " + w.piece(), 1, Integer::sum));
        return "Missing: "
                + counts.entrySet().stream()
                        .map(e -> (e.getValue() > 1 ? e.getValue() + " × " : "")
                                + e.getKey().strip())
                        .collect(Collectors.joining(", "))
                + ". "
                + (section.order() == 0
                        ? "They are longer than the bars that are sold."
                        : "Order " + section.order() + (section.order() == 1 ? " bar of " : " bars of ")
                                + fine(section.sold()) + "."
                                + (section.tooLong() > 0
                                        ? " " + section.tooLong() + " of them longer than that."
                                        : ""));
    }

    private HBox bar(LongStock.Next next, Length longest, Palette palette) {
        Bar bar = next.bar();
        HBox line = line(
                new BarStrip(BAR, longest, bar, next.cuts(), true, palette, desk.unit()),
                LengthFormat.figure(bar.left(), desk.unit(), 2) + " of " + fine(bar.length()) + " left"
                        + in(bar.bin()));
        if (!next.cuts().isEmpty()) {
            int n = next.cuts().size();
            Button cut = Ui.button("Cut " + n + (n == 1 ? " piece" : " pieces"), "", () -> cut(next));
            cut.setId("bar-cut-" + bar.id().n());
            cut.setDisable(desk.session().readOnly());
            line.getChildren().add(cut);
        } else {
            line.getChildren().add(away(bar));
        }
        return line;
    }

    private HBox off(Bar bar, Length longest, Palette palette) {
        HBox line = line(
                new BarStrip(BAR, longest, bar, List.of(), false, palette, desk.unit()),
                bar.gauge().map(g -> LengthFormat.trade(g, desk.unit())).orElse("") + " is another gauge");
        line.getChildren().add(away(bar));
        return line;
    }

    /** Where it lies, where that was said. */
    private static String in(String bin) {
        return bin.isBlank() ? "" : ", " + bin;
    }

    private HBox line(BarStrip strip, String words) {
        Label says = Ui.kept(words, "plain");
        HBox line = new HBox(10, strip, says, Ui.spring());
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private Button away(Bar bar) {
        Button away = Ui.button(
                "Take off the list",
                "",
                () -> plan("a bar of " + bar.section() + " taken off", b -> LongStock.without(b, bar.id())),
                "quiet");
        away.setDisable(desk.session().readOnly());
        return away;
    }

    private void cut(LongStock.Next next) {
        int n = next.cuts().size();
        plan(
                n + (n == 1 ? " piece" : " pieces") + " cut from a bar of "
                        + next.bar().section(),
                b -> LongStock.cut(b, next.bar().id(), next.cuts()));
    }

    private void put() {
        try {
            LengthParser parser =
                    new LengthParser(desk.unit(), desk.session().catalogue().drills());
            String what = section.getText().strip();
            Length each = parser.parsePositive(length.getText(), "the length of a bar");
            int many = Typed.count(count.getText().isBlank() ? "1" : count.getText(), "how many bars");
            Optional<Length> measured = gauge.getText().isBlank()
                    ? Optional.empty()
                    : Optional.of(parser.parsePositive(gauge.getText(), "the gauge measured"));
            String where = bin.getText().strip();
            plan(many + " × " + what + " put down", b -> LongStock.with(b, what, each, many, measured, where));
        } catch (InputException e) {
            wrong.say(e.getMessage());
        }
    }

    private void plan(String words, UnaryOperator<Build> change) {
        desk.session().plan(words, change, wrong::clear, wrong::say);
    }

    private String fine(Length l) {
        return LengthFormat.decimal(l, desk.unit(), 2);
    }
}
