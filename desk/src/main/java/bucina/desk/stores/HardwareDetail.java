package bucina.desk.stores;

import bucina.core.measure.InputException;
import bucina.core.plan.StoresItem;
import bucina.core.stores.Balance;
import bucina.core.stores.OrderList;
import bucina.core.stores.RunsOut;
import bucina.desk.look.Fields;
import bucina.desk.look.Refusal;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.StoresModel;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** One designation: its count, where each figure comes from, where it lies, and what was bought. */
final class HardwareDetail extends VBox {

    private static final double WIDE = 340;

    private final Desk desk;
    private final VBox figures = new VBox(2);
    private final VBox bought = new VBox(2);
    private final VBox says = new VBox(6);
    private final Fields fields = new Fields();
    private final TextField kit;
    private final TextField bin;
    private final TextField pack;
    private final Fields buying = new Fields();
    private final TextField count;
    private final TextField from;
    private final Refusal wrong = new Refusal();
    private String designation = "";

    HardwareDetail(Desk desk) {
        super(10);
        this.desk = desk;
        setPadding(new Insets(12));
        setPrefWidth(WIDE);
        setId("hardware-detail");
        kit = fields.committed("In the kit", "", "stores-kit", t -> count("counting ", t, StoresItem::withKit));
        bin = fields.committed("Bin", "", "stores-bin", this::bin);
        pack = fields.committed("Sold by", "", "stores-pack", this::pack);
        bin.setPromptText("drawer 3");
        count = buying.add("How many", new TextField(), "stores-bought");
        from = buying.add("From", new TextField(), "stores-from");
        count.setPromptText("100");
        from.setPromptText("whom");
        count.setOnAction(e -> buy());
        from.setOnAction(e -> buy());
        Button buy = Ui.button("Bought", "Enter", this::buy);
        buy.setId("stores-buy");
        getChildren().setAll(figures, says, fields, Ui.label("Bought", "strong"), bought, buying, buy, wrong);
    }

    void show(Balance.Item item, StoresModel model) {
        boolean other = !item.designation().equals(designation);
        designation = item.designation();
        wrong.clear();
        figures.getChildren().setAll(Ui.label(designation, "room-title"));
        figure("came with the kit", item.kit());
        figure("bought", item.bought());
        figure("went in and are sound", -item.used());
        figure("came out again or are not sound", -item.rejected());
        figure("should be there", item.left());
        figure("still to be set", item.needed());
        says(item, model);
        if (other || !kit.isFocused()) {
            kit.setText(item.kept().isEmpty() ? "" : Integer.toString(item.kit()));
        }
        kit.setPromptText("nobody counted");
        if (other || !bin.isFocused()) {
            bin.setText(item.bin());
        }
        if (other || !pack.isFocused()) {
            pack.setText(Integer.toString(item.pack()));
        }
        bought.getChildren().clear();
        item.kept()
                .ifPresent(k -> k.bought()
                        .forEach(b -> bought.getChildren()
                                .add(Ui.wrapped(
                                        b.count() + " on " + b.day() + (b.from().isBlank() ? "" : ", " + b.from()),
                                        "soft"))));
        if (bought.getChildren().isEmpty()) {
            bought.getChildren().add(Ui.label("none yet", "soft"));
        }
        disable(desk.session().readOnly());
    }

    private void disable(boolean off) {
        fields.setDisable(off);
        buying.setDisable(off);
    }

    private void figure(String what, int n) {
        HBox line = new HBox(8, Ui.label(what, "number-name"), Ui.spring(), Ui.kept(words(n), "number-value"));
        line.setAlignment(Pos.CENTER_LEFT);
        figures.getChildren().add(line);
    }

    private static String words(int n) {
        return n < 0 ? "− " + -n : Integer.toString(n);
    }

    private void says(Balance.Item item, StoresModel model) {
        says.getChildren().clear();
        if (item.left() < 0) {
            say(
                    "More went in than were counted: count what is there, and put it down as what the kit had.",
                    "attention-text");
        }
        Optional<RunsOut> out = model.runsOut(designation);
        out.ifPresent(o -> say(
                "Runs out at " + o.job().words() + ", after " + o.after() + (o.after() == 1 ? " job" : " jobs") + ": "
                        + o.lacking() + " of it go without. " + waits(model),
                "stop-text"));
        doubts(model);
        Optional<OrderList.Line> order = model.orders().lines().stream()
                .filter(l -> l.designation().equals(designation))
                .findFirst();
        order.ifPresentOrElse(
                l -> say("Order " + l.order() + ": " + l.why(), "plain"),
                () -> say(
                        item.needed() == 0 ? "Nothing more is wanted of it." : "Enough is there, spare and all.",
                        "done-text"));
    }

    private void doubts(StoresModel model) {
        model.doubtful().stream()
                .filter(d -> d.designation().equals(designation))
                .forEach(d -> say(d.words(), d.fits().isPresent() ? "attention-text" : "soft"));
    }

    private String waits(StoresModel model) {
        return Optional.ofNullable(model.without().get(designation))
                .map(b -> PackedDetail.waits(b) + ".")
                .orElse("");
    }

    private void say(String words, String style) {
        says.getChildren().add(Ui.wrapped(words, style));
    }

    private interface Counting {
        StoresItem with(StoresItem item, int count);
    }

    private void count(String words, String text, Counting change) {
        typed(() -> {
            int n = Typed.count(text, "the count of " + designation);
            plan(words + designation, i -> change.with(i, n));
        });
    }

    private void bin(String text) {
        typed(() -> plan("where " + designation + " lies", i -> i.kept(text.strip(), i.pack())));
    }

    private void pack(String text) {
        typed(() -> {
            int n = Typed.count(text, "how many of " + designation + " are sold together");
            plan("how " + designation + " is sold", i -> i.kept(i.bin(), n));
        });
    }

    private void buy() {
        typed(() -> {
            int n = Typed.count(count.getText(), "how many of " + designation + " were bought");
            StoresItem.Bought more = new StoresItem.Bought(
                    desk.session().today(), n, from.getText().strip());
            plan(n + " × " + designation + " bought", i -> i.with(more));
            count.clear();
        });
    }

    private void typed(Runnable does) {
        try {
            does.run();
        } catch (InputException e) {
            wrong.say(e.getMessage());
        }
    }

    private void plan(String words, UnaryOperator<StoresItem> change) {
        String what = designation;
        desk.session().plan(words, b -> Balance.with(b, what, change), wrong::clear, wrong::say);
    }
}
