package bucina.desk.cli;

import bucina.core.stores.Balance;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;

/** {@code stores FILE}: hardware by designation. */
@Command(
        name = "stores",
        mixinStandardHelpOptions = true,
        description = "Hardware by designation: in the kit, bought, used, rejected, still needed, left.",
        subcommands = TakeInCommand.class)
final class StoresCommand extends OnBuild implements Callable<Integer> {

    @Override
    public Integer call() {
        Opened is = open();
        ObjectNode node = Common.object();
        List<String> lines = new ArrayList<>();
        items(Balance.of(is.derivation(), is.log()), node, lines);
        common().answer(node, lines);
        return Cli.FINE;
    }

    private static void items(Balance balance, ObjectNode node, List<String> lines) {
        ArrayNode items = node.putArray("items");
        lines.add("%-28s %6s %6s %6s %8s %6s %6s  %s"
                .formatted("", "kit", "bought", "used", "rejected", "needed", "left", "bin"));
        for (Balance.Item item : balance.items()) {
            items.addObject()
                    .put("designation", item.designation())
                    .put("kit", item.kit())
                    .put("bought", item.bought())
                    .put("used", item.used())
                    .put("rejected", item.rejected())
                    .put("needed", item.needed())
                    .put("left", item.left())
                    .put("bin", item.bin());
            lines.add("%-28s %6d %6d %6d %8d %6d %6d  %s"
                    .formatted(
                            item.designation(),
                            item.kit(),
                            item.bought(),
                            item.used(),
                            item.rejected(),
                            item.needed(),
                            item.left(),
                            item.bin()));
        }
        node.putArray("bars");
    }
}
