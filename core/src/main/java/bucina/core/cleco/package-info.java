/**
 * Cleco progression: where spring holders go while a row is drilled, in which order it is drilled, and how many are
 * in use.
 *
 * <p>Terms: a <b>locating cleco</b> sits in a hole that is not drilled yet and is lifted before it is; a hole being
 * drilled is <b>supported</b> on a side
 * if a cleco sits within the allowed number of holes there, or the row has no hole on that side; <b>moves</b> are
 * placements, liftings are not counted;
 * a <b>wave</b> is placed, drilled and lifted in that order. Pure; a row is holes 1 to n.
 */
@NullMarked
package bucina.core.cleco;

import org.jspecify.annotations.NullMarked;
