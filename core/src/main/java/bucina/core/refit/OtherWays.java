package bucina.core.refit;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Assembly;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;

/*
 * Design. Faces are developed flat and say nothing of how they stand to each other. A rigid motion that keeps a
 * part's outside outside keeps the sense of
 * turning of each of its sheets; one that turns a flat part over reverses it. So a flat part is tried every way; a
 * bent one only as it is or turned; a part
 * with a sheet on several faces goes the other way up only if two of its sheets lie on each other's places and the
 * rest are the same turned.
 */

/**
 * A part that goes back on in more than one way.
 *
 * @param part  which
 * @param face  the face it is shown on
 * @param sheet its sheet there
 * @param ways  the other ways, each in words; at least one
 * @param out   how far the worst hole of the best of them is out: over nothing the clecos still go in, and the holes
 *     are drilled oval
 * @param mark  what to write on it, and where
 */
public record OtherWays(Part part, Face face, Layer sheet, List<String> ways, Length out, String mark) {

    public OtherWays {
        ways = List.copyOf(ways);
    }

    /** What goes wrong, in one sentence. */
    public Sentence sentence() {
        String first = part.name() + " also goes on "
                + (ways.size() > 3
                        ? ways.size() + " other ways, such as " + ways.getFirst()
                        : String.join(", or ", ways));
        return out.nanometres() < 25_400
                ? Sentence.of(first + ": every hole meets another.")
                : Sentence.of(first + ": holes are out by {} at most.", out);
    }

    /** Every such part of an assembly, in order of fitting. */
    public static List<OtherWays> of(Derivation derivation, Assembly assembly) {
        return new Search(derivation, assembly).found();
    }

    /** A sheet with the face it is on. */
    private record Placed(Face face, SheetShape shape) {}

    private static final class Search {

        /** A part in more places than this is no one piece that could be turned. */
        private static final int MOST_SHEETS = 12;

        private final Derivation derivation;
        private final Length most;
        private final Map<Id.Part, List<Placed>> byPart = new LinkedHashMap<>();
        private final Map<Id.Part, List<String>> ways = new HashMap<>();
        private final Map<Id.Part, Double> out = new HashMap<>();

        Search(Derivation derivation, Assembly assembly) {
            this.derivation = derivation;
            RuleSet rules = derivation.build().rules();
            most = rules.length(RuleKey.FIT_MATCH);
            for (Face face : assembly.faces()) {
                place(derivation, face);
            }
        }

        private void place(Derivation derivation, Face face) {
            FaceReading reading = derivation.face(face.id());
            Map<Id.Layer, List<HoleReading>> holes = new HashMap<>();
            reading.readings()
                    .forEach(r -> r.layers()
                            .forEach(l -> holes.computeIfAbsent(l.id(), k -> new ArrayList<>())
                                    .add(r)));
            face.layers()
                    .forEach(l -> byPart.computeIfAbsent(l.part(), k -> new ArrayList<>())
                            .add(new Placed(face, new SheetShape(l, holes.getOrDefault(l.id(), List.of())))));
        }

        List<OtherWays> found() {
            byPart.forEach((part, sheets) -> {
                if (sheets.size() == 1) {
                    alone(part, sheets.getFirst());
                } else {
                    otherWayUp(part, sheets);
                }
            });
            swapped();
            List<OtherWays> all = listed();
            return all;
        }

        private List<OtherWays> listed() {
            List<OtherWays> all = new ArrayList<>();
            ways.forEach((id, words) -> {
                Part part = derivation.build().part(id);
                Placed shown = placed(id).getFirst();
                all.add(new OtherWays(
                        part,
                        shown.face,
                        shown.shape.layer(),
                        words,
                        Length.nm(Objects.requireNonNull(out.get(id))),
                        mark(part, shown.face)));
            });
            all.sort(Comparator.comparing((OtherWays o) -> o.part.fittingOrder())
                    .thenComparing(o -> o.part.id().n()));
            return all;
        }

        private static String mark(Part part, Face face) {
            return "\"" + part.name() + "\" and an arrow " + face.xToward() + ", on the side seen "
                    + face.viewed().replaceAll(",.*", "");
        }

        private void add(Id.Part part, String words, double far) {
            List<String> list = ways.computeIfAbsent(part, k -> new ArrayList<>());
            if (!list.contains(words)) {
                list.add(words);
            }
            out.merge(part, far, Math::min);
        }

