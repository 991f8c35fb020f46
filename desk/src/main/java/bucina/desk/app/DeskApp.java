package bucina.desk.app;

import bucina.core.catalogue.Catalogue;
import bucina.desk.look.Type;
import bucina.desk.session.Catalogues;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.FaultLog;
import bucina.desk.session.Places;
import bucina.desk.session.Prefs;
import bucina.desk.session.Session;
import bucina.desk.session.WindowLock;
import bucina.store.file.Spelling;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;
import javafx.util.Duration;
import org.jspecify.annotations.Nullable;

/*
 * Design. The build is opened and derived on the worker while the toolkit starts, so that the first window shows the
 * sheet at once.
 */

/** The application: one build in one window. */
public final class DeskApp extends Application {

    /** What to open, set by {@link #open} before the toolkit starts. */
    private static volatile @Nullable CompletableFuture<Opened> opening;

    private static final ExecutorService WORKER = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().daemon(false).name("build file").factory());

    /** A build opened, with the lock that makes this its window. */
    private record Opened(Session session, WindowLock lock, Prefs prefs) {
        void close() {
            session.close();
            lock.close();
        }
    }

    private @Nullable Opened opened;
    private @Nullable BuildStage shown;
    private @Nullable Timeline look;

    /** Which build to open. */
    public sealed interface What {
        /** A file. */
        record File(Path path) implements What {}

        /** The demonstration. */
        record Demo(DemoBuild.Which which, boolean fresh) implements What {}

        /** The build opened last, or the demonstration where there is none. */
        record Last() implements What {}

        /** A new build with nothing in it, in a file that is not there yet. */
        record New(Path path) implements What {}
    }

    /** Begins to open a build and starts the toolkit; returns when the window is closed. */
    public static void open(What what) {
        opening = CompletableFuture.supplyAsync(() -> openNow(what), WORKER);
        Runtime.getRuntime().addShutdownHook(new Thread(DeskApp::unlock, "giving up the window's lock"));
        launch(DeskApp.class);
    }

    /** Asked to end from outside, nothing stays beside the file. */
    private static void unlock() {
        CompletableFuture<Opened> last = opening;
        if (last != null && last.isDone() && !last.isCompletedExceptionally()) {
            last.join().lock.close();
        }
    }

    private static Opened openNow(What what) {
        Prefs prefs = Prefs.in(Places.settings());
        Catalogues.InForce tables = Catalogues.read();
        Catalogue catalogue = tables.catalogue();
        Path path = path(what, catalogue, prefs);
        WindowLock lock = WindowLock.of(path);
        try {
            Session session = Session.open(
                    path, lock.onlyReads(), catalogue, Clock.systemDefaultZone(), WORKER, Platform::runLater);
            tables.said().forEach(session::say);
            prefs.keep("last", path.toAbsolutePath().toString());
            return new Opened(session, lock, prefs);
        } catch (RuntimeException e) {
            lock.close();
            throw e;
        }
    }

    private static Path path(What what, Catalogue catalogue, Prefs prefs) {
        return switch (what) {
            case What.File f -> f.path();
            case What.New n -> DemoBuild.empty(n.path(), catalogue);
            case What.Demo d -> DemoBuild.file(d.which(), catalogue, d.fresh());
            case What.Last l ->
                prefs.last().orElseGet(() -> DemoBuild.file(DemoBuild.Which.STABILATOR, catalogue, false));
        };
    }

    @Override
    public void start(Stage stage) {
        Type.load();
        stage.setTitle("Bucina");
        stage.setMinWidth(960);
        stage.setMinHeight(640);
        report();
        try {
            Opened first = Objects.requireNonNull(opening, "what to open").join();
            show(stage, first);
        } catch (CompletionException e) {
            trouble(stage, cause(e));
        }
        stage.show();
        if (Boolean.getBoolean("bucina.rehearse")) {
            Rehearsal.run(stage);
        }
    }

    private void report() {
        Thread.currentThread().setUncaughtExceptionHandler((t, e) -> {
            String sentence = FaultLog.write("in the window", e);
            System.err.println(sentence);
            Optional.ofNullable(opened).ifPresent(o -> o.session.say(sentence));
        });
    }

    private void show(Stage stage, Opened next) {
        opened = next;
        opening = CompletableFuture.completedFuture(next);
        if (shown != null) {
            shown.end();
        }
        if (look != null) {
            look.stop();
        }
        shown = new BuildStage(stage, next.session, next.prefs, Clock.systemDefaultZone(), what -> other(stage, what));
        Timeline again = new Timeline(new KeyFrame(Duration.seconds(1.5), e -> next.session.look()));
        again.setCycleCount(Animation.INDEFINITE);
        again.play();
        look = again;
    }

    private static Throwable cause(Throwable e) {
        return Optional.ofNullable(e.getCause()).orElse(e);
    }

    private void trouble(Stage stage, Throwable why) {
        stage.setScene(new Scene(new TroubleView(String.valueOf(why.getMessage()), () -> reopen(stage)), 1280, 800));
    }

    /** Opens another build in this window; the one that was open is closed once the other is there. */
    private void other(Stage stage, What what) {
        Opened before = Objects.requireNonNull(opened);
        // The same file again, put back or replaced: it has to be let go first.
        boolean same = what instanceof What.File f && Spelling.of(f.path()).equals(Spelling.of(before.session.path()));
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
                                before.session.say(
                                        "Not opened: " + cause(failed).getMessage());
                                return;
                            }
                            show(stage, next);
                            if (!same) {
                                WORKER.execute(before::close);
                            }
                        },
                        Platform::runLater);
    }

    private void reopen(Stage stage) {
        CompletableFuture.supplyAsync(() -> openNow(new What.Demo(DemoBuild.Which.STABILATOR, false)), WORKER)
                .whenCompleteAsync(
                        (next, failed) -> {
                            if (failed != null) {
                                trouble(stage, cause(failed));
                            } else {
                                show(stage, next);
                            }
                        },
                        Platform::runLater);
    }

    @Override
    public void stop() {
        WORKER.execute(() -> {
            if (opened != null) {
                opened.close();
            }
        });
        WORKER.shutdown();
    }
}
