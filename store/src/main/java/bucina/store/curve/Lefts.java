package bucina.store.curve;

import bucina.core.drawing.Left;
import bucina.core.sheet.Point;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is left out, counted by kind, layer and reason. */
public final class Lefts {

    /** Kinds and layers beyond so many are told together: a hostile file has one of each. */
    private static final int MOST = 200;

    private record Key(String kind, String layer, String why) {}

    private static final class Count {
        private int many;
        private Optional<Point> first = Optional.empty();
    }

    private final Map<Key, Count> counts = new LinkedHashMap<>();

    public void add(String kind, String layer, String why, Optional<Point> at) {
        Key key = new Key(kind, layer.length() > 60 ? layer.substring(0, 60) + "…" : layer, why);
        Key kept = counts.size() < MOST || counts.containsKey(key) ? key : new Key("thing", "", "as those before");
        Count count = counts.computeIfAbsent(kept, k -> new Count());
        count.many++;
        if (count.first.isEmpty()) {
            count.first = at;
        }
    }

    public List<Left> all() {
        return counts.entrySet().stream()
                .map(e -> new Left(
                        e.getKey().kind, e.getValue().many, e.getKey().layer, e.getKey().why, e.getValue().first))
                .toList();
    }
}
