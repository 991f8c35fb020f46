package bucina.desk.look;

import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;

/** The few small pieces every view is put together from, with the style classes of the style sheet. */
public final class Ui {

    private Ui() {}

    /** A scene as a window first has it, with the one style sheet. */
    public static Scene scene(Parent root) {
        Scene scene = new Scene(root, 1280, 800);
        scene.getStylesheets().add(sheet());
        return scene;
    }

    /** Where the one style sheet is. */
    public static String sheet() {
        return Objects.requireNonNull(Ui.class.getResource("/bucina/desk/desk.css"))
                .toExternalForm();
    }

    /** A label with style classes. */
    public static Label label(String text, String... classes) {
        Label label = new Label(text);
        label.getStyleClass().addAll(classes);
        return label;
    }

    /** A label that is never shortened to dots. */
    public static Label kept(String text, String... classes) {
        Label label = label(text, classes);
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }

    /** A label that goes on over several lines. */
    public static Label wrapped(String text, String... classes) {
        Label label = label(text, classes);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    /**
     * Marks a button as the one that is chosen, or not: to be seen by its style, and said to whoever does not see it.
     *
     * @param name what it is called
     */
    public static void chosen(Button button, PseudoClass mark, boolean on, String name) {
        button.pseudoClassStateChanged(mark, on);
        button.setAccessibleText(on ? name + ", chosen" : name);
    }

    /** A stretch of running text, for a text flow. */
    public static Text text(String words, String... classes) {
        Text text = new Text(words);
        text.getStyleClass().addAll(classes);
        return text;
    }

    /** A button that shows the key which does the same. */
    public static Button button(String text, String key, Runnable action, String... classes) {
        Button button = new Button(text);
        button.getStyleClass().addAll(classes);
        if (!key.isEmpty()) {
            Label hint = label(key, "key-hint");
            button.setGraphic(hint);
            button.setContentDisplay(ContentDisplay.RIGHT);
            button.setGraphicTextGap(8);
        }
        button.setOnAction(e -> action.run());
        button.setMinWidth(Region.USE_PREF_SIZE);
        return button;
    }

    /** Puts nodes there in their order; those that stay where they are are not taken out and styled again. */
    public static void put(Pane pane, List<? extends Node> wanted) {
        List<Node> there = pane.getChildren();
        there.retainAll(new HashSet<>(wanted));
        for (int i = 0; i < wanted.size(); i++) {
            Node node = wanted.get(i);
            if (i == there.size() || there.get(i) != node) {
                there.remove(node);
                there.add(i, node);
            }
        }
    }

    /**
     * Lays a line across the whole of a button.
     *
     * @param content what the button shows, with the line in it
     * @param sides   what the button keeps free at its sides, px
     */
    public static void across(Button button, HBox line, Node content, double sides) {
        content.setMouseTransparent(true);
        line.prefWidthProperty().bind(button.widthProperty().subtract(sides));
        button.setGraphic(content);
        button.setMaxWidth(Double.MAX_VALUE);
    }

    /** A stretch that takes the room left in a row. */
    public static Node spring() {
        Region region = new Region();
        HBox.setHgrow(region, Priority.ALWAYS);
        return region;
    }

    /** Shows a node or takes it out of the layout. */
    public static void shown(Node node, boolean shown) {
        node.setVisible(shown);
        node.setManaged(shown);
    }

    /** A pane that scrolls up and down only, takes the height that is left, and is no stop of the keyboard. */
    public static ScrollPane scroll(Node content) {
        ScrollPane pane = Scroll.of(content);
        pane.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        pane.setFocusTraversable(false);
        VBox.setVgrow(pane, Priority.ALWAYS);
        return pane;
    }

    /** A field with its name before it; both are shown or neither is. */
    public static HBox named(String name, Node field) {
        HBox box = new HBox(8, Ui.kept(name, "field-name"), field);
        HBox.setHgrow(field, Priority.ALWAYS);
        box.setAlignment(Pos.CENTER_LEFT);
        box.visibleProperty().bind(field.visibleProperty());
        box.managedProperty().bind(field.visibleProperty());
        return box;
    }
}
