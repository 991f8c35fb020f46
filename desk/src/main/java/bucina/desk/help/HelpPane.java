package bucina.desk.help;

import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import java.net.URL;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The guide beside the work: one page, where it was come from, and what is searched for. */
public final class HelpPane extends ShownBox {

    private static final int MOST = 14;

    private final Guide guide;
    private final BiConsumer<URL, String> enlarge;
    private final Deque<Guide.Place> before = new ArrayDeque<>();
    private final ScrollPane pane;
    private final TextField search = new TextField();
    private final Button back;
    private Guide.Place here = new Guide.Place(Guide.FIRST, "");

    /**
     * @param enlarge shows a picture large
     * @param away    puts the guide away
     */
    public HelpPane(Guide guide, BiConsumer<URL, String> enlarge, Runnable away) {
        super(8);
        this.guide = guide;
        this.enlarge = enlarge;
        setId("help");
        getStyleClass().add("help");
        setPadding(new Insets(10));
        back = Ui.button("Back", "", this::back, "quiet", "slim");
        back.setId("help-back");
        Button all = Ui.button("Contents", "", () -> go(new Guide.Place(Guide.FIRST, "")), "quiet", "slim");
        all.setId("help-contents");
        Button close = Ui.button("Close", "F1", away, "quiet", "slim");
        close.setId("help-close");
        search.setId("help-search");
        search.setPromptText("search the guide: dimple, grip, undo");
        search.setAccessibleText("Search the guide");
        search.textProperty().addListener((o, was, now) -> searched(now));
        pane = Ui.scroll(new VBox());
        getChildren().addAll(new HBox(2, back, all, Ui.spring(), close), search, pane);
    }

    /** Shows a place, and keeps the one shown before to go back to. */
    public void go(Guide.Place place) {
        if (!place.equals(here) && !pane.getContent().getStyleClass().contains("help-found")) {
            before.push(here);
        }
        show(place);
    }

    /** Shows a place; there is nothing to go back to. */
    public void begin(Guide.Place place) {
        before.clear();
        show(place);
    }

    private void back() {
        if (!before.isEmpty()) {
            show(before.pop());
        }
    }

    private void show(Guide.Place place) {
        here = place;
        search.clear();
        back.setDisable(before.isEmpty());
        Guide.Page page = guide.page(place.page()).orElseThrow();
        Markdown.Drawn drawn = Markdown.draw(page, new Markdown.Host() {
            @Override
            public void follow(String link) {
                Guide.place(link, page.name()).ifPresent(HelpPane.this::go);
            }

            @Override
            public void enlarge(URL picture, String what) {
                enlarge.accept(picture, what);
            }
        });
        content(drawn.node());
        pane.setVvalue(0);
        // A heading is scrolled to once the page has been laid out.
        Platform.runLater(() -> scroll(drawn.anchors(), place.anchor()));
    }

    private void content(VBox node) {
        node.setPadding(new Insets(0, 10, 20, 0));
        pane.setContent(node);
    }

    private void scroll(Map<String, Region> anchors, String anchor) {
        Optional.ofNullable(anchors.get(anchor)).ifPresent(to -> {
            pane.applyCss();
            pane.layout();
            double all = pane.getContent().getBoundsInLocal().getHeight();
            double seen = pane.getViewportBounds().getHeight();
            pane.setVvalue(all <= seen ? 0 : Math.min(1, to.getBoundsInParent().getMinY() / (all - seen)));
        });
    }

    private void searched(String words) {
        if (words.isBlank()) {
            return;
        }
        VBox found = new VBox(6);
        found.getStyleClass().add("help-found");
        for (Guide.Section section : guide.find(words, MOST)) {
            Hyperlink link = new Hyperlink(section.title());
            link.getStyleClass().add("guide-link");
            link.setOnAction(e -> go(section.place()));
            String page = guide.page(section.place().page()).orElseThrow().title();
            found.getChildren().addAll(link, Ui.wrapped(page.equals(section.title()) ? "page" : "in " + page, "tiny"));
        }
        if (found.getChildren().isEmpty()) {
            found.getChildren().add(Ui.wrapped("The guide says nothing of that. Try one word, like dimple.", "soft"));
        }
        content(found);
    }

    /** The page shown. */
    public Guide.Place here() {
        return here;
    }

    @Override
    public void enter() {
        search.requestFocus();
    }
}
