package bucina.core.reach;

import bucina.core.dress.Dress;
import bucina.core.dress.Dressing;
import bucina.core.log.Logbook;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Flange;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Tool;
import bucina.core.sheet.Box;
import bucina.core.sheet.Point;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Which tools get at a hole for one piece of work.
 *
 * @param hole    the hole
 * @param work    what is done
 * @param tools   that reach, in the order of the crib
 * @param blocked that do not, each with its reason
 * @param waysOut where none reaches, what would let one; a sentence each
 */
public record Reach(HoleReading hole, Work work, List<Tool> tools, List<Blocked> blocked, List<String> waysOut) {

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
        SQUEEZE("set", "setting", Tool.Kind.YOKE, Tool.Kind.GUN_AND_BAR, Tool.Kind.BACK_RIVET),
        PULL("set", "pulling", Tool.Kind.PULLED_GUN, Tool.Kind.HAND_PULLER, Tool.Kind.NOSE_EXTENSION, Tool.Kind.WEDGE),
        TURN("torqued", "torquing", Tool.Kind.SOCKET, Tool.Kind.WRENCH);

        private final String operation;
        private final String title;
        private final List<Tool.Kind> kinds;

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

        /** True if a kind of tool does it at a hole: only flush heads are back-riveted. */
        boolean by(Tool.Kind kind, HoleReading hole) {
            return kinds.contains(kind)
                    && (kind != Tool.Kind.BACK_RIVET
                            || hole.solution().fastener().flush());
        }

        /** The kinds of tool that do it at a hole. */
        public List<Tool.Kind> kinds(HoleReading hole) {
            return kinds.stream().filter(k -> by(k, hole)).toList();
        }

        /** True if some tool of a crib does it at a hole, whether it gets there or not. */
        public boolean done(HoleReading hole, List<Tool> crib) {
            return crib.stream().anyMatch(t -> by(t.kind(), hole));
        }

