package bucina.desk;

import bucina.desk.app.DeskApp;
import bucina.desk.app.Screenshots;
import bucina.desk.cli.Cli;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;

/** Where the program starts. */
public final class Main {

    private Main() {
    }

    /** Opens a window for a file, for nothing and for {@code demo}, takes pictures for {@code screenshots}; otherwise runs a verb. */
    public static void main(String[] args) {
        List<String> words = List.of(args);
        String first = words.isEmpty() ? "" : words.getFirst();
        if (words.isEmpty()) {
            DeskApp.open(new DeskApp.What.Last());
        } else if (words.equals(List.of("demo")) || words.equals(List.of("demo", "--fresh"))) {
            DeskApp.open(new DeskApp.What.Demo(words.size() == 2));
        } else if (first.equals("screenshots") && words.size() == 2 && !words.get(1).startsWith("-")) {
            System.setProperty("java.awt.headless", "true");
            System.exit(Screenshots.into(Path.of(words.get(1))));
        } else if (words.size() == 1 && (first.endsWith(".bucina") || Files.isRegularFile(Path.of(first)))) {
            DeskApp.open(new DeskApp.What.File(Path.of(first)));
        } else {
            PrintWriter out = new PrintWriter(System.out, false, StandardCharsets.UTF_8);
            PrintWriter err = new PrintWriter(System.err, true, StandardCharsets.UTF_8);
            System.exit(Cli.run(Clock.systemDefaultZone(), out, err, args));
        }
    }
}