        /** A part with one sheet and holes in it: turned, or turned over if it is flat. */
        private void alone(Id.Part part, Placed sheet) {
            if (sheet.shape.holes().isEmpty()) {
                return;
            }
            for (SheetShape.Onto onto : sheet.shape.onto(sheet.shape, most)) {
                boolean bent = !sheet.shape.layer().bends().isEmpty();
                if (!sheet.shape.still(onto.by(), most) && !(bent && onto.by().over())) {
                    add(part, turned(onto.by(), sheet.shape.round()), onto.out());
                }
            }
        }

        private static String turned(Isometry by, boolean round) {
            long degrees = Math.floorMod(Math.round(by.degrees()), 360);
            if (!by.over()) {
                return degrees == 180 && !round ? "turned end for end" : "turned by " + degrees + "°";
            }
            // Mirrored about a line at half the angle: along x it is turned over sideways, across it end for end.
            return degrees == 0
                    ? "turned over sideways"
                    : degrees == 180 ? "turned over end for end" : "turned over about a line at " + degrees / 2 + "°";
        }

        /** A part with a sheet on several faces: two of them change places, the rest lie the same turned. */
        private void otherWayUp(Id.Part part, List<Placed> sheets) {
            if (sheets.size() > MOST_SHEETS) {
                return;
            }
            for (int i = 0; i < sheets.size(); i++) {
                for (int j = i + 1; j < sheets.size(); j++) {
                    Placed a = sheets.get(i);
                    Placed b = sheets.get(j);
                    if (a.face.id().equals(b.face.id()) || a.shape.holes().isEmpty()) {
                        continue;
                    }
                    // Turned half round on the face it is turned about the line between the two; lying straight it is
                    // turned end for end too.
                    Optional<Double> there = least(
                            a.shape,
                            b.shape,
                            o -> !o.by().over() && (sheets.size() == 2 || Math.abs(o.by().degrees()) > 90));
                    Optional<Double> rest = there.isEmpty() ? Optional.empty() : rest(sheets, a, b);
                    if (rest.isPresent()) {
                        add(
                                part,
                                "the other way up, with " + a.shape.layer().name() + " on " + b.face.name(),
                                Math.max(there.get(), rest.get()));
                    }
                }
            }
        }

        private Optional<Double> rest(List<Placed> sheets, Placed a, Placed b) {
            double worst = 0;
            for (Placed other : sheets) {
                if (other == a || other == b) {
                    continue;
                }
                Optional<Double> turned =
                        least(other.shape, other.shape, o -> !o.by().over() && !other.shape.still(o.by(), most));
                if (turned.isEmpty()) {
                    return Optional.empty();
                }
                worst = Math.max(worst, turned.get());
            }
            return Optional.of(worst);
        }

        private Optional<Double> least(SheetShape a, SheetShape b, Predicate<SheetShape.Onto> which) {
            return a.onto(b, most).stream()
                    .filter(which)
                    .map(SheetShape.Onto::out)
                    .min(Double::compare);
        }

        /** Two parts that change places: sheet for sheet on the same faces, the outside staying outside. */
        private void swapped() {
            Map<String, List<Id.Part>> like = new LinkedHashMap<>();
            byPart.forEach((part, sheets) -> {
                if (sheets.stream().anyMatch(s -> !s.shape.holes().isEmpty())) {
                    like.computeIfAbsent(key(part, sheets), k -> new ArrayList<>())
                            .add(part);
                }
            });
            for (List<Id.Part> group : like.values()) {
                for (int i = 0; i < group.size(); i++) {
                    for (int j = i + 1; j < group.size(); j++) {
                        swap(group.get(i), group.get(j));
                    }
                }
            }
        }

        private List<Placed> placed(Id.Part part) {
            return Objects.requireNonNull(byPart.get(part), "a part that lies somewhere");
        }

        private void swap(Id.Part a, Id.Part b) {
            double worst = 0;
            for (int k = 0; k < placed(a).size(); k++) {
                Optional<Double> there = least(placed(a).get(k).shape, placed(b).get(k).shape, o -> !o.by().over());
                if (there.isEmpty()) {
                    return;
                }
                worst = Math.max(worst, there.get());
            }
            add(a, "in the place of " + derivation.build().part(b).name(), worst);
            add(b, "in the place of " + derivation.build().part(a).name(), worst);
        }

        /** Parts with another key cannot change places. */
        private String key(Id.Part part, List<Placed> sheets) {
            StringBuilder key =
                    new StringBuilder(derivation.build().part(part).material().code());
            sheets.forEach(s -> key.append('|')
                    .append(s.face.id().n())
                    .append(' ')
                    .append(s.shape.holes().size())
                    .append(' ')
                    .append(s.shape.layer().thickness().nanometres())
                    .append(' ')
                    .append(s.shape.layer().outline().outer().corners().size()));
            return key.toString();
        }
    }
}