        /** The word in commands: {@code dimpled}, {@code countersunk}, {@code set} or {@code torqued}. */
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
        waysOut = List.copyOf(waysOut);
    }

    /**
     * Everything on a face that wants a tool, hole by hole; parts not in place yet are not in the way.
     *
     * @param typical tools that ship: one of them may reach where the builder's own of its kind does not
     * @param log     heads that are set stand up
     */
    public static List<Reach> of(FaceReading face, Build build, List<Tool> crib, List<Tool> typical, Logbook log) {
        return of(face, face.readings(), build, crib, typical, log);
    }

    /** The same for some holes of the face. */
    public static List<Reach> of(
            FaceReading face, List<HoleReading> holes, Build build, List<Tool> crib, List<Tool> typical, Logbook log) {
        return new OnFace(face, build, crib, typical, log).all(holes);
    }

    /** The same with nothing set, and no more tools than those of the crib. */
    public static List<Reach> of(FaceReading face, Build build, List<Tool> crib) {
        return of(face, build, crib, List.of(), Logbook.EMPTY);
    }

    /** What is done to a hole that wants a tool: hardware is put in by hand, a bolt is torqued. */
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
            case Fastener.Hardware h -> {
                if (h.bolt()) {
                    work.add(Work.TURN);
                }
            }
            case Fastener.RivetNut n -> {}
        }
        return work;
    }

    /**
     * How far in from the edge of what is worked a hole lies, nm: each sheet that is dimpled by itself, so the one in
     * which the hole is farthest in decides; a rivet is squeezed in all that is in place. A pulled rivet's gun, a
     * cutter and a socket come straight down.
     *
     * @param there tells if a sheet is in place
     */
    static double in(HoleReading hole, Work work, Predicate<Layer> there) {
        double in = 0;
        List<Dressing.Ply> plies = hole.solution().dressing().plies();
        for (int i = 0; i < hole.layers().size(); i++) {
            Layer layer = hole.layers().get(i);
            boolean worked =
                    switch (work) {
                        case DIMPLE -> plies.get(i).dress() == Dress.DIMPLE;
                        case COUNTERSINK -> plies.get(i).dress() == Dress.COUNTERSINK;
                        case SQUEEZE -> there.test(layer);
                        case PULL, TURN -> true;
                    };
            if (worked) {
                in = Math.max(
                        in, layer.outline().outer().distance(hole.hole().at()).nanometres());
            }
        }
        return in;
    }

    /** To the nearest edge of any of its sheets, nm. */
    static double edge(HoleReading hole) {
        double least = Double.MAX_VALUE;
        for (int i = 0; i < hole.layers().size(); i++) {
            least = Math.min(least, hole.edge(i).nanometres());
        }
        return hole.layers().isEmpty() ? 0 : least;
    }

    /** One face with what is in the way on it now. */
    private static final class OnFace {

        /** No head is wider to each side, nm. */
        private static final double WIDEST = 12.7e6;

        private final FaceReading face;
        private final List<Tool> crib;
        private final List<Tool> typical;
        private final Logbook log;
        private final Map<Id.Part, Part> parts = new HashMap<>();
        private final List<Obstacle> obstacles;

        OnFace(FaceReading face, Build build, List<Tool> crib, List<Tool> typical, Logbook log) {
            this.face = face;
            this.crib = crib;
            this.typical = typical;
            this.log = log;
            build.parts().forEach(p -> parts.put(p.id(), p));
            obstacles = Obstacle.of(face.face(), build).stream()
                    .filter(o -> o.part().map(this::fitted).orElse(true))
                    .toList();
        }

        private boolean fitted(Id.Part id) {
            return Objects.requireNonNull(parts.get(id), "a build has the parts of its sheets")
                    .fitted();
        }

        List<Reach> all(List<HoleReading> holes) {
            List<Reach> all = new ArrayList<>();
            for (HoleReading hole : holes) {
                for (Work work : wanted(hole)) {
                    all.add(at(hole, work));
                }
            }
            return all;
        }

        private Reach at(HoleReading hole, Work work) {
            double in = in(hole, work, l -> fitted(l.part()));
            Fit.Spot spot =
                    new Fit.Spot(hole, work, in, edge(hole), hole.group().headFar());
            List<Obstacle> near = new ArrayList<>(obstacles);
            near.removeIf(o -> !o.about(hole.group()));
            heads(hole, work, near);
            List<Tool> tools = new ArrayList<>();
            List<Blocked> blocked = new ArrayList<>();
            for (Tool tool : crib) {
                if (work.by(tool.kind(), hole)) {
                    Fit.block(tool, spot, near).ifPresentOrElse(blocked::add, () -> tools.add(tool));
                }
            }
            return new Reach(hole, work, tools, blocked, tools.isEmpty() ? waysOut(spot, near) : List.of());
        }

        /** Heads that are set near a hole and stand up: what lies flat on the sheet rides on them. */
        private void heads(HoleReading hole, Work work, List<Obstacle> near) {
            boolean flat = work == Work.COUNTERSINK || work.by(Tool.Kind.BACK_RIVET, hole);
            if (log.entries().isEmpty() || !flat) {
                return;
            }
            double most = WIDEST
                    + crib.stream()
                            .filter(t -> work.by(t.kind(), hole))
                            .mapToDouble(t -> t.span().nanometres())
                            .max()
                            .orElse(0);
            Point p = hole.hole().at();
            for (int i : face.in(new Box(p.x() - most, p.y() - most, p.x() + most, p.y() + most))) {
                HoleReading other = face.reading(i);
                Fastener fastener = other.solution().fastener();
                if (!fastener.flush() && !other.equals(hole) && log.set(other.hole())) {
                    near.add(new Obstacle(
                            Optional.empty(),
                            "the head of " + other.label(),
                            other.group().headFar() ? Flange.Stands.FAR : Flange.Stands.NEAR,
                            Length.ZERO,
                            // A head is about twice as wide as its shank.
                            new Obstacle.Head(
                                    other.hole().at(), fastener.shank().nanometres())));
                }
            }
        }

        /** Something off, the other side, another tool. */
        private List<String> waysOut(Fit.Spot spot, List<Obstacle> near) {
            List<String> ways = new ArrayList<>();
            near.stream().flatMap(o -> o.part().stream()).distinct().forEach(part -> {
                boolean own =
                        spot.hole().layers().stream().anyMatch(l -> l.part().equals(part));
                List<Obstacle> rest = near.stream()
                        .filter(o -> !o.part().equals(Optional.of(part)))
                        .toList();
                if (!own) {
                    reaches(spot, rest, crib)
                            .ifPresent(t -> ways.add("With "
                                    + Objects.requireNonNull(parts.get(part)).name() + " off: " + t.name() + "."));
                }
            });
            String turn = spot.work() == Work.PULL
                    ? "From the other side, heads of " + spot.hole().group().code() + " turned: "
                    : "Turning the other end of the bolt: ";
            if (spot.work() == Work.PULL || spot.work() == Work.TURN) {
                reaches(spot.over(), near, crib).ifPresent(t -> ways.add(turn + t.name() + "."));
            }
            reaches(spot, near, typical)
                    .ifPresent(t -> ways.add("Another tool: " + t.name() + ", such as others have it."));
            return ways;
        }

        private static Optional<Tool> reaches(Fit.Spot spot, List<Obstacle> near, List<Tool> tools) {
            return tools.stream()
                    .filter(t -> spot.work().by(t.kind(), spot.hole()))
                    .filter(t -> Fit.block(t, spot, near).isEmpty())
                    .findFirst();
        }
    }
}
