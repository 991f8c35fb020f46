package bucina.desk.bench;

import static bucina.desk.session.Command.Scope.FREE;

import bucina.core.callout.Callout;
import bucina.core.edit.Edit;
import bucina.core.edit.HoleEdits;
import bucina.core.edit.SheetEdits;
import bucina.core.layout.Rows;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Hold;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.Zone;
import bucina.core.sheet.Point;
import bucina.core.stack.HoleReading;
import bucina.core.stack.StackCheck;
import bucina.desk.look.Fields;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.session.Additions;
import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import bucina.desk.session.Selection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Changes what is picked by typed values: holes, their row and group, a sheet; with nothing picked it adds. */
final class ChangePanel extends StagePanel {

    private final Desk desk;
    private final Runnable stations;
    private final Label error = Ui.wrapped("", "stop-text");
    private final VBox body = new VBox(8);
    private final FindingsView findings;
    private Object shown;

    /**
     * @param stations shows the running dimensions of the row
     */
    ChangePanel(Desk desk, Runnable stations) {
        super(8);
        this.desk = desk;
        this.stations = stations;
        setId("change-panel");
        Ui.shown(error, false);
        findings = new FindingsView(desk, this::fill);
        getChildren().addAll(findings, error, body);
    }

    /** Shows the fields for what is picked now; what is being typed stays while the same thing is picked. */
    @Override
    void fill() {
        findings.show(desk.cursor()
                .map(c -> StackCheck.findings(desk.face().face(), c))
                .orElse(List.of()));
        if (desk.attempting()) {
            return;
        }
        Object key = List.of(
                desk.selectionProperty().get(),
                desk.layerProperty().get(),
                desk.snapshot().build(),
                desk.unit());
        if (key.equals(shown)) {
            return;
        }
        shown = key;
        body.getChildren().clear();
        Optional<HoleReading> cursor = desk.cursor();
        if (cursor.isPresent()) {
            holes(cursor.get());
            row(cursor.get());
            group(cursor.get());
        } else if (desk.layer().isPresent()) {
            sheet(desk.layer().get());
        } else {
            add();
        }
    }

    private void does(String words, UnaryOperator<Build> change) {
        does(words, change, () -> {});
    }

    private void does(String words, UnaryOperator<Build> change, Runnable then) {
        Ui.shown(error, false);
        desk.session().plan(words, change, then, this::refuse);
    }

    private void refuse(String sentence) {
        error.setText(sentence);
        Ui.shown(error, true);
    }

    /** Runs what reads a field; a sentence comes back where it cannot be read. */
    private void reading(Runnable read) {
        try {
            read.run();
        } catch (InputException e) {
            refuse(e.getMessage());
        }
    }

    private Length length(String text) {
        return desk.lengths().parse(text);
    }

    private String exact(Length length) {
        return LengthFormat.exact(length, desk.unit()).replaceAll(" (in|mm)$", "");
    }

    private static FlowPane buttons(Button... buttons) {
        FlowPane pane = new FlowPane(6, 6, buttons);
        pane.setPrefWrapLength(300);
        return pane;
    }

    private static Button button(String text, String key, String id, Runnable action) {
        Button button = Ui.button(text, key, action);
        button.setId(id);
        return button;
    }

    // ---- holes
    // ----------------------------------------------------------------------

    private void holes(HoleReading reading) {
        Set<Id.Hole> picked = desk.selectionProperty().get().holes();
        Fields f = new Fields();
        if (picked.size() == 1) {
            Point at = reading.hole().at();
            f.committed(
                    "X, " + desk.unit().symbol(),
                    exact(at.across()),
                    "hole-x",
                    t -> reading(() -> {
                        Point to = Point.at(length(t), at.up());
                        does(
                                "placing " + reading.label(),
                                b -> HoleEdits.place(b, reading.hole().id(), to));
                    }));
            f.committed(
                    "Y, " + desk.unit().symbol(),
                    exact(at.up()),
                    "hole-y",
                    t -> reading(() -> {
                        Point to = Point.at(at.across(), length(t));
                        does(
                                "placing " + reading.label(),
                                b -> HoleEdits.place(b, reading.hole().id(), to));
                    }));
        } else {
            f.committed(
                    "Move across",
                    "",
                    "move-x",
                    t -> reading(() -> {
                        double by = length(t).nanometres();
                        does("moving " + picked.size() + " holes", b -> HoleEdits.move(b, picked, by, 0));
                    }));
            f.committed(
                    "Move up",
                    "",
                    "move-y",
                    t -> reading(() -> {
                        double by = length(t).nanometres();
                        does("moving " + picked.size() + " holes", b -> HoleEdits.move(b, picked, 0, by));
                    }));
        }
        body.getChildren()
                .addAll(
                        Ui.label(picked.size() == 1 ? "Hole " + reading.label() : picked.size() + " holes", "strong"),
                        f,
                        buttons(
                                button("Delete", "Del", "hole-delete", this::delete),
                                button("Add one after", "A", "hole-add", this::addAfter)));
    }

