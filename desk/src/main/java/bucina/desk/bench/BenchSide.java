package bucina.desk.bench;

import bucina.core.hand.FirstHand;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Palette;
import bucina.desk.look.Shown;
import bucina.desk.look.ShownPane;
import bucina.desk.look.Ui;
import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import bucina.desk.session.Stage;
import bucina.desk.session.WorkTimer;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;

/** Shows the panel of the stage for the hole looked at, or a typed stack: what it is at the top, what is next below. */
public final class BenchSide extends ShownPane {

    private final Desk desk;
    private final Label title = Ui.label("", "bench-title");
    private final Label where = Ui.wrapped("", "bench-where");
    /** What the first hand's log says, while a hole of the other hand is open. */
    private final Label first = Ui.wrapped("", "bench-where");

    private final ScrollPane scroll = Ui.scroll(new VBox());
    private final Map<Stage, StagePanel> panels = new EnumMap<>(Stage.class);
    private final StagePanel change;
    private final LogPanel log;

    /**
     * @param print    offers the sheet of what stays open
     * @param stations shows the running dimensions of the row
     * @param clecos   plays the cleco plan of the row
     * @param apart    opens what is noted before taking apart
     */
    public BenchSide(Desk desk, WorkTimer timer, Runnable print, Runnable stations, Runnable clecos, Runnable apart) {
        this.desk = desk;
        NextStep next = new NextStep(desk);
        change = new ChangePanel(desk, stations);
        log = new LogPanel(desk, timer, next, this::fill);
        panels.put(Stage.STUDY, new StudyPanel(desk, next));
        panels.put(Stage.FIT, new FitPanel(desk, print, clecos, apart));
        panels.put(Stage.DRILL, new DrillPanel(desk, apart));
        panels.put(Stage.DRESS, new DressPanel(desk, apart));
        panels.put(Stage.SET, log);
        panels.put(Stage.PROVE, new ProvePanel(desk, timer));
        getStyleClass().add("bench-side");
        lay();
        List.of(
                        desk.selectionProperty(),
                        desk.typedGroupProperty(),
                        desk.snapshotProperty(),
                        desk.look().unitProperty(),
                        desk.stageProperty(),
                        desk.correctingProperty(),
                        desk.changingProperty(),
                        desk.layerProperty(),
                        desk.over().proofProperty(),
                        desk.look().trimProperty())
                .forEach(p -> ties.on(p, this::fill));
    }

    private void lay() {
        setCenter(scroll);
        first.setId("first-hand");
        VBox head = new VBox(1, title, where, first);
        head.setPadding(new Insets(10, 14, 6, 14));
        setTop(head);
    }

    private List<StagePanel> all() {
        List<StagePanel> all = new ArrayList<>(panels.values());
        all.add(change);
        return all;
    }

    @Override
    public void use(Palette colours, double scale) {
        all().forEach(p -> p.use(colours, scale));
        fill();
    }

    /** The panel that is shown: changing and correcting go before the stage. */
    private StagePanel panel() {
        if (desk.changingProperty().get()) {
            return change;
        }
        return desk.correctingProperty().get().isPresent()
                ? log
                : Objects.requireNonNull(panels.get(desk.stageProperty().get()));
    }

    private void fill() {
        head();
        StagePanel panel = panel();
        panel.fill();
        panel.setPadding(new Insets(4, 14, 12, 14));
        if (scroll.getContent() != panel) {
            scroll.setContent(panel);
        }
        setBottom(panel.footer().orElse(null));
    }

    /** Does what the button at the foot says: writes the entry down, marks, or goes on to what is set next. */
    public void act() {
        panel().act();
    }

    /** What the panels contribute to keys and search; each does something only in a panel that has it. */
    public List<Command> commands() {
        Map<String, Command> commands = new LinkedHashMap<>();
        all().forEach(p -> p.commands().forEach(c -> commands.putIfAbsent(c.id(), c.doing(() -> here(c.id())))));
        return List.copyOf(commands.values());
    }

    private void here(String id) {
        // What is not seen is not changed.
        boolean seen = desk.roomProperty().get() == Desk.Room.SHEET;
        panel().commands().stream()
                .filter(c -> c.id().equals(id) && (seen || !c.changes()))
                .findFirst()
                .ifPresent(c -> c.does().run());
    }

    private void head() {
        Optional<HoleReading> cursor = desk.cursor();
        boolean typed = desk.typedGroupProperty()
                .get()
                .flatMap(g -> desk.snapshot().derivation().typed(g))
                .isPresent();
        boolean none = cursor.isEmpty() && !typed || desk.changingProperty().get() && cursor.isEmpty();
        Ui.shown(title, !none);
        Ui.shown(where, !none);
        int picked = desk.selectionProperty().get().holes().size();
        say(cursor, picked, typed);
        Optional<FirstHand> mirrored = cursor.filter(
                        c -> !none && !desk.snapshot().set(c))
                .flatMap(c -> FirstHand.of(
                        desk.snapshot().build(), desk.snapshot().log(), c.hole().id()));
        Ui.shown(first, mirrored.isPresent());
        mirrored.ifPresent(f -> first.setText(f.words(desk.unit())));
    }

    private void say(Optional<HoleReading> cursor, int picked, boolean typed) {
        if (cursor.isPresent()) {
            HoleReading r = cursor.get();
            title.setText(r.label() + (picked > 1 ? "  of " + picked + " picked" : ""));
            where.setText(r.group().code() + " " + r.group().name() + ", "
                    + desk.snapshot().state(r).words()
                    + (TemporaryBolt.in(desk, r) ? ", temporary bolt in: its own is owed" : "")
                    + r.hole().deviation().map(d -> ". Deviates: " + d.reason()).orElse(""));
        } else if (typed) {
            desk.typedGroupProperty()
                    .get()
                    .flatMap(g -> desk.snapshot().group(g))
                    .ifPresent(ref -> {
                        title.setText(ref.group().code());
                        where.setText(ref.group().name() + ", typed stack, "
                                + desk.snapshot().installed(ref.group()) + " of "
                                + ref.group().count() + " set");
                    });
        }
    }

    @Override
    public void close() {
        super.close();
        all().forEach(Shown::close);
    }
}
