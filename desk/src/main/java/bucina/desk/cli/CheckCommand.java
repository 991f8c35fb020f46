package bucina.desk.cli;

import bucina.core.rule.Finding;
import bucina.desk.session.BuildCheck;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code check FILE}: every finding of a build. */
@Command(name = "check", mixinStandardHelpOptions = true, description = "Checks every hole of a build.")
final class CheckCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--deep", description = "Goes through the file itself first: every page, row and photograph.")
    private boolean deep;

    @Override
    public Integer call() {
        List<String> lines = new ArrayList<>();
        if (deep) {
            lines.add(BuildCheck.file(file()));
        }
        Opened opened = open();
        List<Finding> findings = opened.derivation().findings(() -> false);
        ObjectNode node = Common.object();
        if (deep) {
            node.put("sound", true);
        }
        node.set("findings", common().findings(findings));
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
