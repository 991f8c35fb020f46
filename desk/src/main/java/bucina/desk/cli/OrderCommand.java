package bucina.desk.cli;

import bucina.core.order.OrderOfWork;
import bucina.core.order.Ring;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code order FILE [--assembly A]}: every open job in an order that loses little time. */
@Command(
        name = "order",
        mixinStandardHelpOptions = true,
        description = "Every open job in an order that loses little time between jobs, and demands that have no order.")
final class OrderCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--assembly", description = "Jobs of one assembly only.")
    private @Nullable String assembly;

    @Override
    public Integer call() {
        JobsOf of = JobsOf.of(open(), assembly, common());
        OrderOfWork order = OrderOfWork.of(of.jobs(), of::shown);
        ObjectNode node = Common.object();
        ArrayNode list = node.putArray("order");
        List<String> lines = new ArrayList<>();
        for (OrderOfWork.Step step : order.steps()) {
            String starts = String.join("; ", step.changes());
            list.addObject().put("id", step.job().id()).put("starts_with", starts);
            lines.add((step.waits() ? "(waits) " : "") + step.job().id() + (starts.isEmpty() ? "" : "   " + starts));
        }
        node.put("lost_minutes", order.lost());
        node.put("bound", order.bound());
        node.put("as_drawn", order.asDrawn());
        ArrayNode rings = node.putArray("rings");
        order.rings().stream().map(Ring::sentence).forEach(rings::add);
        order.rings().stream().map(Ring::sentence).forEach(lines::add);
        lines.add(String.format(
                Locale.ROOT,
                "%.1f min lost between jobs, at least %.1f; as drawn %.1f.",
                order.lost(),
                order.bound(),
                order.asDrawn()));
        common().answer(node, lines);
        return Cli.FINE;
    }
}
