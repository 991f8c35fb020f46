package bucina.desk.app;

import bucina.desk.first.FirstStart;
import bucina.desk.guided.Guided;
import bucina.desk.guided.GuidedJobs;
import bucina.desk.help.Guide;
import bucina.desk.look.Type;
import bucina.desk.look.Ui;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.FaultLog;
import bucina.desk.session.Opened;
import bucina.desk.session.Places;
import bucina.desk.session.Prefs;
import bucina.desk.session.ToOpen;
import bucina.store.file.BuildFileException;
import bucina.store.file.Spelling;
import java.nio.file.Path;
import java.time.Clock;
import java.util.EnumSet;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.image.Image;
import javafx.stage.Stage;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;

/*
 * Design. The build is opened and derived on the worker while the toolkit starts, so that the first window shows the
 * sheet at once.
 */

/** The application: one build in one window. */
public final class DeskApp extends Application {

    /** Troubles that a copy helps out of. */
    private static final Set<BuildFileException.Trouble> HAS_COPIES = EnumSet.of(
            BuildFileException.Trouble.DAMAGED,
            BuildFileException.Trouble.NOT_A_BUILD,
            BuildFileException.Trouble.MISSING);

    /** What to open, set by {@link #open} before the toolkit starts. */
    private static volatile @Nullable CompletableFuture<Opened> opening;

