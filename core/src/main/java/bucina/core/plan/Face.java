package bucina.core.plan;

import bucina.core.sheet.Box;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * One joint plane of an assembly, developed flat.
 *
 * @param id      its id
 * @param name    unique in its assembly, {@code Upper skin}
 * @param viewed  from where it is drawn, {@code from above, outside}
 * @param xToward what lies along +x, {@code outboard}
 * @param yToward what lies along +y, {@code forward}
 * @param layers  in order from the near side, the side it is viewed from
 * @param groups  what is fastened on it
 * @param zones   keep-outs, and what stands behind
 */
public record Face(
        Id.Face id,
        String name,
        String viewed,
        String xToward,
        String yToward,
        List<Layer> layers,
        List<Group> groups,
        List<Zone> zones) {

    private static final double EMPTY_SIDE = 254e6;

    public Face {
        Objects.requireNonNull(id, "id");
        Names.check("a face", name);
        layers = List.copyOf(layers);
        groups = List.copyOf(groups);
        zones = List.copyOf(zones);
    }

    /** A face with no zones. */
    public Face(
            Id.Face id,
            String name,
            String viewed,
            String xToward,
            String yToward,
            List<Layer> layers,
            List<Group> groups) {
        this(id, name, viewed, xToward, yToward, layers, groups, List.of());
    }

    /** This face with one layer put in the place of the layer with the same id. */
    public Face with(Layer changed) {
        return new Face(
                id,
                name,
                viewed,
                xToward,
                yToward,
                layers.stream()
                        .map(l -> l.id().equals(changed.id()) ? changed : l)
                        .toList(),
                groups,
                zones);
    }

    /** This face with one more group. */
    public Face plus(Group group) {
        List<Group> more = new ArrayList<>(groups);
        more.add(group);
        return new Face(id, name, viewed, xToward, yToward, layers, more, zones);
    }

    /** How many fasteners. */
    public int count() {
        return groups.stream().mapToInt(Group::count).sum();
    }

    /** This face with other layers, near side first. */
    public Face withLayers(List<Layer> changed) {
        return new Face(id, name, viewed, xToward, yToward, changed, groups, zones);
    }

    /** This face with other groups. */
    public Face withGroups(List<Group> changed) {
        return new Face(id, name, viewed, xToward, yToward, layers, changed, zones);
    }

    /** This face with other zones. */
    public Face withZones(List<Zone> changed) {
        return new Face(id, name, viewed, xToward, yToward, layers, groups, changed);
    }

    /** Around all its sheets; 254 mm square while it has none. */
    public Box box() {
        return layers.stream()
                .map(l -> l.outline().box())
                .reduce(Box::with)
                .orElse(new Box(0, 0, EMPTY_SIDE, EMPTY_SIDE));
    }

    /** This face under another name, seen from elsewhere. */
    public Face as(String otherName, String from, String x, String y) {
        return new Face(id, otherName, from, x, y, layers, groups, zones);
    }
}
