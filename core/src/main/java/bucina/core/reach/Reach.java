package bucina.core.reach;

import bucina.core.dress.Dress;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Tool;
import bucina.core.plan.Zone;
import bucina.core.sheet.Point;
import bucina.core.sheet.Segment;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Which tools get at a hole for one piece of work.
 *
 * @param hole    the hole
 * @param work    what is done
 * @param tools   that reach, in the order of the crib
 * @param blocked that do not, each with its reason
 */
public record Reach(HoleReading hole, Work work, List<Tool> tools, List<Blocked> blocked) {

    /** Pieces of work that want a tool at the hole. */
    public enum Work {
        DIMPLE(
                "dimpled",
                "dimpling",
                Tool.Kind.C_FRAME,
                Tool.Kind.YOKE_DIES,
                Tool.Kind.REDUCED_DIES,
                Tool.Kind.FLAT_BAR),
        COUNTERSINK("countersunk", "countersinking", Tool.Kind.STOP_CAGE, Tool.Kind.PILOTED_CUTTER),
        SQUEEZE("set", "setting", Tool.Kind.YOKE, Tool.Kind.GUN_AND_BAR),
        PULL("set", "pulling", Tool.Kind.PULLED_GUN, Tool.Kind.HAND_PULLER);

        private final String operation;
        private final String title;
        private final List<Tool.Kind> kinds;

        /** The kinds of tool that do it. */
        List<Tool.Kind> kinds() {
            return kinds;
        }

        Work(String operation, String title, Tool.Kind... kinds) {
            this.operation = operation;
            this.title = title;
            this.kinds = List.of(kinds);
        }

        /** What it is called on the sheet. */
        public String title() {
            return title;
        }

        /** The kind of tool that does most of it. */
        public Tool.Kind usual() {
            return kinds.getFirst();
        }

        /** The word in commands: {@code dimpled}, {@code countersunk} or {@code set}. */
        public String operation() {
            return operation;
        }
    }

    /**
     * A tool that does not get there.
     *
     * @param measured what there is
     * @param required what it needs
     */
    public record Blocked(Tool tool, Sentence why, Length measured, Length required) {}

    public Reach {
        tools = List.copyOf(tools);
        blocked = List.copyOf(blocked);
    }

    /** Everything on a face that wants a tool, hole by hole; parts not in place yet are not in the way. */
    public static List<Reach> of(FaceReading face, Build build, List<Tool> crib) {
        Map<Id.Part, Part> parts = new HashMap<>();
        build.parts().forEach(p -> parts.put(p.id(), p));
        Obstacles obstacles = Obstacles.of(face, parts);
        List<Reach> all = new ArrayList<>();
        for (HoleReading hole : face.readings()) {
            for (Work work : wanted(hole)) {
                all.add(at(hole, work, crib, obstacles, parts));
            }
        }
        return all;
    }

    /** What is done to a hole that wants a tool: hardware is put in by hand. */
    public static List<Work> wanted(HoleReading hole) {
        List<Work> work = new ArrayList<>();
        if (hole.solution().dressing().plies().stream().anyMatch(p -> p.dress() == Dress.DIMPLE)) {
            work.add(Work.DIMPLE);
        }
        if (hole.solution().dressing().plies().stream().anyMatch(p -> p.dress() == Dress.COUNTERSINK)) {
            work.add(Work.COUNTERSINK);
        }
        switch (hole.solution().fastener()) {
            case Fastener.SolidRivet r -> work.add(Work.SQUEEZE);
            case Fastener.PulledRivet r -> work.add(Work.PULL);
            case Fastener.Hardware h -> {}
            case Fastener.RivetNut n -> {}
        }
        return work;
    }

    private static Reach at(
            HoleReading hole, Work work, List<Tool> crib, Obstacles obstacles, Map<Id.Part, Part> parts) {
        Point p = hole.hole().at();
        Near near = obstacles.nearest(p);
        Length in = IntStream.range(0, hole.layers().size())
                .filter(i -> works(hole, i, work, parts))
                .mapToObj(i -> hole.layers().get(i).outline().outer().distance(p))
                .reduce(Length::max)
                .orElse(Length.ZERO);
        Length edge = edge(hole, p);
        List<Tool> tools = new ArrayList<>();
        List<Blocked> blocked = new ArrayList<>();
        for (Tool tool : crib) {
            if (work.kinds.contains(tool.kind())) {
                block(tool, in, edge, near).ifPresentOrElse(blocked::add, () -> tools.add(tool));
            }
        }
        return new Reach(hole, work, tools, blocked);
    }

