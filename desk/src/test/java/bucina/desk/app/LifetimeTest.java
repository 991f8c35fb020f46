package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.explain.Why;
import bucina.core.measure.Unit;
import bucina.desk.bench.BenchSide;
import bucina.desk.card.AboutCard;
import bucina.desk.card.ApartCard;
import bucina.desk.card.BaysCard;
import bucina.desk.card.BenchMode;
import bucina.desk.card.BinsCard;
import bucina.desk.card.BringCard;
import bucina.desk.card.CalloutCard;
import bucina.desk.card.CheckCard;
import bucina.desk.card.CloseOutCard;
import bucina.desk.card.CopiesCard;
import bucina.desk.card.DoubtCard;
import bucina.desk.card.GagingCard;
import bucina.desk.card.GaugeCard;
import bucina.desk.card.HatchCard;
import bucina.desk.card.KeysCard;
import bucina.desk.card.LegendCard;
import bucina.desk.card.LostCard;
import bucina.desk.card.MergeCard;
import bucina.desk.card.MixCard;
import bucina.desk.card.NutPlateCard;
import bucina.desk.card.OutCard;
import bucina.desk.card.PackingCard;
import bucina.desk.card.PanelCard;
import bucina.desk.card.PartListsCard;
import bucina.desk.card.PhotosCard;
import bucina.desk.card.PictureCard;
import bucina.desk.card.ReachCard;
import bucina.desk.card.RibCard;
import bucina.desk.card.SearchCard;
import bucina.desk.card.StationsCard;
import bucina.desk.card.StructureCard;
import bucina.desk.card.TemporaryCard;
import bucina.desk.card.TypedCard;
import bucina.desk.card.WhatIfCard;
import bucina.desk.card.WhyCard;
import bucina.desk.card.WorkCard;
import bucina.desk.gauge.GaugePost;
import bucina.desk.guided.GuidedPane;
import bucina.desk.help.Guide;
import bucina.desk.help.HelpPane;
import bucina.desk.logbook.LogbookRoom;
import bucina.desk.look.Palette;
import bucina.desk.look.Shown;
import bucina.desk.papers.PapersRoom;
import bucina.desk.parts.PartsRoom;
import bucina.desk.rack.Rack;
import bucina.desk.rules.RulesRoom;
import bucina.desk.session.Apart;
import bucina.desk.session.Command;
import bucina.desk.session.CopyWish;
import bucina.desk.session.Finder;
import bucina.desk.session.Lost;
import bucina.desk.session.Prefs;
import bucina.desk.session.Sessions;
import bucina.desk.session.WorkTimer;
import bucina.desk.sheet.DoneLine;
import bucina.desk.sheet.OrientationBadge;
import bucina.desk.sheet.ReachBar;
import bucina.desk.sheet.SheetView;
import bucina.desk.stores.StoresRoom;
import bucina.desk.strip.ClecoBar;
import bucina.desk.strip.RowStrip;
import bucina.desk.sumsroom.SumsRoom;
import bucina.desk.tonight.TonightRoom;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.lang.ref.WeakReference;
import java.net.URL;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.scene.layout.Region;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** What is put away is gone: everything shown is opened and closed thirty times, and nothing of it stays in memory. */
class LifetimeTest extends OnWindow {

