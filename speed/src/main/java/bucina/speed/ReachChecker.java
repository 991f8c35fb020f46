package bucina.speed;

import bucina.core.job.Job;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Flange;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Tool;
import bucina.core.reach.ToolCrib;
import bucina.core.sheet.Segment;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Judges whether a tool gets at holes, of builds whose flanges are lines across the face: how near one stands is a
 * difference of x.
 */
final class ReachChecker {

    private final Map<Id.Hole, Face> faces = new HashMap<>();
    private final List<Tool> crib;

    ReachChecker(Derivation derivation) {
        for (Build.FaceRef ref : derivation.build().faces()) {
            derivation
                    .face(ref.face().id())
                    .readings()
                    .forEach(h -> faces.put(h.hole().id(), ref.face()));
        }
        crib = ToolCrib.of(derivation.build(), derivation.catalogue()).stream()
                .filter(t -> t.kind() != Tool.Kind.STEP_DRILL)
                .toList();
    }

    /**
     * P5: a tool of the crib still gets there, where one does with nothing on but the hole's own sheets.
     *
     * @param on parts that are on
     * @return what is broken
     */
    Optional<String> broken(Job job, HoleReading hole, Set<Id.Part> on) {
        boolean torque = job.op().code().equals("torque");
        Fastener fastener = hole.solution().fastener();
        if (fastener instanceof Fastener.Hardware && !torque) {
            return Optional.empty();
        }
        Set<Id.Part> own = hole.layers().stream().map(Layer::part).collect(Collectors.toSet());
        boolean could = crib.stream().anyMatch(t -> room(t, hole, own, torque, true));
        boolean gone = could && crib.stream().noneMatch(t -> room(t, hole, on, torque, false));
        return gone ? Optional.of("P5: no tool gets at " + hole.label() + " with what is on") : Optional.empty();
    }

    /**
     * Whether a tool has room beside the flanges of some parts.
     *
     * @param sure true to leave out tools whose room is more than a distance, false to take them where they may fit
     */
    private boolean room(Tool tool, HoleReading hole, Set<Id.Part> parts, boolean torque, boolean sure) {
        Fastener fastener = hole.solution().fastener();
        boolean flush = fastener.flush();
        double clear = tool.sizes().getLast().in();
        double in = 0;
        boolean near = true;
        boolean far = true;
        switch (tool.kind()) {
            case YOKE -> in = tool.sizes().getFirst().in();
            case GUN_AND_BAR -> in = 1e9;
            case BACK_RIVET -> {
                // The plate under the heads, on the near side; the set on the tails.
                in = flush
                                && beside(hole, parts, true, false)
                                        >= tool.sizes().getFirst().in() - 1e-6
                        ? 1e9
                        : -1;
                near = false;
            }
            case PULLED_GUN, HAND_PULLER, NOSE_EXTENSION, WEDGE -> {
                in = 1e9;
                far = false;
            }
            case SOCKET, WRENCH -> {
                in = 1e9;
                near = false;
            }
            default -> in = -1;
        }
        boolean solid = tool.kind() == Tool.Kind.YOKE
                || tool.kind() == Tool.Kind.GUN_AND_BAR
                || tool.kind() == Tool.Kind.BACK_RIVET;
        boolean turns = tool.kind() == Tool.Kind.SOCKET || tool.kind() == Tool.Kind.WRENCH;
        boolean leans = tool.kind() == Tool.Kind.WEDGE || tool.kind() == Tool.Kind.WRENCH;
        if (in < 0 || torque != turns || !torque && solid != fastener instanceof Fastener.SolidRivet || sure && leans) {
            return false;
        }
        double deep = hole.layers().stream()
                .mapToDouble(l -> l.outline().outer().distance(hole.hole().at()).in())
                .max()
                .orElse(0);
        return deep <= in + 1e-6 && beside(hole, parts, near, far) >= clear - 1e-6;
    }

    /** How near the nearest flange of some parts stands on the sides that count. */
    private double beside(HoleReading hole, Set<Id.Part> parts, boolean near, boolean far) {
        double x = hole.hole().at().x() / 25.4e6;
        double least = 1e9;
        Face face = faces.get(hole.hole().id());
        for (Layer layer : face.layers()) {
            Flange.Stands stands = layer.flange().stands();
            boolean counts = stands == Flange.Stands.UNSAID || (stands == Flange.Stands.NEAR ? near : far);
            if (counts && parts.contains(layer.part())) {
                for (Segment line : layer.bends()) {
                    least = Math.min(least, Math.abs(line.a().x() / 25.4e6 - x));
                }
            }
        }
        return least;
    }
}
