package bucina.core.panel;

import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Fastener;
import bucina.core.plan.Hand;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import java.util.List;
import java.util.Objects;

/**
 * The figures a panel is made from.
 *
 * @param name     of the assembly and its face; not blank
 * @param hand     which hand
 * @param unit     of its drawings
 * @param viewed   from where the skin is seen
 * @param xToward  what lies along +x
 * @param yToward  what lies along +y
 * @param skin     the skin
 * @param material of skin, spars, ribs and doublers
 * @param spars    lowest first; may be empty
 * @param ribs     in the order of their stations; may be empty
 * @param doublers between skin and structure; may be empty
 * @param fastener what goes into every row
 * @param callout  as the drawing writes it; may be empty
 * @param pitch    wished for, over 0
 */
public record PanelPlan(
        String name,
        Hand hand,
        Unit unit,
        String viewed,
        String xToward,
        String yToward,
        Sheet skin,
        Material material,
        List<Spar> spars,
        List<Rib> ribs,
        List<Doubler> doublers,
        Fastener fastener,
        String callout,
        Length pitch) {

    /**
     * The skin.
     *
     * @param outline   its shape
     * @param thickness over 0
     */
    public record Sheet(Outline outline, Length thickness) {}

    /**
     * A flange of a spar or rib.
     *
     * @param width     outside, from the web to the free edge; over 0
     * @param thickness over 0
     */
    public record Flange(Length width, Length thickness) {

        public Flange {
            if (!(width.positive() && thickness.positive() && width.compareTo(thickness.times(3)) > 0)) {
                throw new InputException("a flange is over 0 thick and wider than three thicknesses, was " + width
                        + " by " + thickness + ": write width like .64 and thickness like .032");
            }
        }
    }

    /**
     * A spar across the whole panel.
     *
     * @param name   not blank
     * @param atRoot y of its flange centre line at the root edge
     * @param atTip  y at the tip edge
     * @param flange its flange
     */
    public record Spar(String name, Length atRoot, Length atTip, Flange flange) {}

    /**
     * A rib.
     *
     * @param name    not blank
     * @param station x of its flange centre line
     * @param flange  its flange
     */
    public record Rib(String name, Length station, Flange flange) {}

    /**
     * A doubler, an upright rectangle.
     *
     * @param name      not blank
     * @param a         one corner
     * @param b         the opposite corner
     * @param thickness over 0
     */
    public record Doubler(String name, Point a, Point b, Length thickness) {}

    public PanelPlan {
        Objects.requireNonNull(hand, "hand");
        Objects.requireNonNull(fastener, "fastener");
        spars = List.copyOf(spars);
        ribs = List.copyOf(ribs);
        doublers = List.copyOf(doublers);
        check(name, spars, ribs, pitch);
    }

    private static void check(String name, List<Spar> spars, List<Rib> ribs, Length pitch) {
        if (name.isBlank()) {
            throw new InputException("the panel needs a name, such as Upper skin");
        }
        if (spars.isEmpty() && ribs.isEmpty()) {
            throw new InputException(
                    "give at least one spar or rib: rows lie along their flanges. A spar is written like 2.5 or "
                            + "2.5:2 (root:tip)");
        }
        if (!pitch.positive()) {
            throw new InputException("pitch must be over 0, was " + pitch + ": write it like 1 or 25 mm");
        }
    }
}