    private static final ExecutorService WORKER = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().daemon(false).name("build file").factory());

    private final Guided guided = new Guided();
    private @Nullable Opened opened;
    private @Nullable BuildStage shown;
    private @Nullable Timeline look;

    /** Begins to open a build and starts the toolkit; returns when the window is closed. */
    public static void open(ToOpen what) {
        if (!(what instanceof ToOpen.Last && !Prefs.in(Places.settings()).begun())) {
            opening = CompletableFuture.supplyAsync(() -> openNow(what), WORKER);
        }
        Runtime.getRuntime().addShutdownHook(new Thread(DeskApp::unlock, "giving up the window's lock"));
        launch(DeskApp.class);
    }

    /** Asked to end from outside, nothing stays beside the file. */
    private static void unlock() {
        CompletableFuture<Opened> last = opening;
        if (last != null && last.isDone() && !last.isCompletedExceptionally()) {
            last.join().unlock();
        }
    }

    private static Opened openNow(ToOpen what) {
        return Opened.now(what, Prefs.in(Places.settings()), WORKER, Platform::runLater);
    }

    @Override
    public void start(Stage stage) {
        Type.load();
        stage.setTitle("Bucina");
        stage.getIcons()
                .add(new Image(
                        DeskApp.class.getResource("/bucina/desk/icon.png").toExternalForm()));
        stage.setMinWidth(960);
        stage.setMinHeight(640);
        report();
        // What F1 and the search box show is read before anybody waits for it.
        CompletableFuture.delayedExecutor(1, TimeUnit.SECONDS).execute(Guide::shipped);
        CompletableFuture<Opened> begun = opening;
        if (begun == null) {
            firstStart(stage);
            stage.show();
            return;
        }
        // The window stands while the build is read: what a toolkit does once is done meanwhile.
        stage.setScene(new Scene(new WaitingView(Prefs.in(Places.settings())), 1280, 800));
        stage.show();
        begun.whenCompleteAsync((next, failed) -> begun(stage, next, failed), Platform::runLater);
    }

    private void begun(Stage stage, @Nullable Opened next, @Nullable Throwable failed) {
        if (failed != null) {
            trouble(stage, failed instanceof CompletionException ? cause(failed) : failed);
        } else {
            show(stage, Objects.requireNonNull(next));
        }
        if (Rehearsal.asked()) {
            Rehearsal.run(stage, Optional.ofNullable(shown).map(BuildStage::desk));
        }
    }

    /** Asks the first questions; nothing is open before they are answered. */
    private void firstStart(Stage stage) {
        Prefs prefs = Prefs.in(Places.settings());
        FirstStart questions = new FirstStart(prefs, what -> begin(stage, what));
        stage.setScene(Ui.scene(questions));
        questions.enter();
    }

    private void begin(Stage stage, FirstStart.Begin what) {
        switch (what) {
            case FirstStart.Begin.Led() -> {
                guided.begin(GuidedJobs.first());
                instead(stage, new ToOpen.Practice(false), () -> {});
            }
            case FirstStart.Begin.Demo() ->
                instead(stage, new ToOpen.Demo(DemoBuild.Which.STABILATOR, false), () -> {});
            case FirstStart.Begin.New(Path file) -> instead(stage, new ToOpen.New(file), () -> {});
            case FirstStart.Begin.Bring(Path file) ->
                instead(
                        stage,
                        new ToOpen.New(file),
                        () -> Objects.requireNonNull(shown).bringIn());
        }
    }

    private void report() {
        Thread.currentThread().setUncaughtExceptionHandler((t, e) -> {
            String sentence = FaultLog.write("in the window", e);
            System.err.println(sentence);
            Optional.ofNullable(opened).ifPresent(o -> o.session().say(sentence));
        });
    }

    /** Shows and looks at no build any more. */
    private void letGo() {
        if (shown != null) {
            shown.end();
        }
        if (look != null) {
            look.stop();
        }
        shown = null;
        opened = null;
        opening = null;
    }

    private void show(Stage stage, Opened next) {
        letGo();
        opened = next;
        opening = CompletableFuture.completedFuture(next);
        shown = new BuildStage(
                stage, next.session(), next.prefs(), Clock.systemDefaultZone(), what -> other(stage, what), guided);
        Timeline again = new Timeline(new KeyFrame(Duration.seconds(1.5), e -> {
            next.session().look();
            next.session().copies().look(next.prefs().copies());
        }));
        again.setCycleCount(Animation.INDEFINITE);
        again.play();
        look = again;
    }

    private static Throwable cause(Throwable e) {
        return Optional.ofNullable(e.getCause()).orElse(e);
    }

    private void trouble(Stage stage, Throwable why) {
        letGo();
        Optional<Path> build = why instanceof BuildFileException e && HAS_COPIES.contains(e.trouble())
                ? Optional.of(e.path())
                : Optional.empty();
        stage.setScene(new Scene(
                new TroubleView(
                        String.valueOf(why.getMessage()),
                        build,
                        Prefs.in(Places.settings()).copies(),
                        what -> instead(stage, what, () -> {})),
                1280,
                800));
    }

    /** Opens another build in this window; the one that was open is closed once the other is there. */
    private void other(Stage stage, ToOpen what) {
        Opened before = Objects.requireNonNull(opened);
        // The same file again, put back or replaced: it has to be let go first.
        boolean same = named(what)
                .filter(p -> Spelling.of(p).equals(Spelling.of(before.session().path())))
                .isPresent();
        if (same) {
            WORKER.execute(before::close);
        }
        CompletableFuture.supplyAsync(() -> openNow(what), WORKER)
                .whenCompleteAsync(
                        (next, failed) -> {
                            if (failed != null && same) {
                                trouble(stage, cause(failed));
                                return;
                            }
                            if (failed != null) {
                                guided.leave();
                                before.session()
                                        .say("Not opened: " + cause(failed).getMessage());
                                return;
                            }
                            show(stage, next);
                            if (!same) {
                                WORKER.execute(before::close);
                            }
                        },
                        Platform::runLater);
    }

    private static Optional<Path> named(ToOpen what) {
        return switch (what) {
            case ToOpen.File f -> Optional.of(f.path());
            case ToOpen.Back b -> Optional.of(b.build());
            default -> Optional.empty();
        };
    }

    /** Opens something where nothing could be opened. */
    private void instead(Stage stage, ToOpen what, Runnable then) {
        CompletableFuture.supplyAsync(() -> openNow(what), WORKER)
                .whenCompleteAsync(
                        (next, failed) -> {
                            if (failed != null) {
                                trouble(stage, cause(failed));
                            } else {
                                show(stage, next);
                                then.run();
                            }
                        },
                        Platform::runLater);
    }

    @Override
    public void stop() {
        WORKER.execute(() -> {
            if (opened != null) {
                opened.close();
            } else if (opening != null && opening.isDone() && !opening.isCompletedExceptionally()) {
                // Read to its end after the window was closed.
                opening.join().close();
            }
        });
        WORKER.shutdown();
    }
}
