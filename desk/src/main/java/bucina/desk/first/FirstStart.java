package bucina.desk.first;

import bucina.core.measure.InputException;
import bucina.core.rule.CountersinkSchool;
import bucina.core.rule.RuleKey;
import bucina.core.rule.ShopSchool;
import bucina.desk.look.Palette;
import bucina.desk.look.Refusal;
import bucina.desk.look.Ui;
import bucina.desk.session.Places;
import bucina.desk.session.Prefs;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The first start: three questions, a picture for each answer, then what to begin with. */
public final class FirstStart extends StackPane {

    /** What is begun with. */
    public sealed interface Begin {
        /** A first job, led through on the demonstration. */
        record Led() implements Begin {}

        /** The demonstration. */
        record Demo() implements Begin {}

        /** A new build. */
        record New(Path file) implements Begin {}

        /** A new build that a drawing is brought into. */
        record Bring(Path file) implements Begin {}
    }

    private static final double WORDS = 262;

    private final Prefs prefs;
    private final Palette palette;
    private final Consumer<Begin> begin;
    private final Button led = Ui.button("Lead me through a first job", "", () -> go(new Begin.Led()), "primary");
    private final TextField file = new TextField();
    private final Refusal wrong = new Refusal();

    /**
     * @param begin told what to begin with, once the answers are kept
     */
    public FirstStart(Prefs prefs, Consumer<Begin> begin) {
        this.prefs = prefs;
        this.begin = begin;
        palette = prefs.dark() ? Palette.DARK : Palette.LIGHT;
        setId("first-start");
        setStyle(palette.css(prefs.scale()));
        getStyleClass().add("window");
        file.setId("first-file");
        file.setAccessibleText("Where a new build goes");
        file.setText(Places.free(Path.of(System.getProperty("user.home")), "my-aircraft")
                .toString());
        VBox all = new VBox(16, head(), units(), rivets(), schools(), ways(), wrong);
        all.setPadding(new Insets(16, 30, 14, 30));
        all.setMaxWidth(1220);
        all.setMaxHeight(USE_PREF_SIZE);
        StackPane middle = new StackPane(all);
        ScrollPane pane = Ui.scroll(middle);
        pane.setFitToHeight(true);
        getChildren().add(pane);
    }

    /** Puts the keyboard where a stranger goes on: to the first job. */
    public void enter() {
        // What scrolls is put into the window by the first layout.
        applyCss();
        layout();
        led.requestFocus();
    }

    private Node head() {
        return new VBox(
                2,
                Ui.label("Bucina", "bench-title"),
                Ui.wrapped(
                        "Three questions, then the bench. Each answer can be changed later. The kit's drawings and the"
                                + " authority that certifies the aircraft govern; nothing here is an approval.",
                        "soft"));
    }

    private Node units() {
        String usual = prefs.unit().map(u -> u.symbol()).orElse("in");
        return question(
                "1  Inch or millimetre?",
                "Any field takes both, and U turns what is shown.",
                "unit",
                usual,
                new Answer("in", "Inch", "1/8, .032, #40", picture().rule(6, 16, "1 in")),
                new Answer("mm", "Millimetre", "3.2, 0.8", picture().rule(5, 10, "10 mm")));
    }

    private Node rivets() {
        return question(
                "2  Which rivets?",
                "What a new panel begins with; every build takes both.",
                "rivets",
                prefs.rivets().name(),
                new Answer("SOLID", "Solid", "driven or squeezed", picture().solid(75)),
                new Answer("PULLED", "Pulled", "from one side", picture().pulled(75)),
                new Answer(
                        "BOTH",
                        "Both",
                        "as the drawing says",
                        picture().solid(38).pulled(112)));
    }

    private Node schools() {
        HBox both = question(
                "3  Which schools?",
                "Left: how thick a sheet must be to be countersunk; a thinner one is dimpled. Right: how large a set"
                        + " head must be; D is the shank. A new build's rules follow.",
                RuleKey.COUNTERSINK_SCHOOL.code(),
                prefs.text(RuleKey.COUNTERSINK_SCHOOL.code()).orElse(CountersinkSchool.FULL.code()),
                new Answer(
                        CountersinkSchool.FULL.code(),
                        "Just thicker",
                        "than the head is high",
                        picture().countersunk(.94)),
                new Answer(
                        CountersinkSchool.TWO_THIRDS.code(),
                        "Two thirds",
                        "of the sheet, at most",
                        picture().countersunk(.66)));
        both.getChildren().addAll(heads());
        return both;
    }

