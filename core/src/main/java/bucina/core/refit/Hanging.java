package bucina.core.refit;

import bucina.core.catalogue.Catalogue;
import bucina.core.cleco.ClecoSize;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.measure.Length;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A sheet that hangs on the clecos in few of its holes, or in holes that lie close together, before it is drilled.
 *
 * @param sheet  which
 * @param clecos the holes it hangs on
 * @param far    its corner farthest from the middle of them
 * @param swing  how far it can swing there
 */
public record Hanging(Layer sheet, List<HoleReading> clecos, Point far, Swing swing) {

    /** A spread of less than this share of what hangs out lets a sheet swing. */
    private static final double SHARE = 0.5;

    public Hanging {
        clecos = List.copyOf(clecos);
    }

    /** The sheets of a face that can swing: on in clecos, held by no rivet, not lying well. */
    public static List<Hanging> of(FaceReading face, Logbook log, Catalogue catalogue) {
        Map<Layer, List<HoleReading>> clecos = new LinkedHashMap<>();
        Set<Layer> held = new HashSet<>();
        for (HoleReading hole : face.readings()) {
            boolean set = log.set(hole.hole());
            for (Layer sheet : hole.layers()) {
                if (set) {
                    held.add(sheet);
                } else if (clecoed(hole, sheet.id(), log)) {
                    clecos.computeIfAbsent(sheet, l -> new ArrayList<>()).add(hole);
                }
            }
        }
        clecos.keySet().removeAll(held);
        List<Hanging> hanging = new ArrayList<>();
        clecos.forEach((sheet, holes) -> of(sheet, holes, catalogue).ifPresent(hanging::add));
        return hanging;
    }

    private static Optional<Hanging> of(Layer sheet, List<HoleReading> clecos, Catalogue catalogue) {
        double x = clecos.stream().mapToDouble(r -> r.hole().at().x()).average().orElseThrow();
        double y = clecos.stream().mapToDouble(r -> r.hole().at().y()).average().orElseThrow();
        Point middle = new Point(x, y);
        Point far = middle;
        for (Corner corner : sheet.outline().outer().corners()) {
            far = middle.to(corner.at()).compareTo(middle.to(far)) > 0 ? corner.at() : far;
        }
        Length spread = spread(clecos);
        Length reach = middle.to(far);
        return spread.compareTo(reach.times(2 * SHARE)) >= 0
                ? Optional.empty()
                : Optional.of(new Hanging(sheet, clecos, far, Swing.of(spread, slop(clecos, catalogue), reach)));
    }

    private static boolean clecoed(HoleReading hole, Id.Layer sheet, Logbook log) {
        return log.marked(hole.hole().id(), sheet, Operation.CLECOED, Mark.Side.BOTH);
    }

    private static Length spread(List<HoleReading> clecos) {
        Length most = Length.ZERO;
        for (HoleReading a : clecos) {
            for (HoleReading b : clecos) {
                most = most.max(a.hole().at().to(b.hole().at()));
            }
        }
        return most;
    }

    /** Hole less cleco in both sheets, of the loosest hole; a cleco fills the smallest hole it holds in. */
    private static Length slop(List<HoleReading> clecos, Catalogue catalogue) {
        Length most = Length.ZERO;
        for (HoleReading hole : clecos) {
            Length size = hole.group().holes().present().orElse(hole.solution().hole());
            Length slop = ClecoSize.of(catalogue.clecos(), size)
                    .map(c -> size.minus(c.from()).times(2))
                    .orElse(Length.ZERO);
            most = most.max(slop);
        }
        return most;
    }
}
