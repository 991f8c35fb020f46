package bucina.desk.app;

import bucina.desk.session.Command;
import bucina.desk.session.Prefs;
import bucina.desk.session.Session;
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

    private final Path here;
    private final Prefs prefs;
    private final List<Command> commands;
    private final Consumer<ToOpen> other;
    private final Menu recent = new Menu("Opened before");

    /**
     * @param commands of the window, of which some stand here; what a window has not is left out
     * @param other    opens another build in the place of this one
     */
    BuildMenu(Session session, Prefs prefs, List<Command> commands, Consumer<ToOpen> other) {
        super(session.snapshot().build().name());
        this.here = session.path().toAbsolutePath();
        this.prefs = prefs;
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
        recents();
        List<MenuItem> first = items("new-build", "open-build");
        first.add(recent);
        first.addAll(menu("Demos", "demo-stabilator", "demo-locker", "demo-box"));
        List<MenuItem> looks = items("unit", "theme");
        looks.addAll(menu("Text size", "text-larger", "text-smaller"));
        List<MenuItem> help = items("help");
        help.addAll(menu("Guided jobs", "guided-first", "guided-panel"));
        help.addAll(items("keys", "about"));
        getItems().clear();
        for (List<MenuItem> part :
                List.of(first, items("copy-now", "copies", "write-out", "merge", "check-build"), looks, help)) {
            if (!getItems().isEmpty() && !part.isEmpty()) {
                getItems().add(new SeparatorMenuItem());
            }
            getItems().addAll(part);
        }
    }

    private List<MenuItem> menu(String name, String... ids) {
        Menu menu = new Menu(name);
        menu.getItems().addAll(items(ids));
        return menu.getItems().isEmpty() ? List.of() : List.of(menu);
    }

    private List<MenuItem> items(String... ids) {
        List<MenuItem> items = new ArrayList<>();
        for (String id : ids) {
            commands.stream().filter(c -> c.id().equals(id)).findFirst().ifPresent(c -> items.add(item(c)));
        }
        return items;
    }

    private void recents() {
        List<Path> paths = prefs.recent().stream().filter(p -> !p.equals(here)).toList();
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

    private static MenuItem item(Command command) {
        // What it is, or which of its kind; the rest stands where it is searched for.
        String[] words = command.words().split(": ", 2);
        boolean ofAKind = words.length > 1 && words[0].matches("Guided job|Demo \\d");
        MenuItem item = line(ofAKind ? words[1] : words[0], command.key(), command.does());
        item.setId("menu-" + command.id());
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
