package bucina.desk;

import bucina.desk.app.DeskApp;
import bucina.desk.app.SumsApp;
import bucina.desk.cli.Cli;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.ToOpen;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Locale;

/** Where the program starts. */
public final class Main {

    private Main() {}

    /**
     * Opens a window for a file, for nothing, for {@code demo} and for {@code new FILE}, the sums alone for {@code
     * sums}; otherwise runs a verb. */
    public static void main(String[] args) {
        // Figures have a decimal point, wherever the machine stands.
        Locale.setDefault(Locale.Category.FORMAT, Locale.ROOT);
        List<String> words = List.of(args);
        String first = words.isEmpty() ? "" : words.getFirst();
        if (words.isEmpty()) {
            DeskApp.open(new ToOpen.Last());
        } else if (first.equals("demo")
                && List.of("locker", "stabilator", "box", "--fresh").containsAll(words.subList(1, words.size()))) {
            DeskApp.open(new ToOpen.Demo(
                    words.contains("locker")
                            ? DemoBuild.Which.LOCKER
                            : words.contains("box") ? DemoBuild.Which.BOX : DemoBuild.Which.STABILATOR,
                    words.contains("--fresh")));
        } else if (words.equals(List.of("sums"))) {
            SumsApp.open();
        } else if (first.equals("new") && words.size() == 2 && !words.get(1).startsWith("-")) {
            DeskApp.open(new ToOpen.New(Path.of(words.get(1))));
        } else if (words.size() == 1 && (first.endsWith(".bucina") || Files.isRegularFile(Path.of(first)))) {
            DeskApp.open(new ToOpen.File(Path.of(first)));
        } else {
            PrintWriter out = new PrintWriter(System.out, false, StandardCharsets.UTF_8);
            PrintWriter err = new PrintWriter(System.err, true, StandardCharsets.UTF_8);
            System.exit(Cli.run(Clock.systemDefaultZone(), out, err, args));
        }
    }
}
