package bucina.core.panel;

import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * Ribs or frames of one kind: each has a flange on several faces of an assembly, at the same x on each.
 *
 * @param name     of the first; of several each gets its number behind it
 * @param material alloy and temper
 * @param flange   width and thickness of the flanges; the web is as thick
 * @param stations x of the flange centre lines, at least one
 * @param on       the faces they have a flange on, at least one
 * @param web      the web; empty if it is not drawn
 * @param fastener what goes into the rows that are made
 * @param callout  as the drawing writes it; may be empty
 * @param pitch    wished for in rows that are made, over 0
 */
public record RibPlan(
        String name,
        Material material,
        PanelPlan.Flange flange,
        List<Length> stations,
        List<On> on,
        Optional<Web> web,
        Fastener fastener,
        String callout,
        Length pitch) {

    /**
     * A flange on a face.
     *
     * @param face      which
     * @param from      y of its lower end
     * @param to        y of its upper end, over {@code from}
     * @param fromSkin  true if the face has the holes already and the rib is drilled through them; false if the rib is
     *     punched and its holes are carried onto the face
     */
    public record On(Id.Face face, Length from, Length to, boolean fromSkin) {
        public On {
            Objects.requireNonNull(face, "face");
            if (to.compareTo(from) <= 0) {
                throw new InputException("a flange runs from a lower y to a higher one, was " + from + " to " + to
                        + ": write them like .25 and 9.75");
            }
        }
    }

    /**
     * The web, drawn as a face of its own.
     *
     * @param length   over 0
     * @param height   over 0
     * @param openings how many lightening holes, at least 0
     * @param diameter of each, over 0 where there are any
     */
    public record Web(Length length, Length height, int openings, Length diameter) {
        public Web {
            if (!length.positive() || !height.positive() || openings < 0 || openings > 0 && !diameter.positive()) {
                throw new InputException(
                        "a web has a length and a height over 0 like 10 x 4, and lightening holes " + "like 3 of 1.5");
            }
        }
    }

    public RibPlan {
        Objects.requireNonNull(fastener, "fastener");
        stations = List.copyOf(stations);
        on = List.copyOf(on);
        if (name.isBlank()) {
            throw new InputException("the rib needs a name, such as Main rib");
        }
        if (stations.isEmpty()) {
            throw new InputException("give at least one station: x of the flange centre line, like 1.5, 12, 24");
        }
        if (on.isEmpty()) {
            throw new InputException("tick at least one face that the rib has a flange on");
        }
        if (!pitch.positive()) {
            throw new InputException("pitch must be over 0, was " + pitch + ": write it like 1 or 25 mm");
        }
    }

    /** What each is called, in the order of the stations. */
    public String called(int i) {
        return stations.size() == 1 ? name.strip() : name.strip() + " " + (i + 1);
    }
}
