package bucina.desk.rack;

import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.state.Snapshot;
import bucina.desk.look.Palette;
import bucina.desk.look.ShownPane;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.ArrayList;
import java.util.List;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Lists what the build is made of; a click turns to a face or picks a group. */
public final class Rack extends ShownPane {

    private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");

    private final Desk desk;
    private final VBox list = new VBox(2);
    /** Each brings one row's count up to the snapshot: after a log entry only figures change. */
    private final List<Runnable> counts = new ArrayList<>();

    private Palette palette = Palette.LIGHT;
    private final ScrollPane scroll;
    private final VBox foot;
    private final CheckBox byPage = new CheckBox("by page");
    private final HBox turn = new HBox(byPage);
    private final PageList pages;
    private @Nullable Build filled;

    /**
     * The ways to get something onto the bench.
     *
     * @param structure names, orders and moves assemblies and faces
     * @param panel   makes a panel
     * @param ribs    makes ribs and frames
     * @param bring   brings in a drawing
     * @param callout reads callouts
     * @param typed   starts a group without holes
     */
    public record Ways(
            Runnable structure, Runnable panel, Runnable ribs, Runnable bring, Runnable callout, Runnable typed) {}

    public Rack(Desk desk, Ways ways) {
        this.desk = desk;
        getStyleClass().add("rack");
        scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        setCenter(scroll);
        pages = new PageList(desk);
        byPage.setId("rack-by-page");
        byPage.selectedProperty().addListener((o, was, now) -> fill());
        turn.setAlignment(Pos.CENTER_RIGHT);
        turn.setPadding(new Insets(6, 10, 0, 10));
        foot = new VBox(
                0,
                way("Assemblies, faces", "Ctrl+E", "rack-structure", ways.structure),
                way("Make a panel", "P", "add-panel", ways.panel),
                way("Ribs and frames", "Ctrl+F", "add-ribs", ways.ribs),
                way("Bring in a drawing", "I", "add-drawing", ways.bring),
                way("Callouts", "K", "add-callouts", ways.callout),
                way("Typed stack", "N", "add-typed", ways.typed));
        foot.setDisable(desk.session().readOnly());
        BorderPane.setMargin(foot, new Insets(4, 6, 8, 6));
        setBottom(foot);
        ties.on(desk.snapshotProperty(), (was, now) -> {
            if (desk.attempting()) {
                return;
            }
            if (filled == now.build() && !byPage.isSelected()) {
                counts.forEach(Runnable::run);
            } else {
                fill();
            }
        });
        ties.on(desk.selectionProperty(), (was, now) -> {
            if (!was.face().equals(now.face())) {
                fill();
            } else {
                mark();
            }
        });
        ties.on(desk.typedGroupProperty(), this::mark);
    }

    /**
     * Lays the rack out for text larger by a factor: large, the ways to get something onto the bench scroll with the
     * rest.
     */
    private void scale(double factor) {
        boolean apart = factor < 1.4;
        setBottom(apart ? foot : null);
        scroll.setContent(apart ? list : new VBox(list, foot));
    }

    private static Button way(String text, String key, String id, Runnable action) {
        Button button = Ui.button(text, key, action, "quiet");
        button.setId(id);
        button.setMaxWidth(Double.MAX_VALUE);
        button.setAlignment(Pos.CENTER_LEFT);
        return button;
    }

    /** Draws in the colours of one variant. */
    @Override
    public void use(Palette next, double factor) {
        scale(factor);
        palette = next;
        fill();
    }

    private void fill() {
        Snapshot snapshot = desk.snapshot();
        filled = snapshot.build();
        list.getChildren().clear();
        counts.clear();
        list.getChildren().add(turn);
        if (byPage.isSelected()) {
            pages.fill();
            list.getChildren().add(pages);
            return;
        }
        for (Assembly assembly : snapshot.build().assemblies()) {
            list.getChildren().add(Ui.wrapped(assembly.name(), "rack-assembly"));
            list.getChildren()
                    .add(Ui.wrapped(
                            (assembly.hand() == Hand.NONE
                                            ? "no hand"
                                            : assembly.hand().word() + " hand")
                                    + ", drawn in "
                                    + (assembly.unit() == Unit.INCH ? "inches" : "mm")
                                    + (assembly.drawings().isEmpty()
                                            ? ""
                                            : ". " + String.join(", ", assembly.drawings())),
                            "rack-note"));
            for (Face face : assembly.faces()) {
                list.getChildren().add(face(face));
                if (face.id().equals(desk.selectionProperty().get().face())) {
                    face.groups()
                            .forEach(group -> list.getChildren().add(group(new Build.GroupRef(assembly, face, group))));
                }
            }
        }
        counts.forEach(Runnable::run);
        mark();
    }

    private Node face(Face face) {
        Label count = Ui.label("", "rack-count");
        Pips pips = new Pips();
        HBox line = new HBox(6, Ui.label(face.name(), "rack-face-name"), Ui.spring(), count);
        Button button = new Button();
        VBox content = new VBox(4, line, pips);
        content.setMouseTransparent(true);
        line.prefWidthProperty().bind(button.widthProperty().subtract(20));
        button.setGraphic(content);
        button.getStyleClass().add("rack-face");
        if (face.id().equals(desk.selectionProperty().get().face())) {
            button.getStyleClass().add("current");
        }
        button.setMaxWidth(Double.MAX_VALUE);
        counts.add(() -> {
            int done = desk.snapshot().installed(face);
            count.setText(done + "/" + face.count());
            pips.show(done, face.count(), palette);
            button.setAccessibleText(face.name() + ", " + done + " of " + face.count() + " set");
        });
        button.setOnAction(e -> desk.show(face.id()));
        return button;
    }

    private Node group(Build.GroupRef ref) {
        Group group = ref.group();
        Label count = Ui.kept("", "rack-count");
        HBox line = line(group, count);
        Button button = new Button();
        line.setMouseTransparent(true);
        line.prefWidthProperty().bind(button.widthProperty().subtract(26));
        button.setGraphic(line);
        button.getStyleClass().add("rack-group");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setUserData(group.id());
        tally(group, count, button);
        button.setOnAction(e -> desk.show(ref));
        return button;
    }

    private static HBox line(Group group, Label count) {
        return new HBox(
                6, Ui.kept(group.code(), "rack-code"), Ui.label(group.name(), "rack-group-name"), Ui.spring(), count);
    }

    private void tally(Group group, Label count, Button button) {
        counts.add(() -> {
            int done = desk.snapshot().installed(group);
            count.setText(done == group.count() ? "all " + done : done + "/" + group.count());
            button.setAccessibleText("group " + group.code() + " " + group.name() + ", " + done + " of " + group.count()
                    + " set" + (button.getPseudoClassStates().contains(PICKED) ? ", chosen" : ""));
        });
    }

    /** Shows which group the hole looked at belongs to. */
    private void mark() {
        var current = desk.typedGroupProperty()
                .get()
                .or(() -> desk.cursor().map(c -> c.group().id()));
        for (Node node : list.getChildren()) {
            if (node.getUserData() != null) {
                node.pseudoClassStateChanged(
                        PICKED, current.filter(node.getUserData()::equals).isPresent());
            }
        }
        counts.forEach(Runnable::run);
    }
}
