package bucina.desk.stores;

import bucina.core.measure.Unit;
import bucina.core.state.Snapshot;
import bucina.core.stores.CheckIn;
import bucina.desk.look.Palette;
import bucina.desk.look.Refusal;
import bucina.desk.look.ShownPane;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import bucina.desk.session.StoresModel;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/**
 * What is there, what is short, what to order, when it is done, what it weighs: each a view under a tile that says its
 * figure already.
 */
public final class StoresRoom extends ShownPane {

    private static final PseudoClass HERE = PseudoClass.getPseudoClass("here");
    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMM yyyy", Locale.ENGLISH);

    private final Desk desk;
    private final Latest latest;
    private final Map<View, Button> tiles = new EnumMap<>(View.class);
    private final Map<View, Label> figures = new EnumMap<>(View.class);
    private final Refusal wrong = new Refusal();
    private final HardwareView hardware;
    private final CheckInView checkIn;
    private final ShelfView shelf;
    private final OrderView orders;
    private final DoneView done;
    private final WeightView weight;
    private Palette palette = Palette.LIGHT;
    private View view = View.HARDWARE;
    private Optional<StoresModel> model = Optional.empty();

    /** What the room shows. */
    private enum View {
        HARDWARE("Hardware"),
        CHECK_IN("Check the kit in"),
        SHELF("Bars, cans, clecos"),
        ORDER("To order"),
        DONE("When is it done"),
        WEIGHT("What it weighs");

        private final String word;

        View(String word) {
            this.word = word;
        }
    }

    /**
     * @param lists opens the card that takes a packing list in
     */
    public StoresRoom(Desk desk, Runnable lists) {
        this.desk = desk;
        latest = desk.session().latest();
        getStyleClass().add("parts-room");
        hardware = new HardwareView(desk);
        checkIn = new CheckInView(desk, lists);
        shelf = new ShelfView(desk);
        orders = new OrderView(desk);
        done = new DoneView(desk);
        weight = new WeightView(desk);
        FlowPane line = new FlowPane(8, 6);
        for (View each : View.values()) {
            line.getChildren().add(tile(each));
        }
        VBox top = new VBox(6, line, wrong);
        top.setPadding(new Insets(12, 16, 10, 16));
        setTop(top);
        turn(View.HARDWARE);
        Timeline clock = new Timeline(new KeyFrame(Duration.seconds(20), e -> shelf.tick()));
        clock.setCycleCount(Animation.INDEFINITE);
        ties.play(clock);
        ties.on(desk.session().snapshotProperty(), this::work);
        ties.on(desk.look().unitProperty(), this::work);
    }

    private Button tile(View each) {
        Label figure = Ui.kept(" ", "soft");
        Label word = Ui.kept(each.word, "strong");
        VBox words = new VBox(1, word, figure);
        words.setMouseTransparent(true);
        Button tile = new Button();
        tile.setGraphic(words);
        tile.getStyleClass().add("tile");
        tile.setId("stores-" + each.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        tile.setOnAction(e -> {
            turn(each);
            focus();
        });
        tiles.put(each, tile);
        figures.put(each, figure);
        return tile;
    }

    private void turn(View to) {
        view = to;
        tiles.forEach((each, tile) -> Ui.chosen(
                tile,
                HERE,
                each == to,
                each.word + ": "
                        + Optional.ofNullable(figures.get(each))
                                .map(Label::getText)
                                .orElse("")));
        setCenter(
                switch (to) {
                    case HARDWARE -> hardware;
                    case CHECK_IN -> checkIn;
                    case SHELF -> shelf;
                    case ORDER -> orders;
                    case DONE -> done;
                    case WEIGHT -> weight;
                });
    }

    /** Works it out anew; while another room is shown that waits until this one is entered. */
    private void work() {
        if (getScene() == null) {
            model = Optional.empty();
            return;
        }
        Snapshot now = desk.session().snapshot();
        LocalDate today = desk.session().today();
        Unit unit = desk.unit();
        latest.ask(
                () -> StoresModel.of(now, today, unit),
                made -> {
                    model = Optional.of(made);
                    wrong.clear();
                    fill();
                },
                wrong::say);
    }

    private void fill() {
        model.ifPresent(m -> {
            hardware.fill(m);
            checkIn.fill(m);
            shelf.fill(m, palette);
            orders.fill(m);
            done.fill(m, palette);
            weight.fill(m, palette);
            long lacking =
                    m.balance().items().stream().filter(i -> i.lacking() > 0).count();
            say(
                    View.HARDWARE,
                    m.balance().items().size() + " kinds, " + (lacking == 0 ? "none" : lacking) + " lacking");
            say(View.CHECK_IN, checked(m));
            say(View.SHELF, shelf.says());
            int lines = m.orders().lines().size();
            say(View.ORDER, lines == 0 ? "nothing" : lines + (lines == 1 ? " thing" : " things"));
            say(
                    View.DONE,
                    String.format(
                                    Locale.ROOT,
                                    "%.0f h left",
                                    m.forecast().hours().mid())
                            + m.forecast()
                                    .date()
                                    .map(d -> ", " + d.mid().format(MONTH))
                                    .orElse(""));
            say(View.WEIGHT, weight.show(m.weight().total()));
        });
    }

    private static String checked(StoresModel m) {
        Map<CheckIn.State, Integer> counts = m.packing();
        int all = counts.values().stream().mapToInt(Integer::intValue).sum();
        int open = counts.getOrDefault(CheckIn.State.NOT_YET, 0);
        int wrong = all - open - counts.getOrDefault(CheckIn.State.RIGHT, 0);
        return all == 0
                ? "no list yet"
                : (wrong == 0 ? "none" : wrong) + " short or wrong" + (open == 0 ? "" : ", " + open + " to look for");
    }

    private void say(View each, String figure) {
        Optional.ofNullable(figures.get(each)).ifPresent(l -> l.setText(figure));
        Optional.ofNullable(tiles.get(each))
                .ifPresent(t -> Ui.chosen(t, HERE, each == view, each.word + ": " + figure));
    }

    @Override
    public void use(Palette colours, double scale) {
        palette = colours;
        hardware.use(colours);
        fill();
    }

    private void focus() {
        switch (view) {
            case HARDWARE -> hardware.enter();
            case CHECK_IN -> checkIn.enter();
            default -> {}
        }
    }

    @Override
    public void enter() {
        if (model.isEmpty()) {
            work();
        }
        Optional.ofNullable(tiles.get(view)).ifPresent(Button::requestFocus);
    }
}
