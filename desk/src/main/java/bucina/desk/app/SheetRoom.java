package bucina.desk.app;

import bucina.desk.bench.BenchSide;
import bucina.desk.card.BenchMode;
import bucina.desk.card.LegendCard;
import bucina.desk.card.OutCard;
import bucina.desk.look.Later;
import bucina.desk.look.Palette;
import bucina.desk.look.Shown;
import bucina.desk.look.ShownPane;
import bucina.desk.rack.Rack;
import bucina.desk.session.Desk;
import bucina.desk.session.LengthClasses;
import bucina.desk.session.Stage;
import bucina.desk.session.WorkTimer;
import bucina.desk.sheet.DoneLine;
import bucina.desk.sheet.OrientationBadge;
import bucina.desk.sheet.ReachBar;
import bucina.desk.sheet.SheetView;
import bucina.desk.strip.ClecoBar;
import bucina.desk.strip.RowStrip;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;

/** The room where the sheet lies: rack, stage rail, sheet, strip, bench side; or the job alone in bench mode. */
public final class SheetRoom extends ShownPane {

    private final Desk desk;
    private final Rack rack;
    private final SheetView sheet;
    private final RowStrip strip;
    private final ClecoBar clecos;
    private final BenchSide bench;
    private final Later rackPlace;
    private final Later benchPlace;
    private final StageRail rail;
    private final OrientationBadge badge;
    private final ReachBar reachBar;
    private final DoneLine done;
    private final StackPane middle;
    private final BorderPane face;
    private Optional<LegendCard> legend = Optional.empty();
    private Optional<BenchMode> mode = Optional.empty();
    private Palette palette = Palette.LIGHT;
    private double scale = 1;
    private boolean narrow;

    SheetRoom(Desk desk, WorkTimer timer, Cards cards) {
        this.desk = desk;
        sheet = new SheetView(desk);
        sheet.setId("sheet");
        strip = new RowStrip(desk);
        strip.setId("strip");
        clecos = new ClecoBar(desk);
        rail = new StageRail(desk);
        badge = new OrientationBadge(desk);
        reachBar = new ReachBar(desk, cards::reach);
        done = new DoneLine(desk.session());
        bench = new BenchSide(
                desk, timer, () -> cards.writeOut(OutCard.What.HELD), cards::stations, this::playClecos, cards::apart);
        rack = new Rack(
                desk,
                new Rack.Ways(
                        cards::structure,
                        cards::makePanel,
                        cards::ribs,
                        cards::bringIn,
                        cards::callouts,
                        cards::addTyped));
        // The sheet comes first, what stands beside it a frame later each.
        rackPlace = new Later(rack, 1);
        benchPlace = new Later(bench, 2);
        middle = new StackPane(sheet, badge, reachBar, done.node());
        middle.setMinSize(0, 0);
        over(reachBar, Pos.BOTTOM_RIGHT, new Insets(0, 12, 12, 0));
        over(done.node(), Pos.BOTTOM_CENTER, new Insets(0, 12, 18, 12));
        over(badge, Pos.BOTTOM_LEFT, new Insets(0, 0, 10, 36));
        face = new BorderPane(middle, rail, null, strip, null);
        lay();
        ties.on(desk.over().playingProperty(), (was, now) -> face.setBottom(now.isPresent() ? clecos : strip));
        ties.on(desk.look().legendProperty(), this::legend);
        ties.on(desk.stageProperty(), this::legend);
        ties.on(desk.look().benchProperty(), this::benchMode);
        ties.on(desk.selectionProperty(), (was, now) -> {
            if (!was.face().equals(now.face())) {
                legend();
            }
        });
    }

    private static void over(Node node, Pos where, Insets margin) {
        StackPane.setAlignment(node, where);
        StackPane.setMargin(node, margin);
    }

    /** Leaves the rack away where something else stands beside the sheet. */
    void narrow(boolean on) {
        narrow = on;
        if (mode.isEmpty()) {
            setLeft(on ? null : rackPlace);
        }
    }

    private void lay() {
        setLeft(narrow ? null : rackPlace);
        setCenter(face);
        setRight(benchPlace);
    }

    private List<Shown> parts() {
        return List.of(rack, sheet, strip, clecos, bench, rail, badge, reachBar, done);
    }

    SheetView sheet() {
        return sheet;
    }

    BenchSide bench() {
        return bench;
    }

    /** Plays the cleco plan of the row at hand. */
    public void playClecos() {
        desk.roomProperty().set(Desk.Room.SHEET);
        desk.stageProperty().set(Stage.FIT);
        clecos.begin();
    }

    /** Goes along the plan played; true if one is. */
    public boolean step(int by) {
        clecos.step(by);
        return desk.over().playingProperty().get().isPresent();
    }

    public void turnPlay() {
        if (desk.over().playingProperty().get().isPresent()) {
            clecos.turn();
        }
    }

    @Override
    public void enter() {
        mode.<Node>map(m -> m).orElse(sheet).requestFocus();
    }

    @Override
    public void use(Palette colours, double size) {
        palette = colours;
        scale = size;
        double rackWide = 206 * (1 + (size - 1) * 0.8);
        rack.setPrefWidth(rackWide);
        rack.setMinWidth(rackWide);
        double wide = 336 * (1 + (size - 1) * 0.55);
        bench.setPrefWidth(wide);
        bench.setMinWidth(wide);
        parts().forEach(p -> p.use(colours, size));
        legend();
    }

    private void legend() {
        legend.ifPresent(l -> {
            middle.getChildren().remove(l);
            l.close();
        });
        legend = Optional.empty();
        if (desk.look().legendProperty().get()) {
            LegendCard card = new LegendCard(
                    palette,
                    desk.stageProperty().get() == Stage.STUDY
                            ? Optional.of(LengthClasses.of(desk.face()))
                            : Optional.empty());
            over(card, Pos.TOP_RIGHT, new Insets(38, 12, 0, 0));
            middle.getChildren().add(card);
            legend = Optional.of(card);
        }
    }

    private void benchMode() {
        mode.ifPresent(BenchMode::close);
        mode = Optional.empty();
        if (!desk.look().benchProperty().get()) {
            lay();
            sheet.requestFocus();
            return;
        }
        BenchMode next =
                new BenchMode(desk, palette, () -> desk.look().benchProperty().set(false));
        // Its type is large as it is.
        next.setStyle("-fx-font-size: " + Math.min(15, Math.round(13 * scale)) + "px;");
        setLeft(null);
        setRight(null);
        setCenter(next);
        mode = Optional.of(next);
        next.requestFocus();
    }

    @Override
    public void close() {
        super.close();
        mode.ifPresent(BenchMode::close);
        legend.ifPresent(LegendCard::close);
        parts().forEach(Shown::close);
    }
}
