package bucina.desk.app;

import bucina.core.measure.LengthFormat;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Layer;
import bucina.desk.bench.BenchSide;
import bucina.desk.card.ApartCard;
import bucina.desk.card.BenchMode;
import bucina.desk.card.BringCard;
import bucina.desk.card.CalloutCard;
import bucina.desk.card.GaugeCard;
import bucina.desk.card.LegendCard;
import bucina.desk.card.MixCard;
import bucina.desk.card.NutPlateCard;
import bucina.desk.card.OutCard;
import bucina.desk.card.PanelCard;
import bucina.desk.card.ReachCard;
import bucina.desk.card.SearchCard;
import bucina.desk.card.StationsCard;
import bucina.desk.card.TypedCard;
import bucina.desk.card.WhyCard;
import bucina.desk.gauge.GaugePost;
import bucina.desk.logbook.LogbookRoom;
import bucina.desk.look.Palette;
import bucina.desk.papers.PapersRoom;
import bucina.desk.rack.Rack;
import bucina.desk.rules.RulesRoom;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.Desk;
import bucina.desk.session.Finder;
import bucina.desk.session.LengthClasses;
import bucina.desk.session.Stage;
import bucina.desk.session.WorkTimer;
import bucina.desk.sheet.DoneLine;
import bucina.desk.sheet.OrientationBadge;
import bucina.desk.sheet.ReachBar;
import bucina.desk.sheet.SheetView;
import bucina.desk.strip.ClecoBar;
import bucina.desk.strip.RowStrip;
import bucina.desk.sumsroom.SumsRoom;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/**
 * The scene of an open build: bars, rooms, and the cards over them. Views are made once; the logbook when it is first
 * entered.
 */
public final class DeskWindow {

    private static final PseudoClass LARGE = PseudoClass.getPseudoClass("large");
    /** What lies under a card that is worked with is not dimmed. */
    private static final PseudoClass CLEAR = PseudoClass.getPseudoClass("clear");

    private final Desk desk;
    private final GaugePost gauge;
    private final WorkTimer timer;
    private final StackPane root = new StackPane();
    private final BorderPane frame = new BorderPane();
    private final BorderPane sheetRoom = new BorderPane();
    private final StackPane veil = new StackPane();
    private final SheetView sheet;
    private final RowStrip strip;
    private final BenchSide bench;
    private final Rack rack;
    private final TopBar top;
    private final StageRail rail;
    private final OrientationBadge badge;
    private final ReachBar reachBar;
    private final DoneLine done;
    private final StackPane middle;
    private final ClecoBar clecos;
    private final Finder finder;
    private final Consumer<DeskApp.What> other;
    private final Keys keys;
    private LogbookRoom logbook;
    private RulesRoom rules;
    private PapersRoom papers;
    private SumsRoom sums;
    private Node legend;

    /** A window that opens no other build. */
    public DeskWindow(Desk desk, Clock clock) {
        this(desk, clock, what -> {});
    }

