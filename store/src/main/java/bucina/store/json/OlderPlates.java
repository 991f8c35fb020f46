package bucina.store.json;

import bucina.core.plan.Assembly;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Nut plates as they were known before version 6: by the names that this program gave to their part and sheets. */
final class OlderPlates {

    private OlderPlates() {}

    static List<Part> known(List<Part> parts, List<Assembly> assemblies) {
        Map<Id.Part, List<Layer>> sheets = assemblies.stream()
                .flatMap(a -> a.faces().stream())
                .flatMap(f -> f.layers().stream())
                .collect(Collectors.groupingBy(Layer::part));
        return parts.stream()
                .map(p -> plates(p, sheets.getOrDefault(p.id(), List.of())) ? plates(p) : p)
                .toList();
    }

    private static boolean plates(Part part, List<Layer> sheets) {
        return part.name().startsWith("Nut plates #")
                && !sheets.isEmpty()
                && sheets.stream().allMatch(l -> l.name().startsWith("Nut plate "));
    }

    private static Part plates(Part p) {
        return new Part(
                p.id(), p.name(), p.material(), p.fittingOrder(), p.standing(), Part.Kind.NUT_PLATES, p.particulars());
    }
}
