package bucina.desk.card;

import bucina.core.edit.AssemblyEdits;
import bucina.core.edit.PartEdits;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.desk.look.Fields;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What the build is made of: assemblies and their faces, named, ordered, moved, deleted. */
public final class StructureCard extends ShownBox {

    private final Desk desk;
    private final Runnable away;
    private final VBox tree = new VBox(2);
    private final VBox body = new VBox(10);
    private final Label wrong = Ui.wrapped("", "stop-text");
    private Id chosen;

    public StructureCard(Desk desk, Runnable away) {
        this.desk = desk;
        this.away = away;
        chosen = desk.ref().assembly().id();
        getStyleClass().add("card");
        setId("structure-card");
        setSpacing(10);
        setMaxSize(860, USE_PREF_SIZE);
        tree.setPrefWidth(330);
        tree.setMinWidth(330);
        body.setPrefWidth(450);
        HBox both = new HBox(18, Ui.scroll(tree), body);
        both.setMaxHeight(520);
        Button more = Ui.button("New assembly", "", this::newAssembly);
        more.setId("assembly-new");
        more.setDisable(desk.session().readOnly());
        HBox foot = new HBox(8, more, Ui.spring(), Ui.button("Close", "Esc", away, "quiet"));
        getChildren().addAll(Ui.label("Assemblies and faces", "bench-title"), both, wrong, foot);
        ties.on(desk.session().snapshotProperty(), this::fill);
        fill();
    }

    private void fill() {
        Build build = desk.session().snapshot().build();
        Ui.shown(wrong, false);
        tree.getChildren().clear();
        for (Assembly assembly : build.assemblies()) {
            tree.getChildren()
                    .add(choice(
                            assembly.id(),
                            assembly.name(),
                            "rack-assembly",
                            assembly.hand() == Hand.NONE ? "" : assembly.hand().word()));
            for (Face face : assembly.faces()) {
                tree.getChildren()
                        .add(choice(
                                face.id(),
                                "    " + face.name(),
                                "rack-face",
                                face.layers().size() + " sheets"));
            }
        }
        show(build);
    }

    private Button choice(Id id, String name, String style, String note) {
        HBox line = new HBox(
                6,
                Ui.label(name, style.equals("rack-assembly") ? "strong" : "plain"),
                Ui.spring(),
                Ui.kept(note, "soft"));
        line.setMouseTransparent(true);
        Button button = new Button();
        line.prefWidthProperty().bind(button.widthProperty().subtract(26));
        button.setGraphic(line);
        button.getStyleClass().add("rack-face");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setId("structure-" + id.n());
        button.setAccessibleText(name.strip());
        if (chosen.equals(id)) {
            button.getStyleClass().add("current");
        }
        button.setOnAction(e -> {
            chosen = id;
            fill();
        });
        return button;
    }

    private void show(Build build) {
        body.getChildren().clear();
        Optional<Build.FaceRef> face =
                build.faces().stream().filter(f -> f.face().id().equals(chosen)).findFirst();
        Optional<Assembly> assembly =
                build.assemblies().stream().filter(a -> a.id().equals(chosen)).findFirst();
        face.ifPresent(this::face);
        assembly.ifPresent(this::assembly);
        body.setDisable(desk.session().readOnly());
    }

    private void assembly(Assembly a) {
        body.getChildren()
                .addAll(
                        Ui.label(a.name(), "strong"),
                        Ui.wrapped(
                                a.faces().size() + (a.faces().size() == 1 ? " face" : " faces")
                                        + (a.twin().isPresent() ? "; it follows its other hand" : "") + ".",
                                "soft"),
                        fields(a),
                        ways(a));
    }

    private Fields fields(Assembly a) {
        Fields f = new Fields();
        f.committed(
                "Name",
                a.name(),
                "assembly-name",
                t -> as(a, "naming " + t, x -> x.as(t.strip(), x.hand(), x.unit(), x.drawings())));
        f.choice(
                "Hand",
                List.of(Hand.values()),
                a.hand(),
                Hand::word,
                "assembly-hand",
                h -> as(a, h.word(), x -> x.as(x.name(), h, x.unit(), x.drawings())));
        f.choice(
                "Drawn in",
                List.of(Unit.values()),
                a.unit(),
                Unit::symbol,
                "assembly-unit",
                u -> as(a, u.symbol(), x -> x.as(x.name(), x.hand(), u, x.drawings())));
        f.committed(
                "Drawings",
                String.join(", ", a.drawings()),
                "assembly-drawings",
                t -> as(a, "drawings " + t, x -> x.as(x.name(), x.hand(), x.unit(), drawings(t))));
        return f;
    }

    private FlowPane ways(Assembly a) {
        return new FlowPane(
                6,
                6,
                way("New face in it", "face-new", () -> newFace(a)),
                way(
                        "Earlier",
                        "assembly-earlier",
                        () -> plan("moving " + a.name() + " up", b -> AssemblyEdits.order(b, a.id(), true))),
                way(
                        "Later",
                        "assembly-later",
                        () -> plan("moving " + a.name() + " down", b -> AssemblyEdits.order(b, a.id(), false))),
                way(
                        "Take it all apart",
                        "assembly-apart",
                        () -> plan(
                                a.name() + " is taken apart",
                                b -> PartEdits.apart(
                                        b, desk.session().snapshot().parts(), a.id()))),
                way("Delete", "assembly-drop", () -> drop(a.faces(), a.name(), b -> AssemblyEdits.drop(b, a.id()))));
    }

