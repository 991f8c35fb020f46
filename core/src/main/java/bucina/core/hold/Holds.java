package bucina.core.hold;

import bucina.core.measure.Length;
import bucina.core.plan.Build;
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

    private final Map<Id.Part, Part> parts = new HashMap<>();
    private final Map<Id.Layer, List<Layer>> lifted = new HashMap<>();
    private final double back;

    public Holds(Build build) {
        build.parts().forEach(p -> parts.put(p.id(), p));
        back = build.rules().length(RuleKey.LAP_BACK).nanometres();
        build.faces().forEach(ref -> laps(ref.face()));
    }

    private void laps(Face face) {
        for (int over = 0; over < face.layers().size(); over++) {
            Layer lap = face.layers().get(over);
            Part first = parts.get(lap.part());
            if (!first.fitted()) {
                continue;
            }
            for (Layer later : face.layers().subList(over + 1, face.layers().size())) {
                Part second = parts.get(later.part());
                if (!second.fitted()
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
        List<String> missing = missing(reading.layers());
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

    private List<String> missing(List<Layer> layers) {
        List<Part> open = new ArrayList<>(0);
        for (Layer layer : layers) {
            Part part = parts.get(layer.part());
            if (!part.fitted() && !open.contains(part)) {
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
                            List.of(parts.get(later.part()).name()),
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
        HoleReading first = null;
        HoleReading last = null;
        Held reason = null;
        int count = 0;
        for (HoleReading r : readings) {
            Optional<Held> held = of(r);
            boolean goesOn = first != null
                    && held.isPresent()
                    && held.get().equals(reason)
                    && first.row().id().equals(r.row().id());
            if (!goesOn && first != null) {
                ranges.add(new Range(first.group(), first.label(), last.label(), count, reason));
                first = null;
            }
            if (held.isPresent()) {
                first = first == null ? r : first;
                count = goesOn ? count + 1 : 1;
                reason = held.get();
                last = r;
            }
        }
        if (first != null) {
            ranges.add(new Range(first.group(), first.label(), last.label(), count, reason));
        }
        return ranges;
    }
}
