package bucina.store.dxf;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Which layers are shown. */
final class Layers {

    private final Map<String, String> hidden = new HashMap<>();

    /** Takes an entry of the tables; those of layers count. */
    void table(Entity e) {
        if (!e.kind().equals("LAYER")) {
            return;
        }
        String name = key(e.text(2, ""));
        if (e.bit(70, 1)) {
            hidden.put(name, "its layer is frozen");
        } else if (e.number(62, 7) < 0) {
            hidden.put(name, "its layer is off");
        } else if (e.number(290, 1) == 0) {
            hidden.put(name, "its layer is not printed");
        }
    }

    private static String key(String name) {
        return name.toUpperCase(Locale.ROOT);
    }

    /** Why something is not to be seen; empty if it is. */
    Optional<String> hides(Entity e, String layer) {
        if (e.number(67, 0) == 1) {
            return Optional.of("it is on a paper sheet, not in the model");
        }
        if (e.number(60, 0) == 1) {
            return Optional.of("it is hidden");
        }
        if (key(layer).equals("DEFPOINTS")) {
            return Optional.of("its layer is for points of dimensions and is not printed");
        }
        return Optional.ofNullable(hidden.get(key(layer)));
    }
}
