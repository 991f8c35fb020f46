package bucina.core.cut;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.sheet.Box;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * Rectangles laid on sheets. The free rectangles of each sheet are kept, overlapping, and a piece goes where its
 * shorter leftover is least (the maximal
 * rectangles method, Jylänki 2010); several orders are tried and the best is kept. A sheet's grain runs along its
 * length.
 *
 * @param sheets  sheets used, each with its pieces
 * @param missing pieces that no sheet is left for
 * @param bound   fewest sheets by area alone
 */
public record Nesting(List<Sheet> sheets, List<Blank> missing, int bound) {

    /**
     * A rectangle wanted.
     *
     * @param name   what for; may be empty
     * @param length along the grain where that matters, over 0
     * @param width  over 0
     * @param grain  true if its length must lie along the grain of the sheet
     */
    public record Blank(String name, Length length, Length width, boolean grain) {
        public Blank {
            if (!length.positive() || !width.positive()) {
                throw new InputException("A piece is " + length + " by " + width + ": both are over 0, like 12x4");
            }
        }
    }

    /**
     * A piece where it lies.
     *
     * @param at box in nm from the sheet's lower left corner
     */
    public record Laid(Blank blank, Box at) {}

    /** A sheet with what is cut from it. */
    public record Sheet(Length length, Length width, List<Laid> pieces) {
        public Sheet {
            pieces = List.copyOf(pieces);
        }

        /** Share of the sheet that is used, 0 to 1. */
        public double used() {
            return pieces.stream()
                            .mapToDouble(p -> p.blank.length.nanometres() * p.blank.width.nanometres())
                            .sum()
                    / (length.nanometres() * width.nanometres());
        }
    }

    /**
     * Sheets of one size on hand.
     *
     * @param length along the grain, over 0
     * @param width  over 0
     * @param count  0 to 1,000
     */
    public record SheetStock(Length length, Length width, int count) {
        public SheetStock {
            if (!length.positive() || !width.positive() || !(count >= 0 && count <= 1000)) {
                throw new InputException("Sheets of " + length + " by " + width + ", " + count
                        + " of them: sizes are over 0 and the count 0 to 1000, like " + "48x24 x2");
            }
        }
    }

    public Nesting {
        sheets = List.copyOf(sheets);
        missing = List.copyOf(missing);
    }

    /**
     * Lays pieces on sheets.
     *
     * @param gap between two pieces, 0 or more: the saw's kerf or room for the shear
     * @throws InputException if nothing is wanted, more than 500 pieces are, or the gap is negative
     */
    public static Nesting of(List<Blank> wanted, List<SheetStock> stock, Length gap) {
        check(wanted, gap);
        List<Comparator<Blank>> orders = List.of(
                Comparator.comparing((Blank b) -> b.length.nanometres() * b.width.nanometres())
                        .reversed(),
                Comparator.comparing((Blank b) -> b.length.max(b.width)).reversed(),
                Comparator.comparing((Blank b) -> b.length.min(b.width)).reversed());
        @Nullable Nesting best = null;
        for (Comparator<Blank> order : orders) {
            Nesting one = lay(wanted.stream().sorted(order).toList(), stock, gap);
            if (best == null
                    || one.missing.size() < best.missing.size()
                    || one.missing.size() == best.missing.size() && one.sheets.size() < best.sheets.size()) {
                best = one;
            }
        }
        return Objects.requireNonNull(best, "several orders are tried");
    }

    private static void check(List<Blank> wanted, Length gap) {
        if (wanted.isEmpty() || wanted.size() > 500) {
            throw new InputException(wanted.size() + " pieces are wanted: 1 to 500, one a line like 12x4 x3 gusset");
        }
        if (!gap.atLeast(Length.ZERO)) {
            throw new InputException("The gap is " + gap + ": it is 0 or more, like .06");
        }
    }

    private static Nesting lay(List<Blank> order, List<SheetStock> stock, Length gap) {
        List<Open> open = new ArrayList<>();
        List<SheetStock> fresh = new ArrayList<>();
        single(stock, fresh);
        List<Blank> missing = new ArrayList<>();
        for (Blank blank : order) {
            boolean laid = open.stream().anyMatch(o -> o.lay(blank));
            for (int i = 0; !laid && i < fresh.size(); i++) {
                Open next = new Open(fresh.get(i), gap);
                if (next.lay(blank)) {
                    laid = true;
                    open.add(next);
                    fresh.remove(i);
                }
            }
            if (!laid) {
                missing.add(blank);
            }
        }
        return counted(open, stock, missing);
    }

