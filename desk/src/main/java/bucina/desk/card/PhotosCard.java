package bucina.desk.card;

import bucina.core.form.Entries;
import bucina.core.measure.InputException;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.Pin;
import bucina.desk.look.Fields;
import bucina.desk.look.Refusal;
import bucina.desk.look.Scroll;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Thumbnails;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.PhotoData;
import bucina.desk.session.PhotoFiles;
import bucina.desk.session.Places;
import bucina.desk.session.Selection;
import bucina.store.Photo;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.util.Duration;

/**
 * Photographs of the build: brought in from files, by letting them fall here or from a watched folder, and pinned to
 * what they show.
 */
public final class PhotosCard extends ShownBox {

    private static final double SMALL = 84;
    private static final double LARGE = 300;
    /** Points of the longer side where a large one is made smaller. */
    private static final int SCALED = 2400;

    private final Desk desk;
    private final FlowPane all = new FlowPane(8, 8);
    private final StackPane large = new StackPane();
    private final Label about = Ui.wrapped("", "soft");
    private final HBox ways = new HBox(8);
    private final Fields pins = new Fields();
    private final TextField says;
    private final TextField parts;
    private final ComboBox<Optional<Bay>> bay;
    private final CheckBox holes = new CheckBox("the picked holes");
    private final CheckBox place = new CheckBox("keep where it was taken");
    private final CheckBox smaller = new CheckBox("make large ones smaller");
    private final TextField folder = new TextField();
    private final Button fresh = Ui.button("", "", this::bringFresh);
    private final Refusal wrong = new Refusal();
    private final Timeline watch = new Timeline(new KeyFrame(Duration.seconds(2), e -> look()));
    private List<Path> waiting = List.of();
    private final Set<Path> done = new HashSet<>();
    private boolean looking;

    public PhotosCard(Desk desk, Runnable away) {
        super(8);
        this.desk = desk;
        getStyleClass().add("card");
        setId("photos-card");
        setMaxSize(940, USE_PREF_SIZE);
        says = pins.add("It shows", new TextField(), "photo-says");
        parts = pins.add("Of parts", new TextField(), "photo-parts");
        List<Optional<Bay>> bays = new ArrayList<>(List.of(Optional.empty()));
        desk.session().snapshot().build().workshop().bays().forEach(b -> bays.add(Optional.of(b)));
        bay = pins.choice(
                "Of bay", bays, Optional.empty(), b -> b.map(Bay::name).orElse("none"), "photo-bay", b -> asked());
        says.setPromptText("the bolts, striped");
        parts.setPromptText("names or numbers, with commas");
        folder.setPromptText("a folder that the camera fills");
        folder.setId("photo-folder");
        folder.setText(desk.prefs().photos());
        holes.setId("photo-holes");
        place.setId("photo-place");
        smaller.setId("photo-smaller");
        fresh.setId("photo-fresh");
        wrong.setId("photo-wrong");
        all.setId("photo-all");
        lay(away);
        drops();
        fill();
        ties.on(desk.session().snapshotProperty(), this::fill);
        watch.setCycleCount(Animation.INDEFINITE);
        watch.play();
    }

    private void lay(Runnable away) {
        Button choose = Ui.button("Bring in files", "", this::choose, "primary");
        choose.setId("photo-choose");
        choose.setDisable(desk.session().readOnly());
        holes.setSelected(!desk.selectionProperty().get().holes().isEmpty());
        large.setMinHeight(LARGE);
        large.setPrefWidth(400);
        Scroll scroll = Scroll.of(all);
        scroll.setPrefSize(440, LARGE);
        HBox pictures = new HBox(12, scroll, new VBox(4, large, about, ways));
        HBox foot = new HBox(8, choose, fresh, Ui.spring(), Ui.button("Close", "Esc", away, "quiet"));
        foot.setAlignment(Pos.CENTER_LEFT);
        Ui.shown(fresh, false);
        getChildren()
                .addAll(
                        Ui.label("Photographs", "bench-title"),
                        pictures,
                        Ui.label("What comes in now is pinned to", "strong"),
                        pins,
                        new HBox(16, holes, place, smaller),
                        Ui.named("Watched folder", folder),
                        wrong,
                        foot);
    }

    /** The words that the bay asks for are offered. */
    private void asked() {
        bay.getValue()
                .ifPresent(b -> b.photos().stream()
                        .filter(p -> desk.session().snapshot().build().workshop().pins().stream()
                                .noneMatch(x ->
                                        x.bays().contains(b.id()) && x.says().equalsIgnoreCase(p)))
                        .findFirst()
                        .ifPresent(says::setText));
    }

