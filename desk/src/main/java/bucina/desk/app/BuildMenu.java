package bucina.desk.app;

import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import bucina.desk.session.ToOpen;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.layout.Region;

/** What belongs to the file, under the build's name: each line is a command of the window, with its key. */
final class BuildMenu extends MenuButton {

    private final Desk desk;
    private final List<Command> commands;
    private final Consumer<ToOpen> other;
    private final Menu recent = new Menu("Opened before");

    /**
     * @param commands of the window, of which some stand here
     * @param other    opens another build in the place of this one
     */
    BuildMenu(Desk desk, List<Command> commands, Consumer<ToOpen> other) {
        super(desk.snapshot().build().name());
        this.desk = desk;
        this.commands = commands;
        this.other = other;
        setId("build-menu");
        getStyleClass().addAll("quiet", "build-name");
        setAccessibleText("Build menu of " + getText());
        setMinWidth(Region.USE_PREF_SIZE);
        fill();
        setOnShowing(e -> recents());
    }

    private void fill() {
        Menu demos = new Menu("Demos");
        demos.getItems().addAll(item("demo-stabilator"), item("demo-locker"), item("demo-box"));
        Menu size = new Menu("Text size");
        size.getItems().addAll(item("text-larger"), item("text-smaller"));
        Menu lead = new Menu("Guided jobs");
        lead.getItems().addAll(item("guided-first"), item("guided-panel"));
        recents();
        List<MenuItem> items = new ArrayList<>(List.of(item("new-build"), item("open-build"), recent, demos));
        items.add(new SeparatorMenuItem());
        items.addAll(List.of(item("copy-now"), item("copies"), item("write-out"), item("merge"), item("check-build")));
        items.add(new SeparatorMenuItem());
        items.addAll(List.of(item("unit"), item("theme"), size));
        items.add(new SeparatorMenuItem());
        items.addAll(List.of(item("help"), lead, item("keys"), item("about")));
        getItems().setAll(items);
    }

    private void recents() {
        List<Path> paths = desk.prefs().recent().stream()
                .filter(p -> !p.equals(desk.session().path().toAbsolutePath()))
                .toList();
        recent.getItems()
                .setAll(paths.stream()
                        .map(p -> line(
                                String.valueOf(p.getFileName()), p.toString(), () -> other.accept(new ToOpen.File(p))))
                        .toList());
        if (paths.isEmpty()) {
            MenuItem none = new MenuItem("none other yet");
            none.setDisable(true);
            recent.getItems().setAll(List.of(none));
        }
    }

    private MenuItem item(String id) {
        Command command = commands.stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("no command " + id));
        // What it is, or which of its kind; the rest stands where it is searched for.
        String[] words = command.words().split(": ", 2);
        boolean ofAKind = words.length > 1 && words[0].matches("Guided job|Demo \\d");
        MenuItem item = line(ofAKind ? words[1] : words[0], command.key(), command.does());
        item.setId("menu-" + id);
        return item;
    }

    /** A line with what stands at its right end. */
    private static MenuItem line(String words, String note, Runnable does) {
        MenuItem item = new MenuItem(words);
        if (!note.isEmpty()) {
            Label hint = new Label(note);
            hint.getStyleClass().add(note.length() > 8 ? "tiny" : "key-hint");
            item.setGraphic(hint);
        }
        item.setOnAction(e -> does.run());
        return item;
    }
}