    private static void single(List<SheetStock> stock, List<SheetStock> fresh) {
        stock.forEach(s -> {
            for (int i = 0; i < s.count; i++) {
                fresh.add(s);
            }
        });
    }

    private static Nesting counted(List<Open> open, List<SheetStock> stock, List<Blank> missing) {
        List<Sheet> sheets = open.stream().map(Open::sheet).toList();
        double need = sheets.stream()
                .mapToDouble(s -> s.used() * s.length.nanometres() * s.width.nanometres())
                .sum();
        double largest = stock.stream()
                .mapToDouble(s -> s.length.nanometres() * s.width.nanometres())
                .max()
                .orElse(1);
        return new Nesting(sheets, missing, (int) Math.ceil(need / largest - 1e-9));
    }

    /**
     * A sheet while it is filled. Every piece takes its gap with it; the sheet is larger by one gap, so that the last
     * needs none.
     */
    private static final class Open {
        private final SheetStock stock;
        private final double gap;
        private final List<Box> free = new ArrayList<>();
        private final List<Laid> laid = new ArrayList<>();

        Open(SheetStock stock, Length gap) {
            this.stock = stock;
            this.gap = gap.nanometres();
            free.add(new Box(0, 0, stock.length.nanometres() + this.gap, stock.width.nanometres() + this.gap));
        }

        Sheet sheet() {
            return new Sheet(stock.length, stock.width, laid);
        }

        boolean lay(Blank blank) {
            double l = blank.length.nanometres();
            double w = blank.width.nanometres();
            Box straight = best(l + gap, w + gap);
            Box turned = blank.grain ? null : best(w + gap, l + gap);
            boolean turn = turned != null
                    && (straight == null || spare(turned, w + gap, l + gap) < spare(straight, l + gap, w + gap));
            Box in = turn ? turned : straight;
            if (in == null) {
                return false;
            }
            Box at = new Box(in.minX(), in.minY(), in.minX() + (turn ? w : l), in.minY() + (turn ? l : w));
            laid.add(new Laid(blank, at));
            take(new Box(at.minX(), at.minY(), at.maxX() + gap, at.maxY() + gap));
            return true;
        }

        private @Nullable Box best(double l, double w) {
            return free.stream()
                    .filter(f -> f.width() >= l - 0.01 && f.height() >= w - 0.01)
                    .min(Comparator.comparingDouble(f -> spare(f, l, w)))
                    .orElse(null);
        }

        private static double spare(Box f, double l, double w) {
            return Math.min(f.width() - l, f.height() - w);
        }

        /** Cuts a taken box out of every free rectangle, and drops those that lie inside another. */
        private void take(Box t) {
            List<Box> next = new ArrayList<>();
            for (Box f : free) {
                if (t.minX() >= f.maxX() || t.maxX() <= f.minX() || t.minY() >= f.maxY() || t.maxY() <= f.minY()) {
                    next.add(f);
                    continue;
                }
                add(next, f.minX(), f.minY(), t.minX(), f.maxY());
                add(next, t.maxX(), f.minY(), f.maxX(), f.maxY());
                add(next, f.minX(), f.minY(), f.maxX(), t.minY());
                add(next, f.minX(), t.maxY(), f.maxX(), f.maxY());
            }
            keepOutermost(next);
        }

        private void keepOutermost(List<Box> next) {
            free.clear();
            for (int i = 0; i < next.size(); i++) {
                Box a = next.get(i);
                boolean inside = false;
                for (int j = 0; j < next.size() && !inside; j++) {
                    inside = j != i && within(a, next.get(j)) && (!within(next.get(j), a) || j < i);
                }
                if (!inside) {
                    free.add(a);
                }
            }
        }

        private static boolean within(Box a, Box b) {
            return a.minX() >= b.minX() && a.minY() >= b.minY() && a.maxX() <= b.maxX() && a.maxY() <= b.maxY();
        }

        private static void add(List<Box> to, double x1, double y1, double x2, double y2) {
            if (x2 - x1 > 1 && y2 - y1 > 1) {
                to.add(new Box(x1, y1, x2, y2));
            }
        }
    }
}
