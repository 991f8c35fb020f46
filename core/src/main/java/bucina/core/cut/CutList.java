package bucina.core.cut;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/*
 * Design. First-fit-decreasing in three orders of the bars gives a list at once. A bar's possible fillings are then
 * written out, if they are not too
 * many, and a solver picks among them; its linear relaxation gives the bound. The solver's list is taken only if it
 * is not worse in any figure that
 * counts, so that the answer is never worse than first-fit-decreasing.
 */

/**
 * Which piece is cut from which bar.
 *
 * @param bars    in the order to cut them, each with its pieces, longest first
 * @param missing pieces that no bar is left for, longest first
 * @param bound   fewest bars that could hold what is cut
 */
public record CutList(List<Bar> bars, List<Named> missing, int bound) {

    /**
     * One piece.
     *
     * @param name what for; may be empty
     */
    public record Named(String name, Length length) {}

    /**
     * A bar and what is cut from it.
     *
     * @param stock  length of the bar
     * @param pieces at least one, in the order to cut
     * @param left   what is left of it
     */
    public record Bar(Length stock, List<Named> pieces, Length left) {

        public Bar {
            pieces = List.copyOf(pieces);
        }
    }

    public CutList {
        bars = List.copyOf(bars);
        missing = List.copyOf(missing);
    }

    /**
     * Cuts the pieces from the stock: the least length missing, then few bars, then little stock. Up to eleven pieces
     * nothing is better.
     *
     * @param kerf 0 or more
     * @throws InputException if nothing is wanted, or the kerf is negative
     */
    public static CutList of(List<Piece> wanted, List<Stock> stock, Length kerf) {
        check(kerf, wanted);
        List<Named> pieces = single(wanted);
        Saw saw = new Saw(kerf);
        List<Stock> given = stock.stream().filter(s -> s.count() > 0).toList();
        List<Stock> longest = given.stream()
                .sorted(Comparator.comparing(Stock::length).reversed())
                .toList();
        CutList best = saw.firstFit(pieces, given);
        for (List<Stock> order : List.of(longest, longest.reversed())) {
            CutList list = saw.firstFit(pieces, order);
            best = list.key(kerf).compareTo(best.key(kerf)) < 0 ? list : best;
        }
        Optional<CutList> exact = SmallCut.solve(
                        pieces.stream().map(Named::length).toList(), given, kerf)
                .map(f -> saw.fill(pieces, f));
        Fillings fillings =
                Fillings.of(pieces.stream().map(Named::length).distinct().toList(), pieces, longest, kerf);
        int bound = Math.max(best.plainBound(kerf), fillings.bound(best));
        if (exact.isPresent()) {
            best = exact.get().key(kerf).compareTo(best.key(kerf)) < 0 ? exact.get() : best;
            bound = Math.max(best.plainBound(kerf), fillings.bound(best));
        } else if (best.bars.size() > bound || !best.missing.isEmpty() || given.size() > 1) {
            CutList solved =
                    fillings.solve(pieces, best).map(f -> saw.fill(pieces, f)).orElse(best);
            if (solved.noWorse(best)) {
                best = solved;
                bound = Math.max(best.plainBound(kerf), fillings.bound(best));
            }
        }
        return new CutList(best.bars, best.missing, Math.min(bound, best.bars.size()));
    }

    private static List<Named> single(List<Piece> wanted) {
        List<Named> pieces = new ArrayList<>();
        wanted.forEach(p -> {
            for (int i = 0; i < p.count(); i++) {
                pieces.add(new Named(p.name(), p.length()));
            }
        });
        pieces.sort(Comparator.comparing(Named::length).reversed());
        return pieces;
    }

    private static void check(Length kerf, List<Piece> wanted) {
        if (!kerf.atLeast(Length.ZERO)) {
            throw new InputException("The kerf is " + kerf + ": it is 0 or more, like .06");
        }
        if (wanted.isEmpty()) {
            throw new InputException("No piece is wanted: write length and count like 24x3");
        }
        if (wanted.stream().mapToInt(Piece::count).sum() > 10_000) {
            throw new InputException("More than 10000 pieces are wanted: cut one kind of stock at a time");
        }
    }

    /** What lists are compared by: missing length, bars, stock used. */
    private record Key(Length missing, int bars, Length stock) implements Comparable<Key> {
        @Override
        public int compareTo(Key other) {
            return Comparator.comparing(Key::missing)
                    .thenComparing(Key::bars)
                    .thenComparing(Key::stock)
                    .compare(this, other);
        }
    }

