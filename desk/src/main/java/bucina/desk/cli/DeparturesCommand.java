package bucina.desk.cli;

import bucina.core.plan.Departure;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;

/** {@code departures FILE}: what was built otherwise than drawn. */
@Command(
        name = "departures",
        mixinStandardHelpOptions = true,
        description = "Departures from the drawing: what, where, why, since when and who said so.")
final class DeparturesCommand extends OnBuild implements Callable<Integer> {

    @Override
    public Integer call() {
        Opened opened = open();
        ObjectNode node = Common.object();
        ArrayNode list = node.putArray("departures");
        List<String> lines = new ArrayList<>();
        for (Departure d : opened.build().papers().departures()) {
            ObjectNode each = list.addObject()
                    .put("id", d.id().n())
                    .put("where", d.where())
                    .put("what", d.what())
                    .put("reason", d.reason())
                    .put("date", d.dated().toString())
                    .put("source", d.source());
            ArrayNode parts = each.putArray("parts");
            d.parts().forEach(p -> parts.add(opened.build().part(p).name()));
            lines.add(d.dated() + "  " + d.where() + ": " + d.what() + ". " + d.reason() + " (" + d.source() + ")");
        }
        common().answer(node, lines.isEmpty() ? List.of("No departures from the drawing.") : lines);
        return Cli.FINE;
    }
}
