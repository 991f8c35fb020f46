package bucina.speed;

import bucina.core.edit.PartEdits;
import bucina.core.log.Operation;
import bucina.core.part.PartStates;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.progress.Task;
import bucina.desk.app.DeskWindow;
import bucina.desk.look.Type;
import bucina.desk.session.Desk;
import bucina.desk.session.LogForm;
import bucina.desk.session.Selection;
import bucina.desk.session.Suggestion;
import java.time.Clock;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.stage.Stage;
import javafx.util.Duration;

/**
 * How long the interface thread is held by what a person does in the whole window, on builds of 20 000 holes and on one
 * face of 5 000.
 */
public final class WindowSpeed extends Application {

    private static final int RUNS = 25;
    private final ExecutorService worker = Executors.newSingleThreadExecutor();

    public static void main(String[] args) {
        launch(args);
    }

    @Override
    public void start(Stage stage) {
        Type.load();
        Queue<Runnable> todo = new ArrayDeque<>();
        List<String> sizes = getParameters().getUnnamed();
        for (String size : sizes.isEmpty() ? List.of("40x500", "1x5000") : sizes) {
            String[] figures = size.split("x");
            measure(stage, Integer.parseInt(figures[0]), Integer.parseInt(figures[1]), todo);
        }
        todo.add(() -> {
            worker.shutdown();
            Platform.exit();
        });
        next(todo);
    }

    private static void next(Queue<Runnable> todo) {
        Optional.ofNullable(todo.poll()).ifPresent(Platform::runLater);
    }

    private void measure(Stage stage, int faces, int each, Queue<Runnable> todo) {
        Desk[] desk = new Desk[1];
        todo.add(() -> {
            desk[0] = BigBuild.desk(faces, each, worker, WindowSpeed::timed);
            // As a build is opened: with what now, then its sheet.
            desk[0].roomProperty().set(Desk.Room.TONIGHT);
            stage.setScene(new DeskWindow(desk[0], Clock.systemUTC()).scene());
            stage.getScene().addPreLayoutPulseListener(() -> pulse = Took.now());
            stage.getScene().addPostLayoutPulseListener(WindowSpeed::laidOut);
            stage.show();
            System.out.println(faces + " faces of " + each
                    + " holes: the interface thread, ms of its processor time and of the clock, median and most of "
                    + RUNS + "; the longest layout of a frame meanwhile, likewise");
            next(todo);
        });
        todo.add(() -> enter(desk[0], Desk.Room.SHEET, 0, new Took[1], todo));
        picks(todo, desk);
        stages(todo, desk, stage);
        step(
                todo,
                "another face",
                i -> desk[0].show(
                        desk[0].snapshot().build().faces().get(i % faces).face().id()));
        todo.add(() -> enter(desk[0], Desk.Room.PARTS, 0, new Took[RUNS], todo));
        todo.add(() -> enter(desk[0], Desk.Room.SHEET, 0, new Took[RUNS], todo));
        step(todo, "another unit", i -> desk[0].look().turnUnit());
        saved(todo, "an entry taken over after it was saved", (i, then) -> log(desk[0], i, then));
        saved(todo, "a part taken off or put on, on the sheet", (i, then) -> takeOff(desk[0], then));
    }

    private static void stages(Queue<Runnable> todo, Desk[] desk, Stage stage) {
        step(
                todo,
                "the whole face picked to be deburred, half of it not drilled",
                i -> desk[0].selectionProperty()
                        .set(Selection.all(
                                desk[0].face(),
                                Optional.of(desk[0].face().reading(i).hole().id()))));
        step(
                todo,
                "the same asked to be marked and refused",
                i -> ((Button) stage.getScene().lookup("#work-mark")).fire());
        step(todo, "a hole picked in Dress", i -> {
            if (desk[0].stageProperty().get() != bucina.desk.session.Stage.DRESS) {
                desk[0].stageProperty().set(bucina.desk.session.Stage.DRESS);
            }
            desk[0].selectionProperty()
                    .set(desk[0].selectionProperty().get().one(desk[0].face().reading(i * 3)));
        });
        todo.add(() -> {
            desk[0].stageProperty().set(bucina.desk.session.Stage.STUDY);
            next(todo);
        });
    }

    private static void picks(Queue<Runnable> todo, Desk[] desk) {
        step(
                todo,
                "a step along the row",
                i -> desk[0].selectionProperty()
                        .set(desk[0].selectionProperty().get().along(desk[0].face(), i % 9 == 0 ? -8 : 1, false)));
        step(
                todo,
                "a row picked",
                i -> desk[0].selectionProperty()
                        .set(Selection.row(
                                desk[0].face(),
                                desk[0].face().reading(i * 7).row().id(),
                                Optional.empty())));
        step(
                todo,
                "the whole face picked",
                i -> desk[0].selectionProperty()
                        .set(Selection.group(
                                desk[0].face(),
                                desk[0].face().reading(0).group().id(),
                                Optional.of(desk[0].face().reading(i).hole().id()))));
        step(todo, "the whole face picked in Drill", i -> {
            if (desk[0].stageProperty().get() != bucina.desk.session.Stage.DRILL) {
                desk[0].stageProperty().set(bucina.desk.session.Stage.DRILL);
            }
            desk[0].selectionProperty()
                    .set(Selection.all(
                            desk[0].face(),
                            Optional.of(desk[0].face().reading(i).hole().id())));
        });
        todo.add(() -> {
            desk[0].taskProperty().set(Task.of(Operation.DEBURRED));
            next(todo);
        });
    }

