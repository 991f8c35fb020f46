package bucina.core.bulletin;

import bucina.core.log.Logbook;
import bucina.core.plan.Bulletin;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a bulletin says, and what was installed before it.
 *
 * @param lines     old value against new
 * @param installed fasteners that are in under the old values, to be looked at
 */
public record Review(List<Line> lines, List<Installed> installed) {

    /**
     * One change in words.
     *
     * @param what {@code US-1 callout}
     * @param was  the old value; empty for something new
     * @param is   the new value; empty for something dropped
     */
    public record Line(String what, String was, String is) {}

    /**
     * A fastener that is in.
     *
     * @param hole  its name, {@code R3.14}
     * @param group code of its group
     * @param used  the designation logged
     * @param now   what the plan takes now; {@code no hole} where the hole is gone
     * @param entry the log entry
     */
    public record Installed(String hole, String group, String used, String now, int entry) {}

    public Review {
        lines = List.copyOf(lines);
        installed = List.copyOf(installed);
    }

    /** The review of a bulletin against the plan in force. */
    public static Review of(Bulletin bulletin, Derivation derivation, Logbook log) {
        List<Line> lines = new ArrayList<>();
        bulletin.changes().forEach(c -> lines.addAll(lines(c)));
        return new Review(lines, installed(bulletin, derivation, log));
    }

    // ---- words

    private static List<Line> lines(Bulletin.Change<?> c) {
        Map<String, String> was = c.was().map(Review::figures).orElse(Map.of());
        Map<String, String> is = c.is().map(Review::figures).orElse(Map.of());
        Set<String> keys = new LinkedHashSet<>(was.keySet());
        keys.addAll(is.keySet());
        String name = name(c.any());
        List<Line> lines = new ArrayList<>();
        for (String key : keys) {
            String a = was.getOrDefault(key, "");
            String b = is.getOrDefault(key, "");
            if (!a.equals(b)) {
                lines.add(new Line(name + " " + key, a, b));
            }
        }
        return lines;
    }

    private static String name(Object record) {
        return switch (record) {
            case Part p -> p.name();
            case Layer l -> l.name();
            case Group g -> g.code();
            case Row r -> "Row " + r.name();
            default -> "";
        };
    }

    private static Map<String, String> figures(Object record) {
        Map<String, String> f = new LinkedHashMap<>();
        switch (record) {
            case Part p -> {
                f.put("material", p.material().code());
                f.put("fitting order", Integer.toString(p.fittingOrder()));
            }
            case Layer l -> {
                f.put("thickness", l.thickness().toString());
                f.put(
                        "outline",
                        l.outline().outer().corners().size() + " corners, "
                                + Math.round(l.outline().outer().area() / 1e10) / 100.0 + " cm²");
            }
            case Group g -> {
                f.put("rivet", g.fastener().name());
                f.put("callout", g.callout());
                f.put("head", g.headFar() ? "far side" : "near side");
                f.put("sheets", g.preparation().code());
            }
            case Row r -> {
                f.put("holes", Integer.toString(r.holes().size()));
                if (!r.holes().isEmpty()) {
                    f.put(
                            "from",
                            r.holes().getFirst().at().across() + ", "
                                    + r.holes().getFirst().at().up());
                    f.put(
                            "to",
                            r.holes().getLast().at().across() + ", "
                                    + r.holes().getLast().at().up());
                }
            }
            default -> throw new IllegalStateException("a bulletin does not change " + record.getClass());
        }
        return f;
    }

    // ---- what is in

    private static List<Installed> installed(Bulletin bulletin, Derivation derivation, Logbook log) {
        Touched touched = new Touched();
        bulletin.changes().forEach(touched::add);
        List<Installed> found = new ArrayList<>();
        Set<Id.Hole> seen = new HashSet<>();
        derivation.build().faces().forEach(ref -> {
            FaceReading face = derivation.face(ref.face().id());
            for (HoleReading r : face.readings()) {
                boolean concerned = touched.holes.contains(r.hole().id())
                        || touched.groups.contains(r.group().id())
                        || r.layers().stream()
                                .anyMatch(l -> touched.layers.contains(l.id()) || touched.parts.contains(l.part()));
                if (concerned && seen.add(r.hole().id())) {
                    look(
                                    log,
                                    r.hole().id(),
                                    r.label(),
                                    r.group().code(),
                                    r.solution().designation().orElse("none"),
                                    touched.holes.contains(r.hole().id()))
                            .ifPresent(found::add);
                }
            }
        });
        touched.gone.forEach((hole, label) -> {
            if (seen.add(hole)) {
                look(log, hole, label, "", "no hole", true).ifPresent(found::add);
            }
        });
        return found;
    }

    private static Optional<Installed> look(
            Logbook log, Id.Hole hole, String label, String group, String now, boolean always) {
        return log.installedBy(hole)
                .flatMap(e -> e.work()
                        .map(w -> new Installed(
                                label, group.isEmpty() ? w.groupCode() : group, w.designation(), now, e.id())))
                .filter(i -> always || !i.used.equals(i.now));
    }

    /** What a bulletin touches. */
    private static final class Touched {

        private final Set<Id.Hole> holes = new HashSet<>();
        private final Map<Id.Hole, String> gone = new LinkedHashMap<>();
        private final Set<Id.Group> groups = new HashSet<>();
        private final Set<Id.Layer> layers = new HashSet<>();
        private final Set<Id.Part> parts = new HashSet<>();

        void add(Bulletin.Change<?> c) {
            switch (c.any()) {
                case Part p -> parts.add(p.id());
                case Layer l -> layers.add(l.id());
                case Group g -> groups.add(g.id());
                case Row r -> rows(c.was().map(Row.class::cast), c.is().map(Row.class::cast));
                default ->
                    throw new IllegalStateException(
                            "a bulletin does not change " + c.any().getClass());
            }
        }

        private void rows(Optional<Row> was, Optional<Row> is) {
            List<Hole> after = is.map(Row::holes).orElse(List.of());
            was.ifPresent(row -> {
                for (Hole hole : row.holes()) {
                    Optional<Hole> there =
                            after.stream().filter(h -> h.id().equals(hole.id())).findFirst();
                    if (there.isEmpty()) {
                        gone.put(hole.id(), row.label(hole));
                    } else if (!there.get().equals(hole)) {
                        holes.add(hole.id());
                    }
                }
            });
        }
    }
}