    private List<ToggleButton> heads() {
        return tiles(
                RuleKey.SHOP_SCHOOL.code(),
                prefs.text(RuleKey.SHOP_SCHOOL.code()).orElse(ShopSchool.GAUGE.code()),
                new Answer(
                        ShopSchool.GAUGE.code(),
                        "Shop gauge",
                        "about this",
                        picture().head(1.5, .5, "1.5 D × 0.5 D")),
                new Answer(
                        ShopSchool.PROCESS.code(),
                        "Specification",
                        "this at least",
                        picture().head(1.3, .4, "1.3 D × 0.4 D")));
    }

    private FirstPicture picture() {
        return new FirstPicture(palette);
    }

    private record Answer(String value, String name, String note, FirstPicture picture) {}

    /** One question: its words at the left, an answer a tile. */
    private HBox question(String title, String sentence, String key, String chosen, Answer... answers) {
        VBox words = new VBox(4, Ui.label(title, "strong"), Ui.wrapped(sentence, "soft"));
        words.setPrefWidth(WORDS);
        words.setMinWidth(WORDS);
        words.setAlignment(Pos.CENTER_LEFT);
        HBox line = new HBox(10, words);
        line.setAlignment(Pos.CENTER_LEFT);
        line.getChildren().addAll(tiles(key, chosen, answers));
        return line;
    }

    private List<ToggleButton> tiles(String key, String chosen, Answer... answers) {
        ToggleGroup group = new ToggleGroup();
        List<ToggleButton> tiles = Stream.of(answers)
                .map(a -> tile(key, a, a.value().equals(chosen), group))
                .toList();
        // One answer always holds.
        group.selectedToggleProperty().addListener((o, was, now) -> {
            if (now == null) {
                group.selectToggle(was);
            }
        });
        return tiles;
    }

    private ToggleButton tile(String key, Answer answer, boolean chosen, ToggleGroup group) {
        Label mark = Ui.kept("", "done-text");
        HBox name = new HBox(6, Ui.kept(answer.name(), "strong"), Ui.spring(), mark);
        VBox content = new VBox(2, answer.picture().canvas(), name, Ui.label(answer.note(), "soft"));
        ToggleButton tile = new ToggleButton("", content);
        tile.setId("first-" + key.replace('.', '-') + "-" + answer.value().toLowerCase(Locale.ROOT));
        tile.getStyleClass().add("answer");
        tile.setAccessibleText(answer.name() + ", " + answer.note());
        tile.setToggleGroup(group);
        tile.selectedProperty().subscribe(on -> {
            mark.setText(on ? "chosen" : "");
            if (on) {
                prefs.keep(key, answer.value());
            }
        });
        tile.setSelected(chosen);
        return tile;
    }

    private Node ways() {
        led.setId("first-led");
        led.setDefaultButton(true);
        Button demo = Ui.button("Look round the demo", "", () -> go(new Begin.Demo()));
        demo.setId("first-demo");
        Button fresh = Ui.button("Begin my build", "", () -> fresh(false));
        fresh.setId("first-new");
        Button bring = Ui.button("Bring in a drawing", "", () -> fresh(true));
        bring.setId("first-bring");
        HBox mine = new HBox(8, Ui.kept("A build of my own in", "field-name"), file, fresh, bring);
        mine.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(file, Priority.ALWAYS);
        VBox ways = new VBox(10, new HBox(10, led, demo), mine);
        ways.setPadding(new Insets(8, 0, 0, 0));
        return ways;
    }

    private void fresh(boolean bring) {
        try {
            Path path = Places.file(file.getText(), "my-aircraft.bucina");
            Path named =
                    path.toString().endsWith(".bucina") ? path : path.resolveSibling(path.getFileName() + ".bucina");
            if (Files.exists(named)) {
                throw new InputException(
                        named + " is there already: name another, or open it later from the build menu");
            }
            go(bring ? new Begin.Bring(named) : new Begin.New(named));
        } catch (InputException e) {
            wrong.say(e.getMessage());
        }
    }

    private void go(Begin what) {
        prefs.keep("begun", "true");
        begin.accept(what);
    }
}
