package bucina.desk.card;

import bucina.core.form.PanelForm;
import bucina.core.measure.InputException;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.panel.Panel;
import bucina.core.panel.PanelPlan;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.sheet.Point;
import bucina.desk.look.Fields;
import bucina.desk.look.Palette;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Prefs;
import bucina.desk.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Makes a panel: figures at the left, the panel they make at the right, drawn as they are typed. */
public final class PanelCard extends ShownBox {

    private final Session session;
    private final Unit unit;
    private final LengthParser lengths;
    private final PanelForm form = new PanelForm();
    private final FacePicture picture;
    private final Label says = Ui.wrapped("", "soft");
    private final Label error = Ui.wrapped("", "stop-text");
    private final Button go;
    private final Consumer<Id.Face> made;
    private final TextField name;
    private final TextField chordTip;
    private final TextField corners;
    private final TextField length;
    private final TextField root;

    /**
     * @param rivets what the builder rivets with: a panel begins with it
     * @param made   told the new face once it is on the disk
     * @param away puts the card away
     */
    public PanelCard(
            Session session, Unit unit, Prefs.Rivets rivets, Palette palette, Consumer<Id.Face> made, Runnable away) {
        super(10);
        this.session = session;
        this.unit = unit;
        this.made = made;
        this.lengths = new LengthParser(unit, session.catalogue().drills());
        getStyleClass().add("card");
        setId("panel-card");
        setMaxSize(960, USE_PREF_SIZE);
        picture = new FacePicture(palette, 530, 470);
        if (unit == Unit.MM) {
            metric();
        }
        rivet(rivets);
        Fields skin = new Fields();
        name = skin.live("Name", "", "panel-name", t -> set(() -> form.name = t));
        name.setPromptText("Upper skin");
        place(skin);
        kind(skin);
        length = prompted(
                skin.live("Length", form.length, "panel-length", t -> set(() -> form.length = t)), "48", "1200");
        root = prompted(
                skin.live("Chord at root", form.root, "panel-root", t -> set(() -> form.root = t)), "20", "500");
        chordTip =
                prompted(skin.live("Chord at tip", form.tip, "panel-tip", t -> set(() -> form.tip = t)), "16", "400");
        corners = skin.live("Corners", form.corners, "panel-corners", t -> set(() -> form.corners = t));
        corners.setPromptText("0,0; 48,0; 48,16; 0,20");
        skin.live("Skin thickness", form.thickness, "panel-thickness", t -> set(() -> form.thickness = t));
        shape();
        structure(skin);
        go = Ui.button("Make the panel", "Enter", this::go, "primary");
        go.setId("panel-go");
        go.setDefaultButton(true);
        lay(skin, away);
        look();
    }

    private void lay(Fields skin, Runnable away) {
        VBox left = new VBox(10, skin);
        left.setPrefWidth(390);
        left.setMinWidth(390);
        VBox right = new VBox(
                8,
                picture,
                says,
                error,
                Ui.wrapped(
                        "x runs from the root edge outboard, y from the lower edge forward. Rows lie on the flange "
                                + "centre lines; everything can be moved on the sheet afterwards.",
                        "tiny"));
        getChildren()
                .addAll(
                        Ui.label("Make a panel", "bench-title"),
                        new HBox(18, left, right),
                        new HBox(8, go, Ui.button("Close", "Esc", away, "quiet")));
    }

    private void metric() {
        form.thickness = "0.6";
        form.sparWidth = "20";
        form.sparThickness = "1";
        form.ribWidth = "16";
        form.ribThickness = "0.8";
        form.doublerThickness = "1";
        form.pitch = "30";
    }

    private void rivet(Prefs.Rivets rivets) {
        boolean pulled = rivets == Prefs.Rivets.PULLED || rivets == Prefs.Rivets.BOTH && unit == Unit.MM;
        if (pulled) {
            form.rivet = "ISO 15977 3.2";
        }
    }

