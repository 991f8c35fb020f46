package bucina.core.cut;

import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;

/**
 * Every way to fill a bar to which no further piece can be added, and the choice among them (the cutting-stock model
 * of Gilmore and Gomory, 1961, with all
 * its columns written out).
 */
final class Fillings {

    /** With more fillings than this the first-fit list stands. */
    private static final int MOST = 1500;
    /**
     * Branches that the solver may try, times fillings: deterministic where a time limit is not. Half a second's work,
     * and a list better than this is rare.
     */
    private static final int WORK = 30_000;

    /**
     * One filling.
     *
     * @param bar    length of the bar
     * @param pieces longest first
     */
    record Filling(Length bar, List<Length> pieces) {}

    private final List<Length> kinds;
    private final List<Stock> stock;
    private final Length kerf;
    private final Map<Length, Integer> wanted = new HashMap<>();
    private final List<Filling> fillings = new ArrayList<>();
    private final Map<Length, Integer> onHand = new HashMap<>();
    private boolean whole = true;

    private Fillings(List<Length> kinds, List<Stock> stock, Length kerf) {
        this.kinds = kinds;
        this.stock = stock;
        this.kerf = kerf;
    }

    /** @param kinds the different lengths wanted, longest first */
    static Fillings of(List<Length> kinds, List<CutList.Named> pieces, List<Stock> stock, Length kerf) {
        Fillings f = new Fillings(kinds, stock, kerf);
        pieces.forEach(p -> f.wanted.merge(p.length(), 1, Integer::sum));
        stock.forEach(s -> f.onHand.merge(s.length(), s.count(), Integer::sum));
        for (Length bar :
                f.onHand.keySet().stream().sorted(Collections.reverseOrder()).toList()) {
            f.write(bar, 0, new ArrayList<>(), bar.plus(kerf));
        }
        return f;
    }

    /** Goes on with pieces of kind {@code k} and shorter. {@code room} counts the kerf that the last cut may save. */
    private void write(Length bar, int k, List<Length> so, Length room) {
        if (fillings.size() > MOST) {
            whole = false;
            return;
        }
        if (k == kinds.size()) {
            if (!so.isEmpty() && full(so, room)) {
                fillings.add(new Filling(bar, List.copyOf(so)));
            }
            return;
        }
        tryCounts(k, room, so, bar);
    }

    private void tryCounts(int k, Length room, List<Length> so, Length bar) {
        Length each = kinds.get(k).plus(kerf);
        int most = Math.min(wanted(kinds.get(k)), (int) Math.floor(room.per(each) + 1e-12) + 1);
        for (int n = most; n >= 0; n--) {
            Length rest = room.minus(each.times(n));
            if (goes(rest)) {
                so.addAll(Collections.nCopies(n, kinds.get(k)));
                write(bar, k + 1, so, rest);
                so.subList(so.size() - n, so.size()).clear();
            }
        }
    }

    /** The last cut is saved only where it ends flush: nothing left, or a whole kerf. */
    private boolean goes(Length rest) {
        return rest.same(Length.ZERO) || rest.atLeast(kerf);
    }

    private int wanted(Length kind) {
        return Objects.requireNonNull(wanted.get(kind), "every kind is wanted");
    }

    /** True if none of the pieces still wanted could be added. */
    private boolean full(List<Length> so, Length room) {
        return kinds.stream()
                .noneMatch(k -> Collections.frequency(so, k) < wanted(k) && goes(room.minus(k.plus(kerf))));
    }

    /**
     * Fewest bars that could hold what a list cuts, by the linear relaxation; 0 if the fillings are too many to write
     * out.
     */
    int bound(CutList list) {
        if (!whole || list.bars().isEmpty()) {
            return 0;
        }
        Map<Length, Integer> cut = new HashMap<>();
        list.bars().forEach(b -> b.pieces().forEach(p -> cut.merge(p.length(), 1, Integer::sum)));
        ExpressionsBasedModel model = new ExpressionsBasedModel();
        List<Variable> x = new ArrayList<>();
        fillings.forEach(f -> x.add(model.newVariable("x" + x.size()).lower(0).weight(1)));
        cover(model, x, cut, false);
        Optimisation.Result result = model.minimise();
        return result.getState().isOptimal() ? (int) Math.ceil(result.getValue() - 1e-6) : 0;
    }

    private void cover(ExpressionsBasedModel model, List<Variable> x, Map<Length, Integer> need, boolean mayMiss) {
        for (Map.Entry<Length, Integer> e : need.entrySet()) {
            Expression cover =
                    model.newExpression("piece " + e.getKey().nanometres()).lower(e.getValue());
            for (int i = 0; i < fillings.size(); i++) {
                int times = Collections.frequency(fillings.get(i).pieces, e.getKey());
                if (times > 0) {
                    cover.set(x.get(i), times);
                }
            }
            if (mayMiss) {
                mayMiss(cover, model, e);
            }
        }
    }

    private void mayMiss(Expression cover, ExpressionsBasedModel model, Map.Entry<Length, Integer> e) {
        cover.set(
                model.newVariable("missing " + e.getKey().nanometres())
                        .lower(0)
                        .upper(e.getValue())
                        .integer(true)
                        .weight(100.0 * e.getKey().per(kinds.getLast())),
                1);
    }

    /** The fillings to take, longest bars first; empty if there are too many to choose from or the solver gives up. */
    Optional<List<Filling>> solve(List<CutList.Named> pieces, CutList first) {
        if (!whole || fillings.isEmpty()) {
            return Optional.empty();
        }
        ExpressionsBasedModel model = new ExpressionsBasedModel();
        model.options.iterations_abort = Math.max(10, WORK / fillings.size());
        model.options.iterations_suffice = model.options.iterations_abort;
        double most = stock.getFirst().length().nanometres() * (pieces.size() + 1) * 2;
        List<Variable> x = new ArrayList<>();
        for (Filling f : fillings) {
            x.add(model.newVariable("x" + x.size())
                    .lower(0)
                    .upper(onHand.get(f.bar))
                    .integer(true)
                    .weight(1 + f.bar.nanometres() / most));
        }
        cover(model, x, wanted, !first.missing().isEmpty());
        for (Map.Entry<Length, Integer> bars : onHand.entrySet()) {
            Expression have =
                    model.newExpression("bars " + bars.getKey().nanometres()).upper(bars.getValue());
            for (int i = 0; i < fillings.size(); i++) {
                if (fillings.get(i).bar.same(bars.getKey())) {
                    have.set(x.get(i), 1);
                }
            }
        }
        Optimisation.Result result = model.minimise();
        if (!result.getState().isFeasible()) {
            return Optional.empty();
        }
        List<Filling> taken = new ArrayList<>();
        for (int i = 0; i < fillings.size(); i++) {
            taken.addAll(Collections.nCopies((int) Math.round(result.doubleValue(i)), fillings.get(i)));
        }
        return Optional.of(taken);
    }
}
