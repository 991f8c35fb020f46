package bucina.core.sums;

import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.rule.Level;
import bucina.core.weight.BuildWeight;
import bucina.core.weight.FastenerWeight;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What a list of fasteners weighs. */
final class WeightSum implements Sum {

    private static final Pattern LINE = Pattern.compile("(\\S+)(?:\\s*[x×]\\s*(\\d{1,6}))?");

    @Override
    public About about() {
        return new About("weight", Family.FASTEN, "Weight of fasteners", "What do these rivets and bolts weigh?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        String planned = bench.demand().entrySet().stream()
                .filter(e -> weighable(bench, e.getKey()))
                .sorted(Map.Entry.comparingByKey())
                .map(e -> e.getKey() + " x" + e.getValue())
                .collect(Collectors.joining("\n"));
        String start = planned.isEmpty() ? "MS20426AD3-3.5 x420\nMS20470AD4-5 x160\nAN3-5 x12" : planned;
        return List.of(
                Ask.lines("list", planned.isEmpty() ? "Fasteners and counts" : "Fasteners, as planned", start, start));
    }

    private static boolean weighable(Bench bench, String name) {
        try {
            weigh(bench, name);
            return true;
        } catch (InputException e) {
            return false;
        }
    }

    /** One of them, pounds. */
    private static double weigh(Bench bench, String name) {
        return BuildWeight.fastener(bench.catalogue(), name)
                .orElseThrow(() -> new InputException(
                        "\"" + name + "\" is no fastener whose weight is known: write it like MS20426AD3-3.5"));
    }

    private record Item(String name, int count, double each) {}

    @Override
    public Answer answer(Figures f) {
        List<Item> items = new ArrayList<>();
        for (String line : f.text("list")
                .lines()
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .toList()) {
            Matcher m = LINE.matcher(line);
            if (!m.matches()) {
                throw new InputException(
                        "\"" + line + "\" is no fastener and count: write it like MS20426AD3-3.5 x420");
            }
            items.add(new Item(
                    m.group(1), m.group(2) == null ? 1 : Integer.parseInt(m.group(2)), weigh(f.bench(), m.group(1))));
        }
        if (items.isEmpty()) {
            throw new InputException("No fastener is there: write designation and count like MS20426AD3-3.5 x420");
        }
        double total = items.stream().mapToDouble(i -> i.each * i.count).sum();
        Answer.Maker out = new Answer.Maker();
        out.line(
                "Together",
                show(f, total),
                "Σ count · weight",
                items.size() + " kinds",
                "shapes and densities: 2117-T4 0.099, steel 0.284 lb/in³",
                "Good to about 5 %. Nuts and washers are not counted.");
        out.line("Pieces", Integer.toString(items.stream().mapToInt(Item::count).sum()), "", "", "this list", "");
        out.note(Level.NOTE, "Weigh a hundred on a kitchen scale to check: the finished part is weighed anyway.");
        out.heads("Fastener", "Count", "Each, g", "Together, " + (f.shown() == Unit.MM ? "g" : "lb"));
        items.forEach(i -> out.row(
                i.name,
                Integer.toString(i.count),
                "%.3f".formatted(i.each * FastenerWeight.GRAMS),
                f.shown() == Unit.MM
                        ? "%.1f".formatted(i.each * i.count * FastenerWeight.GRAMS)
                        : "%.4f".formatted(i.each * i.count)));
        return out.answer(picture(f, items));
    }

    private static String show(Figures f, double lb) {
        return f.shown() == Unit.MM ? "%.1f g".formatted(lb * FastenerWeight.GRAMS) : "%.3f lb".formatted(lb);
    }

    /** Bars as long as the weight. */
    private static Picture.Panel picture(Figures f, List<Item> items) {
        Picture.Pen pen = new Picture.Pen();
        double most = items.stream().mapToDouble(i -> i.each * i.count).max().orElse(1);
        double y = 0;
        for (Item i : items.stream().limit(16).toList()) {
            double x = 100e6 * i.each * i.count / most;
            pen.box(Picture.Ink.BLUE, 0, y - 4e6, x, y);
            pen.words(Picture.Ink.EDGE, 0, y - 2e6, i.name + " × " + i.count, Picture.Side.LEFT);
            pen.words(Picture.Ink.EDGE, x, y - 2e6, show(f, i.each * i.count), Picture.Side.RIGHT);
            y -= 6e6;
        }
        return pen.panel("By fastener", 1);
    }
}
