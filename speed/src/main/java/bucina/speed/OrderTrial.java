package bucina.speed;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.hold.Holds;
import bucina.core.job.Jobs;
import bucina.core.log.Logbook;
import bucina.core.order.OrderOfWork;
import bucina.core.plan.Build;
import bucina.core.stack.Derivation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/** Orders of many random builds, up to 300 parts, gone through by {@link OrderChecker}. */
public final class OrderTrial {

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final List<Double> ratios = new ArrayList<>();
    private long jobs;
    private int waiting;
    private int rings;
    private int broken;
    private int most;

    private OrderTrial() {}

    /**
     * @param args how many builds; 1000 if nothing is said
     */
    public static void main(String[] args) {
        int count = args.length > 0 ? Integer.parseInt(args[0]) : 1000;
        OrderTrial trial = new OrderTrial();
        RandomBuilds builds = new RandomBuilds(trial.catalogue, 20261129);
        Random random = new Random(7);
        for (int i = 0; i < count; i++) {
            trial.build(i, builds.build(1 + random.nextInt(3), ribs(i, random), 2 + random.nextInt(5)));
        }
        trial.tell(count);
        if (trial.broken > 0) {
            System.exit(1);
        }
    }

    /** Few in most builds, many in one of fifty. */
    private static int ribs(int i, Random random) {
        if (i % 50 == 49) {
            return 60 + random.nextInt(235);
        }
        return i % 5 == 4 ? 10 + random.nextInt(40) : 1 + random.nextInt(9);
    }

    private void build(int i, Build build) {
        Derivation derivation = Derivation.of(build, catalogue);
        most = Math.max(most, build.parts().size());
        Jobs all =
                Jobs.of(derivation, Logbook.EMPTY, new Holds(derivation, Logbook.EMPTY), LocalDate.parse("2026-11-29"));
        OrderOfWork order = OrderOfWork.of(all, j -> true);
        List<String> wrong = OrderChecker.broken(derivation, all, order);
        broken += wrong.size();
        if (!wrong.isEmpty()) {
            System.out.println("build " + i + ": " + wrong.getFirst());
        }
        jobs += order.steps().size();
        waiting += (int) order.steps().stream().filter(OrderOfWork.Step::waits).count();
        rings += order.rings().size();
        if (order.steps().size() > 14 && order.bound() > 0) {
            ratios.add(order.lost() / order.bound());
        }
    }

    private void tell(int count) {
        ratios.sort(null);
        System.out.printf(
                Locale.ROOT,
                "%d builds of up to %d parts, %d jobs, %d of them held, %d rings: %d things broken%n"
                        + "lost time to its bound in the %d builds of more than 14 jobs: median %.2f, "
                        + "90 of 100 under %.2f, most %.2f%n",
                count,
                most,
                jobs,
                waiting,
                rings,
                broken,
                ratios.size(),
                ratios.get(ratios.size() / 2),
                ratios.get(ratios.size() * 9 / 10),
                ratios.getLast());
    }
}
