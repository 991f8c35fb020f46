package bucina.core.rivet;

import bucina.core.measure.Length;

/**
 * One stocked length held against one stack.
 *
 * @param designation the rivet
 * @param length      nominal length L
 * @param protrusion  what stands proud before setting, in D; may be negative
 * @param headAcross  diameter of the head set to 0.5 D high, in D; 0 if there is no metal for one
 * @param grade       short, good or long
 * @param reachesProcessMinimum true if set to the process height it would still reach the process diameter: decides
 *     leave or replace, never
 *                    the plan
 */
public record Candidate(
        RivetDesignation designation,
        Length length,
        double protrusion,
        double headAcross,
        Grade grade,
        boolean reachesProcessMinimum) {}
