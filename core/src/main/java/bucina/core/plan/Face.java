package bucina.core.plan;

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
 */
public record Face(Id.Face id, String name, String viewed, String xToward, String yToward, List<Layer> layers, List<Group> groups) {
    public Face {
        Objects.requireNonNull(id, "id");
        Names.check("a face", name);
        layers = List.copyOf(layers);
        groups = List.copyOf(groups);
    }

    /** This face with one layer put in the place of the layer with the same id. */
    public Face with(Layer changed) {
        return new Face(id, name, viewed, xToward, yToward,
                layers.stream().map(l -> l.id().equals(changed.id()) ? changed : l).toList(), groups);
    }

    /** This face with one more group. */
    public Face plus(Group group) {
        List<Group> more = new ArrayList<>(groups);
        more.add(group);
        return new Face(id, name, viewed, xToward, yToward, layers, more);
    }

    /** How many fasteners. */
    public int count() {
        return groups.stream().mapToInt(Group::count).sum();
    }
}
