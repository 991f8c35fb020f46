/**
 * Nut plates behind a row, a ring or a rectangle of screws: where the lug rivets go, which way each plate is turned,
 * and how many of what.
 *
 * <p>Terms: a <b>lug</b> is one of the two ears of a plate, each held by a rivet; the <b>turn</b> of a plate is the
 * direction of its lugs from +x. Pure.
 */
@NullMarked
package bucina.core.nutplate;

import org.jspecify.annotations.NullMarked;
