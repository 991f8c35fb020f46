package bucina.desk.cli;

import bucina.core.spare.Spare;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc spare}: what to order, with a spare for those that will be rejected. */
@Command(
        name = "spare",
        mixinStandardHelpOptions = true,
        description = "What to order of one fastener, with a spare for those that will be rejected.")
final class CalcSpareCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--left", required = true, description = "How many are still to be set.")
    private int left;

    @Option(names = "--set", required = true, description = "How many were driven, good and rejected.")
    private int set;

    @Option(names = "--rejected", required = true, description = "How many of those were rejected.")
    private int rejected;

    @Option(names = "--on-hand", required = true, description = "How many are there.")
    private int onHand;

    @Option(names = "--pack", defaultValue = "1", description = "How many are sold together.")
    private int pack;

    @Override
    public Integer call() {
        Spare spare = Spare.of(left, set, rejected, onHand, pack);
        common.answer(
                Common.object()
                        .put("reject_share", spare.rejectShare())
                        .put("need", spare.need())
                        .put("order", spare.order()),
                List.of(String.format(
                        Locale.ROOT,
                        "Order %d: %d wanted with a spare of %d (%.1f %% reckoned to be rejected), %d on hand.",
                        spare.order(),
                        spare.need(),
                        spare.need() - left,
                        100 * spare.rejectShare(),
                        onHand)));
        return Cli.FINE;
    }
}
