package bucina.pictures;

import bucina.core.catalogue.Catalogue;
import bucina.core.demo.Dunlin;
import bucina.core.drawing.Template;
import bucina.core.plan.Build;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.desk.app.BuildStage;
import bucina.desk.app.DeskWindow;
import bucina.desk.first.FirstStart;
import bucina.desk.look.Type;
import bucina.desk.look.Ui;
import bucina.desk.session.Catalogues;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.Desk;
import bucina.desk.session.Prefs;
import bucina.desk.session.Printing;
import bucina.desk.session.Session;
import bucina.store.drawing.Paper;
import bucina.store.drawing.TemplatePdf;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayDeque;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.stage.Stage;
import javafx.util.Duration;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** Takes one picture of each main view, 1280 x 800, from a fresh copy of the demonstration. */
public final class Screenshots extends Application {

    private static volatile Path folder;
    private static volatile List<String> only = List.of();
    /** One of each main view: what is taken where none is named. */
    private static final Set<String> SHOWN = Set.of(
            "sheet",
            "logging",
            "logbook",
            "bringing-in",
            "clecos",
            "dressing",
            "reach-sheet",
            "stores",
            "batch",
            "parts",
            "prove",
            "guide",
            "guided-job",
            "first-start",
            "making-a-panel",
            "close-out",
            "tonight",
            "evening",
            "bend-bench");

    /** How often a pose is tried. */
    private static final int TRIES = 30;

    private static final CompletableFuture<Integer> EXIT = new CompletableFuture<>();
    private final ExecutorService worker = Executors.newSingleThreadExecutor();
    private Session session;
    private Stage stage;

    /** @param args the folder, and the names of the pictures to take; no name for those of the documentation */
    public static void main(String[] args) {
        Locale.setDefault(Locale.Category.FORMAT, Locale.ROOT);
        folder = Path.of(args[0]);
        only = List.of(args).subList(1, args.length);
        launch(Screenshots.class);
        System.exit(EXIT.getNow(1));
    }

    /** One picture: a name and what to do before it is taken. */
    private record Shot(String name, Runnable pose) {}

    /** One build opened for some pictures. */
    private record Sitting(Consumer<Path> file, Consumer<Queue<Shot>> shots) {}

    private final Queue<Sitting> sittings = new ArrayDeque<>();
    private final Clock clock = Clock.fixed(Instant.parse("2026-11-23T18:40:00Z"), ZoneId.of("UTC"));
    private final Catalogue catalogue = Catalogues.inForce();
    private Path home;
    private Desk desk;
    private DeskWindow window;

    @Override
    public void start(Stage first) throws IOException {
        Type.load();
        stage = first;
        Files.createDirectories(folder);
        home = Files.createTempDirectory("bucina-pictures");
        plan();
        next();
    }

    private void plan() throws IOException {
        sittings.add(new Sitting(
                f -> DemoBuild.write(f, catalogue),
                q -> CardPoses.sums(desk, window, stage.getScene()).forEach((n, p) -> q.add(new Shot(n, p)))));
        sittings.add(new Sitting(
                f -> DemoBuild.write(f, catalogue),
                q -> Poses.stabilator(desk, window, stage.getScene()).forEach((n, p) -> q.add(new Shot(n, p)))));
        sittings.add(new Sitting(
                f -> DemoBuild.empty(f, catalogue.rules()),
                q -> Poses.panel(stage).forEach((n, p) -> q.add(new Shot(n, p)))));
        sittings.add(new Sitting(
                f -> DemoBuild.write(DemoBuild.Which.LOCKER, f, catalogue),
                q -> Poses.locker(desk, window, stage.getScene()).forEach((n, p) -> q.add(new Shot(n, p)))));
        sittings.add(
                new Sitting(f -> DemoBuild.write(f, catalogue), q -> q.add(new Shot("first-start", this::firstStart))));
    }

    /** The questions of the first start, which stand where no build is open yet. */
    private void firstStart() {
        // Nobody's own folder is on a picture.
        System.setProperty("user.home", "/home/builder");
        FirstStart questions = new FirstStart(Prefs.in(home.resolve("prefs-first")), b -> {});
        stage.setScene(Ui.scene(questions));
        questions.enter();
    }

