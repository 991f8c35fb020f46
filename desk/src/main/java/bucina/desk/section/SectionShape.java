package bucina.desk.section;

import bucina.core.dress.Dressing;
import bucina.core.dress.FlushHead;
import bucina.core.measure.Length;
import bucina.core.rivet.RivetChoice;
import bucina.core.rivet.RivetSize;
import bucina.core.rivet.ShopHead;
import bucina.core.stack.Solution;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/*
 * Design. Everything is a half section: radius r from the axis, depth z down from the outer surface of the first
 * sheet. A dimple is the cone
 * of the head offset by the metal above it: the surface under a thickness T of dimpled sheets is flat at z = T out to
 * rT = Dhd/2 + T (1 - sin θ) / cos θ, then the cone, then ends at the hole's rim at (Dh/2 + T cos θ, zc + T sin θ),
 * square to the cone. A nest
 * is that same cone cut into a flat sheet down to the hole. All lengths nm.
 */

/** Outlines of a stack and its rivet, cut through the hole's axis. Immutable. */
public final class SectionShape {

    /**
     * A corner of an outline.
     *
     * @param r from the axis, nm, at least 0
     * @param z down from the outer surface, nm
     */
    public record At(double r, double z) {}

    private final Solution solution;
    private final double width;
    private final double holeRadius;
    private final Optional<FlushHead> head;

    /**
     * @param width how far the sheets are drawn from the axis
     */
    public SectionShape(Solution solution, Length width) {
        this.solution = solution;
        this.width = width.nanometres();
        this.holeRadius = solution.hole().nanometres() / 2;
        this.head = solution.heads().cone();
    }

    /** The right half of every sheet, head side first; mirror it for the left. */
    public List<List<At>> plies() {
        List<List<At>> plies = new ArrayList<>();
        double above = 0;
        for (Dressing.Ply ply : solution.dressing().plies()) {
            double t = ply.thickness().nanometres();
            plies.add(
                    switch (ply.dress()) {
                        case DIMPLE -> dimpled(above, t);
                        case COUNTERSINK -> countersunk(above, t);
                        case PLAIN, IMPOSSIBLE -> plain(above, t);
                    });
            above += t;
        }
        return plies;
    }

    private List<At> plain(double z, double t) {
        return List.of(new At(holeRadius, z), new At(width, z), new At(width, z + t), new At(holeRadius, z + t));
    }

    private List<At> dimpled(double above, double t) {
        List<At> top = surface(above);
        List<At> outline = new ArrayList<>(top);
        outline.addAll(surface(above + t).reversed());
        return outline;
    }

    /** The surface under {@code above} of dimpled metal, from the rim outward. */
    private List<At> surface(double above) {
        FlushHead h = head.orElseThrow();
        double sin = h.halfAngle().sin();
        double cos = h.halfAngle().cos();
        double shoulder = h.diameter().nanometres() / 2 + above * (1 - sin) / cos;
        double cone = Math.max(0, h.coneTo(solution.hole()).nanometres());
        return List.of(
                new At(holeRadius + above * cos, cone + above * sin), new At(shoulder, above), new At(width, above));
    }

    private List<At> countersunk(double above, double t) {
        FlushHead h = head.orElseThrow();
        double shoulder = h.nestDiameter(Length.nm(above)).nanometres() / 2;
        double depth = (shoulder - holeRadius) / h.halfAngle().tan();
        List<At> outline = new ArrayList<>(List.of(new At(width, above), new At(width, above + t)));
        if (depth < t) {
            outline.add(new At(holeRadius, above + t));
            outline.add(new At(holeRadius, above + depth));
        } else {
            outline.add(new At(shoulder - t * h.halfAngle().tan(), above + t));
        }
        outline.add(new At(shoulder, above));
        return outline;
    }

    /** Depth of the far face that the shop head sits on. */
    public double farFace() {
        return solution.choice()
                .map(c -> c.head().effectiveGrip().nanometres())
                .orElse(solution.grip().nanometres());
    }

    /** True if there is a rivet to draw. */
    public boolean hasRivet() {
        return solution.choice().isPresent();
    }

    /** Length of the rivet drawn: as picked, or the ideal where none is. */
    public Length length() {
        RivetChoice choice = solution.choice().orElseThrow();
        return choice.pick().length().orElse(choice.idealLength());
    }

    /** How far it stands proud before it is set; at least 0. */
    public Length proud() {
        return Length.ZERO.max(solution.choice().orElseThrow().head().protrusion(length()));
    }

    /** The manufactured head, right half. */
    public List<At> manufacturedHead() {
        RivetSize size = solution.choice().orElseThrow().size();
        double d = size.headDiameter().nanometres() / 2;
        double h = size.headHeight().nanometres();
        double shank = size.shank().nanometres() / 2;
        if (size.head().flush()) {
            return List.of(
                    new At(0, 0),
                    new At(d, 0),
                    new At(shank, Math.min(h, (d - shank) / FlushHead.HALF_OF_100.tan())),
                    new At(0, Math.min(h, (d - shank) / FlushHead.HALF_OF_100.tan())));
        }
        return List.of(
                new At(0, -h),
                new At(d * 0.45, -h),
                new At(d * 0.82, -h * 0.72),
                new At(d, -h * 0.12),
                new At(d, 0),
                new At(0, 0));
    }

    /**
     * The shank below the manufactured head and the shop head, right half, when the head is {@code height} high: at
     * the full protrusion it is a
     * straight shank, at 0.5 D it is set.
     */
    public List<At> shankAndShopHead(Length height) {
        return shankAndShopHead(height, shopHead(height));
    }

    /** The same with a shop head as it was measured. */
    public List<At> shankAndShopHead(Length height, Length across) {
        RivetSize size = solution.choice().orElseThrow().size();
        double shank = size.shank().nanometres() / 2;
        double start = size.head().flush() ? size.headHeight().nanometres() : 0;
        double set = setting(height);
        double filled = shank + (holeRadius - shank) * set;
        double head = across.nanometres() / 2;
        double far = farFace();
        double end = far + height.nanometres();
        return List.of(
                new At(0, start),
                new At(filled, start),
                new At(filled, far),
                new At(head, far),
                new At(head, end),
                new At(0, end));
    }

    /** How far the setting has come: 0 as it goes in, 1 at 0.5 D high or flatter. */
    private double setting(Length height) {
        double proud = proud().nanometres();
        double half = solution.choice().orElseThrow().size().shank().nanometres() / 2;
        return proud <= half ? 1 : Math.clamp((proud - height.nanometres()) / (proud - half), 0, 1);
    }

    /** Diameter of the shop head at a height: the metal standing proud, less what has swelled into the hole by then. */
    public Length shopHead(Length height) {
        RivetChoice choice = solution.choice().orElseThrow();
        ShopHead head = choice.head();
        double d2 = Math.pow(choice.size().shank().nanometres(), 2);
        double before = Math.PI / 4 * d2 * proud().nanometres();
        double volume = before + (Math.max(0, head.volume(length())) - before) * setting(height);
        return Length.nm(Math.sqrt(4 * Math.max(0, volume) / (Math.PI * height.nanometres())));
    }
}
