package bucina.desk.sumsroom;

import bucina.core.plan.Id;
import bucina.core.plan.KeptSum;
import bucina.core.sums.Sum;
import bucina.core.sums.Sums;
import bucina.desk.look.Ui;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The sums by family, and those kept with the build. */
final class SumList extends VBox {

    /** Of the column with text of usual size, px. */
    static final double WIDTH = 206;

    private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");

    private final Map<String, Button> sums = new HashMap<>();
    private final Map<Id.Sum, Button> keptButtons = new HashMap<>();
    private final VBox keptBox = new VBox();
    private final Consumer<KeptSum> open;
    private List<KeptSum> shown = List.of();

    SumList(Consumer<Sum> choose, Consumer<KeptSum> open) {
        this.open = open;
        getStyleClass().add("rack");
        VBox all = new VBox();
        families(all, choose);
        all.getChildren().addAll(heading("Kept with the build"), keptBox);
        all.setPadding(new Insets(0, 0, 8, 0));
        ScrollPane pane = Ui.scroll(all);
        setVgrow(pane, Priority.ALWAYS);
        getChildren().add(pane);
    }

    private void families(VBox all, Consumer<Sum> choose) {
        for (Sum.Family family : Sum.Family.values()) {
            all.getChildren().add(heading(family.word()));
            Sums.ALL.stream().filter(s -> s.family() == family).forEach(s -> {
                Button button = Ui.button(s.title(), "", () -> choose.accept(s), "rack-group");
                button.setId("sum-" + s.code());
                button.setMaxWidth(Double.MAX_VALUE);
                sums.put(s.code(), button);
                all.getChildren().add(button);
            });
        }
    }

    private static Node heading(String text) {
        var label = Ui.label(text, "caption");
        label.setPadding(new Insets(8, 10, 2, 12));
        return label;
    }

    void kept(List<KeptSum> kept, Optional<Id.Sum> here) {
        if (kept.equals(shown) && !keptBox.getChildren().isEmpty()) {
            return;
        }
        shown = kept;
        keptBox.getChildren().clear();
        keptButtons.clear();
        for (KeptSum k : kept) {
            Button button = Ui.button(k.name(), "", () -> open.accept(k), "rack-group");
            button.setMinWidth(0);
            button.setMaxWidth(Double.MAX_VALUE);
            button.setAccessibleText(k.name() + ", kept sum");
            keptButtons.put(k.id(), button);
            keptBox.getChildren().add(button);
        }
        none(kept);
        chosen(here);
    }

    private void chosen(Optional<Id.Sum> here) {
        shown.forEach(k -> Ui.chosen(
                Objects.requireNonNull(keptButtons.get(k.id())),
                PICKED,
                here.equals(Optional.of(k.id())),
                k.name() + ", kept sum"));
    }

    private void none(List<KeptSum> kept) {
        if (kept.isEmpty()) {
            var none = Ui.wrapped("none yet", "tiny");
            none.setPadding(new Insets(2, 10, 0, 16));
            keptBox.getChildren().add(none);
        }
    }

    void mark(Sum sum, Optional<Id.Sum> here) {
        Sums.ALL.forEach(s -> Ui.chosen(
                Objects.requireNonNull(sums.get(s.code())),
                PICKED,
                here.isEmpty() && s.code().equals(sum.code()),
                s.title()));
        chosen(here);
    }
}
