package bucina.desk.stores;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.plan.Packed;
import bucina.core.plan.Part;
import bucina.core.stores.Blocked;
import bucina.core.stores.CheckIn;
import bucina.desk.look.Fields;
import bucina.desk.look.Refusal;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.StoresModel;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** One line of the packing list: what was found and measured, and what waits while it is short. */
final class PackedDetail extends VBox {

    private static final double WIDE = 340;
    private static final int NAMED = 4;

    private final Desk desk;
    private final BiConsumer<Packed, Packed.Found> found;
    private final VBox head = new VBox(4);
    private final VBox blocks = new VBox(6);
    private final Fields fields = new Fields();
    private final TextField count;
    private final TextField gauge;
    private final TextField length;
    private final TextField width;
    private final TextField inside;
    private final TextField crate;
    private final HBox ways;
    private final Refusal wrong = new Refusal();
    private Optional<Packed> line = Optional.empty();

    /**
     * @param found told what was found of a line
     */
    PackedDetail(Desk desk, BiConsumer<Packed, Packed.Found> found) {
        super(10);
        this.desk = desk;
        this.found = found;
        setPadding(new Insets(12));
        setPrefWidth(WIDE);
        setId("packed-detail");
        count = fields.committed("Found", "", "packed-count", t -> change());
        gauge = fields.committed("Gauge measured", "", "packed-gauge", t -> change());
        length = fields.committed("Length measured", "", "packed-length", t -> change());
        width = fields.committed("Width measured", "", "packed-width", t -> change());
        inside = fields.committed("Nested in", "", "packed-inside", t -> change());
        crate = fields.committed("Out of crate", "", "packed-crate", t -> change());
        count.setPromptText("not looked for");
        inside.setPromptText("if it came inside another part");
        crate.setPromptText("if not the one on the list");
        Button all = Ui.button("All there", "", () -> all(true), "primary");
        all.setId("packed-all");
        Button none = Ui.button("None there", "", () -> all(false), "quiet");
        none.setId("packed-none");
        ways = new HBox(8, all, none);
        getChildren().setAll(head, ways, fields, wrong, blocks);
    }

    void show(Optional<Packed> chosen, StoresModel model) {
        boolean other = !chosen.map(Packed::id).equals(line.map(Packed::id));
        line = chosen;
        wrong.clear();
        boolean off = chosen.isEmpty() || desk.session().readOnly();
        fields.setDisable(off);
        ways.setDisable(off);
        head.getChildren().clear();
        blocks.getChildren().clear();
        if (chosen.isEmpty()) {
            head.getChildren().setAll(Ui.wrapped("Choose a line, or type a number above the list.", "soft"));
            return;
        }
        Packed is = chosen.get();
        CheckIn check = new CheckIn(model.of().build());
        head(is, check);
        filled(is.found(), other);
        found(is, check);
        for (Part part : check.parts(is)) {
            Optional.ofNullable(model.blocked().get(part.id())).ifPresent(b -> blocks(part.name() + " is short: ", b));
        }
        check.hardware(is)
                .flatMap(model::runsOut)
                .ifPresent(o -> Optional.ofNullable(model.without().get(o.designation()))
                        .ifPresent(b -> blocks(
                                o.designation() + " runs out at " + o.job().words() + ", " + o.lacking() + " lacking: ",
                                b)));
    }

    private void head(Packed is, CheckIn check) {
        head.getChildren()
                .setAll(
                        Ui.label(is.title(), "room-title"),
                        Ui.wrapped(CheckInView.about(check, is), "soft"),
                        Ui.wrapped(
                                called(is)
                                        + check.drawn(is)
                                                .map(d -> "; its sheet is drawn " + size(d))
                                                .orElse(""),
                                "soft"));
    }

    private void filled(Packed.Found is, boolean other) {
        fill(count, is.count().map(String::valueOf).orElse(""), other);
        fill(gauge, is.gauge().map(this::show).orElse(""), other);
        fill(length, is.length().map(this::show).orElse(""), other);
        fill(width, is.width().map(this::show).orElse(""), other);
        fill(inside, is.inside(), other);
        fill(crate, is.crate(), other);
    }

    private void found(Packed is, CheckIn check) {
        CheckIn.State state = CheckIn.state(is);
        if (state != CheckIn.State.NOT_YET) {
            blocks.getChildren()
                    .add(Ui.wrapped(
                            "It is " + state.word() + ".", state == CheckIn.State.RIGHT ? "done-text" : "stop-text"));
        }
        check.drawn(is)
                .filter(d -> d.differs(is.found()))
                .ifPresent(d -> blocks.getChildren()
                        .add(Ui.wrapped(
                                "It is not " + size(d) + " as its sheet is drawn: measured over its flanges, another"
                                        + " part, or not yet trimmed.",
                                "attention-text")));
    }

    private String called(Packed is) {
        return is.count() + " on the list"
                + (is.crate().isBlank() ? "" : ", " + is.crate())
                + is.gauge()
                        .map(g -> ", gauge " + show(g) + " ± " + show(CheckIn.within(g)))
                        .orElse("")
                + is.length().map(l -> ", " + show(l) + " long").orElse("");
    }

    private String size(CheckIn.Size drawn) {
        return LengthFormat.figure(drawn.length(), desk.unit(), 2) + " × "
                + LengthFormat.decimal(drawn.width(), desk.unit(), 2);
    }

    private String show(Length figure) {
        return LengthFormat.trade(figure, desk.unit());
    }

    private static void fill(TextField field, String text, boolean other) {
        if (other || !field.isFocused()) {
            field.setText(text);
        }
    }

    /** How many jobs wait, and how many do not. */
    static String waits(Blocked by) {
        return by.held().size() + (by.held().size() == 1 ? " job waits, " : " jobs wait, ") + by.free()
                + " are free meanwhile";
    }

    private void blocks(String what, Blocked by) {
        blocks.getChildren().add(Ui.wrapped(what + waits(by) + ".", "attention-text"));
        by.held().stream()
                .limit(NAMED)
                .forEach(j -> blocks.getChildren().add(Ui.wrapped("waits: " + j.words(), "soft")));
        if (by.held().size() > NAMED) {
            blocks.getChildren().add(Ui.label((by.held().size() - NAMED) + " more", "soft"));
        }
    }

    /** Takes the keyboard to the count. */
    void count() {
        count.requestFocus();
        count.selectAll();
    }

    private void all(boolean there) {
        line.ifPresent(l -> {
            count.setText(there ? Integer.toString(l.count()) : "0");
            change();
        });
    }

    private void change() {
        line.ifPresent(l -> {
            try {
                found.accept(
                        l,
                        new Packed.Found(
                                count.getText().isBlank() ? Optional.empty() : Optional.of(whole(count.getText())),
                                figure(gauge, "the gauge measured"),
                                figure(length, "the length measured"),
                                figure(width, "the width measured"),
                                inside.getText().strip(),
                                crate.getText().strip()));
                wrong.clear();
            } catch (InputException e) {
                wrong.say(e.getMessage());
            }
        });
    }

    private Optional<Length> figure(TextField field, String what) {
        return field.getText().isBlank()
                ? Optional.empty()
                : Optional.of(desk.lengths().parsePositive(field.getText(), what));
    }

    private static int whole(String text) {
        if (!text.strip().matches("\\d{1,7}")) {
            throw new InputException("what was found is a whole number like 2, was \"" + text.strip() + "\"");
        }
        return Integer.parseInt(text.strip());
    }
}
