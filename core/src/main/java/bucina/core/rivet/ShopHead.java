package bucina.core.rivet;

import bucina.core.dress.Dressing;
import bucina.core.dress.FlushHead;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Objects;
import java.util.Optional;

/*
 * Design. The shank's metal is counted: what stands proud of the stack, less what swells into the clearance of the
 * hole, is what the shop
 * head is made of. Three shapes differ in where the swell is and what the head sits on:
 *
 *   protruding          V = π/4 [D²(L-G)  - (Dh²-D²) G]
 *   sunk                V = π/4 [D²(L-G)  - (Dh²-D²)(G-h)]        countersunk, or dimpled into a nest as last layer
 *   dimpled through     V ≈ π/4 [D²(L-h)  - Dh²(Ge-zc)]           last layer dimpled too; Ge ≈ zc + sin θ Σt, zc =
 * (Dhd-Dh)/(2 tan θ)
 *
 * The last is an estimate (it takes the dimple for a straight cone); a coupon reading may replace Ge. V at or under
 * nothing is no head.
 */

/** The metal of one rivet in one stack: how far it stands proud and what head that makes. Immutable. */
public final class ShopHead {

    private final RivetSize size;
    private final Length hole;
    private final Dressing dressing;
    private final Length grip;
    private final Length effectiveGrip;

    /**
     * @param size     the rivet
     * @param hole     diameter as drilled, at least D
     * @param dressing the stack, at least one sheet; dimples and countersinks only under a flush head
     * @param coupon   the builder's own effective grip from a coupon, from the grip to one D more, to use in place of
     *     the estimate; usually empty
     * @throws InputException if the coupon's grip cannot be
     */
    public ShopHead(RivetSize size, Length hole, Dressing dressing, Optional<Length> coupon) {
        this.size = Objects.requireNonNull(size, "size");
        this.hole = hole;
        this.dressing = dressing;
        if (dressing.plies().isEmpty()) {
            throw new IllegalArgumentException("a stack needs at least one layer");
        }
        if (!hole.atLeast(size.shank())) {
            throw new IllegalArgumentException("hole must be at least the shank of " + size.shank() + ", was " + hole);
        }
        this.grip = dressing.grip();
        coupon.ifPresent(this::check);
        this.effectiveGrip = coupon.orElseGet(this::estimate);
    }

    /** What the shank bridges is never less than the sheets, nor by a diameter more. */
    private void check(Length coupon) {
        if (!coupon.atLeast(grip) || !coupon.atMost(grip.plus(size.shank()))) {
            throw new InputException("an effective grip of " + coupon + " cannot be one of sheets that make " + grip
                    + ": it lies from there to one shank diameter more, up to " + grip.plus(size.shank()));
        }
    }

    private Length estimate() {
        return throughDimpled() ? cone().plus(grip.times(FlushHead.HALF_OF_100.sin())) : grip;
    }

    private boolean throughDimpled() {
        return size.head().flush() && dressing.dimpledThrough();
    }

    private Length cone() {
        return Length.ZERO.max(
                FlushHead.of100(size.headDiameter(), size.headHeight()).coneTo(hole));
    }

    /** Thickness of the stack G. */
    public Length grip() {
        return grip;
    }

    /** What the shank bridges before it stands proud: Ge. */
    public Length effectiveGrip() {
        return effectiveGrip;
    }

    /** True if Ge is an estimate, as for stacks dimpled through. */
    public boolean estimated() {
        return throughDimpled();
    }

    /** How far a rivet of length {@code l} stands proud before it is set; negative if it does not come through. */
    public Length protrusion(Length l) {
        return l.minus(effectiveGrip);
    }

    /** Metal left for the head, in nm³; at or under 0 when there is none. */
    public double volume(Length l) {
        double d2 = square(size.shank());
        double dh2 = square(hole);
        double h = size.headHeight().nanometres();
        double g = grip.nanometres();
        double length = l.nanometres();
        double section;
        if (throughDimpled()) {
            section = d2 * (length - h) - dh2 * (effectiveGrip.nanometres() - cone().nanometres());
        } else if (size.head().flush()) {
            section = d2 * (length - effectiveGrip.nanometres()) - (dh2 - d2) * Math.max(0, g - h);
        } else {
            section = d2 * (length - effectiveGrip.nanometres()) - (dh2 - d2) * g;
        }
        return Math.PI / 4 * section;
    }

    /**
     * Diameter of the head when set to {@code height}: {@code sqrt(4V / (π height))}; nothing when there is no metal.
     */
    public Length headDiameter(Length l, Length height) {
        double volume = volume(l);
        return volume > 0 ? Length.nm(Math.sqrt(4 * volume / (Math.PI * height.nanometres()))) : Length.ZERO;
    }

    /** The length that makes a head {@code diameter} across at {@code height}. */
    public Length lengthFor(Length diameter, Length height) {
        double wanted = Math.PI / 4 * square(diameter) * height.nanometres();
        double missing = wanted - volume(Length.ZERO);
        return Length.nm(missing / (Math.PI / 4 * square(size.shank())));
    }

    /**
     * Closed gap between the die faces of a squeezer for a head 0.5 D high: {@code Ge + 0.5 D} under flush heads,
     * {@code G + 0.5 D + head
     * height - cup depth} under universal ones.
     */
    public Length squeezerGap(Length cupDepth) {
        Length half = size.shank().times(0.5);
        return size.head().flush()
                ? effectiveGrip.plus(half)
                : grip.plus(half).plus(size.headHeight()).minus(cupDepth);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof ShopHead that
                && size.equals(that.size)
                && hole.equals(that.hole)
                && dressing.equals(that.dressing)
                && effectiveGrip.equals(that.effectiveGrip);
    }

    @Override
    public int hashCode() {
        return Objects.hash(size, hole, dressing, effectiveGrip);
    }

    private static double square(Length length) {
        return length.nanometres() * length.nanometres();
    }
}
