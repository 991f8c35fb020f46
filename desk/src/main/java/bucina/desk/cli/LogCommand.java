package bucina.desk.cli;

import bucina.core.log.LogEntry;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.store.json.LogJson;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;

/** {@code log FILE}: the entries. */
@Command(
        name = "log",
        mixinStandardHelpOptions = true,
        description = "The log entries of a build, or with add one more.",
        subcommands = {LogAddCommand.class, LogVerifyCommand.class})
final class LogCommand extends OnBuild implements Callable<Integer> {

    @Override
    public Integer call() {
        Opened opened = open();
        ObjectNode node = Common.object();
        ArrayNode entries = node.putArray("entries");
        List<String> lines = new ArrayList<>();
        for (LogEntry entry : opened.log().entries()) {
            ObjectNode each = LogJson.entry(entry);
            each.put("in_force", opened.log().inForce(entry));
            lengths(each.get("work"));
            entries.add(each);
            lines.add(line(entry, opened.log().inForce(entry)));
        }
        common().answer(node, lines);
        return Cli.FINE;
    }

    /** The contract's lengths have both units; the file's are bare mm. */
    private static void lengths(JsonNode work) {
        if (work instanceof ObjectNode w) {
            for (String field : List.of("length", "setting", "hole")) {
                both(w, field);
            }
            w.path("readings").forEach(r -> {
                both((ObjectNode) r, "diameter");
                both((ObjectNode) r, "height");
            });
        }
    }

    private static void both(ObjectNode node, String field) {
        if (node.hasNonNull(field)) {
            node.set(field, Common.length(Length.of(node.get(field).decimalValue(), Unit.MM)));
        }
    }

    private static String line(LogEntry entry, boolean inForce) {
        String what = entry.work()
                .map(w -> "%s %-6s %3d x %-18s %-10s %3d min"
                        .formatted(w.done(), w.groupCode(), w.count(), w.designation(), w.who(), w.minutes()))
                .or(() -> entry.labour()
                        .map(l -> "%s %-6s %-40s %-10s %3d min"
                                .formatted(l.done(), l.what().kind(), l.what().words(), l.who(), l.minutes())))
                .orElse("withdraws");
        String corrects = entry.corrects()
                .map(c -> "  corrects " + c + ": " + entry.reason())
                .orElse("");
        return "%4d %s%s%s".formatted(entry.id(), what, corrects, inForce ? "" : "  (corrected later)");
    }
}
