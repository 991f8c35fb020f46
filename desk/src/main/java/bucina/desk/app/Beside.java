package bucina.desk.app;

import bucina.desk.guided.Eyes;
import bucina.desk.guided.Guided;
import bucina.desk.guided.GuidedJob;
import bucina.desk.guided.GuidedPane;
import bucina.desk.help.Guide;
import bucina.desk.help.HelpPane;
import bucina.desk.look.Shown;
import bucina.desk.look.Ties;
import java.net.URL;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;

/**
 * What stands beside the work, at the left: the guide, or else the job that is led through, with a ring round what its
 * step is about.
 */
final class Beside implements AutoCloseable {

    private static final double LOOKS_MS = 150;
    private static final double ROUND = 4;
    private static final double WIDE = 320;
    /** How much of what text grows by it grows too: the work keeps most of the window. */
    private static final double LARGER = .55;

    /**
     * What it asks of the window.
     *
     * @param begin   begins another guided job
     * @param enlarge shows a picture of the guide large
     * @param room    told how much of the window's width it takes; 0 for none
     */
    record Host(Consumer<GuidedJob> begin, BiConsumer<URL, String> enlarge, DoubleConsumer room) {}

    private final Ties ties = new Ties();
    private final BorderPane frame;
    private final StackPane root;
    private final Guided guided;
    private final Eyes eyes;
    private final Host host;
    private final Region ring = new Region();
    /** Sees what is done and where the ring goes, while a job is on. */
    private final Timeline looks = new Timeline();

    private double scale = 1;
    private Optional<HelpPane> help = Optional.empty();
    private Optional<GuidedPane> lead = Optional.empty();

    /**
     * @param frame takes it at its left
     * @param root  takes the ring, over everything
     * @param eyes  what the steps of a guided job see
     */
    Beside(BorderPane frame, StackPane root, Guided guided, Eyes eyes, Host host) {
        this.frame = frame;
        this.root = root;
        this.guided = guided;
        this.eyes = eyes;
        this.host = host;
        ring.getStyleClass().add("guided-ring");
        ring.setManaged(false);
        ring.setMouseTransparent(true);
        ring.setVisible(false);
        root.getChildren().add(ring);
        ties.on(guided.atProperty(), this::lay);
        looks.getKeyFrames().add(new KeyFrame(Duration.millis(LOOKS_MS), e -> {
            guided.look(eyes);
            round();
        }));
        looks.setCycleCount(Animation.INDEFINITE);
        ties.keep(looks::stop);
        lay();
    }

    /** Shows a place of the guide. */
    void help(Guide.Place place) {
        if (help.isPresent()) {
            help.get().go(place);
        } else {
            HelpPane pane = new HelpPane(Guide.shipped(), host.enlarge(), this::putAway);
            pane.begin(place);
            help = Optional.of(pane);
            lay();
        }
        help.ifPresent(Shown::enter);
    }

    /** Puts the guide away; true if it was there. A guided job is left by its button. */
    boolean putAway() {
        boolean was = help.isPresent();
        help.ifPresent(Shown::close);
        help = Optional.empty();
        if (was) {
            lay();
        }
        return was;
    }

    /** True while the guide is shown. */
    boolean helping() {
        return help.isPresent();
    }

    /** Makes room for text larger by a factor. */
    void use(double factor) {
        scale = factor;
        lay();
    }

    private void lay() {
        boolean on = guided.atProperty().get().isPresent();
        if (on && lead.isEmpty()) {
            lead = Optional.of(new GuidedPane(guided, host.begin()));
            looks.play();
        } else if (!on) {
            looks.stop();
            lead.ifPresent(Shown::close);
            lead = Optional.empty();
        }
        Optional<? extends Region> shown = help.isPresent() ? help : lead;
        double wide = WIDE * (1 + (scale - 1) * LARGER);
        shown.ifPresent(s -> {
            s.setMinWidth(wide);
            s.setPrefWidth(wide);
        });
        frame.setLeft(shown.orElse(null));
        host.room().accept(shown.isPresent() ? wide : 0);
        round();
    }

    /** Puts the ring round what the step is about, where that is to be seen. */
    private void round() {
        Optional<Node> what = guided.atProperty()
                .get()
                .filter(at -> !at.ended() && !at.waiting().where().isEmpty())
                .flatMap(at -> Seen.first(root, at.waiting().where()));
        ring.setVisible(what.isPresent());
        what.ifPresent(n -> {
            Bounds at = root.sceneToLocal(n.localToScene(n.getLayoutBounds()));
            ring.resizeRelocate(
                    at.getMinX() - ROUND, at.getMinY() - ROUND, at.getWidth() + 2 * ROUND, at.getHeight() + 2 * ROUND);
        });
    }

    @Override
    public void close() {
        ties.close();
        help.ifPresent(Shown::close);
        lead.ifPresent(Shown::close);
    }
}
