package bucina.store.svg;

import bucina.store.curve.Placing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Where in the tree we are.
 *
 * @param at    how the figures of an element become places
 * @param look  how what is around it looks
 * @param layer what its layer is called
 * @param fixed true if that name is one that counts for all inside
 * @param port  the size that percentages are of
 * @param clips what is cut away
 * @param depth how deep in uses of uses
 */
record Drawn(Placing at, Look look, String layer, boolean fixed, Viewport port, List<Clip> clips, int depth) {

    Drawn at(Placing placing) {
        return new Drawn(placing, look, layer, fixed, port, clips, depth);
    }

    Drawn look(Look look) {
        return new Drawn(at, look, layer, fixed, port, clips, depth);
    }

    Drawn port(Viewport port) {
        return new Drawn(at, look, layer, fixed, port, clips, depth);
    }

    Drawn cut(Clip clip) {
        List<Clip> all = new ArrayList<>(clips);
        all.add(clip);
        return new Drawn(at, look, layer, fixed, port, all, depth);
    }

    Drawn deeper() {
        return new Drawn(at, look, layer, fixed, port, clips, depth + 1);
    }

    /**
     * With the layer that a group is: what a drawing program calls one, or what Bucina writes, or else the outermost
     * group that has a name.
     */
    Drawn layer(SvgNode group) {
        boolean said = group.text("layer-groupmode").equals("layer");
        String name = said && !group.text("layer-label").isEmpty() ? group.text("layer-label") : group.text("id");
        boolean ours = name.startsWith("SHEET-") || name.startsWith("HOLES-");
        if (name.isEmpty() || fixed && !said && !ours) {
            return this;
        }
        return new Drawn(at, look, name, true, port, clips, depth);
    }

    /** Why nothing is seen of it; empty if it is seen. */
    Optional<String> hidden() {
        return look.hidden();
    }

    /** The name of a layer, not longer than people write. */
    static String cut(String name) {
        return name.length() > 60 ? name.substring(0, 60) + "…" : name;
    }
}
