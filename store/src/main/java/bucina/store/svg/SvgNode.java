package bucina.store.svg;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** An element with its attributes. */
final class SvgNode {

    private final String name;
    private final @Nullable SvgNode parent;
    private final int index;
    private final String[] attributes;
    private final List<SvgNode> children = new ArrayList<>(0);

    /**
     * An element, put behind those that its parent has.
     *
     * @param attributes name, value, name, value
     */
    SvgNode(String name, @Nullable SvgNode parent, String... attributes) {
        this.name = name;
        this.parent = parent;
        this.attributes = attributes;
        index = parent == null ? 0 : parent.children.size();
        if (parent != null) {
            parent.children.add(this);
        }
    }

    String name() {
        return name;
    }

    Optional<SvgNode> parent() {
        return Optional.ofNullable(parent);
    }

    /** The element before it that has the same parent. */
    Optional<SvgNode> before() {
        return parent == null || index == 0 ? Optional.empty() : Optional.of(parent.children.get(index - 1));
    }

    List<SvgNode> children() {
        return children;
    }

    @Nullable
    String attribute(String key) {
        for (int i = 0; i < attributes.length; i += 2) {
            if (attributes[i].equals(key)) {
                return attributes[i + 1];
            }
        }
        return null;
    }

    String text(String key) {
        String value = attribute(key);
        return value == null ? "" : value.strip();
    }
}
