package bucina.core.reach;

import bucina.core.part.PartStates;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * On which side the manufactured heads of a row go: outside where it shows, else against the thinner sheet; the same
 * along the row.
 *
 * @param far       true for the far side of the face
 * @param why       the rule that most of its holes are under
 * @param otherwise holes whose own rule says the other side
 */
public record HeadSide(boolean far, Why why, List<HoleReading> otherwise) {

    /** What decides. */
    public enum Why {
        /** A skin is the outermost sheet on one side. */
        OUTSIDE("outside, where it shows"),
        /** The outermost sheets differ in thickness. */
        THINNER("against the thinner sheet"),
        /** A flush head goes where its countersink or dimple is. */
        FLUSH("a flush head has no choice"),
        /** Nothing decides: it stays where it is planned, or goes where it is easier to reach. */
        EITHER("either side: where it is easier to reach");

        private final String words;

        Why(String words) {
            this.words = words;
        }

        /** In plain words. */
        public String words() {
            return words;
        }
    }

    public HeadSide {
        otherwise = List.copyOf(otherwise);
    }

    private record Says(boolean far, Why why) {}

    /** The side for holes of one row; empty for none, and for holes that miss every sheet. */
    public static Optional<HeadSide> of(List<HoleReading> row, PartStates parts) {
        Map<Why, Integer> near = new EnumMap<>(Why.class);
        Map<Why, Integer> far = new EnumMap<>(Why.class);
        List<HoleReading> asked = new ArrayList<>();
        for (HoleReading hole : row) {
            if (!hole.layers().isEmpty()) {
                Says says = says(hole, parts);
                (says.far ? far : near).merge(says.why, 1, Integer::sum);
                asked.add(hole);
            }
        }
        if (asked.isEmpty()) {
            return Optional.empty();
        }
        boolean side = weight(far) > weight(near);
        Map<Why, Integer> most = side ? far : near;
        Why why = most.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse(Why.EITHER);
        return Optional.of(new HeadSide(
                side, why, asked.stream().filter(h -> differs(h, side, parts)).toList()));
    }

    /** Holes that nothing decides for say nothing against the others. */
    private static int weight(Map<Why, Integer> votes) {
        return votes.entrySet().stream()
                .filter(e -> e.getKey() != Why.EITHER)
                .mapToInt(Map.Entry::getValue)
                .sum();
    }

    private static boolean differs(HoleReading hole, boolean side, PartStates parts) {
        Says says = says(hole, parts);
        return says.why != Why.EITHER && says.far != side;
    }

    private static Says says(HoleReading hole, PartStates parts) {
        boolean planned = hole.group().headFar();
        if (hole.solution().fastener().flush()) {
            return new Says(planned, Why.FLUSH);
        }
        // Sheets are listed head side first.
        List<Layer> nearFirst = planned ? hole.layers().reversed() : hole.layers();
        boolean skinNear = skin(nearFirst.getFirst(), parts);
        boolean skinFar = skin(nearFirst.getLast(), parts);
        if (nearFirst.size() > 1 && skinNear != skinFar) {
            return new Says(skinFar, Why.OUTSIDE);
        }
        double difference = nearFirst.getFirst().thickness().nanometres()
                - nearFirst.getLast().thickness().nanometres();
        return Math.abs(difference) < 1e3 ? new Says(planned, Why.EITHER) : new Says(difference > 0, Why.THINNER);
    }

    private static boolean skin(Layer layer, PartStates parts) {
        return parts.part(layer.part()).kind() == Part.Kind.SKIN;
    }

    /** True if the rule decides: no flush head, and one side differs from the other. */
    public boolean decides() {
        return why == Why.OUTSIDE || why == Why.THINNER;
    }

    /** In a sentence: {@code near side: outside, where it shows}. */
    public String words() {
        return (far ? "far" : "near") + " side: " + why.words();
    }
}