    @Override
    public void use(Palette colours, double scale) {
        findings.use(colours);
    }

    @Override
    List<Command> commands() {
        return List.of(
                Command.changes("delete-holes", "Delete the picked holes", "Del", FREE, this::delete),
                Command.changes("add-hole", "Add a hole after this one", "A", FREE, this::addAfter));
    }

    /** Takes the picked holes away. */
    private void delete() {
        Set<Id.Hole> picked = desk.selectionProperty().get().holes();
        if (!picked.isEmpty()) {
            does(
                    picked.size() == 1 ? "deleting a hole" : "deleting " + picked.size() + " holes",
                    b -> HoleEdits.delete(b, picked));
        }
    }

    /** Adds a hole half way to the next of the row, or one pitch on from the last. */
    private void addAfter() {
        desk.cursor().ifPresent(c -> {
            List<bucina.core.plan.Hole> holes = c.row().holes();
            int at = holes.indexOf(c.hole());
            Point p = c.hole().at();
            Point q;
            if (at + 1 < holes.size()) {
                Point n = holes.get(at + 1).at();
                q = new Point((p.x() + n.x()) / 2, (p.y() + n.y()) / 2);
            } else {
                Point n = at > 0 ? holes.get(at - 1).at() : new Point(p.x() - 25.4e6, p.y());
                q = new Point(2 * p.x() - n.x(), 2 * p.y() - n.y());
            }
            does(
                    "adding a hole to " + c.row().name(),
                    b -> HoleEdits.add(b, c.row().id(), q));
        });
    }

    // ---- row
    // ----------------------------------------------------------------------

    private void row(HoleReading reading) {
        Row row = reading.row();
        Fields f = new Fields();
        if (row.holes().size() > 1) {
            TextField pitch = f.committed("Pitch, or 18x", "", "row-pitch", t -> reading(() -> lay(row, t)));
            pitch.setPromptText(row.holes().size() + "x now");
            TextField gauge = f.committed(
                    "Second row at",
                    "",
                    "row-stagger",
                    t -> reading(() -> {
                        List<Point> points = Rows.staggered(
                                row.holes().stream().map(h -> h.at()).toList(), length(t));
                        does(
                                "adding a staggered row",
                                b -> HoleEdits.addRow(b, reading.group().id(), points));
                    }));
            gauge.setPromptText("gauge, staggered");
        }
        List<Row> others = reading.group().rows().stream().filter(r -> r != row).toList();
        if (!others.isEmpty()) {
            f.choice(
                    "Join with",
                    others,
                    null,
                    Row::name,
                    "row-join",
                    r -> does("joining " + row.name() + " and " + r.name(), b -> HoleEdits.join(b, row.id(), r.id())));
        }
        body.getChildren()
                .addAll(
                        Ui.label("Row " + row.name() + ", " + row.holes().size() + " holes", "strong"),
                        f,
                        buttons(
                                button("Stations", "S", "row-stations", stations),
                                button(
                                        "Part the row here",
                                        "",
                                        "row-split",
                                        () -> does(
                                                "parting " + row.name(),
                                                b -> HoleEdits.split(
                                                        b,
                                                        row.id(),
                                                        reading.hole().id())))));
    }

    private void lay(Row row, String typed) {
        Rows.Spacing spacing = Additions.spacing(typed, desk.lengths());
        List<Point> points = Rows.around(
                row.holes().getFirst().at(),
                row.holes().getLast().at(),
                spacing,
                desk.face().face().zones().stream()
                        .filter(z -> z.kind() == Zone.Kind.KEEP_OUT)
                        .map(Zone::outline)
                        .toList(),
                Length.mm(1.5));
        Selection keep = desk.selectionProperty().get();
        does(
                "laying out " + row.name(),
                b -> HoleEdits.lay(b, row.id(), points),
                () -> desk.selectionProperty().set(Selection.row(desk.face(), row.id(), keep.cursor())));
    }

    // ---- group
    // ----------------------------------------------------------------------

