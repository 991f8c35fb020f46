package bucina.core.reach;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Fastener;
import bucina.core.plan.Flange.Stands;
import bucina.core.plan.Tool;
import bucina.core.sheet.Point;
import bucina.core.stack.HoleReading;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;

/*
 * Design. A tool is a round thing over the hole, on the sides of the sheet that it needs, and for some a body that
 * lies or leans to one side. The body is tried in all directions, a step of five degrees at a time, as balls along it:
 * exact enough for figures that a builder measures with a rule, and the same for a flange, a bracket and a lid.
 */

/** Whether one tool gets at one hole, and why not. */
final class Fit {

    /** Degrees between two directions that are tried. */
    private static final int STEP = 5;
    /** Degrees that a wrench must swing, turned over in between. */
    private static final int SWING = 30;

    private final Spot spot;
    private final Tool tool;
    private final List<Obstacle> obstacles;

    /**
     * A hole as tools see it.
     *
     * @param in      how far in from the edge of what is worked, nm
     * @param edge    to the nearest edge of any of its sheets, nm
     * @param headFar true if the heads are taken to be on the far side
     */
    record Spot(HoleReading hole, Reach.Work work, double in, double edge, boolean headFar) {

        Point at() {
            return hole.hole().at();
        }

        private Stands head() {
            return headFar ? Stands.FAR : Stands.NEAR;
        }

        private Stands tail() {
            return headFar ? Stands.NEAR : Stands.FAR;
        }

        /** The side the wrench is on. */
        private Stands turned() {
            return hole.solution().fastener() instanceof Fastener.Hardware h
                            && h.bolting().headTurns()
                    ? head()
                    : tail();
        }

        /** The same seen from the other side. */
        Spot over() {
            return new Spot(hole, work, in, edge, !headFar);
        }
    }

    private Fit(Tool tool, Spot spot, List<Obstacle> obstacles) {
        this.tool = tool;
        this.spot = spot;
        this.obstacles = obstacles.stream().filter(o -> needed(o) && !passed(o)).toList();
    }

    /** Why a tool does not get to a hole past what is in the way; empty if it does. */
    static Optional<Reach.Blocked> block(Tool tool, Spot spot, List<Obstacle> obstacles) {
        Length in = Length.nm(spot.in);
        if (!in.atMost(tool.throat())) {
            return Optional.of(new Reach.Blocked(
                    tool,
                    Sentence.of(tool.name() + " reaches {} from an edge; the hole is {} from it.", tool.throat(), in),
                    in,
                    tool.throat()));
        }
        Length edge = Length.nm(spot.edge);
        Optional<Reach.Blocked> near = new Fit(tool, spot, obstacles).near();
        if (near.isEmpty() && tool.kind() == Tool.Kind.STOP_CAGE && !edge.atLeast(tool.clear())) {
            return Optional.of(new Reach.Blocked(
                    tool,
                    Sentence.of(
                            tool.name() + " tips over the edge: it needs {} of sheet, there is {}.",
                            tool.clear(),
                            edge),
                    edge,
                    tool.clear()));
        }
        return near;
    }

    /** True if a tool gets to a hole: the same without a sentence, asked for every hole of an aircraft. */
    static boolean gets(Tool tool, Spot spot, List<Obstacle> obstacles) {
        return Length.nm(spot.in).atMost(tool.throat())
                && (tool.kind() != Tool.Kind.STOP_CAGE || Length.nm(spot.edge).atLeast(tool.clear()))
                && (obstacles.isEmpty() || new Fit(tool, spot, obstacles).near().isEmpty());
    }

    /** True if something is on a side that the tool needs. */
    private boolean needed(Obstacle o) {
        return switch (tool.kind()) {
            case PULLED_GUN, HAND_PULLER, NOSE_EXTENSION, WEDGE, STOP_CAGE, PILOTED_CUTTER ->
                o.stands().on(spot.head());
            case WRENCH, SOCKET -> o.stands().on(spot.turned());
            default -> true;
        };
    }

    /** True if the tool goes past something without minding it. */
    private boolean passed(Obstacle o) {
        boolean said = o.height().positive();
        return switch (o.shape()) {
            case Obstacle.Head h ->
                !(tool.kind() == Tool.Kind.STOP_CAGE
                        || tool.kind() == Tool.Kind.BACK_RIVET && o.stands().on(spot.head()));
            case Obstacle.Along a ->
                tool.kind() == Tool.Kind.NOSE_EXTENSION
                        && said
                        && o.height().atMost(tool.sizes().getFirst());
            case Obstacle.Over over -> said && o.height().atLeast(tool.height());
            case Obstacle.Lid lid -> false;
        };
    }

