package bucina.core.bend;

import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.List;

/**
 * The skins of a tapering surface, straight from a section at one station to a section at another, and the angle that
 * the flanges of a rib or frame
 * between them need. Ribs stand square to the span.
 *
 * @param root the section at the smaller station
 * @param tip  the section at the larger station
 */
public record Taper(Section root, Section tip) {

    /**
     * One section across the span.
     *
     * @param station along the span
     * @param front   of the front edge of the flange (the front spar), along the chord
     * @param rear    of the rear edge, farther back than the front
     * @param heights how far the two skins lie over and under the chord plane
     */
    public record Section(Length station, Length front, Length rear, Heights heights) {
        public Section {
            if (!rear.minus(front).positive()) {
                throw new InputException("The rear end is at " + rear + " and the front end at " + front
                        + ": the rear lies farther back, like 4 and 20");
            }
        }
    }

    /**
     * Heights of the skins over the chord plane (upper) and under it (lower), at the front and the rear.
     */
    public record Heights(Length upperFront, Length upperRear, Length lowerFront, Length lowerRear) {

        /** Half of each depth over the chord plane and half under it. */
        public static Heights even(Length front, Length rear) {
            return new Heights(front.times(0.5), rear.times(0.5), front.times(0.5), rear.times(0.5));
        }
    }

    /** Which way the flange goes from the web. */
    public enum Faces {
        /** Toward the tip. */
        OUTBOARD,
        /** Toward the root. */
        INBOARD
    }

    /**
     * What one flange of one rib needs.
     *
     * @param station  of the rib
     * @param skin     {@code upper} or {@code lower}
     * @param front    angle between web and flange at the front end
     * @param rear     the same at the rear end
     */
    public record Flange(Length station, String skin, Angle front, Angle rear) {

        /** How far the sheet is turned at the front end. */
        public Angle turnFront() {
            return Angle.degrees(180 - front.degrees());
        }

        /** How far the sheet is turned at the rear end. */
        public Angle turnRear() {
            return Angle.degrees(180 - rear.degrees());
        }

        /** The larger of the two changes from a flange at 90°, over 0 to open it. */
        public Angle change() {
            double f = front.degrees() - 90;
            double r = rear.degrees() - 90;
            return Angle.degrees(Math.abs(f) >= Math.abs(r) ? f : r);
        }
    }

    public Taper {
        if (!tip.station.minus(root.station).positive()) {
            throw new InputException("The second section is at " + tip.station + " and the first at " + root.station
                    + ": give the smaller station first, " + "like 0 and 48");
        }
    }

    /**
     * Both flanges of a rib.
     *
     * @param station of the rib, between the two sections
     * @throws InputException if it lies outside them
     */
    public List<Flange> rib(Length station, Faces faces) {
        if (!station.atLeast(root.station) || !station.atMost(tip.station)) {
            throw new InputException("The rib at " + station + " lies outside the sections at " + root.station + " and "
                    + tip.station + ": give a station between them, like "
                    + root.station.plus(tip.station).times(0.5));
        }
        return List.of(flange(station, faces, "upper"), flange(station, faces, "lower"));
    }

    private Flange flange(Length station, Faces faces, String skin) {
        return new Flange(
                station, skin, angle(slope(station, skin, true), faces), angle(slope(station, skin, false), faces));
    }

    /**
     * A skin that falls away toward the tip closes the angle of a flange that goes outboard, and opens that of one that
     * goes inboard.
     */
    private static Angle angle(double slope, Faces faces) {
        double falls = Math.toDegrees(Math.atan(slope));
        return Angle.degrees(faces == Faces.OUTBOARD ? 90 + falls : 90 - falls);
    }

    /**
     * Rise of the skin outward from the chord plane for each unit of span, at a fixed place along the chord. The
     * straight lines of the skin run at fixed
     * shares of the chord, so where the planform tapers the slope along the rib counts too.
     */
    private double slope(Length station, String skin, boolean front) {
        double span = tip.station.minus(root.station).nanometres();
        double s = station.minus(root.station).nanometres() / span;
        double hf0 = height(root, skin, true);
        double hr0 = height(root, skin, false);
        double hf1 = height(tip, skin, true);
        double hr1 = height(tip, skin, false);
        double xf = mix(root.front.nanometres(), tip.front.nanometres(), s);
        double xr = mix(root.rear.nanometres(), tip.rear.nanometres(), s);
        double along = (mix(hr0, hr1, s) - mix(hf0, hf1, s)) / (xr - xf);
        double dh = front ? hf1 - hf0 : hr1 - hr0;
        double dx = front
                ? tip.front.minus(root.front).nanometres()
                : tip.rear.minus(root.rear).nanometres();
        return (dh - along * dx) / span;
    }

    private static double height(Section section, String skin, boolean front) {
        Heights h = section.heights;
        return (skin.equals("upper") ? front ? h.upperFront : h.upperRear : front ? h.lowerFront : h.lowerRear)
                .nanometres();
    }

    private static double mix(double a, double b, double s) {
        return a + (b - a) * s;
    }
}
