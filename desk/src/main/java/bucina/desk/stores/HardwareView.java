package bucina.desk.stores;

import bucina.core.stores.Balance;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.StoresModel;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Hardware by designation, what is lacking first; the one chosen stands open at the right, where it is counted. */
final class HardwareView extends BorderPane {

    private static final double BAR = 300;
    private static final double NAME = 200;
    private static final double COUNT = 76;

    private final ListView<Balance.Item> list = new ListView<>();
    private final HardwareDetail detail;
    private Palette palette = Palette.LIGHT;
    private boolean filling;
    private Optional<StoresModel> model = Optional.empty();

    HardwareView(Desk desk) {
        detail = new HardwareDetail(desk);
        list.setId("hardware-list");
        list.setAccessibleText("Hardware by designation");
        list.setPlaceholder(Ui.wrapped(
                "No hole is planned and nothing was counted. Take a packing list in, or plan a row of holes.", "soft"));
        list.setCellFactory(v -> new Cell());
        list.getSelectionModel().selectedItemProperty().addListener((o, was, now) -> chosen(now));
        Label legend = Ui.wrapped(
                "Box: green is in, crossed came out again, bare is left. Below it blue is still wanted and there,"
                        + " hatched red is lacking.",
                "soft");
        VBox lines = new VBox(4, legend, list);
        VBox.setVgrow(list, Priority.ALWAYS);
        setCenter(lines);
        setRight(Sides.of(detail));
        BorderPane.setMargin(lines, new Insets(0, 0, 12, 16));
    }

    void use(Palette colours) {
        palette = colours;
        list.refresh();
    }

    void fill(StoresModel now) {
        filling = true;
        model = Optional.of(now);
        Optional<String> before = chosen().map(Balance.Item::designation);
        List<Balance.Item> items = now.balance().items().stream()
                .sorted(Comparator.comparing((Balance.Item i) -> i.lacking() == 0)
                        .thenComparing(Balance.Item::designation))
                .toList();
        list.getItems().setAll(items);
        int at = 0;
        for (int i = 0; i < items.size(); i++) {
            at = before.filter(items.get(i).designation()::equals).isPresent() ? i : at;
        }
        list.getSelectionModel().clearAndSelect(at);
        filling = false;
        chosen(list.getSelectionModel().getSelectedItem());
    }

    private Optional<Balance.Item> chosen() {
        return Optional.ofNullable(list.getSelectionModel().getSelectedItem());
    }

    private void chosen(Balance.@Nullable Item item) {
        if (!filling && item != null && model.isPresent()) {
            detail.show(item, model.get());
        }
    }

    void enter() {
        list.requestFocus();
    }

    private static String left(Balance.Item item) {
        return item.lacking() > 0
                ? item.lacking() + " lacking"
                : item.left() < 0 ? "not counted" : item.left() + " left";
    }

    private final class Cell extends ListCell<Balance.Item> {

        @Override
        protected void updateItem(Balance.@Nullable Item item, boolean empty) {
            super.updateItem(item, empty);
            setText(null);
            setGraphic(empty || item == null ? null : row(item));
            setAccessibleText(
                    item == null ? "" : item.designation() + ", " + left(item) + ", " + item.needed() + " wanted");
            setPrefWidth(0);
        }

        private HBox row(Balance.Item item) {
            Label name = Ui.label(item.designation(), "log-code");
            name.setMinWidth(NAME);
            name.setPrefWidth(NAME);
            Label there = Ui.kept(item.onHand() + " there", "plain");
            there.setPrefWidth(COUNT);
            Label wanted = Ui.kept(item.needed() + " wanted", "plain");
            wanted.setPrefWidth(COUNT);
            Label bin = Ui.label(item.bin(), "soft");
            bin.setMinWidth(0);
            HBox.setHgrow(bin, Priority.ALWAYS);
            bin.setMaxWidth(Double.MAX_VALUE);
            Label says = Ui.kept(
                    left(item), item.lacking() > 0 ? "stop-text" : item.left() < 0 ? "attention-text" : "number-value");
            HBox row = new HBox(12, name, new BalanceBar(BAR, item, palette), there, wanted, bin, says);
            row.setAlignment(Pos.CENTER_LEFT);
            return row;
        }
    }
}
