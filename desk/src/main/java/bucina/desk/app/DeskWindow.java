package bucina.desk.app;

import bucina.core.log.Labour;
import bucina.core.measure.LengthFormat;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Layer;
import bucina.desk.bench.BenchSide;
import bucina.desk.card.BenchMode;
import bucina.desk.gauge.GaugePost;
import bucina.desk.guided.Guided;
import bucina.desk.guided.GuidedJob;
import bucina.desk.guided.GuidedJobs;
import bucina.desk.help.Guide;
import bucina.desk.logbook.LogbookRoom;
import bucina.desk.look.Palette;
import bucina.desk.look.Shown;
import bucina.desk.look.Ties;
import bucina.desk.look.Ui;
import bucina.desk.papers.PapersRoom;
import bucina.desk.parts.PartsRoom;
import bucina.desk.rules.RulesRoom;
import bucina.desk.session.Command;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.Desk;
import bucina.desk.session.Finder;
import bucina.desk.session.Shift;
import bucina.desk.session.ToOpen;
import bucina.desk.session.WorkTimer;
import bucina.desk.sheet.SheetView;
import bucina.desk.stores.StoresRoom;
import bucina.desk.sumsroom.SumsRoom;
import bucina.desk.tonight.TonightRoom;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The frame of an open build: bars at the top, the room under them, cards over all. Closed when another is opened. */
public final class DeskWindow implements Shown {

    private static final PseudoClass LARGE = PseudoClass.getPseudoClass("large");

    private final Ties ties = new Ties();
    private final Desk desk;
    private final GaugePost gauge;
    private final WorkTimer timer;
    private final StackPane root = new StackPane();
    private final BorderPane frame = new BorderPane();
    private final Cards cards;
    private final SheetRoom sheetRoom;
    private final Rooms rooms;
    private final TopBar top;
    private final Shift shift;
    private final BatchBar batches;
    private final Finder finder;
    private final Keys keys;
    private final Consumer<ToOpen> other;
    private final Guided guided;
    private final Beside beside;

    /** A window that opens no other build. */
    public DeskWindow(Desk desk, Clock clock) {
        this(desk, clock, what -> {}, new Guided());
    }

    /**
     * @param other  opens another build in the place of this one
     * @param guided the job that is led through
     */
    DeskWindow(Desk desk, Clock clock, Consumer<ToOpen> other, Guided guided) {
        this.desk = desk;
        this.other = other;
        this.guided = guided;
        gauge = new GaugePost(Platform::runLater, l -> LengthFormat.trade(l, desk.unit()));
        timer = new WorkTimer(clock);
        cards = new Cards(desk, gauge, this::palette, other, () -> room().enter());
        sheetRoom = new SheetRoom(desk, timer, cards);
        rooms = new Rooms()
                .with(Desk.Room.TONIGHT, () -> new TonightRoom(desk))
                .with(Desk.Room.SHEET, () -> sheetRoom)
                .with(Desk.Room.SUMS, this::sumsRoom)
                .with(Desk.Room.LOGBOOK, () -> new LogbookRoom(desk))
                .with(Desk.Room.RULES, () -> new RulesRoom(desk))
                .with(Desk.Room.PAPERS, () -> new PapersRoom(desk))
                .with(Desk.Room.PARTS, () -> new PartsRoom(desk, cards::partLists, cards::bays))
                .with(Desk.Room.STORES, () -> new StoresRoom(desk, cards::packing));
        keys = new Keys(desk, this);
        finder = new Finder(desk, keys.commands(), this::sections, this::kept);
        shift = new Shift(desk, timer);
        top = new TopBar(
                desk,
                timer,
                this::search,
                this::turnTimer,
                new BuildMenu(desk.session(), desk.prefs(), keys.all(), other));
        batches = new BatchBar(desk, cards::mix);
        frame.setTop(new VBox(top, batches));
        frame.setCenter(room().node());
        frame.setMinSize(0, 0);
        root.getChildren().addAll(frame, cards.veil());
        root.getStyleClass().add("window");
        beside = new Beside(
                frame,
                root,
                guided,
                new Seen(root, () -> Optional.of(desk)),
                new Beside.Host(this::guide, cards::picture, this::beside));
        follow();
        dress();
    }

