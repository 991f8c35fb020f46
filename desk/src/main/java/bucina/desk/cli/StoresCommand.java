package bucina.desk.cli;

import bucina.core.batch.Cans;
import bucina.core.hold.Holds;
import bucina.core.measure.Length;
import bucina.core.plan.Bar;
import bucina.core.plan.Can;
import bucina.core.stores.Balance;
import bucina.core.stores.Clecos;
import bucina.core.stores.LongStock;
import bucina.core.sums.Bench;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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
        bars(
                LongStock.of(
                        is.build(),
                        Bench.of(common().catalogue(), is.derivation()),
                        LocalDate.now(common().top().clock())),
                node,
                lines);
        clecos(Clecos.of(is.derivation(), is.log(), new Holds(is.derivation(), is.log())), node, lines);
        cans(is.build().workshop().cans(), node, lines);
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
    }

    private void bars(LongStock stock, ObjectNode node, List<String> lines) {
        ArrayNode bars = node.putArray("bars");
        ArrayNode wanting = node.putArray("wanting");
        for (LongStock.Section section : stock.sections()) {
            section.bars().forEach(n -> bars.add(bar(n.bar(), n.cuts(), n.left(), true)));
            section.wrong().forEach(b -> bars.add(bar(b, List.of(), b.left(), false)));
            lines.add("%s: %d bars, %d pieces next, %d pieces missing%s"
                    .formatted(
                            section.name(),
                            section.bars().size(),
                            section.bars().stream()
                                    .mapToInt(n -> n.cuts().size())
                                    .sum(),
                            section.missing().size(),
                            section.wrong().isEmpty()
                                    ? ""
                                    : ", " + section.wrong().size() + " of another gauge"));
            if (!section.missing().isEmpty()) {
                ObjectNode missing = wanting.addObject()
                        .put("section", section.name())
                        .put("pieces", section.missing().size())
                        .put("order", section.order());
                missing.set("sold", Common.length(section.sold()));
            }
        }
        stock.unread().forEach(lines::add);
        ArrayNode unread = node.putArray("unread");
        stock.unread().forEach(unread::add);
    }

    /** A bar, with its figures; {@code usable} is false where its gauge is another than is called for. */
    private static ObjectNode bar(Bar bar, List<Bar.Cut> next, Length then, boolean usable) {
        ObjectNode node = Common.object().put("section", bar.section());
        node.set("length", Common.length(bar.length()));
        node.set("left", Common.length(bar.left()));
        node.put("bin", bar.bin()).put("usable", usable);
        pieces(node.putArray("cut"), bar.cuts());
        pieces(node.putArray("next"), next);
        node.set("left_then", Common.length(then));
        return node;
    }

    private static void pieces(ArrayNode node, List<Bar.Cut> cuts) {
        for (Bar.Cut cut : cuts) {
            ObjectNode piece = node.addObject().put("piece", cut.piece());
            piece.set("length", Common.length(cut.length()));
        }
    }

    private static void clecos(List<Clecos.Size> sizes, ObjectNode node, List<String> lines) {
        ArrayNode all = node.putArray("clecos");
        for (Clecos.Size size : sizes) {
            ObjectNode one = all.addObject().put("size", size.size().name());
            size.owned().ifPresentOrElse(n -> one.put("owned", n), () -> one.putNull("owned"));
            one.put("peak", size.peak()).put("face", size.face());
            lines.add("cleco %s: %s owned, %d at once%s"
                    .formatted(
                            size.size().name(),
                            size.owned().map(Object::toString).orElse("not counted"),
                            size.peak(),
                            size.face().isEmpty() ? "" : " on " + size.face()));
        }
    }

    private void cans(List<Can> cans, ObjectNode node, List<String> lines) {
        ArrayNode all = node.putArray("cans");
        for (Can can : cans) {
            Cans.Standing standing = Cans.standing(
                    can,
                    common().top().clock().instant(),
                    common().top().clock().getZone());
            all.addObject()
                    .put("name", can.name())
                    .put("kind", can.kind().code())
                    .put("amount", can.amount())
                    .put("bin", can.bin())
                    .put(
                            "state",
                            standing.state().name().toLowerCase(Locale.ROOT).replace('_', '-'))
                    .put("says", standing.words());
            lines.add(can.name() + (can.amount().isBlank() ? "" : ", " + can.amount()) + ": " + standing.words());
        }
    }
}
