package bucina.desk.card;

import bucina.core.guard.BayPoints;
import bucina.core.guard.Bays;
import bucina.core.log.CloseOut;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.measure.InputException;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Gaging;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.Refusal;
import bucina.desk.look.Scroll;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import bucina.desk.session.Selection;
import bucina.desk.session.Taking;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * The close-out of a bay: everything plan and log put behind the part that closes it, lived with while the work goes
 * on, and signed at the end, a point left open only with its reason.
 */
public final class CloseOutCard extends ShownBox {

    private final Desk desk;
    private final Latest latest;
    private final Runnable bring;
    private final ComboBox<Bay> bay;
    private final Label state = Ui.wrapped("", "strong");
    private final VBox points = new VBox(4);
    private final VBox counts = new VBox(4);
    private final Fields said = new Fields();
    private final TextField who;
    private final TextField minutes;
    private final Refusal wrong = new Refusal();
    private final Button sign = Ui.button("Sign the close-out", "Ctrl+Enter", this::act, "primary");
    private final Map<String, TextField> reasons = new LinkedHashMap<>();
    private final Map<String, TextField> counted = new LinkedHashMap<>();
    private Optional<Listed> listed = Optional.empty();

    /**
     * @param bring opens where photographs are brought in
     */
    public CloseOutCard(Desk desk, Runnable bring, Runnable done) {
        super(8);
        this.desk = desk;
        this.bring = bring;
        latest = desk.session().latest();
        getStyleClass().add("card");
        setId("close-out-card");
        setMaxSize(820, USE_PREF_SIZE);
        List<Bay> all = desk.session().snapshot().build().workshop().bays();
        bay = said.choice("Bay", all, all.isEmpty() ? null : all.getFirst(), Bay::name, "close-bay", b -> fill());
        who = said.add("Who signs", new TextField(desk.prefs().who()), "close-who");
        minutes = said.add("Minutes", new TextField("10"), "close-minutes");
        sign.setId("close-sign");
        wrong.setId("close-wrong");
        state.setId("close-state");
        points.setId("close-points");
        Scroll scroll = Scroll.of(points);
        scroll.setPrefHeight(300);
        HBox ways = new HBox(8, sign, Ui.spring(), Ui.button("Close", "Esc", done, "quiet"));
        ways.setAlignment(Pos.CENTER_LEFT);
        getChildren()
                .addAll(
                        Ui.label("Close out a bay", "bench-title"),
                        Ui.wrapped(
                                all.isEmpty()
                                        ? "No bay is named yet: name one with Ctrl+H, with the parts that close it."
                                        : "Until it is signed, the fasteners of the part that closes it are held. A"
                                                + " point left open wants its reason.",
                                "soft"),
                        state,
                        scroll,
                        counts,
                        said,
                        wrong,
                        ways);
        ties.on(desk.session().snapshotProperty(), this::fill);
        fill();
    }

    /** What was worked out for one bay. */
    private record Listed(
            Bay bay,
            List<BayPoints.Point> points,
            Map<String, Integer> loose,
            List<String> closing,
            Optional<LogEntry> signed,
            List<Gaging> gagings) {

        static Listed of(Snapshot now, Bay bay) {
            BayPoints points = new BayPoints(now.derivation(), now.log(), now.parts());
            Bays bays = new Bays(now.derivation(), now.log(), now.parts());
            return new Listed(
                    bay,
                    points.of(bay),
                    points.loose(bay),
                    bays.open(bay).stream().map(Part::name).toList(),
                    bays.signed(bay),
                    now.build().workshop().gagings().stream()
                            .filter(g -> g.bay().filter(bay.id()::equals).isPresent())
                            .toList());
        }
    }

    private void fill() {
        wrong.clear();
        Bay of = bay.getValue();
        sign.setDisable(of == null || desk.session().readOnly());
        if (of == null) {
            return;
        }
        Snapshot now = desk.session().snapshot();
        Bay is = now.build().workshop().bays().stream()
                .filter(b -> b.id().equals(of.id()))
                .findFirst()
                .orElse(of);
        latest.ask(() -> Listed.of(now, is), this::show, wrong::say);
    }

    private void show(Listed is) {
        listed = Optional.of(is);
        String signed = is.signed
                .map(e -> " Signed in entry " + e.id() + " by "
                        + e.deed().orElseThrow().who() + ".")
                .orElse(" Not signed.");
        state.setText((is.closing.isEmpty() ? "It is shut." : is.closing.getLast() + " closes it last.")
                + (is.points.isEmpty()
                        ? " Nothing is open."
                        : " " + is.points.size() + (is.points.size() == 1 ? " point is open." : " points are open."))
                + signed);
        Map<String, String> kept = new LinkedHashMap<>();
        reasons.forEach((point, field) -> kept.put(point, field.getText()));
        reasons.clear();
        points.getChildren().clear();
        BayPoints.Kind last = null;
        for (BayPoints.Point point : is.points) {
            if (point.kind() == BayPoints.Kind.LOOSE) {
                continue;
            }
            if (point.kind() != last) {
                points.getChildren().add(Ui.label(upper(point.kind().word()), "strong"));
                last = point.kind();
            }
            points.getChildren().add(line(is, point, kept.getOrDefault(point.text(), "")));
        }
        counts(is);
    }

