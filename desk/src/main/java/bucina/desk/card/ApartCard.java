package bucina.desk.card;

import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.plan.Build;
import bucina.core.plan.FitReading;
import bucina.core.plan.Id;
import bucina.core.plan.IndexMark;
import bucina.core.plan.Workshop;
import bucina.core.refit.FitCheck;
import bucina.core.refit.OtherWays;
import bucina.desk.look.Fields;
import bucina.desk.look.Palette;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Apart;
import bucina.desk.session.Desk;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Before taking apart: which parts want an index mark at the left, what is measured at the right, before and after. */
public final class ApartCard extends ShownBox {

    /** Parts shown at once, each with its picture: more would hold the window up. */
    private static final int MOST = 40;

    private final Desk desk;
    private final Palette palette;
    private final Apart apart;
    private final VBox marks = new VBox(12);
    private final VBox readings = new VBox(14);
    private final Label left = Ui.wrapped("", "strong");
    private final Label right = Ui.wrapped("", "strong");
    private final Label error = Ui.wrapped("", "stop-text");
    private Workshop shown;

    /**
     * @param apart what was worked out for the assembly
     * @param away  puts the card away
     */
    public ApartCard(Desk desk, Palette palette, Apart apart, Runnable away) {
        super(10);
        this.desk = desk;
        this.palette = palette;
        this.apart = apart;
        this.shown = desk.session().snapshot().build().workshop();
        getStyleClass().add("card");
        setId("apart-card");
        setMaxSize(1120, 690);
        error.setId("apart-error");
        Ui.shown(error, false);
        HBox columns = columns();
        lay(apart, columns, away);
        ties.on(desk.session().snapshotProperty(), (was, now) -> {
            if (getScene() != null && now.build().workshop() != shown) {
                fill();
            }
        });
        fill();
    }

    private void lay(Apart apart, HBox columns, Runnable away) {
        getChildren()
                .addAll(
                        Ui.label("Before taking apart: " + apart.assembly().name(), "bench-title"),
                        columns,
                        new HBox(Ui.button("Close", "Esc", away, "quiet")));
    }

    private HBox columns() {
        VBox lefts = new VBox(
                8, left, Ui.wrapped("Felt pen made for metal, never pencil or scriber.", "soft"), Ui.scroll(marks));
        lefts.setPrefWidth(500);
        lefts.setMinWidth(500);
        VBox rights = new VBox(
                8,
                right,
                Ui.wrapped(
                        "Limits are typical: the kit's drawing governs. Enter them before, take them again once it "
                                + "is together.",
                        "soft"),
                error,
                Ui.scroll(readings));
        HBox.setHgrow(rights, Priority.ALWAYS);
        HBox columns = new HBox(22, lefts, rights);
        VBox.setVgrow(columns, Priority.ALWAYS);
        return columns;
    }

    /** Puts the keyboard on the first tick that is open. */
    @Override
    public void enter() {
        marks.lookupAll(".check-box").stream()
                .filter(n -> n instanceof CheckBox b && !b.isSelected())
                .findFirst()
                .ifPresent(Node::requestFocus);
    }

    private void fill() {
        shown = desk.session().snapshot().build().workshop();
        marks.getChildren().clear();
        int open = apart.unmarked(shown).size();
        left.setText(
                apart.ambiguous().isEmpty()
                        ? "Every part that is not riveted yet goes back one way only."
                        : open == 0
                                ? "All "
                                        + apart.ambiguous().size() + " parts that go back "
                                        + "more than one way are marked."
                                : open + " of " + apart.ambiguous().size()
                                        + " parts that go back more than one way want a mark.");
        List<OtherWays> all = new ArrayList<>(apart.unmarked(shown));
        apart.ambiguous().stream()
                .filter(o -> shown.mark(o.part().id()).isPresent())
                .forEach(all::add);
        all.stream().limit(MOST).forEach(o -> marks.getChildren().add(mark(o)));
        if (all.size() > MOST) {
            marks.getChildren()
                    .add(Ui.wrapped("And " + (all.size() - MOST) + " more: they come up as these are marked.", "soft"));
        }
        readings.getChildren().clear();
        int unread = apart.unread(shown).size();
        right.setText(
                apart.checks().isEmpty()
                        ? "Nothing to measure: no face has a row of six holes or four corners."
                        : unread == 0
                                ? "All readings are taken."
                                : unread + " of " + apart.checks().size() + " readings to take.");
        apart.checks().forEach(c -> readings.getChildren().add(check(c)));
    }

    private HBox mark(OtherWays ways) {
        FacePicture picture = picture(ways);
        Optional<IndexMark> made = shown.mark(ways.part().id());
        CheckBox box = new CheckBox(ways.part().name() + (made.isPresent() ? ", marked" : ", mark it"));
        box.setId("index-" + ways.part().id().n());
        box.getStyleClass().add("strong");
        box.setSelected(made.isPresent());
        box.setDisable(desk.session().readOnly());
        box.setOnAction(e -> tick(ways, box.isSelected()));
        VBox words = new VBox(
                2,
                box,
                Ui.wrapped(ways.sentence().in(desk.unit()), made.isPresent() ? "soft" : "plain"),
                Ui.wrapped(made.map(m -> "Has: " + m.how()).orElse("Write: " + ways.mark()), "soft"));
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox line = new HBox(10, picture, words);
        line.setAlignment(Pos.TOP_LEFT);
        return line;
    }

