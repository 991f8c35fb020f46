package bucina.desk.rules;

import bucina.core.measure.InputException;
import bucina.core.rule.Finding;
import bucina.core.rule.Rule;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.stack.Derivation;
import bucina.desk.look.Fields;
import bucina.desk.look.ShownPane;
import bucina.desk.look.Steps;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import bucina.desk.session.RuleEffect;
import bucina.store.json.Json;
import bucina.store.json.PlanJson;
import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Gatherers;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import org.jspecify.annotations.Nullable;

/** Every limit of the rule set in force at the left; another set beside it, and what it would change, at the right. */
public final class RulesRoom extends ShownPane {

    /** Rows put into the window at once. */
    private static final int AT_ONCE = 6;

    private final Desk desk;
    private final Latest effects;
    private final GridPane table = new GridPane();
    private final VBox effect = new VBox(6);
    private final ComboBox<RuleSet> other;
    private final Label error = Ui.wrapped("", "stop-text");
    private final TextField reason = new TextField();
    private final Button take;
    private final Label theirs = Ui.kept("", "strong");
    private final Map<RuleKey, RuleRow> rows = new HashMap<>();
    private final Steps filling = new Steps();
    private boolean away = true;
    private @Nullable RuleSet shown;
    private @Nullable RuleSet compared;

    public RulesRoom(Desk desk) {
        this.desk = desk;
        effects = desk.session().latest();
        getStyleClass().add("logbook");
        Fields choose = new Fields();
        List<RuleSet> sets = desk.session().catalogue().ruleSets();
        other = choose.choice("Compare with", sets, null, RuleSet::name, "rules-other", s -> fill());
        other.setPromptText("choose a rule set");
        reason.setId("rules-reason");
        reason.setPromptText("why, for the record");
        reason.setAccessibleText("Reason for changing a rule");
        choose.add("Reason for a change", reason, "rules-reason");
        take = Ui.button("Use this set on this build", "", this::take, "primary");
        take.setId("rules-take");
        Button export = Ui.button("Export as JSON", "", this::export);
        export.setId("rules-export");
        VBox right = lay(choose, export);
        table.setHgap(12);
        table.setVgap(4);
        VBox left = inForce();
        setCenter(Ui.scroll(left));
        setRight(right);
        Ui.shown(error, false);
        // What is not in the window is not styled again when the room is entered.
        sceneProperty().addListener((o, was, now) -> {
            if (now == null) {
                filling.stop();
                table.getChildren().clear();
                away = true;
            }
        });
        ties.on(desk.snapshotProperty(), () -> {
            if (desk.roomProperty().get() == Desk.Room.RULES) {
                fill();
            }
        });
    }

    private VBox inForce() {
        VBox left = new VBox(
                10,
                Ui.label("Rules in force", "room-title"),
                Ui.wrapped(
                        "Defaults from AC 43.13-1B and FAA-H-8083-31. The kit's drawing governs: a value that "
                                + "it replaces is typed here with the reason. Saved with the build.",
                        "soft"),
                table);
        left.setPadding(new Insets(14));
        return left;
    }

    private VBox lay(Fields choose, Button export) {
        VBox right = new VBox(
                10,
                Ui.label("Another rule set", "bench-title"),
                Ui.wrapped(
                        "Choose one: where it differs stands beside the value in force, and what it "
                                + "would change on this build below.",
                        "soft"),
                choose,
                new FlowPane(8, 6, take, export),
                error,
                Ui.scroll(effect));
        right.setPadding(new Insets(14));
        right.setPrefWidth(430);
        right.setMinWidth(430);
        right.getStyleClass().add("bench-side");
        return right;
    }

    /** Shows the rules as they are. */
    @Override
    public void enter() {
        fill();
        other.requestFocus();
    }

    private void fill() {
        RuleSet rules = desk.snapshot().build().rules();
        if (rules == shown && other.getValue() == compared && !away) {
            return;
        }
        shown = rules;
        compared = other.getValue();
        theirs.setText(compared == null ? "" : compared.name());
        rows.forEach((key, row) -> row.show(rules.rule(key), Optional.ofNullable(compared)));
        if (away) {
            away = false;
            put(rules);
        }
        take.setDisable(compared == null
                || compared.rules().equals(rules.rules())
                || desk.session().readOnly());
        effect();
    }

