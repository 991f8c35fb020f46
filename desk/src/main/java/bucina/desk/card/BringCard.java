package bucina.desk.card;

import bucina.core.callout.Callout;
import bucina.core.drawing.Intake;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.desk.look.Fields;
import bucina.desk.look.Palette;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Bringing;
import bucina.desk.session.Latest;
import bucina.desk.session.Session;
import bucina.store.table.DecimalMark;
import java.io.File;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** Brings in a drawing or a hole table: shows what is understood and what is left out before anything changes. */
public final class BringCard extends ShownBox {

    /** Where the holes go. */
    private record Where(String word, Optional<Id.Face> face, boolean sheets) {}

    private final Session session;
    private final Latest reading;
    private final Unit unit;
    private final Consumer<Id.Face> made;
    private final FacePicture picture;
    private final BringSays says = new BringSays();
    private final BringAsks asks = new BringAsks(this::answer);
    private final Label error = Ui.wrapped("", "stop-text");
    private final ProgressBar bar = new ProgressBar(0);
    private final Button stop;
    private final HBox work;
    private final Button go;
    private final TextField path;
    private final TextField name;
    private final TextField thickness;
    /** The thickness was asked about, and the next press says that it is meant. */
    private boolean sure;
    /** What has been said about this file. */
    private Bringing.Said said;

    private final TextField rivet;
    private final ComboBox<Unit> as;
    private final ComboBox<Where> where;
    private AtomicBoolean stopped = new AtomicBoolean();
    private Optional<Bringing> brought = Optional.empty();

    /**
     * @param here the face shown; empty where there is none yet
     * @param made told the face once everything is on the disk
     * @param away puts the card away
     */
    public BringCard(
            Session session,
            Unit unit,
            Optional<Id.Face> here,
            Palette palette,
            Consumer<Id.Face> made,
            Runnable away) {
        super(10);
        this.session = session;
        reading = session.latest();
        this.unit = unit;
        said = Bringing.Said.nothing(unit);
        this.made = made;
        getStyleClass().add("card");
        setId("bring-card");
        setMaxSize(900, USE_PREF_SIZE);
        picture = new FacePicture(palette, 480, 280);
        Fields f = new Fields();
        path = f.committed("File", "", "bring-path", t -> another());
        path.setPromptText("skin.dxf, skin.svg or holes.csv");
        as = f.choice(
                "Unit, if it names none",
                List.of(Unit.INCH, Unit.MM),
                unit,
                u -> u == Unit.INCH ? "inch" : "mm",
                "bring-unit",
                u -> say(new Bringing.Said(u, true, false, said.inside(), said.decimal())));
        List<Where> places = places(here);
        where = f.choice("Goes", places, places.getFirst(), Where::word, "bring-where", w -> look());
        name = f.live("Name of the face", "", "bring-name", t -> {});
        thickness = f.live("Sheets without thickness", "", "bring-thickness", t -> sure(false));
        thickness.setPromptText(unit == Unit.INCH ? "as measured, like .025" : "as measured, like 0.6");
        rivet = f.live("Rivet", unit == Unit.INCH ? "MS20426AD3" : "ISO 15977 3.2", "bring-rivet", t -> look());
        f.setPrefWidth(360);
        f.setMinWidth(360);
        asks.setMaxWidth(360);
        stop = Ui.button("Stop", "", () -> stopped.set(true), "quiet");
        stop.setId("bring-stop");
        bar.setPrefWidth(360);
        work = new HBox(8, bar, stop);
        Ui.shown(work, false);
        go = Ui.button("Bring it in", "Enter", this::go, "primary");
        layGo();
        lay(f, away);
        Ui.shown(error, false);
    }

    private void layGo() {
        go.setId("bring-go");
        go.setDefaultButton(true);
        go.setDisable(true);
    }

    private void lay(Fields f, Runnable away) {
        getChildren()
                .addAll(
                        Ui.label("Bring in a drawing", "bench-title"),
                        new HBox(18, new VBox(16, f, asks), new VBox(8, picture, work, told(), error)),
                        new HBox(
                                8,
                                Ui.button("Choose a file", "", this::choose),
                                go,
                                Ui.button(
                                        "Close",
                                        "Esc",
                                        () -> {
                                            stopped.set(true);
                                            away.run();
                                        },
                                        "quiet")));
    }

    private ScrollPane told() {
        ScrollPane told = Ui.scroll(says);
        told.setPrefViewportHeight(170);
        told.setPrefViewportWidth(480);
        return told;
    }