    private FacePicture picture(OtherWays ways) {
        FacePicture picture = new FacePicture(palette, 104, 62);
        picture.show(
                List.of(ways.sheet()),
                desk.session().snapshot().face(ways.face().id()).readings().stream()
                        .filter(r -> r.layers().contains(ways.sheet()))
                        .map(r -> r.hole().at())
                        .toList());
        picture.point();
        return picture;
    }

    private void tick(OtherWays ways, boolean on) {
        var at = desk.session().instant();
        plan(
                (on ? "marking " : "unmarking ") + ways.part().name(),
                b -> on
                        ? b.withWorkshop(
                                b.workshop()
                                        .with(new IndexMark(
                                                new Id.Index(b.nextId()),
                                                ways.part().id(),
                                                ways.mark(),
                                                at)),
                                b.nextId() + 1)
                        : b.withWorkshop(b.workshop().unmarked(ways.part().id()), b.nextId()));
    }

    private VBox check(FitCheck check) {
        HBox figures = new HBox(6);
        figures.setAlignment(Pos.CENTER_LEFT);
        for (boolean after : new boolean[] {false, true}) {
            Optional<FitReading> taken = Apart.reading(shown, check, after);
            figures.getChildren().add(Ui.kept(after ? "after" : "before", "field-name"));
            List<TextField> fields = new ArrayList<>();
            for (int i = 0; i < check.kind().figures(); i++) {
                int at = i;
                TextField field = new TextField(
                        taken.map(t -> figure(check, t.values().get(at))).orElse(""));
                field.setPrefColumnCount(5);
                field.setId("fit-" + check.face().id().n() + "-" + check.kind().code()
                        + (after ? "-after-" : "-before-") + i);
                field.setAccessibleText(check.kind().code() + " of "
                        + check.face().name() + (after ? " after" : " before") + ", figure " + (i + 1));
                field.setPromptText(
                        check.kind().angle()
                                ? "0.0°"
                                : figure(check, check.expected().get(i)));
                field.setDisable(desk.session().readOnly());
                fields.add(field);
                figures.getChildren().add(field);
            }
            fields.forEach(f -> Fields.committing(f, t -> take(check, after, fields)));
        }
        String kind =
                switch (check.kind()) {
                    case SQUARE -> "Square";
                    case TWIST -> "Twist";
                    case LEVEL -> "Level";
                    case STRAIGHT -> "Straight";
                };
        VBox box = new VBox(
                3,
                Ui.wrapped(kind + ", " + check.face().name(), "strong"),
                Ui.wrapped(check.how().in(desk.unit()), "soft"),
                figures);
        verdicts(check).forEach(box.getChildren()::add);
        return box;
    }

    private String figure(FitCheck check, double value) {
        return check.kind().angle()
                ? "%.2f".formatted(value)
                : LengthFormat.trade(Length.nm(value), desk.unit()).replaceAll(" .*", "");
    }

    private List<Label> verdicts(FitCheck check) {
        var rules = desk.session().snapshot().build().rules();
        List<Label> labels = new ArrayList<>();
        Function<FitCheck.Verdict, Label> label = v -> Ui.wrapped(
                (v.good() ? "Good: " : "Not good: ") + v.words().in(desk.unit()), v.good() ? "done-text" : "stop-text");
        Optional<FitReading> before = Apart.reading(shown, check, false);
        Optional<FitReading> after = Apart.reading(shown, check, true);
        before.ifPresent(r -> labels.add(label.apply(check.verdict(r, rules))));
        after.ifPresent(r -> {
            Label said = label.apply(check.verdict(r, rules));
            said.setText(said.getText() + " (after)");
            labels.add(said);
        });
        Optional<FitCheck.Verdict> moved = before.flatMap(b -> after.map(a -> check.change(b, a, rules)));
        moved.ifPresent(v -> labels.add(label.apply(v)));
        moved.or(() -> before.map(b -> check.verdict(b, rules)))
                .ifPresent(v -> labels.add(Ui.wrapped("Limit: " + v.source() + ". Changed in Rules.", "tiny")));
        return labels;
    }

    private void take(FitCheck check, boolean after, List<TextField> fields) {
        List<String> texts = fields.stream().map(f -> f.getText().strip()).toList();
        Id.Face face = check.face().id();
        if (texts.stream().allMatch(String::isEmpty)) {
            plan(
                    "dropping a reading",
                    b -> b.withWorkshop(b.workshop().without(face, check.kind(), after), b.nextId()));
            return;
        }
        if (texts.stream().anyMatch(String::isEmpty)) {
            return;
        }
        try {
            List<Double> values = values(texts, check);
            var at = desk.session().instant();
            plan(
                    "a reading of " + check.kind().code(),
                    b -> b.withWorkshop(
                            b.workshop()
                                    .with(new FitReading(
                                            new Id.Fit(b.nextId()), face, check.kind(), after, values, at)),
                            b.nextId() + 1));
        } catch (InputException e) {
            refuse(e.getMessage());
        }
    }

    private List<Double> values(List<String> texts, FitCheck check) {
        return texts.stream()
                .map(t -> check.kind().angle()
                        ? Angle.parse(t).degrees()
                        : check.kind() == FitReading.Kind.SQUARE
                                ? desk.lengths().parsePositive(t, "A diagonal").nanometres()
                                : desk.lengths().parse(t).abs().nanometres())
                .toList();
    }

    private void plan(String words, UnaryOperator<Build> change) {
        desk.session().plan(words, change, () -> Ui.shown(error, false), this::refuse);
    }

    private void refuse(String sentence) {
        error.setText(sentence);
        Ui.shown(error, true);
    }
}
