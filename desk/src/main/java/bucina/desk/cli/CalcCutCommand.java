package bucina.desk.cli;

import bucina.core.cut.CutList;
import bucina.core.cut.CutText;
import bucina.core.measure.Length;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc cut}: which piece from which bar. */
@Command(
        name = "cut",
        mixinStandardHelpOptions = true,
        description = "Cuts pieces from bars: least length missing, then fewest bars, then least stock; up to eleven "
                + "pieces nothing is better.")
final class CalcCutCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--want", required = true, description = "Pieces as length x count: 24x3,36x2, 610 mm x2")
    private String want;

    @Option(names = "--stock", required = true, description = "Bars as length x count: 72x3")
    private String stock;

    @Option(names = "--kerf", defaultValue = "0", description = "What the saw takes with each cut.")
    private String kerf;

    @Override
    public Integer call() {
        CutText text = new CutText(common.lengths());
        CutList list = CutList.of(
                text.pieces(want), text.stock(stock), common.lengths().parse(kerf));
        ObjectNode node = tree(list);
        common.answer(node, lines(list));
        return list.missing().isEmpty() ? Cli.FINE : Cli.FINDINGS;
    }

    private static ObjectNode tree(CutList list) {
        ObjectNode node = Common.object();
        ArrayNode bars = node.putArray("bars");
        for (CutList.Bar bar : list.bars()) {
            tree(bars, bar);
        }
        ArrayNode missing = node.putArray("missing");
        list.missing().forEach(p -> missing.add(Common.length(p.length())));
        node.put("bound", list.bound());
        return node;
    }

    private static void tree(ArrayNode bars, CutList.Bar bar) {
        ObjectNode each = bars.addObject();
        each.set("stock", Common.length(bar.stock()));
        ArrayNode pieces = each.putArray("pieces");
        bar.pieces().forEach(p -> pieces.add(Common.length(p.length())));
        each.set("left", Common.length(bar.left()));
    }

    private List<String> lines(CutList list) {
        List<String> lines = new ArrayList<>();
        for (CutList.Bar bar : list.bars()) {
            bar(lines, bar);
        }
        lines.add(list.bars().size() + " bars; what is cut needs " + list.bound() + " at the least.");
        if (!list.missing().isEmpty()) {
            lines.add("Missing "
                    + list.missing().stream().map(p -> common.show(p.length())).collect(Collectors.joining(", ")) + ", "
                    + common.show(
                            list.missing().stream().map(CutList.Named::length).reduce(Length.ZERO, Length::plus))
                    + " in all.");
        }
        return lines;
    }

    private void bar(List<String> lines, CutList.Bar bar) {
        lines.add("%10s  %s, left %s"
                .formatted(
                        common.show(bar.stock()),
                        bar.pieces().stream().map(p -> common.show(p.length())).collect(Collectors.joining(" + ")),
                        common.show(bar.left())));
    }
}
