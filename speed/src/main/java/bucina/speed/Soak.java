package bucina.speed;

import bucina.core.log.Operation;
import bucina.core.progress.Task;
import bucina.desk.app.DeskWindow;
import bucina.desk.look.Type;
import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import bucina.desk.session.LogForm;
import bucina.desk.session.Selection;
import bucina.desk.session.Suggestion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.time.Clock;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;

/**
 * Eight hours in fast motion: a builder with two years behind them does something every two seconds, in the real
 * window, on the real file. After each hour it says what is in use and how large the file is. Whatever is refused is
 * refused in a sentence; anything else ends it.
 */
public final class Soak extends Application {

    private static final int HOURS = Integer.getInteger("hours", 8);
    private static final int AN_HOUR = 1800;
    private static final int EVENINGS = 500;
    /** What leaves the build, or waits for a window of the system's own. */
    private static final Set<String> NOT = Set.of(
            "new-build",
            "open-build",
            "demo-stabilator",
            "demo-locker",
            "demo-box",
            "guided-first",
            "guided-panel",
            "add-photograph",
            "bend-bench");

    private final ExecutorService worker = Executors.newSingleThreadExecutor();
    private final Random random = new Random(Long.getLong("seed", 17));
    private Desk desk;
    private DeskWindow window;
    private List<Command> commands = List.of();
    /** How long each kind of thing done held the interface thread at most in this hour, ms. */
    private final Map<String, Took> held = new HashMap<>();

    private Took begun = Took.NOTHING;
    private String last = "";
    private int done;
    private int logged;

    public static void main(String[] args) {
        launch(args);
    }

    @Override
    public void start(Stage stage) {
        Thread.currentThread().setUncaughtExceptionHandler((t, e) -> {
            e.printStackTrace();
            Runtime.getRuntime().halt(1);
        });
        Type.load();
        desk = BigBuild.desk(8, 500, EVENINGS, worker, Platform::runLater);
        desk.look().sound(false);
        window = new DeskWindow(desk, Clock.systemUTC());
        stage.setScene(window.scene());
        stage.getScene().addPreLayoutPulseListener(this::begin);
        stage.getScene().addPostLayoutPulseListener(() -> held("frame after " + last));
        stage.show();
        commands = window.commands().stream().filter(c -> !NOT.contains(c.id())).toList();
        System.out.printf(
                Locale.ROOT,
                "%d holes, %d entries behind; %d commands. Hour, MB in use, file kB, entries, marks, threads, what held"
                        + " the interface thread longest, ms of its processor time (of the clock)%n",
                4000,
                desk.snapshot().log().entries().size(),
                commands.size());
        hour();
    }

    private void hour() {
        System.gc();
        Runtime vm = Runtime.getRuntime();
        try {
            System.out.printf(
                    Locale.ROOT,
                    "%2d %6.1f %7d %6d %7d %4d  %s%n",
                    done / AN_HOUR,
                    (vm.totalMemory() - vm.freeMemory()) / 1e6,
                    Files.size(desk.session().path()) / 1000,
                    desk.snapshot().log().entries().size(),
                    desk.snapshot().log().marks().size(),
                    ManagementFactory.getThreadMXBean().getThreadCount(),
                    held.entrySet().stream()
                            .sorted(Map.Entry.<String, Took>comparingByValue(Comparator.comparingDouble(Took::own))
                                    .reversed())
                            .limit(8)
                            .map(e -> String.format(
                                    Locale.ROOT,
                                    "%s %.0f (%.0f)",
                                    e.getKey(),
                                    e.getValue().own(),
                                    e.getValue().clock()))
                            .collect(Collectors.joining(", ")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        held.clear();
        if (done >= HOURS * AN_HOUR) {
            System.out.println(logged + " entries were logged in it, and " + done + " things done");
            worker.shutdown();
            Platform.exit();
            return;
        }
        act();
    }

    /** One thing, then what comes back from the disk, then the next. */
    private void act() {
        begin();
        last = something();
        held(last);
        done++;
        worker.execute(() -> Platform.runLater(() -> {
            if (done % AN_HOUR == 0) {
                hour();
            } else {
                act();
            }
        }));
    }

    private void begin() {
        begun = Took.now();
    }

    private void held(String what) {
        held.merge(what, begun.until(), (a, b) -> a.own() >= b.own() ? a : b);
    }

    /** Does one thing, and says which. */
    private String something() {
        return switch (random.nextInt(10)) {
            case 0 -> command("put-away");
            case 1 -> face();
            case 2 -> hole();
            case 3 -> mark();
            case 4 -> log();
            case 5 -> command(random.nextBoolean() ? "undo" : "redo");
            default -> {
                Command next = commands.get(random.nextInt(commands.size()));
                next.does().run();
                if (next.id().startsWith("room")) {
                    desk.askedProperty().set(Optional.of(window.getClass().getSimpleName()));
                }
                command("put-away");
                yield next.id();
            }
        };
    }

    private String command(String id) {
        commands.stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow()
                .does()
                .run();
        return id;
    }

    private String face() {
        desk.show(desk.snapshot().build().faces().get(random.nextInt(8)).face().id());
        return "another face";
    }

    private String hole() {
        desk.selectionProperty()
                .set(Selection.none(desk.face().face().id())
                        .one(desk.face().reading(random.nextInt(desk.face().size()))));
        return "a hole";
    }

    private String mark() {
        int at = random.nextInt(desk.face().size() - 8);
        desk.session()
                .mark(
                        "marking",
                        Task.of(Operation.PILOT)
                                .marks(
                                        desk.snapshot().log(),
                                        desk.face().readings().subList(at, at + 8),
                                        random.nextInt(4) > 0,
                                        desk.session().instant()),
                        "marked",
                        () -> {},
                        desk.session()::say);
        return "marks";
    }

    private String log() {
        int at = random.nextInt(desk.face().size());
        desk.selectionProperty()
                .set(Selection.none(desk.face().face().id()).one(desk.face().reading(at)));
        Suggestion.of(desk).ifPresent(s -> {
            LogForm.Fields f = LogForm.suggest(s, desk, 1);
            f.who = "M";
            desk.session()
                    .log(LogForm.of(s).draft(f, desk.lengths(), ""), List.of(), entry -> logged++, desk.session()::say);
        });
        return "an entry";
    }
}
