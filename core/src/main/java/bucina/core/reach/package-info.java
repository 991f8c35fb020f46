/**
 * Whether a tool gets at a hole, given the edges of the sheets and the flanges and parts that stand up from what is
 * in place.
 *
 * <p>Terms: the <b>throat</b> of a tool is how far in from an edge it reaches; <b>clear radius</b> what it needs free
 * round the hole; a cage <b>tips</b>
 * where it hangs over an edge. Pure.
 */
@NullMarked
package bucina.core.reach;

import org.jspecify.annotations.NullMarked;