    private void follow() {
        ties.on(desk.look().benchProperty(), (was, now) -> {
            if (now) {
                beside.putAway();
            }
        });
        ties.on(desk.askedProperty(), (was, now) -> now.ifPresent(this::answer));
        ties.on(desk.roomProperty(), this::enterRoom);
        ties.on(desk.look().darkProperty(), this::dress);
        ties.on(desk.look().scaleProperty(), this::dress);
        ties.on(desk.whyProperty(), (was, now) -> now.ifPresent(cards::why));
        ties.on(desk.session().lostProperty(), (was, now) -> cards.lost(now));
        ties.keep(gauge::off);
    }

    /** The scene, 1280 x 800 unless the stage says otherwise. */
    public Scene scene() {
        Scene scene = Ui.scene(root);
        keys.on(scene);
        GaugeFollow.on(scene, gauge);
        room().enter();
        return scene;
    }

    @Override
    public Node node() {
        return root;
    }

    @Override
    public void close() {
        ties.close();
        beside.close();
        cards.close();
        rooms.close();
        top.close();
        batches.close();
    }

    private Palette palette() {
        return desk.look().darkProperty().get() ? Palette.DARK : Palette.LIGHT;
    }

    /** Puts on the colours and the size of text. */
    private void dress() {
        Palette p = palette();
        double scale = desk.look().scaleProperty().get() / 100.0;
        root.setStyle(p.css(desk.look().scaleProperty().get()));
        // Large text leaves the keys to the search box.
        root.pseudoClassStateChanged(LARGE, scale >= TopBar.ONE_LINE);
        top.use(p, scale);
        rooms.use(p, scale);
        beside.use(scale);
    }

    private Shown room() {
        return rooms.of(desk.roomProperty().get());
    }

    private void enterRoom() {
        frame.setCenter(room().node());
        room().enter();
    }

    private SumsRoom sumsRoom() {
        return new SumsRoom(new SumsRoom.Host(
                desk.session().catalogue(),
                Optional.of(desk.session()),
                desk.look().unitProperty(),
                w -> desk.whyProperty().set(Optional.of(w)),
                true));
    }

    private SumsRoom sums() {
        desk.roomProperty().set(Desk.Room.SUMS);
        return rooms.entered(SumsRoom.class).orElseThrow();
    }

    /** The guide and guided jobs take some of the width: cards and the sheet make room. */
    private void beside(double width) {
        StackPane.setMargin(cards.veil(), new Insets(0, 0, 0, width));
        sheetRoom.narrow(width > 0);
    }

    /** Shows what the guide says of what is on the screen, or puts the guide away. */
    void help() {
        if (!beside.putAway()) {
            String about = screen();
            // Type that reads from three metres leaves no room beside it.
            desk.look().benchProperty().set(false);
            answer(about);
        }
    }

    /** What is on the screen, as the guide calls it. */
    String screen() {
        return cards.shown().orElseGet(() -> {
            if (desk.roomProperty().get() != Desk.Room.SHEET) {
                return room().getClass().getSimpleName();
            }
            return desk.look().benchProperty().get()
                    ? BenchMode.class.getSimpleName()
                    : desk.changingProperty().get()
                            ? "changing"
                            : "stage-" + desk.stageProperty().get().name().toLowerCase(Locale.ROOT);
        });
    }

    private void answer(String key) {
        beside.help(Guide.shipped().about(key).orElse(new Guide.Place(Guide.FIRST, "")));
        desk.askedProperty().set(Optional.empty());
    }

