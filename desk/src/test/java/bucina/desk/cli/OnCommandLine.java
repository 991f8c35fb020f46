package bucina.desk.cli;

import bucina.store.json.Json;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.io.TempDir;

/** Runs the command line as a user would, and keeps what it said. */
abstract class OnCommandLine {

    /** What the clock of the shop says. */
    static final Clock CLOCK = Clock.fixed(Instant.parse("2026-11-24T20:00:00Z"), ZoneOffset.UTC);

    private static final Pattern WORD = Pattern.compile("'([^']*)'|\\S+");

    @TempDir
    Path folder;

    /** Stands for the word FILE in a line. */
    Path file;

    String out = "";
    String err = "";

    int run(Object... args) {
        StringWriter output = new StringWriter();
        StringWriter errors = new StringWriter();
        String[] words = Arrays.stream(args).map(Object::toString).toArray(String[]::new);
        int exit = Cli.run(CLOCK, new PrintWriter(output), new PrintWriter(errors), words);
        out = output.toString();
        err = errors.toString();
        return exit;
    }

    /** A line as typed: words between blanks, or between single quotes; each {} is the next of {@code fills}. */
    int line(String words, Object... fills) {
        List<Object> args = new ArrayList<>();
        int filled = 0;
        Matcher m = WORD.matcher(words);
        while (m.find()) {
            String word = m.group(1) != null ? m.group(1) : m.group();
            args.add(word.equals("{}") ? fills[filled++] : word.equals("FILE") ? file : word);
        }
        return run(args.toArray());
    }

    JsonNode json() {
        return Json.read(out);
    }
}