    private HBox line(Listed is, BayPoints.Point point, String reason) {
        Label text = Ui.wrapped(point.text(), "plain");
        text.setPrefWidth(300);
        HBox line = new HBox(8, text);
        line.setAlignment(Pos.CENTER_LEFT);
        if (!point.holes().isEmpty()) {
            line.getChildren().add(Ui.button("Show", "", () -> show(point.holes()), "quiet"));
        }
        if (point.kind() == BayPoints.Kind.CLEARANCE) {
            is.gagings.stream()
                    .filter(g -> g.name().equals(point.where()))
                    .findFirst()
                    .ifPresent(g -> take(line, g));
        }
        if (point.kind() == BayPoints.Kind.PHOTO) {
            line.getChildren().add(Ui.button("Bring it in", "", bring, "quiet"));
        }
        TextField why = new TextField(reason);
        why.setPromptText("left open because");
        why.setAccessibleText("Why " + point.text() + " stays open");
        why.setId("close-reason-" + reasons.size());
        HBox.setHgrow(why, Priority.ALWAYS);
        reasons.put(point.text(), why);
        line.getChildren().add(why);
        return line;
    }

    /** A reading is taken where it is asked for. */
    private void take(HBox line, Gaging gaging) {
        TextField value = new TextField();
        value.setPromptText(gaging.unit() == Gaging.In.DEGREES ? "1.5" : ".210");
        value.setAccessibleText(gaging.name() + " as measured");
        value.setId("take-" + gaging.id().n());
        value.setPrefColumnCount(6);
        Runnable go = () -> {
            try {
                desk.session()
                        .log(
                                Taking.draft(desk, gaging, value.getText(), who.getText()),
                                List.of(),
                                e -> desk.prefs().keep("who", who.getText().strip()),
                                wrong::say);
            } catch (InputException e) {
                wrong.say(e.getMessage());
            }
        };
        value.setOnAction(e -> go.run());
        line.getChildren().addAll(value, Ui.button("Measured", "Enter", go, "quiet"));
    }

    private void counts(Listed is) {
        Map<String, String> kept = new LinkedHashMap<>();
        counted.forEach((what, field) -> kept.put(what, field.getText()));
        counted.clear();
        counts.getChildren().clear();
        if (!is.loose.isEmpty()) {
            counts.getChildren().add(Ui.label("Counted out", "strong"));
        }
        is.loose.forEach((what, due) -> {
            TextField field = new TextField(kept.getOrDefault(what, ""));
            field.setId("count-" + what.replaceAll("[^A-Za-z0-9]+", "-"));
            field.setPromptText(due > 0 ? due + " were pulled inside" : "how many");
            field.setPrefColumnCount(12);
            counted.put(what, field);
            counts.getChildren().add(Ui.named(upper(what), field));
        });
    }

    /** Shows holes on their face; the card stays. */
    private void show(List<Id.Hole> holes) {
        for (Build.FaceRef ref : desk.snapshot().build().faces()) {
            List<Id.Hole> here = holes.stream()
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

    private static String upper(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    @Override
    public void act() {
        if (listed.isEmpty() || desk.session().readOnly()) {
            return;
        }
        LogEntry.Draft draft;
        try {
            draft = draft(listed.get());
        } catch (InputException e) {
            wrong.say(e.getMessage());
            return;
        }
        desk.session()
                .log(
                        draft,
                        List.of(),
                        e -> {
                            desk.prefs().keep("who", who.getText().strip());
                            fill();
                        },
                        wrong::say);
    }

    private LogEntry.Draft draft(Listed is) {
        List<CloseOut.Left> left = reasons.entrySet().stream()
                .filter(e -> !e.getValue().getText().isBlank())
                .map(e -> new CloseOut.Left(e.getKey(), e.getValue().getText().strip()))
                .collect(Collectors.toCollection(ArrayList::new));
        List<CloseOut.Counted> out = new ArrayList<>();
        counted.forEach((what, field) -> {
            if (!field.getText().isBlank()) {
                out.add(new CloseOut.Counted(what, is.loose.getOrDefault(what, 0), whole(field.getText(), what)));
            }
        });
        return LogEntry.Draft.install(new Labour(
                new CloseOut(is.bay.id(), is.bay.name(), left, out),
                "",
                who.getText().strip(),
                desk.session().now(),
                whole(minutes.getText(), "minutes"),
                "",
                "",
                List.of()));
    }

    private static int whole(String text, String name) {
        if (!text.strip().matches("\\d{1,6}")) {
            throw new InputException(name + " is a whole number like 48, was \"" + text.strip() + "\"");
        }
        return Integer.parseInt(text.strip());
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        bay.requestFocus();
    }

    @Override
    public void close() {
        latest.drop();
        super.close();
    }
}