    /**
     * @param other opens another build in the place of this one
     */
    DeskWindow(Desk desk, Clock clock, Consumer<DeskApp.What> other) {
        this.desk = desk;
        gauge = new GaugePost(Platform::runLater, l -> LengthFormat.trade(l, desk.unit()));
        this.other = other;
        this.timer = new WorkTimer(clock);
        this.keys = new Keys(desk, this);
        this.finder = new Finder(desk, keys.commands(), this::kept);
        sheet = new SheetView(desk);
        sheet.setId("sheet");
        strip = new RowStrip(desk);
        strip.setId("strip");
        bench = new BenchSide(
                desk, timer, () -> writeOut(OutCard.What.HELD), this::stations, this::playClecos, this::apart);
        rack = new Rack(desk, new Rack.Ways(this::makePanel, this::bringIn, this::callouts, this::addTyped));
        top = new TopBar(desk, timer, this::search);
        rail = new StageRail(desk);
        badge = new OrientationBadge(desk);
        reachBar = new ReachBar(desk, this::reach);
        done = new DoneLine(desk.session());
        middle = new StackPane(sheet, badge, reachBar, done.node());
        middle.setMinSize(0, 0);
        StackPane.setAlignment(reachBar, Pos.BOTTOM_RIGHT);
        StackPane.setMargin(reachBar, new Insets(0, 12, 12, 0));
        StackPane.setAlignment(done.node(), Pos.BOTTOM_CENTER);
        StackPane.setMargin(done.node(), new Insets(0, 12, 18, 12));
        StackPane.setAlignment(badge, Pos.BOTTOM_LEFT);
        StackPane.setMargin(badge, new Insets(0, 0, 10, 36));
        sheetRoom.setLeft(rack);
        BorderPane bench1 = new BorderPane(middle, rail, null, strip, null);
        sheetRoom.setCenter(bench1);
        clecos = new ClecoBar(desk);
        desk.playingProperty().addListener((o, was, now) -> bench1.setBottom(now.isPresent() ? clecos : strip));
        sheetRoom.setRight(bench);
        frame.setTop(new VBox(top, new BatchBar(desk, this::mix)));
        frame.setCenter(sheetRoom);
        veil.getStyleClass().add("veil");
        veil.setVisible(false);
        veil.setOnMouseClicked(e -> {
            if (e.getTarget() == veil) {
                putAway();
            }
        });
        frame.setMinSize(0, 0);
        root.getChildren().addAll(frame, veil);
        root.getStyleClass().add("window");
        desk.roomProperty().addListener((o, was, now) -> room());
        desk.darkProperty().addListener((o, was, now) -> dress());
        desk.scaleProperty().addListener((o, was, now) -> dress());
        desk.legendProperty().addListener((o, was, now) -> legend());
        desk.benchProperty().addListener((o, was, now) -> benchMode());
        desk.stageProperty().addListener((o, was, now) -> legend());
        desk.selectionProperty().addListener((o, was, now) -> {
            if (!was.face().equals(now.face())) {
                legend();
            }
        });
        desk.whyProperty().addListener((o, was, now) -> why(now));
        dress();
    }

    /** The scene, 1280 x 800 unless the stage says otherwise. */
    public Scene scene() {
        Scene scene = new Scene(root, 1280, 800);
        scene.getStylesheets()
                .add(DeskWindow.class.getResource("/bucina/desk/desk.css").toExternalForm());
        keys.on(scene);
        GaugeFollow.on(scene, gauge);
        sheet.requestFocus();
        return scene;
    }

    private Palette palette() {
        return desk.darkProperty().get() ? Palette.DARK : Palette.LIGHT;
    }

    /** Puts on the colours and the size of text. */
    private void dress() {
        Palette p = palette();
        double scale = desk.scaleProperty().get() / 100.0;
        root.setStyle(p.css() + "-fx-font-size: " + Math.round(13 * scale) + "px;");
        double wide = 1 + (scale - 1) * 0.55;
        // Large text leaves the keys to the search box.
        root.pseudoClassStateChanged(LARGE, scale >= TopBar.ONE_LINE);
        top.scale(scale);
        rail.scale(scale);
        rack.scale(scale);
        double rackWide = 1 + (scale - 1) * 0.8;
        rack.setPrefWidth(206 * rackWide);
        rack.setMinWidth(206 * rackWide);
        bench.setPrefWidth(336 * wide);
        bench.setMinWidth(336 * wide);
        sheet.use(p);
        strip.use(p);
        bench.use(p, scale);
        rack.use(p);
        badge.use(p);
        reachBar.use(p);
        if (sums != null) {
            sums.use(p, scale);
        }
        legend();
    }

    private void room() {
        switch (desk.roomProperty().get()) {
            case LOGBOOK -> {
                logbook = logbook == null ? new LogbookRoom(desk) : logbook;
                frame.setCenter(logbook);
                logbook.enter();
            }
            case RULES -> {
                rules = rules == null ? new RulesRoom(desk) : rules;
                frame.setCenter(rules);
                rules.enter();
            }
            case PAPERS -> {
                papers = papers == null ? new PapersRoom(desk) : papers;
                frame.setCenter(papers);
                papers.enter();
            }
            case SUMS -> {
                frame.setCenter(sums());
                sums.enter();
            }
            case SHEET -> {
                frame.setCenter(sheetRoom);
                sheet.requestFocus();
            }
        }
    }

