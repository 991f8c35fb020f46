package bucina.store.curve;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.Left;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What was drawn, put together: what meets is joined, and what is round is a circle. Used once. */
public final class Gathered {

    /** Lines of a layer that do not close are told one by one up to so many, with their gaps. */
    private static final int NAMED = 5;

    private final List<Drawing.Shape> shapes = new ArrayList<>();
    private final Map<Integer, Integer> sided = new TreeMap<>();

    private Gathered() {}

    /** The drawing of what was drawn, with what was left out on the way. */
    public static Drawing of(Sink sink, Lefts lefts) {
        return new Gathered().drawing(sink, lefts);
    }

    private Drawing drawing(Sink sink, Lefts lefts) {
        Joiner joiner = new Joiner(sink.runs());
        List<Left> left = new ArrayList<>(lefts.all());
        left.addAll(joiner.twice());
        sink.shapes().forEach(s -> shapes.add(s instanceof Drawing.Path path ? round(path) : s));
        joined(joiner, left);
        List<String> notes = new ArrayList<>(sink.notes());
        sided.forEach((sides, many) -> notes.add(many + (many == 1 ? " line with " : " lines with ") + sides
                + " even sides " + (many == 1 ? "is" : "are") + " taken for round, measured over the corners."));
        return new Drawing(shapes, left, notes);
    }

    private void joined(Joiner joiner, List<Left> left) {
        Map<String, Integer> open = new HashMap<>();
        Lefts more = new Lefts();
        for (Drawing.Path path : joiner.joined()) {
            if (path.closed()) {
                shapes.add(round(path));
            } else if (open.merge(path.layer(), 1, Integer::sum) <= NAMED) {
                left.add(Joiner.open(path));
            } else {
                more.add(
                        "line",
                        path.layer(),
                        "it does not close",
                        Optional.of(path.corners().getLast().at()));
            }
        }
        left.addAll(more.all());
    }

    private Drawing.Shape round(Drawing.Path path) {
        return Rounds.of(path)
                .<Drawing.Shape>map(r -> {
                    if (r.sides() > 0) {
                        sided.merge(r.sides(), 1, Integer::sum);
                    }
                    return r.circle();
                })
                .orElse(path);
    }
}
