package bucina.desk.card;

import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Finder;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;

/** The one search box: type, arrow down, Enter. */
public final class SearchCard extends ShownBox {

    private static final int MOST = 11;

    private final Finder finder;
    private final Runnable away;
    private final TextField box = new TextField();
    private final ListView<Finder.Hit> hits = new ListView<>();

    /**
     * @param away puts the card away
     */
    public SearchCard(Finder finder, Runnable away) {
        super(8);
        this.finder = finder;
        this.away = away;
        getStyleClass().add("card");
        setId("search-card");
        setMaxSize(620, 460);
        lay();
        hits.setOnMouseClicked(e -> go());
        box.textProperty().addListener((o, was, now) -> fill());
        box.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        getChildren().addAll(box, hits);
        fill();
    }

    private void lay() {
        box.setId("search-box");
        box.setPromptText("hole, row, group, sheet, command: R1.12, doubler, theme");
        box.setAccessibleText("Search");
        hits.setId("search-hits");
        hits.setFocusTraversable(false);
        hits.setPrefHeight(390);
        hits.setCellFactory(v -> new Cell());
        hits.setPlaceholder(Ui.wrapped(
                "Nothing is called that. Try a row such as R3, a group code, or a word of a sheet's name.", "soft"));
    }

    /** Puts the keyboard into the box. */
    @Override
    public void enter() {
        box.requestFocus();
        box.selectAll();
    }

    private void fill() {
        hits.getItems().setAll(finder.find(box.getText(), MOST));
        hits.getSelectionModel().selectFirst();
    }

    private void key(KeyEvent e) {
        int at = hits.getSelectionModel().getSelectedIndex();
        if (e.getCode() == KeyCode.DOWN) {
            hits.getSelectionModel().select(Math.min(at + 1, hits.getItems().size() - 1));
            e.consume();
        } else if (e.getCode() == KeyCode.UP) {
            hits.getSelectionModel().select(Math.max(at - 1, 0));
            e.consume();
        } else if (e.getCode() == KeyCode.ENTER) {
            go();
            e.consume();
        }
    }

    private void go() {
        Finder.Hit hit = hits.getSelectionModel().getSelectedItem();
        if (hit != null) {
            away.run();
            hit.go().run();
        }
    }

    private static final class Cell extends ListCell<Finder.Hit> {
        @Override
        protected void updateItem(Finder.Hit hit, boolean isEmpty) {
            super.updateItem(hit, isEmpty);
            setText(null);
            if (isEmpty || hit == null) {
                setGraphic(null);
                return;
            }
            var kind = Ui.label(hit.kind().word(), "soft");
            kind.setMinWidth(52);
            setGraphic(new HBox(8, kind, Ui.label(hit.name(), "plain"), Ui.spring(), Ui.label(hit.note(), "soft")));
        }
    }
}
