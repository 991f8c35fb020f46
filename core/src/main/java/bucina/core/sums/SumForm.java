package bucina.core.sums;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Id;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Part;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * One sum while it is worked on.
 *
 * @param sum   which
 * @param typed what stands in its fields
 * @param unit  of figures that name none
 * @param name  what it is for; may be empty
 * @param kept  where it is kept; empty while it is not
 * @param part  the part it is of; empty if of none
 */
public record SumForm(
        Sum sum, Map<String, String> typed, Unit unit, String name, Optional<Id.Sum> kept, Optional<Id.Part> part) {

    public SumForm {
        typed = Map.copyOf(typed);
    }

    /** A sum with its first figures. */
    public static SumForm fresh(Sum sum, Bench bench, Unit unit) {
        Map<String, String> typed = new LinkedHashMap<>();
        sum.asks(bench).forEach(a -> typed.put(a.key(), a.start(unit)));
        return new SumForm(sum, typed, unit, "", Optional.empty(), Optional.empty());
    }

    /** A kept sum; fields that came later have their first figures. Empty if this program does not know its kind. */
    public static Optional<SumForm> of(KeptSum kept, Bench bench) {
        return Sums.of(kept.kind()).map(sum -> {
            SumForm fresh = fresh(sum, bench, kept.unit());
            Map<String, String> typed = new LinkedHashMap<>(fresh.typed);
            kept.figures().forEach((k, v) -> typed.computeIfPresent(k, (key, was) -> v));
            return new SumForm(sum, typed, kept.unit(), kept.name(), Optional.of(kept.id()), kept.part());
        });
    }

    /** The bend bench set up for a part: its sheet, its thickness, and a radius that is safe for it. */
    public static SumForm of(Part part, Length thickness, Bench bench, Unit unit) {
        SumForm fresh = fresh(Sums.of("bend").orElseThrow(), bench, unit);
        Map<String, String> typed = new LinkedHashMap<>(fresh.typed);
        sheet(typed, thickness, unit, fresh, bench, part);
        return new SumForm(fresh.sum, typed, unit, part.name(), Optional.empty(), Optional.of(part.id()));
    }

    private static void sheet(
            Map<String, String> typed, Length thickness, Unit unit, SumForm fresh, Bench bench, Part part) {
        typed.put("thickness", Ask.typed(thickness, unit));
        if (fresh.sum.asks(bench).getFirst().choices().contains(part.material().code())) {
            typed.put("material", part.material().code());
            typed.put(
                    "radius",
                    Ask.typed(
                            bench.catalogue()
                                    .radii()
                                    .at(part.material(), thickness)
                                    .safe(),
                            unit));
        }
    }

    /** With other text in some fields. */
    public SumForm with(Map<String, String> changed) {
        Map<String, String> next = new LinkedHashMap<>(typed);
        next.putAll(changed);
        return new SumForm(sum, next, unit, name, kept, part);
    }

    /** What stands in a field with readings behind it, to .0001 in or .01 mm. */
    public String plus(String key, List<Length> readings) {
        String was = typed.getOrDefault(key, "").strip();
        String more = readings.stream().map(l -> LengthFormat.reading(l, unit)).collect(Collectors.joining(", "));
        return was.isEmpty() ? more : was.replaceAll(",\\s*$", "") + ", " + more;
    }

    /** With another name. */
    public SumForm named(String next) {
        return new SumForm(sum, typed, unit, next, kept, part);
    }

    /** Not kept any more, or kept there. */
    public SumForm kept(Optional<Id.Sum> where) {
        return new SumForm(sum, typed, unit, name, where, part);
    }

    /** The figures, to be answered in a unit. */
    public Figures figures(Bench bench, Unit shown) {
        return new Figures(sum, typed, unit, shown, bench);
    }

    /** What it is called: its name, or else what the sum is called. */
    public String called() {
        return name.isBlank() ? sum.title() : name.strip();
    }

    /** What is kept of it under an id. */
    public KeptSum keep(Id.Sum id) {
        return new KeptSum(id, sum.code(), called(), part, unit, typed);
    }
}
