package bucina.desk.card;

import bucina.core.cleco.ClecoSize;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import bucina.core.stores.Bins;
import bucina.desk.look.Fields;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.Map;
import java.util.TreeSet;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;

/** What is in the cleco and rivet bins, counted by the builder; what the plan takes is listed by itself. */
public final class BinsCard extends ShownBox {

    private final Desk desk;
    private final Fields fields = new Fields();
    private final TextField name = new TextField();
    private final TextField count = new TextField();
    private final Label wrong = Ui.wrapped("", "stop-text");

    public BinsCard(Desk desk, Runnable away) {
        this.desk = desk;
        getStyleClass().add("card");
        setId("bins-card");
        setSpacing(10);
        setMaxSize(520, USE_PREF_SIZE);
        name.setId("bin-name");
        name.setPromptText("MS20470AD4-5, cleco 1/8");
        name.setAccessibleText("What is in another bin");
        count.setId("bin-count");
        count.setPromptText("how many");
        count.setAccessibleText("How many are in it");
        count.setPrefColumnCount(7);
        count.setOnAction(e -> another());
        Button add = Ui.button("Add a bin", "Enter", this::another);
        add.setId("bin-add");
        add.setDisable(desk.session().readOnly());
        ScrollPane scroll = Ui.scroll(fields);
        scroll.setMaxHeight(430);
        Ui.shown(wrong, false);
        getChildren()
                .addAll(
                        Ui.label("Bins", "bench-title"),
                        Ui.wrapped(
                                "How many are on hand. Cleco plans go by the cleco bins. An empty field is a bin that "
                                        + "nobody counted.",
                                "soft"),
                        scroll,
                        new HBox(8, name, count, add),
                        wrong,
                        Ui.button("Close", "Esc", away, "quiet"));
        ties.on(desk.session().snapshotProperty(), this::fill);
        fill();
    }

    private void fill() {
        fields.getChildren().clear();
        Map<String, Integer> stock = desk.session().snapshot().build().stock();
        for (String bin : bins(desk.session().snapshot())) {
            TextField field = fields.committed(
                    bin,
                    stock.containsKey(bin) ? Integer.toString(stock.get(bin)) : "",
                    "bin-" + bin.replaceAll("[^A-Za-z0-9.]", "-"),
                    t -> count(bin, t));
            field.setDisable(desk.session().readOnly());
        }
    }

    private TreeSet<String> bins(Snapshot now) {
        TreeSet<String> bins = new TreeSet<>(now.build().stock().keySet());
        desk.session().catalogue().clecos().stream().map(ClecoSize::bin).forEach(bins::add);
        for (HoleReading reading : desk.face().readings()) {
            reading.solution().designation().ifPresent(bins::add);
        }
        return bins;
    }

    private void another() {
        String bin = name.getText().strip();
        if (bin.isEmpty()) {
            refused("Say what is in the bin, such as MS20470AD4-5 or cleco 1/8.");
            return;
        }
        count(bin, count.getText());
    }

    private void count(String bin, String text) {
        String clean = text.strip();
        desk.session()
                .plan(
                        bin + ": " + (clean.isEmpty() ? "not counted" : clean),
                        b -> Bins.counted(b, bin, clean),
                        () -> {
                            name.clear();
                            count.clear();
                            Ui.shown(wrong, false);
                        },
                        this::refused);
    }

    private void refused(String sentence) {
        wrong.setText(sentence);
        Ui.shown(wrong, true);
    }
}
