package bucina.desk.rack;

import bucina.desk.look.Ui;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** One group of the face shown: its code and name, and how much of it is set. */
final class GroupRow extends Button {

    private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");

    private final String called;
    private final Label count = Ui.kept("", "rack-count");

    GroupRow(String code, String name, Runnable go) {
        called = "group " + code + " " + name;
        HBox line = new HBox(6, Ui.kept(code, "rack-code"), Ui.label(name, "rack-group-name"), Ui.spring(), count);
        Ui.across(this, line, line, 26);
        getStyleClass().add("rack-group");
        setOnAction(e -> go.run());
    }

    /** @param picked the hole looked at belongs to it */
    void count(int done, int all, boolean picked) {
        count.setText(done == all ? "all " + done : done + "/" + all);
        Ui.chosen(this, PICKED, picked, called + ", " + done + " of " + all + " set");
    }
}
