package bucina.core.stores;

import bucina.core.cut.CutList;
import bucina.core.cut.Piece;
import bucina.core.cut.Stock;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Bar;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.KeptSum;
import bucina.core.sums.Bench;
import bucina.core.sums.CutSections;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Bars of long stock against everything that kept cutting lists still want, section by section.
 *
 * @param sections of which there is a bar, or something is wanted
 * @param unread   cutting lists that cannot be read, a sentence each
 */
public record LongStock(List<Section> sections, List<String> unread) {

    /** The sum that cutting lists are. */
    private static final String CUT = "cut";

    /**
     * One section.
     *
     * @param name    as the first list or bar calls it
     * @param bars    each with what is cut from it next
     * @param missing pieces that no bar has room for
     * @param order   how many bars to order for them; 0 if none is missing
     * @param sold    how long those are; 0 where no list wants it
     * @param wrong   bars of another gauge than is called for: nothing is cut from them
     */
    public record Section(String name, List<Next> bars, List<Want> missing, int order, Length sold, List<Bar> wrong) {
        /** How many of the missing are longer than the bars that are sold: no order helps. */
        public int tooLong() {
            return (int)
                    missing.stream().filter(w -> w.length().compareTo(sold) > 0).count();
        }

        public Section {
            bars = List.copyOf(bars);
            missing = List.copyOf(missing);
            wrong = List.copyOf(wrong);
        }
    }

    /**
     * One bar.
     *
     * @param cuts to make next, the longest first
     */
    public record Next(Bar bar, List<Bar.Cut> cuts) {
        public Next {
            cuts = List.copyOf(cuts);
        }

        /** What is left of it then. */
        public Length left() {
            return bar.cut(cuts).left();
        }
    }

    /**
     * A piece that is wanted.
     *
     * @param list   by which list
     * @param length with what is trimmed
     */
    public record Want(KeptSum list, String piece, Length length) {}

    public LongStock {
        sections = List.copyOf(sections);
        unread = List.copyOf(unread);
    }

    /**
     * Of a build.
     *
     * @param today the day of the cuts that are next
     */
    public static LongStock of(Build build, Bench bench, LocalDate today) {
        Map<String, Gathered> sections = new LinkedHashMap<>();
        List<String> unread = new ArrayList<>();
        for (KeptSum list : build.workshop().sums()) {
            if (list.kind().equals(CUT)) {
                try {
                    CutSections.wanted(list, bench)
                            .forEach(w -> sections.computeIfAbsent(
                                            CutSections.key(w.section()), k -> new Gathered(w.section()))
                                    .add(list, w));
                } catch (InputException e) {
                    unread.add(list.name() + ": " + e.getMessage());
                }
            }
        }
        build.workshop()
                .bars()
                .forEach(b -> sections.computeIfAbsent(CutSections.key(b.section()), k -> new Gathered(b.section()))
                        .bars
                        .add(b));
        return new LongStock(sections.values().stream().map(g -> g.cut(today)).toList(), unread);
    }

    /** The build with some bars more. */
    public static Build with(
            Build build, String section, Length length, int count, Optional<Length> gauge, String bin) {
        if (count < 1 || count > 1000) {
            throw new InputException("1 to 1000 bars are put down at once, like 3, was " + count);
        }
        List<Bar> bars = new ArrayList<>(build.workshop().bars());
        long id = build.nextId();
        for (int i = 0; i < count; i++) {
            bars.add(new Bar(new Id.Bar(id++), section, length, gauge, bin, List.of()));
        }
        return build.withWorkshop(build.workshop().withBars(bars), id);
    }

    /** The build with pieces cut from a bar; as it is if the bar is gone. */
    public static Build cut(Build build, Id.Bar id, List<Bar.Cut> cuts) {
        List<Bar> bars = build.workshop().bars().stream()
                .map(b -> b.id().equals(id) ? b.cut(cuts) : b)
                .toList();
        return build.withWorkshop(build.workshop().withBars(bars), build.nextId());
    }

