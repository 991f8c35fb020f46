package bucina.desk.cli;

import bucina.desk.session.BuildCheck;
import bucina.store.Chain;
import bucina.store.file.BuildFile;
import bucina.store.file.FileState;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParentCommand;

/** {@code log FILE verify}: whether the entries are what was written. */
@Command(
        name = "verify",
        mixinStandardHelpOptions = true,
        description = "Sees that no entry was changed, moved or taken out, and holds the log against a hash.")
final class LogVerifyCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @ParentCommand
    private LogCommand log;

    @Option(names = "--head", description = "A hash that left the house, from an evidence PDF: 64 digits 0-9 and a-f.")
    private @Nullable String head;

    @Override
    public Integer call() {
        String wanted = head == null ? null : head.strip().toLowerCase(Locale.ROOT);
        if (wanted != null && !wanted.matches("[0-9a-f]{64}")) {
            throw Common.wrong(
                    "--head \"" + head + "\" is no hash: it is the 64 digits 0-9 and a-f that stand on the evidence");
        }
        try (BuildFile file = common.told(BuildFile.openToRead(log.file()))) {
            file.read();
            List<Chain.Text> entries = file.entries();
            FileState.Chained says = file.state().chain();
            Chain.Verified found = Chain.verify(entries, says.entries(), says.heads());
            boolean known =
                    wanted == null || entries.stream().anyMatch(e -> e.hash().equals(wanted));
            boolean ok = found.broken().isEmpty() && known;
            ObjectNode node = Common.object().put("ok", ok).put("entries", entries.size());
            ArrayNode heads = node.putArray("heads");
            says.heads().forEach(heads::add);
            node.put("first_broken", found.broken().orElse(null));
            node.put("bound_late", says.late());
            List<String> lines = lines(entries.size(), says, found);
            if (!known) {
                lines.add("No entry has the hash " + wanted + ".");
            }
            common.answer(node, lines);
            return ok ? Cli.FINE : Cli.FINDINGS;
        }
    }

    private static List<String> lines(int count, FileState.Chained says, Chain.Verified found) {
        List<String> lines = new ArrayList<>();
        lines.add(found.broken().isEmpty() ? BuildCheck.bound(count) : "Not what was written: " + found.why() + ".");
        says.heads().forEach(h -> lines.add("Newest  " + h));
        if (says.late() > 0) {
            lines.add("The first " + says.late() + " were bound only when the file was brought to format 11: what was"
                    + " changed before that does not show.");
        }
        lines.add("This shows changes made after a hash left the house, no more; it says nothing about the work.");
        return lines;
    }
}
