package bucina.desk.look;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import org.jspecify.annotations.Nullable;

/** A column of named fields; each hands on what was typed when Enter is pressed or the field is left. */
public final class Fields extends GridPane {

    public Fields() {
        setHgap(10);
        setVgap(6);
    }

    /** Adds a control under a name. */
    public <T extends Control> T add(String title, T field, String id) {
        field.setId(id);
        field.setAccessibleText(title);
        field.setMaxWidth(Double.MAX_VALUE);
        Label label = Ui.kept(title, "field-name");
        label.setLabelFor(field);
        setHgrow(field, Priority.ALWAYS);
        addRow(getRowCount(), label, field);
        return field;
    }

    /** A text field that hands on its text as it is typed. */
    public TextField live(String title, String value, String id, Consumer<String> typed) {
        TextField field = add(title, new TextField(value), id);
        field.textProperty().addListener((o, was, now) -> typed.accept(now));
        return field;
    }

    /** A text field that hands on its text when it is committed, if it was changed. */
    public TextField committed(String title, String value, String id, Consumer<String> commit) {
        TextField field = add(title, new TextField(value), id);
        committing(field, commit);
        return field;
    }

    /** Makes a field hand on its text when Enter is pressed or it is left, if it was changed. */
    public static void committing(TextField field, Consumer<String> commit) {
        String[] last = {field.getText()};
        Runnable go = () -> {
            if (!field.getText().equals(last[0])) {
                last[0] = field.getText();
                commit.accept(field.getText());
            }
        };
        field.setOnAction(e -> go.run());
        field.focusedProperty().addListener((o, was, now) -> {
            if (was && !now && field.getScene() != null) {
                go.run();
            }
        });
    }

    /** A choice. */
    public <T> ComboBox<T> choice(
            String title, List<T> values, @Nullable T value, Function<T, String> word, String id, Consumer<T> chosen) {
        ComboBox<T> box = add(title, new ComboBox<>(), id);
        box.getItems().setAll(values);
        box.setConverter(new Worded<>(word));
        box.setValue(value);
        box.valueProperty().addListener((o, was, now) -> chosen.accept(now));
        return box;
    }
}
