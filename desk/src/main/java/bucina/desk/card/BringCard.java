package bucina.desk.card;

import bucina.core.callout.Callout;
import bucina.core.drawing.Change;
import bucina.core.drawing.Intake;
import bucina.core.drawing.Revision;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.stack.FaceReading;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.Palette;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Bringing;
import bucina.desk.session.Latest;
import bucina.desk.session.Session;
import bucina.store.drawing.Progress;
import java.io.File;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** Brings in a drawing or a hole table: shows what is understood and what is left out before anything changes. */
public final class BringCard extends ShownBox {

    private final Session session;
    private final Latest reading;
    private final Latest telling;
    private final Unit unit;
    private final Consumer<Id.Face> made;
    private final FacePicture picture;
    private final BringSays says = new BringSays();
    private final BringAsks asks = new BringAsks(this::answer);
    private final ChangeList changed = new ChangeList();
    private final Label error = Ui.wrapped("", "stop-text");
    private final WorkBar work = new WorkBar("bring-stop");
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
    private final ComboBox<BringWhere> where;
    private final BringPart part;
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
        telling = session.latest();
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
                "Unit",
                List.of(Unit.INCH, Unit.MM),
                unit,
                u -> u == Unit.INCH ? "inch" : "mm",
                "bring-unit",
                this::unit);
        List<BringWhere> places = BringWhere.all(here, session.snapshot().build());
        where = f.choice("Goes", places, places.getFirst(), BringWhere::word, "bring-where", w -> look());
        part = new BringPart(f, session.snapshot().build());
        name = f.live("Name of the face", "", "bring-name", t -> {});
        thickness = f.live("Sheets without thickness", "", "bring-thickness", t -> sure(false));
        thickness.setPromptText(unit == Unit.INCH ? "as measured, like .025" : "as measured, like 0.6");
        rivet = f.live(
                "Rivet",
                unit == Unit.INCH ? "MS20426AD3" : "ISO 15977 3.2",
                "bring-rivet",
                t -> brought.ifPresent(this::tell));
        f.setPrefWidth(360);
        f.setMinWidth(360);
        asks.setMaxWidth(360);
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
                                            work.stop();
                                            away.run();
                                        },
                                        "quiet")));
    }

    private ScrollPane told() {
        Ui.shown(changed, false);
        ScrollPane told = Ui.scroll(new VBox(3, changed, says));
        told.setPrefViewportHeight(170);
        told.setPrefViewportWidth(480);
        return told;
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
        say(said.answered(code, answer));
        if (said.given()) {
            as.setValue(said.unit());
        }
    }

    private void unit(Unit chosen) {
        boolean files =
                brought.flatMap(Bringing::says).filter(s -> s.unit() == chosen).isPresent();
        if (said.given() ? said.unit() != chosen : !files) {
            say(said.answered("unit", chosen.symbol()));
        }
    }

    private void read() {
        sure(false);
        work.stop();
        reading.drop();
        telling.drop();
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
        Progress progress = work.begin();
        Bringing.Said now = said;
        reading.ask(
                () -> Bringing.read(file, format, now, session.catalogue().drills(), progress),
                b -> understood(b, file),
                sentence -> {
                    work.done();
                    refuse(sentence);
                });
    }

    private void understood(Bringing b, Path file) {
        work.done();
        brought = Optional.of(b);
        if (!said.given()) {
            b.says().ifPresent(s -> as.setValue(s.unit()));
        }
        sure(false);
        if (name.getText().isBlank()) {
            name.setText(file.getFileName().toString().replaceFirst("\\.[^.]*$", ""));
        }
        look();
    }

    private void look() {
        brought.ifPresent(b -> {
            Intake in = b.intake();
            boolean sheets = where.getValue().sheets();
            picture.showOutlines(
                    sheets ? in.sheets().stream().map(Intake.Sheet::outline).toList() : List.of(),
                    in.rows().stream()
                            .flatMap(r -> r.holes().stream())
                            .map(c -> c.at())
                            .toList());
            picture.cross(in.left().stream().flatMap(l -> l.at().stream()).toList());
            boolean over = where.getValue().over();
            Ui.shown(changed, over);
            Ui.shown(says, !over);
            asks.show(b.asked());
            tell(b);
            go.setDisable(in.count() == 0 && in.sheets().isEmpty());
            go.setText(over ? "Take over what is ticked" : sure ? go.getText() : "Bring it in");
            name.setDisable(where.getValue().face().isPresent());
        });
    }

    private void tell(Bringing b) {
        Snapshot snapshot = session.snapshot();
        Optional<Intake.Choices> chosen = chosen();
        Optional<FaceReading> face = Optional.of(where.getValue())
                .filter(BringWhere::over)
                .flatMap(BringWhere::face)
                .map(snapshot::face);
        telling.ask(
                () -> b.told(chosen, face, snapshot.log(), unit),
                told -> {
                    says.show(b, told);
                    picture.changes(told.changes());
                    changed.show(told.changes(), unit);
                },
                this::refuse);
    }

    /** What is chosen, as far as the fields can be read. */
    private Optional<Intake.Choices> chosen() {
        try {
            return Optional.of(choices());
        } catch (InputException e) {
            return Optional.empty();
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
        BringWhere to = where.getValue();
        String called = name.getText().strip();
        Intake.Choices choices;
        try {
            choices = choices();
        } catch (InputException e) {
            refuse(e.getMessage());
            return;
        }
        if (open(brought.get())) {
            return;
        }
        if (to.over()) {
            over(to, choices);
            return;
        }
        if (asked(in, to, choices)) {
            return;
        }
        session.plan(
                "bringing in " + (called.isEmpty() ? "a drawing" : called),
                (Build build) -> {
                    Build with = to.face()
                            .map(face -> in.onto(build, face, choices, to.sheets()))
                            .orElseGet(() -> in.asFace(build, called, as.getValue(), choices));
                    return to.placed(build, with, part.chosen());
                },
                () -> made.accept(to.at(session.snapshot().build())),
                this::refuse);
    }

    private void over(BringWhere to, Intake.Choices choices) {
        Id.Face face = to.face().orElseThrow();
        List<Change> ticked = changed.ticked();
        if (ticked.isEmpty()) {
            refuse("Nothing is ticked: the plan stays as it is.");
            return;
        }
        session.plan(
                "taking over " + ticked.size() + (ticked.size() == 1 ? " change" : " changes") + " of a revision",
                build -> Revision.taken(build, face, ticked, choices),
                () -> made.accept(face),
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
    private boolean asked(Intake in, BringWhere to, Intake.Choices choices) {
        if (!to.sheets()) {
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
