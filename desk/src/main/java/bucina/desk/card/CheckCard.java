package bucina.desk.card;

import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.BuildCheck;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The whole build gone through: what the checks found by face, and whether file and log are what was written. */
public final class CheckCard extends ShownBox {

    private static final int NAMED = 9;

    private final Desk desk;
    private final Runnable away;
    private final VBox plan = new VBox(4);
    private final VBox file = new VBox(4);
    private final Button close;

    public CheckCard(Desk desk, Runnable away) {
        super(10);
        this.desk = desk;
        this.away = away;
        getStyleClass().add("card");
        setId("check-card");
        setMaxSize(720, USE_PREF_SIZE);
        plan.setId("check-plan");
        file.setId("check-file");
        close = Ui.button("Close", "Esc", away, "quiet");
        HBox head = new HBox(8, Ui.label("Check of this build", "bench-title"), Ui.spring(), close);
        head.setAlignment(Pos.CENTER_LEFT);
        VBox all = new VBox(
                10,
                Ui.label("Plan", "strong"),
                plan,
                Ui.label("File and log", "strong"),
                file,
                Ui.wrapped("The kit's drawing governs; nothing here is an approval.", "soft"));
        getChildren().addAll(head, Ui.scroll(all));
        plan.getChildren().add(Ui.wrapped("Going through every hole ...", "soft"));
        file.getChildren().add(Ui.wrapped("Reading every page and every row ...", "soft"));
        look();
    }

    private void look() {
        var derivation = desk.snapshot().derivation();
        Latest asked = desk.session().latest();
        ties.keep(asked::drop);
        asked.ask(() -> derivation.findings(() -> false), this::plan, s -> said(plan, s, "stop-text"));
        Path path = desk.session().path();
        Latest read = desk.session().latest();
        ties.keep(read::drop);
        read.ask(() -> BuildCheck.of(path), this::file, s -> said(file, s, "stop-text"));
    }

    private static void said(VBox into, String sentence, String style) {
        into.getChildren().setAll(Ui.wrapped(sentence, style));
    }

    private void plan(List<Finding> findings) {
        Map<String, List<Finding>> faces = new LinkedHashMap<>();
        findings.forEach(f ->
                faces.computeIfAbsent(f.place().face(), n -> new ArrayList<>()).add(f));
        if (faces.isEmpty()) {
            said(plan, "No finding on " + holes() + " holes.", "done-text");
            return;
        }
        said(plan, findings.size() + " findings on " + holes() + " holes.", "plain");
        faces.entrySet().stream().limit(NAMED).forEach(e -> plan.getChildren().add(face(e.getKey(), e.getValue())));
        if (faces.size() > NAMED) {
            plan.getChildren().add(Ui.label((faces.size() - NAMED) + " more faces", "soft"));
        }
    }

    private int holes() {
        return desk.snapshot().build().faces().stream()
                .mapToInt(f -> f.face().count())
                .sum();
    }

    private VBox face(String name, List<Finding> findings) {
        long errors = findings.stream().filter(f -> f.level() == Level.ERROR).count();
        Label first = Ui.wrapped("First: " + findings.getFirst().message().in(desk.unit()), "soft");
        first.setPadding(new Insets(0, 0, 4, 9));
        Button there = Ui.button(
                name,
                "",
                () -> desk.snapshot().build().face(name).ifPresent(f -> {
                    away.run();
                    desk.show(f.face().id());
                }),
                "quiet",
                "slim");
        HBox line = new HBox(
                8,
                there,
                Ui.kept(
                        errors + (errors == 1 ? " error, " : " errors, ") + (findings.size() - errors) + " warnings",
                        errors > 0 ? "stop-text" : "attention-text"));
        line.setAlignment(Pos.CENTER_LEFT);
        return new VBox(line, first);
    }

    private void file(BuildCheck check) {
        file.getChildren().clear();
        check.good().forEach(l -> file.getChildren().add(Ui.wrapped(l, "done-text")));
        check.wrong().forEach(l -> file.getChildren().add(Ui.wrapped(l, "stop-text")));
    }

    @Override
    public void enter() {
        close.requestFocus();
    }
}
