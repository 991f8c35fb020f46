package bucina.desk.cli;

import bucina.core.form.Entries;
import bucina.core.guard.BayPoints;
import bucina.core.guard.Bays;
import bucina.core.guard.LogCheck;
import bucina.core.log.CloseOut;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.part.PartStates;
import bucina.core.plan.Bay;
import bucina.store.file.BuildFile;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code closeout FILE --bay B}: what is open behind the parts that close a bay; with {@code --sign} signs it. */
@Command(
        name = "closeout",
        mixinStandardHelpOptions = true,
        description = "What is open behind the parts that close a bay; with --sign it is signed.")
final class CloseoutCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--bay", required = true, description = "Name of the bay.")
    private String bay;

    @Option(names = "--sign", description = "Signs it: with --who, --at and --minutes.")
    private boolean sign;

    @Option(names = "--who", description = "Who signs.")
    private @Nullable String who;

    @Option(names = "--at", description = "When: 2026-11-20T19:30")
    private @Nullable String at;

    @Option(names = "--minutes", defaultValue = "0", description = "Time taken, whole minutes.")
    private int minutes;

    @Option(names = "--left", description = "POINT=REASON for a point left open; may be given more than once.")
    private List<String> left = List.of();

    @Option(
            names = "--count",
            description = "THING=N for what is counted out, as mandrels=48; may be given more than once.")
    private List<String> counts = List.of();

    @Override
    public Integer call() {
        if (sign) {
            return signed();
        }
        Opened opened = open();
        answer(opened, Optional.empty());
        return Cli.FINE;
    }

    private Integer signed() {
        if (who == null || at == null) {
            throw Common.wrong("--sign wants --who and --at, as --who \"M. Oake\" --at 2026-11-20T19:30");
        }
        try (BuildFile file = common().told(BuildFile.open(file()))) {
            Opened opened = derived(file);
            LocalDateTime now = LocalDateTime.now(common().top().clock());
            LogEntry entry =
                    file.append(draft(opened), List.of(), common().top().clock(), others -> {
                        Opened is = others.map(this::derived).orElse(opened);
                        new LogCheck(is.derivation(), is.log()).accept(draft(is), now);
                    });
            answer(derived(file), Optional.of(entry.id()));
            return Cli.FINE;
        }
    }

    private LogEntry.Draft draft(Opened opened) {
        Bay of = bay(opened, bay);
        Map<String, Integer> due = new BayPoints(opened.derivation(), opened.log(), states(opened)).loose(of);
        List<CloseOut.Left> open = left.stream()
                .map(l -> pair(l, "--left", "B-1: 2 not set=reached from below"))
                .map(p -> new CloseOut.Left(p[0].strip(), p[1].strip()))
                .toList();
        List<CloseOut.Counted> out = counts.stream()
                .map(c -> pair(c, "--count", "mandrels=48"))
                .map(p -> new CloseOut.Counted(p[0].strip(), due.getOrDefault(p[0].strip(), 0), number(p[1])))
                .toList();
        return LogEntry.Draft.install(new Labour(
                new CloseOut(of.id(), of.name(), open, out),
                "",
                String.valueOf(who),
                Entries.when(String.valueOf(at)),
                minutes,
                "",
                "",
                List.of()));
    }

    private static String[] pair(String text, String option, String example) {
        int at = text.lastIndexOf('=');
        if (at < 1) {
            throw Common.wrong(option + " \"" + text + "\" has no =: write it like " + option + " \"" + example + "\"");
        }
        return new String[] {text.substring(0, at), text.substring(at + 1)};
    }

    private static int number(String text) {
        if (!text.strip().matches("\\d{1,6}")) {
            throw Common.wrong("--count \"" + text.strip() + "\" is no whole number: write it like mandrels=48");
        }
        return Integer.parseInt(text.strip());
    }

    private static PartStates states(Opened opened) {
        return PartStates.of(opened.derivation(), opened.log());
    }

    /** The bay with this name. */
    static Bay bay(Opened opened, String name) {
        List<Bay> bays = opened.build().workshop().bays();
        return bays.stream()
                .filter(b -> b.name().equalsIgnoreCase(name.strip()))
                .findFirst()
                .orElseThrow(() -> Common.wrong("there is no bay \"" + name + "\"; this build has "
                        + (bays.isEmpty()
                                ? "none"
                                : bays.stream().map(Bay::name).collect(Collectors.joining(", ")))));
    }

    private void answer(Opened opened, Optional<Integer> id) {
        Bay of = bay(opened, bay);
        Bays bays = new Bays(opened.derivation(), opened.log(), states(opened));
        List<BayPoints.Point> points = new BayPoints(opened.derivation(), opened.log(), states(opened)).of(of);
        ObjectNode node = Common.object().put("bay", of.name());
        id.ifPresent(n -> node.put("id", n));
        ArrayNode open = node.putArray("open");
        points.forEach(p -> open.addObject()
                .put("kind", p.kind().code())
                .put("where", p.where())
                .put("text", p.text()));
        ArrayNode closers = node.putArray("closed_by");
        of.closers().forEach(c -> closers.add(opened.build().part(c).name()));
        Optional<LogEntry> signed = bays.signed(of);
        node.set("signed", signed.<JsonNode>map(CloseoutCommand::signature).orElse(NullNode.instance));
        List<String> lines = new ArrayList<>();
        lines.add(of.name() + ", closed by "
                + of.closers().stream().map(c -> opened.build().part(c).name()).collect(Collectors.joining(", ")));
        points.forEach(p -> lines.add("%-12s %s".formatted(p.kind().word(), p.text())));
        lines.add(points.isEmpty() ? "Nothing is open." : points.size() + " points open.");
        lines.add(signed.map(e -> "Signed in entry " + e.id() + " by "
                        + e.deed().orElseThrow().who() + ", "
                        + e.deed().orElseThrow().done())
                .orElse("Not signed: the closing part's fasteners are held."));
        common().answer(node, lines);
    }

    private static ObjectNode signature(LogEntry entry) {
        Labour labour = entry.labour().orElseThrow();
        ObjectNode node = Common.object()
                .put("entry", entry.id())
                .put("who", labour.who())
                .put("at", labour.done().toString());
        ArrayNode left = node.putArray("left");
        ((CloseOut) labour.what())
                .open()
                .forEach(l -> left.addObject().put("point", l.point()).put("reason", l.reason()));
        return node;
    }
}