    private static final int TIMES = 30;
    /** Opened and closed with {@link BenchSide}. */
    private static final String PANEL = BenchSide.class.getPackageName() + ".StagePanel";

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private Map<Class<?>, Supplier<Shown>> ways() {
        GaugePost post = new GaugePost(Platform::runLater, l -> "");
        WorkTimer timer = new WorkTimer(Sessions.CLOCK);
        Runnable away = () -> {};
        Map<Class<?>, Supplier<Shown>> ways = new LinkedHashMap<>();
        ways.put(ApartCard.class, () -> new ApartCard(desk, Palette.LIGHT, apart(), away));
        ways.put(BenchMode.class, () -> new BenchMode(desk, Palette.LIGHT, away));
        ways.put(
                BringCard.class,
                () -> new BringCard(session, Unit.INCH, Optional.empty(), Palette.LIGHT, f -> {}, away));
        ways.put(CalloutCard.class, () -> new CalloutCard(desk, away));
        ways.put(GaugeCard.class, () -> new GaugeCard(desk.lengths(), Unit.INCH, post, away));
        ways.put(LegendCard.class, () -> new LegendCard(Palette.LIGHT, Optional.empty()));
        ways.put(CopiesCard.class, () -> new CopiesCard(session, desk.prefs(), p -> {}, away));
        ways.put(
                LostCard.class,
                () -> new LostCard(
                        session, new Lost(Lost.Kind.DAMAGED, "It is damaged."), CopyWish.USUAL, p -> {}, away));
        ways.put(MixCard.class, () -> new MixCard(desk, away));
        ways.put(NutPlateCard.class, () -> new NutPlateCard(desk, Palette.LIGHT, away));
        ways.put(OutCard.class, () -> new OutCard(desk, OutCard.What.FACE, away));
        ways.put(PackingCard.class, () -> new PackingCard(desk, away));
        ways.put(
                PanelCard.class,
                () -> new PanelCard(session, Unit.INCH, Prefs.Rivets.BOTH, Palette.LIGHT, f -> {}, away));
        ways.put(PartListsCard.class, () -> new PartListsCard(desk, away));
        ways.put(BaysCard.class, () -> new BaysCard(desk, away));
        ways.put(CloseOutCard.class, () -> new CloseOutCard(desk, away, away));
        ways.put(MergeCard.class, () -> new MergeCard(desk, o -> {}, away));
        ways.put(TemporaryCard.class, () -> new TemporaryCard(desk, away));
        ways.put(GagingCard.class, () -> new GagingCard(desk, away));
        ways.put(DoubtCard.class, () -> new DoubtCard(desk, Palette.LIGHT, away));
        ways.put(PhotosCard.class, () -> new PhotosCard(desk, away));
        ways.put(HatchCard.class, () -> new HatchCard(desk, Palette.LIGHT, away));
        ways.put(BinsCard.class, () -> new BinsCard(desk, away));
        ways.put(RibCard.class, () -> new RibCard(desk, away));
        ways.put(StructureCard.class, () -> new StructureCard(desk, away));
        ways.put(ReachCard.class, () -> new ReachCard(desk, away));
        ways.put(SearchCard.class, () -> new SearchCard(new Finder(desk, List.of(), List::of, s -> {}), away));
        ways.put(StationsCard.class, () -> new StationsCard(hole("R1.1").row(), away));
        beside(ways, away);
        rooms(ways, post, timer, away);
        return ways;
    }

    private void beside(Map<Class<?>, Supplier<Shown>> ways, Runnable away) {
        ways.put(WhyCard.class, () -> new WhyCard(why(), away, away));
        ways.put(WhatIfCard.class, () -> new WhatIfCard(desk, away));
        ways.put(TypedCard.class, () -> new TypedCard(desk, away));
        ways.put(WorkCard.class, () -> new WorkCard(desk, Optional.empty(), 0, away));
        ways.put(AboutCard.class, () -> new AboutCard(file, away));
        ways.put(CheckCard.class, () -> new CheckCard(desk, away));
        ways.put(KeysCard.class, () -> new KeysCard(desk, List.of(), away));
        ways.put(PictureCard.class, () -> new PictureCard(picture(), "the sheet", away));
        ways.put(HelpPane.class, () -> new HelpPane(Guide.shipped(), (u, w) -> {}, away));
        ways.put(GuidedPane.class, () -> new GuidedPane(guided, j -> {}));
    }

