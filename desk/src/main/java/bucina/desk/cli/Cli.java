package bucina.desk.cli;

import bucina.core.measure.InputException;
import bucina.desk.session.FaultLog;
import bucina.store.file.BuildFileException;
import java.io.PrintWriter;
import java.time.Clock;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** The top of the command line. */
@Command(
        name = "bucina",
        mixinStandardHelpOptions = true,
        version = "Bucina 0.1.0",
        subcommands = {
            CalcCommand.class,
            CheckCommand.class,
            StackCommand.class,
            GroupsCommand.class,
            LogCommand.class,
            ExportCommand.class,
            ImportCommand.class,
            MirrorCommand.class,
            ClecoCommand.class,
            MarkCommand.class,
            ReachCommand.class,
            SetupsCommand.class,
            JobsCommand.class,
            OrderCommand.class,
            TonightCommand.class,
            SlipCommand.class,
            PartCommand.class,
            PartsCommand.class,
            ProveCommand.class,
            SuspectsCommand.class,
            RecallCommand.class,
            CloseoutCommand.class,
            DeparturesCommand.class,
            StoresCommand.class,
            OrderListCommand.class,
            ForecastCommand.class,
            WeightCommand.class,
            MergeCommand.class,
            DemoCommand.class
        },
        description = "Plans and logs rivet work on sheet-metal aircraft kits. Without a verb it opens the window.",
        footer = {
            "",
            "Windows: bucina FILE   bucina   bucina demo [locker|box] [--fresh]   bucina new FILE   "
                    + "bucina screenshots DIR",
            "Computed figures never approve anything: the kit's drawings and the authority that certifies the "
                    + "aircraft govern."
        })
public final class Cli implements Callable<Integer> {

    /** All is well. */
    public static final int FINE = 0;
    /** Findings of level error, or no usable answer. */
    public static final int FINDINGS = 1;
    /** Input that cannot be used. */
    public static final int UNUSABLE = 2;

    private static final int BROKEN = 70;

    private static final Pattern NO_NUMBER =
            Pattern.compile("Invalid value for .*?'([^'=]+)[^']*'[^:]*: '(.*)' is not an? (int|long|double)");

    @Spec
    private CommandSpec spec;

    /** Characters of a sentence; what is longer is a file or an argument that is none. */
    private static final int LONGEST = 4000;

    private final Clock clock;

    Cli(Clock clock) {
        this.clock = clock;
    }

    Clock clock() {
        return clock;
    }

    /** Runs one call and gives its exit code; never throws, never prints a stack trace. */
    public static int run(Clock clock, PrintWriter out, PrintWriter err, String... args) {
        CommandLine line = new CommandLine(new Cli(clock));
        line.setOut(out);
        line.setErr(err);
        line.setCaseInsensitiveEnumValuesAllowed(true);
        // "@team" in a note is text, not a file of arguments.
        line.setExpandAtFiles(false);
        explained(line);
        line.setExecutionExceptionHandler((e, command, parsed) -> failed(command.getErr(), e));
        try {
            return line.execute(args);
        } catch (OutOfMemoryError | StackOverflowError e) {
            err.println(
                    "This was too much for the memory of this computer. Your files are as they were; is it the right"
                            + " file, and does it hold one build?");
            return UNUSABLE;
        } finally {
            out.flush();
            err.flush();
        }
    }

    private static void explained(CommandLine line) {
        line.setParameterExceptionHandler((e, a) -> {
            e.getCommandLine()
                    .getErr()
                    .println(sentence(oneLine(String.valueOf(e.getMessage()))) + ". Help: "
                            + e.getCommandLine().getCommandSpec().qualifiedName() + " --help");
            return UNUSABLE;
        });
    }

    private static int failed(PrintWriter err, Exception e) {
        if (e instanceof InputException || e instanceof CancellationException || e instanceof BuildFileException) {
            err.println(oneLine(String.valueOf(e.getMessage())));
            return UNUSABLE;
        }
        err.println(FaultLog.write("a call of the command line", e) + " Your files are as they were.");
        return BROKEN;
    }

    /** What the parser of the command line says of a number, in words of the bench. */
    private static String sentence(String message) {
        Matcher m = NO_NUMBER.matcher(message);
        if (!m.matches()) {
            return message;
        }
        boolean whole = !m.group(3).equals("double");
        return m.group(1) + " \"" + m.group(2) + "\" is not a " + (whole ? "whole number" : "number")
                + ": write it like " + (whole ? "40" : "2.5");
    }

    /** A sentence as a terminal may have it: one line of a bounded length, no control characters, no full stop. */
    private static String oneLine(String text) {
        StringBuilder line = new StringBuilder();
        text.codePoints().limit(LONGEST).forEach(c -> {
            boolean gap =
                    Character.isWhitespace(c) || Character.isISOControl(c) || Character.getType(c) == Character.FORMAT;
            if (!gap) {
                line.appendCodePoint(c);
            } else if (!line.isEmpty() && line.charAt(line.length() - 1) != ' ') {
                line.append(' ');
            }
        });
        int end = line.length();
        while (end > 0 && (line.charAt(end - 1) == '.' || line.charAt(end - 1) == ' ')) {
            end--;
        }
        return line.substring(0, end) + (text.codePointCount(0, text.length()) > LONGEST ? " …" : "");
    }

    @Override
    public Integer call() {
        spec.commandLine().usage(spec.commandLine().getOut());
        return FINE;
    }
}