    private void group(HoleReading reading) {
        Group group = reading.group();
        Fields f = new Fields();
        TextField callout = f.committed(
                "Callout",
                group.callout(),
                "group-callout",
                t -> reading(() -> {
                    Callout read = Callout.parse(t);
                    does(
                            "reading the callout of " + group.code(),
                            b -> Edit.group(b, group.id(), g -> g.withFastener(read.fastener(), read.text())));
                }));
        callout.setPromptText(group.count() + "× " + group.fastener().name());
        f.choice(
                "Drawing says",
                List.of(Hold.values()),
                group.holes().hold(),
                Hold::word,
                "group-hold",
                h -> hold(group, h));
        if (group.holes().hold() == Hold.OPEN) {
            f.committed(
                    "Open until",
                    group.holes().until(),
                    "group-until",
                    t -> reading(() -> does(
                            "saying what " + group.code() + " waits for",
                            b -> Edit.group(
                                    b, group.id(), g -> g.withHoles(g.holes().with(Hold.OPEN, t))))));
        }
        f.committed(
                "Hole at present",
                group.holes().present().map(this::exact).orElse(""),
                "group-present",
                t -> reading(() -> {
                    Optional<Length> present = t.isBlank()
                            ? Optional.empty()
                            : Optional.of(desk.lengths().parsePositive(t, "present hole"));
                    does(
                            "saying the present hole of " + group.code(),
                            b -> Edit.group(
                                    b,
                                    group.id(),
                                    g -> g.withHoles(new bucina.core.plan.HolePlan(
                                            present,
                                            g.holes().hold(),
                                            g.holes().until(),
                                            g.holes().dieAngle()))));
                }));
        f.committed(
                "Die angle",
                group.holes().dieAngle().map(a -> a + "°").orElse(""),
                "group-dies",
                t -> reading(() -> dies(group, t)));
        body.getChildren()
                .addAll(
                        Ui.label("Group " + group.code() + ", " + group.name(), "strong"),
                        f,
                        buttons(
                                button(
                                        group.headFar() ? "Heads to the near side" : "Heads to the far side",
                                        "",
                                        "group-head",
                                        () -> does(
                                                "turning the heads of " + group.code(),
                                                b -> Edit.group(b, group.id(), g -> g.withHeadFar(!g.headFar())))),
                                expects(reading)));
    }

    /**
     * Says which sheets the drawing lists for the group: those of this hole. A hole that misses one, or catches
     * another, is then a finding.
     */
    private Button expects(HoleReading reading) {
        Group group = reading.group();
        boolean listed = !group.expects().isEmpty();
        Set<Id.Layer> sheets =
                listed ? Set.of() : reading.layers().stream().map(Layer::id).collect(Collectors.toSet());
        return button(
                listed ? "Forget the sheets it must catch" : "Every hole must catch these sheets",
                "",
                "group-expects",
                () -> does(
                        "saying what " + group.code() + " must catch",
                        b -> Edit.group(b, group.id(), g -> g.expecting(sheets))));
    }

    private void hold(Group group, Hold hold) {
        String until = hold == Hold.OPEN && group.holes().until().isBlank()
                ? "the drawing says so"
                : group.holes().until();
        does(
                "saying what is held open",
                b -> Edit.group(b, group.id(), g -> g.withHoles(g.holes().with(hold, until))));
    }

    private void dies(Group group, String typed) {
        String digits = typed.replaceAll("[°\\s]", "");
        if (!digits.isEmpty() && !digits.matches("\\d{1,3}")) {
            throw new InputException(
                    "the angle of dimple dies must be 60 to 150 degrees like 100, was \"" + typed.strip() + "\"");
        }
        Optional<Integer> angle = digits.isEmpty() ? Optional.empty() : Optional.of(Integer.valueOf(digits));
        does(
                "saying the dies of " + group.code(),
                b -> Edit.group(
                        b,
                        group.id(),
                        g -> g.withHoles(new bucina.core.plan.HolePlan(
                                g.holes().present(), g.holes().hold(), g.holes().until(), angle))));
    }

    // ---- sheet
    // ----------------------------------------------------------------------

