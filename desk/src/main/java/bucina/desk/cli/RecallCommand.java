package bucina.desk.cli;

import bucina.core.edit.Facts;
import bucina.core.plan.Build;
import bucina.core.prove.Recall;
import bucina.core.rule.Level;
import bucina.core.rule.RuleKey;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code recall FILE …}: what is set and would no longer pass if a fact turned out otherwise. Changes nothing. */
@Command(
        name = "recall",
        mixinStandardHelpOptions = true,
        description = "What is set already and would no longer pass if a fact turned out otherwise. Changes nothing.")
final class RecallCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--face", description = "Name of the face.")
    private @Nullable String face;

    @Option(names = "--layer", description = "Name of the sheet whose gauge is another.")
    private @Nullable String layer;

    @Option(names = "--thickness", description = "What it measures.")
    private @Nullable String thickness;

    @Option(names = "--group", description = "Code of the group whose holes are another size.")
    private @Nullable String group;

    @Option(names = "--hole-size", description = "What they measure: #40, .101 ...")
    private @Nullable String holeSize;

    @Option(names = "--rule", description = "KEY=VALUE: edge.least.flush=2.5")
    private @Nullable String rule;

    @Option(names = "--bag", description = "A designation as logged that turned out to be another: MS20470AD4-4")
    private @Nullable String bag;

    @Option(names = "--is", description = "With --bag: what the rivets are, MS20470AD4-3")
    private @Nullable String is;

    @Override
    public Integer call() {
        long asked =
                Stream.of(thickness, holeSize, rule, bag).filter(o -> o != null).count();
        if (asked != 1) {
            throw Common.wrong("recall wants one fact: --face F --layer L --thickness T, --hole-size S with --group G, "
                    + "--rule KEY=VALUE, or --bag D --is D");
        }
        Opened opened = open();
        Build changed = changed(opened);
        Recall recall = Recall.of(opened.derivation(), opened.derivation().after(changed), opened.log(), bag());
        ObjectNode node = Common.object().put("asked", recall.asked());
        ArrayNode list = node.putArray("lines");
        List<String> lines = new ArrayList<>();
        for (Recall.Line l : recall.lines()) {
            list.add(tree(l));
            lines.add("%-7s %5.1f %%  %s %s%s"
                    .formatted(
                            l.level().code(),
                            100 * l.over(),
                            l.message().in(common().unit()),
                            l.remedy().in(common().unit()),
                            l.found() ? " (as found)" : ""));
        }
        common().answer(
                        node,
                        lines.isEmpty()
                                ? List.of("All " + recall.asked() + " fasteners that are in would still pass.")
                                : lines);
        return recall.lines().stream().anyMatch(l -> l.level() == Level.ERROR) ? Cli.FINDINGS : Cli.FINE;
    }

    private Optional<Recall.Bag> bag() {
        if (bag == null) {
            return Optional.empty();
        }
        if (is == null) {
            throw Common.wrong("--is is missing: say what the rivets are, as --bag MS20470AD4-4 --is MS20470AD4-3");
        }
        return Optional.of(new Recall.Bag(bag.strip(), is.strip()));
    }

    private Build changed(Opened opened) {
        if (thickness != null) {
            if (face == null || layer == null) {
                throw Common.wrong(
                        "--thickness wants --face and --layer, as --face \"Upper skin\" --layer \"Main rib 3\"");
            }
            return Facts.gauge(
                    opened.build(),
                    face(opened, face).face(),
                    layer,
                    common().lengths().parsePositive(thickness, "--thickness"));
        }
        if (holeSize != null) {
            return Facts.holes(
                    opened.build(),
                    Optional.ofNullable(group).map(g -> group(opened, g)),
                    common().lengths().parsePositive(holeSize, "--hole-size"));
        }
        return rule == null ? opened.build() : rule(opened.build());
    }

    private Build rule(Build build) {
        String[] pair = String.valueOf(rule).split("=", 2);
        Optional<RuleKey> key = RuleKey.of(pair[0].strip());
        if (pair.length != 2 || key.isEmpty()) {
            throw Common.wrong("--rule \"" + rule + "\" is not KEY=VALUE with a rule there is: write it like "
                    + "edge.least.flush=2.5; the rules are "
                    + Arrays.stream(RuleKey.values()).map(RuleKey::code).collect(Collectors.joining(", ")));
        }
        return build.withRules(build.rules().with(key.get(), pair[1].strip(), "asked for on the command line"));
    }

    private ObjectNode tree(Recall.Line l) {
        ObjectNode node = Common.object()
                .put("face", l.face())
                .put("group", l.group())
                .put("hole", l.label())
                .put("rule", l.rule())
                .put("level", l.level().code());
        node.set("measured", Common.length(l.measured()));
        node.set("limit", Common.length(l.limit()));
        return node.put("over", l.over())
                .put("message", l.message().in(common().unit()))
                .put("remedy", l.remedy().in(common().unit()))
                .put("as_found", l.found());
    }
}
