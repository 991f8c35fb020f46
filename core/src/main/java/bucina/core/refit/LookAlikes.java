package bucina.core.refit;

import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.rule.RuleKey;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Parts that are mixed up: of one outline with holes no farther apart than clecos pull together, the other hand, or an
 * older part and the one that takes its place.
 *
 * @param other which
 * @param why   in few words: {@code the same outline and holes}
 */
public record LookAlikes(Part other, String why) {

    /** As many as a part names; more than a builder can tell apart by a label on each. */
    public static final int MOST = 12;

    /**
     * What every part of a build looks like, at most {@link #MOST} each; a part that looks like none is not among the
     * keys.
     */
    public static Map<Id.Part, List<LookAlikes>> of(Derivation derivation) {
        Build build = derivation.build();
        Map<Id.Part, List<LookAlikes>> found = new HashMap<>();
        for (Part part : build.parts()) {
            part.particulars().instead().ifPresent(newer -> {
                add(found, part, build.part(newer), "takes its place: label both");
                add(found, build.part(newer), part, "the older one: label both");
            });
        }
        Length most = build.rules().length(RuleKey.FIT_MATCH);
        for (List<Part> group : groups(derivation)) {
            Map<Id.Part, List<SheetShape>> shapes = shapes(derivation, group);
            for (int i = 0; i < group.size(); i++) {
                for (int j = i + 1; j < group.size(); j++) {
                    if (full(found, group.get(i)) && full(found, group.get(j))) {
                        continue;
                    }
                    compare(group.get(i), group.get(j), shapes, most, found);
                }
            }
        }
        return found;
    }

    private static void add(Map<Id.Part, List<LookAlikes>> found, Part part, Part other, String why) {
        List<LookAlikes> list = found.computeIfAbsent(part.id(), p -> new ArrayList<>());
        if (list.size() < MOST && list.stream().noneMatch(l -> l.other.id().equals(other.id()))) {
            list.add(new LookAlikes(other, why));
        }
    }

    private static boolean full(Map<Id.Part, List<LookAlikes>> found, Part part) {
        return found.getOrDefault(part.id(), List.of()).size() >= MOST;
    }

    private static void compare(
            Part a, Part b, Map<Id.Part, List<SheetShape>> shapes, Length most, Map<Id.Part, List<LookAlikes>> found) {
        List<SheetShape> of = Objects.requireNonNull(shapes.get(a.id()));
        List<SheetShape> as = Objects.requireNonNull(shapes.get(b.id()));
        boolean same = true;
        boolean mirrored = true;
        for (int k = 0; k < of.size() && (same || mirrored); k++) {
            List<SheetShape.Onto> ways = of.get(k).onto(as.get(k), most);
            same &= ways.stream().anyMatch(w -> !w.by().over());
            mirrored &= ways.stream().anyMatch(w -> w.by().over());
        }
        if (same || mirrored) {
            String why = same ? "the same outline and holes" : "its mirror image";
            add(found, a, b, why);
            add(found, b, a, why);
        }
    }

    /** Parts that may look like each other, by what is quickly compared. */
    private static List<List<Part>> groups(Derivation derivation) {
        Map<String, List<Part>> like = new LinkedHashMap<>();
        Map<Id.Part, List<Layer>> sheets = sheets(derivation.build());
        for (Part part : derivation.build().parts()) {
            List<Layer> own = sheets.getOrDefault(part.id(), List.of());
            if (!own.isEmpty() && part.kind() != Part.Kind.NUT_PLATES) {
                like.computeIfAbsent(key(own), k -> new ArrayList<>()).add(part);
            }
        }
        return like.values().stream().filter(g -> g.size() > 1).toList();
    }

    private static Map<Id.Part, List<Layer>> sheets(Build build) {
        Map<Id.Part, List<Layer>> sheets = new HashMap<>();
        build.faces()
                .forEach(ref -> ref.face()
                        .layers()
                        .forEach(l -> sheets.computeIfAbsent(l.part(), p -> new ArrayList<>())
                                .add(l)));
        sheets.values().forEach(list -> list.sort(Comparator.comparing(LookAlikes::key)));
        return sheets;
    }

    private static String key(List<Layer> sheets) {
        StringBuilder key = new StringBuilder();
        sheets.forEach(l -> key.append(key(l)).append('|'));
        return key.toString();
    }

    private static String key(Layer sheet) {
        return sheet.outline().outer().corners().size()
                + " " + sheet.outline().openings().size() + " "
                + Math.round(sheet.thickness().nanometres());
    }

    private static Map<Id.Part, List<SheetShape>> shapes(Derivation derivation, List<Part> group) {
        Map<Id.Part, List<SheetShape>> shapes = new HashMap<>();
        for (Build.FaceRef ref : derivation.build().faces()) {
            List<Layer> wanted = ref.face().layers().stream()
                    .filter(l -> group.stream().anyMatch(p -> p.id().equals(l.part())))
                    .toList();
            if (wanted.isEmpty()) {
                continue;
            }
            List<HoleReading> readings = derivation.face(ref.face().id()).readings();
            for (Layer layer : wanted) {
                shapes.computeIfAbsent(layer.part(), p -> new ArrayList<>())
                        .add(new SheetShape(
                                layer,
                                readings.stream()
                                        .filter(r -> r.layers().contains(layer))
                                        .toList()));
            }
        }
        shapes.values().forEach(list -> list.sort(Comparator.comparing(s -> key(s.layer()))));
        return shapes;
    }
}