    private static List<String> drawings(String text) {
        return Arrays.stream(text.split(","))
                .map(String::strip)
                .filter(t -> !t.isEmpty())
                .toList();
    }

    private void as(Assembly a, String words, UnaryOperator<Assembly> change) {
        plan(a.name() + ": " + words, b -> AssemblyEdits.assembly(b, a.id(), change));
    }

    private void face(Build.FaceRef ref) {
        Face face = ref.face();
        body.getChildren()
                .addAll(
                        Ui.label(face.name(), "strong"),
                        Ui.wrapped(
                                face.layers().size() + " sheets, " + face.count() + " fasteners, in "
                                        + ref.assembly().name() + ".",
                                "soft"),
                        fields(ref, face),
                        ways(face));
    }

    private Fields fields(Build.FaceRef ref, Face face) {
        Fields f = new Fields();
        f.committed(
                "Name", face.name(), "face-name", t -> named(face, t, face.viewed(), face.xToward(), face.yToward()));
        f.committed(
                "Viewed",
                face.viewed(),
                "face-viewed",
                t -> named(face, face.name(), t, face.xToward(), face.yToward()));
        f.committed(
                "Along +x lies",
                face.xToward(),
                "face-x",
                t -> named(face, face.name(), face.viewed(), t, face.yToward()));
        f.committed(
                "Along +y lies",
                face.yToward(),
                "face-y",
                t -> named(face, face.name(), face.viewed(), face.xToward(), t));
        f.choice(
                "Belongs to",
                desk.session().snapshot().build().assemblies(),
                ref.assembly(),
                Assembly::name,
                "face-into",
                a -> plan("moving " + face.name() + " to " + a.name(), b -> AssemblyEdits.move(b, face.id(), a.id())));
        return f;
    }

    private FlowPane ways(Face face) {
        return new FlowPane(
                6,
                6,
                way("Show it", "face-show", () -> {
                    away.run();
                    desk.show(face.id());
                }),
                way(
                        "Earlier",
                        "face-earlier",
                        () -> plan("moving " + face.name() + " up", b -> AssemblyEdits.order(b, face.id(), true))),
                way(
                        "Later",
                        "face-later",
                        () -> plan("moving " + face.name() + " down", b -> AssemblyEdits.order(b, face.id(), false))),
                way(
                        "Delete",
                        "face-drop",
                        () -> drop(List.of(face), face.name(), b -> AssemblyEdits.drop(b, face.id()))));
    }

    private void named(Face face, String name, String viewed, String x, String y) {
        plan(
                "naming " + name,
                b -> AssemblyEdits.face(b, face.id(), name.strip(), viewed.strip(), x.strip(), y.strip()));
    }

    private Button way(String text, String id, Runnable does) {
        Button button = Ui.button(text, "", does);
        button.setId(id);
        return button;
    }

    /** What is logged on a face stays in the log; that it is no longer seen there is asked about once. */
    private void drop(List<Face> faces, String name, UnaryOperator<Build> change) {
        int in = faces.stream().mapToInt(desk.session().snapshot()::installed).sum();
        if (in == 0) {
            plan("deleting " + name, change);
            return;
        }
        Button sure = Ui.button("Delete it all the same", "", () -> plan("deleting " + name, change));
        sure.setId("drop-sure");
        HBox box = new HBox(
                8,
                Ui.wrapped(
                        in + (in == 1 ? " fastener is" : " fasteners are") + " logged on " + name
                                + ". The log keeps its entries, but they are no longer seen on a sheet. Ctrl+Z "
                                + "brings it back.",
                        "attention-text"),
                sure);
        box.setAlignment(Pos.CENTER_LEFT);
        body.getChildren().add(box);
    }

    private void newAssembly() {
        Build build = desk.session().snapshot().build();
        Id.Assembly id = new Id.Assembly(build.nextId());
        chosen = id;
        plan("adding an assembly", b -> AssemblyEdits.add(b, free("Assembly", b), Hand.NONE, desk.unit()));
    }

    private static String free(String word, Build build) {
        int n = 1;
        while (taken(build, word + " " + n)) {
            n++;
        }
        return word + " " + n;
    }

    private static boolean taken(Build build, String name) {
        return build.assemblies().stream()
                .anyMatch(a -> a.name().equalsIgnoreCase(name)
                        || a.faces().stream().anyMatch(f -> f.name().equalsIgnoreCase(name)));
    }

    private void newFace(Assembly a) {
        Build build = desk.session().snapshot().build();
        chosen = new Id.Face(build.nextId());
        plan(
                "adding a face to " + a.name(),
                b -> AssemblyEdits.addFace(b, a.id(), free("Face", b), "from outside", "outboard", "forward"));
    }

    private void plan(String words, UnaryOperator<Build> change) {
        desk.session().plan(words, change, () -> {}, sentence -> {
            wrong.setText(sentence);
            Ui.shown(wrong, true);
        });
    }
}
