package bucina.desk.stores;

import bucina.core.plan.Assembly;
import bucina.core.plan.Id;
import bucina.core.stores.OrderList;
import bucina.core.stores.RunsOut;
import bucina.desk.look.Refusal;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Desk;
import bucina.desk.session.Printing;
import bucina.desk.session.StoresModel;
import bucina.store.drawing.OrderListPdf;
import bucina.store.drawing.Paper;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What to order with its spare, as it is sold, and beside it what runs out first when work goes on. */
final class OrderView extends BorderPane {

    private static final double WIDE = 400;
    private static final int MOST = 12;

    private final Desk desk;
    private final VBox lines = new VBox(10);
    private final VBox out = new VBox(8);
    private final Refusal wrong = new Refusal();
    private final Button copy;
    private final Button write;
    private final Button print;
    private final ComboBox<Optional<Assembly>> scope = new ComboBox<>();
    private OrderList list = new OrderList(List.of());
    private Optional<StoresModel> model = Optional.empty();
    private boolean filling;

    OrderView(Desk desk) {
        this.desk = desk;
        setId("order-view");
        lines.setPadding(new Insets(4, 16, 12, 16));
        out.setPadding(new Insets(12));
        out.setPrefWidth(WIDE);
        copy = Ui.button("Copy as text", "", this::copy);
        copy.setId("order-copy");
        write = Ui.button("Write a CSV file", "", this::write, "quiet");
        write.setId("order-write");
        print = Ui.button("Print it", "", this::print, "quiet");
        print.setId("order-print");
        scope.setId("order-for");
        scope.setAccessibleText("What is ordered for");
        scope.setConverter(new Worded<>(
                a -> a.map(one -> "one trip: to the end of " + one.name()).orElse("the whole build")));
        scope.setValue(Optional.empty());
        scope.valueProperty().addListener((o, was, now) -> {
            if (!filling) {
                model.ifPresent(this::fill);
            }
        });
        HBox ways = new HBox(8, scope, copy, write, print);
        ways.setAlignment(Pos.CENTER_LEFT);
        VBox left = new VBox(8, ways, wrong, Ui.scroll(lines));
        left.setPadding(new Insets(0, 0, 0, 16));
        lines.setPadding(new Insets(4, 16, 12, 0));
        setCenter(left);
        setRight(Sides.of(out));
    }

    void fill(StoresModel now) {
        model = Optional.of(now);
        scopes(now);
        list = scope.getValue()
                .flatMap(a -> Optional.ofNullable(now.trips().get(a.id())))
                .orElseGet(now::orders);
        wrong.clear();
        lines.getChildren().clear();
        copy.setDisable(list.lines().isEmpty());
        write.setDisable(list.lines().isEmpty());
        print.setDisable(list.lines().isEmpty());
        if (list.lines().isEmpty()) {
            lines.getChildren()
                    .add(Ui.wrapped("Nothing is wanting: what is there is enough, spare and all.", "done-text"));
        }
        list.lines().forEach(l -> {
            HBox head = new HBox(10, Ui.kept(l.order() + " ×", "number-value"), Ui.label(l.designation(), "log-code"));
            head.setAlignment(Pos.CENTER_LEFT);
            lines.getChildren().add(new VBox(1, head, Ui.wrapped(l.why(), "soft")));
        });
        out(now.out());
    }

    /** The assemblies there are; what was chosen stays where it is there still. */
    private void scopes(StoresModel now) {
        filling = true;
        List<Optional<Assembly>> all = new ArrayList<>(List.of(Optional.empty()));
        now.of().build().assemblies().forEach(a -> all.add(Optional.of(a)));
        Optional<Id.Assembly> before = scope.getValue().map(Assembly::id);
        scope.getItems().setAll(all);
        scope.setValue(all.stream()
                .filter(a -> a.map(Assembly::id).equals(before))
                .findFirst()
                .orElse(Optional.empty()));
        filling = false;
    }

    private void out(List<RunsOut> runs) {
        out.getChildren().setAll(Ui.label("Runs out, first what is first", "room-title"));
        if (runs.isEmpty()) {
            out.getChildren().add(Ui.wrapped("Nothing runs out before the last job.", "done-text"));
        }
        runs.stream()
                .limit(MOST)
                .forEach(r -> out.getChildren()
                        .add(new VBox(
                                1,
                                Ui.label(r.designation(), "log-code"),
                                Ui.wrapped(
                                        "at " + r.job().words() + ", after " + r.after() + " jobs: " + r.lacking()
                                                + " lacking",
                                        "soft"))));
        if (runs.size() > MOST) {
            out.getChildren().add(Ui.label((runs.size() - MOST) + " more", "soft"));
        }
        out.getChildren()
                .add(Ui.wrapped(
                        "By the order of work as it is now. What nobody counted counts as none: put it down under"
                                + " Hardware.",
                        "soft"));
    }

    private void copy() {
        ClipboardContent text = new ClipboardContent();
        text.putString(list.text());
        Clipboard.getSystemClipboard().setContent(text);
        desk.session().say("The order list is on the clipboard.");
    }

    private void write() {
        OrderList now = list;
        Written.to(desk, getScene(), "order.csv", () -> now.csv().getBytes(StandardCharsets.UTF_8), wrong::say);
    }

    private void print() {
        OrderList now = list;
        String build = desk.session().snapshot().build().name();
        LocalDate today = desk.session().today();
        Written.to(
                desk,
                getScene(),
                "order.pdf",
                () -> OrderListPdf.write(now, build, today, Paper.A4, Printing.FONTS),
                wrong::say);
    }
}
