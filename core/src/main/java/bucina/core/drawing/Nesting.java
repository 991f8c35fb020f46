package bucina.core.drawing;

import bucina.core.sheet.Box;
import bucina.core.sheet.BoxIndex;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/*
 * Design. What is in nothing is a sheet, what is in a sheet an opening of it, what is in an opening a sheet again.
 * That counts within a layer, as sheets that lie on each other are drawn on layers of their own. Whether a line of one
 * layer in a sheet of another is an opening of that or lies on it, no drawing says: it is asked.
 */

/** Which closed lines are sheets and which are openings in them. */
final class Nesting {

    /** A line, and the smallest around it. */
    private static final class Node {
        private final String layer;
        private final Ring ring;
        private Optional<Node> around = Optional.empty();

        Node(String layer, Ring ring) {
            this.layer = layer;
            this.ring = ring;
        }

        /** How many lines of its own layer are around it, or of all that may cut each other. */
        int depth(boolean together) {
            int depth = 0;
            for (Optional<Node> n = outer(together); n.isPresent(); n = n.get().outer(together)) {
                depth++;
            }
            return depth;
        }

        Optional<Node> outer(boolean together) {
            Optional<Node> n = around;
            while (n.isPresent()
                    && !(together && loose(n.get().layer) && loose(layer)
                            || n.get().layer.equals(layer))) {
                n = n.get().around;
            }
            return n;
        }
    }

    private final List<Node> nodes = new ArrayList<>();

    Nesting(Map<String, List<Ring>> rings) {
        rings.forEach((layer, list) -> list.forEach(r -> nodes.add(new Node(layer, r))));
        nodes.sort(Comparator.comparingDouble((Node n) -> n.ring.area()).reversed());
        nest();
    }

    /** True if nothing says that what is on the layer is a sheet. */
    private static boolean loose(String layer) {
        return !layer.startsWith(FaceDrawing.SHEET);
    }

    private void nest() {
        Map<Node, Integer> place = new IdentityHashMap<>();
        for (int i = 0; i < nodes.size(); i++) {
            place.put(nodes.get(i), i);
        }
        BoxIndex<Node> index = new BoxIndex<>(nodes, n -> n.ring.box());
        for (Node node : nodes) {
            Point in = node.ring.corners().getFirst().at();
            int own = Objects.requireNonNull(place.get(node));
            node.around = index.in(Box.around(in, in)).stream()
                    .filter(o -> Objects.requireNonNull(place.get(o)) < own)
                    .sorted(Comparator.comparingDouble(o -> o.ring.area()))
                    .filter(o -> o.ring.contains(in))
                    .findFirst();
        }
    }

    /**
     * The sheets with their openings, largest first.
     *
     * @param together true if a line in a sheet of another layer is an opening of it
     */
    List<Intake.Sheet> sheets(boolean together) {
        Map<Node, List<Ring>> openings = new LinkedHashMap<>();
        for (Node node : nodes) {
            if (node.depth(together) % 2 == 0) {
                openings.put(node, new ArrayList<>());
            } else {
                Objects.requireNonNull(openings.get(node.outer(together).orElseThrow()))
                        .add(node.ring);
            }
        }
        List<Intake.Sheet> sheets = new ArrayList<>();
        openings.forEach((node, inner) -> sheets.add(
                new Intake.Sheet(node.layer, new Outline(node.ring, inner), FaceDrawing.thickness(node.layer))));
        return sheets;
    }

    /** What is asked: which layers have lines in sheets of others. Empty where none has. */
    Optional<Question> asked() {
        Map<String, Integer> inside = new TreeMap<>();
        String around = "";
        for (Node node : nodes) {
            Optional<Node> outer = node.outer(true);
            if (loose(node.layer) && outer.isPresent() && !outer.get().layer.equals(node.layer)) {
                inside.merge(node.layer, 1, Integer::sum);
                around = outer.get().layer;
            }
        }
        if (inside.isEmpty()) {
            return Optional.empty();
        }
        String words = inside.entrySet().stream()
                .limit(4)
                .map(e -> e.getValue() + " on layer \"" + e.getKey() + "\"")
                .collect(Collectors.joining(", "));
        return Optional.of(new Question(
                "inside",
                "There are closed lines in a sheet of layer \"" + around + "\" that are on other layers: " + words
                        + ". Are they openings of it, or sheets of their own that lie on it?",
                List.of("openings", "sheets")));
    }
}