    /** Puts the rows there, some at a time. */
    private void put(RuleSet rules) {
        table.addRow(
                0, Ui.label("Rule", "strong"), Ui.label("In force", "strong"), theirs, Ui.label("Source", "strong"));
        List<Runnable> parts = new ArrayList<>();
        for (List<Rule> some :
                rules.rules().stream().gather(Gatherers.windowFixed(AT_ONCE)).toList()) {
            parts.add(() -> some.forEach(
                    r -> table.addRow(table.getRowCount(), row(r.key()).cells())));
        }
        filling.begin(parts);
    }

    private RuleRow row(RuleKey key) {
        return rows.computeIfAbsent(key, k -> {
            RuleRow row =
                    new RuleRow(k, desk.session().readOnly(), value -> change(k, value), () -> desk.ask(k.code()));
            row.show(desk.snapshot().build().rules().rule(k), Optional.ofNullable(compared));
            return row;
        });
    }

    private void change(RuleKey key, String value) {
        Ui.shown(error, false);
        String why = reason.getText().strip();
        if (why.isEmpty()) {
            refuse("a rule is replaced with a written reason: type it first, such as \"drawing note 4 allows it\"");
            return;
        }
        try {
            replace(key, value, why);
        } catch (InputException e) {
            refuse(e.getMessage());
        }
    }

    private void replace(RuleKey key, String value, String why) {
        RuleSet changed = desk.snapshot().build().rules().with(key, value, why);
        desk.session()
                .plan(
                        "changing the rule " + key.code(),
                        b -> b.withRules(b.rules().with(key, value, why)),
                        () -> {},
                        this::refuse);
        reason.setText(changed.rule(key).reason());
    }

    private void refuse(String sentence) {
        error.setText(sentence);
        Ui.shown(error, true);
        shown = null;
        fill();
    }

    private void take() {
        RuleSet chosen = other.getValue();
        desk.session().plan("using the rule set " + chosen.name(), b -> b.withRules(chosen), () -> {}, this::refuse);
    }

    private void export() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Export the rules");
        chooser.setInitialFileName("rules.json");
        File file = chooser.showSaveDialog(getScene().getWindow());
        Optional.ofNullable(file).ifPresent(f -> write(f.toPath()));
    }

    private void write(Path path) {
        byte[] text =
                (Json.pretty(PlanJson.rules(desk.snapshot().build().rules())) + "\n").getBytes(StandardCharsets.UTF_8);
        desk.session()
                .writeOut(
                        path,
                        () -> text,
                        () -> {
                            error.setText("Written to " + path);
                            Ui.shown(error, true);
                        },
                        this::refuse);
    }

    private void effect() {
        effect.getChildren().clear();
        RuleSet chosen = compared;
        Derivation now = desk.snapshot().derivation();
        if (chosen == null) {
            effects.drop();
            return;
        }
        effect.getChildren().add(Ui.wrapped("Working out what it changes here.", "soft"));
        effects.ask(
                () -> RuleEffect.of(now, chosen),
                e -> show(now.build().rules(), chosen, e),
                s -> effect.getChildren().setAll(Ui.wrapped(s, "stop-text")));
    }

    private void show(RuleSet inForce, RuleSet chosen, RuleEffect e) {
        effect.getChildren().clear();
        int differing = chosen.differing(inForce).size();
        effect.getChildren()
                .add(Ui.wrapped(
                        differing + (differing == 1 ? " value differs. " : " values differ. ") + e.rivets()
                                + " holes would take another rivet, "
                                + e.fresh().size() + " findings would come, "
                                + e.gone().size() + " would go.",
                        "strong"));
        grouped(e.fresh()).forEach((words, list) -> line("comes", words, list, "stop-text"));
        grouped(e.gone()).forEach((words, list) -> line("goes", words, list, "soft"));
    }

    private static Map<String, List<Finding>> grouped(List<Finding> findings) {
        Map<String, List<Finding>> groups = new LinkedHashMap<>();
        findings.forEach(f -> groups.computeIfAbsent(
                        f.rule().words() + " on " + f.place().face(), k -> new ArrayList<>())
                .add(f));
        return groups;
    }

    /** One kind of finding on one face: how many, and the first in full. */
    private void line(String what, String words, List<Finding> list, String style) {
        effect.getChildren()
                .add(new VBox(
                        1,
                        Ui.wrapped(
                                what + " at " + list.size() + (list.size() == 1 ? " hole: " : " holes: ") + words,
                                style),
                        Ui.wrapped(
                                (list.size() > 1 ? "First: " : "")
                                        + list.getFirst().message().in(desk.unit()),
                                "soft")));
    }
}
