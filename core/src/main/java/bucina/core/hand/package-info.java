/**
 * The other hand: an assembly mirrored, and what the two hands differ in afterwards.
 *
 * <p>Terms: the <b>first hand</b> is the one that was drawn; its <b>twin</b> is the mirror image with named
 * <b>exceptions</b>. Mirrored is across
 * the face's x: what pointed outboard points inboard along +x, seen from the same side. Pure.
 */
@NullMarked
package bucina.core.hand;

import org.jspecify.annotations.NullMarked;
