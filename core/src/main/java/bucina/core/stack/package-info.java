/**
 * What follows from the plan: the stack at every hole, its grip, what is done to each sheet, the rivet, edge
 * distances, findings.
 *
 * <p>Nothing here is stored; all of it can be worked out again from the plan, the catalogue and the rule set. The
 * stack at a hole is
 * <b>derived from the outlines that cover its centre</b>, never typed. Head side first: layers run from the near side
 * of the face, or from
 * the far side where the group's heads are there.
 *
 * <p>Readings are immutable; a change of the plan makes new ones and works out again only the holes near what changed.
 * Cost: n holes on a face with m layers take n log n for the index and n times the layers whose box holds the hole.
 */
@NullMarked
package bucina.core.stack;

import org.jspecify.annotations.NullMarked;
