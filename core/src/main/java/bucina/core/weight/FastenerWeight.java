package bucina.core.weight;

import bucina.core.blind.PulledSize;
import bucina.core.bolt.BoltThread;
import bucina.core.bolt.Nut;
import bucina.core.bolt.Washer;
import bucina.core.measure.Length;
import bucina.core.rivet.RivetSize;
import java.util.Optional;

/** Weights worked out from nominal shapes: good to about 5 %. */
public final class FastenerWeight {

    /** Density of 2117-T4, lb/in³ (Aluminum Association, Aluminum Standards and Data). */
    public static final double RIVET_DENSITY = 0.099;
    /** Density of alloy steel, lb/in³. */
    public static final double STEEL_DENSITY = 0.284;
    /** Density of AlMg bodies, lb/in³. */
    private static final double PULLED_DENSITY = 0.096;
    /** Density of stainless bodies, lb/in³. */
    private static final double STAINLESS_DENSITY = 0.29;

    /** Grams in a pound. */
    public static final double GRAMS = 453.59237;

    private FastenerWeight() {}

    /**
     * One solid rivet of 2117-T4 as it comes: a flush head is a cone inside the length, a protruding head a cap above
     * it.
     *
     * @param length as stocked or cut, over 0
     * @return pounds
     */
    public static double rivet(RivetSize size, Length length) {
        double d = size.shank().in();
        double across = size.headDiameter().in();
        double high = size.headHeight().in();
        double volume = size.head().flush()
                ? Math.PI * high / 12 * (across * across + across * d + d * d)
                        + Math.PI / 4 * d * d * Math.max(0, length.in() - high)
                : Math.PI * high / 6 * (3 * across * across / 4 + high * high) + Math.PI / 4 * d * d * length.in();
        return volume * RIVET_DENSITY;
    }

    /**
     * One pulled rivet as it is set, with the piece of mandrel that stays in it, good to a fifth: a tube with a flat
     * cap a fifth of a diameter high.
     *
     * @param length as stocked, over 0
     * @return pounds
     */
    public static double pulled(PulledSize size, Length length, boolean stainless) {
        double d = size.diameter().in();
        double mandrel = size.mandrel().in();
        double across = size.head().in();
        double tube = Math.PI / 4 * ((d * d - mandrel * mandrel) * length.in() + across * across * d / 5);
        return tube * (stainless ? STAINLESS_DENSITY : PULLED_DENSITY)
                + Math.PI / 4 * mandrel * mandrel * length.in() * STEEL_DENSITY;
    }

    /** One hexagon bolt of steel without nut and washers: shank, and a head 2/3 of the shank high. In pounds. */
    public static double bolt(BoltThread thread, BoltThread.Bolt bolt) {
        double d = thread.shank().in();
        double flats = thread.head().in();
        return STEEL_DENSITY
                * (Math.PI / 4 * d * d * bolt.length().in() + Math.sqrt(3) / 2 * flats * flats * d * 2 / 3);
    }

    /** One washer of steel; 0 on a thread whose washers have no size here. In pounds. */
    public static double washer(BoltThread thread, Washer washer) {
        double d = thread.shank().in();
        return Optional.ofNullable(washer.outside().get(thread.name()))
                .map(o -> STEEL_DENSITY
                        * Math.PI
                        / 4
                        * (o.in() * o.in() - d * d)
                        * washer.thickness().in())
                .orElse(0.0);
    }

    /** One hexagon nut of steel, as wide as the bolt's head. In pounds. */
    public static double nut(BoltThread thread, Nut nut) {
        double d = thread.shank().in();
        double flats = thread.head().in();
        return STEEL_DENSITY * nut.height().in() * (Math.sqrt(3) / 2 * flats * flats - Math.PI / 4 * d * d);
    }
}
