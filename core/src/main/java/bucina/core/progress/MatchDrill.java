package bucina.core.progress;

import bucina.core.measure.DrillSize;
import bucina.core.measure.DrillTable;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Come;
import bucina.core.plan.Face;
import bucina.core.plan.Layer;
import bucina.core.plan.SheetHoles;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Holes of a blank sheet that are drilled through the sheet that has them.
 *
 * @param blank   the sheet that has none yet
 * @param leading the sheet that has them
 * @param drill   what goes through the leading sheet's holes: their size, or final size where it is not known
 * @param rows    names of the rows
 * @param holes   how many
 * @param whole   true if these are all holes that the two sheets share
 */
public record MatchDrill(Layer blank, Layer leading, Length drill, List<String> rows, int holes, boolean whole) {

    public MatchDrill {
        rows = List.copyOf(rows);
    }

    /** The drilling that a face asks for, by sheet and drill; none where nothing says which sheet leads. */
    public static List<MatchDrill> of(FaceReading face) {
        Map<Key, Group> found = new LinkedHashMap<>();
        Map<List<Layer>, Integer> shared = new LinkedHashMap<>();
        for (HoleReading hole : face.readings()) {
            Optional<Layer> leading = leading(hole);
            for (Layer sheet : hole.layers()) {
                if (leading.isPresent() && sheet.holes().of(hole.row().id()).state() == Come.State.BLANK) {
                    Length drill = leading.get()
                            .holes()
                            .of(hole.row().id())
                            .diameter()
                            .orElse(hole.solution().hole());
                    Group group = found.computeIfAbsent(new Key(sheet, leading.get(), drill), k -> new Group());
                    group.rows.add(hole.row().name());
                    group.holes++;
                    shared.merge(List.of(sheet, leading.get()), 1, Integer::sum);
                }
            }
        }
        List<MatchDrill> all = new ArrayList<>();
        found.forEach((key, group) -> all.add(new MatchDrill(
                key.blank,
                key.leading,
                key.drill,
                List.copyOf(group.rows),
                group.holes,
                shared.getOrDefault(List.of(key.blank, key.leading), 0) == group.holes)));
        return all;
    }

    /** The sheet of a hole that has it; of several the one with the smallest, which guides the drill. */
    static Optional<Layer> leading(HoleReading hole) {
        return hole.layers().stream()
                .filter(l -> l.holes().of(hole.row().id()).state().there())
                .min((a, b) -> size(a, hole).compareTo(size(b, hole)));
    }

    private static Length size(Layer layer, HoleReading hole) {
        return layer.holes()
                .of(hole.row().id())
                .diameter()
                .orElse(hole.solution().hole());
    }

    /** In a sentence for the bench, drills by their names. */
    public String words(DrillTable drills, Unit unit) {
        String with = drills.named(drill).map(DrillSize::name).orElseGet(() -> LengthFormat.trade(drill, unit));
        return blank.name() + " is drilled through " + leading.name() + " with " + with + ": " + holes
                + (holes == 1 ? " hole" : " holes") + " in " + String.join(", ", rows)
                + (whole ? "." : ", these only.");
    }

    /** Holes that sheets of a face have and no group calls for, in sentences. */
    public static List<String> uncalled(FaceReading reading, Unit unit) {
        Face face = reading.face();
        List<String> words = new ArrayList<>();
        for (Layer layer : face.layers()) {
            List<SheetHoles.Uncalled> left = layer.holes().uncalled().stream()
                    .filter(u -> reading.readings().stream()
                            .noneMatch(r ->
                                    r.hole().at().to(u.at()).atMost(u.diameter().times(.5))))
                    .toList();
            if (!left.isEmpty()) {
                words.add(layer.name() + " has " + left.size() + (left.size() == 1 ? " hole" : " holes")
                        + " that nobody calls for: "
                        + left.stream()
                                .limit(3)
                                .map(u -> LengthFormat.trade(u.diameter(), unit) + " at "
                                        + LengthFormat.trade(u.at().across(), unit) + ", "
                                        + LengthFormat.trade(u.at().up(), unit))
                                .collect(Collectors.joining("; "))
                        + (left.size() > 3 ? " and more." : "."));
            }
        }
        return words;
    }

    private record Key(Layer blank, Layer leading, Length drill) {}

    private static final class Group {
        private final Set<String> rows = new LinkedHashSet<>();
        private int holes;
    }
}
