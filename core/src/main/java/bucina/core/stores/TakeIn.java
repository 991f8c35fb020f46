package bucina.core.stores;

import bucina.core.edit.PartEdits;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Packed;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.plan.StoresItem;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Takes the packing list in, and what is found at the crate. */
public final class TakeIn {

    private TakeIn() {}

    /**
     * A line as it was read.
     *
     * @param number as printed; may be empty where there is a name
     * @param name   as printed; may be empty where there is a number
     * @param count  0 or more
     * @param crate  may be empty
     */
    public record Line(
            String number, String name, int count, String crate, Optional<Length> gauge, Optional<Length> length) {

        private boolean is(Packed before) {
            return number.strip().equals(before.number())
                    && (!before.number().isEmpty() || name.strip().equals(before.name()));
        }

        private boolean wholly(Packed before) {
            return is(before)
                    && name.strip().equals(before.name())
                    && crate.strip().equals(before.crate());
        }
    }

    /** The build with a list in the place of the one it had; what was found of a line that is on both stays. */
    public static Build list(Build build, List<Line> lines) {
        if (lines.isEmpty()) {
            throw new InputException(
                    "the list has no line: each has a number or a name and a count, such as DS-104, Rear spar, 1");
        }
        Earlier before = new Earlier(build.workshop().packing());
        long next = build.nextId();
        List<Packed> all = new ArrayList<>();
        for (Line line : lines) {
            Optional<Packed> was = before.take(line);
            all.add(new Packed(
                    was.map(Packed::id).orElse(new Id.Packed(next)),
                    line.number.strip(),
                    line.name.strip(),
                    line.count,
                    line.crate.strip(),
                    line.gauge,
                    line.length,
                    was.map(Packed::found).orElse(Packed.Found.NOT_YET)));
            next += was.isPresent() ? 0 : 1;
        }
        return kits(build.withWorkshop(build.workshop().withPacking(all), next));
    }

    /** The lines of an earlier list, each of which becomes one line of the next. */
    private static final class Earlier {
        private final Map<String, List<Packed>> lines = new HashMap<>();

        Earlier(List<Packed> packing) {
            packing.forEach(p -> lines.computeIfAbsent(key(p.number(), p.name()), k -> new ArrayList<>())
                    .add(p));
        }

        private static String key(String number, String name) {
            return number.isEmpty() ? "\u0000" + name : number;
        }

        /** The same line if it is there, else one of the same number in another crate or under another name. */
        Optional<Packed> take(Line line) {
            List<Packed> alike = lines.getOrDefault(key(line.number.strip(), line.name.strip()), List.of());
            Optional<Packed> was = alike.stream()
                    .filter(line::wholly)
                    .findFirst()
                    .or(() -> alike.stream().filter(line::is).findFirst());
            was.ifPresent(alike::remove);
            return was;
        }
    }

    /** Hardware on the list is what the kit has: as found, and as the list says where nobody looked. */
    private static Build kits(Build build) {
        CheckIn check = new CheckIn(build);
        Map<String, Integer> counts = new LinkedHashMap<>();
        Map<String, String> names = new HashMap<>();
        for (Packed line : build.workshop().packing()) {
            check.hardware(line).ifPresent(designation -> {
                String key = Names.key(designation);
                names.putIfAbsent(key, designation);
                counts.merge(key, line.found().count().orElse(line.count()), Integer::sum);
            });
        }
        Map<String, StoresItem> items = new LinkedHashMap<>();
        build.workshop().stores().forEach(i -> items.merge(Names.key(i.designation()), i, StoresItem::together));
        long next = build.nextId();
        for (Map.Entry<String, Integer> count : counts.entrySet()) {
            StoresItem is = items.get(count.getKey());
            if (is == null) {
                String name = names.getOrDefault(count.getKey(), count.getKey());
                is = new StoresItem(new Id.Item(next++), name, 0, List.of(), "", 1);
            }
            items.put(count.getKey(), is.withKit(count.getValue()));
        }
        return build.withWorkshop(build.workshop().withStores(List.copyOf(items.values())), next);
    }

    /**
     * The build with what was found of a line: its parts are here or short, their gauge is as measured, hardware is
     * counted. Parts that are on, off or out stay as they stand.
     *
     * @throws InputException if the list has no such line
     */
    public static Build found(Build build, PartStates states, Id.Packed id, Packed.Found found) {
        Packed line = build.workshop().packing().stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new InputException("that line is no longer on the packing list"))
                .with(found);
        Build next = build.withWorkshop(build.workshop().with(line), build.nextId());
        List<Part> parts = new CheckIn(build).parts(line);
        for (int i = 0; i < parts.size(); i++) {
            next = part(next, states, parts.get(i), found, i);
        }
        return kits(next);
    }

    private static Build part(Build build, PartStates states, Part part, Packed.Found found, int place) {
        Build next = build;
        if (found.gauge().isPresent()) {
            next = PartEdits.part(
                    next,
                    part.id(),
                    p -> p.with(p.particulars().withGauge(p.particulars().called(), found.gauge())));
        }
        Standing was = part.standing();
        if (found.count().isEmpty() || was != Standing.CRATE && was != Standing.HERE && was != Standing.SHORT) {
            return next;
        }
        Standing is = place < found.count().get() ? Standing.HERE : Standing.SHORT;
        return is == was ? next : PartEdits.stands(next, states, part.id(), is);
    }
}
