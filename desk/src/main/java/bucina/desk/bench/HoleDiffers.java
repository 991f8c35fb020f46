package bucina.desk.bench;

import bucina.core.callout.Callout;
import bucina.core.dress.Preparation;
import bucina.core.edit.HoleEdits;
import bucina.core.measure.Length;
import bucina.core.plan.Deviation;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What the picked holes have otherwise than their group: size, fastener, preparation, held open; with the reason. */
final class HoleDiffers extends ChangeForm {

    HoleDiffers(Desk desk, Consumer<String> refused) {
        super(desk, refused);
    }

    /** Fields for the picked holes; they begin with what the hole looked at has. */
    void show(VBox body, HoleReading reading) {
        Optional<Deviation> now = reading.hole().deviation();
        Fields f = new Fields();
        TextField size = f.add(
                "Drilled to",
                new TextField(now.flatMap(Deviation::hole).map(this::exact).orElse("")),
                "differs-hole");
        TextField fastener = f.add(
                "Takes",
                new TextField(
                        now.flatMap(Deviation::fastener).map(Fastener::name).orElse("")),
                "differs-fastener");
        ComboBox<Optional<Preparation>> preparation = f.choice(
                "Sheets",
                preparations(),
                now.flatMap(Deviation::preparation),
                p -> p.map(Preparation::code).orElse("as the group"),
                "differs-preparation",
                p -> {});
        TextField until = f.add(
                "Held open until", new TextField(now.flatMap(Deviation::until).orElse("")), "differs-until");
        TextField reason =
                f.add("Because", new TextField(now.map(Deviation::reason).orElse("")), "differs-reason");
        size.setPromptText("as the rivet wants");
        fastener.setPromptText("as the group: " + reading.group().fastener().name());
        until.setPromptText("not held by itself");
        reason.setPromptText("egged, opened to -4");
        body.getChildren()
                .addAll(
                        Ui.label("Otherwise than " + reading.group().code(), "strong"),
                        f,
                        ways(
                                reading,
                                now.isPresent(),
                                () -> new Deviation(
                                        size(size.getText()),
                                        fastener(fastener.getText(), reading),
                                        Optional.ofNullable(preparation.getValue())
                                                .flatMap(p -> p),
                                        until.getText().isBlank()
                                                ? Optional.empty()
                                                : Optional.of(until.getText().strip()),
                                        reason.getText().strip())));
    }

    private FlowPane ways(HoleReading reading, boolean differs, Supplier<Deviation> said) {
        Set<Id.Hole> picked = desk.selectionProperty().get().holes();
        String holes = picked.size() == 1 ? reading.label() : picked.size() + " holes";
        return buttons(
                button(
                        differs ? "Change it" : "These differ so",
                        "",
                        "differs-go",
                        () -> reading(() -> {
                            Deviation d = said.get();
                            does(holes + " differ: " + d.reason(), b -> HoleEdits.deviate(b, picked, Optional.of(d)));
                        })),
                button(
                        "As the group",
                        "",
                        "differs-none",
                        () -> does(holes + " are as the group", b -> HoleEdits.deviate(b, picked, Optional.empty()))));
    }

    private static List<Optional<Preparation>> preparations() {
        List<Optional<Preparation>> ways = new ArrayList<>(List.of(Optional.empty()));
        List.of(Preparation.values()).forEach(p -> ways.add(Optional.of(p)));
        return ways;
    }

    private Optional<Length> size(String text) {
        return text.isBlank()
                ? Optional.empty()
                : Optional.of(desk.lengths().parsePositive(text, "the diameter it is drilled to"));
    }

    /** The fastener as typed; what the hole has already needs no callout. */
    private static Optional<Fastener> fastener(String text, HoleReading reading) {
        if (text.isBlank()) {
            return Optional.empty();
        }
        return Optional.of(reading.hole()
                .deviation()
                .flatMap(Deviation::fastener)
                .filter(f -> f.name().equals(text.strip()))
                .orElseGet(() -> Callout.parse(text).fastener()));
    }
}
