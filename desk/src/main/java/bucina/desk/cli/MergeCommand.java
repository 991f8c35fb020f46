package bucina.desk.cli;

import bucina.desk.session.Benches;
import bucina.store.Chain;
import bucina.store.Merge;
import bucina.store.file.BuildFile;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code merge A B --out C}: two builds that share a history, brought together in a new file. */
@Command(
        name = "merge",
        mixinStandardHelpOptions = true,
        description = "Brings two builds together that share a history; both stay as they are.")
final class MergeCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Parameters(index = "0", paramLabel = "A", description = "A build, a .bucina file.")
    private Path first;

    @Parameters(index = "1", paramLabel = "B", description = "Another bench's file of the same build.")
    private Path second;

    @Option(names = "--out", required = true, description = "The new file.")
    private Path out;

    @Override
    public Integer call() {
        try (BuildFile a = common.told(BuildFile.openToRead(first));
                BuildFile b = common.told(BuildFile.openToRead(second))) {
            Merge.Merged merged =
                    Benches.together(a, b, out, LocalDate.now(common.top().clock()));
            ObjectNode node = Common.object().put("out", out.toString());
            node.put("entries", merged.document().log().entries().size())
                    .put("marks", merged.document().log().marked());
            ArrayNode said = node.putArray("said");
            merged.said().forEach(said::add);
            ArrayNode heads = node.putArray("heads");
            Chain.heads(merged.document().chain().values()).forEach(heads::add);
            List<String> lines = new ArrayList<>(merged.said());
            lines.add("Made " + out);
            common.answer(node, lines);
            return Cli.FINE;
        }
    }
}