    private static Length edge(HoleReading hole, Point p) {
        return hole.layers().stream()
                .map(l -> l.outline().edgeDistance(p))
                .reduce(Length::min)
                .orElse(Length.ZERO);
    }

    private static boolean fitted(Layer layer, Map<Id.Part, Part> parts) {
        return Objects.requireNonNull(parts.get(layer.part()), "a build has the parts of its sheets")
                .fitted();
    }

    /**
     * True if the tool reaches into a sheet for the work: each sheet that is dimpled by itself, so the one in which the
     * hole is farthest in decides; a rivet is squeezed in all that is in place. A pulled rivet's gun and a cutter come
     * straight down.
     */
    private static boolean works(HoleReading hole, int i, Work work, Map<Id.Part, Part> parts) {
        return switch (work) {
            case DIMPLE -> hole.solution().dressing().plies().get(i).dress() == Dress.DIMPLE;
            case COUNTERSINK -> hole.solution().dressing().plies().get(i).dress() == Dress.COUNTERSINK;
            case SQUEEZE -> fitted(hole.layers().get(i), parts);
            case PULL -> true;
        };
    }

    /** Why a tool does not get to a hole; empty if it does. */
    static Optional<Blocked> block(Tool tool, Length in, Length edge, Near near) {
        if (!in.atMost(tool.throat())) {
            return tooDeep(tool, in);
        }
        if (!near.away.atLeast(tool.clear())) {
            return tooClose(tool, near);
        }
        if (tool.kind() == Tool.Kind.STOP_CAGE && !edge.atLeast(tool.clear())) {
            return tips(tool, edge);
        }
        return Optional.empty();
    }

    private static Optional<Blocked> tooClose(Tool tool, Near near) {
        return Optional.of(new Blocked(
                tool,
                Sentence.of(tool.name() + " needs {} clear; " + near.what + " is {} away.", tool.clear(), near.away),
                near.away,
                tool.clear()));
    }

    private static Optional<Blocked> tooDeep(Tool tool, Length in) {
        return Optional.of(new Blocked(
                tool,
                Sentence.of(tool.name() + " reaches {} from an edge; the hole is {} from it.", tool.throat(), in),
                in,
                tool.throat()));
    }

    private static Optional<Blocked> tips(Tool tool, Length edge) {
        return Optional.of(new Blocked(
                tool,
                Sentence.of(
                        tool.name() + " tips over the edge: it needs {} of sheet, there is {}.", tool.clear(), edge),
                edge,
                tool.clear()));
    }

    /** The nearest thing that stands up. */
    record Near(Length away, String what) {}

    /** What stands up from the face: flanges at the tangents of parts in place, and what is known to be behind. */
    private record Obstacles(List<Standing> all) {

        private record Standing(List<Segment> lines, Optional<Zone> zone, String what) {}

        static Obstacles of(FaceReading face, Map<Id.Part, Part> parts) {
            List<Standing> all = new ArrayList<>();
            for (Layer l : face.face().layers()) {
                if (!l.bends().isEmpty() && fitted(l, parts)) {
                    all.add(new Standing(l.bends(), Optional.empty(), "the flange of " + l.name()));
                }
            }
            face.face().zones().stream()
                    .filter(z -> z.kind() == Zone.Kind.BEHIND)
                    .forEach(z -> all.add(new Standing(List.of(), Optional.of(z), z.name())));
            return new Obstacles(all);
        }

        Near nearest(Point p) {
            Near near = new Near(Length.nm(1e14), "");
            for (Standing s : all) {
                Length away = s.zone.map(z -> z.outline().covers(p)
                                ? Length.ZERO
                                : z.outline().outer().distance(p))
                        .orElseGet(() -> s.lines.stream()
                                .map(line -> line.distance(p))
                                .reduce(Length::min)
                                .orElse(Length.nm(1e14)));
                if (away.compareTo(near.away) < 0) {
                    near = new Near(away, s.what);
                }
            }
            return near;
        }
    }
}
