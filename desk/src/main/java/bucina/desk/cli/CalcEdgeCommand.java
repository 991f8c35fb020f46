package bucina.desk.cli;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.Finding;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc edge}: edge distance against its limits. */
@Command(name = "edge", mixinStandardHelpOptions = true, description = "Edge distance of a hole against its limits.")
final class CalcEdgeCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--diameter", required = true, description = "Nominal shank: 3/32, -3, .094 ...")
    private String diameter;

    @Option(names = "--head", required = true, description = "flush or universal.")
    private String head;

    @Option(names = "--distance", required = true, description = "From the hole's centre to the nearest edge.")
    private String distance;

    @Option(names = "--flush-school", description = "Least for flush heads in D: 2.5 or 2.")
    private @Nullable String school;

    @Override
    public Integer call() {
        boolean flush = common.flush(head);
        RuleSet rules = common.catalogue().rules();
        if (school != null) {
            if (!school.equals("2") && !school.equals("2.5")) {
                throw Common.wrong("--flush-school " + school + " is not known: write 2.5 or 2");
            }
            rules = rules.with(RuleKey.EDGE_LEAST_FLUSH, school, "asked for on the command line");
        }
        Length d = common.shank(diameter);
        Length measured = common.lengths().parsePositive(distance, "--distance");
        EdgeRule rule = EdgeRule.of(rules, d, flush);
        List<Finding> findings = rule.judge(measured);
        ObjectNode node = Common.object();
        node.set("measured", Common.length(measured));
        node.set("least", Common.length(rule.least()));
        node.set("most", Common.length(rule.most()));
        node.put("diameters", measured.per(d));
        node.set("findings", common.findings(findings));
        List<String> lines = new ArrayList<>(List.of(Sentence.of(
                        "{} is %.2f D; least {}, most {} (%s)".formatted(measured.per(d), rule.source()),
                        measured,
                        rule.least(),
                        rule.most())
                .in(common.unit())));
        findings.forEach(f -> lines.add(common.line(f)));
        common.answer(node, lines);
        return Common.exit(findings);
    }
}
