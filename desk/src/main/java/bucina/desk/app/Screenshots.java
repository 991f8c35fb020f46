package bucina.desk.app;

import bucina.core.catalogue.Catalogue;
import bucina.core.plan.Build;
import bucina.desk.look.Type;
import bucina.desk.session.Catalogues;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.Desk;
import bucina.desk.session.Explain;
import bucina.desk.session.Prefs;
import bucina.desk.session.Selection;
import bucina.desk.session.Session;
import bucina.core.stack.HoleReading;
import bucina.desk.session.Stage;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayDeque;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.TextField;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.util.Duration;
import javax.imageio.ImageIO;

/** Takes one picture of each main view, 1280 x 800, from a fresh copy of the demonstration. */
public final class Screenshots extends Application {

    private static volatile Path folder;
    private static final CompletableFuture<Integer> EXIT = new CompletableFuture<>();
    private final ExecutorService worker = Executors.newSingleThreadExecutor();
    private Session session;
    private javafx.stage.Stage stage;

    /** Takes the pictures; gives the exit code. */
    public static int into(Path out) {
        folder = out;
        launch(Screenshots.class);
        return EXIT.getNow(1);
    }

    /** One picture: a name and what to do before it is taken. */
    private record Shot(String name, Runnable pose) {
    }

    @Override
    public void start(javafx.stage.Stage first) throws IOException {
        Type.load();
        stage = first;
        Files.createDirectories(folder);
        Path home = Files.createTempDirectory("bucina-pictures");
        Path file = home.resolve("dunlin.bucina");
        Catalogue catalogue = Catalogues.inForce();
        DemoBuild.write(file, catalogue);
        Clock clock = Clock.fixed(Instant.parse("2026-11-23T18:40:00Z"), ZoneId.of("UTC"));
        session = Session.open(file, Optional.empty(), catalogue, clock, worker, Platform::runLater);
        Prefs prefs = Prefs.in(home);
        prefs.keep("who", "M. Oake");
        Desk desk = new Desk(session, prefs);
        DeskWindow window = new DeskWindow(desk, clock);
        Scene scene = window.scene();
        stage.setScene(scene);
        stage.show();
        take(new ArrayDeque<>(shots(desk, window, scene)));
    }

    private static List<Shot> shots(Desk desk, DeskWindow window, Scene scene) {
        return List.of(
                new Shot("sheet", () -> pick(desk, "Upper skin", "R1", 5)),
                new Shot("sheet-close", () -> {
                    window.sheet().zoom(4.5);
                    desk.legendProperty().set(true);
                }),
                new Shot("why", () -> {
                    desk.legendProperty().set(false);
                    HoleReading hole = desk.cursor().orElseThrow();
                    desk.whyProperty().set(Optional.of(new Explain(desk.snapshot().build().rules(), desk.unit()).hole(hole).get(1)));
                }),
                new Shot("finding", () -> {
                    window.putAway();
                    pick(desk, "Main spar web", "R8", 1);
                }),
                new Shot("logging", () -> logging(desk, scene)),
                new Shot("logbook", () -> desk.roomProperty().set(Desk.Room.LOGBOOK)),
                new Shot("lower-skin-mm", () -> {
                    desk.roomProperty().set(Desk.Room.SHEET);
                    desk.stageProperty().set(Stage.STUDY);
                    desk.turnUnit();
                    pick(desk, "Lower skin", "R30", 3);
                }),
                new Shot("night", () -> {
                    desk.turnUnit();
                    desk.darkProperty().set(true);
                    pick(desk, "Upper skin", "R1", 18);
                }),
                new Shot("bench-mode", () -> {
                    desk.darkProperty().set(false);
                    pick(desk, "Upper skin", "R1", 8);
                    desk.selectionProperty().set(Selection.row(desk.face(), desk.cursor().orElseThrow().row().id(), desk.selectionProperty().get().cursor()));
                    desk.benchProperty().set(true);
                }),
                new Shot("search", () -> {
                    desk.benchProperty().set(false);
                    window.search();
                    ((TextField) scene.lookup("#search-box")).setText("doubler");
                }),
                new Shot("typed-stack", () -> {
                    window.putAway();
                    desk.stageProperty().set(Stage.STUDY);
                    window.addTyped();
                    ((TextField) scene.lookup("#typed-layers")).setText(".025, .032");
                    ((TextField) scene.lookup("#typed-count")).setText("24");
                }));
    }

    private static void pick(Desk desk, String face, String row, int label) {
        Build.FaceRef ref = desk.snapshot().build().face(face).orElseThrow();
        desk.show(ref.face().id());
        HoleReading reading = desk.face().readings().stream().filter(r -> r.row().name().equals(row) && r.hole().label() == label).findFirst().orElseThrow();
        desk.selectionProperty().set(desk.selectionProperty().get().one(reading));
    }

    private static void logging(Desk desk, Scene scene) {
        pick(desk, "Lower skin", "R1", 15);
        desk.stageProperty().set(Stage.SET);
        HoleReading to = desk.face().readings().stream().filter(r -> r.label().equals("R1.30")).findFirst().orElseThrow();
        desk.selectionProperty().set(desk.selectionProperty().get().range(desk.face(), to));
        ((TextField) scene.lookup("#log-tool")).setText("Gun 2X and bar");
        ((TextField) scene.lookup("#log-minutes")).setText("35");
        ((TextField) scene.lookup("#log-readings")).setText(".146x.047, .149x.045, .138x.044");
    }

    private void take(Queue<Shot> shots) {
        Shot shot = shots.poll();
        if (shot == null) {
            EXIT.complete(0);
            worker.execute(session::close);
            worker.shutdown();
            Platform.exit();
            return;
        }
        shot.pose.run();
        PauseTransition settle = new PauseTransition(Duration.millis(500));
        settle.setOnFinished(e -> {
            try {
                write(stage.getScene().snapshot(null), folder.resolve(shot.name + ".png"));
                take(shots);
            } catch (IOException ex) {
                System.err.println("The picture " + shot.name + " could not be written to " + folder + ": " + ex.getMessage());
                Platform.exit();
            }
        });
        settle.play();
    }

    private static void write(WritableImage image, Path path) throws IOException {
        int w = (int) image.getWidth();
        int h = (int) image.getHeight();
        BufferedImage out = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
        PixelReader in = image.getPixelReader();
        int[] line = new int[w];
        for (int y = 0; y < h; y++) {
            in.getPixels(0, y, w, 1, javafx.scene.image.PixelFormat.getIntArgbInstance(), line, 0, w);
            out.setRGB(0, y, w, 1, line, 0, w);
        }
        ImageIO.write(out, "png", path.toFile());
    }
}