    private Optional<Reach.Blocked> near() {
        return switch (tool.kind()) {
            case BACK_RIVET -> round(this::plate);
            case WEDGE -> leans();
            case WRENCH -> round(o -> tool.clear()).or(this::swings);
            default -> round(o -> tool.clear());
        };
    }

    /** The plate lies under the head, the set stands on the tail. */
    private Length plate(Obstacle o) {
        boolean head = o.stands().on(spot.head());
        boolean tail = o.stands().on(spot.tail());
        Length plate = head ? tool.sizes().getFirst() : Length.ZERO;
        return tail ? plate.max(tool.clear()) : plate;
    }

    /** What is nearer than the tool is wide. */
    private Optional<Reach.Blocked> round(Function<Obstacle, Length> needs) {
        Optional<Reach.Blocked> worst = Optional.empty();
        double most = 0;
        for (Obstacle o : obstacles) {
            Length needed = needs.apply(o);
            Length away = Length.nm(o.from(spot.at()));
            double lacks = needed.nanometres() - away.nanometres();
            if (!away.atLeast(needed) && lacks > most) {
                most = lacks;
                worst = Optional.of(close(o, away, needed));
            }
        }
        return worst;
    }

    private Reach.Blocked close(Obstacle o, Length away, Length needed) {
        boolean unsaid = tool.kind() == Tool.Kind.NOSE_EXTENSION
                && o.shape() instanceof Obstacle.Along
                && !o.height().positive();
        String more = unsaid ? " Say how high it stands: the nose passes what is lower than it is long." : "";
        return new Reach.Blocked(
                tool,
                Sentence.of(tool.name() + " needs {} clear; " + o.what() + " is {} away." + more, needed, away),
                away,
                needed);
    }

    /** A gun on a wedge: slim at the hole, its body wide at one side of it. */
    private Optional<Reach.Blocked> leans() {
        Optional<Reach.Blocked> close = round(o -> tool.clear());
        double room = tool.sizes().getFirst().nanometres();
        double clear = tool.clear().nanometres();
        if (close.isEmpty() && free(room * 2 / 3, s -> Math.max(clear, s / 2)) == 0) {
            return aside(Length.nm(room), " leans {} to one side and finds no side free; ");
        }
        return close;
    }

    private Optional<Reach.Blocked> swings() {
        Length whole = tool.sizes().get(1);
        double half = tool.clear().nanometres() / 2;
        return free(whole.nanometres(), s -> half) < SWING
                ? aside(whole, " is {} long and finds no " + SWING + "° free to swing; ")
                : Optional.empty();
    }

    private Optional<Reach.Blocked> aside(Length needed, String words) {
        Obstacle nearest = obstacles.getFirst();
        for (Obstacle o : obstacles) {
            nearest = o.from(spot.at()) < nearest.from(spot.at()) ? o : nearest;
        }
        Length away = Length.nm(nearest.from(spot.at()));
        return Optional.of(new Reach.Blocked(
                tool, Sentence.of(tool.name() + words + nearest.what() + " is {} away.", needed, away), away, needed));
    }

    /**
     * Degrees of the widest angle in which a body finds room in every direction; 360 if nothing is near, nought if it
     * finds room in none.
     *
     * @param length of the body from the hole, nm
     * @param width  half of it at a distance from the hole, nm
     */
    private int free(double length, DoubleUnaryOperator width) {
        List<Obstacle> close = obstacles.stream()
                .filter(o -> o.from(spot.at()) < length + width.applyAsDouble(length))
                .toList();
        if (close.isEmpty()) {
            return 360;
        }
        boolean[] clear = new boolean[360 / STEP];
        for (int i = 0; i < clear.length; i++) {
            clear[i] = clear(close, i * STEP, length, width);
        }
        int widest = 0;
        int now = 0;
        for (int i = 0; i < 2 * clear.length; i++) {
            now = clear[i % clear.length] ? now + 1 : 0;
            widest = Math.max(widest, now);
        }
        return widest == 0 ? 0 : Math.min(360, Math.max(1, (widest - 1) * STEP));
    }

    private boolean clear(List<Obstacle> close, int degrees, double length, DoubleUnaryOperator width) {
        double dx = Math.cos(Math.toRadians(degrees));
        double dy = Math.sin(Math.toRadians(degrees));
        double s = 0;
        boolean last = false;
        while (!last) {
            last = s >= length;
            Point p = new Point(
                    spot.at().x() + dx * Math.min(s, length), spot.at().y() + dy * Math.min(s, length));
            double half = width.applyAsDouble(Math.min(s, length));
            for (Obstacle o : close) {
                if (o.from(p) < half) {
                    return false;
                }
            }
            s += half / 2;
        }
        return true;
    }
}
