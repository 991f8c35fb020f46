package bucina.core.sums;

import bucina.core.cut.CutText;
import bucina.core.cut.GaugeCheck;
import bucina.core.cut.Piece;
import bucina.core.cut.Stock;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Bar;
import bucina.core.plan.KeptSum;
import bucina.core.rule.Level;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What a cutting list wants and has on hand, section by section. */
public final class CutSections {

    private static final String UNNAMED = "Stock";

    private CutSections() {}

    /**
     * What a kept cutting list wants of one section.
     *
     * @param section as the list calls it
     * @param gauge   called for; empty where the list names none
     * @param within  the gauge measured is right
     * @param pieces  with what is trimmed, at least one
     * @param kerf    of the saw, at least 0
     * @param sold    how long bars of it are sold, over 0
     */
    public record Wanted(
            String section, Optional<Length> gauge, Length within, List<Piece> pieces, Length kerf, Length sold) {
        public Wanted {
            pieces = List.copyOf(pieces);
        }

        /** False for a bar whose gauge was measured and is another. */
        public boolean takes(Bar bar) {
            return gauge.isEmpty()
                    || bar.gauge().isEmpty()
                    || new GaugeCheck(gauge.get(), within)
                            .judge(bar.gauge().get())
                            .isEmpty();
        }
    }

    /**
     * What a kept cutting list wants.
     *
     * @throws InputException if it cannot be read
     */
    public static List<Wanted> wanted(KeptSum list, Bench bench) {
        SumForm form = SumForm.of(list, bench).orElseThrow();
        Figures f = form.figures(bench, list.unit());
        Length kerf = f.length("kerf");
        Length sold = f.over0("order");
        Length within = f.length("tolerance");
        return wanted(f).values().stream()
                .filter(s -> !s.pieces.isEmpty())
                .map(s -> new Wanted(s.name, s.gauge, within, s.pieces, kerf, sold))
                .toList();
    }

    /** What two names of one section have alike. */
    public static String key(String section) {
        return section.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
    }

    /** One section of stock: what is wanted of it and what is on hand. */
    static final class Section {
        private final String name;
        private Optional<Length> gauge = Optional.empty();
        private final List<Piece> pieces = new ArrayList<>();
        private final List<Stock> stock = new ArrayList<>();
        private boolean typed;

        Section(String name) {
            this.name = name;
        }

        String name() {
            return name;
        }

        List<Piece> pieces() {
            return pieces;
        }

        List<Stock> stock() {
            return stock;
        }
    }

    /** Both lists as typed; a section of which no bar is typed has those of the stores. */
    static Map<String, Section> read(Figures f, Answer.Maker out) {
        Map<String, Section> sections = wanted(f);
        CutText text = new CutText(f.lengths());
        Section[] now = {null};
        lines(f.text("stock")).forEach(line -> {
            if (heading(line)) {
                now[0] = section(f, sections, line);
            } else {
                now[0] = now[0] == null
                        ? sections.values().stream()
                                .findFirst()
                                .orElseGet(() -> sections.computeIfAbsent(UNNAMED, Section::new))
                        : now[0];
                now[0].typed = true;
                stock(f, now[0], line, text, out);
            }
        });
        if (sections.values().stream().allMatch(s -> s.pieces.isEmpty())) {
            throw new InputException(
                    "Wanted: no piece is there: write length, count and what for, like 24 x3 rib stiffener");
        }
        sections.values().stream().filter(s -> !s.typed && !s.pieces.isEmpty()).forEach(s -> fromStores(f, s, out));
        return sections;
    }

    private static Map<String, Section> wanted(Figures f) {
        Map<String, Section> sections = new LinkedHashMap<>();
        CutText text = new CutText(f.lengths());
        Section[] now = {null};
        Length trim = f.length("trim");
        lines(f.text("want")).forEach(line -> {
            if (heading(line)) {
                now[0] = section(f, sections, line);
            } else {
                now[0] = now[0] == null ? sections.computeIfAbsent(UNNAMED, Section::new) : now[0];
                text.pieces(line)
                        .forEach(p ->
                                now[0].pieces.add(new Piece(p.name(), p.length().plus(trim), p.count())));
            }
        });
        return sections;
    }

    private static void fromStores(Figures f, Section section, Answer.Maker out) {
        List<Bar> bars = f.bench().bars().stream()
                .filter(b ->
                        key(b.section()).equals(key(section.name)) && b.left().positive())
                .toList();
        int taken = 0;
        for (Bar bar : bars) {
            if (section.gauge.isEmpty()
                    || bar.gauge().isEmpty()
                    || right(f, section, f.show(bar.left()), bar.gauge().get(), out)) {
                section.stock.add(new Stock(bar.left(), 1));
                taken++;
            }
        }
        if (taken > 0) {
            out.note(
                    Level.NOTE,
                    section.name + ": " + taken + (taken == 1 ? " bar" : " bars") + " from the stores, as left.");
        }
    }

    private static void stock(Figures f, Section section, String line, CutText text, Answer.Maker out) {
        int at = line.indexOf('@');
        List<Stock> bars = text.stock(at < 0 ? line : line.substring(0, at));
        if (at >= 0 && section.gauge.isPresent()) {
            Length measured = f.lengths().parsePositive(line.substring(at + 1), "measured gauge");
            if (!right(f, section, line.substring(0, at).strip(), measured, out)) {
                return;
            }
        } else if (section.gauge.isPresent()) {
            out.note(
                    Level.WARNING, section.name + ", " + line + ": measure its gauge and write it behind, like @.062.");
        }
        section.stock.addAll(bars);
    }

    private static boolean right(Figures f, Section section, String bar, Length measured, Answer.Maker out) {
        var wrong = new GaugeCheck(section.gauge.orElseThrow(), f.length("tolerance")).judge(measured);
        wrong.ifPresent(w -> out.note(
                Level.ERROR,
                section.name + ", " + bar + ": " + w.message().in(f.shown()) + " "
                        + w.remedy().in(f.shown())));
        return wrong.isEmpty();
    }

    private static List<String> lines(String text) {
        return text.lines().map(String::strip).filter(s -> !s.isEmpty()).toList();
    }

    /** A line that begins with a letter names a section. */
    private static boolean heading(String line) {
        return Character.isLetter(line.charAt(0));
    }

    private static Section section(Figures f, Map<String, Section> sections, String line) {
        int colon = line.lastIndexOf(':');
        String name = (colon < 0 ? line : line.substring(0, colon)).strip();
        Section section = sections.computeIfAbsent(name, Section::new);
        if (colon >= 0 && !line.substring(colon + 1).isBlank()) {
            section.gauge = Optional.of(f.lengths().parsePositive(line.substring(colon + 1), "gauge of " + name));
        }
        return section;
    }
}