    /** The build without a bar. */
    public static Build without(Build build, Id.Bar id) {
        List<Bar> bars =
                build.workshop().bars().stream().filter(b -> !b.id().equals(id)).toList();
        return build.withWorkshop(build.workshop().withBars(bars), build.nextId());
    }

    /** One section while it is gathered. */
    private static final class Gathered {
        private final String name;
        private final List<Want> wants = new ArrayList<>();
        private final List<CutSections.Wanted> lists = new ArrayList<>();
        private final List<Bar> bars = new ArrayList<>();

        Gathered(String name) {
            this.name = name;
        }

        void add(KeptSum list, CutSections.Wanted wanted) {
            lists.add(wanted);
            for (Piece piece : wanted.pieces()) {
                for (int i = 0; i < piece.count(); i++) {
                    wants.add(new Want(list, piece.name(), piece.length()));
                }
            }
        }

        Section cut(LocalDate today) {
            List<Want> open = open();
            Length kerf = lists.stream()
                    .map(CutSections.Wanted::kerf)
                    .max(Length::compareTo)
                    .orElse(Length.ZERO);
            Length sold = lists.stream()
                    .map(CutSections.Wanted::sold)
                    .max(Length::compareTo)
                    .orElse(Length.ZERO);
            List<Bar> wrong = bars.stream()
                    .filter(b -> lists.stream().anyMatch(l -> !l.takes(b)))
                    .toList();
            List<Bar> good = bars.stream().filter(b -> !wrong.contains(b)).toList();
            if (open.isEmpty()) {
                return new Section(
                        name, good.stream().map(b -> new Next(b, List.of())).toList(), List.of(), 0, sold, wrong);
            }
            List<Stock> stock = good.stream()
                    .filter(b -> b.left().positive())
                    .map(b -> new Stock(b.left(), 1))
                    .toList();
            CutList plan = CutList.of(pieces(open), stock, kerf);
            List<Next> next = new ArrayList<>();
            List<CutList.Bar> planned = new ArrayList<>(plan.bars());
            for (Bar bar : good) {
                Optional<CutList.Bar> on =
                        planned.stream().filter(p -> p.stock().same(bar.left())).findFirst();
                on.ifPresent(planned::remove);
                next.add(new Next(
                        bar,
                        on.map(p -> p.pieces().stream()
                                        .map(n -> cut(open, n, kerf, today))
                                        .toList())
                                .orElse(List.of())));
            }
            return new Section(name, next, open, order(open, sold, kerf), sold, wrong);
        }

        /** What is wanted less what was cut for it. */
        private List<Want> open() {
            List<Want> open = new ArrayList<>(wants);
            for (Bar bar : bars) {
                for (Bar.Cut cut : bar.cuts()) {
                    open.stream()
                            .filter(w -> w.list.id().equals(cut.list())
                                    && w.piece.equals(cut.piece())
                                    && w.length.same(cut.length()))
                            .findFirst()
                            .ifPresent(open::remove);
                }
            }
            return open;
        }

        private static List<Piece> pieces(List<Want> open) {
            return open.stream().map(w -> new Piece(w.piece, w.length, 1)).toList();
        }

        /** Takes the piece from what is open, for the list that wants it. */
        private static Bar.Cut cut(List<Want> open, CutList.Named piece, Length kerf, LocalDate today) {
            Want want = open.stream()
                    .filter(w -> w.piece.equals(piece.name()) && w.length.same(piece.length()))
                    .findFirst()
                    .orElseThrow();
            open.remove(want);
            return new Bar.Cut(want.list.id(), want.piece, want.length, kerf, today);
        }

        private static int order(List<Want> missing, Length sold, Length kerf) {
            return missing.isEmpty()
                    ? 0
                    : CutList.of(pieces(missing), List.of(new Stock(sold, missing.size())), kerf)
                            .bars()
                            .size();
        }
    }
}