    private void drops() {
        setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
            e.consume();
        });
        setOnDragDropped(e -> {
            bring(e.getDragboard().getFiles().stream().map(File::toPath).toList());
            e.setDropCompleted(true);
            e.consume();
        });
    }

    private void fill() {
        all.getChildren().clear();
        List<Pin> pinned = desk.session().snapshot().build().workshop().pins();
        for (Pin pin : pinned.reversed()) {
            Button small = new Button();
            small.setId("pin-" + pin.id().n());
            small.setAccessibleText(pin.name() + " " + pin.says());
            small.getStyleClass().add("quiet");
            small.setOnAction(e -> show(pin));
            all.getChildren().add(small);
            desk.session().photo(pin.photo(), p -> small.setGraphic(Thumbnails.of(p, SMALL)));
        }
        if (pinned.isEmpty()) {
            all.getChildren().add(Ui.wrapped("None yet. Let picture files fall here, or bring them in below.", "soft"));
        }
    }

    private void show(Pin pin) {
        large.getChildren().clear();
        desk.session().photo(pin.photo(), p -> large.getChildren().setAll(Thumbnails.of(p, LARGE)));
        Build build = desk.session().snapshot().build();
        String of = Stream.concat(
                        pin.shown().stream().map(p -> build.part(p).name()),
                        build.workshop().bays().stream()
                                .filter(b -> pin.bays().contains(b.id()))
                                .map(Bay::name))
                .collect(Collectors.joining(", "));
        about.setText(pin.name() + (pin.says().isBlank() ? "" : ": " + pin.says())
                + pin.taken()
                        .map(t -> ". Taken " + t.toString().replace('T', ' '))
                        .orElse("")
                + (of.isEmpty() ? "" : ". Of " + of)
                + (pin.holes().isEmpty() ? "" : ", " + pin.holes().size() + " holes") + ".");
        ways.getChildren().clear();
        if (!pin.holes().isEmpty()) {
            ways.getChildren().add(Ui.button("Show its place", "", () -> place(pin), "quiet"));
        }
    }

    /** Picks the holes of a photograph on their face. */
    private void place(Pin pin) {
        for (Build.FaceRef ref : desk.snapshot().build().faces()) {
            List<Id.Hole> here = pin.holes().stream()
                    .filter(h -> desk.snapshot().face(ref.face().id()).of(h).isPresent())
                    .toList();
            if (!here.isEmpty()) {
                desk.show(ref.face().id());
                desk.selectionProperty()
                        .set(new Selection(ref.face().id(), Optional.of(here.getFirst()), new LinkedHashSet<>(here)));
                return;
            }
        }
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Photographs of the build");
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(
                        "JPEG and PNG pictures", "*.jpg", "*.jpeg", "*.png", "*.JPG", "*.PNG"));
        List<File> files = chooser.showOpenMultipleDialog(getScene().getWindow());
        if (files != null) {
            bring(files.stream().map(File::toPath).toList());
        }
    }

    // ---- a watched folder

    private void look() {
        String typed = folder.getText().strip();
        if (typed.isEmpty() || looking) {
            return;
        }
        looking = true;
        desk.session().aside(() -> pictures(typed), this::found, s -> looking = false);
    }

    private static List<Path> pictures(String typed) throws IOException {
        Path in = Places.file(typed, "photographs");
        if (!Files.isDirectory(in)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(in)) {
            return files.filter(f ->
                            f.getFileName().toString().toLowerCase(Locale.ROOT).matches(".*\\.(jpe?g|png)"))
                    .sorted()
                    .limit(500)
                    .toList();
        }
    }

    private void found(List<Path> files) {
        looking = false;
        Set<String> names = desk.session().snapshot().build().workshop().pins().stream()
                .map(Pin::name)
                .collect(Collectors.toSet());
        waiting = files.stream()
                .filter(f ->
                        !done.contains(f) && !names.contains(f.getFileName().toString()))
                .toList();
        fresh.setText("Bring in " + waiting.size() + " new");
        Ui.shown(fresh, !waiting.isEmpty() && !desk.session().readOnly());
        desk.prefs().keep("photos", folder.getText().strip());
    }

    private void bringFresh() {
        bring(waiting);
    }

    // ---- bringing in

    /** Brings picture files in and pins them to what is said. */
    void bring(List<Path> files) {
        if (desk.session().readOnly()) {
            return;
        }
        wrong.clear();
        Pinned to;
        try {
            to = new Pinned(
                    says.getText().strip(),
                    holes.isSelected()
                            ? Set.copyOf(desk.selectionProperty().get().holes())
                            : Set.of(),
                    Entries.parts(parts.getText(), desk.session().snapshot().parts()).stream()
                            .map(Part::id)
                            .collect(Collectors.toSet()),
                    bay.getValue().map(b -> Set.of(b.id())).orElse(Set.of()));
        } catch (InputException e) {
            wrong.say(e.getMessage());
            return;
        }
        boolean keep = place.isSelected();
        boolean scale = smaller.isSelected();
        for (Path file : files) {
            done.add(file);
            desk.session().aside(() -> read(file, keep, scale), r -> pin(r, file, to), wrong::say);
        }
    }

    /** A picture as it is kept, with when it was taken. */
    private record Read(Photo photo, Optional<LocalDateTime> taken) {}

    private static Read read(Path file, boolean keep, boolean scale) {
        Photo photo = PhotoFiles.read(file);
        Optional<LocalDateTime> taken = PhotoData.taken(photo);
        Photo kept = keep ? photo : PhotoData.withoutPlace(photo);
        return new Read(scale ? PhotoData.scaled(kept, SCALED) : kept, taken);
    }

    /** What is said of pictures that come in. */
    private record Pinned(String says, Set<Id.Hole> holes, Set<Id.Part> parts, Set<Id.Bay> bays) {}

    private void pin(Read read, Path file, Pinned to) {
        desk.session()
                .keep(
                        List.of(read.photo),
                        () -> desk.session()
                                .plan(
                                        "pinning " + file.getFileName(),
                                        b -> b.withWorkshop(
                                                b.workshop()
                                                        .with(new Pin(
                                                                new Id.Pin(b.nextId()),
                                                                read.photo.sha256(),
                                                                String.valueOf(file.getFileName()),
                                                                to.says,
                                                                read.taken,
                                                                to.holes,
                                                                to.parts,
                                                                to.bays,
                                                                Set.of())),
                                                b.nextId() + 1),
                                        () -> {},
                                        wrong::say),
                        wrong::say);
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        says.requestFocus();
    }

    @Override
    public void close() {
        watch.stop();
        super.close();
    }
}