    private static List<Where> places(Optional<Id.Face> here) {
        Where fresh = new Where("on a new face", Optional.empty(), true);
        return here.map(face -> List.of(
                        fresh,
                        new Where("holes onto this face", Optional.of(face), false),
                        new Where("sheets and holes onto this face", Optional.of(face), true)))
                .orElse(List.of(fresh));
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        path.requestFocus();
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Bring in");
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter("Drawings and tables", "*.dxf", "*.svg", "*.csv", "*.txt"));
        File file = chooser.showOpenDialog(getScene().getWindow());
        if (file != null) {
            path.setText(file.getPath());
            another();
        }
    }

    /** Another file: what was said about the one before does not count for it. */
    private void another() {
        say(Bringing.Said.nothing(as.getValue()));
    }

    private void say(Bringing.Said now) {
        said = now;
        read();
    }

    /** An answer to a question of the file was pressed. */
    private void answer(String code, String answer) {
        switch (code) {
            case "unit" -> as.setValue(answer.equals("in") ? Unit.INCH : Unit.MM);
            case "inside" ->
                say(new Bringing.Said(
                        said.unit(),
                        said.given(),
                        false,
                        Optional.of(answer.equals("openings") ? Intake.Inside.OPENINGS : Intake.Inside.SHEETS),
                        said.decimal()));
            default ->
                say(new Bringing.Said(
                        said.unit(), said.given(), false, said.inside(), Optional.of(DecimalMark.of(answer))));
        }
        if (code.equals("unit") && !said.given()) {
            say(new Bringing.Said(as.getValue(), true, false, said.inside(), said.decimal()));
        }
    }

    private void read() {
        sure(false);
        stopped.set(true);
        reading.drop();
        brought = Optional.empty();
        go.setDisable(true);
        Ui.shown(error, false);
        String typed = path.getText().strip();
        if (typed.isEmpty()) {
            return;
        }
        Path file;
        Bringing.Format format;
        try {
            file = Path.of(typed);
            format = Bringing.Format.of(file);
        } catch (InputException e) {
            refuse(e.getMessage());
            return;
        } catch (InvalidPathException e) {
            refuse("\"" + typed + "\" cannot be a file here: " + e.getReason() + ". Write its path, like skin.dxf");
            return;
        }
        AtomicBoolean mine = new AtomicBoolean();
        stopped = mine;
        Ui.shown(work, true);
        bar.setProgress(0);
        Bringing.Said now = said;
        double[] told = {0};
        reading.ask(
                () -> Bringing.read(file, format, now, session.catalogue().drills(), share -> {
                    if (share - told[0] >= 0.01) {
                        told[0] = share;
                        Platform.runLater(() -> bar.setProgress(share));
                    }
                    return !mine.get();
                }),
                b -> understood(b, file),
                sentence -> {
                    Ui.shown(work, false);
                    refuse(sentence);
                });
    }

    private void understood(Bringing b, Path file) {
        Ui.shown(work, false);
        brought = Optional.of(b);
        sure(false);
        as.setDisable(b.says().isPresent());
        if (name.getText().isBlank()) {
            name.setText(file.getFileName().toString().replaceFirst("\\.[^.]*$", ""));
        }
        look();
    }

    private void look() {
        brought.ifPresent(b -> {
            Intake in = b.intake();
            boolean sheets = where.getValue().sheets;
            picture.showOutlines(
                    sheets ? in.sheets().stream().map(Intake.Sheet::outline).toList() : List.of(),
                    in.rows().stream()
                            .flatMap(r -> r.holes().stream())
                            .map(c -> c.at())
                            .toList());
            picture.cross(in.left().stream().flatMap(l -> l.at().stream()).toList());
            says.show(b, in, others(in), unit);
            asks.show(b.asked());
            go.setDisable(in.count() == 0 && in.sheets().isEmpty());
            name.setDisable(where.getValue().face.isPresent());
        });
    }

    /** What goes into other holes, as far as the fields can be read. */
    private List<String> others(Intake in) {
        try {
            return in.others(choices(), unit);
        } catch (InputException e) {
            return List.of();
        }
    }

    private Intake.Choices choices() {
        LengthParser lengths = new LengthParser(unit, session.catalogue().drills());
        return new Intake.Choices(
                Optional.of(thickness.getText())
                        .filter(t -> !t.isBlank())
                        .map(t -> lengths.parsePositive(t, "thickness")),
                sure,
                Callout.parse(rivet.getText()).fastener(),
                Material.parse("2024-T3"),
                session.catalogue());
    }

    private void go() {
        if (brought.isEmpty()) {
            read();
            return;
        }
        Intake in = brought.get().intake();
        Where to = where.getValue();
        String called = name.getText().strip();
        Intake.Choices choices;
        try {
            choices = choices();
        } catch (InputException e) {
            refuse(e.getMessage());
            return;
        }
        if (open(brought.get()) || asked(in, to, choices)) {
            return;
        }
        session.plan(
                "bringing in " + (called.isEmpty() ? "a drawing" : called),
                (Build build) -> to.face
                        .map(face -> in.onto(build, face, choices, to.sheets))
                        .orElseGet(() -> in.asFace(build, called, as.getValue(), choices)),
                () -> made.accept(to.face.orElseGet(() -> session.snapshot()
                        .build()
                        .assemblies()
                        .getLast()
                        .faces()
                        .getLast()
                        .id())),
                this::refuse);
    }

    /** True if the file leaves something open that decides what comes in: nobody guesses it. */
    private boolean open(Bringing b) {
        if (b.asked().isEmpty()) {
            return false;
        }
        refuse("It is not said yet what the file leaves open: press an answer.");
        asks.enter();
        return true;
    }

    /** True if something about it is asked first: a thickness that is missing, or odd. */
    private boolean asked(Intake in, Where to, Intake.Choices choices) {
        if (!to.sheets) {
            return false;
        }
        try {
            Optional<String> odd = in.odd(session.snapshot().build().rules(), choices);
            odd.ifPresent(question -> {
                refuse(question);
                sure(true);
            });
            return odd.isPresent();
        } catch (InputException e) {
            refuse(e.getMessage());
            thickness.requestFocus();
            return true;
        }
    }

    private void sure(boolean asked) {
        sure = asked;
        go.setText(asked ? "It is so: bring it in" : "Bring it in");
    }

    private void refuse(String sentence) {
        error.setText(sentence);
        Ui.shown(error, true);
    }
}
