package bucina.desk.session;

import bucina.core.forecast.Forecast;
import bucina.core.forecast.Hands;
import bucina.core.forecast.Left;
import bucina.core.forecast.Weeks;
import bucina.core.job.Job;
import bucina.core.job.Jobs;
import bucina.core.measure.Unit;
import bucina.core.order.OrderOfWork;
import bucina.core.plan.Id;
import bucina.core.plan.Packed;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.state.Snapshot;
import bucina.core.stores.Balance;
import bucina.core.stores.Blocked;
import bucina.core.stores.CheckIn;
import bucina.core.stores.Clecos;
import bucina.core.stores.Doubtful;
import bucina.core.stores.LongStock;
import bucina.core.stores.OrderList;
import bucina.core.stores.RunsOut;
import bucina.core.sums.Bench;
import bucina.core.weight.BuildWeight;
import bucina.core.weight.OnTheScale;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the Stores room shows. Worked out off the interface thread.
 *
 * @param of       from what
 * @param balance  hardware by designation
 * @param orders   what to order
 * @param out      what runs out, first what is first
 * @param forecast hours left and days
 * @param left     kind by kind
 * @param known    how long what was done took
 * @param weeks    hours of the last weeks
 * @param weight   of what is planned
 * @param blocked  by part that is short, what waits for it
 * @param trips    by assembly, what is wanting to its end
 * @param doubtful callouts that count otherwise than the sheet, and what the kit says to them
 * @param without  by designation that runs out, what waits for the job at which it does
 * @param stock    bars against what cutting lists want
 * @param clecos   size by size
 * @param scale    assemblies by their drawing against the scale
 */
public record StoresModel(
        Snapshot of,
        Balance balance,
        OrderList orders,
        List<RunsOut> out,
        Forecast forecast,
        List<Left> left,
        Hands known,
        Weeks weeks,
        BuildWeight weight,
        Map<Id.Part, Blocked> blocked,
        Map<Id.Assembly, OrderList> trips,
        List<Doubtful> doubtful,
        Map<String, Blocked> without,
        LongStock stock,
        List<Clecos.Size> clecos,
        List<OnTheScale> scale) {

    /**
     * Of a build as it is.
     *
     * @param unit  of lengths in sentences
     */
    public static StoresModel of(Snapshot now, LocalDate today, Unit unit) {
        Jobs jobs = Jobs.of(now.derivation(), now.log(), now.holds(), today);
        List<Job> order = OrderOfWork.of(jobs, j -> true).steps().stream()
                .map(OrderOfWork.Step::job)
                .toList();
        Balance balance = Balance.of(now.derivation(), now.log());
        List<Left> left = Left.of(jobs.all());
        LongStock stock = LongStock.of(now.build(), Bench.of(now.derivation().catalogue(), now.derivation()), today);
        Hands known = Hands.of(now.build(), now.log());
        Weeks weeks = Weeks.of(now.log(), today);
        Map<Id.Part, Blocked> blocked = new HashMap<>();
        for (Part part : now.build().parts()) {
            if (part.standing() == Standing.SHORT) {
                blocked.put(part.id(), Blocked.by(jobs, part.id()));
            }
        }
        List<RunsOut> out = RunsOut.of(order, balance, now.derivation());
        Map<String, Blocked> without = new HashMap<>();
        out.forEach(o -> without.put(o.designation(), Blocked.by(jobs, o.job())));
        return new StoresModel(
                now,
                balance,
                OrderList.of(balance).plus(stock, unit),
                out,
                Forecast.of(left, known, weeks, today),
                left,
                known,
                weeks,
                BuildWeight.of(now.derivation()),
                blocked,
                trips(now),
                Doubtful.of(now.derivation(), balance),
                without,
                stock,
                Clecos.of(now.derivation(), now.log(), now.holds()),
                OnTheScale.of(now.derivation()));
    }

    private static Map<Id.Assembly, OrderList> trips(Snapshot now) {
        Map<Id.Assembly, OrderList> trips = new HashMap<>();
        now.build()
                .assemblies()
                .forEach(a -> trips.put(
                        a.id(),
                        OrderList.of(Balance.of(
                                now.derivation(),
                                now.log(),
                                ref -> ref.assembly().id().equals(a.id())))));
        return trips;
    }

    /** Where a designation runs out; empty where it does not. */
    public Optional<RunsOut> runsOut(String designation) {
        return out.stream().filter(o -> o.designation().equals(designation)).findFirst();
    }

    /** How many lines of the packing list stand how. */
    public Map<CheckIn.State, Integer> packing() {
        Map<CheckIn.State, Integer> counts = new EnumMap<>(CheckIn.State.class);
        for (Packed line : of.build().workshop().packing()) {
            counts.merge(CheckIn.state(line), 1, Integer::sum);
        }
        return counts;
    }
}
