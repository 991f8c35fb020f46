package bucina.core.hand;

import bucina.core.measure.InputException;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.HolePlan;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.plan.Twin;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What a twin differs in from its first hand, and how the two are brought in line. */
public final class Hands {

    private final Build build;
    private final Assembly first;
    private final Assembly twin;
    private final Twin link;
    private final List<Difference> found = new ArrayList<>();

    private Hands(Build build, Assembly twin, Assembly first) {
        this.build = build;
        this.twin = twin;
        this.first = first;
        this.link = twin.twin().orElseThrow();
    }

    /** Empty for an assembly that follows none, or whose first hand is gone. */
    private static Optional<Hands> of(Build build, Assembly twin) {
        return twin.twin()
                .flatMap(link -> build.assemblies().stream()
                        .filter(a -> a.id().equals(link.of()))
                        .findFirst()
                        .map(first -> new Hands(build, twin, first)));
    }

    /**
     * One difference.
     *
     * @param subject   on the twin; on the first hand where the twin lacks it
     * @param face      the twin's face
     * @param words     what differs, one sentence
     * @param exception the name of the exception that allows it; empty for one that is offered to the twin
     */
    public record Difference(Id subject, Id.Face face, String words, Optional<String> exception) {}

    /** What the twin differs in; empty for an assembly that follows none, or whose first hand is gone. */
    public static List<Difference> differences(Build build, Assembly twin) {
        Optional<Hands> hands = of(build, twin);
        hands.ifPresent(Hands::compare);
        return hands.map(h -> List.copyOf(h.found)).orElse(List.of());
    }

    private void compare() {
        for (Face face : first.faces()) {
            Optional<Face> mate = twin.faces().stream()
                    .filter(f -> Long.valueOf(f.id().n())
                            .equals(link.pairs().get(face.id().n())))
                    .findFirst();
            mate.ifPresent(m -> compare(Mirror.image(face, twin.hand()), m));
        }
    }

    private void compare(Face image, Face mate) {
        layers(mate, image);
        Map<Long, Group> groups = new HashMap<>();
        mate.groups().forEach(g -> groups.put(g.id().n(), g));
        for (Group group : image.groups()) {
            Group other = groups.remove(pair(group.id()));
            if (other == null) {
                note(group.id(), mate, "Group " + group.code() + " is missing on this hand.");
            } else {
                compare(group, other, mate);
            }
        }
        groups.values().forEach(g -> note(g.id(), mate, "Group " + g.code() + " is on this hand only."));
    }

    private void layers(Face mate, Face image) {
        Map<Long, Layer> layers = new HashMap<>();
        mate.layers().forEach(l -> layers.put(l.id().n(), l));
        for (Layer layer : image.layers()) {
            Layer other = layers.remove(pair(layer.id()));
            if (other == null) {
                note(layer.id(), mate, layer.name() + " is missing on this hand.");
            } else if (!other.thickness().same(layer.thickness())
                    || !other.outline().equals(layer.outline())
                    || !other.flange().equals(layer.flange())
                    || !other.holes().come().equals(layer.holes().come())) {
                note(
                        other.id(),
                        mate,
                        other.name()
                                + (other.thickness().same(layer.thickness())
                                        ? other.outline().equals(layer.outline())
                                                        && other.flange().equals(layer.flange())
                                                ? " has holes that come otherwise."
                                                : " has another outline."
                                        : " has another thickness."));
            }
        }
        layers.values().forEach(l -> note(l.id(), mate, l.name() + " is on this hand only."));
    }

    private void compare(Group image, Group mate, Face face) {
        if (!image.fastener().equals(mate.fastener())
                || image.headFar() != mate.headFar()
                || image.preparation() != mate.preparation()
                || !image.callout().equals(mate.callout())
                || !mate.holes().equals(paired(image.holes()))) {
            note(
                    mate.id(),
                    face,
                    "Group " + mate.code() + " has " + mate.fastener().name() + " \"" + mate.callout()
                            + "\"; the other hand " + image.fastener().name() + " \"" + image.callout() + "\".");
        }
        Map<Long, Hole> holes = new HashMap<>();
        Map<Long, String> names = new HashMap<>();
        mate.rows()
                .forEach(r -> r.holes().forEach(h -> {
                    holes.put(h.id().n(), h);
                    names.put(h.id().n(), r.label(h));
                }));
        for (Row row : image.rows()) {
            for (Hole hole : row.holes()) {
                Hole other = holes.remove(pair(hole.id()));
                if (other == null) {
                    note(hole.id(), face, mate.code() + " lacks hole " + row.label(hole) + " of the other hand.");
                } else if (hole.at().to(other.at()).nanometres() > 100
                        || !hole.deviation().equals(other.deviation())) {
                    note(
                            other.id(),
                            face,
                            "Hole " + names.get(other.id().n()) + " of " + mate.code()
                                    + (hole.deviation().equals(other.deviation())
                                            ? " lies " + hole.at().to(other.at()) + " off the mirror image."
                                            : " deviates otherwise."));
                }
            }
        }
        holes.values()
                .forEach(h -> note(
                        h.id(),
                        face,
                        "Hole " + names.get(h.id().n()) + " of " + mate.code() + " is on this hand only."));
    }

    /** With the sheets of this hand that the rows come under. */
    private HolePlan paired(HolePlan image) {
        return image.under(image.under().stream()
                .map(this::pair)
                .filter(Objects::nonNull)
                .map(Id.Layer::new)
                .collect(Collectors.toSet()));
    }

    private @Nullable Long pair(Id id) {
        return link.pairs().get(id.n());
    }

    private void note(Id subject, Face face, String words) {
        found.add(new Difference(
                subject,
                face.id(),
                words,
                link.exceptions().stream()
                        .filter(e -> e.id() == subject.n())
                        .map(Twin.Exception::name)
                        .findFirst()));
    }

    /** The build with a difference named as an exception: it is kept, and no longer offered. */
    public static Build except(Build build, Id.Assembly twin, Id subject, String name) {
        if (name.isBlank()) {
            throw new InputException("an exception needs a name, such as \"the probe is on this side only\"");
        }
        return assembly(build, twin, a -> {
            Twin link = a.twin().orElseThrow();
            List<Twin.Exception> exceptions = new ArrayList<>(link.exceptions());
            exceptions.removeIf(e -> e.id() == subject.n());
            exceptions.add(new Twin.Exception(subject.n(), name.strip()));
            return a.withTwin(new Twin(link.of(), link.pairs(), exceptions));
        });
    }

    static Build assembly(Build build, Id.Assembly id, UnaryOperator<Assembly> change) {
        return build.withAssemblies(
                build.assemblies().stream()
                        .map(a -> a.id().equals(id) ? change.apply(a) : a)
                        .toList(),
                build.nextId());
    }

    /** The build with the twin brought in line with its first hand, except for what is named as an exception. */
    public static Build takeOver(Build build, Id.Assembly id) {
        Assembly twin = build.assemblies().stream()
                .filter(a -> a.id().equals(id))
                .findFirst()
                .orElseThrow();
        Hands hands = of(build, twin)
                .orElseThrow(
                        () -> new InputException("the first hand of " + twin.name() + " is no longer in the build"));
        return new InLine(build, hands.first, twin, hands.link).drawn();
    }

    /** The hand of the face in words, for pictures and templates: {@code LEFT HAND}; empty where there is none. */
    public static String banner(Assembly assembly) {
        return assembly.hand() == Hand.NONE ? "" : assembly.hand().word().toUpperCase(Locale.ROOT) + " HAND";
    }
}