    private Key key(Length kerf) {
        return new Key(sum(missing), bars.size(), used());
    }

    /** Length of all bars that are cut. */
    public Length used() {
        return bars.stream().map(Bar::stock).reduce(Length.ZERO, Length::plus);
    }

    private static Length sum(List<Named> pieces) {
        return pieces.stream().map(Named::length).reduce(Length.ZERO, Length::plus);
    }

    /**
     * True if this list has no more missing than another, by length and by count, and for the same missing no more bars
     * and no more stock.
     */
    private boolean noWorse(CutList other) {
        Length mine = sum(missing);
        Length theirs = sum(other.missing);
        if (!mine.atMost(theirs) || missing.size() > other.missing.size()) {
            return false;
        }
        return missing.size() < other.missing.size()
                || !mine.same(theirs)
                || bars.size() < other.bars.size()
                || bars.size() == other.bars.size() && used().atMost(other.used());
    }

    /**
     * Fewest bars by length alone: longest bars first until they hold every piece with its kerf; the last cut of a bar
     * may be saved.
     */
    private int plainBound(Length kerf) {
        double need = 0;
        for (Bar bar : bars) {
            for (Named piece : bar.pieces) {
                need += piece.length.plus(kerf).nanometres();
            }
        }
        int count = 0;
        List<Length> lengths =
                bars.stream().map(Bar::stock).sorted(Comparator.reverseOrder()).toList();
        double longest = lengths.isEmpty() ? 0 : lengths.getFirst().plus(kerf).nanometres();
        while (need > 1 && longest > 0) {
            need -= longest;
            count++;
        }
        return count;
    }

    /** Lays pieces on bars; a cut that ends flush with the bar saves its kerf. */
    private record Saw(Length kerf) {

        /** What is left of a bar with these pieces; negative if they do not go on it. */
        private Length left(Length bar, List<Named> pieces) {
            Length tight = bar.minus(sum(pieces)).minus(kerf.times(Math.max(0, pieces.size() - 1)));
            return tight.same(Length.ZERO) ? Length.ZERO : tight.minus(kerf);
        }

        CutList firstFit(List<Named> pieces, List<Stock> order) {
            List<Length> lengths = new ArrayList<>();
            order.forEach(s -> lengths.addAll(Collections.nCopies(s.count(), s.length())));
            List<List<Named>> on = new ArrayList<>();
            List<Length> open = new ArrayList<>();
            List<Named> missing = new ArrayList<>();
            for (Named piece : pieces) {
                if (!lay(piece, on, open, lengths)) {
                    missing.add(piece);
                }
            }
            return list(open, on, missing);
        }

        private boolean lay(Named piece, List<List<Named>> on, List<Length> open, List<Length> fresh) {
            for (int i = 0; i < on.size(); i++) {
                on.get(i).add(piece);
                if (left(open.get(i), on.get(i)).atLeast(Length.ZERO)) {
                    return true;
                }
                on.get(i).removeLast();
            }
            for (int i = 0; i < fresh.size(); i++) {
                if (left(fresh.get(i), List.of(piece)).atLeast(Length.ZERO)) {
                    open.add(fresh.remove(i));
                    on.add(new ArrayList<>(List.of(piece)));
                    return true;
                }
            }
            return false;
        }

        private CutList list(List<Length> open, List<List<Named>> on, List<Named> missing) {
            List<Bar> bars = new ArrayList<>();
            for (int i = 0; i < on.size(); i++) {
                bars.add(new Bar(open.get(i), on.get(i), left(open.get(i), on.get(i))));
            }
            return new CutList(bars, missing, 0);
        }

        /**
         * The list that these fillings make, with the pieces that are over left off and the bars that then hold nothing
         * left whole.
         */
        CutList fill(List<Named> pieces, List<Fillings.Filling> fillings) {
            List<Named> rest = new ArrayList<>(pieces);
            List<Length> open = new ArrayList<>();
            List<List<Named>> on = new ArrayList<>();
            for (Fillings.Filling f : fillings) {
                List<Named> mine = new ArrayList<>();
                for (Length length : f.pieces()) {
                    rest.stream().filter(p -> p.length.same(length)).findFirst().ifPresent(p -> {
                        mine.add(p);
                        rest.remove(p);
                    });
                }
                if (!mine.isEmpty()) {
                    open.add(f.bar());
                    on.add(mine);
                }
            }
            return list(open, on, rest);
        }
    }
}