    private void next() {
        Sitting sitting = sittings.poll();
        if (session != null) {
            worker.execute(session::close);
        }
        if (sitting == null) {
            if (only.contains("template-page")) {
                templatePage();
            }
            EXIT.complete(0);
            worker.shutdown();
            Platform.exit();
            return;
        }
        Path file = home.resolve("build-" + sittings.size() + ".bucina");
        sitting.file.accept(file);
        session = Session.open(file, Optional.empty(), catalogue, clock, worker, Platform::runLater);
        Prefs prefs = Prefs.in(home.resolve("prefs-" + sittings.size()));
        prefs.keep("who", "M. Oake");
        if (session.snapshot().build().faces().isEmpty()) {
            new BuildStage(stage, session, prefs, clock);
        } else {
            desk = new Desk(session, prefs);
            window = new DeskWindow(desk, clock);
            stage.setScene(window.scene());
        }
        stage.show();
        Queue<Shot> shots = new ArrayDeque<>();
        sitting.shots.accept(shots);
        take(shots);
    }

    private void take(Queue<Shot> shots) {
        Shot shot = shots.poll();
        if (shot == null) {
            next();
            return;
        }
        pose(shot, shots, TRIES);
    }

    /** Poses, and again after a while where what is asked for has not come back from the worker yet. */
    private void pose(Shot shot, Queue<Shot> shots, int tries) {
        try {
            shot.pose.run();
        } catch (RuntimeException e) {
            if (tries > 1) {
                after(400, () -> pose(shot, shots, tries - 1));
                return;
            }
            System.err.println("The pose " + shot.name + " failed: " + e);
            worker.shutdown();
            Platform.exit();
            return;
        }
        boolean wanted = only.isEmpty() ? SHOWN.contains(shot.name) : only.contains(shot.name);
        after(wanted ? 900 : shot.name.startsWith("to-") ? 400 : 60, () -> settled(wanted, shot, shots));
    }

    private static void after(double millis, Runnable then) {
        PauseTransition rest = new PauseTransition(Duration.millis(millis));
        rest.setOnFinished(e -> then.run());
        rest.play();
    }

    private void settled(boolean wanted, Shot shot, Queue<Shot> shots) {
        try {
            if (wanted) {
                write(stage.getScene().snapshot(null), folder.resolve(shot.name + ".png"));
            }
            take(shots);
        } catch (IOException ex) {
            System.err.println(
                    "The picture " + shot.name + " could not be written to " + folder + ": " + ex.getMessage());
            Platform.exit();
        }
    }

    /** The first page of a face template and of a strip, side by side. */
    private void templatePage() {
        Build build = Dunlin.build(catalogue.rules());
        Build.FaceRef web = build.face("Main spar web").orElseThrow();
        FaceReading reading = Derivation.of(build, catalogue).face(web.face().id());
        BufferedImage out = new BufferedImage(1280, 800, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = out.createGraphics();
        g.setColor(Color.LIGHT_GRAY);
        g.fillRect(0, 0, 1280, 800);
        Template strip =
                Template.strip(web, web.face().groups().getFirst().rows().getFirst(), reading);
        drawPages(web, reading, strip, build, g);
        try {
            ImageIO.write(out, "png", folder.resolve("template-page.png").toFile());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void drawPages(Build.FaceRef web, FaceReading reading, Template strip, Build build, Graphics2D g) {
        int x = 70;
        for (Template template : List.of(Template.face(web, reading), strip)) {
            try (PDDocument pdf = Loader.loadPDF(TemplatePdf.write(template, Paper.A4, build.name(), Printing.FONTS))) {
                BufferedImage page = new PDFRenderer(pdf).renderImage(0, 0.9f, ImageType.RGB);
                g.drawImage(page, x, 20, null);
                x += page.getWidth() + 70;
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    private static void write(WritableImage image, Path path) throws IOException {
        int w = (int) image.getWidth();
        int h = (int) image.getHeight();
        BufferedImage out = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
        PixelReader in = image.getPixelReader();
        int[] line = new int[w];
        for (int y = 0; y < h; y++) {
            in.getPixels(0, y, w, 1, PixelFormat.getIntArgbInstance(), line, 0, w);
            out.setRGB(0, y, w, 1, line, 0, w);
        }
        ImageIO.write(out, "png", path.toFile());
    }
}
