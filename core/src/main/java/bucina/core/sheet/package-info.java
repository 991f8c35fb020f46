/**
 * Plane geometry of a developed face: points, outlines with straight and curved edges, and an index of what lies where.
 *
 * <p>All coordinates are <b>nanometres</b>, as in {@link bucina.core.measure.Length}; x and y are the face's own
 * axes. Arcs stay arcs:
 * containment and distance are worked out on the circle, never on chords. An edge of an outline runs from one corner
 * to the next; its
 * <b>bulge</b> is the tangent of a quarter of the arc's angle, positive when the arc turns to the left of the way
 * from corner to corner,
 * 0 for a straight edge, 1 for half a circle.
 *
 * <p>Immutable, safe on any thread. Outlines are expected not to cross themselves; containment is by the even-odd
 * rule in any case.
 */
@NullMarked
package bucina.core.sheet;

import org.jspecify.annotations.NullMarked;