    private SumsRoom sums() {
        if (sums == null) {
            sums = new SumsRoom(new SumsRoom.Host(
                    desk.session().catalogue(),
                    Optional.of(desk.session()),
                    desk.unitProperty(),
                    w -> desk.whyProperty().set(Optional.of(w)),
                    true));
            sums.use(palette(), desk.scaleProperty().get() / 100.0);
        }
        return sums;
    }

    /** Plays the cleco plan of the row at hand. */
    void playClecos() {
        desk.roomProperty().set(Desk.Room.SHEET);
        desk.stageProperty().set(Stage.FIT);
        clecos.begin();
    }

    /** Goes along the plan played; true if one is. */
    boolean step(int by) {
        clecos.step(by);
        return desk.playingProperty().get().isPresent();
    }

    void turnPlay() {
        if (desk.playingProperty().get().isPresent()) {
            clecos.turn();
        }
    }

    /** Opens a sum in its room. */
    void sum(String code) {
        desk.roomProperty().set(Desk.Room.SUMS);
        sums.sum(code);
    }

    /** Opens a kept sum in its room. */
    void kept(KeptSum sum) {
        desk.roomProperty().set(Desk.Room.SUMS);
        sums.kept(sum);
    }

    /** Opens the bend bench for the part of the sheet picked, or of the sheet under the picked hole that is bent. */
    void formPart() {
        Optional<Layer> sheetOf = desk.layer()
                .or(() -> desk.cursor()
                        .flatMap(c -> c.layers().stream()
                                .filter(l -> !l.bends().isEmpty())
                                .findFirst()
                                .or(() -> c.layers().stream().reduce((a, b) -> b))));
        sheetOf.ifPresent(l -> {
            desk.roomProperty().set(Desk.Room.SUMS);
            sums.form(desk.snapshot().build().part(l.part()), l.thickness());
        });
    }

    private void legend() {
        middle.getChildren().remove(legend);
        if (desk.legendProperty().get()) {
            legend = new LegendCard(
                    palette(),
                    desk.stageProperty().get() == Stage.STUDY
                            ? Optional.of(LengthClasses.of(desk.face()))
                            : Optional.empty());
            StackPane.setAlignment(legend, Pos.TOP_RIGHT);
            StackPane.setMargin(legend, new Insets(38, 12, 0, 0));
            middle.getChildren().add(legend);
        }
    }

    private void benchMode() {
        if (desk.benchProperty().get()) {
            BenchMode mode =
                    new BenchMode(desk, palette(), () -> desk.benchProperty().set(false));
            // Its type is large as it is.
            mode.setStyle("-fx-font-size: "
                    + Math.min(15, Math.round(13 * desk.scaleProperty().get() / 100.0)) + "px;");
            frame.setCenter(mode);
            mode.requestFocus();
        } else {
            room();
        }
    }

    private void why(Optional<bucina.desk.session.Why> why) {
        if (why.isPresent()) {
            show(new WhyCard(why.get(), this::putAway), Pos.CENTER);
        }
    }

    private void show(Node card, Pos where) {
        veil.getChildren().setAll(card);
        veil.pseudoClassStateChanged(CLEAR, card instanceof GaugeCard);
        StackPane.setAlignment(card, where);
        StackPane.setMargin(card, new Insets(70, 20, 40, 20));
        veil.setVisible(true);
        card.requestFocus();
    }

    /** Puts the card away that lies over the window; true if there was one. */
    boolean putAway() {
        boolean was = veil.isVisible();
        veil.setVisible(false);
        veil.getChildren().clear();
        desk.whyProperty().set(Optional.empty());
        if (was) {
            (desk.roomProperty().get() == Desk.Room.SHEET ? sheet : frame.getCenter()).requestFocus();
        }
        return was;
    }