    /** Which assembly it becomes a face of, and which part its skin is a sheet of. */
    private void place(Fields f) {
        Build now = session.snapshot().build();
        ComboBox<Optional<Part>> skin = new ComboBox<>();
        List<Optional<Assembly>> into = new ArrayList<>(List.of(Optional.empty()));
        now.assemblies().forEach(a -> into.add(Optional.of(a)));
        f.choice(
                "Goes into",
                into,
                into.getFirst(),
                a -> a.map(Assembly::name).orElse("an assembly of its own"),
                "panel-into",
                a -> set(() -> {
                    form.into = a.map(Assembly::id);
                    offer(skin);
                }));
        f.add("Its skin is", skin, "panel-skin");
        skin.setConverter(new Worded<>(p -> p.map(Part::name).orElse("a part of its own")));
        skin.valueProperty()
                .addListener((o, was, p) -> set(() -> form.skinPart = p == null ? Optional.empty() : p.map(Part::id)));
        offer(skin);
    }

    private void offer(ComboBox<Optional<Part>> skin) {
        Build now = session.snapshot().build();
        List<Optional<Part>> parts = new ArrayList<>(List.of(Optional.empty()));
        form.into.ifPresent(id -> now.assemblies().stream()
                .filter(a -> a.id().equals(id))
                .flatMap(a -> a.faces().stream())
                .flatMap(x -> x.layers().stream())
                .map(Layer::part)
                .distinct()
                .map(now::part)
                .forEach(p -> parts.add(Optional.of(p))));
        skin.getItems().setAll(parts);
        skin.setValue(Optional.empty());
        skin.setDisable(parts.size() == 1);
    }

    private void kind(Fields f) {
        f.choice("Hand", List.of(Hand.values()), form.hand, Hand::word, "panel-hand", h -> set(() -> form.hand = h));
        f.choice(
                "Skin",
                List.of(PanelForm.Shape.values()),
                form.shape,
                PanelForm.Shape::word,
                "panel-shape",
                s -> set(() -> {
                    form.shape = s;
                    shape();
                }));
    }

    private TextField prompted(TextField field, String inch, String mm) {
        field.setPromptText(unit == Unit.INCH ? inch : mm);
        return field;
    }

    private void shape() {
        corners.setDisable(form.shape != PanelForm.Shape.POLYGON);
        length.setDisable(form.shape == PanelForm.Shape.POLYGON);
        root.setDisable(form.shape == PanelForm.Shape.POLYGON);
        chordTip.setDisable(form.shape != PanelForm.Shape.TAPER);
    }

    private void structure(Fields f) {
        TextField spars = f.live("Spars at y", form.spars, "panel-spars", t -> set(() -> form.spars = t));
        spars.setPromptText(unit == Unit.INCH ? "2.5, 14:11  (root:tip)" : "60, 350:280  (root:tip)");
        pair(
                f,
                "Their flange",
                form.sparWidth,
                "panel-spar-width",
                t -> form.sparWidth = t,
                form.sparThickness,
                "panel-spar-thickness",
                t -> form.sparThickness = t);
        TextField ribs = f.live("Ribs at x", form.ribs, "panel-ribs", t -> set(() -> form.ribs = t));
        ribs.setPromptText(unit == Unit.INCH ? "1, 12, 24, 36, 47" : "25, 300, 600");
        pair(
                f,
                "Their flange",
                form.ribWidth,
                "panel-rib-width",
                t -> form.ribWidth = t,
                form.ribThickness,
                "panel-rib-thickness",
                t -> form.ribThickness = t);
        TextField doubler = f.live("Doubler", form.doubler, "panel-doubler", t -> set(() -> form.doubler = t));
        doubler.setPromptText(unit == Unit.INCH ? "none, or 0,2 to 12,5" : "none, or 0,50 to 300,120");
        f.live(
                "Its thickness",
                form.doublerThickness,
                "panel-doubler-thickness",
                t -> set(() -> form.doublerThickness = t));
        f.live("Rivet", form.rivet, "panel-rivet", t -> set(() -> form.rivet = t));
        f.live("Pitch wished", form.pitch, "panel-pitch", t -> set(() -> form.pitch = t));
    }

