package bucina.core.progress;

import bucina.core.catalogue.Catalogue;
import bucina.core.dress.Dress;
import bucina.core.dress.Dressing;
import bucina.core.dress.FlushHead;
import bucina.core.dress.Nest;
import bucina.core.dress.Screw;
import bucina.core.log.Logbook;
import bucina.core.log.Operation;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.rule.CountersinkSchool;
import bucina.core.rule.Level;
import bucina.core.rule.RuleSet;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * How the holes of a face are dressed, those alike together.
 *
 * @param first dimples to be made before a part goes on, by part in fitting order
 * @param ways  every way a hole is dressed, the most holes first
 */
public record DressList(List<Way> first, List<Way> ways) {

    /** A countersink that takes more than this share of its sheet is cut clamped to a backing piece. */
    private static final double BACKING = 0.85;

    /**
     * Holes dressed alike.
     *
     * @param title  what is done
     * @param detail with which dies or cutter, how wide and deep
     * @param level  error where it cannot be done, warning where it needs care
     */
    public record Way(String title, Sentence detail, Level level, List<HoleReading> holes) {
        public Way {
            holes = List.copyOf(holes);
        }
    }

    public DressList {
        first = List.copyOf(first);
        ways = List.copyOf(ways);
    }

    /** Lists a face. */
    public static DressList of(FaceReading face, Build build, Catalogue catalogue, Logbook log) {
        Map<String, List<HoleReading>> alike = alike(face);
        List<Way> ways = alike.values().stream()
                .map(holes -> way(holes, build.rules(), catalogue))
                .sorted(Comparator.comparing((Way w) -> w.level).thenComparing(w -> -w.holes.size()))
                .toList();
        return new DressList(first(face, build, log), ways);
    }

    private static Map<String, List<HoleReading>> alike(FaceReading face) {
        Map<String, List<HoleReading>> alike = new LinkedHashMap<>();
        for (HoleReading r : face.readings()) {
            if (r.solution().dressing().plies().stream().anyMatch(p -> p.dress() != Dress.PLAIN)) {
                alike.computeIfAbsent(key(r), k -> new ArrayList<>()).add(r);
            }
        }
        return alike;
    }

    private static String key(HoleReading r) {
        // Dies do not ask for the thickness; a nest does.
        boolean cut = r.solution().dressing().plies().stream().anyMatch(p -> p.dress() != Dress.DIMPLE);
        return r.solution().fastener().name()
                + r.solution().hole()
                + r.solution().dressing().plies().stream()
                        .map(p -> p.dress() + (cut ? " " + p.thickness() : ""))
                        .collect(Collectors.joining(","));
    }

    private static Way way(List<HoleReading> holes, RuleSet rules, Catalogue catalogue) {
        HoleReading one = holes.getFirst();
        List<Dressing.Ply> plies = one.solution().dressing().plies();
        String title = one.solution().fastener().name() + ": "
                + plies.stream().map(p -> p.dress().word()).collect(Collectors.joining(", "));
        Optional<Dressing.Ply> bad =
                plies.stream().filter(p -> p.dress() == Dress.IMPOSSIBLE).findFirst();
        if (bad.isPresent()) {
            return new Way(title, bad.get().reason(), Level.ERROR, holes);
        }
        int angle = one.solution().fastener() instanceof Fastener.PulledRivet ? 120 : 100;
        Length dimpled = Length.ZERO;
        for (Dressing.Ply ply : plies) {
            if (ply.dress() == Dress.DIMPLE) {
                dimpled = dimpled.plus(ply.thickness());
            } else if (ply.dress() == Dress.COUNTERSINK) {
                Length above = dimpled;
                return head(one, catalogue)
                        .map(h -> cut(
                                title,
                                new Nest(
                                        h,
                                        above,
                                        ply.thickness(),
                                        one.solution().hole(),
                                        rules.countersinkSchool()),
                                angle,
                                holes))
                        .orElseGet(() -> new Way(
                                title,
                                Sentence.of("Cutter for " + angle + "°, in a sheet of {}.", ply.thickness()),
                                Level.NOTE,
                                holes));
            }
        }
        return new Way(
                title,
                Sentence.of("Dies for " + angle + "°, each sheet by itself; the inner one a touch deeper."),
                Level.NOTE,
                holes);
    }

    private static Way cut(String title, Nest nest, int angle, List<HoleReading> holes) {
        boolean limit =
                nest.school() == CountersinkSchool.FULL && nest.judgedDepth().per(nest.sub()) > BACKING;
        String words = (nest.dimpled().positive() ? "Nest" : "Countersink") + " {} across, cutter {} deep in {}, "
                + angle + "°.";
        return new Way(
                title,
                Sentence.of(
                        words
                                + (limit
                                        ? " At the limit: clamp a backing piece behind, with the pilot hole in it."
                                        : ""),
                        nest.diameter(),
                        nest.cutterDepth(),
                        nest.sub()),
                limit ? Level.WARNING : Level.NOTE,
                holes);
    }

    private static Optional<FlushHead> head(HoleReading r, Catalogue catalogue) {
        return switch (r.solution().fastener()) {
            case Fastener.SolidRivet s ->
                catalogue.rivet(s.head(), s.dash()).map(z -> FlushHead.of100(z.headDiameter(), z.headHeight()));
            case Fastener.PulledRivet p -> r.solution().heads().cone();
            case Fastener.RivetNut n -> Optional.empty();
            case Fastener.Hardware h ->
                catalogue.screws().stream()
                        .filter(s -> s.shank().same(h.shank()))
                        .findFirst()
                        .map(Screw::head);
        };
    }

    /** Holes of parts in place that a part not in place yet will cover: their dimples come first. */
    private static List<Way> first(FaceReading face, Build build, Logbook log) {
        Task dimple = Task.of(Operation.DIMPLED);
        Map<Id.Part, List<HoleReading>> before = new LinkedHashMap<>();
        for (HoleReading r : face.readings()) {
            for (Layer later : r.layers()) {
                Part part = build.part(later.part());
                boolean covers = !part.fitted() && covers(dimple, r, part, build, log);
                if (covers) {
                    before.computeIfAbsent(part.id(), k -> new ArrayList<>()).add(r);
                }
            }
        }
        return before.entrySet().stream()
                .sorted(Comparator.comparing(e -> build.part(e.getKey()).fittingOrder()))
                .map(e -> new Way(
                        "Before " + build.part(e.getKey()).name() + " goes on",
                        Sentence.of("Dimple these first: the die does not fit afterwards."),
                        Level.WARNING,
                        e.getValue()))
                .toList();
    }

    private static boolean covers(Task dimple, HoleReading r, Part part, Build build, Logbook log) {
        return dimple.layers(r).stream()
                .anyMatch(l -> !l.part().equals(part.id())
                        && build.part(l.part()).fittingOrder() < part.fittingOrder()
                        && !log.marked(r.hole().id(), l.id(), dimple.operation(), dimple.side()));
    }
}
