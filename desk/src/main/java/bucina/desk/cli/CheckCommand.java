package bucina.desk.cli;

import bucina.core.rule.Finding;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;

/** {@code check FILE}: every finding of a build. */
@Command(name = "check", mixinStandardHelpOptions = true, description = "Checks every hole of a build.")
final class CheckCommand extends OnBuild implements Callable<Integer> {

    @Override
    public Integer call() {
        Opened opened = open();
        List<Finding> findings = opened.derivation().findings(() -> false);
        ObjectNode node = Common.object();
        node.set("findings", common().findings(findings));
        List<String> lines = new ArrayList<>();
        findings.forEach(f -> lines.add(f.place().face() + ": " + common().line(f)));
        summed(opened, lines, findings);
        common().answer(node, lines);
        return Common.exit(findings);
    }

    private static void summed(OnBuild.Opened opened, List<String> lines, List<Finding> findings) {
        int holes =
                opened.build().faces().stream().mapToInt(f -> f.face().count()).sum();
        lines.add(findings.size() + " findings on " + holes
                + " fasteners. The kit's drawing governs; nothing here is an approval.");
    }
}