    private void sheet(Layer layer) {
        Part part = desk.snapshot().build().part(layer.part());
        Fields f = new Fields();
        f.committed(
                "Thickness, " + desk.unit().symbol(),
                exact(layer.thickness()),
                "sheet-thickness",
                t -> reading(() -> {
                    Length thickness = desk.lengths().parsePositive(t, "thickness");
                    does(
                            "changing the thickness of " + layer.name(),
                            b -> Edit.layer(b, layer.id(), l -> l.withThickness(thickness)));
                }));
        f.committed(
                "Goes on",
                Integer.toString(part.fittingOrder()),
                "sheet-order",
                t -> reading(() -> {
                    if (!t.strip().matches("\\d{1,4}")) {
                        throw new InputException(
                                "the fitting order must be a whole number like 3, was \"" + t.strip() + "\"");
                    }
                    does(
                            "changing when " + part.name() + " goes on",
                            b -> b.with(new Part(
                                    part.id(),
                                    part.name(),
                                    part.material(),
                                    Integer.parseInt(t.strip()),
                                    part.fitted())));
                }));
        List<Layer> layers = desk.face().face().layers();
        int place = layers.indexOf(layer) + 1;
        body.getChildren()
                .addAll(
                        Ui.label(layer.name(), "strong"),
                        Ui.wrapped(
                                "Sheet " + place + " of " + layers.size() + " from the near side. "
                                        + part.material().code() + ". Drag an edge on the sheet, or type.",
                                "soft"),
                        f,
                        buttons(
                                button(
                                        "Nearer",
                                        "",
                                        "sheet-nearer",
                                        () -> does(
                                                "moving " + layer.name() + " nearer",
                                                b -> SheetEdits.order(b, layer.id(), true))),
                                button(
                                        "Farther",
                                        "",
                                        "sheet-farther",
                                        () -> does(
                                                "moving " + layer.name() + " farther",
                                                b -> SheetEdits.order(b, layer.id(), false))),
                                button(
                                        part.fitted() ? "Say it is not in place" : "Say it is in place",
                                        "",
                                        "sheet-fitted",
                                        () -> does(
                                                "saying whether " + part.name() + " is in place",
                                                b -> b.with(part.withFitted(!part.fitted())))),
                                button(
                                        desk.trimProperty().get() ? "Hide trim lines" : "Safe trim lines",
                                        "Y",
                                        "sheet-trim",
                                        () -> desk.trimProperty()
                                                .set(!desk.trimProperty().get())),
                                button(
                                        "Take it off",
                                        "",
                                        "sheet-drop",
                                        () -> does(
                                                "taking " + layer.name() + " off",
                                                b -> SheetEdits.drop(b, layer.id())))));
    }

    // ---- adding
    // ----------------------------------------------------------------------

    private void add() {
        Fields f = new Fields();
        TextField name = new TextField();
        TextField a = new TextField();
        TextField b = new TextField();
        TextField c = new TextField();
        ComboBox<Additions.Kind> kind = f.choice(
                "Add", List.of(Additions.Kind.values()), Additions.Kind.ROW, Additions.Kind::word, "add-kind", k -> {});
        Fields named = new Fields();
        Runnable titles = () -> {
            named.getChildren().clear();
            Additions.Kind k = kind.getValue();
            named.add(k.holes() ? "Callout or group" : "Name", name, "add-name");
            TextField[] fields = {a, b, c};
            for (int i = 0; i < 3; i++) {
                if (i < k.titles().size() && !k.titles().get(i).isEmpty()) {
                    named.add(k.titles().get(i), fields[i], "add-" + (i + 1));
                }
            }
        };
        kind.valueProperty().addListener((o, was, now) -> titles.run());
        titles.run();
        Button go = button(
                "Add",
                "Enter",
                "add-go",
                () -> reading(() -> {
                    Additions addition = new Additions(
                            kind.getValue(), name.getText(), a.getText(), b.getText(), c.getText(), desk.lengths());
                    Id.Face face = desk.selectionProperty().get().face();
                    does("adding " + kind.getValue().word(), build -> addition.onto(build, face));
                }));
        go.setDefaultButton(true);
        VBox zones = new VBox(4);
        desk.face()
                .face()
                .zones()
                .forEach(z -> zones.getChildren()
                        .add(buttons(button(
                                "Take away " + z.name(),
                                "",
                                "zone-drop-" + z.id().n(),
                                () -> does(
                                        "taking " + z.name() + " away",
                                        x -> SheetEdits.dropZone(
                                                x,
                                                desk.selectionProperty().get().face(),
                                                z.id()))))));
        body.getChildren()
                .addAll(
                        Ui.wrapped(
                                "Click a hole or a sheet to change it; drag holes, the square at a row's end, or an "
                                        + "edge. "
                                        + "Ctrl while dragging lets it go anywhere.",
                                "soft"),
                        f,
                        named,
                        go,
                        zones);
    }
}
