package bucina.core.reach;

import bucina.core.measure.Length;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Flange;
import bucina.core.plan.Group;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Box;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Segment;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/*
 * Design. Which hatches is a cover problem: places for a hatch stand on a grid over the sheet, each brings some of what
 * must be reached within an arm's length, and the fewest that bring all are looked for: what fewest places reach is
 * branched on first, with one hatch, then two and so on, so that the first answer found is the least of these places.
 * An arm goes straight: a wall between, told by the tangent of a flange that stands on that side, is in its way.
 */

/**
 * What an arm gets at through the openings of the sheet that closes a face, and where hatches would go.
 *
 * @param sheet   the largest sheet of the face
 * @param ways    its openings
 * @param wanted  holes that must be reached: bolts with a tool in the hand, joints to be looked at with the hand
 * @param out     of these, what no opening brings within reach
 * @param hatches middles of the fewest hatches that bring those within reach; none if none are needed or no place is
 * @param beyond  what no hatch anywhere would reach
 * @param fewest  true if no fewer of the places tried would do
 * @param walls   how many flanges were taken for walls
 * @param grid    how far the places tried were from each other
 */
public record Hatches(
        Layer sheet,
        List<HandHole> ways,
        List<HoleReading> wanted,
        List<HoleReading> out,
        List<Point> hatches,
        List<HoleReading> beyond,
        boolean fewest,
        int walls,
        Length grid) {

    /** Between two places that are tried, nm; more on a sheet that would have too many of them. */
    private static final double GRID = 25.4e6;

    private static final int MOST_PLACES = 20_000;

    private static final int MOST_HATCHES = 8;
    private static final int MOST_TRIED = 400_000;

    public Hatches {
        ways = List.copyOf(ways);
        wanted = List.copyOf(wanted);
        out = List.copyOf(out);
        hatches = List.copyOf(hatches);
        beyond = List.copyOf(beyond);
    }

    /** The radius of a hatch's corners, nm. */
    private static double corner(RuleSet rules) {
        return 2 * rules.length(RuleKey.OPENING_CORNER).nanometres();
    }

    /** Half of a hatch's opening one way, nm: so much more than the hand that the round corners let it through. */
    private static double half(RuleSet rules, RuleKey hand) {
        return rules.length(hand).nanometres() / 2 + corner(rules) * (1 - Math.sqrt(.5));
    }

    /** The opening of a hatch with its middle at a place: for a hand with a bar, its corners round. */
    public static Ring opening(Point at, RuleSet rules) {
        double x = half(rules, RuleKey.ACCESS_HAND);
        double y = half(rules, RuleKey.ACCESS_BAR);
        double r = Math.min(Math.min(x, y), corner(rules));
        double quarter = Math.tan(Math.PI / 8);
        List<Corner> corners = new ArrayList<>();
        double[][] turns = {{x, -y, 0, r}, {x, y, -r, 0}, {-x, y, 0, -r}, {-x, -y, r, 0}};
        for (double[] t : turns) {
            // Each corner is an arc from the side before to the side after.
            double bx = t[2] == 0 ? -Math.signum(t[0]) * r : 0;
            double by = t[2] == 0 ? 0 : -Math.signum(t[1]) * r;
            corners.add(new Corner(new Point(at.x() + t[0] + bx, at.y() + t[1] + by), quarter));
            corners.add(new Corner(new Point(at.x() + t[0] + t[2], at.y() + t[1] + t[3]), 0));
        }
        return new Ring(corners);
    }

    /** What is looked for. */
    public enum For {
        /** Bolts, with a tool in the hand. */
        BOLTS("every bolt"),
        /** Bolts, and the first, middle and last hole of each row, to be looked at. */
        JOINTS("every bolt, and each row to be looked at");

        private final String word;

        For(String word) {
            this.word = word;
        }

        /** In plain words. */
        public String word() {
            return word;
        }
    }

    /** Works it out for a face; empty if it has no sheet. Takes a while. */
    public static Optional<Hatches> of(FaceReading reading, RuleSet rules, For what) {
        return reading.face().layers().stream()
                .max(Comparator.comparingDouble(l -> l.outline().outer().area()))
                .map(sheet -> new Search(reading, rules, sheet).found(what));
    }

    private static final class Search {

        private final FaceReading reading;
        private final Face face;
        private final RuleSet rules;
        private final Layer sheet;
        private final List<Segment> walls = new ArrayList<>();
        private final double arm;
        private final double grid;
        private int tried;

        Search(FaceReading reading, RuleSet rules, Layer sheet) {
            this.reading = reading;
            this.face = reading.face();
            this.rules = rules;
            this.sheet = sheet;
            arm = nm(RuleKey.ACCESS_ARM);
            Box box = sheet.outline().box();
            grid = Math.max(GRID, Math.sqrt(box.width() * box.height() / MOST_PLACES));
            face.layers().stream()
                    .filter(l -> l.flange().stands().on(Flange.Stands.FAR))
                    .filter(l -> !low(l.flange().height()))
                    .forEach(l -> walls.addAll(l.bends()));
        }

        /** Lower than a hand is thick: an arm goes over it. */
        private boolean low(Length height) {
            return height.positive() && !height.atLeast(rules.length(RuleKey.ACCESS_HIGH));
        }

        private double nm(RuleKey key) {
            return rules.length(key).nanometres();
        }

        Hatches found(For what) {
            List<HandHole> ways = HandHole.of(reading, rules, sheet);
            List<HoleReading> wanted = wanted(what);
            List<HoleReading> out = wanted.stream()
                    .filter(h -> ways.stream().noneMatch(w -> (bolt(h) ? w.bar() : w.hand()) && arm(w.at(), h)))
                    .toList();
            Map<BitSet, List<Point>> places = places(out);
            BitSet reached = new BitSet();
            places.keySet().forEach(reached::or);
            List<Point> hatches = new ArrayList<>();
            BitSet left = (BitSet) reached.clone();
            int n = 1;
            while (n <= MOST_HATCHES && tried < MOST_TRIED && !cover(places, reached, n, hatches)) {
                n++;
            }
            boolean fewest = reached.isEmpty() || !hatches.isEmpty();
            if (fewest) {
                left.clear();
            } else {
                hatches = greedy(places, left);
            }
            List<HoleReading> beyond = new ArrayList<>();
            for (int i = 0; i < out.size(); i++) {
                if (!reached.get(i) || left.get(i)) {
                    beyond.add(out.get(i));
                }
            }
            return new Hatches(sheet, ways, wanted, out, hatches, beyond, fewest, walls.size(), Length.nm(grid));
        }

        private static boolean bolt(HoleReading hole) {
            return hole.solution().fastener() instanceof Fastener.Hardware h && h.bolt();
        }

        private List<HoleReading> wanted(For what) {
            List<HoleReading> wanted = new ArrayList<>();
            for (Group group : face.groups()) {
                for (Row row : group.rows()) {
                    int size = row.holes().size();
                    for (int i = 0; i < size; i++) {
                        boolean seen = what == For.JOINTS && (i == 0 || i == size - 1 || i == size / 2);
                        reading.of(row.holes().get(i).id())
                                .filter(h -> bolt(h)
                                        || seen && h.solution().fastener().permanent())
                                .ifPresent(wanted::add);
                    }
                }
            }
            return wanted;
        }

        /** True if an arm from a place gets to a hole: near enough, and no wall between. */
        private boolean arm(Point from, HoleReading hole) {
            Point to = hole.hole().at();
            Segment way = new Segment(from, to);
            return from.to(to).nanometres() <= arm && walls.stream().noneMatch(w -> w.meets(way));
        }

        // ---- hatches there might be

        /** Places for a hatch by what they bring within reach, the most central first. */
        private Map<BitSet, List<Point>> places(List<HoleReading> out) {
            Map<BitSet, List<Point>> places = new LinkedHashMap<>();
            if (out.isEmpty()) {
                return places;
            }
            Box box = sheet.outline().box();
            for (double x = box.minX() + grid / 2; x < box.maxX(); x += grid) {
                for (double y = box.minY() + grid / 2; y < box.maxY(); y += grid) {
                    Point at = new Point(x, y);
                    BitSet reached = new BitSet();
                    for (int i = 0; i < out.size(); i++) {
                        reached.set(i, arm(at, out.get(i)));
                    }
                    if (!reached.isEmpty() && free(at)) {
                        places.computeIfAbsent(reached, r -> new ArrayList<>()).add(at);
                    }
                }
            }
            places.forEach((reached, at) -> at.sort(Comparator.comparingDouble(p -> far(p, reached, out))));
            return places;
        }

        private static double far(Point from, BitSet reached, List<HoleReading> out) {
            return reached.stream()
                    .mapToDouble(i -> from.to(out.get(i).hole().at()).nanometres())
                    .max()
                    .orElse(0);
        }

        /** True if a hatch with its frame lies in the sheet, over no other sheet and clear of holes. */
        private boolean free(Point at) {
            double dx = half(rules, RuleKey.ACCESS_HAND) + nm(RuleKey.ACCESS_FRAME);
            double dy = half(rules, RuleKey.ACCESS_BAR) + nm(RuleKey.ACCESS_FRAME);
            Point low = new Point(at.x() - dx, at.y() - dy);
            Point high = new Point(at.x() + dx, at.y() + dy);
            Outline frame = Outline.rectangle(low, high);
            List<Layer> others = face.layers().stream()
                    .filter(l -> l != sheet && meet(l.outline().box(), frame.box()))
                    .toList();
            for (int i = 0; i <= 4; i++) {
                for (int j = 0; j <= 4; j++) {
                    Point p = new Point(low.x() + (high.x() - low.x()) * i / 4, low.y() + (high.y() - low.y()) * j / 4);
                    if (!sheet.outline().covers(p)
                            || others.stream().anyMatch(l -> l.outline().covers(p))) {
                        return false;
                    }
                }
            }
            for (int i : reading.in(frame.box())) {
                if (frame.covers(reading.reading(i).hole().at())) {
                    return false;
                }
            }
            return true;
        }

        private static boolean meet(Box a, Box b) {
            return a.minX() <= b.maxX() && b.minX() <= a.maxX() && a.minY() <= b.maxY() && b.minY() <= a.maxY();
        }

        /** Looks for so many hatches that bring all that is left within reach; what fewest bring is tried first. */
        private boolean cover(Map<BitSet, List<Point>> places, BitSet left, int most, List<Point> chosen) {
            if (left.isEmpty()) {
                return true;
            }
            if (most == 0 || ++tried > MOST_TRIED) {
                return false;
            }
            int rare = rare(places, left);
            for (Map.Entry<BitSet, List<Point>> each : places.entrySet()) {
                Optional<Point> at = each.getKey().get(rare) ? apart(each.getValue(), chosen) : Optional.empty();
                if (at.isPresent()) {
                    BitSet rest = (BitSet) left.clone();
                    rest.andNot(each.getKey());
                    chosen.add(at.get());
                    if (cover(places, rest, most - 1, chosen)) {
                        return true;
                    }
                    chosen.removeLast();
                }
            }
            return false;
        }

        private static int rare(Map<BitSet, List<Point>> places, BitSet left) {
            return left.stream()
                    .boxed()
                    .min(Comparator.comparingLong(
                            i -> places.keySet().stream().filter(s -> s.get(i)).count()))
                    .orElseThrow();
        }

        /** The most central place at which a hatch and its frame lie clear of those chosen. */
        private Optional<Point> apart(List<Point> places, List<Point> chosen) {
            double x = 2 * (half(rules, RuleKey.ACCESS_HAND) + nm(RuleKey.ACCESS_FRAME));
            double y = 2 * (half(rules, RuleKey.ACCESS_BAR) + nm(RuleKey.ACCESS_FRAME));
            return places.stream()
                    .filter(p ->
                            chosen.stream().allMatch(q -> Math.abs(p.x() - q.x()) >= x || Math.abs(p.y() - q.y()) >= y))
                    .findFirst();
        }

        /** One after the other, each the one that brings most of what is left; what none brings stays in it. */
        private List<Point> greedy(Map<BitSet, List<Point>> places, BitSet left) {
            List<Point> chosen = new ArrayList<>();
            Optional<Map.Entry<BitSet, List<Point>>> best = Optional.empty();
            do {
                best = places.entrySet().stream()
                        .filter(e -> e.getKey().intersects(left)
                                && apart(e.getValue(), chosen).isPresent())
                        .max(Comparator.comparingInt(e -> gain(e.getKey(), left)));
                best.ifPresent(e -> {
                    chosen.add(apart(e.getValue(), chosen).orElseThrow());
                    left.andNot(e.getKey());
                });
            } while (best.isPresent());
            return chosen;
        }

        private static int gain(BitSet brought, BitSet left) {
            BitSet gain = (BitSet) brought.clone();
            gain.and(left);
            return gain.cardinality();
        }
    }
}