    private void rooms(Map<Class<?>, Supplier<Shown>> ways, GaugePost post, WorkTimer timer, Runnable away) {
        ways.put(LogbookRoom.class, () -> new LogbookRoom(desk));
        ways.put(PartsRoom.class, () -> new PartsRoom(desk, away, away));
        ways.put(TonightRoom.class, () -> new TonightRoom(desk));
        ways.put(RulesRoom.class, () -> new RulesRoom(desk));
        ways.put(StoresRoom.class, () -> new StoresRoom(desk, away));
        ways.put(PapersRoom.class, () -> new PapersRoom(desk));
        ways.put(
                SumsRoom.class,
                () -> new SumsRoom(new SumsRoom.Host(
                        session.catalogue(), Optional.of(session), desk.look().unitProperty(), w -> {}, true)));
        ways.put(Rack.class, () -> new Rack(desk, new Rack.Ways(away, away, away, away, away, away)));
        ways.put(SheetView.class, () -> new SheetView(desk));
        ways.put(RowStrip.class, () -> new RowStrip(desk));
        ways.put(ClecoBar.class, () -> new ClecoBar(desk));
        ways.put(ReachBar.class, () -> new ReachBar(desk, away));
        ways.put(DoneLine.class, () -> new DoneLine(session));
        ways.put(OrientationBadge.class, () -> new OrientationBadge(desk));
        ways.put(BenchSide.class, () -> new BenchSide(desk, timer, away, away, away, away));
        ways.put(
                TopBar.class,
                () -> new TopBar(desk, timer, away, away, new BuildMenu(session, desk.prefs(), commands(), o -> {})));
        ways.put(StageRail.class, () -> new StageRail(desk));
        ways.put(BatchBar.class, () -> new BatchBar(desk, away));
        ways.put(
                SheetRoom.class,
                () -> new SheetRoom(desk, timer, new Cards(desk, post, () -> Palette.LIGHT, o -> {}, away)));
        ways.put(DeskWindow.class, () -> new DeskWindow(desk, Sessions.CLOCK));
    }

    private Apart apart() {
        return Apart.of(
                desk.snapshot(), desk.snapshot().ref(desk.face().face().id()).assembly(), Optional.empty());
    }

    private static URL picture() {
        return Objects.requireNonNull(LifetimeTest.class.getResource("/bucina/desk/screenshots/sheet.png"));
    }

    private List<Command> commands() {
        DeskWindow window = new DeskWindow(desk, Sessions.CLOCK);
        List<Command> all = window.commands();
        window.close();
        return all;
    }

    private Why why() {
        return new Why("Gap", ".135 in", "", "", "", "");
    }

    @Test
    void nothing_that_is_shown_escapes_this_test() {
        Set<String> shown = new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS).importPackages("bucina.desk").stream()
                        .filter(c -> c.isAssignableTo(Shown.class))
                        .filter(c -> !c.isAssignableTo(PANEL))
                        .filter(c -> !c.isInterface() && !c.getModifiers().contains(JavaModifier.ABSTRACT))
                        .map(JavaClass::getSimpleName)
                        .collect(Collectors.toCollection(TreeSet::new));
        Set<String> opened =
                ways().keySet().stream().map(Class::getSimpleName).collect(Collectors.toCollection(TreeSet::new));
        assertThat(opened).containsExactlyElementsOf(shown);
    }

    @Test
    void what_is_put_away_stays_neither_in_memory_nor_at_work(FxRobot robot) throws Exception {
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R1.3"))));
        Map<String, List<WeakReference<Shown>>> gone = new LinkedHashMap<>();
        ways().forEach((type, way) -> robot.interact(() -> {
            List<WeakReference<Shown>> mine = new ArrayList<>();
            for (int i = 0; i < TIMES; i++) {
                mine.add(new WeakReference<>(openedAndClosed(way)));
            }
            gone.put(type.getSimpleName(), mine);
        }));
        List<String> left = List.of("?");
        for (int i = 0; i < 60 && !left.isEmpty(); i++) {
            // Work that was under way when it was put away may end first; the last pulses of the toolkit too.
            settle(robot);
            System.gc();
            Thread.sleep(50);
            left = gone.entrySet().stream()
                    .filter(e -> e.getValue().stream().anyMatch(w -> w.get() != null))
                    .map(Map.Entry::getKey)
                    .toList();
        }
        assertThat(left).as("kept in memory").isEmpty();
    }

    private static Shown openedAndClosed(Supplier<Shown> way) {
        Shown shown = way.get();
        shown.use(Palette.DARK, 1);
        if (shown.node() instanceof Region r) {
            r.resize(900, 600);
        }
        shown.close();
        return shown;
    }
}
