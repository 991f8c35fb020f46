/**
 * Holes that no fastener goes through: for conduit, grommets, snap bushings, for lightness, and openings that are
 * drilled at the corners and joined.
 *
 * <p>Terms: <b>step drill</b> a stepped cone, each builder's own, known by counting its steps from the tip;
 * <b>land</b> metal between the edge of an
 * opening and the next bend, rivet or edge. Pure; knows no plan.
 */
@NullMarked
package bucina.core.opening;

import org.jspecify.annotations.NullMarked;
