package bucina.desk.cli;

import bucina.core.stores.Balance;
import bucina.core.stores.LongStock;
import bucina.core.stores.OrderList;
import bucina.core.sums.Bench;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;

/** {@code order-list FILE}: what to order, with a spare, as it is sold. */
@Command(
        name = "order-list",
        mixinStandardHelpOptions = true,
        description = "What to order for what is still to be set, with a spare, as it is sold.")
final class OrderListCommand extends OnBuild implements Callable<Integer> {

    /** What a build wants: hardware with its spare, and bars. */
    static OrderList of(Opened is, Common common) {
        LongStock stock = LongStock.of(
                is.build(),
                Bench.of(common.catalogue(), is.derivation()),
                LocalDate.now(common.top().clock()));
        return OrderList.of(Balance.of(is.derivation(), is.log())).plus(stock, common.unit());
    }

    @Override
    public Integer call() {
        Opened is = open();
        OrderList list = of(is, common());
        ObjectNode node = Common.object();
        ArrayNode lines = node.putArray("lines");
        list.lines()
                .forEach(l -> lines.addObject()
                        .put("designation", l.designation())
                        .put("order", l.order())
                        .put("why", l.why()));
        common().answer(
                        node,
                        list.lines().isEmpty()
                                ? List.of("Nothing is wanting.")
                                : list.text().lines().toList());
        return Cli.FINE;
    }
}
