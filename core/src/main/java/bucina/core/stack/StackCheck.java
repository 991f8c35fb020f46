package bucina.core.stack;

import bucina.core.measure.Sentence;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Makes the findings of a hole from its reading. Pure. */
public final class StackCheck {

    private static final String SOURCE = "the drawing's callout";

    private StackCheck() {}

    /** Every finding of one hole, worst first; those accepted say so. */
    public static List<Finding> findings(Face face, HoleReading reading) {
        List<Finding> findings = new ArrayList<>();
        for (Finding fault : reading.solution().faults()) {
            findings.add(fault.at(place(face, reading, ""), reading.label() + ": "));
        }
        for (Catch wrong : catches(reading.group(), reading.layers())) {
            findings.add(new Finding(
                    wrong.rule,
                    wrong.level,
                    place(face, reading, wrong.layer(face)),
                    Optional.empty(),
                    Optional.empty(),
                    SOURCE,
                    Sentence.of(reading.label() + " " + wrong.words.formatted(wrong.layer(face))),
                    Sentence.of("Read the drawing again before drilling; move the hole or mend the layers.")));
        }
        proud(face, reading, findings);
        for (int i = 0; i < reading.layers().size(); i++) {
            if (!reading.solution().edge().allows(reading.edge(i))) {
                Layer layer = reading.layers().get(i);
                findings.add(reading.solution()
                        .edge()
                        .tooShort(
                                place(face, reading, layer.name()),
                                reading.label() + " in " + layer.name(),
                                reading.edge(i)));
            }
        }
        reading.spots()
                .forEach(s -> findings.add(s.at(place(face, reading, s.place().layer()), reading.label())));
        findings.sort(Comparator.comparing(Finding::level));
        return findings.stream().map(f -> Accepted.seen(f, reading.accepted())).toList();
    }

    static boolean catchesWell(Group group, List<Layer> layers) {
        return catches(group, layers).isEmpty() && group.holes().under().isEmpty();
    }

    /** A sheet that comes to lie over a hole lies flat only on a flush head: not on one that stands, nor on a tail. */
    private static void proud(Face face, HoleReading reading, List<Finding> findings) {
        List<Id.Layer> order = face.layers().stream().map(Layer::id).toList();
        for (Layer over : over(face, reading)) {
            int place = order.indexOf(over.id());
            boolean near = reading.layers().stream().allMatch(l -> place < order.indexOf(l.id()));
            boolean head = near != reading.group().headFar();
            if (!head || !reading.solution().fastener().flush()) {
                findings.add(new Finding(
                        RuleCode.PROUD_UNDER_LAYER,
                        Level.WARNING,
                        place(face, reading, over.name()),
                        Optional.empty(),
                        Optional.empty(),
                        SOURCE,
                        Sentence.of(reading.label() + ": its " + (head ? "head" : "tail") + " stands up under "
                                + over.name() + ", which comes to lie over it."),
                        Sentence.of("A flush head on that side, or a hole in " + over.name()
                                + " that clears it; say so with the reason.")));
            }
        }
    }

    /** Sheets that come to lie over a hole and are not joined by it, near side first. */
    public static List<Layer> over(Face face, HoleReading reading) {
        Set<Id.Layer> under = reading.group().holes().under();
        return under.isEmpty()
                ? List.of()
                : face.layers().stream()
                        .filter(l -> under.contains(l.id())
                                && l.outline().covers(reading.hole().at()))
                        .toList();
    }

    /** One wrong catch: a sentence with a place for the layer's name. */
    private record Catch(RuleCode rule, Level level, Id.@Nullable Layer id, String words) {
        String layer(Face face) {
            return face.layers().stream()
                    .filter(l -> l.id().equals(id))
                    .map(Layer::name)
                    .findFirst()
                    .orElse("");
        }
    }

    private static List<Catch> catches(Group group, List<Layer> layers) {
        List<Catch> wrong = new ArrayList<>();
        if (layers.size() < 2 && group.expects().isEmpty()) {
            wrong.add(new Catch(
                    RuleCode.TOO_FEW_LAYERS,
                    Level.ERROR,
                    layers.isEmpty() ? null : layers.getFirst().id(),
                    layers.isEmpty() ? "goes through no sheet at all.%s" : "goes through %s only: nothing is joined."));
        }
        listed(layers, group, wrong);
        return wrong;
    }

    private static void listed(List<Layer> layers, Group group, List<Catch> wrong) {
        Set<Id.Layer> caught = layers.stream().map(Layer::id).collect(Collectors.toSet());
        for (Id.Layer expected : group.expects()) {
            if (!caught.contains(expected)) {
                wrong.add(new Catch(
                        RuleCode.MISSES_LAYER, Level.ERROR, expected, "misses %s, which the drawing says it catches."));
            }
        }
        for (Layer layer : layers) {
            if (group.clears().contains(layer.id())) {
                wrong.add(new Catch(
                        RuleCode.CATCHES_CLEARED_LAYER, Level.ERROR, layer.id(), "catches %s, which it must clear."));
            } else if (!group.expects().isEmpty() && !group.expects().contains(layer.id())) {
                wrong.add(new Catch(
                        RuleCode.CATCHES_UNLISTED_LAYER,
                        Level.WARNING,
                        layer.id(),
                        "catches %s, which nobody listed."));
            }
        }
    }

    private static Finding.Place place(Face face, HoleReading reading, String layer) {
        return new Finding.Place(face.name(), reading.group().code(), reading.label(), layer);
    }
}
