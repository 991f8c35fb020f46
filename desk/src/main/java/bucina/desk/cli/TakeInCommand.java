package bucina.desk.cli;

import bucina.core.measure.InputException;
import bucina.core.measure.Sentence;
import bucina.core.plan.Build;
import bucina.core.stores.CheckIn;
import bucina.core.stores.TakeIn;
import bucina.store.file.BuildFile;
import bucina.store.table.PackingTable;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.ParentCommand;

/** {@code stores FILE take-in LIST.csv}: the packing list of the kit. */
@Command(
        name = "take-in",
        mixinStandardHelpOptions = true,
        description = "Takes the kit's packing list in and says where it differs from the plan.")
final class TakeInCommand implements Callable<Integer> {

    private static final long LARGEST = 20_000_000;

    @Mixin
    private Common common;

    @ParentCommand
    private StoresCommand stores;

    @Parameters(paramLabel = "LIST", description = "The packing list: CSV with a number or name and a count.")
    private Path list;

    @Override
    public Integer call() {
        PackingTable.Reading read =
                PackingTable.read(text(), common.unit(), common.catalogue().drills());
        Build after;
        try (BuildFile file = common.told(BuildFile.open(stores.file()))) {
            after = TakeIn.list(stores.derived(file).build(), read.lines()).checked();
            file.save(after);
        }
        ObjectNode node = Common.object();
        node.put("read", read.lines().size());
        ArrayNode understood = node.putArray("understood");
        read.understood().forEach(understood::add);
        ArrayNode differs = node.putArray("differs");
        List<String> lines = new ArrayList<>(
                List.of(read.lines().size() + " lines read: " + String.join(", ", read.understood()) + "."));
        lines.addAll(read.notes());
        for (Sentence each : new CheckIn(after).differs()) {
            differs.add(each.in(common.unit()));
            lines.add(each.in(common.unit()));
        }
        common.answer(node, lines);
        return Cli.FINE;
    }

    private String text() {
        try {
            if (Files.size(list) > LARGEST) {
                throw new InputException(list + " has over 20 MB: a packing list is a table of text, such as list.csv");
            }
            return new String(Files.readAllBytes(list), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new InputException(
                    "there is no packing list " + list + " that can be read: name a file such as list.csv", e);
        }
    }
}