    /** Width and thickness of a flange side by side. */
    private void pair(
            Fields f,
            String title,
            String width,
            String widthId,
            Consumer<String> setWidth,
            String thick,
            String thickId,
            Consumer<String> setThick) {
        TextField w = small(width, widthId, title + ", width", setWidth);
        TextField t = small(thick, thickId, title + ", thickness", setThick);
        HBox box = new HBox(6, w, Ui.kept("wide", "tiny"), t, Ui.kept("thick", "tiny"));
        box.setAlignment(Pos.CENTER_LEFT);
        f.addRow(f.getRowCount(), Ui.kept(title, "field-name"), box);
    }

    private TextField small(String value, String id, String spoken, Consumer<String> typed) {
        TextField field = new TextField(value);
        field.setId(id);
        field.setAccessibleText(spoken);
        field.setPrefWidth(74);
        field.textProperty().addListener((o, was, now) -> set(() -> typed.accept(now)));
        return field;
    }

    private void set(Runnable change) {
        change.run();
        look();
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        name.requestFocus();
    }

    private void look() {
        if (getChildren().isEmpty()) {
            return;
        }
        Ui.shown(error, false);
        try {
            draw();
        } catch (InputException e) {
            says.setText(started() ? e.getMessage() : "Type the skin first: it is drawn here as you go.");
        }
    }

    private void draw() {
        PanelPlan plan = form.plan(form.name.isBlank() ? "Panel" : form.name, lengths, unit);
        Face face = Panel.face(Panel.add(blank(), plan));
        List<Row> rows = face.groups().stream().flatMap(g -> g.rows().stream()).toList();
        List<Point> holes =
                rows.stream().flatMap(r -> r.holes().stream()).map(Hole::at).toList();
        picture.show(face.layers(), holes);
        words(face, holes, rows, plan);
    }

    private void words(Face face, List<Point> holes, List<Row> rows, PanelPlan plan) {
        says.setText(face.layers().size() + " sheets, " + holes.size() + " holes in " + rows.size() + " rows of "
                + plan.fastener().name()
                + ", pitch about "
                + LengthFormat.trade(plan.pitch(), unit) + "." + shared(plan));
    }

    /** Which parts it shares with the assembly it goes into. */
    private String shared(PanelPlan plan) {
        List<String> parts = form.into.stream()
                .flatMap(a -> Panel.shared(session.snapshot().build(), plan, a).stream())
                .map(Part::name)
                .toList();
        return parts.isEmpty() ? "" : " The same parts as there already: " + String.join(", ", parts) + ".";
    }

    private boolean started() {
        return !form.length.isBlank() || !form.corners.isBlank();
    }

    /** A build with the rules in force and nothing else, to try figures on. */
    private Build blank() {
        Build now = session.snapshot().build();
        return new Build("Trial", "", now.rules(), 1, List.of(), List.of(), Map.of());
    }

    private void go() {
        Function<Build, Build> add;
        try {
            PanelPlan plan = form.plan(form.name, lengths, unit);
            Panel.Place place = new Panel.Place(form.into, form.skinPart);
            add = build -> Panel.add(build, plan, place);
            Panel.add(session.snapshot().build(), plan, place);
        } catch (InputException e) {
            refuse(e.getMessage());
            return;
        }
        session.plan(
                "making " + form.name.strip(),
                add::apply,
                () -> made.accept(Panel.face(session.snapshot().build()).id()),
                this::refuse);
    }

    private void refuse(String sentence) {
        error.setText(sentence);
        Ui.shown(error, true);
    }
}