    private static Took held = Took.NOTHING;
    private static Took pulse = Took.NOTHING;
    private static Took laid = Took.NOTHING;
    private static Optional<Runnable> next = Optional.empty();

    private static void laidOut() {
        laid = laid.longer(pulse.until());
        next.ifPresent(Platform::runLater);
        next = Optional.empty();
    }

    /** Goes on once a frame is laid out. */
    private static void afterFrame(Runnable then) {
        next = Optional.of(then);
        Platform.requestNextPulse();
    }

    /** Runs what comes back from the worker on the interface thread, and keeps how long it held it at most. */
    private static void timed(Runnable task) {
        Platform.runLater(() -> {
            Took start = Took.now();
            task.run();
            held = held.longer(start.until());
        });
    }

    private interface Step {
        void run(int i);
    }

    private static void step(Queue<Runnable> todo, String name, Step step) {
        todo.add(() -> run(name, step, -RUNS, new Took[RUNS], todo));
    }

    private static void run(String name, Step step, int i, Took[] times, Queue<Runnable> todo) {
        Took start = Took.now();
        step.run(Math.abs(i));
        if (i >= 0) {
            times[i] = start.until();
        }
        if (i == RUNS - 1) {
            print(name, times);
            next(todo);
        } else {
            afterFrame(() -> run(name, step, i + 1, times, todo));
        }
    }

    /** Begins a change, and tells when it is taken over. */
    private interface Change {
        void begin(int i, Runnable then);
    }

    /** One change after another; what counts is the interface thread taking over what was saved. */
    private static void saved(Queue<Runnable> todo, String name, Change change) {
        todo.add(() -> takeOver(name, change, 0, new Took[RUNS], todo));
    }

    private static void takeOver(String name, Change change, int i, Took[] times, Queue<Runnable> todo) {
        held = Took.NOTHING;
        change.begin(
                i,
                () -> afterFrame(() -> {
                    times[i] = held;
                    if (i == RUNS - 1) {
                        print(name, times);
                        next(todo);
                    } else {
                        takeOver(name, change, i + 1, times, todo);
                    }
                }));
    }

    /** A room entered from another; what counts is the longest piece: the step, or laying out a frame after it. */
    private static void enter(Desk desk, Desk.Room room, int i, Took[] times, Queue<Runnable> todo) {
        if (times.length > 1) {
            desk.roomProperty().set(room == Desk.Room.SHEET ? Desk.Room.PARTS : Desk.Room.SHEET);
        }
        PauseTransition there = new PauseTransition(Duration.millis(400));
        there.setOnFinished(e -> entered(desk, room, i, times, todo));
        there.play();
    }

    private static void entered(Desk desk, Desk.Room room, int i, Took[] times, Queue<Runnable> todo) {
        laid = Took.NOTHING;
        Took start = Took.now();
        desk.roomProperty().set(room);
        Took step = start.until();
        PauseTransition rest = new PauseTransition(Duration.millis(400));
        rest.setOnFinished(e -> {
            times[i] = step.longer(laid);
            if (i == times.length - 1) {
                print(
                        "the " + room.word() + " room entered"
                                + (times.length > 1 ? " from another" : ", the first time"),
                        times);
                next(todo);
            } else {
                enter(desk, room, i + 1, times, todo);
            }
        });
        rest.play();
    }

    private static void log(Desk desk, int i, Runnable then) {
        desk.selectionProperty()
                .set(Selection.none(desk.face().face().id()).one(desk.face().reading(i)));
        Suggestion s = Suggestion.of(desk).orElseThrow();
        LogForm.Fields f = LogForm.suggest(s, desk, 1);
        f.who = "M";
        desk.session()
                .log(LogForm.of(s).draft(f, desk.lengths(), ""), List.of(), entry -> then.run(), WindowSpeed::refused);
    }

    private static void takeOff(Desk desk, Runnable then) {
        PartStates parts = desk.snapshot().parts();
        Part part = desk.snapshot().build().parts().getLast();
        Standing other = part.fitted() ? Standing.OFF : Standing.DRY;
        desk.session().plan("taken off", b -> PartEdits.stands(b, parts, part.id(), other), then, WindowSpeed::refused);
    }

    private static void refused(String sentence) {
        throw new IllegalStateException(sentence);
    }

    private static void print(String name, Took[] times) {
        double[] own = Arrays.stream(times).mapToDouble(Took::own).sorted().toArray();
        double[] clock = Arrays.stream(times).mapToDouble(Took::clock).sorted().toArray();
        System.out.printf(
                Locale.ROOT,
                "  %-64s %6.1f %6.1f   %6.1f %6.1f   %6.1f %6.1f%n",
                name,
                own[own.length / 2],
                own[own.length - 1],
                clock[clock.length / 2],
                clock[clock.length - 1],
                laid.own(),
                laid.clock());
        laid = Took.NOTHING;
    }
}
