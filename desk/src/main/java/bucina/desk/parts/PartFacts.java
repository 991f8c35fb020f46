package bucina.desk.parts;

import bucina.core.cut.GaugeCheck;
import bucina.core.edit.PartEdits;
import bucina.core.form.PartForm;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.plan.Build;
import bucina.core.plan.Hand;
import bucina.core.plan.Part;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.PartLines;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** What is said of a part: name, number, hand, alloy, gauges, place, page. Each figure is kept as it is left. */
final class PartFacts extends VBox {

    private final Desk desk;
    private final Consumer<String> refused;
    private Fields fields = new Fields();
    private @Nullable TextField name;

    PartFacts(Desk desk, Consumer<String> refused) {
        super(8);
        this.desk = desk;
        this.refused = refused;
    }

    /** Shows what it is called; {@link #kind} and {@link #more} follow. */
    void show(PartLines.Line line) {
        getChildren().clear();
        Part part = line.part();
        Fields f = new Fields();
        fields = f;
        name = f.committed(
                "Name",
                part.name(),
                "part-name",
                t -> said(part, "called " + t, p -> p.as(t.strip(), p.material(), p.kind())));
        said(f, part);
        f.setDisable(desk.session().readOnly());
        getChildren().addAll(Ui.label("What is said of it", "strong"), f);
    }

    /** Shows the rest of what is said of it. */
    void more(PartLines.Line line) {
        Part part = line.part();
        metal(fields, part);
        gauge(part).ifPresent(words -> getChildren().add(Ui.wrapped(words, "stop-text")));
        Button drop = Ui.button(
                "Delete this part",
                "",
                () -> plan("deleting " + part.name(), b -> PartEdits.drop(b, part.id())),
                "quiet");
        drop.setId("part-drop");
        drop.setDisable(desk.session().readOnly());
        getChildren().add(drop);
    }

    private void said(Fields f, Part part) {
        var p = part.particulars();
        f.committed("Number", p.number(), "part-number", t -> typed(part, "number", t, x -> form(t, null, null, null)));
        f.committed(
                "Other names",
                String.join(", ", p.aliases()),
                "part-aliases",
                t -> said(
                        part,
                        "also called " + t,
                        x -> x.with(x.particulars()
                                .stamped(
                                        x.particulars().number(),
                                        names(t),
                                        x.particulars().hand()))));
    }

    /** Shows its hand and kind. */
    void kind(PartLines.Line line) {
        Part part = line.part();
        var p = part.particulars();
        fields.choice(
                "Hand",
                List.of(Hand.values()),
                p.hand(),
                Hand::word,
                "part-hand",
                h -> said(
                        part,
                        h.word(),
                        x -> x.with(x.particulars()
                                .stamped(
                                        x.particulars().number(),
                                        x.particulars().aliases(),
                                        h))));
        fields.choice(
                "Kind",
                List.of(Part.Kind.values()),
                part.kind(),
                Part.Kind::word,
                "part-kind",
                k -> said(part, k.word(), x -> x.as(x.name(), x.material(), k)));
    }

    private void metal(Fields f, Part part) {
        var p = part.particulars();
        f.committed(
                "Alloy, temper",
                part.material().code(),
                "part-alloy",
                t -> typed(part, "alloy", t, x -> form(null, t, null, null)));
        f.committed(
                "Gauge called",
                p.called().map(this::length).orElse(""),
                "part-called",
                t -> typed(part, "gauge called", t, x -> form(null, null, t, null)));
        f.committed(
                "Gauge measured",
                p.measured().map(this::length).orElse(""),
                "part-measured",
                t -> typed(part, "gauge measured", t, x -> form(null, null, null, t)));
        f.committed(
                "Lies in",
                p.place(),
                "part-place",
                t -> said(part, "in " + t, x -> x.with(x.particulars().withPlace(t.strip()))));
        f.committed(
                "Page",
                p.page(),
                "part-page",
                t -> said(part, "page " + t, x -> x.with(x.particulars().withPage(t.strip()))));
        f.committed("Goes on as no.", Integer.toString(part.fittingOrder()), "part-order", t -> order(part, t));
    }

    private static List<String> names(String text) {
        return Arrays.stream(text.split(","))
                .map(String::strip)
                .filter(t -> !t.isEmpty())
                .toList();
    }

    private PartForm form(
            @Nullable String number, @Nullable String alloy, @Nullable String called, @Nullable String measured) {
        return new PartForm(number, null, null, alloy, called, measured, null, null, null, null, desk.lengths());
    }

    private void typed(Part part, String what, String text, Function<String, PartForm> form) {
        plan(
                part.name() + ": " + what + " " + text,
                b -> form.apply(text).set(b, desk.session().snapshot().parts(), part.id()));
    }

    private void order(Part part, String text) {
        String clean = text.strip();
        if (!clean.matches("\\d{1,6}")) {
            refused.accept("\"" + clean + "\" is no place in the order: write a whole number like 4; parts with the "
                    + "same number go on together.");
            return;
        }
        said(part, "goes on as " + clean, p -> p.withFittingOrder(Integer.parseInt(clean)));
    }

    private void said(Part part, String words, UnaryOperator<Part> change) {
        plan(part.name() + ": " + words, b -> PartEdits.part(b, part.id(), change));
    }

    private void plan(String words, UnaryOperator<Build> change) {
        desk.session().plan(words, change, () -> {}, refused);
    }

    private String length(Length length) {
        return LengthFormat.trade(length, desk.unit());
    }

    /** What is wrong with the gauge measured; empty if it is the gauge called for, or one is not known. */
    private Optional<String> gauge(Part part) {
        try {
            return part.particulars()
                    .called()
                    .flatMap(called -> part.particulars()
                            .measured()
                            .flatMap(m -> new GaugeCheck(called, GaugeCheck.USUAL).judge(m)))
                    .map(f -> f.message().in(desk.unit()) + " " + f.remedy().in(desk.unit()));
        } catch (InputException e) {
            return Optional.of(String.valueOf(e.getMessage()));
        }
    }

    /** Puts the keyboard into the name, all of it picked. */
    void nameIt() {
        if (name != null) {
            name.requestFocus();
            name.selectAll();
        }
    }
}