    /** What the guide says something of, for the search box. */
    private List<Finder.Hit> sections() {
        return Guide.shipped().pages().stream()
                .flatMap(p -> p.sections().stream()
                        .map(s -> new Finder.Hit(
                                Finder.Kind.HELP,
                                s.title(),
                                s.title().equals(p.title()) ? "guide" : "guide, " + p.title(),
                                () -> beside.help(s.place()))))
                .toList();
    }

    /** Puts the guide away; true if it was there. */
    boolean helpAway() {
        boolean was = beside.putAway();
        if (was) {
            room().enter();
        }
        return was;
    }

    /** Leaves the guided job. */
    public void leaveGuided() {
        guided.leave();
    }

    /** Begins a guided job: on a build of its own, so that nothing of the builder's is touched. */
    void guide(GuidedJob job) {
        other.accept(new ToOpen.Practice(job.name().equals(GuidedJobs.panel().name())));
        guided.begin(job);
    }

    /** Opens a sum in its room. */
    public void sum(String code) {
        sums().sum(code);
    }

    /** Opens a kept sum in its room. */
    public void kept(KeptSum sum) {
        sums().kept(sum);
    }

    /** Opens the bend bench for the part of the sheet picked, or of the sheet under the picked hole that is bent. */
    void formPart() {
        Optional<Layer> sheetOf = desk.layer()
                .or(() -> desk.cursor()
                        .flatMap(c -> c.layers().stream()
                                .filter(l -> !l.bends().isEmpty())
                                .findFirst()
                                .or(() -> c.layers().stream().reduce((a, b) -> b))));
        sheetOf.ifPresent(l -> sums().form(desk.snapshot().build().part(l.part()), l.thickness()));
    }

    /** Does what the first button says of what is seen: of the bench side, or of another room. */
    @Override
    public void act() {
        if (desk.roomProperty().get() == Desk.Room.SHEET) {
            bench().act();
        } else {
            room().act();
        }
    }

    /** The cards that lie over the window. */
    public Cards cards() {
        return cards;
    }

    /** Every command, with its key. */
    public List<Command> commands() {
        return keys.all();
    }

    /** Shows every key. */
    public void keys() {
        cards.keys(keys.all());
    }

    public void search() {
        cards.search(finder);
    }

    public SheetRoom sheetRoom() {
        return sheetRoom;
    }

    public SheetView sheet() {
        return sheetRoom.sheet();
    }

    public BenchSide bench() {
        return sheetRoom.bench();
    }

    Optional<PartsRoom> parts() {
        return desk.roomProperty().get() == Desk.Room.PARTS ? rooms.entered(PartsRoom.class) : Optional.empty();
    }

    Optional<TonightRoom> tonight() {
        return desk.roomProperty().get() == Desk.Room.TONIGHT ? rooms.entered(TonightRoom.class) : Optional.empty();
    }

    Optional<LogbookRoom> logbook() {
        return desk.roomProperty().get() == Desk.Room.LOGBOOK ? rooms.entered(LogbookRoom.class) : Optional.empty();
    }

    /** Copies the build where copies go. */
    void copyNow() {
        desk.session()
                .copies()
                .now(
                        desk.prefs().copies(),
                        made -> desk.session()
                                .say("Copied to "
                                        + desk.prefs()
                                                .copies()
                                                .place(desk.session().path()) + "."),
                        desk.session()::say);
    }

    /** Asks for files of builds. */
    BuildFiles files() {
        return new BuildFiles(desk.session().path(), () -> root.getScene().getWindow(), other);
    }

    void demo(DemoBuild.Which which) {
        other.accept(new ToOpen.Demo(which, false));
    }

    void turnTimer() {
        Optional<Labour.Holes> worked = shift.turn();
        worked.ifPresent(h -> cards.work(Optional.of(h), shift.minutes()));
        top.tick();
    }

    /** Minutes that the timer shows. */
    int minutes() {
        return timer.minutes();
    }

    void scale(int step) {
        desk.look().scaleProperty().set(Math.clamp(desk.look().scaleProperty().get() + step, 100, 200));
    }
}
