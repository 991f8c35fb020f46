package bucina.core.hold;

import bucina.core.log.Logbook;
import bucina.core.measure.Length;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hold;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.rule.RuleKey;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Crossing;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/*
 * Design. A later sheet slips under a lap if it lies below an earlier sheet that is in place already, the two
 * overlap, and the later one goes on beyond it. Then the earlier sheet must be lifted: its holes stay open as far back
 * from the later sheet as the rule says. A sheet that lies wholly under the earlier one (a doubler) is put in from
 * behind and lifts nothing.
 */

/** What is held open in one build. Immutable, made once for a build; cheap to ask. */
public final class Holds {

    private final PartStates parts;
    private final Map<Id.Layer, List<Layer>> lifted;
    private final double back;

    /** Of a build of which nothing is logged. */
    public Holds(Build build) {
        this(build, PartStates.of(build));
    }

    /** Of a build and its log. */
    public Holds(Derivation derivation, Logbook log) {
        this(derivation.build(), PartStates.of(derivation, log));
    }

    /** Of a build whose parts stand so. */
    public Holds(Build build, PartStates parts) {
        this(parts, new HashMap<>(), build.rules().length(RuleKey.LAP_BACK).nanometres());
        build.faces().forEach(ref -> laps(ref.face()));
    }

    private Holds(PartStates parts, Map<Id.Layer, List<Layer>> lifted, double back) {
        this.parts = parts;
        this.lifted = lifted;
        this.back = back;
    }

    /** The same where nothing but marks was added: parts stand as they stood. */
    public Holds with(PartStates marked) {
        return new Holds(marked, lifted, back);
    }

    /** How the parts stand. */
    public PartStates parts() {
        return parts;
    }

    private Part part(Layer layer) {
        return parts.part(layer.part());
    }

    private void laps(Face face) {
        for (int over = 0; over < face.layers().size(); over++) {
            Layer lap = face.layers().get(over);
            Part first = part(lap);
            if (!parts.inPlace(lap)) {
                continue;
            }
            for (Layer later : face.layers().subList(over + 1, face.layers().size())) {
                Part second = part(later);
                if (!parts.inPlace(later)
                        && second.fittingOrder() > first.fittingOrder()
                        && slipsUnder(lap.outline(), later.outline())) {
                    lifted.computeIfAbsent(lap.id(), l -> new ArrayList<>()).add(later);
                }
            }
        }
    }

    /** True if the two overlap and the later one goes on beyond the lap. */
    private static boolean slipsUnder(Outline lap, Outline later) {
        boolean beyond = corners(later).stream()
                .anyMatch(p -> !lap.covers(p) && lap.edgeDistance(p).nanometres() > 1000);
        boolean shared = corners(later).stream().anyMatch(lap::covers)
                || corners(lap).stream().anyMatch(later::covers)
                || new Crossing(lap.outer()).crosses(later.outer());
        return beyond && shared;
    }

    private static List<Point> corners(Outline outline) {
        return outline.outer().corners().stream().map(Corner::at).toList();
    }

    /** Why a hole stays open; empty if it may be set. */
    public Optional<Held> of(HoleReading reading) {
        Group group = reading.group();
        Hold hold = group.holes().hold();
        Optional<String> alone = reading.hole().deviation().flatMap(Deviation::until);
        if (alone.isPresent()) {
            return Optional.of(new Held(
                    List.of(),
                    alone.get(),
                    Optional.empty(),
                    false,
                    group.holes().present()));
        }
        if (hold == Hold.SET) {
            return Optional.empty();
        }
        if (hold == Hold.OPEN) {
            return Optional.of(new Held(
                    List.of(),
                    group.holes().until(),
                    Optional.empty(),
                    false,
                    group.holes().present()));
        }
        List<String> missing = missing(reading);
        if (!missing.isEmpty()) {
            return Optional.of(new Held(
                    missing,
                    "",
                    Optional.empty(),
                    hold == Hold.AUTO,
                    group.holes().present()));
        }
        return lifted.isEmpty() ? Optional.empty() : lap(reading);
    }

    private List<String> missing(HoleReading reading) {
        List<Part> open = new ArrayList<>(0);
        for (Layer layer : reading.layers()) {
            Part part = part(layer);
            if (!parts.inPlace(layer) && !open.contains(part)) {
                open.add(part);
            }
        }
        open.sort(Comparator.comparing(Part::fittingOrder));
        return open.isEmpty() ? List.of() : open.stream().map(Part::name).toList();
    }

    private Optional<Held> lap(HoleReading reading) {
        Point at = reading.hole().at();
        for (Layer layer : reading.layers()) {
            for (Layer later : lifted.getOrDefault(layer.id(), List.of())) {
                Length away = later.outline().covers(at)
                        ? Length.ZERO
                        : later.outline().edgeDistance(at);
                if (away.nanometres() <= back) {
                    return Optional.of(new Held(
                            List.of(part(later).name()),
                            "",
                            Optional.of(layer.name()),
                            false,
                            reading.group().holes().present()));
                }
            }
        }
        return Optional.empty();
    }

    /** A stretch of a row that stays open for one reason. */
    public record Range(Group group, String from, String to, int count, Held held) {}

    /** The stretches held open among readings in the order of a face. */
    public List<Range> ranges(List<HoleReading> readings) {
        List<Range> ranges = new ArrayList<>();
        List<Stays> run = new ArrayList<>();
        for (HoleReading r : readings) {
            Optional<Stays> open = of(r).map(h -> new Stays(r, h));
            if (!run.isEmpty() && open.filter(run.getLast()::goesOn).isEmpty()) {
                ranges.add(range(run));
                run.clear();
            }
            open.ifPresent(run::add);
        }
        if (!run.isEmpty()) {
            ranges.add(range(run));
        }
        return ranges;
    }

    private static Range range(List<Stays> run) {
        HoleReading first = run.getFirst().hole;
        return new Range(first.group(), first.label(), run.getLast().hole.label(), run.size(), run.getFirst().held);
    }

    /** A hole that stays open, and why. */
    private record Stays(HoleReading hole, Held held) {

        boolean goesOn(Stays next) {
            return next.held.equals(held)
                    && next.hole.row().id().equals(hole.row().id());
        }
    }
}