    /** True while a card lies over the window. */
    boolean covered() {
        return veil.isVisible();
    }

    void search() {
        SearchCard card = new SearchCard(finder, this::putAway);
        show(card, Pos.TOP_CENTER);
        card.enter();
    }

    void addTyped() {
        if (!desk.session().readOnly()) {
            TypedCard card = new TypedCard(desk, this::putAway);
            show(card, Pos.CENTER);
            card.enter();
        }
    }

    private boolean locked() {
        return desk.session().readOnly();
    }

    void makePanel() {
        if (!locked()) {
            PanelCard card = new PanelCard(desk.session(), desk.unit(), palette(), this::made, this::putAway);
            show(card, Pos.CENTER);
            card.enter();
        }
    }

    void bringIn() {
        if (!locked()) {
            BringCard card = new BringCard(
                    desk.session(),
                    desk.unit(),
                    Optional.of(desk.face().face().id()),
                    palette(),
                    this::made,
                    this::putAway);
            show(card, Pos.CENTER);
            card.enter();
        }
    }

    private void made(bucina.core.plan.Id.Face face) {
        putAway();
        desk.show(face);
    }

    void nutPlates() {
        if (!locked()) {
            NutPlateCard card = new NutPlateCard(desk, palette(), this::putAway);
            show(card, Pos.CENTER);
            card.enter();
        }
    }

    void mix() {
        MixCard card = new MixCard(desk, this::putAway);
        show(card, Pos.CENTER);
        card.enter();
    }

    void apart() {
        desk.apart(a -> {
            ApartCard card = new ApartCard(desk, palette(), a, this::putAway);
            show(card, Pos.CENTER);
            card.enter();
        });
    }

    void gauge() {
        GaugeCard card = new GaugeCard(desk.lengths(), desk.unit(), gauge, this::putAway);
        show(card, Pos.BOTTOM_LEFT);
        card.enter();
    }

    void reach() {
        ReachCard card = new ReachCard(desk, this::putAway);
        show(card, Pos.CENTER);
        card.enter();
    }

    void callouts() {
        if (!locked()) {
            CalloutCard card = new CalloutCard(desk, this::putAway);
            show(card, Pos.CENTER);
            card.enter();
        }
    }

    /** Asks where, and begins an empty build there. */
    void newBuild() {
        FileChooser chooser = builds("Begin a build");
        chooser.setInitialFileName("build.bucina");
        Optional.ofNullable(chooser.showSaveDialog(root.getScene().getWindow()))
                .ifPresent(f -> other.accept(new DeskApp.What.New(f.toPath())));
    }

    /** Asks which, and opens it. */
    void openBuild() {
        Optional.ofNullable(
                        builds("Open a build").showOpenDialog(root.getScene().getWindow()))
                .ifPresent(f -> other.accept(new DeskApp.What.File(f.toPath())));
    }

    private FileChooser builds(String title) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        chooser.setInitialDirectory(
                Optional.ofNullable(desk.session().path().toAbsolutePath().getParent())
                        .map(Path::toFile)
                        .orElse(null));
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Builds", "*.bucina"));
        return chooser;
    }

    void demo(DemoBuild.Which which) {
        other.accept(new DeskApp.What.Demo(which, false));
    }

    void stations() {
        desk.cursor().ifPresent(c -> {
            StationsCard card = new StationsCard(c.row(), this::putAway);
            show(card, Pos.CENTER);
            card.enter();
        });
    }

    void writeOut(OutCard.What what) {
        OutCard card = new OutCard(desk, what, this::putAway);
        show(card, Pos.CENTER);
        card.enter();
    }

    SheetView sheet() {
        return sheet;
    }

    BenchSide bench() {
        return bench;
    }

    Optional<LogbookRoom> logbook() {
        return Optional.ofNullable(logbook).filter(l -> desk.roomProperty().get() == Desk.Room.LOGBOOK);
    }

    void turnTimer() {
        timer.turn();
        top.tick();
    }

    void scale(int step) {
        desk.scaleProperty().set(Math.clamp(desk.scaleProperty().get() + step, 100, 200));
    }
}
